import type { z } from 'zod';

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a record',
  record: 'a record',
};
/** How the validator begins what no schema of ours has words for. */
const ITS_OWN = /^(Invalid|Too small|Too big|Unrecognized)/;

/**
 * What is wrong with a field, in a sentence: the schema's own, or for what it has none for, one that says
 * what is wanted; of none, nothing.
 */
export function sayIssue(issue: z.core.$ZodIssue | null | undefined): string {
  if (!issue) return '';
  if (!ITS_OWN.test(issue.message)) return issue.message;
  if (issue.message.endsWith('received undefined')) return 'This is missing.';
  if (issue.code === 'invalid_type') return `Write this as ${KINDS[issue.expected] ?? issue.expected}.`;
  if (issue.code !== 'invalid_value') return 'This has none of the forms that it may have.';
  const [first, ...rest] = issue.values.map(String);
  return rest.length === 0 ? `This must be ${first ?? ''}.` : `One of: ${[first, ...rest].join(', ')}.`;
}
