import {
  type Leave,
  BEAM_STOP_MPS,
  LEAST_MARGIN,
  LEAST_SCOPE,
  STREAM_CARE_MPS,
  STREAM_STOP_MPS,
  anchorGear,
  anchorOf,
  leaveSpans,
  shutWhy,
} from '../../holding/anchorSheet';
import { POLE_STREAM_MPS, pole, stakePoles } from '../../holding/pole';
import type { Item } from '../../documents/item';
import type { Repair } from '../../editing/repair';
import type { KindId } from '../../catalog/gear/kinds';
import { amount, inWords } from '../../units/amount';
import { capital, figure, listed } from '../../units/words';
import type { Context } from '../context';
import { adding, isAboard, otherHours, owned, swap, theFirst } from '../candidates';
import { rule } from '../rule';
import type { FindingLevel } from '../../vocabulary/levels';

const withoutAnchor: Repair = { do: 'without-technique', technique: 'anchored bait' };
/** What shuts an anchorage, the worst first. A rode that does not reach is told by its scope. */
const shutKinds = ['stream', 'beam', 'school', 'gear'] as const;
type ShutKind = (typeof shutKinds)[number] | 'care';

/** Trolley, release and float, as far as they are owned and not aboard, together. */
function missingGear(context: Context): Repair[] {
  const anchor = context.aboard.find(({ item }) => anchorOf(item) !== null)?.item;
  if (!anchor) return [];
  const gear = anchorGear(anchor, context);
  const wanted: KindId[] = [];
  if (!gear.released || !gear.buoyed) wanted.push('release-float');
  if (!gear.trolley) wanted.push('anchor-trolley');
  const items = wanted.map(
    (kind) => owned(context, (item) => item.kind === kind && !isAboard(context, item))[0],
  );
  const found = items.flatMap((item) => (item ? [theFirst(item)] : []));
  return found.length > 0 && found.length === items.length ? [{ do: 'add-items', items: found }] : [];
}
function otherAnchors(context: Context): Repair[] {
  const off = context.aboard.find(({ item }) => anchorOf(item) !== null)?.item;
  if (!off) return [];
  return owned(context, (item) => anchorOf(item) !== null && !isAboard(context, item)).map((on) =>
    swap(off, on),
  );
}

/**
 * Each kind of what forbids it is told by its own worst half hour: a mild one early does not hide a worse one
 * later.
 */
const anchorShut = rule({
  code: 'anchor-shut',
  reads: ['anchorage'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'm/s',
  find: ({ anchorage }) => {
    if (!anchorage) return [];
    const { item, hours } = anchorage;
    const isFor = (why: ShutKind) => (leave: Leave) =>
      why === 'care' ? leave.may === 'with care' : leave.may === 'no' && leave.why === why;
    // In a stream that asks for care an anchor is minded, however it is fitted.
    const stopped = hours.some(({ leave }) => leave.may === 'no');
    const kinds: readonly ShutKind[] = stopped ? shutKinds : ['care'];
    return kinds.flatMap((why) => {
      const shut = hours.filter(({ leave }) => isFor(why)(leave));
      const [first] = shut;
      if (!first) return [];
      const peak = shut.reduce((a, b) => (b.hour.streamMps > a.hour.streamMps ? b : a)).hour;
      const open = hours.find(({ hour, leave }) => leave.may !== 'no' && hour.at > peak.at);
      const facts = {
        anchor: item.name,
        why,
        spans: leaveSpans(hours, isFor(why)),
        streamMps: peak.streamMps,
        openAt: open?.hour.clock ?? null,
      };
      const basis =
        why === 'school'
          ? ('school' as const)
          : why === 'care'
            ? ('judgement' as const)
            : ('physics' as const);
      const level: FindingLevel = why === 'care' ? 'mind' : 'stop';
      return [{ level, basis, extent: peak.streamMps, subject: why as string, facts }];
    });
  },
  say: ({ anchor, why, spans, streamMps, openAt }) => ({
    title: `${why === 'care' ? 'An anchor in stream' : 'No anchor'} ${listed(spans.map(({ from, to }) => (from === to ? `at ${from}` : `from ${from} to ${to}`)))}`,
    text: `${anchor}: the stream there runs to ${amount(streamMps, 'm/s', 2)}. ${inWords(shutWhy[why])}${openAt === null || why === 'care' ? '' : ` It may be set from ${openAt}.`}`,
  }),
  repairs: ({ why }, context) => [
    ...(why === 'beam' ? [{ do: 'set-alignment', alignment: 'bow' } as const] : []),
    ...(why === 'gear' ? missingGear(context) : []),
    withoutAnchor,
    ...otherHours(context),
  ],
  otherwise: () => 'No anchor then: drift, or hold under way; or another place.',
});

/** Scope and hold go by a depth and a bottom that nobody has told. */
const depthAssumed = rule({
  code: 'depth-assumed',
  reads: ['anchorage', 'places'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'figures',
  find: ({ anchorage, places: { water, area } }) => {
    if (!anchorage || !water || !area) return [];
    const figures = water.assumed.flatMap((one) =>
      one === 'depth' ? ['depth'] : one === 'bottom' ? ['bottom'] : [],
    );
    const facts = { anchor: anchorage.item.name, area: area.name, figures, depthM: area.depthM };
    return figures.length > 0
      ? [
          {
            level: figures.includes('depth') ? 'mind' : 'note',
            basis: 'judgement',
            extent: figures.length,
            facts: { ...facts, bottom: area.bottom },
          },
        ]
      : [];
  },
  say: ({ anchor, area, figures, depthM, bottom }) => ({
    title: `${capital(listed(figures))} at ${area}: not told`,
    text: `${anchor} is judged over ${amount(depthM, 'm')} of water and ${bottom}, as is usual for such a water.`,
  }),
  otherwise: () => 'Write what you know with the water, or look at it there before you anchor.',
});

const anchorScope = rule({
  code: 'anchor-scope',
  reads: ['anchorage', 'workings'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'times the depth',
  find: ({ anchorage, workings }) => {
    if (!anchorage) return [];
    const short = anchorage.hours.filter(
      ({ sum }) => sum.scope < Math.min(LEAST_SCOPE, sum.scopeTarget) - 1e-9,
    );
    const shortest = short.toSorted((a, b) => a.sum.scope - b.sum.scope)[0];
    if (!shortest) return [];
    const { hour, sum } = shortest;
    const facts = {
      anchor: anchorage.item.name,
      scope: sum.scope,
      depthM: hour.depthM,
      neededM: LEAST_SCOPE * (hour.depthM + workings.attachHeightM),
      rodeM: anchorOf(anchorage.item)?.rodeM ?? 0,
    };
    return [{ level: 'mind', basis: 'physics', extent: LEAST_SCOPE - sum.scope, facts }];
  },
  say: ({ anchor, scope, depthM, neededM, rodeM }) => ({
    title: `${anchor}: the rode is short`,
    text: `${amount(rodeM, 'm')} of rode in ${amount(depthM, 'm')} of water is a scope of ${figure(scope)}; ${LEAST_SCOPE} to 1 takes ${amount(Math.ceil(neededM), 'm', 0)}.`,
  }),
  repairs: (_, context) => [...otherAnchors(context), withoutAnchor, ...otherHours(context)],
  otherwise: () => 'More rode, a shallower place, or no anchor there.',
});

const anchorDrags = rule({
  code: 'anchor-drags',
  reads: ['anchorage', 'places'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'times the load',
  find: ({ anchorage, places }) => {
    if (!anchorage) return [];
    const weak = anchorage.hours
      .filter(({ leave }) => leave.may !== 'no')
      .flatMap(({ hour, sum }) =>
        sum.margin !== null && sum.scope >= 1 && sum.margin < LEAST_MARGIN
          ? [{ hour, sum, margin: sum.margin }]
          : [],
      )
      .toSorted((a, b) => a.margin - b.margin)[0];
    if (!weak) return [];
    const { hour, sum, margin } = weak;
    const facts = {
      anchor: anchorage.item.name,
      margin,
      at: hour.clock,
      loadN: sum.loadN,
      holdingN: sum.holdingN,
      bottom: places.area?.bottom ?? '',
    };
    return [{ level: 'mind', basis: 'judgement', extent: LEAST_MARGIN - margin, facts }];
  },
  say: ({ anchor, margin, at, loadN, holdingN, bottom }) => ({
    title: `${anchor} may drag at ${at}`,
    text: `It holds about ${amount(holdingN, 'N', 0)} on ${bottom} against ${amount(loadN, 'N', 0)}: ${figure(margin)} times, and ${LEAST_MARGIN} times are wanted. A rule of thumb.`,
  }),
  repairs: (_, context) => [...otherAnchors(context), withoutAnchor, ...otherHours(context)],
  otherwise: () => 'An anchor for that bottom, more rode, or no anchor there.',
});

const anchorNoRelease = rule({
  code: 'anchor-no-release',
  reads: ['anchorage', 'ground', 'needs'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'whether',
  find: ({ anchorage, ground, needs }) => {
    const told = needs.some((need) => need.id === 'anchor-release' && !need.met);
    if (!anchorage || told || anchorGear(anchorage.item, ground).released) return [];
    return [{ level: 'mind', basis: 'judgement', extent: 1, facts: { anchor: anchorage.item.name } }];
  },
  say: ({ anchor }) => ({
    title: `${anchor} has no release to hand`,
    text: 'Fouled, or in a wash, it has to be left behind at once.',
  }),
  repairs: (_, context) => [...missingGear(context), ...otherAnchors(context)],
  otherwise: () => 'A quick release, a float and a trolley, bought or borrowed; or no anchor there.',
});

/** Waves in which a boat that is held by the side is rolled by them, m. Rule of thumb. */
const ROLLED_M = 0.3;
/**
 * What the stream does from the side is told with what shuts an anchorage; waves do it without any stream.
 */
const beamInWaves = rule({
  code: 'anchor-beam-waves',
  reads: ['anchorage', 'workings'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'm',
  find: ({ anchorage, workings }) => {
    if (!anchorage || workings.alignment !== 'beam') return [];
    const worst = anchorage.hours.toSorted((a, b) => b.hour.hsM - a.hour.hsM)[0]?.hour;
    if (
      !worst ||
      worst.hsM <= ROLLED_M ||
      anchorage.hours.some(({ leave }) => leave.may === 'no' && leave.why === 'beam')
    )
      return [];
    const facts = { anchor: anchorage.item.name, hsM: worst.hsM, at: worst.clock };
    return [{ level: 'mind', basis: 'physics', extent: worst.hsM, facts }];
  },
  say: ({ anchor, hsM, at }) => ({
    title: `${anchor} by the side in waves of ${amount(hsM, 'm')} at ${at}`,
    text: 'Held by the side the boat rolls with each of them, and ships what breaks. Led to the bow it rides over them.',
  }),
  repairs: (_, context) => [{ do: 'set-alignment', alignment: 'bow' }, withoutAnchor, ...otherHours(context)],
  otherwise: () => 'The line led to the bow, or no anchor in such waves.',
});

const poleNoHold = rule({
  code: 'pole-no-hold',
  reads: ['ground', 'day', 'outward'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'whether',
  find: ({ ground, day: { spot }, outward: brief }) => {
    const { aboard, area } = ground;
    if (!brief.techniques.includes('anchored bait') || !area) return [];
    if (aboard.some(({ item }) => anchorOf(item) !== null)) return [];
    const carried = aboard.find(({ item }) => stakePoles.includes(item.kind))?.item;
    const deepest = spot.toSorted((a, b) => b.depthM - a.depthM)[0];
    if (!carried || !deepest) return [];
    const streamMps = Math.max(...spot.map((hour) => hour.streamMps));
    const poleM = carried.attributes.lengthM ?? 0;
    const unknown = carried.attributes.lengthM === undefined;
    const sum = pole({ poleM, depthM: deepest.depthM, tideRiseM: 0, bottom: area.bottom, streamMps });
    if (sum.allowed) return [];
    const why = unknown
      ? ('unknown' as const)
      : !sum.reaches
        ? ('short' as const)
        : !sum.bottomHolds
          ? ('bottom' as const)
          : ('stream' as const);
    const facts = {
      pole: carried.name,
      itemId: carried.id,
      why,
      poleM,
      neededM: sum.neededM,
      bottom: area.bottom,
      streamMps,
    };
    return [{ level: 'mind', basis: 'judgement', extent: 1, facts }];
  },
  say: ({ pole: name, why, poleM, neededM, bottom, streamMps }) => ({
    title: why === 'unknown' ? `How long ${name} is was not written` : `${name} does not hold there`,
    text:
      why === 'unknown'
        ? `${amount(neededM, 'm')} reach the bottom, ${amount(0.5, 'm')} of it, and a hand above.`
        : why === 'short'
          ? `It is ${amount(poleM, 'm')}; ${amount(neededM, 'm')} reach the bottom, ${amount(0.5, 'm')} of it, and a hand above.`
          : why === 'bottom'
            ? `A pole holds in mud or sand; there it is ${bottom}.`
            : `The stream runs to ${amount(streamMps, 'm/s', 2)}; a pole is for less than ${amount(POLE_STREAM_MPS, 'm/s')}.`,
  }),
  repairs: (_, context) => [withoutAnchor, ...otherHours(context)],
});

/** Waves from which a boat made fast to something that does not move is jerked, m. Rule of thumb. */
const JERKED_M = 0.4;
/** A line from this length on gives enough in waves, m. Rule of thumb. */
const GIVES_FROM_M = 2;
function hasGive({ attributes: { rodeM } }: Item): boolean {
  return (rodeM ?? 0) >= GIVES_FROM_M;
}
/** What one makes fast with, where no anchor is aboard; null: nobody means to. */
function hookFor({ ground: { aboard, area }, outward }: Pick<Context, 'ground' | 'outward'>): Item | null {
  const anchored = aboard.some(({ item }) => anchorOf(item) !== null);
  if (anchored || !area || !outward.techniques.includes('anchored bait')) return null;
  return aboard.find(({ item }) => item.kind === 'structure-hook')?.item ?? null;
}
/**
 * Made fast to a pile, a buoy or a wreck's line: a way of holding of its own, and never more in stream than
 * an anchor.
 */
const madeFast = rule({
  code: 'made-fast',
  reads: ['ground', 'day', 'outward', 'workings'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'm/s',
  find: (context) => {
    const {
      day: { spot, hs },
      workings,
    } = context;
    const hook = hookFor(context);
    if (!hook) return [];
    const streamMps = Math.max(0, ...spot.map((hour) => hour.streamMps));
    const letsGo = hook.qualities.includes('release') && hook.qualities.includes('buoyed');
    const why =
      streamMps >= STREAM_STOP_MPS
        ? ('stream' as const)
        : streamMps >= BEAM_STOP_MPS && workings.alignment === 'beam'
          ? ('beam' as const)
          : streamMps >= STREAM_CARE_MPS && !letsGo
            ? ('gear' as const)
            : (hs?.value ?? 0) > JERKED_M && !(letsGo && hasGive(hook) && workings.alignment !== 'beam')
              ? ('waves' as const)
              : null;
    if (why === null) return [];
    const level = why === 'waves' ? ('mind' as const) : ('stop' as const);
    const basis = why === 'waves' ? ('judgement' as const) : ('physics' as const);
    const facts = { hook: hook.name, why, streamMps, hsM: hs?.value ?? 0, led: workings.alignment };
    return [{ level, basis, extent: Math.max(streamMps, hs?.value ?? 0), facts }];
  },
  say: ({ hook, why, streamMps, hsM, led }) => ({
    title:
      why === 'waves'
        ? `${amount(hsM, 'm')} of waves jerk a boat that is made fast`
        : `Not made fast in ${amount(streamMps, 'm/s', 2)} of stream`,
    text:
      why === 'stream'
        ? `From ${amount(1, 'm/s')} of stream what holds a small boat pulls it under; a fixed thing gives less than an anchor.`
        : why === 'beam'
          ? 'Held by the side, the stream rolls the boat over. Lead the line to bow or stern.'
          : why === 'gear'
            ? `${hook} wants a release to hand and a float on its line there, as an anchor does.`
            : `A line that gives, that breaks away before the cleat does, and that floats when it is let go; led to the ${led === 'beam' ? 'bow or stern' : led}.`,
  }),
  repairs: ({ why }, context) => [
    ...(why === 'beam' ? [{ do: 'set-alignment', alignment: 'bow' } as const] : []),
    withoutAnchor,
    ...otherHours(context),
  ],
});

/** Who owns what one makes fast to is asked: a mark, a mooring or a rig may not be used by everybody. */
const madeFastLeave = rule({
  code: 'made-fast-leave',
  reads: ['ground', 'outward'],
  station: 'workings',
  sheet: 'anchor',
  measure: 'whether',
  find: (context) => {
    const hook = hookFor(context);
    return hook ? [{ level: 'mind', basis: 'judgement', extent: 1, facts: { hook: hook.name } }] : [];
  },
  say: ({ hook }) => ({
    title: `${hook}: may one make fast there?`,
    text: 'Ask whoever owns it, or the harbour. Marks, moorings and works are often closed to others, and a boat made fast to one may be fined or run down.',
  }),
  repairs: () => [withoutAnchor],
  otherwise: () => 'Ask, and answer it with whose permission you have.',
});

/** Faster than wanted by so much it is told, and minded. */
const DRIFT_TOLD = 1.5;
const DRIFT_UNSLOWED = 1.25;
const DRIFT_MINDED = 2.5;
/** The drift by its own sum, with the drogue that is aboard, against what is wanted. */
const driftFast = rule({
  code: 'drift-fast',
  reads: ['jigs', 'outward', 'workings', 'drogueM'],
  station: 'workings',
  sheet: 'drift',
  measure: 'm/s',
  find: ({ jigs, outward: brief, workings: { targetDriftMps }, drogueM }) => {
    if (!brief.techniques.includes('drifting')) return [];
    const worst = jigs.toSorted((a, b) => b.driftMps - a.driftMps)[0];
    // Where a drogue would slow it and none is aboard, less is enough to be told.
    const unslowed = drogueM === null;
    if (!worst || worst.driftMps < targetDriftMps * (unslowed ? DRIFT_UNSLOWED : DRIFT_TOLD)) return [];
    const level =
      unslowed || worst.driftMps >= targetDriftMps * DRIFT_MINDED ? ('mind' as const) : ('note' as const);
    const facts = { driftMps: worst.driftMps, at: worst.hour.clock, wantedMps: targetDriftMps };
    return [{ level, basis: 'physics', extent: worst.driftMps, facts }];
  },
  say: ({ driftMps, at, wantedMps }) => ({
    title: `At ${at} the boat drifts ${amount(driftMps, 'm/s', 2)}`,
    text: `You want ${amount(wantedMps, 'm/s', 2)}. By wind, stream and the drogue aboard, an estimate.`,
  }),
  repairs: (_, context) => [...adding(context, ['big-drogue', 'drogue']), ...otherHours(context)],
});

export const holdingRules = [
  anchorShut,
  depthAssumed,
  anchorScope,
  anchorDrags,
  anchorNoRelease,
  beamInWaves,
  poleNoHold,
  madeFast,
  madeFastLeave,
  driftFast,
] as const;
