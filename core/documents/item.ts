import { forms } from './forms';
import { z } from 'zod';
import {
  type AttributeId,
  attributeIds,
  attributeRange,
  attributes,
  qualityIds,
} from '../catalog/gear/attributes';
import { kindIds } from '../catalog/gear/kinds';
import { dateText, idText, lineText, nameText, noteText, quantity, wholeNumber } from './field';

/** Each measure in its own unit and within what it may be. */
const measures = Object.fromEntries(
  attributeIds.map((id) => [
    id,
    quantity(...(attributeRange[id] ?? [0, 100_000]), attributes[id].unit).optional(),
  ]),
) as Record<AttributeId, z.ZodOptional<ReturnType<typeof quantity>>>;

/** Something owned, in the locker. Mass is of one piece. */
export const itemSchema = z.strictObject({
  format: z.literal(forms.items),
  id: idText,
  name: nameText,
  kind: z.enum(kindIds, 'Choose a kind.'),
  quantity: wholeNumber(1, 500),
  massKg: quantity(0, 120, 'kg'),
  /** Measures that decide whether it does its job; units in gear/attributes. */
  attributes: z.strictObject(measures),
  qualities: z.array(z.enum(qualityIds)).max(qualityIds.length),
  condition: z.enum(['good', 'failed inspection', 'under repair']),
  /** Packed: longest, middle, shortest, m; null: as usual for the kind. */
  sizeM: z.tuple([quantity(0, 6, 'm'), quantity(0, 3, 'm'), quantity(0, 3, 'm')]).nullable(),
  /** What was paid, in one's own money; null: not written down. */
  cost: quantity(0, 100_000, '').nullable(),
  boughtOn: dateText.nullable(),
  /** When it was last looked over as its kind asks; null: never. */
  servicedOn: dateText.nullable(),
  /** Its small picture, named by the SHA-256 of what it shows; null: none. */
  photo: z
    .string()
    .regex(/^[0-9a-f]{64}$/, 'Not the name of a picture that is kept.')
    .nullable(),
  /** The last day it is in date; null: it does not expire. */
  expiresOn: dateText.nullable(),
  /** The item it lives in; counts only when that item is aboard too. */
  containerId: idText.nullable(),
  /** The battery it runs on; null: its own cells, or none. */
  poweredById: idText.nullable(),
  /** Goes on every outing: put aboard when an outing is made. */
  always: z.boolean(),
  /** Why it comes along though no need asks for it, in the angler's own words; empty: no reason given. */
  stays: lineText,
  note: noteText,
});
export type Item = z.infer<typeof itemSchema>;
