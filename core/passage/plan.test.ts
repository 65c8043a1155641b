import { describe, expect, it } from 'vitest';
import { dayOf } from '../environment/day';
import { demo } from '../demo/demo';
import { assess } from '../judgement/assess';
import { hoursOf } from '../exposures/exposures';
import { applyRepair } from '../editing/repair';
import { movedTo, withHours } from '../editing/hours';
import type { Outing } from '../documents/outing';
import { lookUp } from '../documents/references';
import { clockAt, shiftClock, minutesOf } from '../units/time';
import { noAnswers } from '../walkround/answers';
import { marksOn, planOf, whatIfs } from './plan';
import { routeOf } from './route';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready, , late, cod] = outings as [Outing, Outing, Outing, Outing];
const plan = (outing: Outing) => assess(outing, references, noAnswers, now).exposures.plan;
const codes = (outing: Outing) =>
  assess(outing, references, noAnswers, now)
    .findings.filter((one) => one.level !== 'note')
    .map((one) => `${one.level} ${one.facts.code}`);
const brief = (outing: Outing, change: Partial<Outing['brief']>): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});
const weather = (outing: Outing, change: Partial<Outing['conditions']['hours'][number]>): Outing => ({
  ...outing,
  conditions: {
    ...outing.conditions,
    hours: outing.conditions.hours.map((hour) => ({ ...hour, ...change })),
  },
});

describe('the way', () => {
  it('goes launch, points, place, landing, and is cut where the race begins and ends', () => {
    const route = routeOf(ready.brief.route, lookUp(ready, references));
    expect(route?.out.map((leg) => leg.name)).toEqual([
      'Gannet Slip to the grey buoy',
      'the grey buoy to the Long Grey',
    ]);
    const through = route?.out[1];
    expect(through?.hazards.map((hazard) => hazard.id)).toEqual(['race']);
    expect(through?.pieces.map((piece) => piece.streamFactor)).toContain(2.6);
    const cut = through?.pieces.reduce((sum, piece) => sum + piece.distanceM, 0);
    expect(cut).toBeCloseTo(through?.distanceM ?? 0, 6);
  });
  it('is not known while a place stands on its launch', () => {
    const looked = lookUp(ready, references);
    expect(
      routeOf(
        { out: [], home: [] },
        {
          ...looked,
          area: looked.area &&
            looked.launch && { ...looked.area, latDeg: looked.launch.latDeg, lonDeg: looked.launch.lonDeg },
        },
      ),
    ).toBeNull();
  });
});

describe('the plan of a day', () => {
  it('of the demo: through the race at slack, shut two and a half hours later', () => {
    expect(plan(ready)?.spotAt).not.toBeNull();
    expect(codes(ready)).toEqual([]);
    expect(plan(late)?.spotAt).toBeNull();
    expect(codes(late)).toContain('stop cannot-hold');
  });
  it('arrives leg after leg, turns at the latest, and is in by the deadline', () => {
    const p = plan(ready);
    const legs = p?.legs ?? [];
    legs.slice(1).forEach((leg, i) => {
      if (leg.way === legs[i]?.way) expect(leg.startsAt).toBe(legs[i]?.arrivesAt);
    });
    expect(p?.turnAt).toBe(p?.latestTurn);
    expect(p?.homeAt ?? Infinity).toBeLessThanOrEqual(p?.deadline ?? 0);
  });
  it('with a headwind home turns earlier than without', () => {
    const still = plan(weather(cod, { windMps: 0, gustMps: 0 }));
    expect(plan(cod)?.latestTurn ?? 0).toBeLessThan((still?.latestTurn ?? 0) - 5 * 60_000);
    const span = hoursOf(cod.brief, lookUp(cod, references));
    const looked = lookUp(cod, references);
    if (!span || !looked.water) throw new Error('no span');
    const day = dayOf(cod.conditions, looked.water, span.from, span.to);
    const what = whatIfs(planOf(cod.brief, looked, day, span) ?? never(), looked, day);
    expect(what?.windier.latestTurn ?? 0).toBeLessThan(plan(cod)?.latestTurn ?? 0);
    expect(what?.latestTurnSpare ?? 0).toBeLessThan(plan(cod)?.latestTurn ?? 0);
  });
  it('says how far the nearest landing is in minutes, longer with the second propulsion', () => {
    const p = plan(cod);
    expect(p?.minutesToLandingSpare ?? 0).toBeGreaterThan(p?.minutesToLanding ?? Infinity);
  });
});
function never(): never {
  throw new Error('no plan');
}

describe('findings of the day and the way', () => {
  it('late: a Note after the deadline, a Mind shortly before the hour to call, a Stop after it, repaired by turning in time', () => {
    const turn = (minutes: number) => brief(cod, { turnAt: shiftClock(cod.brief.homeAt, minutes) });
    const lateAt = (outing: Outing, callAfterMin: number) =>
      assess(
        brief(outing, { alarmAt: shiftClock(cod.brief.homeAt, callAfterMin) }),
        references,
        noAnswers,
        now,
      ).findings.find((one) => one.facts.code === 'home-late');
    const first = lateAt(turn(-40), 180);
    expect(first?.level).toBe('note');
    if (first?.facts.code !== 'home-late') throw new Error('It is late.');
    const lateMin = minutesOf(first.facts.homeAt) - minutesOf(cod.brief.homeAt);
    expect(lateAt(turn(-40), lateMin + 14)?.level).toBe('mind');
    expect(lateAt(turn(-40), lateMin + 17)?.level).toBe('note');
    expect(lateAt(turn(-40), lateMin - 2)?.level).toBe('stop');
    const finding = assess(turn(-40), references, noAnswers, now).findings.find(
      (one) => one.facts.code === 'home-late',
    );
    const repair = finding?.repairs.find((one) => one.do === 'set-turn');
    expect(repair).toBeDefined();
    if (repair) expect(lateAt(applyRepair(turn(-40), repair, now), 180)).toBeUndefined();
  });
  it('a written turn with little in hand: a Note under half an hour, a Mind under ten minutes, nothing where none is written', () => {
    const zone = lookUp(cod, references).water?.timeZone ?? 'utc';
    const latest = plan(brief(cod, { turnAt: null }))?.latestTurn;
    if (latest == null) throw new Error('There is a latest turn.');
    const tight = (before: number | null) =>
      assess(
        brief(cod, { turnAt: before === null ? null : shiftClock(clockAt(latest, zone), -before) }),
        references,
        noAnswers,
        now,
      ).findings.find((one) => one.facts.code === 'turn-tight');
    expect([40, 20, 5].map((before) => tight(before)?.level)).toEqual([undefined, 'note', 'mind']);
    expect(tight(null)).toBeUndefined();
    expect(tight(5)?.repairs.map((one) => one.do)).toContain('set-turn');
  });
  it('no time to fish, when the hours are too short for the way', () => {
    const short = brief(cod, {
      homeAt: shiftClock(cod.brief.launchAt, 60),
      alarmAt: shiftClock(cod.brief.launchAt, 120),
    });
    expect(codes(short)).toContain('stop turn-passed');
    const finding = assess(short, references, noAnswers, now).findings.find(
      (one) => one.facts.code === 'turn-passed',
    );
    expect(finding?.repairs.map((one) => one.do)).toContain('set-area');
  });
  it('fog on both sides of its limits', () => {
    expect(codes(weather(ready, { visibilityM: 1000 }))).toEqual([]);
    expect(codes(weather(ready, { visibilityM: 999 })), 'in fog a second sound signal').toEqual([
      'mind need-unmet',
    ]);
    expect(codes(weather(ready, { visibilityM: 499 }))).toEqual(['mind fog', 'mind need-unmet']);
    expect(codes(weather(ready, { visibilityM: 199 }))).toEqual(['stop fog', 'mind need-unmet']);
  });
  it('wind against stream, where the fetch is long', () => {
    const onshore = weather(ready, { windMps: 7, gustMps: 9, windFromDeg: 318 });
    expect(codes(onshore), 'little fetch from the land').not.toContain('mind wind-against-stream');
    const late2 = weather(brief(ready, { launchAt: shiftClock(ready.brief.launchAt, 120) }), {
      windMps: 7,
      gustMps: 9,
      windFromDeg: 318,
      waveM: 0.5,
    });
    expect(codes(late2)).toContain('mind wind-against-stream');
  });
  it('a bar that the tide leaves dry when one lands', () => {
    const steps = brief(ready, {
      landingId: 'kelp-steps',
      homeAt: shiftClock(ready.brief.launchAt, 480),
      alarmAt: shiftClock(ready.brief.launchAt, 540),
    });
    expect(codes(steps).some((code) => code.endsWith('bar-low'))).toBe(true);
    const early = brief(ready, {
      landingId: 'kelp-steps',
      homeAt: shiftClock(ready.brief.launchAt, 200),
      alarmAt: shiftClock(ready.brief.launchAt, 260),
    });
    expect(codes(early).some((code) => code.endsWith('bar-low'))).toBe(false);
  });
  it('a second propulsion too slow to be in before help is called', () => {
    const weak = {
      ...references,
      craft: references.craft.map((one) => ({ ...one, spareMps: 0.5, sparePowerW: 10 })),
    };
    const found = assess(cod, weak, noAnswers, now).findings.find(
      (one) => one.facts.code === 'second-too-slow',
    );
    expect(found?.level).toBe('mind');
  });
});

describe('hours', () => {
  it('moved together keep their distances', () => {
    const moved = movedTo(
      brief(ready, { turnAt: '09:00' }).brief,
      '2026-05-17',
      shiftClock(ready.brief.launchAt, 60),
    );
    expect(moved).toMatchObject({
      date: '2026-05-17',
      turnAt: '10:00',
      homeAt: shiftClock(ready.brief.homeAt, 60),
      alarmAt: shiftClock(ready.brief.alarmAt, 60),
    });
  });
  it('changed one by one keep the hour to call as long after home, and drop a turn that no longer lies between', () => {
    const b = brief(ready, { turnAt: '09:00' }).brief;
    const shorter = withHours(b, b.launchAt, '08:30');
    expect(shorter.turnAt).toBeNull();
    expect(minutesOf(shorter.alarmAt) - minutesOf(shorter.homeAt)).toBe(60);
    expect(withHours(b, b.launchAt, '11:00').turnAt).toBe('09:00');
  });
  it('of the demo are real: the launch is before sunrise', () => {
    expect(clockAt(plan(ready)?.launchAt ?? 0, 'UTC-1')).toBe(ready.brief.launchAt);
  });
});

describe('a way on to another landing', () => {
  const float = outings.find(({ id }) => id === 'venn-overnight') as Outing;
  const looked = lookUp(float, references);
  const floated = plan(float) as NonNullable<ReturnType<typeof plan>>;
  const day = () =>
    dayOf(
      float.conditions,
      looked.water as NonNullable<typeof looked.water>,
      floated.launchAt,
      floated.deadline,
    );
  it('has a latest time at each mark, each later than the one before, and the last within the deadline', () => {
    const marks = marksOn(floated, looked, day());
    expect(marks.map(({ name }) => name)).toEqual(['the alders', 'the mill bend']);
    const times = marks.map(({ latestAt }) => latestAt ?? 0);
    expect(times[0]).toBeGreaterThanOrEqual(floated.latestTurn ?? Infinity);
    expect(times[1]).toBeGreaterThan(times[0] ?? Infinity);
    expect(times[1]).toBeLessThan(floated.deadline);
  });
  it('names the landings along it before each mark', () => {
    const at = floated.route.home[0] as (typeof floated.route.home)[number];
    const water = looked.water as NonNullable<typeof looked.water>;
    const beach = {
      ...(water.launches[0] as (typeof water.launches)[number]),
      id: 'beach',
      name: 'the beach',
      latDeg: (at.from.latDeg + at.to.latDeg) / 2,
      lonDeg: (at.from.lonDeg + at.to.lonDeg) / 2,
    };
    const there = { ...looked, water: { ...water, launches: [...water.launches, beach] } };
    expect(marksOn(floated, there, day()).map(({ waysOut }) => waysOut.includes('the beach'))).toEqual([
      true,
      false,
    ]);
  });
  it('asks what stands where one launched, and says nothing of it where one comes back', () => {
    const told = (outing: Outing) =>
      assess(outing, references, noAnswers, now).findings.some(({ facts }) => facts.code === 'shuttle');
    expect(told(float)).toBe(true);
    expect(told(brief(float, { landingId: float.brief.launchId }))).toBe(false);
  });
});
