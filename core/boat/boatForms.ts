import type { Craft } from '../documents/craft';

/** A boat as one tells it from across a car park, with what its kind is usually like. Usual practice, rounded. */
export interface BoatForm {
  name: string;
  deck: Craft['deck'];
  hull: Craft['hull'];
  drive: Craft['drive'];
  lengthM: number;
  beamM: number;
  massKg: number;
  ratedLoadKg: number;
  cruiseMps: number;
  drainPlugs: number;
  hatches: number;
}

export const boatForms = {
  'open-paddled': {
    name: 'Sit-on-top, paddled',
    deck: 'sit-on-top',
    hull: 'rigid',
    drive: 'paddle',
    lengthM: 3.5,
    beamM: 0.78,
    massKg: 29,
    ratedLoadKg: 165,
    cruiseMps: 1.3,
    drainPlugs: 1,
    hatches: 1,
  },
  'open-pedalled': {
    name: 'Sit-on-top, pedal drive',
    deck: 'sit-on-top',
    hull: 'rigid',
    drive: 'pedal',
    lengthM: 3.7,
    beamM: 0.86,
    massKg: 42,
    ratedLoadKg: 210,
    cruiseMps: 1.5,
    drainPlugs: 1,
    hatches: 2,
  },
  'open-motor': {
    name: 'Sit-on-top, motor',
    deck: 'sit-on-top',
    hull: 'rigid',
    drive: 'motor',
    lengthM: 3.8,
    beamM: 0.9,
    massKg: 48,
    ratedLoadKg: 220,
    cruiseMps: 1.7,
    drainPlugs: 1,
    hatches: 2,
  },
  inflatable: {
    name: 'Inflatable',
    deck: 'sit-on-top',
    hull: 'inflatable',
    drive: 'paddle',
    lengthM: 3.4,
    beamM: 0.9,
    massKg: 18,
    ratedLoadKg: 180,
    cruiseMps: 1.1,
    drainPlugs: 0,
    hatches: 0,
  },
  closed: {
    name: 'Sit-inside',
    deck: 'sit-inside',
    hull: 'rigid',
    drive: 'paddle',
    lengthM: 4.2,
    beamM: 0.66,
    massKg: 25,
    ratedLoadKg: 135,
    cruiseMps: 1.5,
    drainPlugs: 0,
    hatches: 2,
  },
} as const satisfies Record<string, BoatForm>;
export type BoatFormId = keyof typeof boatForms;
export const boatFormIds = Object.keys(boatForms) as BoatFormId[];

/** The five numbers that are asked of a boat. */
export type BoatNumbers = Pick<Craft, 'lengthM' | 'beamM' | 'massKg' | 'ratedLoadKg' | 'cruiseMps'>;

/**
 * Drag areas (Cd·A) of a boat with a seated angler, m², from its length and beam: an estimate for who has measured none.
 * Ahead: the angler and seat, about 0.3, and the hull's own front, 0.17 a metre of beam. Abeam in the air: the angler, about 0.55, and the
 * freeboard, 0.14 a metre of length. Abeam in the water: a mean draught of 0.13 a metre of length. Rules of thumb, to a third.
 */
export function dragAreas({
  lengthM,
  beamM,
}: Pick<Craft, 'lengthM' | 'beamM'>): Pick<Craft, 'windageM2' | 'lateralAirM2' | 'lateralWaterM2'> {
  const round = (m2: number) => Math.round(m2 * 100) / 100;
  return {
    windageM2: round(0.3 + 0.17 * beamM),
    lateralAirM2: round(0.55 + 0.14 * lengthM),
    lateralWaterM2: round(0.13 * lengthM),
  };
}

/** Pace with the second propulsion as a share of the first, and what a person gives for hours, W. Rules of thumb. */
const SPARE_SHARE = 0.75;
const PERSON_W = 45;
const MOTOR_W = 150;

/** A boat from its picture and five numbers; all else as is usual for such a boat, to be corrected by whoever knows better. */
export function boatFrom(id: string, formId: BoatFormId, numbers: BoatNumbers, own: Partial<Craft> = {}): Craft {
  const { name, deck, hull, drive, drainPlugs, hatches } = boatForms[formId];
  const paddled = drive === 'paddle';
  return {
    format: 'craft/3',
    id,
    name,
    deck,
    hull,
    drive,
    ...numbers,
    wellKg: null,
    colour: '',
    marked: false,
    drainPlugs,
    plugNames: '',
    hatches,
    spareMps: Math.min(3, Math.max(0.2, Math.round(numbers.cruiseMps * (paddled ? 0.9 : SPARE_SHARE) * 100) / 100)),
    powerW: drive === 'motor' ? MOTOR_W : PERSON_W,
    sparePowerW: PERSON_W,
    ...dragAreas(numbers),
    outingsLogged: 0,
    condition: 'good',
    note: '',
    ...own,
  };
}
