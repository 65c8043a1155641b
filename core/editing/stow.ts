import type { SetUp } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { Outing } from '../documents/outing';
import type { Spot, Stow, Stowed } from '../documents/stow';
import { type Mode, type OtherMode, otherModes } from '../vocabulary/stow';

/**
 * One thing put somewhere in a mode. `fish` is where it lies while fishing, for a thing that nobody placed
 * yet.
 */
export interface Put {
  itemId: string;
  mode: Mode;
  spot: Spot;
  fish: Spot;
}

const same = (a: Spot, b: Spot) => JSON.stringify(a) === JSON.stringify(b);
const nowhereElse: Record<OtherMode, null> = { carry: null, launch: null, land: null, run: null, camp: null };

function putInto(things: readonly Stowed[], { itemId, mode, spot, fish }: Put): Stowed[] {
  const was = things.find((one) => one.itemId === itemId) ?? { itemId, fish, ...nowhereElse };
  const made: Stowed =
    mode === 'fish' ? { ...was, fish: spot } : { ...was, [mode]: same(spot, was.fish) ? null : spot };
  // Back where it lies while fishing, a mode has nothing of its own to keep.
  for (const other of otherModes) if (made[other] && same(made[other], made.fish)) made[other] = null;
  return things.some((one) => one.itemId === itemId)
    ? things.map((one) => (one.itemId === itemId ? made : one))
    : [...things, made];
}

/** Puts things where they are said to be; all that is in a container goes with it by itself. */
export function withPut(outing: Outing, puts: readonly Put[]): Outing {
  const things = puts.reduce<readonly Stowed[]>(putInto, outing.stow.things);
  return { ...outing, stow: { ...outing.stow, things: [...things] } };
}
/** Things lie again where the set-up or their kind says. */
export function asUsual(outing: Outing, itemIds: readonly string[]): Outing {
  const out = new Set(itemIds);
  return {
    ...outing,
    stow: { ...outing.stow, things: outing.stow.things.filter(({ itemId }) => !out.has(itemId)) },
  };
}
/** In a mode, things lie as they do while fishing. */
export function asFishing(outing: Outing, mode: OtherMode): Outing {
  const things = outing.stow.things.map((one) => ({ ...one, [mode]: null }));
  return { ...outing, stow: { things, boat: { ...outing.stow.boat, [mode]: null } } };
}

/** How the boat stands in a mode. */
export function withRigged(
  outing: Outing,
  mode: OtherMode,
  change: Partial<NonNullable<Stow['boat'][OtherMode]>>,
): Outing {
  const was = outing.stow.boat[mode] ?? { seat: null, floats: null };
  const is = { ...was, ...change };
  const said = is.seat === null && is.floats === null ? null : is;
  return { ...outing, stow: { ...outing.stow, boat: { ...outing.stow.boat, [mode]: said } } };
}

/**
 * The outing in another set-up of its boat: things go where that says; where it says nothing of them they
 * stay where they are.
 */
export function withSetUpApplied(outing: Outing, setUp: Pick<SetUp, 'id' | 'stow'>): Outing {
  return { ...outing, brief: { ...outing.brief, setUpId: setUp.id }, stow: setUp.stow ?? outing.stow };
}

/**
 * The boat with a plan kept under a name: in a set-up that it has, or a new one that is like the one it is
 * in.
 */
export function withPlanKept(
  craft: Craft,
  stow: Stow,
  { id, name }: { id: string; name: string },
  like: SetUp,
): Craft {
  const known = craft.setUps.find((one) => one.id === id);
  const kept: SetUp = { ...(known ?? { ...like, fittingIds: [...like.fittingIds] }), id, name, stow };
  return {
    ...craft,
    setUps: known ? craft.setUps.map((one) => (one.id === id ? kept : one)) : [...craft.setUps, kept],
  };
}
