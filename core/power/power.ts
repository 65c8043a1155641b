export const chemistries = ['sla', 'lifepo4', 'liion', 'nimh', 'alkaline'] as const;
export type Chemistry = (typeof chemistries)[number];

/**
 * Exponent by which a hard draw shrinks the capacity; share that may be drawn; share left by cold at −20, 0
 * and 25 °C. Rules of thumb.
 */
export const CHEMISTRY: Record<
  Chemistry,
  { peukert: number; usable: number; cold: readonly [number, number, number] }
> = {
  sla: { peukert: 1.2, usable: 0.5, cold: [0.5, 0.8, 1] },
  lifepo4: { peukert: 1.03, usable: 0.9, cold: [0.6, 0.88, 1] },
  liion: { peukert: 1.05, usable: 0.85, cold: [0.6, 0.85, 1] },
  nimh: { peukert: 1.1, usable: 0.8, cold: [0.5, 0.8, 1] },
  alkaline: { peukert: 1.2, usable: 0.8, cold: [0.25, 0.65, 1] },
};
/**
 * Share that a healthy one gives before what runs on it goes dark, however ill that does it. Rules of thumb.
 */
const DARK_SHARE: Readonly<Record<Chemistry, number>> = {
  sla: 0.9,
  lifepo4: 0.98,
  liion: 0.97,
  nimh: 0.95,
  alkaline: 0.95,
};
/** Kept back. */
export const POWER_RESERVE = 0.2;

export interface Battery {
  chemistry: Chemistry;
  volts: number;
  ampHours: number;
  /** Hours over which the capacity is rated; default 20. */
  ratedHours?: number;
  /** Share left of what it was when new, over 0 to 1; default 1. */
  health?: number;
  /**
   * One's own, in place of the chemistry's: the exponent, the share that may be drawn, the share left at 0
   * °C.
   */
  peukert?: number;
  usable?: number;
  atZero?: number;
}
export interface PowerLoad {
  name: string;
  watts: number;
  /** Share of the time it draws, 0 to 1; default 1. */
  duty?: number;
  hours: number;
}
export interface PowerSum {
  neededWh: number;
  usableWh: number;
  /** At the average draw; null without load. */
  hoursToEmpty: number | null;
  enough: boolean;
  spareWh: number;
}

/**
 * What a battery gives on a day, against what is drawn: capacity by Peukert's law at the average draw, the
 * share that may be drawn, what cold leaves, and health. Coefficients by chemistry are rules of thumb.
 * Estimates: no lamp dies at a minute foretold.
 * @param tempC of the battery @param reserve share kept back, default 0.2
 */
export function power({
  battery,
  tempC,
  loads,
  reserve = POWER_RESERVE,
}: {
  battery: Battery;
  tempC: number;
  loads: readonly PowerLoad[];
  reserve?: number;
}): PowerSum {
  const neededWh = loads.reduce((sum, { watts, duty = 1, hours }) => sum + watts * duty * hours, 0);
  const longest = Math.max(0, ...loads.map((load) => load.hours));
  const average = longest > 0 ? neededWh / longest : 0;
  const usableWh = usable(battery, average, tempC);
  const spareWh = usableWh * (1 - reserve) - neededWh;
  return {
    neededWh,
    usableWh,
    hoursToEmpty: average > 0 ? usableWh / average : null,
    enough: spareWh >= 0,
    spareWh,
  };
}

/**
 * What a battery gives on a day until it is dark, Wh: never less than what may be drawn of it.
 * @param watts the average draw
 */
export function darkWh(battery: Battery, watts: number, tempC: number): number {
  const spared = battery.usable ?? CHEMISTRY[battery.chemistry].usable;
  return usable({ ...battery, usable: Math.max(spared, DARK_SHARE[battery.chemistry]) }, watts, tempC);
}

function usable(battery: Battery, watts: number, tempC: number): number {
  const { chemistry, volts, ampHours: c, ratedHours = 20, health = 1, atZero } = battery;
  const { peukert = CHEMISTRY[chemistry].peukert, usable: share = CHEMISTRY[chemistry].usable } = battery;
  const amps = watts / volts;
  const effective = amps > 0 ? Math.min(c, c * (c / (amps * ratedHours)) ** (peukert - 1)) : c;
  return volts * effective * share * coldFactor(chemistry, tempC, atZero) * health;
}

/**
 * Share of the capacity that a temperature leaves; ends held below −20 and above 25 °C. `atZero`: one's own
 * share left at 0 °C.
 */
export function coldFactor(chemistry: Chemistry, tempC: number, atZero?: number): number {
  const [usualFar, usualZero, warm] = CHEMISTRY[chemistry].cold;
  const zero = atZero ?? usualZero;
  const far = Math.min(usualFar, zero);
  const t = Math.min(25, Math.max(-20, tempC));
  return t < 0 ? zero + (t / 20) * (zero - far) : zero + (t / 25) * (warm - zero);
}
