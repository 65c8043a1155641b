import type { Standing } from '../../boat/stability';
import {
  type DrawnRange,
  type Steadiness,
  breakerSlopeDeg,
  slopeDeg,
  steadinessOf,
} from '../../boat/steadiness';
import { SURF_M } from '../../exposures/rough';
import { GRANTED, louder, onScale } from '../../needs/need';
import type { FindingLevel } from '../../vocabulary/levels';
import type { Stance } from '../../vocabulary/boat';
import { type Mode, modeWords } from '../../vocabulary/stow';
import type { Craft } from '../../documents/craft';
import type { Repair } from '../../editing/repair';
import { amount, mass } from '../../units/amount';
import { figure } from '../../units/words';
import { kinds } from '../../catalog/gear/kinds';
import { fewerFish, otherBoats, otherSetUps, removing, withoutUnneeded } from '../candidates';
import type { Context } from '../context';
import { rule } from '../rule';
import { evening, layingFlat } from '../stowRepairs';
import { standsUp, topOver } from '../../stow/plan';

/**
 * Thresholds of practice for small open craft, from which a Note, a Mind and a Stop are told. Rules of thumb;
 * the maker's rating always wins.
 */
export const TRIM_MIND_DEG = 2;
export const LIST_DEG = { note: 1.5, mind: 3, stop: 6 };
/**
 * Side over water that is wanted: so much, and a quarter of the waves, m; and the part of it below which more
 * than a Note is told.
 */
export const FREEBOARD_M = 0.1;
const OF_THE_WAVES = 0.25;
const LOW_SIDE = { note: 1, mind: 0.7, stop: 0.4 };
/** Of the heel from which it does not come back, what a lean and the waves may take. */
export const STEADY_SHARE = { note: 0.5, mind: 0.7, stop: 1 };
/** So much more gear does not keep a missing thing from being offered. */
const SLACK = 0.05;

type Reads = Pick<Context, 'afloat' | 'otherwiseAfloat'>;
interface Lain {
  craft: Craft;
  now: Standing;
  /** A hull of the range that its drawing stands for, computed when asked; null: the hull was measured. */
  asDrawn: (which: keyof DrawnRange) => Standing | null;
  stance: Stance;
  /** In which mode, and whether before the catch; null: as one fishes, with the catch aboard. */
  when: When | null;
}
export interface When {
  mode: Mode;
  empty: boolean;
}
/**
 * Each way the boat is laden, fishing with its catch aboard first, and held in a stance, as it is sat in
 * where none is named. What sinks is told by itself.
 */
function waysAfloat({ afloat, otherwiseAfloat }: Reads, asked: Stance | null = null): Lain[] {
  const list = [
    ...(afloat ? [{ boat: afloat, when: null }] : []),
    ...otherwiseAfloat.map(({ boat, mode, empty }) => ({ boat, when: { mode, empty } })),
  ];
  return list.flatMap(({ boat, when }) => {
    const stance = asked ?? boat.seated;
    const held = boat.in(stance);
    if (!held || held.now === 'sinks') return [];
    const asDrawn = (which: keyof DrawnRange) => {
      const now = boat.asDrawn?.(which, stance)?.now ?? null;
      return now === 'sinks' ? null : now;
    };
    return [{ craft: held.craft, now: held.now, asDrawn, stance, when }];
  });
}
/** The worst of several by a figure; as one fishes where another is not worse by more than is felt. */
function worstOf(list: readonly Lain[], badness: (one: Lain) => number, felt: number): Lain | null {
  return list.reduce<Lain | null>(
    (worst, one) => (worst === null || badness(one) > badness(worst) + felt ? one : worst),
    null,
  );
}
/**
 * Of a hull that is only drawn: a Stop only if the steadiest hull of its range fails too, a Mind only if the
 * middle one does.
 */
function levelOfDrawnHull({ now, asDrawn }: Lain, levelOf: (now: Standing) => FindingLevel): FindingLevel {
  const level = levelOf(now);
  const isSo = (which: keyof DrawnRange, at: FindingLevel) => {
    const drawn = asDrawn(which);
    return drawn === null || louder(levelOf(drawn), at) === levelOf(drawn);
  };
  if (level === 'stop' && isSo('steadiest', 'stop')) return 'stop';
  return level !== 'note' && isSo('middle', 'mind') ? 'mind' : 'note';
}
/** "launching, before the catch"; empty: as one fishes. */
function sayWhen(when: When | null): string {
  if (!when) return '';
  return ` (${modeWords[when.mode]}${when.empty ? ', before the catch' : ''})`;
}

/** Beside every figure of a hull that nobody has inclined. */
const estimate = (calibrated: boolean) =>
  calibrated ? 'By its inclining test.' : 'The hull is drawn and not inclined: an estimate.';

/** Only what is of use to nobody's needs is offered to be left ashore. */
const lighter = (context: Context) => [
  ...otherSetUps(context),
  ...withoutUnneeded(context),
  ...removing(context, (kind) => kinds[kind].means.length === 0),
  ...fewerFish(context),
  ...otherBoats(context),
];

/**
 * What rules of the laden boat have in common: what they read, where they are told, and that less aboard is
 * what helps.
 */
const ofTheLoad = {
  reads: ['afloat', 'otherwiseAfloat', 'day', 'angler', 'outward'],
  station: 'stow',
  boatPart: 'afloat',
  repairs: (_: unknown, context: Context) => lighter(context),
} as const;

const sinks = rule({
  code: 'sinks',
  ...ofTheLoad,
  measure: 'kg',
  find: (context) => {
    const held = context.afloat?.in(context.afloat.seated);
    if (held?.now !== 'sinks') return [];
    const { massKg } = held;
    return [{ level: 'stop', basis: 'physics', extent: massKg, facts: { craft: held.craft.name, massKg } }];
  },
  say: ({ craft, massKg }) => ({
    title: `${craft} does not float under this`,
    text: `${amount(massKg, 'kg', 0)} with hull and angler are more than its drawn shape displaces. Less aboard, or another boat.`,
  }),
  otherwise: () => 'Less aboard, or a boat that carries more.',
});

const trim = rule({
  code: 'trim',
  ...ofTheLoad,
  measure: '°',
  slack: 0.2,
  find: (context) => {
    const held = worstOf(waysAfloat(context), ({ now }) => Math.abs(now.trimDeg), 0.2);
    if (!held || Math.abs(held.now.trimDeg) <= TRIM_MIND_DEG || mayCapsize(context)) return [];
    const { trimDeg } = held.now;
    const level = levelOfDrawnHull(held, ({ trimDeg: deg }) =>
      Math.abs(deg) > TRIM_MIND_DEG ? 'mind' : 'note',
    );
    const facts = {
      craft: held.craft.name,
      trimDeg,
      when: held.when,
      calibrated: held.craft.inclined !== null,
    };
    return [{ level, basis: 'physics', extent: Math.abs(trimDeg), facts }];
  },
  say: ({ craft, trimDeg, when, calibrated }) => ({
    title: `${craft} lies ${trimDeg > 0 ? 'by the stern' : 'by the bow'}`,
    text: `${figure(Math.abs(trimDeg))}° ${trimDeg > 0 ? 'bow up' : 'bow down'}${sayWhen(when)}, by where each thing lies; within ${TRIM_MIND_DEG}° it answers as it should. Move weight ${trimDeg > 0 ? 'forward' : 'aft'}. ${estimate(calibrated)}`,
  }),
  // Weight goes to the end that is too high, before anything stays ashore.
  repairs: ({ trimDeg }, context) => {
    const middle = (context.plan?.craft.lengthM ?? 0) / 2;
    const way = trimDeg > 0 ? -1 : 1;
    return [
      ...evening(
        context,
        ({ xM }) => way * (xM - middle),
        ({ xM, yM }) => ({ xM: 2 * middle - xM, yM }),
      ),
      ...lighter(context),
    ];
  },
  otherwise: () => 'Weight moved to the other end, or less aboard.',
});

const heel = rule({
  code: 'heel',
  ...ofTheLoad,
  measure: '°',
  slack: 0.2,
  find: (context) => {
    const held = worstOf(waysAfloat(context), ({ now }) => now.heelDeg ?? 0, 0.2);
    const heelDeg = held?.now.heelDeg ?? null;
    // What has no upright rest at all is told as that.
    if (!held || heelDeg === null || onScale(heelDeg, LIST_DEG) === null || mayCapsize(context)) return [];
    const level = levelOfDrawnHull(held, (now) =>
      now.heelDeg === null ? 'stop' : (onScale(now.heelDeg, LIST_DEG) ?? 'note'),
    );
    const facts = {
      craft: held.craft.name,
      heelDeg,
      when: held.when,
      calibrated: held.craft.inclined !== null,
    };
    return [{ level, basis: 'physics', extent: heelDeg, facts }];
  },
  say: ({ craft, heelDeg, when, calibrated }) => ({
    title: `${craft} lies over to one side`,
    text: `${figure(heelDeg)}°${sayWhen(when)}, by where each thing lies; past ${LIST_DEG.note}° it is felt in every stroke, past ${LIST_DEG.stop}° little is left to that side. Even out what is left and right. ${estimate(calibrated)}`,
  }),
  repairs: (_, context) => {
    const side = Math.sign(context.lading?.yM ?? 0) || 1;
    return [
      ...evening(
        context,
        ({ yM }) => side * yM,
        ({ xM, yM }) => ({ xM, yM: -yM }),
      ),
      ...lighter(context),
    ];
  },
  otherwise: () => 'As much weight on the other side, or less aboard.',
});

const freeboard = rule({
  code: 'freeboard',
  ...ofTheLoad,
  measure: 'm',
  slack: 0.005,
  find: (context) => {
    const held = worstOf(waysAfloat(context), ({ now }) => -now.freeboardM, 0.005);
    if (!held) return [];
    const { freeboardM, massKg } = held.now;
    // A boat rides over a swell.
    const waveM = context.day.waveM ?? 0;
    const wantM = FREEBOARD_M + OF_THE_WAVES * waveM;
    if (freeboardM >= wantM * LOW_SIDE.note * GRANTED || mayCapsize(context)) return [];
    const level = levelOfDrawnHull(held, (now) =>
      now.freeboardM < wantM * LOW_SIDE.stop
        ? 'stop'
        : now.freeboardM < wantM * LOW_SIDE.mind
          ? 'mind'
          : 'note',
    );
    const facts = {
      craft: held.craft.name,
      freeboardM,
      wantM,
      waveM,
      massKg,
      calibrated: held.craft.inclined !== null,
    };
    return [{ level, basis: 'physics', extent: wantM - freeboardM, facts }];
  },
  say: ({ craft, freeboardM, wantM, waveM, massKg, calibrated }) => ({
    title: `${craft} lies deep`,
    text: `${amount(Math.max(0, freeboardM), 'm', 2)} of side over the water at its lowest, with ${mass(massKg)} all told; ${amount(wantM, 'm', 2)} is wanted${waveM >= 0.05 ? ` in waves of ${amount(waveM, 'm')}` : ''}. ${estimate(calibrated)}`,
  }),
  otherwise: () => 'Less aboard, or a boat that carries more.',
});

interface JudgedWay extends Lain {
  steady: Steadiness;
  level: FindingLevel | null;
  /** Steadier hulls of that drawing bear more: which of them it is nobody has measured. */
  unsettled: boolean;
}
/** How steady the boat is in each way it is laden, and at which level that is told. */
function withSteadiness(list: readonly Lain[], context: Pick<Context, 'day' | 'angler'>): JudgedWay[] {
  const { angler } = context;
  if (!angler) return [];
  const { seas, breakerM } = context.day;
  const beamM = list[0]?.craft.beamM ?? 0;
  // The steepest water it lies in: breakers where they are crossed, else the sea while afloat.
  const seaDeg = Math.max(0, ...seas.map(({ sea }) => slopeDeg(sea, beamM)));
  const breakerDeg = (breakerM ?? 0) > SURF_M ? breakerSlopeDeg(breakerM ?? 0) : 0;
  return list.map((one) => {
    const crossed = one.when?.mode === 'launch' || one.when?.mode === 'land';
    const waveDeg = Math.max(seaDeg, crossed ? breakerDeg : 0);
    const steady = steadinessOf(one.now, angler, one.stance, waveDeg);
    const level = onScale(steady.share, STEADY_SHARE);
    const levelOf = (now: Standing) =>
      onScale(steadinessOf(now, angler, one.stance, waveDeg).share, STEADY_SHARE) ?? 'note';
    const settled = level && levelOfDrawnHull(one, levelOf);
    return { ...one, steady, level: settled, unsettled: settled !== level };
  });
}
function leastSteady(list: readonly JudgedWay[]): JudgedWay | null {
  return list.reduce<JudgedWay | null>(
    (worst, one) => (worst && worst.steady.share >= one.steady.share ? worst : one),
    null,
  );
}
function steadyFacts({ craft, stance, when, steady, now, unsettled }: JudgedWay) {
  const { leanDeg, waveDeg, vanishingDeg: limitDeg } = steady;
  const calibrated = craft.inclined !== null;
  return { craft: craft.name, stance, when, leanDeg, waveDeg, limitDeg, gmM: now.gmM, calibrated, unsettled };
}
/** The extent of what nothing rights. */
const NOTHING_RIGHTS = 9;
const steadyExtent = ({ steady: { share } }: JudgedWay) => Math.min(NOTHING_RIGHTS, share);
/** A hull that may go over is told as that, and not of how it lies besides. */
function mayCapsize(context: Reads & Pick<Context, 'day' | 'angler'>): boolean {
  const level = leastSteady(withSteadiness(waysAfloat(context), context))?.level ?? null;
  return level !== null && level !== 'note';
}
/** One hull, one finding: standing is told only where it is worse than seated. */
function isWorseStanding(
  context: Reads & Pick<Context, 'outward' | 'day' | 'angler'>,
  seated: JudgedWay | null,
): boolean {
  const standing = leastSteady(withSteadiness(waysStanding(context), context))?.level ?? null;
  return (
    standing !== null &&
    standing !== (seated?.level ?? null) &&
    louder(standing, seated?.level ?? null) === standing
  );
}
/** Standing to fish, with the catch aboard and before it, where that is meant. */
function waysStanding(context: Reads & Pick<Context, 'outward'>): Lain[] {
  if (!context.outward.standing) return [];
  return waysAfloat(context, 'standing').filter(({ when }) => when === null || when.mode === 'fish');
}
function saySteady({
  stance,
  when,
  leanDeg,
  waveDeg,
  limitDeg,
  gmM,
  calibrated,
  unsettled,
}: ReturnType<typeof steadyFacts>): string {
  const how = `${unsettled ? 'As it is drawn, and with' : 'With'} you ${stance}${sayWhen(when)}`;
  const rests = unsettled
    ? 'Steadier hulls of that picture bear it: an inclining test at the water’s edge settles which yours is.'
    : estimate(calibrated);
  if (leanDeg === null || limitDeg <= 0)
    return `${how} and all this aboard ${gmM > 0 ? 'a lean of the body is more than rights it' : 'nothing rights it'}: ${amount(gmM, 'm', 2)} of metacentric height. ${rests}`;
  const wave = waveDeg >= 0.5 ? `, and the waves ${figure(waveDeg, 0)}° more` : '';
  return `${how}, a lean of the body heels it ${figure(leanDeg, 0)}°${wave}; past ${figure(limitDeg, 0)}° it does not come back. ${rests}`;
}

const unsteady = rule({
  code: 'unsteady',
  ...ofTheLoad,
  measure: 'share',
  slack: SLACK,
  find: (context) => {
    const seated = leastSteady(withSteadiness(waysAfloat(context), context));
    return seated?.level && !isWorseStanding(context, seated)
      ? [{ level: seated.level, basis: 'physics', extent: steadyExtent(seated), facts: steadyFacts(seated) }]
      : [];
  },
  say: (facts) => ({
    title: facts.unsettled
      ? `${facts.craft} may be tender`
      : facts.leanDeg === null
        ? `${facts.craft} does not lie upright`
        : `${facts.craft} is tender`,
    text: `${saySteady(facts)} ${facts.stance === 'seated high' ? 'Lower the seat, or take' : 'Take'} less, or lay it lower down.`,
  }),
  repairs: ({ when, stance }, context) => [
    ...(when && when.mode !== 'fish' && stance === 'seated high'
      ? [
          {
            do: 'rig-boat' as const,
            mode: when.mode,
            seat: 'low' as const,
            floats: null,
            words: `Lower the seat for ${modeWords[when.mode]}`,
          },
        ]
      : []),
    ...lighter(context),
  ],
  otherwise: () => 'Weight lower down, side floats, or a steadier boat.',
});

const unsteadyStanding = rule({
  code: 'standing-unsteady',
  ...ofTheLoad,
  station: 'brief',
  measure: 'share',
  slack: SLACK,
  find: (context) => {
    const standing = leastSteady(withSteadiness(waysStanding(context), context));
    const seated = leastSteady(withSteadiness(waysAfloat(context), context));
    if (!standing?.level || !isWorseStanding(context, seated)) return [];
    return [
      {
        level: standing.level,
        basis: 'physics',
        extent: steadyExtent(standing),
        facts: steadyFacts(standing),
      },
    ];
  },
  say: (facts) => ({
    title: `${facts.craft} ${facts.unsettled ? 'may hardly carry' : facts.leanDeg === null ? 'does not carry' : 'hardly carries'} you standing`,
    text: saySteady(facts),
  }),
  repairs: (_, context) => {
    const tall = context.plan?.things.filter(standsUp).toSorted((a, b) => topOver(b) - topOver(a)) ?? [];
    const sit = { do: 'sit-to-fish' } as const;
    const besides = [...layingFlat(context, 'fish', tall), ...withoutUnneeded(context)];
    return [
      sit,
      ...layingFlat(context, 'fish', tall.slice(0, 1)),
      // What sitting down alone does not settle.
      ...besides.map((one): Repair => ({ do: 'together', parts: [sit, one] })),
      ...(besides.length > 1 ? [{ do: 'together' as const, parts: [sit, ...besides] }] : []),
      ...lighter(context),
    ];
  },
});

const notDrawn = rule({
  code: 'hull-not-drawn',
  notes: true,
  reads: ['places'],
  station: 'brief',
  boatPart: 'shape',
  measure: 'whether',
  find: ({ places: { craft } }) =>
    craft && craft.shape === null
      ? [{ level: 'note', basis: 'judgement', extent: 1, facts: { craft: craft.name } }]
      : [],
  say: ({ craft }) => ({
    title: `${craft} has no shape yet`,
    text: 'How deep it lies and how steady it is was not looked at. Choose its shape by picture, under Boats.',
  }),
});

export const afloatRules = [sinks, trim, heel, freeboard, unsteady, unsteadyStanding, notDrawn] as const;
