import { capital, count, duration, plural } from '../units/words';
import type { Finding } from './finding';
import type { Outing } from '../documents/outing';
import { byClock } from '../units/clockWords';
import { HOUR_MS, type Instant, clockAt, dateAt, dayInWords } from '../units/time';
import { type Answers, GOOD_STANDS_HOURS } from '../walkround/answers';
import { FORECAST_HOURS, forecastSeenAt } from '../walkround/forecastSeen';
import type { Step } from '../walkround/steps';

/** What still keeps the gate shut. */
export type GateBar =
  | { bar: 'stops'; count: number }
  | { bar: 'minds'; count: number }
  | { bar: 'critical'; steps: readonly string[] }
  | { bar: 'forecast'; hoursOld: number | null }
  /** The launch is so far ahead that nothing looked at now stands then; the moment from which it does. */
  | { bar: 'early'; opensAt: Instant; zone: string };

export interface Gate {
  open: boolean;
  bars: readonly GateBar[];
}

/**
 * Open when no Stop stands, each Mind is answered, every critical step is good and the forecast is under
 * three hours old; and on the day alone: not before a "good" of now would still stand at the launch.
 * @param launch when, by which clock; null: not known
 */
export function gate(
  outing: Outing,
  findings: readonly Finding[],
  steps: readonly Step[],
  answers: Answers,
  now: Instant,
  launch: { at: Instant; zone: string } | null,
): Gate {
  const standing = (level: Finding['level']) =>
    findings.filter((one) => one.level === level && one.accepted === null).length;
  const critical = steps.filter((step) => step.critical && answers.get(step.id)?.verdict !== 'good');
  const seen = forecastSeenAt(outing.conditions, answers, now);
  const hoursOld = seen === null ? null : (now - seen) / HOUR_MS;
  const bars: GateBar[] = [];
  if (standing('stop') > 0) bars.push({ bar: 'stops', count: standing('stop') });
  if (standing('mind') > 0) bars.push({ bar: 'minds', count: standing('mind') });
  if (critical.length > 0) bars.push({ bar: 'critical', steps: critical.map((step) => step.id) });
  if (hoursOld === null || hoursOld >= FORECAST_HOURS) bars.push({ bar: 'forecast', hoursOld });
  const opensAt = (launch?.at ?? now) - GOOD_STANDS_HOURS * HOUR_MS;
  if (launch && now < opensAt) bars.push({ bar: 'early', opensAt, zone: launch.zone });
  return { open: bars.length === 0, bars };
}

/** What keeps the gate shut, in words. */
export function sayBar(bar: GateBar): string {
  switch (bar.bar) {
    case 'stops':
      return `${capital(count(bar.count))} ${plural(bar.count, 'Stop stands', 'Stops stand')}.`;
    case 'minds':
      return `${capital(count(bar.count))} ${plural(bar.count, 'Mind waits', 'Minds wait')} for an answer.`;
    case 'critical':
      return `${capital(count(bar.steps.length))} ${plural(bar.steps.length, 'step', 'steps')} that must be good ${plural(bar.steps.length, 'is', 'are')} not yet.`;
    case 'forecast':
      return bar.hoursOld === null
        ? 'Nobody has looked at a forecast.'
        : `The forecast was looked at ${duration(bar.hoursOld * 60)} ago; look again.`;
    case 'early':
      return `It can be signed from ${byClock(clockAt(bar.opensAt, bar.zone))} on ${dayInWords(dateAt(bar.opensAt, bar.zone))}, ${GOOD_STANDS_HOURS} h before the launch. What is looked over before that is looked over at home, and asked again.`;
  }
}
