import { describe, expect, it } from 'vitest';
import { demoCraft } from '../demo/boats';
import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import { SALT_WATER } from '../units/constants';
import { type HullPreset, type Stance, hullPresets } from '../vocabulary/boat';
import { presetFigures, usualShape } from './build';
import { coarseHull as coarse } from './hulls';
import { standingIn, standingOf, vanishingDeg } from './stability';
import { breakerSlopeDeg, drawnRange, slopeDeg, steadinessOf } from './steadiness';

const [wagtail] = demoCraft;
if (!wagtail) throw new Error('The demo has no boat.');
const bare = {
  ...wagtail,
  floats: null,
  fittings: [],
  setUps: [],
  setUpId: null,
  seat: null,
  inclined: null,
  ownVcgM: null,
  zones: null,
};

interface Drawn {
  lengthM: number;
  beamM: number;
  massKg: number;
  drive?: Craft['drive'];
  hull?: Craft['hull'];
  preset?: HullPreset;
  floats?: 'out' | 'folded';
}
function drawn({ preset, floats, ...change }: Drawn): Craft {
  const craft = { ...bare, deck: 'sit-on-top', hull: 'rigid', drive: 'paddle', ...change } as const;
  const shape = { ...usualShape(craft), ...(preset ? presetFigures(preset) : {}) };
  const beside = {
    massKg: 3,
    lengthM: 1,
    beamM: 0.2,
    depthM: 0.2,
    outM: 0.7,
    foldedM: 0.4,
    alongM: 1.5,
    overM: 0.05,
  };
  return floats
    ? {
        ...craft,
        shape,
        floats: beside,
        setUpId: 'so',
        setUps: [{ id: 'so', name: '', fittingIds: [], seat: 'high', floats, stow: null }],
      }
    : { ...craft, shape };
}
/** Waves of a usual steepness, by their height. */
const sea = (heightM: number, craft: Craft) =>
  slopeDeg({ steepness: 0.04, windSeaS: Math.sqrt(heightM / 0.04 / 1.56) }, craft.beamM);
const load = (yM: number) => ({ massKg: 25, xM: 1.6, yM, zM: 0.25 });
function share(
  craft: Craft,
  stance: Stance,
  waveDeg = 0,
  experience: Angler['experience'] = 'experienced',
): number {
  const angler = { massKg: 85, heightM: 1.8, experience };
  const gear = { massKg: 25, xM: craft.lengthM * 0.42, yM: 0, zM: 0.25 };
  const standing = standingIn(craft, angler, stance, gear, SALT_WATER);
  if (!standing || standing === 'sinks') throw new Error('It floats.');
  return steadinessOf(standing, angler, stance, waveDeg).share;
}
const pedal = drawn({ lengthM: 4, beamM: 0.88, massKg: 40, drive: 'pedal' });
const flat = drawn({ lengthM: 3.8, beamM: 0.95, massKg: 38, preset: 'flat' });
const rounded = drawn({ lengthM: 3.8, beamM: 0.8, massKg: 30, preset: 'rounded' });

describe('what a hull bears, by the verdicts of practice', () => {
  const verdict = (value: number) =>
    value <= 0.5 ? '' : value <= 0.7 ? 'note' : value <= 1 ? 'mind' : 'stop';
  it.each<[string, number, string]>([
    ...hullPresets
      .filter((preset) => preset !== 'three tubes')
      .map((preset): [string, number, string] => [
        `${preset}, seated low in the calm`,
        share(drawn({ lengthM: 3.8, beamM: 0.8, massKg: 30, preset }), 'seated low'),
        '',
      ]),
    [
      'an inflated one, seated low in the calm',
      share(
        drawn({ lengthM: 3.8, beamM: 0.9, massKg: 18, hull: 'inflatable', preset: 'three tubes' }),
        'seated low',
      ),
      '',
    ],
    ['a pedal hull, low, in waves of 0.5 m', share(pedal, 'seated low', sea(0.5, pedal)), ''],
    ['a pedal hull, high, on flat water', share(pedal, 'seated high'), ''],
    ['a pedal hull, high, in breakers of 0.5 m', share(pedal, 'seated high', breakerSlopeDeg(0.5)), 'mind'],
    [
      'a paddle hull of 0.78 m, low, in waves of 0.3 m',
      share(drawn({ lengthM: 3.8, beamM: 0.78, massKg: 28 }), 'seated low', 7.2),
      '',
    ],
    ['a flat hull of 0.95 m, standing in the calm', share(flat, 'standing'), ''],
    ['the same for who is new', share(flat, 'standing', 0, 'new'), 'note'],
    ['the same in waves of 0.3 m', share(flat, 'standing', sea(0.3, flat)), 'mind'],
    ['a rounded hull of 0.80 m, standing', share(rounded, 'standing'), 'stop'],
    [
      'a narrow hull, floats out, high, in waves of 0.5 m',
      share(drawn({ lengthM: 4.5, beamM: 0.62, massKg: 25, floats: 'out' }), 'seated high', 7.2),
      '',
    ],
    [
      'a narrow hull, floats folded, high, in breakers',
      share(
        drawn({ lengthM: 4.5, beamM: 0.62, massKg: 25, floats: 'folded' }),
        'seated high',
        breakerSlopeDeg(0.5),
      ),
      'stop',
    ],
  ])('%s', (_, value, wanted) => {
    expect(verdict(value)).toBe(wanted);
  });
  it('at its best is steadier than it is drawn, where nobody measured it', () => {
    const range = drawnRange(rounded);
    if (!range) throw new Error('It is only drawn.');
    const seated = [range.steadiest, range.middle, rounded].map((craft) => share(craft, 'seated low'));
    expect(seated, 'the steadiest first').toEqual(seated.toSorted((a, b) => a - b));
    expect(share(range.steadiest, 'standing'), 'no drawing makes it a boat to stand in').toBe(Infinity);
    expect(drawnRange({ ...rounded, inclined: { on: '2026-05-01', offDeg: 0.3, readings: 4 } })).toBeNull();
  });
  it('is held level against a load a little off the middle, and not against one far off', () => {
    const standing = standingIn(flat, { massKg: 85, heightM: 1.8 }, 'standing', load(0), SALT_WATER);
    const at = (offM: number) => {
      if (!standing || standing === 'sinks') throw new Error('It floats.');
      return steadinessOf({ ...standing, offM }, { massKg: 85, experience: 'experienced' }, 'standing', 0)
        .share;
    };
    expect(at(0.01)).toBe(at(0));
    expect(at(0.04)).toBeGreaterThan(at(0));
  });
  it('bears less with its weight off the middle, and nothing where nothing rights it', () => {
    const load = { massKg: 140, xM: 1.6, yM: 0, zM: 0.35 };
    const at = (yM: number, zM = 0.35) => standingOf(hull, { ...load, yM, zM }, SALT_WATER);
    const hull = coarse(rounded);
    const [even, off, high] = [at(0), at(0.01), at(0, 1.2)];
    if (!even || !off || !high || even === 'sinks' || off === 'sinks' || high === 'sinks')
      throw new Error('It floats.');
    expect(vanishingDeg(off)).toBeLessThan(vanishingDeg(even));
    expect(vanishingDeg(high)).toBe(0);
  });
});

describe('the slope of the water', () => {
  it('is that of the waves where they are long for the beam, less where they are short, and that of breakers where they break', () => {
    expect(slopeDeg({ steepness: 0.04, windSeaS: 4 }, 0.8)).toBeCloseTo(7.2, 6);
    expect(slopeDeg({ steepness: 0.04, windSeaS: 1 }, 0.8)).toBeLessThan(3);
    expect(slopeDeg({ steepness: 0, windSeaS: 0 }, 0.8)).toBe(0);
    expect(slopeDeg({ steepness: null, windSeaS: 4 }, 0.8)).toBeCloseTo(breakerSlopeDeg(1), 6);
    expect(breakerSlopeDeg(0.25)).toBeCloseTo(breakerSlopeDeg(2) / 2, 6);
  });
});
