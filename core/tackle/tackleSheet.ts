import { onWater } from '../boat/drag';
import { type DayExposures, type Exposures, hoursOnWater } from '../exposures/exposures';
import { kinds } from '../catalog/gear/kinds';
import { drift } from '../holding/drift';
import type { SpotHour } from '../environment/spot';
import type { Item } from '../documents/item';
import type { Outward } from '../documents/outing';
import type { OutingInView, Places } from '../documents/references';
import type { Rig, Workings } from '../documents/workings';
import { densityOf } from '../environment/density';
import { type JigInput, jig } from './jig';
import { lossRate } from './losses';
import { spares } from './spares';
import { spread } from './spread';

/** Line taken for a jig where none is rigged, mm. */
const USUAL_LINE_MM = 0.18;

export interface SpareLine {
  item: Item;
  perHour: number;
  /** Whether the rate is the angler's own. */
  own: boolean;
  hours: number;
  expected: number;
  carry: number;
  covered: number;
  /** Pieces aboard; null: not counted. */
  have: number | null;
}

/** Spares of each lure and terminal kind aboard, against what is likely to be lost. */
export function spareLines(
  looked: OutingInView,
  e: DayExposures,
  brief: Outward,
  workings: Workings,
): SpareLine[] {
  const hours = Math.min(hoursOnWater(e), 24);
  return looked.aboard
    .filter(({ item }) => kinds[item.kind].means.some((id) => id === 'lures' || id === 'terminal'))
    .map(({ item, entry }) => {
      const { perHour, own } = lossRate(item, brief.techniques, looked.area?.bottom ?? null, e.toothy);
      const sum = spares({ lossPerHour: perHour, hours, confidence: workings.sparesConfidence });
      const pieces = item.attributes.pieces;
      return {
        item,
        perHour,
        own,
        hours,
        ...sum,
        have: pieces === undefined ? null : pieces * entry.quantity,
      };
    });
}

export interface JigHour {
  hour: SpotHour;
  driftMps: number;
  massG: number;
  sinkMps: number | null;
  sinkS: number | null;
  /** What it was worked out from. */
  input: JigInput;
}
type JigWorkings = Pick<Workings, 'jigAngleDeg' | 'drogueCd' | 'jigCd' | 'lineCd'>;

/** The main line of the rod that is rigged to jig; null: none is, and a usual line is reckoned with. */
export function jigLine(rigs: readonly Rig[], { items }: Places): Item | null {
  const mainId = rigs.find((one) => one.purpose === 'jig')?.mainId ?? null;
  return mainId === null ? null : (items.get(mainId) ?? null);
}

/**
 * The jig that each half hour asks for: it changes with wind and tide.
 * @param drogueM mouth of the drogue that is out; null: none
 */
export function jigHours(
  looked: Places,
  e: Pick<Exposures, 'spot'>,
  workings: JigWorkings,
  drogueM: number | null,
  lineMm: number | null,
): JigHour[] {
  const { jigAngleDeg, drogueCd, jigCd, lineCd } = workings;
  const { craft, water } = looked;
  if (!craft || !water) return [];
  const waterDensity = densityOf(water);
  const { lateralAirM2, lateralWaterM2 } = onWater(craft, looked.loaded);
  return e.spot.map((hour) => {
    const sum = drift({
      windMps: hour.windMps,
      lateralAirM2,
      lateralWaterM2,
      drogue: drogueM === null ? null : { diameterM: drogueM, cd: drogueCd },
      targetMps: null,
      waterDensity,
    });
    const driftMps = sum.driftMps ?? sum.withoutDrogueMps;
    const input = {
      depthM: hour.depthM,
      relativeSpeedMps: driftMps,
      lineDiameterMm: lineMm ?? USUAL_LINE_MM,
      maxAngleDeg: jigAngleDeg,
      waterDensity,
      jigCd,
      lineCd,
    };
    return { hour, driftMps, ...jig(input), input };
  });
}

/** The widest drogue aboard by its mouth, m; null: none. */
export function drogueAboard({ aboard }: OutingInView): { item: Item; mouthM: number } | null {
  const all = aboard.flatMap(({ item }) =>
    item.attributes.drogueM !== undefined && item.condition === 'good'
      ? [{ item, mouthM: item.attributes.drogueM }]
      : [],
  );
  return all.toSorted((a, b) => b.mouthM - a.mouthM)[0] ?? null;
}

/** Two trolling rods held out: how wide, by the longest aboard; null: no rod. */
export function trollingSpread(
  { aboard }: OutingInView,
  workings: Workings,
): { rod: Item; rodM: number; spreadM: number } | null {
  const rods = aboard.filter(
    ({ item }) => kinds[item.kind].means.includes('rods') && item.attributes.lengthM,
  );
  const [longest] = rods.toSorted(
    (a, b) => (b.item.attributes.lengthM ?? 0) - (a.item.attributes.lengthM ?? 0),
  );
  const rodM = longest?.item.attributes.lengthM;
  if (!longest || rodM === undefined) return null;
  const { holderHalfSpanM, outAngleDeg, elevationDeg } = workings;
  return {
    rod: longest.item,
    rodM,
    ...spread({ holderHalfSpanM, rodLengthM: rodM, outAngleDeg, elevationDeg }),
  };
}
