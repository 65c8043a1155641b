import { type Day, dayOf } from '../environment/day';
import { heatIndex, windChill } from '../environment/feels';
import { darkness, highestSun, isNight, lightOfDay, noonOf } from '../environment/light';
import { type Sea, seaAt } from '../environment/sea';
import { type KindId, kinds } from '../catalog/gear/kinds';
import { type SpotHour, spotHours } from '../environment/spot';
import { valueAt } from '../environment/tide';
import { type Immersion, immersion } from '../environment/immersion';
import { surf } from '../environment/surf';
import type { Conditions, Hour, Outing, Outward } from '../documents/outing';
import type { Launch, Water } from '../documents/water';
import { outingHours } from '../documents/hours';
import type { Aboard, OutingInView, Places } from '../documents/references';
import type { Item } from '../documents/item';
import { type Workings, withHabits } from '../documents/workings';
import { NO_STREAM, speedOf } from '../environment/flow';
import { distanceBetween } from '../environment/geo';
import { stakePoles } from '../holding/pole';
import { farthestFromGround } from '../passage/ground';
import { onWater } from '../boat/drag';
import { type Plan, planOf } from '../passage/plan';
import type { Species } from '../catalog/species/species';
import { DAY_MS, HOUR_MS, type Instant, clockAt, clockOver, dateAt, minutesBetween } from '../units/time';
import { rememberFor } from '../units/remember';
import { type Unsaid, unsaidOf } from './unsaid';
import { type Seriousness, seriousnessOf } from './seriousness';
import { type Peak, type WindHour, strongestOffshore, windsOf } from './winds';

/** A wet sack cools by drying, in air up to so damp, %, and for so long only, h. Rules of thumb. */
const WET_SACK_PCT = 65;
export const WET_SACK_HOURS = 3;
/** A swell written without its period is taken as an ordinary ocean swell, s. */
const USUAL_SWELL_S = 9;

/** What the brief and the day expose one to: numbers, not flags. null: not known. */
export interface Exposures {
  launchAt: Instant | null;
  homeAt: Instant | null;
  hoursAfloat: number | null;
  /** Of those, the hours of darkness that nights out are spent ashore. */
  campH: number;
  /** Afloat between sunset and sunrise. */
  darkMinutes: number;
  /** Of those, past civil twilight: the sun more than 6° under. */
  nightMinutes: number;
  /** From coming in to sunset; null: it is dark by then, or the sun does not set. */
  daylightLeftMin: number | null;
  /** Past civil twilight when one launches or comes in: what breaks there is not seen. */
  nightAtShore: boolean;
  /** How high the sun comes while one is out, degrees; null: not known. */
  sunHighestDeg: number | null;
  /** Parts of the outing in darkness, as clock times at the water. */
  darkSpans: readonly { from: string; to: string }[];
  /** From a landing, where vehicle, road and help are; and from any ground where one can get out. m. */
  maxDistanceFromLandingM: number | null;
  maxDistanceFromShoreM: number | null;
  /** To the nearest ground where one can get out, from the farthest point, at one's own pace. */
  minutesToShore: number | null;
  /** From the farthest point, in still water, at one's own pace and with the second propulsion. */
  minutesToLanding: number | null;
  minutesToLandingSpare: number | null;
  solo: boolean;
  waterC: number | null;
  immersion: Immersion | null;
  airMinC: number | null;
  airMaxC: number | null;
  wind: Peak | null;
  gust: Peak | null;
  /** Wind and gusts of each hour afloat, and whether it blows off the nearest shore over open water. */
  winds: readonly WindHour[];
  /** The strongest wind of the hours in which it blows off the shore; null: in none, or not known. */
  offshore: Peak | null;
  humidityMaxPct: number | null;
  /** What the air feels like at the coldest and the hottest: wind chill and heat index. */
  feelsMinC: number | null;
  feelsMaxC: number | null;
  /** The most that falls in an hour, mm. */
  rainMm: number | null;
  waveM: number | null;
  swellM: number | null;
  /** The sea hour by hour while afloat, at the place to fish. */
  seas: readonly { at: Instant; clock: string; sea: Sea; streamMps: number }[];
  /** The place to fish, every half hour while one is there; while afloat where that is not known. */
  spot: readonly SpotHour[];
  /** The sea with swell and stream, at its highest. */
  hs: Peak | null;
  stream: Peak | null;
  visibility: Peak | null;
  /** At launch or landing, the greater; null: no surf there, or no swell known. */
  breakerM: number | null;
  /** Water over the bar or ramp, when one launches and when one lands; null: no such place, or no tide. */
  barAtLaunch: { depthM: number; at: string } | null;
  barAtLanding: { depthM: number; at: string } | null;
  /** The way out and home in time; null: not known enough. */
  plan: Plan | null;
  /** Within an hour of being afloat. */
  thunder: Peak | null;
  /** Figures of the day that nobody wrote for some of the hours afloat, of those that matter here. */
  unsaid: readonly Unsaid[];
  rapids: number;
  river: boolean;
  traffic: 'little' | 'some' | 'busy' | null;
  /** Beyond phone coverage, known or feared. */
  remote: boolean;
  nights: number;
  party: number;
  /** Fish kept, and their mass at the usual size. */
  keep: number;
  keepKg: number;
  largest: { species: Species; lengthM: number; massKg: number } | null;
  toothy: boolean;
  standing: boolean;
  inflatable: boolean;
  drive: 'paddle' | 'pedal' | 'motor' | null;
  /** Rods, watts and hooks that the loadout brings with it. */
  rods: number;
  electricsW: number;
  bigHooks: boolean;
  /** A cart is aboard; a drysuit is. */
  rolls: boolean;
  drysuit: boolean;
  /** A pole and no anchor is aboard to hold the boat. */
  heldByPole: boolean;
  /** Heat let in by the fish store aboard, W/K; null: none is. */
  storeUaWK: number | null;
  /** A wet sack, and no better store, in air dry enough and for hours few enough to cool by drying. */
  coolsByDrying: boolean;
  /** The outing's own numbers, as its needs are counted with them. */
  workings: Workings;
  competition: boolean;
  /** Outings logged with this craft. */
  outingsLogged: number | null;
  /** How serious it is here to be in the water, or to need help. */
  seriousness: Seriousness;
}

/** What brief and day expose one to, with what the loadout brings. */
export function exposures(outing: Outing, looked: OutingInView): Exposures {
  const day = dayExposures(outing.brief, outing.conditions, looked);
  return withBurden(day, burdenOf(looked.aboard), withHabits(outing.workings, looked.angler?.habits));
}

/** What the loadout brings with it. */
export type Burden = Pick<
  Exposures,
  'rods' | 'electricsW' | 'bigHooks' | 'storeUaWK' | 'heldByPole' | 'rolls' | 'drysuit'
> & {
  wetSackOnly: boolean;
};
/** The whole, with what the loadout makes of the day. */
export function withBurden(
  day: DayExposures,
  { wetSackOnly, ...burden }: Burden,
  workings: Workings,
): Exposures {
  const dry = day.humidityMaxPct !== null && day.humidityMaxPct <= WET_SACK_PCT;
  const coolsByDrying = wetSackOnly && dry && (day.hoursAfloat ?? Infinity) <= WET_SACK_HOURS;
  return { ...day, ...burden, coolsByDrying, workings };
}
export function burdenOf(aboard: readonly Aboard[]): Burden {
  let [rods, electricsW, bigHooks] = [0, 0, false];
  let storeUaWK: number | null = null;
  let [stores, wetSacks] = [0, 0];
  let [anchors, poles, rolls, drysuit] = [false, false, false, false];
  for (const { item, entry } of aboard) {
    const part = burdenOfOne(item);
    if (part === null) continue;
    if (part.rod) rods += entry.quantity;
    electricsW += part.watts * entry.quantity;
    bigHooks ||= part.bigHooks;
    anchors ||= part.holds === 'anchor';
    poles ||= part.holds === 'pole';
    rolls ||= part.rolls;
    drysuit ||= part.drysuit;
    if (!part.store) continue;
    const uaWK = item.attributes.uaWK ?? null;
    // Ice goes into the best store aboard.
    if (uaWK !== null && (storeUaWK === null || uaWK < storeUaWK)) storeUaWK = uaWK;
    stores += 1;
    if (item.kind === 'wet-sack') wetSacks += 1;
  }
  return {
    rods,
    electricsW,
    bigHooks,
    storeUaWK,
    rolls,
    drysuit,
    heldByPole: poles && !anchors,
    wetSackOnly: stores > 0 && stores === wetSacks,
  };
}
/** What one thing brings; null: nothing of it. Most things bring nothing, and are asked again and again. */
export const burdenOfOne = rememberFor((item: Item) => {
  // A hand line is no rod.
  const rod = isRod(item.kind) && item.kind !== 'hand-line';
  const watts = hasOwnCells(item) ? 0 : (item.attributes.watts ?? 0);
  const bigHooks = item.qualities.includes('treble');
  const { means } = kinds[item.kind];
  const store = means.includes('cold-store');
  const rolls = means.includes('carry');
  const drysuit = item.kind === 'drysuit';
  const holds = means.includes('anchor-release') ? 'anchor' : stakePoles.includes(item.kind) ? 'pole' : null;
  return rod || watts > 0 || bigHooks || store || rolls || drysuit || holds !== null
    ? { rod, watts, bigHooks, store, rolls, drysuit, holds }
    : null;
});

/** What the day and the way expose one to, whatever is aboard. */
export type DayExposures = Omit<Exposures, keyof Burden | 'coolsByDrying' | 'workings'>;
export function dayExposures(brief: Outward, conditions: Conditions, looked: Places): DayExposures {
  const { water, craft } = looked;
  const span = hoursOf(brief, looked);
  const day = span && water ? dayOf(conditions, water, span.from, span.to) : null;
  const plan = span && day ? planOf(brief, looked, day, span) : null;
  // One is afloat until one is in, whatever was written.
  const until = span && Math.max(span.to, plan?.homeAt ?? 0);
  const afloat = span && until ? { from: span.from, to: until } : null;
  const dark = afloat && water ? darkOf(afloat, brief, water) : { minutes: 0, spans: [] };
  const all = afloat ? hoursWithin(conditions.hours, afloat.from, afloat.to) : [];
  const camp = afloat && water && brief.nights > 0 ? nightsAshore(afloat, dark.spans, water) : noNights;
  // What blows and breaks while one lies in camp is not met.
  const hours = brief.nights > 0 ? all.filter((hour) => !camp.at(Date.parse(hour.at) + HOUR_MS / 2)) : all;
  const zone = water?.timeZone ?? 'utc';
  const clock = clockOf({ launchAt: span?.from ?? null, homeAt: span?.to ?? null, plan }, looked);
  const distanceM = farthest(looked, plan);
  const shoreM = farthestFromGround(looked, plan, distanceM);
  const boat = craft && onWater(craft, looked.loaded);
  const pace = (mps: number | undefined, metres = distanceM) =>
    metres === null || !mps ? null : metres / mps / 60;
  const minutesToLanding = plan?.minutesToLanding ?? pace(boat?.cruiseMps);
  const winds = water && afloat ? windsOf(hours, looked, clock) : [];
  const near = afloat ? hoursWithin(conditions.hours, afloat.from - HOUR_MS, afloat.to + HOUR_MS) : [];
  const seas = day && water ? hours.map((hour) => seaOf(hour, water, day, clock)) : [];
  const whole = {
    launchAt: span?.from ?? null,
    homeAt: span?.to ?? null,
    hoursAfloat: span ? minutesBetween(span.from, span.to) / 60 : null,
    campH: camp.hours,
    darkMinutes: dark.minutes,
    nightMinutes: water
      ? dark.spans.reduce(
          (sum, [from, to]) => sum + darkness(from, to, water.latDeg, water.lonDeg, isNight).minutes,
          0,
        )
      : 0,
    daylightLeftMin: afloat && water ? daylightLeft(afloat.to, water) : null,
    nightAtShore: afloat !== null && water !== null && isNightAtEither(afloat, water),
    sunHighestDeg: afloat && water ? sunOf(afloat, brief, water) : null,
    darkSpans: dark.spans.map(([from, to]) => ({ from: clockAt(from, zone), to: clockAt(to, zone) })),
    maxDistanceFromLandingM: distanceM,
    maxDistanceFromShoreM: shoreM,
    // Where the landing is the nearest ground, wind and stream of that hour are in the sum.
    minutesToShore:
      shoreM === null || distanceM === null || shoreM > distanceM * 0.9
        ? minutesToLanding
        : pace(boat?.cruiseMps, shoreM),
    minutesToLanding,
    minutesToLandingSpare: plan?.minutesToLandingSpare ?? pace(boat?.spareMps),
    solo: brief.party === 1,
    waterC: conditions.waterC,
    immersion: conditions.waterC === null ? null : immersion(conditions.waterC),
    airMinC: least(all.map((hour) => hour.airC)),
    airMaxC: peak(all, 'airC', clock)?.value ?? null,
    humidityMaxPct: most(all.map(({ humidityPct }) => humidityPct)),
    feelsMinC: least(all.map(coldest)),
    feelsMaxC: most(all.map(hottest)),
    wind: peak(hours, 'windMps', clock),
    gust: peak(hours, 'gustMps', clock),
    winds,
    offshore: strongestOffshore(winds),
    rainMm: most(hours.map((hour) => hour.rainMm)),
    waveM: most(seas.map(({ sea }) => sea.windSeaM)),
    swellM: peak(hours, 'swellM', clock)?.value ?? null,
    seas,
    spot:
      looked.area && water && day && afloat
        ? spotHours(looked.area, water, day, hours, {
            from: plan?.spotAt ?? afloat.from,
            to: plan?.turnAt ?? afloat.to,
            clock,
          }).filter(({ at }) => !camp.at(at))
        : [],
    hs: highest(seas, ({ sea }) => sea.onStreamM, clock),
    stream: highest(seas, ({ streamMps }) => streamMps, clock),
    visibility: lowestVisibility(hours, clock),
    breakerM: breakerOf(hours, looked),
    barAtLaunch: barOf(looked.launch, day, span?.from ?? null, clock),
    barAtLanding: barOf(looked.landing, day, plan?.homeAt ?? span?.to ?? null, clock),
    plan,
    thunder: peak(near, 'thunderPct', clock),
    unsaid:
      afloat && water && looked.craft ? unsaidOf(hours, near, conditions.waterC, looked, shoreM, afloat) : [],
    rapids: water?.rapids ?? 0,
    river: water?.setting === 'river',
    traffic: water?.traffic ?? null,
    remote: water !== null && (water.coverage === 'none' || water.coverage === 'patchy'),
    nights: brief.nights,
    party: brief.party,
    keep: brief.keep,
    keepKg: brief.keep * Math.max(0, ...looked.targets.map((one) => one.usual.massKg)),
    largest: largestOf(looked.targets),
    toothy: looked.targets.some((one) => one.teeth === 'sharp'),
    standing: brief.standing,
    inflatable: craft?.hull === 'inflatable',
    drive: craft?.drive ?? null,
    competition: brief.trip === 'competition',
    outingsLogged: craft?.outingsLogged ?? null,
  };
  return { ...whole, seriousness: seriousnessOf(whole, looked.angler) };
}

function isNightAtEither({ from, to }: { from: Instant; to: Instant }, { latDeg, lonDeg }: Water): boolean {
  return isNight(from, latDeg, lonDeg) || isNight(to, latDeg, lonDeg);
}
/** Over days the sun of the first is that of all. */
function sunOf(
  { from, to }: { from: Instant; to: Instant },
  { nights }: Outward,
  { latDeg, lonDeg }: Water,
): number {
  return highestSun(from, nights > 0 ? Math.min(to, from + DAY_MS) : to, latDeg, lonDeg);
}
function daylightLeft(until: Instant, { latDeg, lonDeg, timeZone }: Water): number | null {
  const { sunrise, sunset } = lightOfDay(noonOf(dateAt(until, timeZone), lonDeg), latDeg, lonDeg);
  if (sunrise === null || sunset === null || until < sunrise || until > sunset) return null;
  return minutesBetween(until, sunset);
}

type SayClock = (at: Instant) => string;

/** The farthest that one is from any landing, on the way or at the place to fish. */
function farthest({ area, water }: Places, plan: Plan | null): number | null {
  if (!area || !water) return null;
  const nearest = (place: { latDeg: number; lonDeg: number }) =>
    Math.min(...water.launches.map((launch) => distanceBetween(place, launch)));
  return Math.max(area.distanceM, ...(plan?.legs.map(({ leg }) => nearest(leg.to)) ?? []));
}

function seaOf(hour: Hour, water: Water, day: Day, clock: SayClock) {
  const at = Date.parse(hour.at);
  const stream = day.streamAt(at);
  return { at, clock: clock(at), sea: seaAt(hour, water, stream), streamMps: speedOf(stream) };
}

function coldest({ airC, windMps }: Hour): number | null {
  return airC === null ? null : windChill({ airC, windMps: windMps ?? 0 }).feelsC;
}
function hottest({ airC, humidityPct }: Hour): number | null {
  if (airC === null) return null;
  return humidityPct === null ? airC : heatIndex({ airC, humidityPct }).feelsC;
}

function highest<T extends { at: Instant }>(
  list: readonly T[],
  value: (one: T) => number,
  clock: SayClock,
): Peak | null {
  let best: T | null = null;
  for (const one of list) if (best === null || value(one) > value(best)) best = one;
  return best && { value: value(best), at: clock(best.at) };
}

function lowestVisibility(hours: readonly Hour[], clock: SayClock): Peak | null {
  let worst: { value: number; at: string } | null = null;
  for (const { visibilityM, at } of hours)
    if (visibilityM !== null && (worst === null || visibilityM < worst.value))
      worst = { value: visibilityM, at };
  return worst && { value: worst.value, at: clock(Date.parse(worst.at)) };
}

function barOf(
  place: Launch | null,
  day: Day | null,
  at: Instant | null,
  clock: SayClock,
): Exposures['barAtLaunch'] {
  if (!place || place.barM === null || !day?.tideSeries || at === null) return null;
  return { depthM: place.barM + valueAt(day.tideSeries, at), at: clock(at) };
}

/** A handheld that runs on cells of its own draws on no battery aboard. */
function hasOwnCells({ kind, poweredById }: Item): boolean {
  return poweredById === null && ownCells.includes(kind);
}
const ownCells: readonly KindId[] = ['handheld-sounder', 'gps'];

function isRod(kind: KindId): boolean {
  return kinds[kind].means.includes('rods');
}

/** How moments of the outing are said: with their day where it is so long that the clock comes round. */
export function clockOf(
  { launchAt, homeAt, plan }: Pick<Exposures, 'launchAt' | 'homeAt' | 'plan'>,
  { water }: Pick<Places, 'water'>,
): SayClock {
  return clockOver(launchAt, homeAt && Math.max(homeAt, plan?.homeAt ?? 0), water?.timeZone ?? 'utc');
}

/** How the moment so many hours after the launch is said. */
export function clockAfterLaunch(
  day: Pick<Exposures, 'launchAt' | 'homeAt' | 'plan'>,
  places: Pick<Places, 'water'>,
) {
  const clock = clockOf(day, places);
  return (hours: number): string =>
    clock(Math.round(((day.launchAt ?? 0) + hours * HOUR_MS) / 60_000) * 60_000);
}

/**
 * Launch and coming home as instants; null until the water (and so the time zone) is known, or where they are
 * one moment.
 */
export function hoursOf(
  brief: Outward,
  looked: Pick<Places, 'water'>,
): { from: Instant; to: Instant } | null {
  const hours = looked.water && outingHours(brief, looked.water.timeZone);
  return hours && hours.homeAt > hours.launchAt ? { from: hours.launchAt, to: hours.homeAt } : null;
}

/** Hours on the water: nights ashore left out. */
export function hoursOnWater({ hoursAfloat, campH }: Pick<Exposures, 'hoursAfloat' | 'campH'>): number {
  return (hoursAfloat ?? 0) - campH;
}
interface NightsAshore {
  hours: number;
  at: (moment: Instant) => boolean;
}
const noNights: NightsAshore = { hours: 0, at: () => false };
/** The darkness of nights out: all of it that is not launched into or landed out of. */
function nightsAshore(
  { from, to }: { from: Instant; to: Instant },
  afloatInDark: readonly (readonly [Instant, Instant])[],
  { latDeg, lonDeg }: Water,
): NightsAshore {
  const spans = darkness(from, to, latDeg, lonDeg).spans.filter(
    ([start, end]) => !afloatInDark.some((span) => span[0] === start || span[1] === end),
  );
  return {
    hours: spans.reduce((sum, [start, end]) => sum + (end - start), 0) / HOUR_MS,
    at: (moment) => spans.some(([start, end]) => moment >= start && moment < end),
  };
}
// With nights out the dark hours are spent ashore: only the launch before sunrise and the landing after
// sunset count.
function darkOf(
  span: { from: Instant; to: Instant },
  brief: Outward,
  water: { latDeg: number; lonDeg: number },
) {
  const { latDeg, lonDeg } = water;
  if (brief.nights === 0) return darkness(span.from, span.to, latDeg, lonDeg);
  const first = darkness(span.from, span.from + 6 * HOUR_MS, latDeg, lonDeg);
  const last = darkness(span.to - 6 * HOUR_MS, span.to, latDeg, lonDeg);
  const spans = [
    ...first.spans.filter(([from]) => from === span.from),
    ...last.spans.filter(([, to]) => to === span.to),
  ];
  return { minutes: spans.reduce((sum, [from, to]) => sum + minutesBetween(from, to), 0), spans };
}

/** The typed hours that touch a span: each row speaks for the hour that follows it. */
export function hoursWithin(hours: readonly Hour[], from: Instant, to: Instant): Hour[] {
  return hours.filter((hour) => {
    const at = Date.parse(hour.at);
    return at > from - HOUR_MS && at <= to;
  });
}

type Figure = 'windMps' | 'gustMps' | 'airC' | 'swellM' | 'thunderPct';

function peak(hours: readonly Hour[], key: Figure, clock: SayClock): Peak | null {
  let best: { value: number; at: string } | null = null;
  for (const hour of hours) {
    const value = hour[key];
    if (value !== null && (best === null || value > best.value)) best = { value, at: hour.at };
  }
  return best && { value: best.value, at: clock(Date.parse(best.at)) };
}

function most(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length > 0 ? Math.max(...known) : null;
}
function least(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length > 0 ? Math.min(...known) : null;
}

/**
 * Breakers at an open beach, of the swell and of the wind's own sea together, by the period of the one that
 * has more in it.
 */
function breakerOf(hours: readonly Hour[], { launch, landing, water }: Places): number | null {
  const ends = [launch?.surf ? hours[0] : undefined, landing?.surf ? hours[hours.length - 1] : undefined];
  return most(ends.map((hour) => (hour && water ? breakersAt(hour, water) : null)));
}
/** Height of the breakers at an open beach of a water, m; null: no swell and no wind sea are known. */
export function breakersAt(hour: Hour, water: Water): number | null {
  const { windSeaM, windSeaS, swellM, hsM } = seaAt(hour, water, NO_STREAM);
  if (hour.swellM === null && windSeaM === 0) return null;
  const periodS = swellM > windSeaM ? (hour.swellPeriodS ?? USUAL_SWELL_S) : windSeaS;
  return hsM > 0 && periodS > 0 ? surf({ hsM, periodS }).breakerM : 0;
}

function largestOf(targets: readonly Species[]): Exposures['largest'] {
  let found: Exposures['largest'] = null;
  for (const species of targets) {
    const { largest } = species;
    if (!found || largest.lengthM > found.lengthM) found = { species, ...largest };
  }
  return found;
}
