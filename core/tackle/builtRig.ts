import type { Item } from '../documents/item';
import type { Rig } from '../documents/workings';
import { type RigPart, rig, strengthOf } from './rig';
import type { Technique } from '../vocabulary/trips';
import { knots } from '../vocabulary/knots';
import { spool } from './spool';

/** What a part of the line is, for telling them apart without reading names. */
export type PartRole = 'main' | 'leader' | 'clip';
export interface BuiltPart extends RigPart {
  role: PartRole;
  knot: string;
  strengthKg: number;
}
/** A rig with its items looked up and its sums done; null where something is not chosen or has no figure. */
export interface BuiltRig {
  rig: Rig;
  rod: Item | null;
  /** What the line is wound on: a reel of its own, or the rod with the reel it came with. */
  reel: Item | null;
  main: Item | null;
  leader: Item | null;
  clip: Item | null;
  lure: Item | null;
  lureG: number | null;
  parts: readonly BuiltPart[];
  weakest: BuiltPart | null;
  dragKg: number | null;
  /** Line on the spool, by its reference and this line's diameter, m. */
  spoolM: number | null;
}

/** Puts a rig together from the locker and finds its weak part, its drag and the line on its spool. */
export function buildRig(one: Rig, items: ReadonlyMap<string, Item>): BuiltRig {
  const find = (id: string | null) => (id === null ? null : (items.get(id) ?? null));
  const [rod, main, leader, lure] = [one.rodId, one.mainId, one.leaderId, one.lureId].map(find) as [
    Item | null,
    Item | null,
    Item | null,
    Item | null,
  ];
  const clip = one.connection === 'direct' ? null : find(one.clipId);
  const parts: BuiltPart[] = [];
  const add = (role: PartRole, item: Item | null, knot: keyof typeof knots | null) => {
    const ratedKg = item?.attributes.breakKg;
    if (!item || ratedKg === undefined) return;
    const { efficiency, name } = knot === null ? { efficiency: 1, name: '' } : knots[knot];
    const part = { name: item.name, ratedKg, knotEfficiency: efficiency };
    parts.push({ ...part, role, knot: name, strengthKg: strengthOf(part) });
  };
  add('main', main, one.mainKnot);
  if (one.connection === 'swivel at the top') add('clip', clip, null);
  add('leader', leader, one.leaderKnot);
  if (one.connection === 'snap at the lure') add('clip', clip, null);
  const sum = parts.length > 0 ? rig({ parts, dragFraction: one.dragFraction }) : null;
  const weakest = sum ? (parts.find((part) => part.strengthKg === sum.strengthKg) ?? null) : null;
  const reel = find(one.reelId) ?? rod;
  const { spoolM, spoolMm } = reel?.attributes ?? {};
  const diameterMm = main?.attributes.diameterMm;
  return {
    rig: one,
    rod,
    reel,
    main,
    leader,
    clip,
    lure,
    lureG: one.lureG ?? lure?.attributes.lureG ?? null,
    parts,
    weakest,
    dragKg: sum?.dragKg ?? null,
    spoolM:
      spoolM !== undefined && spoolMm !== undefined && diameterMm !== undefined && diameterMm > 0
        ? spool({ refLengthM: spoolM, refDiameterMm: spoolMm, diameterMm }).lengthM
        : null,
  };
}

/** A fly outfit is whole: the line is cast by its own weight, and backing runs behind it. */
export function isFly(rod: Item | null): boolean {
  return rod?.kind === 'fly-rod';
}

const techniqueByPurpose: Record<Exclude<Rig['purpose'], 'bait-catching'>, Technique> = {
  cast: 'casting',
  jig: 'jigging',
  'troll high': 'trolling',
  'troll deep': 'trolling',
  drift: 'drifting',
  'hand line': 'drifting',
};
/** In which way a rig fishes; null: it catches bait. */
export function techniqueOf({ rig: { purpose }, rod }: BuiltRig): Technique | null {
  if (purpose === 'bait-catching') return null;
  return isFly(rod) ? 'fly' : techniqueByPurpose[purpose];
}
