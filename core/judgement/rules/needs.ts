import { type Context, asSpare } from '../context';
import type { Repair } from '../../editing/repair';
import { reachOf } from '../../boat/zones';
import type { Zone } from '../../documents/boatParts';
import type { Where } from '../../vocabulary/where';
import { reaches } from '../../vocabulary/boat';
import type { Placed } from '../../stow/plan';
import type { Mode } from '../../vocabulary/stow';
import { modesOutOfPlace } from '../../needs/where';
import { moving, putting, puttingEach, wearing, wearingIt } from '../stowRepairs';
import { biteLeaders } from './rigs';
import { placedAgain } from './stowTold';
import { kinds } from '../../catalog/gear/kinds';
import type { Item } from '../../documents/item';
import { HOOK_CUTTER } from '../../catalog/species/handling';
import { catalogue } from '../../needs/catalogue';
import { personalNeeds } from '../../needs/company';
import type { JudgedNeed } from '../../needs/match';
import { sayCounted, sayMeans, sayPurchase, sayReason, sayShortfall } from '../../needs/sayNeeds';
import { homeMade } from '../../needs/homeMade';
import { type Shortfall, eachShortfall, isBySort, sortOf, worthOf } from '../../needs/need';
import { purchaseOptions } from '../../needs/purchaseOptions';
import { shiftClock } from '../../units/time';
import { rememberFor } from '../../units/remember';
import { capital, count, dayWords, listed, plural } from '../../units/words';
import type { NeedId } from '../../vocabulary/needs';
import type { SheetId } from '../../vocabulary/sheets';
import {
  filledFor,
  outOfTheDark,
  owned,
  partialMeans,
  removing,
  rodsAshore,
  serviceable,
  swap,
  theFirst,
} from '../candidates';
import { type Basis, type SideEffect, type RuleFinding, rule } from '../rule';
import { type FindingLevel } from '../../vocabulary/levels';
import { inWords } from '../../units/amount';

/** What is told of an unmet need: law shuts the gate; null: nothing is said of it. */
function needLevel(
  need: Pick<JudgedNeed, 'level' | 'findingLevel'>,
): { level: FindingLevel; basis: Basis } | null {
  if (need.level === 'law') return { level: 'stop', basis: 'law' };
  return need.findingLevel && { level: need.findingLevel, basis: 'judgement' };
}

const sheetOfNeed: Partial<Record<NeedId, SheetId>> = { water: 'supplies', food: 'supplies', ice: 'ice' };
const HELP_AFTER_MIN = 60;

type Unmet = ReturnType<typeof unmetFacts>;
function unmetFacts(need: JudgedNeed) {
  return {
    needId: need.id,
    need: need.level,
    want: need.want,
    have: need.counted,
    reasons: need.reasons,
    lacking: need.lacking,
    notCounted: need.means.filter((means) => means.shortfall !== null),
  };
}
function unmetTitle({ needId, want, have }: Unmet): string {
  const { title, amount } = catalogue[needId];
  return amount || have > 0
    ? `${title}: ${sayCounted(needId, have, want)}`
    : `${title}: ${want > 1 ? `none of ${count(want)}` : 'not met'}`;
}
function settlingNeed({ needId, want, have, notCounted }: Unmet, context: Context): Repair[] {
  const list: Repair[] = notCounted.flatMap((means): Repair[] => {
    if (means.by !== 'item' || means.shortfall === null) return [];
    const misplaced = eachShortfall(means.shortfall).find(({ code }) => code === 'out-of-place');
    if (misplaced?.code === 'out-of-place') return backInPlace(means.itemId, needId, misplaced, context);
    const packed = eachShortfall(means.shortfall).some(
      ({ code }) => code === 'same-container' || code === 'not-on-body',
    );
    if (packed) return [{ do: 'separate-item', itemId: means.itemId, name: means.name }];
    const [battery] = batteryFor(means.itemId, eachShortfall(means.shortfall), context);
    if (battery) return [battery];
    // What does not count gives its place to what does.
    const off = context.places.items.get(means.itemId);
    return off
      ? serviceable(needId, context)
          .slice(0, 1)
          .map(({ item }) => swap(off, item))
      : [];
  });
  list.push(
    ...partialMeans(needId, context).map((item): Repair => ({ do: 'add-items', items: [theFirst(item)] })),
  );
  if (needId === 'float-plan') {
    const { contact } = context.angler ?? {};
    if (contact && contact.name !== '') list.push({ do: 'set-contact', ...contact });
    list.push({ do: 'set-alarm', alarmAt: shiftClock(context.brief.homeAt, HELP_AFTER_MIN) });
  }
  if (needId === 'leader' && context.exposures.toothy) list.push(...biteLeaders(context));
  if (needId === 'get-back-in') list.push({ do: 'shakedown' });
  if (needId === 'be-seen-night') list.push(...outOfTheDark(context));
  if (needId === 'rod-retention') list.push(...rodsAshore(context, want - have));
  return list;
}

type Misplaced = Extract<Shortfall, { code: 'out-of-place' }>;
/** To where it serves: put on, put up, on top of what it lies among, on the body, or nearer to the seat. */
function backInPlace(itemId: string, needId: NeedId, { want, on }: Misplaced, context: Context): Repair[] {
  const fishing = context.plan?.byId.get(itemId);
  if (!fishing || !context.angler) return [];
  // In each mode in which it does not lie so: one press mends all of them.
  const item = { ...fishing.one, ...context.aboard.find((one) => one.item.id === itemId) };
  const wrong = modesOutOfPlace(needId, item, context.exposures);
  if (want === 'worn') return wearingIt(context, fishing, wrong, on ?? 'back');
  if (want === 'up' && fishing.lies.state !== null)
    return puttingEach(context, wrong, `Put ${fishing.one.item.name} up`, fishing, { state: 'out' });
  const [mode = 'fish'] = wrong;
  const placed = placedAgain(context, mode, [itemId])[0] ?? fishing;
  return [
    ...(kinds[placed.one.item.kind].place === 'head' ? wearingIt(context, fishing, wrong, 'head') : []),
    ...nearer(placed, mode, want, context),
  ];
}
function nearer(placed: Placed, mode: Mode, want: Where, context: Context): Repair[] {
  const { angler, plan } = context;
  if (!angler) return [];
  const buried = placed.lies.moves.some((move) => move.do !== 'open');
  const top = buried
    ? putting(context, mode, `Put ${placed.one.item.name} on top`, [[placed, { layer: 'top' }]])
    : [];
  const reached = (zone: Zone) =>
    plan !== null &&
    reaches.indexOf(reachOf(zone, plan.craft, angler)) <= reaches.indexOf(want === 'turn' ? 'turn' : 'hand');
  return [
    ...top,
    ...wearing(context, mode, [placed]),
    ...moving(context, mode, placed, (zone) => reached(zone) && zone.cord, 3),
  ];
}

/** The battery that a thing runs on, where it lies sound in the locker. */
function batteryFor(itemId: string, shortfalls: readonly Shortfall[], context: Context): Repair[] {
  if (!shortfalls.some(({ code }) => code === 'battery-ashore')) return [];
  const id = context.places.items.get(itemId)?.poweredById;
  return owned(context, (item) => item.id === id).map((battery) => ({
    do: 'add-items',
    items: [theFirst(battery)],
  }));
}

const MOST_NAMED = 2;
/**
 * Where nothing owned meets a need: what to buy or borrow and what it must have, what practice makes, or what
 * only one can do oneself.
 */
function elseForNeed({ needId, want, have }: Unmet, context: Context, sideEffect: SideEffect | null): string {
  const need = catalogue[needId];
  const spares = serviceable(needId, context);
  // What lies in the locker already is not bought again.
  const filled = new Set([
    ...filledFor(needId, context),
    ...spares.map(({ item }) => sortOf(need, item.kind, context)),
  ]);
  const options = purchaseOptions(needId, asSpare(context), want - have, filled)
    .toSorted(
      (a, b) =>
        Number(kinds[a.kind].means[0] !== needId) - Number(kinds[b.kind].means[0] !== needId) ||
        kinds[a.kind].usualEuro * a.pieces - kinds[b.kind].usualEuro * b.pieces,
    )
    .slice(0, MOST_NAMED);
  const made = homeMade[needId] && inWords(homeMade[needId]);
  const names = listed(spares.slice(0, MOST_NAMED).map(({ item }) => item.name));
  const worth = isBySort(need)
    ? new Set(spares.map(({ item }) => sortOf(need, item.kind, context))).size
    : spares.reduce(
        (sum, { item, carried }) => sum + worthOf(need, item, context) * (item.quantity - carried),
        0,
      );
  // What would do, and was not offered, makes something else worse: room, load, or a rule of its own.
  const inLocker =
    spares.length === 0
      ? ''
      : worth + 1e-9 >= want - have
        ? `In the locker: ${names}${sideEffect === null ? '' : `; but with it comes “${sideEffect.title}”`}. ${sideEffect?.isNeed ? 'See to that as well.' : 'Make room first, or take another boat.'} `
        : `In the locker, and part of it: ${names}. `;
  if (options.length > 0)
    return `${inLocker}To buy or borrow: ${options.map(sayPurchase).join('; or ')}.${made === undefined ? '' : ` Made at home: ${made}.`}`;
  return (
    ownDoing[needId] ??
    'Nothing that can be carried meets it here: another place, another way of fishing, or not today.'
  );
}
/** Needs that no thing meets. */
const ownDoing: Partial<Record<NeedId, string>> = {
  'float-plan': 'Name someone ashore in the brief, and an hour to call for help.',
  'get-back-in':
    'Practise it in warm shallow water with someone by, and write it in the profile; or make this outing a shakedown.',
};

/** A need that a repair does not touch is the same record, and is told the same. */
const toldOf = rememberFor((need: JudgedNeed): RuleFinding<Unmet>[] => {
  const level = needLevel(need);
  return level === null
    ? []
    : [{ ...level, extent: need.want - need.counted, subject: need.id, facts: unmetFacts(need) }];
});

/** The cutter that is told by its own need is not told again. */
function lacksCutterAlone({ id, lacking }: JudgedNeed): boolean {
  return id === 'unhook' && lacking.length === 1 && lacking[0] === HOOK_CUTTER;
}
const anchorGearNeeds: readonly NeedId[] = ['anchor-trolley', 'anchor-release'];

const needUnmet = rule({
  code: 'need-unmet',
  reads: ['needs', 'anchorage'],
  station: 'kit',
  sheet: ({ needId }: Unmet) => sheetOfNeed[needId] ?? null,
  measure: 'means, or the need’s own measure',
  // Release, float and trolley that shut an anchorage are told with that Stop.
  find: ({ needs, anchorage }) => {
    const shut = anchorage?.hours.some(({ leave }) => leave.may === 'no' && leave.why === 'gear') ?? false;
    const cutterWanted = needs.some(({ id, met }) => id === 'cut-hook' && !met);
    return needs
      .filter(
        (need) =>
          !need.met &&
          !(shut && anchorGearNeeds.includes(need.id)) &&
          !(cutterWanted && lacksCutterAlone(need)),
      )
      .flatMap(toldOf);
  },
  say: (facts: Unmet) => ({
    title: unmetTitle(facts),
    text: [
      `${capital(facts.reasons.map(sayReason).join('; '))}.`,
      ...(facts.lacking.length > 0 ? [`Still wanted: ${listed(facts.lacking)}.`] : []),
      ...sayNotCounted(facts.notCounted),
      catalogue[facts.needId].without,
      ...(facts.need === 'law' ? ['Confirm with the authority.'] : []),
    ].join(' '),
  }),
  asks: ({ needId, want, have }) => ({ needId, missing: want - have }),
  repairs: settlingNeed,
  otherwise: elseForNeed,
});

/**
 * "Not counted: Forceps and Disgorger (not the tool for this mouth).": what has the same reason is told
 * together.
 */
function sayNotCounted(means: Unmet['notCounted']): string[] {
  const names = new Map<string, string[]>();
  for (const one of means)
    if (one.by === 'item' && one.shortfall) {
      const why = sayShortfall(one.shortfall);
      names.set(why, [...(names.get(why) ?? []), one.name]);
    }
  const things = [...names].map(([why, some]) => `${listed(some)} (${why})`);
  return [
    ...(things.length > 0 ? [`Not counted: ${things.join('; ')}.`] : []),
    ...means.flatMap((one) => (one.by === 'item' ? [] : [`${sayMeans(one)}.`])),
  ];
}

/** Whether a thing is spoken of with a need that is not met. */
function isToldWith(needs: readonly JudgedNeed[], { id, kind }: Item): boolean {
  const { means } = kinds[kind];
  return needs.some(
    (need) =>
      !need.met &&
      means.includes(need.id) &&
      need.means.some((one) => one.by === 'item' && one.itemId === id),
  );
}

// What is out of date and leaves a need unmet is told with that need; here only what would otherwise go
// unsaid.
const outOfDateAboard = rule({
  code: 'out-of-date-aboard',
  notes: true,
  reads: ['carried', 'needs', 'lastDay'],
  station: 'kit',
  measure: 'things',
  find: ({ carried, needs, lastDay }) => {
    const old = carried.filter(({ item }) => item.expiresOn !== null && item.expiresOn < lastDay);
    if (old.length === 0) return [];
    const items = old.flatMap(({ item }) =>
      item.expiresOn !== null && !isToldWith(needs, item)
        ? [{ id: item.id, name: item.name, on: item.expiresOn }]
        : [],
    );
    return items.length > 0
      ? [{ level: 'note', basis: 'judgement', extent: items.length, facts: { items } }]
      : [];
  },
  say: ({ items }) => ({
    title: `${capital(count(items.length))} ${plural(items.length, 'thing is', 'things are')} out of date`,
    text: `${items.map((item) => `${item.name}: ${dayWords(item.on)}`).join('; ')}. Other means count in their place.`,
  }),
  repairs: ({ items }, context) =>
    removing(context, () => true).filter(
      (repair) => repair.do === 'remove-item' && items.some((item) => item.id === repair.itemId),
    ),
});

/** What each of the others has not yet said yes to. */
const companionSilent = rule({
  code: 'companion-silent',
  reads: ['company', 'needs'],
  station: 'kit',
  measure: 'needs',
  find: ({ company, needs }) => {
    const personal = personalNeeds(needs);
    return company.flatMap(({ id, name, says }) => {
      const open = personal.filter((need) => !says.includes(need.id));
      if (open.length === 0) return [];
      const titles = open.map((need) => catalogue[need.id].title);
      return [
        {
          level: 'mind' as const,
          basis: 'judgement' as const,
          extent: open.length,
          subject: id,
          facts: { name, titles },
        },
      ];
    });
  },
  say: ({ name, titles }) => {
    const list = listed(titles.map((title) => title.toLowerCase()));
    return {
      title: `${name} has not said: ${titles.length > 3 ? `${count(titles.length)} things` : list}`,
      text: `Each person carries their own: ${list}. Ask, and tick it under the party.`,
    };
  },
  otherwise: () => 'Ask, and tick what they say under the party.',
});

export const needRules = [needUnmet, outOfDateAboard, companionSilent] as const;
