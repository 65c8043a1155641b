import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { Constituent } from '#core/environment/tide';
import { noStreamTable } from '#core/environment/waterTide';
import type { Water } from '#core/documents/water';
import { FormNumber } from '../../ui/fields';
import { StreamTextField } from './StreamTextField';

const written = (list: readonly Constituent[]) =>
  list.map(({ name, amplitude, phaseDeg }) => `${name} ${amplitude} ${phaseDeg}`).join('\n');

/** Constituents from lines of name, amplitude and phase; text: which line is not one. */
function parsed(text: string): Constituent[] | string {
  const list: Constituent[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const match = /^\s*([A-Z0-9]{1,10})[\s;]+(-?\d+(?:[.,]\d+)?)[\s;]+(-?\d+(?:[.,]\d+)?)\s*$/.exec(line);
    const number = (at: number) => Number((match?.[at] ?? '').replace(',', '.'));
    if (!match) return `Line ${i + 1} is not a name, an amplitude and a phase, such as: M2 1.35 120`;
    if (number(2) < 0) return `Line ${i + 1}: an amplitude is not negative.`;
    list.push({ name: match[1] ?? '', amplitude: number(2), phaseDeg: number(3) });
  }
  return list;
}

/** Switched on, with nothing to reckon it from. */
function isBare(value: NonNullable<Water['tide'] | Water['stream']>): boolean {
  if (value.constituents.length > 0) return false;
  return 'turns' in value ? value.turns.length === 0 : value.hours.length === 0 && value.steadyMps === 0;
}

/** Whether a water has a tide or a stream, and the constituents it is predicted from. */
export function HarmonicsField({ form, of }: { form: UseFormReturn<Water>; of: 'tide' | 'stream' }) {
  const { control, setValue, watch } = form;
  const value = watch(of);
  const [text, setText] = useState(() => written(value?.constituents ?? []));
  const result = parsed(text);
  const unit = of === 'tide' ? 'm' : 'm/s';
  const begin = () => {
    if (of === 'tide') setValue('tide', { meanM: 2, constituents: [], turns: [] });
    else
      setValue('stream', {
        towardDeg: 0,
        steadyMps: 0,
        constituents: [],
        ...noStreamTable,
      });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <FormControlLabel
        control={
          <Switch checked={value !== null} onChange={(_, on) => (on ? begin() : setValue(of, null))} />
        }
        label={of === 'tide' ? 'It has a tide' : 'It has a stream'}
      />
      {value !== null && isBare(value) && (
        <Typography variant="body2" color="error">
          No figures of it yet: it is not reckoned, and every outing here says so.
        </Typography>
      )}
      {value !== null && (
        <>
          {of === 'tide' ? (
            <FormNumber control={control} name="tide.meanM" label="Mean level over chart datum" unit="m" />
          ) : (
            <>
              <FormNumber
                control={control}
                name="stream.towardDeg"
                label="Runs toward (flood, or down river)"
                unit="°"
              />
              <FormNumber control={control} name="stream.steadyMps" label="Steady part" unit="m/s" />
              <StreamTextField
                hours={watch('stream.hours') ?? []}
                onChange={(hours) => setValue('stream.hours', hours, { shouldDirty: true })}
              />
            </>
          )}
          <TextField
            label={`Constituents: name, amplitude in ${unit}, phase in °, one a line`}
            value={text}
            multiline
            rows={4}
            error={typeof result === 'string'}
            helperText={typeof result === 'string' ? result : undefined}
            onChange={(event) => {
              setText(event.target.value);
              const next = parsed(event.target.value);
              if (typeof next !== 'string') setValue(`${of}.constituents`, next);
            }}
          />
        </>
      )}
    </Box>
  );
}
