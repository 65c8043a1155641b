import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { type PointerEvent, useState } from 'react';
import type { Chart } from '#core/documents/chart';
import { type Corner, LEAST_CORNERS, cornersOf, withCorner, withShore } from '#core/editing/shore';
import type { Mark } from '#core/editing/waterFrom';
import { distanceBetween, fromPlane, toPlane } from '#core/environment/geo';
import type { Position } from '#core/units/position';
import { distance } from '#core/units/amount';

const SIZE = 420;
const GRID = 4;
/** A press selects a corner within this distance, in units of the drawing. */
const NEAR = 16;
/** Half the side of the chart, m. */
const MOST_REACH_M = 20_000;
const REACHES = [250, 500, 1000, 2000, 5000, 10_000, MOST_REACH_M];
/** Until another is chosen: or as much more as the marks want. */
const USUAL_REACH_M = 1000;

type Activity =
  | { is: 'marking' }
  | { is: 'drawing'; points: readonly Position[] }
  | { is: 'editing'; corner: Corner | null };

interface Props {
  centre: Position;
  marks: readonly Mark[];
  chart: Chart;
  /** A lake: its shore goes all round. */
  closes: boolean;
  /** Left out: presses set no marks. */
  onMark?: (at: Position) => void;
  onChart: (chart: Chart) => void;
}

/**
 * A blank chart with a grid about the launch: a press sets a mark, a point of the shore while one is drawn,
 * or takes up a corner of it and puts it elsewhere.
 */
export function MarkChart({ centre, marks, chart, closes, onMark, onChart }: Props) {
  const { inks } = useTheme();
  const [chosen, setReach] = useState<number | null>(null);
  const [activity, setActivity] = useState<Activity>({ is: 'marking' });
  const [history, setHistory] = useState<readonly Chart[]>([]);
  const change = (next: Chart) => {
    setHistory([...history, chart]);
    onChart(next);
  };
  const corners = cornersOf(chart);
  // Fixed when the chart opens: a scale that changed while drawing would move the points under the finger.
  const [shoreOut] = useState(() => farthest(centre, corners));
  const out = Math.max(farthest(centre, marks), shoreOut);
  const reach =
    chosen ?? REACHES.find((metres) => metres >= Math.max(USUAL_REACH_M, out * 1.1)) ?? MOST_REACH_M;
  const scale = SIZE / 2 / reach;
  const at = (place: Position) => {
    const { x, y } = toPlane(centre, place);
    return { x: SIZE / 2 + x * scale, y: SIZE / 2 - y * scale };
  };
  const press = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const k = SIZE / box.width;
    const [x, y] = [(event.clientX - box.left) * k, (event.clientY - box.top) * k];
    const place = fromPlane(centre, { x: (x - SIZE / 2) / scale, y: (SIZE / 2 - y) / scale });
    if (activity.is === 'marking') onMark?.(place);
    else if (activity.is === 'drawing') setActivity({ is: 'drawing', points: [...activity.points, place] });
    else if (activity.corner) {
      change(withCorner(chart, activity.corner, place));
      setActivity({ is: 'editing', corner: null });
    } else {
      const away = (corner: Position) => Math.hypot(at(corner).x - x, at(corner).y - y);
      const [nearest] = corners.toSorted((a, b) => away(a.at) - away(b.at));
      if (nearest && away(nearest.at) <= NEAR) setActivity({ is: 'editing', corner: nearest });
    }
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
        {activity.is === 'marking' && (
          <>
            <Button variant="outlined" onClick={() => setActivity({ is: 'drawing', points: [] })}>
              Draw the shore
            </Button>
            {corners.length > 0 && (
              <Button variant="outlined" onClick={() => setActivity({ is: 'editing', corner: null })}>
                Move its corners
              </Button>
            )}
          </>
        )}
        {activity.is === 'drawing' && (
          <Drawing
            points={activity.points}
            closes={closes}
            onPoints={(points) => setActivity({ is: 'drawing', points })}
            onDone={(closed) => {
              change(withShore(chart, activity.points, closed));
              setActivity({ is: 'marking' });
            }}
            onLeave={() => setActivity({ is: 'marking' })}
          />
        )}
        {activity.is === 'editing' && (
          <>
            <Button
              disabled={activity.corner === null}
              onClick={() => {
                if (activity.corner) change(withCorner(chart, activity.corner, null));
                setActivity({ is: 'editing', corner: null });
              }}
            >
              Take this corner out
            </Button>
            <Button
              onClick={() => {
                change({ ...chart, features: [] });
                setActivity({ is: 'marking' });
              }}
            >
              Take the whole shore away
            </Button>
            <Button variant="contained" onClick={() => setActivity({ is: 'marking' })}>
              The shore is right
            </Button>
          </>
        )}
        {history.length > 0 && activity.is !== 'drawing' && (
          <Button
            onClick={() => {
              const last = history.at(-1);
              if (last) onChart(last);
              setHistory(history.slice(0, -1));
            }}
          >
            Undo the drawing
          </Button>
        )}
      </Box>
      <Typography variant="caption" color="textSecondary" component="p" role="status" sx={{ minHeight: 20 }}>
        {sayActivity(activity, closes, onMark !== undefined)}
      </Typography>
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
        aria-label={`A grid about the launch, a line every ${distance(step)}. ${marks.length} marks, ${corners.length} corners of the shore.`}
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
        {activity.is === 'drawing' && activity.points.length > 0 && (
          <>
            <path d={line(activity.points)} fill="none" stroke={inks.kelp} strokeWidth={2.5} />
            {closes && activity.points.length >= LEAST_CORNERS && (
              <path
                d={line([...activity.points.slice(-1), ...activity.points.slice(0, 1)])}
                fill="none"
                stroke={inks.kelp}
                strokeWidth={1.5}
                strokeDasharray="5 5"
              />
            )}
            <Dots points={activity.points.map(at)} colour={inks.kelp} />
          </>
        )}
        {activity.is === 'editing' && (
          <>
            <Dots points={corners.map((corner) => at(corner.at))} colour={inks.ink} />
            <Dots
              points={corners
                .filter((corner) => isSame(corner, activity.corner))
                .map((corner) => at(corner.at))}
              colour={inks.kelp}
              size={8}
            />
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

const farthest = (from: Position, list: readonly { at: Position }[]) =>
  Math.max(0, ...list.map(({ at }) => distanceBetween(from, at)));
const isSame = (corner: Corner, other: Corner | null) =>
  corner.feature === other?.feature && corner.point === other.point;

function Dots({
  points,
  colour,
  size = 4,
}: {
  points: readonly { x: number; y: number }[];
  colour: string;
  size?: number;
}) {
  return points.map(({ x, y }, i) => <circle key={i} cx={x} cy={y} r={size} fill={colour} />);
}

interface DrawingProps {
  points: readonly Position[];
  closes: boolean;
  onPoints: (points: readonly Position[]) => void;
  onDone: (closed: boolean) => void;
  onLeave: () => void;
}
function Drawing({ points, closes, onPoints, onDone, onLeave }: DrawingProps) {
  return (
    <>
      <Button
        variant={closes ? 'contained' : 'outlined'}
        disabled={points.length < LEAST_CORNERS}
        onClick={() => onDone(true)}
      >
        Close it all round
      </Button>
      <Button
        variant={closes ? 'outlined' : 'contained'}
        disabled={points.length < 2}
        onClick={() => onDone(false)}
      >
        Keep it as a line
      </Button>
      <Button onClick={() => onPoints(points.slice(0, -1))} disabled={points.length === 0}>
        Last point back
      </Button>
      <Button onClick={onLeave}>Leave it</Button>
    </>
  );
}

function sayActivity(activity: Activity, closes: boolean, marks: boolean): string {
  switch (activity.is) {
    case 'marking':
      return marks ? 'A press sets a mark.' : '';
    case 'drawing':
      return closes
        ? 'Press along the shore; it closes from the last point to the first.'
        : 'Press along the shore, from one end of it to the other.';
    case 'editing':
      return activity.corner
        ? 'Press where this corner belongs.'
        : 'Press a corner of the shore to take it up.';
  }
}
