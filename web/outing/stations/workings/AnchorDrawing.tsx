import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { linesOf } from '#core/boat/drawing';
import type { Craft } from '#core/documents/craft';
import type { AnchorHour } from '#core/holding/anchorSheet';
import { amount } from '#core/units/amount';
import { figure } from '#core/units/words';
import { pathThrough } from '../../../ui/boat/scale';
import { useWidth } from '../../../ui/timeAxis';

/** So long, px, and so deep in the water, m, a boat is drawn at least. */
const LEAST_BOAT = 76;
const DRAFT_M = 0.1;

interface Props {
  craft: Craft;
  at: AnchorHour;
  anchor: string;
  rodeM: number;
  attachM: number;
  buoyed: boolean;
}

/**
 * Depth, rode and boat to one scale; the rode is the straight line that the sum uses, not the curve that it
 * is.
 */
export function AnchorDrawing({ craft, at: { hour, sum }, anchor, rodeM, attachM, buoyed }: Props) {
  const { inks } = useTheme();
  const [ref, width] = useWidth<HTMLDivElement>(640);
  const vertical = hour.depthM + attachM;
  const out = Math.min(rodeM, sum.scope * vertical);
  const reach = Math.sqrt(Math.max(0, out * out - vertical * vertical));
  const scale = Math.min((width - 130) / (reach + 5), 150 / Math.max(vertical, 1));
  const water = 52;
  const bottom = water + hour.depthM * scale;
  const boat = { x: LEAST_BOAT + 14, y: water - attachM * scale };
  const end =
    sum.scope < 1 ? { x: boat.x, y: boat.y + rodeM * scale } : { x: boat.x + reach * scale, y: bottom };
  const height = bottom + 46;
  // The boat in its own shape, drawn larger where to the scale of the depth it would be a stroke.
  const hullScale = Math.max(LEAST_BOAT / craft.lengthM, scale);
  const { keel, sheer } = linesOf(craft);
  const side = [...keel, ...sheer.toReversed()].map(
    ({ xM, zM }) => [boat.x - (craft.lengthM - xM) * hullScale, water - (zM - DRAFT_M) * hullScale] as const,
  );
  const words = `Boat at anchor in ${amount(hour.depthM, 'm')} of water on ${amount(out, 'm')} of rode, scope ${figure(sum.scope)}; one scale for depth and rode`;
  return (
    <Box ref={ref} sx={{ mb: 2, borderBottom: 1, borderColor: 'text.primary' }}>
      <svg
        width="100%"
        height={height}
        role="img"
        aria-label={words}
        fill="none"
        style={{ display: 'block' }}
      >
        <rect
          x={0}
          y={bottom}
          width={width}
          height={height - bottom}
          fill={`color-mix(in srgb, ${inks.ochre} 16%, ${inks.paper})`}
        />
        <path d={`M0 ${bottom}H${width}`} stroke={inks.ink} />
        <path d={`M0 ${water}H${width}`} stroke={inks.tide} strokeWidth={2} />
        {hour.tideM > 0 && (
          <>
            <path d={`M0 ${water + hour.tideM * scale}H${width}`} stroke={inks.tide} strokeDasharray="4 5" />
            <text
              x={width - 6}
              y={water + hour.tideM * scale + 14}
              fontSize={12}
              fill={inks.tide}
              textAnchor="end"
            >
              chart datum, {amount(hour.tideM, 'm')} of tide over it
            </text>
          </>
        )}
        <path
          d={pathThrough(side, true)}
          stroke={inks.ink}
          strokeWidth={1.8}
          strokeLinejoin="round"
          fill={inks.paper}
        />
        <path d={`M${boat.x} ${boat.y}L${end.x} ${end.y}`} stroke={inks.ink} strokeWidth={1.8} />
        {buoyed && <circle cx={boat.x + 7} cy={boat.y + 3} r={5} fill={inks.clay} />}
        <path
          d={`M${end.x - 9} ${end.y - 4}l9 4l-3 9M${end.x} ${end.y}l9 3`}
          stroke={inks.ink}
          strokeWidth={2}
        />
        <text x={width / 2} y={22} fontSize={14} fontWeight={700} fill={inks.ink} textAnchor="middle">
          {amount(out, 'm')} of rode, scope {figure(sum.scope)}
        </text>
        <path d={`M18 ${water + 3}V${bottom - 3}`} stroke={inks.slate} />
        <text x={24} y={(water + bottom) / 2 + 4} fontSize={12} fill={inks.slate}>
          {amount(hour.depthM, 'm')}
        </text>
        <text
          x={Math.min(end.x, width - 8)}
          y={bottom + 30}
          fontSize={12}
          fill={inks.slate}
          textAnchor={end.x > width / 2 ? 'end' : 'start'}
        >
          {anchor}
        </text>
      </svg>
    </Box>
  );
}
