import { useTheme } from '@mui/material/styles';
import { FETCH_BEARINGS } from '#core/documents/water';
import { distance } from '#core/units/amount';

const names = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
];
const SIZE = 200;

/**
 * The open water upwind for each of sixteen bearings, as a star; long fetches are drawn by their logarithm.
 */
export function Fetch({ fetchM }: { fetchM: readonly number[] }) {
  const { inks } = useTheme();
  const centre = SIZE / 2;
  const reach = (metres: number) =>
    Math.max(0.06, Math.log10(Math.max(100, metres) / 100) / Math.log10(3000)) * 72;
  const at = (i: number, radius: number) => {
    const angle = (i / FETCH_BEARINGS) * 2 * Math.PI;
    return [centre + radius * Math.sin(angle), centre - radius * Math.cos(angle)] as const;
  };
  const outline = fetchM
    .map((metres, i) =>
      at(i, reach(metres))
        .map((v) => v.toFixed(1))
        .join(' '),
    )
    .join('L');
  const longest = fetchM.indexOf(Math.max(...fetchM));
  const words = `Longest from ${names[longest] ?? ''}: ${distance(fetchM[longest] ?? 0)}`;
  return (
    <figure style={{ margin: 0 }}>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={fetchM.map((metres, i) => `${names[i] ?? ''} ${distance(metres)}`).join(', ')}
      >
        <circle cx={centre} cy={centre} r={72} fill="none" stroke={inks.rule} />
        <path
          d={`M${outline}Z`}
          fill={inks.tide}
          fillOpacity={0.16}
          stroke={inks.tide}
          strokeWidth={1.6}
          strokeLinejoin="round"
        />
        {[0, 4, 8, 12].map((i) => {
          const [x, y] = at(i, 88);
          return (
            <text key={i} x={x} y={y + 4} fontSize={12} textAnchor="middle" fill={inks.slate}>
              {names[i]}
            </text>
          );
        })}
      </svg>
      <figcaption style={{ fontSize: '0.9rem' }}>{words}</figcaption>
    </figure>
  );
}
