import type { Item } from '../documents/item';
import { dayWords } from '../units/words';

/** Whether an item may count on a day, and its state in words. */
export function itemState(item: Item, day: string): { sound: boolean; words: string } {
  if (item.condition !== 'good') return { sound: false, words: item.condition };
  if (item.expiresOn !== null && item.expiresOn < day)
    return { sound: false, words: `out of date since ${dayWords(item.expiresOn)}` };
  return { sound: true, words: 'good' };
}
