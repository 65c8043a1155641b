import { z } from 'zod';
import { clockText, idText, lineText, noteText, quantity, wholeNumber } from './field';

export const marks = ['used', 'carried', 'lost', 'broken'] as const;
export type Mark = (typeof marks)[number];

/** What an outing came to, written ashore. */
export const logSchema = z.strictObject({
  /** By the clock; null: not written down. */
  launchedAt: clockText.nullable(),
  landedAt: clockText.nullable(),
  /**
   * What became of each thing that was aboard, and how many of it were lost; what is not here was not said.
   */
  items: z.array(z.strictObject({ itemId: idText, mark: z.enum(marks), lost: wholeNumber(0, 500) })).max(400),
  catches: z
    .array(
      z.strictObject({
        key: idText,
        speciesId: idText,
        lengthM: quantity(0.01, 6, 'm').nullable(),
        kept: z.boolean(),
      }),
    )
    .max(300),
  /** What was missed. */
  wishes: z.array(z.strictObject({ key: idText, text: lineText })).max(60),
  note: noteText,
});
export type Log = z.infer<typeof logSchema>;

export const emptyLog: Log = {
  launchedAt: null,
  landedAt: null,
  items: [],
  catches: [],
  wishes: [],
  note: '',
};

/** Says what became of a thing; null takes it back. What is lost is one piece until more are told. */
export function withMark(log: Log, itemId: string, mark: Mark | null, lost = mark === 'lost' ? 1 : 0): Log {
  const at = log.items.findIndex((one) => one.itemId === itemId);
  if (mark === null) return { ...log, items: log.items.filter((one) => one.itemId !== itemId) };
  const entry = { itemId, mark, lost };
  return { ...log, items: at < 0 ? [...log.items, entry] : log.items.toSpliced(at, 1, entry) };
}
