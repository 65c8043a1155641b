import { matchSorter, rankings } from 'match-sorter';
import { type KindId, kindIds, kinds } from './kinds';
import { otherWords } from './otherWords';

/** Without hyphens, stops and the plural's s, so that "dry-bags" finds a dry bag. */
function plain(text: string): string {
  const words = text
    .toLowerCase()
    .replaceAll(/[-–'’.,()/]/g, ' ')
    .split(/\s+/)
    .filter((word) => word !== '');
  return words.map(singular).join(' ');
}
function singular(word: string): string {
  if (/[^aeiou]ies$/.test(word) && word.length > 4) return `${word.slice(0, -3)}y`;
  return word.length > 3 && /[^su]s$/.test(word) ? word.slice(0, -1) : word;
}

/**
 * What a phrase names: the last word before what only says more of it. A rod tube is a tube, a rod and reel a
 * rod.
 */
function headOf(phrase: string): string {
  const [first = ''] = phrase.split(/[,(]| (?:and|for|from|in|of|on|over|that|to|with) /);
  return plain(first).split(' ').at(-1) ?? '';
}

/** A kind's words, made plain once and not at every letter typed. */
interface Named {
  id: KindId;
  name: string;
  also: string[];
  heads: string[];
  all: string;
}
const named: readonly Named[] = kindIds.map((id) => {
  const phrases = [kinds[id].name, ...otherWords[id]];
  const [name = '', ...also] = phrases.map(plain);
  return { id, name, also, heads: phrases.map(headOf), all: ` ${[name, ...also].join(' ')}` };
});

/**
 * Kinds of gear by any of the words people have for them, the likeliest first: the whole phrase as a name or
 * another word for it, then what is such a thing ("rod": rods before rod tubes), then every word somewhere
 * among them. Nothing typed: all, in their own order.
 */
export function findKinds(words: string): readonly KindId[] {
  const sought = plain(words);
  if (sought === '') return kindIds;
  const parts = sought.split(' ');
  const having = (start: string) =>
    named.filter(({ all }) => parts.every((word) => all.includes(start + word)));
  // Each word begins one of the kind's words, or, where there is no such kind, stands in one.
  const begun = having(' ');
  const each = begun.length > 0 ? begun : having('');
  const asTyped = each.filter(({ name, also }) => name === sought || also.includes(sought));
  return [...new Set([...asTyped, ...likeliest(each, sought), ...each].map(({ id }) => id))];
}

/** Of two that fit as well, the one whose name comes first in the tables: the commoner one. */
function likeliest(among: Named[], phrase: string): Named[] {
  const threshold = rankings.WORD_STARTS_WITH;
  return matchSorter(among, phrase, {
    keys: [
      { key: 'heads', threshold: rankings.EQUAL },
      { key: 'name', threshold },
      { key: 'also', threshold },
    ],
    baseSort: (a, b) => a.index - b.index,
    keepDiacritics: true,
  });
}
