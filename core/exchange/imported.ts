/** What a file gave: the value, and what of it could not be taken, by line or point. Refused: one sentence, nothing taken. */
export type Imported<T> = { taken: true; value: T; troubles: string[] } | { taken: false; why: string };

export const refused = (why: string): { taken: false; why: string } => ({ taken: false, why });

/** Files are read whole: larger ones are refused. */
export const MOST_BYTES = 8 * 1024 * 1024;
/** Troubles told one by one; the rest are counted. */
const MOST_TOLD = 12;

export function told(troubles: readonly string[]): string[] {
  if (troubles.length <= MOST_TOLD) return [...troubles];
  return [...troubles.slice(0, MOST_TOLD), `And ${troubles.length - MOST_TOLD} more like these.`];
}

/** A line whose commas part its figures has gaps instead, so that "1,0.5" is two figures and "4,3 m" stays one. */
export function withoutListCommas(line: string): string {
  return /[\s;]/.test(line.trim()) ? line : line.replaceAll(',', ' ');
}
