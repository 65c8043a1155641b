import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { canonical } from '../documents/canonical';
import type { Outing } from '../documents/outing';
import { type KindName, documentKinds } from '../documents/registry';
import { withItem } from '../editing/edit';
import { newRig } from '../editing/rigs';
import { lookUp } from '../documents/references';
import { lastAnswers } from '../walkround/answers';
import type { Answer } from '../documents/answer';
import { changesSince } from './changes';
import { sayChange, sayChanges } from './sayChanges';
import { type SignedSnapshot, openSnapshot, signedSnapshot, unsignedOfAnswers } from './snapshot';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings, answers: given } = demo(now);
const [ready] = outings as [Outing];
const good = lastAnswers(given.answers);
const then = signedSnapshot(ready, references, good);
const said = (after: Outing) => changesSince(then, signedSnapshot(after, references, good)).map(sayChange);

/** An outing in which every list of every document has something in it. */
function fullSnapshot(): SignedSnapshot {
  const [rod] = references.items.filter(({ attributes }) => attributes.castMinG !== undefined);
  const [own] = references.species;
  if (!rod || !own) throw new Error('The demo has a rod and a fish of its own.');
  const full: Outing = {
    ...withItem(ready, rod.id, 1),
    brief: {
      ...ready.brief,
      targets: [...ready.brief.targets, own.id],
      turnAt: '09:00',
      landingId: ready.brief.launchId,
      route: {
        out: [{ latDeg: 1, lonDeg: 2, name: 'mark' }],
        home: [{ latDeg: 1, lonDeg: 2, name: 'mark' }],
      },
    },
    company: [
      {
        id: 'friend',
        name: 'A Friend',
        boat: 'red',
        says: ['buoyancy'],
        brings: [{ id: 'pot', kind: 'stove', name: 'Pot', quantity: 1 }],
      },
    ],
    rigs: [newRig('rig-1', rod, lookUp(withItem(ready, rod.id, 1), references))],
    workings: { ...ready.workings, deviceHours: { [rod.id]: 3 } },
    accepted: [{ key: 'need-unmet:sun', reason: 'Overcast.', at: '2026-05-15T18:00:00Z', extent: 1 }],
  };
  return signedSnapshot(full, references, good);
}

const MANY = 12;
type Path = readonly (string | number)[];
/** Every field there is; of long lists of like records some at both ends. */
function leaves(value: unknown, path: Path = []): Path[] {
  if (value === null || typeof value !== 'object') return [path];
  const entries = Object.entries(value);
  const some =
    Array.isArray(value) && entries.length > MANY
      ? [...entries.slice(0, MANY - 1), ...entries.slice(-1)]
      : entries;
  return some.flatMap(([key, part]) => leaves(part, [...path, Array.isArray(value) ? Number(key) : key]));
}
function other(value: unknown): unknown {
  if (typeof value === 'number') return value + 1;
  if (typeof value === 'boolean') return !value;
  return typeof value === 'string' ? `${value}x` : 'was nothing';
}
function changedAt(value: unknown, [first, ...rest]: Path): unknown {
  if (first === undefined) return other(value);
  const part = (value as Record<string, unknown>)[first];
  if (Array.isArray(value))
    return value.map((one, i) => (i === first ? changedAt(one, rest) : (one as unknown)));
  return { ...(value as object), [first]: changedAt(part, rest) };
}
const kindOf: Readonly<Record<string, KindName>> = {
  outing: 'outings',
  angler: 'anglers',
  craft: 'craft',
  water: 'waters',
  rulePack: 'rulePacks',
  species: 'species',
  items: 'items',
};
/** Why a field is deliberately no part of a signature; null: it is signed. */
function unsigned([part, ...path]: Path): string | null {
  if (part === 'format') return 'the form is the program’s';
  if (part === 'answers') return (unsignedOfAnswers as Record<string, string>)[String(path[1])] ?? null;
  const kind = kindOf[String(part)];
  const field = part === 'species' || part === 'items' ? path[1] : path[0];
  return kind ? (documentKinds[kind].unsigned[String(field)] ?? null) : null;
}

describe('a law of signatures', () => {
  const full = fullSnapshot();
  const ids = [
    full.craft,
    full.water,
    full.angler,
    full.rulePack,
    ...full.items,
    ...(full.water?.launches ?? []),
    ...(full.water?.areas ?? []),
  ].flatMap((one) => (one && one.id.includes('-') && one.id !== one.name ? [one.id] : []));
  const paths = leaves(full);

  it('has every field of every signed document before it', () => {
    expect(paths.length).toBeGreaterThan(900);
    expect(full.species).toHaveLength(1);
    expect(full.outing.rigs).toHaveLength(1);
  });
  it('whatever field of whatever signed document changes, it is told in words, or deliberately not signed', () => {
    for (const path of paths) {
      const changes = changesSince(full, changedAt(full, path) as SignedSnapshot);
      const where = path.join('.');
      if (unsigned(path) === null) expect(changes.length, where).toBeGreaterThan(0);
      for (const sentence of changes.map(sayChange)) {
        expect(sentence, where).toMatch(/^[A-ZÅÄÖ“][^\n]+\.$/u);
        expect(sentence, where).not.toMatch(/undefined|null|NaN|\[object|something newer/);
        expect(
          ids.filter((id) => sentence.includes(id)),
          `${where}: ${sentence}`,
        ).toEqual([]);
      }
    }
  });
  it('what leaves a list is told, whichever list it is', () => {
    const lists = ['loadout', 'company', 'rigs', 'accepted'] as const;
    for (const list of lists) {
      const shorter = { ...full, outing: { ...full.outing, [list]: full.outing[list].slice(1) } };
      expect(changesSince(full, shorter).length, list).toBeGreaterThan(0);
      expect(changesSince(shorter, full).length, list).toBeGreaterThan(0);
    }
    expect(changesSince(full, { ...full, items: full.items.slice(1) }).length).toBeGreaterThan(0);
    expect(changesSince(full, { ...full, answers: full.answers.slice(1) }).length).toBeGreaterThan(0);
  });
  it('nothing is told where nothing changed', () => {
    expect(changesSince(full, JSON.parse(JSON.stringify(full)) as SignedSnapshot)).toEqual([]);
  });
});

describe('a signature', () => {
  it('has the same text for the same content in any order, and another for another', () => {
    expect(canonical({ b: 1, a: [{ d: 2, c: null }] })).toBe('{"a":[{"c":null,"d":2}],"b":1}');
    const turned = { ...references, items: references.items.toReversed() };
    expect(canonical(signedSnapshot(ready, turned, good))).toBe(canonical(then));
    expect(canonical(signedSnapshot(withItem(ready, 'hat', 0), references, good))).not.toBe(canonical(then));
  });
  it('holds while nothing changed, things left ashore in the locker included', () => {
    const items = references.items.map((one) => (one.id === 'sponge' ? { ...one, massKg: 1 } : one));
    expect(changesSince(then, signedSnapshot(ready, { ...references, items }, good))).toEqual([]);
  });
  it('holds through what is written ashore, and through a new picture of a thing', () => {
    const items = references.items.map((one) =>
      one.id === 'radio' ? { ...one, photo: 'a'.repeat(64) } : one,
    );
    const logged = {
      ...ready,
      log: { launchedAt: '05:10', landedAt: null, items: [], catches: [], wishes: [], note: '' },
    };
    expect(changesSince(then, signedSnapshot(logged, { ...references, items }, good))).toEqual([]);
  });
  it.each([
    [
      'a changed target',
      { ...ready, brief: { ...ready.brief, targets: ['cod'] } },
      'The target was pollack and sea bass; now cod.',
    ],
    [
      'another boat',
      { ...ready, brief: { ...ready.brief, craftId: 'dunlin' } },
      'The boat was Grey Wagtail; now Dunlin.',
    ],
    ['something put aboard', withItem(ready, 'stirrup', 1), 'Re-entry stirrup came aboard.'],
    ['something left ashore', withItem(ready, 'hat', 0), 'Hat with a cord was left ashore.'],
    ['another number', withItem(ready, 'bottle', 5), 'Water bottle, 1 L: how many was 4; now 5.'],
    [
      'a number on a sheet',
      { ...ready, workings: { ...ready.workings, targetDriftMps: 0.4 } },
      'On the sheets: the drift wanted was 0.25 m/s; now 0.4 m/s.',
    ],
    [
      'someone who joined',
      { ...ready, company: [{ id: 'b', name: 'Borrowed Friend', boat: '', says: [], brings: [] }] },
      'Borrowed Friend joined the party.',
    ],
  ] as [string, Outing, string][])('tells of %s', (_, after, sentence) => {
    expect(said(after)).toContain(sentence);
  });
  it('tells of a changed boat, a changed item, a changed answer', () => {
    const edited = {
      ...references,
      craft: references.craft.map((one) => ({ ...one, ratedLoadKg: 1 + one.ratedLoadKg })),
      items: references.items.map((one) =>
        one.id === 'radio' ? { ...one, condition: 'under repair' as const } : one,
      ),
    };
    const fault: Answer = {
      key: crypto.randomUUID(),
      stepId: 'item:phone',
      verdict: 'fault',
      at: '2026-05-15T19:00:00Z',
      note: '',
    };
    const after = signedSnapshot(ready, edited, lastAnswers([...given.answers, fault]));
    const [craft, ...rest] = sayChanges(changesSince(then, after));
    expect(craft).toMatch(/^Grey Wagtail: the rated load was \d+ kg; now \d+ kg\.$/);
    expect(rest[0]).toBe('Handheld radio, floats: the condition was good; now under repair.');
    expect(rest[1]).toMatch(/: the answer was good; now fault\.$/);
  });
  it('counts the rest when much has changed', () => {
    const lines = sayChanges(changesSince(then, signedSnapshot({ ...ready, loadout: [] }, references, good)));
    expect(lines).toHaveLength(6);
    expect(lines.at(-1)).toMatch(/^And \d+ more changes\.$/);
  });
  it('of an earlier form holds: what its form lacked then is no change of what was signed', () => {
    const { format: _, species: __, ...old } = JSON.parse(JSON.stringify(then)) as SignedSnapshot;
    const frozen = {
      ...old,
      outing: {
        ...old.outing,
        format: 'outing/1',
        loadout: old.outing.loadout.map(({ outsideContainer: apart, carriedBy: withId, ...one }) => ({
          ...one,
          apart,
          withId,
        })),
      },
      craft: old.craft && { ...old.craft, format: 'craft/1' },
      items: old.items.map((item) => ({ ...item, format: 'item/1' })),
    };
    expect(changesSince(openSnapshot(frozen), then)).toEqual([]);
    const aboard = signedSnapshot(withItem(ready, 'stirrup', 1), references, good);
    expect(changesSince(openSnapshot(frozen), aboard).map(sayChange)).toEqual([
      'Re-entry stirrup came aboard.',
    ]);
  });
});
