import { callInstant, outingHours } from '../documents/hours';
import type { Chart } from '../documents/chart';
import type { Outing, Waypoint } from '../documents/outing';
import { type OutingInView, ridesAlong } from '../documents/references';
import type { Exposures } from '../exposures/exposures';
import { type JudgedNeed, itemsServing } from '../needs/match';
import { amount } from '../units/amount';
import { type Position, sayPosition } from '../units/position';
import { type Instant, isoAt } from '../units/time';
import { capital, count } from '../units/words';
import type { NeedId } from '../vocabulary/needs';
import { pointOf } from '../units/compass';
import type { FloatPlan, WayPoint } from './floatPlan';
import { calls } from './says';
import { sayMomentInFull } from './status';

/** What was decided about a finding: what it was, and the reason. */
export interface Decided {
  title: string;
  reason: string;
}
interface Given {
  outing: Outing;
  looked: OutingInView;
  needs: readonly JudgedNeed[];
  exposures: Exposures;
  decided: readonly Decided[];
  now: Instant;
}

const swimWords = { well: 'swims well', 'a little': 'swims a little', not: 'does not swim' } as const;
const warmNeeds: readonly NeedId[] = [
  'immersion-clothing',
  'head-warm',
  'spare-clothes',
  'buoyancy',
  'shelter',
];
const MOST_NOTE = 80;

type Line = FloatPlan['sections'][number]['lines'][number];
/** A line where there is something to say. */
const line = (label: string, text: string | null | undefined): Line[] => (text ? [{ label, text }] : []);
const sentence = (...parts: readonly (string | null | undefined)[]) => parts.filter(Boolean).join(', ');

/**
 * The plan of an outing as it will be read ashore; null: water, launch or hours are not known yet. What is
 * not written is left out, and nothing is in it but what stands in its lines.
 */
export function floatPlanOf({ outing, looked, needs, exposures, decided, now }: Given): FloatPlan | null {
  const { brief, conditions, company, word } = outing;
  const { angler, craft, water, launch, landing, area } = looked;
  if (!water || !launch) return null;
  const hours = outingHours(brief, water.timeZone);
  const callAt = callInstant(brief, water.timeZone);
  if (!hours || callAt === null) return null;
  const zone = water.timeZone;
  // What is typed, else the latest that is still home by the hour; none where none is.
  const turnAt = hours.turnAt ?? exposures.plan?.latestTurn ?? null;
  const about = angler?.about;
  const own = looked.aboard.filter(ridesAlong);
  const named = (list: typeof own) =>
    // Names have commas of their own.
    list
      .map(({ item, entry }) => (entry.quantity > 1 ? `${entry.quantity} × ${item.name}` : item.name))
      .join('; ');
  const warm = itemsServing(needs.filter(({ id }) => warmNeeds.includes(id)));
  const calling = own.filter(calls);
  const identified = calling.flatMap(({ item }) =>
    item.note.trim() === ''
      ? []
      : [`${item.name}: ${item.note.trim().split('\n')[0]?.slice(0, MOST_NOTE) ?? ''}`],
  );
  const placedAt = (one: (Position & { name: string }) | null) =>
    one && (water.positioned ? `${one.name}, ${sayPosition(one)}` : one.name);
  const passed = (point: Waypoint, i: number) => placedAt({ ...point, name: point.name || `point ${i + 1}` });
  const boat = craft
    ? sentence(
        craft.name,
        craft.colour,
        craft.deck,
        amount(craft.lengthM, 'm'),
        craft.marked ? 'name on the hull' : 'no name on the hull',
      )
    : null;
  const party = [
    brief.party === 1 ? 'Alone' : `${capital(count(brief.party))} in all`,
    ...company.map(({ name, boat: theirs }) => (theirs ? `${name} in ${theirs}` : name)),
  ];
  const vehicle = sentence(about?.vehicle, word.vehicleAt === '' ? `at ${launch.name}` : word.vehicleAt);
  const who = angler?.name ?? '';
  return {
    format: 'plan/1',
    title: outing.title,
    who,
    phone: about?.phone ?? '',
    zone,
    madeAt: isoAt(now, zone),
    contact: brief.contact,
    rescue: water.rescue,
    times: {
      launchAt: isoAt(hours.launchAt, zone),
      turnAt: turnAt === null ? null : isoAt(turnAt, zone),
      homeAt: isoAt(hours.homeAt, zone),
      callAt: isoAt(callAt, zone),
    },
    sections: [
      {
        heading: 'Who',
        lines: [
          ...line(
            'Angler',
            sentence(
              who,
              about?.ageYears ? `${about.ageYears} years` : null,
              angler ? swimWords[angler.swims] : null,
            ),
          ),
          ...line('Telephone', about?.phone),
          ...line('Wears', about?.wears),
          ...line('To know', about?.medical),
          ...line('Party', party.join('; ')),
        ],
      },
      { heading: 'The boat', lines: [...line('Boat', boat), ...line('Vehicle', vehicle)] },
      {
        heading: 'Where',
        lines: [
          ...line('Water', water.positioned ? water.name : `${water.name}; its position is not written`),
          ...line('Launch', placedAt(launch)),
          ...line('By way of', brief.route.out.map(passed).join('; ')),
          ...line('Place', placedAt(area)),
          ...line('Home by', brief.route.home.map(passed).join('; ')),
          ...line('Landing', placedAt(landing)),
          ...line('Nights out', brief.nights > 0 ? String(brief.nights) : null),
        ],
      },
      {
        heading: 'Aboard',
        lines: [
          ...line('Heard, seen', named(calling)),
          ...line('Known by', identified.join('; ')),
          ...line('Call sign', about?.callSign),
          ...line('Against the cold', named(own.filter(({ item }) => warm.has(item.id)))),
        ],
      },
      { heading: 'The forecast it rests on', lines: weather(conditions, exposures, zone) },
      {
        heading: 'Known and accepted',
        lines: decided.map(({ title, reason }) => ({ label: title.slice(0, 60), text: reason })),
      },
      { heading: 'More', lines: line('Note', word.note) },
    ].filter(({ lines }) => lines.length > 0),
    script: [
      `I am reporting a kayak angler overdue: ${sentence(who || 'one person', about?.ageYears ? `${about.ageYears} years old` : null)}, ${brief.party === 1 ? 'alone' : `one of ${count(brief.party)}`}.`,
      ...(boat ? [`The boat: ${boat}.`] : []),
      `Launched at ${placedAt(launch) ?? ''}, planned for ${sayMomentInFull(hours.launchAt, zone)}${area ? `, to fish ${placedAt(area) ?? ''}` : ''}.`,
      `Home was to be at ${sayMomentInFull(hours.homeAt, zone)}${landing && landing.id !== launch.id ? `, landing at ${placedAt(landing) ?? ''}` : ''}.`,
      ...(about?.wears ? [`Wears: ${about.wears}.`] : []),
      ...(calling.length > 0
        ? [
            `Carries to be heard and seen: ${named(calling)}${about?.callSign ? `; call sign ${about.callSign}` : ''}.`,
          ]
        : []),
      ...(about?.medical ? [`To know: ${about.medical.slice(0, 300)}`] : []),
      `The vehicle: ${vehicle}.`,
    ],
    vehicle,
    way: wayOf(outing, looked),
    land: water.positioned ? landAround(water.chart) : [],
  };
}

function weather(conditions: Outing['conditions'], { wind, gust, hs }: Exposures, zone: string): Line[] {
  const { hours, takenAt, waterC, from, source } = conditions;
  if (hours.length === 0) return [{ label: 'Forecast', text: 'None was written.' }];
  const worst = hours.reduce((a, b) => ((b.windMps ?? 0) > (a.windMps ?? 0) ? b : a));
  return [
    ...line(
      'Wind',
      wind === null
        ? null
        : sentence(
            `up to ${amount(wind.value, 'wind')}`,
            gust === null ? null : `gusts ${amount(gust.value, 'wind')}`,
            worst.windFromDeg === null ? null : `from ${pointOf(worst.windFromDeg)} when strongest`,
          ),
    ),
    ...line(
      'Waves',
      hs === null || hs.value < 0.05 ? null : `up to ${amount(hs.value, 'm')}, swell and wind sea together`,
    ),
    ...line('Water', waterC === null ? null : amount(waterC, '°C')),
    ...line(
      'Looked at',
      takenAt === null
        ? 'not written'
        : `${sayMomentInFull(Date.parse(takenAt), zone)}${source === 'typed' ? '' : `, ${from}`}`,
    ),
  ];
}

/**
 * The way of an outing: from the launch by its points to the place, and home again; empty where the positions
 * are not known.
 */
export function wayOf({ brief }: Outing, { water, launch, area, landing }: OutingInView): WayPoint[] {
  if (water?.positioned !== true) return [];
  const point = (
    kind: WayPoint['kind'],
    { latDeg, lonDeg, name }: Position & { name: string },
  ): WayPoint => ({
    latDeg,
    lonDeg,
    name,
    kind,
  });
  return [
    ...(launch ? [point('launch', launch)] : []),
    ...brief.route.out.map((one) => point('point', one)),
    ...(area ? [point('place', area)] : []),
    ...brief.route.home.map((one) => point('point', one)),
    ...(landing ? [point('landing', landing)] : []),
  ];
}

const MOST_LINES = 60;
const MOST_POINTS = 200;
/** The land of a chart, each ring by at most so many of its points. */
function landAround(chart: Chart): FloatPlan['land'] {
  return chart.features
    .filter(({ properties }) => properties.shows === 'land')
    .flatMap(({ geometry }) =>
      geometry.type === 'Polygon' ? geometry.coordinates.slice(0, 1) : [geometry.coordinates],
    )
    .slice(0, MOST_LINES)
    .map((ring) => {
      const step = Math.ceil(ring.length / MOST_POINTS);
      return ring
        .filter((_, i) => i % step === 0 || i === ring.length - 1)
        .map(([lon, lat]): [number, number] => [lon, lat]);
    });
}
