import type { Hour } from '../documents/outing';
import { forceOf } from '../units/beaufort';
import { pointOf } from '../units/compass';
import { clockAt } from '../units/time';
import { amount, distance } from '../units/amount';
import { figure } from '../units/words';

/** One hour of a forecast in words: what is written of it, and nothing else. */
export function sayHour(hour: Omit<Hour, 'at'>): string {
  const {
    windMps,
    gustMps,
    windFromDeg,
    airC,
    waveM,
    swellM,
    swellPeriodS,
    thunderPct,
    rainMm,
    visibilityM,
  } = hour;
  const parts = [
    windMps !== null &&
      `wind ${windFromDeg === null ? '' : `${pointOf(windFromDeg)} `}${amount(windMps, 'wind')} (force ${forceOf(windMps)})`,
    windMps === null && windFromDeg !== null && `from ${pointOf(windFromDeg)}`,
    gustMps !== null && `gusts ${amount(gustMps, 'wind')}`,
    waveM !== null && `waves ${amount(waveM, 'm')}`,
    swellM !== null &&
      `swell ${amount(swellM, 'm')}${swellPeriodS === null ? '' : ` every ${figure(swellPeriodS)} s`}`,
    airC !== null && `air ${amount(airC, '°C')}`,
    thunderPct !== null && `thunder ${figure(thunderPct, 0)} %`,
    rainMm !== null && `rain ${amount(rainMm, 'mm')}`,
    visibilityM !== null && `sight ${distance(visibilityM)}`,
  ];
  return parts.filter((part) => part !== false).join(', ');
}

/** Hours in words where they change: "from 08:00 wind SW 6.7 m/s (force 4)". */
export function sayChanges(hours: readonly Hour[], zone: string): string[] {
  return hours.flatMap((hour, i) => {
    const words = sayHour(hour);
    const last = hours[i - 1];
    return words === '' || (last && sayHour(last) === words)
      ? []
      : [`from ${clockAt(Date.parse(hour.at), zone)} ${words}`];
  });
}
