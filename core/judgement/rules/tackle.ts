import { CROWD_M } from '../../tackle/spread';
import { kinds } from '../../catalog/gear/kinds';
import { spareLines, trollingSpread } from '../../tackle/tackleSheet';
import { amount, mass } from '../../units/amount';
import { count, duration, figure } from '../../units/words';
import { adding, fewerRods, rodsAshore } from '../candidates';
import { rule } from '../rule';

/** Three times what is likely lost, and a few, is needlessly many. */
const MANY_TIMES = 3;
const MANY_MORE = 6;

const sparesFew = rule({
  code: 'spares-few',
  reads: ['tackle', 'day', 'outward', 'workings'],
  station: 'workings',
  sheet: 'spares',
  measure: 'pieces',
  find: ({ tackle, day, outward: brief, workings }) =>
    spareLines(tackle, day, brief, workings).flatMap(({ item, have, carry, expected, hours }) =>
      have !== null && have < carry
        ? [
            {
              level: 'mind' as const,
              basis: 'judgement' as const,
              extent: carry - have,
              subject: item.id,
              facts: { item: item.name, have, carry, expected, hours },
            },
          ]
        : [],
    ),
  say: ({ item, have, carry, expected, hours }) => ({
    title: `${item}: ${count(have)}, and ${count(carry)} are wanted`,
    text: `In ${duration(hours * 60)} about ${figure(expected)} are lost, by the rate on its sheet: a rule of thumb until it is your own.`,
  }),
});

const sparesMany = rule({
  code: 'spares-many',
  notes: true,
  reads: ['tackle', 'day', 'outward', 'workings'],
  station: 'workings',
  sheet: 'spares',
  measure: 'pieces',
  find: ({ tackle, day, outward: brief, workings }) =>
    spareLines(tackle, day, brief, workings).flatMap(({ item, have, carry }) =>
      have !== null && have >= carry && have > carry * MANY_TIMES + MANY_MORE
        ? [
            {
              level: 'note' as const,
              basis: 'judgement' as const,
              extent: have,
              subject: item.id,
              facts: { item: item.name, have, carry },
            },
          ]
        : [],
    ),
  say: ({ item, have, carry }) => ({
    title: `${item}: ${count(have)}, where ${count(carry)} would do`,
    text: 'Searching and untangling is fishing time lost.',
  }),
});

const jigLight = rule({
  code: 'jig-light',
  notes: true,
  reads: ['tackle', 'outward', 'workings', 'jigs'],
  station: 'workings',
  sheet: 'jig',
  measure: 'g',
  find: ({ tackle, outward: { techniques }, workings, jigs }) => {
    // A sinker is not a jig, however heavy.
    const haveG = Math.max(
      0,
      ...tackle.aboard.map(({ item }) =>
        kinds[item.kind].means.includes('lures') ? (item.attributes.lureG ?? 0) : 0,
      ),
    );
    if (!techniques.includes('jigging') || haveG === 0) return [];
    const most = jigs.toSorted((a, b) => b.massG - a.massG)[0];
    if (!most || most.massG <= haveG) return [];
    const { massG, driftMps, hour } = most;
    const facts = {
      massG,
      haveG,
      at: hour.clock,
      depthM: hour.depthM,
      driftMps,
      angleDeg: workings.jigAngleDeg,
    };
    return [{ level: 'note', basis: 'judgement', extent: massG - haveG, facts }];
  },
  say: ({ massG, haveG, at, depthM, driftMps, angleDeg }) => ({
    title: `At ${at} the jig wants ${mass(massG / 1000)}`,
    text: `In ${amount(depthM, 'm', 0)} at ${amount(driftMps, 'm/s', 2)} of drift, to keep the line within ${figure(angleDeg, 0)}° of straight down. The heaviest aboard is ${mass(haveG / 1000)}. A drogue slows the drift.`,
  }),
  repairs: (_, context) => adding(context, ['drogue', 'big-drogue']),
});

const spreadWide = rule({
  code: 'spread-wide',
  reads: ['tackle', 'exposures', 'outward', 'workings'],
  station: 'workings',
  sheet: 'spread',
  measure: 'm',
  find: ({ tackle, exposures, outward: brief, workings }) => {
    if (!brief.techniques.includes('trolling') || exposures.traffic !== 'busy' || exposures.rods < 2)
      return [];
    const sum = trollingSpread(tackle, workings);
    if (!sum || sum.spreadM <= CROWD_M) return [];
    const facts = { spreadM: sum.spreadM, mostM: CROWD_M };
    return [{ level: 'mind', basis: 'judgement', extent: sum.spreadM, facts }];
  },
  say: ({ spreadM, mostM }) => ({
    title: `Rods ${amount(spreadM, 'm')} apart in a crowd`,
    text: `Others pass close. Over ${amount(mostM, 'm')}, one rod across the bow instead.`,
  }),
  // One rod across the bow: the others stay ashore.
  repairs: (_, context) => [
    ...fewerRods(context, context.exposures.rods - 1),
    ...rodsAshore(context, context.exposures.rods - 1),
  ],
  otherwise: () => 'One rod across the bow.',
});

export const tackleRules = [sparesFew, sparesMany, jigLight, spreadWide] as const;
