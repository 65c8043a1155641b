import { z } from 'zod';
import { canonical } from './canonical';
import { answerSchema } from './answer';
import { checkInSchema } from './checkIn';
import { idText, instantText, wholeNumber } from './field';
import { openDocument, sayNotOpened } from './open';
import { type KindName, documentKinds, kindNames } from './registry';
import { isRecord } from './upgrade';

/** What of a house can be taken along by itself, and what it is called. */
export const bundleParts = {
  profile: { word: 'Your profile', kinds: ['anglers'] },
  things: { word: 'Things, with their pictures', kinds: ['items'] },
  boats: { word: 'Boats', kinds: ['craft'] },
  waters: { word: 'Waters', kinds: ['waters'] },
  species: { word: 'Species of your own', kinds: ['species'] },
  rules: { word: 'Rule packs', kinds: ['rulePacks'] },
  procedures: { word: 'Procedures', kinds: ['procedures'] },
  outings: { word: 'Outings, with their walk-rounds, signatures, plans and logs', kinds: ['outings'] },
} as const satisfies Record<string, { word: string; kinds: readonly KindName[] }>;
export type BundlePart = keyof typeof bundleParts;
export const bundlePartNames = Object.keys(bundleParts) as BundlePart[];
export const kindsOf = (parts: readonly BundlePart[]): KindName[] =>
  parts.flatMap((part) => [...bundleParts[part].kinds]);

const keyText = idText;
/** A document as it stood in its house: whatever form it had. */
const carriedSchema = z.strictObject({ version: z.int().min(1), updatedAt: instantText, doc: z.unknown() });
export type CarriedDocument = z.infer<typeof carriedSchema>;

/** The list of contents: what the zip holds, each file with the sum of its bytes. */
export const bundleListSchema = z.strictObject({
  format: z.literal('bundle/1'),
  madeAt: instantText,
  parts: z.array(z.enum(bundlePartNames as [BundlePart, ...BundlePart[]])).min(1),
  files: z.record(z.string().max(300), z.strictObject({ sha256: z.string().regex(/^[0-9a-f]{64}$/) })),
});
export type BundleList = z.infer<typeof bundleListSchema>;

/** `documents/<kind>.json` */
export const bundledDocumentsSchema = z.array(carriedSchema).max(50_000);
/** How far two clocks can be apart, ms: as far as the moments that are kept. */
const MOST_AHEAD_MS = 300 * 366 * 86_400_000;
/** By which clock something was recorded, and how far ahead that one was of the device's. */
const recorded = {
  recordedAt: instantText,
  clockAheadMs: wholeNumber(-MOST_AHEAD_MS, MOST_AHEAD_MS).nullable(),
};
/**
 * One of `records/answers.json`: what was answered on a walk-round, as the route that records it takes it.
 */
export const bundledAnswerSchema = answerSchema.extend({ outingId: keyText, ...recorded });
/** One of `records/signatures.json`: what was signed, whole, with its hash. */
export const bundledSignatureSchema = z.strictObject({
  outingId: keyText,
  signedAt: instantText,
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  judged: z.unknown(),
  key: z.uuid().nullable(),
});
/** One of `records/plans.json`: a plan as it was left with somebody ashore. */
export const bundledPlanSchema = z.strictObject({
  key: z.uuid(),
  outingId: keyText,
  plan: z.unknown(),
  leftAt: instantText,
});
/** One of `records/check-ins.json`: what was said from the water. */
export const bundledCheckInSchema = checkInSchema.extend({ outingId: keyText, ...recorded });

/** How a document of a bundle stands to the one of its name here. */
export type Standing =
  /** There is none here, or it was deleted. */
  | 'new'
  | 'same'
  /** It was changed there later than here. */
  | 'changed'
  /** It was changed here later than there, or both were. */
  | 'clash'
  | 'unreadable'
  /** A newer version of the program made it. */
  | 'newer';

export interface Compared {
  kind: KindName;
  id: string;
  name: string;
  is: Standing;
  /** Why it cannot be read; else empty. */
  why: string;
  /** The version of the one here, which it would take the place of; null: there is none that stands. */
  here: number | null;
  /** In today's form; null where it is not readable. */
  doc: { id: string } | null;
}
/** What stands here under a name. */
export interface KeptHere {
  version: number;
  updatedAt: string;
  deleted: boolean;
  doc: unknown;
}

/**
 * Holds what a bundle carries of a kind against what is here. Of a kind of which a house has one, the
 * profile, theirs is held against ours whatever it is called.
 * @param read what is read here besides one's own, the club's: of what is the same there no second is made
 */
export function compared(
  kind: KindName,
  theirs: readonly CarriedDocument[],
  here: ReadonlyMap<string, KeptHere>,
  read: ReadonlyMap<string, KeptHere> = new Map(),
): Compared[] {
  const sameAs = (kept: KeptHere, doc: { id: string }) => {
    const opened = openDocument<{ id: string }>(documentKinds[kind], kept.doc);
    return opened.is === 'opened' && canonical(opened.doc) === canonical(doc);
  };
  const [only] = kind === 'anglers' ? [...here].filter(([, one]) => !one.deleted) : [];
  return theirs.map(({ updatedAt, version, doc: raw }) => {
    const opened = openDocument<{ id: string }>(documentKinds[kind], raw);
    const named = isRecord(raw) ? String(raw.name ?? raw.title ?? raw.id ?? '') : '';
    const rawId = isRecord(raw) && typeof raw.id === 'string' ? raw.id : '';
    const base = { kind, name: named.slice(0, 80) || 'without a name', here: null, why: '' };
    if (opened.is !== 'opened')
      return {
        ...base,
        id: rawId.slice(0, 200),
        is: opened.is === 'newer' ? 'newer' : 'unreadable',
        why: sayNotOpened(opened),
        doc: null,
      };
    const doc = only ? { ...opened.doc, id: only[0] } : opened.doc;
    const ours = here.get(doc.id);
    const row = { ...base, id: doc.id, doc };
    if (!ours || ours.deleted) {
      const shared = read.get(doc.id);
      return { ...row, is: shared && !shared.deleted && sameAs(shared, doc) ? 'same' : 'new' };
    }
    if (sameAs(ours, doc)) return { ...row, is: 'same', here: ours.version };
    const later = Date.parse(updatedAt) > Date.parse(ours.updatedAt) && version >= ours.version;
    return { ...row, is: later ? 'changed' : 'clash', here: ours.version };
  });
}

/** The name by which one of a bundle is chosen. */
export const choiceOf = ({ kind, id }: Pick<Compared, 'kind' | 'id'>): string => `${kind}/${id}`;
/** Those that are brought in unless one says otherwise. */
export const isTakenByItself = ({ is }: Pick<Compared, 'is'>): boolean => is === 'new' || is === 'changed';
export const isTakeable = ({ is }: Pick<Compared, 'is'>): boolean =>
  isTakenByItself({ is }) || is === 'clash';

/**
 * The published form of a bundle, as one JSON Schema: its files as properties by their paths, the forms of the
 * documents among its definitions.
 */
export function bundleJsonSchema(): Record<string, unknown> {
  const written = (schema: z.ZodType) => {
    const { $schema: _, ...rest } = z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' });
    return rest;
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: 'urn:unhurried-tally:bundle/1',
    title: 'Unhurried Tally bundle/1',
    description:
      'A zip. bundle.json lists every other file with the SHA-256 of its bytes. A signature’s hash is the SHA-256 of what was judged, as JSON with sorted keys. csv/ and gpx/ are for other programs and are not read back.',
    type: 'object',
    required: ['bundle.json'],
    properties: {
      'bundle.json': written(bundleListSchema),
      ...Object.fromEntries(
        kindNames.map((kind) => [`documents/${kind}.json`, written(bundledDocumentsSchema)]),
      ),
      'records/answers.json': written(z.array(bundledAnswerSchema)),
      'records/signatures.json': written(z.array(bundledSignatureSchema)),
      'records/plans.json': written(z.array(bundledPlanSchema)),
      'records/check-ins.json': written(z.array(bundledCheckInSchema)),
    },
    patternProperties: {
      '^pictures/[0-9a-f]{64}\\.(jpeg|png|webp)$': {
        description: 'A small picture of a thing, named by its bytes.',
      },
    },
    $defs: Object.fromEntries(kindNames.map((kind) => [kind, written(documentKinds[kind].schema)])),
  };
}
