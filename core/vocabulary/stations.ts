/**
 * Where an outing is worked on, in the order people work, and what helps where a finding there cannot be
 * settled. A station is added by one record.
 */
export const stations = {
  brief: { name: 'Brief', otherwise: 'Better hours, another place, or not today.' },
  kit: {
    name: 'Kit',
    otherwise: 'Another thing of its kind, bought or borrowed; or another place, or not today.',
  },
  workings: {
    name: 'Workings',
    otherwise: 'Other figures on its sheet, another thing of its kind, or leave it out.',
  },
  stow: { name: 'Stow', otherwise: 'Another place for it, another way to hold it, or leave it ashore.' },
  'leave-word': { name: 'Leave word', otherwise: 'Leave the plan again, or say how they know.' },
  'walk-round': { name: 'Walk-round', otherwise: 'Look at it again, put it right, or not today.' },
  ashore: { name: 'Ashore', otherwise: 'Written down, it is told the next time.' },
} as const;
export type Station = keyof typeof stations;
export const stationIds = Object.keys(stations) as Station[];
