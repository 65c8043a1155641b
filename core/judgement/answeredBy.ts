import { eachShortfall } from '../needs/need';
import type { Facts } from './allRules';

/**
 * A field outside the outing on which a finding turns, where what is written there may be out of date or
 * missing.
 */
export interface Answer {
  by: 'profile' | 'limits' | 'water' | 'boat';
  what: string;
}
const LIMITS: Answer = { by: 'limits', what: 'Your own limits' };

/** Whose field could answer a finding; null: none but the outing's own. */
export function answeredBy(facts: Facts): Answer | null {
  switch (facts.code) {
    case 'wind-over-limit':
    case 'gust-over-limit':
    case 'surf-over-limit':
    case 'waves-over-limit':
      return facts.own ? LIMITS : null;
    case 'far-for-reach':
      return { by: 'water', what: 'Where one can get out' };
    case 'overload':
      return facts.assumed ? { by: 'boat', what: 'The maker’s greatest load' } : null;
    case 'position-unknown':
      return { by: 'water', what: 'Where it lies' };
    case 'depth-assumed':
      return { by: 'water', what: 'Depth and bottom' };
    case 'tide-not-held':
      return { by: 'water', what: 'High and low waters' };
    case 'need-unmet':
      return ofNeed(facts);
    default:
      return null;
  }
}

function ofNeed({ needId, notCounted }: Extract<Facts, { code: 'need-unmet' }>): Answer | null {
  if (needId === 'get-back-in') return { by: 'profile', what: 'Getting back in, once practised' };
  const lacks = notCounted.flatMap(({ shortfall }) =>
    shortfall ? eachShortfall(shortfall).map(({ code }) => code) : [],
  );
  if (lacks.includes('nobody-listens')) return { by: 'water', what: 'Who listens, and on which channel' };
  return lacks.includes('no-coverage') || lacks.includes('patchy-coverage')
    ? { by: 'water', what: 'Phone coverage' }
    : null;
}
