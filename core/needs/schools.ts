import type { KindId } from '../catalog/gear/kinds';
import type { Angler } from '../documents/angler';
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

/** Whether a thing comes before others that would do as well: by the angler's own school; of ways to call at sea, the radio, which boats near by hear. */
export function comesFirst({ angler, water }: Pick<Places, 'angler' | 'water'>, item: Item): boolean {
  const heard = item.kind === 'vhf-radio' && water?.type === 'salt' && water.coverage !== 'none';
  return heard || favours(angler, item);
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
