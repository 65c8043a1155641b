import type { NeedId } from '../../vocabulary/needs';
import type { AttributeId, QualityId } from './attributes';
import type { PlaceId } from './places';

/** How much water a thing stands: any; rain and spray; none. */
export type Wetness = 'any' | 'splash' | 'never';
/** Why a kind meets no need by itself. */
export type Aside = 'storage' | 'comfort' | 'spare part' | 'part of another' | 'paper';

/**
 * One record a kind. Masses, sizes, prices and figures are usual practice, rounded; each item overrides them
 * with its own.
 */
export interface KindRow {
  name: string;
  means: readonly NeedId[];
  kg: number;
  /** Packed: longest, middle, shortest, cm. */
  cm: readonly [number, number, number];
  wet: Wetness;
  /** What a new one usually costs. Rule of thumb; 0: nothing, or not to be bought. */
  euro: number;
  at: PlaceId;
  how: string;
  bad: string;
  has?: Partial<Record<AttributeId, number>>;
  is?: readonly QualityId[];
  evening?: string;
  /** What the evening looks at does not change by a day’s use: looked over, it stands for some days. */
  eveningStands?: true;
  /** Looked over every so many months, and how. */
  service?: { months: number; what: string };
  aside?: Aside;
}

export const clip = {
  how: 'Clip both ends. Hear each click; pull.',
  bad: 'A gate that stays open, a seized or bent clip.',
};
export const wear = { how: 'Put it on, close it.', bad: 'Torn, wet through, or left in the vehicle.' };
export const charge = 'Charge it full. Switch it on once.';
