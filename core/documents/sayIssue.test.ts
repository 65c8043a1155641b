import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { sayIssue } from './sayIssue';

const said = (schema: z.ZodType, value: unknown) => schema.safeParse(value).error?.issues.map(sayIssue);

describe('what is wrong with a field', () => {
  it.each([
    [z.object({ a: z.string() }), {}, 'This is missing.'],
    [z.object({ a: z.enum(['b', 'c']) }), {}, 'One of: b, c.'],
    [z.string(), 7, 'Write this as text.'],
    [z.number(), 'seven', 'Write this as a number.'],
    [z.int(), 1.5, 'Write this as a whole number.'],
    [z.boolean(), null, 'Write this as true or false.'],
    [z.array(z.string()), {}, 'Write this as a list.'],
    [z.strictObject({}), [], 'Write this as a record.'],
    [z.literal('item/3'), 'item/4', 'This must be item/3.'],
    [z.enum(['sit-in', 'sit-on-top']), 'sit', 'One of: sit-in, sit-on-top.'],
    [z.union([z.string(), z.number()]), null, 'This has none of the forms that it may have.'],
    [z.string().max(3), 'four', 'This has none of the forms that it may have.'],
  ])('is said in a sentence where the schema has none: %#', (schema, value, sentence) => {
    expect(said(schema, value)).toEqual([sentence]);
  });
  it('is said in the words of the schema where it has them', () => {
    expect(said(z.number('A number from 0 to 5 m.'), undefined)).toEqual(['A number from 0 to 5 m.']);
  });
});
