import { dayWords } from '../units/words';
import type { Question } from './imported';
import type { MomentParts } from './momentCells';

/** Asks which of two figures of a date is the day, by the two days that it may be. */
export function askDayOrder({ a, b }: NonNullable<MomentParts['date']>): Question {
  const say = (day: number, month: number) =>
    dayWords(`2000-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`).replace(/ 2000$/, '');
  return {
    id: 'day order',
    text: `Which day is ${a}/${b}?`,
    choices: [
      { id: 'day first', text: say(a, b) },
      { id: 'month first', text: say(b, a) },
    ],
  };
}

/** Asks whether a comma or a point parts thousands or decimals, by the two figures that it may be. */
export function askDecimal(unclear: string): Question {
  const mark = unclear.includes(',') ? ',' : '.';
  const [whole = '', rest = ''] = unclear.split(mark);
  return {
    id: 'decimal',
    text: `Which figure is "${unclear}"?`,
    choices: [
      { id: mark, text: `${whole} and ${Number(rest)} thousandths` },
      { id: mark === ',' ? '.' : ',', text: `${whole}${rest}` },
    ],
  };
}
