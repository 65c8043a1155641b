import type { KindId } from '../catalog/gear/kinds';
import type { Angler } from '../documents/angler';
import type { Brief } from '../documents/outing';
import type { Item } from '../documents/item';
import type { Places } from '../documents/references';

type Schools = Angler['schools'];

/** Kinds that each answer of a school speaks for. */
const favoured: { [S in keyof Schools]?: Partial<Record<Schools[S], readonly KindId[]>> } = {
  jacket: {
    foam: ['foam-jacket', 'hybrid-jacket'],
    'manual inflatable': ['inflatable-jacket'],
    'automatic inflatable': ['inflatable-jacket'],
  },
  connection: { clip: ['snaps', 'swivels'] },
  landing: { net: ['net', 'fish-cradle'], grip: ['lip-grip', 'landing-glove'], gaff: ['gaff', 'tail-rope'] },
  fishStore: { bag: ['ice-bag'], 'hard box': ['hard-ice-box'], 'wet sack': ['wet-sack'] },
  visibility: { flag: ['flag'], 'light mast': ['light-flag', 'mast-light'] },
};

/**
 * What does it where nothing made for it is to hand: a rod in pieces as the spare, a filter for a day that a
 * bottle lasts.
 */
const makeshift = (kind: KindId, nights: number) =>
  kind === 'travel-rod' || (kind === 'water-filter' && nights === 0);
/**
 * How a thing stands among others that would do as well: 1 before them, by the angler's own school or, of
 * ways to call at sea, as the radio that boats near by hear; -1 after them.
 */
export function standingOf(
  { angler, water }: Pick<Places, 'angler' | 'water'>,
  { nights }: Pick<Brief, 'nights'>,
  item: Item,
): -1 | 0 | 1 {
  const heard = item.kind === 'vhf-radio' && water?.type === 'salt' && water.coverage !== 'none';
  if (heard || favours(angler, item)) return 1;
  return makeshift(item.kind, nights) ? -1 : 0;
}

/** Whether an angler's own school speaks for this item among others that would do as well. */
export function favours(angler: Angler | null, item: Item): boolean {
  if (!angler) return false;
  const { schools } = angler;
  if (item.kind === 'inflatable-jacket')
    return item.qualities.includes('automatic')
      ? schools.jacket === 'automatic inflatable'
      : schools.jacket === 'manual inflatable';
  if (item.kind === 'phone' || item.kind === 'second-phone')
    return item.qualities.includes(schools.phone === 'on a tether' ? 'tethered' : 'floats');
  return (Object.keys(favoured) as (keyof Schools)[]).some((school) => {
    const byAnswer = favoured[school] as Partial<Record<string, readonly KindId[]>> | undefined;
    return byAnswer?.[schools[school]]?.includes(item.kind) ?? false;
  });
}
