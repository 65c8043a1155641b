import { forms } from '../documents/forms';
import type { OwnSpecies } from '../documents/ownSpecies';

/** One fish of the angler's own, so that the shelf shows how one is told. */
export const demoSpecies: readonly OwnSpecies[] = [
  {
    format: forms.species,
    id: 'venn-dace',
    name: 'Venn dace',
    habitats: ['fresh'],
    continents: 'the River Venn',
    usual: { lengthM: 0.2, massKg: 0.1 },
    largest: { lengthM: 0.3, massKg: 0.35 },
    teeth: 'none',
    mouth: 'small',
    shape: 'round',
    hazard: '',
    airS: 15,
    stands: 'over gravel, at the edge of the current',
    depthM: [0.3, 2],
    forage: 'flies, grubs',
    forageCm: [0.5, 2],
    rodM: [1.8, 2.4],
    lineKg: [1, 2],
    leaderKg: [1, 2],
    lureG: [1, 4],
    hooks: '16 to 12',
    runM: 8,
    note: 'A small silver fish of this river, by the angler’s own notes.',
  },
];
