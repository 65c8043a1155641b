import type { Aboard } from '../documents/references';
import type { Shortfall } from './need';

/** Whether two things lie in one container. */
export function shareBox(one: Aboard, other: Aboard, aboardIds: ReadonlySet<string>): boolean {
  if (one.lies && other.lies) {
    const [mine, theirs] = [one.lies.boxes[0], other.lies.boxes[0]];
    return mine !== undefined && mine.id === theirs?.id;
  }
  const box = containerOf(one, aboardIds);
  return box !== null && box === containerOf(other, aboardIds);
}
/** Whether two things lie in one container, or behind one lid of the boat: what takes one takes the other. */
export function shareRoom(one: Aboard, other: Aboard, aboardIds: ReadonlySet<string>): boolean {
  if (one.lies && other.lies) {
    const { boxes, compartment } = other.lies;
    return (
      one.lies.boxes.some(({ id }) => boxes.some((box) => box.id === id)) ||
      (compartment !== null && one.lies.compartment === compartment)
    );
  }
  return shareBox(one, other, aboardIds);
}

/**
 * The container that a thing aboard lives in, where nobody looked at where it lies; null: it lies by itself,
 * or its container stays ashore.
 */
export function containerOf({ item, entry }: Aboard, aboardIds: ReadonlySet<string>): string | null {
  return !entry.outsideContainer && item.containerId !== null && aboardIds.has(item.containerId)
    ? item.containerId
    : null;
}

/**
 * Why one thing does not count beside another as an independent means of one need; null: both count.
 * Independent are different sorts, where the need asks for that, not in one container, and not on one
 * battery.
 */
export function clashOf(
  one: Aboard,
  other: Aboard,
  { sortOf, aboardIds }: { sortOf: (item: Aboard['item']) => string | null; aboardIds: ReadonlySet<string> },
): Shortfall | null {
  const sort = sortOf(one.item);
  if (sort !== null && sort === sortOf(other.item)) return { code: 'same-kind' };
  if (shareRoom(one, other, aboardIds)) return { code: 'same-container', withItem: other.item.name };
  if (one.item.poweredById !== null && one.item.poweredById === other.item.poweredById)
    return { code: 'same-battery', withItem: other.item.name };
  return null;
}
