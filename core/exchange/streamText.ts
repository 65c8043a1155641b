import type { StreamHour } from '../documents/water';
import { fromSpoken, parseAmount } from '../units/amount';
import { bearingOfPoint } from '../units/compass';
import { figure } from '../units/words';
import { type Imported, PASTED, reader, refused, told, withoutListCommas } from './imported';

const MOST_HOURS = 15;
const MOST_MPS = 8;
/** An hour as a stream atlas heads its lines: "-6", "HW+2", "6 h before HW", "at HW". */
const HOUR =
  /^(?:(?:hw|high water)\s*)?(?:([+-]?\d(?:[.,]\d{1,2})?)\s*(?:h|hours?)?\s*(before|after)?(?:\s*(?:hw|high water))?|(?:at\s+)?(?:hw|high water))(?=[\s,;:]|$)/i;
const BEARING = /^(\d{1,3}(?:[.,]\d)?)\s*(?:°|deg|degrees|t|true)?(?=[\s,;]|$)|^([nesw][a-z-]*)(?=[\s,;]|$)/i;
const RATE = /^(\d+(?:[.,]\d+)?)\s*(kn|kts?|knots?|m\/s|mph|km\/h)?(?=[\s,;/]|$)/i;

/**
 * A stream by the hour about high water as an atlas or a pilot gives it: a line an hour with the hour, the
 * bearing it runs toward, its rate at springs and at neaps ("-2  045  1.2  0.6", "HW+1 NE 0.8 kn 0.4 kn"). A
 * line without a neap rate has half the spring one; "slack" is none. Bare rates are in the unit that a rate
 * in the text names, else in the reader's.
 */
export const readStreamText = reader(PASTED, inStreamText);
function inStreamText(text: string): Imported<StreamHour[]> {
  const named =
    (
      /\d\s*(kn|kts?|knots?|m\/s|mph|km\/h)\b/i.exec(text) ??
      /\b(kn|kts?|knots?|m\/s|mph|km\/h)\b/i.exec(text)
    )?.[1] ?? null;
  const hours: StreamHour[] = [];
  const troubles: string[] = [];
  for (const [i, raw] of text.split(/\r?\n/).entries()) {
    const line = withoutListCommas(raw.replaceAll('−', '-').replaceAll(/[\t|]/g, ' ').trim());
    if (line === '' || !/\d|slack|hw|high water/i.test(line)) continue;
    const row = rowOf(line, named);
    if (typeof row === 'string') troubles.push(`Line ${i + 1}: ${row}`);
    else if (hours.some(({ hour }) => hour === row.hour))
      troubles.push(`Line ${i + 1}: ${sayHour(row.hour)} is there already; the first is kept.`);
    else if (hours.length < MOST_HOURS) hours.push(row);
  }
  if (hours.length < 2)
    return refused(
      `Write at least two hours, such as: -1 045 1.2 0.6, then: +1 225 0.9 0.4. ${troubles[0] ?? ''}`.trim(),
    );
  return { taken: true, value: hours.toSorted((a, b) => a.hour - b.hour), troubles: told(troubles) };
}

function rowOf(line: string, named: string | null): StreamHour | string {
  const head = HOUR.exec(line);
  if (!head) return `“${line.slice(0, 30)}” does not begin with an hour, such as -2 or HW+1.`;
  const size = Number((head[1] ?? '0').replace(',', '.'));
  const hour = head[2]?.toLowerCase() === 'before' ? -Math.abs(size) : size;
  if (Math.abs(hour) > 7) return 'Hours go from 7 before to 7 after high water.';
  let rest = skip(line.slice(head[0].length));
  if (/^(slack|0(?:[.,]0+)?$)/i.test(rest)) return { hour, towardDeg: 0, springMps: 0, neapMps: 0 };
  const aim = BEARING.exec(rest);
  const towardDeg =
    aim?.[1] !== undefined ? Number(aim[1].replace(',', '.')) : aim?.[2] ? bearingOfPoint(aim[2]) : null;
  if (!aim || towardDeg === null || towardDeg > 360)
    return 'Say which way it runs: a bearing such as 045, or NE.';
  rest = skip(rest.slice(aim[0].length));
  const rates: number[] = [];
  for (let found = RATE.exec(rest); found && rates.length < 2; found = RATE.exec(rest)) {
    rates.push(rateOf(found[1] ?? '', found[2] ?? named));
    rest = skip(rest.slice(found[0].length));
  }
  const [springMps, neapMps = (springMps ?? 0) / 2] = rates;
  if (springMps === undefined) return 'Say how hard it runs at springs.';
  if (rest !== '')
    return `“${rest.slice(0, 30)}” is not understood. Write hour, bearing, spring rate, neap rate.`;
  if (springMps > MOST_MPS || neapMps > MOST_MPS)
    return 'No stream runs so hard: the rates may be in another unit.';
  return { hour, towardDeg, springMps: rounded(springMps), neapMps: rounded(neapMps) };
}

function rateOf(digits: string, unit: string | null): number {
  const read = unit === null ? null : parseAmount(`${digits.replace(',', '.')} ${unit}`, 'm/s');
  if (read?.is === 'amount' && read.value !== null) return read.value;
  return fromSpoken(Number(digits.replace(',', '.')), 'm/s');
}
const skip = (text: string) =>
  text
    .replace(/^[\s,;:/]+/, '')
    .replace(/^(toward|to|springs?|neaps?)\b[\s,;:]*/i, '')
    .trimEnd();
const rounded = (mps: number) => Math.round(mps * 1000) / 1000;

/** "2 h before high water", "high water". */
function sayHour(hour: number): string {
  return hour === 0
    ? 'High water'
    : `${figure(Math.abs(hour))} h ${hour < 0 ? 'before' : 'after'} high water`;
}

/** The same as it would be typed, rates in metres a second and named so. */
export function writeStreamText(hours: readonly StreamHour[]): string {
  return hours
    .map(({ hour, towardDeg, springMps, neapMps }) => {
      const at = `${hour > 0 ? '+' : ''}${hour}`;
      return springMps === 0 && neapMps === 0
        ? `${at} slack`
        : `${at} ${String(Math.round(towardDeg)).padStart(3, '0')} ${springMps} m/s ${neapMps} m/s`;
    })
    .join('\n');
}
