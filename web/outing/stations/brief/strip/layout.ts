/**
 * Heights of the bands of the day strip, px from its top. Above the first stand the names of the handles, in
 * as many rows as they need.
 */
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
 * Names of points on a line, each on the side of its point where no other point's line runs through it, in
 * the lowest row that is free: a line rises to the row of its own name. Where no place is clear, kept inside
 * the edges and off the other names.
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
    const { start, row } = clear ?? {
      start: inside,
      row: rows.find((one) => !meets(inside, one)) ?? names.length,
    };
    placed.push({ x, start, end: start + width, row });
  }
  return placed.map(({ start, row }) => ({ start, row }));
}

/** About as wide as this a letter of a small word is, px: under the axis, and on a level line. */
const SMALL = 6.6;
/** A small word is about so high, px; nearer than this to it nothing else should run. */
const SMALL_HEIGHT = 12;
const CLEAR = 4;
const STEP = 6;

type Line = readonly (readonly [x: number, y: number | null])[];
/** How high a line of points runs at x, px; null: it does not. */
function heightOf(line: Line, x: number): number | null {
  for (const [i, [toX, toY]] of line.entries()) {
    const [fromX, fromY] = line[i - 1] ?? [toX, toY];
    if (x < Math.min(fromX, toX) || x > Math.max(fromX, toX) || fromY === null || toY === null) continue;
    return toX === fromX ? toY : fromY + ((toY - fromY) * (x - fromX)) / (toX - fromX);
  }
  return null;
}
/**
 * Where the name of a level line begins, px: where no upright runs through it, and the lines about it leave
 * room; at the end wanted, else the other, else beside an upright. Where there is no such place, off the
 * uprights and farthest from the lines.
 * @param base the name's base line, px @param uprights where lines stand that run from top to bottom, px
 */
export function placeOnLevel(
  text: string,
  base: number,
  { left, right }: { left: number; right: number },
  uprights: readonly number[],
  lines: readonly Line[],
  wanted: 'left' | 'right' = 'right',
): number {
  const width = text.length * SMALL;
  const ends = [left + BESIDE * 2, right - width];
  const starts = [
    ...(wanted === 'left' ? ends : ends.toReversed()),
    ...uprights.flatMap((x) => [x - OFF - width, x + OFF]),
  ].filter((start) => start >= left && start + width <= right);
  const off = starts.filter((start) =>
    uprights.every((x) => x < start - BESIDE || x > start + width + BESIDE),
  );
  const middle = base - SMALL_HEIGHT / 3;
  const roomAt = (start: number) =>
    Math.min(
      ...Array.from({ length: Math.ceil(width / STEP) + 1 }, (_, i) =>
        Math.min(start + i * STEP, start + width),
      ).flatMap((x) => lines.map((line) => Math.abs((heightOf(line, x) ?? Infinity) - middle))),
    );
  const rooms = (off.length > 0 ? off : starts).map((start) => ({ start, room: roomAt(start) }));
  const found =
    rooms.find(({ room }) => room >= SMALL_HEIGHT / 2 + CLEAR) ??
    rooms.toSorted((a, b) => b.room - a.room)[0];
  return found?.start ?? left;
}

/** So far from one another words stand under the axis, px, and in so many rows. */
const BETWEEN = 12;
const MOST_UNDER = 3;

export interface PlacedWords extends PlacedName {
  text: string;
}
/**
 * Words under an axis, each below its moment in the first row that is free, kept inside the edges; what finds
 * no room is left out.
 */
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
