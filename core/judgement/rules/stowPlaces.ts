import { isBattery, isFixed, isRod, keepApart, keepsApart, storageOf } from '../../catalog/gear/stowing';
import { type KindId, kinds } from '../../catalog/gear/kinds';
import type { Zone } from '../../documents/boatParts';
import { USABLE_SHARE } from '../../units/constants';
import { isClosed, fitsIn, litresOf, roomOf, standsIn } from '../../stow/fits';
import type { Placed, StowPlan } from '../../stow/plan';
import { atZone, inside } from '../../stow/at';
import { sayLies } from '../../stow/say';
import { amount, mass } from '../../units/amount';
import { capital, count, plural } from '../../units/words';
import { dryness } from '../../vocabulary/boat';
import { type Mode } from '../../vocabulary/stow';
import { itemsServing } from '../../needs/match';
import { removing } from '../candidates';
import { type RuleFinding, rule } from '../rule';
import { bagging, baggingInto, drying, moving, placing, putting } from '../stowRepairs';
import { named, idsOf, inMode, afloatPlans, placedAgain, byZone, byHand, noteOf, toldOf } from './stowTold';

const unplaced = rule({
  code: 'stow-unplaced',
  reads: ['plan'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan }) => {
    const things = plan?.things.filter(({ lies }) => lies.in === 'nowhere') ?? [];
    if (!plan || things.length === 0) return [];
    const facts = {
      ...toldOf(things),
      byHand: byHand(things),
      craft: plan.craft.name,
    };
    return [
      {
        level: facts.byHand ? ('mind' as const) : ('note' as const),
        basis: 'judgement' as const,
        extent: things.length,
        facts,
      },
    ];
  },
  say: ({ things, many, byHand: gone, craft }) => ({
    title: `${capital(count(many))} ${plural(many, 'thing')} not yet placed`,
    text: gone
      ? `${things}: the place it had is not there any more, on ${craft} or aboard. Give it another.`
      : `${things}: no usual place of ${craft} takes ${many === 1 ? 'it' : 'them'}. Say where it goes, or leave it ashore.`,
  }),
  repairs: ({ thingIds }, context) => placing(context, placedAgain(context, 'fish', thingIds)),
});

const noFit = rule({
  code: 'stow-no-fit',
  reads: ['plans', 'day'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'share',
  find: ({ plans, day }) => {
    const told = new Set<string>();
    return afloatPlans({ plans, day }).flatMap(({ mode, plan }) =>
      plan.things.flatMap((placed) => {
        const { spot, zone, one } = placed;
        const fault = spot.in === 'zone' && zone ? fitsIn(one.item, zone) : null;
        if (!fault || !zone || told.has(one.item.id)) return [];
        told.add(one.item.id);
        const extent =
          fault.why === 'mass' ? fault.haveKg / fault.wantKg : fault.haveM / Math.max(fault.wantM, 0.01);
        const facts = { item: one.item.name, at: atZone(zone), fault, mode, thingIds: [one.item.id] };
        return [{ level: 'mind' as const, basis: 'physics' as const, extent, subject: one.item.id, facts }];
      }),
    );
  },
  say: ({ item, at, fault, mode }) => ({
    title: `${item} does not fit ${at}`,
    text:
      fault.why === 'mass'
        ? `${mass(fault.haveKg)}; the place carries ${mass(fault.wantKg)}${inMode(mode)}.`
        : `${amount(fault.haveM * 100, 'cm', 0)} where ${fault.why === 'opening' ? 'the opening has' : 'there is room for'} ${amount(fault.wantM * 100, 'cm', 0)}${inMode(mode)}.`,
  }),
  repairs: ({ thingIds, mode }, context) => [
    ...placedAgain(context, mode, thingIds).flatMap((placed) => moving(context, mode, placed, () => true)),
    ...removing(context, (kind) => kinds[kind].means.length === 0).filter(
      (repair) => repair.do === 'remove-item' && thingIds.includes(repair.itemId),
    ),
  ],
});

const overfull = rule({
  code: 'stow-overfull',
  reads: ['plan'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'share',
  slack: 0.02,
  find: ({ plan }) => {
    const kgIn = new Map<Zone, number>();
    for (const { zone, one } of plan?.things ?? [])
      if (zone) kgIn.set(zone, (kgIn.get(zone) ?? 0) + one.item.massKg * one.entry.quantity);
    // What does not go in at all is told by itself.
    const goesIn = ({ spot, zone, one }: Placed) =>
      spot.in === 'zone' && (!zone || fitsIn(one.item, zone) === null);
    return byZone(plan?.things.filter(goesIn) ?? []).flatMap(
      ({ zone, things }): RuleFinding<OverfullFacts>[] => {
        const stands = standsIn(zone);
        const standing = things.filter(({ one }) => isRod(one.item.kind) || one.item.kind === 'flag');
        const room = roomOf(zone);
        const litres = things.reduce(
          (sum, { one: { item, entry } }) =>
            sum + litresOf(item) * entry.quantity * (standsFree(item.kind) ? 0 : 1),
          0,
        );
        const kg = kgIn.get(zone) ?? 0;
        const said = byHand(things);
        // Of usual places only the large ones say anything by being full.
        if (!said && zone.kind !== 'tank well' && zone.kind !== 'hatch') return [];
        const level = said ? ('mind' as const) : ('note' as const);
        const facts = { zone: zone.name, zoneId: zone.id, things: named(things), thingIds: idsOf(things) };
        const tell = (share: number, why: OverfullFacts['why']): RuleFinding<OverfullFacts> => ({
          level,
          basis: 'physics',
          extent: share,
          subject: zone.id,
          facts: { ...facts, why },
        });
        if (stands !== null && standing.length > stands)
          return [tell(standing.length / stands, { of: 'holder', have: standing.length, want: stands })];
        if (zone.maxKg !== null && kg > zone.maxKg * 1.02)
          return [tell(kg / zone.maxKg, { of: 'mass', have: kg, want: zone.maxKg })];
        if (room !== null && litres > room)
          return [tell(litres / room, { of: 'room', have: litres, want: room })];
        return [];
      },
    );
  },
  say: ({ zone, things, why }) => ({
    title: `${zone} holds more than it can`,
    text:
      why.of === 'holder'
        ? `${capital(count(why.have))} things stand where there is room for ${count(why.want)}: ${things}.`
        : why.of === 'mass'
          ? `${mass(why.have)} where it carries ${mass(why.want)}: ${things}.`
          : `${amount(why.have, 'L', 0)} of things where ${amount(why.want, 'L', 0)} can be packed, ${Math.round(USABLE_SHARE * 100)} % of its room: ${things}.`,
  }),
  // Only what is large or heavy enough to settle it by itself is tried.
  repairs: ({ thingIds, zoneId, why }, context) =>
    placedAgain(context, 'fish', thingIds)
      .filter(({ one: { item, entry } }) => {
        const less = { holder: 1, mass: item.massKg * entry.quantity, room: litresOf(item) * entry.quantity }[
          why.of
        ];
        return why.have - less <= why.want;
      })
      .toSorted((a, b) => b.one.item.massKg - a.one.item.massKg)
      .slice(0, 3)
      .flatMap((placed) => moving(context, 'fish', placed, ({ id }) => id !== zoneId, 3)),
});
export interface OverfullFacts {
  zone: string;
  zoneId: string;
  things: string;
  thingIds: string[];
  why: { of: 'holder' | 'mass' | 'room'; have: number; want: number };
}
const standsFree = (kind: Placed['one']['item']['kind']) => isRod(kind) || kinds[kind].sizeM[0] > 1;

/** How dry a thing has to be kept where it is, beyond what it brings itself; null: it takes what comes. */
function wantsDry({ one: { item } }: Placed, mode: Mode, rough: boolean): 'splash' | 'sealed' | null {
  const { wet } = kinds[item.kind];
  const own = item.qualities.includes('waterproof');
  if (wet === 'never') return own ? (mode === 'run' && rough ? 'splash' : null) : 'sealed';
  // What is fixed and stands the spray is taken off, or bagged, where waves break over it.
  if (isFixed(item.kind)) return rough && mode !== 'run' && wet === 'splash' && !own ? 'splash' : null;
  if (isBattery(item.kind)) return own ? null : 'splash';
  return wet === 'splash' && rough && !own ? 'splash' : null;
}
const isDry = (have: (typeof dryness)[number], want: (typeof dryness)[number]) =>
  dryness.indexOf(have) >= dryness.indexOf(want);

const wet = rule({
  code: 'stow-wet',
  reads: ['plans', 'day'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plans, day }) => {
    const told = new Set<string>();
    return afloatPlans({ plans, day }).flatMap(({ mode, plan, rough }) => {
      const things = plan.things.filter((placed) => {
        const want = placed.lies.in === 'zone' ? wantsDry(placed, mode, rough) : null;
        return want !== null && !isDry(placed.lies.dry, want) && !told.has(placed.one.item.id);
      });
      for (const { one } of things) told.add(one.item.id);
      return byZone(things).map(({ zone, things: list }) => {
        const spoiled = list.some(
          ({ one }) =>
            kinds[one.item.kind].wet === 'never' || isBattery(one.item.kind) || isFixed(one.item.kind),
        );
        const facts = {
          zone: zone.name,
          dry: zone.dryness,
          things: named(list),
          thingIds: idsOf(list),
          mode,
          rough,
          spoiled,
        };
        return {
          level: spoiled && byHand(list) ? ('mind' as const) : ('note' as const),
          basis: 'physics' as const,
          extent: list.length,
          subject: zone.id,
          facts,
        };
      });
    });
  },
  say: ({ zone, dry, things, mode, rough }) => ({
    title: `${things}: not kept dry`,
    text: `${zone} is ${dry === 'open' ? 'open to the water' : dry === 'sealed' ? 'sealed, and alone' : `kept from ${dry} and no more`}${rough ? `, and in breaking water that is not enough` : ''}${inMode(mode)}. In a dry bag, or under a lid that seals.`,
  }),
  repairs: ({ thingIds, mode, rough }, context) =>
    drying(
      context,
      mode,
      placedAgain(context, mode, thingIds),
      (placed) => wantsDry(placed, mode, rough) ?? 'splash',
    ),
});

/** What a night depends on lies behind two closures: the one that leaks is found out in the evening. */
const onceDry = rule({
  code: 'stow-once-dry',
  reads: ['plan', 'day'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan, day }) => {
    if (!plan || day.nights === 0) return [];
    const list = plan.things.filter((placed) => {
      const { one, lies } = placed;
      if (!kinds[one.item.kind].means.includes('sleep') || lies.in !== 'zone') return false;
      return kinds[one.item.kind].wet !== 'any' && closuresOf(placed, plan) === 1;
    });
    const [first] = list;
    if (!first) return [];
    const facts = { ...toldOf(list), where: sayLies(first.lies) };
    // What is packed so was packed by somebody.
    const packed = byHand(list) || list.some(({ lies }) => lies.boxes.length > 0);
    return [{ level: packed ? 'mind' : 'note', basis: 'judgement', extent: list.length, facts }];
  },
  say: ({ things, where }) => ({
    title: `${things}: one bag between it and the water`,
    text: `${capital(where)}. A bag leaks where nobody sees it, and the night is spent in what was wet. A second dry bag or a liner, or behind a lid.`,
  }),
  repairs: ({ thingIds }, context) =>
    placedAgain(context, 'fish', thingIds).flatMap((placed) => {
      const box = context.plan?.byId.get(placed.lies.boxes.at(-1)?.id ?? '') ?? placed;
      return [
        ...bagging(context, 'fish', box, (dry) => dry === 'sealed'),
        ...moving(context, 'fish', box, isClosed, 2),
        ...baggingInto(context, 'fish', box, (dry) => dry === 'sealed'),
      ];
    }),
  otherwise: () => 'A second dry bag, or a liner within the first, bought or borrowed.',
});
/** Closures round a thing: its own, each container that keeps out a dunking, and a lid of the boat. */
function closuresOf({ one, lies, zone }: Placed, plan: StowPlan): number {
  const boxes = lies.boxes.filter((box) => {
    const item = plan.byId.get(box.id)?.one.item;
    return item !== undefined && storageOf(item).dry === 'sealed';
  });
  return (
    boxes.length + (one.item.qualities.includes('waterproof') ? 1 : 0) + (zone && isClosed(zone) ? 1 : 0)
  );
}

/** A lid that has to open, with something lying on it. */
const onLid = rule({
  code: 'stow-on-lid',
  notes: true,
  reads: ['plan', 'needs'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan, needs }) => {
    if (!plan) return [];
    if (!plan.things.some(({ lies }) => lies.compartment !== null)) return [];
    const wanted = itemsServing(needs);
    const zones = byZone(plan.things.filter(({ spot }) => spot.in === 'zone'));
    return zones.flatMap(({ zone, things: under }) => {
      const reached = under.filter(({ one }) => wanted.has(one.item.id));
      if (!isClosed(zone) || reached.length === 0) return [];
      const over = zones.flatMap(({ zone: other, things }) =>
        other !== zone && !isClosed(other) && overlap(zone, other) > LID_SHARE ? things : [],
      );
      const facts = { lid: zone.name, under: named(reached), things: named(over), thingIds: idsOf(over) };
      return over.length === 0
        ? []
        : [
            {
              level: 'note' as const,
              basis: 'judgement' as const,
              extent: over.length,
              subject: zone.id,
              facts,
            },
          ];
    });
  },
  say: ({ lid, under, things }) => ({
    title: `${things} on the lid of ${inside(lid)}`,
    text: `It has to come off before ${under} is reached.`,
  }),
  repairs: ({ thingIds }, context) =>
    placedAgain(context, 'fish', thingIds)
      .slice(0, 1)
      .flatMap((placed) => moving(context, 'fish', placed, (zone) => zone.cord)),
});
const LID_SHARE = 0.3;
/** Share of a lid over which another place lies. */
function overlap(lid: Zone, other: Zone): number {
  const along =
    Math.min(lid.xM + lid.lengthM / 2, other.xM + other.lengthM / 2) -
    Math.max(lid.xM - lid.lengthM / 2, other.xM - other.lengthM / 2);
  const across =
    Math.min(lid.yM + lid.widthM / 2, other.yM + other.widthM / 2) -
    Math.max(lid.yM - lid.widthM / 2, other.yM - other.widthM / 2);
  return (Math.max(0, along) * Math.max(0, across)) / (lid.lengthM * lid.widthM);
}

const apart = rule({
  code: 'stow-apart',
  reads: ['plan'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan }) => {
    if (!plan) return [];
    // Only what lies in one container, or behind one lid by itself, lies together. A container is one of
    // its own contents: a bottle of lotion in a box of lures lies among them.
    const together = new Map<string, Placed[]>(
      plan.things.filter(({ one: { item } }) => keepsApart(item.kind)).map((box) => [box.one.item.id, [box]]),
    );
    for (const placed of plan.things) {
      const { one, lies } = placed;
      const room =
        lies.in === 'zone' && keepsApart(one.item.kind) ? (lies.boxes[0]?.id ?? lies.compartment) : null;
      if (room !== null) together.set(room, [...(together.get(room) ?? []), placed]);
    }
    return [...together.values()].flatMap((list) => {
      const told = new Set<string>();
      return list.flatMap((a, i) =>
        list.slice(i + 1).flatMap((b) => {
          const why = keepApart(a.one.item.kind, b.one.item.kind);
          if (!why || told.has(why)) return [];
          told.add(why);
          const facts = {
            item: a.one.item.name,
            beside: b.one.item.name,
            why,
            where: sayLies(a.lies),
            thingIds: idsOf([a, b]),
          };
          const level = why === 'fuel and food' ? ('mind' as const) : ('note' as const);
          const subject = `${a.one.item.id} ${b.one.item.id}`.slice(0, 60);
          return [{ level, basis: 'judgement' as const, extent: 1, subject, facts }];
        }),
      );
    });
  },
  say: ({ item, beside, why, where }) => ({
    title: `${item} beside ${beside}`,
    text: `${capital(where)}. ${{ 'scent and food': 'What smells is eaten with the food, and draws animals to it.', 'fuel and food': 'Fuel that leaks spoils all food beside it.', 'cream and lures': 'What keeps off sun and insects keeps off fish, and eats soft plastic.' }[why]} Each in a bag of its own.`,
  }),
  repairs: ({ thingIds }, context) =>
    placedAgain(context, 'fish', thingIds).flatMap((placed) =>
      moving(
        context,
        'fish',
        placed,
        (zone) => zone.kind === 'tank well' || zone.kind === 'hatch' || zone.kind === 'side pocket',
        2,
      ),
    ),
});

const under = rule({
  code: 'stow-under',
  reads: ['plan', 'needs'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan, needs }) => {
    if (!plan) return [];
    const serving = itemsServing(
      needs.filter(({ id }) => id === 'unhook' || id === 'land-fish' || id === 'take-water-out'),
    );
    const list = plan.things.filter(
      ({ one, lies }) => serving.has(one.item.id) && lies.moves.some((move) => move.do !== 'open'),
    );
    return noteOf(list);
  },
  say: ({ things, many }) => ({
    title: `${things} under the rest`,
    text: `${many === 1 ? 'It is' : 'They are'} wanted in a hurry. On top, and what is seldom used below.`,
  }),
  repairs: ({ thingIds }, context) => {
    const list = placedAgain(context, 'fish', thingIds);
    return putting(
      context,
      'fish',
      `Put ${named(list)} on top`,
      list.map((placed) => [placed, { layer: 'top' }]),
    );
  },
});

/** What is taken out a few times a day at most, and what one reaches for all day. */
const isSeldomUsed = (kind: KindId) =>
  kinds[kind].aside === 'spare part' || kinds[kind].means.includes('leader');
const isOftenUsed = (kind: KindId) => kinds[kind].means.some((id) => id === 'lures' || id === 'bait');

const order = rule({
  code: 'stow-order',
  notes: true,
  reads: ['plan'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan }) => {
    if (!plan) return [];
    return byZone(plan.things).flatMap(({ zone, things }) => {
      const over = things.filter(({ one, spot }) => spot.layer === 'top' && isSeldomUsed(one.item.kind));
      // What is in a box lies as deep as the box.
      const low = new Set(things.flatMap(({ one, spot }) => (spot.layer === 'bottom' ? [one.item.id] : [])));
      const below = things.filter(
        ({ one, lies }) =>
          isOftenUsed(one.item.kind) &&
          (low.has(one.item.id) || (lies.in === 'zone' && lies.boxes.some(({ id }) => low.has(id)))),
      );
      if (over.length === 0 || below.length === 0) return [];
      const facts = {
        over: named(over),
        below: named(below),
        many: below.length,
        where: zone.name,
        thingIds: idsOf(over),
      };
      const subject = zone.id;
      return [{ level: 'note' as const, basis: 'judgement' as const, extent: below.length, subject, facts }];
    });
  },
  say: ({ over, below, many, where }) => ({
    title: `${below} under ${over}`,
    text: `${where}: what is used most ${many === 1 ? 'lies' : 'lie'} lowest. What is seldom wanted goes to the bottom.`,
  }),
  repairs: ({ thingIds, over }, context) =>
    putting(
      context,
      'fish',
      `Put ${over} at the bottom`,
      placedAgain(context, 'fish', thingIds).map((placed) => [placed, { layer: 'bottom' }]),
    ),
});

export const placeRules = { unplaced, noFit, overfull, wet, onceDry, onLid, apart, under, order } as const;
