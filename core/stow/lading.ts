import { EMPTY, type Lading } from '../boat/lading';
import { seatOf } from '../boat/build';
import { kinds } from '../catalog/gear/kinds';
import { type Placed, type StowPlan, centreOf } from './plan';

const round = (value: number, step: number) => Math.round(value / step) * step;

/** The thing that keeps the catch: a cold store aboard; null: there is none. */
export function storeIn({ things }: StowPlan): Placed | null {
  return (
    things.find(({ one, lies }) => lies.in === 'zone' && kinds[one.item.kind].means.includes('cold-store')) ??
    null
  );
}

/**
 * All weights of a plan as one, at its centre: to half a kilogram and a centimetre, so that what hangs on it
 * stands while little changes.
 * @param fishKg the catch aboard, in its store
 */
export function planLading(plan: StowPlan, heightM: number, fishKg: number): Lading {
  const { massKg, xM, yM, zM } = exactLading(plan, heightM, fishKg);
  return { massKg: round(massKg, 0.5), xM: round(xM, 0.01), yM: round(yM, 0.01), zM: round(zM, 0.01) };
}

/** The same, to the gram. */
export function exactLading(plan: StowPlan, heightM: number, fishKg: number): Lading {
  let [massKg, x, y, z] = [0, 0, 0, 0];
  const put = (kg: number, at: { xM: number; yM: number; zM: number }) => {
    massKg += kg;
    x += kg * at.xM;
    y += kg * at.yM;
    z += kg * at.zM;
  };
  for (const placed of plan.things) {
    const { item, entry } = placed.one;
    const at = entry.carriedBy === null ? centreOf(placed, plan, heightM) : null;
    if (at) put(item.massKg * entry.quantity, at);
  }
  if (fishKg > 0) {
    const { craft } = plan;
    const store = storeIn(plan);
    const at = store && centreOf(store, plan, heightM);
    put(fishKg, at ?? { xM: 0.25 * craft.lengthM, yM: 0, zM: seatOf(craft).lowM });
  }
  return massKg > 0 ? { massKg, xM: x / massKg, yM: y / massKg, zM: z / massKg } : EMPTY;
}

/** What rides behind the seat, kg, with the catch where its store is there. */
export function behindSeat(plan: StowPlan, fishKg: number): { massKg: number; things: readonly Placed[] } {
  const seat = seatOf(plan.craft).xM;
  const things = plan.things.filter(
    ({ one, zone }) =>
      zone !== null && zone.xM < seat && ASTERN.has(zone.kind) && one.entry.carriedBy === null,
  );
  const sum = things.reduce((kg, { one: { item, entry } }) => kg + item.massKg * entry.quantity, 0);
  const store = storeIn(plan);
  return { massKg: sum + (store && things.includes(store) ? fishKg : 0), things };
}
const ASTERN: ReadonlySet<string> = new Set(['tank well', 'hatch', 'deck under cords']);
