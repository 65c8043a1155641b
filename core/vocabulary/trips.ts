/** Trip types: starting sets of answers, all of them editable. */
export const tripTypes = [
  'shakedown',
  'still-water',
  'lake-trolling',
  'river-day',
  'river-overnight',
  'flats',
  'estuary',
  'beyond-surf',
  'open-water',
  'big-predator',
  'bottom-drift',
  'night',
  'competition',
] as const;
export type TripType = (typeof tripTypes)[number];

/** As it stands in the sentence. */
export const tripWords: Record<TripType, string> = {
  shakedown: 'a shakedown paddle',
  'still-water': 'still water, half a day',
  'lake-trolling': 'trolling a lake',
  'river-day': 'a day float down river',
  'river-overnight': 'a river float with nights out',
  flats: 'standing on the flats',
  estuary: 'estuary and sheltered coast',
  'beyond-surf': 'out through the surf',
  'open-water': 'open water, far out',
  'big-predator': 'big predators, close in',
  'bottom-drift': 'drifting for bottom fish',
  night: 'night or before dawn',
  competition: 'a catch-photo-release competition',
};

export const techniques = [
  'casting',
  'jigging',
  'trolling',
  'drifting',
  'anchored bait',
  'live bait',
  'fly',
  'sight fishing',
] as const;
export type Technique = (typeof techniques)[number];

/** What each trip type starts with. */
export const tripTechniques: Record<TripType, readonly Technique[]> = {
  shakedown: [],
  'still-water': ['casting'],
  'lake-trolling': ['trolling'],
  'river-day': ['casting'],
  'river-overnight': ['casting'],
  flats: ['fly', 'sight fishing'],
  estuary: ['casting', 'drifting'],
  'beyond-surf': ['jigging', 'drifting'],
  'open-water': ['casting', 'jigging'],
  'big-predator': ['casting'],
  'bottom-drift': ['jigging', 'drifting'],
  night: ['casting'],
  competition: ['casting'],
};

/** Outings with one craft under which the product speaks of shakedowns. */
export const SHAKEDOWN_OUTINGS = 3;
