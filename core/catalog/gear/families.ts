import { aliveKinds } from './aliveKinds';
import { boatKinds } from './boatKinds';
import { fishKinds } from './fishKinds';
import { holdKinds } from './holdKinds';
import type { KindId } from './kinds';
import { livingKinds } from './livingKinds';
import { tackleKinds } from './tackleKinds';

const ids = (rows: object) => Object.keys(rows) as KindId[];
/** The families of gear, in the order in which a kit is gone through: body and safety first. */
export const families: readonly { name: string; kinds: readonly KindId[] }[] = [
  { name: 'Worn, and to stay alive', kinds: ids(aliveKinds) },
  { name: 'Boat, paddles, road and bags', kinds: ids(boatKinds) },
  { name: 'Rods, lines and lures', kinds: ids(tackleKinds) },
  { name: 'For the fish', kinds: ids(fishKinds) },
  { name: 'Anchors and drift', kinds: ids(holdKinds) },
  { name: 'Warmth, water, food and power', kinds: ids(livingKinds) },
];

/** What most people have who go out for a day: owned in one press, and corrected after. Usual practice. */
export const firstKit: readonly KindId[] = [
  'foam-jacket',
  'whistle',
  'phone',
  'headlamp',
  'knife',
  'snips',
  'first-aid',
  'deck-shoes',
  'hat',
  'sunscreen',
  'shade-top',
  'shell',
  'paddle',
  'paddle-leash',
  'pump',
  'bow-line',
  'straps',
  'key-float',
  'dry-bag',
  'spare-clothes',
  'spinning-rod',
  'rod-leash',
  'lure-box',
  'leader-spool',
  'long-pliers',
  'forceps',
  'net',
  'licence',
  'water-bottle',
  'food',
];
/** What one has several of. */
const several: Partial<Record<KindId, number>> = { 'water-bottle': 3, 'leader-spool': 2 };
/** How many of a kind come with the first kit. */
export function usualCount(kind: KindId): number {
  return several[kind] ?? 1;
}
