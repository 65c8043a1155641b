import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type DragEvent, useState, memo } from 'react';
import { readForecastCsv, readForecastJson } from '#core/exchange/forecast';
import { MOST_BYTES } from '#core/exchange/imported';
import type { Conditions } from '#core/documents/outing';
import { isoAt, minutesBetween } from '#core/units/time';
import { duration } from '#core/units/words';
import { ApiError } from '../../../documents/api';
import { FileButton } from '../../../ui/FileButton';
import { useToast } from '../../../ui/Toast';
import { useDesk } from '../../desk';
import { ConditionsTable } from './ConditionsTable';
import { Troubles } from './RouteFiles';
import { askStation } from './queries';

/** Where the figures of the day come from, how old they are, and the three ways to get others. */
export const Forecast = memo(function Forecast() {
  const { doc, edit, editor, looked, now } = useDesk();
  const say = useToast();
  const [asking, setAsking] = useState(false);
  const [byHand, setByHand] = useState(false);
  const [importing, setImporting] = useState(false);
  const { conditions, brief } = doc;
  const { water } = looked;
  if (!water) return null;
  const take = (taken: Omit<Conditions, 'waterC'> & { waterC: number | null }) =>
    edit((outing) => ({ ...outing, conditions: { ...taken, waterC: taken.waterC ?? outing.conditions.waterC } }));
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
    </Box>
  );
});

function sourceWords({ source, from, hours }: Conditions): string {
  if (hours.length === 0)
    return 'Nothing is known of this day yet. Ask the simulated station, read a file, or write it';
  if (source === 'station') return `${from}: invented weather, the same for the same day`;
  return source === 'imported' ? `Read from ${from || 'what was pasted'}` : 'Written by hand';
}

function ago(minutes: number): string {
  return minutes < 1 ? 'just now' : `${duration(minutes)} ago`;
}

interface ReadProps {
  onClose: () => void;
  onTake: (name: string, file: { hours: Conditions['hours']; waterC: number | null }) => void;
}

/** A forecast pasted, dropped or chosen, as CSV or JSON; what cannot be taken is told by line, and nothing else changes. */
function ReadForecast({ onClose, onTake }: ReadProps) {
  const { looked } = useDesk();
  const [text, setText] = useState('');
  const [name, setName] = useState('');
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const [taken, setTaken] = useState(false);
  const load = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) setTroubles([`${file.name} is larger than ${MOST_BYTES / 1024 / 1024} MB.`]);
    else {
      setName(file.name);
      setText(await file.text());
    }
  };
  const read = () => {
    const zone = looked.water?.timeZone ?? 'utc';
    const result = /^\s*[{[]/.test(text) ? readForecastJson(text, zone) : readForecastCsv(text, zone);
    setTroubles(result.taken ? result.troubles : [result.why]);
    if (!result.taken) return;
    onTake(name, result.value);
    if (result.troubles.length === 0) onClose();
    else setTaken(true);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="read-forecast">
      <DialogTitle id="read-forecast">Read a forecast</DialogTitle>
      <DialogContent
        onDragOver={(event: DragEvent) => event.preventDefault()}
        onDrop={(event: DragEvent) => {
          event.preventDefault();
          void load(event.dataTransfer.files[0]);
        }}
      >
        <Typography variant="body2" sx={{ mb: 1 }}>
          Paste it, drop a file here, or choose one. CSV with a header that names units, such as{' '}
          <code>time, wind (kn), gust (kn), from (°), air (°C)</code>, or JSON with <code>units</code> and{' '}
          <code>hours</code>. <Link href="/samples/forecast.csv">A sample file</Link>
        </Typography>
        <FileButton
          name="Choose a file"
          label="Forecast file"
          variant="outlined"
          accept=".csv,.json,text/csv,application/json"
          onFile={(file) => void load(file)}
        />
        <TextField
          label="Forecast"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setTaken(false);
          }}
          multiline
          rows={10}
          fullWidth
          slotProps={{ htmlInput: { style: { fontFamily: 'monospace', fontSize: 13 } } }}
        />
        {troubles.length > 0 && (
          <Box sx={{ mt: 1 }}>
            {taken && <Typography>Read, except for this:</Typography>}
            <Troubles lines={troubles} onClose={() => setTroubles([])} />
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose}>
          {taken ? 'Close' : 'Cancel'}
        </Button>
        <Button variant="contained" onClick={read} disabled={text.trim() === '' || taken}>
          Read it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
