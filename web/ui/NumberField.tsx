import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

interface NumberProps {
  label: string;
  unit: string;
  value: number | null;
  onChange: (value: number | null) => void;
  error?: string | undefined;
  size?: 'small' | 'medium';
  /** In a table: no box and no label, which is spoken instead. */
  inTable?: boolean;
  disabled?: boolean;
}

function written(value: number | null): string {
  return value === null || Number.isNaN(value) ? '' : String(value);
}

/** A number with its unit. What is typed stays as typed; empty is null, and what is no number is NaN, for the schema to refuse. */
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
  const [text, setText] = useState(written(value));
  const [told, setTold] = useState(value);
  if (!Object.is(told, value)) {
    setTold(value);
    setText(written(value));
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
        const plain = typed.trim().replace(',', '.').replace('−', '-');
        const next = plain === '' ? null : Number(plain);
        setTold(next);
        onChange(next);
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          ...(inTable ? { 'aria-label': label, style: { minHeight: 32, padding: '2px 4px' } } : {}),
        },
        input: unit === '' ? {} : { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> },
      }}
    />
  );
}
