import type { Decided } from '../floatplan/make';
import { sayFinding } from './allRules';
import type { Finding } from './finding';

/** What was known and accepted, with its reason, as whoever has the plan reads it. */
export function decidedIn(findings: readonly Finding[]): Decided[] {
  return findings.flatMap(({ facts, accepted }) =>
    accepted === null ? [] : [{ title: sayFinding(facts).title, reason: accepted }],
  );
}
