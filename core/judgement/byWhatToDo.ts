import { catalogue } from '../needs/catalogue';
import type { Finding } from './finding';

/** Findings in the order one sees to them, each once. */
export interface ByWhatToDo {
  /** Stops. */
  forbid: readonly Finding[];
  /** Minds that something owned, or another plan, settles. */
  settle: readonly Finding[];
  /** Minds about a need that nothing owned meets. */
  get: readonly Finding[];
  /** Notes. */
  later: readonly Finding[];
}

export function byWhatToDo(findings: readonly Finding[]): ByWhatToDo {
  const isToGet = ({ facts, repairs }: Finding) => facts.code === 'need-unmet' && repairs.length === 0;
  const minds = findings.filter(({ level }) => level === 'mind');
  return {
    forbid: findings.filter(({ level }) => level === 'stop'),
    settle: minds.filter((one) => !isToGet(one)),
    get: minds.filter(isToGet),
    later: findings.filter(({ level }) => level === 'note'),
  };
}

/** What is to be got, by the names of the needs: "Whistle". */
export function namesToGet(findings: readonly Finding[]): string[] {
  return findings.flatMap(({ facts }) =>
    facts.code === 'need-unmet' ? [catalogue[facts.needId].title.toLowerCase()] : [],
  );
}
