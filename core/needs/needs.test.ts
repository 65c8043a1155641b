import { describe, expect, it } from 'vitest';
import { spotOf, unstowed } from '../documents/stow';
import { withPut } from '../editing/stow';
import { asSpare, contextOf } from '../judgement/context';
import { demo } from '../demo/demo';
import { type KindId, kindIds, kinds } from '../catalog/gear/kinds';
import { withItem } from '../editing/edit';
import { newItem } from '../editing/newItem';
import type { Item } from '../documents/item';
import type { Aboard, Lies } from '../documents/references';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import type { Water } from '../documents/water';
import { choicesFor } from '../provisioning/choose';
import { noAnswers } from '../walkround/answers';
import { catalogue } from './catalogue';
import { judgeNeed } from './match';
import { type NeedId, needIds } from '../vocabulary/needs';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready, dusk] = outings as [Outing, Outing];
const judge = (outing: Outing, refs: References = references) =>
  contextOf(outing, refs, noAnswers, now).needs;
const need = (id: NeedId, outing: Outing, refs?: References) =>
  judge(outing, refs).find((one) => one.id === id) ?? null;
const brief = (outing: Outing, change: Partial<Outing['brief']>): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});
const day = (outing: Outing, change: Partial<Outing['conditions']>): Outing => ({
  ...outing,
  conditions: { ...outing.conditions, ...change },
});
const item = (id: string, change: Partial<Item>): References => ({
  ...references,
  items: references.items.map((one) => (one.id === id ? { ...one, ...change } : one)),
});
/** Why a thing of the locker would not count if it came aboard. */
const choicesWhy = (id: NeedId, itemId: string, outing: Outing, refs: References) => {
  const context = contextOf(outing, refs, noAnswers, now);
  const found = choicesFor(id, refs.items, asSpare(context), context.lastDay, context.taken);
  return found.find(({ item: one }) => one.id === itemId)?.shortfall;
};
const near = { areaId: 'inner-sound', route: { out: [], home: [] } };

describe('the tables', () => {
  it('let every need be met by some kind, or by boat, practice or plan', () => {
    const unmeetable = needIds.filter(
      (id) => catalogue[id].others === undefined && !kindIds.some((kind) => kinds[kind].means.includes(id)),
    );
    expect(unmeetable).toEqual([]);
  });
  it('say of every need what happens without it, in a sentence', () => {
    for (const id of needIds) expect(catalogue[id].without).toMatch(/^[A-Z].*\.$/);
  });
  it('promise nothing', () => {
    for (const id of needIds)
      expect(`${catalogue[id].title} ${catalogue[id].without}`.toLowerCase()).not.toContain('safe');
  });
});

describe('several of one kind', () => {
  const context = contextOf(ready, references, noAnswers, now);
  const lies = (boxes: { id: string; name: string }[]): Lies => ({
    ...{ in: 'zone', id: 'well', place: 'in the well', boxes, compartment: null, reach: 'hand', moves: [] },
    ...{ dry: 'open', held: true, worn: false, state: null },
  });
  const whistle = (id: string, quantity: number, boxes: { id: string; name: string }[]): Aboard => ({
    item: newItem(id, 'whistle'),
    entry: { itemId: id, quantity, outsideContainer: false, carriedBy: null },
    lies: lies(boxes),
  });
  const counted = (...aboard: Aboard[]) =>
    judgeNeed(
      'cut-line',
      { level: 'must', want: 3, unmet: 'mind', reasons: [] },
      context,
      aboard.map((one) => ({
        aboard: { ...one, item: { ...one.item, kind: 'knife' } },
        unserviceable: null,
      })),
    ).counted;
  const box = [{ id: 'box', name: 'box' }];
  it('in one box count as one, whether they are one line of the list or several', () => {
    expect(counted(whistle('a', 3, box))).toBe(1);
    expect(counted(whistle('a', 1, box), whistle('b', 1, box), whistle('c', 1, box))).toBe(1);
  });
  it('each by itself count each, whether they are one line of the list or several', () => {
    expect(counted(whistle('a', 3, []))).toBe(3);
    expect(counted(whistle('a', 1, []), whistle('b', 1, []), whistle('c', 1, []))).toBe(3);
  });
});

describe('needs raised, on both sides of their thresholds', () => {
  it('call for help: two alone more than a short swim out; another boat is the second', () => {
    expect(need('call-for-help', brief(ready, near))?.want).toBe(2);
    expect(need('call-for-help', brief(ready, { party: 2 }))?.want).toBe(1);
    expect(need('call-for-help', brief(ready, { party: 2, ...near }))?.want).toBe(1);
  });
  it('night lights only in the dark, with one and a half times the hours', () => {
    // Between dawn and sunrise it is light; by the rules of that water it is dark all the same.
    expect(need('be-seen-night', ready)).toMatchObject({ want: 2, level: 'law', met: true });
    expect(need('be-seen-night', brief(ready, { launchAt: '02:00' }))).toMatchObject({ unmet: 'stop' });
    expect(need('be-seen-night', brief(ready, { launchAt: '09:00' }))).toBeNull();
    const dark = (contextOf(dusk, references, noAnswers, now).exposures.darkMinutes / 60) * 1.5;
    const lit = withItem(withItem(dusk, 'headlamp', 1), 'mast-light', 1);
    expect(need('be-seen-night', lit, item('headlamp', { attributes: { hours: dark + 0.01 } }))?.met).toBe(
      true,
    );
    expect(need('be-seen-night', lit, item('headlamp', { attributes: { hours: dark - 0.01 } }))?.met).toBe(
      false,
    );
  });
  it('a float plan is worth more the more serious it is, and says nothing for two close in by day', () => {
    expect(need('float-plan', ready)).toMatchObject({ met: true, unmet: 'stop' });
    const calm = brief(day(dusk, { waterC: 18 }), {
      party: 2,
      launchAt: '09:00',
      homeAt: '11:00',
      areaId: 'reed-bays',
    });
    expect(
      need('float-plan', { ...calm, brief: { ...calm.brief, route: { out: [], home: [] } } })?.unmet,
    ).toBeNull();
  });
  it('buoyancy by the published scale: distance from ground, sea, cold and swimming', () => {
    const jacket = (newtons: number, angler: object = {}) => ({
      ...item('foam-jacket', { attributes: { newtons } }),
      angler: references.angler && { ...references.angler, ...angler },
    });
    const inside = (newtons: number, outing: Outing, angler = {}) =>
      need('buoyancy', outing, jacket(newtons, angler))?.met;
    // Two kilometres out alone in 13 °C, through low surf: nearly as serious as it gets, a twentieth less
    // granted.
    expect([94, 95].map((newtons) => inside(newtons, ready))).toEqual([false, true]);
    expect(need('buoyancy', ready, jacket(70))?.findingLevel, 'ordinary paddling foam').toBe('note');
    const warm = day(ready, { waterC: 16 });
    expect([66, 67].map((newtons) => inside(newtons, brief(warm, { party: 2 })))).toEqual([false, true]);
    expect(inside(95, ready, { swims: 'not' })).toBe(true);
    expect(inside(94, ready, { swims: 'not' })).toBe(false);
    expect(inside(70, day(ready, { waterC: 9 })), 'cold and far out').toBe(false);
    const noon = { launchAt: '11:00', homeAt: '13:00', party: 2 };
    const calm = brief(day(dusk, { waterC: 18 }), {
      areaId: 'reed-bays',
      route: { out: [], home: [] },
      ...noon,
    });
    expect([47, 48].map((newtons) => inside(newtons, withItem(calm, 'foam-jacket', 1)))).toEqual([
      false,
      true,
    ]);
    expect(inside(48, withItem(calm, 'foam-jacket', 1), { swims: 'a little' })).toBe(false);
    expect(
      inside(70, brief(warm, { party: 2, trip: 'open-water' })),
      'the name of the trip asks for nothing',
    ).toBe(true);
  });
  it('a weak jacket that is worn is better than none, and one that lies in the well is not', () => {
    const weak = item('foam-jacket', { attributes: { newtons: 50 } });
    expect(need('buoyancy', ready, weak)?.findingLevel).toBe('mind');
    const well = spotOf('zone', 'well', { held: 'strapped' });
    const stowed = withPut(ready, [{ itemId: 'foam-jacket', mode: 'fish', spot: well, fish: well }]);
    expect(need('buoyancy', stowed, weak)?.findingLevel).toBe('stop');
  });
  it('a wetsuit far too thin is as good as none', () => {
    const worn = (waterC: number) => need('immersion-clothing', day(ready, { waterC }))?.findingLevel;
    expect([11.5, 9, 4].map(worn)).toEqual(['note', 'mind', 'stop']);
  });
  it('clothing by water temperature: none at 18 °C, wetsuit under it, drysuit under 12 °C', () => {
    expect(need('immersion-clothing', day(ready, { waterC: 18 }))).toBeNull();
    expect(need('immersion-clothing', day(ready, { waterC: 17.9 }))).toMatchObject({
      level: 'must',
      met: true,
    });
    expect(need('immersion-clothing', day(ready, { waterC: 12 }))?.met).toBe(true);
    expect(need('immersion-clothing', day(ready, { waterC: 11.9 }))?.met).toBe(false);
    expect(need('immersion-clothing', withItem(day(ready, { waterC: 11.9 }), 'drysuit', 1))?.met).toBe(true);
    expect(need('immersion-clothing', brief(day(ready, { waterC: 17 }), { party: 2, ...near }))?.level).toBe(
      'must',
    );
  });
  it('a way to take water out far out is what life hangs on; a leak is stopped far from a landing', () => {
    expect(need('take-water-out', ready)?.unmet).toBe('stop');
    expect(need('stop-leak', ready)?.met).toBe(true);
    expect(need('stop-leak', brief(ready, { ...near, party: 2 }))?.unmet ?? null).toBeNull();
  });
  it('water by hours and heat', () => {
    const cool = need('water', ready);
    const hot = need(
      'water',
      day(ready, { hours: ready.conditions.hours.map((hour) => ({ ...hour, airC: 32 })) }),
    );
    expect(hot?.want).toBeGreaterThan(cool?.want ?? 99);
    expect(cool?.reasons.map((reason) => reason.because)).toEqual(['hours']);
    expect(hot?.reasons.map((reason) => reason.because)).toEqual(['hours', 'heat']);
  });
  it('camp things only overnight', () => {
    expect(need('shelter', ready)).toBeNull();
    expect(need('shelter', brief(ready, { nights: 1 }))?.level).toBe('must');
  });
  it('as law where the pack says so, with its citation', () => {
    const licence = need('licence', ready);
    expect(licence?.level).toBe('law');
    expect(licence?.reasons.at(-1)).toMatchObject({
      because: 'rule',
      authority: 'Ostrey Inshore Board',
      citation: 'Byelaw 3',
    });
    expect(need('be-seen-night', ready)?.level).toBe('law');
    expect(
      need('licence', brief(ready, { trip: 'shakedown', targets: [] })),
      'the rule speaks of fishing',
    ).toBeNull();
  });
});

describe('a rule that asks for less than practice does', () => {
  const cup = outings.find((one) => one.id === 'mere-cup-day') ?? ready;
  it('is the law for its own number; what is wanted beyond it is practice', () => {
    const none = withItem(withItem(cup, 'board', 0), 'tape-measure', 0);
    expect(need('measure', none)).toMatchObject({ want: 2, counted: 0, level: 'law' });
    // The tape counts, the board is too short: the permit is kept, the competition's second is not there.
    expect(need('measure', cup)).toMatchObject({ want: 2, counted: 1, level: 'must' });
  });
});

describe('means that count', () => {
  const why = (id: NeedId, outing: Outing, refs?: References) =>
    need(id, outing, refs)?.means.flatMap((one) => (one.shortfall ? [one.shortfall.code] : []));
  it('are not out of date, broken or under repair', () => {
    expect(why('buoyancy', dusk)).toEqual(['out-of-date']);
    expect(why('buoyancy', ready, item('foam-jacket', { condition: 'under repair' }))).toEqual([
      'under-repair',
    ]);
    expect(why('buoyancy', ready, item('foam-jacket', { condition: 'failed inspection' }))).toEqual([
      'failed-inspection',
    ]);
  });
  it('are in date on the last day, the day itself included', () => {
    expect(need('licence', ready, item('licence', { expiresOn: ready.brief.date }))?.met).toBe(true);
    expect(
      need('licence', brief(ready, { nights: 1 }), item('licence', { expiresOn: ready.brief.date }))?.met,
    ).toBe(false);
  });
  it('are independent: not in one container, not on one battery, not of one kind', () => {
    const together = {
      ...references,
      items: references.items.map((one) =>
        one.id === 'radio' || one.id === 'phone' ? { ...one, containerId: 'crate' } : one,
      ),
    };
    const unplaced = { ...ready, stow: unstowed };
    const withCrate = withItem(unplaced, 'crate', 1);
    expect(need('call-for-help', withCrate, together)?.met).toBe(false);
    expect(need('call-for-help', unplaced, together)?.met, 'the crate stays ashore').toBe(true);
    const battery = {
      ...references,
      items: references.items.map((one) =>
        one.id === 'mast-light' || one.id === 'headlamp' ? { ...one, poweredById: 'battery' } : one,
      ),
    };
    expect(why('be-seen-night', ready, battery)).toEqual(['same-battery']);
    const lamps = item('mast-light', { kind: 'headlamp' });
    expect(why('be-seen-night', ready, lamps)).toEqual(['same-kind']);
  });
  it('of a paddled boat do not count the first paddle as its spare', () => {
    const paddled = brief(withItem(withItem(ready, 'paddle', 1), 'four-piece', 0), { craftId: 'dunlin' });
    expect(need('propulsion', paddled)?.met).toBe(true);
    expect(why('second-propulsion', paddled)).toEqual(['first-paddle']);
    expect(need('second-propulsion', withItem(paddled, 'four-piece', 1))?.met).toBe(true);
    expect(need('second-propulsion', withItem(paddled, 'half-paddle', 1))?.met, 'half a paddle is none').toBe(
      false,
    );
  });
  it('suit the fish and its fate: net size, coating, gaffs, grips, bite leaders', () => {
    expect(need('land-fish', ready)?.met).toBe(true);
    const small = (hoopM: number) => item('net', { attributes: { hoopM, bagM: 0.5 } });
    expect(need('land-fish', ready, small(0.46))?.met, 'practice grants a twentieth').toBe(true);
    expect(need('land-fish', ready, small(0.45))?.met).toBe(false);
    expect(why('land-fish', dusk), 'inflated, and it goes back').toEqual(['several']);
    expect(why('land-fish', brief(dusk, { craftId: 'dunlin' }))).toEqual(['gaff-release']);
    expect(why('leader', dusk)).toEqual(['bites-through']);
    const bare = item('wide-net', { qualities: [] });
    expect(why('land-fish', withItem(withItem(dusk, 'gaff', 0), 'wide-net', 1), bare)).toEqual([
      'not-coated',
    ]);
  });
  it('are two for a large fish alone, of one kind or of two; a rope is for what is kept', () => {
    const pike = brief(dusk, { targets: ['pike'], keep: 0, party: 1, craftId: 'dunlin' });
    const big = item('wide-net', { attributes: { hoopM: 0.9, bagM: 0.8 } });
    const two = {
      ...big,
      items: [
        ...big.items,
        newItem('net-2', 'net', { attributes: { hoopM: 0.9, bagM: 0.8 } }),
        newItem('rope', 'tail-rope'),
      ],
    };
    const one = withItem(withItem(pike, 'gaff', 0), 'wide-net', 1);
    expect(need('land-fish', one, two)).toMatchObject({ counted: 1, met: false });
    expect(need('land-fish', withItem(one, 'net-2', 1), two)).toMatchObject({ counted: 2, met: true });
    expect(why('land-fish', withItem(one, 'rope', 1), two)).toEqual(['rope-release']);
  });
  it('are a pole only where it reaches, in ground that holds it, and in little stream', () => {
    const pole = (lengthM: number) => {
      const kind = newItem('pole', 'stake-pole', { attributes: { lengthM } });
      return (at: Partial<Water['areas'][number]>): References => ({
        ...references,
        items: [...references.items, kind],
        waters: references.waters.map((one) =>
          one.id === 'hallow-mere' ? { ...one, areas: one.areas.map((area) => ({ ...area, ...at })) } : one,
        ),
      });
    };
    const bait = brief(
      { ...dusk, loadout: [] },
      { areaId: 'reed-bays', techniques: ['anchored bait'], craftId: 'dunlin' },
    );
    const why = (refs: References) => choicesWhy('hold-boat', 'pole', bait, refs);
    expect(why(pole(2.4)({ depthM: 1.5, bottom: 'mud' }))).toBeNull();
    expect(why(pole(2.2)({ depthM: 1.5, bottom: 'mud' }))).toMatchObject({ code: 'too-little', want: 2.3 });
    expect(why(pole(2.4)({ depthM: 1.5, bottom: 'rock' }))).toEqual({ code: 'wrong-bottom', bottom: 'rock' });
    expect(why(pole(9)({ depthM: 4.5, bottom: 'mud' }))).toEqual({ code: 'deep-for-poles' });
  });
  it('are jigs where one jigs deep; what else is cast lies beside them', () => {
    const deep = brief(ready, { techniques: ['jigging', 'casting'] });
    const soft = withItem(withItem(deep, 'jig-box', 0), 'soft-box', 1);
    expect(why('lures', soft)).toEqual(['light-to-jig']);
    expect(need('lures', withItem(soft, 'jig-box', 1))?.means).toHaveLength(2);
    expect(need('lures', brief(soft, near))?.met, 'in twelve metres it gets down').toBe(true);
    expect(need('lures', brief(soft, { techniques: ['casting'] }))?.met).toBe(true);
  });
  it('are a set where one piece does not do it: hooks want a weight or a float, a bleed knife wants what stuns', () => {
    const own = (...kinds: KindId[]) => ({
      ...references,
      items: [...references.items, ...kinds.map((kind) => newItem(kind, kind))],
    });
    const bait = brief(ready, { techniques: ['live bait'] });
    const refs = own('sinkers', 'jig-heads', 'floats', 'bleed-knife', 'bait-cooler', 'live-well');
    expect(need('terminal', withItem(bait, 'sinkers', 1), refs)).toMatchObject({
      counted: 1,
      lacking: ['hooks'],
    });
    expect(need('terminal', withItem(bait, 'jig-heads', 1), refs)?.lacking).toEqual(['sinkers or floats']);
    expect(need('terminal', withItem(withItem(bait, 'jig-heads', 1), 'floats', 1), refs)?.met).toBe(true);
    const knife = withItem(withItem(ready, 'priest', 0), 'bleed-knife', 1);
    expect(need('dispatch', knife, refs)?.met).toBe(false);
    expect(need('bait', withItem(bait, 'bait-cooler', 1), refs)?.met, 'dead bait only').toBe(false);
    expect(need('bait', withItem(bait, 'live-well', 1), refs)?.met).toBe(true);
    const both = brief(bait, { techniques: ['live bait', 'anchored bait'] });
    expect(need('bait', withItem(both, 'bait-cooler', 1), refs)?.met).toBe(true);
  });
  it('are no wet sack for longer than it dries, whatever is written of it', () => {
    const sack = {
      ...references,
      items: [...references.items, newItem('sack', 'wet-sack', { attributes: { hours: 12, lengthM: 1.2 } })],
    };
    const kept = withItem(withItem(ready, 'ice-bag', 0), 'sack', 1);
    expect(why('cold-store', kept, sack)).toEqual(['dries-out']);
    const short = brief(kept, {
      homeAt: `${String(Number(kept.brief.launchAt.slice(0, 2)) + 2).padStart(2, '0')}:30`,
    });
    expect(need('cold-store', short, sack)?.met).toBe(true);
  });
  it('of a measured amount are summed', () => {
    const dry = withItem(ready, 'frozen', 0);
    const want = need('water', dry)?.want ?? 0;
    expect(need('water', withItem(dry, 'bottle', Math.ceil(want)))?.met).toBe(true);
    expect(need('water', withItem(dry, 'bottle', Math.floor(want - 0.05)))?.met).toBe(false);
  });
});
