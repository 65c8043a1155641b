import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { amountTyped, parseAmount, unitName } from '#core/units/amount';
import { useTyped } from './useTyped';

interface NumberProps {
  label: string;
  /** The unit it is kept in. */
  unit: string;
  value: number | null;
  onChange: (value: number | null) => void;
  /** What was typed is no number: a form is not sent with it. */
  onRefused?: () => void;
  /** Of what a press keeps afterwards: taken as it is typed, so that the press says what it keeps. */
  live?: boolean;
  error?: string | undefined;
  size?: 'small' | 'medium';
  /** In a table: no box, no unit and no label, which is spoken instead. */
  inTable?: boolean;
  disabled?: boolean;
}

/**
 * A number with its unit, shown and typed in the reader's: "12 lb", "6'2\"" and "F4" are understood, and kept
 * in the unit named. It is taken when one goes on from the field, never digit by digit; empty is null, and
 * what is no number stays in the field with what is wrong.
 */
export function NumberField({
  label,
  unit,
  value,
  onChange,
  onRefused,
  live = false,
  error,
  size = 'medium',
  inTable = false,
  disabled = false,
}: NumberProps) {
  const shown = unitName(unit);
  const { text, type, refusal, commit, isTyped } = useTyped<number | null>({
    label,
    shown: amountTyped(value, unit),
    read: (typed) => {
      const read = parseAmount(typed, unit);
      return read.is === 'amount' ? read.value : undefined;
    },
    onTake: onChange,
    onRefused,
    allowed: 'A number.',
  });
  const read = parseAmount(text, unit);
  // What was wrong before is no longer said once a number is typed: gone only with the field, it would move
  // what is just being pressed. A form says what is allowed; where nothing does, what is wrong.
  const isMending = isTyped && read.is === 'amount';
  const why = refusal !== null && read.is === 'trouble' ? read.why : undefined;
  const trouble = isMending ? undefined : (error ?? why);
  return (
    <TextField
      label={inTable ? undefined : label}
      variant={inTable ? 'standard' : 'outlined'}
      value={text}
      size={size}
      fullWidth
      disabled={disabled}
      error={trouble !== undefined}
      helperText={trouble}
      onChange={(event) => {
        type(event.target.value);
        const now = live ? parseAmount(event.target.value, unit) : null;
        if (now?.is === 'amount') onChange(now.value);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        // A form is not sent with a figure that could not be taken.
        if (event.key === 'Enter' && !commit()) event.preventDefault();
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
