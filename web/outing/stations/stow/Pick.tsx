import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props {
  label: string;
  value: string;
  options: readonly { value: string; name: string; disabled?: boolean }[];
  onPick: (value: string) => void;
}
/** One choice of few. */
export function Pick({ label, value, options, onPick }: Props) {
  const known = options.some((one) => one.value === value);
  return (
    <TextField
      select
      size="small"
      fullWidth
      label={label}
      value={known ? value : ''}
      onChange={(event) => onPick(event.target.value)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {!known && (
        <MenuItem value="" disabled>
          not yet placed
        </MenuItem>
      )}
      {options.map((one) => (
        <MenuItem
          key={one.value}
          value={one.value}
          disabled={one.disabled ?? false}
          sx={{ whiteSpace: 'normal' }}
        >
          {one.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
