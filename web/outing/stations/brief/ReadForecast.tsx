import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type DragEvent, useDeferredValue, useMemo, useState } from 'react';
import { type ForecastFile, readForecastCsv, readForecastJson } from '#core/exchange/forecast';
import { type AnswersGiven, MOST_BYTES } from '#core/exchange/imported';
import { sayHour } from '#core/exchange/sayForecast';
import { byClock } from '#core/units/clockWords';
import { clockAt, dateAt } from '#core/units/time';
import { capital, dayWords, howMany, listed } from '#core/units/words';
import type { Conditions } from '#core/documents/outing';
import { FileButton } from '../../../ui/FileButton';
import { fileText } from '../../../ui/fileText';
import { Questions } from '../../../ui/Questions';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Troubles } from './Troubles';

interface ReadProps {
  onClose: () => void;
  onTake: (name: string, file: Pick<Conditions, 'hours'> & { waterC: number | null }) => void;
}

/**
 * A forecast pasted, dropped or chosen. Settled here: is it read as it was meant. What would annoy: figures
 * in its place that nobody wrote. So what was understood stands here before anything is replaced, and what
 * may mean two things is asked.
 */
export function ReadForecast({ onClose, onTake }: ReadProps) {
  const { doc, looked } = useOutingWorkspace();
  const [text, setText] = useState('');
  const [name, setName] = useState('');
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const [answers, setAnswers] = useState<AnswersGiven>({});
  const zone = looked.water?.timeZone ?? 'utc';
  const near = doc.brief.date;
  const shown = useDeferredValue(text);
  const result = useMemo(() => {
    if (shown.trim() === '') return null;
    const read = /^\s*[{[]/.test(shown) ? readForecastJson : readForecastCsv;
    return read(shown, { timeZone: zone, near, answers });
  }, [shown, zone, near, answers]);
  const asked = result?.taken ? result.value.asked : (result?.asks ?? []);
  const put = (next: string, from: string) => {
    setText(next);
    setName(from);
    setTooLarge(null);
    setAnswers({});
  };
  const load = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) setTooLarge(`${file.name} is larger than ${MOST_BYTES / 1024 / 1024} MB.`);
    else put(await fileText(file), file.name);
  };
  const take = () => {
    if (!result?.taken) return;
    onTake(name, { hours: result.value.hours, waterC: result.value.waterC });
    onClose();
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
          Paste it, drop a file here, or choose one: a table with a line of heads, such as{' '}
          <code>time, wind (kn), gust (kn), from (°), air (°C)</code>, or JSON. Nothing is replaced before you
          say so. <Link href="/samples/forecast.csv">A sample file</Link>
        </Typography>
        <FileButton
          name="Choose a file"
          label="Forecast file"
          variant="outlined"
          accept=".csv,.txt,.tsv,.json,text/csv,text/plain,application/json"
          onFile={(file) => void load(file)}
        />
        <TextField
          label="Forecast"
          value={text}
          onChange={(event) => put(event.target.value, name)}
          multiline
          rows={8}
          fullWidth
          sx={{ mt: 1.5 }}
          slotProps={{ htmlInput: { style: { fontFamily: 'monospace', fontSize: 13 } } }}
        />
        <Box aria-live="polite" sx={{ mt: 1 }}>
          {tooLarge !== null && <Troubles lines={[tooLarge]} onClose={() => setTooLarge(null)} />}
          {asked.length > 0 && (
            <Questions
              list={asked}
              answers={answers}
              onAnswer={(id, choice) => setAnswers({ ...answers, [id]: choice })}
            />
          )}
          {result && !result.taken && !result.asks && <Troubles lines={[result.why]} />}
          {result?.taken && <Understood file={result.value} zone={zone} />}
          {result?.taken && result.troubles.length > 0 && <Troubles lines={result.troubles} />}
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" onClick={take} disabled={!result?.taken}>
          {result?.taken ? `Use ${howMany(result.value.hours.length, 'hour')}` : 'Use these hours'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** How it was read, its first hour as a sample, and what of it was not. */
function Understood({
  file: { hours, understood, unread, unused },
  zone,
}: {
  file: ForecastFile;
  zone: string;
}) {
  const [first, last] = [hours[0], hours[hours.length - 1]];
  if (!first || !last) return null;
  const say = ({ at }: { at: string }) =>
    `${dayWords(dateAt(Date.parse(at), zone))}, ${byClock(clockAt(Date.parse(at), zone))}`;
  return (
    <Box role="group" aria-label="As it is read">
      <Typography>
        <b>{howMany(hours.length, 'hour')}</b>, {say(first)} to {say(last)}. {capital(listed(understood))}.
      </Typography>
      <Typography>The first: {sayHour(first)}.</Typography>
      {unread.length > 0 && (
        <Typography>
          <b>Not understood, and left:</b> {listed(unread)}.
        </Typography>
      )}
      {unused.length > 0 && (
        <Typography variant="body2" color="textSecondary">
          Nothing here goes by: {listed(unused)}.
        </Typography>
      )}
    </Box>
  );
}
