/** A thing that is to be named in a drawing: where it is, and how wide its name is, px. */
export interface NameAsked {
  id: string;
  x: number;
  y: number;
  widthPx: number;
}
/** Where a name stands: its row counted from the drawing outwards, its left edge, and where its line begins. */
export interface NamePlace {
  id: string;
  side: 'over' | 'under';
  row: number;
  leftPx: number;
  lineXPx: number;
}
interface Room {
  widthPx: number;
  /** What lies over this line is named over the drawing, the rest under it. */
  middleY: number;
  rows: number;
}
/** Between two names of a row, and beside a line, px. */
const GAP_PX = 8;
const BESIDE_LINE_PX = 3;
/** So far aside a name may stand from what it names, by steps, px. */
const ASIDE_PX = [0, 12, 24, 40, 60, 90, 130];

/**
 * Names in rows over and under a drawing, each joined to its thing by a line: none covers another. Where there
 * is room, no line passes behind another's name either; for that the outer rows are filled first, since a line
 * from there passes the inner ones. What finds no room is left out.
 */
export function placeNames(asked: readonly NameAsked[], { widthPx, middleY, rows }: Room): NamePlace[] {
  return (['over', 'under'] as const).flatMap((side) => {
    const placed: (NamePlace & { rightPx: number; thingX: number })[] = [];
    const isFree = (row: number, left: number, right: number) =>
      placed.every(
        (other) => other.row !== row || right + GAP_PX <= other.leftPx || left >= other.rightPx + GAP_PX,
      );
    const isUncrossed = (row: number, left: number, right: number, lineX: number, thingX: number) =>
      placed.every((other) => {
        if (other.row === row) return true;
        const [inner, line, thing] =
          other.row < row
            ? [other, lineX, thingX]
            : [{ leftPx: left, rightPx: right }, other.lineXPx, other.thingX];
        // The line of the outer one, from its name to its thing, passes the inner one.
        return (
          Math.max(line, thing) < inner.leftPx - BESIDE_LINE_PX ||
          Math.min(line, thing) > inner.rightPx + BESIDE_LINE_PX
        );
      });
    const own = asked.filter(({ y }) => y < middleY === (side === 'over')).toSorted((a, b) => a.x - b.x);
    for (const { id, x, widthPx: wide } of own) {
      const candidates = ASIDE_PX.flatMap((aside) =>
        Array.from({ length: rows }, (_, i) => rows - 1 - i).flatMap((row) =>
          [x + aside, x - aside - wide, x + aside - wide / 2, x - aside - wide / 2].map((left) => ({
            row,
            left,
          })),
        ),
      );
      const free = candidates.filter(
        ({ row, left }) => left >= 0 && left + wide <= widthPx && isFree(row, left, left + wide),
      );
      const found =
        free.find(({ row, left }) => isUncrossed(row, left, left + wide, lineFrom(left, wide, x), x)) ??
        free[0];
      if (!found) continue;
      const { row, left } = found;
      const lineXPx = lineFrom(left, wide, x);
      placed.push({ id, side, row, leftPx: left, rightPx: left + wide, lineXPx, thingX: x });
    }
    return placed.map(({ id, row, leftPx, lineXPx }) => ({ id, side, row, leftPx, lineXPx }));
  });
}
/** Where under a name its line begins: as near to the thing as the name reaches. */
function lineFrom(left: number, wide: number, thingX: number): number {
  const inset = Math.min(4, wide / 2);
  return Math.max(left + inset, Math.min(left + wide - inset, thingX));
}
