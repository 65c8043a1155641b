import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Position } from '#core/units/position';

const REFUSALS: Readonly<Record<number, string>> = {
  1: 'This browser was told not to say where it is.',
  2: 'This device does not know where it is.',
  3: 'This device took too long to find out where it is.',
};
const WAITED_MS = 20_000;
/** Takes where this device is, once, when it is pressed. */
export function UseWhereIAm({
  onHere,
  name = 'Use where I am',
  else: otherwise = 'Type it, or take it from a map.',
  large = false,
}: {
  onHere: (at: Position) => void;
  name?: string;
  /** What to do where the device does not say. */
  else?: string;
  large?: boolean;
}) {
  const [state, setState] = useState<string | null>(null);
  const ask = () => {
    if (!('geolocation' in navigator)) {
      setState('This browser does not say where it is.');
      return;
    }
    setState('asking');
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        setState(null);
        onHere({ latDeg: coords.latitude, lonDeg: coords.longitude });
      },
      ({ code }) => setState(`${REFUSALS[code] ?? 'It cannot be found out here.'} ${otherwise}`),
      { enableHighAccuracy: true, timeout: WAITED_MS },
    );
  };
  return (
    <Box>
      <Button
        size={large ? 'large' : 'small'}
        variant={large ? 'contained' : 'text'}
        sx={large ? { minHeight: 56 } : {}}
        onClick={ask}
        disabled={state === 'asking'}
      >
        {state === 'asking' ? 'Finding out …' : name}
      </Button>
      {state !== null && state !== 'asking' && (
        <Typography variant="body2" color="error" role="status">
          {state}
        </Typography>
      )}
    </Box>
  );
}
