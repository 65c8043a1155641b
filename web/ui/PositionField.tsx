import { UseWhereIAm } from './UseWhereIAm';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Position, parsePosition, sayPosition } from '#core/units/position';

interface Props {
  label: string;
  value: Position | null;
  /** null: what stands in the field is no position. */
  onChange: (value: Position | null) => void;
  /** Said where nothing is typed yet. */
  hint?: string;
  /** Nothing typed is told as a fault too. */
  asked?: boolean;
  /** Waters that are known: which half of the earth is meant is guessed by them alone. */
  known?: readonly Position[];
  /** Where this device is can be taken. */
  here?: boolean;
}

const same = (a: Position | null, b: Position | null) =>
  a === b || (a !== null && b !== null && a.latDeg === b.latDeg && a.lonDeg === b.lonDeg);

/** A position in any usual writing, as typed or pasted; how it was understood stands under it. */
export function PositionField({
  label,
  value,
  onChange,
  hint,
  asked = false,
  known = [],
  here = false,
}: Props) {
  const [text, setText] = useState(value ? sayPosition(value) : '');
  const [told, setTold] = useState(value);
  // Set from elsewhere, by a file or a press on the chart: it is written anew.
  if (!same(told, value)) {
    setTold(value);
    if (value) setText(sayPosition(value));
  }
  const parsed = text.trim() === '' ? null : parsePosition(text, known);
  const why =
    parsed?.is === 'trouble' ? parsed.why : parsed === null && asked ? 'A position is wanted here.' : null;
  const type = (typed: string) => {
    setText(typed);
    const result = typed.trim() === '' ? null : parsePosition(typed, known);
    const next = result?.is === 'position' ? result.position : null;
    setTold(next);
    onChange(next);
  };
  const field = (
    <TextField
      label={label}
      value={text}
      fullWidth
      autoComplete="off"
      error={why !== null}
      helperText={
        why ??
        (parsed?.is === 'position'
          ? `Understood: ${sayPosition(parsed.position)}`
          : parsed?.is === 'open'
            ? 'Which is it? No letter and no minus says so:'
            : (hint ?? 'Degrees, degrees and minutes, or pasted: 47.5012, −18.5034'))
      }
      onChange={(event) => type(event.target.value)}
    />
  );
  if (parsed?.is !== 'open')
    return here ? (
      <Box>
        {field}
        <UseWhereIAm onHere={(at) => type(sayPosition(at))} />
      </Box>
    ) : (
      field
    );
  return (
    <Box>
      {field}
      <Box
        role="group"
        aria-label={`${label}: which is meant`}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}
      >
        {parsed.choices.map((choice) => (
          <Button
            key={sayPosition(choice)}
            size="small"
            variant="outlined"
            onClick={() => type(sayPosition(choice))}
          >
            {sayPosition(choice)}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
