import { DRYSUIT_BELOW_C, WETSUIT_BELOW_C } from '../environment/immersion';
import { callInstant } from '../documents/hours';
import type { Water } from '../documents/water';
import { minutesBetween } from '../units/time';
import type { needsByPurpose } from '../vocabulary/needs';
import type { AttributeId, QualityId } from '../catalog/gear/attributes';
import { type KindId, kinds } from '../catalog/gear/kinds';
import { wornPlaces } from '../catalog/gear/places';
import type { Item } from '../documents/item';
import { type Aboard, idsAboard } from '../documents/references';
import {
  type NeedContext,
  type FitContext,
  GRANTED,
  type NeedTable,
  type Part,
  type Scale,
  type Shortfall,
  louder,
  onScale,
  ownSort,
  quieter,
  raised,
  reasons,
  together,
  tooLittle,
} from './need';
import { hoursOn, powerSheet } from '../power/powerSheet';
import { NEAR_GROUND_M } from '../exposures/seriousness';
import type { FindingLevel } from '../vocabulary/levels';
import { buoyancyScale, buoyancyStep } from './buoyancyScale';
import { containerOf } from './clash';
import {
  alone,
  coldAir,
  coldWater,
  coolEvening,
  farAfield,
  inDark,
  inFog,
  inRapids,
  inRough,
  isMoving,
  isNearGround,
  offShore,
  outOvernight,
  throughSurf,
} from './reason';

/** Heavier than this, a step helps to get in. Rule of thumb. */
const HEAVY_KG = 100;
const WARM_HANDS_BELOW_C = 13.5;
const WARM_HEAD_BELOW_C = 10;
/** Bare hands and a bare head are of no use in colder water, °C. */
const BITING_BELOW_C = 8;
/** They make a wetsuit warmer. */
const wornWithWetsuit: readonly KindId[] = ['hood', 'neoprene-gloves'];
/** What the need of help, and of somebody who sends it, is worth. */
const HELP_ASHORE: Scale = { note: 0.7, mind: 2, stop: 3.3 };
/** Of so many somebody is hurt sooner or later. */
const MANY = 5;
/** Light hours carried for each hour of dark. */
const LIGHT_MARGIN = 1.5;
/** A flag stands so high, and an all-round light above the head of one who sits, m. */
const FLAG_M = 1.2;
const ALL_ROUND_M = 0.9;

export const alive: NeedTable<(typeof needsByPurpose.alive)[number]> = {
  buoyancy: {
    fits: 'approved, of the newtons that the scale asks for, and of your size',
    title: 'Buoyancy, worn',
    without: 'Nothing holds your head up while you get back to the boat.',
    far: 'shore',
    raise: ({ exposures, places }) => {
      const step = buoyancyStep(exposures, places.angler);
      return raised(
        'stop',
        1,
        reasons(
          { because: 'always' },
          step !== 'sheltered' && offShore(exposures, NEAR_GROUND_M),
          places.angler?.swims === 'not' && { because: 'cannot-swim' },
          { because: 'newtons', newtons: buoyancyScale[step].newtons },
        ),
      );
    },
    // One that is worn and holds up less than it should is a Mind, and a Note where it is a little less.
    partly: ({ shortfalls, unmet }, { exposures, places }) => {
      const newtons = Math.max(0, ...shortfalls.map((one) => (one.code === 'too-little' ? one.have : 0)));
      if (newtons < buoyancyScale.sheltered.newtons * GRANTED) return unmet;
      const isLittleLess = newtons >= buoyancyScale.open.newtons * GRANTED;
      return isLittleLess &&
        places.angler?.swims !== 'not' &&
        buoyancyStep(exposures, places.angler) === 'far'
        ? 'note'
        : 'mind';
    },
    disqualify: (a, c) =>
      together(
        !a.item.qualities.includes('approved') && { code: 'not-approved' },
        tooLittle(a, 'newtons', buoyancyScale[buoyancyStep(c.exposures, c.places.angler)].newtons),
        jacketSize(a, c),
      ),
  },
  'sound-signal': {
    fits: 'two of different kinds where boats pass close or in fog',
    title: 'Sound signal',
    without: 'A voice does not carry over wind and water.',
    sort: ownSort,
    raise: ({ exposures }) => {
      const two = reasons(exposures.traffic === 'busy' && { because: 'busy' }, inFog(exposures));
      return raised(
        onScale(exposures.seriousness.total + (two.length > 0 ? 1 : 0), { note: -1, mind: 2.4 }),
        two.length > 0 ? 2 : 1,
        reasons({ because: 'always' }, ...two),
      );
    },
  },
  'call-for-help': {
    fits: 'waterproof, afloat or tied on, holding its charge; a phone only where there is coverage, and two phones are one way; a radio at sea, and inland where a station is written with the water; alone, on the body and not packed away',
    title: 'Call for help',
    without: 'Nobody ashore learns that you are in trouble.',
    far: 'shore',
    // Two phones are one network and one pocket.
    sort: (kind) => (isPhone(kind) ? 'phone' : kind),
    raise: ({ exposures }) => {
      const second = secondCall(exposures);
      return raised(
        // In company the others call as well.
        onScale(exposures.seriousness.total - (exposures.solo ? 0 : 1), { note: -0.4, mind: 2, stop: 3.3 }),
        second === null ? 1 : 2,
        reasons(
          { because: 'always' },
          exposures.remote && { because: 'remote' },
          second !== null && alone(exposures),
          second !== null && offShore(exposures, 1000),
        ),
      );
    },
    partly: ({ counted, unmet }, { exposures }) => (counted > 0 ? secondCall(exposures) : unmet),
    // A phone is lost by a drop, by water and by a flat battery: three causes, three remedies.
    disqualify: (a, c) => {
      const { item } = a;
      const has = (...some: QualityId[]) => some.some((quality) => item.qualities.includes(quality));
      const coverage = c.places.water?.coverage;
      return together(
        isPhone(item.kind) && coverage === 'none' && { code: 'no-coverage' },
        isPhone(item.kind) && coverage === 'patchy' && { code: 'patchy-coverage' },
        // Coast stations listen on the sea; inland somebody does where it is written with the water.
        item.kind === 'vhf-radio' && c.places.water && !isHeard(c.places.water) && { code: 'nobody-listens' },
        !has('waterproof') && { code: 'not-waterproof' },
        !has('tethered', 'floats') && { code: 'not-retained' },
        !has('charged') && { code: 'not-charged' },
        c.exposures.solo && packedAway(a, c) && { code: 'not-on-body' },
      );
    },
  },
  'be-seen-day': {
    far: 'shore',
    fits: 'bright, and a flag {1.2 m} up',
    title: 'Be seen by day',
    without: 'A low hull is lost between two waves; a skipper sees you late.',
    raise: ({ exposures, places }) => {
      const { traffic, swellM, seriousness } = exposures;
      const why = reasons(
        (traffic === 'busy' || traffic === 'some') && { because: 'traffic' },
        swellM !== null && swellM > 0.5 && { because: 'swell', metres: swellM },
        offShore(exposures, NEAR_GROUND_M),
      );
      // Over a metre of water nothing passes that would run one down.
      const passed = isShallow(places) ? -1 : traffic === 'busy' ? 1.5 : traffic === 'some' ? 0.7 : 0;
      const hidden = swellM !== null && swellM > 0.5 ? 0.5 : 0;
      const unmet = onScale(seriousness.ground + passed + hidden + seriousness.fog, {
        note: 0.7,
        mind: 2.05,
      });
      // By night it is a light that is seen.
      return unmet === null || !isByDay(exposures) ? null : raised(unmet, 1, why);
    },
    disqualify: (a) =>
      together(
        !a.item.qualities.includes('bright') && { code: 'not-bright' },
        a.item.kind !== 'bright-top' && tooLittle(a, 'lengthM', FLAG_M),
      ),
  },
  'be-seen-night': {
    fits: 'a set: a white light {0.9 m} up or higher and one on the head, each burning half as long again as the dark; spare cells double that; a battery of its own aboard and sound',
    title: 'Be seen at night',
    without: 'In the dark you cannot be seen at all, nor see your own knots.',
    parts: () => lightParts,
    // Whatever draws on the same battery shortens the light.
    alsoBy: 'anything',
    raise: ({ exposures }) => {
      const { nightMinutes, seriousness, nights } = exposures;
      // In twilight others still see a boat near the shore; in camp any light will do.
      const afloat = nightMinutes >= 1 ? onScale(seriousness.total, { mind: -1, stop: 1.2 }) : 'note';
      return exposures.darkMinutes < 1 && nights > 0
        ? raised('mind', 1, reasons(outOvernight(exposures)))
        : raised(afloat, lightParts.length, reasons(inDark(exposures)));
    },
    disqualify: (a, c) => {
      const want = (c.exposures.darkMinutes / 60) * LIGHT_MARGIN;
      const have = lampHours(a, c);
      return together(
        isAllRound(a.item.kind) && usualFigure(a.item, 'lengthM') < ALL_ROUND_M && { code: 'too-low' },
        have + 1e-9 < want && { code: 'too-little', attribute: 'hours', have, want },
      );
    },
  },
  'distress-signal': {
    fits: 'by the hours: a mirror, smoke or a flare by day, a light or a flare by night, both where there are both',
    title: 'Distress at a distance',
    without: 'Those who look for you look past you.',
    far: 'shore',
    parts: distressParts,
    raise: (c) => {
      const { remote, seriousness, nights } = c.exposures;
      const { ground, alone: aloneStep, dark, fog } = seriousness;
      const unmet = onScale(ground + aloneStep / 2 + dark * 1.5 + fog + (remote ? 1 : 0), {
        note: 2,
        mind: 3.2,
      });
      const why = reasons(
        offShore(c.exposures, NEAR_GROUND_M),
        inDark(c.exposures),
        remote && { because: 'remote' },
      );
      // Between two banks help comes along them.
      const near = nights > 0 && remote ? 'note' : null;
      const level = isNearGround(c.exposures) ? near : louder(unmet, near);
      return level === null ? null : raised(level, distressParts(c).length, why);
    },
    // By day and by night other things are seen: each lacks by itself.
    partly: ({ unmet }) => unmet,
    disqualify: ({ item }, c) => {
      const fits = distressParts(c).some((part) => part.kinds.includes(item.kind));
      return fits ? null : { code: byDay.includes(item.kind) ? 'daylight-only' : 'night-only' };
    },
  },
  'float-plan': {
    far: 'landing',
    fits: 'a name, and an hour to call for help that is after coming home',
    title: 'A person ashore who knows',
    without: 'Nobody notices that you are late, or knows where to send help.',
    raise: ({ exposures }) =>
      raised(
        // A night that nobody expects one back from is long.
        louder(onScale(exposures.seriousness.total, HELP_ASHORE), exposures.nights > 0 ? 'mind' : null),
        1,
        reasons(
          { because: 'always' },
          alone(exposures),
          farAfield(exposures, 1000),
          inDark(exposures),
          exposures.river && { because: 'river' },
          outOvernight(exposures),
        ),
      ),
    others: (c) => [{ by: 'plan', part: 'contact', shortfall: contactLacks(c) }],
  },
  'get-back-in': {
    fits: 'practice: no gear stands in for it; an outing made for practising has it',
    title: 'Get back in',
    without: 'After a capsize you stay in the water beside the boat.',
    raise: ({ exposures }) =>
      raised(
        onScale(exposures.seriousness.total, HELP_ASHORE),
        1,
        reasons({ because: 'always' }, alone(exposures)),
      ),
    // An outing that is made for practising does not mind that one has not.
    others: ({ places, brief }) => [
      {
        by: 'angler',
        part: brief.trip === 'shakedown' ? 'practising' : 'practice',
        shortfall:
          places.angler?.reentryPractised || brief.trip === 'shakedown' ? null : { code: 'not-practised' },
      },
    ],
  },
  'cut-line': {
    title: 'Cut line, either hand',
    without: 'A line round a wrist or a leash round a leg holds you.',
    raise: ({ exposures, brief }) => {
      const anchored = brief.techniques.includes('anchored bait');
      const moving = isMoving(exposures);
      const unmet = onScale(exposures.seriousness.total, { note: -1, mind: 2.4 });
      // A line under load drags the boat under, and a stream loads every line.
      return raised(
        anchored && moving ? 'stop' : anchored || moving ? 'mind' : unmet,
        anchored ? 2 : 1,
        reasons(
          { because: 'always' },
          anchored && { because: 'anchor-line' },
          moving && { because: 'river' },
        ),
      );
    },
    partly: ({ counted, unmet }) => (counted > 0 ? 'note' : unmet),
  },
  'cut-hook': {
    fits: 'hardened steel: the cutters of pliers are none',
    title: 'Cut a hook',
    without: 'A treble in a hand stays there, with the fish on the other point.',
    raise: ({ exposures }) => raised('mind', 1, reasons(exposures.bigHooks && { because: 'big-hooks' })),
    disqualify: ({ item }) => (item.qualities.includes('hardened') ? null : { code: 'not-hardened' }),
  },
  'throw-line': {
    fits: 'afloat, and {15 m} long',
    title: 'Throw line',
    without: 'A swimmer in moving water cannot be reached by hand.',
    raise: ({ exposures }) => {
      const unmet = exposures.rapids > 0 ? 'mind' : 'note';
      // Alone there is nobody to throw to.
      return exposures.solo || !(isMoving(exposures) || exposures.rapids > 0)
        ? null
        : raised(unmet, 1, reasons(exposures.river && { because: 'river' }, inRapids(exposures)));
    },
    disqualify: (a) =>
      together(!a.item.qualities.includes('floats') && { code: 'not-floating' }, tooLittle(a, 'lengthM', 15)),
  },
  'first-aid': {
    shared: true,
    fits: 'for as many as the party is',
    title: 'First aid',
    without: 'A cut or a hook is dealt with ashore, hours later.',
    raise: ({ exposures }) => {
      const { seriousness, nights, remote, solo, party } = exposures;
      const isMind = seriousness.total >= 4.7 || (nights > 0 && remote) || party >= MANY;
      const isNote =
        seriousness.ground >= 0.7 || nights > 0 || (solo && farAfield(exposures, 1000) !== false);
      const unmet = isMind ? 'mind' : isNote ? 'note' : null;
      return raised(
        unmet,
        1,
        reasons(
          { because: 'always' },
          offShore(exposures, 1000),
          outOvernight(exposures),
          remote && { because: 'remote' },
        ),
      );
    },
    disqualify: ({ item }, { exposures }) =>
      usualFigure(item, 'persons') < exposures.party
        ? {
            code: 'too-little',
            attribute: 'persons',
            have: usualFigure(item, 'persons'),
            want: exposures.party,
          }
        : null,
  },
  'immersion-clothing': {
    far: 'shore',
    fits: 'a drysuit, or a wetsuit of the thickness: {3 mm} from {15 °C}, {5 mm} from {12 °C}, {7 mm} from {9 °C}, hood and gloves counting for half a millimetre each',
    title: 'Dressed for the water',
    without: 'In water this cold, hands stop working long before help comes.',
    raise: ({ exposures }) => {
      const cold = coldWater(exposures, WETSUIT_BELOW_C);
      if (!cold) return null;
      const { total, rough, cold: steps } = exposures.seriousness;
      // Through breakers and rapids a swim is likely, and very cold water leaves minutes.
      const unmet = onScale(total + rough + 1.5 * Math.max(0, steps - 1), {
        note: 0.9,
        mind: 2.6,
        stop: 3.5,
      });
      return raised(unmet, 1, [
        cold,
        ...reasons(alone(exposures), offShore(exposures, 500), inRough(exposures)),
      ]);
    },
    // A wetsuit that is too thin is better than none, until the water is far too cold for it.
    partly: ({ unmet, shortfalls }, { exposures: { waterC } }) => {
      const thin = shortfalls.find(({ code }) => code === 'too-thin');
      if (thin?.code !== 'too-thin' || waterC === null || thin.fromC - waterC > FAR_TOO_COLD_C) return unmet;
      return thin.fromC - waterC > A_LITTLE_COLDER_C ? quieter(unmet) : quieter(quieter(unmet));
    },
    disqualify: ({ item }, { exposures: { waterC }, aboard }) => {
      if (item.kind !== 'wetsuit' || waterC === null) return null;
      const fromC = warmFrom(item, aboard);
      if (waterC + 1e-9 >= fromC) return null;
      const mm = usualFigure(item, 'neopreneMm');
      return { code: 'too-thin', mm, fromC, wantMm: mm + Math.ceil((fromC - waterC) / C_PER_MM - 1e-9) };
    },
    alsoBy: wornWithWetsuit,
  },
  head: {
    title: 'Head covered against a blow',
    without: 'The boat or the rock strikes a bare head.',
    raise: ({ exposures }) =>
      raised(
        exposures.rapids > 0 ? 'stop' : onScale(exposures.breakerM ?? 0, { note: 0.3, mind: 0.5, stop: 1 }),
        1,
        reasons(throughSurf(exposures, 0.3), inRapids(exposures)),
      ),
  },
  're-entry-aid': {
    title: 'Something to step in',
    without: 'From deep water, tired arms alone do not lift you over the side.',
    raise: ({ exposures, places: { angler } }) => {
      const { solo, seriousness } = exposures;
      const unmet = solo
        ? onScale(seriousness.total, { note: 2, mind: 3.3 })
        : onScale(seriousness.ground, { note: 0.7 });
      return raised(
        unmet,
        1,
        reasons(
          exposures.inflatable && { because: 'inflatable' },
          angler !== null && angler.massKg > HEAVY_KG && { because: 'heavy' },
        ),
      );
    },
  },
  hands: {
    title: 'Hands kept warm',
    without: 'Cold fingers cannot work a clip, a radio or a knot.',
    raise: ({ exposures }) =>
      raised(
        coldWater(exposures, BITING_BELOW_C) || coldAir(exposures) ? 'mind' : 'note',
        1,
        reasons(coldWater(exposures, WARM_HANDS_BELOW_C), coldAir(exposures), coolEvening(exposures)),
      ),
  },
  'head-warm': {
    title: 'Head and ears kept warm',
    without: 'Cold water on a bare head takes the breath and the balance.',
    raise: ({ exposures }) =>
      raised(
        coldWater(exposures, BITING_BELOW_C) ? 'mind' : 'note',
        1,
        reasons(coldWater(exposures, WARM_HEAD_BELOW_C), coldAir(exposures)),
      ),
  },
  feet: {
    title: 'Feet covered',
    without: 'Shells, hooks and spines at the launch; cold feet after it.',
    raise: () => raised('note', 1, [{ because: 'always' }]),
  },
  'warm-under': {
    title: 'Warm under the drysuit',
    without: 'A drysuit keeps water out and warms nobody by itself.',
    raise: ({ exposures }) =>
      exposures.drysuit ? raised('note', 1, reasons(coldWater(exposures, DRYSUIT_BELOW_C))) : null,
  },
};

const SHALLOW_M = 1.5;
function isShallow({ area }: NeedContext['places']): boolean {
  return area !== null && area.depthM <= SHALLOW_M;
}

/**
 * What a second way to call is worth, where the first is there; null: nobody asks. In company another boat
 * has it.
 */
function secondCall({ solo, seriousness }: FitContext['exposures']): FindingLevel | null {
  return solo ? onScale(seriousness.total, { mind: 3, stop: 4.7 }) : null;
}

/**
 * A wetsuit of 3 mm is warm enough from 15 °C, each millimetre more by 1.5 °C; hood and gloves help by half
 * as much each. Rule of thumb.
 */
const NO_NEOPRENE_C = 19.5;
const C_PER_MM = 1.5;
/**
 * Colder than a wetsuit is made for: by how much it still does most of it, and by how much it does as good as
 * nothing, °C.
 */
const A_LITTLE_COLDER_C = 1.5;
const FAR_TOO_COLD_C = 6;
function warmFrom(item: Item, aboard: readonly Aboard[]): number {
  const besides = wornWithWetsuit.filter((kind) => aboard.some((one) => one.item.kind === kind)).length;
  return NO_NEOPRENE_C - C_PER_MM * (usualFigure(item, 'neopreneMm') + besides / 2);
}
function isHeard({ type, rescue }: Pick<Water, 'type' | 'rescue'>): boolean {
  return type !== 'fresh' || rescue.radio.trim() !== '';
}
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

/** A figure of an item, or what is usual for its kind where nobody wrote one. */
function usualFigure({ kind, attributes }: Item, attribute: AttributeId): number {
  return attributes[attribute] ?? kinds[kind].attributes[attribute] ?? 0;
}

/** In something that is not worn, so not to hand for one who swims beside the boat. */
function packedAway(a: Aboard, { aboard }: NeedContext): boolean {
  // Where it lies is looked at by itself.
  if (a.lies) return false;
  const box = containerOf(a, idsAboard({ aboard }));
  const container = aboard.find(({ item }) => item.id === box)?.item;
  return container !== undefined && !wornPlaces.includes(kinds[container.kind].place);
}

/** The light that others see, all round and above the head; the light for one's own hands. */
const lightParts: readonly Part[] = [
  {
    id: 'all-round',
    name: 'a white light seen from all round',
    kinds: ['mast-light', 'light-flag', 'deck-lantern'],
  },
  { id: 'head', name: 'a light on the head', kinds: ['headlamp'] },
];
function isAllRound(kind: KindId): boolean {
  return lightParts[0]?.kinds.includes(kind) ?? false;
}
/**
 * How long a lamp burns, h: on its own cells, twice as long with spare ones aboard; on a battery, by what all
 * that draws on it and the cold leave.
 */
function lampHours({ item }: Aboard, { aboard, places, exposures }: NeedContext): number {
  const battery = aboard.find((other) => other.item.id === item.poweredById)?.item;
  if (!battery) {
    const spares = aboard.some(
      (other) => other.item.kind === 'spare-cells' && other.item.condition === 'good',
    );
    return usualFigure(item, 'hours') * (spares ? 2 : 1);
  }
  const { workings } = exposures;
  const { supplies } = powerSheet({ aboard, craft: places.craft }, exposures, workings);
  const supply = supplies.find((one) => one.item.id === battery.id);
  return (supply && hoursOn(supply, item.id, workings.powerReserve)) ?? usualFigure(item, 'hours');
}

const byDay: readonly KindId[] = ['mirror', 'orange-smoke', 'hand-flare'];
const byNight: readonly KindId[] = ['electronic-flare', 'strobe', 'light-sticks', 'hand-flare'];
const dayPart: Part = { id: 'day', name: 'a signal seen by day', kinds: byDay };
const nightPart: Part = { id: 'night', name: 'a light seen by night', kinds: byNight };
// A hand flare does for either; where both are wanted it is the night's.
const dayBesideNight: Part = { ...dayPart, kinds: byDay.filter((kind) => !byNight.includes(kind)) };
const distressSets = { day: [dayPart], night: [nightPart], both: [dayBesideNight, nightPart] } as const;
/** Less daylight than this is taken as none, min. */
const DAYLIGHT_MIN = 30;
/** Whether some of it is by daylight. */
function isByDay({ darkMinutes, hoursAfloat, nights }: FitContext['exposures']): boolean {
  return nights > 0 || hoursAfloat === null || hoursAfloat * 60 - darkMinutes >= DAYLIGHT_MIN;
}
/** By day and by night are different means: what is wanted follows the hours. */
function distressParts({ exposures }: FitContext): readonly Part[] {
  const dark = exposures.darkMinutes >= 1 || exposures.nights > 0;
  const light = isByDay(exposures);
  return distressSets[dark && light ? 'both' : dark ? 'night' : 'day'];
}

function contactLacks({ brief, exposures, places }: NeedContext) {
  if (brief.contact.name.trim() === '') return { code: 'no-contact' } as const;
  if (exposures.homeAt === null || !places.water) return null;
  const alarm = alarmInstant(brief, places);
  return alarm !== null && minutesBetween(exposures.homeAt, alarm) > 0
    ? null
    : ({ code: 'alarm-early' } as const);
}

/** When the person ashore calls for help; null until the water is known. */
export function alarmInstant(brief: NeedContext['brief'], places: NeedContext['places']) {
  return places.water && callInstant(brief, places.water.timeZone);
}
