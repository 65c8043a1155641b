import type { Workings } from './workings';

/** Starting values: usual practice, each to be changed on its sheet. */
export const usualWorkings: Workings = {
  alignment: 'bow',
  attachHeightM: 0.3,
  targetDriftMps: 0.25,
  jigAngleDeg: 30,
  holderHalfSpanM: 0.4,
  outAngleDeg: 80,
  elevationDeg: 25,
  sparesConfidence: 0.95,
  powerReserve: 0.2,
  deviceHours: {},
  effort: 'steady',
  litresPerHour: null,
  targetC: 2,
  iceStartC: -5,
};
