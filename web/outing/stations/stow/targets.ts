import { isContainer, sizeOf, storageOf } from '#core/catalog/gear/stowing';
import { zonesOf } from '#core/boat/zones';
import type { Zone } from '#core/documents/boatParts';
import type { Craft } from '#core/documents/craft';
import { type NoFit, fitsIn } from '#core/stow/fits';
import type { Placed, StowPlan } from '#core/stow/plan';
import { amount, mass } from '#core/units/amount';
import { type BodyPart, bodyPartIds, bodyParts } from '#core/vocabulary/stow';

/** Where a thing can be put. */
export type Target =
  | { in: 'zone'; id: string }
  | { in: 'thing'; id: string }
  | { in: 'body'; part: BodyPart }
  | { in: 'vehicle' };

/** A target as one text, and back. */
export function keyOf(target: Target): string {
  return target.in === 'vehicle'
    ? 'vehicle'
    : `${target.in}:${target.in === 'body' ? target.part : target.id}`;
}
export function targetOf(key: string): Target | null {
  const [where = '', id = ''] = key.split(':');
  if (where === 'vehicle') return { in: 'vehicle' };
  if (where === 'zone' || where === 'thing') return { in: where, id };
  const part = bodyPartIds.find((one) => one === id);
  return where === 'body' && part ? { in: 'body', part } : null;
}
export function zoneOfTarget(craft: Craft, target: Target): Zone | null {
  return target.in === 'zone' ? (zonesOf(craft).find(({ id }) => id === target.id) ?? null) : null;
}

function sayNoFit(fault: NoFit): string {
  if (fault.why === 'mass') return `${mass(fault.haveKg)}, and it carries ${mass(fault.wantKg)}`;
  const words = `${amount(fault.haveM * 100, 'cm', 0)} where`;
  return fault.why === 'opening'
    ? `${words} the opening has ${amount(fault.wantM * 100, 'cm', 0)}`
    : `${words} there is room for ${amount(fault.wantM * 100, 'cm', 0)}`;
}

/** Why a target does not take a thing; null: it does. */
export function refusal(placed: Placed, target: Target, plan: StowPlan): string | null {
  const { item } = placed.one;
  if (target.in === 'zone') {
    const zone = zoneOfTarget(plan.craft, target);
    const fault = zone ? fitsIn(item, zone) : null;
    return fault ? sayNoFit(fault) : null;
  }
  if (target.in !== 'thing') return null;
  const box = plan.byId.get(target.id);
  if (!box || target.id === item.id) return 'a thing does not go into itself';
  if (box.lies.boxes.some(({ id }) => id === item.id)) return `${box.one.item.name} lies in it`;
  if (storageOf(box.one.item).shut && sizeOf(box.one.item)[0] < sizeOf(item)[0] * 0.9)
    return `${amount(sizeOf(item)[0] * 100, 'cm', 0)}, longer than ${box.one.item.name}`;
  return null;
}

/** Things aboard into which others go: their kind holds things, or something lies in them. */
export function containersIn(plan: StowPlan): readonly Placed[] {
  const holding = new Set(
    plan.things.flatMap(({ spot }) => (spot.in === 'thing' && spot.id !== null ? [spot.id] : [])),
  );
  return plan.things.filter(
    ({ one }) => isContainer(one.item.kind) || one.item.kind === 'crate' || holding.has(one.item.id),
  );
}

/**
 * Everything a thing can be put into, in the order one walks: bow to stern, in other things, on the body, the
 * vehicle.
 */
export function targetList(
  placed: Placed,
  plan: StowPlan,
): { target: Target; name: string; why: string | null }[] {
  const zones = zonesOf(plan.craft)
    .filter(({ kind }) => kind !== 'pad-eye')
    .toSorted((a, b) => b.xM - a.xM)
    .map(({ id, name }) => ({ target: { in: 'zone' as const, id }, name }));
  const boxes = containersIn(plan)
    .filter(({ one }) => one.item.id !== placed.one.item.id)
    .map(({ one }) => ({ target: { in: 'thing' as const, id: one.item.id }, name: `In ${one.item.name}` }));
  const body = bodyPartIds.map((part) => ({
    target: { in: 'body' as const, part },
    name: `On you: ${bodyParts[part]}`,
  }));
  return [...zones, ...boxes, ...body, { target: { in: 'vehicle' as const }, name: 'In the vehicle' }].map(
    (one) => ({
      ...one,
      why: refusal(placed, one.target, plan),
    }),
  );
}
