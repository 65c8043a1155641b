import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { type PointerEvent, useMemo, useRef, useState } from 'react';
import type { Water } from '#core/documents/water';
import { type Place, type Point, fromPlane, toPlane } from '#core/environment/geo';
import { distance } from '#core/units/words';
import { useWidth } from './timeAxis';

export interface ChartLine {
  points: readonly Place[];
  dashed: boolean;
  name: string;
  /** A bare line, without a mark at each of its points. */
  bare?: boolean;
}
interface Props {
  water: Water;
  lines?: readonly ChartLine[];
  height: number;
  /** Pressing the chart (or Enter at the cross) gives a place; left out: it only shows. */
  onPlace?: (place: Place) => void;
  label: string;
  /** Begins with a look at a place, so many metres each way; left out: the whole water. */
  around?: { place: Place; radiusM: number };
}

const ZOOM = 1.5;
const PAN = 0.18;

/** A small chart of our own: shore, depths, hazards, launches, places and routes. Dragged, wheeled, or moved by keys. */
export function WaterChart({ water, lines = [], height, onPlace, label, around }: Props) {
  const { inks } = useTheme();
  const origin = water;
  const box = useMemo(() => extentOf(water, lines), [water, lines]);
  const [view, setView] = useState<{ x: number; y: number; width: number } | null>(null);
  const [cross, setCross] = useState(false);
  const drag = useRef<{ px: number; py: number; x: number; y: number; moved: boolean } | null>(null);
  const frame = useRef<SVGSVGElement>(null);
  const [holder, px] = useWidth<HTMLDivElement>(300);
  const aspect = Math.max(0.5, px / height);
  const near = around && toPlane(water, around.place);
  const whole =
    near && around
      ? { x: near.x, y: -near.y, width: around.radiusM * 2 * aspect }
      : { ...box, width: Math.max(box.width, box.height * aspect) };
  const width = view?.width ?? whole.width;
  const centre = { x: view?.x ?? whole.x, y: view?.y ?? whole.y };
  // So many metres that text and marks keep their size on the screen however near one looks.
  const unit = (width / Math.max(200, px)) * 1.6;
  const at = (place: Place): Point => {
    const point = toPlane(origin, place);
    return { x: point.x, y: -point.y };
  };
  const path = (points: readonly (readonly number[])[], close: boolean) =>
    `M${points
      .map(([lon = 0, lat = 0]) => at({ latDeg: lat, lonDeg: lon }))
      .map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`)
      .join('L')}${close ? 'Z' : ''}`;
  const move = (dx: number, dy: number, by = 1) =>
    setView({
      x: centre.x + dx * width,
      y: centre.y + dy * width,
      width: Math.min(200_000, Math.max(120, width * by)),
    });
  const placeUnder = (event: PointerEvent): Place | null => {
    const matrix = frame.current?.getScreenCTM();
    if (!matrix) return null;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return fromPlane(origin, { x: point.x, y: -point.y });
  };
  const keys: Record<string, () => void> = {
    ArrowLeft: () => move(-PAN, 0),
    ArrowRight: () => move(PAN, 0),
    ArrowUp: () => move(0, -PAN),
    ArrowDown: () => move(0, PAN),
    '+': () => move(0, 0, 1 / ZOOM),
    '=': () => move(0, 0, 1 / ZOOM),
    '-': () => move(0, 0, ZOOM),
    '0': () => setView(null),
    Enter: () => onPlace?.(fromPlane(origin, { x: centre.x, y: -centre.y })),
  };
  const viewHeight = width / aspect;
  const scaleM = niceLength(width / 4);
  return (
    <Box
      ref={holder}
      sx={{
        position: 'relative',
        border: 1,
        borderColor: 'text.primary',
        borderRadius: 1,
        overflow: 'hidden',
        bgcolor: 'background.paper',
      }}
    >
      <svg
        ref={frame}
        role="application"
        aria-label={`${label}. Arrow keys move it, plus and minus change its size, 0 shows all${onPlace ? ', Enter sets a point at the cross' : ''}.`}
        tabIndex={0}
        width="100%"
        height={height}
        viewBox={`${centre.x - width / 2} ${centre.y - viewHeight / 2} ${width} ${viewHeight}`}
        preserveAspectRatio="xMidYMid slice"
        style={{
          display: 'block',
          touchAction: 'none',
          cursor: onPlace ? 'crosshair' : 'grab',
          background: `color-mix(in srgb, ${inks.tide} 10%, ${inks.paper})`,
        }}
        onFocus={(event) => setCross(event.currentTarget.matches(':focus-visible'))}
        onBlur={() => setCross(false)}
        onKeyDown={(event) => {
          const act = keys[event.key];
          if (!act) return;
          event.preventDefault();
          act();
        }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag.current = { px: event.clientX, py: event.clientY, ...centre, moved: false };
        }}
        onPointerMove={(event) => {
          const start = drag.current;
          const matrix = frame.current?.getScreenCTM();
          if (!start || !matrix) return;
          const [dx, dy] = [event.clientX - start.px, event.clientY - start.py];
          if (!start.moved && Math.hypot(dx, dy) < 5) return;
          start.moved = true;
          setView({ x: start.x - dx / matrix.a, y: start.y - dy / matrix.d, width });
        }}
        onPointerUp={(event) => {
          const place = drag.current?.moved === false ? placeUnder(event) : null;
          drag.current = null;
          if (place) onPlace?.(place);
        }}
        onPointerCancel={() => (drag.current = null)}
      >
        {water.chart.features.map(({ geometry, properties }, i) => {
          const d =
            geometry.type === 'Polygon'
              ? geometry.coordinates.map((ring) => path(ring, true)).join('')
              : path(geometry.coordinates, false);
          const shown = shows(properties.shows, inks);
          return (
            <path
              key={i}
              d={d}
              {...shown}
              strokeWidth={unit * shown.strokeWidth}
              strokeDasharray={shown.dash ? `${unit * 3} ${unit * 2}` : undefined}
            />
          );
        })}
        {water.chart.features.map(({ geometry, properties }, i) => {
          const middle = geometry.type === 'Polygon' ? geometry.coordinates[0] : geometry.coordinates;
          const [lon = 0, lat = 0] = middle?.[Math.floor(middle.length / 2)] ?? [];
          const text =
            properties.depthM === null
              ? properties.shows === 'land'
                ? ''
                : properties.name
              : `${properties.depthM} m`;
          const { x, y } = at({ latDeg: lat, lonDeg: lon });
          return text === '' || properties.shows === 'reef' ? null : (
            <text key={i} x={x} y={y - unit} fontSize={unit * 6.5} fill={inks.slate} textAnchor="middle">
              {text}
            </text>
          );
        })}
        {water.hazards.map((hazard) => {
          const { x, y } = at(hazard);
          return (
            <g key={hazard.id}>
              <circle
                cx={x}
                cy={y}
                r={hazard.radiusM}
                fill={inks.clay}
                fillOpacity={0.08}
                stroke={inks.clay}
                strokeWidth={unit * 0.8}
                strokeDasharray={`${unit * 2} ${unit * 2}`}
              />
              <text x={x} y={y - hazard.radiusM - unit * 2.5} fontSize={unit * 7} fill={inks.clay} textAnchor="middle">
                {hazard.name}
              </text>
            </g>
          );
        })}
        {lines.map((line) => (
          <g key={line.name}>
            <path
              d={`M${line.points
                .map(at)
                .map(({ x, y }) => `${x} ${y}`)
                .join('L')}`}
              fill="none"
              stroke={inks.ink}
              strokeWidth={unit * 1.3}
              strokeDasharray={line.dashed ? `${unit * 4} ${unit * 3}` : undefined}
            />
            {(line.bare ? [] : line.points.slice(1, -1)).map((point, i) => {
              const { x, y } = at(point);
              return (
                <circle key={i} cx={x} cy={y} r={unit * 2.6} fill={inks.paper} stroke={inks.ink} strokeWidth={unit} />
              );
            })}
          </g>
        ))}
        {water.areas.map((area) => {
          const { x, y } = at(area);
          return <Mark key={area.id} x={x} y={y} unit={unit} name={area.name} kind="place" />;
        })}
        {water.launches.map((launch) => {
          const { x, y } = at(launch);
          return <Mark key={launch.id} x={x} y={y} unit={unit} name={launch.name} kind="launch" />;
        })}
        {cross && onPlace && (
          <path
            d={`M${centre.x - unit * 8} ${centre.y}h${unit * 16}M${centre.x} ${centre.y - unit * 8}v${unit * 16}`}
            stroke={inks.clay}
            strokeWidth={unit * 1.2}
          />
        )}
        <g transform={`translate(${centre.x - width / 2 + unit * 8} ${centre.y + viewHeight / 2 - unit * 8})`}>
          <path d={`M0 ${-unit * 3}V0H${scaleM}V${-unit * 3}`} fill="none" stroke={inks.slate} strokeWidth={unit} />
          <text x={scaleM + unit * 3} y={0} fontSize={unit * 7} fill={inks.slate}>
            {distance(scaleM)}
          </text>
        </g>
      </svg>
      <Box sx={{ position: 'absolute', right: 4, top: 4, display: 'flex', flexDirection: 'column', gap: 0.5 }}>
        {(
          [
            ['+', 'Nearer', 1 / ZOOM],
            ['−', 'Farther', ZOOM],
          ] as const
        ).map(([sign, name, by]) => (
          <Button
            key={name}
            size="small"
            variant="outlined"
            aria-label={name}
            onClick={() => move(0, 0, by)}
            sx={{ minWidth: 36, minHeight: 36, p: 0, bgcolor: 'background.paper' }}
          >
            {sign}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

function Mark({
  x,
  y,
  unit,
  name,
  kind,
}: {
  x: number;
  y: number;
  unit: number;
  name: string;
  kind: 'launch' | 'place';
}) {
  const { inks } = useTheme();
  return (
    <g>
      {kind === 'launch' ? (
        <circle cx={x} cy={y} r={unit * 3.2} fill={inks.ink} />
      ) : (
        <path
          d={`M${x} ${y - unit * 4}l${unit * 4} ${unit * 4}l${-unit * 4} ${unit * 4}l${-unit * 4} ${-unit * 4}z`}
          fill={inks.paper}
          stroke={inks.ink}
          strokeWidth={unit * 1.2}
        />
      )}
      <text
        x={x}
        y={y + unit * (kind === 'launch' ? -6 : 13)}
        fontSize={unit * 8}
        textAnchor="middle"
        fill={inks.ink}
        paintOrder="stroke"
        stroke={inks.paper}
        strokeWidth={unit * 1.5}
      >
        {name}
      </text>
    </g>
  );
}

function shows(
  kind: Water['chart']['features'][number]['properties']['shows'],
  inks: Record<'ochre' | 'ink' | 'kelp' | 'slate' | 'tide' | 'paper', string>,
) {
  switch (kind) {
    case 'land':
      return {
        fill: `color-mix(in srgb, ${inks.ochre} 18%, ${inks.paper})`,
        stroke: inks.ink,
        strokeWidth: 1.2,
        dash: false,
      };
    case 'reef':
      return {
        fill: `color-mix(in srgb, ${inks.ink} 18%, ${inks.paper})`,
        stroke: inks.ink,
        strokeWidth: 0.8,
        dash: true,
      };
    case 'weed':
      return {
        fill: `color-mix(in srgb, ${inks.kelp} 25%, ${inks.paper})`,
        stroke: 'none',
        strokeWidth: 0,
        dash: false,
      };
    case 'shallow':
      return {
        fill: `color-mix(in srgb, ${inks.ochre} 9%, ${inks.paper})`,
        stroke: inks.slate,
        strokeWidth: 0.5,
        dash: true,
      };
    case 'depth line':
      return { fill: 'none', stroke: inks.tide, strokeWidth: 0.6, dash: false };
  }
}

/** The middle and size of what matters on the chart: launches, places, hazards and routes. */
function extentOf(water: Water, lines: readonly ChartLine[]): { x: number; y: number; width: number; height: number } {
  const points = [...water.launches, ...water.areas, ...lines.flatMap((line) => line.points)].map((place) =>
    toPlane(water, place),
  );
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => -y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return {
    x: (left + right) / 2,
    y: (top + bottom) / 2,
    width: Math.max(600, (right - left) * 1.45),
    height: Math.max(400, (bottom - top) * 1.35),
  };
}

function niceLength(metres: number): number {
  const power = 10 ** Math.floor(Math.log10(metres));
  return ([5, 2, 1].find((step) => step * power <= metres) ?? 1) * power;
}
