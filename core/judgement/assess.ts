import { carriedKg, gearKg } from '../boat/load';
import { outingHours } from '../documents/hours';
import type { Log } from '../documents/log';
import type { Outing } from '../documents/outing';
import { type Blank, type References, blanks, openBlanks } from '../documents/references';
import type { Exposures } from '../exposures/exposures';
import type { JudgedNeed } from '../needs/match';
import { alarmInstant } from '../needs/catalogueAlive';
import type { Instant } from '../units/time';
import type { Station } from '../vocabulary/stations';
import type { SheetId } from '../vocabulary/sheets';
import type { Answers } from '../walkround/answers';
import type { Step } from '../walkround/steps';
import { verdictOf } from '../walkround/defects';
import { type Context, contextOf } from './context';
import type { Ready } from '../stow/ready';
import { isPlain } from '../stow/say';
import type { Finding } from './finding';
import { acceptancesOf } from './accepted';
import { type Gate, gate } from './gate';
import { judge, repairsFor } from './repairEngine';
import { findingLevels } from '../vocabulary/levels';
import { ruleOf } from './allRules';
import { sheetFor, sheetsInUse } from './sheets';

/** So many counted of so many. */
export interface Tally {
  counted: number;
  of: number;
}
/** How far each station is counted. */
export type Tallies = Record<Station, Tally>;
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
  /** What is made ready before each mode, in words. */
  ready: readonly Ready[];
  gate: Gate;
  /** Sums that this outing asks for. */
  sheets: readonly SheetId[];
  tallies: Tallies;
}

function launchOf({ brief }: Outing, zone: string | null): { at: Instant; zone: string } | null {
  const hours = zone === null ? null : outingHours(brief, zone);
  return hours && zone !== null ? { at: hours.launchAt, zone } : null;
}

/**
 * The one door to the judgement: the browser calls it on every change, the server before it signs.
 * @param references the documents the outing points at
 * @param answers the walk-round's standing answers
 * @param now the moment of judging
 * @param withRepairs false while something is being dragged, and for lists: repairs are tried one by one and
 * cost the most
 */
export function assess(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
  { withRepairs = true }: { withRepairs?: boolean } = {},
): Assessment {
  const context = contextOf(outing, references, answers, now);
  const judged = judge(context);
  const findings = judged.all.map((one): Finding => {
    const { answerable, keepable, here, there } = acceptancesOf(one, context);
    const accepted = here ?? there;
    const asked = withRepairs && accepted === null;
    const rule = ruleOf(one.facts.code);
    // Trying repairs costs the most by far, and findings that nobody looks at need none: they are tried when
    // first read.
    const settling = once(() => (asked ? repairsFor(one, judged) : noRepairs));
    return {
      ...one,
      station: rule.station,
      answerable,
      accepted,
      acceptedForWater: here === null && there !== null,
      keepable,
      get repairs() {
        return settling().repairs;
      },
      get lowers() {
        return settling().lowers;
      },
      get otherwise() {
        const { repairs, sideEffect } = settling();
        const helpless = asked && repairs.length === 0 && one.level !== 'note';
        return helpless ? rule.otherwise(one.facts, context, sideEffect) : null;
      },
    };
  });
  findings.sort((a, b) => findingLevels.indexOf(a.level) - findingLevels.indexOf(b.level));
  const { looked, needs, exposures, steps } = context;
  const open = openBlanks(outing.brief, looked);
  const sheets = sheetsInUse(context);
  const troubled = new Set(
    findings.filter((one) => one.level !== 'note' && one.accepted === null).map((one) => sheetFor(one)),
  );
  return {
    exposures,
    needs,
    findings,
    openBlanks: open,
    unneeded: context.unneeded,
    gearKg: gearKg(looked),
    carriedKg: carriedKg(looked, exposures),
    steps,
    ready: context.ready,
    sheets,
    gate: gate(outing, findings, steps, answers, now, launchOf(outing, looked.water?.timeZone ?? null)),
    tallies: {
      brief: { counted: blanks.length - open.length, of: blanks.length },
      kit: { counted: needs.filter((need) => need.met).length, of: needs.length },
      workings: { counted: sheets.filter((id) => !troubled.has(id)).length, of: sheets.length },
      stow: stowTally(context, findings),
      'leave-word': wordTally(context, findings),
      'walk-round': {
        counted: steps.filter((step) => verdictOf(step, answers) === 'good').length,
        of: steps.length,
      },
      ashore: { counted: outing.log === null ? 0 : marked(outing, outing.log), of: outing.loadout.length },
    },
  };
}

/** A function that runs at its first call alone. */
function once<Value extends object>(make: () => Value): () => Value {
  let made: Value | null = null;
  return () => (made ??= make());
}

const noRepairs = { repairs: [], lowers: [], sideEffect: null } as const;

/** Places of things that nothing stands against, of all that have one to settle. */
function stowTally({ plan }: Context, findings: readonly Finding[]): Tally {
  if (!plan) return { counted: 0, of: 0 };
  const troubled = new Set(
    findings.flatMap((one) => (one.level === 'note' || one.accepted !== null ? [] : thingsIn(one.facts))),
  );
  const settled = plan.things.filter((placed) => !isPlain(placed) && placed.one.entry.carriedBy === null);
  return {
    counted: settled.filter(({ one, lies }) => lies.in !== 'nowhere' && !troubled.has(one.item.id)).length,
    of: settled.length,
  };
}
/**
 * What the person ashore needs, as far as it is there: somebody to tell, how to reach them, an hour, whom
 * they call, and the plan itself.
 */
function wordTally({ brief, exposures, places, word }: Context, findings: readonly Finding[]): Tally {
  const callAt = alarmInstant(brief, places);
  const parts = [
    brief.contact.name.trim() !== '',
    brief.contact.phone.trim() !== '',
    callAt !== null && exposures.homeAt !== null && callAt > exposures.homeAt,
    places.water !== null && places.water.rescue.phone.trim() !== '',
    word.left !== null &&
      !findings.some(({ facts, accepted }) => facts.code === 'word-changed' && accepted === null),
  ];
  return { counted: parts.filter(Boolean).length, of: parts.length };
}
function thingsIn(facts: object): readonly string[] {
  return 'thingIds' in facts && Array.isArray(facts.thingIds) ? (facts.thingIds as string[]) : [];
}

/** Things aboard of which it was written what became of them. */
function marked({ loadout }: Outing, { items }: Log): number {
  return loadout.filter((entry) => items.some((one) => one.itemId === entry.itemId)).length;
}
