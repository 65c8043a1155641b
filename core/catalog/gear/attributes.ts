/** Measures an item can have. The unit is the one the figure is kept in. */
export const attributes = {
  newtons: { name: 'buoyancy', unit: 'N' },
  lengthM: { name: 'length', unit: 'm' },
  hoopM: { name: 'hoop', unit: 'm' },
  bagM: { name: 'bag depth', unit: 'm' },
  hours: { name: 'runs for', unit: 'h' },
  litres: { name: 'holds', unit: 'L' },
  foodKj: { name: 'food energy', unit: 'kJ' },
  ratedKg: { name: 'rated for', unit: 'kg' },
  wattHours: { name: 'charge', unit: 'Wh' },
  watts: { name: 'draws', unit: 'W' },
  lureG: { name: 'lure mass', unit: 'g' },
  persons: { name: 'room for', unit: 'persons' },
  fitFromKg: { name: 'fits a body from', unit: 'kg' },
  fitToKg: { name: 'fits a body to', unit: 'kg' },
  castMinG: { name: 'casts from', unit: 'g' },
  castMaxG: { name: 'casts to', unit: 'g' },
  breakKg: { name: 'rated strength', unit: 'kg' },
  diameterMm: { name: 'diameter', unit: 'mm' },
  spoolM: { name: 'spool holds', unit: 'm' },
  spoolMm: { name: 'of line this thick', unit: 'mm' },
  pieces: { name: 'pieces in it', unit: '' },
  lossPerHour: { name: 'lost an hour', unit: '/h' },
  groundKg: { name: 'anchor alone', unit: 'kg' },
  holdK: { name: 'holding factor, measured', unit: '' },
  rodeM: { name: 'rode', unit: 'm' },
  drogueM: { name: 'mouth', unit: 'm' },
  volts: { name: 'voltage', unit: 'V' },
  ampHours: { name: 'capacity', unit: 'Ah' },
  healthPct: { name: 'left of its capacity when new', unit: '%' },
  usablePct: { name: 'may be drawn of a full charge', unit: '%' },
  peukert: { name: 'Peukert exponent', unit: '' },
  atZeroPct: { name: 'left of its capacity at freezing', unit: '%' },
  dutyPct: { name: 'runs this share of the time', unit: '%' },
  uaWK: { name: 'heat let in', unit: 'W/K' },
  iceKg: { name: 'ice', unit: 'kg' },
  insideL: { name: 'room inside', unit: 'L' },
} as const;
/** What a measure may be, where any figure at all would not do. */
export const attributeRange: Partial<Record<AttributeId, readonly [least: number, most: number]>> = {
  usablePct: [1, 100],
  peukert: [1, 2],
  atZeroPct: [1, 100],
};
export type AttributeId = keyof typeof attributes;
export const attributeIds = Object.keys(attributes) as AttributeId[];

/** Things that are so or not so, and that decide whether an item counts. */
export const qualities = {
  approved: 'approved type',
  inflatable: 'inflates',
  automatic: 'fires by itself when wet',
  floats: 'floats',
  tethered: 'on a tether',
  waterproof: 'waterproof',
  coated: 'coated, knotless mesh',
  hardened: 'hardened steel',
  stainless: 'stainless',
  sheathed: 'sheathed',
  bright: 'bright colour',
  charged: 'holds its charge',
  treble: 'carries trebles or hooks of 2/0 and up',
  joined: 'in several pieces',
  bites: 'stands teeth',
  softbait: 'ordinary soft plastic',
  elastic: 'elastic soft plastic',
  scented: 'smells',
  release: 'lets go by hand under load',
  buoyed: 'floats on its line',
  wide: 'wide tyres for soft ground',
} as const;
export type QualityId = keyof typeof qualities;
export const qualityIds = Object.keys(qualities) as QualityId[];
