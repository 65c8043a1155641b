/** Shapes of a hull that are told by a picture. */
export const hullPresets = ['rounded', 'shallow V', 'multi-chine', 'flat', 'pontoon', 'three tubes'] as const;
export type HullPreset = (typeof hullPresets)[number];

export const zoneKinds = [
  'hatch',
  'tank well',
  'cockpit floor',
  'under the seat',
  'seat back',
  'side pocket',
  'deck under cords',
  'cup or console',
  'rod tube',
  'rod holder',
  'rail',
  'pad-eye',
  'pod',
] as const;
export type ZoneKind = (typeof zoneKinds)[number];

/** What keeps water from what lies there, from none to all. */
export const dryness = ['open', 'spray', 'splash', 'sealed'] as const;
export type Dryness = (typeof dryness)[number];

export const sides = ['left', 'middle', 'right'] as const;
export type Side = (typeof sides)[number];

/** Seated without a twist; with a twist or a lean; out of the seat; not afloat. */
export const reaches = ['hand', 'turn', 'move', 'ashore'] as const;
export type Reach = (typeof reaches)[number];

export const seatHeights = ['low', 'high'] as const;
export type SeatHeight = (typeof seatHeights)[number];

/** Ways of being aboard that a boat is judged in. */
export const stances = ['seated low', 'seated high', 'standing', 'leaning', 'reaching astern'] as const;
export type Stance = (typeof stances)[number];

/** Places that are on no boat. */
export const offBoat = [
  'head',
  'chest, left',
  'chest, right',
  'back',
  'belt',
  'legs',
  'wrist',
  'in the vehicle',
  'ashore',
] as const;

/** Parts of a boat's own page. */
export const boatParts = {
  places: 'Places',
  shape: 'Shape',
  afloat: 'Afloat',
  pace: 'Pace',
  incline: 'Incline',
  fitted: 'Set-ups',
  about: 'About',
} as const;
export type BoatPart = keyof typeof boatParts;
