import type { NeedId } from './needs';

/** Where a means must be to count: on the body; in the hand without a twist; with a twist or a lean. Whether it is dry is judged of each thing by itself. */
export type Where = 'worn' | 'hand' | 'turn';

/** What a need asks about where its means are while fishing. What is not named may lie anywhere aboard. */
export const whereOf: Partial<Record<NeedId, Where>> = {
  buoyancy: 'worn',
  'immersion-clothing': 'worn',
  head: 'worn',
  'sound-signal': 'hand',
  'call-for-help': 'hand',
  'cut-line': 'hand',
  propulsion: 'hand',
  'anchor-release': 'turn',
  'distress-signal': 'turn',
  'second-propulsion': 'turn',
  'take-water-out': 'turn',
  'throw-line': 'turn',
  'cut-hook': 'turn',
  'land-fish': 'turn',
  unhook: 'turn',
  measure: 'turn',
  dispatch: 'turn',
  're-entry-aid': 'turn',
};
export const whereWords: Record<Where, string> = {
  worn: 'on the body',
  hand: 'at hand without a twist',
  turn: 'within a twist or a lean',
};
