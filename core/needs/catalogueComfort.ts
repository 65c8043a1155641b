import type { KindId } from '../catalog/gear/kinds';
import { carriedHours, halfAndHalf, wantedFood, wantedWater } from '../provisions/supplies';
import { type DayExposures, hoursOnWater } from '../exposures/exposures';
import type { needsByPurpose } from '../vocabulary/needs';
import {
  GRANTED,
  type Need,
  type NeedTable,
  type Part,
  louder,
  onScale,
  ownSort,
  quieter,
  raised,
  reasons,
} from './need';
import type { FindingLevel } from '../vocabulary/levels';
import { coldAir, coldWater, coolEvening, farAfield, inDark, outOvernight } from './reason';

/** Farther than this from the vehicle, dry clothes are carried, m. Rule of thumb. */
const CLOTHES_ABOARD_FROM_M = 300;
/** In warmer air a wind is welcome, °C. Rule of thumb. */
const WIND_COOLS_BELOW_C = 25;
/** Air that feels hotter than this asks for cooling, °C. */
const HOT_FROM_C = 29;
/** On an outing shorter than this little is eaten and drunk, h. */
const SHORT_HOURS = 4;

export const power: NeedTable<(typeof needsByPurpose.power)[number]> = {
  power: {
    title: 'Power for what is aboard',
    without: 'The screen goes dark before the day does.',
    raise: ({ exposures }) => {
      const hours = carriedHours(exposures);
      const list = reasons(
        exposures.electricsW > 0 && { because: 'electrics', watts: exposures.electricsW, hours },
      );
      // How much is the battery's own sum, by its age and that day's cold.
      return raised('mind', 1, list);
    },
  },
  'phone-power': {
    title: 'Charge for phone and camera',
    without: 'The picture or the call is lost to a flat battery.',
    raise: ({ exposures }) =>
      raised(
        exposures.competition ? 'mind' : 'note',
        1,
        reasons(exposures.competition && { because: 'competition' }, outOvernight(exposures)),
      ),
  },
  'spare-cells': {
    title: 'Cells for the lamps',
    without: 'A lamp that dims stays dim.',
    raise: ({ exposures }) => raised(null, 1, reasons(inDark(exposures))),
  },
  'motor-power': {
    title: 'Charge for the motor',
    without: 'The motor stops, and you paddle what it carried.',
    raise: ({ exposures }) => raised('mind', 1, reasons(exposures.drive === 'motor' && { because: 'motor' })),
  },
};

/**
 * Under a lower sun skin is not likely to burn within a day: the ultraviolet index stays under 3. Rule of
 * thumb.
 */
const BURNS_FROM_DEG = 30;
/** Sun is kept off by a set: head, eyes and skin. */
const sunParts: readonly Part[] = [
  { id: 'head', name: 'a hat', kinds: ['hat'] },
  { id: 'eyes', name: 'glasses', kinds: ['polarised-glasses'] },
  { id: 'skin', name: 'sunscreen or a shade top', kinds: ['sunscreen', 'shade-top'] },
];

const filters: readonly KindId[] = ['water-filter'];
const noKinds: readonly KindId[] = [];
export const warm: NeedTable<(typeof needsByPurpose.warm)[number]> = {
  water: {
    fits: 'carried, a quarter in hand; a filter makes half of it where the water is fresh',
    title: 'Drinking water',
    // In camp a filter of any boat makes it for all.
    sharedKinds: ({ exposures }) => (exposures.nights > 0 ? filters : noKinds),
    without: 'Thirst makes hands clumsy and judgement poor.',
    amount: 'litres',
    // Where the water is fresh a filter makes half of it, and half is still carried.
    worth: ({ exposures, places }, item) =>
      item.kind === 'water-filter'
        ? places.water?.type === 'fresh'
          ? wantedWater(exposures).litres / 2
          : 0
        : (item.attributes.litres ?? 0) * halfAndHalf(item),
    disqualify: ({ item }, { places }) =>
      item.kind === 'water-filter' && places.water?.type !== 'fresh' ? { code: 'salt-water' } : null,
    partly: ({ counted, want, unmet }, { exposures }) => {
      const drunk = want / exposures.workings.waterInHand;
      if (counted + 1e-6 >= drunk * GRANTED) return null;
      return counted < drunk / 2 ? unmet : quieter(unmet);
    },
    raise: ({ exposures }) => {
      if (exposures.hoursAfloat === null) return null;
      const { hours, litres } = wantedWater(exposures);
      const { feelsC } = wantedWater(exposures);
      const hot = feelsC > 20;
      return raised(
        // A short cool outing is thirsty, and no more.
        hours < SHORT_HOURS && feelsC < HOT_FROM_C ? 'note' : feelsC > HOT_FROM_C ? 'stop' : 'mind',
        Math.round(litres * 10) / 10,
        reasons({ because: 'hours', hours }, hot && { because: 'heat', feelsC }),
      );
    },
  },
  food: {
    title: 'Food',
    without: 'The pull home is made on an empty stomach.',
    amount: 'foodKj',
    raise: ({ exposures }) => {
      const hours = carriedHours(exposures);
      const want = Math.round(wantedFood(exposures) / 100) * 100;
      const { hoursAfloat, seriousness, nights } = exposures;
      const long = (hoursAfloat ?? 0) + seriousness.dark * 1.5;
      return raised(
        nights > 0 || (long >= 6.5 && seriousness.total >= 2.4) ? 'mind' : onScale(long, { note: 4.5 }),
        want,
        reasons((hoursAfloat ?? 0) > 3 && { because: 'hours', hours }, outOvernight(exposures)),
      );
    },
    // Half of it keeps one going.
    partly: ({ counted, want, unmet }) =>
      counted >= want * GRANTED ? null : counted >= want / 2 ? quieter(unmet) : unmet,
  },
  sun: {
    fits: 'a set: head, eyes and skin',
    title: 'Sun kept off',
    without: 'Burnt skin and glare, with nowhere to go.',
    raise: ({ exposures }) => {
      const bright = hoursOnWater(exposures) - exposures.darkMinutes / 60;
      const deg = exposures.sunHighestDeg;
      const burns = deg === null || deg >= BURNS_FROM_DEG;
      const long = bright * (deg === null ? 1 : Math.max(0, deg - BURNS_FROM_DEG) / BURNS_FROM_DEG);
      return raised(
        burns ? onScale(long, { note: 0, mind: 5.5 }) : null,
        sunParts.length,
        bright > 1
          ? reasons({ because: 'hours', hours: bright }, deg !== null && deg > 0 && { because: 'sun', deg })
          : [],
      );
    },
    parts: () => sunParts,
  },
  'wind-rain': {
    fits: 'for the upper body: trousers are one piece of a set',
    title: 'Wind and rain kept off',
    without: 'Wet in the wind, you cool while you sit.',
    raise: ({ exposures }) =>
      raised(
        coldAir(exposures) || soaks(exposures)
          ? 'mind'
          : onScale(exposures.seriousness.total, { note: 1.2, mind: 4.7 }),
        1,
        reasons(
          soaks(exposures) && { because: 'rain', mm: exposures.rainMm ?? 0 },
          exposures.wind !== null &&
            exposures.wind.value > 5 &&
            (exposures.airMinC ?? 0) < WIND_COOLS_BELOW_C && { because: 'wind', mps: exposures.wind.value },
          exposures.wind === null &&
            (exposures.hoursAfloat ?? 0) > 3 && { because: 'hours', hours: exposures.hoursAfloat ?? 0 },
        ),
      ),
    disqualify: ({ item }) =>
      item.kind === 'waders' || item.kind === 'dry-trousers' ? { code: 'one-piece' } : null,
  },
  'spare-clothes': {
    fits: 'a full set: a wrap is one piece of it',
    title: 'Dry clothes in a bag',
    without: 'After a swim there is nothing dry to put on.',
    far: 'landing',
    // Where the vehicle is near, the dry set that lies there does.
    raise: ({ exposures }) => {
      const { seriousness, solo, nights } = exposures;
      const list = reasons(
        farAfield(exposures, CLOTHES_ABOARD_FROM_M),
        coolEvening(exposures),
        outOvernight(exposures),
      );
      const far = onScale(seriousness.ground, { note: 1.9 });
      const wayBack = farAfield(exposures, 1000) && (solo || coldWater(exposures, 15)) ? 'note' : null;
      const unmet = louder(
        onScale(seriousness.total, { mind: 4.7 }),
        onScale(seriousness.cold + Math.min(1, seriousness.ground), { mind: 1.95 }),
      );
      return raised(
        nights > 0
          ? 'mind'
          : louder(louder(unmet, far), louder(wayBack, coolEvening(exposures) ? 'note' : null)),
        1,
        list,
      );
    },
    disqualify: ({ item }) => (item.kind === 'warm-wrap' ? { code: 'one-piece' } : null),
  },
  insects: {
    title: 'Insects kept off',
    without: 'A bad evening and a worse night.',
    raise: ({ exposures }) => raised('note', 1, reasons(outOvernight(exposures))),
  },
  heat: {
    title: 'Cooling and salts',
    without: 'Heat is a reason for a cooler jacket and more water, not for going without.',
    raise: ({ exposures }) => {
      const feelsC = exposures.feelsMaxC ?? exposures.airMaxC ?? 0;
      return raised('note', 1, reasons(feelsC > HOT_FROM_C && { because: 'heat', feelsC }));
    },
  },
  'hot-drink': {
    title: 'A hot drink',
    without: 'Nothing warms you from inside.',
    raise: ({ exposures }) => raised(null, 1, reasons(coldWater(exposures, 12), coldAir(exposures))),
  },
  'dry-in-vehicle': {
    title: 'A dry set in the vehicle',
    without: 'You drive home wet.',
    // Dry clothes aboard are dry at the vehicle as well.
    raise: ({ exposures }) => raised(null, 1, reasons(coldWater(exposures, 15))),
  },
};

/** Rain that soaks, in air that is not warm. Rules of thumb. */
function soaks({ rainMm, airMinC }: DayExposures): boolean {
  return (rainMm ?? 0) >= 2 && (airMinC ?? 0) < WIND_COOLS_BELOW_C;
}

/** Counted once for a party, by the persons each thing serves. */
function partyNeed(need: Need): Need {
  return {
    ...need,
    shared: true,
    amount: 'persons',
    raise: (c) => {
      const raise = need.raise(c);
      return raise && { ...raise, want: c.exposures.party };
    },
  };
}
function campNeed(title: string, without: string, unmet: FindingLevel | null): Need {
  return { title, without, raise: ({ exposures }) => raised(unmet, 1, reasons(outOvernight(exposures))) };
}
export const camp: NeedTable<(typeof needsByPurpose.camp)[number]> = {
  shelter: {
    ...partyNeed(campNeed('Shelter', 'A wet night in the open.', 'mind')),
    fits: 'a roof for each: a hammock only with a tarp',
    disqualify: ({ item }, { aboard }) =>
      item.kind === 'hammock' && !aboard.some((other) => other.item.kind === 'tarp')
        ? { code: 'needs-tarp' }
        : null,
  },
  sleep: {
    ...campNeed('Sleep warm', 'No sleep, and a day on the river after it.', 'mind'),
    fits: 'what keeps one warm: a roof is another need',
  },
  cook: partyNeed(campNeed('Cook', 'Cold food for days.', 'note')),
  'treat-water': {
    ...campNeed('Make water drinkable, two ways', 'Water from the bank or a stream, as it is.', 'mind'),
    fits: 'two different ways',
    shared: true,
    sort: ownSort,
    // On a salt shore what is drunk is carried: a stream ashore is the reserve.
    raise: ({ exposures, places }) =>
      raised(places.water?.type === 'salt' ? null : 'mind', 2, reasons(outOvernight(exposures))),
    partly: ({ counted, unmet }) => (counted > 0 ? quieter(unmet) : unmet),
  },
  waste: { ...campNeed('Waste carried out', 'It stays on the bank.', 'note'), shared: true },
  'hang-food': {
    ...campNeed('Food hung away from animals', 'Something else eats it, or comes for it.', 'mind'),
    shared: true,
  },
  fire: {
    ...campNeed('Make fire, two ways', 'Wet and cold with no way to change it.', 'note'),
    shared: true,
  },
  hygiene: { ...campNeed('Wash and toilet', 'A sick stomach, days from a tap.', 'note'), shared: true },
  animals: {
    ...campNeed('Animals kept off', 'Something walks through the camp at night.', 'note'),
    shared: true,
  },
  // A boat without any light is told of that already.
  'camp-light': campNeed('Light in camp', 'Pegs, fire and food are found by feel.', null),
  'camp-power': {
    ...campNeed('Charging in camp', 'The second day begins on a flat battery.', 'note'),
    shared: true,
    raise: ({ exposures }) => raised(null, 1, reasons(exposures.nights > 1 && outOvernight(exposures))),
  },
};
