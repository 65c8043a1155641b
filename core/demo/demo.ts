import type { References } from '../documents/references';
import { noAnswers } from '../walkround/answers';
import type { Answer } from '../walkround/answerSchema';
import { assess } from '../judgement/assess';
import type { Outing } from '../documents/outing';
import { type Instant, dateAt, isoAt } from '../units/time';
import { demoLocker } from './locker';
import { demoDawn, demoOutings } from './outings';
import { demoCraft } from './boats';
import { demoAngler } from './people';
import { demoRulePacks } from './rulePacks';
import { demoSpecies } from './species';
import { demoWaters } from './waters';

export interface Demo {
  references: References;
  outings: readonly Outing[];
  /** The walk-round of the outing that is ready to sign, every step answered good. */
  answers: { outingId: string; answers: readonly Answer[] };
}

/** The demo data as of an instant: the same instant gives the same data. */
export function demo(now: Instant): Demo {
  const today = dateAt(now, 'utc');
  const { at: dawn, nine } = demoDawn(now);
  const waters = demoWaters(dawn, nine);
  const references: References = {
    angler: demoAngler,
    craft: demoCraft,
    items: demoLocker(today),
    waters,
    rulePacks: demoRulePacks(today),
    species: demoSpecies,
  };
  const outings = demoOutings(now, waters);
  const [ready] = outings;
  const steps = ready ? assess(ready, references, noAnswers, now).steps : [];
  const at = isoAt(now, 'utc');
  return {
    references,
    outings,
    answers: {
      outingId: ready?.id ?? '',
      answers: steps.map(({ id }, i) => ({ key: demoKey(i), stepId: id, verdict: 'good', at, note: '' })),
    },
  };
}

function demoKey(i: number): string {
  return `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`;
}
