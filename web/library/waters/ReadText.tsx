import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Imported } from '#core/exchange/imported';
import { useToast } from '../../ui/Toast';
import { useOnLeave } from '../../ui/useOnLeave';

interface Props<T> {
  label: string;
  placeholder: string;
  /** What stands under the empty field. */
  hint: string;
  text: string;
  /** What was made of it; null: nothing is typed. */
  read: Imported<T> | null;
  /** How it was understood, in words. */
  understood: (value: T) => string;
  maxRows: number;
  onChange: (text: string) => void;
}

/** A table as people paste it: how it was understood stands under it, and line by line what was not. */
export function ReadText<T>({
  label,
  placeholder,
  hint,
  text,
  read,
  understood,
  maxRows,
  onChange,
}: Props<T>) {
  const say = useToast();
  // What was not taken is not let go of in silence.
  useOnLeave(() => {
    if (read !== null && !read.taken) say(`${label}: what was written was not taken. ${read.why}`);
  });
  return (
    <>
      <TextField
        label={label}
        placeholder={placeholder}
        value={text}
        multiline
        minRows={3}
        maxRows={maxRows}
        fullWidth
        error={read !== null && !read.taken}
        helperText={read === null ? hint : read.taken ? `Understood: ${understood(read.value)}.` : read.why}
        onChange={(event) => onChange(event.target.value)}
        slotProps={{ htmlInput: { style: { fontFamily: 'monospace', fontSize: 14 } } }}
      />
      {read?.taken &&
        read.troubles.map((line) => (
          <Typography key={line} variant="body2" color="error">
            {line}
          </Typography>
        ))}
    </>
  );
}
