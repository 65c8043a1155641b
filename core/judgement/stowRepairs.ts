import { kinds } from '../catalog/gear/kinds';
import { isFixed, isRod, sizeOf, storageOf } from '../catalog/gear/stowing';
import { seatOf } from '../boat/build';
import { zonesOf } from '../boat/zones';
import type { Zone } from '../documents/boatParts';
import type { Spot } from '../documents/stow';
import type { Repair } from '../editing/repair';
import type { Put } from '../editing/stow';
import { fitsIn, isClosed, litresOf, roomOf, standsIn } from '../stow/fits';
import type { Item } from '../documents/item';
import { behindSeat } from '../stow/lading';
import { type Placed, type StowPlan, eyesOf, leashesAboard, leashesOn, spotAt } from '../stow/plan';
import { atZone, inside } from '../stow/at';
import { spotIn } from '../stow/usual';
import { listed, uncapital } from '../units/words';
import { dryness } from '../vocabulary/boat';
import type { BodyPart, Mode } from '../vocabulary/stow';
import { isAboard, owned, theFirst } from './candidates';
import type { Context } from './context';

/** What might settle a finding of where things are; each is judged before it is offered. */

type Plans = Pick<Context, 'plan' | 'plans'>;
const MOST_NAMED = 3;
/** What hangs on a jacket or goes into its pocket: this heavy and this long at most. */
const ON_BODY = { kg: 0.6, longM: 0.32 };

export function planIn({ plan, plans }: Plans, mode: Mode): StowPlan | null {
  return plans.find((one) => one.mode === mode)?.plan ?? plan;
}
const namesOf = (list: readonly Placed[]) =>
  list.length > MOST_NAMED ? `all ${list.length}` : listed(list.map(({ one }) => one.item.name));

/** One thing as the plan has it for fishing, put otherwise in a mode. */
function put({ plan }: Plans, placed: Placed, mode: Mode, spot: Spot): Put {
  const { id: itemId } = placed.one.item;
  return { itemId, mode, spot, fish: plan?.byId.get(itemId)?.spot ?? spot };
}
export function putting(
  context: Plans,
  mode: Mode,
  words: string,
  changes: readonly (readonly [Placed, Partial<Spot>])[],
): Repair[] {
  if (changes.length === 0) return [];
  return [
    {
      do: 'stow',
      words,
      puts: changes.map(([placed, change]) => put(context, placed, mode, { ...placed.spot, ...change })),
    },
  ];
}
/** What lies in a mode as it lies while fishing is put otherwise for all of them at once. */
function homeMode(context: Plans, mode: Mode, list: readonly Placed[]): Mode {
  return list.every(({ one, spot }) => context.plan?.byId.get(one.item.id)?.spot === spot) ? 'fish' : mode;
}
const during = (mode: Mode) =>
  mode === 'fish'
    ? ''
    : mode === 'run'
      ? ' for the rapids'
      : mode === 'land'
        ? ' to land'
        : mode === 'launch'
          ? ' to launch'
          : '';

/** A cord over, where there is one; else a leash each to the nearest pad-eye with room. */
export function tying(context: Plans, inMode: Mode, list: readonly Placed[]): Repair[] {
  const mode = homeMode(context, inMode, list);
  const plan = planIn(context, mode);
  if (!plan) return [];
  const on = new Map(leashesOn(plan.things));
  const free = (eye: Zone) => eye.leashes - (on.get(eye.id) ?? 0);
  const changes: (readonly [Placed, Partial<Spot>])[] = [];
  for (const placed of list) {
    const { zone, spot } = placed;
    if (!zone) continue;
    if (spot.in === 'thing') {
      changes.push([placed, { held: 'leashed', eyeId: null }]);
      continue;
    }
    if (zone.cord) {
      changes.push([placed, { held: 'strapped', eyeId: null }]);
      continue;
    }
    const { xM, yM } = spotAt(placed, plan.craft);
    const [eye] = eyesOf(plan.craft)
      .filter((one) => free(one) > 0)
      .toSorted((a, b) => Math.hypot(a.xM - xM, a.yM - yM) - Math.hypot(b.xM - xM, b.yM - yM));
    if (!eye) return [];
    on.set(eye.id, (on.get(eye.id) ?? 0) + 1);
    changes.push([placed, { held: 'leashed', eyeId: eye.id }]);
  }
  const [first] = changes;
  const eye =
    first && changes.length === 1 ? eyesOf(plan.craft).find(({ id }) => id === first[1].eyeId) : null;
  const words = eye ? `Leash ${namesOf(list)} to ${inside(eye.name)}` : `Tie down ${namesOf(list)}`;
  return putting(context, mode, `${words}${during(mode)}`, changes);
}

/** One thing put otherwise in each of these modes, as one repair. */
export function puttingEach(
  context: Plans,
  modes: readonly Mode[],
  words: string,
  { one }: Placed,
  change: Partial<Spot>,
): Repair[] {
  const { id: itemId } = one.item;
  const puts = modes.flatMap((mode) => {
    const placed = planIn(context, mode)?.byId.get(itemId);
    return placed ? [put(context, placed, mode, { ...placed.spot, ...change })] : [];
  });
  const when = modes.includes('fish') ? '' : listed(modes.map((mode) => during(mode).trim()));
  return puts.length === 0 ? [] : [{ do: 'stow', words: `${words}${when === '' ? '' : ` ${when}`}`, puts }];
}
/** Worn where it protects, in each of these modes. */
export function wearingIt(context: Plans, placed: Placed, modes: readonly Mode[], part: BodyPart): Repair[] {
  return puttingEach(context, modes, `Wear ${placed.one.item.name}`, placed, {
    ...{ in: 'body', id: part, held: 'worn', eyeId: null, at: null, layer: 'middle' },
  });
}

/** On the body, for what is light and short enough: clipped on the side of the jacket. */
export function wearing(context: Plans, inMode: Mode, list: readonly Placed[]): Repair[] {
  const mode = homeMode(context, inMode, list);
  const small = list.filter(
    ({ one: { item } }) => item.massKg <= ON_BODY.kg && sizeOf(item)[0] <= ON_BODY.longM,
  );
  if (small.length < list.length) return [];
  return putting(
    context,
    mode,
    `Clip ${namesOf(list)} to your jacket`,
    small.map((placed) => [
      placed,
      { in: 'body', id: 'left-chest', held: 'clipped', eyeId: null, at: null, layer: 'middle' },
    ]),
  );
}

/** Another place of the boat, those asked for first, the nearer to the seat before the farther. */
export function moving(
  context: Plans & Pick<Context, 'aboard' | 'angler'>,
  inMode: Mode,
  placed: Placed,
  wanted: (zone: Zone) => boolean,
  most = 4,
): Repair[] {
  const mode = homeMode(context, inMode, [placed]);
  const plan = planIn(context, mode);
  if (!plan || !context.angler) return [];
  const habits = leashesAboard(context.aboard, context.angler);
  const { item } = placed.one;
  return zonesOf(plan.craft)
    .filter(
      (zone) =>
        zone.id !== placed.spot.id &&
        wanted(zone) &&
        fitsIn(item, zone) === null &&
        zone.kind !== 'pad-eye' &&
        hasRoom(plan, zone, placed),
    )
    .toSorted((a, b) => Math.abs(a.xM - placed0(placed, plan)) - Math.abs(b.xM - placed0(placed, plan)))
    .slice(0, most)
    .flatMap((zone) =>
      putting(context, mode, `Put ${item.name} ${atZone(zone)}`, [
        [placed, tied(spotIn(item, { in: 'zone', zone }, placed.spot, habits), zone)],
      ]),
    );
}
/**
 * Whether a place takes one thing more beside what lies there: a holder that is empty, and room and mass that
 * are left.
 */
function hasRoom(plan: StowPlan, zone: Zone, { one: { item, entry } }: Placed): boolean {
  const there = plan.things.filter((other) => other.zone === zone && other.one.item.id !== item.id);
  if (standsIn(zone) !== null)
    return !there.some(({ one }) => isRod(one.item.kind) || one.item.kind === 'flag');
  const sum = (of: (item: Item) => number) =>
    there.reduce((all, { one }) => all + of(one.item) * one.entry.quantity, of(item) * entry.quantity);
  if (zone.maxKg !== null && sum(({ massKg }) => massKg) > zone.maxKg) return false;
  const room = isClosed(zone) ? roomOf(zone) : null;
  return room === null || sum(litresOf) <= room;
}
const placed0 = (placed: Placed, plan: StowPlan) => spotAt(placed, plan.craft).xM;

/**
 * So much weight from behind the seat to places before or under it: the heaviest first, as far as those
 * places carry it.
 */
export function forward(context: Plans & Pick<Context, 'aboard' | 'angler'>, kg: number): Repair[] {
  const { plan, angler } = context;
  if (!plan || !angler || kg <= 0) return [];
  const habits = leashesAboard(context.aboard, angler);
  const seat = seatOf(plan.craft).xM;
  const left = new Map(
    zonesOf(plan.craft).map((zone) => [zone.id, { kg: zone.maxKg ?? Infinity, litres: roomOf(zone) ?? 0 }]),
  );
  for (const { zone, one } of plan.things) {
    const room = zone && left.get(zone.id);
    if (room)
      left.set(zone.id, {
        kg: room.kg - one.item.massKg * one.entry.quantity,
        litres: room.litres - litresOf(one.item) * one.entry.quantity,
      });
  }
  const moved: (readonly [Placed, Partial<Spot>])[] = [];
  let gone = 0;
  const heavy = behindSeat(plan, 0).things.filter(({ spot }) => spot.in === 'zone');
  const massWith = new Map<string, number>();
  for (const { one, lies } of plan.things)
    for (const id of [one.item.id, ...lies.boxes.map((box) => box.id)])
      massWith.set(id, (massWith.get(id) ?? 0) + one.item.massKg * one.entry.quantity);
  const massOf = ({ one }: Placed) => massWith.get(one.item.id) ?? 0;
  for (const placed of heavy.toSorted((a, b) => massOf(b) - massOf(a))) {
    if (gone >= kg || moved.length >= MOST_MOVED) break;
    const mass = massOf(placed);
    const litres = litresOf(placed.one.item) * placed.one.entry.quantity;
    const zone = zonesOf(plan.craft).find(
      (one) =>
        one.xM >= seat - UNDER_SEAT_M &&
        one.kind !== 'pad-eye' &&
        one.kind !== 'rail' &&
        fitsIn(placed.one.item, one) === null &&
        (left.get(one.id)?.kg ?? 0) >= mass &&
        (left.get(one.id)?.litres ?? 0) >= litres,
    );
    const room = zone && left.get(zone.id);
    if (!zone || !room) continue;
    left.set(zone.id, { kg: room.kg - mass, litres: room.litres - litres });
    const spot = spotIn(placed.one.item, { in: 'zone', zone }, placed.spot, habits);
    moved.push([placed, tied(spot, zone)]);
    gone += mass;
  }
  return gone >= kg
    ? putting(context, 'fish', `Put ${namesOf(moved.map(([placed]) => placed))} farther forward`, moved)
    : [];
}
/**
 * The heaviest things of one end or side, each to a place at the other; where something lighter lies there,
 * the two change places.
 */
export function evening(
  context: Plans & Pick<Context, 'aboard' | 'angler'>,
  away: (at: { xM: number; yM: number }) => number,
  opposite: (at: { xM: number; yM: number }) => { xM: number; yM: number },
): Repair[] {
  const { plan, angler } = context;
  if (!plan || !angler) return [];
  const habits = leashesAboard(context.aboard, angler);
  const massOf = ({ one: { item, entry } }: Placed) => item.massKg * entry.quantity;
  const movable = plan.things.filter(
    ({ spot, one }) => spot.in === 'zone' && !isFixed(one.item.kind) && one.entry.carriedBy === null,
  );
  const heavy = movable
    .filter((placed) => away(spotAt(placed, plan.craft)) > ASIDE_M)
    .toSorted((a, b) => massOf(b) - massOf(a))
    .slice(0, 3);
  const into = (placed: Placed, zone: Zone) =>
    tied(spotIn(placed.one.item, { in: 'zone', zone }, placed.spot, habits), zone);
  return heavy.flatMap((placed): Repair[] => {
    const at = spotAt(placed, plan.craft);
    const underFeet = ({ kind }: Zone) => kind === 'cockpit floor' && plan.craft.drive === 'pedal';
    const nearest = (wanted: { xM: number; yM: number }, fits: (off: number) => boolean) =>
      zonesOf(plan.craft)
        .filter(
          (one) =>
            one.kind !== 'pad-eye' &&
            !underFeet(one) &&
            fits(away(one)) &&
            fitsIn(placed.one.item, one) === null,
        )
        .toSorted(
          (a, b) =>
            Math.hypot(a.xM - wanted.xM, a.yM - wanted.yM) - Math.hypot(b.xM - wanted.xM, b.yM - wanted.yM),
        )[0];
    const there = opposite(at);
    // All of it across may be as much the other way: the middle comes first.
    const middle = nearest(
      { xM: (at.xM + there.xM) / 2, yM: (at.yM + there.yM) / 2 },
      (off) => Math.abs(off) <= ASIDE_M,
    );
    const zone = nearest(there, (off) => off < -ASIDE_M);
    const toMiddle = middle
      ? putting(context, 'fish', `Put ${placed.one.item.name} ${atZone(middle)}`, [
          [placed, into(placed, middle)],
        ])
      : [];
    if (!zone) return toMiddle;
    const name = placed.one.item.name;
    const lighter = movable.find(
      (other) =>
        other.zone === zone &&
        massOf(other) < massOf(placed) &&
        placed.zone !== null &&
        fitsIn(other.one.item, placed.zone) === null,
    );
    const swap =
      lighter && placed.zone
        ? putting(context, 'fish', `Swap ${name} and ${lighter.one.item.name}`, [
            [placed, into(placed, zone)],
            [lighter, into(lighter, placed.zone)],
          ])
        : [];
    return [
      ...toMiddle,
      ...putting(context, 'fish', `Put ${name} ${atZone(zone)}`, [[placed, into(placed, zone)]]),
      ...swap,
    ];
  });
}
const ASIDE_M = 0.12;
const MOST_MOVED = 5;
/** What would lie loose is tied while one is at it. */
function tied(spot: Spot, zone: Zone): Spot {
  return spot.held === 'loose' && !isClosed(zone) ? { ...spot, held: 'leashed' } : spot;
}
const UNDER_SEAT_M = 0.15;

/** Into a container aboard that keeps it dry enough and has room for its length. */
export function bagging(
  context: Plans & Pick<Context, 'aboard' | 'angler'>,
  inMode: Mode,
  placed: Placed,
  dryEnough: (dry: Zone['dryness']) => boolean,
): Repair[] {
  const mode = homeMode(context, inMode, [placed]);
  const plan = planIn(context, mode);
  if (!plan || !context.angler) return [];
  const habits = leashesAboard(context.aboard, context.angler);
  const { item } = placed.one;
  const [long] = sizeOf(item);
  return plan.things
    .filter(
      ({ one, lies }) =>
        one.item.id !== item.id &&
        kinds[one.item.kind].aside === 'storage' &&
        storageOf(one.item).shut &&
        dryEnough(storageOf(one.item).dry) &&
        (lies.in === 'zone' || lies.in === 'body') &&
        sizeOf(one.item)[0] >= long &&
        !lies.boxes.some(({ id }) => id === item.id),
    )
    .slice(0, 2)
    .flatMap(({ one }) =>
      putting(context, mode, `Put ${item.name} into ${one.item.name}`, [
        [placed, spotIn(item, { in: 'thing', container: one.item }, placed.spot, habits)],
      ]),
    );
}

/** Into a container that is owned and not aboard: it comes along, and the thing goes into it. */
export function baggingInto(
  context: Plans & Pick<Context, 'aboard' | 'angler' | 'items' | 'lastDay'>,
  inMode: Mode,
  placed: Placed,
  dryEnough: (dry: Zone['dryness']) => boolean,
): Repair[] {
  if (!context.angler) return [];
  const mode = homeMode(context, inMode, [placed]);
  const habits = leashesAboard(context.aboard, context.angler);
  const { item } = placed.one;
  const [long] = sizeOf(item);
  return owned(
    context,
    (one) =>
      kinds[one.kind].aside === 'storage' &&
      storageOf(one).shut &&
      dryEnough(storageOf(one).dry) &&
      sizeOf(one)[0] >= long &&
      !isAboard(context, one),
  )
    .slice(0, 2)
    .flatMap((one) =>
      putting(context, mode, `put ${item.name} into it`, [
        [placed, spotIn(item, { in: 'thing', container: one }, placed.spot, habits)],
      ]).map((put): Repair => ({
        do: 'together',
        parts: [{ do: 'add-items', items: [theFirst(one)] }, put],
      })),
    );
}

/**
 * Each into something that keeps it dry enough: a container aboard, else a place under a lid; all together as
 * one.
 */
export function drying(
  context: Plans & Pick<Context, 'aboard' | 'angler' | 'items' | 'lastDay'>,
  mode: Mode,
  list: readonly Placed[],
  want: (placed: Placed) => Zone['dryness'],
): Repair[] {
  const ways = list.map((placed) => {
    const enough = (dry: Zone['dryness']) => dryness.indexOf(dry) >= dryness.indexOf(want(placed));
    return [
      ...bagging(context, mode, placed, enough),
      ...moving(context, mode, placed, (zone) => enough(zone.dryness), 2),
      ...(list.length === 1 ? baggingInto(context, mode, placed, enough) : []),
    ];
  });
  return together(list, ways, 'where it is dry');
}
/** Each to a place that takes it; all together as one, where every one of them has such a place. */
export function placing(
  context: Plans & Pick<Context, 'aboard' | 'angler'>,
  list: readonly Placed[],
): Repair[] {
  const most = list.length === 1 ? undefined : 1;
  const ways: Repair[][] = [];
  for (const placed of list) {
    const way = moving(context, 'fish', placed, () => true, most);
    if (way.length === 0) return [];
    ways.push(way);
  }
  return together(list, ways, 'where they fit');
}
/** All of them to other places, each to the first that takes it, as one repair. */
export function movingAll(
  context: Plans & Pick<Context, 'aboard' | 'angler'>,
  mode: Mode,
  list: readonly Placed[],
  wanted: (zone: Zone) => boolean,
  where: string,
): Repair[] {
  if (list.length < 2) return [];
  const ways = list.map((placed) => moving(context, mode, placed, wanted, MOST_WAYS));
  // The nearest place of each, then the next ones; a place is taken by two only where they lie there.
  return Array.from({ length: MOST_WAYS }, (_, nth) => {
    const taken = new Set<string>();
    return ways.map((some) => {
      const own = some.slice(nth).concat(some.slice(0, nth));
      const [way] = own.filter((repair) => !holdersIn(context, repair).some((id) => taken.has(id)));
      for (const id of way ? holdersIn(context, way) : []) taken.add(id);
      return way ? [way] : [];
    });
  }).flatMap((each) => together(list, each, where));
}
const MOST_WAYS = 3;
/** Holders that a repair puts things into. */
function holdersIn({ plan }: Plans, repair: Repair): string[] {
  if (repair.do !== 'stow' || !plan) return [];
  const holders = new Set(
    zonesOf(plan.craft)
      .filter((zone) => standsIn(zone) !== null)
      .map(({ id }) => id),
  );
  return repair.puts.flatMap(({ spot: { id } }) => (id !== null && holders.has(id) ? [id] : []));
}
/** The ways of one thing; of several, the first of each as one repair. */
function together(list: readonly Placed[], ways: readonly (readonly Repair[])[], where: string): Repair[] {
  const [only = []] = ways;
  if (ways.length === 1) return [...only];
  const firsts = ways.map(([first]) => first);
  const each = firsts.flatMap((repair) => (repair?.do === 'stow' ? [repair] : []));
  const puts = each.flatMap((repair) => repair.puts);
  if (puts.length !== list.length) return [];
  // Two are said with their places; more would not be read.
  const [first, second, ...more] = each.map(({ words }) => words);
  const words =
    first && second && more.length === 0
      ? `${first}, and ${uncapital(second)}`
      : `Put ${namesOf(list)} ${where}`;
  return [{ do: 'stow', puts, words }];
}

/** Covered, by what its kind is covered with. */
export function covering(context: Plans, mode: Mode, list: readonly Placed[]): Repair[] {
  return putting(
    context,
    mode,
    `Cover ${namesOf(list)}`,
    list.map((placed) => [placed, { cover: 'cap' }]),
  );
}
/** Put away: a rod flat, a flag down. */
export function layingFlat(context: Plans, mode: Mode, list: readonly Placed[]): Repair[] {
  return putting(
    context,
    mode,
    `Lay ${namesOf(list)} flat${during(mode)}`,
    list.map((placed) => [
      placed,
      { state: 'stowed', held: placed.spot.held === 'loose' ? 'strapped' : placed.spot.held },
    ]),
  );
}
