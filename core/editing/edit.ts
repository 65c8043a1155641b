import type { Repair } from './repair';
import { type Instant, isoAt } from '../units/time';
import type { Item } from '../documents/item';
import { withHours } from './hours';
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

/** Answers a finding with a reason; an empty reason takes the answer back. */
export function withAcceptance(outing: Outing, key: string, extent: number, reason: string, at: Instant): Outing {
  const accepted = outing.accepted.filter((one) => one.key !== key);
  if (reason.trim() === '') return { ...outing, accepted };
  return { ...outing, accepted: [...accepted, { key, extent, reason: reason.trim(), at: isoAt(at, 'utc') }] };
}

/** The outing with a repair carried out. The one place where repairs become changes. */
export function applyRepair(outing: Outing, repair: Repair, now: Instant): Outing {
  const brief = (change: Partial<Outing['brief']>): Outing => ({ ...outing, brief: { ...outing.brief, ...change } });
  switch (repair.do) {
    case 'add-items':
      return repair.items.reduce((next, { itemId, quantity }) => withItem(next, itemId, quantity), outing);
    case 'remove-item':
      return withItem(outing, repair.itemId, 0);
    case 'fewer':
      return withItem(outing, repair.itemId, repair.quantity);
    case 'separate-item':
      return {
        ...outing,
        loadout: outing.loadout.map((entry) =>
          entry.itemId === repair.itemId ? { ...entry, outsideContainer: true } : entry,
        ),
      };
    case 'set-hours':
      return { ...outing, brief: withHours(outing.brief, repair.launchAt, repair.homeAt) };
    case 'set-date':
      return brief({ date: repair.date });
    case 'set-turn':
      return brief({ turnAt: repair.turnAt });
    case 'set-area':
      return brief({ areaId: repair.areaId, route: { out: [], home: [] } });
    case 'set-landing':
      return brief({ landingId: repair.landingId, route: { out: outing.brief.route.out, home: [] } });
    case 'straight-route':
      return brief({ route: { out: [], home: [] } });
    case 'set-keep':
      return brief({ keep: repair.keep });
    case 'set-alarm':
      return brief({ alarmAt: repair.alarmAt });
    case 'set-contact':
      return brief({ contact: { name: repair.name, phone: repair.phone } });
    case 'set-rig':
      return {
        ...outing,
        rigs: outing.rigs.map((one) => (one.id === repair.rigId ? { ...one, ...repair.change } : one)),
      };
    case 'without-technique':
      return brief({ techniques: outing.brief.techniques.filter((one) => one !== repair.technique) });
    case 'set-alignment':
      return { ...outing, workings: { ...outing.workings, alignment: repair.alignment } };
    case 'swap-item':
      return withItem(withItem(outing, repair.offId, 0), repair.onId, 1);
    case 'looked-again':
      return { ...outing, conditions: { ...outing.conditions, takenAt: isoAt(now, 'utc') } };
  }
}

/** What goes on every outing, for a new loadout. */
export function alwaysAboard(items: readonly Item[]): LoadoutEntry[] {
  return items
    .filter((item) => item.always && item.condition === 'good')
    .map((item) => ({ itemId: item.id, quantity: 1, outsideContainer: false, carriedBy: null }));
}
