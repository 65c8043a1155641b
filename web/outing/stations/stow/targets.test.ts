import { describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import { zonesOf } from '#core/boat/zones';
import { lookUp } from '#core/documents/references';
import { planOf } from '#core/stow/plan';
import { bodyPartIds } from '#core/vocabulary/stow';
import { type Target, containersIn, keyOf, refusal, targetList, targetOf, zoneOfTarget } from './targets';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const outing = outings.find(({ id }) => id === 'pollack-long-grey');
if (!outing) throw new Error('The demo has an outing off the Long Grey.');
const { aboard, craft, angler } = lookUp(outing, references);
if (!craft || !angler) throw new Error('It has a boat and somebody in it.');
const plan = planOf({ aboard, craft, angler, stow: outing.stow });
const placed = (id: string) => {
  const one = plan.byId.get(id);
  if (!one) throw new Error(`${id} is not aboard.`);
  return one;
};
const longest = plan.things.reduce((a, b) =>
  (a.one.item.sizeM?.[0] ?? 0) >= (b.one.item.sizeM?.[0] ?? 0) && a.one.item.kind.includes('rod')
    ? a
    : b.one.item.kind.includes('rod')
      ? b
      : a,
);
const hatch = zonesOf(craft).find(({ kind }) => kind === 'hatch');

describe('where a thing can be put', () => {
  it.each<Target>([
    { in: 'zone', id: 'well' },
    { in: 'thing', id: 'crate-1' },
    { in: 'vehicle' },
    ...bodyPartIds.map((part) => ({ in: 'body' as const, part })),
  ])('is one text, and back: %j', (target) => {
    expect(targetOf(keyOf(target))).toEqual(target);
  });
  it.each(['', 'body:wing', 'moon:1', 'body'])('is nothing that was not written here: "%s"', (key) => {
    expect(targetOf(key)).toBeNull();
  });
  it('is a place of this boat, or none', () => {
    expect(zoneOfTarget(craft, { in: 'zone', id: 'no-such-place' })).toBeNull();
    expect(zoneOfTarget(craft, { in: 'vehicle' })).toBeNull();
    const [zone] = zonesOf(craft);
    expect(zone && zoneOfTarget(craft, { in: 'zone', id: zone.id })).toBe(zone);
  });
  it('is told with the reason where it does not go in: a rod through a hatch', () => {
    expect(hatch && refusal(longest, { in: 'zone', id: hatch.id }, plan)).toMatch(
      /^\d+ cm where (the opening has|there is room for) \d+ cm$/,
    );
  });
  it('is never in itself, nor in what lies in it', () => {
    const inside = plan.things.find(({ spot }) => spot.in === 'thing');
    const box = inside?.spot.id ?? '';
    expect(refusal(placed(box), { in: 'thing', id: box }, plan)).toBe('a thing does not go into itself');
    expect(inside && refusal(placed(box), { in: 'thing', id: inside.one.item.id }, plan)).toMatch(
      / lies in it$|, longer than /,
    );
    expect(refusal(placed(box), { in: 'thing', id: 'not-aboard' }, plan)).not.toBeNull();
  });
  it('counts as a container what is one by its kind, and what holds something', () => {
    const ids = containersIn(plan).map(({ one }) => one.item.id);
    for (const { spot } of plan.things)
      if (spot.in === 'thing' && spot.id !== null) expect(ids).toContain(spot.id);
    expect(ids).not.toContain(longest.one.item.id);
  });
  it('is listed from bow to stern, then in other things, on the body, and in the vehicle, each with what stands against it', () => {
    const list = targetList(placed('radio'), plan);
    const order = list.map(({ target }) => target.in);
    expect(order).toEqual([...order].sort((a, b) => rank(a) - rank(b)));
    const along = list.flatMap(({ target }) => zoneOfTarget(craft, target)?.xM ?? []);
    expect(along).toEqual([...along].sort((a, b) => b - a));
    expect(
      list.some(({ target }) => target.in === 'zone' && zoneOfTarget(craft, target)?.kind === 'pad-eye'),
    ).toBe(false);
    expect(list.at(-1)).toMatchObject({ target: { in: 'vehicle' }, why: null });
    expect(new Set(list.map(({ target }) => keyOf(target))).size).toBe(list.length);
    for (const { target, why } of list) expect(why).toBe(refusal(placed('radio'), target, plan));
  });
});
const rank = (where: Target['in']) => ['zone', 'thing', 'body', 'vehicle'].indexOf(where);
