import { describe, expect, it } from 'vitest';
import { demo } from '../../demo/demo';
import { kinds } from '../../catalog/gear/kinds';
import { newItem } from '../../editing/newItem';
import { withItem } from '../../editing/edit';
import { applyRepair } from '../../editing/repair';
import { withCompanion, withRide, withoutCompanion } from '../../editing/company';
import type { Item } from '../../documents/item';
import type { Outing } from '../../documents/outing';
import type { References } from '../../documents/references';
import type { Rule } from '../../documents/rulePack';
import { noAnswers } from '../../walkround/answers';
import { assess } from '../assess';

import { type FindingCode, sayFinding } from '../allRules';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];
const venn = outings.find((one) => one.id === 'venn-overnight') ?? ready;
const find = (code: FindingCode, outing: Outing, refs: References = references) =>
  assess(outing, refs, noAnswers, now).findings.find((one) => one.facts.code === code) ?? null;
const brief = (change: Partial<Outing['brief']>, outing = ready): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});
const withItems = (...items: Item[]): References => ({
  ...references,
  items: [...references.items, ...items],
});
const rules = (...list: Rule[]): References => ({
  ...references,
  rulePacks: references.rulePacks.map((pack) => ({ ...pack, rules: list })),
});
const angler = (change: Partial<NonNullable<References['angler']>>): References => ({
  ...references,
  angler: references.angler && { ...references.angler, ...change },
});
const cited = { id: 'x', text: '', citation: 'Rule 1' };

describe('rules of sizes, anchors and rods', () => {
  it('tell a size limit where fish are kept, and are silent where all go back', () => {
    const size = rules({ ...cited, rule: 'size', speciesId: 'pollack', leastM: 0.3, mostM: 0.6 });
    const told = find('size-limit', ready, size);
    expect(told?.level).toBe('note');
    expect(told && sayFinding(told.facts).title).toBe('Pollack from 30 cm to 60 cm only');
    expect(find('size-limit', brief({ keep: 0 }), size)).toBeNull();
  });
  it('stop bait at anchor where no anchor may be set, there and not elsewhere', () => {
    const at = (areaId: string | null) => rules({ ...cited, rule: 'no-anchor', areaId });
    const anchored = brief({ techniques: ['anchored bait'] });
    expect(find('anchor-forbidden', anchored, at('long-grey'))).toMatchObject({
      level: 'stop',
      basis: 'law',
    });
    expect(find('anchor-forbidden', anchored, at(null))?.level).toBe('stop');
    expect(find('anchor-forbidden', anchored, at('inner-sound'))).toBeNull();
    expect(find('anchor-forbidden', ready, at(null))).toBeNull();
  });
  it('leave several rods ashore at once where no line of them alone is enough, those on no rig first', () => {
    const one = rules({ ...cited, rule: 'rods', most: 1, withPermission: null });
    const many = withItem(withItem(ready, 'travel-rod', 1), 'troll-rod', 1);
    const told = find('rods-over-rule', many, one);
    const [repair] = told?.repairs ?? [];
    if (repair?.do !== 'remove-items') throw new Error(JSON.stringify(told?.repairs));
    expect(repair.items).toHaveLength(3);
    expect(repair.items.map(({ itemId }) => itemId)).toEqual(
      expect.arrayContaining(['travel-rod', 'troll-rod']),
    );
    expect(find('rods-over-rule', applyRepair(many, repair, now), one)).toBeNull();
  });
  it('change an automatic jacket for foam where surf would fire it', () => {
    const bare = ready.loadout.filter(({ itemId }) => !['foam-jacket', 'inflatable-jacket'].includes(itemId));
    const told = find('automatic-jacket', withItem({ ...ready, loadout: bare }, 'auto-jacket', 1));
    expect(told?.repairs[0]).toMatchObject({ do: 'swap-item', offId: 'auto-jacket', onId: 'foam-jacket' });
  });
  it('allow a second rod with the permission aboard and in date', () => {
    const one = rules({ ...cited, rule: 'rods', most: 1, withPermission: 2 });
    const bare = find('rods-over-rule', ready, one);
    expect(bare?.facts).toMatchObject({ rods: 2, most: 1, withPermission: 2 });
    const carried = withItem(ready, 'permit', 1);
    expect(find('rods-over-rule', carried, one)).toBeNull();
    const old = {
      ...one,
      items: one.items.map((item) => (item.id === 'permit' ? { ...item, expiresOn: '2026-05-15' } : item)),
    };
    expect(find('rods-over-rule', carried, old)?.level).toBe('stop');
  });
  it('of good practice raise a must, never law', () => {
    const baseline: References = {
      ...references,
      waters: references.waters.map((water) => ({ ...water, rulePackId: 'prudent-baseline' })),
    };
    const light = assess(ready, baseline, noAnswers, now).needs.find((need) => need.id === 'be-seen-night');
    expect(light?.level).toBe('must');
  });
});

describe('sizes', () => {
  it('of a jacket: inside what it says it fits, ends included', () => {
    const jacket = (fitToKg: number): References => ({
      ...references,
      items: references.items.map((item) =>
        item.id === 'foam-jacket' ? { ...item, attributes: { newtons: 105, fitFromKg: 40, fitToKg } } : item,
      ),
    });
    expect(find('need-unmet', ready, jacket(84))?.key).not.toBe('need-unmet:buoyancy');
    const small = find('need-unmet', ready, jacket(83.9));
    expect(small?.key).toBe('need-unmet:buoyancy');
    expect(small && sayFinding(small.facts).text).toContain('fits 40 to 84 kg; you are 84 kg');
  });
  it('of a paddle: within 12 cm of what suits height and beam', () => {
    const paddled = brief({ craftId: 'dunlin' }, withItem(ready, 'mine', 1));
    const long = (lengthM: number) => withItems(newItem('mine', 'paddle', { attributes: { lengthM } }));
    expect(find('paddle-size', paddled, long(2.4))).toBeNull();
    expect(find('paddle-size', paddled, long(2.28))).toBeNull();
    expect(find('paddle-size', paddled, long(2.27))?.level).toBe('mind');
    expect(find('paddle-size', brief({}, withItem(ready, 'mine', 1)), long(2)), 'a pedal boat').toBeNull();
  });
});

describe('what lies together, and how much', () => {
  const soft = newItem('soft', 'soft-bait-box', { containerId: 'crate' });
  const elastic = newItem('elastic', 'elastic-bait-box', { containerId: 'crate' });
  it('minds a boat that stands past the tail of its vehicle without a flag, and one too heavy for its bars', () => {
    const craft = references.craft.find(({ id }) => id === ready.brief.craftId);
    const boatM = craft?.lengthM ?? 0;
    const boatKg = craft?.massKg ?? 0;
    const on = (vehicle: object) =>
      angler({ vehicle: { carries: 'roof', lengthM: null, ratedKg: null, ...vehicle } as never });
    const flagless = withItem(ready, 'overhang-flag', 0);
    expect(find('overhang', flagless, on({ lengthM: boatM - 2 }))).toBeNull();
    expect(find('overhang', flagless, on({ lengthM: boatM - 2.2 }))?.level).toBe('mind');
    expect(find('overhang', flagless, on({ carries: 'bed', lengthM: boatM - 1.1 }))?.level).toBe('mind');
    expect(find('overhang', flagless, on({ carries: 'not told', lengthM: 1 }))).toBeNull();
    const flag = { ...newItem('tail-flag', 'overhang-flag') };
    const refs = on({ lengthM: boatM - 2.2 });
    const owning = { ...refs, items: [...refs.items, flag] };
    const [repair] = find('overhang', flagless, owning)?.repairs ?? [];
    expect(repair && find('overhang', applyRepair(flagless, repair, now), owning)).toBeNull();
    expect(find('over-rack', ready, on({ ratedKg: boatKg }))).toBeNull();
    expect(find('over-rack', ready, on({ ratedKg: boatKg - 1 }))?.level).toBe('mind');
  });
  const both = ['soft', 'elastic', 'crate'].reduce((next, id) => withItem(next, id, 1), ready);
  it('minds elastic beside ordinary soft baits, until one is carried apart', () => {
    const refs = withItems(soft, elastic);
    const melting = find('baits-react', both, refs);
    expect(melting?.level).toBe('mind');
    const [repair] = melting?.repairs ?? [];
    expect(repair).toMatchObject({ do: 'separate-item', itemId: 'elastic' });
    expect(repair && find('baits-react', applyRepair(both, repair, now), refs)).toBeNull();
    expect(find('baits-react', withItem(both, 'crate', 0), refs), 'the crate stays ashore').toBeNull();
  });
  it('notes more tackle than the school carries, and not what is just within it', () => {
    const rods = (n: number) =>
      ['travel-rod', 'troll-rod', 'big-rod'].slice(0, n).reduce((next, id) => withItem(next, id, 1), ready);
    expect(find('tackle-over', rods(0))).toBeNull();
    expect(find('tackle-over', rods(1))?.level).toBe('note');
    const ample = angler({ schools: { ...references.angler?.schools, tackle: 'ample' } as never });
    expect(find('tackle-over', rods(1), ample)).toBeNull();
  });
  it('speaks for foam in cold water and for who swims badly, softly, and not when foam is aboard', () => {
    const inflated = withItem(withItem(ready, 'foam-jacket', 0), 'auto-jacket', 1);
    const manual: References = {
      ...angler({ swims: 'a little' }),
      items: references.items.map((item) =>
        item.id === 'auto-jacket' ? { ...item, qualities: ['approved', 'inflatable', 'floats'] } : item,
      ),
    };
    expect(find('foam-favoured', inflated, manual)).toMatchObject({ level: 'note', basis: 'school' });
    expect(find('foam-favoured', withItem(inflated, 'foam-jacket', 1), manual)).toBeNull();
  });
});

describe('a party', () => {
  it('is asked for what each must carry, person by person', () => {
    const silent = find('companion-silent', venn);
    expect(silent?.facts).toMatchObject({ name: 'Sample Friend' });
    const needs = assess(venn, references, noAnswers, now).needs.map((need) => need.id);
    const [first, second] = venn.company;
    const all = [first, second].reduce(
      (next, one) => (one ? withCompanion(next, { ...one, says: needs }) : next),
      venn,
    );
    expect(find('companion-silent', all)).toBeNull();
  });
  it('shares what is shared wherever it rides, and never what is worn', () => {
    const need = (id: string, outing: Outing) =>
      assess(outing, references, noAnswers, now).needs.find((one) => one.id === id);
    expect(need('shelter', venn)?.counted, 'the tent rides with the first').toBe(2);
    const away = withRide(venn, 'foam-jacket', 'first');
    expect(need('buoyancy', away)?.met).toBe(false);
    expect(need('buoyancy', away)?.means[0]?.shortfall).toEqual({ code: 'in-other-boat' });
  });
  it('weighs only what rides in one’s own boat', () => {
    const kg = (outing: Outing) => assess(outing, references, noAnswers, now).carriedKg ?? 0;
    const tent = references.items.find((item) => item.id === 'tent')?.massKg ?? 0;
    expect(kg(withRide(venn, 'tent', null)) - kg(venn)).toBeCloseTo(tent, 9);
  });
  it('that grows smaller brings home what rode along', () => {
    const left = withoutCompanion(venn, 'first');
    expect(left.brief.party).toBe(2);
    expect(left.loadout.filter((entry) => entry.carriedBy !== null)).toEqual([]);
    expect(withoutCompanion(left, 'nobody')).toBe(left);
  });
});

describe('one thing with many jobs', () => {
  const cup = outings.find((one) => one.id === 'mere-cup-day') ?? ready;
  it('is told where the only call for help is also a camera that counts', () => {
    const bare = withItem(cup, 'radio', 0);
    const alone = withItem(bare, 'action-cam', 0);
    expect(find('one-thing-many-jobs', alone)?.level).toBe('mind');
    expect(find('one-thing-many-jobs', bare), 'a camera beside it').toBeNull();
    expect(find('one-thing-many-jobs', cup), 'a radio beside it').toBeNull();
    expect(find('one-thing-many-jobs', brief({ trip: 'still-water' }, alone)), 'no competition').toBeNull();
  });
});

describe('a permission that lies in the locker', () => {
  it('is put aboard before a rod is left ashore', () => {
    const one = rules({ ...cited, rule: 'rods', most: 1, withPermission: 2 });
    const [first] = find('rods-over-rule', ready, one)?.repairs ?? [];
    expect(first).toMatchObject({ do: 'add-items', items: [{ itemId: 'permit' }] });
  });
});

describe('a thing whose battery stays ashore', () => {
  it('does not count, and is told to have its battery put aboard', () => {
    const items = references.items.map((one) =>
      one.id === 'sounder' ? { ...one, poweredById: 'battery' } : one,
    );
    const trolling = withItem(brief({ techniques: ['trolling'] }), 'battery', 0);
    const unmet = assess(trolling, { ...references, items }, noAnswers, now).findings.find(
      ({ key }) => key === 'need-unmet:find-depth',
    );
    expect(unmet && sayFinding(unmet.facts).text).toContain('its battery is not aboard');
    expect(
      unmet?.repairs.map((repair) => (repair.do === 'add-items' ? repair.items[0]?.itemId : repair.do)),
    ).toContain('battery');
  });
});

describe('what serves several', () => {
  const night = outings.find(({ id }) => id === 'venn-overnight') as Outing;
  const party = (people: number, stoves: number): Outing => {
    const items = Array.from({ length: stoves }, (_, i) => `stove-${i}`);
    const others = night.loadout.filter(({ itemId }) => !cooks.has(itemId));
    return {
      ...night,
      company: [],
      brief: { ...night.brief, party: people },
      loadout: [
        ...others,
        ...items.map((itemId) => ({ itemId, quantity: 1, outsideContainer: false, carriedBy: null })),
      ],
    };
  };
  const cooks = new Set(
    references.items.filter(({ kind }) => kinds[kind].means.includes('cook')).map(({ id }) => id),
  );
  const withStoves = {
    ...references,
    items: [...references.items, ...Array.from({ length: 4 }, (_, i) => newItem(`stove-${i}`, 'stove'))],
  };
  const told = (outing: Outing) =>
    assess(outing, withStoves, noAnswers, now).findings.find(({ key }) => key === 'shared-too-many:cook');
  it('is told where more of it comes along than serves all, and how many would do', () => {
    expect(told(party(4, 2))).toBeUndefined();
    expect(told(party(4, 3))?.facts).toMatchObject({ many: 3, enough: 2 });
    expect(told(party(1, 3)), 'alone nobody shares').toBeUndefined();
  });
});
