import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { amountTyped, parseAmount, unitName } from '#core/units/amount';

interface NumberProps {
  label: string;
  /** The unit it is kept in. */
  unit: string;
  value: number | null;
  onChange: (value: number | null) => void;
  error?: string | undefined;
  size?: 'small' | 'medium';
  /** In a table: no box, no unit and no label, which is spoken instead. */
  inTable?: boolean;
  disabled?: boolean;
}

/**
 * A number with its unit, shown and typed in the reader's: "12 lb", "6'2\"" and "F4" are understood, and kept
 * in the unit named. What is typed stays as typed; empty is null, and what is no number is NaN, for the
 * schema to refuse.
 */
export function NumberField({
  label,
  unit,
  value,
  onChange,
  error,
  size = 'medium',
  inTable = false,
  disabled = false,
}: NumberProps) {
  const [text, setText] = useState(() => amountTyped(value, unit));
  const [told, setTold] = useState(value);
  const shown = unitName(unit);
  const [toldIn, setToldIn] = useState(shown);
  if (!Object.is(told, value) || toldIn !== shown) {
    setTold(value);
    setToldIn(shown);
    setText(amountTyped(value, unit));
  }
  return (
    <TextField
      label={inTable ? undefined : label}
      variant={inTable ? 'standard' : 'outlined'}
      value={text}
      size={size}
      fullWidth
      disabled={disabled}
      error={error !== undefined}
      helperText={error}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        const read = parseAmount(typed, unit);
        const next = read.is === 'amount' ? read.value : NaN;
        setTold(next);
        onChange(next);
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          ...(inTable ? { 'aria-label': label, style: { minHeight: 32, padding: '2px 4px' } } : {}),
        },
        input:
          inTable || shown === ''
            ? {}
            : { endAdornment: <InputAdornment position="end">{shown}</InputAdornment> },
      }}
    />
  );
}
