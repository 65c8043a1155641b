import type { KindId } from '../catalog/gear/kinds';
import type { Outward } from '../documents/outing';
import type { Aboard } from '../documents/references';
import type { Exposures } from '../exposures/exposures';
import { LEAST_SCOPE, STREAM_CARE_MPS, anchorOf } from '../holding/anchorSheet';
import { pole, stakePoles } from '../holding/pole';
import type { Bottom } from '../vocabulary/holding';
import type { needsByPurpose } from '../vocabulary/needs';
import {
  type NeedContext,
  type NeedTable,
  type Reason,
  type Shortfall,
  raised,
  reasons,
  together,
  tooLittle,
} from './need';
import { byTechnique } from './reason';

const drogues: readonly KindId[] = ['drogue', 'big-drogue', 'chain-drag'];

export const hold: NeedTable<(typeof needsByPurpose.hold)[number]> = {
  'hold-boat': {
    fits: 'by technique, bottom, depth, stream and school: a rode of three times the depth; a pole in mud or sand that it reaches; drogues for drifting',
    title: 'Hold or slow the boat',
    without: 'The boat leaves the mark faster than you can fish it.',
    raise: ({ brief }) => {
      const technique = (['anchored bait', 'drifting'] as const).find((one) =>
        brief.techniques.includes(one),
      );
      return raised('mind', 1, reasons(technique !== undefined && { because: 'technique', technique }));
    },
    disqualify: (a, { brief, exposures, places, aboard }) => {
      const { item } = a;
      if (drogues.includes(item.kind))
        return brief.techniques.includes('drifting') ? null : { code: 'wrong-technique' };
      // Of an anchor that is aboard the sheet speaks; here what is not worth bringing.
      const isAboard = aboard.some((one) => one.item.id === item.id);
      const lacks = isAboard
        ? null
        : stakePoles.includes(item.kind)
          ? poleLacks(a, places, exposures)
          : groundLacks(a, places, exposures);
      if (lacks) return lacks;
      const school = places.angler?.schools.riverAnchor;
      if (stakePoles.includes(item.kind) || !exposures.river || !inCurrent(exposures)) return null;
      if (school !== 'trolley, float and release') return { code: 'school-no-anchor' };
      return item.qualities.includes('release') ? null : { code: 'no-release' };
    },
  },
  'anchor-trolley': {
    title: 'Anchor led to bow or stern',
    without: 'Anchored by the side, the stream rolls the boat over.',
    raise: ({ exposures, brief }) =>
      raised('mind', 1, reasons(anchors(brief, exposures) && inCurrent(exposures))),
  },
  'anchor-release': {
    fits: 'a release to hand and a float on the line',
    title: 'Anchor let go by hand, and found again',
    without: 'Held fast by the stream, the bow goes under and the line will not come off.',
    raise: ({ exposures, brief }) =>
      raised('mind', 1, reasons(anchors(brief, exposures) && inCurrent(exposures))),
    disqualify: ({ item }) =>
      item.qualities.includes('release') && item.qualities.includes('buoyed') ? null : { code: 'no-release' },
  },
  'stand-up': {
    title: 'Something to stand up by',
    without: 'Getting up and down is when a standing angler goes in.',
    raise: ({ exposures }) => raised('note', 1, reasons(exposures.standing && { because: 'standing' })),
  },
  'pole-boat': {
    title: 'Pole or push the boat',
    without: 'A paddle blade slaps, and the flat empties.',
    raise: ({ exposures, brief }) =>
      raised('mind', 1, reasons(exposures.standing && byTechnique(brief, 'sight fishing'))),
    fits: 'a pole so long that it stands out of the water by {0.8 m}',
    disqualify: (a, { places: { area } }) =>
      poles.includes(a.item.kind) ? tooLittle(a, 'lengthM', (area?.depthM ?? 0) + POLE_OVER_M) : null,
  },
};

/** What stands on the bottom, and how much of it one's hands want over the water, m. */
const poles: readonly KindId[] = ['push-pole', 'stake-pole', 'short-pole'];
const POLE_OVER_M = 0.8;

/** At an anchor, as far as is known: with a pole alone there is none. */
function anchors({ techniques }: Outward, { heldByPole }: Exposures): boolean {
  return techniques.includes('anchored bait') && !heldByPole;
}
/** Stream from which an anchor needs its release, m/s. */
function inCurrent(exposures: NeedContext['exposures']): Reason | false {
  return (exposures.stream?.value ?? 0) >= STREAM_CARE_MPS && { because: 'current' };
}

/** What each anchor is made for; where its own holding was measured, that speaks. */
const groundFor: Partial<Record<KindId, readonly Bottom[]>> = {
  anchor: ['mud', 'sand', 'gravel', 'weed'],
  'fluke-anchor': ['mud', 'sand', 'gravel'],
  'grapnel-anchor': ['rock', 'weed', 'gravel'],
  'mushroom-anchor': ['mud', 'sand'],
  'structure-hook': ['rock', 'weed'],
};
/** A rode is no length that practice grants less of: its scope is asked for on the sheet. In whole metres. */
function rodeFalls({ item }: Aboard, wantM: number): Shortfall | null {
  const [have, want] = [item.attributes.rodeM ?? 0, Math.ceil(wantM)];
  return have >= want ? null : { code: 'too-little', attribute: 'rodeM', have, want };
}
/** Longer poles are not carried, m. Rule of thumb. */
const LONGEST_POLE_M = 5;
/** A pole that is short, on ground that does not hold it, or in a stream that takes it. */
function poleLacks(
  { item }: Aboard,
  { area }: NeedContext['places'],
  { spot }: NeedContext['exposures'],
): Shortfall | null {
  if (!area) return null;
  const { reaches, bottomHolds, streamAllows, neededM } = pole({
    poleM: item.attributes.lengthM ?? 0,
    depthM: Math.max(area.depthM, ...spot.map(({ depthM }) => depthM)),
    tideRiseM: 0,
    bottom: area.bottom,
    streamMps: Math.max(0, ...spot.map(({ streamMps }) => streamMps)),
  });
  if (!bottomHolds) return { code: 'wrong-bottom', bottom: area.bottom };
  if (neededM > LONGEST_POLE_M) return { code: 'deep-for-poles' };
  return together(
    !reaches && {
      code: 'too-little',
      attribute: 'lengthM',
      have: item.attributes.lengthM ?? 0,
      want: neededM,
    },
    !streamAllows && { code: 'pole-in-stream' },
  );
}
/** An anchor on the wrong ground, or with a rode too short for its least scope. */
function groundLacks(
  a: Aboard,
  { area }: NeedContext['places'],
  { spot, workings }: NeedContext['exposures'],
): Shortfall | null {
  const fits = groundFor[a.item.kind];
  if (!fits || !area) return null;
  return together(
    a.item.attributes.holdK === undefined &&
      !fits.includes(area.bottom) && { code: 'wrong-bottom', bottom: area.bottom },
    anchorOf(a.item) !== null &&
      rodeFalls(
        a,
        (Math.max(area.depthM, ...spot.map(({ depthM }) => depthM)) + workings.attachHeightM) * LEAST_SCOPE,
      ),
  );
}
