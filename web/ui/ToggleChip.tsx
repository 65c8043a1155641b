import Chip from '@mui/material/Chip';

/** A word that is on or off. */
export function ToggleChip({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <Chip
      label={label}
      clickable
      role="checkbox"
      aria-checked={on}
      variant={on ? 'filled' : 'outlined'}
      onClick={() => onChange(!on)}
      sx={{ minWidth: 48, height: 44, borderRadius: 1, fontWeight: on ? 700 : 400 }}
    />
  );
}
