import { kinds } from '../catalog/gear/kinds';
import type { Aboard, Lies } from '../documents/references';
import { isRough } from '../exposures/rough';
import { reaches } from '../vocabulary/boat';
import type { NeedId } from '../vocabulary/needs';
import type { BodyPart, Mode } from '../vocabulary/stow';
import {
  type AskedIn,
  type PlaceAsked,
  type Where,
  ashoreNeeds,
  modesAfloat,
  placeOf,
} from '../vocabulary/where';
import type { Shortfall } from './need';

/** How far off a thing may be reached; null: reach is not asked. */
const farthest: Partial<Record<Where, number>> = {
  hand: reaches.indexOf('hand'),
  turn: reaches.indexOf('turn'),
};

type Sea = Parameters<typeof isRough>[1];

/** The modes in which a need asks where its means are, on this water. */
export function modesAsked(asked: AskedIn, sea: Sea): readonly Mode[] {
  if (asked === 'fishing') return FISHING;
  if (asked === 'afloat') return modesAfloat;
  const rough = modesAfloat.filter((mode) => isRough(mode, sea));
  if (asked === 'calm')
    return rough.length === 0 ? modesAfloat : modesAfloat.filter((mode) => !rough.includes(mode));
  return rough.length === 0 ? FISHING : rough;
}
const FISHING: readonly Mode[] = ['fish'];

/** The modes in which a thing does not lie where it must; none: it lies well in all, or nobody said where. */
export function modesOutOfPlace(need: NeedId, aboard: Aboard, sea: Sea): readonly Mode[] {
  const { lies, liesIn } = aboard;
  if (!lies) return NONE;
  const { where, in: asked, on } = placeOf[need] ?? ABOARD;
  if (where === 'aboard' && ashoreNeeds.has(need)) return NONE;
  const isWrong = (at: Lies) =>
    at.in !== 'nowhere' && at.in !== 'companion' && !isInPlace(where, aboard, at, on);
  // Where it lies alike in all modes one look says it of all.
  if (!liesIn) return isWrong(lies) ? FISHING : NONE;
  return modesAsked(asked, sea).filter((mode) => isWrong(liesIn[mode] ?? lies));
}
const NONE: readonly Mode[] = [];
const ABOARD: PlaceAsked = { where: 'aboard', in: 'fishing' };

/** Why a thing does not count for where it lies; null: it lies where it must, or nobody said where. */
export function outOfPlace(need: NeedId, aboard: Aboard, sea: Sea): Shortfall | null {
  const [mode] = modesOutOfPlace(need, aboard, sea);
  const at = mode && (aboard.liesIn?.[mode] ?? aboard.lies);
  if (!at) return null;
  const { where, on } = placeOf[need] ?? ABOARD;
  const { boxes, place, in: within, moves, state } = at;
  return {
    code: 'out-of-place',
    want: where,
    on: on?.[0] ?? null,
    mode,
    boxes,
    place,
    in: within,
    moves,
    state,
  };
}

function isInPlace(where: Where, { item }: Aboard, lies: Lies, on: readonly BodyPart[] | undefined): boolean {
  const { means, place } = kinds[item.kind];
  const onBody = lies.in === 'body' && lies.boxes.length === 0;
  switch (where) {
    case 'aboard':
      return lies.in !== 'vehicle' || place === 'vehicle';
    case 'worn':
      return onBody && lies.worn && (on === undefined || on.some((part) => part === lies.id));
    case 'up':
      // What has no two states is worn or held in the hand to be seen.
      if (lies.in === 'vehicle' || lies.boxes.length > 0 || lies.compartment !== null) return false;
      return lies.state === null
        ? onBody || reaches.indexOf(lies.reach) <= reaches.indexOf('turn')
        : lies.state === 'out';
    default:
      if (onBody) return true;
      // A paddle at one's side is in the hand though its middle is not.
      if (means.includes('propulsion') && lies.reach === 'turn') return true;
      return reaches.indexOf(lies.reach) <= (farthest[where] ?? reaches.length);
  }
}
