import type { QualityId } from '../catalog/gear/attributes';
import { type KindId, kindsFor } from '../catalog/gear/kinds';
import { newItem } from '../editing/newItem';
import type { Item } from '../documents/item';
import { byItself } from '../documents/references';
import { catalogue } from './catalogue';
import type { NeedId } from '../vocabulary/needs';
import {
  THICKEST_MM,
  type NeedContext,
  type Shortfall,
  disqualified,
  eachShortfall,
  isBySort,
  sortOf,
  worthOf,
} from './need';

/** A kind that would meet a need here, and all in which a usual one of it falls short: what to ask for. */
export interface PurchaseOption {
  kind: KindId;
  asked: Shortfall[];
  /** Of one sort only one counts; null: any number. */
  sort: string | null;
  /** How many of it settle what is missing. */
  pieces: number;
}

/** The quality that a better one has, by what the usual one lacks. */
const qualityFor: Partial<Record<Shortfall['code'], QualityId>> = {
  'not-approved': 'approved',
  'not-bright': 'bright',
  'not-hardened': 'hardened',
  'not-coated': 'coated',
  'not-floating': 'floats',
  'not-waterproof': 'waterproof',
  'not-retained': 'tethered',
  'not-tied': 'tethered',
  sinks: 'floats',
  'not-charged': 'charged',
  'no-release': 'release',
  'bites-through': 'bites',
};

/**
 * The same thing without that lack, as one may ask for it in a shop; null: no purchase of the kind is the
 * remedy.
 */
export function bettered(item: Item, lack: Shortfall): Item | null {
  if (lack.code === 'too-little')
    // What has no such measure at all will not have more of it.
    return item.attributes[lack.attribute] === undefined
      ? null
      : { ...item, attributes: { ...item.attributes, [lack.attribute]: lack.want } };
  if (lack.code === 'too-thin')
    return lack.wantMm > THICKEST_MM
      ? null
      : { ...item, attributes: { ...item.attributes, neopreneMm: lack.wantMm } };
  if (lack.code === 'wrong-size') {
    const fits =
      lack.of === 'paddle' ? { lengthM: lack.wantM } : { fitFromKg: lack.bodyKg, fitToKg: lack.bodyKg };
    return { ...item, attributes: { ...item.attributes, ...fits } };
  }
  const quality = qualityFor[lack.code];
  if (quality === undefined || item.qualities.includes(quality)) return null;
  return { ...item, qualities: [...item.qualities, quality] };
}

/**
 * Everything to ask for so that one of a kind counts; empty: the usual one does; null: none ever will here.
 */
function asksFor(id: NeedId, usual: Item, context: NeedContext): Shortfall[] | null {
  const asked: Shortfall[] = [];
  let item = usual;
  for (
    let lack = disqualifiedHere(id, item, context);
    lack !== null;
    lack = disqualifiedHere(id, item, context)
  ) {
    for (const one of eachShortfall(lack)) {
      const next = bettered(item, one);
      if (next === null || asked.length >= 8) return null;
      asked.push(one);
      item = next;
    }
  }
  return asked;
}

/** Why a thing by itself would not count for a need here, its condition left out; null: it would. */
export function disqualifiedHere(id: NeedId, item: Item, context: NeedContext): Shortfall | null {
  return disqualified(catalogue[id], byItself(item), context);
}

const usual = new Map<KindId, Item>();
/** The usual one of a kind, the same record each time. */
function usualOf(kind: KindId): Item {
  const known = usual.get(kind) ?? newItem('usual', kind);
  usual.set(kind, known);
  return known;
}

/**
 * The kinds that would meet what a need still misses on this outing: a wetsuit where a wetsuit is enough, no
 * gaff for a fish that goes back.
 * @param missing means or amount still to come @param taken sorts that count already, where others are wanted
 */
export function purchaseOptions(
  id: NeedId,
  context: NeedContext,
  missing: number,
  taken: ReadonlySet<string | null>,
): PurchaseOption[] {
  const need = catalogue[id];
  return kindsFor(id).flatMap((kind): PurchaseOption[] => {
    const sort = sortOf(need, kind, context);
    if (sort !== null && taken.has(sort)) return [];
    const item = usualOf(kind);
    const asked = asksFor(id, item, context);
    if (asked === null) return [];
    const worth = worthOf(need, item, context);
    return [
      { kind, asked, sort, pieces: isBySort(need) || worth <= 0 ? 1 : Math.ceil(missing / worth - 1e-9) },
    ];
  });
}
