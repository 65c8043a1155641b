import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useId, useState } from 'react';
import { type HandleName, withHandle } from '#core/editing/hours';
import { dayOf } from '#core/environment/day';
import { valueAt } from '#core/environment/tide';
import { isOneWay } from '#core/documents/hours';
import { hoursOf } from '#core/exposures/exposures';
import { HOUR_MS, clockAt } from '#core/units/time';
import { type TimeAxis, anchorOf, ticks, timeOf, useWidth, xOf } from '../../../ui/timeAxis';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Handle } from './Handle';
import { SeaBand, TideBand, WindBand } from './strip/Bands';
import { Events } from './strip/Events';
import { eventsOf, hourNames } from './strip/events';
import { LEFT, layoutFor, placeNames, placeUnder } from './strip/layout';
import { Light } from './strip/Light';
import { Stream } from './strip/Stream';
import { Trouble } from './strip/Trouble';
import { byClock } from '#core/units/clockWords';

/** Hours shown before the launch and after the last of coming home. */
const BEFORE_H = 1.2;
const AFTER_H = 1.5;
/** While a handle is held its name may move: there is always room for all three. */
const MOST_ROWS = 3;

interface OneHandle {
  which: HandleName;
  name: string;
  at: number;
  filled: boolean;
}

/**
 * One axis of time with light, wind, sea, tide and stream, and three handles that can be dragged, stepped or
 * typed.
 */
export function DayStrip() {
  const { doc, edit, looked, assessment, setDragging } = useOutingWorkspace();
  const { inks } = useTheme();
  const [ref, width] = useWidth<HTMLDivElement>(840);
  const [held, setHeld] = useState<TimeAxis | null>(null);
  const clip = useId();
  const { brief, conditions } = doc;
  const { water } = looked;
  const span = hoursOf(brief, looked);
  if (!water || !span) return null;
  const zone = water.timeZone;
  const { plan } = assessment.exposures;
  // While a handle is held the axis stands still under it.
  const axis: TimeAxis = held ?? {
    from: Math.floor((span.from - BEFORE_H * HOUR_MS) / HOUR_MS) * HOUR_MS,
    to: Math.ceil((Math.max(span.to, plan?.homeAt ?? 0) + AFTER_H * HOUR_MS) / HOUR_MS) * HOUR_MS,
    left: LEFT,
    right: Math.max(LEFT + 200, width - 12),
  };
  const x = (at: number) => xOf(axis, at);
  const day = dayOf(conditions, water, axis.from, axis.to);
  const hours = day.hours.filter((hour) => {
    const at = Date.parse(hour.at);
    return at >= axis.from - HOUR_MS && at <= axis.to + HOUR_MS;
  });
  const turn = plan?.turnAt != null && brief.nights === 0 ? plan.turnAt : null;
  const leaves = isOneWay(brief) ? 'Move on' : 'Turn';
  const handles: OneHandle[] = [
    { which: 'launch', name: 'Launch', at: span.from, filled: false },
    ...(turn === null
      ? []
      : [
          {
            which: 'turn' as const,
            name: `${leaves}${brief.turnAt === null ? ' by' : ''}`,
            at: turn,
            filled: true,
          },
        ]),
    { which: 'home', name: 'Home by', at: span.to, filled: false },
  ];
  const uprights = handles.map(({ at }) => x(at));
  const names = placeNames(
    handles.map(({ name, at }) => ({ x: x(at), text: `${name} ${byClock(clockAt(at, zone))}` })),
    axis,
  );
  const events = placeUnder(
    eventsOf(axis, water, day).map(({ at, text }) => ({ x: x(at), text })),
    axis,
  );
  const rowsOf = (placed: readonly { row: number }[]) => 1 + Math.max(0, ...placed.map(({ row }) => row));
  const layout = layoutFor(held ? MOST_ROWS : rowsOf(names), rowsOf(events));
  const hourLines = ticks(axis, 46);
  const called = hourNames(hourLines, zone);
  const { top, wind, sea, tide } = layout;
  const set = (which: HandleName, moment: number) =>
    edit((outing) => {
      const moved = withHandle(outing.brief, zone, which, moment);
      return moved === outing.brief ? outing : { ...outing, brief: moved };
    }, `strip-${which}`);

  return (
    <Box component="section" aria-label="The day on one line" ref={ref} sx={{ minWidth: 0 }}>
      <svg
        width="100%"
        height={layout.height}
        role="group"
        aria-label="Light, wind, sea and tide by the hour"
        style={{ display: 'block', touchAction: 'pan-y' }}
      >
        <clipPath id={clip}>
          <rect x={axis.left} y={0} width={axis.right - axis.left} height={tide.bottom} />
        </clipPath>
        <Light axis={axis} water={water} top={top} bottom={tide.bottom} />
        {hourLines.map((hour, i) => (
          <g key={hour}>
            <line
              x1={x(hour)}
              x2={x(hour)}
              y1={top}
              y2={layout.axis - 14}
              stroke={inks.rule}
              strokeWidth={0.7}
            />
            <text
              x={x(hour)}
              y={layout.axis}
              fontSize={12}
              textAnchor={anchorOf(axis, x(hour), called[i] ?? '')}
              fill={inks.slate}
            >
              {called[i]}
            </text>
          </g>
        ))}
        <WindBand
          axis={axis}
          {...wind}
          clip={clip}
          hours={hours}
          limits={looked.angler?.limits ?? null}
          uprights={uprights}
        />
        <SeaBand axis={axis} {...sea} clip={clip} hours={hours} water={water} day={day} />
        <TideBand axis={axis} {...tide} day={day} uprights={uprights} />
        {day.streamSeries && (
          <Stream
            axis={axis}
            y={tide.bottom + 10}
            speedAt={(moment) => (day.streamSeries ? valueAt(day.streamSeries, moment) : 0)}
            towardDeg={water.stream?.towardDeg ?? 0}
          />
        )}
        <Events placed={events} y={layout.under} />
        <Trouble axis={axis} top={top} bottom={tide.bottom} named={wind.bottom - 6} />
        {handles.map(({ which, name, at, filled }, i) => (
          <Handle
            key={which}
            name={name}
            clock={byClock(clockAt(at, zone))}
            minutes={Math.round((at - axis.from) / 60_000)}
            most={Math.round((axis.to - axis.from) / 60_000)}
            x={x(at)}
            top={top}
            bottom={layout.axis + 14}
            filled={filled}
            named={names[i] ?? { start: x(at), row: 0 }}
            onHold={(on) => {
              setHeld(on ? axis : null);
              setDragging(on);
            }}
            onMove={(px) => set(which, timeOf(axis, px))}
            onStep={(minutes) => set(which, at + minutes * 60_000)}
          />
        ))}
      </svg>
    </Box>
  );
}
