import { lightOfDay, noonOf } from '../conditions/light';
import type { Hour, Outing } from '../outing/outing';
import { HOUR_MS, type Instant, addDays, clockAt, dateAt, instantOf, isoAt, shiftClock } from '../units/time';
import { demoWaters } from './waters';

const zone = 'UTC-1';

function at(id: string) {
  const water = demoWaters.find((one) => one.id === id);
  if (!water) throw new RangeError(`No demo water ${id}`);
  return water;
}

/** Sunrise and sunset on a day at a demo water, to five minutes, as clock times. */
function sunClock(waterId: string, date: string): { rise: string; set: string } {
  const { latDeg, lonDeg } = at(waterId);
  const { sunrise, sunset } = lightOfDay(noonOf(date, lonDeg), latDeg, lonDeg);
  const five = (when: Instant | null, otherwise: string) =>
    when === null ? otherwise : clockAt(Math.round(when / 300_000) * 300_000, zone);
  return { rise: five(sunrise, '06:00'), set: five(sunset, '18:00') };
}

/** Hourly figures around a window, from a first value and a change each hour. */
function hours(date: string, from: string, count: number, of: (i: number) => Omit<Hour, 'at'>): Hour[] {
  const start = instantOf(date, `${from.slice(0, 2)}:00`, zone) ?? 0;
  return Array.from({ length: count }, (_, i) => ({ at: isoAt(start + i * HOUR_MS, zone), ...of(i) }));
}

const once = (...ids: string[]) => ids.map((itemId) => ({ itemId, quantity: 1, apart: false }));
const always = once(
  'foam-jacket',
  'whistle',
  'phone',
  'knife',
  'first-aid',
  'paddle-leash',
  'pump',
  'bow-line',
  'straps',
  'key-pouch',
  'licence',
);

/** One outing ready to sign, one with Stops; both on the day after the first start, so never in the past. */
export function demoOutings(now: Instant): readonly Outing[] {
  const tomorrow = addDays(dateAt(now, zone), 1);
  const sun = { ostrey: sunClock('ostrey-sound', tomorrow), hallow: sunClock('hallow-mere', tomorrow) };
  const takenAt = isoAt(now, 'utc');
  const dawn = shiftClock(sun.ostrey.rise, -20);
  const dawnHome = shiftClock(dawn, 380);
  const duskFrom = shiftClock(sun.hallow.set, -180);
  const duskHome = shiftClock(sun.hallow.set, 75);
  return [
    {
      format: 'outing/1',
      id: 'pollack-long-grey',
      title: 'Pollack beyond the Long Grey',
      brief: {
        targets: ['pollack', 'sea-bass'],
        keep: 2,
        waterId: 'ostrey-sound',
        launchId: 'gannet-slip',
        areaId: 'long-grey',
        date: tomorrow,
        launchAt: dawn,
        homeAt: dawnHome,
        nights: 0,
        party: 1,
        craftId: 'grey-wagtail',
        trip: 'beyond-surf',
        techniques: ['casting', 'jigging'],
        standing: false,
        contact: { name: 'Sample Contact', phone: '000 555 0101' },
        alarmAt: shiftClock(dawnHome, 60),
      },
      conditions: {
        source: 'typed',
        takenAt,
        waterC: 13,
        hours: hours(tomorrow, dawn, 8, (i) => ({
          windMps: 3 + i * 0.4,
          gustMps: 5 + i * 0.5,
          windFromDeg: 230,
          airC: 9 + i * 0.5,
          waveM: 0.2,
          swellM: 0.3,
          swellPeriodS: 6,
          thunderPct: 0,
        })),
      },
      loadout: [
        ...always,
        ...once('radio', 'flag', 'mast-light', 'headlamp', 'e-flare', 'snips', 'hook-cutter', 'wetsuit'),
        ...once('four-piece', 'drive-leash', 'tape', 'gps', 'cart', 'spin-rod', 'jig-rod', 'jig-box', 'leader'),
        ...once('net', 'pliers', 'board', 'priest', 'ice-bag', 'battery', 'sounder', 'food', 'hat', 'shell', 'dry-set'),
        { itemId: 'rod-leash', quantity: 2, apart: false },
        { itemId: 'bottle', quantity: 4, apart: false },
      ],
      accepted: [],
    },
    {
      format: 'outing/1',
      id: 'zander-dusk',
      title: 'Zander at dusk',
      brief: {
        targets: ['zander', 'perch'],
        keep: 0,
        waterId: 'hallow-mere',
        launchId: 'boathouse',
        areaId: 'dam-wall',
        date: tomorrow,
        launchAt: duskFrom,
        homeAt: duskHome,
        nights: 0,
        party: 1,
        craftId: 'bladder-wrack',
        trip: 'night',
        techniques: ['casting', 'drifting'],
        standing: false,
        contact: { name: '', phone: '' },
        alarmAt: shiftClock(duskHome, 60),
      },
      conditions: {
        source: 'typed',
        takenAt,
        waterC: 11,
        hours: hours(tomorrow, duskFrom, 6, (i) => ({
          windMps: 6 + i,
          gustMps: 8 + i,
          windFromDeg: 290,
          airC: 12 - i,
          waveM: 0.2,
          swellM: null,
          swellPeriodS: null,
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
        { itemId: 'bottle', quantity: 2, apart: false },
      ],
      accepted: [],
    },
  ];
}
