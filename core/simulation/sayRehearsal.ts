import { sayRepair } from '../editing/repair';
import { amount } from '../units/amount';
import { byClock } from '../units/clockWords';
import { capital, count, duration } from '../units/words';
import { type Option, type Rehearsal, effectOf } from './rehearsal';
import type { Part } from './rehearse';

/** A count of days in words, before any figure: "one in eight", never a false digit. */
export function shareInWords(days: number, of: number): string {
  const share = days / of;
  if (days === 0) return 'none of the days';
  if (days === of) return 'all days';
  if (share < 0.001) return 'fewer than one day in a thousand';
  if (share < 0.45) {
    const n = Math.max(2, Math.round(1 / share));
    return `one day in ${n <= 12 ? count(n) : String(n < 100 ? Math.round(n / 5) * 5 : Math.round(n / 50) * 50)}`;
  }
  if (share > 0.99) return 'nearly all days';
  if (share > 0.95) return 'all but a few days';
  return `${count(Math.round(share * 10))} days in ten`;
}
/** The same with its count. */
const counted = (days: number, of: number) =>
  days === 0 || days === of ? shareInWords(days, of) : `${shareInWords(days, of)} (${days} of ${of})`;

/** The first sentence: between which hours one comes home. */
export function sayHome({ home, days, notHome }: Rehearsal): string {
  if (!home) return `In ${shareInWords(days, days)} you are not home within twelve hours of the turn.`;
  const also = notHome > 0 ? ` In ${counted(notHome, days)} you are not home within twelve hours.` : '';
  return `Home between ${byClock(home.early)} and ${byClock(home.late)} in nine days of ten, by ${byClock(home.half)} in half of them.${also}`;
}

const partWords: Record<Part, string> = {
  out: 'on the way out',
  there: 'while you fish',
  home: 'on the way home',
};
/** Rarer than one day in two hundred, what else could happen is not told. */
const RARE = 0.005;
/** What happened in how many days, the hours first. Of darkness and the call it is also said that they did not. */
export function sayCounts(one: Rehearsal): string[] {
  const { days, late, dark, called, deadline, passed, turned, stopped, empty, limitMps } = one;
  const limit = amount(limitMps, 'wind');
  const winds = (['out', 'there', 'home'] as const).flatMap((part) => {
    const { days: many, half } = passed[part];
    return many < days * RARE || half === null
      ? []
      : [
          `The wind first passes your limit of ${limit} ${partWords[part]} in ${counted(many, days)}, in half of those before ${byClock(half)}.`,
        ];
  });
  return [
    late === 0
      ? null
      : `Later than ${byClock(deadline)}, the hour written, in ${counted(late, days)}.${one.latestTurn ? ' No turn is written: you turn as late as the forecast lets you, with nothing in hand.' : ''}`,
    dark && `After dark (from ${byClock(dark.at)}) in ${counted(dark.days, days)}.`,
    called && `After the hour to call, ${byClock(called.at)}, in ${counted(called.days, days)}.`,
    ...winds,
    turned.days < days * RARE || turned.half === null
      ? null
      : `By your own rule you turn early in ${counted(turned.days, days)}, in half of those before ${byClock(turned.half)}; ${turned.enough === turned.days ? 'that is enough in all of them' : `that is enough in ${turned.enough} of those ${turned.days}`}.`,
    stopped < days * RARE ? null : `You make no way for a while in ${counted(stopped, days)}.`,
    ...empty.map(({ name, days: many }) =>
      many < days * RARE ? null : `${name} is empty before you are home in ${counted(many, days)}.`,
    ),
  ].filter((text): text is string => typeof text === 'string');
}

/** One option with what it changes, in counts of the same days. */
export function sayOption(option: Option, one: Rehearsal): string {
  const { optionDays, wrongOfThose, lateOfThose } = one;
  const changed = effectOf(option, one);
  const parts = [
    changed.wrong !== 0 && `goes wrong in ${option.wrong} of ${optionDays} days in place of ${wrongOfThose}`,
    changed.late !== 0 && `home late in ${option.late} in place of ${lateOfThose}`,
  ].filter(Boolean);
  return `${sayRepair(option.repair)}: ${parts.length > 0 ? parts.join('; ') : 'changes nothing that chance would not'}.`;
}

export function sayAge({ ageH }: Rehearsal): string {
  return ageH === null
    ? 'Nobody wrote when the forecast was looked at: it is taken as two days old.'
    : `The forecast is ${duration(Math.round(ageH * 60))} old at the launch: the older, the more it errs.`;
}

/** What is drawn, and what is not in it: said always. */
export const NOT_IN_IT =
  'Drawn are the wind and when it changes, the stream, your pace, a late start, one fish more and a stop on the way. Not in it: waves and surf, fog, thunder, cold, fish that tow you off, faults and accidents. An estimate by rules of thumb, no promise.';
const WRONG =
  'home after dark or after the hour to call, no way made, a battery empty, or under way in more wind than your limit';
export const sayWrong = ({ wrong, days }: Rehearsal): string =>
  wrong === 0
    ? `None of the days goes wrong: ${WRONG}.`
    : `${capital(counted(wrong, days))} ${wrong > days * 0.45 ? 'go' : 'goes'} wrong: ${WRONG}.`;
