import { z } from 'zod';
import { alignments } from '../vocabulary/holding';
import { connections, knotIds, rigPurposes } from '../vocabulary/knots';
import { efforts } from '../vocabulary/efforts';
import { idText, nameText, quantity } from './field';

/** The numbers of one outing's sums that belong to no item, boat or water. */
export const workingsSchema = z.strictObject({
  /** Where the anchor is led to, and how high above the water it is made fast. */
  alignment: z.enum(alignments),
  attachHeightM: quantity(0, 3, 'm'),
  /** The drift one wants over the mark, through the water. */
  targetDriftMps: quantity(0.02, 3, 'm/s'),
  jigAngleDeg: quantity(5, 80, '°'),
  /** Trolling: from the middle to a holder; the rods from straight ahead, and above the level. */
  holderHalfSpanM: quantity(0, 2, 'm'),
  outAngleDeg: quantity(0, 120, '°'),
  elevationDeg: quantity(0, 89, '°'),
  /** How sure one wants to be that spares last, and the share of the charge kept back. */
  sparesConfidence: quantity(0.5, 0.999, ''),
  powerReserve: quantity(0, 0.9, ''),
  /** Hours that a device runs, by item, where it is not as long as one is afloat or in the dark. */
  deviceHours: z.record(idText, quantity(0, 500, 'h')),
  effort: z.enum(efforts),
  /** What one drinks an hour by one's own count; null: by effort and heat. */
  litresPerHour: quantity(0.05, 3, 'L').nullable(),
  /** More an hour for each °C over 20, and what the count is multiplied by to have some in hand. */
  litresPerDegree: quantity(0, 0.2, 'L'),
  waterInHand: quantity(1, 4, ''),
  /** What an hour costs by one's own count; null: by effort. The share of it eaten; a day's food in camp. */
  kjPerHour: quantity(0, 6000, 'kJ').nullable(),
  shareEaten: quantity(0, 1, ''),
  kjPerCampDay: quantity(0, 40_000, 'kJ'),
  /** Heat let in by a fish store of which nothing is written. */
  storeUaWK: quantity(0.05, 20, 'W/K'),
  /** The wave at which the pull on an anchor has doubled. */
  surgeHsM: quantity(0.1, 10, 'm'),
  /** Drag coefficient of a drogue's mouth. */
  drogueCd: quantity(0.1, 3, ''),
  /** Drag coefficients of a jig taken as a ball, and of the line across the flow. */
  jigCd: quantity(0.1, 3, ''),
  lineCd: quantity(0.1, 3, ''),
  targetC: quantity(0, 10, '°C'),
  iceStartC: quantity(-40, 0, '°C'),
});
export type Workings = z.infer<typeof workingsSchema>;

/** What may be counted once for a body and holds for every outing that does not count otherwise. */
export type Habits = Pick<Workings, 'litresPerHour' | 'kjPerHour'>;
/** The figures of an outing, with the angler's habits where it has none of its own. */
export function withHabits(workings: Workings, habits: Habits | undefined): Workings {
  const litresPerHour = workings.litresPerHour ?? habits?.litresPerHour ?? null;
  const kjPerHour = workings.kjPerHour ?? habits?.kjPerHour ?? null;
  if (litresPerHour === workings.litresPerHour && kjPerHour === workings.kjPerHour) return workings;
  return { ...workings, litresPerHour, kjPerHour };
}

/** One rod put together, end to end, from what is in the locker. */
export const rigSchema = z.strictObject({
  id: idText,
  name: nameText,
  purpose: z.enum(rigPurposes),
  rodId: idText.nullable(),
  /** Another reel than the rod's own; null: its own. */
  reelId: idText.nullable(),
  mainId: idText.nullable(),
  mainKnot: z.enum(knotIds),
  /** null: the main line goes straight to the lure. */
  leaderId: idText.nullable(),
  leaderM: quantity(0, 20, 'm'),
  leaderKnot: z.enum(knotIds),
  connection: z.enum(connections),
  /** The snap or swivel; null with a direct knot. */
  clipId: idText.nullable(),
  lureId: idText.nullable(),
  /** Mass of the lure that is tied on; null: as its box says. */
  lureG: quantity(0, 5000, 'g').nullable(),
  /** Share of the weakest part at which the drag slips. Rule of thumb. */
  dragFraction: quantity(0.05, 0.9, ''),
});
export type Rig = z.infer<typeof rigSchema>;
