import { z } from 'zod';
import { instantText } from './field';

/** What an angler says from the water, one press each. */
const checkInKinds = ['afloat', 'well', 'home', 'taken back'] as const;
export type CheckInKind = (typeof checkInKinds)[number];

/** One word from the water. It is only ever added; 'taken back' undoes the last one that stands. */
export const checkInSchema = z.strictObject({
  key: z.uuid('A check-in is named by a UUID.'),
  what: z.enum(checkInKinds),
  /** By the device that it was pressed on. */
  at: instantText,
  /** Home by this hour now; only of 'well'. null: as before. */
  homeBy: instantText.nullable(),
});
export type CheckIn = z.infer<typeof checkInSchema>;
