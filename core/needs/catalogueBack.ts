import type { needsByPurpose } from '../vocabulary/needs';
import { type NeedTable, raised, reasons, tooLittle } from './need';
import { alone, farther, inDark } from './reason';

export const back: NeedTable<(typeof needsByPurpose.back)[number]> = {
  propulsion: {
    title: 'Propulsion',
    without: 'The boat goes where wind and stream take it.',
    raise: () => ({ level: 'must', want: 1, lifeCritical: true, reasons: [{ because: 'always' }] }),
    others: ({ exposures }) =>
      exposures.drive === null || exposures.drive === 'paddle' ? [] : [{ by: 'craft', part: 'drive', shortfall: null }],
  },
  'second-propulsion': {
    title: 'Second propulsion',
    without: 'A drive or a shaft breaks, and there is nothing to come home with.',
    raise: ({ exposures }) => {
      const list = reasons(
        (exposures.drive === 'pedal' || exposures.drive === 'motor') && { because: 'drive-can-fail' },
        farther(exposures, 500),
        alone(exposures),
      );
      return raised('must', 1, true, list);
    },
    disqualify: ({ item }, c) =>
      c.exposures.drive === 'paddle' && item.id === c.firstPaddleId ? { code: 'first-paddle' } : null,
  },
  'paddle-retained': {
    title: 'Paddle and drive leashed',
    without: 'In a capsize the paddle leaves faster than you can swim.',
    distinctKinds: true,
    raise: ({ exposures }) => ({
      level: 'must',
      want: exposures.drive === 'pedal' ? 2 : 1,
      lifeCritical: exposures.solo || (exposures.maxDistanceM ?? 0) > 500,
      reasons: reasons({ because: 'always' }, alone(exposures), farther(exposures, 500)),
    }),
  },
  'take-water-out': {
    title: 'Take water out',
    without: 'A hull that fills stays full.',
    raise: ({ exposures, places }) => {
      const list = reasons(places.craft?.deck === 'sit-inside' && { because: 'closed-hull' }, farther(exposures, 200));
      return raised('must', 1, (exposures.maxDistanceM ?? 0) > 1000, list);
    },
  },
  'stop-leak': {
    title: 'Stop a leak',
    without: 'A crack the length of a finger fills the hull.',
    raise: ({ exposures, places }) =>
      raised(
        'should',
        1,
        false,
        reasons(farther(exposures, 1000), places.area?.bottom === 'rock' && farther(exposures, 200)),
      ),
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
    title: 'Bow or tow line',
    without: 'Nobody can tow you, and you cannot make the boat fast.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
    disqualify: (a) => tooLittle(a, 'lengthM', 3),
  },
  navigate: {
    title: 'Know where you are',
    without: 'In dark or mist the shore is a guess.',
    raise: ({ exposures }) => {
      const dark = inDark(exposures);
      const must = Boolean(dark) && (exposures.maxDistanceM ?? 0) > 1000;
      return raised(must ? 'must' : 'should', 1, false, reasons(farther(exposures, 1000), dark));
    },
    // Chart and compass are one means together: the compass counts for both.
    disqualify: ({ item }, { aboard }) => {
      const isAboard = (kind: string) => aboard.some((other) => other.item.kind === kind);
      if (item.kind === 'chart') return { code: 'needs-compass' };
      return item.kind === 'compass' && !isAboard('chart') ? { code: 'needs-chart' } : null;
    },
  },
  carry: {
    title: 'Carry to the water',
    without: 'A back is hurt before the day begins.',
    raise: ({ places: { launch } }) =>
      raised(
        'should',
        1,
        false,
        reasons(launch !== null && launch.carryM > 100 && { because: 'carry', metres: launch.carryM }),
      ),
    disqualify: (a, { places }) => tooLittle(a, 'ratedKg', places.craft?.massKg ?? 0),
  },
  'on-vehicle': {
    title: 'Tied on the vehicle',
    without: 'The boat leaves the roof.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
  },
  keys: {
    title: 'Keys kept',
    without: 'You stand wet beside a locked vehicle.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
  },
  hour: {
    title: 'The hour, to hand',
    without: 'The turn-back passes unseen.',
    raise: ({ exposures, places }) =>
      raised(
        'should',
        1,
        false,
        reasons(
          farther(exposures, 1000),
          inDark(exposures),
          places.water?.tide !== null && farther(exposures, 500) && { because: 'tide' },
        ),
      ),
  },
  'keep-air': {
    title: 'Pump and gauge',
    without: 'Cool water softens the chambers, and a soft boat folds and drags.',
    raise: ({ exposures }) => raised('should', 1, false, reasons(exposures.inflatable && { because: 'inflatable' })),
  },
  'mend-drive': {
    title: 'Mend the drive',
    without: 'A pin the size of a match ends the drive.',
    raise: ({ exposures }) => {
      const mechanical = exposures.drive === 'pedal' || exposures.drive === 'motor';
      return raised('should', 1, false, reasons(mechanical && farther(exposures, 1000)));
    },
  },
};
