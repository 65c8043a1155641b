import { z } from 'zod';
import { Refusal } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import type { Person } from './store';

/** What goes over the wire about people. */
export const nameText = z
  .string('A name.')
  .trim()
  .min(1, 'Give a name.')
  .max(60, 'At most 60 letters.')
  .regex(/^[\p{L}\p{N}][\p{L}\p{N} .'’_-]*$/u, 'Letters, digits, spaces and . ’ _ - only.');
export const passwordText = z
  .string('A password.')
  .min(10, 'At least ten characters.')
  .max(200, 'At most 200 characters.');
/** What is only compared may be anything: whether it fits the rules says nothing to whoever guesses. */
export const givenText = z.string().max(300);
export const tokenText = z.string().max(100);

export const personSchema = z.object({ id: z.string(), name: z.string(), keeper: z.boolean() });
export const meSchema = z.object({
  /** Whether people sign in here. */
  accounts: z.boolean(),
  person: personSchema.nullable(),
});
export const codesSchema = z.object({ person: personSchema, codes: z.array(z.string()) });
export const problems = {
  400: problemSchema,
  401: problemSchema,
  403: problemSchema,
  404: problemSchema,
  409: problemSchema,
  429: problemSchema,
  503: problemSchema,
};
export const doneSchema = z.object({ done: z.literal(true) });
export const numbered = z.strictObject({
  id: z.coerce.number().pipe(
    z
      .int('A whole number.')
      .min(1)
      .max(2 ** 31 - 1),
  ),
});

export const publicPerson = ({ id, name, keeper }: Person) => ({ id, name, keeper });
export const invitationOver = () =>
  new Refusal(
    'not found',
    'Not found',
    'This address lets nobody in: it was used, withdrawn, or its time is over.',
  );
