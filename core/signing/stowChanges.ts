import { allZonesOf } from '../boat/zones';
import { differs } from '../documents/canonical';
import type { Stow } from '../documents/stow';
import { type StowNames, saySpot } from '../stow/say';
import { modeWords, otherModes } from '../vocabulary/stow';
import type { Change } from './change';
import type { SignedSnapshot } from './snapshot';

type Signed = Pick<SignedSnapshot, 'outing' | 'craft' | 'items'>;
const AS_USUAL = 'where its kind usually lies';

/** Everything that moved since a signature: each thing by each mode, and how the boat stands in it. */
export function stowChanges(then: Signed, now: Signed): Change[] {
  const items = new Map([...then.items, ...now.items].map((item) => [item.id, item]));
  const zones = new Map(
    [then.craft, now.craft]
      .flatMap((craft) => (craft ? allZonesOf(craft) : []))
      .map((zone) => [zone.id, zone]),
  );
  const names: StowNames = {
    thing: (id) => items.get(id)?.name ?? null,
    zone: (id) => zones.get(id) ?? null,
  };
  const [was, is] = [placesIn(then.outing.stow), placesIn(now.outing.stow)];
  const things = [...new Set([...was.keys(), ...is.keys()])].flatMap((itemId): Change[] => {
    const item = items.get(itemId);
    const of = item?.name ?? 'Something left ashore';
    const [before, after] = [was.get(itemId), is.get(itemId)];
    return (['fish', ...otherModes] as const).flatMap((mode) => {
      const [from, to] = [before?.[mode] ?? null, after?.[mode] ?? null];
      if (!differs(from, to)) return [];
      const say = (spot: typeof from) =>
        spot ? saySpot(spot, item?.kind ?? null, names) : mode === 'fish' ? AS_USUAL : 'as for fishing';
      const what = mode === 'fish' ? 'its place' : `its place ${modeWords[mode]}`;
      const [said, says] = [say(from), say(to)];
      return [
        { of, what, from: said, to: said === says ? 'elsewhere in the same place' : says, whole: false },
      ];
    });
  });
  const boat = otherModes.flatMap((mode): Change[] => {
    const [from, to] = [then.outing.stow.boat[mode], now.outing.stow.boat[mode]];
    const say = (one: typeof from) =>
      one ? `seat ${one.seat ?? 'as set up'}, floats ${one.floats ?? 'as set up'}` : 'as set up';
    return differs(from, to)
      ? [
          {
            of: null,
            what: `how the boat stands ${modeWords[mode]}`,
            from: say(from),
            to: say(to),
            whole: false,
          },
        ]
      : [];
  });
  return [...things, ...boat];
}

function placesIn({ things }: Stow) {
  return new Map(things.map((one) => [one.itemId, one]));
}
