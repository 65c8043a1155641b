import { z } from 'zod';
import { needIds } from '../needs/ids';
import { speciesIds } from '../species/species';
import { dateText, idText, lineText, nameText, quantity, wholeNumber } from './field';

export const ruleOccasions = ['always', 'in the dark', 'fishing', 'keeping fish'] as const;

const cited = { id: idText, text: lineText, citation: lineText };
const monthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Write it as mm-dd.');

export const ruleSchema = z.discriminatedUnion('rule', [
  /** Raises a need to law; `want` is how many or how much, null: as the product counts it. */
  z.strictObject({
    ...cited,
    rule: z.literal('need'),
    needId: z.enum(needIds),
    want: quantity(0, 1000, '').nullable(),
    /** The outings it speaks of. */
    when: z.enum(ruleOccasions),
  }),
  z.strictObject({ ...cited, rule: z.literal('rods'), most: wholeNumber(1, 20) }),
  z.strictObject({ ...cited, rule: z.literal('bag'), speciesId: z.enum(speciesIds), most: wholeNumber(0, 100) }),
  z.strictObject({ ...cited, rule: z.literal('closed'), speciesId: z.enum(speciesIds), from: monthDay, to: monthDay }),
]);
export type Rule = z.infer<typeof ruleSchema>;

/** Rules of one authority in our own words. The authority's own text always wins. */
export const rulePackSchema = z.strictObject({
  format: z.literal('rule-pack/1'),
  id: idText,
  name: nameText,
  authority: nameText,
  lastCheckedOn: dateText,
  rules: z.array(ruleSchema).max(200),
});
export type RulePack = z.infer<typeof rulePackSchema>;
