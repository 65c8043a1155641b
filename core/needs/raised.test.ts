import { noStreamTable } from '../environment/waterTide';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { contextOf } from '../judgement/context';
import { whyNeed } from './sayNeeds';
import { withItem } from '../editing/edit';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import type { Water } from '../documents/water';
import { noAnswers } from '../walkround/answers';
import { type NeedId, needIds } from '../vocabulary/needs';
import type { FindingLevel } from '../vocabulary/levels';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];

/**
 * Two people by day, close in on still water in warm air and water, under paddle, without tackle or rules: as
 * little as there is.
 */
const mere: Partial<Outing['brief']> = {
  targets: [],
  keep: 0,
  waterId: 'hallow-mere',
  launchId: 'boathouse',
  areaId: 'reed-bays',
  route: { out: [], home: [] },
  launchAt: '09:00',
  homeAt: '11:00',
  alarmAt: '12:00',
  party: 2,
  craftId: 'dunlin',
  trip: 'shakedown',
  techniques: [],
};
interface Case {
  brief?: Partial<Outing['brief']>;
  waterC?: number;
  hour?: Partial<Outing['conditions']['hours'][number]>;
  water?: Partial<Water>;
  aboard?: readonly string[];
  angler?: Partial<NonNullable<References['angler']>>;
}
function outing({ brief, waterC = 24, hour, aboard = [] }: Case): Outing {
  const base: Outing = {
    ...ready,
    brief: { ...ready.brief, ...mere, ...brief },
    conditions: {
      ...ready.conditions,
      waterC,
      hours: ready.conditions.hours.map((one) => ({
        ...one,
        windMps: 2,
        gustMps: 3,
        airC: 18,
        swellM: null,
        swellPeriodS: null,
        ...hour,
      })),
    },
    loadout: [],
  };
  return aboard.reduce((next, id) => withItem(next, id, 1), base);
}
function world({ water, angler }: Case): References {
  return {
    ...references,
    angler: references.angler && { ...references.angler, ...angler },
    waters: references.waters.map((one) => ({
      ...one,
      rulePackId: null,
      carryM: 0,
      ...(one.id === 'hallow-mere' ? water : {}),
    })),
  };
}
const raised = (change: Case) => contextOf(outing(change), world(change), noAnswers, now).needs;
/** Those whose worth goes by how serious it is stand in the test of proportion. */
const seen = new Set<NeedId>(['motor-power', 're-entry-aid', 'food', 'wind-rain']);
const need = (id: NeedId, change: Case) => {
  seen.add(id);
  return raised(change).find((one) => one.id === id) ?? null;
};

const sea = { waterId: 'ostrey-sound', launchId: 'gannet-slip', areaId: 'long-grey' } as const;
const river = { waterId: 'river-venn', launchId: 'upper-bridge', areaId: 'two-rapids' } as const;
const fish = { targets: ['perch' as const], trip: 'still-water' as const, techniques: ['casting' as const] };
const launchCarry = (carryM: number) => ({
  launches:
    references.waters
      .find((one) => one.id === 'hallow-mere')
      ?.launches.map((launch) => ({ ...launch, carryM })) ?? [],
});
const area = (change: Partial<Water['areas'][number]>) => ({
  areas:
    references.waters
      .find((one) => one.id === 'hallow-mere')
      ?.areas.map((one) => (one.id === 'reed-bays' ? { ...one, ...change } : one)) ?? [],
});
const needsSounder: Case['angler'] = references.angler
  ? { schools: { ...references.angler.schools, sounder: 'needed' } }
  : {};
const stream = (steadyMps: number): Case => ({
  brief: { ...fish, techniques: ['anchored bait'] },
  water: { stream: { ...noStreamTable, towardDeg: 90, steadyMps, constituents: [] } },
});

describe('the quietest outing there is', () => {
  it('raises only what every outing does', () => {
    for (const one of raised({})) seen.add(one.id);
    expect(
      raised({})
        .map((one) => one.id)
        .toSorted(),
    ).toEqual(
      [
        'buoyancy',
        'call-for-help',
        'cut-line',
        'feet',
        'first-aid',
        'float-plan',
        'get-back-in',
        'keys',
        'on-vehicle',
        'paddle-retained',
        'plugs',
        'propulsion',
        'second-propulsion',
        'sound-signal',
        'spare-clothes',
        'stop-leak',
        'sun',
        'tow-line',
        'water',
      ].toSorted(),
    );
  });
});

describe('each need is raised by what page and practice say, and not before', () => {
  it.each<[NeedId, string, Case, FindingLevel | null, Case | null]>([
    ['be-seen-day', 'many boats', { water: { traffic: 'busy' } }, 'note', { water: { traffic: 'little' } }],
    ['be-seen-day', 'swell over half a metre', { hour: { swellM: 0.6 } }, 'note', { hour: { swellM: 0.5 } }],
    ['be-seen-night', 'darkness', { brief: { launchAt: '03:00' } }, 'mind', {}],
    ['distress-signal', 'over 1 km', { brief: sea }, 'note', { water: area({ distanceM: 3000 }) }],
    ['float-plan', 'a night out', { brief: { nights: 1 } }, 'mind', null],
    ['cut-hook', 'trebles aboard', { aboard: ['lure-box'] }, 'mind', {}],
    [
      'throw-line',
      'a river',
      { brief: { waterId: 'river-venn', launchId: 'upper-bridge', areaId: 'two-rapids' } },
      'mind',
      {},
    ],
    [
      'immersion-clothing',
      'water under 18 °C alone, by the bank',
      { waterC: 17.9, brief: { party: 1 }, water: area({ shoreM: 100 }) },
      'note',
      { waterC: 18, brief: { party: 1 }, water: area({ shoreM: 100 }) },
    ],
    ['immersion-clothing', 'water under 12 °C', { waterC: 11.9 }, 'note', { waterC: 18 }],
    [
      'immersion-clothing',
      'water under 18 °C alone',
      { waterC: 17, brief: { party: 1 }, water: area({ shoreM: 160 }) },
      'note',
      { waterC: 18, brief: { party: 1 }, water: area({ shoreM: 160 }) },
    ],
    ['head', 'breakers', { brief: sea, hour: { swellM: 0.5, swellPeriodS: 6 } }, 'mind', null],
    ['head', 'large breakers', { brief: sea, hour: { swellM: 1, swellPeriodS: 8 } }, 'stop', {}],
    ['second-propulsion', 'a pedal drive', { brief: { craftId: 'grey-wagtail' } }, 'note', null],
    ['take-water-out', 'more than 200 m out', { water: area({ shoreM: 201 }) }, 'note', null],
    ['stop-leak', 'over 1 km', { brief: sea }, 'note', null],
    ['navigate', 'a river by day, far below the put-in', { brief: { ...river, homeAt: '13:00' } }, null, {}],
    ['sun', 'a high sun', {}, 'note', { brief: { launchAt: '21:00', homeAt: '23:00', alarmAt: '23:30' } }],
    ['sun', 'a low winter sun', { brief: { date: '2026-12-15' } }, null, null],
    ['navigate', 'darkness', { brief: { launchAt: '03:00' } }, 'note', {}],
    ['navigate', 'darkness over 1 km out', { brief: { ...sea, launchAt: '03:00' } }, 'mind', {}],
    [
      'carry',
      'over 100 m to the water, alone',
      { water: launchCarry(101), brief: { party: 1 } },
      'mind',
      { water: launchCarry(100), brief: { party: 1 } },
    ],
    [
      'carry',
      'over 300 m with four hands',
      { water: launchCarry(301), brief: { party: 2 } },
      'mind',
      { water: launchCarry(300), brief: { party: 2 } },
    ],
    ['licence', 'fishing, where no rules are held', { brief: fish }, 'mind', {}],
    ['sound-signal', 'every outing', {}, 'note', null],
    ['rods', 'fishing', { brief: fish }, 'mind', {}],
    ['rod-retention', 'a rod aboard', { aboard: ['spin-rod'] }, 'note', {}],
    ['lures', 'casting', { brief: fish }, 'mind', { brief: { ...fish, techniques: ['anchored bait'] } }],
    ['bait', 'bait fishing', { brief: { ...fish, techniques: ['anchored bait'] } }, 'mind', { brief: fish }],
    ['leader', 'fishing', { brief: fish }, 'note', {}],
    ['leader', 'teeth', { brief: { ...fish, targets: ['pike'] } }, 'mind', {}],
    ['find-depth', 'jigging', { brief: { ...fish, techniques: ['jigging'] } }, null, { brief: fish }],
    ['find-depth', 'trolling', { brief: { ...fish, techniques: ['trolling'] } }, 'note', { brief: fish }],
    ['land-fish', 'fishing', { brief: fish }, 'mind', {}],
    ['unhook', 'fishing', { brief: fish }, 'mind', {}],
    ['measure', 'keeping fish', { brief: { ...fish, keep: 1 } }, 'mind', { brief: fish }],
    ['measure', 'a competition', { brief: { ...fish, trip: 'competition' } }, 'mind', { brief: fish }],
    ['dispatch', 'keeping fish', { brief: { ...fish, keep: 1 } }, 'mind', { brief: fish }],
    ['cold-store', 'keeping fish', { brief: { ...fish, keep: 1 } }, 'mind', { brief: fish }],
    ['identifier', 'a competition', { brief: { ...fish, trip: 'competition' } }, 'mind', { brief: fish }],
    ['photograph', 'a competition', { brief: { ...fish, trip: 'competition' } }, 'mind', { brief: fish }],
    ['hold-boat', 'drifting', { brief: { ...fish, techniques: ['drifting'] } }, 'mind', { brief: fish }],
    ['power', 'electrics aboard', { aboard: ['sounder'] }, 'mind', {}],
    ['spare-clothes', 'cold water and a night out', { waterC: 14, brief: { nights: 1 } }, 'mind', null],
    ['insects', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    ['shelter', 'a night out', { brief: { nights: 1 } }, 'mind', {}],
    ['sleep', 'a night out', { brief: { nights: 1 } }, 'mind', {}],
    ['cook', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    [
      'be-seen-day',
      'a swell by day, and not by night',
      { hour: { swellM: 0.6, swellPeriodS: 6 } },
      'note',
      {
        hour: { swellM: 0.6, swellPeriodS: 6 },
        brief: { launchAt: '22:30', homeAt: '02:00', alarmAt: '03:00' },
      },
    ],
    ['treat-water', 'a night out', { brief: { nights: 1 } }, 'mind', {}],
    ['treat-water', 'a night out on salt water', { brief: { ...sea, nights: 1 } }, null, {}],
    ['waste', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    ['hang-food', 'a night out', { brief: { nights: 1 } }, 'mind', {}],
    ['fire', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    ['hygiene', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    ['animals', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    ['camp-light', 'a night out', { brief: { nights: 1 } }, null, {}],
    ['camp-power', 'two nights out', { brief: { nights: 2 } }, null, { brief: { nights: 1 } }],
    ['phone-power', 'a night out', { brief: { nights: 1 } }, 'note', {}],
    ['phone-power', 'a competition', { brief: { ...fish, trip: 'competition' } }, 'mind', { brief: fish }],
    ['spare-cells', 'darkness', { brief: { launchAt: '03:00' } }, null, {}],
    ['hands', 'water under 12 °C', { waterC: 11.9 }, 'note', null],
    ['hands', 'air that feels under 3 °C', { hour: { airC: 3, windMps: 3 } }, 'mind', { hour: { airC: 8 } }],
    ['head-warm', 'water under 10 °C', { waterC: 9.9 }, 'note', { waterC: 10 }],
    [
      'warm-under',
      'a drysuit in cold water',
      { waterC: 11.9, aboard: ['drysuit'] },
      'note',
      { waterC: 11.9 },
    ],
    ['feet', 'every outing', {}, 'note', null],
    ['hour', 'over 1 km', { brief: sea }, 'note', {}],
    ['keep-air', 'an inflatable', { brief: { craftId: 'bladder-wrack' } }, 'note', {}],
    [
      'mend-drive',
      'a pedal drive over 1 km out',
      { brief: { ...sea, craftId: 'grey-wagtail' } },
      'note',
      { brief: { craftId: 'grey-wagtail' } },
    ],
    ['terminal', 'bait fishing', { brief: { ...fish, techniques: ['live bait'] } }, 'mind', { brief: fish }],
    ['rod-holders', 'trolling', { brief: { ...fish, techniques: ['trolling'] } }, 'note', { brief: fish }],
    [
      'see-into-water',
      'sight fishing',
      { brief: { ...fish, techniques: ['sight fishing'] } },
      'note',
      { brief: fish },
    ],
    ['line-clear', 'fly fishing', { brief: { ...fish, techniques: ['fly'] } }, null, { brief: fish }],
    ['bait-catching', 'live bait', { brief: { ...fish, techniques: ['live bait'] } }, null, { brief: fish }],
    ['find-depth', 'a school that needs it', { brief: fish, angler: needsSounder }, 'note', { brief: fish }],
    ['fish-care', 'releasing', { brief: fish }, null, { brief: { ...fish, keep: 1 } }],
    [
      'send-down',
      'releasing from over 10 m',
      { brief: fish, water: area({ depthM: 10.5 }) },
      'mind',
      { brief: fish, water: area({ depthM: 10 }) },
    ],
    ['ice', 'keeping fish', { brief: { ...fish, keep: 1 } }, 'mind', { brief: fish }],
    [
      'anchor-release',
      'no pole, which is only pulled out',
      stream(0.6),
      'mind',
      { ...stream(0.6), aboard: ['short-pole'] },
    ],
    ['anchor-trolley', 'anchoring in half a metre a second', stream(0.5), 'mind', stream(0.49)],
    ['anchor-release', 'anchoring in half a metre a second', stream(0.5), 'mind', stream(0.49)],
    ['stand-up', 'standing', { brief: { standing: true } }, 'note', {}],
    [
      'pole-boat',
      'standing to see fish',
      { brief: { ...fish, standing: true, techniques: ['sight fishing'] } },
      'mind',
      { brief: { ...fish, techniques: ['sight fishing'] } },
    ],
    [
      'heat',
      'air that feels over 29 °C',
      { hour: { airC: 31, humidityPct: 70 } },
      'note',
      { hour: { airC: 26 } },
    ],
    ['hot-drink', 'water under 12 °C', { waterC: 11.9 }, null, { waterC: 12 }],
    ['dry-in-vehicle', 'water under 15 °C', { waterC: 14.9 }, null, { waterC: 15 }],
  ])('%s: %s', (id, _, over, unmet, under) => {
    const found = need(id, over);
    expect(found).not.toBeNull();
    expect(found?.unmet).toBe(unmet);
    if (found) expect(whyNeed(found)).toMatch(/^[A-Z].*\.$/);
    if (under) expect(need(id, under)).toBeNull();
  });
});

describe('how much is wanted', () => {
  it.each<[NeedId, string, Case, number]>([
    ['sound-signal', 'two among many boats', { water: { traffic: 'busy' } }, 2],
    [
      'call-for-help',
      'two when alone and far out in cool water',
      { brief: { party: 1 }, water: area({ shoreM: 900, distanceM: 900 }), waterC: 14 },
      2,
    ],
    ['call-for-help', 'one when alone close in', { brief: { party: 1 }, water: area({ shoreM: 60 }) }, 1],
    ['sound-signal', 'two in fog', { hour: { visibilityM: 800 } }, 2],
    ['sun', 'a set: head, eyes, skin', {}, 3],
    ['treat-water', 'two ways', { brief: { nights: 1 } }, 2],
    ['distress-signal', 'one by day', { brief: { ...sea, launchAt: '09:00', homeAt: '12:00' } }, 1],
    [
      'distress-signal',
      'one by night and one by day',
      { brief: { ...sea, launchAt: '03:00', homeAt: '12:00' } },
      2,
    ],
    ['cut-line', 'two at anchor', { brief: { techniques: ['anchored bait'] } }, 2],
    ['paddle-retained', 'paddle and drive on a pedal boat', { brief: { craftId: 'grey-wagtail' } }, 2],
    ['rod-retention', 'one a rod', { aboard: ['spin-rod', 'jig-rod'] }, 2],
    [
      'land-fish',
      'two alone for a fish over a metre',
      { brief: { ...fish, targets: ['pike'], party: 1 } },
      2,
    ],
    ['land-fish', 'one for a smaller', { brief: { ...fish, party: 1 } }, 1],
    ['unhook', 'three for large teeth: pliers, jaw, cutter', { brief: { ...fish, targets: ['zander'] } }, 3],
    ['unhook', 'one for a small mouth', { brief: fish }, 1],
    ['shelter', 'a place for each of the party', { brief: { nights: 1, party: 3 } }, 3],
    ['measure', 'two in a competition', { brief: { ...fish, trip: 'competition' } }, 2],
  ])('%s: %s', (id, _, change, want) => expect(need(id, change)?.want).toBe(want));
});

describe('the table of what raises needs', () => {
  it('proves every need here or among those of every outing', () => {
    const text = [...seen];
    expect(needIds.filter((id) => !text.includes(id))).toEqual([]);
  });
});
