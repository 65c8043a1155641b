import { DRYSUIT_BELOW_C, WETSUIT_BELOW_C } from '../environment/immersion';
import { outingHours } from '../documents/hours';
import { minutesBetween } from '../units/time';
import type { needsByPurpose } from '../vocabulary/needs';
import type { QualityId } from '../catalog/gear/attributes';
import type { KindId } from '../catalog/gear/kinds';
import type { Aboard } from '../documents/references';
import { type NeedContext, type NeedTable, type Shortfall, raised, reasons, tooLittle } from './need';
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
    lacks: (a, c) =>
      a.item.qualities.includes('approved')
        ? (tooLittle(a, 'newtons', openWater(c) || cannotSwim(c) ? 100 : 50) ?? jacketSize(a, c))
        : { code: 'not-approved' },
  },
  'sound-signal': {
    title: 'Sound signal',
    without: 'A voice does not carry over wind and water.',
    distinctKinds: true,
    raise: ({ e }) => ({
      level: 'must',
      want: e.traffic === 'busy' ? 2 : 1,
      lifeCritical: false,
      reasons: reasons({ because: 'always' }, e.traffic === 'busy' && { because: 'busy' }),
    }),
  },
  'call-for-help': {
    title: 'Call for help',
    without: 'Nobody ashore learns that you are in trouble.',
    distinctKinds: true,
    raise: ({ e }) => {
      const two = reasons(alone(e), farther(e, 1000), e.remote && { because: 'remote' });
      return {
        level: 'must',
        want: two.length > 0 ? 2 : 1,
        lifeCritical: true,
        reasons: [...reasons({ because: 'always' }), ...two],
      };
    },
    // A phone is lost by a drop, by water and by a flat battery: three causes, three remedies.
    lacks: ({ item }, { looked }) => {
      const has = (...some: QualityId[]) => some.some((quality) => item.qualities.includes(quality));
      if (isPhone(item.kind) && looked.water?.coverage === 'none') return { code: 'no-coverage' };
      if (!has('waterproof')) return { code: 'not-waterproof' };
      if (!has('tethered', 'floats')) return { code: 'not-retained' };
      return has('charged') ? null : { code: 'not-charged' };
    },
  },
  'be-seen-day': {
    title: 'Be seen by day',
    without: 'A low hull is lost between two waves; a skipper sees you late.',
    raise: ({ e }) =>
      raised(
        e.traffic === 'busy' ? 'must' : 'should',
        1,
        false,
        reasons(
          (e.traffic === 'busy' || e.traffic === 'some') && { because: 'traffic' },
          e.swellM !== null && e.swellM > 0.5 && { because: 'swell', metres: e.swellM },
          farther(e, 500),
        ),
      ),
    lacks: (a) => {
      if (!a.item.qualities.includes('bright')) return { code: 'not-bright' };
      return a.item.kind === 'bright-top' ? null : tooLittle(a, 'lengthM', 1.2);
    },
  },
  'be-seen-night': {
    title: 'Be seen at night',
    without: 'In the dark you cannot be seen at all, nor see your own knots.',
    distinctKinds: true,
    raise: ({ e }) => raised('must', 2, true, reasons(inDark(e))),
    lacks: (a, { e }) => tooLittle(a, 'hours', (e.darkMinutes / 60) * LIGHT_MARGIN),
  },
  'distress-signal': {
    title: 'Distress at a distance',
    without: 'Those who look for you look past you.',
    distinctKinds: true,
    raise: ({ e }) =>
      raised(e.remote ? 'must' : 'should', 1, false, reasons(farther(e, 1000), e.remote && { because: 'remote' })),
    lacks: ({ item }, { e }) =>
      (item.kind === 'mirror' || item.kind === 'orange-smoke') && e.darkMinutes >= 1 ? { code: 'daylight-only' } : null,
  },
  'float-plan': {
    title: 'A person ashore who knows',
    without: 'Nobody notices that you are late, or knows where to send help.',
    raise: ({ e }) =>
      raised(
        'must',
        1,
        true,
        reasons(alone(e), farther(e, 1000), inDark(e), e.river && { because: 'river' }, outOvernight(e)),
      ),
    others: (c) => [{ by: 'plan', part: 'contact', shortfall: contactLacks(c) }],
  },
  'get-back-in': {
    title: 'Get back in',
    without: 'After a capsize you stay in the water beside the boat.',
    raise: ({ e }) => ({ level: 'must', want: 1, lifeCritical: e.solo, reasons: reasons({ because: 'always' }, alone(e)) }),
    others: ({ looked }) => [
      { by: 'angler', part: 'practice', shortfall: looked.angler?.reentryPractised ? null : { code: 'not-practised' } },
    ],
  },
  'cut-line': {
    title: 'Cut line, either hand',
    without: 'A line round a wrist or a leash round a leg holds you.',
    raise: ({ e, brief }) => {
      const anchored = brief.techniques.includes('anchored bait');
      return {
        level: 'must',
        want: anchored ? 2 : 1,
        lifeCritical: anchored || e.river,
        reasons: reasons(
          { because: 'always' },
          anchored && { because: 'anchor-line' },
          e.river && { because: 'river' },
        ),
      };
    },
  },
  'cut-hook': {
    title: 'Cut a hook',
    without: 'A treble in a hand stays there, with the fish on the other point.',
    raise: ({ e }) => raised('must', 1, false, reasons(e.bigHooks && { because: 'big-hooks' })),
    lacks: ({ item }) => (item.qualities.includes('hardened') ? null : { code: 'not-hardened' }),
  },
  'throw-line': {
    title: 'Throw line',
    without: 'A swimmer in moving water cannot be reached by hand.',
    raise: ({ e }) =>
      raised(
        e.rapids > 0 ? 'must' : 'should',
        1,
        e.rapids > 0 && e.party > 1,
        reasons(e.river && { because: 'river' }, inRapids(e)),
      ),
    lacks: (a) => (a.item.qualities.includes('floats') ? tooLittle(a, 'lengthM', 15) : { code: 'not-floating' }),
  },
  'first-aid': {
    shared: true,
    title: 'First aid',
    without: 'A cut or a hook is dealt with ashore, hours later.',
    raise: ({ e }) => ({
      level: e.nights > 0 || e.remote ? 'must' : 'should',
      want: 1,
      lifeCritical: false,
      reasons: reasons({ because: 'always' }, outOvernight(e), e.remote && { because: 'remote' }),
    }),
  },
  'immersion-clothing': {
    title: 'Dressed for the water',
    without: 'In water this cold, hands stop working long before help comes.',
    raise: ({ e }) => {
      const cold = coldWater(e, WETSUIT_BELOW_C);
      if (!cold) return null;
      const exposed = reasons(alone(e), farther(e, 500));
      const veryCold = (e.waterC ?? WETSUIT_BELOW_C) < DRYSUIT_BELOW_C;
      const level = exposed.length > 0 || veryCold ? 'must' : 'should';
      return { level, want: 1, lifeCritical: level === 'must', reasons: [cold, ...exposed] };
    },
    lacks: ({ item }, { e }) =>
      item.kind === 'wetsuit' && (e.waterC ?? DRYSUIT_BELOW_C) < DRYSUIT_BELOW_C ? { code: 'too-thin' } : null,
  },
  head: {
    title: 'Head covered against a blow',
    without: 'The boat or the rock strikes a bare head.',
    raise: ({ e }) => {
      const must = e.rapids > 0 || (e.breakerM ?? 0) > 1;
      return raised(must ? 'must' : 'should', 1, must, reasons(throughSurf(e, 0.5), inRapids(e)));
    },
  },
  're-entry-aid': {
    title: 'Something to step in',
    without: 'From deep water, tired arms alone do not lift you over the side.',
    raise: ({ e, looked: { angler } }) =>
      raised(
        'should',
        1,
        false,
        reasons(
          e.inflatable && { because: 'inflatable' },
          angler !== null && angler.massKg > HEAVY_KG && { because: 'heavy' },
        ),
      ),
  },
  hands: {
    title: 'Hands kept warm',
    without: 'Cold fingers cannot work a clip, a radio or a knot.',
    raise: ({ e }) => raised('should', 1, false, reasons(coldWater(e, WARM_HANDS_BELOW_C), coldAir(e))),
  },
  'head-warm': {
    title: 'Head and ears kept warm',
    without: 'Cold water on a bare head takes the breath and the balance.',
    raise: ({ e }) => raised('should', 1, false, reasons(coldWater(e, WARM_HEAD_BELOW_C), coldAir(e))),
  },
  feet: {
    title: 'Feet covered',
    without: 'Shells, hooks and spines at the launch; cold feet after it.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
  },
  'warm-under': {
    title: 'Warm under the drysuit',
    without: 'A drysuit keeps water out and warms nobody by itself.',
    raise: ({ e }) => raised('should', 1, false, reasons(coldWater(e, DRYSUIT_BELOW_C))),
  },
};

function isPhone(kind: KindId): boolean {
  return kind === 'phone' || kind === 'second-phone';
}

/** Wrong only where the jacket says what it fits. */
function jacketSize({ item }: Aboard, { looked: { angler } }: NeedContext): Shortfall | null {
  const { fitFromKg, fitToKg } = item.attributes;
  if (!angler || (fitFromKg === undefined && fitToKg === undefined)) return null;
  const haveKg = [fitFromKg ?? 0, fitToKg ?? Infinity] as const;
  const fits = angler.massKg >= haveKg[0] && angler.massKg <= haveKg[1];
  return fits ? null : { code: 'wrong-size', of: 'jacket', haveKg, bodyKg: angler.massKg };
}

function openWater({ brief, looked }: NeedContext): boolean {
  return brief.trip === 'open-water' || looked.water?.setting === 'open';
}
function cannotSwim({ looked }: NeedContext): boolean {
  return looked.angler?.swims === 'not';
}

function contactLacks({ brief, e, looked }: NeedContext) {
  if (brief.contact.name.trim() === '') return { code: 'no-contact' } as const;
  if (e.homeAt === null || !looked.water) return null;
  const alarm = alarmInstant(brief, looked);
  return alarm !== null && minutesBetween(e.homeAt, alarm) > 0 ? null : ({ code: 'alarm-early' } as const);
}

/** When the person ashore calls for help; null until the water is known. */
export function alarmInstant(brief: NeedContext['brief'], looked: NeedContext['looked']) {
  return looked.water && (outingHours(brief, looked.water.timeZone)?.alarmAt ?? null);
}
