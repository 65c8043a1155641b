import type { Craft } from '../documents/craft';
import type { Places } from '../documents/references';
import { FRESH_WATER, SALT_WATER } from '../units/constants';
import type { Stance } from '../vocabulary/boat';
import { seatedIn } from './build';
import { type Lading, ownLoads } from './lading';
import { type Standing, stabilityIn } from './stability';

/** How a boat lies and stands as it is laden, in a stance, and with the angler alone, seated low. */
export interface Held {
  craft: Craft;
  massKg: number;
  now: Standing | 'sinks';
  alone: Standing;
}
/** A laden boat: how one sits in it, and how it stands in any stance, worked out when it is asked. */
export interface LadenBoat {
  seated: Stance;
  in: (stance: Stance) => Held | null;
}

/** null: boat or angler are not known, or nobody has drawn its shape. */
export function ladenBoat(
  { craft, angler, water }: Pick<Places, 'craft' | 'angler' | 'water'>,
  lading: Lading | null,
): LadenBoat | null {
  if (!craft || craft.shape === null || !angler || !lading) return null;
  const density = water?.type === 'fresh' ? FRESH_WATER : SALT_WATER;
  const known = new Map<Stance, Held | null>();
  const work = (stance: Stance): Held | null => {
    const stood = stabilityIn(craft, angler, stance, lading, density);
    if (!stood) return null;
    const own = ownLoads(craft).reduce((sum, load) => sum + load.massKg, 0);
    return { craft, massKg: own + angler.massKg + lading.massKg, ...stood };
  };
  return {
    seated: seatedIn(craft),
    in: (stance) => {
      const found = known.get(stance);
      if (found !== undefined) return found;
      const held = work(stance);
      known.set(stance, held);
      return held;
    },
  };
}
