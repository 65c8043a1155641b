import { exposures, type Exposures } from '../exposures/exposures';
import { firstPaddle } from '../needs/firstPaddle';
import { type JudgedNeed, type WalkTaken, candidatesByNeed, judgeNeed } from '../needs/match';
import type { NeedContext } from '../needs/need';
import { type RaisedNeed, raisedNeeds } from '../needs/raise';
import type { Outing } from '../outing/outing';
import { type Looked, type References, lookUp } from '../outing/references';
import { type Instant, addDays, dateAt } from '../units/time';
import { type Answers, craftFaults, takenByAnswers } from '../walkround/answers';
import type { HullPart } from '../walkround/hullParts';

/** Everything a judgement may look at, worked out once. */
export interface Judging {
  outing: Outing;
  looked: Looked;
  e: Exposures;
  raised: readonly RaisedNeed[];
  needs: readonly JudgedNeed[];
  craftFaults: readonly { part: HullPart; missing: boolean }[];
  answers: Answers;
  taken: WalkTaken;
  now: Instant;
  /** Date at the water now, and on the last day of the outing. */
  today: string;
  lastDay: string;
}

/** @param like a judging of an outing that may share brief and conditions: a repair seldom changes the day. */
export function judging(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
  like?: Judging,
): Judging {
  const looked = lookUp(outing, references);
  const sameDay = like?.outing.brief === outing.brief && like.outing.conditions === outing.conditions;
  const e = exposures(outing, looked, sameDay ? like.e : undefined);
  const taken: WalkTaken = like?.answers === answers ? like.taken : takenByAnswers(answers);
  const lastDay = sameDay ? like.lastDay : addDays(outing.brief.date, outing.brief.nights);
  const c: NeedContext = { e, brief: outing.brief, looked, firstPaddleId: firstPaddle(looked.aboard, lastDay, taken) };
  const candidates = candidatesByNeed(looked.aboard, lastDay, taken);
  const raised = sameDay && sameBurden(e, like.e) ? like.raised : looked.water ? raisedNeeds(c, looked.rulePack) : [];
  const needs = raised.map(({ id, raise }) => judgeNeed(id, raise, c, candidates.get(id) ?? []));
  return {
    outing,
    looked,
    e,
    raised,
    needs,
    craftFaults: craftFaults(answers),
    answers,
    taken,
    now,
    today: sameDay ? like.today : dateAt(now, looked.water?.timeZone ?? 'utc'),
    lastDay,
  };
}

/** Whether two loadouts raise the same needs: what one brings aboard asks for leashes, charge and cutters. */
function sameBurden(a: Exposures, b: Exposures): boolean {
  return a.rods === b.rods && a.electricsW === b.electricsW && a.bigHooks === b.bigHooks;
}
