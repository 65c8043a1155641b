import { forms } from './forms';
import { z } from 'zod';
import { idText, lineText, nameText, quantity } from './field';
import { habitats, shapes } from '../catalog/species/speciesRows';

const range = (most: number, unit: string) =>
  z.tuple([quantity(0, most, unit), quantity(0, most, unit)]).refine(([low, high]) => low <= high, {
    path: [1],
    message: 'The second must not be smaller than the first.',
  });
const size = z.strictObject({ lengthM: quantity(0.05, 6, 'm'), massKg: quantity(0.01, 800, 'kg') });

/** A fish of the angler's own, told as the reference table tells the rest. */
export const ownSpeciesSchema = z
  .strictObject({
    format: z.literal(forms.species),
    id: idText,
    name: nameText,
    habitats: z.array(z.enum(habitats)).min(1, 'Say where it lives.').max(4),
    continents: lineText,
    usual: size,
    largest: size,
    teeth: z.enum(['none', 'fine', 'sharp']),
    mouth: z.enum(['small', 'large']),
    shape: z.enum(shapes),
    hazard: lineText,
    airS: quantity(0, 120, 's'),
    stands: lineText,
    depthM: range(600, 'm'),
    forage: lineText,
    forageCm: range(150, 'cm'),
    rodM: range(6, 'm'),
    lineKg: range(100, 'kg'),
    leaderKg: range(200, 'kg'),
    lureG: range(2000, 'g'),
    hooks: lineText,
    runM: quantity(0, 1000, 'm'),
    note: lineText,
  })
  .refine(({ usual, largest }) => largest.lengthM >= usual.lengthM, {
    path: ['largest', 'lengthM'],
    message: 'The largest is not shorter than the usual.',
  });
export type OwnSpecies = z.infer<typeof ownSpeciesSchema>;
