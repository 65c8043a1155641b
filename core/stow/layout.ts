import { sizeOf } from '../catalog/gear/stowing';
import { type Placed, type StowPlan, spotAt, standsUp } from './plan';

/** A thing from above, m: its middle, how long it is along the boat, how wide across. */
export interface Laid {
  xM: number;
  yM: number;
  lengthM: number;
  widthM: number;
}
const GAP_M = 0.015;
/** What stands or hangs is seen from its end, at least so large, m. */
const LEAST_M = 0.03;
/** What hangs beside a rail is folded flat, m. */
const ON_EDGE_M = 0.08;

/**
 * How a thing lies in its place: its long side along the longer side of the place; what stands, on its end.
 */
export function footprintOf(placed: Placed): { lengthM: number; widthM: number } {
  const [long, middle, short] = sizeOf(placed.one.item);
  if (standsUp(placed)) return { lengthM: Math.max(LEAST_M, middle), widthM: Math.max(LEAST_M, short) };
  const { zone } = placed;
  // Beside a rail or in a narrow place it hangs or stands on its edge.
  if (zone !== null && zone.widthM < middle && zone.kind !== 'tank well')
    return { lengthM: Math.max(LEAST_M, long), widthM: Math.max(LEAST_M, Math.min(short, ON_EDGE_M)) };
  const across = zone !== null && zone.widthM > zone.lengthM && long <= zone.widthM * 1.1;
  const pair = { lengthM: Math.max(LEAST_M, long), widthM: Math.max(LEAST_M, middle) };
  return across ? { lengthM: pair.widthM, widthM: pair.lengthM } : pair;
}

/**
 * Where each thing that lies in a place of the boat by itself is drawn: where somebody put it, else in rows
 * from the bow end of its place, the largest first. Rows that do not fit lie over the others: that they are
 * too many is told by their own finding.
 */
export function layoutOf({ things, craft }: StowPlan): ReadonlyMap<string, Laid> {
  const laid = new Map<string, Laid>();
  const byZone = new Map<string, Placed[]>();
  for (const placed of things) {
    const { spot, zone, one } = placed;
    if (spot.in !== 'zone' || !zone) continue;
    if (spot.at) laid.set(one.item.id, { ...spotAt(placed, craft), ...footprintOf(placed) });
    else byZone.set(zone.id, [...(byZone.get(zone.id) ?? []), placed]);
  }
  for (const list of byZone.values()) {
    const zone = list[0]?.zone;
    if (!zone) continue;
    const sized = list
      .map((placed) => ({ id: placed.one.item.id, ...footprintOf(placed) }))
      .toSorted((a, b) => b.lengthM * b.widthM - a.lengthM * a.widthM || (a.id < b.id ? -1 : 1));
    const [bow, top] = [zone.xM + zone.lengthM / 2, zone.yM - zone.widthM / 2];
    let [x, y, row] = [0, 0, 0];
    for (const { id, lengthM, widthM } of sized) {
      if (x > 0 && x + lengthM > zone.lengthM) [x, y, row] = [0, y + row + GAP_M, 0];
      // Past the last row it begins at the first again, a little aside.
      if (y > 0 && y + widthM > zone.widthM * 1.05) [x, y] = [GAP_M * 2, GAP_M * 2];
      const alone = lengthM > zone.lengthM || widthM > zone.widthM;
      laid.set(id, {
        xM: alone && lengthM > zone.lengthM ? zone.xM : bow - x - lengthM / 2,
        yM: alone && widthM > zone.widthM ? zone.yM : top + y + widthM / 2,
        lengthM,
        widthM,
      });
      x += lengthM + GAP_M;
      row = Math.max(row, widthM);
    }
  }
  return laid;
}
