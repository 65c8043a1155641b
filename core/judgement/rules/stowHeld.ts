import { isRod } from '../../catalog/gear/stowing';
import { kinds } from '../../catalog/gear/kinds';
import { catalogue } from '../../needs/catalogue';
import type { JudgedNeed } from '../../needs/match';
import { isClosed } from '../../stow/fits';
import { type Placed, eyesOf, leashesOn } from '../../stow/plan';
import { afterRoll, isLost, lostIn } from '../../stow/roll';
import { atZone } from '../../stow/at';
import { sayLies } from '../../stow/say';
import { rememberFor } from '../../units/remember';
import { capital, count, listed, plural, uncapital } from '../../units/words';
import type { NeedId } from '../../vocabulary/needs';
import { type Mode, modeWords } from '../../vocabulary/stow';
import type { FindingLevel } from '../../vocabulary/levels';
import type { Context } from '../context';
import { rule } from '../rule';
import { moving, movingAll, tying, wearing } from '../stowRepairs';
import { quieter } from '../../needs/need';
import {
  type AfloatPlan,
  named,
  idsOf,
  inMode,
  afloatPlans,
  placedAgain,
  byZone,
  byHand,
  toldOf,
} from './stowTold';

interface RollLoss {
  need: JudgedNeed;
  mode: Mode;
  rough: boolean;
  lost: readonly Placed[];
}
const known = rememberFor((_: readonly AfloatPlan[]) => ({
  needs: null as Context['needs'] | null,
  losses: [] as readonly RollLoss[],
}));
/**
 * Needs that a capsize would leave without any means, in the mode where it tells most: asked by several
 * rules, worked out once.
 */
function rollLosses(context: Pick<Context, 'plans' | 'day' | 'needs'>): readonly RollLoss[] {
  const { needs } = context;
  const plans = afloatPlans(context);
  const last = known(plans);
  if (last.needs !== needs) Object.assign(last, { needs, losses: lossesIn(plans, needs) });
  return last.losses;
}
function lossesIn(plans: readonly AfloatPlan[], needs: Context['needs']): RollLoss[] {
  const unmet = (id: NeedId) => needs.some((need) => need.id === id && !need.met);
  const found = new Map<NeedId, RollLoss>();
  for (const { mode, plan, rough } of plans) {
    for (const need of needs) {
      if (!afterRoll.includes(need.id) || found.has(need.id) || need.counted <= 0) continue;
      // A paddle that nothing holds is told by what asks for its leash.
      if (need.id === 'propulsion' && unmet('paddle-retained')) continue;
      const counted = need.means.filter(({ shortfall }) => shortfall === null);
      if (counted.some(({ by }) => by !== 'item')) continue;
      const lost = counted
        .flatMap((means) => (means.by === 'item' ? (plan.byId.get(means.itemId) ?? []) : []))
        .filter(isLost);
      if (lost.length > 0 && lost.length === counted.length) found.set(need.id, { need, mode, rough, lost });
    }
  }
  return [...found.values()];
}

/** Below this sum of what makes an outing serious a capsize is a swim to the side. */
const CALM_BELOW = 2.4;
function louderBy(level: FindingLevel | null): FindingLevel | null {
  return level === 'note' ? 'mind' : level && 'stop';
}

const rollLoses = rule({
  code: 'roll-loses',
  reads: ['plans', 'day', 'needs'],
  station: 'stow',
  aboutPlacement: true,
  far: 'shore',
  measure: 'things',
  find: (context) =>
    rollLosses(context).flatMap(({ need, mode, rough, lost }) => {
      // Where a capsize is likely, what it takes is as good as gone; in calm water near ground it is not to
      // be reckoned with.
      const level = rough
        ? louderBy(need.unmet)
        : context.day.seriousness.total < CALM_BELOW
          ? quieter(need.unmet)
          : need.unmet;
      if (level === null) return [];
      const floats = lost.every(({ one }) => one.item.qualities.includes('floats'));
      const facts = {
        needId: need.id,
        ...toldOf(lost),
        mode,
        rough,
        floats,
        where: listed([...new Set(lost.map(({ lies }) => sayLies(lies)))]),
      };
      return [{ level, basis: 'judgement' as const, extent: lost.length, subject: need.id, facts }];
    }),
  say: ({ needId, things, many, where, mode, rough, floats }) => ({
    title: `${things} ${floats ? (many === 1 ? 'drifts' : 'drift') + ' away' : many === 1 ? 'goes' : 'go'} with the first capsize`,
    text: `${many === 1 ? 'It lies' : 'They lie'} loose, ${where}${inMode(mode)}. Then nothing aboard is left for this: ${uncapital(catalogue[needId].title)}${rough ? '. It is here that one capsizes' : ''}.`,
  }),
  repairs: ({ thingIds, mode }, context) => {
    const list = placedAgain(context, mode, thingIds);
    return [
      ...wearing(context, mode, list),
      ...tying(context, mode, list),
      ...list.flatMap((placed) => moving(context, mode, placed, (zone) => zone.cord, 2)),
    ];
  },
});

const loose = rule({
  code: 'stow-loose',
  reads: ['plans', 'day', 'needs'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: (context) => {
    // What life hangs on is told by what it leaves undone; a paddle or a rod, by what asks for its leash.
    const told = new Set(rollLosses(context).flatMap(({ lost }) => idsOf(lost)));
    const unmet = new Set(context.needs.filter(({ met }) => !met).map(({ id }) => id));
    const elsewhere = ({ one: { item } }: Placed) =>
      (unmet.has('rod-retention') && isRod(item.kind)) ||
      (unmet.has('paddle-retained') && kinds[item.kind].means.includes('propulsion'));
    return afloatPlans(context).flatMap(({ mode, plan, rough }) => {
      const things = lostIn(plan).filter(
        (placed) =>
          !told.has(placed.one.item.id) &&
          !elsewhere(placed) &&
          (rough || !placed.one.item.qualities.includes('floats')),
      );
      for (const { one } of things) told.add(one.item.id);
      return byZone(things).map(({ zone, things: list }) => {
        const facts = { at: atZone(zone), ...toldOf(list), mode, rough };
        return {
          level: rough ? ('mind' as const) : ('note' as const),
          basis: 'judgement' as const,
          extent: list.length,
          subject: zone.id,
          facts,
        };
      });
    });
  },
  say: ({ at, things, many, mode, rough }) => ({
    title: `Loose ${at}: ${count(many)} ${plural(many, 'thing')}`,
    text: `${things}. ${rough ? `In breaking water what is not tied is gone, also what floats${inMode(mode)}` : `Nothing holds ${many === 1 ? 'it' : 'them'} when the boat turns over${inMode(mode)}`}.`,
  }),
  repairs: ({ thingIds, mode }, context) => tying(context, mode, placedAgain(context, mode, thingIds)),
});

const leashes = rule({
  code: 'stow-leash',
  reads: ['plans', 'day'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'leashes',
  find: (context) => {
    const [first] = afloatPlans(context);
    if (!first) return [];
    const { plan, mode } = first;
    const on = leashesOn(plan.things);
    const full = eyesOf(plan.craft).flatMap((eye) => {
      const many = on.get(eye.id) ?? 0;
      const things = plan.things.filter((placed) => placed.eye === eye);
      const facts = {
        eye: eye.name as string | null,
        many,
        takes: eye.leashes,
        things: named(things),
        thingIds: idsOf(things),
        mode,
      };
      return many > eye.leashes
        ? [
            {
              level: 'mind' as const,
              basis: 'physics' as const,
              extent: many - eye.leashes,
              subject: eye.id,
              facts,
            },
          ]
        : [];
    });
    const without = plan.things.filter(
      ({ spot, eye, zone }) =>
        spot.held === 'leashed' && spot.in === 'zone' && zone && !isClosed(zone) && eye === null,
    );
    if (without.length === 0) return full;
    const facts = {
      eye: null as string | null,
      many: without.length,
      takes: 0,
      things: named(without),
      thingIds: idsOf(without),
      mode,
    };
    return [
      ...full,
      {
        level: byHand(without) ? ('mind' as const) : ('note' as const),
        basis: 'physics' as const,
        extent: without.length,
        subject: 'none',
        facts,
      },
    ];
  },
  say: ({ eye, many, takes, things }) =>
    eye === null
      ? {
          title: `${capital(count(many))} ${plural(many, 'leash', 'leashes')} without a pad-eye`,
          text: `${things}: every pad-eye and rail is taken. A cord over it, a lid, or one pad-eye more.`,
        }
      : {
          title: `${eye} holds ${count(many)} leashes`,
          text: `It is made for ${count(takes)}: ${things}. A ring there doubles it.`,
        },
  repairs: ({ thingIds, mode, many, takes }, context) => {
    const list = placedAgain(context, mode, thingIds);
    return [
      // As many as are too many, to where there is room.
      ...tying(context, mode, list.slice(takes - many)),
      ...movingAll(context, mode, list.slice(takes - many), (zone) => zone.cord, 'under a cord'),
      ...list.slice(-1).flatMap((placed) => tying(context, mode, [placed])),
      ...list.slice(-2).flatMap((placed) => moving(context, mode, placed, (zone) => zone.cord, 2)),
    ];
  },
});

/**
 * Alone, one way to call is on the body in every mode afloat: the boat may go without one. In company one
 * within a twist will do.
 */
const callNotWorn = rule({
  code: 'call-not-worn',
  reads: ['needs', 'plan', 'plans', 'day'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'whether',
  find: (context) => {
    const { needs, day } = context;
    const need = needs.find(({ id }) => id === 'call-for-help');
    if (!need || need.unmet === null || !day.solo) return [];
    // Where a capsize takes every one of them, it is told as that.
    if (rollLosses(context).some((loss) => loss.need.id === need.id)) return [];
    const ids = need.means.flatMap((means) =>
      means.by === 'item' && (means.shortfall === null || means.shortfall.code === 'same-container')
        ? [means.itemId]
        : [],
    );
    for (const { mode, plan } of afloatPlans(context)) {
      const counted = ids.flatMap((id) => plan.byId.get(id) ?? []);
      if (counted.length === 0 || counted.some(({ lies }) => lies.in === 'body')) continue;
      const facts = {
        needId: need.id,
        ...toldOf(counted),
        where: listed([...new Set(counted.map(({ lies }) => sayLies(lies)))]),
        mode,
      };
      return [{ level: need.unmet, basis: 'judgement' as const, extent: 1, facts }];
    }
    return [];
  },
  say: ({ things, many, where, mode }) => ({
    title: 'No way to call is on you',
    text: `${things} ${where === '' ? '' : `(${where}${mode === 'fish' ? '' : `, ${modeWords[mode]}`}) `}${many === 1 ? 'stays' : 'stay'} with the boat when you do not. Alone, one of them hangs on you.`,
  }),
  repairs: ({ thingIds, mode }, context) =>
    placedAgain(context, mode, thingIds).flatMap((placed) => wearing(context, mode, [placed])),
  otherwise: () => 'A clip or a pocket on the jacket for it.',
});

export const heldRules = { rollLoses, loose, leashes, callNotWorn } as const;
