import { dayWords } from '../units/words';
import type { AnswersGiven, Question } from './imported';
import type { DayOrder, MomentParts } from './momentCells';

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

/** The order of day and month that was answered; the day first, until it is. */
export function answeredOrder(answers: AnswersGiven): DayOrder {
  return answers['day order'] === 'month first' ? 'month first' : 'day first';
}

/** What is not taken before all of its questions are answered; null: they are. */
export function unanswered(
  asks: Question[],
  answers: AnswersGiven,
): { taken: false; why: string; asks: Question[] } | null {
  return asks.every(({ id }) => answers[id] !== undefined)
    ? null
    : { taken: false, why: 'It can be read in more than one way.', asks };
}
