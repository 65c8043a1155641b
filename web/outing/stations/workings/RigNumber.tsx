import Box from '@mui/material/Box';
import { useState } from 'react';
import { amountTyped, parseAmount, unitName } from '#core/units/amount';

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
  const [text, setText] = useState(() => amountTyped(value, unit));
  const [told, setTold] = useState(value);
  if (told !== value) {
    setTold(value);
    setText(amountTyped(value, unit));
  }
  return (
    <>
      <Box
        component="input"
        inputMode="decimal"
        aria-label={label}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          const read = parseAmount(event.target.value, unit);
          const next = read.is === 'amount' ? read.value : null;
          if (next === null || next < least || next > most) return;
          setTold(next);
          onChange(next);
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
      {unit !== '' && ` ${unitName(unit)}`}
    </>
  );
}
