import type { needsByPurpose } from '../vocabulary/needs';
import {
  type NeedContext,
  type NeedTable,
  type Part,
  type FitContext,
  raised,
  reasons,
  together,
  tooLittle,
} from './need';
import { alone, aloneOut, farAfield, inDark, inFog, offShore } from './reason';
import { kinds } from '../catalog/gear/kinds';
import { wornPlaces } from '../catalog/gear/places';

export const back: NeedTable<(typeof needsByPurpose.back)[number]> = {
  propulsion: {
    title: 'Propulsion',
    without: 'The boat goes where wind and stream take it.',
    raise: () => ({ level: 'must', want: 1, lifeCritical: true, reasons: [{ because: 'always' }] }),
    others: ({ exposures }) =>
      exposures.drive === null || exposures.drive === 'paddle' ? [] : [{ by: 'craft', part: 'drive', shortfall: null }],
  },
  'second-propulsion': {
    far: 'landing',
    fits: 'not the paddle that one sets out with',
    title: 'Second propulsion',
    without: 'A drive or a shaft breaks, and there is nothing to come home with.',
    raise: ({ exposures }) => {
      const list = reasons(
        (exposures.drive === 'pedal' || exposures.drive === 'motor') && { because: 'drive-can-fail' },
        farAfield(exposures, 500),
        farAfield(exposures, 150) && alone(exposures),
      );
      // Within a short swim of ground a broken paddle costs a walk; in company it costs a tow.
      return raised('must', 1, exposures.solo && (exposures.maxDistanceFromShoreM ?? Infinity) > 150, list);
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
    raise: (c) => {
      const out = reasons(aloneOut(c.exposures), offShore(c.exposures, 500));
      return {
        level: 'must',
        want: leashParts(c).length,
        lifeCritical: out.length > 0,
        reasons: [...reasons({ because: 'always' }), ...out],
      };
    },
  },
  'take-water-out': {
    far: 'shore',
    fits: 'what reaches into the hull: a bailer only on an inflated floor',
    title: 'Take water out',
    without: 'A hull that fills stays full.',
    raise: ({ exposures, places }) => {
      const list = reasons(places.craft?.deck === 'sit-inside' && { because: 'closed-hull' }, offShore(exposures, 200));
      return raised('must', 1, (exposures.maxDistanceFromShoreM ?? 0) > 1000, list);
    },
    // Only the floor of an inflated boat is open to a bailer; a hull is emptied through a hatch or between the legs.
    disqualify: ({ item }, { exposures }) =>
      item.kind === 'bailer' && !exposures.inflatable ? { code: 'does-not-reach' } : null,
  },
  'stop-leak': {
    far: 'landing',
    fits: 'what sticks wet for a rigid hull, a patch for an air chamber',
    title: 'Stop a leak',
    without: 'A crack the length of a finger fills the hull.',
    raise: ({ exposures, places }) =>
      raised('should', 1, false, reasons(farAfield(exposures, places.area?.bottom === 'rock' ? 200 : 1000))),
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
        ? { level: 'must', want: 1, lifeCritical: true, reasons: [{ because: 'plugs', count: craft.drainPlugs }] }
        : null,
    others: () => [{ by: 'craft', part: 'plugs', shortfall: null }],
  },
  'tow-line': {
    fits: '{3 m} long',
    title: 'Bow or tow line',
    without: 'Nobody can tow you, and you cannot make the boat fast.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
    disqualify: (a) => tooLittle(a, 'lengthM', 3),
  },
  navigate: {
    far: 'landing',
    fits: 'compass and chart together are one; the compass counts for both',
    title: 'Know where you are',
    without: 'In dark or mist shore and landing are a guess.',
    raise: ({ exposures }) => {
      const [dark, fog, far] = [inDark(exposures), inFog(exposures), farAfield(exposures, 1000)];
      // Between two banks, in daylight, the river itself is the way.
      const between = exposures.river && !dark && !fog;
      return raised(dark && far ? 'must' : between ? 'could' : 'should', 1, false, reasons(far, dark, fog));
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
    raise: ({ places: { launch }, exposures: { solo } }) => {
      const metres = launch?.carryM ?? 0;
      return raised('should', 1, false, reasons(metres > (solo ? 100 : 300) && { because: 'carry', metres }));
    },
    alsoBy: 'anything',
    disqualify: (a, c) =>
      together(
        tooLittle(a, 'ratedKg', rollingKg(c)),
        a.item.kind === 'cart' && softGround(c) && !a.item.qualities.includes('wide') && { code: 'tyres-sink' },
      ),
  },
  'on-vehicle': {
    fits: 'what holds the boat down: a flag marks, bars carry',
    title: 'Tied on the vehicle',
    without: 'The boat leaves the roof.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
    disqualify: ({ item }) => (item.kind === 'straps' ? null : { code: 'ties-nothing' }),
  },
  keys: {
    fits: 'afloat, or waterproof and tied on; a box stays with the vehicle',
    title: 'Keys kept',
    without: 'You stand wet beside a locked vehicle.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
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
    raise: ({ exposures, places }) =>
      raised(
        'should',
        1,
        false,
        reasons(
          farAfield(exposures, 1000),
          inDark(exposures),
          places.water?.tide !== null && farAfield(exposures, 500) && { because: 'tide' },
        ),
      ),
  },
  'keep-air': {
    title: 'Pump and gauge',
    without: 'Cool water softens the chambers, and a soft boat folds and drags.',
    raise: ({ exposures }) => raised('should', 1, false, reasons(exposures.inflatable && { because: 'inflatable' })),
  },
  'mend-drive': {
    far: 'landing',
    title: 'Mend the drive',
    without: 'A pin the size of a match ends the drive.',
    raise: ({ exposures }) => {
      const mechanical = exposures.drive === 'pedal' || exposures.drive === 'motor';
      return raised('should', 1, false, reasons(mechanical && farAfield(exposures, 1000)));
    },
  },
};

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
  return riding.reduce((sum, { item, entry }) => sum + item.massKg * entry.quantity, places.craft?.massKg ?? 0);
}
function softGround({ places: { launch } }: NeedContext): boolean {
  return launch?.surface === 'soft sand' || launch?.surface === 'mud';
}
