import { forms } from '../documents/forms';
import { unstowed } from '../documents/stow';
import { demoAngler } from './people';
import { noWord, nobody } from '../documents/word';
import { longGreyStow, looseStow } from './stow';
import { lightOfDay, noonOf } from '../environment/light';
import { moreDemoOutings } from './outingsMore';
import { always, once, several } from './packed';
import { NO_FIGURES } from '../editing/hours';
import type { Brief, Hour, Outing } from '../documents/outing';
import { usualWorkings } from '../editing/usualWorkings';
import type { Water } from '../documents/water';
import { HOUR_MS, type Instant, addDays, clockAt, dateAt, instantOf, isoAt, shiftClock } from '../units/time';

const zone = 'UTC-1';
const FORECAST_DAYS = 3;

/** The day of the demo outings: the one after the first start, so never in the past. */
export function demoDay(now: Instant): string {
  return addDays(dateAt(now, zone), 1);
}

/** Sunrise and sunset at a place on that day, to five minutes, as clock times. */
function sunClock(
  { latDeg, lonDeg }: { latDeg: number; lonDeg: number },
  date: string,
): { rise: string; set: string } {
  const { sunrise, sunset } = lightOfDay(noonOf(date, lonDeg), latDeg, lonDeg);
  const five = (when: Instant | null, otherwise: string) =>
    when === null ? otherwise : clockAt(Math.round(when / 300_000) * 300_000, zone);
  return { rise: five(sunrise, '06:00'), set: five(sunset, '18:00') };
}

/** The launch of the outing off the Long Grey: twenty minutes before sunrise. */
export function demoDawn(now: Instant): { date: string; launchAt: string; at: Instant; nine: Instant } {
  const date = demoDay(now);
  const launchAt = shiftClock(sunClock({ latDeg: 47.5, lonDeg: -18.5 }, date).rise, -20);
  return {
    date,
    launchAt,
    at: instantOf(date, launchAt, zone) ?? now,
    nine: instantOf(date, '09:00', zone) ?? now,
  };
}

type Figures = Omit<Hour, 'at'>;
const plainDay: Figures = { ...NO_FIGURES, thunderPct: 0, rainMm: 0, visibilityM: 15_000, humidityPct: 75 };

/**
 * Hourly figures for three days, by the hours gone since a launch; each following day is a little windier.
 */
function hours(
  date: string,
  launchAt: string,
  of: (sinceLaunch: number, day: number) => Partial<Figures>,
): Hour[] {
  const midnight = instantOf(date, '00:00', zone) ?? 0;
  const launchHour = Number(launchAt.slice(0, 2));
  return Array.from({ length: 24 * FORECAST_DAYS }, (_, i) => ({
    at: isoAt(midnight + i * HOUR_MS, zone),
    ...plainDay,
    ...rounded(of((i % 24) - launchHour, Math.floor(i / 24))),
  }));
}
function rounded(figures: Partial<Figures>): Partial<Figures> {
  return Object.fromEntries(
    Object.entries(figures).map(([key, value]) => [key, value === null ? null : Number(value.toFixed(1))]),
  );
}

const atSea = [
  ...always,
  ...once('radio', 'flag', 'mast-light', 'headlamp', 'e-flare', 'mirror', 'snips', 'hook-cutter', 'wetsuit'),
  ...once(
    'four-piece',
    'drive-leash',
    'drive-pins',
    'vehicle-set',
    'tape',
    'gps',
    'cart',
    'spin-rod',
    'jig-rod',
    'jig-box',
    'leader',
  ),
  ...once(
    'net',
    'pliers',
    'board',
    'priest',
    'ice-bag',
    'battery',
    'sounder',
    'food',
    'hat',
    'shell',
    'dry-set',
    'frozen',
  ),
  several('rod-leash', 2),
  several('bottle', 4),
];

/** The two rods of the outings at sea, each tied so that the leader breaks first. */
const demoRigs: Outing['rigs'] = [
  {
    id: 'cast',
    name: 'Casting, plugs',
    purpose: 'cast',
    rodId: 'spin-rod',
    reelId: null,
    mainId: 'thin-braid',
    mainKnot: 'slim braid knot',
    leaderId: 'leader-light',
    leaderM: 1.2,
    leaderKnot: 'palomar',
    connection: 'direct',
    clipId: null,
    lureId: 'lure-box',
    lureG: null,
    dragFraction: 0.3,
  },
  {
    id: 'jig',
    name: 'Jigging, metal',
    purpose: 'jig',
    rodId: 'jig-rod',
    reelId: null,
    mainId: 'braid',
    mainKnot: 'slim braid knot',
    leaderId: 'leader',
    leaderM: 1.5,
    leaderKnot: 'palomar',
    connection: 'snap at the lure',
    clipId: 'strong-snaps',
    lureId: 'jig-box',
    lureG: null,
    dragFraction: 0.3,
  },
];
/** The same jig on a snap that goes before the leader. */
const weakRigs: Outing['rigs'] = demoRigs.map((one) =>
  one.id === 'jig' ? { ...one, clipId: 'snaps' } : one,
);

/**
 * What each demo outing shows: ready to sign; Stops at dusk; a race that forbids; a headwind home; cold water
 * in warm air.
 */
export function demoOutings(now: Instant, waters: readonly Water[]): readonly Outing[] {
  const { date, launchAt: dawn } = demoDawn(now);
  const takenAt = isoAt(now, 'utc');
  const mere = waters.find((water) => water.id === 'hallow-mere');
  const dusk = sunClock(mere ?? { latDeg: 48.2, lonDeg: -17.9 }, date).set;
  const { contact } = demoAngler;
  const onDay = (
    launchAt: string,
    minutes: number,
  ): Pick<Brief, 'date' | 'launchAt' | 'turnAt' | 'homeAt' | 'alarmAt' | 'nights' | 'landingId'> => {
    const homeAt = shiftClock(launchAt, minutes);
    return {
      date,
      launchAt,
      turnAt: null,
      homeAt,
      alarmAt: shiftClock(homeAt, 60),
      nights: 0,
      landingId: null,
    };
  };
  const direct = { out: [], home: [] };
  const longGrey: Outing = {
    format: forms.outings,
    id: 'pollack-long-grey',
    title: 'Pollack beyond the Long Grey',
    brief: {
      targets: ['pollack', 'sea-bass'],
      keep: 2,
      waterId: 'ostrey-sound',
      launchId: 'gannet-slip',
      areaId: 'long-grey',
      ...onDay(dawn, 380),
      route: { out: [{ latDeg: 47.4922, lonDeg: -18.4895, name: 'the grey buoy' }], home: [] },
      party: 1,
      craftId: 'grey-wagtail',
      setUpId: null,
      trip: 'beyond-surf',
      techniques: ['casting', 'jigging'],
      standing: false,
      contact,
    },
    conditions: {
      source: 'typed',
      from: '',
      takenAt,
      waterC: 13,
      hours: hours(date, dawn, (h, day) => ({
        windMps: 2 + Math.max(0, h) * 0.3 + day * 2.6,
        gustMps: 4.6 + Math.max(0, h) * 0.45 + day * 2.8,
        windFromDeg: 340 + day * 8,
        airC: 9 + 3 * Math.sin(((h + 1) * Math.PI) / 14),
        swellM: 0.3 + day * 0.2,
        swellPeriodS: 6 + day,
      })),
    },
    loadout: atSea,
    company: [],
    stow: longGreyStow,
    rigs: demoRigs,
    workings: usualWorkings,
    accepted: [],
    word: noWord,
    log: null,
  };
  const late = shiftClock(dawn, 150);
  return [
    longGrey,
    {
      ...longGrey,
      id: 'zander-dusk',
      stow: unstowed,
      rigs: [],
      title: 'Zander at dusk',
      brief: {
        ...longGrey.brief,
        targets: ['zander', 'perch'],
        keep: 0,
        waterId: 'hallow-mere',
        launchId: 'boathouse',
        areaId: 'dam-wall',
        ...onDay(shiftClock(dusk, -180), 255),
        route: direct,
        craftId: 'bladder-wrack',
        setUpId: null,
        trip: 'night',
        techniques: ['casting', 'drifting'],
        contact: nobody,
      },
      conditions: {
        ...longGrey.conditions,
        waterC: 11,
        hours: hours(date, shiftClock(dusk, -180), (h, day) => ({
          windMps: 6 + Math.max(0, h) - day * 1.5,
          gustMps: 8 + Math.max(0, h) - day * 1.5,
          windFromDeg: 290,
          airC: 12 - Math.max(0, h),
          thunderPct: 5,
        })),
      },
      loadout: [
        ...always.filter(({ itemId }) => itemId !== 'foam-jacket'),
        ...once(
          'inflatable-jacket',
          'spin-rod',
          'rod-leash',
          'soft-box',
          'gaff',
          'pliers',
          'leader',
          'white-flag',
          'food',
          'crate',
        ),
        several('bottle', 2),
      ],
    },
    {
      ...longGrey,
      id: 'long-grey-late',
      title: 'The Long Grey, after breakfast',
      brief: { ...longGrey.brief, ...onDay(late, 330) },
    },
    {
      ...longGrey,
      id: 'cod-wreck',
      stow: looseStow,
      title: 'Cod on the wreck, wind in the face home',
      brief: {
        ...longGrey.brief,
        targets: ['cod'],
        waterId: 'saltern-beach',
        launchId: 'saltern-gap',
        areaId: 'wreck',
        ...onDay(shiftClock(dawn, 60), 400),
        route: direct,
      },
      conditions: {
        ...longGrey.conditions,
        waterC: 12,
        hours: hours(date, shiftClock(dawn, 60), (h, day) => ({
          windMps: 3 + Math.max(0, h) * 0.75 - day,
          gustMps: 4.5 + Math.max(0, h) * 0.95 - day,
          windFromDeg: 188,
          airC: 10,
          swellM: 0.4,
          swellPeriodS: 7,
        })),
      },
      loadout: [
        ...atSea.filter(({ itemId }) => !['net', 'ice-bag', 'frozen', 'bottle'].includes(itemId)),
        ...once('messenger'),
        ...once('wide-net', 'small-fish-bag'),
        several('bottle', 5),
      ],
      rigs: weakRigs,
    },
    {
      ...longGrey,
      id: 'perch-spring',
      stow: unstowed,
      rigs: [],
      title: 'Perch, warm air over cold water',
      brief: {
        ...longGrey.brief,
        targets: ['perch'],
        keep: 0,
        waterId: 'hallow-mere',
        launchId: 'boathouse',
        areaId: 'reed-bays',
        ...onDay(shiftClock(dusk, -300), 180),
        route: direct,
        craftId: 'dunlin',
        setUpId: null,
        trip: 'still-water',
        techniques: ['casting'],
      },
      conditions: {
        ...longGrey.conditions,
        waterC: 7.5,
        hours: hours(date, shiftClock(dusk, -300), (_, day) => ({
          windMps: 2.5,
          gustMps: 4,
          windFromDeg: 200,
          airC: 21 - day,
        })),
      },
      loadout: [
        ...always,
        ...once(
          'paddle',
          'spin-rod',
          'rod-leash',
          'lure-box',
          'leader',
          'net',
          'pliers',
          'hat',
          'radio',
          'four-piece',
          'snips',
        ),
        several('bottle', 3),
      ],
    },
    ...moreDemoOutings(longGrey),
  ];
}
