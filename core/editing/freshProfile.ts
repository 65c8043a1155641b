import { forms } from '../documents/forms';
import { type Angler, untoldRoad } from '../documents/angler';
import { nobody, nothingTold } from '../documents/word';
import { usualSchools } from './usualSchools';
import { METRIC } from '../units/speaking';

/** A profile before anything is told: the limits of the new, the usual schools, and nobody ashore. */
export function freshProfile(id: string): Angler {
  return {
    format: forms.anglers,
    id,
    name: '',
    massKg: 80,
    heightM: 1.75,
    hand: 'right',
    swims: 'well',
    experience: 'new',
    reentryPractised: false,
    clearSide: 'right',
    limits: { windMps: 6, gustMps: 8, breakerM: 0.4, waveM: null },
    schools: usualSchools,
    contact: nobody,
    about: nothingTold,
    habits: { litresPerHour: null, kjPerHour: null },
    ...untoldRoad,
    units: { ...METRIC },
  };
}
