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
  litresPerDegree: 0.02,
  waterInHand: 1.25,
  kjPerHour: null,
  shareEaten: 0.5,
  kjPerCampDay: 10_000,
  storeUaWK: 0.9,
  surgeHsM: 0.6,
  targetC: 2,
  iceStartC: -5,
};
