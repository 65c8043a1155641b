import type { Outing } from '../documents/outing';
import { type Rescue, noRescue } from '../documents/word';
import { type OutingInView, ridesAlong } from '../documents/references';
import { bearingBetween, distanceBetween } from '../environment/geo';
import { kinds } from '../catalog/gear/kinds';
import { distance } from '../units/amount';
import { pointOf } from '../units/compass';
import { type Position, sayPosition } from '../units/position';
import { capital, count } from '../units/words';
import type { WayPoint } from './floatPlan';
import { wayOf } from './make';

/** A place one may be at when it goes wrong, as it is said over a radio or a telephone. */
export interface CallPlace {
  name: string;
  /** In degrees and minutes. */
  position: string;
  /** From the landing: how far and in which direction; null: at it, or not known. */
  from: string | null;
}
/** What whoever is afloat says to call for help, filled from the outing. */
export interface CallCard {
  /** Whom one calls; empty where nobody has written it. */
  whom: Rescue;
  ashore: { name: string; phone: string };
  /** Things aboard that call, by name. */
  with: readonly string[];
  /** Sentences in their order; the position goes between the opening and the rest. */
  opening: string;
  rest: readonly string[];
  places: readonly CallPlace[];
  /** The others of the party and their boats. */
  others: readonly string[];
}

/**
 * The card for a call from the water. Words in the order of a distress call: who, where, what, how many, what is
 * needed (ITU Radio Regulations, article 32), so that whoever hears the first two sentences can set out.
 */
export function callCardOf(outing: Outing, looked: OutingInView): CallCard {
  const { brief, company } = outing;
  const { angler, craft, water, landing } = looked;
  const callSign = angler?.about.callSign ?? '';
  const boat = callSign || craft?.name || 'the kayak';
  const own = looked.aboard.filter(
    (one) => ridesAlong(one) && kinds[one.item.kind].means.includes('call-for-help'),
  );
  const looks = [
    craft?.colour && `The boat is ${craft.colour}.`,
    angler?.about.wears && `I wear ${angler.about.wears}.`,
  ];
  return {
    whom: water?.rescue ?? noRescue,
    ashore: brief.contact,
    with: own.map(({ item }) => item.name),
    opening: `Mayday, mayday, mayday. This is kayak ${boat}, ${boat}, ${boat}.`,
    rest: [
      'What has happened: in the water, hurt, adrift, no way made, somebody missing.',
      brief.party === 1 ? 'One person, alone.' : `${capital(count(brief.party))} persons in the party.`,
      ...looks.filter((text): text is string => typeof text === 'string' && text !== ''),
      ...(angler?.about.medical ? [`To know: ${angler.about.medical.split('\n')[0] ?? ''}`] : []),
      'I need help at once. Over.',
    ],
    places: distinct(wayOf(outing, looked)).map((point) => ({
      name: point.name,
      position: sayPosition(point),
      from: landing ? fromPlace(landing, point) : null,
    })),
    others: company.map(({ name, boat: theirs }) => (theirs ? `${name} in ${theirs}` : name)),
  };
}

/** Each place once: home often ends where the way began. */
function distinct(points: readonly WayPoint[]): readonly WayPoint[] {
  return points.filter(
    (point, i) => !points.slice(0, i).some((earlier) => distanceBetween(earlier, point) < AT_M),
  );
}

/** Nearer than this one is at the place, m. */
const AT_M = 50;
/** "1.2 km west of Gannet Slip"; null: one is there. */
export function fromPlace(place: Position & { name: string }, point: Position): string | null {
  const distanceM = distanceBetween(place, point);
  return distanceM < AT_M
    ? null
    : `${distance(distanceM)} ${spoken(pointOf(bearingBetween(place, point)))} of ${place.name}`;
}

const quarters: Record<string, string> = { N: 'north', E: 'east', S: 'south', W: 'west' };
/** A point of the compass as it is said aloud: "west-south-west". */
const spoken = (point: string) => [...point].map((letter) => quarters[letter] ?? letter).join('-');
