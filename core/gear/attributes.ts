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
  persons: { name: 'persons', unit: '' },
} as const;
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
} as const;
export type QualityId = keyof typeof qualities;
export const qualityIds = Object.keys(qualities) as QualityId[];
