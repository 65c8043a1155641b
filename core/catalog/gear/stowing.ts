import type { Dryness } from '../../vocabulary/boat';
import { rememberFor } from '../../units/remember';
import type { QualityId } from './attributes';
import type { KindId } from './kinds';
import { kindIds, kinds } from './kinds';

/** What holds other things: how dry it keeps them, and whether it is shut. Usual ones of their kind. */
const containers: Partial<Record<KindId, { dry: Dryness; shut: boolean }>> = {
  crate: { dry: 'open', shut: false },
  'dry-bag': { dry: 'sealed', shut: true },
  'tackle-tray': { dry: 'splash', shut: true },
  'dry-box': { dry: 'sealed', shut: true },
  'deck-bag': { dry: 'splash', shut: true },
  'hatch-bin': { dry: 'splash', shut: true },
  'rod-tube': { dry: 'splash', shut: true },
  'ice-bag': { dry: 'splash', shut: true },
  'hard-ice-box': { dry: 'splash', shut: true },
  'wet-sack': { dry: 'open', shut: true },
  'bait-cooler': { dry: 'splash', shut: true },
  'live-well': { dry: 'open', shut: true },
  'snack-bag': { dry: 'spray', shut: true },
  'rig-wallet': { dry: 'splash', shut: true },
  'throw-line': { dry: 'open', shut: true },
  'food-canister': { dry: 'sealed', shut: true },
  'first-aid': { dry: 'sealed', shut: true },
  'first-aid-large': { dry: 'sealed', shut: true },
};
/** Any other thing that something lives in is an open one. */
const OPEN_ONE = { dry: 'open', shut: false } as const;

/**
 * How an item holds what lies in it: what has a lid is shut, what shuts and is waterproof keeps out a
 * dunking, and what failed its inspection keeps out nothing.
 */
export function storageOf({ kind, qualities, condition }: Stored): { dry: Dryness; shut: boolean } {
  const usual = containers[kind] ?? OPEN_ONE;
  const shut = usual.shut || qualities.includes('lidded');
  const tight = shut && qualities.includes('waterproof');
  return { shut, dry: condition === 'failed inspection' ? 'open' : tight ? 'sealed' : usual.dry };
}
interface Stored {
  kind: KindId;
  qualities: readonly QualityId[];
  condition: 'good' | 'under repair' | 'failed inspection';
}
/** Whether things are put into one of its kind. */
export function isContainer(kind: KindId): boolean {
  return kind in containers;
}

/** What the two states of a thing are called: put away, and in use. */
const states: Partial<Record<KindId, readonly [stowed: string, out: string]>> = {
  flag: ['down', 'up'],
  'light-flag': ['down', 'up'],
  'mast-light': ['down', 'up'],
  camera: ['put away', 'out'],
  'action-camera': ['put away', 'out'],
  'camera-pole': ['down', 'up'],
  sounder: ['put away', 'on its mount'],
  drogue: ['stowed', 'streamed'],
  'big-drogue': ['stowed', 'streamed'],
  'push-pole': ['flat', 'upright'],
  'stake-pole': ['flat', 'upright'],
  'short-pole': ['flat', 'upright'],
  net: ['flat', 'upright'],
};
const RODS = ['flat', 'upright'] as const;
const rodKinds: ReadonlySet<KindId> = new Set(
  kindIds.filter(
    (kind) => kinds[kind].means.includes('rods') && kinds[kind].attributes.lengthM !== undefined,
  ),
);
export function isRod(kind: KindId): boolean {
  return rodKinds.has(kind);
}
/** null: it has one state only. */
export function statesOf(kind: KindId): readonly [stowed: string, out: string] | null {
  return states[kind] ?? (isRod(kind) ? RODS : null);
}
/** In use while fishing unless somebody says otherwise; the others are put away. */
const usuallyOut: ReadonlySet<KindId> = new Set<KindId>([
  'flag',
  'light-flag',
  'mast-light',
  'camera',
  'action-camera',
  'camera-pole',
  'sounder',
]);
export function isUsuallyOut(kind: KindId): boolean {
  return usuallyOut.has(kind) || isRod(kind);
}

/** A point or an edge that is bare unless it is covered. Boxes and packets cover what is in them. */
const points: ReadonlySet<KindId> = new Set<KindId>([
  'gaff',
  'knife',
  'bleed-knife',
  'fillet-knife',
  'camp-saw',
  'line-hook',
  'hook-packet',
  'jig-heads',
  'feather-rig',
]);
export function isSharp(kind: KindId): boolean {
  return points.has(kind);
}

/** Clothes and bags that are pressed into what room there is. */
const soft: ReadonlySet<KindId> = new Set<KindId>([
  'spare-clothes',
  'vehicle-dry-set',
  'fleece',
  'shell',
  'dry-bag',
  'deck-bag',
  'sleep-kit',
  'tent',
  'tarp',
  'hammock',
  'towel',
]);
export function isSoft(kind: KindId): boolean {
  return soft.has(kind);
}

/** What knocks on a bare deck. */
const hard: ReadonlySet<KindId> = new Set<KindId>([
  'anchor',
  'fluke-anchor',
  'grapnel-anchor',
  'mushroom-anchor',
  'chain-drag',
  'crate',
  'dry-box',
  'tackle-tray',
  'hard-ice-box',
  'sinkers',
  'priest',
  'long-pliers',
  'short-pliers',
  'hook-cutter',
  'lip-grip',
  'board',
  'lure-box',
  'jig-box',
  'spoon-box',
  'big-lure-box',
  'flask',
  'pump',
  'multi-tool',
  'stake-pole',
  'push-pole',
]);
export function isHard(kind: KindId): boolean {
  return hard.has(kind);
}

/** What should not lie together, and why. */
const food: ReadonlySet<KindId> = new Set<KindId>(['food', 'snack-bag', 'camp-meals']);
const smells: ReadonlySet<KindId> = new Set<KindId>([
  'bait-tub',
  'bait-cooler',
  'scent',
  'repellent',
  'animal-spray',
]);
const fuel: ReadonlySet<KindId> = new Set<KindId>(['stove', 'cook-set', 'fire-kit']);
const creams: ReadonlySet<KindId> = new Set<KindId>(['sunscreen', 'repellent']);
export type Apart = 'scent and food' | 'fuel and food' | 'cream and lures';
/** Why two kinds keep apart; null: they may lie together. */
export function keepApart(a: KindId, b: KindId): Apart | null {
  const either = (one: ReadonlySet<KindId>, other: (kind: KindId) => boolean) =>
    (one.has(a) && other(b)) || (one.has(b) && other(a));
  if (either(fuel, (kind) => food.has(kind))) return 'fuel and food';
  if (either(creams, (kind) => kinds[kind].means.includes('lures'))) return 'cream and lures';
  return either(smells, (kind) => food.has(kind)) ? 'scent and food' : null;
}
/** Kinds that keep apart from some other at all. */
export function keepsApart(kind: KindId): boolean {
  return (
    food.has(kind) ||
    smells.has(kind) ||
    fuel.has(kind) ||
    creams.has(kind) ||
    kinds[kind].means.includes('lures')
  );
}

/** What a capsize, a short, or salt water spoils though it bears rain. */
export function isBattery(kind: KindId): boolean {
  return kinds[kind].means.includes('power') || kinds[kind].means.includes('motor-power');
}

/** What is fixed where it stands, so needs no other hold. */
const fixed: ReadonlySet<KindId> = new Set<KindId>([
  'rod-holder',
  'trolling-holders',
  'anchor-trolley',
  'sounder',
  'compass',
  'deck-pad',
  'deck-lights',
  'flag',
  'light-flag',
  'mast-light',
  'camera-pole',
  'action-camera',
  'stand-strap',
  'stirrup',
  'seat-cushion',
  'electric-pump',
  'hatch-bin',
  'rod-leash',
  'paddle-leash',
  'drive-leash',
  'deck-lantern',
]);
export function isFixed(kind: KindId): boolean {
  return fixed.has(kind);
}

/** Packed size, longest first, m. */
export const sizeOf: (item: {
  kind: KindId;
  sizeM: readonly [number, number, number] | null;
}) => readonly [number, number, number] = rememberFor(
  (item: { kind: KindId; sizeM: readonly [number, number, number] | null }) => {
    const [a, b, c] = (item.sizeM ?? kinds[item.kind].sizeM).toSorted((x, y) => y - x);
    return [a ?? 0, b ?? 0, c ?? 0] as const;
  },
);
