import { rectifyConfusion } from 'unicode-confusables';

/**
 * The skeletons of a name: two names that share one look the same (Unicode Technical Standard 39, section 4).
 * As written, and in lower case, because letters that differ there may not differ here.
 */
function skeletonsOf(name: string): string[] {
  const bare = name.normalize('NFKC').trim().replace(/\s+/g, ' ');
  return [bare, bare.toLowerCase()].map((text) => rectifyConfusion(text.normalize('NFD')).normalize('NFD'));
}

/** Whether a name could be taken for one of the others. */
export function looksLikeOneOf(name: string, others: readonly string[]): boolean {
  const taken = new Set(others.flatMap(skeletonsOf));
  return skeletonsOf(name).some((skeleton) => taken.has(skeleton));
}
