import type { Repair } from '../editing/repair';
import { plural } from '../units/words';
import type { Station } from '../vocabulary/stations';
import { findingLevels, levelNames } from '../vocabulary/levels';
import type { Basis } from './rule';
import type { Found } from './allRules';

export interface Finding extends Found {
  station: Station;
  /** Repairs, each judged before it is offered: it settles this and opens nothing else. */
  repairs: readonly Repair[];
  /** What makes a Mind of a Stop that nothing settles. */
  lowers: readonly Repair[];
  /** What helps where no repair does, in words; null: one does, or nothing is asked. */
  otherwise: string | null;
  /** The reason it was accepted with; null: it stands open. */
  accepted: string | null;
  /** Whether that reason is kept with the water, for every outing there. */
  acceptedForWater: boolean;
  /**
   * Whether a reason may be kept with the water: what rests on law that a pack holds, or on physics, is
   * answered each time.
   */
  keepable: boolean;
  /** Whether a typed reason may answer it. */
  answerable: boolean;
}

const basisWords: Record<Basis, string> = {
  law: 'rests on the law',
  physics: 'rests on physics',
  judgement: 'rests on judgement',
  school: 'here schools differ',
};
/** What a finding rests on; what is simply not said yet rests on nothing. */
export function sayBasis({ basis, facts }: Pick<Finding, 'basis' | 'facts'>): string {
  return facts.code === 'brief-incomplete' ? 'still open in the sentence' : basisWords[basis];
}

/** How a Stop is lifted; null: it is none. */
export function sayLift({
  level,
  basis,
  answerable,
}: Pick<Finding, 'level' | 'basis' | 'answerable'>): string | null {
  if (level !== 'stop') return null;
  if (answerable) return 'Settled, it is gone; or accept it with a reason, which stands on the card.';
  if (basis === 'law') return 'Settled, it is gone; no reason lifts it: it is the law.';
  if (basis === 'physics') return 'Settled, it is gone; no reason lifts it: the water does not read reasons.';
  return 'Settled, it is gone; accepting it with a reason is for the experienced, by the profile.';
}

/** "1 Stop · 3 Minds · 2 Notes" of what stands unanswered. */
export function countFindings(findings: readonly Finding[]): string {
  const parts = findingLevels.flatMap((level) => {
    const n = findings.filter((one) => one.level === level && one.accepted === null).length;
    return n > 0 ? [`${n} ${plural(n, levelNames[level])}`] : [];
  });
  return parts.join(' · ');
}
