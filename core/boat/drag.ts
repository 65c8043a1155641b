import type { Angler } from '../documents/angler';
import type { Loaded } from '../documents/references';
import { type Craft, isMeasured } from '../documents/craft';
import { AIR_DENSITY, G, SALT_WATER } from '../units/constants';
import { rememberFor } from '../units/remember';
import { setUpOf } from './build';
import { type Lading, EMPTY } from './lading';
import { type WettedHull, laden, wettedOf } from './stability';

/**
 * What a boat is on the water: pace, power and drag areas, measured or estimated. Speeds m/s, powers W, areas
 * (Cd·A) m².
 */
export interface OnWater {
  cruiseMps: number;
  spareMps: number;
  powerW: number;
  sparePowerW: number;
  windageM2: number;
  lateralAirM2: number;
  lateralWaterM2: number;
}

/** Kinematic viscosity of water at about 15 °C, m²/s. */
const VISCOSITY = 1.15e-6;
/** Form drag over flat-plate friction, and what scuppers, drive, rudder and wash add. Rules of thumb. */
const FORM = 1.2;
const ADDED = 1.15;
/**
 * Wave-making of a slender displacement hull as a share of its weight, by Froude number: rounded from the
 * published means of the Delft systematic yacht series (Gerritsma, Onnink, Versluis 1981). A kayak is fuller
 * than a yacht and lighter for its length: an estimate.
 */
const WAVES: readonly (readonly [froude: number, share: number])[] = [
  [0, 0],
  [0.15, 0.0002],
  [0.2, 0.0006],
  [0.25, 0.0014],
  [0.3, 0.003],
  [0.35, 0.0065],
  [0.4, 0.015],
  [0.45, 0.03],
  [0.6, 0.07],
];

/**
 * Drag of a hull at a speed, N, with its parts: friction by the ITTC 1957 line, wave-making by the table.
 * @param speedMps over 0
 */
export function hullDrag(
  { wettedM2, waterlineM }: Pick<WettedHull, 'wettedM2' | 'waterlineM'>,
  massKg: number,
  speedMps: number,
  waterDensity: number,
): { frictionN: number; wavesN: number; dragN: number; froude: number } {
  const reynolds = Math.max(1e4, (speedMps * waterlineM) / VISCOSITY);
  const coefficient = 0.075 / (Math.log10(reynolds) - 2) ** 2;
  const frictionN = 0.5 * waterDensity * wettedM2 * coefficient * FORM * speedMps ** 2;
  const froude = speedMps / Math.sqrt(G * waterlineM);
  const wavesN = massKg * G * wavesAt(froude);
  return { frictionN, wavesN, dragN: (frictionN + wavesN) * ADDED, froude };
}
function wavesAt(froude: number): number {
  for (let i = 1; i < WAVES.length; i += 1) {
    const [from, low] = WAVES[i - 1] ?? [0, 0];
    const [to, high] = WAVES[i] ?? [0, 0];
    if (froude <= to) return low + ((high - low) * (froude - from)) / (to - from);
  }
  const [last, most] = WAVES[WAVES.length - 1] ?? [1, 0];
  return most * (froude / last) ** 2;
}

/** The speed that a power holds, m/s, between 0.3 and 4. */
export function paceAt(hull: WettedHull, massKg: number, powerW: number, waterDensity: number): number {
  let [low, high] = [0.3, 4];
  for (let i = 0; i < 40; i += 1) {
    const mid = (low + high) / 2;
    if (hullDrag(hull, massKg, mid, waterDensity).dragN * mid > powerW) high = mid;
    else low = mid;
  }
  return (low + high) / 2;
}

/**
 * Cd·A of a person in wind, m²: sitting about 0.56 abeam, and six tenths of it ahead, bent to the stroke
 * (Hoerner, Fluid-Dynamic Drag, 1965); a high seat lifts it out of the boat's lee.
 */
const PERSON = { abeamM2: 0.56, aheadShare: 0.6, highMore: 1.15, standingMore: 1.5 };
/**
 * Drag coefficients: the hull over water from the side and from ahead, and under water from the side. Rules
 * of thumb for round and slab-sided small craft.
 */
const CD = { side: 0.8, ahead: 0.5, under: 1.2, fitting: 1.1 };

/** Drag areas, with the parts they are made of. */
export interface DragSheet {
  hull: WettedHull;
  massKg: number;
  personAbeamM2: number;
  fittingsAbeamM2: number;
  fittingsAheadM2: number;
  estimated: OnWater;
}

/** What a usual outing adds to the angler's weight while no loadout is known, kg. */
const USUAL_GEAR_KG = 20;
const USUAL_ANGLER = { massKg: 80, heightM: 1.75 };

/**
 * Pace and drag areas of a boat under a load, estimated from its shape, as arithmetic. null: it does not
 * float under it.
 */
export function dragSheet(
  craft: Craft,
  angler: Pick<Angler, 'massKg' | 'heightM'>,
  gear: Lading,
  waterDensity: number,
): DragSheet | null {
  const load = laden(craft, angler, 'seated low', gear);
  const hull = wettedOf(craft, load, waterDensity);
  if (!hull) return null;
  const { seat, fittingIds } = setUpOf(craft);
  const personAbeamM2 = PERSON.abeamM2 * (seat === 'high' ? PERSON.highMore : 1);
  let [fittingsAbeamM2, fittingsAheadM2] = [0, 0];
  for (const { id, lengthM, widthM, heightM } of craft.fittings) {
    if (!fittingIds.includes(id)) continue;
    fittingsAbeamM2 += CD.fitting * lengthM * heightM;
    fittingsAheadM2 += CD.fitting * widthM * heightM;
  }
  return {
    hull,
    massKg: load.massKg,
    personAbeamM2,
    fittingsAbeamM2,
    fittingsAheadM2,
    estimated: {
      cruiseMps: paceAt(hull, load.massKg, craft.powerW * REACHES_WATER, waterDensity),
      spareMps: Math.min(
        3,
        paceAt(hull, load.massKg, craft.sparePowerW * REACHES_WATER * SPARE_SHARE, waterDensity),
      ),
      powerW: craft.powerW,
      sparePowerW: craft.sparePowerW,
      windageM2: personAbeamM2 * PERSON.aheadShare + CD.ahead * hull.aheadM2 + fittingsAheadM2,
      lateralAirM2: personAbeamM2 + CD.side * hull.overM2 + fittingsAbeamM2,
      lateralWaterM2: CD.under * hull.underM2,
    },
  };
}
/** Of what a body or a motor gives, what paddle, fins or propeller hand on to the water. Rule of thumb. */
const REACHES_WATER = 0.5;
/**
 * A paddle taken up for the drive that failed, or the short one, spends this share of the power on the way.
 * Rule of thumb.
 */
const SPARE_SHARE = 0.7;

const USUAL_LOAD: Loaded = {
  anglerKg: USUAL_ANGLER.massKg,
  heightM: USUAL_ANGLER.heightM,
  gearKg: USUAL_GEAR_KG,
};

const known = rememberFor((_: Craft) => new Map<string, OnWater>());

/** A boat on the water: what was measured stands; the rest is estimated from its hull under that load. */
export function onWater(craft: Craft, load: Loaded | null): OnWater {
  const loaded = load ?? USUAL_LOAD;
  const { cruiseMps, spareMps, powerW, sparePowerW, windageM2, lateralAirM2, lateralWaterM2 } = craft;
  const key = isMeasured(craft) ? 'measured' : `${loaded.anglerKg} ${loaded.heightM} ${loaded.gearKg}`;
  const by = known(craft);
  const found = by.get(key);
  if (found) return found;
  // What is measured needs no hull that floats.
  const sheet = isMeasured(craft)
    ? null
    : (sheetUnder(craft, loaded) ?? sheetUnder(craft, { ...loaded, anglerKg: 1, gearKg: 0 }));
  const estimated = sheet?.estimated ?? NOTHING_KNOWN;
  const made: OnWater = {
    cruiseMps: cruiseMps ?? round(estimated.cruiseMps),
    spareMps: spareMps ?? round(estimated.spareMps),
    powerW,
    sparePowerW,
    windageM2: windageM2 ?? round(estimated.windageM2),
    lateralAirM2: lateralAirM2 ?? round(estimated.lateralAirM2),
    lateralWaterM2: lateralWaterM2 ?? round(estimated.lateralWaterM2),
  };
  by.set(key, made);
  return made;
}
function sheetUnder(craft: Craft, { anglerKg, heightM, gearKg }: Loaded): DragSheet | null {
  const gear = gearKg > 0 ? { massKg: gearKg, xM: craft.lengthM * 0.4, yM: 0, zM: 0.2 } : EMPTY;
  return dragSheet(craft, { massKg: anglerKg, heightM }, gear, SALT_WATER);
}
/** For a hull that floats under nothing: what a small boat has; the judgement says that it sinks. */
const NOTHING_KNOWN: OnWater = {
  cruiseMps: 1,
  spareMps: 0.8,
  powerW: 45,
  sparePowerW: 45,
  windageM2: 0.45,
  lateralAirM2: 1.1,
  lateralWaterM2: 0.5,
};
const round = (value: number) => Math.max(0.05, Math.round(value * 100) / 100);

/**
 * Drift as a share of what of the wind is left over it, r of v = W r/(1 + r); null: no boat drifts so fast.
 */
export function driftShare(windMps: number, driftMps: number): number | null {
  return driftMps > 0 && driftMps < windMps / 2 ? driftMps / (windMps - driftMps) : null;
}
/** The drag area that holds a boat in the water so that it drifts by that share, m². */
export function lateralFromDrift(lateralAirM2: number, share: number, waterDensity: number): number {
  return (AIR_DENSITY * lateralAirM2) / (waterDensity * share * share);
}
