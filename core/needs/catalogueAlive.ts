import { DRYSUIT_BELOW_C, WETSUIT_BELOW_C } from '../environment/immersion';
import { outingHours } from '../documents/hours';
import { minutesBetween } from '../units/time';
import type { needsByPurpose } from '../vocabulary/needs';
import type { QualityId } from '../catalog/gear/attributes';
import type { KindId } from '../catalog/gear/kinds';
import type { Aboard } from '../documents/references';
import {
  type NeedContext,
  type RaiseContext,
  type NeedTable,
  type Shortfall,
  raised,
  reasons,
  tooLittle,
} from './need';
import { alone, coldAir, coldWater, farther, inDark, inRapids, outOvernight, throughSurf } from './reason';

/** Heavier than this, a step helps to get in. Rule of thumb. */
const HEAVY_KG = 100;
const WARM_HANDS_BELOW_C = 12;
const WARM_HEAD_BELOW_C = 10;
/** Light hours carried for each hour of dark. */
const LIGHT_MARGIN = 1.5;

export const alive: NeedTable<(typeof needsByPurpose.alive)[number]> = {
  buoyancy: {
    title: 'Buoyancy, worn',
    without: 'Nothing holds your head up while you get back to the boat.',
    raise: (c) => ({
      level: 'must',
      want: 1,
      lifeCritical: true,
      reasons: reasons(
        { because: 'always' },
        openWater(c) && { because: 'open-water' },
        cannotSwim(c) && { because: 'cannot-swim' },
      ),
    }),
    disqualify: (a, c) =>
      a.item.qualities.includes('approved')
        ? (tooLittle(a, 'newtons', openWater(c) || cannotSwim(c) ? 100 : 50) ?? jacketSize(a, c))
        : { code: 'not-approved' },
  },
  'sound-signal': {
    title: 'Sound signal',
    without: 'A voice does not carry over wind and water.',
    distinctKinds: true,
    raise: ({ exposures }) => ({
      level: 'must',
      want: exposures.traffic === 'busy' ? 2 : 1,
      lifeCritical: false,
      reasons: reasons({ because: 'always' }, exposures.traffic === 'busy' && { because: 'busy' }),
    }),
  },
  'call-for-help': {
    title: 'Call for help',
    without: 'Nobody ashore learns that you are in trouble.',
    distinctKinds: true,
    raise: ({ exposures }) => {
      const two = reasons(alone(exposures), farther(exposures, 1000), exposures.remote && { because: 'remote' });
      return {
        level: 'must',
        want: two.length > 0 ? 2 : 1,
        lifeCritical: true,
        reasons: [...reasons({ because: 'always' }), ...two],
      };
    },
    // A phone is lost by a drop, by water and by a flat battery: three causes, three remedies.
    disqualify: ({ item }, { places }) => {
      const has = (...some: QualityId[]) => some.some((quality) => item.qualities.includes(quality));
      if (isPhone(item.kind) && places.water?.coverage === 'none') return { code: 'no-coverage' };
      if (!has('waterproof')) return { code: 'not-waterproof' };
      if (!has('tethered', 'floats')) return { code: 'not-retained' };
      return has('charged') ? null : { code: 'not-charged' };
    },
  },
  'be-seen-day': {
    title: 'Be seen by day',
    without: 'A low hull is lost between two waves; a skipper sees you late.',
    raise: ({ exposures }) =>
      raised(
        exposures.traffic === 'busy' ? 'must' : 'should',
        1,
        false,
        reasons(
          (exposures.traffic === 'busy' || exposures.traffic === 'some') && { because: 'traffic' },
          exposures.swellM !== null && exposures.swellM > 0.5 && { because: 'swell', metres: exposures.swellM },
          farther(exposures, 500),
        ),
      ),
    disqualify: (a) => {
      if (!a.item.qualities.includes('bright')) return { code: 'not-bright' };
      return a.item.kind === 'bright-top' ? null : tooLittle(a, 'lengthM', 1.2);
    },
  },
  'be-seen-night': {
    title: 'Be seen at night',
    without: 'In the dark you cannot be seen at all, nor see your own knots.',
    distinctKinds: true,
    raise: ({ exposures }) => raised('must', 2, true, reasons(inDark(exposures))),
    disqualify: (a, { exposures }) => tooLittle(a, 'hours', (exposures.darkMinutes / 60) * LIGHT_MARGIN),
  },
  'distress-signal': {
    title: 'Distress at a distance',
    without: 'Those who look for you look past you.',
    distinctKinds: true,
    raise: ({ exposures }) =>
      raised(
        exposures.remote ? 'must' : 'should',
        1,
        false,
        reasons(farther(exposures, 1000), exposures.remote && { because: 'remote' }),
      ),
    disqualify: ({ item }, { exposures }) =>
      (item.kind === 'mirror' || item.kind === 'orange-smoke') && exposures.darkMinutes >= 1
        ? { code: 'daylight-only' }
        : null,
  },
  'float-plan': {
    title: 'A person ashore who knows',
    without: 'Nobody notices that you are late, or knows where to send help.',
    raise: ({ exposures }) =>
      raised(
        'must',
        1,
        true,
        reasons(
          alone(exposures),
          farther(exposures, 1000),
          inDark(exposures),
          exposures.river && { because: 'river' },
          outOvernight(exposures),
        ),
      ),
    others: (c) => [{ by: 'plan', part: 'contact', shortfall: contactLacks(c) }],
  },
  'get-back-in': {
    title: 'Get back in',
    without: 'After a capsize you stay in the water beside the boat.',
    raise: ({ exposures }) => ({
      level: 'must',
      want: 1,
      lifeCritical: exposures.solo,
      reasons: reasons({ because: 'always' }, alone(exposures)),
    }),
    others: ({ places }) => [
      { by: 'angler', part: 'practice', shortfall: places.angler?.reentryPractised ? null : { code: 'not-practised' } },
    ],
  },
  'cut-line': {
    title: 'Cut line, either hand',
    without: 'A line round a wrist or a leash round a leg holds you.',
    raise: ({ exposures, brief }) => {
      const anchored = brief.techniques.includes('anchored bait');
      return {
        level: 'must',
        want: anchored ? 2 : 1,
        lifeCritical: anchored || exposures.river,
        reasons: reasons(
          { because: 'always' },
          anchored && { because: 'anchor-line' },
          exposures.river && { because: 'river' },
        ),
      };
    },
  },
  'cut-hook': {
    title: 'Cut a hook',
    without: 'A treble in a hand stays there, with the fish on the other point.',
    raise: ({ exposures }) => raised('must', 1, false, reasons(exposures.bigHooks && { because: 'big-hooks' })),
    disqualify: ({ item }) => (item.qualities.includes('hardened') ? null : { code: 'not-hardened' }),
  },
  'throw-line': {
    title: 'Throw line',
    without: 'A swimmer in moving water cannot be reached by hand.',
    raise: ({ exposures }) =>
      raised(
        exposures.rapids > 0 ? 'must' : 'should',
        1,
        exposures.rapids > 0 && exposures.party > 1,
        reasons(exposures.river && { because: 'river' }, inRapids(exposures)),
      ),
    disqualify: (a) => (a.item.qualities.includes('floats') ? tooLittle(a, 'lengthM', 15) : { code: 'not-floating' }),
  },
  'first-aid': {
    shared: true,
    title: 'First aid',
    without: 'A cut or a hook is dealt with ashore, hours later.',
    raise: ({ exposures }) => ({
      level: exposures.nights > 0 || exposures.remote ? 'must' : 'should',
      want: 1,
      lifeCritical: false,
      reasons: reasons({ because: 'always' }, outOvernight(exposures), exposures.remote && { because: 'remote' }),
    }),
  },
  'immersion-clothing': {
    title: 'Dressed for the water',
    without: 'In water this cold, hands stop working long before help comes.',
    raise: ({ exposures }) => {
      const cold = coldWater(exposures, WETSUIT_BELOW_C);
      if (!cold) return null;
      const exposed = reasons(alone(exposures), farther(exposures, 500));
      const veryCold = (exposures.waterC ?? WETSUIT_BELOW_C) < DRYSUIT_BELOW_C;
      const level = exposed.length > 0 || veryCold ? 'must' : 'should';
      return { level, want: 1, lifeCritical: level === 'must', reasons: [cold, ...exposed] };
    },
    disqualify: ({ item }, { exposures }) =>
      item.kind === 'wetsuit' && (exposures.waterC ?? DRYSUIT_BELOW_C) < DRYSUIT_BELOW_C ? { code: 'too-thin' } : null,
  },
  head: {
    title: 'Head covered against a blow',
    without: 'The boat or the rock strikes a bare head.',
    raise: ({ exposures }) => {
      const must = exposures.rapids > 0 || (exposures.breakerM ?? 0) > 1;
      return raised(must ? 'must' : 'should', 1, must, reasons(throughSurf(exposures, 0.5), inRapids(exposures)));
    },
  },
  're-entry-aid': {
    title: 'Something to step in',
    without: 'From deep water, tired arms alone do not lift you over the side.',
    raise: ({ exposures, places: { angler } }) =>
      raised(
        'should',
        1,
        false,
        reasons(
          exposures.inflatable && { because: 'inflatable' },
          angler !== null && angler.massKg > HEAVY_KG && { because: 'heavy' },
        ),
      ),
  },
  hands: {
    title: 'Hands kept warm',
    without: 'Cold fingers cannot work a clip, a radio or a knot.',
    raise: ({ exposures }) =>
      raised('should', 1, false, reasons(coldWater(exposures, WARM_HANDS_BELOW_C), coldAir(exposures))),
  },
  'head-warm': {
    title: 'Head and ears kept warm',
    without: 'Cold water on a bare head takes the breath and the balance.',
    raise: ({ exposures }) =>
      raised('should', 1, false, reasons(coldWater(exposures, WARM_HEAD_BELOW_C), coldAir(exposures))),
  },
  feet: {
    title: 'Feet covered',
    without: 'Shells, hooks and spines at the launch; cold feet after it.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
  },
  'warm-under': {
    title: 'Warm under the drysuit',
    without: 'A drysuit keeps water out and warms nobody by itself.',
    raise: ({ exposures }) => raised('should', 1, false, reasons(coldWater(exposures, DRYSUIT_BELOW_C))),
  },
};

function isPhone(kind: KindId): boolean {
  return kind === 'phone' || kind === 'second-phone';
}

/** Wrong only where the jacket says what it fits. */
function jacketSize({ item }: Aboard, { places: { angler } }: NeedContext): Shortfall | null {
  const { fitFromKg, fitToKg } = item.attributes;
  if (!angler || (fitFromKg === undefined && fitToKg === undefined)) return null;
  const haveKg = [fitFromKg ?? 0, fitToKg ?? Infinity] as const;
  const fits = angler.massKg >= haveKg[0] && angler.massKg <= haveKg[1];
  return fits ? null : { code: 'wrong-size', of: 'jacket', haveKg, bodyKg: angler.massKg };
}

function openWater({ brief, places }: RaiseContext): boolean {
  return brief.trip === 'open-water' || places.water?.setting === 'open';
}
function cannotSwim({ places }: RaiseContext): boolean {
  return places.angler?.swims === 'not';
}

function contactLacks({ brief, exposures, places }: NeedContext) {
  if (brief.contact.name.trim() === '') return { code: 'no-contact' } as const;
  if (exposures.homeAt === null || !places.water) return null;
  const alarm = alarmInstant(brief, places);
  return alarm !== null && minutesBetween(exposures.homeAt, alarm) > 0 ? null : ({ code: 'alarm-early' } as const);
}

/** When the person ashore calls for help; null until the water is known. */
export function alarmInstant(brief: NeedContext['brief'], places: NeedContext['places']) {
  return places.water && (outingHours(brief, places.water.timeZone)?.alarmAt ?? null);
}
