import { useTheme } from '@mui/material/styles';
import { alongBoat, type PlaceId } from '#core/catalog/gear/places';
import type { Craft } from '#core/documents/craft';

const WIDTH = 340;

/** The boat from above, to its own proportions, bow to the right, with the place to stand. */
export function BoatOutline({ craft, place }: { craft: Craft; place: PlaceId }) {
  const { inks } = useTheme();
  const along = alongBoat[place];
  const half = Math.max(26, (WIDTH * craft.beamM) / craft.lengthM / 2);
  const mid = half + 14;
  const stern = 6;
  const bow = WIDTH - 6;
  const here = along === null ? null : stern + along * (bow - stern);
  const side = (y: number) =>
    `C${stern + 4} ${mid + y * 0.8} ${WIDTH * 0.2} ${mid + y} ${WIDTH * 0.46} ${mid + y} C${WIDTH * 0.7} ${mid + y} ${bow - 50} ${mid + y * 0.5} ${bow} ${mid}`;
  const hull = `M${stern} ${mid} ${side(-half)} M${stern} ${mid} ${side(half)}`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${mid * 2}`}
      width="100%"
      role="img"
      aria-label={along === null ? `${craft.name} from above` : `${craft.name} from above, with the place to look at`}
      fill="none"
    >
      <path d={hull} stroke={inks.slate} strokeWidth={1.8} />
      <rect
        x={WIDTH * 0.37}
        y={mid - half * 0.52}
        width={WIDTH * 0.13}
        height={half * 1.04}
        rx={6}
        stroke={inks.rule}
        strokeWidth={1.5}
      />
      <rect
        x={WIDTH * 0.14}
        y={mid - half * 0.45}
        width={WIDTH * 0.17}
        height={half * 0.9}
        rx={4}
        stroke={inks.rule}
        strokeWidth={1.5}
        strokeDasharray="4 4"
      />
      {craft.drive !== 'paddle' && (
        <ellipse cx={WIDTH * 0.58} cy={mid} rx={9} ry={half * 0.34} stroke={inks.rule} strokeWidth={1.5} />
      )}
      <text x={bow - 4} y={12} textAnchor="end" fontSize={12} fill={inks.slate}>
        bow
      </text>
      {here !== null && (
        <>
          <circle cx={here} cy={mid} r={14} stroke={inks.ink} strokeWidth={3} />
          <circle cx={here} cy={mid} r={4} fill={inks.ink} />
          <text
            x={here > WIDTH * 0.8 ? here - 22 : here + 20}
            y={mid - 12}
            textAnchor={here > WIDTH * 0.8 ? 'end' : 'start'}
            fontSize={13}
            fill={inks.ink}
          >
            here
          </text>
        </>
      )}
    </svg>
  );
}
