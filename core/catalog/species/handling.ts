import { listed } from '../../units/words';
import type { KindId } from '../gear/kinds';
import type { Species } from './species';
import { amount } from '../../units/amount';

/** A net's hoop and bag against the largest likely fish. Rules of thumb. */
export const HOOP_SHARE = 0.6;
export const BAG_SHARE = 0.5;
/** A sharp-toothed fish longer than this is not held by a grip at the lip, and has its jaw held open. m. */
const TOOTHY_M = 0.6;
/** A fish shorter than this gives its hook to short pliers, m. */
const SHORT_M = 0.5;

/** One tool that unhooking a fish asks for, and the kinds that are it. */
export interface UnhookingPart {
  id: 'pliers' | 'small' | 'jaw' | 'cutter';
  name: string;
  kinds: readonly KindId[];
}
const small: UnhookingPart = {
  id: 'small',
  name: 'forceps or a disgorger',
  kinds: ['forceps', 'disgorger'],
};
const short: UnhookingPart = {
  id: 'pliers',
  name: 'pliers or forceps',
  kinds: ['long-pliers', 'short-pliers', 'forceps'],
};
const long: UnhookingPart = { id: 'pliers', name: 'long pliers', kinds: ['long-pliers'] };
const jaw: UnhookingPart = { id: 'jaw', name: 'a jaw spreader', kinds: ['jaw-spreader'] };
export const HOOK_CUTTER = 'a hook cutter';
const cutter: UnhookingPart = { id: 'cutter', name: HOOK_CUTTER, kinds: ['hook-cutter'] };

/**
 * The tools that unhooking asks for, by size, teeth and mouth: what the needs count and the species' own page
 * shows. A mouth with sharp teeth wants reach and a cutter, and past 0.6 m its jaw held open; a small mouth
 * wants small tools; else pliers, long ones for long fish.
 */
export function unhookingFor({ largest, teeth, mouth }: Species): readonly UnhookingPart[] {
  if (teeth === 'sharp') return largest.lengthM > TOOTHY_M ? [long, jaw, cutter] : [long, cutter];
  if (mouth === 'small') return [small];
  return [largest.lengthM < SHORT_M ? short : long];
}

const known = new WeakMap<readonly Species[], readonly UnhookingPart[]>();
/** The same for all that is sought: of two ways to do one part, the one that the harder fish asks for. */
export function unhookingParts(targets: readonly Species[]): readonly UnhookingPart[] {
  const found = known.get(targets) ?? [
    ...new Map(
      targets
        .flatMap(unhookingFor)
        .toSorted((a, b) => b.kinds.length - a.kinds.length)
        .map((part) => [part.id, part]),
    ).values(),
  ];
  known.set(targets, found);
  return found;
}

export function tooToothyToGrip({ teeth, largest }: Species): boolean {
  return teeth === 'sharp' && largest.lengthM > TOOTHY_M;
}

/** How it is landed, and what unhooks it: by its size, teeth and mouth, and whether it is kept. */
export function handlingFor(species: Species, kept: boolean): { land: string; unhook: string; air: string } {
  const { largest, mouth, airS } = species;
  const tooLarge = largest.lengthM > 1.3;
  const net = `net with a hoop of ${amount(Math.ceil(largest.lengthM * HOOP_SHARE * 100 - 1e-9), 'cm', 0)} and a bag of ${amount(Math.ceil(largest.lengthM * BAG_SHARE * 100 - 1e-9), 'cm', 0)}`;
  const land = kept
    ? tooLarge
      ? 'gaff from a rigid hull, or a long net'
      : `${net}, or a hand`
    : tooLarge
      ? 'beside the boat, in the water'
      : mouth === 'large' && !tooToothyToGrip(species)
        ? `coated, knotless ${net}, or a hand at the lip`
        : `coated, knotless ${net}`;
  const unhook = listed(unhookingFor(species).map(({ name }) => name));
  return { land, unhook, air: kept ? 'killed and bled at once' : `${airS} s out of the water at the most` };
}
