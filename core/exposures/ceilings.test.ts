import { describe, expect, it } from 'vitest';
import { type Reach, ceilings, reachOf, type stepWords } from './ceilings';

const calm = { solo: false, waterC: 18 };
const angler = (experience: Reach['experience'], reentryPractised = true) => ({
  experience,
  reentryPractised,
  swims: 'well' as const,
});
const rigid = { hull: 'rigid' } as const;
const name = (reach: Reach) => reach.ceiling.name;

describe('the water within reach', () => {
  it('rises with experience', () => {
    expect(
      (['new', 'some', 'experienced'] as const).map((one) => name(reachOf(angler(one), rigid, calm))),
    ).toEqual(['sheltered water', 'moderate water', 'advanced water']);
  });
  it.each<[keyof typeof stepWords, Reach]>([
    ['practice', reachOf(angler('experienced', false), rigid, calm)],
    ['no-swimmer', reachOf({ ...angler('experienced'), swims: 'not' }, rigid, calm)],
    ['inflatable', reachOf(angler('experienced'), { hull: 'inflatable' }, calm)],
    ['alone-cold', reachOf(angler('experienced'), rigid, { solo: true, waterC: 9.9 })],
  ])('is a step lower for %s, and says so', (step, reach) => {
    expect(name(reach)).toBe('moderate water');
    expect(reach.steps).toEqual([step]);
  });
  it('is lowered for cold only alone, and only under ten degrees', () => {
    expect(reachOf(angler('some'), rigid, { solo: false, waterC: 4 }).steps).toEqual([]);
    expect(reachOf(angler('some'), rigid, { solo: true, waterC: 10 }).steps).toEqual([]);
    expect(reachOf(angler('some'), rigid, { solo: true, waterC: null }).steps).toEqual([]);
  });
  it('never falls below calm water, and off the shore is a step lower', () => {
    const least = reachOf(angler('new'), { hull: 'inflatable' }, { solo: true, waterC: 4 });
    expect(name(least)).toBe('calm water');
    expect(least.offshore.name).toBe('calm water');
    expect(reachOf(angler('some'), rigid, calm).offshore.name).toBe('sheltered water');
  });
});

describe('the table of ceilings', () => {
  it('grows in every figure from calm to advanced', () => {
    for (const key of ['windMps', 'gustMps', 'waveM', 'breakerM', 'streamMps', 'shoreM'] as const)
      for (const [i, one] of ceilings.slice(1).entries())
        expect(one[key]).toBeGreaterThan(ceilings[i]?.[key] ?? 0);
  });
});
