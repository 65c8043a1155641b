import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useState } from 'react';
import { type LaunchChoice, weightOf } from '#core/judgement/betterHours';
import { sayFinding } from '#core/judgement/allRules';
import { movedTo } from '#core/editing/hours';
import { dayInWords } from '#core/units/time';
import { amount, amountOnly } from '#core/units/amount';
import { capital, count, duration, listed, plural } from '#core/units/words';
import { useWorker } from '../../../workers/useWorker';
import type { BetterHoursWork } from '../../../workers/betterHours.worker';
import { useOutingWorkspace } from '../../outingWorkspace';
import { HourColumns, scaleOf } from './HourColumns';
import { byClock } from '#core/units/clockWords';

/** Every half-hour launch of three days, each with its Stops and Minds. Picking one sets the hours. */
export function BetterHours({ onClose }: { onClose: () => void }) {
  const { doc, edit, references, answers, now } = useOutingWorkspace();
  const narrow = useMediaQuery('(max-width: 600px)');
  const [choices, setChoices] = useState<LaunchChoice[] | null>(null);
  const [chosen, setChosen] = useState<LaunchChoice | null>(null);
  const { call } = useWorker<BetterHoursWork>(
    () => new Worker(new URL('../../../workers/betterHours.worker.ts', import.meta.url), { type: 'module' }),
  );
  useEffect(() => {
    let over = false;
    void call()
      .betterHours(doc, references, answers, now)
      .then((found) => {
        if (!over) setChoices(found);
      });
    return () => {
      over = true;
    };
    // Judged once, as the outing stands when this is opened.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
  const days = [...new Set((choices ?? []).map((choice) => choice.date))];
  const said = chosen?.first ? sayFinding(chosen.first.facts) : null;
  const fewest = Math.min(...(choices ?? []).map(weightOf));
  const scale = scaleOf(choices ?? []);
  const same = choices?.[0]?.same;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" fullScreen={narrow} aria-labelledby="better-hours">
      <DialogTitle id="better-hours">Better hours</DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ mb: 2 }}>
          Each half-hour launch from first light to dusk, the same outing moved as it is. A gate with the
          Stops that the hour brings, a half disc with its Minds; a stroke where it brings neither. Under it
          the strongest wind, paler where it gusts, the sea, the tide as you come to the place, and how much
          is in hand on the way home; shaded in the dark, ? where no wind is written.{' '}
          {same &&
            same.stops + same.minds > 0 &&
            `At every hour alike, and not counted here: ${sameWords(same)}.`}
        </Typography>
        {choices === null && <LinearProgress aria-label="Judging each launch" />}
        {choices?.length === 0 && (
          <Typography>
            No launch of these days fits: say the water and the hours first, or choose a later day.
          </Typography>
        )}
        {days.map((date) => (
          <Box key={date} component="section" sx={{ mb: 2 }} aria-label={dayInWords(date)}>
            <Typography variant="h3" component="h3" sx={{ mb: 1 }}>
              {dayInWords(date)}
            </Typography>
            <HourColumns
              choices={(choices ?? []).filter((choice) => choice.date === date)}
              scale={scale}
              fewest={fewest}
              chosen={chosen}
              onChoose={setChosen}
            />
          </Box>
        ))}
      </DialogContent>
      <DialogActions sx={{ p: 2, flexWrap: 'wrap', gap: 1 }}>
        <Typography variant="body2" role="status" sx={{ flex: 1, minWidth: 200 }}>
          {chosen &&
            `${dayInWords(chosen.date)}, ${byClock(`${chosen.launchAt} to ${chosen.homeAt}`)}: ${said ? said.title : 'no Stop and no Mind'}. ${hourWords(chosen)}`}
        </Typography>
        <Button variant="outlined" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!chosen}
          onClick={() => {
            if (chosen)
              edit((outing) => ({ ...outing, brief: movedTo(outing.brief, chosen.date, chosen.launchAt) }));
            onClose();
          }}
        >
          Take these hours
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function sameWords({ stops, minds }: LaunchChoice['same']): string {
  return listed([
    ...(stops > 0 ? [`${count(stops)} ${plural(stops, 'Stop')}`] : []),
    ...(minds > 0 ? [`${count(minds)} ${plural(minds, 'Mind')}`] : []),
  ]);
}

/** What an hour is like: wind, sea, light, and how much is in hand on the way home. */
function hourWords({
  windMps,
  gustMps,
  seaM,
  inDark,
  darkMinutes,
  spareMin,
  unknownHours,
}: LaunchChoice): string {
  const parts = [
    windMps !== null &&
      `wind to ${amount(windMps, 'wind')}${gustMps === null ? '' : `, gusts ${amountOnly(gustMps, 'wind')}`}`,
    seaM !== null && `sea to ${amount(seaM, 'm')}`,
    inDark
      ? 'launched in the dark'
      : darkMinutes >= 1
        ? `${duration(darkMinutes)} in the dark`
        : 'in the light',
    spareMin !== null &&
      (spareMin >= 0 ? `home with ${duration(spareMin)} in hand` : `home ${duration(-spareMin)} late`),
    unknownHours > 0 && `${count(unknownHours)} ${plural(unknownHours, 'hour')} of which no wind is written`,
  ].filter((part) => part !== false);
  return `${capital(parts.join('; '))}.`;
}
