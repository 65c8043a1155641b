import { statesOf } from '../catalog/gear/stowing';
import { kinds } from '../catalog/gear/kinds';
import { allZonesOf } from '../boat/zones';
import type { Zone } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { Item } from '../documents/item';
import type { Lies } from '../documents/references';
import type { Spot } from '../documents/stow';
import { listed } from '../units/words';
import { type Mode, covers, holds, layers, modeWords } from '../vocabulary/stow';
import { isClothing } from './usual';
import { atZone, inside, onBody } from './at';
import type { Placed, StowPlan } from './plan';

/** How things and places are called. */
export interface StowNames {
  thing: (id: string) => string | null;
  zone: (id: string) => Pick<Zone, 'kind' | 'name'> | null;
}
export function namesFor(craft: Craft | null, items: ReadonlyMap<string, Item>): StowNames {
  const zones = new Map(craft ? allZonesOf(craft).map((zone) => [zone.id, zone]) : []);
  return { thing: (id) => items.get(id)?.name ?? null, zone: (id) => zones.get(id) ?? null };
}

const GONE = { kind: 'hatch', name: 'A place that the boat no longer has' } as const;

/** Where a spot is, without its manner: "in Crate", "in the tank well", "on your chest, left". */
export function sayPlace({ in: where, id }: Pick<Spot, 'in' | 'id'>, names: StowNames): string {
  switch (where) {
    case 'zone':
      return atZone(names.zone(id ?? '') ?? GONE);
    case 'thing':
      return `in ${names.thing(id ?? '') ?? 'something left ashore'}`;
    case 'body':
      return onBody(id);
    case 'vehicle':
      return 'in the vehicle';
    case 'nowhere':
      return 'not yet placed';
  }
}
/** A spot, whole: where, what keeps it, what covers it, which state. */
export function saySpot(spot: Spot, kind: Item['kind'] | null, names: StowNames): string {
  const states = kind && statesOf(kind);
  const eye = spot.eyeId === null ? null : names.zone(spot.eyeId);
  return [
    sayPlace(spot, names),
    spot.held === 'loose' || spot.held === 'worn'
      ? null
      : eye
        ? `on a leash to ${inside(eye.name)}`
        : holds[spot.held],
    spot.cover === 'bare' ? null : covers[spot.cover],
    spot.layer === 'middle' ? null : layers[spot.layer],
    states && spot.state ? states[spot.state === 'out' ? 1 : 0] : null,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Where a thing lies, for a sentence: "in Crate, tank well". */
export function sayLies({ boxes, place, in: where }: Pick<Lies, 'boxes' | 'place' | 'in'>): string {
  if (where === 'nowhere') return 'not yet placed';
  return [...boxes.map(({ name }) => `in ${name}`), place].join(', ');
}
/** What has to be done before one has it in the hand; empty: nothing. */
export function sayMoves(moves: Lies['moves']): string {
  return listed(moves.map((move) => (move.do === 'open' ? `open ${inside(move.name)}` : move.do)));
}

const listedFor = (placed: readonly Placed[]) => listed(placed.map(({ one }) => one.item.name));

/**
 * What has to be changed between two modes, in words of doing: one line for each thing, states that change
 * together as one.
 */
export function changesBetween(from: StowPlan, to: StowPlan, names: StowNames): string[] {
  const byState = new Map<string, Placed[]>();
  const lines: string[] = [];
  for (const is of to.things) {
    const was = from.byId.get(is.one.item.id);
    if (!was || was.spot === is.spot) continue;
    const states = statesOf(is.one.item.kind);
    const moved = was.spot.in !== is.spot.in || was.spot.id !== is.spot.id;
    if (!moved && states && was.spot.state !== is.spot.state) {
      const key = `${kinds[is.one.item.kind].means.includes('rods') ? 'rods' : is.one.item.id} ${is.spot.state ?? ''}`;
      byState.set(key, [...(byState.get(key) ?? []), is]);
      continue;
    }
    const said = saySpot(is.spot, is.one.item.kind, names);
    if (said !== saySpot(was.spot, was.one.item.kind, names)) lines.push(`${is.one.item.name}: ${said}`);
  }
  for (const list of byState.values()) {
    const [first] = list;
    const states = first && statesOf(first.one.item.kind);
    if (first && states) lines.unshift(`${listedFor(list)}: ${states[first.spot.state === 'out' ? 1 : 0]}`);
  }
  return lines;
}
/** How the boat itself changes between two ways of standing. */
export function boatChanges(
  was: { seat: string; floats: string },
  is: { seat: string; floats: string },
  hasFloats: boolean,
): string[] {
  return [
    ...(was.seat === is.seat ? [] : [`Seat ${is.seat === 'low' ? 'down' : 'up'}`]),
    ...(hasFloats && was.floats !== is.floats ? [`Floats ${is.floats}`] : []),
  ];
}
/** "Before launching". */
export function beforeMode(mode: Mode): string {
  return mode === 'fish' ? 'Before fishing' : mode === 'camp' ? 'For camp' : `Before ${modeWords[mode]}`;
}

/** Whether a thing's place is for the angler to settle: what is worn as clothing is where it belongs. */
export function isPlain({ one, lies }: Placed): boolean {
  return lies.in === 'body' && isClothing(one.item.kind);
}
