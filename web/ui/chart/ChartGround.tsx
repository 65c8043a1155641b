import { useTheme } from '@mui/material/styles';
import type { Water } from '#core/documents/water';
import type { Place, Point } from '#core/environment/geo';
import type { Drawn } from './useChartView';
import { amount } from '#core/units/amount';

/**
 * What a water's chart holds: land, reefs, weed and depth lines, their words, and the hazards with their
 * reach.
 */
export function ChartGround({ water, at, unit }: Drawn & { water: Water }) {
  const { inks } = useTheme();
  const path = (points: readonly (readonly number[])[], close: boolean) =>
    `M${points
      .map(([lon = 0, lat = 0]) => at({ latDeg: lat, lonDeg: lon }))
      .map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`)
      .join('L')}${close ? 'Z' : ''}`;
  return (
    <>
      {water.chart.features.map(({ geometry, properties }, i) => {
        const d =
          geometry.type === 'Polygon'
            ? geometry.coordinates.map((ring) => path(ring, true)).join('')
            : path(geometry.coordinates, false);
        const { dash, ...shown } = shows(properties.shows, inks);
        return (
          <path
            key={i}
            d={d}
            {...shown}
            fill={geometry.type === 'Polygon' ? shown.fill : 'none'}
            strokeWidth={unit * shown.strokeWidth}
            strokeDasharray={dash ? `${unit * 3} ${unit * 2}` : undefined}
          />
        );
      })}
      {wordsOf(water)
        .map((word) => ({ ...word, ...at(word) }))
        .filter(({ x, y }, i, all) => !all.slice(0, i).some((one) => near(one, { x, y }, unit)))
        .map(({ text, x, y }) => (
          <text
            key={`${text} ${x}`}
            x={x}
            y={y - unit}
            fontSize={unit * 6.5}
            fill={inks.slate}
            textAnchor="middle"
          >
            {text}
          </text>
        ))}
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
            <text
              x={x}
              y={y - hazard.radiusM - unit * 2.5}
              fontSize={unit * 7}
              fill={inks.clay}
              textAnchor="middle"
            >
              {hazard.name}
            </text>
          </g>
        );
      })}
    </>
  );
}

/**
 * The words of the chart's features, each at the middle of its line: depths, and names of all but land and
 * reefs.
 */
function wordsOf(water: Water): (Place & { text: string })[] {
  return water.chart.features.flatMap(({ geometry, properties: { depthM, name, shows: kind } }) => {
    const line = geometry.type === 'Polygon' ? geometry.coordinates[0] : geometry.coordinates;
    const [lonDeg = 0, latDeg = 0] = line?.[Math.floor(line.length / 2)] ?? [];
    if (kind === 'reef') return [];
    const text = depthM === null ? (kind === 'land' ? '' : name) : amount(depthM, 'm');
    return text === '' ? [] : [{ latDeg, lonDeg, text }];
  });
}

/** Whether two words would lie on each other. */
function near(one: Point, other: Point, unit: number): boolean {
  return Math.abs(one.x - other.x) < unit * 22 && Math.abs(one.y - other.y) < unit * 8;
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
