import type { Item } from '../documents/item';
import { addDays, addMonths } from '../units/time';
import { kinds } from '../catalog/gear/kinds';

/** Days ahead within which a date is near enough to speak of. */
export const DUE_DAYS = 30;

/**
 * The day an item is next to be looked over, yyyy-mm-dd, from the last time or its purchase; null: its kind
 * asks for nothing.
 */
export function nextService(item: Item): string | null {
  const { service } = kinds[item.kind];
  if (!service) return null;
  const since = item.servicedOn ?? item.boughtOn;
  return since === null ? null : addMonths(since, service.months);
}

/** What falls due by a day: a date that runs out, or a look-over by the kind's interval. */
export function dueBy(item: Item, day: string): { what: 'expires' | 'service'; on: string } | null {
  const dates = [
    ...(item.expiresOn === null ? [] : [{ what: 'expires' as const, on: item.expiresOn }]),
    ...[nextService(item)].flatMap((on) => (on === null ? [] : [{ what: 'service' as const, on }])),
  ].filter(({ on }) => on <= day);
  return dates.toSorted((a, b) => a.on.localeCompare(b.on))[0] ?? null;
}

/** Ways to look at the locker that fit the work. */
export const lockerViews = {
  all: 'Everything',
  due: 'Due: out of date or to be looked over within a month',
  broken: 'Broken, failed or under repair',
  idle: 'Never goes out',
  always: 'Goes on every outing',
  containers: 'Holds other things',
} as const;
export type LockerView = keyof typeof lockerViews;

/** @param used the ids of what any outing carries @param holding the ids of what other things live in */
export function inView(
  item: Item,
  view: LockerView,
  today: string,
  used: ReadonlySet<string>,
  holding: ReadonlySet<string>,
): boolean {
  switch (view) {
    case 'all':
      return true;
    case 'due':
      return dueBy(item, addDays(today, DUE_DAYS)) !== null;
    case 'broken':
      return item.condition !== 'good';
    case 'idle':
      return !used.has(item.id) && !holding.has(item.id);
    case 'always':
      return item.always;
    case 'containers':
      return holding.has(item.id);
  }
}
