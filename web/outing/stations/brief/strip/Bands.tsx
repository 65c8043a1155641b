import { useTheme } from '@mui/material/styles';
import type { Day } from '#core/environment/day';
import { seaAt } from '#core/environment/sea';
import { valueAt } from '#core/environment/tide';
import type { Angler } from '#core/documents/angler';
import type { Hour } from '#core/documents/outing';
import type { Water } from '#core/documents/water';
import { amount, unitName } from '#core/units/amount';
import { type TimeAxis, pathOf, xOf } from '../../../../ui/timeAxis';
import { placeOnLevel } from './layout';
import { Limit, LimitName, Name, OVER_LIMIT, Unknown } from './Marks';

interface Band {
  axis: TimeAxis;
  top: number;
  bottom: number;
  /** What lies outside the axis is not drawn: the id of its clip path. */
  clip: string;
}
/** At least so much is shown, so that a calm day looks calm: m/s, m. */
const LEAST_WIND = 10;
const LEAST_SEA = 0.8;
/** Room over the highest line. */
const HEADROOM = 1.1;
const STEPS = 96;

/** Wind as a line over its shade, gusts dotted, the angler's own limit above them. */
export function WindBand({
  axis,
  top,
  bottom,
  clip,
  hours,
  limits,
  uprights,
}: Band & { hours: readonly Hour[]; limits: Angler['limits'] | null; uprights: readonly number[] }) {
  const { inks } = useTheme();
  const most =
    Math.max(
      LEAST_WIND,
      (limits?.gustMps ?? 0) * HEADROOM,
      ...hours.map((hour) => hour.gustMps ?? hour.windMps ?? 0),
    ) * HEADROOM;
  const y = (mps: number) => bottom - (mps / most) * (bottom - top);
  const x = (hour: Hour) => xOf(axis, Date.parse(hour.at));
  const lineOf = (figureOf: (hour: Hour) => number | null) =>
    hours.map((hour): [number, number | null] => {
      const mps = figureOf(hour);
      return [x(hour), mps === null ? null : y(mps)];
    });
  const winds = lineOf((hour) => hour.windMps);
  const gusts = lineOf((hour) => hour.gustMps);
  const line = pathOf(winds);
  const [first] = hours;
  const last = hours[hours.length - 1];
  const limit = limits && {
    y: y(limits.windMps) - OVER_LIMIT,
    text: `your limit ${amount(limits.windMps, 'wind')}`,
  };
  return (
    <>
      <Name y={(top + bottom) / 2} text="wind" unit={unitName('wind')} colour={inks.tide} />
      {limits && (
        <>
          <rect
            x={axis.left}
            y={top}
            width={axis.right - axis.left}
            height={Math.max(0, y(limits.windMps) - top)}
            fill={inks.ochre}
            opacity={0.09}
          />
          <Limit axis={axis} y={y(limits.windMps)} />
        </>
      )}
      <g clipPath={`url(#${clip})`}>
        {line !== '' && first && last && (
          <path
            d={`${line}L${x(last).toFixed(1)} ${bottom}L${x(first).toFixed(1)} ${bottom}Z`}
            fill={inks.tide}
            opacity={0.12}
          />
        )}
        <path d={line} fill="none" stroke={inks.tide} strokeWidth={2.2} />
        <path d={pathOf(gusts)} fill="none" stroke={inks.tide} strokeWidth={1.4} strokeDasharray="2 3" />
      </g>
      {line === '' && (
        <Unknown
          axis={axis}
          y={bottom - 10}
          text="No wind known for these hours. Ask the station, or write it."
          uprights={uprights}
        />
      )}
      {limit && (
        <LimitName
          x={placeOnLevel(limit.text, limit.y, axis, uprights, [winds, gusts])}
          y={limit.y}
          text={limit.text}
        />
      )}
      <line x1={axis.left} x2={axis.right} y1={bottom} y2={bottom} stroke={inks.rule} />
    </>
  );
}

/** The sea as it stands on the stream, the swell dashed. */
export function SeaBand({
  axis,
  top,
  bottom,
  clip,
  hours,
  water,
  day,
}: Band & { hours: readonly Hour[]; water: Water; day: Day }) {
  const { inks } = useTheme();
  const seas = hours.map((hour) => {
    const at = Date.parse(hour.at);
    return { x: xOf(axis, at), sea: seaAt(hour, water, day.streamAt(at)) };
  });
  const highest = Math.max(LEAST_SEA, ...seas.map(({ sea }) => sea.onStreamM));
  const y = (m: number) => bottom - (m / (highest * HEADROOM)) * (bottom - top);
  return (
    <>
      <Name y={(top + bottom) / 2 + 4} text="sea" unit={`to ${amount(highest, 'm')}`} colour={inks.slate} />
      <g clipPath={`url(#${clip})`}>
        <path
          d={pathOf(seas.map(({ x, sea }) => [x, y(sea.onStreamM)]))}
          fill="none"
          stroke={inks.ink}
          strokeWidth={1.6}
        />
        <path
          d={pathOf(seas.map(({ x, sea }) => [x, sea.swellM > 0 ? y(sea.swellM) : null]))}
          fill="none"
          stroke={inks.slate}
          strokeWidth={1}
          strokeDasharray="5 3"
        />
      </g>
      <line x1={axis.left} x2={axis.right} y1={bottom} y2={bottom} stroke={inks.rule} />
    </>
  );
}

/** The height of the tide, where there is one. */
export function TideBand({
  axis,
  top,
  bottom,
  day,
  uprights,
}: Omit<Band, 'clip'> & { day: Day; uprights: readonly number[] }) {
  const { inks } = useTheme();
  const { tideSeries, streamSeries } = day;
  if (!tideSeries)
    return streamSeries ? null : (
      <Unknown
        axis={axis}
        y={(top + bottom) / 2 + 4}
        text="No tide and no stream here."
        uprights={uprights}
      />
    );
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const at = axis.from + ((axis.to - axis.from) * i) / STEPS;
    return { x: xOf(axis, at), m: valueAt(tideSeries, at) };
  });
  const heights = points.map(({ m }) => m);
  const [lowest, highest] = [Math.min(...heights, 0), Math.max(...heights, 1)];
  const line = pathOf(
    points.map(({ x, m }) => [x, bottom - ((m - lowest) / (highest - lowest)) * (bottom - top)]),
  );
  return (
    <>
      <Name y={(top + bottom) / 2} text="tide" unit="" colour={inks.kelp} />
      <path d={`${line}L${axis.right} ${bottom}L${axis.left} ${bottom}Z`} fill={inks.kelp} opacity={0.13} />
      <path d={line} fill="none" stroke={inks.kelp} strokeWidth={2} />
    </>
  );
}
