import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type DragEvent, useState } from 'react';
import { readForecastCsv, readForecastJson } from '#core/exchange/forecast';
import { MOST_BYTES } from '#core/exchange/imported';
import type { Conditions } from '#core/documents/outing';
import { FileButton } from '../../../ui/FileButton';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Troubles } from './Troubles';

interface ReadProps {
  onClose: () => void;
  onTake: (name: string, file: { hours: Conditions['hours']; waterC: number | null }) => void;
}

/** A forecast pasted, dropped or chosen, as CSV or JSON; what cannot be taken is told by line, and nothing else changes. */
export function ReadForecast({ onClose, onTake }: ReadProps) {
  const { looked } = useOutingWorkspace();
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
    <Dialog
      open
      // A stray press takes nothing away that was pasted.
      onClose={() => text.trim() === '' && onClose()}
      fullWidth
      maxWidth="md"
      aria-labelledby="read-forecast"
    >
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
