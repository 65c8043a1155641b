import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { often, runs } from '../../../scripts/testRuns';
import { zonesOf } from '../../boat/zones';
import { demo } from '../../demo/demo';
import type { Item } from '../../documents/item';
import type { Outing } from '../../documents/outing';
import type { References } from '../../documents/references';
import { type Spot, spotOf as spot } from '../../documents/stow';
import { applyRepair, sayRepair } from '../../editing/repair';
import { newItem } from '../../editing/newItem';
import { withItem } from '../../editing/edit';
import { withPut } from '../../editing/stow';
import { type Mode, otherModes } from '../../vocabulary/stow';
import { noAnswers } from '../../walkround/answers';
import { ruleOf, sayFinding } from '../allRules';
import { assess } from '../assess';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const byId = (id: string): Outing => {
  const found = outings.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};
const ready = byId('pollack-long-grey');
const judge = (outing: Outing, refs: References = references) => assess(outing, refs, noAnswers, now);
const put = (outing: Outing, itemId: string, at: Spot, mode: Mode = 'fish') =>
  withPut(outing, [{ itemId, mode, spot: at, fish: at }]);
const levelOf = (outing: Outing, key: string, refs?: References) =>
  judge(outing, refs).findings.find((one) => one.key === key)?.level ?? null;
const withThing = (thing: Item): [Outing, References] => [
  withItem(ready, thing.id, 1),
  { ...references, items: [...references.items, thing] },
];
const craftWith = (change: Partial<References['craft'][number]>): References => ({
  ...references,
  craft: references.craft.map((one) => (one.id === ready.brief.craftId ? { ...one, ...change } : one)),
});

describe('the outing that is stowed in full', () => {
  it('has nothing said of where anything lies', () => {
    expect(judge(ready).findings.filter(({ station }) => station === 'stow')).toEqual([]);
  });
  it('goes in no station but its own when one thing is put wrong, and counts one fewer', () => {
    const wrong = put(ready, 'battery', spot('zone', 'left-pocket'));
    const { counted, of } = judge(wrong).tallies.stow;
    expect(counted).toBeLessThan(of);
    expect(judge(ready).tallies.stow).toEqual({ counted: of, of });
  });
});

describe('where things lie', () => {
  const mastless = {
    ...references,
    craft: references.craft.map((one) => ({
      ...one,
      zones: one.zones?.filter(({ id }) => id !== 'well') ?? null,
    })),
  };
  it.each<[string, Outing, string, string | null, References?]>([
    ['a place that the boat lost', ready, 'stow-unplaced', 'mind', mastless],
    [
      'too long for a pocket',
      put(ready, 'board', spot('zone', 'left-pocket', { held: 'strapped' })),
      'stow-no-fit:board',
      'mind',
    ],
    ['loose through the surf', put(ready, 'pliers', spot('zone', 'console')), 'stow-loose:console', 'mind'],
    [
      'tied, it is not told',
      put(ready, 'pliers', spot('zone', 'console', { held: 'leashed' })),
      'stow-loose:console',
      null,
    ],
    [
      'under a lid, it is not told',
      put(ready, 'pliers', spot('zone', 'fore-hatch')),
      'stow-loose:fore-hatch',
      null,
    ],
    [
      'rods that stand while fishing, and lie flat in the surf',
      put(ready, 'spin-rod', spot('zone', 'left-tube', { held: 'leashed', state: 'out' })),
      'stow-rods-up:surf',
      null,
    ],
    [
      'a bare point where hands go',
      put(ready, 'knife', spot('body', 'left-chest', { held: 'clipped' })),
      'stow-sharp',
      'mind',
    ],
    [
      'a paddle across the side one climbs in by',
      put(ready, 'board', spot('zone', 'right-rail', { held: 'strapped' })),
      'stow-in-the-way:re-entry',
      'mind',
    ],
    [
      'on the other side it is not told',
      put(ready, 'board', spot('zone', 'left-rail', { held: 'strapped' })),
      'stow-in-the-way:re-entry',
      null,
    ],
    [
      'standing where a fish is fought',
      put(ready, 'spin-rod', spot('zone', 'right-rail', { held: 'leashed', state: 'out' })),
      'stow-in-the-way:fight',
      'note',
    ],
    [
      'behind the seat it is not told',
      put(ready, 'spin-rod', spot('zone', 'right-tube', { held: 'leashed', state: 'out' })),
      'stow-in-the-way:fight',
      null,
    ],
    [
      'standing where the net is swung',
      put(ready, 'net', spot('zone', 'well', { held: 'leashed', at: { xM: 1.2, yM: -0.25 } })),
      'stow-in-the-way:net',
      'note',
    ],
    [
      'away from the net it is not told',
      put(ready, 'net', spot('zone', 'well', { held: 'leashed', at: { xM: 0.4, yM: -0.15 } })),
      'stow-in-the-way:net',
      null,
    ],
    [
      'under the pedals',
      put(ready, 'food', spot('zone', 'floor', { held: 'leashed', at: { xM: 2.3, yM: 0 } })),
      'stow-in-the-way:sweep',
      'mind',
    ],
    [
      'a leash that has no pad-eye',
      put(ready, 'pliers', spot('zone', 'console', { held: 'leashed', eyeId: 'gone' })),
      'stow-leash:none',
      'mind',
    ],
    [
      'on the lid of what is wanted',
      put(ready, 'pump', spot('zone', 'fore-deck', { held: 'strapped' })),
      'stow-on-lid:fore-hatch',
      null,
    ],
  ])('%s', (_, outing, key, level, refs) => {
    expect(levelOf(outing, key, refs)).toBe(level);
  });
  it('rods are flat in each mode that meets breaking water, and may stand while fishing', () => {
    const up = ready.stow.things.find(({ itemId }) => itemId === 'spin-rod')?.fish;
    if (!up) throw new Error('The rod is placed.');
    const launching = put(ready, 'spin-rod', up, 'launch');
    const finding = judge(launching).findings.find(({ key }) => key === 'stow-rods-up:surf');
    expect(finding?.level).toBe('mind');
    const [repair] = finding?.repairs ?? [];
    if (!repair) throw new Error('A rod can be laid flat.');
    const mended = applyRepair(launching, repair, now);
    expect(levelOf(mended, 'stow-rods-up:surf')).toBeNull();
    expect(mended.stow.things.find(({ itemId }) => itemId === 'spin-rod')?.fish.state).toBe('out');
    const calm = {
      ...launching,
      conditions: {
        ...ready.conditions,
        hours: ready.conditions.hours.map((hour) => ({
          ...hour,
          swellM: 0,
          waveM: 0,
          windMps: 1,
          gustMps: 2,
        })),
      },
    };
    expect(levelOf(calm, 'stow-rods-up:surf')).toBeNull();
  });
  it('what must keep dry is under a seal, in a bag, or told', () => {
    const cells = newItem('cells', 'spare-cells');
    const [outing, refs] = withThing(cells);
    expect(
      levelOf(put(outing, 'cells', spot('zone', 'well', { held: 'strapped' })), 'stow-wet:well', refs),
    ).toBe('mind');
    const bag = newItem('bag', 'dry-bag');
    const bagged = { ...refs, items: [...refs.items, bag] };
    const inBag = put(
      put(withItem(outing, 'bag', 1), 'bag', spot('zone', 'well', { held: 'strapped' })),
      'cells',
      spot('thing', 'bag'),
    );
    expect(levelOf(inBag, 'stow-wet:well', bagged)).toBeNull();
  });
  it('a pad-eye that holds more than it takes is told, with what hangs on it', () => {
    const many = ['pliers', 'priest', 'hook-cutter'].reduce(
      (next, id) =>
        put(next, id, spot('zone', 'console', { held: 'leashed', eyeId: 'right-eye', cover: 'sheath' })),
      ready,
    );
    expect(levelOf(many, 'stow-leash:right-eye')).toBe('mind');
    expect(
      levelOf(
        many,
        'stow-leash:right-eye',
        craftWith({
          zones: zonesOf(references.craft[0] as never).map((zone) =>
            zone.id === 'right-eye' ? { ...zone, leashes: 6 } : zone,
          ),
        }),
      ),
    ).toBeNull();
  });
  it('a place filled by hand past its mass or its room is told', () => {
    const heavy = newItem('lead', 'sinkers', { massKg: 2.5 });
    const [outing, refs] = withThing(heavy);
    expect(
      levelOf(
        put(outing, 'lead', spot('zone', 'left-pocket', { held: 'strapped' })),
        'stow-no-fit:lead',
        refs,
      ),
    ).toBe('mind');
    const lighter = {
      ...refs,
      items: refs.items.map((one) => (one.id === 'lead' ? { ...one, massKg: 1.9 } : one)),
    };
    expect(
      levelOf(
        put(outing, 'lead', spot('zone', 'left-pocket', { held: 'strapped' })),
        'stow-overfull:left-pocket',
        lighter,
      ),
    ).toBe('mind');
  });
  it('fuel and food lie apart, and cream and lures', () => {
    const fuel = newItem('burner', 'stove');
    const [outing, refs] = withThing(fuel);
    expect(
      judge(put(outing, 'burner', spot('zone', 'fore-hatch')), refs).findings.find(
        ({ facts }) => facts.code === 'stow-apart',
      )?.level,
    ).toBe('mind');
    expect(
      judge(put(outing, 'burner', spot('zone', 'well', { held: 'strapped' })), refs).findings.some(
        ({ facts }) => facts.code === 'stow-apart',
      ),
    ).toBe(false);
  });
  it('cream in the box of lures lies among the lures', () => {
    const box = { ...newItem('trays', 'lure-box'), massKg: 1 };
    const cream: Item = { ...newItem('lotion', 'sunscreen'), containerId: 'trays' };
    const refs = { ...references, items: [...references.items, box, cream] };
    const told = (outing: Outing) =>
      judge(outing, refs).findings.find(({ facts }) => facts.code === 'stow-apart')?.level ?? null;
    const both = withItem(withItem(ready, 'trays', 1), 'lotion', 1);
    expect(told(both)).toBe('note');
    expect(told(put(both, 'lotion', spot('zone', 'left-pocket')))).toBeNull();
  });
  it('what is used all day lies over what is seldom used', () => {
    const lures = newItem('trays', 'lure-box');
    const leader = newItem('spool', 'fluoro-leader');
    const refs = { ...references, items: [...references.items, lures, leader] };
    const laid = (below: 'trays' | 'spool') =>
      ['trays', 'spool'].reduce(
        (next, id) =>
          put(
            withItem(next, id, 1),
            id,
            spot('zone', 'well', { held: 'strapped', layer: id === below ? 'bottom' : 'top' }),
          ),
        ready,
      );
    const told = (outing: Outing) =>
      judge(outing, refs).findings.find(({ key }) => key === 'stow-order:well');
    const wrong = told(laid('trays'));
    expect(wrong?.level).toBe('note');
    const [repair] = wrong?.repairs ?? [];
    expect(repair && told(applyRepair(laid('trays'), repair, now))).toBeUndefined();
    expect(told(laid('spool'))).toBeUndefined();
  });
});

describe('what a capsize would leave', () => {
  const loose = spot('zone', 'console');
  const all = ['radio', 'phone', 'e-flare', 'mirror'];
  const radioLoose = all.reduce((next, id) => put(next, id, loose), ready);
  it('no way to call is a Stop in the surf, with what to do about it, and told once', () => {
    const { findings } = judge(radioLoose);
    const stop = findings.find(({ key }) => key === 'roll-loses:call-for-help');
    expect(stop?.level).toBe('stop');
    expect(findings.some(({ key }) => key === 'call-not-worn')).toBe(false);
    expect(
      findings
        .filter(({ facts }) => facts.code === 'stow-loose')
        .flatMap(({ facts }) => ('thingIds' in facts ? facts.thingIds : [])),
    ).not.toContain('radio');
    expect(stop?.repairs.map(sayRepair).join()).toMatch(/Clip .+ to your jacket/);
  });
  it('in calm water close in it is less than a Stop', () => {
    const spring = byId('perch-spring');
    const perch = put({ ...spring, conditions: { ...spring.conditions, waterC: 13 } }, 'radio', loose);
    const calm = ['phone', 'whistle'].reduce((next, id) => put(next, id, loose), perch);
    const levels = judge(calm)
      .findings.filter(({ facts }) => facts.code === 'roll-loses')
      .map(({ level }) => level);
    expect(levels.length).toBeGreaterThan(0);
    expect(levels).not.toContain('stop');
  });
  it('tied down but on nobody, alone, it is a Stop of its own', () => {
    const tied = ['radio', 'phone', 'e-flare'].reduce(
      (next, id) => put(next, id, spot('zone', 'console', { held: 'leashed' })),
      ready,
    );
    expect(levelOf(tied, 'call-not-worn')).toBe('stop');
    expect(levelOf(tied, 'roll-loses:call-for-help')).toBeNull();
  });
});

describe('what a need asks about where', () => {
  it('a jacket under a lid is not worn, and a radio in a hatch is not within a twist: aboard, and told why it does not count', () => {
    const away = put(ready, 'foam-jacket', spot('zone', 'well', { held: 'strapped' }));
    const unmet = judge(away).findings.find(({ key }) => key === 'need-unmet:buoyancy');
    expect(unmet?.level).toBe('stop');
    expect(unmet && sayFinding(unmet.facts).text).toMatch(
      /lies in the tank well; it has to be worn on your body/,
    );
    const radio = put(ready, 'radio', spot('zone', 'fore-hatch'));
    const call = judge(radio).needs.find(({ id }) => id === 'call-for-help');
    expect(call?.means.find((one) => one.by === 'item' && one.itemId === 'radio')?.shortfall?.code).toBe(
      'out-of-place',
    );
  });
  it('a pump under everything is told with the moves, and put on top or nearer in one press', () => {
    const [stop] = judge(byId('ling-anchored')).findings.filter(
      ({ key }) => key === 'need-unmet:take-water-out',
    );
    expect(stop && sayFinding(stop.facts).text).toMatch(/open bow hatch and take out what lies over it/);
    expect(stop?.repairs.length).toBeGreaterThan(0);
    expect(stop?.repairs.every((repair) => repair.do === 'stow')).toBe(true);
  });
  it('two that lie behind one lid are one', () => {
    const both = ['e-flare', 'mirror'].reduce((next, id) => put(next, id, spot('zone', 'fore-hatch')), ready);
    const need = judge(both).needs.find(({ id }) => id === 'distress-signal');
    expect(need?.met).toBe(false);
  });
  it('what is missing and what is misplaced are never both told of one thing', () => {
    for (const outing of outings) {
      const { findings } = judge(outing);
      const unmet = new Set(
        findings.flatMap(({ facts }) =>
          facts.code === 'need-unmet'
            ? facts.notCounted.flatMap((one) =>
                one.by === 'item' && one.shortfall?.code === 'out-of-place' ? [one.itemId] : [],
              )
            : [],
        ),
      );
      for (const { facts, level } of findings)
        if (level !== 'note' && 'thingIds' in facts && facts.code === 'call-not-worn')
          for (const id of facts.thingIds) expect(unmet.has(id)).toBe(false);
    }
  });
});

describe('a boat that lies uneven', () => {
  const lead = (id: string, massKg: number) => newItem(id, 'sinkers', { name: id, massKg });
  const laden = (list: readonly [string, number, Spot][]): [Outing, References] => {
    const things = list.map(([id, kg]) => lead(id, kg));
    const refs = { ...references, items: [...references.items, ...things] };
    const outing = list.reduce((next, [id, , at]) => put(withItem(next, id, 1), id, at), ready);
    return [outing, refs];
  };
  const offered = (outing: Outing, refs: References, code: string) =>
    judge(outing, refs).findings.find(({ facts }) => facts.code === code)?.repairs ?? [];
  it('to one side is evened by putting weight on the other, or by two things that change places; and lies nearly level after', () => {
    const [outing, refs] = laden([['ballast', 9, spot('zone', 'left-rail', { held: 'strapped' })]]);
    const light = {
      ...refs,
      craft: refs.craft.map((one) => ({
        ...one,
        zones: one.zones?.map((zone) => ({ ...zone, maxKg: 30 })) ?? null,
      })),
    };
    const repairs = offered(outing, light, 'heel');
    expect(repairs.map(sayRepair).join()).toMatch(/Put ballast|Swap ballast/);
    for (const repair of repairs)
      expect(levelOf(applyRepair(outing, repair, now), 'heel', light) ?? 'note').toBe('note');
  });
  it('by the stern is levelled by putting weight forward', () => {
    const [outing, refs] = laden([
      ['ballast', 42, spot('zone', 'well', { held: 'strapped', at: { xM: 0.4, yM: 0 } })],
    ]);
    const strong = {
      ...refs,
      craft: refs.craft.map((one) => ({
        ...one,
        ratedLoadKg: 400,
        wellKg: 90,
        zones: one.zones?.map((zone) => ({ ...zone, maxKg: 60 })) ?? null,
      })),
    };
    const trimmed = judge(outing, strong).findings.find(({ facts }) => facts.code === 'trim');
    if (!trimmed) throw new Error('So much astern is felt.');
    expect(trimmed.repairs.some(({ do: what }) => what === 'stow')).toBe(true);
  });
  it('with its seat up through the surf has it lowered for that alone', () => {
    const high = { ...craftWith({ seat: { xM: 1.72, lowM: 0.16, highM: 0.62 } }) };
    const launching = {
      ...ready,
      stow: { ...ready.stow, boat: { ...ready.stow.boat, launch: { seat: 'high' as const, floats: null } } },
    };
    const unsteady = judge(launching, high).findings.find(({ facts }) => facts.code === 'unsteady');
    expect(unsteady && sayFinding(unsteady.facts).text).toMatch(/launching/);
    const [repair] = unsteady?.repairs ?? [];
    expect(repair && sayRepair(repair)).toBe('Lower the seat for launching');
    if (repair) expect(applyRepair(launching, repair, now).stow.boat.launch?.seat).toBe('low');
  });
});

/** The outing with some of its things put anywhere at all. */
const anyPut = fc.record({
  itemId: fc.constantFrom(...ready.loadout.map(({ itemId }) => itemId)),
  zoneId: fc.constantFrom(...zonesOf(references.craft[0] as never).map(({ id }) => id)),
  held: fc.constantFrom('loose' as const, 'strapped' as const, 'leashed' as const),
  mode: fc.constantFrom<Mode>('fish', ...otherModes),
  layer: fc.constantFrom('top' as const, 'middle' as const, 'bottom' as const),
});

describe('every repair of any plan', () => {
  it(
    'settles its finding, opens no Stop and no Mind, and leaves a sound document',
    () => {
      fc.assert(
        fc.property(fc.array(anyPut, { minLength: 1, maxLength: 8 }), (puts) => {
          const outing = puts.reduce(
            (next, { itemId, zoneId, held, mode, layer }) =>
              put(next, itemId, spot('zone', zoneId, { held, layer }), mode),
            ready,
          );
          const before = new Map(judge(outing).findings.map((one) => [one.key, one]));
          for (const one of before.values()) {
            const { text, title } = sayFinding(one.facts);
            expect(`${title} ${text}`).not.toMatch(/undefined|NaN|null|\[object/);
            if (ruleOf(one.facts.code).station !== 'stow') continue;
            for (const repair of one.repairs) {
              const after = assess(applyRepair(outing, repair, now), references, noAnswers, now, {
                withRepairs: false,
              }).findings;
              const what = `${one.key}: ${sayRepair(repair)}`;
              expect(
                after.some(({ key }) => key === one.key),
                what,
              ).toBe(false);
              for (const { key, level } of after) {
                const was = before.get(key);
                if (level !== 'note')
                  expect(was !== undefined && was.level !== 'note', `${what} brings ${key}`).toBe(true);
              }
            }
          }
        }),
        runs(12),
      );
    },
    often(240_000),
  );
});
