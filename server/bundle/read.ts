import { createHash } from 'node:crypto';
import { type z } from 'zod';
import {
  type BundleList,
  type CarriedDocument,
  bundleListSchema,
  bundledAnswersSchema,
  bundledCheckInsSchema,
  bundledDocumentsSchema,
  bundledPlansSchema,
  bundledSignaturesSchema,
  kindsOf,
} from '#core/documents/bundle';
import type { KindName } from '#core/documents/registry';
import { sayIssue } from '#core/documents/sayIssue';
import { holdsMoreThan } from '../http/json';
import { Refusal } from '../http/problem';
import { type Files, sumOf, textOf, unpack } from '../storage/archive';

/** How many values a file of a bundle may hold: some six thousand outings. */
const MOST_VALUES = 10_000_000;

/** A bundle, opened and held against its sums. */
export interface Bundle {
  list: BundleList;
  documents: ReadonlyMap<KindName, readonly CarriedDocument[]>;
  answers: z.infer<typeof bundledAnswersSchema>;
  signatures: z.infer<typeof bundledSignaturesSchema>;
  plans: z.infer<typeof bundledPlansSchema>;
  checkIns: z.infer<typeof bundledCheckInsSchema>;
  pictures: readonly { id: string; mediaType: string; data: string }[];
}

function refusal(detail: string): Refusal {
  return new Refusal(400, 'No bundle', detail, [{ field: 'file', message: detail }]);
}

/**
 * Opens a bundle.
 * @throws Refusal (400) in words: no zip, no bundle, damaged, or of a newer program
 */
export async function readBundle(bytes: Uint8Array): Promise<Bundle> {
  const files = await unpack(bytes);
  const raw = files['bundle.json'];
  if (!raw) throw refusal('This zip is no bundle: its list of contents is missing.');
  const listText = textOf(raw);
  const parsedList = holdsMoreThan(MOST_VALUES, listText) ? null : parsed(listText);
  const { format } = (parsedList ?? {}) as { format?: unknown };
  if (typeof format === 'string' && /^bundle\/\d+$/.test(format) && format !== 'bundle/1')
    throw refusal('A newer version of this program made this bundle. Bring the program up to date first.');
  const list = bundleListSchema.safeParse(parsedList);
  if (!list.success) throw refusal('The list of contents of this bundle cannot be read.');
  for (const [path, { sha256 }] of Object.entries(list.data.files))
    if (!files[path] || sumOf(files[path]) !== sha256)
      throw refusal(`The bundle is damaged: ${path} is not as it was written.`);
  const listed = Object.fromEntries(
    Object.keys(list.data.files).map((path) => [path, files[path] ?? new Uint8Array()]),
  );
  const part = <T>(path: string, schema: z.ZodType<T[]>): T[] => {
    const file = listed[path];
    if (!file) return [];
    const text = textOf(file);
    if (holdsMoreThan(MOST_VALUES, text)) throw refusal(`${path} holds more than can be opened at once.`);
    const read = schema.safeParse(parsed(text));
    if (read.success) return read.data;
    const [issue] = read.error.issues;
    throw refusal(`${path} cannot be read: ${issue?.path.join('.') ?? ''} ${sayIssue(issue)}`.trim());
  };
  return {
    list: list.data,
    documents: new Map(
      kindsOf(list.data.parts).map((kind) => [kind, part(`documents/${kind}.json`, bundledDocumentsSchema)]),
    ),
    answers: part('records/answers.json', bundledAnswersSchema),
    signatures: part('records/signatures.json', bundledSignaturesSchema),
    plans: part('records/plans.json', bundledPlansSchema),
    checkIns: part('records/check-ins.json', bundledCheckInsSchema),
    pictures: picturesIn(listed),
  };
}

/** Pictures are known by their bytes: one under a name that is not theirs is left. */
function picturesIn(files: Files): Bundle['pictures'] {
  return Object.entries(files).flatMap(([path, bytes]) => {
    const [, id, type] = /^pictures\/([0-9a-f]{64})\.(jpeg|png|webp)$/.exec(path) ?? [];
    if (!id || createHash('sha256').update(bytes).digest('hex') !== id) return [];
    return [{ id, mediaType: `image/${type ?? 'jpeg'}`, data: Buffer.from(bytes).toString('base64') }];
  });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}
