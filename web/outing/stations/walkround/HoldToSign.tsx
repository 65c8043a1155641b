import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useRef, useState } from 'react';

const HOLD_MS = 1200;

/** Pressed and held, by finger, mouse, space or enter; let go too early, nothing is signed. */
export function HoldToSign({ onSign, disabled }: { onSign: () => void; disabled: boolean }) {
  const [holding, setHolding] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const letGo = () => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    setHolding(false);
  };
  const press = () => {
    if (disabled || timer.current) return;
    setHolding(true);
    timer.current = setTimeout(() => {
      letGo();
      onSign();
    }, HOLD_MS);
  };
  useEffect(() => letGo, []);
  const isHoldKey = (key: string) => key === ' ' || key === 'Enter';
  return (
    <ButtonBase
      disabled={disabled}
      onPointerDown={press}
      onPointerUp={letGo}
      onPointerLeave={letGo}
      onPointerCancel={letGo}
      onContextMenu={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (!isHoldKey(event.key)) return;
        event.preventDefault();
        press();
      }}
      onKeyUp={(event) => {
        if (isHoldKey(event.key)) letGo();
      }}
      onBlur={letGo}
      sx={{
        position: 'relative',
        overflow: 'hidden',
        width: '100%',
        minHeight: 72,
        borderRadius: 1,
        border: 2,
        borderColor: 'text.primary',
        color: 'text.primary',
        fontWeight: 700,
        fontSize: '1.25rem',
        touchAction: 'none',
        userSelect: 'none',
        '&.Mui-disabled': { opacity: 1, color: 'text.secondary', borderColor: 'divider' },
      }}
    >
      <Box
        aria-hidden
        sx={{
          position: 'absolute',
          inset: 0,
          bgcolor: 'text.primary',
          opacity: 0.28,
          transformOrigin: 'left',
          transform: holding ? 'scaleX(1)' : 'scaleX(0)',
          transition: holding ? `transform ${HOLD_MS}ms linear` : 'none',
        }}
      />
      <span style={{ position: 'relative' }}>{holding ? 'Keep holding' : 'Hold to sign'}</span>
    </ButtonBase>
  );
}
