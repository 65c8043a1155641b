import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Suspense, lazy, memo, useState } from 'react';
import type { Conditions } from '#core/documents/outing';
import { isoAt, minutesBetween } from '#core/units/time';
import { duration } from '#core/units/words';
import { ApiError } from '../../../documents/api';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';
import { askStation } from './queries';

const ConditionsTable = lazy(async () => ({ default: (await import('./ConditionsTable')).ConditionsTable }));
const ForecastLine = lazy(async () => ({ default: (await import('./ForecastLine')).ForecastLine }));
const ReadForecast = lazy(async () => ({ default: (await import('./ReadForecast')).ReadForecast }));

/** Where the figures of the day come from, how old they are, and the three ways to get others. */
export const Forecast = memo(function Forecast() {
  const { doc, edit, editor, looked, now } = useOutingWorkspace();
  const say = useToast();
  const [asking, setAsking] = useState(false);
  const [byHand, setByHand] = useState(false);
  const [importing, setImporting] = useState(false);
  const { conditions, brief } = doc;
  const { water } = looked;
  if (!water) return null;
  const take = (taken: Omit<Conditions, 'waterC'> & { waterC: number | null }) =>
    edit((outing) => ({
      ...outing,
      conditions: { ...taken, waterC: taken.waterC ?? outing.conditions.waterC },
    }));
  const ask = async () => {
    setAsking(true);
    try {
      const { station, takenAt, waterC, hours } = await askStation(water.id, brief.date);
      take({ source: 'station', from: station, takenAt, waterC, hours });
      say(`${station}: ${hours.length} hours taken.`, { name: 'Undo', run: editor.undo });
    } catch (error) {
      say(error instanceof ApiError ? error.message : 'The station did not answer.');
    } finally {
      setAsking(false);
    }
  };
  return (
    <Box component="section" aria-labelledby="forecast">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5 }}>
        <Typography variant="h2" id="forecast">
          The figures
        </Typography>
        <Typography variant="body2" color="textSecondary" role="status" sx={{ flex: 1, minWidth: 220 }}>
          {sourceWords(conditions)}
          {conditions.takenAt === null
            ? ''
            : `, looked at ${ago(minutesBetween(Date.parse(conditions.takenAt), now))}.`}
        </Typography>
        <Button onClick={() => void ask()} disabled={asking}>
          {conditions.source === 'station' ? 'Refresh from the station' : 'Ask the simulated station'}
        </Button>
        <Button onClick={() => setImporting(true)}>Read a forecast</Button>
        <Button onClick={() => setByHand(!byHand)} aria-expanded={byHand}>
          {byHand ? 'Close the table' : 'Write by hand'}
        </Button>
      </Box>
      <Suspense>
        <ForecastLine
          onTake={(taken) => {
            take({ source: 'typed', from: '', takenAt: isoAt(Date.now(), 'utc'), ...taken });
            say(`${taken.hours.length} hours kept as you typed them.`, { name: 'Undo', run: editor.undo });
          }}
        />
        {byHand && <ConditionsTable />}
        {importing && (
          <ReadForecast
            onClose={() => setImporting(false)}
            onTake={(name, file) => {
              take({ source: 'imported', from: name, takenAt: isoAt(Date.now(), 'utc'), ...file });
              say(`${file.hours.length} hours read.`, { name: 'Undo', run: editor.undo });
            }}
          />
        )}
      </Suspense>
    </Box>
  );
});

function sourceWords({ source, from, hours }: Conditions): string {
  if (hours.length === 0)
    return 'Nothing is known of this day yet. Type it as a line, ask the simulated station, or read a file';
  if (source === 'station') return `${from}: invented weather, the same for the same day`;
  return source === 'imported' ? `Read from ${from || 'what was pasted'}` : 'Written by hand';
}

function ago(minutes: number): string {
  return minutes < 1 ? 'just now' : `${duration(minutes)} ago`;
}
