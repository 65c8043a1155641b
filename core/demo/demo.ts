import { type References, lookUp } from '../documents/references';
import type { FloatPlan } from '../floatplan/floatPlan';
import { floatPlanOf } from '../floatplan/make';
import { decidedIn } from '../judgement/decided';
import { planSays } from '../floatplan/says';
import { noAnswers } from '../walkround/answers';
import type { Answer } from '../documents/answer';
import { assess } from '../judgement/assess';
import type { Outing } from '../documents/outing';
import type { Procedure } from '../documents/procedure';
import { type Instant, dateAt, isoAt } from '../units/time';
import { demoLocker } from './locker';
import { demoDawn, demoOutings } from './outings';
import { demoCraft } from './boats';
import { demoAngler } from './people';
import { demoProcedures } from './procedures';
import { demoRulePacks } from './rulePacks';
import { demoSpecies } from './species';
import { demoWaters } from './waters';

export interface Demo {
  references: References;
  procedures: readonly Procedure[];
  outings: readonly Outing[];
  /** The walk-round of the outing that is ready to sign, every step answered good. */
  answers: { outingId: string; answers: readonly Answer[] };
  /** Plans that their person ashore has. */
  left: readonly { outingId: string; plan: FloatPlan }[];
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
  const outings = demoOutings(now, waters).map((outing) => leftAshore(outing, references, now));
  const [ready] = outings;
  const at = isoAt(now, 'utc');
  // What has to be judged is worked out for whoever asks: most ask for the things and the outings alone.
  return {
    references,
    procedures: demoProcedures,
    outings,
    get left() {
      return outings.flatMap((outing) => {
        const plan = outing.word.left && planFor(outing, references, now);
        return plan ? [{ outingId: outing.id, plan }] : [];
      });
    },
    get answers() {
      const steps = ready ? assess(ready, references, noAnswers, now, { withRepairs: false }).steps : [];
      return {
        outingId: ready?.id ?? '',
        answers: steps.map(({ id }, i) => ({
          key: demoKey(i),
          stepId: id,
          verdict: 'good' as const,
          at,
          note: '',
        })),
      };
    },
  };
}

function planFor(outing: Outing, references: References, now: Instant): FloatPlan | null {
  const looked = lookUp(outing, references);
  const { needs, exposures, findings } = assess(outing, references, noAnswers, now, { withRepairs: false });
  return floatPlanOf({ outing, looked, needs, exposures, decided: decidedIn(findings), now });
}
/** As its person ashore has it; where nobody is named, nobody does. */
function leftAshore(outing: Outing, references: References, now: Instant): Outing {
  if (outing.brief.contact.name === '' || outing.id === NOT_LEFT || outing.log !== null) return outing;
  const looked = lookUp(outing, references);
  const at = isoAt(now, 'utc');
  // Where there is no signal it is on the telephone already.
  const carriedAt = looked.water?.coverage === 'none' ? at : null;
  return {
    ...outing,
    word: {
      ...outing.word,
      carriedAt,
      left: { at, says: planSays(outing, looked, looked.aboard), watched: true },
    },
  };
}
/** The one that shows what is still to be left. */
const NOT_LEFT = 'cod-wreck';

function demoKey(i: number): string {
  return `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`;
}
