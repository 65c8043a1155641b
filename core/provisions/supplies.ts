import type { DayExposures, Exposures } from '../exposures/exposures';
import type { KindId } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import type { OutingInView } from '../documents/references';
import { campMeals, foodEnergy } from './food';
import { type IceSum, ice } from './ice';
import { HOUR_MS } from '../units/time';
import type { Plan } from '../passage/plan';
import { litresAnHour } from './water';

/** From the second day on water is made on the way: only so many hours are carried. */
const HOURS_OF_CARRIED_WATER = 14;
const stores: readonly KindId[] = ['ice-bag', 'hard-ice-box', 'wet-sack'];

/** A frozen bottle is ice first and water later: by the end half of it has been each. */
export function halfAndHalf(item: Item): number {
  return item.kind === 'frozen-bottle' ? 0.5 : 1;
}

/** Hours of water and food that are carried, the rest being made in camp. */
export function carriedHours(e: Pick<DayExposures, 'hoursAfloat'>): number {
  return Math.min(e.hoursAfloat ?? 0, HOURS_OF_CARRIED_WATER);
}

/**
 * What one person drinks, L: hours under way at the effort of the outing, hours fishing at an easy one; or by
 * their own count.
 */
export interface WantedWater {
  /**
   * Carried hours, and those of them under way and fishing; under way is all of them where the way is not
   * known.
   */
  hours: number;
  underWayH: number;
  fishingH: number;
  feelsC: number;
  /** An hour under way, and an hour fishing. */
  litresPerHour: number;
  fishingLitresPerHour: number;
  /** With what is kept in hand. */
  litres: number;
}
/** What is drunk for as long as water is carried, a quarter in hand. */
export function wantedWater(
  e: Pick<Exposures, 'hoursAfloat' | 'feelsMaxC' | 'airMaxC' | 'workings' | 'plan'>,
): WantedWater {
  const hours = carriedHours(e);
  const feelsC = e.feelsMaxC ?? e.airMaxC ?? 20;
  const { effort, litresPerHour: own, litresPerDegree: perDegree, waterInHand: inHand } = e.workings;
  const underWayH = Math.min(hours, hoursUnderWay(e.plan) ?? hours);
  const fishingH = hours - underWayH;
  const litresPerHour = own ?? litresAnHour(effort, feelsC, perDegree);
  const fishingLitresPerHour = own ?? litresAnHour('easy', feelsC, perDegree);
  return {
    hours,
    underWayH,
    fishingH,
    feelsC,
    litresPerHour,
    fishingLitresPerHour,
    litres: (underWayH * litresPerHour + fishingH * fishingLitresPerHour) * inHand,
  };
}
/** Out to the place and home from it, hours; null: the way is not known. */
function hoursUnderWay(plan: Plan | null): number | null {
  if (plan?.spotAt == null || plan.turnAt === null || plan.homeAt === null) return null;
  return Math.max(0, plan.spotAt - plan.launchAt + plan.homeAt - plan.turnAt) / HOUR_MS;
}

/** What one person eats, kJ, by the outing's own figures. */
export function wantedFood(e: Exposures): number {
  const { effort, kjPerHour, shareEaten, kjPerCampDay } = e.workings;
  return foodEnergy({
    hours: carriedHours(e),
    nights: e.nights,
    effort,
    kjPerHour,
    shareEaten,
    kjPerCampDay,
  });
}

export interface Supplies {
  hours: number;
  feelsC: number;
  water: WantedWater & { carriedL: number };
  food: { kj: number; carriedKj: number; campMeals: number };
  /** null: nothing is kept. */
  ice:
    | (IceSum & {
        store: Item | null;
        uaWK: number;
        fishStartC: number;
        ambientC: number;
        carriedKg: number;
        /** Ice left at each half hour, kg. */
        left: readonly { hour: number; kg: number }[];
      })
    | null;
}

/** Water, food and ice of an outing, wanted and carried. One person's, but for ice. */
export function supplies(looked: OutingInView, e: Exposures): Supplies {
  const wanted = wantedWater(e);
  const { hours, feelsC } = wanted;
  const carried = (of: (item: Item) => number) =>
    looked.aboard.reduce((sum, { item, entry }) => sum + of(item) * entry.quantity, 0);
  return {
    hours,
    feelsC,
    water: {
      ...wanted,
      carriedL: carried((item) => (isDrink(item) ? (item.attributes.litres ?? 0) * halfAndHalf(item) : 0)),
    },
    food: {
      kj: wantedFood(e),
      carriedKj: carried((item) => item.attributes.foodKj ?? 0),
      campMeals: campMeals(e.nights),
    },
    ice:
      e.keep > 0
        ? iceOf(
            looked,
            e,
            carried((item) => (item.attributes.iceKg ?? 0) * halfAndHalf(item)),
          )
        : null,
  };
}

function isDrink({ kind }: Item): boolean {
  return kind === 'water-bottle' || kind === 'water-bladder' || kind === 'frozen-bottle';
}

/**
 * The ice that keeps what is expected, in the store aboard or else a usual bag, and the figures it came from.
 */
export function iceSum(e: Exposures) {
  const { targetC, iceStartC } = e.workings;
  const input = {
    fishKg: e.keepKg,
    fishStartC: Math.max(e.waterC ?? 15, targetC),
    hours: Math.min(e.hoursAfloat ?? 0, 24),
    ambientC: e.airMaxC ?? 20,
    uaWK: e.storeUaWK ?? e.workings.storeUaWK,
    targetC,
    iceStartC,
  };
  return { ...input, ...ice(input) };
}

function iceOf(looked: OutingInView, e: Exposures, carriedKg: number): NonNullable<Supplies['ice']> {
  const store = looked.aboard.find(({ item }) => stores.includes(item.kind))?.item ?? null;
  const sum = iceSum(e);
  const steps = Math.ceil(sum.hours * 2);
  // The fish come over the hours, evenly: nobody knows when.
  const left = Array.from({ length: steps + 1 }, (_, i) => {
    const hour = Math.min(i / 2, sum.hours);
    const share = sum.hours > 0 ? hour / sum.hours : 1;
    return { hour, kg: Math.max(0, carriedKg - (share * sum.heatKj) / sum.perKgKj) };
  });
  return { ...sum, store, carriedKg, left };
}
