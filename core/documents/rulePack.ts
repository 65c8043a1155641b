import { forms } from './forms';
import { z } from 'zod';
import { needIds } from '../vocabulary/needs';
import { dateText, idText, lineText, nameText, quantity, wholeNumber } from './field';

export const ruleOccasions = ['always', 'in the dark', 'fishing', 'keeping fish'] as const;

const cited = { id: idText, text: lineText, citation: lineText };
const monthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Write it as mm-dd.');

export const ruleSchema = z.discriminatedUnion('rule', [
  /**
   * Raises a need to law; `want` is how many means, or how much in the need's own measure; null: as the
   * product counts it.
   */
  z.strictObject({
    ...cited,
    rule: z.literal('need'),
    needId: z.enum(needIds, 'No need that is known here.'),
    want: quantity(0, 1000, '').nullable(),
    /** The outings it speaks of. */
    when: z.enum(ruleOccasions, `One of: ${ruleOccasions.join(', ')}.`),
  }),
  /** `withPermission` is how many with a second-rod permission carried; null: none is given. */
  z
    .strictObject({
      ...cited,
      rule: z.literal('rods'),
      most: wholeNumber(1, 20),
      withPermission: wholeNumber(1, 20).nullable(),
    })
    .refine(({ most, withPermission }) => withPermission === null || withPermission > most, {
      path: ['withPermission'],
      message: 'More than without it, or leave it empty.',
    }),
  /** A fish may be kept only from this length on, or within a window. */
  z
    .strictObject({
      ...cited,
      rule: z.literal('size'),
      speciesId: idText,
      leastM: quantity(0, 4, 'm'),
      mostM: quantity(0, 4, 'm').nullable(),
    })
    .refine(({ leastM, mostM }) => mostM === null || mostM > leastM, {
      path: ['mostM'],
      message: 'Longer than the length it begins at, or leave it empty.',
    }),
  /** No anchor may be set there; null: nowhere on this water. */
  z.strictObject({ ...cited, rule: z.literal('no-anchor'), areaId: idText.nullable() }),
  z.strictObject({ ...cited, rule: z.literal('bag'), speciesId: idText, most: wholeNumber(0, 100) }),
  z.strictObject({ ...cited, rule: z.literal('closed'), speciesId: idText, from: monthDay, to: monthDay }),
]);
export type Rule = z.infer<typeof ruleSchema>;

/** Rules of one authority in our own words. The authority's own text always wins. */
export const rulePackSchema = z.strictObject({
  format: z.literal(forms.rulePacks),
  id: idText,
  name: nameText,
  authority: nameText,
  /** A law makes its needs law; good practice makes them musts. */
  standing: z.enum(['law', 'practice']),
  lastCheckedOn: dateText,
  rules: z.array(ruleSchema).max(200),
});
export type RulePack = z.infer<typeof rulePackSchema>;
