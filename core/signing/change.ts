/**
 * What changed since a signature, in words already: names in place of identifiers, figures with their units.
 */
export interface Change {
  /** Of what: a thing, a boat, a rig by its name; null: of the outing itself. */
  of: string | null;
  what: string;
  /** Short values before and after; null: too long to say, or there was none. */
  from: string | null;
  to: string | null;
  /** Whether the thing itself came or went; then `what` says how. */
  whole: boolean;
}
