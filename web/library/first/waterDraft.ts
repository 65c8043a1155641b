import { EMPTY_CHART } from '#core/documents/chart';
import { hoursFromSlack } from '#core/environment/waterTide';
import type { Mark, WaterAnswers } from '#core/editing/waterFrom';
import { translation } from '#core/editing/waterPosition';
import type { Position } from '#core/units/position';
import { type StreamHour } from '#core/documents/water';

/** A water while it is being told: some of it still open. */
export interface WaterDraft extends Omit<
  Required<WaterAnswers>,
  'launch' | 'marks' | 'streamHours' | 'steady'
> {
  launch: Position | null;
  /** Nominal position that marks and shore were drawn around before the launch's was known; null: none. */
  drawingOrigin: Position | null;
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
    drawingOrigin: null,
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
  const { drawingOrigin, launchName, surf, stream, riverMps, riverTowardDeg, ...rest } = draft;
  const launch = draft.positioned ? draft.launch : drawingCentre(draft);
  if (launch === null || draft.name.trim() === '' || isRiverHalfTold(draft) || isWiderThanLong(draft))
    return null;
  const isRiver = draft.setting === 'river';
  // What was drawn around the nominal position moves to the real one.
  const moved = draft.positioned && drawingOrigin !== null ? translation(drawingOrigin, launch) : null;
  const hours = stream === null || isRiver ? [] : streamHours(stream);
  const steady =
    isRiver && riverMps !== null && riverTowardDeg !== null
      ? { mps: riverMps, towardDeg: around(riverTowardDeg) }
      : null;
  return (
    hours && {
      ...rest,
      marks: moved ? rest.marks.map((mark) => ({ ...mark, at: moved.position(mark.at) })) : rest.marks,
      chart: moved ? moved.chart(rest.chart) : rest.chart,
      launch: { name: launchName.trim() || 'The launch', at: launch, surf },
      streamHours: hours,
      steady,
    }
  );
}

/** Position that marks and shore are drawn around; null: neither a nominal nor a real one yet. */
export function drawingCentre({ drawingOrigin, launch }: WaterDraft): Position | null {
  return drawingOrigin ?? launch;
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
