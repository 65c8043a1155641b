import { distanceBetween, placeAt } from '#core/environment/geo';
import { describe, expect, it } from 'vitest';
import { type StreamDraft, type WaterDraft, answersOf, withDraft } from './waterDraft';

const told = (more: Partial<WaterDraft> = {}): WaterDraft =>
  withDraft({ name: 'The pool', launch: { latDeg: 47, lonDeg: -18 }, ...more });
const stream = (more: Partial<StreamDraft> = {}): StreamDraft => ({
  springMps: 1,
  neapMps: null,
  floodTowardDeg: 90,
  floodEndsH: null,
  hours: [],
  ...more,
});
/** The rates of the stream by the hour about high water, as they are kept. */
const hoursOf = (draft: StreamDraft) => answersOf(told({ stream: draft }))?.streamHours ?? null;

describe('a water while it is being told', () => {
  it('is open while it has no name or no launch', () => {
    expect(answersOf(withDraft(null))).toBeNull();
    expect(answersOf(told({ launch: null }))).toBeNull();
    expect(answersOf(told({ name: '   ' }))).toBeNull();
  });
  it('is enough with a name and a launch: all else may be left', () => {
    expect(answersOf(told())).toMatchObject({
      name: 'The pool',
      launch: { name: 'The launch', at: { latDeg: 47, lonDeg: -18 }, surf: false },
      streamHours: [],
    });
    expect(answersOf(told({ launchName: ' Old slip ', surf: true }))?.launch).toMatchObject({
      name: 'Old slip',
      surf: true,
    });
  });
  it('without a position keeps what was drawn, and moves it to the launch once its position is known', () => {
    const origin = { latDeg: 45, lonDeg: -15 };
    const marks = [{ name: 'The weeds', use: 'place to fish', at: placeAt(origin, 60, 700) }] as const;
    const drawn = { drawingOrigin: origin, marks, launch: null };
    expect(answersOf(told({ ...drawn, positioned: true }))).toBeNull();
    expect(answersOf(told({ ...drawn, positioned: false }))).toMatchObject({
      positioned: false,
      launch: { at: origin },
      marks,
    });
    const launch = { latDeg: 47, lonDeg: -18 };
    const [mark] = answersOf(told({ ...drawn, positioned: true, launch }))?.marks ?? [];
    expect(distanceBetween(launch, mark?.at ?? launch)).toBeCloseTo(700, -1);
    // Marks of a file lie where the file says, whatever the launch.
    expect(answersOf(told({ marks, launch }))?.marks).toEqual(marks);
  });
  it('is not wider than it is long', () => {
    const lake = (widthM: number) => answersOf(told({ setting: 'still', acrossM: 500, widthM }));
    expect(lake(500)).not.toBeNull();
    expect(lake(501)).toBeNull();
  });
  it('left in an earlier form is gone on with: what it had not is empty', () => {
    const { hours: _, ...older } = stream();
    const draft = withDraft({ name: 'The pool', stream: older as StreamDraft });
    expect(draft.stream?.hours).toEqual([]);
    expect(draft.marks).toEqual([]);
  });
});

describe('a river', () => {
  it('runs so hard toward there, both told or neither; on another water that counts for nothing', () => {
    const river = (more: Partial<WaterDraft>) => answersOf(told({ setting: 'river', ...more }));
    expect(river({ riverMps: 0.8, riverTowardDeg: -90 })?.steady).toEqual({ mps: 0.8, towardDeg: 270 });
    expect(river({})?.steady).toBeNull();
    expect([river({ riverMps: 0.8 }), river({ riverTowardDeg: 10 })]).toEqual([null, null]);
    expect(river({ stream: stream({ springMps: null }) })?.streamHours).toEqual([]);
    expect(answersOf(told({ riverMps: 0.8 }))?.steady).toBeNull();
  });
});

describe('its stream', () => {
  it('half told is no answer: a rate without a direction, or the other way round', () => {
    expect(hoursOf(stream({ floodTowardDeg: null }))).toBeNull();
    expect(hoursOf(stream({ springMps: null }))).toBeNull();
  });
  it('by its greatest rate runs both ways, at neaps half where nothing says more', () => {
    const hours = hoursOf(stream()) ?? [];
    expect(Math.max(...hours.map(({ springMps }) => Math.abs(springMps)))).toBeCloseTo(1, 1);
    // To the centimetre a second, as they are kept.
    for (const { springMps, neapMps } of hours)
      expect(Math.abs(neapMps - springMps / 2)).toBeLessThanOrEqual(0.0051);
    expect(new Set(hours.map(({ towardDeg }) => towardDeg)).size).toBe(2);
    const slower = hoursOf(stream({ neapMps: 0.2 })) ?? [];
    expect(Math.max(...slower.map(({ neapMps }) => Math.abs(neapMps)))).toBeCloseTo(0.2, 1);
  });
  it('takes a direction written past the round, either way', () => {
    for (const floodTowardDeg of [450, -270])
      expect(hoursOf(stream({ floodTowardDeg }))).toEqual(hoursOf(stream()));
  });
  it('by the hour stands as it was written, in the place of all that', () => {
    const hours = [{ hour: 0, towardDeg: 10, springMps: 0.4, neapMps: 0.2 }];
    expect(hoursOf(stream({ springMps: null, floodTowardDeg: null, hours }))).toEqual(hours);
  });
});
