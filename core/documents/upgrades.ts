import { type RawDocument, type Upgrade, completed, eachRecord, isRecord } from './upgrade';
import { unstowed } from './stow';
import { noRescue, noWord, nothingTold } from './word';
import { METRIC } from '../units/speaking';

/** What the sheets began with before an outing wrote every one of these figures itself. */
const FIGURES_OF_FORM_1 = {
  litresPerDegree: 0.02,
  waterInHand: 1.25,
  kjPerHour: null,
  shareEaten: 0.5,
  kjPerCampDay: 10_000,
  storeUaWK: 0.9,
  surgeHsM: 0.6,
  drogueCd: 1.2,
  jigCd: 0.8,
  lineCd: 1.2,
};
/** Findings whose extent was written in milliseconds and is in minutes now. */
const TIMED = /^(home-late|turn-passed|home-after-dark|second-too-slow)(:|$)/;

/** Whoever waits ashore may have an address for mail; nobody has written one yet. */
const withMail = (old: RawDocument): RawDocument => ({
  ...old,
  contact: completed(old.contact, { email: '' }),
});

export const outingUpgrades: readonly Upgrade[] = [
  {
    from: 'outing/1',
    to: 'outing/2',
    name: 'every figure of the sheets is written out; what rides where has names of its own; extents of time are in minutes',
    up: (old) => ({
      ...old,
      loadout: eachRecord(old.loadout, ({ apart = false, withId = null, ...entry }) => ({
        ...entry,
        outsideContainer: apart,
        carriedBy: withId,
      })),
      company: old.company ?? [],
      rigs: eachRecord(old.rigs, (rig) => ({ reelId: null, ...rig })),
      workings: completed(old.workings, FIGURES_OF_FORM_1),
      accepted: eachRecord(old.accepted, (one) =>
        typeof one.key === 'string' && TIMED.test(one.key) && typeof one.extent === 'number'
          ? { ...one, extent: one.extent / 60_000 }
          : one,
      ),
      log: old.log ?? null,
    }),
  },
  {
    from: 'outing/2',
    to: 'outing/3',
    name: 'the set-up of the boat may be chosen for an outing; the boat goes as it stands until it is',
    up: (old) => ({ ...old, brief: completed(old.brief, { setUpId: null }) }),
  },
  {
    from: 'outing/3',
    to: 'outing/4',
    name: 'where each thing goes is written; what nobody placed lies where its kind usually does',
    up: (old) => ({ stow: unstowed, ...old }),
  },
  {
    from: 'outing/4',
    to: 'outing/5',
    name: 'a plan may be left with the person ashore, who may have an address for mail; none has been yet',
    up: (old) => ({ word: noWord, ...old, brief: isRecord(old.brief) ? withMail(old.brief) : old.brief }),
  },
  {
    from: 'outing/5',
    to: 'outing/6',
    name: 'what the others bring for all of the party may be written; nothing is yet',
    up: (old) => ({ ...old, company: eachRecord(old.company, (one) => ({ brings: [], ...one })) }),
  },
];

export const craftUpgrades: readonly Upgrade[] = [
  {
    from: 'craft/1',
    to: 'craft/2',
    name: 'the rating of the well is written, or said not to be known',
    up: (old) => ({ wellKg: null, ...old }),
  },
  {
    from: 'craft/2',
    to: 'craft/3',
    name: 'drain plugs may have names; they are counted until they have',
    up: (old) => ({ plugNames: '', ...old }),
  },
  {
    from: 'craft/3',
    to: 'craft/4',
    name: 'a boat has a shape, a seat and places: the usual ones of its kind until they are written; pace and drag areas that were typed stand as measured',
    up: (old) => ({
      shape: null,
      ownVcgM: null,
      inclined: null,
      floats: null,
      scuppers: old.deck === 'sit-on-top' && old.hull === 'rigid' ? 'open' : 'none',
      bulkheadsM: [],
      seat: null,
      standing: false,
      zones: null,
      fittings: [],
      setUps: [],
      setUpId: null,
      ...old,
    }),
  },
  {
    from: 'craft/4',
    to: 'craft/5',
    name: 'a set-up keeps where each thing goes, once somebody has said so',
    up: (old) => ({ ...old, setUps: eachRecord(old.setUps, (one) => ({ stow: null, ...one })) }),
  },
  {
    from: 'craft/5',
    to: 'craft/6',
    name: 'figures that nobody has said are named; those of an earlier boat stand as they were kept',
    up: (old) => ({ assumed: [], ...old }),
  },
];

export const itemUpgrades: readonly Upgrade[] = [
  {
    from: 'item/1',
    to: 'item/2',
    name: 'a picture is kept by itself, and named by what it shows',
    // A picture inside the document was taken out of it where it is kept; one in a file or a draft is no name
    // of a picture.
    up: (old) => ({ ...old, photo: null }),
  },
  {
    from: 'item/2',
    to: 'item/3',
    name: 'why a thing stays aboard may be written with it; nobody has yet',
    up: (old) => ({ stays: '', ...old }),
  },
];

export const speciesUpgrades: readonly Upgrade[] = [
  {
    from: 'species/1',
    to: 'species/2',
    name: 'a fish has a shape to be drawn in',
    up: (old) => ({ shape: 'round', ...old }),
  },
];

export const waterUpgrades: readonly Upgrade[] = [
  {
    from: 'water/1',
    to: 'water/2',
    name: 'where one can get out is written: by the land its chart shows, else at its launches only; nothing is answered for all outings there',
    up: (old) => ({
      ...old,
      answered: old.answered ?? [],
      getOut: showsLand(old.chart) ? 'by the chart' : 'launches only',
      areas: eachRecord(old.areas, (area) => ({ shoreM: null, ...area })),
    }),
  },
  {
    from: 'water/2',
    to: 'water/3',
    name: 'a tide may be given by its high and low waters, a stream by hours about high water; none are written yet',
    up: (old) => ({
      ...old,
      tide: isRecord(old.tide) ? { turns: [], ...old.tide } : null,
      stream: isRecord(old.stream)
        ? { hours: [], springRangeM: null, neapRangeM: null, ...old.stream }
        : null,
    }),
  },
  {
    from: 'water/3',
    to: 'water/4',
    name: 'whom one calls who misses somebody there may be written; nobody has yet',
    up: (old) => ({ rescue: noRescue, ...old }),
  },
  {
    from: 'water/4',
    to: 'water/5',
    name: 'a water may be without a position, and figures that nobody has said are named; until now all were positioned',
    up: (old) => ({ positioned: true, assumed: [], ...old }),
  },
];
function showsLand(chart: unknown): boolean {
  return (
    isRecord(chart) &&
    Array.isArray(chart.features) &&
    chart.features.some(
      (one: unknown) => isRecord(one) && isRecord(one.properties) && one.properties.shows === 'land',
    )
  );
}

export const anglerUpgrades: readonly Upgrade[] = [
  {
    from: 'angler/1',
    to: 'angler/2',
    name: 'a limit of one’s own for waves, not set',
    up: (old) => ({ ...old, limits: completed(old.limits, { waveM: null }) }),
  },
  {
    from: 'angler/2',
    to: 'angler/3',
    name: 'the units one reads in, metric and by twenty-four hours as they were; nothing is counted yet of what one drinks and spends',
    up: (old) => ({ ...old, units: { ...METRIC }, habits: { litresPerHour: null, kjPerHour: null } }),
  },
  {
    from: 'angler/3',
    to: 'angler/4',
    name: 'what only the person ashore is told may be written, and their address for mail; nothing is yet',
    up: (old) => ({ about: nothingTold, ...withMail(old) }),
  },
  {
    from: 'angler/4',
    to: 'angler/5',
    name: 'what the boat travels on and one’s own times before a launch may be told; nothing is yet',
    up: (old) => ({
      vehicle: { carries: 'not told', lengthM: null, ratedKg: null },
      times: { readyMin: null, driveMin: null, rigMin: null, carryMin: null },
      ...old,
    }),
  },
];

/** What signatures froze before their form had a name: no fish of one's own were in it. */
export const snapshotUpgrades: readonly Upgrade[] = [
  {
    from: 'signed/1',
    to: 'signed/2',
    name: 'fish of one’s own are signed too',
    up: (old) => ({ ...old, species: old.species ?? null }),
  },
];
