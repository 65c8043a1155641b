import { forms } from '../documents/forms';
import type { Angler } from '../documents/angler';
import { usualSchools } from '../editing/usualSchools';
import { METRIC } from '../units/speaking';

export const demoAngler: Angler = {
  format: forms.anglers,
  id: 'me',
  name: 'Sample Angler',
  massKg: 84,
  heightM: 1.79,
  hand: 'right',
  swims: 'well',
  experience: 'experienced',
  reentryPractised: true,
  clearSide: 'right',
  limits: { windMps: 8, gustMps: 11, breakerM: 0.8, waveM: null },
  schools: { ...usualSchools, riverAnchor: 'trolley, float and release' },
  contact: { name: 'Sample Contact', phone: '000 555 0101', email: 'contact@sample.example' },
  about: {
    phone: '000 555 0100',
    ageYears: 47,
    medical: '',
    wears: 'Grey drysuit, orange jacket, yellow cap',
    callSign: 'Sample Wagtail',
    vehicle: 'Green van, plate SAMPLE 1',
  },
  habits: { litresPerHour: null, kjPerHour: null },
  vehicle: { carries: 'roof', lengthM: 4.4, ratedKg: 75 },
  times: { readyMin: 40, driveMin: 35, rigMin: 45, carryMin: null },
  units: { ...METRIC },
};
