import { useTheme } from '@mui/material/styles';
import type { Water } from '#core/documents/water';
import type { Place } from '#core/environment/geo';
import { distance } from '#core/units/amount';
import type { ChartView, Drawn } from './useChartView';

export interface ChartLine {
  points: readonly Place[];
  dashed: boolean;
  name: string;
  /** A bare line, without a mark at each of its points. */
  bare?: boolean;
}

/** The routes drawn over the chart. */
export function ChartLines({ lines, at, unit }: Drawn & { lines: readonly ChartLine[] }) {
  const { inks } = useTheme();
  return (
    <>
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
              <circle
                key={i}
                cx={x}
                cy={y}
                r={unit * 2.6}
                fill={inks.paper}
                stroke={inks.ink}
                strokeWidth={unit}
              />
            );
          })}
        </g>
      ))}
    </>
  );
}

/** Launches and places, by name. */
export function ChartMarks({ water, at, unit }: Drawn & { water: Water }) {
  return (
    <>
      {water.areas.map((area) => {
        const { x, y } = at(area);
        return <Mark key={area.id} x={x} y={y} unit={unit} name={area.name} kind="place" />;
      })}
      {water.launches.map((launch) => {
        const { x, y } = at(launch);
        return <Mark key={launch.id} x={x} y={y} unit={unit} name={launch.name} kind="launch" />;
      })}
    </>
  );
}

/** The cross where Enter sets a point. */
export function ChartCross({ centre, unit }: Pick<ChartView, 'centre' | 'unit'>) {
  const { inks } = useTheme();
  return (
    <path
      d={`M${centre.x - unit * 8} ${centre.y}h${unit * 16}M${centre.x} ${centre.y - unit * 8}v${unit * 16}`}
      stroke={inks.clay}
      strokeWidth={unit * 1.2}
    />
  );
}

/** A length to measure by, at the lower left. */
export function ChartScale({ centre, unit, width, viewHeight }: ChartView) {
  const { inks } = useTheme();
  const scaleM = niceLength(width / 4);
  return (
    <g transform={`translate(${centre.x - width / 2 + unit * 8} ${centre.y + viewHeight / 2 - unit * 8})`}>
      <path
        d={`M0 ${-unit * 3}V0H${scaleM}V${-unit * 3}`}
        fill="none"
        stroke={inks.slate}
        strokeWidth={unit}
      />
      <text x={scaleM + unit * 3} y={0} fontSize={unit * 7} fill={inks.slate}>
        {distance(scaleM)}
      </text>
    </g>
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

function niceLength(metres: number): number {
  const power = 10 ** Math.floor(Math.log10(metres));
  return ([5, 2, 1].find((step) => step * power <= metres) ?? 1) * power;
}
