import { forms } from '../documents/forms';
import type { Water } from '../documents/water';
import type { Rescue } from '../documents/word';
import { EMPTY_CHART } from '../documents/chart';
import { HOUR_MS, type Instant } from '../units/time';
import { demoCharts, placeAt } from './charts';
import { noStreamTable } from '../environment/waterTide';
import { peakingAt } from './tides';

const plain: Pick<
  Water,
  | 'note'
  | 'noteOn'
  | 'invented'
  | 'authorityNote'
  | 'format'
  | 'timeZone'
  | 'hazards'
  | 'tide'
  | 'stream'
  | 'chart'
  | 'rapids'
  | 'branches'
  | 'positioned'
  | 'assumed'
  | 'getOut'
  | 'answered'
> = {
  note: '',
  noteOn: null,
  invented: true,
  authorityNote: '',
  format: forms.waters,
  timeZone: 'UTC-1',
  hazards: [],
  tide: null,
  stream: null,
  chart: EMPTY_CHART,
  rapids: 0,
  branches: false,
  positioned: true,
  assumed: [],
  getOut: 'by the chart',
  answered: [],
};

/** Invented services, one for each stretch: the real one of a water is written by whoever goes there. */
const rescues = {
  ostrey: { name: 'Sample Coast Watch, Ostrey', phone: '000 555 0911', radio: 'channel 00 (sample)' },
  inland: { name: 'Sample Water Rescue', phone: '000 555 0912', radio: '' },
  cays: { name: 'Sample Cays Patrol', phone: '000 555 0913', radio: 'channel 00 (sample)' },
} as const satisfies Record<string, Rescue>;

const ostrey = { latDeg: 47.5, lonDeg: -18.5 };
const hallow = { latDeg: 48.2, lonDeg: -17.9 };
export const venn = { latDeg: 47.9, lonDeg: -17.2 };
const lantern = { latDeg: 19.4, lonDeg: -42.6 };
const saltern = { latDeg: 47.1, lonDeg: -19.3 };

/**
 * Every place here is invented; the positions lie in open ocean, so that sun and season are plausible and
 * nothing else is there.
 * @param dawn the launch of the outing off the Long Grey: its tide is made for that morning
 * @param nine nine o'clock of the same morning: the stream off Saltern is hardest then, and slack at noon
 */
export function demoWaters(dawn: Instant, nine: Instant): readonly Water[] {
  const charts = demoCharts();
  const mere = {
    type: 'fresh' as const,
    setting: 'still' as const,
    ...hallow,
    launches: [
      {
        id: 'boathouse',
        name: 'the boathouse',
        ...placeAt(hallow, 0, 0),
        surf: false,
        barM: null,
        carryM: 60,
        surface: 'grass' as const,
      },
    ],
    areas: [
      {
        id: 'dam-wall',
        name: 'the dam wall',
        ...placeAt(hallow, 860, -260),
        distanceM: 900,
        shoreM: null,
        depthM: 18,
        bottom: 'mud' as const,
      },
      {
        id: 'reed-bays',
        name: 'the reed bays',
        ...placeAt(hallow, -340, -90),
        distanceM: 350,
        shoreM: null,
        depthM: 3,
        bottom: 'weed' as const,
      },
    ],
    fetchM: [120, 150, 260, 500, 1000, 1500, 1300, 1100, 1000, 1100, 1500, 2100, 2400, 1900, 700, 250],
    chart: charts.hallow,
    traffic: 'little' as const,
    coverage: 'good' as const,
    rescue: rescues.inland,
    rulePackId: 'hallow-rules',
  };
  return [
    {
      ...plain,
      id: 'ostrey-sound',
      name: 'Ostrey Sound',
      type: 'salt',
      setting: 'coast',
      ...ostrey,
      launches: [
        {
          id: 'gannet-slip',
          name: 'Gannet Slip',
          ...placeAt(ostrey, 0, 0),
          surf: true,
          barM: 0.2,
          carryM: 140,
          surface: 'firm',
        },
        {
          id: 'kelp-steps',
          name: 'Kelp Steps',
          ...placeAt(ostrey, 2600, 100),
          surf: false,
          barM: -1.1,
          carryM: 40,
          surface: 'firm',
        },
      ],
      areas: [
        {
          id: 'long-grey',
          name: 'the Long Grey',
          ...placeAt(ostrey, 1900, -2180),
          distanceM: 2400,
          shoreM: null,
          depthM: 32,
          bottom: 'rock',
        },
        {
          id: 'inner-sound',
          name: 'the inner sound',
          ...placeAt(ostrey, 420, -560),
          distanceM: 700,
          shoreM: null,
          depthM: 12,
          bottom: 'weed',
        },
      ],
      hazards: [
        {
          id: 'race',
          name: 'the race',
          kind: 'race',
          ...placeAt(ostrey, 1450, -1600),
          radiusM: 480,
          streamFactor: 2.6,
        },
        {
          id: 'steps-rocks',
          name: 'rocks off the Steps',
          kind: 'rocks',
          ...placeAt(ostrey, 2350, -180),
          radiusM: 120,
          streamFactor: 1,
        },
      ],
      fetchM: [
        300, 400, 900, 2500, 9000, 40000, 120000, 250000, 300000, 250000, 160000, 80000, 12000, 2500, 600,
        350,
      ],
      // High water two hours after that dawn; the stream turns toward the shore as the ebb begins and is
      // hardest in mid-ebb.
      tide: {
        turns: [],
        meanM: 2.4,
        constituents: peakingAt({ M2: 1.35, S2: 0.45, N2: 0.25, K1: 0.07, O1: 0.06 }, dawn + 2 * HOUR_MS),
      },
      stream: {
        ...noStreamTable,
        towardDeg: 318,
        steadyMps: 0,
        constituents: peakingAt({ M2: 0.55, S2: 0.18 }, dawn + 3.7 * HOUR_MS),
      },
      chart: charts.ostrey,
      traffic: 'some',
      coverage: 'good',
      rescue: rescues.ostrey,
      rulePackId: 'ostrey-rules',
      note: 'A race runs off the Long Grey in the middle of the ebb.',
      noteOn: '2026-04-19',
    },
    { ...plain, id: 'hallow-mere', name: 'Hallow Mere', ...mere },
    {
      ...plain,
      id: 'river-venn',
      name: 'River Venn',
      type: 'fresh',
      setting: 'river',
      getOut: 'anywhere along the banks',
      ...venn,
      launches: [
        {
          id: 'upper-bridge',
          name: 'the upper bridge',
          ...placeAt(venn, 0, 0),
          surf: false,
          barM: null,
          carryM: 90,
          surface: 'shingle',
        },
        {
          id: 'mill-meadow',
          name: 'the mill meadow',
          ...placeAt(venn, 3300, -130),
          surf: false,
          barM: null,
          carryM: 120,
          surface: 'grass',
        },
      ],
      areas: [
        {
          id: 'two-rapids',
          name: 'the reach below both rapids',
          ...placeAt(venn, 1950, 120),
          distanceM: 1800,
          shoreM: null,
          depthM: 2,
          bottom: 'gravel',
        },
      ],
      hazards: [
        {
          id: 'upper-rapid',
          name: 'the upper rapid',
          kind: 'rapids',
          ...placeAt(venn, 620, -95),
          radiusM: 90,
          streamFactor: 1.6,
        },
        {
          id: 'lower-rapid',
          name: 'the lower rapid',
          kind: 'rapids',
          ...placeAt(venn, 1300, 20),
          radiusM: 90,
          streamFactor: 1.8,
        },
        {
          id: 'alders',
          name: 'alders over the water',
          kind: 'branches',
          ...placeAt(venn, 2400, 130),
          radiusM: 160,
          streamFactor: 1,
        },
      ],
      fetchM: Array.from({ length: 16 }, () => 200),
      stream: { ...noStreamTable, towardDeg: 90, steadyMps: 0.6, constituents: [] },
      chart: charts.venn,
      traffic: 'little',
      coverage: 'patchy',
      rapids: 2,
      branches: true,
      rescue: rescues.inland,
      rulePackId: 'venn-rules',
    },
    {
      ...plain,
      id: 'lantern-cays',
      name: 'Lantern Cays',
      type: 'salt',
      setting: 'flats',
      timeZone: 'UTC-3',
      ...lantern,
      launches: [
        {
          id: 'lamp-landing',
          name: 'Lamp Landing',
          ...placeAt(lantern, 0, 0),
          surf: false,
          barM: 0.4,
          carryM: 30,
          surface: 'soft sand',
        },
      ],
      areas: [
        {
          id: 'white-flat',
          name: 'the white flat',
          ...placeAt(lantern, 620, 1000),
          distanceM: 1200,
          shoreM: null,
          depthM: 1,
          bottom: 'sand',
        },
      ],
      fetchM: [
        2500, 2000, 1500, 6000, 40000, 60000, 2000, 800, 500, 700, 1500, 8000, 30000, 20000, 9000, 4000,
      ],
      tide: {
        meanM: 0.6,
        turns: [],
        constituents: peakingAt({ M2: 0.28, S2: 0.06, K1: 0.12, O1: 0.09 }, dawn + 5 * HOUR_MS),
      },
      stream: {
        ...noStreamTable,
        towardDeg: 60,
        steadyMps: 0,
        constituents: peakingAt({ M2: 0.25, S2: 0.05 }, dawn + 3 * HOUR_MS),
      },
      chart: charts.lantern,
      traffic: 'little',
      coverage: 'none',
      rescue: rescues.cays,
      rulePackId: 'lantern-rules',
    },
    {
      ...plain,
      id: 'saltern-beach',
      name: 'Saltern Beach',
      type: 'salt',
      setting: 'open',
      ...saltern,
      launches: [
        {
          id: 'saltern-gap',
          name: 'Saltern Gap',
          ...placeAt(saltern, 0, 0),
          surf: true,
          barM: null,
          carryM: 220,
          surface: 'soft sand',
        },
      ],
      areas: [
        {
          id: 'wreck',
          name: 'the wreck',
          ...placeAt(saltern, 740, 3480),
          distanceM: 3560,
          shoreM: null,
          depthM: 40,
          bottom: 'sand',
        },
        {
          id: 'deep-hole',
          name: 'the deep hole',
          ...placeAt(saltern, 1600, 2300),
          distanceM: 2800,
          shoreM: null,
          depthM: 28,
          bottom: 'sand',
        },
        {
          id: 'first-bank',
          name: 'the first bank',
          ...placeAt(saltern, 200, 1250),
          distanceM: 1270,
          shoreM: null,
          depthM: 12,
          bottom: 'sand',
        },
      ],
      hazards: [
        {
          id: 'hole-set',
          name: 'the set over the hole',
          kind: 'race',
          ...placeAt(saltern, 1600, 2300),
          radiusM: 220,
          streamFactor: 2.5,
        },
      ],
      fetchM: [
        300000, 250000, 200000, 90000, 20000, 4000, 1500, 700, 500, 700, 1500, 5000, 30000, 120000, 250000,
        300000,
      ],
      tide: {
        meanM: 2.1,
        turns: [],
        constituents: peakingAt({ M2: 1.2, S2: 0.4, K1: 0.08 }, dawn + 3 * HOUR_MS),
      },
      stream: {
        ...noStreamTable,
        towardDeg: 95,
        steadyMps: 0,
        constituents: peakingAt({ M2: 0.35, S2: 0.1 }, nine),
      },
      chart: charts.saltern,
      traffic: 'some',
      coverage: 'patchy',
      rescue: rescues.ostrey,
      rulePackId: 'saltern-rules',
    },
    {
      ...plain,
      id: 'mere-cup',
      name: 'Mere Cup, on Hallow Mere',
      ...mere,
      traffic: 'busy',
      note: 'Catch, photograph, release. The starting bell is at the boathouse.',
      noteOn: '2026-04-19',
    },
  ];
}

/** Invented rules, checked so many days before the first start that one of them is stale. */
