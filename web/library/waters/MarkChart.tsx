import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useTheme } from '@mui/material/styles';
import { type PointerEvent, useState } from 'react';
import type { Chart } from '#core/documents/chart';
import type { Mark } from '#core/editing/waterFrom';
import { distanceBetween, fromPlane, toPlane } from '#core/environment/geo';
import type { Position } from '#core/units/position';
import { distance } from '#core/units/amount';

const SIZE = 420;
const GRID = 4;
/** Half the side of the chart, m. */
const MOST_REACH_M = 20_000;
const REACHES = [250, 500, 1000, 2000, 5000, 10_000, MOST_REACH_M];
/** Until another is chosen: or as much more as the marks want. */
const USUAL_REACH_M = 1000;

interface Props {
  centre: Position;
  marks: readonly Mark[];
  chart: Chart;
  onMark: (at: Position) => void;
  onShore: (points: readonly Position[]) => void;
}

/**
 * A blank chart with a grid about the launch: a press sets a mark, or a point of the shore while one is
 * drawn.
 */
export function MarkChart({ centre, marks, chart, onMark, onShore }: Props) {
  const { inks } = useTheme();
  const [chosen, setReach] = useState<number | null>(null);
  const out = Math.max(...marks.map((mark) => distanceBetween(centre, mark.at)), 0);
  const reach =
    chosen ?? REACHES.find((metres) => metres >= Math.max(USUAL_REACH_M, out * 1.1)) ?? MOST_REACH_M;
  const [shore, setShore] = useState<readonly Position[] | null>(null);
  const scale = SIZE / 2 / reach;
  const at = (place: Position) => {
    const { x, y } = toPlane(centre, place);
    return { x: SIZE / 2 + x * scale, y: SIZE / 2 - y * scale };
  };
  const press = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const k = SIZE / box.width;
    const place = fromPlane(centre, {
      x: ((event.clientX - box.left) * k - SIZE / 2) / scale,
      y: (SIZE / 2 - (event.clientY - box.top) * k) / scale,
    });
    if (shore === null) onMark(place);
    else setShore([...shore, place]);
  };
  const line = (points: readonly Position[]) =>
    points
      .map(at)
      .map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
      .join('');
  const step = reach / GRID;
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 1 }}>
        <TextField
          select
          size="small"
          label="From the launch to the edge"
          value={reach}
          onChange={(event) => setReach(Number(event.target.value))}
          sx={{ width: 220 }}
        >
          {REACHES.map((metres) => (
            <MenuItem key={metres} value={metres}>
              {distance(metres)}
            </MenuItem>
          ))}
        </TextField>
        {shore === null ? (
          <Button variant="outlined" onClick={() => setShore([])}>
            Draw the shore
          </Button>
        ) : (
          <>
            <Button
              variant="contained"
              disabled={shore.length < 2}
              onClick={() => {
                onShore(shore);
                setShore(null);
              }}
            >
              The shore is drawn
            </Button>
            <Button onClick={() => setShore(shore.slice(0, -1))} disabled={shore.length === 0}>
              Last point back
            </Button>
            <Button onClick={() => setShore(null)}>Leave it</Button>
          </>
        )}
      </Box>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        style={{
          width: '100%',
          maxWidth: SIZE,
          display: 'block',
          cursor: 'crosshair',
          touchAction: 'manipulation',
        }}
        role="img"
        aria-label={`A grid about the launch, a line every ${distance(step)}. ${marks.length} marks.`}
        onPointerUp={press}
      >
        <rect
          width={SIZE}
          height={SIZE}
          fill={`color-mix(in srgb, ${inks.tide} 8%, ${inks.paper})`}
          stroke={inks.rule}
        />
        {Array.from({ length: 2 * GRID - 1 }, (_, i) => ((i + 1) * SIZE) / (2 * GRID)).map((v) => (
          <path
            key={v}
            d={`M${v} 0V${SIZE}M0 ${v}H${SIZE}`}
            stroke={inks.rule}
            strokeWidth={v === SIZE / 2 ? 1.4 : 0.6}
          />
        ))}
        <text x={SIZE / 2 + 4} y={13} fontSize={12} fill={inks.slate}>
          N
        </text>
        <text x={6} y={SIZE - 7} fontSize={12} fill={inks.slate}>
          a square is {distance(step)}
        </text>
        {chart.features.map(({ geometry }, i) =>
          (geometry.type === 'Polygon' ? geometry.coordinates : [geometry.coordinates]).map((ring, j) => (
            <path
              key={`${i} ${j}`}
              d={line(ring.map(([lonDeg, latDeg]) => ({ latDeg, lonDeg })))}
              fill="none"
              stroke={inks.ink}
              strokeWidth={2}
            />
          )),
        )}
        {shore && shore.length > 0 && (
          <>
            <path d={line(shore)} fill="none" stroke={inks.kelp} strokeWidth={2.5} />
            {shore.map((point, i) => {
              const { x, y } = at(point);
              return <circle key={i} cx={x} cy={y} r={4} fill={inks.kelp} />;
            })}
          </>
        )}
        {[{ name: 'launch', at: centre }, ...marks].map((mark, i) => {
          const { x, y } = at(mark.at);
          const right = x < SIZE * 0.7;
          return (
            <g key={i}>
              <circle cx={x} cy={y} r={i === 0 ? 6 : 5} fill={i === 0 ? inks.ink : inks.ochre} />
              <text
                x={x + (right ? 9 : -9)}
                y={y + 4}
                fontSize={12}
                fill={inks.ink}
                textAnchor={right ? 'start' : 'end'}
              >
                {mark.name}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
