import type { DocumentKind } from './registry';
import { sayIssue } from './sayIssue';
import { type RawDocument, type Upgrade, isRecord } from './upgrade';

/** A document as it came out of where it was kept. */
export type Opened<Doc> =
  | { is: 'opened'; doc: Doc }
  /** Of a form that a newer program made: it is left as it is. */
  | { is: 'newer'; format: string }
  | { is: 'unreadable'; faults: readonly Fault[] };
export interface Fault {
  field: string;
  message: string;
}

const MOST_FAULTS = 20;

/** Reads a kept document: brought up to today's form, then held to its schema. Nothing is written. */
export function openDocument<Doc>(
  kind: Pick<DocumentKind<Doc>, 'format' | 'schema' | 'upgrades'>,
  kept: unknown,
): Opened<Doc> {
  if (!isRecord(kept)) return { is: 'unreadable', faults: [{ field: '', message: 'It is no document.' }] };
  const brought = upgraded(kind, kept);
  const parsed = kind.schema.safeParse(brought);
  if (parsed.success) return { is: 'opened', doc: parsed.data };
  const format = isRecord(brought) && typeof brought.format === 'string' ? brought.format : '';
  if (isNewer(format, kind.format)) return { is: 'newer', format };
  const faults = parsed.error.issues
    .slice(0, MOST_FAULTS)
    .map((issue) => ({ field: issue.path.map(String).join('.'), message: sayIssue(issue) }));
  return { is: 'unreadable', faults };
}

/**
 * The document in today's form; one of an unknown or newer form, or no document at all, comes back as it is.
 */
export function upgraded(kind: { format: string; upgrades: readonly Upgrade[] }, kept: unknown): unknown {
  let doc = kept;
  for (const step of kind.upgrades) if (isRecord(doc) && doc.format === step.from) doc = taken(step, doc);
  return doc;
}
function taken(step: Upgrade, doc: RawDocument): RawDocument {
  return { ...step.up(doc), format: step.to };
}

function isNewer(format: string, ours: string): boolean {
  const [name, number] = split(format);
  const [ourName, ourNumber] = split(ours);
  return name === ourName && number > ourNumber;
}
function split(format: string): [name: string, number: number] {
  const [name = '', number = ''] = format.split('/');
  return [name, Number(number)];
}

/** Why a document was set aside, in a sentence. */
export function sayNotOpened(opened: Exclude<Opened<unknown>, { is: 'opened' }>): string {
  if (opened.is === 'newer')
    return `A newer version of this program made it (${opened.format}). It is left as it is.`;
  const [first] = opened.faults;
  const where = first && first.field !== '' ? `${first.field}: ` : '';
  return `It cannot be read. ${where}${first?.message ?? ''}`;
}
