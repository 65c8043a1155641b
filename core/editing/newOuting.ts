import { forms } from '../documents/forms';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import type { Water } from '../documents/water';
import { unstowed } from '../documents/stow';
import { noWord, nobody } from '../documents/word';
import { lightOfDay, noonOf } from '../environment/light';
import { clockAt, shiftClock } from '../units/time';
import { type TripType, tripFits, tripFor, tripTechniques } from '../vocabulary/trips';
import { alwaysAboard } from './edit';
import { UNTITLED, titleFrom, withBrief } from './title';
import { usualWorkings } from './usualWorkings';

/** Hours afloat that a new outing begins with, and after which a call is asked for, minutes. */
const AFLOAT_MIN = 4 * 60;
const CALL_AFTER_MIN = 60;
const USUAL_LAUNCH = '08:00';
/**
 * A launch is set to the quarter of an hour after sunrise, and not before it is light for anyone to see it.
 */
const QUARTER_MIN = 15;
const EARLIEST = '05:00';

/**
 * A sentence for a day with all filled in that is known without asking: the only water, place and boat, else
 * those of the outing before; a launch at first light there; the person ashore of the profile; the kind of
 * trip that such a water is for. The rest stays blank.
 * @param last the outing before; null: none
 */
export function newOuting(
  id: string,
  date: string,
  references: References,
  last: Outing | null = null,
): Outing {
  const before = last?.brief;
  const water = onlyOr(references.waters, before?.waterId);
  const launch = water && (onlyOr(water.launches, before?.launchId) ?? water.launches[0] ?? null);
  const area = water && onlyOr(water.areas, before?.areaId);
  const craft = onlyOr(references.craft, before?.craftId);
  const trip = tripOf(water, launch?.surf ?? false, before?.trip);
  const launchAt = water ? firstLight(water, date) : USUAL_LAUNCH;
  const homeAt = shiftClock(launchAt, AFLOAT_MIN);
  const sameTrip = before?.trip === trip;
  return {
    format: forms.outings,
    id,
    title: UNTITLED,
    brief: {
      targets: [],
      keep: 0,
      waterId: water?.id ?? null,
      launchId: launch?.id ?? null,
      areaId: area?.id ?? null,
      landingId: null,
      route: { out: [], home: [] },
      date,
      launchAt,
      turnAt: null,
      homeAt,
      nights: 0,
      party: 1,
      craftId: craft?.id ?? null,
      setUpId: craft && craft.id === before?.craftId ? before.setUpId : null,
      trip,
      techniques: sameTrip ? [...before.techniques] : [...tripTechniques[trip]],
      standing: false,
      contact: references.angler ? { ...references.angler.contact } : nobody,
      alarmAt: shiftClock(homeAt, CALL_AFTER_MIN),
    },
    conditions: { source: 'typed', from: '', takenAt: null, waterC: null, hours: [] },
    loadout: alwaysAboard(references.items),
    company: [],
    // What comes along lies where it lay last time, in the same boat.
    stow: last && craft?.id === last.brief.craftId ? last.stow : unstowed,
    rigs: [],
    workings: usualWorkings,
    word: noWord,
    log: null,
    accepted: [],
  };
}

/**
 * An outing that was begun before its water or its boat was told, with what is known since put into its open
 * blanks: the only water, launch, place and boat, and who waits ashore. The same outing where there is
 * nothing, or where only a person ashore is left out.
 */
export function withKnown(outing: Outing, references: References): Outing {
  const { brief } = outing;
  const fresh = newOuting(outing.id, brief.date, references).brief;
  const water = brief.waterId === null && fresh.waterId !== null;
  const boat = brief.craftId === null && fresh.craftId !== null;
  if (!water && !boat) return outing;
  const contact = brief.contact.name === '' && brief.contact.phone === '';
  const untouched = brief.launchAt === USUAL_LAUNCH && brief.homeAt === shiftClock(USUAL_LAUNCH, AFLOAT_MIN);
  const { waterId, launchId, areaId, trip, techniques, launchAt, homeAt, alarmAt } = fresh;
  return withBrief(
    outing,
    {
      ...(water ? { waterId, launchId, areaId, trip, techniques } : {}),
      ...(water && untouched ? { launchAt, homeAt, alarmAt } : {}),
      ...(boat ? { craftId: fresh.craftId } : {}),
      ...(contact ? { contact: fresh.contact } : {}),
    },
    references,
  );
}

/** The only one of a list, else the one that was chosen last; null: several, and none of them was. */
function onlyOr<One extends { id: string }>(
  list: readonly One[],
  lastId: string | null | undefined,
): One | null {
  const [first, ...others] = list;
  if (first && others.length === 0) return first;
  return list.find((one) => one.id === lastId) ?? null;
}

function tripOf(water: Water | null, surf: boolean, last: TripType | undefined): TripType {
  if (!water) return last ?? 'still-water';
  return last && tripFits(last, water.setting) ? last : tripFor(water.setting, surf);
}

/**
 * The quarter of an hour after sunrise there; the usual hour where the sun does not rise or is up all night.
 */
function firstLight({ latDeg, lonDeg, timeZone }: Water, date: string): string {
  const { sunrise } = lightOfDay(noonOf(date, lonDeg), latDeg, lonDeg);
  if (sunrise === null) return USUAL_LAUNCH;
  const quarter = QUARTER_MIN * 60_000;
  const clock = clockAt(Math.ceil(sunrise / quarter) * quarter, timeZone);
  return clock < EARLIEST ? EARLIEST : clock;
}

/**
 * The same outing on another day, named by its fish and its place: what was written for that day alone is
 * left behind.
 */
export function copyOuting(
  outing: Outing,
  id: string,
  date: string,
  references: Pick<References, 'waters' | 'species'>,
): Outing {
  const title = titleFrom(outing.brief, references);
  return {
    ...outing,
    id,
    title: title === UNTITLED ? outing.title : title.slice(0, 80),
    brief: { ...outing.brief, date },
    conditions: { source: 'typed', from: '', takenAt: null, waterC: outing.conditions.waterC, hours: [] },
    // What was left with somebody, and what was put on a device, was the other outing.
    word: { ...outing.word, left: null, carriedAt: null },
    accepted: [],
    log: null,
  };
}
