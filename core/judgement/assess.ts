import type { Exposures } from '../exposures/exposures';
import { carriedKg, gearKg } from '../boat/load';
import type { JudgedNeed } from '../needs/match';
import type { Log } from '../documents/log';
import type { Outing } from '../documents/outing';
import { type Blank, type References, blanks, openBlanks } from '../documents/references';
import type { Instant } from '../units/time';
import type { Answers } from '../walkround/answers';
import { type Gate, gate } from './gate';
import { type Step, walkSteps } from '../walkround/steps';
import { type Finding, type Found, findingLevels } from './finding';
import { judgements } from './judgements';
import { type Judging, judging } from './context';
import { type SheetId, sheetFor, sheetsInUse } from './sheets';
import { unneeded } from '../needs/unneeded';
import { type JudgeAgain, repairsFor } from './repairs';

/** So many counted of so many. */
export interface Tally {
  counted: number;
  of: number;
}
/** How far each station is counted. */
export interface Tallies {
  brief: Tally;
  kit: Tally;
  workings: Tally;
  walkRound: Tally;
  ashore: Tally;
}
/** The whole judgement of an outing. */
export interface Assessment {
  exposures: Exposures;
  needs: readonly JudgedNeed[];
  findings: readonly Finding[];
  openBlanks: readonly Blank[];
  /** Items aboard that meet no need of this outing. */
  unneeded: readonly string[];
  gearKg: number;
  carriedKg: number | null;
  steps: readonly Step[];
  gate: Gate;
  /** Sums that this outing asks for. */
  sheets: readonly SheetId[];
  tallies: Tallies;
}

/**
 * The one door to the judgement: the browser calls it on every change, the server before it signs.
 * @param references the documents the outing points at @param answers the walk-round's standing answers @param now the moment of judging
 * @param withRepairs false while something is being dragged: repairs are tried one by one and cost the most
 */
export function assess(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
  { withRepairs = true }: { withRepairs?: boolean } = {},
): Assessment {
  const j = judging(outing, references, answers, now);
  const list = judge(j);
  const again = (repaired: Outing) => judging(repaired, references, answers, now, j);
  const judgeAgain: JudgeAgain = {
    all: (repaired) => judge(again(repaired)),
    any: (repaired, asked) => anyFound(again(repaired), asked),
  };
  const findings = list.map((one): Finding => {
    const answerable = isAnswerable(one, j);
    const accepted = answerable ? acceptedReason(one, outing) : null;
    return {
      ...one,
      answerable,
      accepted,
      repairs: withRepairs && accepted === null ? repairsFor(one, j, references, list, judgeAgain) : [],
    };
  });
  findings.sort((a, b) => findingLevels.indexOf(a.level) - findingLevels.indexOf(b.level));
  const steps = walkSteps(j.looked, j.needs);
  const open = openBlanks(outing.brief, j.looked);
  const sheets = sheetsInUse(j);
  const troubled = new Set(
    findings.filter((one) => one.level !== 'note' && one.accepted === null).map((one) => sheetFor(one)),
  );
  return {
    exposures: j.e,
    needs: j.needs,
    findings,
    openBlanks: open,
    unneeded: unneeded(j.needs, j.looked, outing),
    gearKg: gearKg(j.looked),
    carriedKg: carriedKg(j.looked, j.e),
    steps,
    sheets,
    gate: gate(outing, findings, steps, answers, now),
    tallies: {
      brief: { counted: blanks.length - open.length, of: blanks.length },
      kit: { counted: j.needs.filter((need) => need.met).length, of: j.needs.length },
      workings: { counted: sheets.filter((id) => !troubled.has(id)).length, of: sheets.length },
      walkRound: { counted: steps.filter((step) => answers.get(step.id)?.verdict === 'good').length, of: steps.length },
      ashore: { counted: outing.log === null ? 0 : marked(outing, outing.log), of: outing.loadout.length },
    },
  };
}

/** Things aboard of which it was written what became of them. */
function marked({ loadout }: Outing, { items }: Log): number {
  return loadout.filter((entry) => items.some((one) => one.itemId === entry.itemId)).length;
}

export function judge(j: Judging): Found[] {
  return judgements.flatMap((judgement) => judgement(j));
}

/** Whether any finding is of the kind asked for; judges no further than the first. */
function anyFound(j: Judging, asked: (one: Found) => boolean): boolean {
  return judgements.some((judgement) => judgement(j).some(asked));
}

function isAnswerable(one: Found, { looked }: Judging): boolean {
  if (one.level === 'mind') return true;
  return one.level === 'stop' && one.basis === 'judgement' && looked.angler?.experience === 'experienced';
}

/** An acceptance holds while the finding is no worse than it was when accepted. */
function acceptedReason(one: Found, outing: Outing): string | null {
  const held = outing.accepted.find((acceptance) => acceptance.key === one.key);
  return held && one.extent <= held.extent + 1e-9 ? held.reason : null;
}
