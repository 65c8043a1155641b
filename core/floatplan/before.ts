import { outingHours } from '../documents/hours';
import type { Outing } from '../documents/outing';
import { type OutingInView, ridesAlong } from '../documents/references';
import { kinds } from '../catalog/gear/kinds';
import { isBattery } from '../catalog/gear/stowing';
import { FORECAST_HOURS } from '../walkround/forecastSeen';
import { HOUR_MS, type Instant, MINUTE_MS } from '../units/time';
import { capital, count, duration, listed, plural } from '../units/words';

/** One thing to do before a launch, and by when. */
export interface Before {
  at: Instant;
  what: string;
  why: string;
}

/** Usual times where nobody counted their own, minutes. Rules of thumb. */
const USUAL = { readyMin: 45, rigMin: 40 } as const;
/** Gear that one takes to the water in one way, kg; pace with a load, m/s; minutes to take it up and set it down. */
const A_LOAD_KG = 25;
const CARRY_MPS = 0.8;
const LOADING_MIN = 3;
/** Charging takes a night, freezing a litre a day. */
const NIGHT_MS = 12 * HOUR_MS;
const FREEZING_MS = 24 * HOUR_MS;

/** Ways to the water with the boat and its gear: one with a cart, else the boat and each load of gear. */
export function carriesOf({ aboard }: OutingInView): number {
  // The cart goes back to the vehicle.
  if (aboard.some(({ item }) => kinds[item.kind].means.includes('carry') && item.condition === 'good'))
    return 1;
  const gearKg = aboard
    .filter(ridesAlong)
    .reduce((sum, { item, entry }) => sum + item.massKg * entry.quantity, 0);
  return 1 + Math.ceil(gearKg / A_LOAD_KG);
}

/**
 * Backwards from the launch: what has to be done by when, by one's own times or usual ones.
 * @returns in order of time; null: water or hours are not known
 */
export function beforeLaunch(outing: Outing, looked: OutingInView): readonly Before[] | null {
  const { water, launch, angler } = looked;
  const hours = water ? outingHours(outing.brief, water.timeZone) : null;
  if (!water || !launch || !hours || !angler) return null;
  const { times } = angler;
  const carries = carriesOf(looked);
  const each = times.carryMin ?? LOADING_MIN + (2 * launch.carryM) / CARRY_MPS / 60;
  const carryMin = carries * each;
  const rigMin = times.rigMin ?? USUAL.rigMin;
  const readyMin = times.readyMin ?? USUAL.readyMin;
  const minutes = (n: number) => duration(Math.max(5, Math.round(n / 5) * 5));
  const atWater = hours.launchAt - (carryMin + rigMin) * MINUTE_MS;
  const leaves = times.driveMin === null ? null : atWater - times.driveMin * MINUTE_MS;
  const wakes = leaves === null ? null : leaves - readyMin * MINUTE_MS;
  const own = looked.aboard.filter(ridesAlong).map(({ item }) => item);
  const named = (list: typeof own) => listed([...new Set(list.map(({ name }) => name))]);
  const charged = own.filter(({ kind }) => isBattery(kind) || kind === 'phone');
  const frozen = own.filter(({ kind }) => kind === 'frozen-bottle');
  const first = wakes ?? atWater;
  const list: (Before | null)[] = [
    frozen.length === 0
      ? null
      : {
          at: first - FREEZING_MS,
          what: `Into the freezer: ${named(frozen)}`,
          why: 'A litre takes a day in a freezer.',
        },
    charged.length === 0
      ? null
      : { at: first - NIGHT_MS, what: `Charge ${named(charged)}`, why: 'A charge takes a night.' },
    wakes === null
      ? null
      : {
          at: wakes,
          what: 'Get up',
          why: `${minutes(readyMin)} to dress, eat and load${times.readyMin === null ? ', a usual time' : ', by your own time'}.`,
        },
    leaves === null
      ? null
      : { at: leaves, what: 'Leave', why: `${minutes(times.driveMin ?? 0)} on the road, by your own time.` },
    {
      at: Math.max(hours.launchAt - FORECAST_HOURS * HOUR_MS, leaves ?? atWater),
      what: 'Look at the forecast once more',
      why: `One that was read within ${count(FORECAST_HOURS)} hours of the launch counts at the gate.`,
    },
    {
      at: atWater,
      what: `Be at ${launch.name}`,
      why: `${capital(count(carries))} ${plural(carries, 'way')} of ${minutes(each)} to the water, ${minutes(rigMin)} to make ready and look round.`,
    },
    { at: hours.launchAt, what: 'Launch', why: '' },
  ];
  return list.filter((one) => one !== null).toSorted((a, b) => a.at - b.at);
}
