import { sayIssue } from '../documents/sayIssue';
import { z } from 'zod';
import { instantText } from '../documents/field';
import { documentKinds } from '../documents/registry';
import type { References } from '../documents/references';
import { type Assessment, assess } from '../judgement/assess';
import { answerSchema } from '../documents/answer';
import { type Earlier, standingAnswers, withEarlier } from '../walkround/answers';
import type { Instant } from '../units/time';
import { type SignedSnapshot, openSnapshot } from './snapshot';

const { outings, anglers, craft, waters, rulePacks, species, items } = documentKinds;
const MOST_ITEMS = 1000;
/** What a signature stands on, as it comes from a device: every document in today's form. */
const frozenSchema = z.strictObject({
  format: z.literal('signed/2'),
  outing: outings.schema,
  angler: anglers.schema.nullable(),
  craft: craft.schema.nullable(),
  water: waters.schema.nullable(),
  rulePack: rulePacks.schema.nullable(),
  species: z.array(species.schema).max(50).nullable(),
  items: z.array(items.schema).max(MOST_ITEMS),
  answers: z
    .array(
      z.strictObject({
        stepId: answerSchema.shape.stepId,
        verdict: answerSchema.shape.verdict,
        at: instantText,
      }),
    )
    .max(2000),
});

/** What was frozen on a device, brought up to today's form; null with why it is none. */
export function readFrozen(frozen: unknown): { snapshot: SignedSnapshot } | { why: string } {
  let opened: unknown;
  try {
    opened = openSnapshot(frozen);
  } catch {
    return { why: 'It is no signature of this program.' };
  }
  const read = frozenSchema.safeParse(opened);
  if (read.success) return { snapshot: read.data };
  const [issue] = read.error.issues;
  return { why: `${issue?.path.join('.') ?? ''}: ${issue ? sayIssue(issue) : 'not readable'}` };
}

/**
 * The judgement of what was frozen, by itself: nothing that came later is looked at.
 * @param earlier what was looked over for other outings
 */
export function judgeFrozen(snapshot: SignedSnapshot, at: Instant, earlier: readonly Earlier[]): Assessment {
  const references: References = {
    angler: snapshot.angler,
    craft: snapshot.craft ? [snapshot.craft] : [],
    items: snapshot.items,
    waters: snapshot.water ? [snapshot.water] : [],
    rulePacks: snapshot.rulePack ? [snapshot.rulePack] : [],
    species: snapshot.species ?? [],
  };
  const record = snapshot.answers.map((one, i) => ({ ...one, key: `frozen-${i}`, note: '' }));
  const answers = withEarlier(standingAnswers(record, at), earlier, at);
  return assess(snapshot.outing, references, answers, at, { withRepairs: false });
}
