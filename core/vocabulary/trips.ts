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

/** What a kind of trip changes, beside the techniques it starts with. */
export const tripChanges: Record<TripType, string> = {
  shakedown: 'Made for practising: not having practised is not minded, and it needs no fish.',
  'still-water': 'Starts with casting.',
  'lake-trolling': 'Starts with trolling: lines spread behind, and what they weigh.',
  'river-day': 'Starts with casting; what the river asks comes from the water itself.',
  'river-overnight': 'Starts with casting; say the nights, and camp and food are asked for.',
  flats: 'Starts with the fly and sight fishing; standing is asked about.',
  estuary: 'Starts with casting and drifting.',
  'beyond-surf': 'Starts with jigging and drifting; surf is judged by the launch and the swell.',
  'open-water': 'Starts with casting and jigging; distance and sea come from the place itself.',
  'big-predator': 'Starts with casting; landing and unhooking go by the fish.',
  'bottom-drift': 'Starts with jigging and drifting: jig mass and drift are worked out.',
  night: 'Starts with casting; darkness is judged by the hours.',
  competition: 'Asks for a camera, a board and the token; fish go back.',
};
/** What a technique asks for. */
export const techniqueAsks: Record<Technique, string> = {
  casting: 'rod, lures, a leader that suits the teeth',
  jigging: 'jigs by depth and drift; their mass is worked out',
  trolling: 'a spread behind the boat, its angles and drag',
  drifting: 'a drift of the wanted speed; drogue and trolley',
  'anchored bait': 'an anchor for that bottom, rode, release, two ways to cut',
  'live bait': 'a way to catch it and to keep it alive',
  fly: 'fly rod and box; nothing on deck that catches line',
  'sight fishing': 'polarised glasses; standing, if you do',
};

export type Setting = 'still' | 'river' | 'estuary' | 'coast' | 'open' | 'flats';
const settingTrip: Record<Setting, TripType> = {
  still: 'still-water',
  river: 'river-day',
  estuary: 'estuary',
  coast: 'estuary',
  open: 'open-water',
  flats: 'flats',
};
/** Kinds of trip that belong to some waters only. */
const tripSettings: Partial<Record<TripType, readonly Setting[]>> = {
  'still-water': ['still'],
  'lake-trolling': ['still'],
  'river-day': ['river'],
  'river-overnight': ['river'],
  flats: ['flats', 'estuary'],
  estuary: ['estuary', 'coast', 'flats'],
  'beyond-surf': ['coast', 'open'],
  'open-water': ['coast', 'open'],
};
/** The kind of trip that such a water is for. @param surf whether waves break where one launches */
export function tripFor(setting: Setting, surf: boolean): TripType {
  return setting === 'coast' && surf ? 'beyond-surf' : settingTrip[setting];
}
/** Whether a kind of trip can be made on such a water. */
export function tripFits(trip: TripType, setting: Setting): boolean {
  return tripSettings[trip]?.includes(setting) ?? true;
}

/** Outings with one craft under which the product speaks of shakedowns. */
export const SHAKEDOWN_OUTINGS = 3;
