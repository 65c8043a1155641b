import type { JudgedNeed } from '../needs/match';
import type { Basis, FindingLevel } from './finding';

/** How loud an unmet need is: law and what life hangs on shut the gate; other musts and shoulds are minded. */
export function needLevel(need: Pick<JudgedNeed, 'level' | 'lifeCritical'>): { level: FindingLevel; basis: Basis } {
  if (need.level === 'law') return { level: 'stop', basis: 'law' };
  if (need.level === 'must') return { level: need.lifeCritical ? 'stop' : 'mind', basis: 'judgement' };
  return { level: need.level === 'should' ? 'mind' : 'note', basis: 'judgement' };
}
