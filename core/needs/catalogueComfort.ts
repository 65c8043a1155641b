import { foodEnergy } from '../provisions/food';
import { drinkingWater, type Effort } from '../provisions/water';
import type { needsByPurpose } from './ids';
import { type Need, type NeedTable, raised, reasons } from './need';
import { coldWater, outOvernight } from './reason';
import type { Exposures } from '../exposures/exposures';

/** Charge carried over what is drawn. Rule of thumb until a battery's own sum is done. */
const CHARGE_MARGIN = 1.25;
/** Water treated on the way from the second day on, so only the first day's is carried. */
const HOURS_OF_CARRIED_WATER = 14;

export const power: NeedTable<(typeof needsByPurpose.power)[number]> = {
  power: {
    title: 'Power for what is aboard',
    without: 'The screen goes dark before the day does.',
    amount: 'wattHours',
    raise: ({ e }) => {
      const hours = Math.min(e.hoursAfloat ?? 0, HOURS_OF_CARRIED_WATER);
      const list = reasons(e.electricsW > 0 && { because: 'electrics', watts: e.electricsW, hours });
      return raised('must', Math.ceil(e.electricsW * hours * CHARGE_MARGIN), false, list);
    },
  },
};

export const warm: NeedTable<(typeof needsByPurpose.warm)[number]> = {
  water: {
    title: 'Drinking water',
    without: 'Thirst makes hands clumsy and judgement poor.',
    amount: 'litres',
    raise: ({ e }) => {
      if (e.hoursAfloat === null) return null;
      const hours = Math.min(e.hoursAfloat, HOURS_OF_CARRIED_WATER);
      const { litres } = drinkingWater({
        persons: 1,
        hours,
        feelsC: e.feelsMaxC ?? e.airMaxC ?? 20,
        effort: effortOf(e),
      });
      const hot = e.airMaxC !== null && e.airMaxC > 20;
      return {
        level: 'must',
        want: Math.round(litres * 10) / 10,
        grave: false,
        reasons: reasons({ because: 'hours', hours }, hot && { because: 'heat', airC: e.airMaxC ?? 0 }),
      };
    },
  },
  food: {
    title: 'Food',
    without: 'The pull home is made on an empty stomach.',
    amount: 'foodKj',
    raise: ({ e }) => {
      const hours = Math.min(e.hoursAfloat ?? 0, 14);
      const want = Math.round(foodEnergy({ hours, nights: e.nights, effort: effortOf(e) }) / 100) * 100;
      return raised(
        'should',
        want,
        false,
        reasons((e.hoursAfloat ?? 0) > 3 && { because: 'hours', hours }, outOvernight(e)),
      );
    },
  },
  sun: {
    title: 'Sun kept off',
    without: 'Burnt skin and glare, with nowhere to go.',
    raise: ({ e }) => {
      const bright = (e.hoursAfloat ?? 0) - e.darkMinutes / 60;
      return raised('should', 1, false, reasons(bright > 1 && { because: 'hours', hours: bright }));
    },
  },
  'wind-rain': {
    title: 'Wind and rain kept off',
    without: 'Wet in the wind, you cool while you sit.',
    raise: ({ e }) =>
      raised(
        'should',
        1,
        false,
        reasons(
          e.wind !== null && e.wind.value > 5 && { because: 'wind', mps: e.wind.value },
          e.wind === null && (e.hoursAfloat ?? 0) > 3 && { because: 'hours', hours: e.hoursAfloat ?? 0 },
        ),
      ),
  },
  'spare-clothes': {
    title: 'Dry clothes in a bag',
    without: 'After a swim there is nothing dry to put on.',
    raise: ({ e }) => {
      const list = reasons(coldWater(e, 15), outOvernight(e));
      return raised(list.length > 1 ? 'must' : 'should', 1, false, list);
    },
  },
  insects: {
    title: 'Insects kept off',
    without: 'A bad evening and a worse night.',
    raise: ({ e }) => raised('should', 1, false, reasons(outOvernight(e))),
  },
};

function campNeed(title: string, without: string, level: 'must' | 'should'): Need {
  return { title, without, raise: ({ e }) => raised(level, 1, false, reasons(outOvernight(e))) };
}
export const camp: NeedTable<(typeof needsByPurpose.camp)[number]> = {
  shelter: campNeed('Shelter', 'A wet night in the open.', 'must'),
  sleep: campNeed('Sleep warm', 'No sleep, and a day on the river after it.', 'must'),
  cook: campNeed('Cook', 'Cold food for days.', 'should'),
  'treat-water': campNeed('Make water drinkable', 'River water as it is.', 'must'),
  waste: campNeed('Waste carried out', 'It stays on the bank.', 'must'),
  'hang-food': campNeed('Food hung away from animals', 'Something else eats it, or comes for it.', 'should'),
  fire: campNeed('Make fire, two ways', 'Wet and cold with no way to change it.', 'must'),
  hygiene: campNeed('Wash and toilet', 'A sick stomach, days from a tap.', 'should'),
};

function effortOf(e: Exposures): Effort {
  return e.drive === 'motor' ? 'easy' : 'steady';
}
