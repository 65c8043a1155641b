import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { dayInWords } from '#core/units/time';
import { duration } from '#core/units/words';
import { sayOwnHours } from '#core/floatplan/ownHours';
import { hoursLogged } from '#core/ashore/learnt';
import { type Log, emptyLog } from '#core/documents/log';
import { WhenField } from '../../../ui/WhenField';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useWord } from '../word/useWord';
import { Catches } from './Catches';
import { Learnt } from './Learnt';
import { Marks } from './Marks';
import { Wishes } from './Wishes';
import { byClock } from '#core/units/clockWords';

/**
 * Settled here: what the outing came to, for the next one. What would annoy: a form to fill with wet hands
 * before one may go home.
 */
export function AshoreScreen() {
  const { doc, edit, looked, now } = useOutingWorkspace();
  const { log, brief } = doc;
  const zone = looked.water?.timeZone ?? 'utc';
  const word = useWord(doc.id, now);
  const begin = () => {
    edit((one) => ({ ...one, log: emptyLog }));
    // Whoever writes it up is home: those who wait are told.
    if (word.status && word.status.state !== 'home') word.checkIn('home');
  };
  if (log === null)
    return (
      <Box sx={{ maxWidth: 620 }}>
        <Typography sx={{ mb: 2 }}>
          Nothing is written of this outing yet. Once it is over: what was used, lost or broken, what was
          caught, what was missed. As much of it as you care to.
        </Typography>
        <Button variant="contained" onClick={begin}>
          Begin the log
        </Button>
      </Box>
    );
  const change = (next: Log) => edit((one) => ({ ...one, log: next }));
  return (
    <Box sx={{ maxWidth: 760, display: 'grid', gap: 4 }}>
      <Box component="section" aria-label="Times">
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
          <Clock
            label="Launched at"
            value={log.launchedAt}
            onChange={(launchedAt) => change({ ...log, launchedAt })}
          />
          <Clock
            label="Landed at"
            value={log.landedAt}
            onChange={(landedAt) => change({ ...log, landedAt })}
          />
          <Typography color="textSecondary">
            {duration(hoursLogged(doc, zone) * 60)} afloat on {dayInWords(brief.date)}; planned{' '}
            {byClock(brief.launchAt)} to {sayOwnHours(brief, zone).home}.
          </Typography>
        </Box>
      </Box>
      <Marks log={log} onChange={change} />
      <Catches log={log} onChange={change} />
      <Wishes log={log} onChange={change} />
      <Learnt />
    </Box>
  );
}

function Clock({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | null;
  onChange: (at: string | null) => void;
}) {
  return (
    <Box sx={{ width: 150 }}>
      <WhenField kind="time" label={label} value={value} onChange={onChange} nullable size="small" />
    </Box>
  );
}
