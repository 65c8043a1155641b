/** Where an outing is worked on, in the order people work. A station is added by one record. */
export const stations = {
  brief: { name: 'Brief' },
  kit: { name: 'Kit' },
  workings: { name: 'Workings' },
  'walk-round': { name: 'Walk-round' },
  ashore: { name: 'Ashore' },
} as const;
export type Station = keyof typeof stations;
export const stationIds = Object.keys(stations) as Station[];
