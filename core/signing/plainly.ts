import { amount } from '../units/amount';
import { dayWords, listed } from '../units/words';
import type { Names } from './names';

const DAY = /^\d{4}-\d\d-\d\d$/;
const INSTANT = /^\d{4}-\d\d-\d\dT/;
const MOST_WORDS = 80;

/** A short value as people read it; null: too long to say, or only a moment of a clock. */
export function plainly(
  value: unknown,
  { unit, names, isId }: { unit: string; names: Names; isId: boolean },
): string | null {
  if (value === null || value === undefined) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return amount(value, unit, 3);
  if (typeof value === 'string') return INSTANT.test(value) ? null : short(text(value, names, isId));
  if (Array.isArray(value) && value.every((one) => typeof one === 'string'))
    return short(value.length === 0 ? 'none' : listed(value.map((one) => text(one, names, isId))));
  return null;
}

function text(value: string, names: Names, isId: boolean): string {
  const name = names.get(value);
  if (name !== null) return name;
  if (isId) return 'one no longer known';
  if (value.trim() === '') return 'nothing';
  return DAY.test(value) ? dayWords(value) : value;
}
function short(words: string): string | null {
  return words.length <= MOST_WORDS ? words : null;
}
