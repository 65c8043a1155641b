import type { Answer } from '../documents/answer';
import type { Answers } from '../walkround/answers';
import type { Outing } from '../documents/outing';
import { upgraded } from '../documents/open';
import type { OwnSpecies } from '../documents/ownSpecies';
import { type References, lookUp } from '../documents/references';
import { documentKinds } from '../documents/registry';
import { type RawDocument, eachRecord } from '../documents/upgrade';
import { snapshotUpgrades } from '../documents/upgrades';

/** Everything a signature stands on, frozen: the outing, what it pointed at, and the answers. */
export interface SignedSnapshot {
  format: 'signed/2';
  outing: Outing;
  angler: References['angler'];
  craft: References['craft'][number] | null;
  water: References['waters'][number] | null;
  rulePack: References['rulePacks'][number] | null;
  /** Fish of the angler's own that were sought; null: from before they were signed. */
  species: readonly OwnSpecies[] | null;
  /** What is aboard, and the parts of its rigs. */
  items: References['items'];
  answers: Pick<Answer, 'stepId' | 'verdict' | 'at'>[];
}

/**
 * Of a walk-round only the last word on each step is signed. What of an answer is deliberately not, and why.
 */
export const unsignedOfAnswers = {
  at: 'the same answer given again is the same answer',
  note: 'a note explains an answer and is none',
} as const;

/** Of the plan only what is aboard: what stays ashore keeps its place, and nobody judged it. */
function stowAboard({ stow, loadout }: Outing): Outing['stow'] {
  const aboard = new Set(loadout.map(({ itemId }) => itemId));
  return { ...stow, things: stow.things.filter(({ itemId }) => aboard.has(itemId)) };
}

const byName = (a: string, b: string) => (a < b ? -1 : 1);

export function signedSnapshot(outing: Outing, references: References, answers: Answers): SignedSnapshot {
  const { angler, craft, water, rulePack, aboard, items } = lookUp(outing, references);
  const parts = outing.rigs.flatMap(({ rodId, reelId, mainId, leaderId, clipId, lureId }) =>
    [rodId, reelId, mainId, leaderId, clipId, lureId].flatMap((id) =>
      id === null ? [] : (items.get(id) ?? []),
    ),
  );
  return {
    format: 'signed/2',
    // What is written ashore afterwards was not judged.
    outing: { ...outing, log: null, stow: stowAboard(outing) },
    angler,
    craft,
    water,
    rulePack,
    species: references.species.filter(({ id }) => outing.brief.targets.includes(id)),
    // A picture is no part of what was judged.
    items: [...new Set([...aboard.map(({ item }) => item), ...parts])]
      .map((item) => ({ ...item, photo: null }))
      .sort((a, b) => byName(a.id, b.id)),
    answers: [...answers.values()]
      .map(({ stepId, verdict, at }) => ({ stepId, verdict, at }))
      .sort((a, b) => byName(a.stepId, b.stepId)),
  };
}

/**
 * What was signed, in today's form: a form that changed since is no change of what was signed. The frozen
 * text itself, over which the seal stands, is left as it is.
 */
export function openSnapshot(frozen: unknown): SignedSnapshot {
  const named = { format: 'signed/1', ...(frozen as RawDocument) };
  const whole = upgraded({ format: 'signed/2', upgrades: snapshotUpgrades }, named) as RawDocument;
  const { outings, anglers, craft, waters, rulePacks, species, items } = documentKinds;
  return {
    ...whole,
    outing: upgraded(outings, whole.outing),
    angler: upgraded(anglers, whole.angler),
    craft: upgraded(craft, whole.craft),
    water: upgraded(waters, whole.water),
    rulePack: upgraded(rulePacks, whole.rulePack),
    species: eachRecord(whole.species, (one) => upgraded(species, one) as RawDocument),
    items: eachRecord(whole.items, (one) => upgraded(items, one) as RawDocument),
  } as SignedSnapshot;
}
