import { describe, expect, it } from 'vitest';
import { isRod } from '../catalog/gear/stowing';
import { type KindId, kindIds, kinds } from '../catalog/gear/kinds';
import { zonesOf } from '../boat/zones';
import { demoCraft } from '../demo/boats';
import { demoAngler } from '../demo/people';
import type { Craft } from '../documents/craft';
import { newItem } from '../editing/newItem';
import { fitsIn } from './fits';
import { type Leashes, isClothing, spotIn, usualHold, usualSpots } from './usual';

const leashes: Leashes = { rods: true, paddle: true, clearSide: 'right' };
const [wagtail] = demoCraft as [Craft];
const spot = (kind: KindId, craft = wagtail, given = leashes) =>
  usualSpots(craft, demoAngler, given)(newItem(`a-${kind}`, kind), 0);

describe('the usual place of a thing', () => {
  it.each(demoCraft.map((craft) => [craft.name, craft] as const))(
    'on %s takes it, whatever its kind',
    (_, craft) => {
      const zones = new Map(zonesOf(craft).map((zone) => [zone.id, zone]));
      for (const kind of kindIds) {
        const item = newItem(`a-${kind}`, kind);
        const usual = usualSpots(craft, demoAngler, leashes)(item, 0);
        if (usual.in !== 'zone') continue;
        const zone = zones.get(usual.id ?? '');
        expect(zone, `${kind} at ${usual.id ?? ''}`).toBeDefined();
        expect(zone && fitsIn(item, zone), `${kind} at ${usual.id ?? ''}`).toBeNull();
      }
    },
  );
  it('of clothing is on the body, of what belongs ashore in the vehicle', () => {
    for (const kind of kindIds) {
      if (isClothing(kind)) expect(spot(kind).in, kind).toBe('body');
      if (kinds[kind].place === 'vehicle') expect(spot(kind).in, kind).toBe('vehicle');
    }
  });
  it('of what has to stay dry is never where water stands', () => {
    const open = new Set(zonesOf(wagtail).flatMap((zone) => (zone.dryness === 'open' ? [zone.id] : [])));
    const bare = (kind: KindId) => !newItem('a', kind).qualities.includes('waterproof');
    for (const kind of kindIds.filter((one) => kinds[one].wet === 'never' && bare(one))) {
      const usual = spot(kind);
      if (usual.in === 'zone') expect(open.has(usual.id ?? ''), kind).toBe(false);
    }
  });
  it('of a first and a second rod are two places', () => {
    const rod = kindIds.find(isRod) as KindId;
    const usual = usualSpots(wagtail, demoAngler, leashes);
    const [first, second] = [0, 1].map((nth) => usual(newItem(`rod-${nth}`, rod), nth));
    expect(first?.id).not.toBe(second?.id);
  });
  it('changes with the side one climbs in by only for what may lie on either', () => {
    for (const kind of kindIds) {
      const [right, left] = [spot(kind), spot(kind, wagtail, { ...leashes, clearSide: 'left' })];
      expect(right.in, kind).toBe(left.in);
      expect(right.held, kind).toBe(left.held);
    }
  });
});

describe('what usually keeps a thing in its place', () => {
  const rail = { kind: 'rail', cord: false } as const;
  const well = { kind: 'tank well', cord: true } as const;
  const floor = { kind: 'cockpit floor', cord: false } as const;
  it.each([
    ['a rod with leashes aboard', 'casting-rod', floor, leashes, 'leashed'],
    ['a rod without, under a cord', 'casting-rod', well, { ...leashes, rods: false }, 'strapped'],
    ['a rod without either', 'casting-rod', floor, { ...leashes, rods: false }, 'loose'],
    ['a battery', 'lithium-pack', floor, leashes, 'strapped'],
    ['what lies under a cord', 'food', well, leashes, 'strapped'],
    ['what is on a rail', 'net', rail, leashes, 'strapped'],
    ['what lies about', 'food', floor, leashes, 'loose'],
  ] as const)('%s', (_, name, zone, given, held) => {
    const kind = (kindIds as readonly string[]).includes(name)
      ? (name as KindId)
      : (kindIds.find((one) => (name === 'casting-rod' ? isRod(one) : one.includes('lithium'))) as KindId);
    expect(usualHold(newItem('a', kind), zone, given)).toBe(held);
  });
  it('put into another place, keeps its state and loses its pad-eye', () => {
    const [zone] = zonesOf(wagtail).filter((one) => one.kind === 'tank well');
    if (!zone) throw new Error('The boat has a well.');
    const flag = newItem('flag', 'flag');
    const before = { ...spot('flag'), state: 'out' as const, eyeId: 'bow-eye' };
    const after = spotIn(flag, { in: 'zone', zone }, before, leashes);
    expect(after).toMatchObject({ in: 'zone', id: zone.id, state: 'out', eyeId: null });
  });
});
