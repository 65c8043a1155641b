import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { noAnswers } from '../walkround/answers';
import { answeredBy } from './answeredBy';
import { assess } from './assess';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready, mere] = outings as [Outing, Outing];
const answers = (outing: Outing, refs: References = references) =>
  assess(outing, refs, noAnswers, now).findings.map(({ key, facts }) => [key, answeredBy(facts)] as const);
const of = (key: string, outing: Outing, refs?: References) =>
  answers(outing, refs).find(([name]) => name === key)?.[1];

describe('a field outside the outing that answers a finding', () => {
  it('is the profile for one’s own limits and for practice, and nothing for a ceiling', () => {
    const hours = ready.conditions.hours.map((hour) => ({
      ...hour,
      windMps: 9,
      windFromDeg: 180,
      waveM: 0.2,
    }));
    const windy = { ...ready, conditions: { ...ready.conditions, hours } };
    expect(of('wind-over-limit', windy)).toMatchObject({ by: 'limits' });
    const storm = {
      ...windy,
      conditions: { ...windy.conditions, hours: hours.map((hour) => ({ ...hour, windMps: 20 })) },
    };
    expect(of('wind-over-limit', storm)).toBeNull();
    const unpractised = {
      ...references,
      angler: references.angler && { ...references.angler, reentryPractised: false },
    };
    expect(of('need-unmet:get-back-in', ready, unpractised)).toMatchObject({ by: 'profile' });
  });
  it('is the boat for a load that nobody has rated, the water for where it lies', () => {
    const laden = (assumed: ('ratedLoadKg' | 'hatches')[]): References => ({
      ...references,
      craft: references.craft.map((one) => ({ ...one, ratedLoadKg: 100, assumed })),
    });
    expect(of('overload', ready, laden(['hatches']))).toBeNull();
    expect(of('overload', ready, laden(['ratedLoadKg', 'hatches']))).toMatchObject({ by: 'boat' });
    const unknown = references.waters.map((water) => ({ ...water, positioned: false }));
    expect(of('position-unknown', ready, { ...references, waters: unknown })).toMatchObject({ by: 'water' });
  });
  it('is the water for who listens to a radio and for coverage', () => {
    const alone: Outing = {
      ...mere,
      loadout: [{ itemId: 'radio', quantity: 1, outsideContainer: false, carriedBy: null }],
    };
    expect(of('need-unmet:call-for-help', alone)).toMatchObject({
      by: 'water',
      what: 'Who listens, and on which channel',
    });
    const heard = references.waters.map((water) => ({
      ...water,
      rescue: { ...water.rescue, radio: 'channel 00' },
    }));
    expect(of('need-unmet:call-for-help', alone, { ...references, waters: heard }) ?? null).toBeNull();
  });
});
