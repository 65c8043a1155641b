import type { needsByPurpose } from '../vocabulary/needs';
import {
  type NeedContext,
  type FitContext,
  type RaiseContext,
  type NeedTable,
  type Part,
  type Reason,
  type Shortfall,
  ownSort,
  raised,
  reasons,
  together,
  tooLittle,
} from './need';
import type { KindId } from '../catalog/gear/kinds';
import { WET_SACK_HOURS } from '../exposures/exposures';
import type { Technique } from '../vocabulary/trips';
import { BAG_SHARE, HOOP_SHARE, tooToothyToGrip, unhookingParts } from '../catalog/species/handling';
import { halfAndHalf, iceSum } from '../provisions/supplies';
import {
  AT_THE_LANDING_M,
  byTechnique,
  deeper,
  farAfield,
  fishing,
  inRough,
  isNearGround,
  keepsFish,
  largestFish,
} from './reason';
import type { Aboard } from '../documents/references';

/** Drawn up from deeper than this, a fish swells, m. Usual practice. */
const SWELLS_FROM_M = 10;
const deepJigs: readonly KindId[] = ['jig-box', 'squid-jigs'];
/** Longer than this, alone: two ways to land it. */
const LARGE_FISH_M = 1;

/** Bait is hooked, and brought to where the fish are. */
const terminalParts: readonly Part[] = [
  { id: 'hook', name: 'hooks', kinds: ['hook-packet', 'jig-heads', 'rig-wallet'] },
  { id: 'weight', name: 'sinkers or floats', kinds: ['sinkers', 'floats'] },
];
const withLures = ['casting', 'jigging', 'trolling', 'fly', 'sight fishing'] as const;
const competing = (c: RaiseContext): Reason | false => c.exposures.competition && { because: 'competition' };

export const hook: NeedTable<(typeof needsByPurpose.hook)[number]> = {
  licence: {
    fits: 'your own, in date on the last day',
    title: 'Licence and permits',
    without: 'Most places ask for one, in your own name and for the day.',
    // What the law asks for stands in a rule pack; without one it is practice to have asked.
    raise: ({ exposures }) => raised('mind', 1, reasons(fishing(exposures))),
  },
  rods: {
    fits: 'for the technique: a fly rod for the fly, a hand line for what hangs straight down',
    title: 'A rod that suits',
    without: 'There is nothing to fish with.',
    raise: (c) =>
      raised(
        'mind',
        1,
        reasons(fishing(c.exposures), onlyFly(c) && { because: 'technique', technique: 'fly' }),
      ),
    disqualify: ({ item }, c) => (rodSuits(item.kind, c) ? null : { code: 'wrong-technique' }),
  },
  'rod-retention': {
    title: 'Every rod leashed',
    without: 'A take or a capsize, and the rod is on the bottom.',
    raise: ({ exposures }) =>
      raised(
        inRough(exposures) ? 'mind' : farAfield(exposures, AT_THE_LANDING_M) ? 'note' : null,
        exposures.rods,
        reasons(exposures.rods > 0 && { because: 'rods', count: exposures.rods }),
      ),
  },
  lures: {
    fits: 'for the technique: flies for the fly, jigs where one jigs or drifts; to jig deeper than {15 m}, jigs',
    title: 'Lures or flies',
    alsoBy: deepJigs,
    without: 'There is nothing to cast.',
    raise: ({ exposures, brief }) => {
      const technique = withLures.find((one) => brief.techniques.includes(one));
      return raised(
        'mind',
        1,
        reasons(fishing(exposures) && technique !== undefined && { because: 'technique', technique }),
      );
    },
    disqualify: ({ item }, c) =>
      lureSuits(item.kind, c)
        ? isLightToJig(item.kind, c)
          ? { code: 'light-to-jig' }
          : null
        : { code: 'wrong-technique' },
  },
  leader: {
    fits: 'stands teeth where the fish has them, and only there',
    title: 'Leader',
    without: 'The fish leaves with the lure, and a hook in its jaw.',
    raise: ({ exposures }) =>
      raised(
        exposures.toothy ? 'mind' : 'note',
        1,
        reasons(fishing(exposures), exposures.toothy && { because: 'toothy' }),
      ),
    disqualify: ({ item }, { exposures }) =>
      item.qualities.includes('bites') === exposures.toothy
        ? null
        : { code: exposures.toothy ? 'bites-through' : 'wire-unneeded' },
  },
  bait: {
    fits: 'alive for live bait: a cold box keeps dead bait only',
    title: 'Bait, kept well',
    without: 'The day waits for bait.',
    raise: ({ exposures, brief }) => {
      const technique = (['live bait', 'anchored bait'] as const).find((one) =>
        brief.techniques.includes(one),
      );
      return raised(
        'mind',
        1,
        reasons(fishing(exposures) && technique !== undefined && { because: 'technique', technique }),
      );
    },
    disqualify: ({ item }, { brief: { techniques } }) =>
      item.kind === 'bait-cooler' && techniques.includes('live bait') && !techniques.includes('anchored bait')
        ? { code: 'keeps-dead-bait' }
        : null,
  },
  'find-depth': {
    title: 'Depth and speed',
    without: 'The lure runs above the fish, or under them.',
    raise: ({ exposures, brief, places }) => {
      const technique = (['trolling', 'jigging', 'drifting'] as const).find((one) =>
        brief.techniques.includes(one),
      );
      const needed = places.angler?.schools.sounder === 'needed';
      return raised(
        technique === 'trolling' || needed ? (isNearGround(exposures) ? 'note' : 'mind') : null,
        1,
        reasons(
          fishing(exposures) && technique !== undefined && { because: 'technique', technique },
          fishing(exposures) && needed && { because: 'sounder-school' },
        ),
      );
    },
  },
  terminal: {
    fits: 'a set: what hooks, and what sinks or floats it',
    title: 'Hooks and sinkers',
    without: 'Bait without a hook feeds the fish; without a weight or a float it is not where they are.',
    parts: () => terminalParts,
    partly: ({ unmet }) => unmet,
    raise: ({ exposures, brief }) =>
      raised(
        'mind',
        terminalParts.length,
        reasons(fishing(exposures) && byTechnique(brief, 'live bait', 'anchored bait')),
      ),
  },
  'rod-holders': {
    title: 'Rods held for trolling',
    without: 'A rod under the arm goes at the first take.',
    raise: ({ exposures, brief }) =>
      raised('note', 1, reasons(fishing(exposures) && byTechnique(brief, 'trolling'))),
  },
  'see-into-water': {
    title: 'See into the water',
    without: 'The fish sees you first.',
    raise: ({ exposures, brief }) =>
      raised('note', 1, reasons(fishing(exposures) && byTechnique(brief, 'sight fishing'))),
  },
  'line-clear': {
    title: 'Fly line kept clear',
    without: 'A loop round a foot, a pedal or a cleat.',
    raise: ({ exposures, brief }) =>
      raised(null, 1, reasons(fishing(exposures) && byTechnique(brief, 'fly'))),
  },
  'bait-catching': {
    title: 'Catch the bait',
    without: 'Without bait ashore, the morning goes looking for it.',
    raise: ({ exposures, brief }) =>
      raised(null, 1, reasons(fishing(exposures) && byTechnique(brief, 'live bait'))),
  },
};

export const land: NeedTable<(typeof needsByPurpose.land)[number]> = {
  'land-fish': {
    fits: 'by size, teeth, mouth and fate: a hoop of 0.6 and a bag of 0.5 of its length, coated for what goes back; no gaff and no rope for that, no gaff in an inflatable; no grip for small mouths or large teeth; alone, for a large fish, two of them',
    title: 'Land the fish',
    without: 'The fish is lost, or hurt, at the side of the boat.',
    raise: ({ exposures }) =>
      raised(
        'mind',
        exposures.solo && (exposures.largest?.lengthM ?? 0) > LARGE_FISH_M ? 2 : 1,
        reasons(largestFish(exposures)),
      ),
    disqualify: landingLacks,
  },
  unhook: {
    fits: 'by size, teeth and mouth, from the species’ own page: long pliers, jaw spreader and cutter; forceps or a disgorger',
    title: 'Unhook',
    without: 'The fish dies of the wait, or the hook goes into you.',
    parts: ({ places }) => unhookingParts(places.targets),
    raise: ({ exposures, places }) =>
      raised(
        'mind',
        unhookingParts(places.targets).length,
        reasons(largestFish(exposures), exposures.toothy && { because: 'toothy' }),
      ),
    disqualify: ({ item }, { places }) =>
      unhookingParts(places.targets).some((part) => part.kinds.includes(item.kind))
        ? null
        : { code: 'tool-small' },
  },
  measure: {
    fits: 'afloat or tied on, and as long as the largest likely fish',
    title: 'Measure',
    without: 'You cannot know whether the fish may be kept, or counts.',
    raise: (c) => {
      const list = reasons(competing(c), keepsFish(c.exposures));
      return raised('mind', c.exposures.competition ? 2 : 1, list);
    },
    disqualify: (a, { exposures }) =>
      together(
        ...(a.item.qualities.includes('floats') || a.item.qualities.includes('tethered')
          ? []
          : ([{ code: 'sinks' }, { code: 'not-tied' }] as const)),
        tooLittle(a, 'lengthM', exposures.largest?.lengthM ?? 0),
      ),
  },
  dispatch: {
    fits: 'what stuns it: a bleed knife is one piece of a set',
    title: 'Kill and bleed it quickly',
    without: 'A kept fish suffocates slowly.',
    raise: ({ exposures }) => raised('mind', 1, reasons(keepsFish(exposures))),
    disqualify: ({ item }) => (item.kind === 'bleed-knife' ? { code: 'one-piece' } : null),
  },
  'cold-store': {
    fits: 'for the hours, and as long as the fish; a wet sack for three hours',
    title: 'Keep it cold',
    without: 'The fish spoils before it is home.',
    raise: ({ exposures }) => raised('mind', 1, reasons(keepsFish(exposures))),
    disqualify: (a, { exposures }) => {
      const longest = exposures.largest?.lengthM ?? 0;
      const hours = Math.min(exposures.hoursAfloat ?? 0, 24);
      return together(
        a.item.kind === 'wet-sack'
          ? hours > WET_SACK_HOURS && { code: 'dries-out' }
          : tooLittle(a, 'hours', hours),
        tooLittle(a, 'lengthM', longest),
      );
    },
  },
  identifier: {
    title: 'Identifier',
    without: 'A measured fish without it does not count.',
    fits: 'waterproof: bare paper wants a sleeve',
    disqualify: ({ item }) => (item.qualities.includes('waterproof') ? null : { code: 'not-waterproof' }),
    raise: (c) => raised('mind', 1, reasons(competing(c))),
  },
  photograph: {
    fits: 'two of different kinds',
    title: 'Two ways to photograph',
    without: 'One dropped phone ends the day.',
    sort: ownSort,
    raise: (c) => raised('mind', 2, reasons(competing(c))),
  },
  'fish-care': {
    title: 'A wet place for the fish',
    without: 'Slime left on a dry deck is skin the fish needs.',
    raise: ({ exposures }) =>
      raised(null, 1, reasons(fishing(exposures) && exposures.keep === 0 && { because: 'released' })),
  },
  'send-down': {
    title: 'Send it back down',
    without: 'A fish blown up from the deep floats, and the gulls have it.',
    raise: ({ exposures, places }) =>
      raised(
        'mind',
        1,
        reasons(fishing(exposures) && exposures.keep === 0 && deeper(places.area?.depthM, SWELLS_FROM_M)),
      ),
  },
  ice: {
    fits: 'none where a wet sack cools by drying: air to 65 % damp, for three hours',
    title: 'Ice',
    without: 'The store warms, and the fish with it.',
    amount: 'iceKg',
    share: halfAndHalf,
    // A wet sack within its limits cools by drying.
    raise: (c) =>
      c.exposures.coolsByDrying ? null : raised('mind', iceWanted(c), reasons(keepsFish(c.exposures))),
  },
};

/** Ice for what is kept, in the store that is aboard or else a usual bag, to a tenth of a kilogram. */
function iceWanted({ exposures }: RaiseContext): number {
  return Math.ceil((iceSum(exposures).iceKg - 1e-9) * 10) / 10;
}

function onlyFly({ brief }: Pick<FitContext, 'brief'>): boolean {
  return (
    brief.techniques.includes('fly') &&
    brief.techniques.every((one) => one === 'fly' || one === 'sight fishing')
  );
}

function landingLacks(a: Aboard, { exposures, places }: NeedContext): Shortfall | null {
  const largest = exposures.largest?.lengthM ?? 0;
  const released = exposures.keep === 0;
  if (a.item.kind === 'gaff')
    return together(
      exposures.inflatable && { code: 'gaff-inflatable' },
      released && { code: 'gaff-release' },
    );
  if (a.item.kind === 'lip-grip')
    return together(
      places.targets.some((one) => one.mouth === 'small') && { code: 'grip-mouth' },
      places.targets.some(tooToothyToGrip) && { code: 'grip-teeth' },
    );
  if (a.item.kind === 'tail-rope')
    return together(largest <= LARGE_FISH_M && { code: 'rope-small' }, released && { code: 'rope-release' });
  return together(
    released && !a.item.qualities.includes('coated') && { code: 'not-coated' },
    tooLittle(a, 'hoopM', largest * HOOP_SHARE),
    tooLittle(a, 'bagM', largest * BAG_SHARE),
  );
}

/** Deeper than this nothing but a jig gets down to the fish and stays there, m. Rule of thumb. */
const JIG_DEEP_M = 15;
/** Where one jigs deep, what does not get down; beside jigs, it is there to be cast. */
function isLightToJig(kind: KindId, { brief, places, aboard }: NeedContext): boolean {
  const deep = brief.techniques.includes('jigging') && (places.area?.depthM ?? 0) > JIG_DEEP_M;
  return deep && !deepJigs.includes(kind) && !aboard.some(({ item }) => deepJigs.includes(item.kind));
}
/** Kinds of rods and lures that serve some techniques only; the others serve any but the fly. */
const rodsFor: Partial<Record<KindId, readonly Technique[]>> = {
  'fly-rod': ['fly', 'sight fishing'],
  'hand-line': ['drifting', 'anchored bait'],
};
const luresFor: Partial<Record<KindId, readonly Technique[]>> = {
  'fly-box': ['fly', 'sight fishing'],
  'jig-box': ['jigging', 'drifting', 'casting'],
  'squid-jigs': ['jigging', 'drifting'],
};
function rodSuits(kind: KindId, c: FitContext): boolean {
  if (onlyFly(c)) return kind === 'fly-rod';
  return rodsFor[kind]?.some((one) => c.brief.techniques.includes(one)) ?? true;
}
function lureSuits(kind: KindId, c: FitContext): boolean {
  if (onlyFly(c)) return kind === 'fly-box';
  return luresFor[kind]?.some((one) => c.brief.techniques.includes(one)) ?? true;
}
