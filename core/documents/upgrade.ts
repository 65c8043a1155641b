/** A document as it was kept: nothing is known of it but that it is a record. */
export type RawDocument = Readonly<Record<string, unknown>>;

/**
 * One step from a form of a document to the next. Steps are only ever added, never changed: each is named by
 * what it does, carries its own figures, and is tested on a kept sample of the old form.
 */
export interface Upgrade {
  from: string;
  to: string;
  name: string;
  up: (old: RawDocument) => RawDocument;
}

export function isRecord(value: unknown): value is RawDocument {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}

/**
 * The list with each record of it changed; what is no list or no record stays, for the schema to speak of.
 */
export function eachRecord(value: unknown, change: (record: RawDocument) => RawDocument): unknown {
  return Array.isArray(value) ? value.map((one: unknown) => (isRecord(one) ? change(one) : one)) : value;
}

/** The same record with what it lacks; what it has stays. */
export function completed(record: unknown, missing: RawDocument): unknown {
  return isRecord(record) ? { ...missing, ...record } : record;
}
