/**
 * The core for scripts and programs outside this one: what is exported here keeps its name and its meaning,
 * files behind it may move. Described with an example in docs/core.md. Sums by themselves:
 * `core/calculators.ts`.
 */

// Judging.
export { assess, type Assessment } from './judgement/assess';
export { sayFinding } from './judgement/allRules';
export { sayBar } from './judgement/gate';
export type { Finding } from './judgement/finding';
export { propose } from './provisioning/propose';
export { type Repair, applyRepair, sayRepair } from './editing/repair';
export { type Answers, noAnswers, standingAnswers } from './walkround/answers';

// Documents: their forms, and what reads one of any age.
export { documentKinds, type Documents, type KindName } from './documents/registry';
export { type Opened, openDocument, sayNotOpened } from './documents/open';
export { type References, aboardOf, lookUp, placesOf } from './documents/references';
export type { Angler } from './documents/angler';
export type { Craft } from './documents/craft';
export type { Item } from './documents/item';
export type { Outing } from './documents/outing';
export type { Water } from './documents/water';
export { spotOf } from './documents/stow';

// Making them.
export { boatForms, boatFrom } from './boat/boatForms';
export { newOuting } from './editing/newOuting';
export { newItem } from './editing/newItem';
export { withItem } from './editing/edit';
export { withBrief } from './editing/title';
export { freshProfile } from './editing/freshProfile';
export { waterFrom } from './editing/waterFrom';
export { usualSchools } from './editing/usualSchools';
export { usualWorkings } from './editing/usualWorkings';
export { newZone, usualZones, zonesOf } from './boat/zones';
export { presetFigures, seatOf, usualShape } from './boat/build';

// What things are, and what an outing can ask for.
export { kindIds, kinds } from './catalog/gear/kinds';
export { isRod, sizeOf, statesOf } from './catalog/gear/stowing';
export { needIds } from './vocabulary/needs';

// Where things lie, and the plan for whoever waits ashore.
export { planOf } from './stow/plan';
export { fitsIn } from './stow/fits';
export { planSays } from './floatplan/says';
