import type { KindId } from '../catalog/gear/kinds';
import type { Angler } from '../documents/angler';
import { onWater } from '../boat/drag';
import type { Craft } from '../documents/craft';
import type { Item } from '../documents/item';
import type { OutingInView } from '../documents/references';
import type { Workings } from '../documents/workings';
import { densityOf } from '../environment/density';
import { type AnchorSum, type AnchorType, anchor } from './anchor';
import type { SpotHour } from '../environment/spot';

/**
 * Stream from which nobody anchors; from which only with release, float and trolley; from which never by the
 * side. m/s.
 */
export const STREAM_STOP_MPS = 1;
export const STREAM_CARE_MPS = 0.5;
export const BEAM_STOP_MPS = 0.3;
/** Scope under which, and margin under which, the product speaks. Rules of thumb. */
export const LEAST_SCOPE = 3;
export const LEAST_MARGIN = 2;

const typeOf: Partial<Record<KindId, AnchorType>> = {
  anchor: 'claw',
  'fluke-anchor': 'fluke',
  'grapnel-anchor': 'grapnel',
  'mushroom-anchor': 'mushroom',
  'chain-drag': 'deadweight',
};
/** What an item is as an anchor: its own mass without the rode, its rode and its type; null: it is none. */
export function anchorOf(
  item: Item,
): { massKg: number; rodeM: number; type: AnchorType; holdK: number | null } | null {
  const type = typeOf[item.kind];
  if (!type) return null;
  return {
    type,
    massKg: item.attributes.groundKg ?? item.massKg,
    rodeM: item.attributes.rodeM ?? 0,
    holdK: item.attributes.holdK ?? null,
  };
}

/** What goes with the anchor on this boat today. */
export interface AnchorGear {
  released: boolean;
  buoyed: boolean;
  trolley: boolean;
}
export function anchorGear(item: Item, { aboard }: Pick<OutingInView, 'aboard'>): AnchorGear {
  const has = (kind: KindId) => aboard.some((one) => one.item.kind === kind && one.item.condition === 'good');
  const float = has('release-float');
  return {
    released: item.qualities.includes('release') || float,
    buoyed: item.qualities.includes('buoyed') || float,
    trolley: has('anchor-trolley'),
  };
}

/** Whether one may lie to an anchor at a moment, and what forbids it. */
export type Leave =
  | { may: 'yes' }
  | { may: 'with care' }
  | { may: 'no'; why: 'stream' | 'school' | 'beam' | 'gear' | 'reach' };
export interface AnchorHour {
  hour: SpotHour;
  sum: AnchorSum;
  leave: Leave;
}

/**
 * The sum for one anchor at every half hour. The school of the angler may be stricter than the limits, never
 * laxer.
 */
export function anchorHours(
  item: Item,
  hours: readonly SpotHour[],
  craft: Craft,
  looked: OutingInView,
  workings: Workings,
): AnchorHour[] {
  const ground = anchorOf(item);
  const { area, water, angler } = looked;
  if (!ground || !area || !water) return [];
  const gear = anchorGear(item, looked);
  return hours.map((hour) => {
    const sum = anchor({
      depthM: Math.max(0.1, area.depthM),
      tideRiseM: hour.depthM - Math.max(0.1, area.depthM),
      attachHeightM: workings.attachHeightM,
      rodeM: ground.rodeM,
      anchor: ground,
      bottom: area.bottom,
      streamMps: hour.streamMps,
      // What tears an anchor out is the gust, not the mean.
      windMps: hour.gustMps,
      hsM: hour.hsM,
      craft: onWater(craft, looked.loaded),
      alignment: workings.alignment,
      ...(ground.holdK === null ? {} : { holdingFactor: ground.holdK }),
      surgeHsM: workings.surgeHsM,
      waterDensity: densityOf(water),
    });
    return { hour, sum, leave: leaveAt(hour, sum, gear, workings, angler) };
  });
}

function leaveAt(
  hour: SpotHour,
  sum: AnchorSum,
  gear: AnchorGear,
  { alignment }: Workings,
  angler: Angler | null,
): Leave {
  const v = hour.streamMps;
  if (v >= STREAM_STOP_MPS) return { may: 'no', why: 'stream' };
  if (alignment === 'beam' && v >= BEAM_STOP_MPS) return { may: 'no', why: 'beam' };
  if (v >= STREAM_CARE_MPS) {
    if (angler && angler.schools.riverAnchor !== 'trolley, float and release')
      return { may: 'no', why: 'school' };
    if (!gear.released || !gear.buoyed || !gear.trolley) return { may: 'no', why: 'gear' };
  }
  if (sum.scope < 1) return { may: 'no', why: 'reach' };
  return { may: v >= STREAM_CARE_MPS ? 'with care' : 'yes' };
}

/** Stretches of half hours in which it may be set, with care, or not, as clock times. */
export function leaveStretches(
  hours: readonly AnchorHour[],
): { from: string; to: string; may: Leave['may'] }[] {
  const spans: { from: string; to: string; may: Leave['may'] }[] = [];
  for (const { hour, leave } of hours) {
    const last = spans[spans.length - 1];
    if (last?.may === leave.may) last.to = hour.clock;
    else spans.push({ from: hour.clock, to: hour.clock, may: leave.may });
  }
  return spans;
}

/** Stretches of half hours in which the leave to set it is such. */
export function leaveSpans(
  hours: readonly AnchorHour[],
  isSuch: (leave: Leave) => boolean,
): { from: string; to: string }[] {
  const spans: { from: string; to: string }[] = [];
  let open = false;
  for (const { hour, leave } of hours) {
    const shut = isSuch(leave);
    const last = spans[spans.length - 1];
    if (shut && open && last) last.to = hour.clock;
    else if (shut) spans.push({ from: hour.clock, to: hour.clock });
    open = shut;
  }
  return spans;
}

export interface Anchorage {
  item: Item;
  hours: readonly AnchorHour[];
}
/**
 * Of the anchors aboard the one whose hold is best at its worst, with its half hours; null: none, or nothing
 * to judge it by.
 */
export function anchorageOf(
  looked: OutingInView,
  spot: readonly SpotHour[],
  workings: Workings,
): Anchorage | null {
  const { craft } = looked;
  if (!craft) return null;
  const worst = ({ hours }: Anchorage) => Math.min(...hours.map(({ sum }) => sum.margin ?? Infinity));
  const best = looked.aboard
    .filter(({ item }) => anchorOf(item) !== null)
    .map(({ item }): Anchorage => ({ item, hours: anchorHours(item, spot, craft, looked, workings) }))
    .toSorted((a, b) => worst(b) - worst(a))[0];
  return best && best.hours.length > 0 ? best : null;
}

/** Why no anchor may be set, by what forbids it. */
export const shutWhy = {
  stream: `From {${STREAM_STOP_MPS} m/s} of stream an anchor pulls a small boat under.`,
  beam: 'Lying across it, the boat fills and rolls.',
  school: 'Your own rule is stricter than the limit.',
  gear: `From {${STREAM_CARE_MPS} m/s} it wants a quick release, a float and a trolley to bow or stern, all three.`,
  reach: 'The rode does not reach the bottom.',
  care: 'Release, float and trolley are there, and it stays a matter of seconds: the line led to bow or stern, the release in the hand, a knife within reach.',
} as const;
