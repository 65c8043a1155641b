import type { NeedId } from '../../vocabulary/needs';
import type { AttributeId, QualityId } from './attributes';
import type { Aside, KindRow, Wetness } from './kindRow';
import { kindRows } from './kindRows';
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
  /** Whether that look stands for some days, whatever is done with the thing. */
  eveningStands: boolean;
  /** Packed: longest, middle, shortest, m. */
  sizeM: readonly [number, number, number];
  wet: Wetness;
  /** What a new one usually costs, euro. Rule of thumb. */
  usualEuro: number;
  /** Looked over every so many months, and how; null: when it is used. */
  service: { months: number; what: string } | null;
  /** Why it meets no need by itself; null: it meets some. */
  aside: Aside | null;
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
      eveningStands: row.eveningStands ?? false,
      sizeM: row.cm.map((cm) => cm / 100) as unknown as GearKind['sizeM'],
      wet: row.wet,
      usualEuro: row.euro,
      service: row.service ?? null,
      aside: row.aside ?? null,
    },
  ]),
) as Record<KindId, GearKind>;

/** The kinds that can be a means of a need, in the order of the tables. */
export function kindsFor(needId: NeedId): readonly KindId[] {
  return byNeed.get(needId) ?? [];
}
const byNeed = new Map<NeedId, KindId[]>();
for (const kind of kindIds)
  for (const id of kinds[kind].means) byNeed.set(id, [...(byNeed.get(id) ?? []), kind]);
