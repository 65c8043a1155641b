import { capital, count, duration, plural } from '../units/words';
import type { Finding } from './finding';
import type { Outing } from '../documents/outing';
import { HOUR_MS, type Instant } from '../units/time';
import type { Answers } from '../walkround/answers';
import { FORECAST_HOURS, forecastSeenAt } from '../walkround/forecastSeen';
import type { Step } from '../walkround/steps';

/** What still keeps the gate shut. */
export type GateBar =
  | { bar: 'stops'; count: number }
  | { bar: 'minds'; count: number }
  | { bar: 'critical'; steps: readonly string[] }
  | { bar: 'forecast'; hoursOld: number | null };

export interface Gate {
  open: boolean;
  bars: readonly GateBar[];
}

/** Open when no Stop stands, each Mind is answered, every critical step is good and the forecast is under three hours old. */
export function gate(
  outing: Outing,
  findings: readonly Finding[],
  steps: readonly Step[],
  answers: Answers,
  now: Instant,
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
  }
}
