import TextField from '@mui/material/TextField';

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  error?: string | null;
  /** What the browser may fill in. */
  fill: 'username' | 'current-password' | 'new-password' | 'off';
  help?: string;
}
/** A field of whoever comes in: the browser's own keeper of passwords knows what it is. */
export function Secret({ label, value, onChange, error = null, fill, help = '' }: Props) {
  const hidden = fill === 'current-password' || fill === 'new-password';
  return (
    <TextField
      label={label}
      type={hidden ? 'password' : 'text'}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={error !== null}
      helperText={error ?? help}
      autoComplete={fill}
      slotProps={{ htmlInput: { maxLength: 200, autoCapitalize: 'none' } }}
    />
  );
}
