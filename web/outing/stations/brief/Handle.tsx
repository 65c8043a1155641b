import { useTheme } from '@mui/material/styles';
import { useRef } from 'react';
import type { PlacedName } from './strip/layout';

interface Props {
  name: string;
  clock: string;
  /** Where it stands on the axis, in minutes from its start. */
  minutes: number;
  most: number;
  x: number;
  top: number;
  bottom: number;
  filled: boolean;
  /** Where its name stands: from where, px, and in which row above the bands. */
  named: PlacedName;
  onHold: (on: boolean) => void;
  onMove: (x: number) => void;
  onStep: (minutes: number) => void;
}

const keySteps: Record<string, number> = {
  ArrowLeft: -5,
  ArrowRight: 5,
  ArrowDown: -5,
  ArrowUp: 5,
  PageDown: -30,
  PageUp: 30,
};
const REACH = 22;

/**
 * A handle on the time axis: dragged by finger or mouse, stepped by arrows (5 minutes) and page keys (30).
 */
export function Handle({
  name,
  clock,
  minutes,
  most,
  x,
  top,
  bottom,
  filled,
  named,
  onHold,
  onMove,
  onStep,
}: Props) {
  const { inks } = useTheme();
  const frame = useRef(0);
  const holding = useRef(false);
  const end = () => {
    if (!holding.current) return;
    holding.current = false;
    cancelAnimationFrame(frame.current);
    onHold(false);
  };
  const text = `${name} ${clock}`;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuenow={Math.min(most, Math.max(0, minutes))}
      aria-valuetext={clock}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        holding.current = true;
        onHold(true);
      }}
      onPointerMove={(event) => {
        if (!holding.current) return;
        const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
        const px = event.clientX - (box?.left ?? 0);
        cancelAnimationFrame(frame.current);
        frame.current = requestAnimationFrame(() => onMove(px));
      }}
      onPointerUp={end}
      onPointerCancel={end}
      onLostPointerCapture={end}
      onKeyDown={(event) => {
        const step = keySteps[event.key];
        if (step === undefined) return;
        event.preventDefault();
        onStep(step);
      }}
    >
      <rect x={x - REACH} y={bottom - REACH} width={REACH * 2} height={REACH * 2} fill="transparent" />
      <line x1={x} x2={x} y1={top - 18 - named.row * 16} y2={bottom} stroke={inks.ink} strokeWidth={2} />
      <circle
        cx={x}
        cy={bottom}
        r={8}
        fill={filled ? inks.ink : inks.paper}
        stroke={inks.ink}
        strokeWidth={2.2}
      />
      <text
        x={named.start}
        y={top - 6 - named.row * 16}
        fontSize={12.5}
        fontWeight={700}
        fill={inks.ink}
        paintOrder="stroke"
        stroke={inks.paper}
        strokeWidth={4}
      >
        {text}
      </text>
    </g>
  );
}
