import { fittingPaddleM } from '../../boat/paddle';
import { FLAG_FROM_M, overhangM } from '../../boat/road';
import { type KindId, kinds } from '../../catalog/gear/kinds';
import type { Item } from '../../documents/item';
import { catalogue } from '../../needs/catalogue';
import type { JudgedNeed } from '../../needs/match';
import { shareBox } from '../../needs/clash';
import { idsAboard } from '../../documents/references';
import { tackleAboard, tackleBudget, tackleKindIds } from '../../tackle/tackleBudget';
import { amount, mass } from '../../units/amount';
import { capital, count, howMany, listed } from '../../units/words';
import type { NeedId } from '../../vocabulary/needs';
import { adding, removing, swapping } from '../candidates';
import { rule } from '../rule';

/** A paddle may differ by this much from what suits, m. Rule of thumb. */
const PADDLE_SLACK_M = 0.12;
/** Where cold water and surf begin to speak for foam, °C and m. */
const FOAM_BELOW_C = 10;
const FOAM_SURF_M = 0.5;
const inflatableJackets: readonly KindId[] = ['inflatable-jacket', 'hybrid-jacket'];

const automaticJacket = rule({
  code: 'automatic-jacket',
  reads: ['carried', 'day', 'places'],
  station: 'kit',
  measure: 'whether',
  find: ({ carried, day, places }) => {
    const where = day.rapids > 0 ? ('rapids' as const) : places.launch?.surf ? ('surf' as const) : null;
    if (!where) return [];
    return carried
      .filter(({ item }) => isAutomatic(item))
      .map(({ item }) => ({
        level: 'mind' as const,
        basis: 'school' as const,
        extent: 1,
        subject: item.id,
        facts: { item: item.name, where },
      }));
  },
  say: ({ item, where }) => ({
    title: `${item} fires by itself when soaked`,
    text: `In ${where} it may go off at the first wave and hinder you. Some accept that for its help when unconscious; foam always works.`,
  }),
  repairs: (_, context) => [
    ...swapping(context, isAutomatic, ({ kind }) => kind === 'foam-jacket'),
    ...swapping(
      context,
      isAutomatic,
      (item) =>
        kinds[item.kind].means.includes('buoyancy') && item.kind !== 'foam-jacket' && !isAutomatic(item),
    ),
    ...removing(context, (kind) => kind === 'inflatable-jacket'),
  ],
});
const isAutomatic = ({ kind, qualities }: Item) =>
  kind === 'inflatable-jacket' && qualities.includes('automatic');

/** Cold water, surf and a poor swimmer speak for foam: a school, told once and softly. */
const foamFavoured = rule({
  code: 'foam-favoured',
  notes: true,
  reads: ['carried', 'day', 'places'],
  station: 'kit',
  measure: 'whether',
  find: ({ carried, day: { immersion, waterC, breakerM }, places: { angler } }) => {
    const why =
      angler && angler.swims !== 'well'
        ? ('swim' as const)
        : immersion && waterC !== null && waterC < FOAM_BELOW_C
          ? ('cold' as const)
          : (breakerM ?? 0) > FOAM_SURF_M
            ? ('surf' as const)
            : null;
    if (!why || carried.some(({ item }) => item.kind === 'foam-jacket')) return [];
    return carried
      .filter(({ item }) => inflatableJackets.includes(item.kind) && !item.qualities.includes('automatic'))
      .map(({ item }) => ({
        level: 'note' as const,
        basis: 'school' as const,
        extent: 1,
        subject: item.id,
        facts: { item: item.name, why },
      }));
  },
  say: ({ item, why }) => ({
    title: `${item}, where many choose foam`,
    text: `${{ swim: 'You do not swim well', cold: 'Cold water takes the strength of the hands that must pull it', surf: 'Surf leaves no moment to pull it' }[why]}. Foam needs no doing. Both are approved.`,
  }),
});

const gaffAboard = rule({
  code: 'gaff-aboard',
  reads: ['carried', 'day', 'outward', 'needs'],
  station: 'kit',
  measure: 'whether',
  // Where it is what leaves the landing unmet, it is told there.
  find: ({ carried, day, outward: brief, needs }) => {
    if (needs.some(({ id, met }) => id === 'land-fish' && !met)) return [];
    const released = brief.keep === 0 && brief.targets.length > 0;
    const why = day.inflatable ? ('inflatable' as const) : released ? ('released' as const) : null;
    if (!why) return [];
    return carried
      .filter(({ item }) => item.kind === 'gaff')
      .map(({ item }) => ({
        level: 'mind' as const,
        basis: 'judgement' as const,
        extent: 1,
        subject: item.id,
        facts: { item: item.name, why },
      }));
  },
  say: ({ item, why }) => ({
    title: `${item} is aboard`,
    text:
      why === 'inflatable'
        ? 'A point beside an air chamber. Land the fish another way.'
        : 'Every fish goes back today, and a gaffed fish does not live. Land it another way.',
  }),
  repairs: (_, context) => removing(context, (kind) => kind === 'gaff'),
});

/** The paddle one sets out with, against body and beam. */
const paddleSize = rule({
  code: 'paddle-size',
  reads: ['carried', 'places'],
  station: 'kit',
  measure: 'm',
  find: ({ carried, places: { angler, craft } }) => {
    if (!angler || !craft || craft.drive !== 'paddle') return [];
    const wantM = fittingPaddleM({ heightM: angler.heightM, beamM: craft.beamM });
    const whole = carried.flatMap(({ item }) =>
      (item.kind === 'paddle' || item.kind === 'long-paddle') && item.attributes.lengthM !== undefined
        ? [{ name: item.name, haveM: item.attributes.lengthM }]
        : [],
    );
    const off = (one: { haveM: number }) => Math.abs(one.haveM - wantM);
    const best = whole.toSorted((a, b) => off(a) - off(b))[0];
    if (!best || off(best) <= PADDLE_SLACK_M + 1e-9) return [];
    const facts = { item: best.name, haveM: best.haveM, wantM };
    return [{ level: 'mind', basis: 'judgement', extent: off(best), facts }];
  },
  say: ({ item, haveM, wantM }) => ({
    title: `${item}: ${amount(haveM * 100, 'cm', 0)}`,
    text: `About ${amount(wantM * 100, 'cm', 0)} suits your height and this beam, a rule of thumb. ${haveM < wantM ? 'A short one strikes the side and the knuckles.' : 'A long one turns the boat at every stroke.'}`,
  }),
});

/** A boat that stands past the tail of what it travels on, without a flag. */
const overhang = rule({
  code: 'overhang',
  reads: ['carried', 'places'],
  station: 'kit',
  measure: 'm',
  find: ({ carried, places: { angler, craft } }) => {
    const pastM = angler && craft ? overhangM(craft.lengthM, angler.vehicle) : null;
    if (!craft || pastM === null || pastM <= FLAG_FROM_M) return [];
    if (carried.some(({ item }) => item.kind === 'overhang-flag')) return [];
    return [{ level: 'mind', basis: 'judgement', extent: pastM, facts: { craft: craft.name, pastM } }];
  },
  say: ({ craft, pastM }) => ({
    title: `${craft} stands ${amount(pastM, 'm')} past the tail of the vehicle`,
    text: `Many laws ask for a flag or a board from ${amount(FLAG_FROM_M, 'm', 0)}, and some for a light after dark. Look up those of the roads you take; whoever follows you sees it late.`,
  }),
  repairs: (_, context) => adding(context, ['overhang-flag']),
  otherwise: () => 'A bright cloth at the very end is the least; no overhang flag is in the locker.',
});

/** A boat heavier than the bars or the rack under it are rated for. */
const overRack = rule({
  code: 'over-rack',
  reads: ['places'],
  station: 'kit',
  measure: 'kg',
  find: ({ places: { angler, craft } }) => {
    const ratedKg = angler?.vehicle.carries === 'roof' ? angler.vehicle.ratedKg : null;
    if (!craft || ratedKg === null || craft.massKg <= ratedKg) return [];
    const facts = { craft: craft.name, massKg: craft.massKg, ratedKg };
    return [{ level: 'mind', basis: 'physics', extent: craft.massKg - ratedKg, facts }];
  },
  say: ({ craft, massKg, ratedKg }) => ({
    title: `${craft}: ${amount(massKg, 'kg', 0)} on bars for ${amount(ratedKg, 'kg', 0)}`,
    text: 'Bars and roof let go at the first hard stop. The rating counts the bars themselves, and the roof has one of its own.',
  }),
  otherwise: () => 'Bars that are rated for it, a trailer, or a lighter boat.',
});

/** Ordinary and elastic soft baits in one container melt together. */
const baitsReact = rule({
  code: 'baits-react',
  reads: ['aboard'],
  station: 'kit',
  measure: 'whether',
  find: ({ aboard }) => {
    const elastic = aboard.filter(({ item }) => item.qualities.includes('elastic'));
    if (elastic.length === 0) return [];
    const ids = idsAboard({ aboard });
    const soft = aboard.filter(({ item }) => item.qualities.includes('softbait'));
    return elastic.flatMap((one) => {
      const beside = soft.find((other) => other.item.id === one.item.id || shareBox(one, other, ids));
      if (!beside) return [];
      const facts = { item: one.item.name, beside: beside.item.name, itemId: one.item.id };
      return [{ level: 'mind' as const, basis: 'physics' as const, extent: 1, subject: one.item.id, facts }];
    });
  },
  say: ({ item, beside }) => ({
    title: `${item} beside ${beside}`,
    text: 'Elastic and ordinary soft plastics melt into each other. Each in a box of its own.',
  }),
  repairs: ({ itemId, item }) => [{ do: 'separate-item', itemId, name: item }],
  otherwise: () => 'A box for each of them.',
});

/** Two kilograms too many are as bad as one rod or box. */
const KG_A_PIECE = 2;
/** More rods, boxes or mass than the angler's own school carries. */
const tackleOver = rule({
  code: 'tackle-over',
  notes: true,
  reads: ['tackle', 'day'],
  station: 'kit',
  measure: 'pieces',
  find: ({ tackle, day }) => {
    const budget = tackleBudget(tackle, day);
    if (!budget) return [];
    const have = tackleAboard(tackle);
    const over = Math.max(
      have.rods - budget.rods,
      have.boxes - budget.boxes,
      (have.massKg - budget.massKg) / KG_A_PIECE,
    );
    return over > 0 ? [{ level: 'note', basis: 'school', extent: over, facts: { have, budget } }] : [];
  },
  say: ({ have, budget }) => ({
    title: 'More tackle than you mean to carry',
    text: `${capital(howMany(have.rods, 'rod'))}, ${howMany(have.boxes, 'box', 'boxes')}, ${mass(have.massKg)}; your own measure for this outing is ${count(budget.rods)}, ${count(budget.boxes)} and ${mass(budget.massKg)}.`,
  }),
  repairs: (_, context) => removing(context, (kind) => tackleKindIds.has(kind)),
  otherwise: () => 'Leave a box or a rod ashore.',
});

/** One thing that is the only call and a camera that the day counts on: three jobs, one battery, one drop. */
const oneThingManyJobs = rule({
  code: 'one-thing-many-jobs',
  reads: ['needs', 'day'],
  station: 'kit',
  measure: 'jobs',
  find: ({ needs, day: { competition } }) => {
    const counting = (id: NeedId) =>
      needs
        .find((need) => need.id === id)
        ?.means.flatMap((one) => (one.by === 'item' && one.shortfall === null ? [one] : [])) ?? [];
    const [call, ...others] = counting('call-for-help');
    if (!competition || !call || others.length > 0) return [];
    const jobs = (['photograph', 'hour', 'navigate'] as const).filter((id) =>
      counting(id).some(({ itemId }) => itemId === call.itemId),
    );
    // A second camera takes that from it.
    if (!jobs.includes('photograph') || counting('photograph').length > 1) return [];
    return [{ level: 'mind', basis: 'judgement', extent: jobs.length + 1, facts: { item: call.name } }];
  },
  say: ({ item }) => ({
    title: `${item}: the only call for help, and a camera all day`,
    text: 'Every picture takes from the charge that the call may need, and brings it out over the water. Another way to call, or keep it for that.',
  }),
  repairs: (_, context) => adding(context, ['vhf-radio', 'satellite-messenger', 'beacon']),
});

/** Tents and stoves serve several people: more of them than the party needs are carried for nothing. */
const sharedTooMany = rule({
  code: 'shared-too-many',
  notes: true,
  reads: ['needs', 'day'],
  station: 'kit',
  measure: 'things',
  find: ({ needs, day }) =>
    day.party < 2
      ? []
      : needs
          .filter(({ id, met }) => met && catalogue[id].shared === true && catalogue[id].amount === 'persons')
          .flatMap((need) => {
            const { names, many, enough } = surplusOf(need);
            const facts = { names, many, enough, party: day.party };
            return many > enough
              ? [
                  {
                    level: 'note' as const,
                    basis: 'judgement' as const,
                    extent: many - enough,
                    subject: need.id,
                    facts,
                  },
                ]
              : [];
          }),
  say: ({ names, many, enough, party: people }) => ({
    title: `${listed(names)}: ${count(many)} among ${count(people)}`,
    text: `${capital(count(enough))} would do for all. Agree who carries ${enough === 1 ? 'it' : 'them'}, and leave the rest ashore.`,
  }),
});

/** The pieces that meet a need counted by persons, and how many of them serve all, the largest first. */
function surplusOf({ means, want }: JudgedNeed): { names: string[]; many: number; enough: number } {
  const pieces = means
    .flatMap((one) => (one.by === 'item' && one.shortfall === null ? [one] : []))
    .flatMap(({ name, quantity, amount: persons }) =>
      Array.from({ length: quantity }, () => ({ name, persons: persons / quantity })),
    )
    .toSorted((a, b) => b.persons - a.persons);
  let [served, enough] = [0, 0];
  while (served < want && enough < pieces.length) served += pieces[enough++]?.persons ?? 0;
  return { names: [...new Set(pieces.map(({ name }) => name))], many: pieces.length, enough };
}

/** A fault that is gone by itself is as likely to come back. */
const goodAgain = rule({
  code: 'good-again',
  reads: ['aboard', 'mended'],
  station: 'walk-round',
  measure: 'whether',
  find: ({ aboard, mended }) =>
    mended.flatMap(({ itemId, missing, note }) => {
      const name = aboard.find(({ item }) => item.id === itemId)?.item.name;
      return name === undefined
        ? []
        : [
            {
              level: 'mind' as const,
              basis: 'judgement' as const,
              extent: 1,
              subject: itemId,
              facts: { name, missing, note },
            },
          ];
    }),
  say: ({ name, missing, note }) => ({
    title: `${name}: ${missing ? 'missing' : 'a fault'} in the evening, good at the water`,
    text: `${note === '' ? '' : `You wrote “${note.replace(/[.!?]$/u, '')}”. `}${missing ? 'Say where it was.' : 'Say what was done about it: a fault that went by itself comes back.'}`,
  }),
  otherwise: () => 'Accept it with what was done, or answer the step anew.',
});

export const kitRules = [
  automaticJacket,
  foamFavoured,
  gaffAboard,
  paddleSize,
  overhang,
  overRack,
  baitsReact,
  tackleOver,
  oneThingManyJobs,
  sharedTooMany,
  goodAgain,
] as const;
