import { type LadenBoat, ladenBoat } from '../boat/afloat';
import type { Lading } from '../boat/lading';
import { setUpOf } from '../boat/build';
import type { Craft } from '../documents/craft';
import type { Brief } from '../documents/outing';
import type { Places } from '../documents/references';
import type { Stow } from '../documents/stow';
import { rememberFor } from '../units/remember';
import type { SeatHeight } from '../vocabulary/boat';
import type { Mode } from '../vocabulary/stow';
import { planLading } from './lading';
import { type PlanInput, type StowPlan, differsIn, planOf } from './plan';

export interface ModePlan {
  mode: Mode;
  plan: StowPlan;
}
/** A laden boat that differs from the one that fishes with its catch aboard. */
export interface OtherwiseAfloat {
  mode: Mode;
  /** Before the catch, where there is to be one. */
  empty: boolean;
  boat: LadenBoat;
}

const known = new Map<string, readonly Mode[]>();
/**
 * The modes of an outing, in the order they come: a river is run, a night is camped. The same list each time.
 */
export function modesOf({ trip, nights }: Pick<Brief, 'trip' | 'nights'>): readonly Mode[] {
  const [river, camps] = [trip.startsWith('river'), nights > 0];
  const key = `${river ? 'r' : ''}${camps ? 'c' : ''}`;
  const list: readonly Mode[] = known.get(key) ?? [
    'carry',
    'launch',
    'fish',
    ...(river ? (['run'] as const) : []),
    'land',
    ...(camps ? (['camp'] as const) : []),
  ];
  known.set(key, list);
  return list;
}

/** The plan of each mode; one in which nothing differs is the plan of fishing itself. */
export function plansOf(fishing: StowPlan, input: PlanInput, list: readonly Mode[]): readonly ModePlan[] {
  const differs = (mode: Mode) =>
    differsIn(input.stow, mode) || differsIn(setUpOf(input.craft).stow ?? NOTHING, mode);
  return list.map((mode) => ({ mode, plan: differs(mode) ? planOf(input, mode) : fishing }));
}
const NOTHING: Stow = { things: [], boat: { carry: null, launch: null, land: null, run: null, camp: null } };

/** How the boat stands in a mode: seat and floats. */
export function riggedIn(
  craft: Craft,
  stow: Stow,
  mode: Mode,
): { seat: SeatHeight; floats: 'out' | 'folded' } {
  const setUp = setUpOf(craft);
  const own = mode === 'fish' ? null : (stow.boat[mode] ?? setUp.stow?.boat[mode] ?? null);
  return { seat: own?.seat ?? setUp.seat, floats: own?.floats ?? setUp.floats };
}
const rigged = rememberFor((_: Craft) => new Map<string, Craft>());
/** The boat as it stands in a mode; the same record where it stands as it is set up. */
export function craftIn(craft: Craft, stow: Stow, mode: Mode): Craft {
  const setUp = setUpOf(craft);
  const { seat, floats } = riggedIn(craft, stow, mode);
  if (seat === setUp.seat && floats === setUp.floats) return craft;
  const known = rigged(craft);
  const key = `${seat} ${floats}`;
  const made = known.get(key) ?? {
    ...craft,
    setUps: [...craft.setUps.filter(({ id }) => id !== setUp.id), { ...setUp, seat, floats }],
    setUpId: setUp.id,
  };
  known.set(key, made);
  return made;
}

/**
 * Where the boat is laden otherwise than while fishing with its catch: each once. On the beach nothing is
 * asked of it.
 */
export function otherwise(
  plans: readonly ModePlan[],
  places: Places,
  lading: Lading | null,
  keepKg: number,
  stow: Stow,
): readonly OtherwiseAfloat[] {
  const { angler } = places;
  const fishing = plans.find(({ mode }) => mode === 'fish')?.plan;
  if (!angler || !fishing || !lading) return [];
  const list: OtherwiseAfloat[] = [];
  for (const { mode, plan } of plans) {
    if (mode === 'carry' || mode === 'camp' || !places.craft) continue;
    const craft = craftIn(places.craft, stow, mode);
    // Out empty, home with the fish.
    const empty = mode === 'launch' || mode === 'fish';
    if (empty && keepKg <= 0 && plan === fishing && craft === places.craft) continue;
    if (mode === 'launch' && plan === fishing && craft === places.craft) continue;
    if (!empty && plan === fishing && craft === places.craft) continue;
    const boat = ladenBoat({ ...places, craft }, planLading(plan, angler.heightM, empty ? 0 : keepKg));
    if (boat) list.push({ mode, empty: empty && keepKg > 0, boat });
  }
  return list;
}
