import { forms } from '../documents/forms';
import type { Craft } from '../documents/craft';
import type { HullPreset } from '../vocabulary/boat';
import { presetFigures, usualShape } from './build';

/**
 * A boat as one tells it from across a car park, with what its kind is usually like. Usual practice, rounded.
 */
export interface BoatForm {
  name: string;
  deck: Craft['deck'];
  hull: Craft['hull'];
  drive: Craft['drive'];
  lengthM: number;
  beamM: number;
  massKg: number;
  ratedLoadKg: number;
  depthM: number;
  drainPlugs: number;
  hatches: number;
}

export const boatForms = {
  'open-paddled': {
    depthM: 0.31,
    name: 'Sit-on-top, paddled',
    deck: 'sit-on-top',
    hull: 'rigid',
    drive: 'paddle',
    lengthM: 3.5,
    beamM: 0.78,
    massKg: 29,
    ratedLoadKg: 165,
    drainPlugs: 1,
    hatches: 1,
  },
  'open-pedalled': {
    depthM: 0.34,
    name: 'Sit-on-top, pedal drive',
    deck: 'sit-on-top',
    hull: 'rigid',
    drive: 'pedal',
    lengthM: 3.7,
    beamM: 0.86,
    massKg: 42,
    ratedLoadKg: 210,
    drainPlugs: 1,
    hatches: 2,
  },
  'open-motor': {
    depthM: 0.36,
    name: 'Sit-on-top, motor',
    deck: 'sit-on-top',
    hull: 'rigid',
    drive: 'motor',
    lengthM: 3.8,
    beamM: 0.9,
    massKg: 48,
    ratedLoadKg: 220,
    drainPlugs: 1,
    hatches: 2,
  },
  inflatable: {
    depthM: 0.29,
    name: 'Inflatable',
    deck: 'sit-on-top',
    hull: 'inflatable',
    drive: 'paddle',
    lengthM: 3.4,
    beamM: 0.9,
    massKg: 18,
    ratedLoadKg: 180,
    drainPlugs: 0,
    hatches: 0,
  },
  closed: {
    depthM: 0.32,
    name: 'Sit-inside',
    deck: 'sit-inside',
    hull: 'rigid',
    drive: 'paddle',
    lengthM: 4.2,
    beamM: 0.66,
    massKg: 25,
    ratedLoadKg: 135,
    drainPlugs: 0,
    hatches: 2,
  },
} as const satisfies Record<string, BoatForm>;
export type BoatFormId = keyof typeof boatForms;
export const boatFormIds = Object.keys(boatForms) as BoatFormId[];

/** The five numbers that are asked of a boat. */
export type BoatNumbers = Pick<Craft, 'lengthM' | 'beamM' | 'massKg' | 'ratedLoadKg'> & { depthM: number };

/** What a person gives for hours, and a small motor, W. Rules of thumb. */
const PERSON_W = 45;
const MOTOR_W = 150;

/**
 * A boat from its picture and five numbers; all else as is usual for such a boat, to be corrected by whoever
 * knows better.
 */
export function boatFrom(
  id: string,
  formId: BoatFormId,
  { depthM, ...numbers }: BoatNumbers,
  own: Partial<Craft> & { preset?: HullPreset } = {},
): Craft {
  const { name, deck, hull, drive, drainPlugs, hatches } = boatForms[formId];
  const { preset, ...rest } = own;
  const shape = { ...usualShape({ ...numbers, deck, hull, drive }), depthM };
  return {
    format: forms.craft,
    id,
    name,
    deck,
    hull,
    drive,
    ...numbers,
    wellKg: null,
    assumed: [],
    colour: '',
    marked: false,
    drainPlugs,
    plugNames: '',
    hatches,
    shape: { ...shape, ...(preset ? presetFigures(preset) : {}) },
    ownVcgM: null,
    inclined: null,
    floats: null,
    scuppers: deck === 'sit-on-top' && hull === 'rigid' ? 'open' : 'none',
    bulkheadsM: [],
    seat: null,
    standing: false,
    zones: null,
    fittings: [],
    setUps: [],
    setUpId: null,
    cruiseMps: null,
    spareMps: null,
    powerW: drive === 'motor' ? MOTOR_W : PERSON_W,
    sparePowerW: PERSON_W,
    windageM2: null,
    lateralAirM2: null,
    lateralWaterM2: null,
    outingsLogged: 0,
    condition: 'good',
    note: '',
    ...rest,
  };
}
