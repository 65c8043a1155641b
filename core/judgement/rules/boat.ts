import {
  LOAD_MIND,
  LOAD_NOTE,
  LOAD_STOP,
  STERN_MIND,
  STERN_STOP,
  carriedKg,
  fittedKg,
} from '../../boat/load';
import { seatOf } from '../../boat/build';
import { behindSeat } from '../../stow/lading';
import { kinds } from '../../catalog/gear/kinds';
import { amount, mass } from '../../units/amount';
import { figure } from '../../units/words';
import { hullLooks, hullParts, hullStep } from '../../walkround/hullParts';
import { fewerFish, otherBoats, removing, withoutUnneeded } from '../candidates';
import { rule } from '../rule';
import { forward } from '../stowRepairs';
import { type FindingLevel } from '../../vocabulary/levels';

/** So much more, kg, in a boat laden too much already does not keep a missing thing from being offered. */
const SLACK_KG = 2;
const MOST_NAMED = 3;

const craftUnderRepair = rule({
  code: 'craft-under-repair',
  reads: ['places'],
  station: 'brief',
  boatPart: 'about',
  measure: 'whether',
  find: ({ places: { craft } }) =>
    craft?.condition === 'under repair'
      ? [{ level: 'stop', basis: 'physics', extent: 1, facts: { craft: craft.name } }]
      : [],
  say: ({ craft }) => ({
    title: `${craft} is under repair`,
    text: 'Its record says so. Choose another boat, or mark it good when it is.',
  }),
  repairs: (_, context) => otherBoats(context),
  otherwise: () => 'Another boat; or mend it, and say so where the boat is kept.',
});

const craftFault = rule({
  code: 'craft-fault',
  reads: ['places', 'craftFaults'],
  station: 'walk-round',
  measure: 'whether',
  find: ({ places: { craft }, craftFaults }) =>
    craft
      ? craftFaults.map(({ part, nth, missing }) => {
          const look = hullLooks(craft).find((one) => one.part === part && one.nth === nth);
          const what = look?.title ?? hullParts[part].title;
          return {
            level: hullParts[part].critical ? ('stop' as const) : ('mind' as const),
            basis: hullParts[part].critical ? ('physics' as const) : ('judgement' as const),
            extent: 1,
            subject: hullStep({ part, nth }).replace('hull:', ''),
            facts: { craft: craft.name, part, what, missing },
          };
        })
      : [],
  say: ({ craft, part, what, missing }) => ({
    title: `${what}: ${missing ? 'not there' : 'a fault'}`,
    text: `You found it on ${craft}'s walk-round. ${hullParts[part].bad} Mend it, look again, and answer again.`,
  }),
  repairs: (_, context) => otherBoats(context),
  otherwise: () => 'Nothing on a screen mends it: mended and answered again, another boat, or not today.',
});

const overload = rule({
  code: 'overload',
  reads: ['looked', 'day'],
  station: 'kit',
  measure: 'kg',
  slack: SLACK_KG,
  find: ({ looked, day }) => {
    const massKg = carriedKg(looked, day);
    if (massKg === null || !looked.craft) return [];
    const { ratedLoadKg: ratedKg, name: craft, assumed } = looked.craft;
    const share = massKg / ratedKg;
    if (share <= LOAD_NOTE) return [];
    const level: FindingLevel = share > LOAD_STOP ? 'stop' : share > LOAD_MIND ? 'mind' : 'note';
    return [
      {
        level,
        basis: 'physics',
        extent: massKg,
        facts: { massKg, ratedKg, craft, assumed: assumed.includes('ratedLoadKg') },
      },
    ];
  },
  say: ({ massKg, ratedKg, craft, assumed }) => ({
    title: massKg > ratedKg ? `${craft} is overloaded` : `${craft} is heavily laden`,
    text: `You, the gear and the catch come to ${amount(massKg, 'kg', 0)} of the ${amount(ratedKg, 'kg', 0)} ${assumed ? 'such a boat is usually rated for (nobody has said it of this one)' : 'it is rated for'}, ${figure((massKg / ratedKg) * 100, 0)} %. It sits lower and answers slower.`,
  }),
  repairs: ({ massKg, ratedKg }, context) => [
    // Only what is heavy enough to settle it is tried.
    ...removing(
      context,
      (kind) => kinds[kind].means.length === 0,
      (kg) => massKg - kg <= ratedKg * LOAD_MIND,
    ),
    ...withoutUnneeded(context, massKg - ratedKg * LOAD_MIND),
    ...fewerFish(context),
  ],
  otherwise: () => 'Leave the heaviest ashore, keep fewer fish, or take a boat that carries more.',
});

const sternOverload = rule({
  code: 'stern-load',
  reads: ['looked', 'day', 'plan'],
  station: 'stow',
  measure: 'kg',
  slack: SLACK_KG,
  find: ({ looked, day, plan }) => {
    const ratedKg = looked.craft?.wellKg ?? null;
    if (!looked.craft || !plan || ratedKg === null) return [];
    const { massKg: gearKg, things } = behindSeat(plan, day.keepKg);
    const massKg = gearKg + fittedKg(looked.craft, seatOf(looked.craft).xM);
    if (massKg <= ratedKg * STERN_MIND) return [];
    const level: FindingLevel = massKg > ratedKg * STERN_STOP ? 'stop' : 'mind';
    const heaviest = things
      .map(({ one: { item, entry } }) => ({
        id: item.id,
        name: item.name,
        massKg: item.massKg * entry.quantity,
      }))
      .toSorted((a, b) => b.massKg - a.massKg)
      .slice(0, MOST_NAMED);
    const facts = { massKg, ratedKg, craft: looked.craft.name, heaviest };
    return [{ level, basis: 'physics', extent: massKg, facts }];
  },
  say: ({ massKg, ratedKg, craft, heaviest }) => ({
    title: `The stern of ${craft} is overloaded`,
    text: `By where each thing lies, ${amount(massKg, 'kg')} ride behind the seat; the well is rated for ${amount(ratedKg, 'kg')}. The stern sits deep, and a sea from behind climbs in. Heaviest: ${heaviest
      .map((one) => `${one.name} (${mass(one.massKg)})`)
      .join('; ')}.`,
  }),
  repairs: ({ heaviest, massKg, ratedKg }, context) => [
    ...forward(context, massKg - ratedKg),
    ...forward(context, massKg - ratedKg * STERN_STOP),
    ...heaviest
      .filter((one) => massKg - one.massKg <= ratedKg * STERN_STOP)
      .map(({ id, name }) => ({ do: 'remove-item' as const, itemId: id, name })),
    ...fewerFish(context),
  ],
  otherwise: () => 'Less in the stern, or a boat whose well carries more.',
});

export const boatRules = [craftUnderRepair, craftFault, overload, sternOverload] as const;
