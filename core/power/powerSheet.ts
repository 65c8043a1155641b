import { type Exposures, hoursOnWater } from '../exposures/exposures';
import type { KindId } from '../catalog/gear/kinds';
import { kinds } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import type { Aboard, OutingInView } from '../documents/references';
import type { Workings } from '../documents/workings';
import { type Battery, type Chemistry, type PowerSum, darkWh, power } from './power';
import { inWords } from '../units/amount';
import { DAY_MS, HOUR_MS, type Instant } from '../units/time';

const chemistryOf: Partial<Record<KindId, Chemistry>> = {
  'battery-pack': 'lifepo4',
  'lithium-iron-battery': 'lifepo4',
  'motor-battery': 'lifepo4',
  'sla-battery': 'sla',
  'lithium-ion-pack': 'liion',
  'power-bank': 'liion',
  'spare-cells': 'alkaline',
};
/** Kinds that draw in the dark only. */
const lights: readonly KindId[] = ['deck-lights', 'mast-light', 'deck-lantern', 'light-flag', 'headlamp'];
export function isLight(kind: KindId): boolean {
  return lights.includes(kind);
}
const MOST_HOURS = 14;
const USUAL_VOLTS = 12.8;

/** What of the day decides how long things draw. */
export type PowerDay = Pick<
  Exposures,
  | 'airMinC'
  | 'launchAt'
  | 'homeAt'
  | 'hoursAfloat'
  | 'campH'
  | 'darkMinutes'
  | 'darkSpans'
  | 'daylightLeftMin'
  | 'plan'
>;
export interface Device {
  item: Item;
  watts: number;
  duty: number;
  hours: number;
  /** Hours out from the launch at which it begins to draw. */
  from: number;
}
/**
 * The motor on the way: what it draws, W, and for how long on the way out and home, against that hour's wind
 * and stream, h.
 */
export interface MotorRun {
  watts: number;
  outH: number;
  homeH: number;
  /** Hours after the launch at which the way home is begun. */
  homeFrom: number;
}
/** One battery and all that hangs on it. */
export interface Supply {
  item: Item;
  battery: Battery;
  devices: readonly Device[];
  /** null: the motor does not run on it, or nobody knows for how long. */
  motor: MotorRun | null;
  sum: PowerSum;
  /** Hours after the launch at which it is empty; null: it lasts the outing. */
  emptyAt: number | null;
  /**
   * What it gives until what runs on it goes dark, Wh, and the hour after the launch at which that comes;
   * null: it stays lit.
   */
  darkWh: number;
  darkAt: number | null;
  /** Whether it stays lit with the reserve kept back. */
  lasts: boolean;
}
export interface PowerSheet {
  tempC: number;
  supplies: readonly Supply[];
  /** Devices with nothing to run on. */
  without: readonly Device[];
}

/**
 * Share of its capacity that a battery loses a year, kept as most are, and what is left of the oldest. Rules
 * of thumb.
 */
const FADE_A_YEAR: Record<Chemistry, number> = {
  sla: 0.1,
  lifepo4: 0.03,
  liion: 0.05,
  nimh: 0.06,
  alkaline: 0.02,
};
const LEAST_HEALTH = 0.5;
const YEAR_MS = 365.25 * DAY_MS;

/**
 * What is left of its capacity, where nobody measured it: as usual for its kind, less by what its years take.
 * @param at the day it is used @returns null: it was measured, or nobody knows since when it is owned
 */
export function healthByAge(item: Item, at: Instant | null): { share: number; years: number } | null {
  const chemistry = chemistryOf[item.kind];
  const usual = kinds[item.kind].attributes.healthPct ?? 100;
  const told = item.attributes.healthPct ?? usual;
  if (!chemistry || item.boughtOn === null || at === null || told !== usual) return null;
  const years = Math.max(0, (at - Date.parse(item.boughtOn)) / YEAR_MS);
  return { years, share: Math.max(LEAST_HEALTH, share(usual) * (1 - FADE_A_YEAR[chemistry] * years)) };
}

/** What an item is as a battery on a day; null: it is none. */
export function batteryOf(item: Item, quantity: number, at: Instant | null = null): Battery | null {
  const chemistry = chemistryOf[item.kind];
  if (!chemistry) return null;
  const {
    volts = USUAL_VOLTS,
    ampHours,
    wattHours = 0,
    healthPct = 100,
    usablePct,
    peukert,
    atZeroPct,
  } = item.attributes;
  const own = ampHours ?? wattHours / volts;
  if (own <= 0 || volts <= 0) return null;
  return {
    chemistry,
    volts,
    ampHours: own * quantity,
    health: healthByAge(item, at)?.share ?? share(healthPct),
    ...(peukert !== undefined && { peukert: Math.max(1, peukert) }),
    ...(usablePct !== undefined && { usable: share(usablePct) }),
    ...(atZeroPct !== undefined && { atZero: share(atZeroPct) }),
  };
}

/** Of a percentage that may be anything. */
function share(pct: number): number {
  return Math.min(1, Math.max(0.01, pct / 100));
}

/** Whether a battery feeds anything that day: in one's own boat, sound, and in date. */
function feeds({ item, entry }: Aboard, homeAt: Instant | null): boolean {
  const inDate = item.expiresOn === null || homeAt === null || Date.parse(item.expiresOn) + DAY_MS > homeAt;
  return entry.carriedBy === null && item.condition === 'good' && inDate;
}

/**
 * Everything that draws, on the battery it names or, naming none or one that stays ashore, on the largest
 * aboard; and what each battery comes to that day. What names a battery that goes along and feeds nothing is
 * fed by nothing.
 */
export function powerSheet(
  looked: Pick<OutingInView, 'aboard' | 'craft'>,
  e: PowerDay,
  workings: Workings,
): PowerSheet {
  const tempC = e.airMinC ?? 20;
  const own = looked.aboard.filter(({ entry }) => entry.carriedBy === null);
  const batteries = own.flatMap((one) => {
    const battery = feeds(one, e.homeAt) ? batteryOf(one.item, one.entry.quantity, e.launchAt) : null;
    return battery ? [{ item: one.item, battery }] : [];
  });
  const largest = batteries.toSorted(
    (a, b) => b.battery.volts * b.battery.ampHours - a.battery.volts * a.battery.ampHours,
  )[0];
  const devices = own
    .filter(({ item }) => (item.attributes.watts ?? 0) > 0)
    .map((one) => ({ device: deviceOf(one, e, workings), on: one.item.poweredById }));
  const goesAlong = new Set(looked.aboard.map(({ item }) => item.id));
  const homeOf = (on: string | null) =>
    on === null || !goesAlong.has(on) ? largest : batteries.find(({ item }) => item.id === on);
  const run = motorRun(looked, e);
  const runsOn = batteries.find(({ item }) => item.kind === 'motor-battery') ?? largest;
  return {
    tempC,
    supplies: batteries.map(({ item, battery }) => {
      const fed = devices.filter(({ on }) => homeOf(on)?.item.id === item.id).map(({ device }) => device);
      const motor = item.id === runsOn?.item.id ? run : null;
      return supplyOf({ item, battery, devices: fed, motor }, tempC, e, workings);
    }),
    without: devices.filter(({ on }) => !homeOf(on)).map(({ device }) => device),
  };
}

function deviceOf({ item, entry }: Aboard, e: PowerDay, workings: Workings): Device {
  const afloat = Math.min(hoursOnWater(e), MOST_HOURS);
  const dark = Math.min(e.darkMinutes / 60, afloat);
  const light = isLight(item.kind);
  const hours = workings.deviceHours[item.id] ?? (light ? dark : afloat);
  const startsDark = e.darkSpans[0] !== undefined && e.daylightLeftMin !== null;
  return {
    item,
    watts: (item.attributes.watts ?? 0) * entry.quantity,
    duty: Math.min(1, (item.attributes.dutyPct ?? 100) / 100),
    hours,
    from: light && !startsDark ? Math.max(0, afloat - hours) : 0,
  };
}

/** null: no motor drives the boat, or its way is not known. */
function motorRun({ craft }: Pick<OutingInView, 'craft'>, { plan }: PowerDay): MotorRun | null {
  if (craft?.drive !== 'motor' || !plan || plan.turnAt === null) return null;
  const hoursOf = (way: 'out' | 'home') =>
    plan.legs
      .filter((leg) => leg.way === way && leg.startsAt !== null && leg.arrivesAt !== null)
      .reduce((sum, leg) => sum + ((leg.arrivesAt ?? 0) - (leg.startsAt ?? 0)) / HOUR_MS, 0);
  const homeFrom = (plan.turnAt - plan.launchAt) / HOUR_MS;
  return { watts: craft.powerW, outH: hoursOf('out'), homeH: hoursOf('home'), homeFrom };
}
/**
 * How long one thing could run if all that its battery has over were for it, h; null: it does not run on that
 * battery.
 */
export function hoursOn(
  { devices, darkWh: gives, sum }: Supply,
  itemId: string,
  reserve: number,
): number | null {
  const device = devices.find(({ item }) => item.id === itemId);
  const watts = device ? device.watts * device.duty : 0;
  if (!device || watts <= 0) return null;
  return Math.max(0, device.hours + (gives * (1 - reserve) - sum.neededWh) / watts);
}
/** What the motor takes on the way out, Wh: half of what the battery gives is kept for the way home. */
export function motorOutWh({ motor }: Pick<Supply, 'motor'>): number {
  return motor ? motor.watts * motor.outH : 0;
}

function supplyOf(
  fed: Pick<Supply, 'item' | 'battery' | 'devices' | 'motor'>,
  tempC: number,
  e: PowerDay,
  workings: Workings,
): Supply {
  const { battery, devices, motor } = fed;
  const loads = [
    ...devices.map(({ item: { name }, watts, duty, hours }) => ({ name, watts, duty, hours })),
    ...(motor ? [{ name: 'motor', watts: motor.watts, hours: motor.outH + motor.homeH }] : []),
  ];
  const sum = power({ battery, tempC, loads, reserve: workings.powerReserve });
  const afloat = Math.min(hoursOnWater(e), MOST_HOURS);
  const drawn = (hour: number) => drawnBy(fed, hour);
  const emptyAt = sum.enough ? null : emptyHour(sum.usableWh, drawn, afloat);
  const longest = Math.max(0, ...loads.map(({ hours }) => hours));
  const dark = darkWh(battery, longest > 0 ? sum.neededWh / longest : 0, tempC);
  const lasts = sum.neededWh <= dark * (1 - workings.powerReserve) + 1e-9;
  return { ...fed, sum, emptyAt, darkWh: dark, darkAt: emptyHour(dark, drawn, afloat), lasts };
}

/** Drawn up to an hour after the launch, Wh. */
function drawnBy({ devices, motor }: Pick<Supply, 'devices' | 'motor'>, hour: number): number {
  const ran = (from: number, hours: number) => Math.min(Math.max(hour - from, 0), hours);
  const moved = motor ? motor.watts * (ran(0, motor.outH) + ran(motor.homeFrom, motor.homeH)) : 0;
  return devices.reduce((wh, one) => wh + one.watts * one.duty * ran(one.from, one.hours), moved);
}

/** Charge left at each half hour from the launch, Wh, nothing kept back. */
export function chargeLeft(supply: Supply, e: PowerDay): { hour: number; wh: number }[] {
  const afloat = Math.min(hoursOnWater(e), MOST_HOURS);
  return Array.from({ length: Math.ceil(afloat * 2) + 1 }, (_, i) => {
    const hour = Math.min(i / 2, afloat);
    return { hour, wh: Math.max(0, supply.sum.usableWh - drawnBy(supply, hour)) };
  });
}

function emptyHour(usableWh: number, drawnBy: (hour: number) => number, afloat: number): number | null {
  if (drawnBy(afloat) <= usableWh) return null;
  let [low, high] = [0, afloat];
  for (let i = 0; i < 40; i += 1) {
    const mid = (low + high) / 2;
    if (drawnBy(mid) > usableWh) high = mid;
    else low = mid;
  }
  return (low + high) / 2;
}

/** What is to be charged or filled the evening before: everything aboard whose kind says so. */
export function eveningList(looked: OutingInView): { item: Item; what: string }[] {
  return looked.aboard.flatMap(({ item }) => {
    const { evening } = kinds[item.kind];
    const charges = item.qualities.includes('charged') || chemistryOf[item.kind] !== undefined;
    return evening !== null
      ? [{ item, what: inWords(evening) }]
      : charges
        ? [{ item, what: 'Charge it full.' }]
        : [];
  });
}
