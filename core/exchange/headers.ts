import { withoutAccents } from './calendarWords';

/** A head without its unit: as words, and the unit's text. */
export function headerParts(head: string): { tokens: string[]; unitText: string } {
  const brackets = /[([{]\s*([^)\]}]*?)\s*[)\]}]/u.exec(head);
  const name = withoutAccents(brackets ? head.replace(brackets[0], ' ') : head);
  const tokens = head === '' ? [] : wordsOf(brackets ? head.replace(brackets[0], ' ') : head);
  if (brackets) return { tokens, unitText: brackets[1] ?? '' };
  const behind = /[,:]\s*([^,:]+)$|\s(?:in|en|i)\s+([^\s]+)$/u.exec(name);
  return { tokens, unitText: behind?.[1] ?? behind?.[2] ?? '' };
}
/**
 * Words of a head: parted at gaps, underscores, hyphens, and where a capital follows a small letter; heights
 * above ground dropped.
 */
function wordsOf(head: string): string[] {
  return withoutAccents(head.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'))
    .split(/[\s_.,:;-]+/)
    .filter((word) => word !== '' && !/^(?:2m|10m|@|above|ground|agl)$/.test(word));
}
