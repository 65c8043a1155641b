import type { NeedId } from './needs';
import type { BodyPart, Mode } from './stow';

/**
 * Where and how a means must be to count: worn on the part of the body that it protects; in the hand without
 * a twist; with a twist or a lean; up, so that others see it; aboard at all. Whether it is dry is judged of
 * each thing by itself.
 */
export type Where = 'worn' | 'hand' | 'turn' | 'up' | 'aboard';
/**
 * In which modes: in all that are afloat; in those without breakers or rapids, where only what is on the body
 * is not tied away; while fishing; or in those with breakers and rapids, and while fishing where there are
 * none.
 */
export type AskedIn = 'afloat' | 'calm' | 'fishing' | 'rough';

export interface PlaceAsked {
  where: Where;
  in: AskedIn;
  /** Worn there and nowhere else. */
  on?: readonly BodyPart[];
}

const trunk: readonly BodyPart[] = ['back', 'left-chest', 'right-chest'];
/**
 * What a need asks about where its means are. Whatever is not named has to be aboard while fishing, unless it
 * is used ashore.
 */
export const placeOf: Partial<Record<NeedId, PlaceAsked>> = {
  buoyancy: { where: 'worn', in: 'afloat', on: trunk },
  'immersion-clothing': { where: 'worn', in: 'afloat', on: trunk },
  head: { where: 'worn', in: 'rough', on: ['head'] },
  'sound-signal': { where: 'hand', in: 'calm' },
  // That one of them is on the body is a rule of its own.
  'call-for-help': { where: 'turn', in: 'calm' },
  'cut-line': { where: 'hand', in: 'calm' },
  propulsion: { where: 'hand', in: 'afloat' },
  'be-seen-day': { where: 'up', in: 'fishing' },
  'be-seen-night': { where: 'up', in: 'fishing' },
  'anchor-release': { where: 'turn', in: 'fishing' },
  'distress-signal': { where: 'turn', in: 'calm' },
  'second-propulsion': { where: 'turn', in: 'calm' },
  'take-water-out': { where: 'turn', in: 'calm' },
  'throw-line': { where: 'turn', in: 'afloat' },
  'cut-hook': { where: 'turn', in: 'fishing' },
  'land-fish': { where: 'turn', in: 'fishing' },
  unhook: { where: 'turn', in: 'fishing' },
  measure: { where: 'turn', in: 'fishing' },
  dispatch: { where: 'turn', in: 'fishing' },
  're-entry-aid': { where: 'turn', in: 'calm' },
  navigate: { where: 'turn', in: 'calm' },
};
export const whereWords: Record<Where, string> = {
  worn: 'worn',
  hand: 'at hand without a twist',
  turn: 'within a twist or a lean',
  up: 'up, or worn, where it is seen',
  aboard: 'aboard',
};
export const askedInWords: Record<AskedIn, string> = {
  afloat: 'in every mode afloat',
  calm: 'afloat, but for breakers and rapids',
  fishing: 'while fishing',
  rough: 'through breakers and rapids, else while fishing',
};

/** Needs whose means are used ashore, and so may stay in the vehicle. */
export const ashoreNeeds: ReadonlySet<NeedId> = new Set<NeedId>([
  'on-vehicle',
  'dry-in-vehicle',
  'carry',
  'keys',
]);

/** The modes afloat, in the order they come. */
export const modesAfloat = ['launch', 'fish', 'run', 'land'] as const satisfies readonly Mode[];
