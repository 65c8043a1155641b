/** Heights of the bands of the day strip, px from its top. Above the first stand the names of the handles, in as many rows as they need. */
const ROW = 16;
const BANDS = { wind: 96, sea: 40, tide: 60, gap: 10 };
/** Room for the names of the bands. */
export const LEFT = 52;

export interface StripLayout {
  top: number;
  wind: { top: number; bottom: number };
  sea: { top: number; bottom: number };
  tide: { top: number; bottom: number };
  axis: number;
  height: number;
}
/** @param rows of names above the bands, 1 or more */
export function layoutFor(rows: number): StripLayout {
  const top = 6 + rows * ROW;
  const wind = { top, bottom: top + BANDS.wind };
  const sea = { top: wind.bottom + BANDS.gap, bottom: wind.bottom + BANDS.gap + BANDS.sea };
  const tide = { top: sea.bottom + BANDS.gap, bottom: sea.bottom + BANDS.gap + BANDS.tide };
  const axis = tide.bottom + 34;
  return { top, wind, sea, tide, axis, height: axis + 52 };
}

/** About as wide as this a letter of a name is, px. */
const LETTER = 7;
const APART = 8;

export interface PlacedName {
  /** From where its text begins, px. */
  start: number;
  /** Counted from the one nearest to the bands. */
  row: number;
}
/** Names of points on a line, each at its point, kept inside the edges and in a row where none is in its way. */
export function placeNames(
  names: readonly { x: number; text: string }[],
  { left, right }: { left: number; right: number },
): PlacedName[] {
  const taken: { start: number; end: number }[][] = [];
  return names.map(({ x, text }) => {
    const width = text.length * LETTER;
    const start = Math.max(left, Math.min(x + 6, right - width));
    const end = start + width + APART;
    let row = 0;
    while (taken[row]?.some((other) => start < other.end && end > other.start)) row += 1;
    taken[row] = [...(taken[row] ?? []), { start, end }];
    return { start, row };
  });
}
