/**
 * What is going on, in which each thing has its place. Fishing is the place that the others follow where
 * nothing else is said.
 */
export const modes = {
  carry: 'Carry',
  launch: 'Launch',
  fish: 'Fish',
  land: 'Land',
  run: 'Run',
  camp: 'Camp',
} as const;
export type Mode = keyof typeof modes;
/** The modes that keep only what differs from fishing. */
export const otherModes = ['carry', 'launch', 'land', 'run', 'camp'] as const satisfies readonly Mode[];
export type OtherMode = (typeof otherModes)[number];
/** As it is said inside a sentence. */
export const modeWords: Record<Mode, string> = {
  carry: 'carrying it to the water',
  launch: 'launching',
  fish: 'fishing',
  land: 'landing',
  run: 'running the rapids',
  camp: 'in camp',
};

/** In what a thing is: a place of the boat, another thing, the body, the vehicle; or nobody has said. */
export const within = ['zone', 'thing', 'body', 'vehicle', 'nowhere'] as const;

/**
 * What keeps it there besides walls: nothing, a cord or strap, a leash to a pad-eye, a clip to the person,
 * being worn.
 */
export const holds = {
  loose: 'loose',
  strapped: 'under a cord or strap',
  leashed: 'on a leash',
  clipped: 'clipped to you',
  worn: 'worn',
} as const;
export type Hold = keyof typeof holds;
export const holdIds = Object.keys(holds) as Hold[];

export const covers = { bare: 'bare', sheath: 'in a sheath', bag: 'in a bag', cap: 'under a cap' } as const;
export type Cover = keyof typeof covers;
export const coverIds = Object.keys(covers) as Cover[];

/** Where among what lies there: to be taken out first, or last. */
export const layers = { top: 'on top', middle: 'in the middle', bottom: 'at the bottom' } as const;
export type Layer = keyof typeof layers;
export const layerIds = Object.keys(layers) as Layer[];

/** Things with two states: put away, and in use. */
export const thingStates = ['stowed', 'out'] as const;
export type ThingState = (typeof thingStates)[number];

/** Where on the body. */
export const bodyParts = {
  head: 'head',
  'left-chest': 'chest, left',
  'right-chest': 'chest, right',
  back: 'body',
  belt: 'belt',
  legs: 'legs',
  wrist: 'wrist',
} as const;
export type BodyPart = keyof typeof bodyParts;
export const bodyPartIds = Object.keys(bodyParts) as BodyPart[];
