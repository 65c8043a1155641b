import type { Acceptance } from '../documents/acceptance';
import type { Found } from './allRules';
import type { Context } from './context';

/** What may be said to a finding, and what was: for this outing, and for every outing on its water. */
export interface AnswersTo {
  answerable: boolean;
  keepable: boolean;
  here: string | null;
  there: string | null;
}
export function acceptancesOf(one: Found, context: Pick<Context, 'angler' | 'outing' | 'places'>): AnswersTo {
  const answerable = isAnswerable(one, context);
  const keepable = one.level === 'mind' && one.basis !== 'law' && one.basis !== 'physics';
  return {
    answerable,
    keepable,
    here: answerable ? acceptedReason(one, context.outing.accepted) : null,
    there: keepable ? acceptedReason(one, context.places.water?.answered ?? []) : null,
  };
}

function isAnswerable(one: Found, { angler }: Pick<Context, 'angler'>): boolean {
  if (one.level === 'mind') return true;
  return one.level === 'stop' && one.basis === 'judgement' && angler?.experience === 'experienced';
}

/** An acceptance holds while the finding is no worse than it was when accepted. */
function acceptedReason(one: Found, answers: readonly Acceptance[]): string | null {
  const held = answers.find((acceptance) => acceptance.key === one.key);
  return held && one.extent <= held.extent + 1e-9 ? held.reason : null;
}
