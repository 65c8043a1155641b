import { darkness } from '../conditions/light';
import { type Immersion, immersion } from '../conditions/immersion';
import { surf } from '../conditions/surf';
import type { Brief, Hour, Outing } from '../outing/outing';
import type { Looked } from '../outing/references';
import { type SpeciesId, speciesTable } from '../species/species';
import { DAY_MS, HOUR_MS, type Instant, clockAt, instantOf, minutesBetween } from '../units/time';

/** What the brief and the day expose one to: numbers, not flags. null: not known. */
export interface Exposures {
  launchAt: Instant | null;
  homeAt: Instant | null;
  hoursAfloat: number | null;
  /** Afloat between sunset and sunrise. */
  darkMinutes: number;
  /** Parts of the outing in darkness, as clock times at the water. */
  darkSpans: readonly { from: string; to: string }[];
  maxDistanceM: number | null;
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
  waveM: number | null;
  swellM: number | null;
  /** At launch or landing, the greater; null: no surf there, or no swell typed. */
  breakerM: number | null;
  thunder: Peak | null;
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
  largest: { id: SpeciesId; lengthM: number; massKg: number } | null;
  toothy: boolean;
  standing: boolean;
  inflatable: boolean;
  drive: 'paddle' | 'pedal' | 'motor' | null;
  /** Rods, watts and hooks that the loadout brings with it. */
  rods: number;
  electricsW: number;
  bigHooks: boolean;
  competition: boolean;
  /** Outings logged with this craft. */
  outingsLogged: number | null;
}
export interface Peak {
  value: number;
  at: string;
}

/** @param day what is already known of the same brief and conditions: only what the loadout brings is worked out anew. */
export function exposures(outing: Outing, looked: Looked, day: DayExposures = dayExposures(outing, looked)): Exposures {
  const { aboard } = looked;
  return {
    ...day,
    rods: aboard.reduce((sum, { item, entry }) => sum + (isRod(item.kind) ? entry.quantity : 0), 0),
    electricsW: aboard.reduce((sum, { item, entry }) => sum + (item.attributes.watts ?? 0) * entry.quantity, 0),
    bigHooks: aboard.some(({ item }) => item.qualities.includes('treble')),
  };
}

type DayExposures = Omit<Exposures, 'rods' | 'electricsW' | 'bigHooks'>;

function dayExposures(outing: Outing, looked: Looked): DayExposures {
  const { brief, conditions } = outing;
  const { water, area, craft } = looked;
  const span = hoursOf(brief, looked);
  const dark = span && water ? darkOf(span, brief, water) : { minutes: 0, spans: [] };
  const hours = span ? hoursWithin(conditions.hours, span.from, span.to) : [];
  const zone = water?.timeZone ?? 'utc';
  const distanceM = area?.distanceM ?? null;
  const pace = (mps: number | undefined) => (distanceM === null || !mps ? null : distanceM / mps / 60);
  const largest = largestOf(brief);
  return {
    launchAt: span?.from ?? null,
    homeAt: span?.to ?? null,
    hoursAfloat: span ? minutesBetween(span.from, span.to) / 60 : null,
    darkMinutes: dark.minutes,
    darkSpans: dark.spans.map(([from, to]) => ({ from: clockAt(from, zone), to: clockAt(to, zone) })),
    maxDistanceM: distanceM,
    minutesToLanding: pace(craft?.cruiseMps),
    minutesToLandingSpare: pace(craft?.spareMps),
    solo: brief.party === 1,
    waterC: conditions.waterC,
    immersion: conditions.waterC === null ? null : immersion(conditions.waterC),
    airMinC: least(hours.map((hour) => hour.airC)),
    airMaxC: peak(hours, 'airC', zone)?.value ?? null,
    wind: peak(hours, 'windMps', zone),
    gust: peak(hours, 'gustMps', zone),
    waveM: peak(hours, 'waveM', zone)?.value ?? null,
    swellM: peak(hours, 'swellM', zone)?.value ?? null,
    breakerM: looked.launch?.surf ? breakerOf(hours) : null,
    thunder: peak(hours, 'thunderPct', zone),
    rapids: water?.rapids ?? 0,
    river: water?.setting === 'river',
    traffic: water?.traffic ?? null,
    remote: water !== null && (water.coverage === 'none' || water.coverage === 'patchy'),
    nights: brief.nights,
    party: brief.party,
    keep: brief.keep,
    keepKg: brief.keep * Math.max(0, ...brief.targets.map((id) => speciesTable[id].usual.massKg)),
    largest,
    toothy: brief.targets.some((id) => speciesTable[id].teeth === 'sharp'),
    standing: brief.standing,
    inflatable: craft?.hull === 'inflatable',
    drive: craft?.drive ?? null,
    competition: brief.trip === 'competition',
    outingsLogged: craft?.outingsLogged ?? null,
  };
}

function isRod(kind: string): boolean {
  return kind === 'spinning-rod' || kind === 'jig-rod' || kind === 'fly-rod';
}

/** Launch and coming home as instants; null until the water (and so the time zone) is known or the hours are in order. */
export function hoursOf(brief: Brief, looked: Pick<Looked, 'water'>): { from: Instant; to: Instant } | null {
  if (!looked.water) return null;
  const from = instantOf(brief.date, brief.launchAt, looked.water.timeZone);
  const home = instantOf(brief.date, brief.homeAt, looked.water.timeZone);
  if (from === null || home === null) return null;
  const to = home + brief.nights * DAY_MS;
  return to > from ? { from, to } : null;
}

// With nights out the dark hours are spent ashore: only the launch before sunrise and the landing after sunset count.
function darkOf(span: { from: Instant; to: Instant }, brief: Brief, water: { latDeg: number; lonDeg: number }) {
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

type Figure = 'windMps' | 'gustMps' | 'airC' | 'waveM' | 'swellM' | 'thunderPct';

function peak(hours: readonly Hour[], key: Figure, zone: string): Peak | null {
  let best: { value: number; at: string } | null = null;
  for (const hour of hours) {
    const value = hour[key];
    if (value !== null && (best === null || value > best.value)) best = { value, at: hour.at };
  }
  return best && { value: best.value, at: clockAt(Date.parse(best.at), zone) };
}

function least(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length > 0 ? Math.min(...known) : null;
}

function breakerOf(hours: readonly Hour[]): number | null {
  const ends = [hours[0], hours[hours.length - 1]].flatMap((hour) =>
    hour && hour.swellM !== null && hour.swellPeriodS !== null
      ? [surf({ hsM: hour.swellM, periodS: hour.swellPeriodS }).breakerM]
      : [],
  );
  return ends.length > 0 ? Math.max(...ends) : null;
}

function largestOf(brief: Brief): Exposures['largest'] {
  let found: Exposures['largest'] = null;
  for (const id of brief.targets) {
    const { largest } = speciesTable[id];
    if (!found || largest.lengthM > found.lengthM) found = { id, ...largest };
  }
  return found;
}
