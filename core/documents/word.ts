import { z } from 'zod';
import { emailText, instantText, lineText, noteText, wholeNumber } from './field';

/** Who waits ashore. Empty: not written. */
export const contactSchema = z.strictObject({ name: lineText, phone: lineText, email: emailText });
export type Contact = z.infer<typeof contactSchema>;
export const nobody: Contact = { name: '', phone: '', email: '' };

/** What only the person ashore is told of an angler, written once. Empty: not told. */
export const aboutSchema = z.strictObject({
  phone: lineText,
  /** null: not told. */
  ageYears: wholeNumber(5, 110).nullable(),
  /** What those who find one should know; only if one wishes. */
  medical: noteText,
  /** Clothing and jacket, by their colours. */
  wears: lineText,
  /** Of one's radio. */
  callSign: lineText,
  /** Make, colour and plate. */
  vehicle: lineText,
});
export type About = z.infer<typeof aboutSchema>;
export const nothingTold: About = {
  phone: '',
  ageYears: null,
  medical: '',
  wears: '',
  callSign: '',
  vehicle: '',
};

/** Whom to call for a water. Empty: nobody has written it. */
export const rescueSchema = z.strictObject({ name: lineText, phone: lineText, radio: lineText });
export type Rescue = z.infer<typeof rescueSchema>;
export const noRescue: Rescue = { name: '', phone: '', radio: '' };

/** The plan as somebody ashore has it: when it was left, and what it said then, by its parts. */
const leftSchema = z.strictObject({
  at: instantText,
  says: z.record(z.string().max(40), z.string().max(1200)),
  /** Whether its page can be looked at. */
  watched: z.boolean(),
});

export const wordSchema = z.strictObject({
  /** Where the vehicle stands; empty: at the launch. */
  vehicleAt: lineText,
  /** Anything else the person ashore should read. */
  note: noteText,
  left: leftSchema.nullable(),
  /** When it was last put on a device to be carried to the water; null: it was not. */
  carriedAt: instantText.nullable(),
});
type Word = z.infer<typeof wordSchema>;
export const noWord: Word = { vehicleAt: '', note: '', left: null, carriedAt: null };
