import { type Spot, type Stow, type Stowed, spotOf, unstowed } from '../documents/stow';
import type { Hold } from '../vocabulary/stow';

/** Things that are put away or in use; put away unless it is said. */
const twoStates: ReadonlySet<string> = new Set([
  'net',
  'wide-net',
  'push-pole',
  'sounder',
  'flag',
  'mast-light',
  'spin-rod',
  'jig-rod',
]);
type Way = Partial<Omit<Spot, 'in' | 'id'>>;

function spot(itemId: string, where: Spot['in'], id: string | null, held: Hold, way: Way = {}): Spot {
  const state = twoStates.has(itemId) ? ('stowed' as const) : null;
  return spotOf(where, id, { held, state, ...way });
}
const nowhereElse = { carry: null, launch: null, land: null, run: null, camp: null } as const;
const lies = (itemId: string, fish: Spot, other: Partial<Omit<Stowed, 'itemId' | 'fish'>> = {}): Stowed => ({
  itemId,
  fish,
  ...nowhereElse,
  ...other,
});

/** In places of the boat, tied with a cord where it has one. */
const strapped = (zoneId: string, ...ids: string[]) =>
  ids.map((id) => lies(id, spot(id, 'zone', zoneId, 'strapped')));
const under = (zoneId: string, ...ids: string[]) =>
  ids.map((id) => lies(id, spot(id, 'zone', zoneId, 'loose')));
const onChest = (side: 'left' | 'right', ...ids: string[]) =>
  ids.map((id) => lies(id, spot(id, 'body', `${side}-chest`, 'clipped')));
/** Upright and leashed while fishing; flat and tied down through the surf. */
const rod = (id: string, tube: string, eyeId: string) => {
  const flat = spot(id, 'zone', tube, 'strapped', { state: 'stowed' });
  return lies(id, spot(id, 'zone', tube, 'leashed', { eyeId, state: 'out' }), { launch: flat, land: flat });
};

const through: Stow['boat'] = { ...unstowed.boat };

/**
 * Everything of an outing through light surf in its place: dry things under the bow hatch, what is wanted at
 * once on the chest, rods flat for the surf.
 */
export const longGreyStow: Stow = {
  boat: through,
  things: [
    ...onChest('left', 'whistle', 'radio', 'mirror'),
    lies('knife', spot('knife', 'body', 'left-chest', 'clipped', { cover: 'sheath' })),
    ...onChest('right', 'phone', 'snips', 'e-flare', 'key-pouch', 'licence'),
    ...under('fore-hatch', 'dry-set', 'first-aid', 'food', 'jig-box', 'tape', 'drive-pins'),
    ...strapped('fore-deck', 'bow-line', 'gps'),
    lies('sounder', spot('sounder', 'zone', 'fore-deck', 'strapped', { state: 'out' }), {
      launch: spot('sounder', 'zone', 'fore-hatch', 'loose', { layer: 'top' }),
      land: spot('sounder', 'zone', 'fore-hatch', 'loose', { layer: 'top' }),
    }),
    ...strapped('under-seat', 'battery', 'paddle-leash', 'drive-leash'),
    ...strapped('left-rail', 'net', 'board'),
    lies('hook-cutter', spot('hook-cutter', 'zone', 'right-pocket', 'strapped', { layer: 'top' })),
    lies('pliers', spot('pliers', 'zone', 'right-pocket', 'strapped', { layer: 'top' })),
    lies('priest', spot('priest', 'zone', 'left-pocket', 'strapped', { cover: 'sheath' })),
    ...strapped('right-pocket', 'rod-leash', 'leader'),
    rod('spin-rod', 'left-tube', 'left-eye'),
    rod('jig-rod', 'right-tube', 'right-eye'),
    lies('pump', spot('pump', 'zone', 'well', 'strapped', { layer: 'top' })),
    ...strapped('well', 'four-piece', 'ice-bag', 'bottle'),
    lies('frozen', spot('frozen', 'thing', 'ice-bag', 'loose')),
    lies('flag', spot('flag', 'zone', 'well', 'strapped', { state: 'out' })),
    lies('mast-light', spot('mast-light', 'zone', 'well', 'strapped', { state: 'out' })),
  ],
};

const changed = (...changes: Stowed[]): Stow => ({
  ...longGreyStow,
  things: [
    ...longGreyStow.things.filter(({ itemId }) => !changes.some((one) => one.itemId === itemId)),
    ...changes,
  ],
});
const upright = (id: string, tube: string, eyeId: string) =>
  lies(id, spot(id, 'zone', tube, 'leashed', { eyeId, state: 'out' }));

/** A surf launch with the radio and the messenger loose beside the knee, and rods left standing. */
export const looseStow: Stow = changed(
  lies('radio', spot('radio', 'zone', 'console', 'loose')),
  lies('phone', spot('phone', 'zone', 'console', 'loose')),
  lies('messenger', spot('messenger', 'zone', 'console', 'loose')),
  upright('spin-rod', 'left-tube', 'left-eye'),
  upright('jig-rod', 'right-tube', 'right-eye'),
);
/** A pump at the bottom of a hatch, under everything; another rod than usual. */
export const buriedStow: Stow = changed(
  lies('pump', spot('pump', 'zone', 'fore-hatch', 'loose', { layer: 'bottom' })),
  rod('jig-rod', 'left-tube', 'left-eye'),
  rod('bottom-rod', 'right-tube', 'right-eye'),
);
/** A board that sinks, on the floor and tied to nothing. */
export const untiedBoardStow: Stow = {
  boat: through,
  things: [lies('cup-board', spot('cup-board', 'zone', 'left-rail', 'loose'))],
};
/** A tall pole standing beside whoever stands. */
export const tallPoleStow: Stow = {
  boat: through,
  things: [
    lies('push-pole', spot('push-pole', 'zone', 'left-rail', 'leashed', { eyeId: 'left-eye', state: 'out' })),
  ],
};

/** Wide for drifting: rods on the bar across the well, what one looks at on the console. */
export const wideStow: Stow = changed(
  upright('spin-rod', 'bar-left', 'left-eye'),
  upright('jig-rod', 'bar-right', 'right-eye'),
  lies('gps', spot('gps', 'zone', 'pod', 'strapped')),
);
/** Flush for surf: nothing stands, nothing lies loose. */
export const flushStow: Stow = {
  boat: through,
  things: [
    ...['spin-rod', 'travel-rod'].map((id) =>
      lies(id, spot(id, 'zone', 'left-rail', 'strapped', { state: 'stowed' })),
    ),
    ...under('fore-hatch', 'lure-box', 'soft-box', 'food', 'first-aid', 'dry-set', 'leader'),
    ...strapped('well', 'net', 'four-piece', 'bottle'),
    lies('pump', spot('pump', 'zone', 'well', 'strapped', { layer: 'top' })),
  ],
};
