import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import type { OutingInView } from '../documents/references';
import type { Rig } from '../documents/workings';

/** Adds a rig, or changes the one of the same id. */
export function withRig(outing: Outing, rig: Rig): Outing {
  const known = outing.rigs.some((one) => one.id === rig.id);
  const rigs = known
    ? outing.rigs.map((one) => (one.id === rig.id ? rig : one))
    : [...outing.rigs, rig].slice(0, 12);
  return { ...outing, rigs };
}
export function withoutRig(outing: Outing, id: string): Outing {
  return { ...outing, rigs: outing.rigs.filter((one) => one.id !== id) };
}
export function copiedRig(rig: Rig, id: string): Rig {
  return { ...rig, id, name: `${rig.name}, again`.slice(0, 80) };
}

const leaderKinds: ReadonlySet<Item['kind']> = new Set(['leader-spool', 'fluoro-leader', 'heavy-leader']);

/**
 * A rod rigged with the strongest line it is made for, a leader that breaks before it and a lure it casts,
 * tied directly: a start to be changed.
 */
export function newRig(id: string, rod: Item, { aboard, items, targets }: OutingInView): Rig {
  const owned = [...items.values()].filter((item) => item.condition === 'good');
  const carried = aboard.map(({ item }) => item);
  const toothy = targets.some((one) => one.teeth === 'sharp');
  const strong = (item: Item) => item.attributes.breakKg ?? 0;
  const mains = owned
    .filter(({ kind }) =>
      rod.kind === 'fly-rod' ? kind === 'fly-line' : kind === 'braid' || kind === 'mono',
    )
    .sort((a, b) => strong(b) - strong(a));
  const main = mains.find((item) => strong(item) <= (rod.attributes.breakKg ?? Infinity)) ?? mains.at(-1);
  const leaders = [carried, owned].flatMap((list) =>
    list.filter(({ kind }) => leaderKinds.has(kind)).sort((a, b) => strong(b) - strong(a)),
  );
  const leader = toothy
    ? carried.find((item) => item.qualities.includes('bites'))
    : (leaders.find((item) => strong(item) < (main ? strong(main) : Infinity)) ?? leaders[0]);
  const fits = carried.find(
    ({ attributes: { lureG } }) =>
      lureG !== undefined &&
      lureG >= (rod.attributes.castMinG ?? 0) &&
      lureG <= (rod.attributes.castMaxG ?? Infinity),
  );
  return {
    id,
    name: rod.name,
    purpose:
      rod.kind === 'jig-rod'
        ? 'jig'
        : rod.kind === 'trolling-rod'
          ? 'troll high'
          : rod.kind === 'hand-line'
            ? 'hand line'
            : 'cast',
    rodId: rod.id,
    reelId: null,
    mainId: main?.id ?? null,
    mainKnot: 'slim braid knot',
    leaderId: leader?.id ?? null,
    leaderM: toothy ? 0.3 : 1.5,
    leaderKnot: toothy ? 'crimp' : 'palomar',
    connection: 'direct',
    clipId: null,
    lureId: fits?.id ?? null,
    lureG: null,
    dragFraction: 0.3,
  };
}
