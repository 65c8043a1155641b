import type { Technique } from '../../vocabulary/trips';
import { type Habitat, type Shape, type SpeciesRow, speciesRows } from './speciesRows';

export type Range = readonly [number, number];

/** What a fish is, and what it asks of tackle and hands. All of it usual practice, rounded. */
export interface Species {
  id: string;
  name: string;
  habitats: readonly Habitat[];
  continents: string;
  /** Usual upper and largest likely: length in metres, mass in kilograms. */
  usual: { lengthM: number; massKg: number };
  largest: { lengthM: number; massKg: number };
  teeth: 'none' | 'fine' | 'sharp';
  mouth: 'small' | 'large';
  shape: Shape;
  /** What hurts the hand that holds it; empty: nothing out of the way. */
  hazard: string;
  /** Longest time out of water when it is to swim off, in seconds. */
  airS: number;
  stands: string;
  depthM: Range;
  forage: string;
  forageCm: Range;
  rodM: Range;
  lineKg: Range;
  leaderKg: Range;
  lureG: Range;
  hooks: string;
  /** The longest run to reckon with, m. */
  runM: number;
  note: string;
}

export type SpeciesId = keyof typeof speciesRows;
export const speciesIds = Object.keys(speciesRows) as SpeciesId[];

const shapeOf: Partial<Record<SpeciesId, Shape>> = { flounder: 'flat', plaice: 'flat', ray: 'ray' };

export const speciesTable: Record<SpeciesId, Species> = Object.fromEntries(
  (Object.entries(speciesRows) as [SpeciesId, SpeciesRow][]).map(([id, row]): [SpeciesId, Species] => {
    const [
      name,
      habitats,
      continents,
      usual,
      largest,
      teeth,
      mouth,
      hazard,
      airS,
      stands,
      depthM,
      forage,
      forageCm,
    ] = row;
    const [rodM, lineKg, leaderKg, lureG, hooks, runM, note] = row.slice(13) as [
      Range,
      Range,
      Range,
      Range,
      string,
      number,
      string,
    ];
    const size = ([lengthM, massKg]: readonly [number, number]) => ({ lengthM, massKg });
    return [
      id,
      {
        id,
        name,
        habitats,
        continents,
        usual: size(usual),
        largest: size(largest),
        teeth,
        mouth,
        shape: shapeOf[id] ?? 'round',
        hazard,
        airS,
        stands,
        depthM,
        forage,
        forageCm,
        rodM,
        lineKg,
        leaderKg,
        lureG,
        hooks,
        runM,
        note,
      },
    ];
  }),
) as Record<SpeciesId, Species>;

/** How a species is usually fished for from a kayak, by where it stands and how it takes. */
export function techniquesFor({ habitats, depthM, stands, lureG }: Species): Technique[] {
  const [, deep] = depthM;
  return [
    'casting',
    ...(deep >= 20 || lureG[1] >= 100 ? (['jigging', 'drifting'] as const) : []),
    ...(habitats.includes('fresh') && deep >= 10 ? (['trolling'] as const) : []),
    ...(lureG[0] <= 5 ? (['fly'] as const) : []),
    ...(/flats/.test(stands) ? (['sight fishing'] as const) : []),
  ];
}

/**
 * The power of rod its main line asks for, by the middle of the line's range in kilograms. Usual practice:
 * makers do not agree on the words.
 */
export function powerFor({ lineKg: [low, high] }: Pick<Species, 'lineKg'>): string {
  const middle = (low + high) / 2;
  return middle < 2.5
    ? 'ultra-light'
    : middle < 5
      ? 'light'
      : middle < 9
        ? 'medium'
        : middle < 14
          ? 'medium-heavy'
          : 'heavy';
}

/**
 * How tall a fish of this length (m) and mass (kg) stands from back to belly, in metres: a body as dense as
 * water, 0.55 as thick as it is tall, that fills 0.38 of the box round it. For a drawing; no measure of any
 * one fish.
 */
export function heightOf({ lengthM, massKg }: Species['usual']): number {
  return Math.sqrt(massKg / 1000 / lengthM / (0.38 * 0.55));
}
