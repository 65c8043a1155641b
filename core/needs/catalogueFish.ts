import { speciesTable } from '../species/species';
import type { needsByPurpose } from './ids';
import { type NeedContext, type NeedTable, type Reason, type Shortfall, raised, reasons, tooLittle } from './need';
import { fishing, keepsFish, largestFish } from './reason';
import type { Aboard } from '../outing/references';

/** A net's hoop and bag against the largest likely fish. */
const HOOP_SHARE = 0.6;
const BAG_SHARE = 0.5;
/** Longer than this, alone: two ways to land it. */
const LARGE_FISH_M = 1;

const withLures = ['casting', 'jigging', 'trolling', 'fly', 'sight fishing'] as const;
const competing = (c: NeedContext): Reason | false => c.e.competition && { because: 'competition' };

export const hook: NeedTable<(typeof needsByPurpose.hook)[number]> = {
  licence: {
    title: 'Licence and permits',
    without: 'You fish against the law of the place.',
    raise: ({ e }) => raised('law', 1, false, reasons(fishing(e))),
  },
  rods: {
    title: 'A rod that suits',
    without: 'There is nothing to fish with.',
    raise: (c) =>
      raised('must', 1, false, reasons(fishing(c.e), onlyFly(c) && { because: 'technique', technique: 'fly' })),
    lacks: ({ item }, c) => (onlyFly(c) && item.kind !== 'fly-rod' ? { code: 'wrong-technique' } : null),
  },
  'rod-retention': {
    title: 'Every rod leashed',
    without: 'A take or a capsize, and the rod is on the bottom.',
    raise: ({ e }) => raised('must', e.rods, false, reasons(e.rods > 0 && { because: 'rods', count: e.rods })),
  },
  lures: {
    title: 'Lures or flies',
    without: 'There is nothing to cast.',
    raise: ({ e, brief }) => {
      const technique = withLures.find((one) => brief.techniques.includes(one));
      return raised(
        'must',
        1,
        false,
        reasons(fishing(e) && technique !== undefined && { because: 'technique', technique }),
      );
    },
    lacks: ({ item }, c) => (onlyFly(c) && item.kind !== 'fly-box' ? { code: 'wrong-technique' } : null),
  },
  leader: {
    title: 'Leader',
    without: 'The fish leaves with the lure, and a hook in its jaw.',
    raise: ({ e }) =>
      raised(e.toothy ? 'must' : 'should', 1, false, reasons(fishing(e), e.toothy && { because: 'toothy' })),
    lacks: ({ item }, { e }) => (e.toothy && item.kind !== 'bite-leader' ? { code: 'bites-through' } : null),
  },
  bait: {
    title: 'Bait, kept well',
    without: 'The day waits for bait.',
    raise: ({ e, brief }) => {
      const technique = (['live bait', 'anchored bait'] as const).find((one) => brief.techniques.includes(one));
      return raised(
        'must',
        1,
        false,
        reasons(fishing(e) && technique !== undefined && { because: 'technique', technique }),
      );
    },
  },
  'find-depth': {
    title: 'Depth and speed',
    without: 'The lure runs above the fish, or under them.',
    raise: ({ e, brief }) => {
      const technique = (['trolling', 'jigging', 'drifting'] as const).find((one) => brief.techniques.includes(one));
      const level = technique === 'trolling' ? 'should' : 'could';
      return raised(
        level,
        1,
        false,
        reasons(fishing(e) && technique !== undefined && { because: 'technique', technique }),
      );
    },
  },
};

export const land: NeedTable<(typeof needsByPurpose.land)[number]> = {
  'land-fish': {
    title: 'Land the fish',
    without: 'The fish is lost, or hurt, at the side of the boat.',
    raise: ({ e }) =>
      raised('must', e.solo && (e.largest?.lengthM ?? 0) > LARGE_FISH_M ? 2 : 1, false, reasons(largestFish(e))),
    lacks: landingLacks,
  },
  unhook: {
    title: 'Unhook',
    without: 'The fish dies of the wait, or the hook goes into you.',
    distinctKinds: true,
    raise: ({ e }) =>
      raised('must', e.toothy ? 2 : 1, false, reasons(largestFish(e), e.toothy && { because: 'toothy' })),
  },
  measure: {
    title: 'Measure',
    without: 'You cannot know whether the fish may be kept, or counts.',
    raise: (c) => {
      const list = reasons(competing(c), keepsFish(c.e));
      return raised(c.e.competition ? 'must' : 'should', c.e.competition ? 2 : 1, false, list);
    },
    lacks: (a, { e }) => tooLittle(a, 'lengthM', e.largest?.lengthM ?? 0),
  },
  dispatch: {
    title: 'Kill and bleed it quickly',
    without: 'A kept fish suffocates slowly.',
    raise: ({ e }) => raised('must', 1, false, reasons(keepsFish(e))),
  },
  'cold-store': {
    title: 'Keep it cold',
    without: 'The fish spoils before it is home.',
    raise: ({ e }) => raised('must', 1, false, reasons(keepsFish(e))),
    lacks: (a, { e, brief }) => {
      const longest = Math.max(0, ...brief.targets.map((id) => speciesTable[id].usual.lengthM));
      return tooLittle(a, 'hours', Math.min(e.hoursAfloat ?? 0, 24)) ?? tooLittle(a, 'lengthM', longest);
    },
  },
  identifier: {
    title: 'Identifier',
    without: 'A measured fish without it does not count.',
    raise: (c) => raised('must', 1, false, reasons(competing(c))),
  },
  photograph: {
    title: 'Two ways to photograph',
    without: 'One dropped phone ends the day.',
    distinctKinds: true,
    raise: (c) => raised('must', 2, false, reasons(competing(c))),
  },
};

export const hold: NeedTable<(typeof needsByPurpose.hold)[number]> = {
  'hold-boat': {
    title: 'Hold or slow the boat',
    without: 'The boat leaves the mark faster than you can fish it.',
    raise: ({ brief }) => {
      const technique = (['anchored bait', 'drifting'] as const).find((one) => brief.techniques.includes(one));
      return raised('should', 1, false, reasons(technique !== undefined && { because: 'technique', technique }));
    },
    lacks: ({ item }, { brief }) =>
      item.kind === 'drogue' && !brief.techniques.includes('drifting') ? { code: 'wrong-technique' } : null,
  },
};

function onlyFly({ brief }: NeedContext): boolean {
  return brief.techniques.includes('fly') && brief.techniques.every((one) => one === 'fly' || one === 'sight fishing');
}

function landingLacks(a: Aboard, { e, brief }: NeedContext): Shortfall | null {
  const largest = e.largest?.lengthM ?? 0;
  const released = e.keep === 0;
  if (a.item.kind === 'gaff') {
    if (e.inflatable) return { code: 'gaff-inflatable' };
    return released ? { code: 'gaff-release' } : null;
  }
  if (a.item.kind === 'lip-grip') {
    const soft = brief.targets.some((id) => speciesTable[id].mouth === 'small');
    return soft ? { code: 'grip-mouth' } : null;
  }
  if (released && !a.item.qualities.includes('coated')) return { code: 'not-coated' };
  return tooLittle(a, 'hoopM', largest * HOOP_SHARE) ?? tooLittle(a, 'bagM', largest * BAG_SHARE);
}
