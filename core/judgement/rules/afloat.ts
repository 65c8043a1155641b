import { LEAN_M } from '../../boat/lading';
import type { Standing } from '../../boat/stability';
import type { Stance } from '../../vocabulary/boat';
import { type Mode, modeWords } from '../../vocabulary/stow';
import type { Craft } from '../../documents/craft';
import { amount, mass } from '../../units/amount';
import { figure } from '../../units/words';
import { kinds } from '../../catalog/gear/kinds';
import { fewerFish, otherBoats, otherSetUps, removing } from '../candidates';
import type { Context } from '../context';
import { rule } from '../rule';
import { evening, layingFlat } from '../stowRepairs';
import { standsUp, topOver } from '../../stow/plan';

/** Thresholds of practice for small open craft. Rules of thumb; the maker's rating always wins. */
export const TRIM_MIND_DEG = 2;
export const HEEL_MIND_DEG = 1.5;
export const HEEL_STOP_DEG = 4;
export const FREEBOARD_MIND_M = 0.1;
/** Of the same hull with the angler alone, seated low. */
export const STEADY_MIND = 0.6;
export const STEADY_STOP = 0.3;
/** Standing wants at least so much metacentric height, m. */
export const STANDING_GM_M = 0.05;
/** Of a hull that is steady by so little, inclined or drawn, shares say nothing: they are smaller than what the readings or the drawing leave open, m. */
const LEAST_GM_M = 0.02;
const LEAST_DRAWN_M = 0.05;
/** So much more gear does not keep a missing thing from being offered. */
const SLACK = 0.05;

type Reads = Pick<Context, 'afloat' | 'otherwiseAfloat'>;
interface Lain {
  craft: Craft;
  now: Standing;
  alone: Standing;
  stance: Stance;
  /** In which mode, and whether before the catch; null: as one fishes, with the catch aboard. */
  when: When | null;
}
export interface When {
  mode: Mode;
  empty: boolean;
}
/** Each way the boat is laden, fishing with its catch aboard first, and held in a stance, as it is sat in where none is named. What sinks is told by itself. */
function waysAfloat({ afloat, otherwiseAfloat }: Reads, asked: Stance | null = null): Lain[] {
  const list = [
    ...(afloat ? [{ boat: afloat, when: null }] : []),
    ...otherwiseAfloat.map(({ boat, mode, empty }) => ({ boat, when: { mode, empty } })),
  ];
  return list.flatMap(({ boat, when }) => {
    const stance = asked ?? boat.seated;
    const held = boat.in(stance);
    return held && held.now !== 'sinks' ? [{ craft: held.craft, now: held.now, alone: held.alone, stance, when }] : [];
  });
}
/** The worst of several by a figure; as one fishes where another is not worse by more than is felt. */
function worstOf(list: readonly Lain[], badness: (one: Lain) => number, felt: number): Lain | null {
  return list.reduce<Lain | null>(
    (worst, one) => (worst === null || badness(one) > badness(worst) + felt ? one : worst),
    null,
  );
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
const lighter = (context: Context, leastKg = 0) => [
  ...otherSetUps(context),
  ...removing(
    context,
    (kind) => kinds[kind].means.length === 0,
    (kg) => kg >= leastKg,
  ),
  ...fewerFish(context),
  ...otherBoats(context),
];

/** What rules of the laden boat have in common: what they read, where they are told, and that less aboard is what helps. */
const ofTheLoad = {
  reads: ['afloat', 'otherwiseAfloat'],
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
    if (!held || Math.abs(held.now.trimDeg) <= TRIM_MIND_DEG) return [];
    const { trimDeg } = held.now;
    const facts = { craft: held.craft.name, trimDeg, when: held.when, calibrated: held.craft.inclined !== null };
    return [{ level: 'mind', basis: 'physics', extent: Math.abs(trimDeg), facts }];
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
    if (!held || heelDeg === null || heelDeg <= HEEL_MIND_DEG || held.now.gmM <= 0) return [];
    const level = heelDeg > HEEL_STOP_DEG && held.craft.inclined ? ('stop' as const) : ('mind' as const);
    const facts = { craft: held.craft.name, heelDeg, when: held.when, calibrated: held.craft.inclined !== null };
    return [{ level, basis: 'physics', extent: heelDeg, facts }];
  },
  say: ({ craft, heelDeg, when, calibrated }) => ({
    title: `${craft} lies over to one side`,
    text: `${figure(heelDeg)}°${sayWhen(when)}, by where each thing lies; past ${HEEL_MIND_DEG}° it is felt in every stroke, past ${HEEL_STOP_DEG}° little is left to that side. Even out what is left and right. ${estimate(calibrated)}`,
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
    if (!held || held.now.freeboardM >= FREEBOARD_MIND_M) return [];
    const { freeboardM, massKg } = held.now;
    const facts = { craft: held.craft.name, freeboardM, massKg, calibrated: held.craft.inclined !== null };
    return [{ level: 'mind', basis: 'physics', extent: FREEBOARD_MIND_M - freeboardM, facts }];
  },
  say: ({ craft, freeboardM, massKg, calibrated }) => ({
    title: `${craft} lies deep`,
    text: `${amount(Math.max(0, freeboardM), 'm', 2)} of side over the water at its lowest, with ${mass(massKg)} all told; under ${amount(FREEBOARD_MIND_M, 'm', 2)} every wave is aboard. ${estimate(calibrated)}`,
  }),
  otherwise: () => 'Less aboard, or a boat that carries more.',
});

const isUpright = ({ now }: Lain) => now.gmM > 0 && now.heelDeg !== null;
/** Steadiness as a share of what the hull has with the angler alone, seated low. */
function shareOf(one: Lain): number {
  const { now, alone } = one;
  return isUpright(one) ? Math.min(now.gmM / alone.gmM, now.areaM / Math.max(alone.areaM, 1e-9)) : 0;
}

const unsteady = rule({
  code: 'unsteady',
  ...ofTheLoad,
  measure: 'share',
  slack: SLACK,
  find: (context) => {
    const held = worstOf(waysAfloat(context), (one) => -shareOf(one), SLACK);
    if (!held) return [];
    const { now, alone, craft, stance, when } = held;
    const calibrated = craft.inclined !== null;
    const upright = isUpright(held);
    if (upright && alone.gmM < (calibrated ? LEAST_GM_M : LEAST_DRAWN_M)) return [];
    const share = shareOf(held);
    if (share >= STEADY_MIND) return [];
    const level = share < STEADY_STOP && calibrated ? ('stop' as const) : ('mind' as const);
    const facts = { craft: craft.name, stance, when, share, gmM: now.gmM, aloneM: alone.gmM, upright, calibrated };
    return [{ level, basis: 'physics', extent: 1 - Math.max(0, share), facts }];
  },
  say: ({ craft, stance, when, share, gmM, aloneM, upright, calibrated }) => ({
    title: upright ? `${craft} is less steady than you know it` : `${craft} does not lie upright`,
    text: upright
      ? `${figure(share * 100, 0)} % of what it has with you alone, seated low: ${amount(gmM, 'm', 2)} of metacentric height against ${amount(aloneM, 'm', 2)}${sayWhen(when)}. ${stance === 'seated high' ? 'Lower the seat. ' : 'Less aboard, or lower down. '}${estimate(calibrated)}`
      : `${stance === 'seated high' ? 'Seated high' : 'Seated'} with all this, nothing rights it${sayWhen(when)}: ${amount(gmM, 'm', 2)} of metacentric height. Lower the seat, take less, or another boat. ${estimate(calibrated)}`,
  }),
  repairs: ({ when, stance, share, aloneM }, context) => [
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
    ...lighter(context, leastToSteady(context, (STEADY_MIND - share) * aloneM)),
  ],
  otherwise: () => 'Weight lower down, side floats, or a steadier boat.',
});
/** What has to come off at the least for so much more metacentric height, kg: nothing aboard lies so high or widens the waterline so that a kilogram does more. */
function leastToSteady({ afloat }: Context, wantedM: number): number {
  const massKg = afloat?.in(afloat.seated)?.massKg ?? 0;
  return (wantedM * massKg) / (MOST_ARM_M + wantedM);
}
const MOST_ARM_M = 2;

const unsteadyStanding = rule({
  code: 'standing-unsteady',
  reads: ['afloat', 'otherwiseAfloat', 'outward'],
  station: 'brief',
  boatPart: 'afloat',
  measure: 'm',
  slack: 0.005,
  find: (context) => {
    if (!context.outward.standing) return [];
    // One stands to fish: with the catch aboard and before it.
    const ways = waysAfloat(context, 'standing').filter(({ when }) => when === null || when.mode === 'fish');
    const held = worstOf(ways, ({ now }) => -now.gmM, 0.005);
    if (!held || held.now.gmM > STANDING_GM_M) return [];
    const { gmM } = held.now;
    const calibrated = held.craft.inclined !== null;
    const level = calibrated ? ('stop' as const) : ('mind' as const);
    const facts = { craft: held.craft.name, gmM, when: held.when, calibrated };
    return [{ level, basis: 'physics', extent: STANDING_GM_M - gmM, facts }];
  },
  say: ({ craft, gmM, when, calibrated }) => ({
    title: `${craft} does not carry you standing`,
    text: `${amount(gmM, 'm', 2)} of metacentric height with you on your feet and all this aboard${sayWhen(when)}; standing wants over ${amount(STANDING_GM_M, 'm', 2)}, and a skill of your own besides. ${estimate(calibrated)}`,
  }),
  repairs: (_, context) => [
    { do: 'sit-to-fish' },
    ...layingFlat(
      context,
      'fish',
      context.plan?.things
        .filter(standsUp)
        .toSorted((a, b) => topOver(b) - topOver(a))
        .slice(0, 1) ?? [],
    ),
    ...lighter(context),
  ],
});

/** Leans that a boat has to bear, and what it is when it does not: the one nobody can help, the other can be left undone. */
const leans = { leaning: 'stop', 'reaching astern': 'mind' } as const;

const leaning = rule({
  code: 'lean-capsizes',
  ...ofTheLoad,
  measure: 'm',
  slack: 0.01,
  find: (context) =>
    (['leaning', 'reaching astern'] as const).flatMap((stance) => {
      // What does not lie upright at all is told as that.
      const held = waysAfloat(context, stance).find(({ now }) => now.heelDeg === null && now.gmM > 0);
      if (!held) return [];
      // How a hull comes back from far over hangs on what a drawing by a few figures leaves open: of such a one nothing is said.
      const { inclined, shape, name } = held.craft;
      if (!inclined && !shape?.stations) return [];
      const level = inclined ? leans[stance] : ('mind' as const);
      const facts = { craft: name, stance, gmM: held.now.gmM, when: held.when, calibrated: inclined !== null };
      const subject = stance === 'leaning' ? {} : { subject: 'astern' };
      return [{ level, basis: 'physics' as const, extent: Math.max(0, 1 - held.now.gmM), facts, ...subject }];
    }),
  say: ({ craft, stance, gmM, when, calibrated }) =>
    stance === 'leaning'
      ? {
          title: `A lean is too much for ${craft}`,
          text: `With your weight ${amount(LEAN_M, 'm', 2)} outboard nothing rights it again: ${amount(gmM, 'm', 2)} of metacentric height, as it is laden${sayWhen(when)}. Reach with the hips still, or take less. ${estimate(calibrated)}`,
        }
      : {
          title: `Do not turn about in ${craft} to reach the stern`,
          text: `With your legs over the side, as one sits to reach the well, nothing rights it again: ${amount(gmM, 'm', 2)} of metacentric height, as it is laden${sayWhen(when)}. What is astern stays there until you land. ${estimate(calibrated)}`,
        },
  otherwise: () => 'Weight lower down, side floats, a steadier boat; or nobody leans out.',
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

export const afloatRules = [sinks, trim, heel, freeboard, unsteady, unsteadyStanding, leaning, notDrawn] as const;
