import type { Context } from './context';
import { type FactsOf, type Rule, type Sentence, type RuleFinding, keptExtent } from './rule';
import { afloatRules } from './rules/afloat';
import { boatRules } from './rules/boat';
import { briefRules } from './rules/brief';
import { holdingRules } from './rules/holding';
import { kitRules } from './rules/kit';
import { lawRules } from './rules/law';
import { needRules } from './rules/needs';
import { powerRules } from './rules/power';
import { stowRules } from './rules/stow';
import { rigRules } from './rules/rigs';
import { tackleRules } from './rules/tackle';
import { wayRules } from './rules/way';
import { exposureNotes, weatherRules } from './rules/weather';
import { wordRules } from './rules/word';
import { byClock } from '../units/clockWords';

/** Every judgement, in the order of the chain. Each is silent where there is nothing to say. */
const all = [
  ...briefRules,
  ...lawRules,
  ...weatherRules,
  ...wayRules,
  ...boatRules,
  ...afloatRules,
  ...needRules,
  ...kitRules,
  ...stowRules,
  ...holdingRules,
  ...rigRules,
  ...tackleRules,
  ...powerRules,
  ...wordRules,
  ...exposureNotes,
] as const;

/** What was found, as facts: a union by the code of each rule. */
export type Facts = FactsOf<(typeof all)[number]>;
export type FindingCode = Facts['code'];
/** A rule with its own facts closed up: it is only ever given what it made itself. */
export type AnyRule = Rule<FindingCode, Facts>;
export const rules = all as unknown as readonly AnyRule[];

const byCode = new Map<FindingCode, AnyRule>(rules.map((one) => [one.code, one]));
export function ruleOf(code: FindingCode): AnyRule {
  const found = byCode.get(code);
  if (!found) throw new Error(`No rule is called ${code}.`);
  return found;
}

/** A finding in words. */
export function sayFinding(facts: Facts): Sentence {
  const { title, text } = ruleOf(facts.code).say(facts);
  return { title: byClock(title), text: byClock(text) };
}

/** A finding before acceptance and repairs are worked out. */
export interface Found extends Omit<RuleFinding<Facts>, 'subject'> {
  /** Identity across edits: code and subject. */
  key: string;
}

/** Identity of what a rule told, across edits. */
export function keyOf({ code }: AnyRule, subject: string | undefined): string {
  return subject ? `${code}:${subject}` : code;
}

/** What a rule told, as a finding. */
export function foundFrom(
  rule: AnyRule,
  { level, basis, extent, facts, subject }: RuleFinding<Facts>,
): Found {
  return {
    key: keyOf(rule, subject),
    level,
    basis,
    extent: keptExtent(extent),
    facts: { ...facts, code: rule.code } as Facts,
  };
}

/** What one rule finds in a context. */
export function foundBy(rule: AnyRule, context: Context): Found[] {
  return rule.find(context).map((told) => foundFrom(rule, told));
}
