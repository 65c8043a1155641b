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
}

const same = (a: Position | null, b: Position | null) =>
  a === b || (a !== null && b !== null && a.latDeg === b.latDeg && a.lonDeg === b.lonDeg);

/** A position in any usual writing, as typed or pasted; how it was understood stands under it. */
export function PositionField({ label, value, onChange, hint, asked = false }: Props) {
  const [text, setText] = useState(value ? sayPosition(value) : '');
  const [told, setTold] = useState(value);
  // Set from elsewhere, by a file or a press on the chart: it is written anew.
  if (!same(told, value)) {
    setTold(value);
    if (value) setText(sayPosition(value));
  }
  const parsed = text.trim() === '' ? null : parsePosition(text);
  const why = parsed?.is === 'trouble' ? parsed.why : parsed === null && asked ? 'A position is wanted here.' : null;
  return (
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
          : (hint ?? 'Degrees, degrees and minutes, or pasted: 47.5012, −18.5034'))
      }
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        const result = typed.trim() === '' ? null : parsePosition(typed);
        const next = result?.is === 'position' ? result.position : null;
        setTold(next);
        onChange(next);
      }}
    />
  );
}
