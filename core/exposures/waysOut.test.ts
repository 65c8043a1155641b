import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import { exposures } from './exposures';
import { sayWayOut } from './sayWaysOut';
import { closesAt, whereAt, waysOut } from './waysOut';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const ready = outings.find(({ id }) => id === 'pollack-long-grey');
if (!ready) throw new Error('The demo data has no such outing.');

const of = (outing: Outing, refs: References = references, breakersUpToM = 10) => {
  const looked = lookUp(outing, refs);
  const { plan } = exposures(outing, looked);
  if (!plan) throw new Error('No plan.');
  return { plan, looked, list: waysOut(plan, looked, outing.conditions, breakersUpToM) };
};
const water = (change: (launch: References['waters'][number]['launches'][number]) => object): References => ({
  ...references,
  waters: references.waters.map((one) => ({
    ...one,
    launches: one.launches.map((launch) => ({ ...launch, ...change(launch) })),
  })),
});
const becalmed: Outing = {
  ...ready,
  conditions: {
    ...ready.conditions,
    hours: ready.conditions.hours.map((hour) => ({ ...hour, windMps: 0, swellM: 0 })),
  },
};

describe('where one gets out, hour by hour', () => {
  it('starts at the launch, goes out by the way and is at the place between', () => {
    const { plan, looked, list } = of(ready);
    expect(list[0]?.ways[0]).toMatchObject({ minutes: 0, shut: null });
    expect(list[0]?.ways[0]?.launch.id).toBe(ready.brief.launchId);
    const middle = ((plan.spotAt ?? 0) + (plan.turnAt ?? 0)) / 2;
    expect(whereAt(plan, middle, looked).where).toBe(looked.area?.name);
    for (const { ways } of list) expect(ways.length).toBe(looked.water?.launches.length);
  });
  it('takes as long as the distance at one’s own pace where neither wind nor stream is', () => {
    const still = {
      ...references,
      waters: references.waters.map((one) => ({
        ...one,
        stream: { ...one.stream, steadyMps: 0, constituents: [], turns: [] },
      })),
    } as References;
    const { list, looked } = of(becalmed, still);
    const pace = looked.craft?.cruiseMps ?? NaN;
    for (const { ways } of list)
      for (const { minutes, distanceM } of ways)
        if (minutes !== null && minutes > 1) expect(minutes).toBeCloseTo(distanceM / pace / 60, 0);
  });
  it('is sorted by time, what is shut last', () => {
    for (const { ways } of of(ready).list) {
      const minutes = ways.map((way) => way.minutes ?? Infinity);
      expect(minutes).toEqual(minutes.toSorted((a, b) => a - b));
    }
  });
  it('is shut by surf over one’s own limit, by a bar that is dry, and says so', () => {
    const open = of(
      ready,
      water(() => ({ surf: true })),
      10,
    );
    const shut = of(
      ready,
      water(() => ({ surf: true })),
      0.01,
    );
    const away = ({ distanceM }: { distanceM: number }) => distanceM > 1;
    expect(open.list.some(({ ways }) => ways.some((way) => way.shut?.why === 'surf'))).toBe(false);
    const surf = shut.list.flatMap(({ ways }) => ways.filter(away))[0];
    expect(['surf', 'over land']).toContain(surf?.shut?.why);
    const dry = of(
      ready,
      water(() => ({ barM: -10 })),
    ).list.flatMap(({ ways }) => ways.filter(away));
    expect(dry.every((way) => way.minutes === null)).toBe(true);
    expect(dry.map(sayWayOut).join()).toMatch(/dry/);
    expect(closesAt(shut.list, 'nothing')).toBeNull();
  });
  it('closes from the hour on after which it is never open again', () => {
    const { list } = of(ready);
    const [first] = list;
    if (!first) throw new Error('No hours.');
    const { launch } = first.ways[0] ?? {};
    if (!launch) throw new Error('No launch.');
    const shutLater = list.map((one, i) => ({
      ...one,
      ways: one.ways.map((way) =>
        way.launch.id === launch.id && i >= 3
          ? { ...way, minutes: null, shut: { why: 'over land' as const } }
          : way,
      ),
    }));
    expect(closesAt(shutLater, launch.id)).toBe(list[3]?.at);
    expect(closesAt(list.slice(0, 1), launch.id)).toBeNull();
  });
});
