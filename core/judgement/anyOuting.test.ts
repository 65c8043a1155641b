import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { often, runs } from '../../scripts/testRuns';
import { demo } from '../demo/demo';
import { alignments } from '../vocabulary/holding';
import { ruleOf } from './allRules';
import { ofTheWhole, propose } from '../provisioning/propose';
import { purchases } from '../provisioning/shopping';
import { withItem } from '../editing/edit';
import { applyRepair } from '../editing/repair';
import { type Outing, outingSchema } from '../documents/outing';
import type { References } from '../documents/references';
import { newRig } from '../editing/rigs';
import { lookUp } from '../documents/references';
import { techniques, tripTypes } from '../vocabulary/trips';
import { speciesIds } from '../catalog/species/species';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { type Finding } from './finding';
import { sayBar } from './gate';
import { sayBasis } from './finding';
import { sayFinding } from './allRules';
import { sayRepair } from '../editing/repair';
import { sayExposures } from '../exposures/sayExposures';
import { sayMeans, wantedWords, whyNeed } from '../needs/sayNeeds';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const clock = fc
  .tuple(fc.integer({ min: 0, max: 23 }), fc.constantFrom('00', '15', '30', '45'))
  .map(([hour, minute]) => `${String(hour).padStart(2, '0')}:${minute}`);
const some = <T>(list: readonly T[], most: number) =>
  fc.subarray([...list], { maxLength: Math.min(most, list.length) });
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: null, freq: 6 });

/** What the weather may be, each figure known or not. */
const weather = fc.record({
  windMps: maybe(fc.double({ min: 0, max: 22, noNaN: true })),
  gustMps: maybe(fc.double({ min: 0, max: 30, noNaN: true })),
  windFromDeg: maybe(fc.integer({ min: 0, max: 359 })),
  airC: maybe(fc.integer({ min: -12, max: 42 })),
  swellM: maybe(fc.double({ min: 0, max: 4, noNaN: true })),
  swellPeriodS: maybe(fc.integer({ min: 3, max: 16 })),
  thunderPct: maybe(fc.integer({ min: 0, max: 90 })),
  visibilityM: maybe(fc.constantFrom(60, 400, 2000, 15_000)),
});

/** Any outing that can be written down: sense is not asked of it. */
const anyOuting: fc.Arbitrary<Outing> = fc
  .record({
    like: fc.constantFrom(...outings),
    water: maybe(fc.constantFrom(...references.waters)),
    place: fc.record({ launch: fc.nat(3), area: fc.nat(3), landing: maybe(fc.nat(3)) }),
    brief: fc.record({
      targets: some([...speciesIds, 'venn-dace'], 3),
      keep: fc.integer({ min: 0, max: 6 }),
      launchAt: clock,
      homeAt: clock,
      alarmAt: clock,
      turnAt: maybe(clock),
      nights: fc.constantFrom(0, 0, 0, 1, 3),
      party: fc.integer({ min: 1, max: 4 }),
      craftId: maybe(fc.constantFrom(...references.craft.map(({ id }) => id))),
      trip: fc.constantFrom(...tripTypes),
      techniques: some(techniques, 4),
      standing: fc.boolean(),
    }),
    waterC: maybe(fc.integer({ min: -1, max: 33 })),
    weather,
    things: some(references.items, 60),
    alignment: fc.constantFrom(...alignments),
  })
  .map(({ like, water, place, brief, waterC, weather: hour, things, alignment }): Outing => {
    const nth = (list: readonly { id: string }[] | undefined, n: number | null) =>
      n === null || !list ? null : (list[n % Math.max(1, list.length)]?.id ?? null);
    const bare: Outing = {
      ...like,
      brief: {
        ...like.brief,
        ...brief,
        waterId: water?.id ?? null,
        launchId: nth(water?.launches, place.launch),
        areaId: nth(water?.areas, place.area),
        landingId: nth(water?.launches, place.landing),
        route: { out: [], home: [] },
      },
      conditions: {
        ...like.conditions,
        waterC,
        hours: like.conditions.hours.map((one) => ({ ...one, ...hour })),
      },
      company: [],
      loadout: [],
      rigs: [],
      workings: { ...like.workings, alignment },
      accepted: [],
      log: null,
    };
    const laden = things.reduce((next, { id }) => withItem(next, id, 1), bare);
    const looked = lookUp(laden, references);
    const rods = looked.aboard.filter(({ item }) => item.attributes.castMinG !== undefined).slice(0, 3);
    return { ...laden, rigs: rods.map(({ item }, i) => newRig(`rig-${i}`, item, looked)) };
  });

const judge = (outing: Outing, refs: References = references) => assess(outing, refs, noAnswers, now);
/** Where two judgements differ, as a path; null: nowhere. */
function difference(a: unknown, b: unknown, path = ''): string | null {
  if (Object.is(a, b)) return null;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return `${path}: ${String(a)}, ${String(b)}`;
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    const [one, other] = [a, b].map((whole) => (whole as Record<string, unknown>)[key]);
    const found = difference(one, other, `${path}/${key}`);
    if (found !== null) return found;
  }
  return null;
}
/** The same where nothing is asked of repairs: they are nine tenths of the work. */
const found = (outing: Outing) => assess(outing, references, noAnswers, now, { withRepairs: false });

/** What may stand on a screen: words, figures that are figures, and no promise. */
function readable(text: string) {
  expect(text).not.toMatch(/NaN|undefined|null|Infinity|\[object|\bsafe\b|!|\s{2}|\s[.,;:]/i);
  expect(text.trim()).toBe(text);
}
/** The Stops and Minds of a judgement, by cause. */
const loud = (findings: readonly Finding[]) =>
  new Map(findings.filter(({ level }) => level !== 'note').map((one) => [one.key, one]));

describe('any outing at all', () => {
  it('can be written down, is judged, and judged the same twice', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        expect(outingSchema.safeParse(outing).error?.issues ?? []).toEqual([]);
        expect(JSON.stringify(judge(outing))).toBe(
          JSON.stringify(judge(JSON.parse(JSON.stringify(outing)) as Outing)),
        );
      }),
      runs(4),
    );
  });

  it('is judged after a change as if nothing had been judged before it', () => {
    const changes: fc.Arbitrary<(outing: Outing) => Outing> = fc.oneof(
      clock.map((launchAt) => (outing: Outing) => ({ ...outing, brief: { ...outing.brief, launchAt } })),
      fc.constantFrom(...references.craft).map(({ id }) => (outing: Outing) => ({
        ...outing,
        brief: { ...outing.brief, craftId: id },
      })),
      fc.constantFrom(...references.items).map(
        ({ id }) =>
          (outing: Outing) =>
            withItem(outing, id, 1),
      ),
      fc.nat(60).map((nth) => (outing: Outing) => ({ ...outing, loadout: outing.loadout.toSpliced(nth, 1) })),
      clock.map((alarmAt) => (outing: Outing) => ({ ...outing, brief: { ...outing.brief, alarmAt } })),
      fc.constantFrom('carry', 'launch', 'land').map((mode) => (outing: Outing) => ({
        ...outing,
        stow: { ...outing.stow, boat: { ...outing.stow.boat, [mode]: { seat: 'low', floats: 'out' } } },
      })),
    );
    fc.assert(
      fc.property(anyOuting, fc.array(changes, { minLength: 1, maxLength: 3 }), (outing, list) => {
        judge(outing);
        const next = list.reduce((changed, change) => change(changed), outing);
        // Of references that nothing was ever worked out of, nothing is remembered.
        const anew = judge(structuredClone(next), structuredClone(references));
        expect(difference(judge(next), anew)).toBeNull();
      }),
      runs(6),
    );
  });

  it('is told in words that can be read, each cause once', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const { findings, needs, exposures, gate } = judge(outing);
        expect(new Set(findings.map(({ key }) => key)).size).toBe(findings.length);
        for (const { facts, basis, level, repairs, lowers, otherwise } of findings) {
          // Each Stop and Mind comes with a way: what settles it, what lowers it, or what else would help.
          if (level === 'note') expect(otherwise).toBeNull();
          else expect(repairs.length > 0 || otherwise !== null, facts.code).toBe(true);
          if (otherwise !== null) readable(otherwise);
          if (lowers.length > 0) expect(level).toBe('stop');
          if (ruleOf(facts.code).notes) expect(level, `${facts.code} only notes`).toBe('note');
          const { title, text } = sayFinding(facts);
          readable(title);
          readable(text);
          readable(sayBasis({ basis, facts }));
          expect(title, 'a title is no sentence').not.toMatch(/\.$/);
          if (text !== '') expect(text, `${level} ${facts.code}`).toMatch(/[.?]$/);
          for (const repair of repairs) readable(sayRepair(repair));
        }
        for (const need of needs) {
          readable(whyNeed(need));
          readable(wantedWords(need));
          for (const means of need.means) readable(sayMeans(means));
        }
        for (const { title, text } of sayExposures(exposures)) [title, text].forEach(readable);
        for (const bar of gate.bars) readable(sayBar(bar));
      }),
      runs(12),
    );
  });

  it('keeps the gate shut while a Stop stands', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const { findings, gate } = found(outing);
        if (findings.some(({ level, accepted }) => level === 'stop' && accepted === null))
          expect(gate.open).toBe(false);
        for (const { level, basis, answerable } of findings)
          if (level === 'stop' && (basis === 'law' || basis === 'physics')) expect(answerable).toBe(false);
      }),
      runs(12),
    );
  });

  it('can be kept and opened again with every finding accepted that may be', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const { findings } = found(outing);
        const accepted = findings
          .filter(({ answerable }) => answerable)
          .map(({ key, extent }) => ({
            key,
            extent,
            reason: 'Seen, and known.',
            at: '2026-05-15T19:00:00Z',
          }));
        const next = { ...outing, accepted };
        expect(outingSchema.safeParse(next).error?.issues ?? []).toEqual([]);
        const again = found(outingSchema.parse(JSON.parse(JSON.stringify(next)))).findings;
        for (const { key } of accepted)
          expect(again.find((one) => one.key === key)?.accepted, `${key} stays accepted`).not.toBeNull();
      }),
      runs(12),
    );
  });

  it(
    'is offered only repairs that settle their cause and open no other hole',
    () => {
      fc.assert(
        fc.property(anyOuting, (outing) => {
          const { findings } = judge(outing);
          const before = loud(findings);
          for (const one of findings)
            for (const repair of one.repairs) {
              const repaired = applyRepair(outing, repair, now);
              const told = found(repaired).findings;
              const after = loud(told);
              const what = `${one.key}: ${sayRepair(repair)}`;
              // Of a Stop or a Mind a Note may be left; a Note is gone.
              expect(
                told.some(({ key, level }) => key === one.key && (level !== 'note' || one.level === 'note')),
                what,
              ).toBe(false);
              for (const [key, next] of after) {
                // What is only added has not been placed yet: that is told and settled next.
                const unplaced =
                  ['add-items', 'swap-item', 'together'].includes(repair.do) &&
                  ruleOf(next.facts.code).aboutPlacement;
                // What is told ashore is put right last.
                if (unplaced || next.station === 'leave-word') continue;
                const was = before.get(key);
                expect(was, `${what} brings ${key}`).toBeDefined();
                if (next.level === 'stop') expect(was?.level, `${what} makes a Stop of ${key}`).toBe('stop');
              }
            }
        }),
        runs(8),
      );
    },
    often(240_000),
  );

  it(
    'is proposed a loadout that leaves no need less met, of owned and serviceable things, and a shopping list within its budget',
    () => {
      fc.assert(
        fc.property(anyOuting, fc.integer({ min: 0, max: 600 }), (outing, euro) => {
          const proposal = propose(outing, references, noAnswers, now);
          const taken = proposal.add.reduce(
            (next, { itemId, quantity }) => withItem(next, itemId, quantity),
            outing,
          );
          const after = new Map(found(taken).needs.map((need) => [need.id, need]));
          for (const need of found(outing).needs)
            // What comes aboard is rolled to the water as well.
            if (need.met && need.id !== 'carry')
              expect(after.get(need.id)?.met ?? true, `${need.id} was met`).toBe(true);
          const missing = new Set(proposal.missing.map(({ needId }) => needId));
          // Nothing that was proposed brings a Stop or a Mind of its own.
          const [was, is] = [loud(found(outing).findings), loud(found(taken).findings)];
          const brought = [...is]
            .filter(([key, { facts }]) => !was.has(key) && !ofTheWhole.has(facts.code))
            .map(([key]) => key);
          expect(brought).toEqual([]);
          for (const need of after.values())
            if (!need.met && need.level !== 'could')
              expect(missing.has(need.id), `${need.id} is said to be missing`).toBe(true);
          for (const { itemId, quantity } of proposal.add) {
            const item = references.items.find(({ id }) => id === itemId);
            expect(item?.condition).toBe('good');
            expect(quantity).toBeLessThanOrEqual(item?.quantity ?? 0);
          }
          const bought = purchases(proposal.missing, euro).filter(({ within }) => within);
          expect(bought.reduce((sum, one) => sum + one.euro, 0)).toBeLessThanOrEqual(euro);
        }),
        runs(8),
      );
    },
    often(240_000),
  );
});
