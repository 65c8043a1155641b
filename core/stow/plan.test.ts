import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { zonesOf } from '../boat/zones';
import { demo } from '../demo/demo';
import type { Craft } from '../documents/craft';
import type { Item } from '../documents/item';
import { type Aboard, byItself } from '../documents/references';
import { type Spot, type Stow, spotOf as spot, unstowed } from '../documents/stow';
import { newItem } from '../editing/newItem';
import { withPut } from '../editing/stow';
import { kindIds } from '../catalog/gear/kinds';
import { coverIds, holdIds, layerIds, otherModes } from '../vocabulary/stow';
import { runs } from '../../scripts/testRuns';
import { fitsIn, isClosed } from './fits';
import { exactLading } from './lading';
import { layoutOf } from './layout';
import { changesBetween, namesFor, sayLies, sayMoves, saySpot } from './say';
import { leashesOn, planOf } from './plan';
import { fateOf, lostIn, lostWithFish } from './roll';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings;
const angler = references.angler;
const wagtail = references.craft.find(({ id }) => id === 'grey-wagtail');
const wrack = references.craft.find(({ id }) => id === 'bladder-wrack');
if (!angler || !wagtail || !wrack || !ready) throw new Error('The demo has somebody and boats.');

const item = (id: string, kind: Item['kind'], more: Partial<Item> = {}) => newItem(id, kind, more);
const none = { carry: null, launch: null, land: null, run: null, camp: null };
const stowed = (...list: [string, Spot, Partial<Record<(typeof otherModes)[number], Spot>>?][]): Stow => ({
  ...unstowed,
  things: list.map(([itemId, fish, other = {}]) => ({ itemId, fish, ...none, ...other })),
});
const plan = (
  items: readonly Item[],
  stow: Stow = unstowed,
  craft: Craft = wagtail,
  mode: Parameters<typeof planOf>[1] = 'fish',
) => planOf({ aboard: items.map(byItself), craft, angler, stow }, mode);
const liesOf = (items: readonly Item[], id: string, stow?: Stow, craft?: Craft) =>
  plan(items, stow, craft).byId.get(id)?.lies;

describe('where a thing is', () => {
  it('is what the plan says, else the set-up, else its container, else its kind’s usual place', () => {
    const radio = item('radio', 'vhf-radio');
    const box = item('crate', 'crate');
    const boxed = { ...radio, containerId: 'crate' };
    expect(plan([radio]).byId.get('radio')).toMatchObject({
      by: 'kind',
      lies: { in: 'body', reach: 'hand' },
    });
    expect(plan([boxed, box]).byId.get('radio')).toMatchObject({
      by: 'kind',
      spot: { in: 'thing', id: 'crate' },
    });
    const setUp = {
      id: 'own',
      name: 'Own',
      fittingIds: [],
      seat: 'low' as const,
      floats: 'out' as const,
      stow: stowed(['radio', spot('zone', 'console')]),
    };
    const set: Craft = { ...wagtail, setUps: [setUp], setUpId: 'own' };
    expect(plan([boxed, box], unstowed, set).byId.get('radio')).toMatchObject({
      by: 'set-up',
      lies: { id: 'console' },
    });
    expect(plan([boxed, box], stowed(['radio', spot('zone', 'floor')]), set).byId.get('radio')).toMatchObject(
      {
        by: 'plan',
        lies: { id: 'floor' },
      },
    );
  });
  it('is inherited from fishing by each mode that says nothing else', () => {
    const stow = stowed([
      'rod',
      spot('zone', 'left-tube', { state: 'out' }),
      { launch: spot('zone', 'left-rail', { state: 'stowed' }) },
    ]);
    const rod = item('rod', 'spinning-rod');
    const at = (mode: 'fish' | 'launch' | 'land') => plan([rod], stow, wagtail, mode).byId.get('rod')?.spot;
    expect(at('launch')).toMatchObject({ id: 'left-rail', state: 'stowed' });
    expect(at('land')).toBe(at('fish'));
  });
  it('is nowhere when its place was taken off the boat, its container stays ashore, or things hold one another', () => {
    const things = [item('tray', 'tackle-tray'), item('bag', 'dry-bag')];
    const gone = { ...wagtail, zones: zonesOf(wagtail).filter(({ id }) => id !== 'well') };
    expect(liesOf(things, 'tray', stowed(['tray', spot('zone', 'well')]), gone)?.in).toBe('nowhere');
    expect(liesOf(things, 'tray', stowed(['tray', spot('thing', 'elsewhere')]))?.in).toBe('nowhere');
    const ring = stowed(['tray', spot('thing', 'bag')], ['bag', spot('thing', 'tray')]);
    expect(plan(things, ring).things.map(({ lies }) => lies.in)).toEqual(['nowhere', 'nowhere']);
    expect(liesOf(things, 'tray', stowed(['tray', spot('thing', 'tray')]))?.in).toBe('nowhere');
  });
  it('nests to any depth: as dry as the driest around it, and as far off as what has to be opened', () => {
    const things = [item('hooks', 'hook-packet'), item('tray', 'tackle-tray'), item('bag', 'dry-bag')];
    const stow = stowed(
      ['hooks', spot('thing', 'tray')],
      ['tray', spot('thing', 'bag')],
      ['bag', spot('zone', 'well', { held: 'strapped' })],
    );
    const lies = liesOf(things, 'hooks', stow);
    expect(lies).toMatchObject({ in: 'zone', id: 'well', dry: 'sealed', held: true, reach: 'move' });
    expect(lies?.boxes.map(({ id }) => id)).toEqual(['tray', 'bag']);
    expect(lies && sayMoves(lies.moves)).toMatch(/^open .+ and open .+$/);
    expect(lies && sayLies(lies)).toMatch(/^in .+, in .+, in the tank well$/);
  });
  it('under other things takes one more move, and none where it is alone', () => {
    const stow = stowed(
      ['pump', spot('zone', 'well', { held: 'strapped', layer: 'bottom' })],
      ['bag', spot('zone', 'well', { held: 'strapped' })],
    );
    expect(liesOf([item('pump', 'pump'), item('bag', 'dry-bag')], 'pump', stow)?.moves).toHaveLength(1);
    expect(liesOf([item('pump', 'pump')], 'pump', stow)?.moves).toHaveLength(0);
  });
});

describe('what is usual', () => {
  it('is a place that takes it, on every boat, for every kind there is', () => {
    for (const craft of references.craft)
      for (const kind of kindIds) {
        const one = item(kind, kind);
        const placed = plan([one], unstowed, craft).byId.get(kind);
        if (placed?.lies.in === 'zone' && placed.zone)
          expect(fitsIn(one, placed.zone), `${craft.id} ${kind}`).toBeNull();
      }
  });
  it('has rods in turn left and right, and what is long not on the side one climbs in by', () => {
    const rods = ['a', 'b'].map((id) => item(id, 'spinning-rod'));
    const ids = plan(rods).things.map(({ zone }) => zone?.id);
    expect(new Set(ids).size).toBe(2);
    for (const clearSide of ['left', 'right'] as const) {
      const there = planOf({
        aboard: [byItself(item('net', 'net'))],
        craft: wagtail,
        angler: { ...angler, clearSide },
        stow: unstowed,
      });
      expect(there.things[0]?.zone?.side).not.toBe(clearSide);
    }
  });
  it('lays nothing under the pedals', () => {
    for (const kind of kindIds)
      expect(plan([item(kind, kind)]).things[0]?.zone?.kind, kind).not.toBe('cockpit floor');
  });
});

describe('what holds a thing in a capsize', () => {
  it.each<[string, Spot, string]>([
    ['a lid', spot('zone', 'fore-hatch'), 'stays'],
    ['a cord', spot('zone', 'well', { held: 'strapped' }), 'stays'],
    ['a leash to a pad-eye', spot('zone', 'floor', { held: 'leashed' }), 'hangs'],
    ['nothing', spot('zone', 'floor'), 'sinks'],
    ['the body', spot('body', 'left-chest', { held: 'clipped' }), 'stays'],
  ])('%s', (_, at, fate) => {
    const pliers = item('pliers', 'long-pliers');
    const [placed] = plan([pliers], stowed(['pliers', at])).things;
    expect(placed && fateOf(placed)).toBe(fate);
    const floating = plan([{ ...pliers, qualities: ['floats'] }], stowed(['pliers', at]));
    expect(lostIn(floating).length).toBe(fate === 'sinks' ? 1 : 0);
    if (fate === 'sinks' && floating.things[0]) expect(fateOf(floating.things[0])).toBe('floats away');
  });
  it('the fish kept go with the cold store that goes, and only with that', () => {
    const bag = item('bag', 'ice-bag');
    const laid = (held: Spot['held']) =>
      plan([bag, item('pliers', 'long-pliers')], stowed(['bag', spot('zone', 'floor', { held })]));
    expect(lostWithFish(laid('loose')).map(({ one }) => one.item.id)).toEqual(['bag']);
    expect(lostWithFish(laid('strapped'))).toEqual([]);
  });
  it('leashes go to the nearest pad-eye with room, the written ones first, none to more than it takes by itself', () => {
    const many = Array.from({ length: 20 }, (_, i) => item(`t${i}`, 'long-pliers'));
    const stow = stowed(
      ...many.map(({ id }): [string, Spot] => [id, spot('zone', 'floor', { held: 'leashed' })]),
    );
    const laid = plan(many, stow);
    for (const zone of zonesOf(wagtail))
      expect(leashesOn(laid.things).get(zone.id) ?? 0).toBeLessThanOrEqual(zone.leashes);
    const without = laid.things.filter(({ eye }) => eye === null);
    expect(without.length).toBe(20 - zonesOf(wagtail).reduce((sum, { leashes }) => sum + leashes, 0));
    for (const placed of without) expect(fateOf(placed)).toBe('sinks');
  });
});

describe('whether a thing fits', () => {
  const zone = {
    ...zonesOf(wagtail)[1],
    kind: 'hatch' as const,
    lengthM: 0.5,
    widthM: 0.4,
    heightM: 0.22,
    opening: { longM: 0.3, shortM: 0.2 },
    maxKg: 10,
  } as Parameters<typeof fitsIn>[1];
  it.each<[string, [number, number, number], number, string | null]>([
    ['through the opening, lengthwise', [0.45, 0.3, 0.2], 1, null],
    ['too thick for the opening', [0.45, 0.3, 0.23], 1, 'opening'],
    ['too broad for the opening', [0.45, 0.34, 0.2], 1, 'opening'],
    ['too long inside', [0.6, 0.2, 0.1], 1, 'inside'],
    ['too heavy', [0.2, 0.2, 0.1], 11, 'mass'],
  ])('%s', (_, sizeM, massKg, why) => {
    expect(fitsIn(item('x', 'dry-box', { sizeM, massKg }), zone)?.why ?? null).toBe(why);
  });
  it('a rod fits a holder whatever its length; a crate fits none', () => {
    const tube = zonesOf(wagtail).find(({ kind }) => kind === 'rod tube');
    if (!tube) throw new Error('The boat has a tube.');
    expect(fitsIn(item('rod', 'trolling-rod'), tube)).toBeNull();
    expect(fitsIn(item('crate', 'crate'), tube)?.why).toBe('inside');
  });
});

/** Any plan of some things of any kind, in any place there is, with anything wrong that can be. */
const ids = ['a', 'b', 'c', 'd', 'e', 'f'];
const anySpot = fc.record({
  in: fc.constantFrom<Spot['in']>('zone', 'thing', 'body', 'vehicle', 'nowhere'),
  id: fc.constantFrom(...ids, ...zonesOf(wagtail).map(({ id }) => id), 'left-chest', 'gone', null),
  held: fc.constantFrom(...holdIds),
  eyeId: fc.constantFrom('left-eye', 'gone', null),
  cover: fc.constantFrom(...coverIds),
  layer: fc.constantFrom(...layerIds),
  state: fc.constantFrom<Spot['state']>('stowed', 'out', null),
  at: fc.constant(null),
});
const anyPlan = fc.record({
  kinds: fc.array(fc.constantFrom(...kindIds), { minLength: 6, maxLength: 6 }),
  spots: fc.array(anySpot, { minLength: 0, maxLength: 6 }),
  puts: fc.array(
    fc.record({ at: fc.nat(5), spot: anySpot, mode: fc.constantFrom('fish' as const, ...otherModes) }),
    {
      maxLength: 6,
    },
  ),
});
const aboardOf = (list: readonly Item['kind'][]): Aboard[] =>
  list.map((kind, i) => byItself(item(ids[i] ?? 'x', kind)));

describe('laws of any plan', () => {
  it('nothing is in two places, and no container holds itself', () => {
    fc.assert(
      fc.property(anyPlan, ({ kinds, spots }) => {
        const laid = planOf({
          aboard: aboardOf(kinds),
          craft: wagtail,
          angler,
          stow: stowed(...spots.map((one, i): [string, Spot] => [ids[i] ?? 'x', one])),
        });
        expect(laid.things.map(({ one }) => one.item.id)).toEqual(ids);
        for (const { one, lies } of laid.things) {
          expect(lies.boxes.some(({ id }) => id === one.item.id)).toBe(false);
          expect(new Set(lies.boxes.map(({ id }) => id)).size).toBe(lies.boxes.length);
        }
      }),
      runs(200),
    );
  });
  it('mass is kept under every move, and a container carries what is in it at its own place', () => {
    fc.assert(
      fc.property(anyPlan, ({ kinds, spots, puts }) => {
        const aboard = aboardOf(kinds);
        const start = {
          ...ready,
          stow: stowed(...spots.map((one, i): [string, Spot] => [ids[i] ?? 'x', one])),
        };
        const moved = puts.reduce(
          (outing, { at, spot: to, mode }) =>
            withPut(outing, [{ itemId: ids[at] ?? 'a', mode, spot: to, fish: to }]),
          start,
        );
        for (const mode of ['fish', 'launch', 'land'] as const) {
          const laid = planOf({ aboard, craft: wagtail, angler, stow: moved.stow }, mode);
          const afloat = laid.things.filter(({ lies }) => lies.in !== 'vehicle');
          const lading = exactLading(laid, angler.heightM, 0);
          expect(lading.massKg).toBeCloseTo(
            afloat.reduce((sum, { one }) => sum + one.item.massKg, 0),
            9,
          );
          for (const { lies, zone } of laid.things) {
            const root = lies.boxes.at(-1);
            if (root) expect(laid.byId.get(root.id)?.zone ?? null).toBe(zone);
          }
        }
        for (const one of moved.stow.things)
          for (const mode of otherModes) if (one[mode]) expect(one[mode]).not.toEqual(one.fish);
      }),
      runs(150),
    );
  });
  it('is the same, worked out anew or from what is remembered of plans before it; and those are left as they were', () => {
    fc.assert(
      fc.property(anyPlan, fc.nat(5), ({ kinds, spots, puts }, left) => {
        const aboard = aboardOf(kinds);
        const start = {
          ...ready,
          stow: stowed(...spots.map((one, i): [string, Spot] => [ids[i] ?? 'x', one])),
        };
        const first = planOf({ aboard, craft: wagtail, angler, stow: start.stow });
        const copy = JSON.stringify(first.things);
        const moved = puts.reduce(
          (outing, { at, spot: to, mode }) =>
            withPut(outing, [{ itemId: ids[at] ?? 'a', mode, spot: to, fish: to }]),
          start,
        );
        const input = { aboard: aboard.toSpliced(left, 1), craft: wagtail, angler, stow: moved.stow };
        const [after, anew] = [planOf(input), planOf(structuredClone(input))];
        expect(after.things).toEqual(anew.things);
        expect(JSON.stringify(first.things)).toBe(copy);
      }),
      runs(200),
    );
  });
  it('is drawn within the boat’s drawing, each thing once, and said without a bare identifier', () => {
    fc.assert(
      fc.property(anyPlan, ({ kinds, spots }) => {
        const laid = planOf({
          aboard: aboardOf(kinds),
          craft: wagtail,
          angler,
          stow: stowed(...spots.map((one, i): [string, Spot] => [ids[i] ?? 'x', one])),
        });
        const drawn = layoutOf(laid);
        for (const { one, spot: at, zone } of laid.things)
          expect(drawn.has(one.item.id)).toBe(at.in === 'zone' && zone !== null);
        for (const { xM, yM, lengthM, widthM } of drawn.values()) {
          expect([xM, yM, lengthM, widthM].every(Number.isFinite)).toBe(true);
          expect(Math.abs(yM)).toBeLessThan(1.2);
        }
        const names = namesFor(wagtail, new Map(laid.things.map(({ one }) => [one.item.id, one.item])));
        for (const { spot: at, one } of laid.things)
          expect(saySpot(at, one.item.kind, names)).not.toMatch(/undefined|null|left-eye|fore-hatch/);
      }),
      runs(150),
    );
  });
});

describe('what changes between two modes', () => {
  it('is told in words of doing, and nothing where nothing changes', () => {
    const input = {
      aboard: references.items
        .filter(({ id }) => ready.loadout.some((one) => one.itemId === id))
        .map(byItself),
      craft: wagtail,
      angler,
      stow: ready.stow,
    };
    const [fish, launch] = [planOf(input, 'fish'), planOf(input, 'launch')];
    const names = namesFor(wagtail, new Map(references.items.map((one) => [one.id, one])));
    const lines = changesBetween(fish, launch, names);
    expect(lines.join('; ')).toMatch(/Spinning rod, 2\.1 m and Jigging rod, 1\.9 m: flat/);
    expect(lines.join('; ')).toMatch(/Sounder: in the bow hatch/);
    expect(changesBetween(fish, fish, names)).toEqual([]);
    expect(changesBetween(fish, planOf(input, 'carry'), names)).toEqual([]);
  });
  it('closed places are those with a lid', () => {
    expect(
      zonesOf(wagtail)
        .filter(isClosed)
        .map(({ kind }) => kind),
    ).toEqual(expect.arrayContaining(['hatch']));
    expect(
      zonesOf(wagtail)
        .filter(isClosed)
        .map(({ kind }) => kind),
    ).not.toContain('tank well');
  });
});
