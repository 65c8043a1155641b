import { differs } from '../documents/canonical';
import { type KindName, documentKinds } from '../documents/registry';
import {
  type AnyWords as Words,
  anglerWords,
  briefWords,
  companionWords,
  conditionsWords,
  craftWords,
  itemWords,
  loadoutWords,
  outingWords,
  rigWords,
  rulePackWords,
  speciesWords,
  waterWords,
  wordsOf,
  workingsWords,
} from '../documents/fieldWords';
import { type Names, namesIn } from './names';
import type { SignedSnapshot } from './snapshot';
import { plainly } from './plainly';
import { stowChanges } from './stowChanges';
import type { Change } from './change';

/** Every change between what was signed then and what stands now; empty: the signature holds. */
export function changesSince(then: SignedSnapshot, now: SignedSnapshot): Change[] {
  const names = namesIn(then, now);
  const { outing: was } = then;
  const { outing: is } = now;
  return [
    ...fields(
      null,
      outingWords,
      withoutUnsigned('outings', ownFields(was)),
      withoutUnsigned('outings', ownFields(is)),
      names,
    ),
    ...fields(null, briefWords, was.brief, is.brief, names),
    ...fields(null, conditionsWords, was.conditions, is.conditions, names),
    ...loadoutChanges(then, now, names),
    ...records(was.company, is.company, 'id', {
      words: companionWords,
      call: (one) => one.name,
      came: 'joined the party',
      went: 'left the party',
      names,
    }),
    ...records(was.rigs, is.rigs, 'id', {
      words: rigWords,
      call: (one) => `The rig ${one.name}`,
      came: 'was put together',
      went: 'was taken apart',
      names,
    }),
    ...stowChanges(then, now),
    ...fields('On the sheets', workingsWords, was.workings, is.workings, names),
    ...acceptedChanges(then, now, names),
    ...sameOne('anglers', anglerWords, then.angler, now.angler, names),
    ...sameOne('craft', craftWords, then.craft, now.craft, names),
    ...sameOne('waters', waterWords, then.water, now.water, names),
    ...packChanges(then, now, names),
    ...listed('species', speciesWords, then.species ?? [], now.species ?? [], names),
    ...listed('items', itemWords, then.items, now.items, names),
    ...answerChanges(then, now, names),
  ];
}

/** The fields of an outing that are told part by part above, so not as fields of its own. */
const toldByParts = new Set([
  'brief',
  'conditions',
  'loadout',
  'company',
  'rigs',
  'workings',
  'accepted',
  'stow',
]);

function ownFields(outing: SignedSnapshot['outing']): object {
  return Object.fromEntries(Object.entries(outing).filter(([field]) => !toldByParts.has(field)));
}

function withoutUnsigned(kind: KindName, doc: object): object {
  const { unsigned } = documentKinds[kind];
  return Object.fromEntries(Object.entries(doc).filter(([field]) => !(field in unsigned)));
}

/**
 * Each field that is not as it was. One level into a record, so that one figure of many is told by itself.
 */
function fields(of: string | null, words: Words, then: object, now: object, names: Names): Change[] {
  const before = then as Record<string, unknown>;
  const after = now as Record<string, unknown>;
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((field): Change[] => {
    const [from, to] = [before[field], after[field]];
    if (!differs(from, to)) return [];
    const { name: what, unit } = wordsOf(words, field);
    const say = (value: unknown) => plainly(value, { unit, names, isId: /Ids?$|^kind$/.test(field) });
    return [{ of, what, from: say(from), to: say(to), whole: false }];
  });
}

interface Telling<One> {
  words: Words;
  call: (one: One) => string;
  came: string;
  went: string;
  names: Names;
}
function records<One extends object>(
  then: readonly One[],
  now: readonly One[],
  key: keyof One & string,
  { words, call, came, went, names }: Telling<One>,
): Change[] {
  const before = new Map(then.map((one) => [one[key], one]));
  const after = new Map(now.map((one) => [one[key], one]));
  const whole = (one: One, what: string): Change => ({
    of: call(one),
    what,
    from: null,
    to: null,
    whole: true,
  });
  return [
    ...then.filter((one) => !after.has(one[key])).map((one) => whole(one, went)),
    ...now.flatMap((one) => {
      const was = before.get(one[key]);
      return was ? fields(call(one), words, was, one, names) : [whole(one, came)];
    }),
  ];
}

function loadoutChanges(then: SignedSnapshot, now: SignedSnapshot, names: Names): Change[] {
  const call = (id: string) => names.get(id) ?? 'Something no longer in the locker';
  const held = new Set(now.items.map(({ id }) => id));
  const had = new Set(then.items.map(({ id }) => id));
  const gone = now.outing.loadout.flatMap(({ itemId }): Change[] =>
    had.has(itemId) && !held.has(itemId)
      ? [{ of: call(itemId), what: 'is no longer in the locker', from: null, to: null, whole: true }]
      : [],
  );
  const quantities = now.outing.loadout.flatMap(({ itemId, quantity }): Change[] => {
    const was = then.outing.loadout.find((one) => one.itemId === itemId);
    return was && was.quantity !== quantity
      ? [
          {
            of: call(itemId),
            what: 'how many',
            from: String(was.quantity),
            to: String(quantity),
            whole: false,
          },
        ]
      : [];
  });
  const bare = (list: typeof now.outing.loadout) => list.map(({ quantity: _, ...one }) => one);
  return [
    ...records(bare(then.outing.loadout), bare(now.outing.loadout), 'itemId', {
      words: loadoutWords,
      call: ({ itemId }) => call(itemId),
      came: 'came aboard',
      went: 'was left ashore',
      names,
    }),
    ...quantities,
    ...gone,
  ];
}

/** What is answered with a reason: another reason, another extent, or none any more. */
function acceptedChanges(then: SignedSnapshot, now: SignedSnapshot, names: Names): Change[] {
  const before = new Map(then.outing.accepted.map((one) => [one.key, one]));
  const after = new Map(now.outing.accepted.map((one) => [one.key, one]));
  const whole = (key: string, what: string): Change => ({
    of: names.finding(key),
    what,
    from: null,
    to: null,
    whole: true,
  });
  return [
    ...[...before.keys()].filter((key) => !after.has(key)).map((key) => whole(key, 'is no longer answered')),
    ...[...after].flatMap(([key, one]): Change[] => {
      const was = before.get(key);
      if (!was) return [whole(key, 'was answered')];
      if (was.reason !== one.reason)
        return [
          { of: names.finding(key), what: 'the reason', from: was.reason, to: one.reason, whole: false },
        ];
      return differs(was, one) ? [whole(key, 'was answered again')] : [];
    }),
  ];
}

/** The same document, edited; another one chosen is told by the brief's own field. */
function sameOne(
  kind: KindName,
  words: Words,
  then: { id: string; name: string } | null,
  now: { id: string; name: string } | null,
  names: Names,
): Change[] {
  if (then && now && then.id === now.id)
    return fields(now.name, words, withoutUnsigned(kind, then), withoutUnsigned(kind, now), names);
  const lone = then === null ? now : now === null ? then : kind === 'anglers' ? now : null;
  if (!lone) return [];
  const what =
    now === null ? 'is no longer there' : then === null ? 'was not there then' : 'is another profile';
  return [{ of: lone.name, what, from: null, to: null, whole: true }];
}

/** Which rules hold is the water's to say: a whole other pack is told here. */
function packChanges(then: SignedSnapshot, now: SignedSnapshot, names: Names): Change[] {
  const [was, is] = [then.rulePack, now.rulePack];
  if (was && is && was.id !== is.id)
    return [{ of: null, what: 'the rules that hold there', from: was.name, to: is.name, whole: false }];
  return sameOne('rulePacks', rulePackWords, was, is, names);
}

function listed(
  kind: KindName,
  words: Words,
  then: readonly { id: string; name: string }[],
  now: readonly { id: string; name: string }[],
  names: Names,
): Change[] {
  const before = new Map(then.map((one) => [one.id, one]));
  return now.flatMap((one) => {
    const was = before.get(one.id);
    return was && was !== one
      ? fields(one.name, words, withoutUnsigned(kind, was), withoutUnsigned(kind, one), names)
      : [];
  });
}

function answerChanges(then: SignedSnapshot, now: SignedSnapshot, names: Names): Change[] {
  const before = new Map(then.answers.map((answer) => [answer.stepId, answer.verdict]));
  const after = new Map(now.answers.map((answer) => [answer.stepId, answer.verdict]));
  return [...new Set([...before.keys(), ...after.keys()])].flatMap((stepId): Change[] => {
    const [from, to] = [before.get(stepId) ?? 'not answered', after.get(stepId) ?? 'not answered'];
    return from === to ? [] : [{ of: names.step(stepId), what: 'the answer', from, to, whole: false }];
  });
}
