import { unstowed } from '../documents/stow';
import { buriedStow, tallPoleStow, untiedBoardStow } from './stow';
import { NO_FIGURES } from '../editing/hours';
import type { Outing } from '../documents/outing';
import { emptyLog } from '../documents/log';
import { HOUR_MS, addDays, instantOf, isoAt, shiftClock } from '../units/time';
import { placeAt } from './charts';
import { always, once, several } from './packed';
import { venn } from './waters';

/** A day of the same figures every hour, three days long. */
function evenHours(date: string, zone: string, figures: Partial<Outing['conditions']['hours'][number]>) {
  const midnight = instantOf(date, '00:00', zone) ?? 0;
  return Array.from({ length: 72 }, (_, i) => ({
    ...NO_FIGURES,
    thunderPct: 0,
    rainMm: 0,
    visibilityM: 15_000,
    humidityPct: 70,
    ...figures,
    at: isoAt(midnight + i * HOUR_MS, zone),
  }));
}

/** A point in the middle of the Venn, so many metres east and north of the upper bridge. */
const bend = (name: string, east: number, north: number) => ({ ...placeAt(venn, east, north), name });

/** Aboard last week, and not wanted. */
const unused = new Set(['mirror', 'e-flare', 'patch', 'first-aid', 'dry-set', 'four-piece', 'hook-cutter']);

/**
 * The rest of the invented waters: a night on the river with three boats, a flat to stand on in the heat, a
 * competition whose battery meets a cold morning, and an anchor in a hole where the stream runs hard.
 * @param like an outing whose other answers they share
 */
export function moreDemoOutings(like: Outing): readonly Outing[] {
  const { date } = like.brief;
  const hours = (launchAt: string, minutes: number) => {
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
  /** Standing with a fly rod on the white flat, in the heat. */
  const onTheFlat = {
    brief: {
      ...like.brief,
      targets: ['bonefish'],
      keep: 0,
      waterId: 'lantern-cays',
      launchId: 'lamp-landing',
      areaId: 'white-flat',
      route: direct,
      trip: 'flats' as const,
      techniques: ['fly' as const, 'sight fishing' as const],
      standing: true,
    },
    conditions: {
      ...like.conditions,
      waterC: 27,
      hours: evenHours(date, 'UTC-3', { windMps: 4, gustMps: 6, windFromDeg: 70, airC: 32, humidityPct: 74 }),
    },
  };
  return [
    {
      ...like,
      rigs: [],
      stow: unstowed,
      id: 'venn-overnight',
      title: 'Barbel and chub, a night on the Venn',
      brief: {
        ...like.brief,
        targets: ['barbel', 'chub'],
        keep: 0,
        waterId: 'river-venn',
        launchId: 'upper-bridge',
        areaId: 'two-rapids',
        ...hours('09:00', 420),
        nights: 1,
        landingId: 'mill-meadow',
        route: {
          out: [
            bend('the first bend', 510, -95),
            bend('the gravel bend', 1010, -110),
            bend('the tail of the lower rapid', 1520, 66),
          ],
          home: [bend('the alders', 2210, 125), bend('the mill bend', 2890, -35)],
        },
        party: 3,
        craftId: 'dunlin',
        trip: 'river-overnight',
        techniques: ['casting', 'anchored bait'],
      },
      company: [
        {
          id: 'first',
          name: 'Sample Friend',
          boat: 'Teal, paddle',
          says: [
            'buoyancy',
            'sound-signal',
            'call-for-help',
            'be-seen-night',
            'cut-line',
            'water',
            'sleep',
            'head',
          ],
          brings: [],
        },
        {
          id: 'second',
          name: 'Sample Cousin',
          boat: 'Coot, paddle',
          says: ['buoyancy', 'water', 'sleep'],
          brings: [],
        },
      ],
      conditions: {
        ...like.conditions,
        waterC: 14,
        hours: evenHours(date, 'UTC-1', { windMps: 3, gustMps: 5, windFromDeg: 250, airC: 14 }),
      },
      loadout: [
        ...always,
        ...once(
          'paddle',
          'four-piece',
          'helmet',
          'throw-line',
          'wetsuit',
          'mast-light',
          'headlamp',
          'radio',
          'snips',
        ),
        ...once(
          'spin-rod',
          'travel-rod',
          'rig-wallet',
          'sinkers',
          'feed-tub',
          'leader',
          'net',
          'forceps',
          'pliers',
        ),
        ...once(
          'sleep-kit',
          'stove',
          'filter',
          'waste-kit',
          'fire-kit',
          'soap',
          'lantern',
          'bells',
          'insect-net',
        ),
        ...once('dry-set', 'big-aid', 'anchor', 'river-crate', 'food', 'hat', 'shell', 'camp-meals'),
        ...once('tent', 'canister').map((entry) => ({ ...entry, carriedBy: 'first' })),
        several('rod-leash', 2),
        several('bottle', 6),
      ],
    },
    {
      ...like,
      rigs: [],
      stow: unstowed,
      id: 'bonefish-flat',
      title: 'Bonefish, standing on the white flat',
      brief: {
        ...onTheFlat.brief,
        ...hours('08:00', 360),
        craftId: 'grey-wagtail',
      },
      conditions: onTheFlat.conditions,
      loadout: [
        ...always,
        ...once(
          'four-piece',
          'drive-leash',
          'fly-rod',

          'leader',
          'net',
          'forceps',
          'hat',
          'messenger',
          'snips',
        ),
        ...once('push-pole', 'mirror', 'beacon', 'gps', 'food'),
        several('rod-leash', 1),
        several('bottle', 5),
      ],
    },
    {
      ...like,
      rigs: [],
      stow: tallPoleStow,
      id: 'bonefish-pole',
      title: 'Bonefish from the round boat, poled',
      brief: {
        ...onTheFlat.brief,
        ...hours('08:00', 240),
        craftId: 'little-stint',
        setUpId: 'folded',
      },
      conditions: onTheFlat.conditions,
      loadout: [
        ...always,
        ...once('paddle', 'push-pole', 'drive-leash', 'fly-rod', 'leader', 'net', 'forceps', 'hat', 'radio'),
        several('rod-leash', 1),
        several('bottle', 5),
      ],
    },
    {
      ...like,
      rigs: [],
      stow: untiedBoardStow,
      id: 'mere-cup-day',
      title: 'Mere Cup: catch, photograph, release',
      brief: {
        ...like.brief,
        targets: ['pike', 'perch'],
        keep: 0,
        waterId: 'mere-cup',
        launchId: 'boathouse',
        areaId: 'reed-bays',
        ...hours('08:00', 420),
        route: direct,
        craftId: 'grey-wagtail',
        trip: 'competition',
        techniques: ['casting', 'trolling'],
      },
      conditions: {
        ...like.conditions,
        waterC: 6,
        hours: evenHours(date, 'UTC-1', { windMps: 3, gustMps: 5, windFromDeg: 300, airC: 3 }),
      },
      loadout: [
        ...always,
        ...once(
          'radio',
          'flag',
          'horn',
          'snips',
          'hook-cutter',
          'drysuit',
          'under-layer',
          'gloves',
          'warm-hat',
        ),
        ...once(
          'four-piece',
          'drive-leash',
          'troll-rod',
          'big-rod',
          'permit',
          'plug-box',
          'bite-leader',
          'big-box',
        ),
        ...once(
          'wide-net',
          'pliers',
          'spreader',
          'cup-board',
          'tape-measure',
          'tag',
          'action-cam',
          'power-bank',
        ),
        ...once(
          'lead-battery',
          'sounder',
          'deck-lights',
          'holders',
          'food',
          'flask',
          'shell',
          'dry-set',
          'vehicle-set',
          'hat',
        ),
        several('rod-leash', 2),
        several('bottle', 3),
      ],
    },
    {
      ...like,
      rigs: [],
      stow: buriedStow,
      id: 'ling-anchored',
      title: 'Cod and ling, at anchor in the deep hole',
      brief: {
        ...like.brief,
        targets: ['cod', 'ling'],
        keep: 2,
        waterId: 'saltern-beach',
        launchId: 'saltern-gap',
        areaId: 'deep-hole',
        ...hours('08:00', 400),
        route: direct,
        trip: 'open-water',
        techniques: ['jigging', 'anchored bait'],
      },
      conditions: {
        ...like.conditions,
        waterC: 12,
        hours: evenHours(date, 'UTC-1', {
          windMps: 3.5,
          gustMps: 5,
          windFromDeg: 200,
          airC: 11,
          swellM: 0.3,
          swellPeriodS: 7,
        }),
      },
      loadout: [
        ...like.loadout.filter(({ itemId }) => !['net', 'spin-rod', 'leader', 'frozen'].includes(itemId)),
        ...once(
          'wide-net',
          'bottom-rod',
          'sinkers',
          'rig-wallet',
          'feed-tub',
          'heavy-leader',
          'long-anchor',
          'trolley',
          'messenger',
          'bite-leader',
        ),
      ],
    },
    logged(like),
  ];
}

/** Last week's, at the same place: over, and written down. */
function logged(like: Outing): Outing {
  const date = addDays(like.brief.date, -8);
  const lost: Record<string, number> = { 'jig-box': 3 };
  return {
    ...like,
    id: 'pollack-logged',
    title: 'Last week, past the Long Grey',
    brief: { ...like.brief, date },
    conditions: {
      ...like.conditions,
      takenAt: isoAt(instantOf(date, like.brief.launchAt, 'utc') ?? 0, 'utc'),
      hours: evenHours(date, 'UTC-1', {
        windMps: 3,
        gustMps: 4.5,
        windFromDeg: 340,
        airC: 11,
        swellM: 0.3,
        swellPeriodS: 6,
      }),
    },
    log: {
      ...emptyLog,
      launchedAt: shiftClock(like.brief.launchAt, 10),
      landedAt: shiftClock(like.brief.homeAt, 25),
      items: like.loadout.map(({ itemId }) =>
        itemId in lost
          ? { itemId, mark: 'lost', lost: lost[itemId] ?? 0 }
          : { itemId, mark: unused.has(itemId) ? 'carried' : 'used', lost: 0 },
      ),
      catches: [
        { key: 'first', speciesId: 'pollack', lengthM: 0.58, kept: true },
        { key: 'second', speciesId: 'pollack', lengthM: 0.51, kept: true },
        { key: 'third', speciesId: 'sea-bass', lengthM: 0.39, kept: false },
      ],
      wishes: [{ key: 'gloves', text: 'A second pair of gloves' }],
      note: 'The race set in earlier than written.',
    },
  };
}
