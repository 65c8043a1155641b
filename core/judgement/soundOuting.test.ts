import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { often, runs } from '../../scripts/testRuns';
import { kinds } from '../catalog/gear/kinds';
import { speciesTable } from '../catalog/species/species';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { withItem } from '../editing/edit';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { completed } from '../provisioning/completed';
import { sayFinding } from './allRules';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];

/**
 * A kind day, on each water, for any fish that lives there, by an experienced angler: nothing but the kit is
 * asked of it.
 */
const kindDay = fc
  .record({
    water: fc.constantFrom(...references.waters),
    place: fc.nat(3),
    species: fc.nat(60),
    keep: fc.constantFrom(0, 0, 2),
    launchAt: fc.constantFrom('05:00', '09:00', '12:00'),
    hours: fc.constantFrom(3, 5),
    party: fc.constantFrom(1, 2),
    craftId: fc.constantFrom('grey-wagtail', 'dunlin', 'bladder-wrack'),
    techniques: fc.constantFrom<Outing['brief']['techniques'][]>(
      ['casting'],
      ['jigging', 'casting'],
      ['trolling'],
      ['drifting'],
      ['live bait'],
      ['fly'],
    ),
    waterC: fc.constantFrom(8, 13, 19, 26),
    airC: fc.constantFrom(9, 18, 30),
  })
  .map(
    ({ water, place, species, keep, launchAt, hours, party, craftId, techniques, waterC, airC }): Outing => {
      const fish = Object.values(speciesTable).filter(
        ({ habitats }) => habitats.includes('fresh') === (water.type === 'fresh'),
      );
      const [launch] = water.launches;
      const area = water.areas[place % water.areas.length];
      const [hour = 0] = launchAt.split(':').map(Number);
      const clock = (h: number) => `${String(h).padStart(2, '0')}:00`;
      return {
        ...ready,
        brief: {
          ...ready.brief,
          waterId: water.id,
          launchId: launch?.id ?? null,
          landingId: launch?.id ?? null,
          areaId: area?.id ?? null,
          targets: [fish[species % fish.length]?.id ?? 'perch'],
          route: { out: [], home: [] },
          keep,
          launchAt,
          turnAt: null,
          homeAt: clock(hour + hours),
          alarmAt: clock(hour + hours + 2),
          party,
          craftId,
          techniques,
          standing: false,
          trip: 'estuary',
        },
        conditions: {
          ...ready.conditions,
          waterC,
          hours: ready.conditions.hours.map((one) => ({
            ...one,
            windMps: 1.5,
            gustMps: 2.5,
            waveM: 0.1,
            swellM: 0.1,
            swellPeriodS: 6,
            thunderPct: 0,
            visibilityM: 15_000,
            airC,
          })),
        },
        company: [],
        rigs: [],
        loadout: [],
        accepted: [],
        log: null,
      };
    },
  );

const loud = (outing: Outing, refs: References) =>
  assess(outing, refs, noAnswers, now, { withRepairs: false }).findings.filter(
    ({ level }) => level !== 'note',
  );

/** What speaks of the day, the law, the boat's load or the rigs, not of what was bought for it. */
const notOfTheKit =
  /^(far-for-reach|closed-season|keep-over-rule|rule-pack-stale|no-rule-pack|spares-few|stern-load|overload|cannot-hold|turn-passed|home-|second-too-slow|bar-low|surf-|stream-|waves-|wind-|way-over|anchor-forbidden|rods-over-rule|bait-forbidden|size-|first-outings|battery-short|paddle-size|sinks|trim|heel|freeboard|unsteady|standing-unsteady|word-)/;

describe('a sound outing', () => {
  it(
    'brings no Stop and no Mind by its kit, when every need is met by means that fit',
    () => {
      fc.assert(
        fc.property(kindDay, (day) => {
          const { outing, refs } = completed(day, references, now);
          const said = loud(outing, refs)
            .filter(({ key }) => !notOfTheKit.test(key))
            .map(({ facts, level }) => `${level} ${sayFinding(facts).title}: ${sayFinding(facts).text}`);
          expect(said).toEqual([]);
        }),
        runs(8),
      );
    },
    often(120_000),
  );
  it(
    'tells of each need, and of nothing else than needs, when what meets it is left ashore',
    () => {
      fc.assert(
        fc.property(kindDay, fc.nat(1000), (day, pick) => {
          const { outing, refs } = completed(day, references, now);
          const before = assess(outing, refs, noAnswers, now, { withRepairs: false });
          const byThings = before.needs.filter(
            ({ met, level, means }) =>
              met &&
              level !== 'could' &&
              means.some((one) => one.by === 'item' && one.shortfall === null) &&
              means.every(({ by }) => by === 'item'),
          );
          const need = byThings[pick % byThings.length];
          if (!need) return;
          const ids = need.means.flatMap((one) =>
            one.by === 'item' && one.shortfall === null ? [one.itemId] : [],
          );
          const without = ids.reduce((next, id) => withItem(next, id, 0), outing);
          const after = assess(without, refs, noAnswers, now, { withRepairs: false });
          const gone = after.needs.find(({ id }) => id === need.id);
          // What is asked for only because a thing is aboard (a leash for a rod) is no longer asked for
          // without that thing.
          if (gone) expect(gone.met, need.id).toBe(false);
          const had = new Set(before.findings.map(({ key }) => key));
          const told = after.findings.filter(({ key }) => !had.has(key));
          const came = told.filter(({ level }) => level !== 'note').map(({ key }) => key);
          const touched = new Set(
            ids.flatMap((id) => {
              const item = refs.items.find((one) => one.id === id);
              return item ? kinds[item.kind].means.map((one) => `need-unmet:${one}`) : [];
            }),
          );
          if (gone?.findingLevel) expect(told.map(({ key }) => key)).toContain(`need-unmet:${need.id}`);
          expect(came.filter((key) => !touched.has(key) && !notOfTheKit.test(key))).toEqual([]);
        }),
        runs(8),
      );
    },
    often(120_000),
  );
});
