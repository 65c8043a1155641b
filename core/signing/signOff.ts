import { canonical } from '../documents/canonical';
import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import type { Answers } from '../walkround/answers';
import type { Answer } from '../walkround/answerSchema';

/** Everything a signature stands on, frozen: the outing, what it pointed at, and the answers. */
export interface Judged {
  outing: Outing;
  angler: References['angler'];
  craft: References['craft'][number] | null;
  water: References['waters'][number] | null;
  rulePack: References['rulePacks'][number] | null;
  items: References['items'];
  answers: Pick<Answer, 'stepId' | 'verdict' | 'at'>[];
}

export function whatIsJudged(outing: Outing, references: References, answers: Answers): Judged {
  const { angler, craft, water, rulePack, aboard } = lookUp(outing, references);
  return {
    // What is written ashore afterwards was not judged.
    outing: { ...outing, log: null },
    angler,
    craft,
    water,
    rulePack,
    // A picture is no part of what was judged.
    items: aboard.map(({ item }) => ({ ...item, photo: null })).sort((a, b) => (a.id < b.id ? -1 : 1)),
    answers: [...answers.values()]
      .map(({ stepId, verdict, at }) => ({ stepId, verdict, at }))
      .sort((a, b) => (a.stepId < b.stepId ? -1 : 1)),
  };
}

/** What changed since a signature, as facts. */
export type Change =
  | {
      changed: 'field';
      of: 'outing' | 'angler' | 'craft' | 'water' | 'rulePack';
      name: string;
      field: string;
      from: string;
      to: string;
    }
  | { changed: 'aboard'; name: string }
  | { changed: 'ashore'; name: string }
  | { changed: 'quantity'; name: string; from: number; to: number }
  | { changed: 'item'; name: string }
  | { changed: 'answer'; stepId: string; from: string; to: string };

/** Every change between what was judged then and what stands now; empty: the signature holds. */
export function changesSince(then: Judged, now: Judged): Change[] {
  const names = new Map([...then.items, ...now.items].map((item) => [item.id, item.name]));
  const name = (id: string) => names.get(id) ?? 'an item no longer in the locker';
  return [
    ...fieldChanges('outing', now.outing.title, topFields(then.outing), topFields(now.outing)),
    ...loadoutChanges(then, now, name),
    ...(['angler', 'craft', 'water', 'rulePack'] as const).flatMap((of) =>
      // Another boat or water chosen is told by the brief's own field; here only the same one, edited.
      then[of]?.id === now[of]?.id ? fieldChanges(of, now[of]?.name ?? '', then[of] ?? {}, now[of] ?? {}) : [],
    ),
    ...now.items.flatMap((item): Change[] => {
      const was = then.items.find((one) => one.id === item.id);
      return was && canonical(was) !== canonical(item) ? [{ changed: 'item', name: item.name }] : [];
    }),
    ...answerChanges(then, now),
  ];
}

function topFields({ title, brief, conditions, accepted }: Outing): Record<string, unknown> {
  return { title, ...brief, conditions, accepted };
}

function fieldChanges(
  of: Extract<Change, { changed: 'field' }>['of'],
  name: string,
  then: object,
  now: object,
): Change[] {
  const before = new Map(Object.entries(then));
  return Object.entries(now).flatMap(([field, value]): Change[] =>
    canonical(before.get(field) ?? null) === canonical(value ?? null)
      ? []
      : [{ changed: 'field', of, name, field, from: plainly(before.get(field)), to: plainly(value) }],
  );
}

/** Short values as they are; long ones as nothing, so that the sentence only says that they changed. */
function plainly(value: unknown): string {
  if (Array.isArray(value) && value.every((part) => typeof part === 'string')) return value.join(', ');
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

function loadoutChanges(then: Judged, now: Judged, name: (id: string) => string): Change[] {
  const before = new Map(then.outing.loadout.map((entry) => [entry.itemId, entry]));
  const after = new Map(now.outing.loadout.map((entry) => [entry.itemId, entry]));
  const gone = [...before.keys()].filter((id) => !after.has(id));
  return [
    ...gone.map((id): Change => ({ changed: 'ashore', name: name(id) })),
    ...[...after].flatMap(([id, entry]): Change[] => {
      const was = before.get(id);
      if (!was) return [{ changed: 'aboard', name: name(id) }];
      if (was.quantity !== entry.quantity)
        return [{ changed: 'quantity', name: name(id), from: was.quantity, to: entry.quantity }];
      return was.apart === entry.apart ? [] : [{ changed: 'item', name: name(id) }];
    }),
  ];
}

function answerChanges(then: Judged, now: Judged): Change[] {
  const before = new Map(then.answers.map((answer) => [answer.stepId, answer.verdict]));
  return now.answers.flatMap(({ stepId, verdict }): Change[] => {
    const was = before.get(stepId);
    return was === verdict ? [] : [{ changed: 'answer', stepId, from: was ?? 'not answered', to: verdict }];
  });
}
