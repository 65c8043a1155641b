import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useId, useState } from 'react';
import { dayOf } from '#core/environment/day';
import { lightOfDay, noonOf } from '#core/environment/light';
import { seaAt } from '#core/environment/sea';
import { valueAt } from '#core/environment/tide';
import { hoursOf } from '#core/exposures/exposures';
import { type HandleName, withHandle } from '#core/editing/hours';
import { DAY_MS, HOUR_MS, clockAt, dateAt } from '#core/units/time';
import { figure } from '#core/units/words';
import { type TimeAxis, pathOf, ticks, timeOf, useWidth, xOf } from '../../../ui/timeAxis';
import { useDesk } from '../../desk';
import { Handle } from './Handle';

const TOP = 22;
const WIND = { top: TOP, bottom: TOP + 96 };
const SEA = { top: WIND.bottom + 10, bottom: WIND.bottom + 50 };
const TIDE = { top: SEA.bottom + 10, bottom: SEA.bottom + 70 };
const AXIS = TIDE.bottom + 34;
const HEIGHT = AXIS + 52;
const LEFT = 52;

/** One axis of time with light, wind, sea, tide and stream, and three handles that can be dragged, stepped or typed. */
export function DayStrip() {
  const { doc, edit, looked, assessment, setDragging } = useDesk();
  const { inks } = useTheme();
  const [ref, width] = useWidth<HTMLDivElement>(840);
  const [held, setHeld] = useState<TimeAxis | null>(null);
  const clip = useId();
  const { brief, conditions } = doc;
  const { water } = looked;
  const span = hoursOf(brief, looked);
  if (!water || !span) return null;
  const zone = water.timeZone;
  const plan = assessment.exposures.plan;
  const fresh: TimeAxis = {
    from: Math.floor((span.from - 1.2 * HOUR_MS) / HOUR_MS) * HOUR_MS,
    to: Math.ceil((Math.max(span.to, plan?.homeAt ?? 0) + 1.5 * HOUR_MS) / HOUR_MS) * HOUR_MS,
    left: LEFT,
    right: Math.max(LEFT + 200, width - 12),
  };
  // While a handle is held the axis stands still under it.
  const axis = held ?? fresh;
  const narrow = width < 560;
  const x = (at: number) => xOf(axis, at);
  const day = dayOf(conditions, water, axis.from, axis.to);
  const hours = day.hours.filter((hour) => {
    const at = Date.parse(hour.at);
    return at >= axis.from - HOUR_MS && at <= axis.to + HOUR_MS;
  });
  const limits = looked.angler?.limits ?? null;
  const windMost =
    Math.max(10, (limits?.gustMps ?? 0) * 1.15, ...hours.map((hour) => hour.gustMps ?? hour.windMps ?? 0)) * 1.05;
  const wy = (mps: number) => WIND.bottom - (mps / windMost) * (WIND.bottom - WIND.top);
  const seas = hours.map((hour) => ({
    at: Date.parse(hour.at),
    sea: seaAt(hour, water, day.streamAt(Date.parse(hour.at))),
  }));
  const seaMost = Math.max(0.8, ...seas.map(({ sea }) => sea.onStreamM)) * 1.1;
  const sy = (m: number) => SEA.bottom - (m / seaMost) * (SEA.bottom - SEA.top);
  const steps = Array.from({ length: 97 }, (_, i) => axis.from + ((axis.to - axis.from) * i) / 96);
  const tide = day.tideSeries;
  const heights = tide ? steps.map((at) => valueAt(tide, at)) : [];
  const [lowest, highest] = [Math.min(...heights, 0), Math.max(...heights, 1)];
  const ty = (m: number) => TIDE.bottom - ((m - lowest) / (highest - lowest)) * (TIDE.bottom - TIDE.top);
  const at = (hour: { at: string }) => x(Date.parse(hour.at));
  const windLine = pathOf(hours.map((hour) => [at(hour), hour.windMps === null ? null : wy(hour.windMps)]));
  const last = hours[hours.length - 1];
  const [firstHour] = hours;

  const set = (which: HandleName, moment: number) =>
    edit((outing) => {
      const moved = withHandle(outing.brief, zone, which, moment);
      return moved === outing.brief ? outing : { ...outing, brief: moved };
    }, `strip-${which}`);
  const handleOf = (which: HandleName, name: string, moment: number, filled: boolean) => (
    <Handle
      name={name}
      clock={clockAt(moment, zone)}
      minutes={Math.round((moment - axis.from) / 60_000)}
      most={Math.round((axis.to - axis.from) / 60_000)}
      x={x(moment)}
      top={TOP}
      bottom={AXIS + 14}
      filled={filled}
      side={which === 'turn' || (which === 'home' && (narrow || x(moment) > axis.right - 100)) ? 'left' : 'right'}
      lower={which === 'turn' && narrow}
      onHold={(on) => {
        setHeld(on ? axis : null);
        setDragging(on);
      }}
      onMove={(px) => set(which, timeOf(axis, px))}
      onStep={(minutes) => set(which, moment + minutes * 60_000)}
    />
  );

  return (
    <Box component="section" aria-label="The day on one line" ref={ref} sx={{ minWidth: 0 }}>
      <svg
        width="100%"
        height={HEIGHT}
        role="group"
        aria-label="Light, wind, sea and tide by the hour"
        style={{ display: 'block', touchAction: 'pan-y' }}
      >
        <clipPath id={clip}>
          <rect x={axis.left} y={0} width={axis.right - axis.left} height={TIDE.bottom} />
        </clipPath>
        <Light axis={axis} water={water} />
        <Trouble axis={axis} />
        {ticks(axis, 46).map((hour) => (
          <g key={hour}>
            <line x1={x(hour)} x2={x(hour)} y1={TOP} y2={AXIS - 14} stroke={inks.rule} strokeWidth={0.7} />
            <text x={x(hour)} y={AXIS} fontSize={12} textAnchor="middle" fill={inks.slate}>
              {clockAt(hour, zone).slice(0, 2)}
            </text>
          </g>
        ))}
        <Name y={(WIND.top + WIND.bottom) / 2} text="wind" unit="m/s" colour={inks.tide} />
        <g clipPath={`url(#${clip})`}>
          {windLine !== '' && firstHour && last && (
            <path
              d={`${windLine}L${at(last).toFixed(1)} ${WIND.bottom}L${at(firstHour).toFixed(1)} ${WIND.bottom}Z`}
              fill={inks.tide}
              opacity={0.12}
            />
          )}
          <path d={windLine} fill="none" stroke={inks.tide} strokeWidth={2.2} />
          <path
            d={pathOf(hours.map((hour) => [at(hour), hour.gustMps === null ? null : wy(hour.gustMps)]))}
            fill="none"
            stroke={inks.tide}
            strokeWidth={1.4}
            strokeDasharray="2 3"
          />
        </g>
        {limits && (
          <rect
            x={axis.left}
            y={WIND.top}
            width={axis.right - axis.left}
            height={Math.max(0, wy(limits.windMps) - WIND.top)}
            fill={inks.ochre}
            opacity={0.09}
          />
        )}
        {limits && <Limit axis={axis} y={wy(limits.windMps)} text={`your limit ${figure(limits.windMps)} m/s`} />}
        {windLine === '' && (
          <text x={axis.left + 8} y={(WIND.top + WIND.bottom) / 2} fontSize={13} fill={inks.slate}>
            No wind known for these hours. Ask the station, or write it.
          </text>
        )}
        <line x1={axis.left} x2={axis.right} y1={WIND.bottom} y2={WIND.bottom} stroke={inks.rule} />
        <Name
          y={(SEA.top + SEA.bottom) / 2 + 4}
          text="sea"
          unit={`to ${figure(seaMost / 1.1, 1)} m`}
          colour={inks.slate}
        />
        <g clipPath={`url(#${clip})`}>
          <path
            d={pathOf(seas.map(({ at: moment, sea }) => [x(moment), sy(sea.onStreamM)]))}
            fill="none"
            stroke={inks.ink}
            strokeWidth={1.6}
          />
          <path
            d={pathOf(seas.map(({ at: moment, sea }) => [x(moment), sea.swellM > 0 ? sy(sea.swellM) : null]))}
            fill="none"
            stroke={inks.slate}
            strokeWidth={1}
            strokeDasharray="5 3"
          />
        </g>
        <line x1={axis.left} x2={axis.right} y1={SEA.bottom} y2={SEA.bottom} stroke={inks.rule} />
        {tide && (
          <>
            <Name y={(TIDE.top + TIDE.bottom) / 2} text="tide" unit="" colour={inks.kelp} />
            <path
              d={`${pathOf(steps.map((moment, i) => [x(moment), ty(heights[i] ?? 0)]))}L${axis.right} ${TIDE.bottom}L${axis.left} ${TIDE.bottom}Z`}
              fill={inks.kelp}
              opacity={0.13}
            />
            <path
              d={pathOf(steps.map((moment, i) => [x(moment), ty(heights[i] ?? 0)]))}
              fill="none"
              stroke={inks.kelp}
              strokeWidth={2}
            />
          </>
        )}
        {day.streamSeries && (
          <Stream
            axis={axis}
            speedAt={(moment) => valueAt(day.streamSeries ?? { from: 0, stepMs: 1, values: [] }, moment)}
            towardDeg={water.stream?.towardDeg ?? 0}
          />
        )}
        {!tide && !day.streamSeries && (
          <text x={axis.left + 8} y={(TIDE.top + TIDE.bottom) / 2 + 4} fontSize={13} fill={inks.slate}>
            No tide and no stream here.
          </text>
        )}
        <Events axis={axis} />
        {handleOf('launch', 'Launch', span.from, false)}
        {plan?.turnAt != null &&
          brief.nights === 0 &&
          handleOf('turn', brief.turnAt === null ? 'Turn by' : 'Turn', plan.turnAt, true)}
        {handleOf('home', 'Home by', span.to, false)}
      </svg>
    </Box>
  );
}

function Name({ y, text, unit, colour }: { y: number; text: string; unit: string; colour: string }) {
  const { inks } = useTheme();
  return (
    <text x={0} y={y} fontSize={12.5} fill={colour}>
      {text}
      <tspan x={0} dy={14} fontSize={11} fill={inks.slate}>
        {unit}
      </tspan>
    </text>
  );
}

function Limit({ axis, y, text }: { axis: TimeAxis; y: number; text: string }) {
  const { inks } = useTheme();
  return (
    <>
      <line x1={axis.left} x2={axis.right} y1={y} y2={y} stroke={inks.ochre} strokeDasharray="6 4" strokeWidth={1.2} />
      <text x={axis.right} y={y - 4} fontSize={12} textAnchor="end" fill={inks.ochre}>
        {text}
      </text>
    </>
  );
}

/** Night dark, twilight half, day clear. */
function Light({ axis, water }: { axis: TimeAxis; water: { latDeg: number; lonDeg: number; timeZone: string } }) {
  const { inks, palette } = useTheme();
  // Night is darker than day in every theme.
  const dark = palette.mode === 'dark';
  const bands: { from: number; to: number; shade: number }[] = [];
  for (let day = axis.from - DAY_MS; day <= axis.to + DAY_MS; day += DAY_MS) {
    const { sunrise, sunset, dawn, dusk } = lightOfDay(
      noonOf(dateAt(day, water.timeZone), water.lonDeg),
      water.latDeg,
      water.lonDeg,
    );
    const next = lightOfDay(noonOf(dateAt(day + DAY_MS, water.timeZone), water.lonDeg), water.latDeg, water.lonDeg);
    if (dawn !== null && sunrise !== null) bands.push({ from: dawn, to: sunrise, shade: 0.14 });
    if (sunset !== null && dusk !== null) bands.push({ from: sunset, to: dusk, shade: 0.14 });
    if (dusk !== null && next.dawn !== null) bands.push({ from: dusk, to: next.dawn, shade: 0.3 });
  }
  return bands.map(({ from, to, shade }) => {
    const [a, b] = [Math.max(axis.left, xOf(axis, from)), Math.min(axis.right, xOf(axis, to))];
    return b > a ? (
      <rect
        key={from}
        x={a}
        y={TOP}
        width={b - a}
        height={TIDE.bottom - TOP}
        fill={dark ? '#000' : inks.ink}
        opacity={dark ? shade * 2 : shade}
      />
    ) : null;
  });
}

/** Where the way is shut, in words, over its hours. */
function Trouble({ axis }: { axis: TimeAxis }) {
  const { assessment } = useDesk();
  const { inks } = useTheme();
  const shut = assessment.exposures.plan?.legs.find(
    (leg) => leg.why === 'cannot hold track' || leg.why === 'no headway',
  );
  if (!shut || shut.startsAt === null) return null;
  const from = Math.max(axis.left, xOf(axis, shut.startsAt));
  const to = Math.min(axis.right, xOf(axis, shut.startsAt + HOUR_MS));
  return (
    <g>
      <rect
        x={from}
        y={TOP}
        width={Math.max(4, to - from)}
        height={TIDE.bottom - TOP}
        fill={inks.clay}
        opacity={0.16}
      />
      <text x={from + 6} y={TOP + 14} fontSize={12} fontWeight={700} fill={inks.clay}>
        {shut.way === 'out' ? 'the way out is shut' : 'the way home is shut'}
      </text>
    </g>
  );
}

/** An arrow each hour, as long as the stream is strong, the way it runs along its own line. */
function Stream({ axis, speedAt, towardDeg }: { axis: TimeAxis; speedAt: (at: number) => number; towardDeg: number }) {
  const { inks } = useTheme();
  const hours = ticks(axis, 60).filter((hour) => xOf(axis, hour) > axis.left + 16);
  const most = Math.max(0.3, ...hours.map((hour) => Math.abs(speedAt(hour))));
  const y = TIDE.bottom + 10;
  return (
    <g stroke={inks.ink} strokeWidth={1.5} fill="none">
      <text x={0} y={y + 4} fontSize={12.5} fill={inks.slate} stroke="none">
        stream
      </text>
      {hours.map((hour) => {
        const speed = speedAt(hour);
        const length = (Math.abs(speed) / most) * 30;
        const centre = xOf(axis, hour);
        const way = speed >= 0 ? 1 : -1;
        const tip = centre + (way * length) / 2;
        const toward = Math.round(way > 0 ? towardDeg : (towardDeg + 180) % 360);
        return (
          <g key={hour}>
            <title>{`${figure(Math.abs(speed), 2)} m/s toward ${toward}°`}</title>
            {length > 4 ? (
              <path
                d={`M${centre - (way * length) / 2} ${y}H${tip}M${tip - way * 5} ${y - 4}L${tip} ${y}L${tip - way * 5} ${y + 4}`}
              />
            ) : (
              <path d={`M${centre} ${y - 3}v6`} />
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Sun and turns of the tide, named under the axis. */
function Events({ axis }: { axis: TimeAxis }) {
  const { doc, looked } = useDesk();
  const { inks } = useTheme();
  const { water } = looked;
  if (!water) return null;
  const { sunrise, sunset } = lightOfDay(noonOf(doc.brief.date, water.lonDeg), water.latDeg, water.lonDeg);
  const day = dayOf(doc.conditions, water, axis.from, axis.to);
  const events = [
    ...(sunrise === null ? [] : [{ at: sunrise, text: `sunrise ${clockAt(sunrise, water.timeZone)}` }]),
    ...(sunset === null ? [] : [{ at: sunset, text: `sunset ${clockAt(sunset, water.timeZone)}` }]),
    ...day.turns.map((turn) => ({
      at: turn.at,
      text: `${turn.high ? 'high' : 'low'} ${clockAt(turn.at, water.timeZone)} · ${figure(turn.value)} m`,
    })),
  ]
    .filter(({ at }) => at > axis.from && at < axis.to)
    .sort((a, b) => a.at - b.at);
  const placed = events.reduce<{ text: string; start: number; end: number }[]>((list, { at, text }) => {
    const width = text.length * 6.6;
    const free = (list[list.length - 1]?.end ?? axis.left - 12) + 12;
    const start = Math.max(free, Math.min(xOf(axis, at) - width / 2, axis.right - width));
    return [...list, { text, start, end: start + width }];
  }, []);
  return placed.map(({ text, start }) => (
    <text key={text} x={start} y={HEIGHT - 4} fontSize={12} fill={inks.slate}>
      {text}
    </text>
  ));
}
