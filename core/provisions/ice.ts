/** Heat capacity of fish and of water, melting heat and heat capacity of ice: kJ/kgK, kJ/kg, kJ/kgK. */
const FISH = 3.6;
const WATER = 4.19;
const MELT = 334;
const ICE = 2.1;

/** A soft fish bag, W/K, where nothing is written of a store. Rule of thumb. */
export const USUAL_STORE_UA = 0.9;

export interface IceInput {
  /** 0 or more. */
  fishKg: number;
  fishStartC: number;
  hours: number;
  ambientC: number;
  /** Heat that the store lets in for each degree of difference, W/K. */
  uaWK: number;
  /** What fish and store are brought to, °C; default 2. */
  targetC?: number;
  /** What the ice starts at, 0 °C or below; default −5. */
  iceStartC?: number;
}
export interface IceSum {
  fishKj: number;
  wallsKj: number;
  heatKj: number;
  /** What a kilogram of the ice takes up until it is water at the target. */
  perKgKj: number;
  iceKg: number;
}

/**
 * Ice that brings fish to a temperature and holds it there: heat of the fish and of the walls against
 * warming, melting and warming of the ice. Nothing is counted for a fish or an air colder than the target.
 * Closed form of calorimetry; the store's W/K is a rule of thumb.
 */
export function ice({
  fishKg,
  fishStartC,
  hours,
  ambientC,
  uaWK,
  targetC = 2,
  iceStartC = -5,
}: IceInput): IceSum {
  const fishKj = fishKg * FISH * Math.max(0, fishStartC - targetC);
  const wallsKj = (uaWK * Math.max(0, ambientC - targetC) * hours * 3600) / 1000;
  const heatKj = fishKj + wallsKj;
  const perKgKj = MELT + ICE * Math.abs(iceStartC) + WATER * targetC;
  return { fishKj, wallsKj, heatKj, perKgKj, iceKg: heatKj / perKgKj };
}
