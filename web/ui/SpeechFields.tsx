import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useId } from 'react';
import {
  type Speech,
  speechChoices,
  speechFields,
  speechNameOf,
  speechNames,
  speeches,
} from '#core/units/speaking';
import { capital } from '#core/units/words';

const words: Readonly<Record<keyof Speech, string>> = {
  wind: 'Wind',
  speed: 'Boat, stream and drift',
  distance: 'Distances',
  length: 'Depths and lengths',
  mass: 'Masses and line',
  temperature: 'Temperature',
  volume: 'Water to drink',
  clock: 'Clock',
};

interface Props {
  value: Speech;
  onChange: (value: Speech) => void;
  /** Each of them too; else only the set. */
  each?: boolean;
}

/**
 * Settled here: what I read and type figures in. What would annoy: one strange unit that comes with nine
 * right ones.
 */
export function SpeechFields({ value, onChange, each = false }: Props) {
  const name = speechNameOf(value);
  const id = useId();
  return (
    <>
      <TextField
        id={id}
        select
        fullWidth
        label="Units"
        value={name ?? 'mixed'}
        onChange={(event) => {
          const chosen = speechNames.find((one) => one === event.target.value);
          if (chosen) onChange(speeches[chosen]);
        }}
        helperText="Any unit may be typed behind a figure, whatever stands here."
      >
        {speechNames.map((one) => (
          <MenuItem key={one} value={one}>
            {capital(one)}
          </MenuItem>
        ))}
        {name === null && <MenuItem value="mixed">Mixed, as chosen</MenuItem>}
      </TextField>
      {each &&
        speechFields.map((field) => (
          <TextField
            key={field}
            select
            fullWidth
            label={words[field]}
            value={value[field]}
            onChange={(event) => onChange({ ...value, [field]: event.target.value })}
          >
            {speechChoices[field].map((one) => (
              <MenuItem key={one} value={one}>
                {one}
              </MenuItem>
            ))}
          </TextField>
        ))}
    </>
  );
}
