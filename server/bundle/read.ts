import { type z } from 'zod';
import {
  type BundleList,
  type CarriedDocument,
  bundleListSchema,
  bundledAnswerSchema,
  bundledCheckInSchema,
  bundledDocumentsSchema,
  bundledPlanSchema,
  bundledSignatureSchema,
  kindsOf,
} from '#core/documents/bundle';
import type { KindName } from '#core/documents/registry';
import { isRecord } from '#core/documents/upgrade';
import { sayIssue } from '#core/documents/sayIssue';
import { floatPlanSchema } from '#core/floatplan/floatPlan';
import { readFrozen } from '#core/signing/frozen';
import { type Picture, pictureOf } from '../documents/picture';
import { MOST_DEPTH, isTooMuch, needsSecondLook, unkeepableIn } from '../http/json';
import { Refusal } from '../errors/refusal';
import { plainId } from '../people/scope';
import { sumOf, textOf, unpack } from '../storage/archive';
import { hashOf } from '../walkround/snapshotHash';

/** How many values a file of a bundle may hold: some two thousand outings. */
const MOST_VALUES = 4_000_000;
/** Records in one piece. */
const PIECE = 200;

export type BundledAnswer = z.infer<typeof bundledAnswerSchema>;
export type BundledPlan = z.infer<typeof bundledPlanSchema>;
export type BundledCheckIn = z.infer<typeof bundledCheckInSchema>;
/** A signature of a bundle, held against its hash again. */
export type BundledSignature = z.infer<typeof bundledSignatureSchema> & {
  /** Whether its hash is that of what stands beside it. */
  good: boolean;
};

/** A bundle, opened and held against its sums. */
export interface Bundle {
  list: BundleList;
  documents: Map<KindName, CarriedDocument[]>;
  answers: BundledAnswer[];
  signatures: BundledSignature[];
  plans: BundledPlan[];
  checkIns: BundledCheckIn[];
  pictures: Picture[];
  /** Records and pictures that cannot be read. They are left out. */
  unreadable: number;
}

/**
 * A bundle as it comes out of the worker that opens it, some of it at a time, so that taking it over holds
 * nobody up.
 */
export type BundlePiece =
  | { of: 'list'; list: BundleList }
  | { of: 'documents'; kind: KindName; some: CarriedDocument[] }
  | { of: 'answers'; some: BundledAnswer[] }
  | { of: 'signatures'; some: BundledSignature[] }
  | { of: 'plans'; some: BundledPlan[] }
  | { of: 'checkIns'; some: BundledCheckIn[] }
  | { of: 'pictures'; some: Picture[] }
  | { of: 'unreadable'; count: number };

function refusal(detail: string): Refusal {
  return new Refusal('bad input', 'No bundle', detail, [{ field: 'file', message: detail }]);
}

/**
 * Opens a bundle. Its documents may be of any form, since they are held against their schemas where they are
 * compared; its records are held against the schemas of the routes that take them.
 * @throws Refusal (400) in words: no zip, no bundle, damaged, or of a newer program
 */
export async function* piecesOf(bytes: Uint8Array): AsyncGenerator<BundlePiece> {
  const files = await unpack(bytes);
  const raw = files['bundle.json'];
  if (!raw) throw refusal('This zip is no bundle: its list of contents is missing.');
  const listed = parsed('bundle.json', raw);
  const format = isRecord(listed) ? listed.format : undefined;
  if (typeof format === 'string' && /^bundle\/\d+$/.test(format) && format !== 'bundle/1')
    throw refusal('A newer version of this program made this bundle. Bring the program up to date first.');
  const list = bundleListSchema.safeParse(listed);
  if (!list.success) throw refusal('The list of contents of this bundle cannot be read.');
  for (const [path, { sha256 }] of Object.entries(list.data.files))
    if (!files[path] || sumOf(files[path]) !== sha256)
      throw refusal(`The bundle is damaged: ${path} is not as it was written.`);
  yield { of: 'list', list: list.data };

  const contents = (path: string): unknown[] => {
    const file = path in list.data.files ? files[path] : undefined;
    if (!file) return [];
    const value = parsed(path, file);
    if (Array.isArray(value)) return value;
    throw refusal(`${path} cannot be read: it holds no list.`);
  };
  for (const kind of kindsOf(list.data.parts)) {
    const path = `documents/${kind}.json`;
    const read = bundledDocumentsSchema.safeParse(contents(path));
    if (!read.success) {
      const [issue] = read.error.issues;
      throw refusal(`${path} cannot be read: ${issue?.path.join('.') ?? ''} ${sayIssue(issue)}`.trim());
    }
    for (const some of inPieces(read.data)) yield { of: 'documents', kind, some };
  }
  let unreadable = 0;
  const readable = <T>(path: string, read: (one: unknown) => T | null): T[] =>
    contents(path).flatMap((one) => {
      const value = read(one);
      if (value === null) unreadable += 1;
      return value === null ? [] : [value];
    });
  const by =
    <T>(schema: z.ZodType<T>) =>
    (one: unknown): T | null =>
      schema.safeParse(one).data ?? null;
  for (const some of inPieces(readable('records/answers.json', by(bundledAnswerSchema))))
    yield { of: 'answers', some };
  for (const some of inPieces(readable('records/signatures.json', signatureIn)))
    yield { of: 'signatures', some };
  for (const some of inPieces(readable('records/plans.json', planIn))) yield { of: 'plans', some };
  for (const some of inPieces(readable('records/check-ins.json', by(bundledCheckInSchema))))
    yield { of: 'checkIns', some };
  const pictures: Picture[] = [];
  for (const path of Object.keys(list.data.files)) {
    const [, id] = /^pictures\/([0-9a-f]{64})\.(?:jpeg|png|webp)$/.exec(path) ?? [];
    if (!id) continue;
    const picture = pictureOf(files[path] ?? new Uint8Array());
    if (picture?.id === id) pictures.push(picture);
    else unreadable += 1;
  }
  for (const some of inPieces(pictures)) yield { of: 'pictures', some };
  yield { of: 'unreadable', count: unreadable };
}

/** Puts the pieces of a bundle together. */
export function bundleFrom(pieces: readonly BundlePiece[]): Bundle {
  const [first] = pieces;
  if (first?.of !== 'list') throw new Error('A bundle begins with its list.');
  const bundle: Bundle = {
    list: first.list,
    documents: new Map(kindsOf(first.list.parts).map((kind) => [kind, []])),
    answers: [],
    signatures: [],
    plans: [],
    checkIns: [],
    pictures: [],
    unreadable: 0,
  };
  for (const piece of pieces) {
    if (piece.of === 'list') continue;
    if (piece.of === 'unreadable') bundle.unreadable += piece.count;
    else if (piece.of === 'documents') bundle.documents.get(piece.kind)?.push(...piece.some);
    else (bundle[piece.of] as unknown[]).push(...piece.some);
  }
  return bundle;
}

/** A signature whose content is one of this program, of the outing that it names. */
function signatureIn(one: unknown): BundledSignature | null {
  // Bundles of members once named the outing by the key of its row.
  const named =
    isRecord(one) && typeof one.outingId === 'string' ? { ...one, outingId: plainId(one.outingId) } : one;
  const read = bundledSignatureSchema.safeParse(named);
  if (!read.success) return null;
  const frozen = readFrozen(read.data.judged);
  if ('why' in frozen || frozen.snapshot.outing.id !== read.data.outingId) return null;
  return { ...read.data, good: hashOf(read.data.judged) === read.data.hash };
}

function planIn(one: unknown): BundledPlan | null {
  const read = bundledPlanSchema.safeParse(one);
  if (!read.success) return null;
  const plan = floatPlanSchema.safeParse(read.data.plan);
  return plan.success ? { ...read.data, plan: plan.data } : null;
}

function* inPieces<T>(list: readonly T[]): Generator<T[]> {
  for (let at = 0; at < list.length; at += PIECE) yield list.slice(at, at + PIECE);
}

/** @throws Refusal: it holds or nests more than can be opened, or text that cannot be kept */
function parsed(path: string, file: Uint8Array): unknown {
  const text = textOf(file);
  if (isTooMuch(text, { values: MOST_VALUES, depth: MOST_DEPTH }))
    throw refusal(`${path} holds more than can be opened at once.`);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (needsSecondLook(text) && unkeepableIn(value).length > 0)
    throw refusal(`${path} has a character that cannot be kept.`);
  return value;
}
