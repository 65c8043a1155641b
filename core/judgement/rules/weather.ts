import { type Reach, type Step, reachOf, sheltered, stepWords } from '../../exposures/ceilings';
import { type WindHour, strongestOffshore, windsOf } from '../../exposures/winds';
import { amount, distance, inWords } from '../../units/amount';
import { capital, count, duration, figure, listed, plural } from '../../units/words';
import type { Context } from '../context';
import { hoursClearOf, otherHours, otherLaunches, otherPlaces, outOfTheDark } from '../candidates';
import type { Repair } from '../../editing/repair';
import { onScale } from '../../needs/need';
import { rule } from '../rule';
import { type FindingLevel } from '../../vocabulary/levels';

/** Chance of thunder from which it is told, minded, and nobody launches, %. */
const THUNDER_PCT = { note: 15, mind: 30, stop: 40 };
/** So long before the launch and after coming in there is to be none, min. */
const THUNDER_GUARD_MIN = 60;

const thunder = rule({
  code: 'thunder',
  reads: ['day'],
  station: 'brief',
  measure: '%',
  find: ({ day: { thunder: peak, launchAt } }) => {
    const level = launchAt === null || !peak ? null : onScale(peak.value, THUNDER_PCT);
    if (!peak || level === null) return [];
    return [{ level, basis: 'physics', extent: peak.value, facts: { percent: peak.value, at: peak.at } }];
  },
  say: ({ percent, at }) => ({
    title: `Thunder: ${figure(percent, 0)} % at ${at}`,
    text: 'Counted from an hour before the launch to an hour after coming in. You and your rods are the highest things on the water; there is nowhere to go.',
  }),
  repairs: (_, context) =>
    hoursClearOf(context, ({ thunderPct }) => (thunderPct ?? 0) >= THUNDER_PCT.mind, THUNDER_GUARD_MIN),
  otherwise: () => 'Another day: it thunders at every hour that is left of this one.',
});

/** Why the water within reach ends where it does, in words. */
function sayReach({
  experience,
  steps,
  water,
}: {
  experience: Reach['experience'];
  steps: readonly Step[];
  water: string;
}): string {
  const lowered =
    steps.length > 0 ? `, lowered for ${listed(steps.map((step) => inWords(stepWords[step])))}` : '';
  return `${capital(water)} by the usual coaching definitions: ${experienceWords[experience]}${lowered}.`;
}
const experienceWords: Record<Reach['experience'], string> = {
  new: 'new to it',
  some: 'some experience',
  experienced: 'experienced',
};
const reachOfDay = ({ day, places }: Pick<Context, 'day' | 'places'>) =>
  places.angler && reachOf(places.angler, places.craft, day);

/**
 * Winds, seas, breakers and streams are estimates: what is over by no more than this share is not over. What
 * practice would grant.
 */
const ESTIMATE_SLACK = 0.05;
function passes(value: number, limit: number): boolean {
  return value > limit * (1 + ESTIMATE_SLACK);
}
/** Hours in which a wind is within one's own limit and one's own water. */
function hoursOutOfWind(context: Context, key: 'windMps' | 'gustMps'): Repair[] {
  const { angler } = context.places;
  const reach = reachOfDay(context);
  if (!angler || !reach) return [];
  const own = angler.limits[key];
  const minded = offshoreMinded(context.day);
  return hoursClearOf(context, (hour) => {
    const winds = windsOf([hour], context.places, () => '');
    return worstHour(winds, key, own, reach) !== null || (strongestOffshore(winds)?.value ?? 0) >= minded;
  });
}
const OUT_OF_WIND = 'Another day, or a water in the lee: no hours of this one are within it.';

interface Over {
  value: number;
  at: string;
  limit: number;
  own: boolean;
  water: string;
  offshore: boolean;
}
/**
 * The worst hour of a wind: past the ceiling before past one's own limit, then by how much. Off the shore the
 * ceiling is a step lower.
 */
function worstHour(
  winds: readonly WindHour[],
  key: 'windMps' | 'gustMps',
  ownLimit: number,
  reach: Reach,
): (Over & { past: boolean }) | null {
  let worst: (Over & { past: boolean }) | null = null;
  for (const hour of winds) {
    const value = hour[key];
    if (value === null) continue;
    const ceiling = hour.offshore ? reach.offshore : reach.ceiling;
    const limit = Math.min(ownLimit, ceiling[key]);
    if (!passes(value, limit)) continue;
    const past = passes(value, ceiling[key]);
    const over = {
      value,
      at: hour.clock,
      limit: past ? ceiling[key] : limit,
      own: !past && ownLimit <= ceiling[key],
      water: ceiling.name,
      offshore: hour.offshore,
      past,
    };
    if (
      worst === null ||
      (past && !worst.past) ||
      (past === worst.past && value - over.limit > worst.value - worst.limit)
    )
      worst = over;
  }
  return worst;
}
/** Past one's own limit a Mind, past the ceiling a Stop of judgement. */
function toldOver({ past, ...over }: Over & { past: boolean }, { experience, steps }: Reach) {
  const level: FindingLevel = past ? 'stop' : 'mind';
  return { level, basis: 'judgement' as const, extent: over.value, facts: { ...over, experience, steps } };
}
/** "9.2 m/s; you set 8 m/s." */
function sayOver(
  { value, limit, own, water, offshore }: Over,
  unit: string,
  reach: Pick<Reach, 'experience' | 'steps'>,
): string {
  // Two figures of which one passes the other never read the same.
  const decimals =
    [1, 2, 3].find((digits) => amount(value, unit, digits) !== amount(limit, unit, digits)) ?? 3;
  const said = (one: number) => amount(one, unit, decimals);
  return own
    ? `${said(value)}; you set ${said(limit)}.`
    : `${said(value)}; ${water} ends at ${said(limit)}. ${offshore ? 'The wind blows off the shore, so a step lower. ' : ''}${sayReach({ ...reach, water })} A rule of thumb.`;
}

const windOverLimit = rule({
  code: 'wind-over-limit',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm/s',
  find: ({ day, places }) => {
    const reach = reachOfDay({ day, places });
    if (day.launchAt === null || !places.angler || !reach) return [];
    const over = worstHour(day.winds, 'windMps', places.angler.limits.windMps, reach);
    if (!over) return [];
    return [toldOver(over, reach)];
  },
  say: (facts) => ({
    title: `Wind passes ${facts.own ? 'your limit' : facts.water} at ${facts.at}`,
    text: sayOver(facts, 'wind', facts),
  }),
  repairs: (_, context) => [...hoursOutOfWind(context, 'windMps'), ...otherPlaces(context)],
  otherwise: () => OUT_OF_WIND,
});

// Wind and the gusts in it are one cause: told once, by the steady wind where that already passes the limit.
const gustOverLimit = rule({
  code: 'gust-over-limit',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm/s',
  find: ({ day, places }) => {
    const reach = reachOfDay({ day, places });
    if (day.launchAt === null || !places.angler || !reach) return [];
    const { limits } = places.angler;
    const over = worstHour(day.winds, 'gustMps', limits.gustMps, reach);
    const wind = worstHour(day.winds, 'windMps', limits.windMps, reach);
    if (!over || (wind && (wind.past || !over.past))) return [];
    return [toldOver(over, reach)];
  },
  say: (facts) => ({
    title: `Gusts pass ${facts.own ? 'your limit' : facts.water} at ${facts.at}`,
    text: sayOver(facts, 'wind', facts),
  }),
  repairs: (_, context) => [...hoursOutOfWind(context, 'gustMps'), ...otherPlaces(context)],
  otherwise: () => OUT_OF_WIND,
});

/** What has one figure for the whole day, against one's own limit and the ceiling. */
function overDay(value: number | null, at: string, own: number | null, ceiling: number, reach: Reach) {
  if (value === null) return null;
  const limit = Math.min(own ?? Infinity, ceiling);
  if (!passes(value, limit)) return null;
  const past = passes(value, ceiling);
  return {
    value,
    at,
    limit: past ? ceiling : limit,
    own: !past,
    water: reach.ceiling.name,
    offshore: false,
    past,
  };
}

const surfOverLimit = rule({
  code: 'surf-over-limit',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm',
  find: ({ day, places }) => {
    const plain = reachOfDay({ day, places });
    const { angler, launch } = places;
    if (!angler || !launch || !plain) return [];
    // Sets are not seen in the dark.
    const unseen = day.nightAtShore;
    const reach = unseen ? { ...plain, ceiling: plain.offshore } : plain;
    const over = overDay(day.breakerM, launch.name, angler.limits.breakerM, reach.ceiling.breakerM, reach);
    if (!over) return [];
    const { facts, ...told } = toldOver(over, reach);
    return [{ ...told, facts: { ...facts, unseen } }];
  },
  say: (facts) => ({
    title: `Surf passes ${facts.own ? 'your limit' : facts.water} at ${facts.at}`,
    text: `Breakers, an estimate from swell and wind sea: ${sayOver(facts, 'm', facts)}${facts.unseen && !facts.own ? ' In the dark a step lower: the sets are not seen.' : ''} They are met twice, going out and, tired, coming in.`,
  }),
  repairs: (_, context) => [...otherLaunches(context), ...outOfTheDark(context), ...otherHours(context)],
  otherwise: () => 'A launch out of the swell, or another day: the swell lasts through this one.',
});

const wavesOverLimit = rule({
  code: 'waves-over-limit',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm',
  find: ({ day, places }) => {
    const reach = reachOfDay({ day, places });
    if (!places.angler || !reach || !day.hs) return [];
    const { value, at } = day.hs;
    const over = overDay(value, at, places.angler.limits.waveM, reach.ceiling.waveM, reach);
    return over ? [toldOver(over, reach)] : [];
  },
  say: (facts) => ({
    title: `Waves pass ${facts.own ? 'your limit' : facts.water} at ${facts.at}`,
    text: `Wind sea and swell together, an estimate: ${sayOver(facts, 'm', facts)}`,
  }),
  repairs: (_, context) => [...otherPlaces(context), ...otherHours(context)],
  otherwise: () => 'A place in the lee, or another day.',
});

/**
 * Whose hull carries one standing is another sum; in waves it is the feet that decide, and flat water is
 * where one stands.
 */
const standingInWaves = rule({
  code: 'standing-in-waves',
  reads: ['day', 'outward'],
  station: 'brief',
  measure: 'm',
  find: ({ day: { hs }, outward: brief }) => {
    if (!brief.standing || !hs || hs.value <= sheltered.waveM * (1 + ESTIMATE_SLACK)) return [];
    const facts = { waveM: hs.value, at: hs.at };
    return [{ level: 'mind', basis: 'judgement', extent: hs.value, facts }];
  },
  say: ({ waveM, at }) => ({
    title: `Standing in waves of ${amount(waveM, 'm')} at ${at}`,
    text: `An estimate from wind, fetch and stream. Over about ${amount(sheltered.waveM, 'm')} the deck moves faster than feet do. A rule of thumb.`,
  }),
  repairs: (_, context) => [{ do: 'sit-to-fish' }, ...otherHours(context)],
});

const streamOverReach = rule({
  code: 'stream-over-reach',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm/s',
  find: ({ day, places }) => {
    const reach = reachOfDay({ day, places });
    if (!reach || !day.stream) return [];
    const { value, at } = day.stream;
    const over = overDay(value, at, null, reach.ceiling.streamMps, reach);
    return over ? [toldOver(over, reach)] : [];
  },
  say: (facts) => ({
    title: `The stream passes ${facts.water} at ${facts.at}`,
    text: sayOver(facts, 'm/s', facts),
  }),
  repairs: (_, context) => [...otherPlaces(context), ...otherHours(context)],
  otherwise: () => 'Slack water, neaps, or a place out of the stream.',
});

/** Up to here a place is a little farther than one's own water, as a share of it. */
const A_LITTLE_FARTHER = 1.5;
/**
 * A little past the distance of one's own water a Note, past that a Mind, past that of the next a Stop: from
 * there what is aboard decides for those who may.
 */
const farForReach = rule({
  code: 'far-for-reach',
  reads: ['day', 'places'],
  far: 'shore',
  station: 'brief',
  measure: 'm',
  find: ({ day, places }) => {
    const reach = reachOfDay({ day, places });
    const metres = day.maxDistanceFromShoreM;
    if (!reach || metres === null || metres <= reach.ceiling.shoreM * (1 + ESTIMATE_SLACK)) return [];
    const level: FindingLevel =
      metres > reach.above.shoreM * (1 + ESTIMATE_SLACK)
        ? 'stop'
        : metres > reach.ceiling.shoreM * A_LITTLE_FARTHER
          ? 'mind'
          : 'note';
    const { experience, steps, ceiling } = reach;
    return [
      {
        level,
        basis: 'judgement',
        extent: metres,
        facts: { metres, limitM: ceiling.shoreM, water: ceiling.name, experience, steps },
      },
    ];
  },
  say: (facts) => ({
    title: `${distance(facts.metres)} from ground, past ${facts.water}`,
    text: `It ends at ${distance(facts.limitM)}. ${sayReach(facts)} A rule of thumb.`,
  }),
  repairs: (_, context) => otherPlaces(context),
  otherwise: () => 'A place nearer to ground, somebody who comes along, or not today.',
});

/**
 * A wind off the shore from which it is told, and minded alone and in company, m/s; nearer to ground than
 * this it drives nobody far, m.
 */
const OFF_SHORE_MPS = { note: 2, mindAlone: 4, mind: 6 };
const OFF_SHORE_FROM_M = 300;
/** From which wind off the shore a Mind is told, m/s. */
function offshoreMinded({
  solo,
  maxDistanceFromShoreM: outM,
}: Pick<Context['day'], 'solo' | 'maxDistanceFromShoreM'>) {
  if (outM !== null && outM <= OFF_SHORE_FROM_M) return Infinity;
  return solo ? OFF_SHORE_MPS.mindAlone : OFF_SHORE_MPS.mind;
}
/**
 * Told where nothing else speaks of it: off the shore a wind that feels like none grows with every stroke
 * out.
 */
const offshoreWind = rule({
  code: 'offshore-wind',
  // It is told where a wind that passes the limit is not: what settles that is not kept back by it.
  neverBlocksRepairs: true,
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm/s',
  slack: 0.5,
  find: ({ day, places }) => {
    const reach = reachOfDay({ day, places });
    const { offshore, launchAt, maxDistanceFromShoreM: outM } = day;
    if (launchAt === null || !offshore || (outM !== null && outM <= OFF_SHORE_FROM_M)) return [];
    const level = onScale(offshore.value, { note: OFF_SHORE_MPS.note, mind: offshoreMinded(day) });
    if (level === null) return [];
    if (
      reach &&
      places.angler &&
      worstHour(day.winds, 'windMps', places.angler.limits.windMps, reach)?.offshore
    )
      return [];
    return [
      { level, basis: 'physics', extent: offshore.value, facts: { mps: offshore.value, at: offshore.at } },
    ];
  },
  say: ({ mps, at }) => ({
    title: `The wind blows off the shore, ${amount(mps, 'wind')} at ${at}`,
    text: 'Calm at the launch, rougher with every stroke out, and the way home is against it. Whoever stops paddling drifts away from help.',
  }),
  repairs: (_, context) => [...otherPlaces(context), ...hoursOutOfWind(context, 'windMps')],
});

/**
 * Sight from which it is told, minded where boats pass or ground is far, and under which nobody launches far
 * out or where boats pass close, m.
 */
const FOG_M = { note: 1000, mind: 500, stop: 200 };
/** How far from ground sight is minded, and how far it stops one, m. */
const FOG_OUT_M = { mind: 300, stop: 1000 };
const fog = rule({
  code: 'fog',
  reads: ['day'],
  station: 'brief',
  measure: 'm short of sight',
  find: ({ day: { visibility, traffic, maxDistanceFromShoreM } }) => {
    if (visibility === null || visibility.value >= FOG_M.note) return [];
    const { value, at } = visibility;
    const outM = maxDistanceFromShoreM ?? Infinity;
    const busy = traffic === 'busy';
    const stops = value < (busy ? FOG_M.mind : FOG_M.stop) && (busy || outM > FOG_OUT_M.stop);
    const minds = value < FOG_M.mind && (traffic !== 'little' || outM > FOG_OUT_M.mind);
    const level: FindingLevel = stops ? 'stop' : minds ? 'mind' : 'note';
    return [
      { level, basis: 'judgement', extent: FOG_M.note - value, facts: { visibilityM: value, at, busy } },
    ];
  },
  say: ({ visibilityM, at, busy }) => ({
    title: `Visibility ${amount(visibilityM, 'm', 0)} at ${at}`,
    text: `${busy ? 'Boats pass close. ' : ''}Nobody sees you, and you do not see the shore. A horn and a compass are no more than that.`,
  }),
  repairs: (_, context) => hoursClearOf(context, ({ visibilityM }) => (visibilityM ?? Infinity) < FOG_M.mind),
  otherwise: () => 'Wait until it lifts, stay within sight of the shore, or another day.',
});

const darkness = rule({
  code: 'darkness',
  notes: true,
  reads: ['day', 'needs'],
  station: 'brief',
  measure: 'minutes',
  // In twilight one still sees: that is no darkness.
  find: ({ day: { darkMinutes, nightMinutes, darkSpans }, needs }) => {
    if (nightMinutes < 1) return [];
    const lit = needs.some((need) => need.id === 'be-seen-night' && need.met);
    return [
      {
        level: 'note',
        basis: 'physics',
        extent: darkMinutes,
        facts: { minutes: darkMinutes, spans: darkSpans, lit },
      },
    ];
  },
  say: ({ minutes, spans, lit }) => ({
    title: `${duration(minutes)} of darkness`,
    text: `${spans.map(({ from, to }) => `${from} to ${to}`).join(' and ')}, by the sun. ${lit ? 'A white light is carried; it must burn until then.' : 'A white light is needed.'}`,
  }),
});

/** Warmer than any water: a colder one is worse by so many degrees. */
const WARMEST_C = 40;
const coldWater = rule({
  code: 'cold-water',
  notes: true,
  reads: ['day', 'needs'],
  station: 'brief',
  sheet: 'cold',
  measure: '°C below 40',
  far: 'shore',
  find: ({ day: { immersion, waterC, minutesToShore }, needs }) => {
    if (!immersion || waterC === null || immersion.class === 'warm' || immersion.class === 'cool') return [];
    const dressed = needs.some((need) => need.id === 'immersion-clothing' && need.met);
    const { class: name, exhaustionMin } = immersion;
    return [
      {
        level: 'note',
        basis: 'physics',
        extent: WARMEST_C - waterC,
        facts: { waterC, class: name as string, exhaustionMin, minutesToShore, dressed },
      },
    ];
  },
  say: ({ waterC, class: name, exhaustionMin, minutesToShore, dressed }) => ({
    title: `Water at ${amount(waterC, '°C')}: ${name}`,
    text: `Published ranges put exhaustion at ${duration(exhaustionMin[0])} to ${duration(exhaustionMin[1])} in such water; people differ widely.${minutesToShore === null ? '' : ` The nearest ground to get out on is ${duration(minutesToShore)} away at your own pace, an estimate.`}${dressed ? '' : ' Dress for the water, not the air.'}`,
  }),
});

const party = rule({
  code: 'party',
  notes: true,
  reads: ['day', 'company'],
  station: 'kit',
  measure: 'people',
  find: ({ day, company }) =>
    day.party > company.length + 1
      ? [{ level: 'note', basis: 'judgement', extent: day.party, facts: { people: day.party } }]
      : [],
  say: ({ people }) => ({
    title: `${capital(count(people))} ${plural(people, 'person', 'people')}, and this counts your own boat`,
    text: 'Buoyancy, warmth and signals are each person’s own. Agree who carries what is shared.',
  }),
});

export const weatherRules = [
  thunder,
  windOverLimit,
  gustOverLimit,
  offshoreWind,
  surfOverLimit,
  wavesOverLimit,
  standingInWaves,
  streamOverReach,
  farForReach,
  fog,
] as const;
export const exposureNotes = [darkness, coldWater, party] as const;
