import { forms } from '../documents/forms';
import type { Procedure } from '../documents/procedure';

/** Procedures of the invented club: one of its own, and one in other words than those that ship. */
export const demoProcedures: readonly Procedure[] = [
  {
    format: forms.procedures,
    id: 'night-count',
    inPlaceOf: null,
    name: 'The half-hour count',
    occasions: ['in the dark', 'alone'],
    kinds: [],
    steps: [
      'On the hour and the half: rod down, both hands free.',
      'Feel the jacket’s buckles, the knife and the whistle by touch alone.',
      'Look up: shore light, wind on the cheek, wave since the last count.',
      'Say the time and the way home aloud. If you cannot, go in.',
    ],
  },
  {
    format: forms.procedures,
    id: 'ostrey-photo',
    inPlaceOf: 'measured-photo',
    name: 'Photo of a measured fish, by Ostrey match rules',
    occasions: [],
    kinds: ['board'],
    steps: [
      'Lanyard of the phone over the wrist first.',
      'Today’s identifier on the board, its number to be read.',
      'Fish facing left, mouth shut on the stop, belly to you.',
      'Tail pinched on the line; hand behind the gill, no thumb on the scale.',
      'Two pictures, look at both; then the fish goes over the shaded side.',
    ],
  },
];
