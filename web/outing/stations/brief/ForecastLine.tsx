import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type FormEvent, useState } from 'react';
import type { Conditions } from '#core/documents/outing';
import { hoursOf } from '#core/exposures/exposures';
import { readForecastWords } from '#core/exchange/forecastWords';
import { sayChanges } from '#core/exchange/sayForecast';
import { amount } from '#core/units/amount';
import { useOutingWorkspace } from '../../outingWorkspace';

interface Props {
  onTake: (taken: { hours: Conditions['hours']; waterC: number | null }) => void;
}

/** A forecast typed as it is read; shown back as it was understood, and kept only then. */
export function ForecastLine({ onTake }: Props) {
  const { doc, looked } = useOutingWorkspace();
  // Left half typed and come back to, it is still there.
  const draft = `tally-forecast-line:${doc.id}`;
  const [text, setText] = useState(() => sessionStorage.getItem(draft) ?? '');
  const type = (next: string) => {
    setText(next);
    if (next === '') sessionStorage.removeItem(draft);
    else sessionStorage.setItem(draft, next);
  };
  const span = hoursOf(doc.brief, looked);
  const zone = looked.water?.timeZone ?? 'utc';
  if (!span) return null;
  const read = text.trim() === '' ? null : readForecastWords(text, span.from, span.to, zone);
  const keep = (event: FormEvent) => {
    event.preventDefault();
    if (!read?.taken) return;
    const { hours, waterC } = read.value;
    onTake({ hours, waterC });
    type('');
  };
  return (
    <Box component="form" onSubmit={keep} sx={{ display: 'grid', gap: 0.5, justifyItems: 'start' }}>
      <TextField
        label="Type it as you read it"
        placeholder="SW 4 gusting 7, rising 5 later, swell 1 m 8 s, 12 °C"
        value={text}
        fullWidth
        autoComplete="off"
        error={read !== null && !read.taken}
        helperText={read !== null && !read.taken ? read.why : undefined}
        onChange={(event) => type(event.target.value)}
        size="small"
      />
      {read?.taken && (
        <Box role="status">
          <Typography variant="body2">Understood:</Typography>
          {[
            ...sayChanges(read.value.hours, zone),
            ...(read.value.waterC === null ? [] : [`water ${amount(read.value.waterC, '°C')}`]),
            ...read.value.notes,
          ].map((line) => (
            <Typography key={line} variant="body2" sx={{ pl: 1.5 }}>
              {line}
            </Typography>
          ))}
          <Button type="submit" variant="outlined" sx={{ mt: 0.5 }}>
            Keep these hours
          </Button>
        </Box>
      )}
    </Box>
  );
}
