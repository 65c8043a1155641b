import type { Species } from '../../catalog/species/species';
import { type TackleAsked, tackleFor } from '../../catalog/species/tackleFor';
import type { Item } from '../../documents/item';
import type { Rig } from '../../documents/workings';
import type { Repair } from '../../editing/repair';
import { newRig } from '../../editing/rigs';
import { type BuiltRig, isFly, techniqueOf } from '../../tackle/builtRig';
import { amount, amountOnly } from '../../units/amount';
import { knots } from '../../vocabulary/knots';
import type { Context } from '../context';
import { isAboard, owned, theFirst } from '../candidates';
import { type RuleFinding, rule } from '../rule';

/**
 * A leader is run through the guides from this length short of the rod on, m; a spool holds the longest run
 * so many times.
 */
const GUIDES_M = 0.3;
const SPOOL_TIMES = 1.5;
/** A weak part is one by however little. */
const A_LITTLE = 1e-6;

/** Each rig of a rod aboard, asked for one fault. */
function eachRig<Facts extends object>(
  rigs: readonly BuiltRig[],
  level: 'mind' | 'note',
  find: (built: BuiltRig) => { extent: number; facts: Facts } | null,
): RuleFinding<Facts & { rig: string; rigId: string }>[] {
  return rigs.flatMap((built) => {
    const found = find(built);
    if (!found) return [];
    const { id, name } = built.rig;
    const facts = { ...found.facts, rig: name, rigId: id };
    return [{ level, basis: 'judgement' as const, extent: found.extent, subject: id, facts }];
  });
}
const inWorkings = { station: 'workings', sheet: 'rigs' } as const;

function setRig(rigId: string, change: Partial<Rig>, words: string): Repair {
  return { do: 'set-rig', rigId, change, words };
}
function tiedDirect(rigId: string): Repair {
  return setRig(rigId, { connection: 'direct', clipId: null }, 'tie it on directly');
}
/** A hand less than what would run into the guides. */
function shorterLeader(rigId: string, rodM: number): Repair {
  const leaderM = Math.max(GUIDES_M, Math.floor((rodM - GUIDES_M - 0.05) * 10) / 10);
  return setRig(rigId, { leaderM }, `shorten the leader to ${amount(leaderM, 'm')}`);
}
function mainLine(rigId: string, { rigs, places }: Context): Item | null {
  const id = rigs.find((one) => one.id === rigId)?.mainId ?? null;
  return id === null ? null : (places.items.get(id) ?? null);
}
const useLeader = (rigId: string, leader: Item, why = '') =>
  setRig(rigId, { leaderId: leader.id }, `use ${leader.name}${why}`);
/** Snaps and swivels of the locker that hold enough, then none at all. */
function otherClips(rigId: string, context: Context, holds: (item: Item) => boolean): Repair[] {
  return [
    ...owned(context, (item) => (item.kind === 'snaps' || item.kind === 'swivels') && holds(item)).map(
      (item) => setRig(rigId, { clipId: item.id }, `use ${item.name}`),
    ),
    tiedDirect(rigId),
  ];
}
/** Leaders that break before so much, kg. */
function leaders(context: Context, belowKg: number): Item[] {
  return owned(
    context,
    (item) =>
      (item.kind === 'leader-spool' || item.kind === 'fluoro-leader' || item.kind === 'heavy-leader') &&
      (item.attributes.breakKg ?? Infinity) < belowKg,
  );
}
/**
 * Another main line of the same kind, the strongest that fits first; then with a leader that breaks before
 * it.
 */
function otherLines(rigId: string, context: Context, fits: (item: Item) => boolean): Repair[] {
  const now = mainLine(rigId, context);
  const strong = ({ attributes }: Item) => attributes.breakKg ?? 0;
  const lines = owned(context, (item) => item.kind === now?.kind && item.id !== now.id && fits(item)).sort(
    (a, b) => strong(b) - strong(a),
  );
  return [
    ...lines.map((line) => setRig(rigId, { mainId: line.id }, `spool ${line.name}`)),
    ...lines.flatMap((line) =>
      leaders(context, strong(line)).map((leader) =>
        setRig(
          rigId,
          { mainId: line.id, leaderId: leader.id },
          `spool ${line.name}, with ${leader.name} before it`,
        ),
      ),
    ),
  ];
}

const rigWeak = rule({
  code: 'rig-weak',
  reads: ['builtRigs'],
  ...inWorkings,
  measure: 'kg',
  find: ({ builtRigs }) =>
    eachRig(builtRigs, 'mind', ({ weakest, parts, leader, rod }) => {
      const leaderKg = parts.find((part) => part.role === 'leader')?.strengthKg;
      if (!weakest || leaderKg === undefined || weakest.role === 'leader' || parts.length < 2) return null;
      // A leader for teeth is as thick as the teeth ask, and a fly line is not what a fish is held by.
      if (weakest.role === 'main' && (leader?.qualities.includes('bites') || isFly(rod))) return null;
      const { role, name: part, strengthKg } = weakest;
      return { extent: leaderKg - strengthKg + A_LITTLE, facts: { role, part, strengthKg, leaderKg } };
    }),
  say: ({ rig, role, part, strengthKg, leaderKg }) => ({
    title: `${rig}: ${part} breaks first`,
    text: `It holds ${amount(strengthKg, 'kg')}, the leader ${amount(leaderKg, 'kg')} after its knot. When ${role === 'main' ? 'the main line' : 'the snap or swivel'} goes, the fish keeps ${role === 'main' ? 'all the line behind it' : 'the lure'}. The leader should be the part that breaks.`,
  }),
  repairs: ({ role, rigId, leaderKg }, context) =>
    role === 'clip'
      ? otherClips(rigId, context, (item) => (item.attributes.breakKg ?? 0) > leaderKg)
      : leaders(context, leaderKg).map((item) => useLeader(rigId, item)),
});

const rigOverRod = rule({
  code: 'rig-over-rod',
  reads: ['builtRigs'],
  ...inWorkings,
  measure: 'kg',
  find: ({ builtRigs }) =>
    eachRig(builtRigs, 'mind', ({ rod, weakest }) => {
      const rodKg = rod?.attributes.breakKg;
      // A leader that goes first spares the rod, however strong the line behind it.
      if (!rod || isFly(rod) || rodKg === undefined || !weakest || weakest.strengthKg <= rodKg) return null;
      const { name: part, strengthKg } = weakest;
      return { extent: strengthKg - rodKg, facts: { rod: rod.name, part, strengthKg, rodKg } };
    }),
  say: ({ rig, rod, part, strengthKg, rodKg }) => ({
    title: `${rig}: line above the rod`,
    text: `The weakest of it, ${part}, holds ${amount(strengthKg, 'kg')}; ${rod} is made for ${amount(rodKg, 'kg')}. Snagged, the rod goes before the line.`,
  }),
  repairs: ({ rigId, rodKg }, context) => [
    ...leaders(context, rodKg).map((leader) => useLeader(rigId, leader, ', which goes first')),
    ...otherLines(rigId, context, (item) => (item.attributes.breakKg ?? Infinity) <= rodKg),
  ],
});

/** A lure lighter than this weighs nothing, g. */
const LEAST_G = 0.1;
const rigWindow = rule({
  code: 'rig-window',
  reads: ['builtRigs'],
  ...inWorkings,
  measure: 'times',
  find: ({ builtRigs }) =>
    eachRig(builtRigs, 'mind', ({ rig, rod, lureG }) => {
      const { castMinG: fromG, castMaxG: toG } = rod?.attributes ?? {};
      const casts = rig.purpose === 'cast' || rig.purpose === 'jig';
      if (!casts || lureG === null || fromG === undefined || toG === undefined) return null;
      if (lureG >= fromG && lureG <= toG) return null;
      const extent = lureG > toG ? lureG / toG : fromG / Math.max(lureG, LEAST_G);
      return { extent, facts: { lureG, fromG, toG } };
    }),
  say: ({ rig, lureG, fromG, toG }) => ({
    title: `${rig}: ${amount(lureG, 'g', 0)} on a rod for ${amountOnly(fromG, 'g', 0)} to ${amount(toG, 'g', 0)}`,
    text: lureG > toG ? 'Too heavy: it may break at the cast.' : 'Too light: it does not load the rod.',
  }),
  repairs: ({ rigId, lureG, fromG, toG }, context) => [
    ...owned(
      context,
      ({ attributes }) => (attributes.lureG ?? -1) >= fromG && (attributes.lureG ?? Infinity) <= toG,
    )
      .filter((item) => isAboard(context, item))
      .map((item) => setRig(rigId, { lureId: item.id, lureG: null }, `tie on something from ${item.name}`)),
    ...otherRods(rigId, lureG, context),
  ],
});
/** A rod aboard that casts it: one that is not rigged yet first. */
function otherRods(rigId: string, lureG: number, context: Context): Repair[] {
  const rigged = new Set(context.rigs.map((one) => one.rodId));
  return owned(context, (item) => {
    const { castMinG, castMaxG } = item.attributes;
    return castMinG !== undefined && castMaxG !== undefined && lureG >= castMinG && lureG <= castMaxG;
  })
    .filter((item) => isAboard(context, item))
    .sort((a, b) => Number(rigged.has(a.id)) - Number(rigged.has(b.id)))
    .flatMap((item) => {
      const { rodId, mainId, mainKnot, leaderId, leaderM, leaderKnot } = newRig(rigId, item, context.looked);
      const line = mainId === null ? null : context.places.items.get(mainId);
      return [
        setRig(rigId, { rodId }, `put it on ${item.name}`),
        setRig(
          rigId,
          { rodId, mainId, mainKnot, leaderId, leaderM, leaderKnot },
          `put it on ${item.name}, with ${line?.name ?? 'another line'}`,
        ),
      ];
    });
}

/** How far a leader reaches into the guides: its rod, and by how much; null: it does not. */
function intoGuides({ rig, rod, leader }: BuiltRig): { rodM: number; overM: number } | null {
  const rodM = rod?.attributes.lengthM;
  if (!leader || rodM === undefined || rig.leaderM <= rodM - GUIDES_M + 1e-9) return null;
  return { rodM, overM: rig.leaderM - rodM };
}
const hasSwivelAtTop = ({ rig, clip }: BuiltRig) => rig.connection === 'swivel at the top' && clip !== null;

const rigGuides = rule({
  code: 'rig-guides',
  reads: ['builtRigs'],
  ...inWorkings,
  measure: 'm longer than the rod',
  find: ({ builtRigs }) =>
    eachRig(builtRigs, 'mind', (built) => {
      const over = intoGuides(built);
      if (!over || !built.clip || !hasSwivelAtTop(built)) return null;
      const facts = { clip: built.clip.name, leaderM: built.rig.leaderM, rodM: over.rodM };
      return { extent: over.overM, facts };
    }),
  say: ({ rig, clip, leaderM, rodM }) => ({
    title: `${rig}: ${clip} runs into the guides`,
    text: `The leader is ${amount(leaderM, 'm')} on a rod of ${amount(rodM, 'm')}. A fish cannot be brought close; wound in, the top guide breaks.`,
  }),
  repairs: ({ rigId, rodM }) => [shorterLeader(rigId, rodM), tiedDirect(rigId)],
});

const rigKnot = rule({
  code: 'rig-knot',
  notes: true,
  reads: ['builtRigs'],
  ...inWorkings,
  measure: 'm longer than the rod',
  find: ({ builtRigs }) =>
    eachRig(builtRigs, 'note', (built) => {
      const over = intoGuides(built);
      const knot = knots[built.rig.mainKnot];
      if (!over || hasSwivelAtTop(built) || knot.slim) return null;
      return { extent: over.overM, facts: { rodM: over.rodM, knot: knot.name as string } };
    }),
  say: ({ rig, knot }) => ({
    title: `${rig}: the ${knot} runs through the guides`,
    text: 'On a leader nearly as long as the rod, a slimmer knot runs easier.',
  }),
  repairs: ({ rigId, rodM }) => [
    setRig(rigId, { mainKnot: 'slim braid knot' }, `tie the ${knots['slim braid knot'].name}`),
    shorterLeader(rigId, rodM),
  ],
});

const rigSpool = rule({
  code: 'rig-spool',
  reads: ['builtRigs', 'places'],
  ...inWorkings,
  measure: 'm',
  find: ({ builtRigs, places }) => {
    const runM = Math.max(0, ...places.targets.map((one) => one.runM));
    return eachRig(builtRigs, 'mind', ({ spoolM, rod }) =>
      spoolM !== null && !isFly(rod) && spoolM < runM * SPOOL_TIMES
        ? { extent: runM * SPOOL_TIMES - spoolM, facts: { spoolM, runM } }
        : null,
    );
  },
  say: ({ rig, spoolM, runM }) => ({
    title: `${rig}: ${amount(spoolM, 'm', 0)} on the spool`,
    text: `The longest run to reckon with is ${amount(runM, 'm', 0)}; half as much again is wanted behind it.`,
  }),
  repairs: ({ rigId }, context) => {
    const now = mainLine(rigId, context)?.attributes.diameterMm ?? Infinity;
    return [
      ...otherLines(rigId, context, (item) => (item.attributes.diameterMm ?? Infinity) < now),
      ...owned(context, ({ kind }) => kind === 'reel').map((reel) =>
        setRig(rigId, { reelId: reel.id }, `wind it on ${reel.name}`),
      ),
    ];
  },
});

const rigBites = rule({
  code: 'rig-bites',
  reads: ['builtRigs', 'day', 'needs'],
  ...inWorkings,
  measure: 'whether',
  // With no leader aboard that stands teeth, the need says it.
  find: ({ builtRigs, day: { toothy }, needs }) =>
    needs.some(({ id, met }) => id === 'leader' && !met)
      ? []
      : eachRig(builtRigs, 'mind', ({ rig, leader }) =>
          toothy && leader && !leader.qualities.includes('bites') && rig.purpose !== 'bait-catching'
            ? { extent: 1, facts: { leader: leader.name } }
            : null,
        ),
  say: ({ rig, leader }) => ({
    title: `${rig}: this fish bites through it`,
    text: `${leader} does not stand teeth. The fish would keep the hook.`,
  }),
  repairs: ({ rigId }, context) =>
    owned(context, standsTeeth).map((item) => setRig(rigId, biteLeader(item), `use ${item.name}`)),
});

const standsTeeth = ({ qualities }: Item) => qualities.includes('bites');
const biteLeader = (item: Item): Partial<Rig> => ({
  leaderId: item.id,
  leaderKnot: 'crimp',
  leaderM: item.attributes.lengthM ?? GUIDES_M,
});
/** A leader of the locker that stands teeth, put aboard and on every rig that has another. */
export function biteLeaders(context: Context): Repair[] {
  const rigs = context.builtRigs.filter(
    ({ rig, leader }) => leader && !standsTeeth(leader) && rig.purpose !== 'bait-catching',
  );
  return owned(context, (item) => standsTeeth(item) && !isAboard(context, item)).map((item): Repair => ({
    do: 'together',
    parts: [
      { do: 'add-items', items: [theFirst(item)] },
      ...rigs.map(({ rig }) => setRig(rig.id, biteLeader(item), `use it on ${rig.name}`)),
    ],
  }));
}

/** What a rig lacks for a fish; null: nothing. */
type Lack<Facts> = (built: BuiltRig, asked: TackleAsked) => { extent: number; facts: Facts } | null;
/**
 * Each rig held to the fish of the outing in one respect. One rig may serve one fish and another the next: it
 * is told only where it suits none of them, of the fish that it comes nearest to.
 */
function heldToFish<Facts extends object>(
  { builtRigs, targets }: { builtRigs: readonly BuiltRig[]; targets: readonly Species[] },
  lack: Lack<Facts>,
  level: (extent: number) => 'mind' | 'note' = () => 'note',
): RuleFinding<Facts & { rig: string; rigId: string; fish: string }>[] {
  return builtRigs.flatMap((built) => {
    const technique = techniqueOf(built);
    if (technique === null || targets.length === 0) return [];
    const lacks = targets.map((fish) => ({ fish, found: lack(built, tackleFor(fish, technique)) }));
    const near = lacks.toSorted((a, b) => (a.found?.extent ?? 0) - (b.found?.extent ?? 0))[0];
    if (!near?.found) return [];
    const { id, name } = built.rig;
    const facts = { ...near.found.facts, rig: name, rigId: id, fish: near.fish.name };
    const { extent } = near.found;
    return [{ level: level(extent), basis: 'judgement' as const, extent, subject: id, facts }];
  });
}

/** Under this share of the lightest usual line a good fish is not stopped; from the second share on a Mind. */
const LIGHT_SHARE = 0.7;
const FAR_TOO_LIGHT_SHARE = 0.45;
const rigLight = rule({
  code: 'rig-light',
  reads: ['builtRigs', 'places'],
  ...inWorkings,
  measure: 'times',
  find: ({ builtRigs, places: { targets } }) =>
    heldToFish(
      { builtRigs, targets },
      ({ weakest }, { lineKg: [wantKg] }) =>
        weakest && weakest.strengthKg < wantKg * LIGHT_SHARE
          ? {
              extent: wantKg / Math.max(weakest.strengthKg, A_LITTLE),
              facts: { part: weakest.name, role: weakest.role, strengthKg: weakest.strengthKg, wantKg },
            }
          : null,
      (extent) => (extent >= 1 / FAR_TOO_LIGHT_SHARE ? 'mind' : 'note'),
    ),
  say: ({ rig, fish, part, strengthKg, wantKg }) => ({
    title: `${rig}: too light for ${fish}`,
    text: `${part} holds ${amount(strengthKg, 'kg')}; usual for ${fish} is a line of ${amount(wantKg, 'kg')} or more. A fish played too long dies, or leaves with the hook.`,
  }),
  repairs: ({ rigId, role, wantKg }, context) => {
    const rodKg = context.builtRigs.find(({ rig }) => rig.id === rigId)?.rod?.attributes.breakKg ?? Infinity;
    const holds = ({ attributes: { breakKg } }: Item) => breakKg !== undefined && breakKg >= wantKg;
    const stronger = leaders(context, Infinity).filter(holds);
    return [
      ...(role === 'clip' ? otherClips(rigId, context, holds) : []),
      ...(role === 'leader' ? stronger.map((leader) => useLeader(rigId, leader)) : []),
      ...otherLines(rigId, context, (item) => holds(item) && (item.attributes.breakKg ?? 0) <= rodKg),
    ];
  },
  otherwise: ({ fish }) => `No line or leader in the locker is as strong as ${fish} asks.`,
});

/** A leader so many times the thickest usual one is seen, and refused. */
const STOUT_TIMES = 1.6;
const rigStout = rule({
  code: 'rig-stout',
  notes: true,
  reads: ['builtRigs', 'places'],
  ...inWorkings,
  measure: 'times',
  find: ({ builtRigs, places: { targets } }) =>
    heldToFish({ builtRigs, targets }, ({ leader }, { leaderKg: [, mostKg] }) => {
      const haveKg = leader?.attributes.breakKg;
      if (!leader || haveKg === undefined || leader.qualities.includes('bites')) return null;
      return haveKg > mostKg * STOUT_TIMES
        ? { extent: haveKg / mostKg, facts: { leader: leader.name, haveKg, mostKg } }
        : null;
    }),
  say: ({ rig, fish, leader, haveKg, mostKg }) => ({
    title: `${rig}: a stout leader for ${fish}`,
    text: `${leader} holds ${amount(haveKg, 'kg')}, where up to ${amount(mostKg, 'kg')} is usual. A thick leader is seen, and the lure swims less.`,
  }),
  repairs: ({ rigId, mostKg }, context) =>
    leaders(context, mostKg + A_LITTLE).map((leader) => useLeader(rigId, leader)),
});

/** Outside the usual masses by this factor a lure is not what the fish eats. */
const LURE_TIMES = 2;
const rigLure = rule({
  code: 'rig-lure',
  notes: true,
  reads: ['builtRigs', 'places'],
  ...inWorkings,
  measure: 'times',
  find: ({ builtRigs, places: { targets } }) =>
    heldToFish({ builtRigs, targets }, ({ lureG, rod }, { lureG: [fromG, toG] }) => {
      if (lureG === null || isFly(rod)) return null;
      const extent = Math.max(fromG / Math.max(lureG, LEAST_G), lureG / toG);
      return extent > LURE_TIMES ? { extent, facts: { lureG, fromG, toG } } : null;
    }),
  say: ({ rig, fish, lureG, fromG, toG }) => ({
    title: `${rig}: ${amount(lureG, 'g', 0)} for ${fish}`,
    text: `${lureG > toG ? 'More' : 'Less'} than ${fish} usually takes: ${amountOnly(fromG, 'g', 0)} to ${amount(toG, 'g', 0)}.`,
  }),
  repairs: ({ rigId, fromG, toG }, context) => {
    const { castMinG = 0, castMaxG = Infinity } =
      context.builtRigs.find(({ rig }) => rig.id === rigId)?.rod?.attributes ?? {};
    return owned(
      context,
      ({ attributes: { lureG } }) =>
        lureG !== undefined && lureG >= Math.max(fromG, castMinG) && lureG <= Math.min(toG, castMaxG),
    )
      .filter((item) => isAboard(context, item))
      .map((item) => setRig(rigId, { lureId: item.id, lureG: null }, `tie on something from ${item.name}`));
  },
});

export const rigRules = [
  rigWeak,
  rigOverRod,
  rigWindow,
  rigGuides,
  rigKnot,
  rigSpool,
  rigBites,
  rigLight,
  rigStout,
  rigLure,
] as const;
