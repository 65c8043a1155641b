import { type Instant, isoAt } from '../units/time';
import type { Acceptance } from '../documents/acceptance';
import type { Item } from '../documents/item';
import type { Water } from '../documents/water';
import type { LoadoutEntry, Outing } from '../documents/outing';

/** Puts so many of an item aboard, or changes how many are; none takes it off. */
export function withItem(outing: Outing, itemId: string, quantity: number): Outing {
  const loadout = outing.loadout.filter((entry) => entry.itemId !== itemId);
  if (quantity < 1) return { ...outing, loadout };
  const at = outing.loadout.findIndex((entry) => entry.itemId === itemId);
  const { outsideContainer = false, carriedBy = null } = outing.loadout[at] ?? {};
  const entry: LoadoutEntry = { itemId, quantity, outsideContainer, carriedBy };
  return { ...outing, loadout: at < 0 ? [...loadout, entry] : loadout.toSpliced(at, 0, entry) };
}

/** The answers with one to a finding, in place of what was answered before; an empty reason takes it back. */
function answeredWith(
  answers: readonly Acceptance[],
  { key, extent, reason }: Pick<Acceptance, 'key' | 'extent' | 'reason'>,
  at: Instant,
): Acceptance[] {
  const others = answers.filter((one) => one.key !== key);
  return reason.trim() === ''
    ? others
    : [...others, { key, extent, reason: reason.trim(), at: isoAt(at, 'utc') }];
}
/** Answers a finding with a reason; an empty reason takes the answer back. */
export function withAcceptance(
  outing: Outing,
  key: string,
  extent: number,
  reason: string,
  at: Instant,
): Outing {
  return { ...outing, accepted: answeredWith(outing.accepted, { key, extent, reason }, at) };
}
/** The water with a finding answered for every outing there; an empty reason takes it back. */
export function withAnswerKept(
  water: Water,
  key: string,
  extent: number,
  reason: string,
  at: Instant,
): Water {
  return { ...water, answered: answeredWith(water.answered, { key, extent, reason }, at) };
}

/** What goes on every outing, for a new loadout. */
export function alwaysAboard(items: readonly Item[]): LoadoutEntry[] {
  return items
    .filter((item) => item.always && item.condition === 'good')
    .map((item) => ({ itemId: item.id, quantity: 1, outsideContainer: false, carriedBy: null }));
}
