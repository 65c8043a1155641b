import { EMPTY_CHART } from '#core/documents/chart';
import { hoursFromSlack } from '#core/environment/waterTide';
import type { Mark, WaterAnswers } from '#core/editing/waterFrom';
import { movedAbout } from '#core/editing/waterPosition';
import type { Position } from '#core/units/position';
import { type StreamHour } from '#core/documents/water';

/** A water while it is being told: some of it still open. */
export interface WaterDraft extends Omit<
  Required<WaterAnswers>,
  'launch' | 'marks' | 'streamHours' | 'steady'
> {
  launch: Position | null;
  /** What marks and shore are drawn about where that was not the launch's own position; null: the launch. */
  about: Position | null;
  launchName: string;
  surf: boolean;
  marks: readonly Mark[];
  /** The stream by its greatest rate and slack water; null: none told. */
  stream: StreamDraft | null;
  /** How a river runs. */
  riverMps: number | null;
  riverTowardDeg: number | null;
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
    about: null,
    positioned: true,
    launchName: '',
    surf: false,
    marks: [],
    chart: EMPTY_CHART,
    openFrom: [],
    acrossM: null,
    widthM: null,
    liesAlongDeg: null,
    getOut: null,
    coverage: 'not known',
    depthM: null,
    rapids: 0,
    turns: [],
    stream: null,
    riverMps: null,
    riverTowardDeg: null,
  };
}

/** A draft as it was left, with what a draft of that day did not have yet. */
export function withDraft(left: Partial<WaterDraft> | null): WaterDraft {
  const draft = { ...freshDraft(), ...left };
  return { ...draft, stream: draft.stream && { ...draft.stream, hours: draft.stream.hours ?? [] } };
}

/**
 * The answers of a draft that says enough; null: a name or the launch is still open, or the stream is half
 * told.
 */
export function answersOf(draft: WaterDraft): WaterAnswers | null {
  const { about, launchName, surf, stream, riverMps, riverTowardDeg, ...rest } = draft;
  const launch = draft.positioned ? draft.launch : drawnAbout(draft);
  if (launch === null || draft.name.trim() === '' || isRiverHalfTold(draft) || isWiderThanLong(draft))
    return null;
  const isRiver = draft.setting === 'river';
  // What was drawn before the position was known lies so about it now.
  const moved = draft.positioned && about !== null ? movedAbout(about, launch) : null;
  const hours = stream === null || isRiver ? [] : streamHours(stream);
  const steady =
    isRiver && riverMps !== null && riverTowardDeg !== null
      ? { mps: riverMps, towardDeg: around(riverTowardDeg) }
      : null;
  return (
    hours && {
      ...rest,
      marks: moved ? rest.marks.map((mark) => ({ ...mark, at: moved.place(mark.at) })) : rest.marks,
      chart: moved ? moved.chart(rest.chart) : rest.chart,
      launch: { name: launchName.trim() || 'The launch', at: launch, surf },
      streamHours: hours,
      steady,
    }
  );
}

/** What marks and shore are drawn about; null: nothing yet. */
export function drawnAbout({ about, launch }: WaterDraft): Position | null {
  return about ?? launch;
}
/** Across at its widest is no more than at its longest. */
export function isWiderThanLong({ setting, acrossM, widthM }: WaterDraft): boolean {
  return setting === 'still' && acrossM !== null && widthM !== null && widthM > acrossM;
}
/** How hard a river runs and where to are told together or not at all. */
export function isRiverHalfTold({ setting, riverMps, riverTowardDeg }: WaterDraft): boolean {
  return setting === 'river' && (riverMps === null) !== (riverTowardDeg === null);
}
const around = (deg: number) => ((deg % 360) + 360) % 360;

function streamHours({ springMps, neapMps, floodTowardDeg, floodEndsH, hours }: StreamDraft) {
  if (hours.length > 0) return [...hours];
  if (springMps === null || floodTowardDeg === null) return null;
  return hoursFromSlack({
    springMps,
    neapMps: neapMps ?? springMps / 2,
    floodTowardDeg: around(floodTowardDeg),
    floodEndsH: floodEndsH ?? 0,
  });
}
