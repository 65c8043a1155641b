/** Purposes in the order the Kit shows them. */
export const purposes = {
  alive: 'Stay alive',
  back: 'There and back',
  hook: 'Find and hook',
  land: 'Land, and keep or release',
  hold: 'Hold the boat',
  power: 'See and power',
  warm: 'Eat, drink, keep warm',
  camp: 'Camp',
} as const;
export type Purpose = keyof typeof purposes;
export const purposeIds = Object.keys(purposes) as Purpose[];

/** Every need there is, by purpose. What each asks for stands in the catalogue. */
export const needsByPurpose = {
  alive: [
    'buoyancy',
    'sound-signal',
    'call-for-help',
    'be-seen-day',
    'be-seen-night',
    'distress-signal',
    'float-plan',
    'get-back-in',
    'cut-line',
    'cut-hook',
    'throw-line',
    'first-aid',
    'immersion-clothing',
    'head',
  ],
  back: [
    'propulsion',
    'second-propulsion',
    'paddle-retained',
    'take-water-out',
    'stop-leak',
    'plugs',
    'tow-line',
    'navigate',
    'carry',
    'on-vehicle',
    'keys',
  ],
  hook: ['licence', 'rods', 'rod-retention', 'lures', 'leader', 'bait', 'find-depth'],
  land: ['land-fish', 'unhook', 'measure', 'dispatch', 'cold-store', 'identifier', 'photograph'],
  hold: ['hold-boat'],
  power: ['power'],
  warm: ['water', 'food', 'sun', 'wind-rain', 'spare-clothes', 'insects'],
  camp: ['shelter', 'sleep', 'cook', 'treat-water', 'waste', 'hang-food', 'fire', 'hygiene'],
} as const satisfies Record<Purpose, readonly string[]>;

export type NeedId = (typeof needsByPurpose)[Purpose][number];
export const needIds: readonly NeedId[] = purposeIds.flatMap((purpose) => [...needsByPurpose[purpose]]);
