import { exposures, type Exposures } from '../exposures/exposures';
import { kinds } from '../catalog/gear/kinds';
import type { NeedId } from '../vocabulary/needs';
import { firstPaddle } from '../needs/firstPaddle';
import { type JudgedNeed, type WalkTaken, candidatesByNeed, judgeNeed } from '../needs/match';
import type { NeedContext } from '../needs/need';
import { type RaisedNeed, raisedNeeds } from '../needs/raise';
import type { Outing } from '../documents/outing';
import { type Looked, type References, lookUp } from '../documents/references';
import { homeDate } from '../documents/hours';
import { type Instant, dateAt } from '../units/time';
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
  const sameDay = like?.outing.brief === outing.brief && like.outing.conditions === outing.conditions;
  const looked = lookUp(outing, references, sameDay ? like.looked : undefined);
  const e = exposures(outing, looked);
  const taken: WalkTaken = like?.answers === answers ? like.taken : takenByAnswers(answers);
  const lastDay = sameDay ? like.lastDay : homeDate(outing.brief);
  const c: NeedContext = { e, brief: outing.brief, looked, firstPaddleId: firstPaddle(looked.aboard, lastDay, taken) };
  const raised = looked.water ? raisedBy(c, looked.rulePack) : [];
  const sameNeeds = sameDay && raised === like.raised;
  const touched = sameNeeds ? needsTouched(like, looked) : null;
  const candidates = candidatesByNeed(looked.aboard, lastDay, taken, touched);
  const needs = raised.map(({ id, raise }, i) => {
    const known = touched === null || touched.has(id) ? undefined : like?.needs[i];
    return known ?? judgeNeed(id, raise, c, candidates.get(id) ?? []);
  });
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

/**
 * The needs that the difference between two loadouts can speak to: those that the kinds of the changed items are means of.
 * null: any need, because a container came, went, or was opened.
 */
function needsTouched(like: Judging, looked: Looked): ReadonlySet<NeedId> | null {
  const was = new Set(like.looked.aboard.map(({ entry }) => entry));
  const now = new Set(looked.aboard.map(({ entry }) => entry));
  const changed = [
    ...looked.aboard.filter(({ entry }) => !was.has(entry)),
    ...like.looked.aboard.filter(({ entry }) => !now.has(entry)),
  ];
  const touched = new Set<NeedId>();
  for (const { item } of changed) {
    if (isHolding(item.id, looked)) return null;
    for (const id of kinds[item.kind].means) touched.add(id);
    // Which paddle is the first decides which may be the second.
    if (touched.has('second-propulsion')) touched.add('propulsion');
  }
  return touched;
}

function isHolding(id: string, { aboard }: Looked): boolean {
  return aboard.some(({ item }) => item.containerId === id || item.poweredById === id);
}

const kept = new WeakMap<Exposures, { looked: Looked; raised: RaisedNeed[] }>();
/** The needs raised by the same exposures for the same person, place and rules are worked out once. */
function raisedBy(c: NeedContext, pack: Looked['rulePack']): RaisedNeed[] {
  const { looked } = c;
  const known = kept.get(c.e);
  if (
    known &&
    known.looked.angler === looked.angler &&
    known.looked.rulePack === pack &&
    known.looked.area === looked.area
  )
    return known.raised;
  const raised = raisedNeeds(c, pack);
  kept.set(c.e, { looked, raised });
  return raised;
}
