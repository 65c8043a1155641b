import type { NeedId } from '../needs/ids';
import type { AttributeId, QualityId } from './attributes';
import { type KindRow, kindRows } from './kindRows';
import type { PlaceId } from './places';

/** A kind of gear: what it can do, and what one of it is usually like. */
export interface GearKind {
  id: KindId;
  name: string;
  /** The needs it can be a means of; none: a comfort, or tackle storage. */
  means: readonly NeedId[];
  massKg: number;
  attributes: Partial<Record<AttributeId, number>>;
  qualities: readonly QualityId[];
  place: PlaceId;
  /** What to do with it on the walk-round, and what bad looks like. */
  look: { how: string; bad: string };
  /** What to do with it the evening before; null: nothing. */
  evening: string | null;
}

export type KindId = keyof typeof kindRows;
export const kindIds = Object.keys(kindRows) as KindId[];

export const kinds: Record<KindId, GearKind> = Object.fromEntries(
  Object.entries<KindRow>(kindRows).map(([id, row]) => [
    id,
    {
      id,
      name: row.name,
      means: row.means,
      massKg: row.kg,
      attributes: row.has ?? {},
      qualities: row.is ?? [],
      place: row.at,
      look: { how: row.how, bad: row.bad },
      evening: row.evening ?? null,
    },
  ]),
) as Record<KindId, GearKind>;
