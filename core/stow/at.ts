import type { Zone } from '../documents/boatParts';
import type { ZoneKind } from '../vocabulary/boat';
import { bodyPartIds, bodyParts } from '../vocabulary/stow';

/** A name inside a sentence. */
export const inside = (name: string) =>
  /^[A-Z][a-z]/.test(name) ? `${name.charAt(0).toLowerCase()}${name.slice(1)}` : name;

const on: ReadonlySet<ZoneKind> = new Set<ZoneKind>([
  'deck under cords',
  'rail',
  'pad-eye',
  'cockpit floor',
  'seat back',
]);
const SAYS_WHERE = /^(under|behind|before|beside|between|in|on|at) /;

/**
 * A place of the boat as one says where something is: "in the bow hatch", "under the seat", "on the left
 * rail".
 */
export function atZone({ kind, name }: Pick<Zone, 'kind' | 'name'>): string {
  const said = inside(name);
  if (SAYS_WHERE.test(said)) return said;
  const the = /^(a|an|the|my|your) /.test(said) ? '' : 'the ';
  return `${on.has(kind) ? 'on' : 'in'} ${the}${said}`;
}

/** A part of the body likewise: "on your chest, left". */
export function onBody(id: string | null): string {
  const part = bodyPartIds.find((one) => one === id);
  return `on your ${part ? bodyParts[part] : 'body'}`;
}
