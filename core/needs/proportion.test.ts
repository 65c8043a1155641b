import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Exposures } from '../exposures/exposures';
import { seriousnessOf } from '../exposures/seriousness';
import { contextOf } from '../judgement/context';
import type { FindingLevel } from '../vocabulary/levels';
import type { NeedId } from '../vocabulary/needs';
import { noAnswers } from '../walkround/answers';
import { catalogue } from './catalogue';
import type { RaiseContext, Shortfall } from './need';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings;
if (!ready || !references.angler) throw new Error('The demo data has no outing and no angler.');
const { exposures, places, brief } = contextOf(ready, references, noAnswers, now);
const angler = { ...references.angler, experience: 'experienced', swims: 'well' } as const;

const evenly = {
  nightMinutes: 0,
  darkMinutes: 0,
  darkSpans: [],
  daylightLeftMin: 300,
  nights: 0,
  drive: 'paddle',
} as const;
const calm = {
  hs: { value: 0, at: '' },
  breakerM: null,
  rapids: 0,
  river: false,
  stream: null,
  offshore: null,
} as const;
const sea = (hs: number) => ({ hs: { value: hs, at: '' } });
const flow = (mps: number) => ({ river: true, stream: { value: mps, at: '' } });
const night = {
  nightMinutes: 180,
  darkMinutes: 190,
  darkSpans: [{ from: '18:30', to: '22:00' }],
  daylightLeftMin: null,
};
type Situation = Partial<Exposures> & { outM: number; awayM?: number; hours: number };
/**
 * The situations of the table of verdicts: pond, river, bay, evening, coast, off the coast, far out, night,
 * surf, rapids, a creek.
 */
const situations: Record<string, Situation> = {
  P: { outM: 60, hours: 2.5, solo: true, waterC: 18, airMinC: 18 },
  R: { outM: 15, awayM: 5000, hours: 4, party: 2, waterC: 12, airMinC: 14, remote: true, ...flow(0.6) },
  B: { outM: 300, hours: 3, party: 3, waterC: 18, airMinC: 20, drive: 'pedal', ...sea(0.1) },
  E: {
    outM: 100,
    hours: 1.5,
    solo: true,
    waterC: 15,
    airMinC: 15,
    ...sea(0.1),
    daylightLeftMin: null,
    darkMinutes: 3,
    darkSpans: [{ from: '18:22', to: '18:25' }],
  },
  C: { outM: 1200, hours: 5, solo: true, waterC: 13, airMinC: 14, ...sea(0.4) },
  O: { outM: 2500, hours: 6, party: 2, waterC: 16, airMinC: 18, remote: true, ...sea(0.5) },
  F: { outM: 4000, hours: 7, solo: true, waterC: 12, airMinC: 13, remote: true, ...sea(0.5) },
  N: { outM: 500, hours: 3.5, solo: true, waterC: 14, airMinC: 10, traffic: 'some', ...sea(0.2), ...night },
  S: { outM: 700, hours: 4, party: 2, waterC: 16, airMinC: 18, breakerM: 0.6, ...sea(0.4) },
  Q: {
    outM: 15,
    awayM: 7000,
    hours: 29,
    party: 3,
    waterC: 11,
    airMinC: 6,
    remote: true,
    rapids: 2,
    nights: 1,
    ...flow(0.9),
  },
  L: { outM: 50, awayM: 3000, hours: 4, solo: true, waterC: 19, airMinC: 20, ...flow(0.1) },
};
function contextIn({ outM, awayM = outM, hours, ...change }: Situation): RaiseContext {
  const day: Exposures = {
    ...exposures,
    ...{
      traffic: 'little',
      remote: false,
      solo: false,
      party: 1,
      swellM: null,
      visibility: null,
      inflatable: false,
    },
    ...{ wind: { value: 3, at: '' }, feelsMinC: change.airMinC ?? null, feelsMaxC: 20, sunHighestDeg: 50 },
    ...evenly,
    ...calm,
    ...change,
    hoursAfloat: hours,
    maxDistanceFromShoreM: outM,
    maxDistanceFromLandingM: awayM,
    rods: 1,
  };
  return {
    exposures: { ...day, seriousness: seriousnessOf(day, angler) },
    brief: { ...brief, techniques: ['casting'], nights: day.nights },
    places: {
      ...places,
      angler: { ...angler, massKg: 112 },
      area: places.area && { ...places.area, depthM: 6, bottom: 'sand' },
      craft: places.craft && { ...places.craft, deck: 'sit-on-top' },
    },
  };
}
const signs: Record<string, FindingLevel | null> = { '·': null, n: 'note', m: 'mind', S: 'stop' };
const columns = Object.keys(situations);

describe('what an unmet need is worth, by situation', () => {
  it.each<[NeedId, string]>([
    ['buoyancy', 'S S S S S S S S S S S'],
    ['sound-signal', 'n n n n m m m m m m n'],
    ['call-for-help', 'n n n m S m S S n n n'],
    ['be-seen-day', '· · n · m m m · n · ·'],
    ['be-seen-night', '· · · n · · · S · m ·'],
    ['distress-signal', '· · · · n m m m · n ·'],
    ['float-plan', 'n n n m S m S S m m n'],
    ['propulsion', 'S S S S S S S S S S S'],
    // In the bay it is a drive and no paddle at all: louder than the table, as a drive is one thing that can fail.
    ['second-propulsion', '· n m n m m S m m m n'],
    ['paddle-retained', '· · n n m m m m m · n'],
    ['take-water-out', '· · n · m m S m m n ·'],
    ['stop-leak', '· · · · n n m n · m n'],
    ['throw-line', '· n · · · · · · · m ·'],
    ['tow-line', '· · n · n m n · n n ·'],
    ['get-back-in', 'n n n m S m S S m m n'],
    ['cut-line', 'n m n n m m m m m m n'],
    ['navigate', '· · · · n m m m · · ·'],
    ['hour', '· · · · n n m n · · ·'],
    ['first-aid', '· · n · n n m n n m n'],
    ['immersion-clothing', '· n · n S m S S m S ·'],
    ['head', '· · · · · · · · m S ·'],
    ['spare-clothes', '· n · · n n m n · m n'],
    ['hands', '· n · · n · n n · n ·'],
    ['food', '· · · · n n m n · m ·'],
    ['rod-retention', '· n n n n n n n m m n'],
    ['keys', 'n n n n n n n n n n n'],
    ['shelter', '· · · · · · · · · m ·'],
    ['insects', '· · · · · · · · · n ·'],
  ])('%s', (id, wanted) => {
    const told = columns.map(
      (column) => catalogue[id].raise(contextIn(situations[column] as Situation))?.unmet ?? null,
    );
    const names = Object.entries(signs);
    expect(told.map((level) => names.find(([, one]) => one === level)?.[0]).join(' ')).toBe(wanted);
  });

  // What is there and falls short is less than nothing at all.
  const partly = (id: NeedId, column: string, shortfalls: readonly Shortfall[], counted = 0) => {
    const context = contextIn(situations[column] as Situation);
    const raise = catalogue[id].raise(context);
    const { unmet = null, want = 1 } = raise ?? {};
    return catalogue[id].partly?.({ counted, want, unmet, shortfalls }, context) ?? null;
  };
  it('buoyancy of 50 and of 70 newtons', () => {
    const short = (have: number): Shortfall[] => [
      { code: 'too-little', attribute: 'newtons', have, want: 100 },
    ];
    for (const column of ['C', 'O', 'F', 'N', 'S', 'Q'])
      expect(partly('buoyancy', column, short(50))).toBe('mind');
    expect(partly('buoyancy', 'F', short(70))).toBe('note');
    expect(partly('buoyancy', 'F', short(30))).toBe('stop');
    for (const column of ['P', 'R', 'B', 'E', 'L'])
      expect(
        catalogue.buoyancy.raise(contextIn(situations[column] as Situation))?.reasons,
        `50 N is enough in ${column}`,
      ).toContainEqual({ because: 'newtons', newtons: 50 });
  });
  it('a wetsuit of 3 mm', () => {
    const thin: Shortfall[] = [{ code: 'too-thin', mm: 3, fromC: 15, wantMm: 5 }];
    expect(['C', 'F', 'N', 'Q'].map((column) => partly('immersion-clothing', column, thin))).toEqual([
      ...['mind', 'mind', 'note', 'mind'],
    ]);
  });
  it('a second way to call, where one has one', () => {
    const second = (column: string) => partly('call-for-help', column, [], 1);
    expect(columns.map(second)).toEqual([
      null,
      null,
      null,
      null,
      'mind',
      null,
      'stop',
      'mind',
      null,
      null,
      null,
    ]);
  });
});

describe('the measure of seriousness', () => {
  it('never turns one metre or one degree into more than a small part of a step', () => {
    const total = (change: Partial<Exposures> & { outM: number }) =>
      contextIn({ hours: 4, waterC: 14, ...change }).exposures.seriousness.total;
    for (let outM = 10; outM < 8000; outM += Math.max(1, outM / 200))
      expect(Math.abs(total({ outM: outM * 1.01 }) - total({ outM }))).toBeLessThan(0.05);
    for (let waterC = 0; waterC < 25; waterC += 0.5) {
      const by = total({ outM: 400, waterC }) - total({ outM: 400, waterC: waterC + 0.5 });
      expect(by).toBeGreaterThanOrEqual(0);
      expect(by).toBeLessThan(0.2);
    }
  });
  it('grows by being alone, cold, in the dark, in surf, in fog far out, off a shore that the wind leaves, and for a novice', () => {
    const of = (
      change: Partial<Exposures>,
      who: Pick<typeof angler, 'swims'> & { experience: 'new' | 'experienced' } = angler,
    ) => seriousnessOf({ ...contextIn({ outM: 900, hours: 4, waterC: 16 }).exposures, ...change }, who).total;
    const base = of({});
    const more: Partial<Exposures>[] = [
      { solo: true },
      { waterC: 10 },
      night,
      { breakerM: 0.8 },
      { visibility: { value: 400, at: '' } },
      { offshore: { value: 5, at: '' } },
      { rapids: 1 },
    ];
    for (const change of more) expect(of(change), JSON.stringify(change)).toBeGreaterThan(base + 0.4);
    expect(of({}, { swims: 'well', experience: 'new' })).toBe(base + 1);
    expect(of({ maxDistanceFromShoreM: null }), 'a distance that nobody knows is some').toBeGreaterThan(
      of({ maxDistanceFromShoreM: 60 }),
    );
  });
});
