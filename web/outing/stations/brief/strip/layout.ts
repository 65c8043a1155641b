/** Heights of the bands of the day strip, px from its top. Above the first stand the names of the handles, in as many rows as they need. */
export const ROW = 16;
const BANDS = { wind: 96, sea: 40, tide: 60, gap: 10 };
/** Room for the names of the bands. */
export const LEFT = 52;

export interface StripLayout {
  top: number;
  wind: { top: number; bottom: number };
  sea: { top: number; bottom: number };
  tide: { top: number; bottom: number };
  axis: number;
  /** Where the first row of words under the axis stands. */
  under: number;
  height: number;
}
/** @param rows of names above the bands, 1 or more @param under rows of words under the axis, 1 or more */
export function layoutFor(rows: number, under = 1): StripLayout {
  const top = 6 + rows * ROW;
  const wind = { top, bottom: top + BANDS.wind };
  const sea = { top: wind.bottom + BANDS.gap, bottom: wind.bottom + BANDS.gap + BANDS.sea };
  const tide = { top: sea.bottom + BANDS.gap, bottom: sea.bottom + BANDS.gap + BANDS.tide };
  const axis = tide.bottom + 34;
  return { top, wind, sea, tide, axis, under: axis + 48, height: axis + 36 + under * ROW };
}

/** About as wide as this a letter of a name is, px. */
const LETTER = 7;
const APART = 8;
/** From a point to its name, and the least between a name and a line that is not its own, px. */
const OFF = 6;
const BESIDE = 2;

export interface PlacedName {
  /** From where its text begins, px. */
  start: number;
  /** Counted from the one nearest to the bands. */
  row: number;
}
/**
 * Names of points on a line, each on the side of its point where no other point's line runs through it, in the lowest row that is free:
 * a line rises to the row of its own name. Where no place is clear, kept inside the edges and off the other names.
 */
export function placeNames(
  names: readonly { x: number; text: string }[],
  { left, right }: { left: number; right: number },
): PlacedName[] {
  const placed: (PlacedName & { x: number; end: number })[] = [];
  for (const name of names) {
    const { x, text } = name;
    const width = text.length * LETTER;
    const others = names.filter((other) => other !== name);
    const meets = (start: number, row: number) =>
      placed.some((one) => one.row === row && start < one.end + APART && start + width + APART > one.start);
    const isClear = (start: number, row: number) =>
      start >= left &&
      start + width <= right &&
      !meets(start, row) &&
      !placed.some((one) => one.row <= row && x > one.start - BESIDE && x < one.end + BESIDE) &&
      others.every(
        (other) =>
          other.x < start - BESIDE ||
          other.x > start + width + BESIDE ||
          placed.some((one) => one.x === other.x && one.row < row),
      );
    const rows = names.map((_, row) => row);
    const clear = rows
      .flatMap((row) => [x + OFF, x - OFF - width].map((start) => ({ start, row })))
      .find(({ start, row }) => isClear(start, row));
    const inside = Math.max(left, Math.min(x + OFF, right - width));
    const { start, row } = clear ?? { start: inside, row: rows.find((one) => !meets(inside, one)) ?? names.length };
    placed.push({ x, start, end: start + width, row });
  }
  return placed.map(({ start, row }) => ({ start, row }));
}

/** About as wide as this a letter under the axis is, px; so far from one another words stand there, and in so many rows. */
const SMALL = 6.6;
const BETWEEN = 12;
const MOST_UNDER = 3;

export interface PlacedWords extends PlacedName {
  text: string;
}
/** Words under an axis, each below its moment in the first row that is free, kept inside the edges; what finds no room is left out. */
export function placeUnder(
  words: readonly { x: number; text: string }[],
  { left, right }: { left: number; right: number },
): PlacedWords[] {
  const placed: (PlacedWords & { end: number })[] = [];
  for (const { x, text } of words) {
    const width = text.length * SMALL;
    const start = Math.max(left, Math.min(x - width / 2, right - width));
    const row = Array.from({ length: MOST_UNDER }, (_, i) => i).find(
      (one) => !placed.some((other) => other.row === one && start < other.end + BETWEEN),
    );
    if (row !== undefined) placed.push({ text, start, end: start + width, row });
  }
  return placed.map(({ text, start, row }) => ({ text, start, row }));
}
