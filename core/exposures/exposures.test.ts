import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { withItem } from '../editing/edit';
import type { Outing } from '../documents/outing';
import { lookUp } from '../documents/references';
import { HOUR_MS, instantOf, isoAt } from '../units/time';
import { exposures, hoursWithin } from './exposures';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready, dusk] = outings as [Outing, Outing];
const of = (outing: Outing) => exposures(outing, lookUp(outing, references));
const withBrief = (outing: Outing, change: Partial<Outing['brief']>): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});

describe('exposures', () => {
  it('carry the figures of brief, water, boat and day', () => {
    const e = of(ready);
    expect(e).toMatchObject({
      solo: true,
      maxDistanceFromLandingM: 2400,
      waterC: 13,
      keep: 2,
      drive: 'pedal',
      inflatable: false,
      remote: false,
      nights: 0,
    });
    expect(e.hoursAfloat).toBeCloseTo(380 / 60, 6);
    expect(e.minutesToLandingSpare).toBeGreaterThan(e.minutesToLanding ?? Infinity);
    expect(e.immersion?.class).toBe('cold');
    expect(e.largest).toMatchObject({ species: { id: 'pollack' }, lengthM: 0.8 });
    expect(e.keepKg).toBeCloseTo(2 * 1.5, 6);
  });
  it('count darkness before sunrise in the morning and after sunset in the evening', () => {
    expect(of(ready).darkMinutes).toBeGreaterThan(15);
    expect(of(ready).darkSpans).toHaveLength(1);
    expect(of(dusk).darkMinutes).toBeGreaterThan(60);
    expect(of(dusk).darkSpans[0]?.to).toBe(dusk.brief.homeAt);
  });
  it('leave the dark hours of a night ashore out', () => {
    const river = withBrief(ready, {
      waterId: 'river-venn',
      launchId: 'upper-bridge',
      areaId: 'two-rapids',
      launchAt: '09:00',
      homeAt: '15:00',
      nights: 1,
    });
    expect(of(river)).toMatchObject({ darkMinutes: 0, rapids: 2, river: true, nights: 1, remote: true });
    expect(of(river).hoursAfloat).toBe(30);
    expect(of(river).campH).toBeGreaterThan(6);
    expect(of(withBrief(river, { nights: 0, homeAt: '15:00' })).campH).toBe(0);
    // A gale at midnight blows over the tents; the cold of it is felt all the same.
    const gale = (clock: string) => ({
      ...river,
      conditions: {
        ...river.conditions,
        hours: river.conditions.hours.map((hour) =>
          hour.at.slice(11, 13) === clock
            ? { ...hour, windMps: 18, airC: -4 }
            : { ...hour, windMps: 3, airC: 12 },
        ),
      },
    });
    expect(of(gale('01')).wind?.value).toBe(3);
    expect(of(gale('01')).airMinC).toBe(-4);
    expect(of(gale('11')).wind?.value).toBe(18);
    expect(of(gale('01')).spot.every(({ windMps }) => windMps < 4)).toBe(true);
  });
  it('take peaks only from the hours afloat', () => {
    const at = instantOf(ready.brief.date, ready.brief.homeAt, 'UTC-1') ?? 0;
    const later = {
      ...ready.conditions.hours[0],
      at: isoAt(at + 3 * HOUR_MS, 'UTC-1'),
      windMps: 20,
    } as Outing['conditions']['hours'][number];
    const calm = of(ready).wind;
    expect(
      of({ ...ready, conditions: { ...ready.conditions, hours: [...ready.conditions.hours, later] } }).wind,
    ).toEqual(calm);
    expect(hoursWithin([later], at - HOUR_MS, at)).toEqual([]);
  });
  it('take breakers from launch and landing, and only where there is surf', () => {
    expect(of(ready).breakerM).toBeGreaterThan(0.3);
    expect(of(dusk).breakerM).toBeNull();
    const hours = (change: Partial<Outing['conditions']['hours'][number]>) =>
      of({
        ...ready,
        conditions: {
          ...ready.conditions,
          hours: ready.conditions.hours.map((one) => ({ ...one, ...change })),
        },
      });
    expect(hours({ swellM: null, windMps: null, waveM: null }).breakerM, 'nobody said').toBeNull();
    expect(hours({ swellM: 0, windMps: 0 }).breakerM, 'calm').toBe(0);
    // A beach with a wind sea has breakers too, higher the longer the fetch behind it.
    const onshore = hours({ swellM: 0, windMps: 8, windFromDeg: 180 }).breakerM ?? 0;
    expect(onshore).toBeGreaterThan(0.5);
    expect(hours({ swellM: 0, windMps: 8, windFromDeg: 0 }).breakerM).toBeLessThan(onshore / 2);
    expect(hours({ swellM: 0.4, windMps: 8, windFromDeg: 180 }).breakerM).toBeGreaterThan(onshore);
  });
  it('are null or nothing where nothing is known', () => {
    const blank = withBrief(
      { ...ready, conditions: { source: 'typed', from: '', takenAt: null, waterC: null, hours: [] } },
      { waterId: null, areaId: null, craftId: null, targets: [] },
    );
    expect(of(blank)).toMatchObject({
      launchAt: null,
      hoursAfloat: null,
      maxDistanceFromLandingM: null,
      maxDistanceFromShoreM: null,
      offshore: null,
      waterC: null,
      immersion: null,
      wind: null,
      largest: null,
      drive: null,
      darkMinutes: 0,
    });
    expect(of(withBrief(ready, { launchAt: '12:00', homeAt: '12:00' })).hoursAfloat).toBeNull();
    expect(of(withBrief(ready, { launchAt: '12:00', homeAt: '11:00', nights: 0 })).hoursAfloat).toBe(23);
  });
  it('count what the loadout brings: rods, watts, big hooks', () => {
    expect(of(ready).rods).toBe(2);
    expect(of(withItem(ready, 'jig-rod', 0)).rods).toBe(1);
    expect(of(ready).electricsW).toBeGreaterThan(0);
    expect(of(withItem(ready, 'sounder', 0)).electricsW).toBe(0);
  });
});
