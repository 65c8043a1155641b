import { EMPTY_CHART } from '#core/documents/chart';
import { hoursFromSlack } from '#core/environment/waterTide';
import type { Mark, WaterAnswers } from '#core/editing/waterFrom';
import type { Position } from '#core/units/position';
import { type StreamHour } from '#core/documents/water';

/** A water while it is being told: some of it still open. */
export interface WaterDraft extends Omit<WaterAnswers, 'launch' | 'marks' | 'streamHours'> {
  launch: Position | null;
  launchName: string;
  surf: boolean;
  marks: readonly Mark[];
  /** The stream by its greatest rate and slack water; null: none told. */
  stream: StreamDraft | null;
}
export interface StreamDraft {
  springMps: number | null;
  neapMps: number | null;
  floodTowardDeg: number | null;
  floodEndsH: number | null;
  /** By the hour about high water, in place of those; empty: by those. */
  hours: readonly StreamHour[];
}

function freshDraft(): WaterDraft {
  return {
    name: '',
    type: 'salt',
    setting: 'coast',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    launch: null,
    launchName: '',
    surf: false,
    marks: [],
    chart: EMPTY_CHART,
    openFrom: [],
    acrossM: null,
    turns: [],
    stream: null,
  };
}

/** A draft as it was left, with what a draft of that day did not have yet. */
export function withDraft(left: Partial<WaterDraft> | null): WaterDraft {
  const draft = { ...freshDraft(), ...left };
  return { ...draft, stream: draft.stream && { ...draft.stream, hours: draft.stream.hours ?? [] } };
}

/** The answers of a draft that says enough; null: a name or the launch is still open, or the stream is half told. */
export function answersOf(draft: WaterDraft): WaterAnswers | null {
  const { launch, launchName, surf, stream, ...rest } = draft;
  if (launch === null || draft.name.trim() === '') return null;
  const hours = stream === null ? [] : streamHours(stream);
  return (
    hours && { ...rest, launch: { name: launchName.trim() || 'The launch', at: launch, surf }, streamHours: hours }
  );
}

function streamHours({ springMps, neapMps, floodTowardDeg, floodEndsH, hours }: StreamDraft) {
  if (hours.length > 0) return [...hours];
  if (springMps === null || floodTowardDeg === null) return null;
  return hoursFromSlack({
    springMps,
    neapMps: neapMps ?? springMps / 2,
    floodTowardDeg: ((floodTowardDeg % 360) + 360) % 360,
    floodEndsH: floodEndsH ?? 0,
  });
}
