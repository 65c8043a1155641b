import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useState } from 'react';
import { type LaunchChoice, weightOf } from '#core/judgement/betterHours';
import { sayFinding } from '#core/judgement/allRules';
import { movedTo } from '#core/editing/hours';
import { dayInWords } from '#core/units/time';
import { amount, amountOnly } from '#core/units/amount';
import { capital, count, duration, listed, plural } from '#core/units/words';
import { LevelMark } from '../../../ui/LevelMark';
import { useWorker } from '../../../workers/useWorker';
import type { BetterHoursWork } from '../../../workers/betterHours.worker';
import { useDesk } from '../../desk';
import { byClock } from '#core/units/clockWords';

/** Every half-hour launch of three days, each with its Stops and Minds. Picking one sets the hours. */
export function BetterHours({ onClose }: { onClose: () => void }) {
  const { doc, edit, references, answers, now } = useDesk();
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
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const days = [...new Set((choices ?? []).map((choice) => choice.date))];
  const said = chosen?.first ? sayFinding(chosen.first.facts) : null;
  const fewest = Math.min(...(choices ?? []).map(weightOf));
  const strongest = Math.max(1, ...(choices ?? []).map(({ gustMps, windMps }) => gustMps ?? windMps ?? 0));
  const same = choices?.[0]?.same;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" fullScreen={narrow} aria-labelledby="better-hours">
      <DialogTitle id="better-hours">Better hours</DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ mb: 2 }}>
          Each half-hour launch from first light to dusk, the same outing moved as it is. A gate with the Stops that the
          hour brings, a half disc with its Minds; a stroke where it brings neither. The bar is the strongest wind
          afloat, paler where it gusts; ? where no wind is written.{' '}
          {same && same.stops + same.minds > 0 && `At every hour alike, and not counted here: ${sameWords(same)}.`}
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
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
              {(choices ?? [])
                .filter((choice) => choice.date === date)
                .map((choice) => (
                  <Slot
                    key={choice.launchAt}
                    choice={choice}
                    kindest={weightOf(choice) === fewest}
                    strongest={strongest}
                    on={chosen?.date === date && chosen.launchAt === choice.launchAt}
                    onChoose={() => setChosen(choice)}
                  />
                ))}
            </Box>
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
            if (chosen) edit((outing) => ({ ...outing, brief: movedTo(outing.brief, chosen.date, chosen.launchAt) }));
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
function hourWords({ windMps, gustMps, seaM, inDark, darkMinutes, spareMin, unknownHours }: LaunchChoice): string {
  const parts = [
    windMps !== null &&
      `wind to ${amount(windMps, 'wind')}${gustMps === null ? '' : `, gusts ${amountOnly(gustMps, 'wind')}`}`,
    seaM !== null && `sea to ${amount(seaM, 'm')}`,
    inDark ? 'launched in the dark' : darkMinutes >= 1 ? `${duration(darkMinutes)} in the dark` : 'in the light',
    spareMin !== null &&
      (spareMin >= 0 ? `home with ${duration(spareMin)} in hand` : `home ${duration(-spareMin)} late`),
    unknownHours > 0 && `${count(unknownHours)} ${plural(unknownHours, 'hour')} of which no wind is written`,
  ].filter((part) => part !== false);
  return `${capital(parts.join('; '))}.`;
}

function Slot({
  choice,
  kindest,
  strongest,
  on,
  onChoose,
}: {
  choice: LaunchChoice;
  kindest: boolean;
  /** The strongest gust of all these hours, m/s. */
  strongest: number;
  on: boolean;
  onChoose: () => void;
}) {
  const { stops, minds, launchAt, windMps, gustMps, inDark, unknownHours } = choice;
  const { inks } = useTheme();
  const unknown = unknownHours > 0;
  const bar = (mps: number | null) => `${Math.round((100 * (mps ?? 0)) / strongest)}%`;
  const words = [stops > 0 && `${stops} ${plural(stops, 'Stop')}`, minds > 0 && `${minds} ${plural(minds, 'Mind')}`]
    .filter(Boolean)
    .join(', ');
  return (
    <ButtonBase
      onClick={onChoose}
      aria-pressed={on}
      aria-label={`${byClock(launchAt)}: ${words || 'no Stop, no Mind'}${unknown ? ', weather not known' : ''}${inDark ? ', in the dark' : ''}`}
      sx={{
        width: 62,
        height: 74,
        position: 'relative',
        flexDirection: 'column',
        gap: 0.5,
        border: on ? 2 : 1,
        borderColor: on || kindest ? 'text.primary' : 'divider',
        borderRadius: 1,
        bgcolor: on ? 'background.default' : 'transparent',
        fontWeight: kindest ? 700 : 400,
      }}
    >
      {byClock(launchAt)}
      <Box component="span" sx={{ display: 'flex', alignItems: 'center', gap: 0.25, typography: 'caption' }}>
        {stops > 0 ? (
          <>
            <LevelMark level="stop" size={14} /> {stops}
          </>
        ) : minds > 0 ? (
          <>
            <LevelMark level="mind" size={14} /> {minds}
          </>
        ) : unknown ? (
          '?'
        ) : (
          'ǀ'
        )}
        {inDark && (
          <Box component="span" sx={{ ml: 0.25 }}>
            dark
          </Box>
        )}
      </Box>
      {windMps !== null && (
        <Box aria-hidden sx={{ position: 'absolute', left: 5, right: 5, bottom: 4, height: 5 }}>
          <Box
            sx={{ position: 'absolute', height: 5, width: bar(gustMps ?? windMps), bgcolor: inks.tide, opacity: 0.3 }}
          />
          <Box sx={{ position: 'absolute', height: 5, width: bar(windMps), bgcolor: inks.tide }} />
        </Box>
      )}
    </ButtonBase>
  );
}
