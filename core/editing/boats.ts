import { figuresOf, presetFigures } from '../boat/build';
import { allZonesOf, halfBreadthAt, newZone } from '../boat/zones';
import type { BoatShape, Fitting, SetUp, Zone } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { HullPreset, ZoneKind } from '../vocabulary/boat';

const round = (value: number) => Math.round(value * 1000) / 1000;
const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));
/** A place is no smaller than this, m. */
const LEAST_M = 0.02;

/** The boat with its places written out, one of them changed. */
export function withZone(craft: Craft, id: string, change: Partial<Zone>): Craft {
  return {
    ...craft,
    zones: allZonesOf(craft).map((zone) => (zone.id === id ? { ...zone, ...change } : zone)),
  };
}
export function withoutZone(craft: Craft, id: string): Craft {
  return { ...craft, zones: allZonesOf(craft).filter((zone) => zone.id !== id) };
}

/** A new place of a kind, beside the seat or amidships, named so that no other is. */
export function withNewZone(craft: Craft, kind: ZoneKind, id: string): Craft {
  const zones = allZonesOf(craft);
  const like = zones.filter((zone) => zone.kind === kind).length;
  const name = `${kind[0]?.toUpperCase() ?? ''}${kind.slice(1)}${like > 0 ? ` ${like + 1}` : ''}`;
  return { ...craft, zones: [...zones, newZone(craft, kind, name, id, { xM: craft.lengthM / 2, yM: 0 })] };
}

/** A place moved along and across, its middle kept over the deck; left and right follow. */
export function movedZone(
  craft: Craft,
  zone: Zone,
  byXM: number,
  byYM: number,
): Pick<Zone, 'xM' | 'yM' | 'side'> {
  const xM = round(within(zone.xM + byXM, 0.01, craft.lengthM - 0.01));
  const half = Math.max(0.02, halfBreadthAt(craft, xM));
  const yM = round(within(zone.yM + byYM, -half, half));
  return { xM, yM, side: yM < -0.1 ? 'left' : yM > 0.1 ? 'right' : 'middle' };
}

/** A place stretched at its forward, starboard corner: the opposite one stays. */
export function stretchedZone(
  craft: Craft,
  zone: Zone,
  byXM: number,
  byYM: number,
): Pick<Zone, 'xM' | 'yM' | 'lengthM' | 'widthM'> {
  const lengthM = round(within(zone.lengthM + byXM, LEAST_M, craft.lengthM));
  const widthM = round(within(zone.widthM + byYM, LEAST_M, craft.beamM));
  return {
    lengthM,
    widthM,
    xM: round(within(zone.xM + (lengthM - zone.lengthM) / 2, 0.01, craft.lengthM - 0.01)),
    yM: round(zone.yM + (widthM - zone.widthM) / 2),
  };
}

/** Another shape; a hull that was inclined is no longer the one that was. */
export function withShape(craft: Craft, change: Partial<BoatShape>): Craft {
  return { ...craft, shape: { ...figuresOf(craft), ...change }, inclined: null };
}
/** Another length, beam or mass, likewise. */
export function withHull(craft: Craft, change: Partial<Pick<Craft, 'lengthM' | 'beamM' | 'massKg'>>): Craft {
  return { ...craft, ...change, inclined: null };
}
export function withPreset(craft: Craft, preset: HullPreset): Craft {
  return withShape(craft, presetFigures(preset));
}

/** Another boat like it: every place and fitting with it, nothing of its outings. */
export function copyBoat(craft: Craft, id: string): Craft {
  return { ...craft, id, name: `${craft.name}, copied`.slice(0, 80), outingsLogged: 0, marked: false };
}

export function withFitting(craft: Craft, fitting: Fitting): Craft {
  const known = craft.fittings.some(({ id }) => id === fitting.id);
  return {
    ...craft,
    fittings: known
      ? craft.fittings.map((one) => (one.id === fitting.id ? fitting : one))
      : [...craft.fittings, fitting],
  };
}
/** Without a fitting, in no set-up, and without the places that are on it. */
export function withoutFitting(craft: Craft, id: string): Craft {
  return {
    ...craft,
    fittings: craft.fittings.filter((one) => one.id !== id),
    setUps: craft.setUps.map((one) => ({ ...one, fittingIds: one.fittingIds.filter((each) => each !== id) })),
    zones: craft.zones?.filter(({ fittingId }) => fittingId !== id) ?? null,
  };
}
export function withSetUp(craft: Craft, setUp: SetUp): Craft {
  const known = craft.setUps.some(({ id }) => id === setUp.id);
  return {
    ...craft,
    setUps: known ? craft.setUps.map((one) => (one.id === setUp.id ? setUp : one)) : [...craft.setUps, setUp],
    setUpId: known ? craft.setUpId : setUp.id,
  };
}
export function withoutSetUp(craft: Craft, id: string): Craft {
  return {
    ...craft,
    setUps: craft.setUps.filter((one) => one.id !== id),
    setUpId: craft.setUpId === id ? null : craft.setUpId,
  };
}
