import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_CHART } from '../documents/chart';
import { waterSchema, withConfirmed } from '../documents/water';
import { distanceBetween, placeAt } from '../environment/geo';
import { OPEN_SEA_M } from '../environment/fetch';
import { hoursFromSlack } from '../environment/waterTide';
import { withShore } from './shore';
import { type WaterAnswers, copyWater, fetchFor, markUses, waterFrom } from './waterFrom';

let n = 0;
const id = () => `id-${(n += 1)}`;
const here = { latDeg: 51.2, lonDeg: -20.3 };
const plain: WaterAnswers = {
  name: 'Quiet Bay',
  type: 'salt',
  setting: 'coast',
  timeZone: 'UTC-1',
  launch: { name: 'The slip', at: here, surf: false },
  marks: [],
  chart: EMPTY_CHART,
  openFrom: [],
  acrossM: null,
  turns: [],
  streamHours: [],
  steady: null,
};

describe('a water from a handful of answers', () => {
  it('with a name, its kind and one position is whole, and has a place to fish off its launch', () => {
    const water = waterFrom(plain, id);
    expect(waterSchema.safeParse(water).error?.issues).toBeUndefined();
    expect(water).toMatchObject({
      tide: null,
      stream: null,
      getOut: 'by the chart',
      areas: [{ name: 'off The slip', distanceM: 300 }],
      latDeg: here.latDeg,
      invented: false,
    });
  });
  it('keeps what decides there as it was told, rapids of a river alone', () => {
    const told = { getOut: 'launches only', coverage: 'none', depthM: 3.5, rapids: 2 } as const;
    const water = waterFrom({ ...plain, ...told, setting: 'river', type: 'fresh' }, id);
    expect(waterSchema.safeParse(water).error?.issues).toBeUndefined();
    expect(water).toMatchObject({ getOut: 'launches only', coverage: 'none', rapids: 2 });
    expect(water.areas[0]?.depthM).toBe(3.5);
    expect(waterFrom({ ...plain, ...told }, id).rapids).toBe(0);
    const bare = waterFrom({ ...plain, setting: 'still', getOut: null, depthM: null }, id);
    expect(bare).toMatchObject({ getOut: 'anywhere along the banks', coverage: 'not known', rapids: 0 });
  });
  it('of a river runs as was told, and stands nowhere written where nothing was', () => {
    const river = { ...plain, setting: 'river', type: 'fresh' } as const;
    const water = waterFrom({ ...river, steady: { mps: 0.8, towardDeg: 135 } }, id);
    expect(waterSchema.safeParse(water).error?.issues).toBeUndefined();
    expect(water.stream).toMatchObject({ towardDeg: 135, steadyMps: 0.8, hours: [], constituents: [] });
    expect(waterFrom(river, id).stream).toBeNull();
    // Whatever way it is to a landing: half way across is the farthest from the banks.
    const marks = [{ name: 'The bend', use: 'place to fish', at: placeAt(here, 135, 2400) }] as const;
    const shores = (more: Partial<WaterAnswers>) =>
      waterFrom({ ...plain, marks, ...more }, id).areas[0]?.shoreM;
    expect([shores(river), shores({ ...river, acrossM: 40 })]).toEqual([150, 20]);
    expect([shores({ setting: 'still', acrossM: 600 }), shores({ setting: 'still' }), shores({})]).toEqual([
      300,
      null,
      null,
    ]);
  });
  it('takes each mark for what it is said to be, and works out how far out each place lies', () => {
    const marks = [
      { name: 'Reef edge', use: 'place to fish', at: placeAt(here, 90, 1234) },
      { name: 'Far mark', use: 'place to fish', at: placeAt(here, 0, 9000) },
      { name: 'North beach', use: 'another launch', at: placeAt(here, 0, 8000) },
      { name: 'The teeth', use: 'hazard', at: placeAt(here, 180, 500) },
      { name: 'Home', use: 'left out', at: placeAt(here, 270, 5000) },
    ] as const;
    const water = waterFrom({ ...plain, marks }, id);
    expect(water.areas.map(({ name, distanceM }) => [name, distanceM])).toEqual([
      ['Reef edge', 1240],
      ['Far mark', 1000],
    ]);
    expect(water.launches.map(({ name }) => name)).toEqual(['The slip', 'North beach']);
    expect(water.hazards.map(({ name }) => name)).toEqual(['The teeth']);
    expect(distanceBetween(water.areas[0] ?? here, marks[0].at)).toBeLessThan(0.2);
  });
  it('has the fetch of its drawn shore; else open sea where it is told open; else what is usual', () => {
    expect(fetchFor({ ...plain, openFrom: [4, 5] }, here).map((m) => m === OPEN_SEA_M)).toEqual(
      Array.from({ length: 16 }, (_, i) => i === 4 || i === 5),
    );
    expect(new Set(fetchFor({ ...plain, setting: 'still', acrossM: 900 }, here))).toEqual(new Set([900]));
    const chart = withShore(EMPTY_CHART, [placeAt(here, 315, 2000), placeAt(here, 45, 2000)], false);
    const [north, , , , , , , , south] = fetchFor({ ...plain, chart, openFrom: [] }, here);
    expect(north).toBeGreaterThan(1400);
    expect(north).toBeLessThan(1450);
    expect(south).toBe(OPEN_SEA_M);
    expect(withShore(EMPTY_CHART, [here], false)).toEqual(EMPTY_CHART);
  });
  it('lies as long, as wide and along what was told: the most open water is its length, the least its width', () => {
    const lake = { ...plain, setting: 'still', acrossM: 3200, widthM: 800, liesAlongDeg: 90 } as const;
    const fetch = fetchFor(lake, here);
    expect([fetch[0], fetch[4], fetch[8], fetch[12]]).toEqual([800, 3200, 800, 3200]);
    // 45° to its length: ab / √((b cos)² + (a sin)²), with both halves doubled.
    expect(fetch[2]).toBeCloseTo((3200 * 800) / Math.hypot(800 * Math.SQRT1_2, 3200 * Math.SQRT1_2), 0);
    expect(fetchFor({ ...lake, widthM: null }, here)).toEqual(Array.from({ length: 16 }, () => 3200));
    const marks = [{ name: 'The middle', use: 'place to fish', at: placeAt(here, 90, 1500) }] as const;
    expect(waterFrom({ ...lake, marks }, id).areas[0]?.shoreM).toBe(400);
  });
  it('has no more fetch than a lake is across, however little of its shore is drawn', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 50, max: 3000 })), {
          minLength: 2,
          maxLength: 12,
        }),
        fc.boolean(),
        (corners, closed) => {
          const points = corners.map(([bearing, metres]) => placeAt(here, bearing, metres));
          const chart = withShore(EMPTY_CHART, points, closed);
          const fetch = fetchFor({ ...plain, setting: 'still', acrossM: null, chart }, here);
          const across = Math.max(500, 2 * Math.SQRT2 * Math.max(...corners.map(([, metres]) => metres)));
          expect(Math.max(...fetch)).toBeLessThanOrEqual(across + 1);
        },
      ),
    );
  });
  it('names what was filled in and not told', () => {
    expect(waterFrom(plain, id).assumed).toEqual(['depth', 'bottom', 'carry']);
    expect(waterFrom({ ...plain, depthM: 4 }, id).assumed).toEqual(['bottom', 'carry']);
    expect(withConfirmed(waterFrom(plain, id), 'depth').assumed).toEqual(['bottom', 'carry']);
  });
  it('keeps a tide table and a stream as they were typed', () => {
    const turns = [{ at: '2026-06-01T06:00:00.000Z', heightM: 4, high: true }];
    const streamHours = hoursFromSlack({ floodEndsH: 0, floodTowardDeg: 40, springMps: 1, neapMps: 0.5 });
    expect(waterFrom({ ...plain, turns, streamHours }, id)).toMatchObject({
      tide: { turns, constituents: [] },
      stream: { towardDeg: 40, hours: streamHours, constituents: [] },
    });
  });
  it('is whole for every kind of water and any marks', () => {
    const at = fc.record({
      latDeg: fc.double({ min: -79, max: 79, noNaN: true }),
      lonDeg: fc.double({ min: -180, max: 180, noNaN: true }),
    });
    const mark = fc.record({ name: fc.constantFrom('a', 'b'), use: fc.constantFrom(...markUses), at });
    const setting = fc.constantFrom(...waterSchema.shape.setting.options);
    fc.assert(
      fc.property(setting, at, fc.array(mark, { maxLength: 6 }), (kind, place, marks) => {
        const launch = { ...plain.launch, at: place };
        return waterSchema.safeParse(waterFrom({ ...plain, setting: kind, launch, marks }, id)).success;
      }),
    );
  });
  it('is copied under a name of its own, without what was answered for it', () => {
    const water = {
      ...waterFrom(plain, id),
      answered: [{ key: 'x', reason: 'y', extent: 1, at: '2026-01-01T00:00:00Z' }],
    };
    expect(copyWater(water as never, () => 'new')).toMatchObject({
      id: 'new',
      name: 'Quiet Bay, copy',
      answered: [],
    });
  });
});
