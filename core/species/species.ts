export interface Species {
  id: SpeciesId;
  name: string;
  /** Usual upper and largest likely: length in metres, mass in kilograms. Usual practice, rounded. */
  usual: { lengthM: number; massKg: number };
  largest: { lengthM: number; massKg: number };
  teeth: 'none' | 'fine' | 'sharp';
  mouth: 'small' | 'large';
  /** What hurts the hand that holds it; empty: nothing out of the way. */
  hazard: string;
  /** Longest time out of water when it is to swim off, in seconds. */
  airS: number;
}

type Row = [string, number, number, number, number, Species['teeth'], Species['mouth'], string, number];

// name, usual m, usual kg, largest m, largest kg, teeth, mouth, hazard, seconds in air
const rows = {
  pollack: ['pollack', 0.5, 1.5, 0.8, 6, 'fine', 'large', '', 20],
  'sea-bass': ['sea bass', 0.5, 1.5, 0.8, 5, 'fine', 'large', 'spined fins and sharp gill plates', 20],
  cod: ['cod', 0.6, 2.5, 1.1, 14, 'fine', 'large', '', 20],
  ling: ['ling', 0.9, 5, 1.5, 18, 'sharp', 'large', 'teeth', 20],
  mackerel: ['mackerel', 0.3, 0.35, 0.45, 0.9, 'fine', 'small', '', 15],
  zander: ['zander', 0.6, 2.5, 0.95, 8, 'sharp', 'large', 'fangs and a spined fin', 15],
  perch: ['perch', 0.3, 0.5, 0.5, 2, 'fine', 'small', 'spined fin and gill plates', 20],
  pike: ['pike', 0.75, 4, 1.2, 15, 'sharp', 'large', 'teeth and gill rakers', 15],
  barbel: ['barbel', 0.55, 2.5, 0.85, 7, 'none', 'small', 'first spine of the back fin', 15],
  chub: ['chub', 0.4, 1.2, 0.6, 3.5, 'none', 'large', '', 20],
  trout: ['brown trout', 0.4, 0.9, 0.7, 4.5, 'fine', 'large', '', 10],
  bonefish: ['bonefish', 0.5, 1.8, 0.75, 5, 'none', 'small', '', 10],
} satisfies Record<string, Row>;

export type SpeciesId = keyof typeof rows;
export const speciesIds = Object.keys(rows) as SpeciesId[];

export const speciesTable: Record<SpeciesId, Species> = Object.fromEntries(
  Object.entries<Row>(rows).map(([id, [name, uL, uM, lL, lM, teeth, mouth, hazard, airS]]) => [
    id,
    {
      id,
      name,
      usual: { lengthM: uL, massKg: uM },
      largest: { lengthM: lL, massKg: lM },
      teeth,
      mouth,
      hazard,
      airS,
    },
  ]),
) as Record<SpeciesId, Species>;
