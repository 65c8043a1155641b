import { useTheme } from '@mui/material/styles';
import type { TimeAxis } from '../../../../ui/timeAxis';
import { placeOnLevel } from './layout';

/** A band's name and its unit, at its left. */
export function Name({ y, text, unit, colour }: { y: number; text: string; unit: string; colour: string }) {
  const { inks } = useTheme();
  return (
    <text x={0} y={y} fontSize={12.5} fill={colour}>
      {text}
      <tspan x={0} dy={14} fontSize={11} fill={inks.slate}>
        {unit}
      </tspan>
    </text>
  );
}

/** What a band has nothing to draw of, in words. */
export function Unknown({
  axis,
  y,
  text,
  uprights,
}: {
  axis: TimeAxis;
  y: number;
  text: string;
  uprights: readonly number[];
}) {
  const { inks } = useTheme();
  return (
    <text
      x={placeOnLevel(text, y, axis, uprights, [], 'left')}
      y={y}
      fontSize={12}
      fill={inks.slate}
      paintOrder="stroke"
      stroke={inks.paper}
      strokeWidth={4}
    >
      {text}
    </text>
  );
}

/** The angler's own limit. */
export function Limit({ axis, y }: { axis: TimeAxis; y: number }) {
  const { inks } = useTheme();
  return (
    <line
      x1={axis.left}
      x2={axis.right}
      y1={y}
      y2={y}
      stroke={inks.ochre}
      strokeDasharray="6 4"
      strokeWidth={1.2}
    />
  );
}

/** So far above its line the limit's name stands, px. */
export const OVER_LIMIT = 4;

/** The limit's name, drawn over every line, so that none runs through it. */
export function LimitName({ x, y, text }: { x: number; y: number; text: string }) {
  const { inks } = useTheme();
  return (
    <text x={x} y={y} fontSize={12} fill={inks.ochre} paintOrder="stroke" stroke={inks.paper} strokeWidth={4}>
      {text}
    </text>
  );
}
