import type { Answer } from '../documents/answer';
import type { WalkTaken } from '../needs/match';
import { DAY_MS, HOUR_MS, type Instant } from '../units/time';
import { type HullPart, hullLookOf } from './hullParts';

/** The last answer to each step. */
export type Answers = ReadonlyMap<string, Answer>;

export const noAnswers: Answers = new Map();

/**
 * The answer in force for each step: the one given last, whenever it arrived. Of two given at the same moment
 * the later in the record.
 * @param record each answer's `at` by the server's clock
 */
export function lastAnswers(record: readonly Answer[]): Answers {
  const last = new Map<string, Answer>();
  for (const answer of record) {
    const known = last.get(answer.stepId);
    if (!known || Date.parse(answer.at) >= Date.parse(known.at)) last.set(answer.stepId, answer);
  }
  return last;
}

/**
 * How long "good" stands: from the evening before to the water. Faults stand until they are answered anew.
 */
export const GOOD_STANDS_HOURS = 18;

/** The last words that still stand at an instant: a "good" of an earlier day no longer does. */
export function standingAnswers(record: readonly Answer[], now: Instant): Answers {
  const oldest = now - GOOD_STANDS_HOURS * HOUR_MS;
  return new Map(
    [...lastAnswers(record)].filter(([, { verdict, at }]) => verdict !== 'good' || Date.parse(at) >= oldest),
  );
}

export function itemStep(itemId: string): string {
  return `item:${itemId}`;
}
export function eveningStep(itemId: string): string {
  return `evening:${itemId}`;
}

/** A thing found sound the evening before another outing, and when. */
export interface Earlier {
  itemId: string;
  at: string;
}
/** How long such a look stands for the next outing, where use does not change what was looked at. */
export const EVENING_STANDS_DAYS = 3;
export function carriedStep(itemId: string): string {
  return `carried:${itemId}`;
}
/** The standing answers of an outing, with what was looked over for an outing of the last days. */
export function withEarlier(standing: Answers, earlier: readonly Earlier[], now: Instant): Answers {
  const oldest = now - EVENING_STANDS_DAYS * DAY_MS;
  const carried = earlier.filter(({ at }) => Date.parse(at) >= oldest && Date.parse(at) <= now);
  if (carried.length === 0) return standing;
  const looks = carried.map(({ itemId, at }): [string, Answer] => {
    const stepId = carriedStep(itemId);
    return [stepId, { key: itemId, stepId, verdict: 'good', at, note: '' }];
  });
  return new Map([...standing, ...looks]);
}

/** Items that an answer takes away: the word at the water before the word of the evening. */
export function takenByAnswers(answers: Answers): WalkTaken {
  const fault = new Set<string>();
  const missing = new Set<string>();
  for (const [stepId, { verdict }] of answers) {
    const [kind, itemId = ''] = stepId.split(':');
    if (verdict === 'good' || (kind !== 'item' && kind !== 'evening')) continue;
    if (kind === 'evening' && answers.has(itemStep(itemId))) continue;
    (verdict === 'fault' ? fault : missing).add(itemId);
  }
  return { fault, missing };
}

/**
 * Things that failed in the evening, or were missing then, and were answered good at the water: what was done
 * about it stands nowhere.
 */
export function mendedSince(answers: Answers): { itemId: string; missing: boolean; note: string }[] {
  return [...answers].flatMap(([stepId, { verdict, note }]) => {
    const [kind, itemId = ''] = stepId.split(':');
    const isGood = answers.get(itemStep(itemId))?.verdict === 'good';
    return kind === 'evening' && verdict !== 'good' && isGood
      ? [{ itemId, missing: verdict === 'not here', note }]
      : [];
  });
}

/** Parts of the boat answered with a fault or as missing. */
export function craftFaults(answers: Answers): { part: HullPart; nth: number; missing: boolean }[] {
  return [...answers].flatMap(([stepId, { verdict }]) => {
    const look = verdict === 'good' ? null : hullLookOf(stepId);
    return look ? [{ ...look, missing: verdict === 'not here' }] : [];
  });
}
