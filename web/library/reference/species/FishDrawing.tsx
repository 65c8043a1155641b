import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { type Species, heightOf } from '#core/catalog/species/species';
import type { Shape } from '#core/catalog/species/speciesRows';
import { amount, mass } from '#core/units/amount';
import { useWidth } from '../../../ui/timeAxis';

export const metres = (m: number) => (m < 1 ? amount(m * 100, 'cm', 0) : amount(m, 'm', 2));

/** The drawing is no taller than this, px, with its rule. */
const TALLEST = 230;
const NOSE = 4;

/** The usual fish within the largest likely one, nose to nose over one rule, to scale. */
export function FishDrawing({ species }: { species: Species }) {
  const { inks } = useTheme();
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const { largest, usual, shape } = species;
  const step = largest.lengthM > 1.2 ? 0.5 : largest.lengthM > 0.6 ? 0.2 : 0.1;
  const steps = Math.ceil(largest.lengthM / step - 1e-9);
  const most = steps * step;
  const scale = Math.min((width - 40) / most, TALLEST / tallOf[shape](largest));
  const x = (m: number) => NOSE + m * scale;
  const half = (size: Species['usual']) => (tallOf[shape](size) * scale) / 2;
  const middle = half(largest) + 4;
  const rule = middle + half(largest) + 10;
  const words = `Usual to ${metres(usual.lengthM)} and ${mass(usual.massKg)}; largest likely ${metres(largest.lengthM)} and ${mass(largest.massKg)}`;
  const fish = (size: Species['usual']) => outlines[shape](x(size.lengthM), middle, half(size));
  return (
    <Box ref={ref} sx={{ my: 1.5 }}>
      <svg
        width="100%"
        height={rule + 26}
        role="img"
        aria-label={words}
        fill="none"
        style={{ display: 'block' }}
      >
        <g stroke={inks.ink} strokeLinejoin="round">
          <path d={fish(largest)} fill={inks.raised} strokeWidth={1.6} />
          <path d={fish(usual)} strokeWidth={1.2} strokeDasharray="6 4" />
          {shape === 'round' && (
            <circle
              cx={x(largest.lengthM * 0.06)}
              cy={middle - half(largest) * 0.16}
              r={2.6}
              fill={inks.ink}
            />
          )}
        </g>
        <path d={`M${NOSE} ${rule}H${x(most)}`} stroke={inks.slate} />
        {Array.from({ length: steps + 1 }, (_, i) => (
          <g key={i}>
            <path d={`M${x(i * step)} ${rule}v7`} stroke={inks.slate} />
            <text
              x={x(i * step)}
              y={rule + 22}
              fontSize={11}
              textAnchor={i === 0 ? 'start' : 'middle'}
              fill={inks.slate}
            >
              {i === 0 ? '0' : metres(i * step)}
            </text>
          </g>
        ))}
      </svg>
      <Typography>{words}.</Typography>
      <Typography variant="caption" color="textSecondary" component="p">
        Solid: the largest likely. Dashed: the usual.{' '}
        {shape === 'round' ? 'From the side, as tall as its mass makes it' : 'From above'}: a plain outline,
        no portrait.
      </Typography>
    </Box>
  );
}

const tallOf: Record<Shape, (size: Species['usual']) => number> = {
  round: heightOf,
  flat: ({ lengthM }) => lengthM * 0.5,
  ray: ({ lengthM }) => lengthM * 0.62,
};

/** Plain outlines from the nose at the left to `end`, half of `tall` to either side of the line `y`. */
const outlines: Record<Shape, (end: number, y: number, tall: number) => string> = {
  round: (end, y, tall) =>
    mirrored(
      y,
      (way) =>
        `C${end * 0.14} ${y + way * tall * 1.25} ${end * 0.52} ${y + way * tall * 1.22} ${end * 0.86} ${y + way * tall * 0.22}L${end} ${y + way * tall * 0.72}L${end - tall * 0.25} ${y}`,
    ),
  flat: (end, y, tall) =>
    mirrored(
      y,
      (way) =>
        `C${end * 0.06} ${y + way * tall * 0.5} ${end * 0.22} ${y + way * tall} ${end * 0.42} ${y + way * tall}S${end * 0.74} ${y + way * tall * 0.3} ${end * 0.84} ${y + way * tall * 0.18}C${end * 0.9} ${y + way * tall * 0.3} ${end * 0.96} ${y + way * tall * 0.4} ${end} ${y + way * tall * 0.36}L${end - tall * 0.08} ${y}`,
    ),
  ray: (end, y, tall) =>
    mirrored(
      y,
      (way) =>
        `C${end * 0.1} ${y + way * tall * 0.25} ${end * 0.2} ${y + way * tall * 0.8} ${end * 0.32} ${y + way * tall}C${end * 0.4} ${y + way * tall * 0.7} ${end * 0.46} ${y + way * tall * 0.3} ${end * 0.5} ${y + way * tall * 0.12}L${end} ${y}`,
    ),
};

function mirrored(y: number, side: (way: 1 | -1) => string): string {
  return `M4 ${y}${side(-1)}M4 ${y}${side(1)}`;
}
