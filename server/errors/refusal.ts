import type { z } from 'zod';
import { sayIssue } from '#core/documents/sayIssue';

/** Why something is refused; which status that is over HTTP stands in `http/problem.ts`. */
export type RefusalKind =
  | 'bad input'
  | 'not signed in'
  | 'not allowed'
  | 'not found'
  | 'conflict'
  | 'too large'
  | 'wrong kind of file'
  | 'wrong name'
  | 'not ready'
  | 'too many tries'
  | 'busy';
export interface FieldError {
  field: string;
  message: string;
}

/** A refusal that the client can act on. */
export class Refusal extends Error {
  constructor(
    readonly kind: RefusalKind,
    readonly title: string,
    readonly detail: string,
    readonly errors: readonly FieldError[] = [],
    readonly current?: unknown,
  ) {
    super(detail);
    this.name = 'Refusal';
  }
}
export function notFound(what: string): Refusal {
  return new Refusal('not found', 'Not found', `There is no such ${what}.`);
}

const MOST_FIELDS = 100;

/** Input that does not fit its schema: one message per field. */
export class InvalidInput extends Error {
  readonly fields: FieldError[];
  constructor(part: string, error: z.ZodError) {
    super('Some of what was sent cannot be taken.');
    this.name = 'InvalidInput';
    // The first message of a field says enough, and so many fields do for one answer.
    const byField = new Map<string, FieldError>();
    for (const issue of error.issues) {
      for (const one of fieldErrors(part, issue)) if (!byField.has(one.field)) byField.set(one.field, one);
      if (byField.size >= MOST_FIELDS) break;
    }
    this.fields = [...byField.values()].slice(0, MOST_FIELDS);
  }
}

function fieldErrors(part: string, issue: z.core.$ZodIssue): FieldError[] {
  const path = issue.path.map(String);
  const name = (more: readonly string[]) =>
    [...(part === 'body' ? [] : [part]), ...path, ...more].join('.') || 'body';
  if (issue.code === 'unrecognized_keys')
    return issue.keys
      .slice(0, MOST_FIELDS)
      .map((key) => ({ field: name([key]), message: 'Not a known field.' }));
  return [{ field: name([]), message: sayIssue(issue) }];
}
