import type { needsByPurpose } from '../vocabulary/needs';
import {
  type NeedContext,
  type NeedTable,
  type Part,
  type FitContext,
  type RaiseContext,
  atMost,
  louder,
  onScale,
  raised,
  reasons,
  together,
  tooLittle,
} from './need';
import {
  AT_THE_LANDING_M,
  alone,
  farAfield,
  inDark,
  inFog,
  inRough,
  isMoving,
  isNearGround,
  offShore,
  outOvernight,
} from './reason';
import { NEAR_GROUND_M } from '../exposures/seriousness';
import type { FindingLevel } from '../vocabulary/levels';
import { kinds } from '../catalog/gear/kinds';
import { wornPlaces } from '../catalog/gear/places';

export const back: NeedTable<(typeof needsByPurpose.back)[number]> = {
  propulsion: {
    title: 'Propulsion',
    without: 'The boat goes where wind and stream take it.',
    raise: () => raised('stop', 1, [{ because: 'always' }]),
    others: ({ exposures }) =>
      exposures.drive === null || exposures.drive === 'paddle'
        ? []
        : [{ by: 'craft', part: 'drive', shortfall: null }],
  },
  'second-propulsion': {
    far: 'landing',
    fits: 'not the paddle that one sets out with',
    title: 'Second propulsion',
    without: 'A drive or a shaft breaks, and there is nothing to come home with.',
    raise: ({ exposures }) => {
      const list = reasons(
        (exposures.drive === 'pedal' || exposures.drive === 'motor') && { because: 'drive-can-fail' },
        farAfield(exposures, AT_THE_LANDING_M),
        farAfield(exposures, AT_THE_LANDING_M) && alone(exposures),
      );
      // A drive fails sooner than a paddle, and a wind takes the boat where it blows.
      const driven = exposures.drive !== 'paddle';
      const sooner = (driven ? 0.5 : 0) + Math.min(1, Math.max(0, ((exposures.wind?.value ?? 0) - 4) / 4));
      const level = movingHomeLevel(exposures, { more: sooner, stop: 4.7 });
      // With a drive and no paddle at all one part that breaks leaves nothing: near ground too that is a Mind.
      return raised(driven ? louder(level, movingHomeLevel(exposures, { more: 2 })) : level, 1, list);
    },
    disqualify: ({ item }, c) =>
      c.exposures.drive === 'paddle' && item.id === c.firstPaddleId ? { code: 'first-paddle' } : null,
  },
  'paddle-retained': {
    fits: 'a set: a leash on the paddle, and on a pedal drive',
    title: 'Paddle and drive leashed',
    without: 'In a capsize the paddle leaves faster than you can swim.',
    far: 'shore',
    parts: leashParts,
    partly: ({ unmet }) => unmet,
    // In moving water a line from the boat or the paddle holds a swimmer fast.
    raise: (c) =>
      isMoving(c.exposures) || c.exposures.rapids > 0
        ? null
        : raised(
            movingHomeLevel(c.exposures),
            leashParts(c).length,
            reasons(farAfield(c.exposures, AT_THE_LANDING_M), alone(c.exposures), offShore(c.exposures, 500)),
          ),
  },
  'take-water-out': {
    far: 'shore',
    fits: 'what reaches into the hull: a bailer only on an inflated floor',
    title: 'Take water out',
    without: 'A hull that fills stays full.',
    raise: ({ exposures, places }) => {
      const closed = places.craft?.deck === 'sit-inside';
      const list = reasons(
        closed && { because: 'closed-hull' },
        offShore(exposures, NEAR_GROUND_M),
        inRough(exposures),
      );
      const { ground, alone: aloneStep, dark, rough } = exposures.seriousness;
      // A closed hull is full after one capsize.
      const unmet = onScale(ground + (aloneStep + dark) / 2 + rough + (closed ? 1 : 0), {
        note: 0.5,
        mind: 2,
        stop: 3.5,
      });
      return raised(isNearGround(exposures) && !closed ? atMost('note', unmet) : unmet, 1, list);
    },
    // Only the floor of an inflated boat is open to a bailer; a hull is emptied through a hatch or between
    // the legs.
    disqualify: ({ item }, { exposures }) =>
      item.kind === 'bailer' && !exposures.inflatable ? { code: 'does-not-reach' } : null,
  },
  'stop-leak': {
    far: 'landing',
    fits: 'what sticks wet for a rigid hull, a patch for an air chamber',
    title: 'Stop a leak',
    without: 'A crack the length of a finger fills the hull.',
    raise: ({ exposures, places }) => {
      const { seriousness, solo, nights, inflatable } = exposures;
      const { ground, alone: aloneStep, dark } = seriousness;
      const rock = places.area?.bottom === 'rock';
      const softer = (inflatable ? 1 : 0) + (rock ? 0.5 : 0);
      const unmet = onScale(ground + (aloneStep + dark) / 2 + softer, { note: 2, mind: 3.4 });
      const farWay = farAfield(exposures, 2000);
      return raised(
        nights > 0 ? 'mind' : isNearGround(exposures) ? (solo && farWay ? 'note' : null) : unmet,
        1,
        reasons(farAfield(exposures, rock ? 200 : NEAR_GROUND_M), outOvernight(exposures)),
      );
    },
    disqualify: ({ item }, { exposures }) =>
      (item.kind === 'patch-kit') === exposures.inflatable
        ? null
        : { code: exposures.inflatable ? 'not-for-chambers' : 'for-chambers' },
  },
  plugs: {
    title: 'Drain plugs in',
    without: 'The hull fills slowly, and you notice far out.',
    raise: ({ places: { craft } }) =>
      craft && craft.drainPlugs > 0
        ? raised('stop', 1, [{ because: 'plugs', count: craft.drainPlugs }])
        : null,
    others: () => [{ by: 'craft', part: 'plugs', shortfall: null }],
  },
  'tow-line': {
    fits: '{3 m} long',
    title: 'Bow or tow line',
    without: 'Nobody can tow you, and you cannot make the boat fast.',
    raise: ({ exposures }) => {
      const { solo, seriousness } = exposures;
      // Alone it is for whoever comes to help; near ground one walks.
      const unmet = solo
        ? onScale(seriousness.ground, { note: 1.9 })
        : onScale(seriousness.ground + seriousness.rough, { note: 0.7, mind: 2.5 });
      return raised(unmet, 1, [{ because: 'always' }]);
    },
    disqualify: (a) => tooLittle(a, 'lengthM', 3),
  },
  navigate: {
    far: 'landing',
    fits: 'compass and chart together are one; the compass counts for both',
    title: 'Know where you are',
    without: 'In dark or mist shore and landing are a guess.',
    raise: ({ exposures }) => {
      const { ground, dark, fog } = exposures.seriousness;
      const unmet = onScale(ground + dark * 1.5 + fog, { note: 1.9, mind: 2.5 });
      return raised(
        isNearGround(exposures) ? atMost('note', unmet) : unmet,
        1,
        reasons(farAfield(exposures, 1000), inDark(exposures), inFog(exposures)),
      );
    },
    // Chart and compass are one means together: the compass counts for both.
    disqualify: ({ item }, { aboard }) => {
      const isAboard = (kind: string) => aboard.some((other) => other.item.kind === kind);
      if (item.kind === 'chart') return { code: 'needs-compass' };
      return item.kind === 'compass' && !isAboard('chart') ? { code: 'needs-chart' } : null;
    },
  },
  carry: {
    fits: 'rated for the boat with what rides on it; wide tyres on soft sand and mud; four hands carry a boat {300 m}, two {100 m}',
    title: 'Carry to the water',
    without: 'A back is hurt before the day begins.',
    raise: ({ places: { launch }, exposures: { solo, rolls } }) => {
      const metres = launch?.carryM ?? 0;
      // What is rolled all the same has to bear it.
      const far = metres > (solo ? 100 : 300) || (rolls && metres > 20);
      return raised('mind', 1, reasons(far && { because: 'carry', metres }));
    },
    alsoBy: 'anything',
    disqualify: (a, c) =>
      together(
        tooLittle(a, 'ratedKg', rollingKg(c)),
        a.item.kind === 'cart' &&
          softGround(c) &&
          !a.item.qualities.includes('wide') && { code: 'tyres-sink' },
      ),
  },
  'on-vehicle': {
    fits: 'what holds the boat down: a flag marks, bars carry',
    title: 'Tied on the vehicle',
    without: 'The boat leaves the roof.',
    raise: () => raised('mind', 1, [{ because: 'always' }]),
    disqualify: ({ item }) => (item.kind === 'straps' ? null : { code: 'ties-nothing' }),
  },
  keys: {
    fits: 'afloat, or waterproof and tied on; a box stays with the vehicle',
    title: 'Keys kept',
    without: 'You stand wet beside a locked vehicle.',
    raise: () => raised('note', 1, [{ because: 'always' }]),
    // A box stays with the vehicle; what goes afloat floats, or is waterproof and tied on.
    disqualify: ({ item: { kind, qualities } }) =>
      kind === 'key-box' ||
      qualities.includes('floats') ||
      (qualities.includes('waterproof') && qualities.includes('tethered'))
        ? null
        : together(
            { code: 'sinks' },
            !qualities.includes('waterproof') && { code: 'not-waterproof' },
            !qualities.includes('tethered') && { code: 'not-tied' },
          ),
  },
  hour: {
    far: 'landing',
    title: 'The hour, to hand',
    without: 'The turn-back passes unseen.',
    raise: ({ exposures, places }) => {
      const { ground, fog } = exposures.seriousness;
      const dark = exposures.nightMinutes >= 1 ? 1 : 0;
      const tide = places.water?.tide !== null && farAfield(exposures, 500);
      return raised(
        isNearGround(exposures) ? null : onScale(ground + dark + fog, { note: 1.9, mind: 3.1 }),
        1,
        reasons(farAfield(exposures, 1000), inDark(exposures), tide && { because: 'tide' }),
      );
    },
  },
  'keep-air': {
    title: 'Pump and gauge',
    without: 'Cool water softens the chambers, and a soft boat folds and drags.',
    raise: ({ exposures }) => raised('note', 1, reasons(exposures.inflatable && { because: 'inflatable' })),
  },
  'mend-drive': {
    far: 'landing',
    title: 'Mend the drive',
    without: 'A pin the size of a match ends the drive.',
    raise: ({ exposures }) => {
      const mechanical = exposures.drive === 'pedal' || exposures.drive === 'motor';
      const unmet = isNearGround(exposures)
        ? 'note'
        : onScale(exposures.seriousness.total, { note: 0, mind: 4 });
      return raised(unmet, 1, reasons(mechanical && farAfield(exposures, 1000)));
    },
  },
};

/**
 * What is told where nothing moves the boat home, or it may be lost.
 * @param more steps on top of the outing's own
 * @param stop from which it is a Stop; left out: never
 */
function movingHomeLevel(
  exposures: RaiseContext['exposures'],
  { more = 0, stop = Infinity }: { more?: number; stop?: number } = {},
): FindingLevel | null {
  if (!farAfield(exposures, AT_THE_LANDING_M)) return null;
  return onScale(exposures.seriousness.total + more, { note: -1, mind: 2.4, stop });
}

const paddlePart: Part = { id: 'paddle', name: 'a leash on the paddle', kinds: ['paddle-leash'] };
const drivePart: Part = { id: 'drive', name: 'a leash on the drive', kinds: ['drive-leash'] };
const leashSets = { paddle: [paddlePart], both: [paddlePart, drivePart] } as const;
function leashParts({ exposures: { drive } }: FitContext): readonly Part[] {
  return leashSets[drive === 'pedal' ? 'both' : 'paddle'];
}

/** What rolls to the water on a cart: the boat, and what is neither worn nor left at the vehicle, kg. */
function rollingKg({ places, aboard }: NeedContext): number {
  const riding = aboard.filter(({ item }) => {
    const { place } = kinds[item.kind];
    return place !== 'vehicle' && !wornPlaces.includes(place);
  });
  return riding.reduce(
    (sum, { item, entry }) => sum + item.massKg * entry.quantity,
    places.craft?.massKg ?? 0,
  );
}
function softGround({ places: { launch } }: NeedContext): boolean {
  return launch?.surface === 'soft sand' || launch?.surface === 'mud';
}
