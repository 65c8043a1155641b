import { callInstant, outingHours } from '../documents/hours';
import type { Outing } from '../documents/outing';
import type { Aboard, Places } from '../documents/references';
import { kinds } from '../catalog/gear/kinds';
import type { Position } from '../units/position';
import { clockAt, dateAt } from '../units/time';
import { dayWords } from '../units/words';
import type { NeedId } from '../vocabulary/needs';

/** The parts of a plan that somebody ashore acts on, as they are called. */
export const planParts = {
  launchAt: 'afloat',
  turnAt: 'the turn for home',
  homeAt: 'home',
  callAt: 'the hour to call',
  contact: 'the person ashore',
  boat: 'the boat',
  launch: 'the launch',
  way: 'the way',
  place: 'the place to fish',
  landing: 'the landing',
  party: 'the party',
  vehicle: 'the vehicle',
  wears: 'what you wear',
  phone: 'your telephone',
  calling: 'what you call with',
  note: 'the note',
} as const;
export type PlanPart = keyof typeof planParts;
export type PlanSays = Readonly<Partial<Record<PlanPart, string>>>;

const callingNeeds: readonly NeedId[] = ['call-for-help', 'distress-signal', 'be-seen-day', 'be-seen-night'];
/** Things one is heard and seen with. */
export function calls({ item }: Aboard): boolean {
  return kinds[item.kind].means.some((id) => callingNeeds.includes(id));
}

const at = ({ latDeg, lonDeg }: Position) => `${latDeg.toFixed(4)}, ${lonDeg.toFixed(4)}`;
const placeOf = (one: (Position & { name: string }) | null) => (one ? `${one.name} (${at(one)})` : '');

/**
 * What a plan says now, part by part: compared with what it said when it was left. Free of the units it is
 * read in.
 */
export function planSays(
  { brief, company, word }: Pick<Outing, 'brief' | 'company' | 'word'>,
  places: Places,
  aboard: readonly Aboard[],
): PlanSays {
  const { angler, craft, water, launch, landing, area } = places;
  const zone = water?.timeZone ?? 'utc';
  const hours = outingHours(brief, zone);
  const moment = (when: number | null) =>
    when === null ? '' : `${clockAt(when, zone)} on ${dayWords(dateAt(when, zone))}`;
  const { out, home } = brief.route;
  return {
    launchAt: moment(hours?.launchAt ?? null),
    turnAt: moment(hours?.turnAt ?? null),
    homeAt: moment(hours?.homeAt ?? null),
    callAt: moment(callInstant(brief, zone)),
    contact: [brief.contact.name, brief.contact.phone].filter(Boolean).join(', '),
    boat: craft ? [craft.name, craft.colour].filter(Boolean).join(', ') : '',
    launch: placeOf(launch),
    way: [...out, ...home].map(at).join('; ').slice(0, 1200),
    place: placeOf(area),
    landing: placeOf(landing),
    party: [
      `${brief.party}`,
      ...company.map(({ name, boat }) => [name, boat].filter(Boolean).join(' in ')),
    ].join(', '),
    vehicle: [angler?.about.vehicle ?? '', word.vehicleAt].filter(Boolean).join(', '),
    wears: angler?.about.wears ?? '',
    phone: angler?.about.phone ?? '',
    calling: aboard
      .filter((one) => calls(one) && one.entry.carriedBy === null)
      .map(({ item }) => item.name)
      .join('; ')
      .slice(0, 1200),
    note: word.note.slice(0, 1200),
  };
}

/** One part that is not as it was left. Empty: it was not told, or is not any more. */
export interface PlanChange {
  part: PlanPart;
  was: string;
  is: string;
}
export function planChanges(was: Readonly<Record<string, string>>, is: PlanSays): PlanChange[] {
  return (Object.keys(planParts) as PlanPart[]).flatMap((part) => {
    const [before, after] = [was[part] ?? '', is[part] ?? ''];
    return before === after ? [] : [{ part, was: before, is: after }];
  });
}
