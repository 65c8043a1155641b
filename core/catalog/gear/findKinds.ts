import { matchSorter, rankings } from 'match-sorter';
import { type KindId, kindIds, kinds } from './kinds';
import { otherWords } from './otherWords';

interface Named {
  id: KindId;
  name: string;
  also: readonly string[];
  all: string;
}
const named: readonly Named[] = kindIds.map((id) => ({
  id,
  name: kinds[id].name,
  also: otherWords[id],
  all: [kinds[id].name, ...otherWords[id]].join(' '),
}));

/** Without hyphens, stops and the plural's s, so that "dry-bags" finds a dry bag. */
function plain(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replaceAll(/[-–'’.,()/]/g, ' ')
    .replaceAll(/\s+/g, ' ');
}
function singular(word: string): string {
  return word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
}

/**
 * Kinds of gear by any of the words people have for them, the likeliest first: the whole phrase as a name or another word for it, then
 * every word somewhere among them. Nothing typed: all, in their own order.
 */
export function findKinds(words: string): readonly KindId[] {
  const sought = plain(words);
  if (sought === '') return kindIds;
  const phrase = sought.split(' ').map(singular).join(' ');
  const asTyped = likeliest(sought, rankings.EQUAL);
  const whole = likeliest(phrase, rankings.WORD_STARTS_WITH);
  const each = phrase
    .split(' ')
    .reduceRight<Named[]>(
      (left, word) => matchSorter(left, word, { keys: [({ all }) => plain(all)], threshold: rankings.CONTAINS }),
      [...named],
    );
  return [...new Set([...asTyped, ...whole, ...each].map(({ id }) => id))];
}

/** Of two that fit as well, the one whose name comes first in the tables: the commoner one. */
function likeliest(phrase: string, threshold: (typeof rankings)[keyof typeof rankings]): Named[] {
  return matchSorter([...named], phrase, {
    keys: [
      { key: ({ name }) => plain(name), threshold },
      { key: ({ also }) => also.map(plain), threshold },
    ],
    baseSort: (a, b) => a.index - b.index,
  });
}
