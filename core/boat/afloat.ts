import type { Craft } from '../documents/craft';
import type { Places } from '../documents/references';
import { densityOf } from '../environment/density';
import type { Stance } from '../vocabulary/boat';
import { seatedIn } from './build';
import { type Lading, ownLoads } from './lading';
import { type Standing, standingIn } from './stability';
import { type DrawnRange, drawnRange } from './steadiness';

/** How a boat lies and stands as it is laden, in a stance. */
export interface Held {
  craft: Craft;
  massKg: number;
  now: Standing | 'sinks';
}
/** A laden boat: how one sits in it, and how it stands in any stance, worked out when it is asked. */
export interface LadenBoat {
  seated: Stance;
  in: (stance: Stance) => Held | null;
  /** The same for the hulls that its drawing may stand for; null: it is known better than that. */
  asDrawn: ((which: keyof DrawnRange, stance: Stance) => Held | null) | null;
}

/** null: boat or angler are not known, or nobody has drawn its shape. */
export function ladenBoat(
  { craft, angler, water }: Pick<Places, 'craft' | 'angler' | 'water'>,
  lading: Lading | null,
): LadenBoat | null {
  if (!craft || craft.shape === null || !angler || !lading) return null;
  const density = densityOf(water);
  const standingOf = (boat: Craft) => {
    const own = ownLoads(boat).reduce((sum, load) => sum + load.massKg, 0);
    const known = new Map<Stance, Held | null>();
    return (stance: Stance): Held | null => {
      const found = known.get(stance);
      if (found !== undefined) return found;
      const now = standingIn(boat, angler, stance, lading, density);
      const held = now && { craft: boat, massKg: own + angler.massKg + lading.massKg, now };
      known.set(stance, held);
      return held;
    };
  };
  const range = drawnRange(craft);
  const drawn = range && { middle: standingOf(range.middle), steadiest: standingOf(range.steadiest) };
  return {
    seated: seatedIn(craft),
    in: standingOf(craft),
    asDrawn: drawn && ((which, stance) => drawn[which](stance)),
  };
}
