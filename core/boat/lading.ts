import type { PlaceId } from '../catalog/gear/places';
import { alongBoat, wornPlaces } from '../catalog/gear/places';
import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import { rememberFor } from '../units/remember';
import type { SeatHeight, Stance, ZoneKind } from '../vocabulary/boat';
import { figuresOf, fittingsOf, floatsOutM, floorOf, seatOf } from './build';
import type { Load } from './hull/float';
import { zonesOf } from './zones';

/** Weight with its place: x forward of the stern, y to starboard, z over the base line, m. */
export interface Lading {
  massKg: number;
  xM: number;
  yM: number;
  zM: number;
}
export const EMPTY: Lading = { massKg: 0, xM: 0, yM: 0, zM: 0 };

/** Several weights as one, at their common centre. */
export function together(loads: readonly Lading[]): Lading {
  let [massKg, x, y, z] = [0, 0, 0, 0];
  for (const load of loads) {
    massKg += load.massKg;
    x += load.massKg * load.xM;
    y += load.massKg * load.yM;
    z += load.massKg * load.zM;
  }
  return massKg > 0 ? { massKg, xM: x / massKg, yM: y / massKg, zM: z / massKg } : EMPTY;
}

/**
 * Height of a bare hull's own weight, of its depth: most of it lies in bottom and deck. Rule of thumb; an
 * inclining test measures it.
 */
const OWN_VCG = 0.45;

/** The boat itself as it is put together: hull, side floats, fittings. */
export const ownLoads: (craft: Craft) => readonly Load[] = rememberFor((craft: Craft) => {
  const outM = floatsOutM(craft);
  const { floats } = craft;
  const beside = floats && outM !== null ? [outM, -outM].map((yM) => ({ yM, floats })) : [];
  return [
    {
      massKg: craft.massKg,
      xM: craft.lengthM / 2,
      yM: 0,
      zM: craft.ownVcgM ?? OWN_VCG * figuresOf(craft).depthM,
    },
    ...beside.map(({ yM, floats: { massKg, lengthM, alongM, overM, depthM } }) => ({
      massKg,
      xM: alongM + lengthM / 2,
      yM,
      zM: overM + depthM / 2,
    })),
    ...fittingsOf(craft).map(({ massKg, xM, yM, zM }) => ({ massKg, xM, yM, zM })),
  ];
});

/**
 * Centre of gravity of a body, of its height: seated with the legs ahead, over the seat and before the hips;
 * standing, over the floor. Usual anthropometry (De Leva, Drillis and Contini), rounded.
 */
const SEATED = { over: 0.14, ahead: 0.11 };
const STANDING_OVER = 0.56;
const STANDING_AHEAD_M = 0.3;
/**
 * A lean that every boat has to bear; and how far out one's weight is when one turns about, legs over the
 * side, to reach the stern.
 */
export const LEAN_M = 0.1;
const ASTERN = { outM: 0.14, backM: 0.15 };

/** The angler's weight in a stance. */
export function anglerLoad(
  craft: Craft,
  { massKg, heightM }: Pick<Angler, 'massKg' | 'heightM'>,
  stance: Stance,
  seatHeight: SeatHeight,
): Load {
  const seat = seatOf(craft);
  if (stance === 'standing')
    return { massKg, xM: seat.xM + STANDING_AHEAD_M, yM: 0, zM: floorOf(craft) + STANDING_OVER * heightM };
  const high = stance === 'seated high' || (stance !== 'seated low' && seatHeight === 'high');
  const zM = (high ? (seat.highM ?? seat.lowM) : seat.lowM) + SEATED.over * heightM;
  const xM = seat.xM + SEATED.ahead * heightM;
  if (stance === 'leaning') return { massKg, xM, yM: LEAN_M, zM };
  if (stance === 'reaching astern') return { massKg, xM: seat.xM - ASTERN.backM, yM: ASTERN.outM, zM };
  return { massKg, xM, yM: 0, zM };
}

/**
 * Kinds of place that a thing's usual place means, the likelier first; fore or aft where a boat has several.
 */
const meant: Partial<Record<PlaceId, readonly ZoneKind[]>> = {
  bow: ['hatch', 'deck under cords'],
  foredeck: ['deck under cords', 'hatch'],
  centre: ['cockpit floor', 'pod', 'cup or console'],
  seat: ['side pocket', 'under the seat', 'cockpit floor'],
  tankwell: ['tank well', 'hatch', 'deck under cords'],
  stern: ['hatch', 'tank well', 'deck under cords'],
};
/** Things lie about so high over the floor of their place, m. */
const LIES_OVER_M = 0.08;
/** Worn things ride so high over the seat, of one's height. */
const WORN_OVER = { head: 0.42, chest: 0.24, body: 0.16, feet: 0.02 } as const;

/**
 * Where on this boat a thing's usual place is: that of the nearest place of its kind; pairs left and right
 * count as the middle. null: not aboard.
 */
export function usualSpot(craft: Craft, place: PlaceId, heightM: number): Omit<Lading, 'massKg'> | null {
  if (place === 'vehicle') return null;
  const seat = seatOf(craft);
  if (wornPlaces.includes(place))
    return { xM: seat.xM + 0.1, yM: 0, zM: seat.lowM + WORN_OVER[place as keyof typeof WORN_OVER] * heightM };
  const xM = (alongBoat[place] ?? 0.5) * craft.lengthM;
  const zones = zonesOf(craft);
  for (const kind of meant[place] ?? []) {
    const near = zones
      .filter((zone) => zone.kind === kind && Math.abs(zone.xM - xM) < craft.lengthM / 4)
      .toSorted((a, b) => Math.abs(a.xM - xM) - Math.abs(b.xM - xM))[0];
    if (near)
      return {
        xM: near.xM,
        yM: near.side === 'middle' ? near.yM : 0,
        zM: near.floorM + Math.min(LIES_OVER_M, near.heightM / 2),
      };
  }
  return { xM, yM: 0, zM: floorOf(craft) + LIES_OVER_M };
}
