/** Sums that stand by themselves: SI units in and out, each with its source in docs/sources.md. */

// The water and the day.
export { harmonicSeries, slackWaters, turnsOfTide } from './environment/tide';
export { waves } from './environment/waves';
export { waveOnStream } from './environment/waveOnStream';
export { surf } from './environment/surf';
export { heatIndex, windChill } from './environment/feels';
export { immersion } from './environment/immersion';
export { lightOfDay } from './environment/light';
export { bearingBetween, distanceBetween, placeAt } from './environment/geo';

// The boat.
export { hullDrag, paceAt } from './boat/drag';
export { fittingPaddleM } from './boat/paddle';
export { ladenBoat } from './boat/afloat';
export { steadinessOf } from './boat/steadiness';

// Holding, tackle, power, provisions.
export { anchor } from './holding/anchor';
export { drift } from './holding/drift';
export { pole } from './holding/pole';
export { arrange } from './arranging/arrange';
export { pack } from './packing/pack';
export { jig } from './tackle/jig';
export { rig } from './tackle/rig';
export { spool } from './tackle/spool';
export { spread } from './tackle/spread';
export { power } from './power/power';
export { ice } from './provisions/ice';
export { drinkingWater } from './provisions/water';
export { foodEnergy } from './provisions/food';
