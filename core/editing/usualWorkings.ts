import { SURGE_HS } from '../holding/anchor';
import { DROGUE_CD } from '../holding/drift';
import { KJ_PER_CAMP_DAY, SHARE_EATEN } from '../provisions/food';
import { USUAL_STORE_UA } from '../provisions/ice';
import { IN_HAND, PER_DEGREE_OVER_20 } from '../provisions/water';
import { JIG_CD, LINE_CD } from '../tackle/jig';
import type { Workings } from '../documents/workings';

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
  litresPerDegree: PER_DEGREE_OVER_20,
  waterInHand: IN_HAND,
  kjPerHour: null,
  shareEaten: SHARE_EATEN,
  kjPerCampDay: KJ_PER_CAMP_DAY,
  storeUaWK: USUAL_STORE_UA,
  surgeHsM: SURGE_HS,
  drogueCd: DROGUE_CD,
  jigCd: JIG_CD,
  lineCd: LINE_CD,
  targetC: 2,
  iceStartC: -5,
};
