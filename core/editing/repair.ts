import type { Contact } from '../documents/word';
import type { Outing } from '../documents/outing';
import type { Rig } from '../documents/workings';
import { type Instant, isoAt } from '../units/time';
import { distance, mass } from '../units/amount';
import { capital, count, dayWords, duration, listed, uncapital } from '../units/words';
import type { Alignment } from '../vocabulary/holding';
import type { Technique } from '../vocabulary/trips';
import { withItem } from './edit';
import { type Put, asUsual, withPut, withRigged, withSetUpApplied } from './stow';
import type { SetUp } from '../documents/boatParts';
import type { SeatHeight } from '../vocabulary/boat';
import type { OtherMode } from '../vocabulary/stow';
import { withHours } from './hours';
import { byClock } from '../units/clockWords';

export interface AddedItem {
  itemId: string;
  quantity: number;
  more: number;
  name: string;
  massKg: number;
}
/** What each action that would settle a finding needs to know. */
interface RepairData {
  /** `quantity` is what is aboard then, in all; `more` of them come. */
  'add-items': { items: readonly AddedItem[] };
  'remove-item': { itemId: string; name: string };
  'remove-items': { items: readonly { itemId: string; name: string }[] };
  'separate-item': { itemId: string; name: string };
  'set-hours': { launchAt: string; homeAt: string };
  'set-date': { date: string };
  'set-turn': { turnAt: string };
  'set-area': { areaId: string; name: string; distanceM: number };
  'set-launch': { launchId: string; name: string };
  'set-landing': { landingId: string; name: string };
  'set-craft': { craftId: string; name: string };
  'sit-to-fish': object;
  /** A short outing to learn the boat and to practise, without tackle. */
  shakedown: object;
  'set-set-up': { setUp: Pick<SetUp, 'id' | 'stow'>; name: string };
  'straight-route': object;
  'set-keep': { keep: number };
  'set-alarm': { alarmAt: string };
  'set-contact': Contact;
  fewer: { itemId: string; quantity: number; name: string };
  'set-rig': { rigId: string; change: Partial<Rig>; words: string };
  'without-technique': { technique: Technique };
  'set-alignment': { alignment: Alignment };
  'swap-item': { offId: string; off: string; onId: string; on: string };
  'looked-again': object;
  /** A device is switched on for so many hours, and off for the rest. */
  'run-for': { itemId: string; name: string; hours: number };
  /** One after another, where one alone does not do. */
  together: { parts: readonly Repair[] };
  stow: { puts: readonly Put[]; words: string };
  'rig-boat': { mode: OtherMode; seat: SeatHeight | null; floats: 'out' | 'folded' | null; words: string };
}
/** An action that would settle a finding, as data; carried out by one function that returns a new outing. */
export type Repair = { [Kind in keyof RepairData]: { do: Kind } & RepairData[Kind] }[keyof RepairData];

interface RepairKind<Data> {
  /** The outing with it carried out. */
  apply: (outing: Outing, data: Data, now: Instant) => Outing;
  /** The words on its button. */
  say: (data: Data) => string;
}
/** "Rod leash", "Water bottle × 2", "one more Rod leash". */
function sayAdded({ name, quantity, more }: AddedItem): string {
  if (quantity > more) return `${count(more)} more ${name}`;
  return more > 1 ? `${name} × ${more}` : name;
}
const inBrief = (outing: Outing, change: Partial<Outing['brief']>): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});

/** Every action there is: what it changes, and what it is called. */
const repairKinds: { readonly [Kind in keyof RepairData]: RepairKind<RepairData[Kind]> } = {
  'add-items': {
    apply: (outing, { items }) =>
      items.reduce((next, { itemId, quantity }) => withItem(next, itemId, quantity), outing),
    say: ({ items }) =>
      `Add ${listed(items.map(sayAdded))} (${mass(items.reduce((sum, { massKg }) => sum + massKg, 0))})`,
  },
  'remove-item': {
    apply: (outing, { itemId }) => withItem(outing, itemId, 0),
    say: ({ name }) => `Leave ${name} ashore`,
  },
  'remove-items': {
    apply: (outing, { items }) => items.reduce((next, { itemId }) => withItem(next, itemId, 0), outing),
    say: ({ items }) => `Leave ${listed(items.map(({ name }) => name))} ashore`,
  },
  fewer: {
    apply: (outing, { itemId, quantity }) => withItem(outing, itemId, quantity),
    say: ({ quantity, name }) => `Carry ${count(quantity)} of ${name}`,
  },
  'separate-item': {
    apply: (outing, { itemId }) => ({
      ...asUsual(outing, [itemId]),
      loadout: outing.loadout.map((entry) =>
        entry.itemId === itemId ? { ...entry, outsideContainer: true } : entry,
      ),
    }),
    say: ({ name }) => `Carry ${name} by itself`,
  },
  'set-hours': {
    apply: (outing, { launchAt, homeAt }) => ({
      ...outing,
      brief: withHours(outing.brief, launchAt, homeAt),
    }),
    say: ({ launchAt, homeAt }) => `Afloat ${launchAt} to ${homeAt}`,
  },
  'set-date': {
    apply: (outing, { date }) => inBrief(outing, { date }),
    say: ({ date }) => `Make it ${dayWords(date)}`,
  },
  'set-turn': {
    apply: (outing, { turnAt }) => inBrief(outing, { turnAt }),
    say: ({ turnAt }) => `Turn for home at ${turnAt}`,
  },
  'set-area': {
    apply: (outing, { areaId }) => inBrief(outing, { areaId, route: { out: [], home: [] } }),
    say: ({ name, distanceM }) => `Fish ${name} instead, ${distance(distanceM)} out`,
  },
  'set-launch': {
    // Who means to land where the launch is lands at the other one.
    apply: (outing, { launchId }) => {
      const { brief } = outing;
      const there = brief.landingId === brief.launchId;
      const home = there ? [] : brief.route.home;
      return inBrief(outing, {
        launchId,
        landingId: there ? launchId : brief.landingId,
        route: { out: [], home },
      });
    },
    say: ({ name }) => `Launch at ${name}`,
  },
  'set-craft': {
    apply: (outing, { craftId }) => inBrief(outing, { craftId, setUpId: null }),
    say: ({ name }) => `Take ${name}`,
  },
  'set-set-up': {
    apply: (outing, { setUp }) => withSetUpApplied(outing, setUp),
    say: ({ name }) => `Set it up as ${name}`,
  },
  'sit-to-fish': {
    apply: (outing) => inBrief(outing, { standing: false }),
    say: () => 'Sit to fish',
  },
  shakedown: {
    apply: (outing) => inBrief(outing, { trip: 'shakedown', targets: [], techniques: [], keep: 0 }),
    say: () => 'Make it a shakedown, without tackle',
  },
  'set-landing': {
    apply: (outing, { landingId }) =>
      inBrief(outing, { landingId, route: { out: outing.brief.route.out, home: [] } }),
    say: ({ name }) => `Land at ${name}`,
  },
  'straight-route': {
    apply: (outing) => inBrief(outing, { route: { out: [], home: [] } }),
    say: () => 'Go straight there and back',
  },
  'set-keep': {
    apply: (outing, { keep }) => inBrief(outing, { keep }),
    say: ({ keep }) => (keep === 0 ? 'Keep none' : `Keep ${count(keep)}`),
  },
  'set-alarm': {
    apply: (outing, { alarmAt }) => inBrief(outing, { alarmAt }),
    say: ({ alarmAt }) => `Ask for a call at ${alarmAt}`,
  },
  'set-contact': {
    apply: (outing, { name, phone, email }) => inBrief(outing, { contact: { name, phone, email } }),
    say: ({ name }) => `Name ${name}`,
  },
  'set-rig': {
    apply: (outing, { rigId, change }) => ({
      ...outing,
      rigs: outing.rigs.map((one) => (one.id === rigId ? { ...one, ...change } : one)),
    }),
    say: ({ words }) => capital(words),
  },
  'without-technique': {
    apply: (outing, { technique }) =>
      inBrief(outing, { techniques: outing.brief.techniques.filter((one) => one !== technique) }),
    say: ({ technique }) => `Leave out ${technique}`,
  },
  'set-alignment': {
    apply: (outing, { alignment }) => ({ ...outing, workings: { ...outing.workings, alignment } }),
    say: ({ alignment }) => `Lead the anchor to the ${alignment}`,
  },
  'swap-item': {
    apply: (outing, { offId, onId }) => withItem(withItem(outing, offId, 0), onId, 1),
    say: ({ on, off }) => `Carry ${on} instead of ${off}`,
  },
  'run-for': {
    apply: (outing, { itemId, hours }) => ({
      ...outing,
      workings: { ...outing.workings, deviceHours: { ...outing.workings.deviceHours, [itemId]: hours } },
    }),
    say: ({ name, hours }) => `Run ${name} for ${duration(hours * 60)}`,
  },
  stow: {
    apply: (outing, { puts }) => withPut(outing, puts),
    say: ({ words }) => words,
  },
  'rig-boat': {
    apply: (outing, { mode, seat, floats }) => withRigged(outing, mode, { seat, floats }),
    say: ({ words }) => words,
  },
  together: {
    apply: (outing, { parts }, now) => parts.reduce((next, part) => applyRepair(next, part, now), outing),
    say: ({ parts: [first, ...rest] }) =>
      listed([
        ...(first ? [kindOf(first).say(first)] : []),
        ...rest.map((part) => uncapital(kindOf(part).say(part))),
      ]),
  },
  'looked-again': {
    apply: (outing, _, now) => ({
      ...outing,
      conditions: { ...outing.conditions, takenAt: isoAt(now, 'utc') },
    }),
    say: () => 'I have looked again: as written',
  },
};

function kindOf(repair: Repair): RepairKind<Repair> {
  return repairKinds[repair.do] as RepairKind<Repair>;
}
/** The outing with a repair carried out. */
export function applyRepair(outing: Outing, repair: Repair, now: Instant): Outing {
  return kindOf(repair).apply(outing, repair, now);
}
/** A repair as the words on its button. */
export function sayRepair(repair: Repair): string {
  return byClock(kindOf(repair).say(repair));
}
