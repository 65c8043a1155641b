import { matchSorter, rankings } from 'match-sorter';
import { type KindId, kindIds, kinds } from './kinds';
import { otherWords } from './otherWords';

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

/** A kind's words, made plain once and not at every letter typed. */
interface Named {
  id: KindId;
  name: string;
  also: string[];
  all: string;
}
const named: readonly Named[] = kindIds.map((id) => {
  const name = plain(kinds[id].name);
  const also = otherWords[id].map(plain);
  return { id, name, also, all: [name, ...also].join(' ') };
});

/**
 * Kinds of gear by any of the words people have for them, the likeliest first: the whole phrase as a name or another word for it, then
 * every word somewhere among them. Nothing typed: all, in their own order.
 */
export function findKinds(words: string): readonly KindId[] {
  const sought = plain(words);
  if (sought === '') return kindIds;
  const parts = sought.split(' ').map(singular);
  // What has every word somewhere; the rest is put in order among these alone.
  const each = named.filter(({ all }) => parts.every((word) => all.includes(word)));
  const asTyped = each.filter(({ name, also }) => name === sought || also.includes(sought));
  return [...new Set([...asTyped, ...likeliest(each, parts.join(' ')), ...each].map(({ id }) => id))];
}

/** Of two that fit as well, the one whose name comes first in the tables: the commoner one. */
function likeliest(among: Named[], phrase: string): Named[] {
  const threshold = rankings.WORD_STARTS_WITH;
  return matchSorter(among, phrase, {
    keys: [
      { key: 'name', threshold },
      { key: 'also', threshold },
    ],
    baseSort: (a, b) => a.index - b.index,
    keepDiacritics: true,
  });
}
