import type { needsByPurpose } from '../vocabulary/needs';
import { type NeedTable, raised, reasons, tooLittle } from './need';
import { alone, farther, inDark } from './reason';

export const back: NeedTable<(typeof needsByPurpose.back)[number]> = {
  propulsion: {
    title: 'Propulsion',
    without: 'The boat goes where wind and stream take it.',
    raise: () => ({ level: 'must', want: 1, lifeCritical: true, reasons: [{ because: 'always' }] }),
    others: ({ e }) =>
      e.drive === null || e.drive === 'paddle' ? [] : [{ by: 'craft', part: 'drive', shortfall: null }],
  },
  'second-propulsion': {
    title: 'Second propulsion',
    without: 'A drive or a shaft breaks, and there is nothing to come home with.',
    raise: ({ e }) => {
      const list = reasons(
        (e.drive === 'pedal' || e.drive === 'motor') && { because: 'drive-can-fail' },
        farther(e, 500),
        alone(e),
      );
      return raised('must', 1, true, list);
    },
    lacks: ({ item }, c) => (c.e.drive === 'paddle' && item.id === c.firstPaddleId ? { code: 'first-paddle' } : null),
  },
  'paddle-retained': {
    title: 'Paddle and drive leashed',
    without: 'In a capsize the paddle leaves faster than you can swim.',
    distinctKinds: true,
    raise: ({ e }) => ({
      level: 'must',
      want: e.drive === 'pedal' ? 2 : 1,
      lifeCritical: e.solo || (e.maxDistanceM ?? 0) > 500,
      reasons: reasons({ because: 'always' }, alone(e), farther(e, 500)),
    }),
  },
  'take-water-out': {
    title: 'Take water out',
    without: 'A hull that fills stays full.',
    raise: ({ e, looked }) => {
      const list = reasons(looked.craft?.deck === 'sit-inside' && { because: 'closed-hull' }, farther(e, 200));
      return raised('must', 1, (e.maxDistanceM ?? 0) > 1000, list);
    },
  },
  'stop-leak': {
    title: 'Stop a leak',
    without: 'A crack the length of a finger fills the hull.',
    raise: ({ e, looked }) =>
      raised('should', 1, false, reasons(farther(e, 1000), looked.area?.bottom === 'rock' && farther(e, 200))),
  },
  plugs: {
    title: 'Drain plugs in',
    without: 'The hull fills slowly, and you notice far out.',
    raise: ({ looked: { craft } }) =>
      craft && craft.drainPlugs > 0
        ? { level: 'must', want: 1, lifeCritical: true, reasons: [{ because: 'plugs', count: craft.drainPlugs }] }
        : null,
    others: () => [{ by: 'craft', part: 'plugs', shortfall: null }],
  },
  'tow-line': {
    title: 'Bow or tow line',
    without: 'Nobody can tow you, and you cannot make the boat fast.',
    raise: () => ({ level: 'should', want: 1, lifeCritical: false, reasons: [{ because: 'always' }] }),
    lacks: (a) => tooLittle(a, 'lengthM', 3),
  },
  navigate: {
    title: 'Know where you are',
    without: 'In dark or mist the shore is a guess.',
    raise: ({ e }) => {
      const dark = inDark(e);
      const must = Boolean(dark) && (e.maxDistanceM ?? 0) > 1000;
      return raised(must ? 'must' : 'should', 1, false, reasons(farther(e, 1000), dark));
    },
    // Chart and compass are one means together: the compass counts for both.
    lacks: ({ item }, { looked }) => {
      const aboard = (kind: string) => looked.aboard.some((other) => other.item.kind === kind);
      if (item.kind === 'chart') return { code: 'needs-compass' };
      return item.kind === 'compass' && !aboard('chart') ? { code: 'needs-chart' } : null;
    },
  },
  carry: {
    title: 'Carry to the water',
    without: 'A back is hurt before the day begins.',
    raise: ({ looked: { launch } }) =>
      raised(
        'should',
        1,
        false,
        reasons(launch !== null && launch.carryM > 100 && { because: 'carry', metres: launch.carryM }),
      ),
    lacks: (a, { looked }) => tooLittle(a, 'ratedKg', looked.craft?.massKg ?? 0),
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
    raise: ({ e, looked }) =>
      raised(
        'should',
        1,
        false,
        reasons(farther(e, 1000), inDark(e), looked.water?.tide !== null && farther(e, 500) && { because: 'tide' }),
      ),
  },
  'keep-air': {
    title: 'Pump and gauge',
    without: 'Cool water softens the chambers, and a soft boat folds and drags.',
    raise: ({ e }) => raised('should', 1, false, reasons(e.inflatable && { because: 'inflatable' })),
  },
  'mend-drive': {
    title: 'Mend the drive',
    without: 'A pin the size of a match ends the drive.',
    raise: ({ e }) => {
      const mechanical = e.drive === 'pedal' || e.drive === 'motor';
      return raised('should', 1, false, reasons(mechanical && farther(e, 1000)));
    },
  },
};
