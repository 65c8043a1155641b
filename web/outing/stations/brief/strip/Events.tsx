import { useTheme } from '@mui/material/styles';
import { dayOf } from '#core/environment/day';
import { lightOfDay, noonOf } from '#core/environment/light';
import { clockAt } from '#core/units/time';
import { amount } from '#core/units/amount';
import { type TimeAxis, xOf } from '../../../../ui/timeAxis';
import { useDesk } from '../../../desk';
import { byClock } from '#core/units/clockWords';

/** Sun and turns of the tide, named under the axis. */
export function Events({ axis, y }: { axis: TimeAxis; y: number }) {
  const { doc, looked } = useDesk();
  const { inks } = useTheme();
  const { water } = looked;
  if (!water) return null;
  const { sunrise, sunset } = lightOfDay(noonOf(doc.brief.date, water.lonDeg), water.latDeg, water.lonDeg);
  const day = dayOf(doc.conditions, water, axis.from, axis.to);
  const events = [
    ...(sunrise === null ? [] : [{ at: sunrise, text: byClock(`sunrise ${clockAt(sunrise, water.timeZone)}`) }]),
    ...(sunset === null ? [] : [{ at: sunset, text: byClock(`sunset ${clockAt(sunset, water.timeZone)}`) }]),
    ...day.turns.map((turn) => ({
      at: turn.at,
      text: byClock(`${turn.high ? 'high' : 'low'} ${clockAt(turn.at, water.timeZone)} · ${amount(turn.value, 'm')}`),
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
    <text key={text} x={start} y={y} fontSize={12} fill={inks.slate}>
      {text}
    </text>
  ));
}
