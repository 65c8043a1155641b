import { useTheme } from '@mui/material/styles';
import { memo } from 'react';
import type { GearForm } from '#core/catalog/gear/forms';
import { type Stroke, type Wash, drawings } from './drawings';
import { washOf } from './washOf';

interface Props {
  form: GearForm;
  view: 'above' | 'side';
  /** Its middle, and how long and wide it is, px. */
  x: number;
  y: number;
  longPx: number;
  widePx: number;
  /** How far its right end is turned upwards in the drawing, degrees: 90 stands, or lies across. */
  turnedDeg?: number;
  stroke: string;
  strokeWidth?: number;
  dashed?: boolean;
}

/** So wide is the narrowest drawing, px: what is thinner is still seen. */
const LEAST_PX = 5;

/** A thing as it looks, to scale, in the ink and washes of the house. */
export const GearDrawing = memo(function GearDrawing({
  form,
  view,
  x,
  y,
  longPx,
  widePx,
  turnedDeg = 0,
  stroke,
  strokeWidth = 1.2,
  dashed = false,
}: Props) {
  const { inks } = useTheme();
  const [long, wide] = [Math.max(longPx, LEAST_PX), Math.max(widePx, LEAST_PX)];
  const washes: Record<Wash, string> = {
    paper: inks.raised,
    tide: washOf(inks.tide, inks.raised),
    kelp: washOf(inks.kelp, inks.raised),
    clay: washOf(inks.clay, inks.raised),
    ochre: washOf(inks.ochre, inks.raised),
    sand: washOf(inks.slate, inks.raised),
    ink: inks.ink,
    none: 'none',
  };
  const picture = drawings[form];
  const strokes = (view === 'side' ? picture.side : null) ?? picture.above;
  return (
    <g
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})${turnedDeg === 0 ? '' : ` rotate(${(-turnedDeg).toFixed(1)})`}`}
      stroke={stroke}
      strokeWidth={strokeWidth}
      strokeDasharray={dashed ? '3 2' : undefined}
      strokeLinejoin="round"
      strokeLinecap="round"
      pointerEvents="none"
    >
      {strokes.map((one, i) => (
        // The strokes of a form never change their order.
        <Line key={i} one={one} long={long} wide={wide} fill={washes[one.fill]} width={strokeWidth} />
      ))}
    </g>
  );
});

function Line({
  one,
  long,
  wide,
  fill,
  width,
}: {
  one: Stroke;
  long: number;
  wide: number;
  fill: string;
  width: number;
}) {
  const strokeWidth = one.thin ? width * 0.75 : width;
  if ('d' in one) return <path d={scaled(one.d, long, wide)} fill={fill} strokeWidth={strokeWidth} />;
  return (
    <circle
      cx={(one.at[0] * long).toFixed(1)}
      cy={(one.at[1] * wide).toFixed(1)}
      r={Math.max(1, one.r * Math.min(long, wide)).toFixed(1)}
      fill={fill}
      strokeWidth={strokeWidth}
    />
  );
}

/** A path in shares of length and width as one in px. */
function scaled(path: string, long: number, wide: number): string {
  return path.replace(
    /(-?[\d.]+),(-?[\d.]+)/g,
    (_, x: string, y: string) => `${(Number(x) * long).toFixed(1)} ${(Number(y) * wide).toFixed(1)}`,
  );
}
