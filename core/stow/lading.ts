import { type Lading, together } from '../boat/lading';
import { seatOf } from '../boat/build';
import { kinds } from '../catalog/gear/kinds';
import { type Placed, type StowPlan, centreOf } from './plan';

const round = (value: number, step: number) => Math.round(value / step) * step;

/** The thing that keeps the catch: a cold store aboard; null: there is none. */
export function storeIn({ things }: StowPlan): Placed | null {
  return (
    things.find(({ one, lies }) => lies.in === 'zone' && kinds[one.item.kind].means.includes('cold-store')) ?? null
  );
}

/** All weights of a plan, each at its place. @param fishKg the catch aboard, in its store */
export function loadsOf(plan: StowPlan, heightM: number, fishKg: number): Lading[] {
  const loads = plan.things.flatMap((placed): Lading[] => {
    const { item, entry } = placed.one;
    const at = entry.carriedBy === null ? centreOf(placed, plan, heightM) : null;
    return at ? [{ massKg: item.massKg * entry.quantity, ...at }] : [];
  });
  if (fishKg <= 0) return loads;
  const store = storeIn(plan);
  const at = store && centreOf(store, plan, heightM);
  const { craft } = plan;
  return [...loads, { massKg: fishKg, ...(at ?? { xM: 0.25 * craft.lengthM, yM: 0, zM: seatOf(craft).lowM }) }];
}

/** The same as one weight: to half a kilogram and a centimetre, so that what hangs on it stands while little changes. */
export function planLading(plan: StowPlan, heightM: number, fishKg: number): Lading {
  const { massKg, xM, yM, zM } = together(loadsOf(plan, heightM, fishKg));
  return { massKg: round(massKg, 0.5), xM: round(xM, 0.01), yM: round(yM, 0.01), zM: round(zM, 0.01) };
}

/** What rides behind the seat, kg, with the catch where its store is there. */
export function behindSeat(plan: StowPlan, fishKg: number): { massKg: number; things: readonly Placed[] } {
  const seat = seatOf(plan.craft).xM;
  const things = plan.things.filter(
    ({ one, zone }) => zone !== null && zone.xM < seat && ASTERN.has(zone.kind) && one.entry.carriedBy === null,
  );
  const sum = things.reduce((kg, { one: { item, entry } }) => kg + item.massKg * entry.quantity, 0);
  const store = storeIn(plan);
  return { massKg: sum + (store && things.includes(store) ? fishKg : 0), things };
}
const ASTERN: ReadonlySet<string> = new Set(['tank well', 'hatch', 'deck under cords']);
