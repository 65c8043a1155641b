import Box from '@mui/material/Box';

interface RigNumberProps {
  label: string;
  value: number;
  unit: string;
  most: number;
  least?: number;
  onChange: (value: number) => void;
}
/** A number of the rig itself: it belongs to the outing and is kept as it is written. */
export function RigNumber({ label, value, unit, most, least = 0, onChange }: RigNumberProps) {
  return (
    <>
      <Box
        component="input"
        type="number"
        aria-label={label}
        value={value}
        min={least}
        max={most}
        step="any"
        onChange={(event) => {
          const next = event.target.valueAsNumber;
          if (next >= least && next <= most) onChange(next);
        }}
        sx={{
          font: 'inherit',
          fontWeight: 700,
          color: 'primary.main',
          width: '5.5ch',
          minHeight: 32,
          p: 0,
          border: 0,
          borderBottom: '2px dotted',
          borderColor: 'currentColor',
          bgcolor: 'transparent',
          textAlign: 'center',
        }}
      />
      {unit !== '' && ` ${unit}`}
    </>
  );
}
