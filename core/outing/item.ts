import { z } from 'zod';
import { attributeIds, qualityIds } from '../gear/attributes';
import { kindIds } from '../gear/kinds';
import { dateText, idText, nameText, noteText, quantity, wholeNumber } from './field';

/** Something owned, in the locker. Mass is of one piece. */
export const itemSchema = z.strictObject({
  format: z.literal('item/1'),
  id: idText,
  name: nameText,
  kind: z.enum(kindIds, 'Choose a kind.'),
  quantity: wholeNumber(1, 500),
  massKg: quantity(0, 120, 'kg'),
  /** Measures that decide whether it does its job; units in gear/attributes. */
  attributes: z.partialRecord(z.enum(attributeIds), quantity(0, 100_000, '')),
  qualities: z.array(z.enum(qualityIds)).max(qualityIds.length),
  condition: z.enum(['good', 'failed inspection', 'under repair']),
  /** The last day it is in date; null: it does not expire. */
  expiresOn: dateText.nullable(),
  /** The item it lives in; counts only when that item is aboard too. */
  containerId: idText.nullable(),
  /** The battery it runs on; null: its own cells, or none. */
  poweredById: idText.nullable(),
  /** Goes on every outing: put aboard when an outing is made. */
  always: z.boolean(),
  note: noteText,
});
export type Item = z.infer<typeof itemSchema>;
