import {
  isBattery,
  isFixed,
  isHard,
  isRod,
  isSharp,
  keepApart,
  keepsApart,
  statesOf,
} from '../../catalog/gear/stowing';
import { kinds } from '../../catalog/gear/kinds';
import { seatOf } from '../../boat/build';
import type { Zone } from '../../documents/boatParts';
import { catalogue } from '../../needs/catalogue';
import type { JudgedNeed } from '../../needs/match';
import { USABLE, isClosed, fitsIn, litresOf, roomOf, standsIn } from '../../stow/fits';
import { type Placed, type StowPlan, eyesOf, leashesOn, spotAt, standsUp, topOver } from '../../stow/plan';
import { afterRoll, isLost, lostIn } from '../../stow/roll';
import { atZone, inside } from '../../stow/at';
import { sayLies } from '../../stow/say';
import { amount, mass } from '../../units/amount';
import { capital, count, listed, plural } from '../../units/words';
import { dryness } from '../../vocabulary/boat';
import type { NeedId } from '../../vocabulary/needs';
import { type Mode, modeWords } from '../../vocabulary/stow';
import type { FindingLevel } from '../../vocabulary/levels';
import { removing } from '../candidates';
import type { Context } from '../context';
import { type Told, rule } from '../rule';
import { bagging, covering, drying, layingFlat, moving, planIn, putting, tying, wearing } from '../stowRepairs';

/** Breakers from which a launch or a landing goes through surf, m; and how far from ground a capsize is not walked home from, m. */
const SURF_M = 0.3;
const FAR_M = 500;
/** Things that stand this high over their place are felt by the wind and by whoever casts, m. */
const HIGH_M = 0.9;
/** So much standing area is worth a word, m². */
const WINDAGE_M2 = 0.45;
const WINDY_MPS = 6;
const MOST_NAMED = 4;

const named = (list: readonly Placed[]) => {
  const names = list.map(({ one }) => one.item.name);
  return names.length > MOST_NAMED
    ? `${listed(names.slice(0, MOST_NAMED - 1))} and ${count(names.length - MOST_NAMED + 1)} more`
    : listed(names);
};
const idsOf = (list: readonly Placed[]) => list.map(({ one }) => one.item.id);
const inMode = (mode: Mode) => (mode === 'fish' ? '' : `, ${modeWords[mode]}`);

/** Whether a mode goes through breaking water or rapids, where what floats is lost as well. */
function isRough(mode: Mode, { breakerM, rapids }: Pick<Context['exposures'], 'breakerM' | 'rapids'>): boolean {
  if (mode === 'run') return rapids > 0;
  return (mode === 'launch' || mode === 'land') && (breakerM ?? 0) > SURF_M;
}
/** Plans of the modes that are afloat, each plan once, under the mode in which it is hardest. */
function afloatPlans({
  plans,
  exposures,
}: Pick<Context, 'plans' | 'exposures'>): { mode: Mode; plan: StowPlan; rough: boolean }[] {
  const list = plans
    .filter(({ mode }) => mode !== 'carry' && mode !== 'camp')
    .map((one) => ({ ...one, rough: isRough(one.mode, exposures) }))
    .toSorted((a, b) => Number(b.rough) - Number(a.rough) || Number(b.mode === 'fish') - Number(a.mode === 'fish'));
  return list.filter((one, i) => list.findIndex(({ plan, rough }) => plan === one.plan && (rough || !one.rough)) === i);
}
/** Things that have to be found again by those who were told: by id, in this plan. */
function again(context: Context, mode: Mode, ids: readonly string[]): Placed[] {
  const plan = planIn(context, mode);
  return ids.flatMap((id) => plan?.byId.get(id) ?? []);
}
/** Things by the place of the boat that they are in. */
function byZone(list: readonly Placed[]): { zone: Zone; things: Placed[] }[] {
  const zones = new Map<string, { zone: Zone; things: Placed[] }>();
  for (const placed of list) {
    if (!placed.zone) continue;
    const one = zones.get(placed.zone.id) ?? { zone: placed.zone, things: [] };
    one.things.push(placed);
    zones.set(placed.zone.id, one);
  }
  return [...zones.values()];
}
const byHand = (list: readonly Placed[]) => list.some(({ by }) => by !== 'kind');

const unplaced = rule({
  code: 'stow-unplaced',
  reads: ['plan'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan }) => {
    const things = plan?.things.filter(({ lies }) => lies.in === 'nowhere') ?? [];
    if (!plan || things.length === 0) return [];
    const facts = {
      things: named(things),
      many: things.length,
      thingIds: idsOf(things),
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
  repairs: ({ thingIds }, context) =>
    again(context, 'fish', thingIds)
      .slice(0, 1)
      .flatMap((placed) => moving(context, 'fish', placed, () => true)),
});

const noFit = rule({
  code: 'stow-no-fit',
  reads: ['plans', 'exposures'],
  station: 'stow',
  placing: true,
  measure: 'share',
  find: ({ plans, exposures }) => {
    const told = new Set<string>();
    return afloatPlans({ plans, exposures }).flatMap(({ mode, plan }) =>
      plan.things.flatMap((placed) => {
        const { spot, zone, one } = placed;
        const fault = spot.in === 'zone' && zone ? fitsIn(one.item, zone) : null;
        if (!fault || !zone || told.has(one.item.id)) return [];
        told.add(one.item.id);
        const extent = fault.why === 'mass' ? fault.haveKg / fault.wantKg : fault.haveM / Math.max(fault.wantM, 0.01);
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
    ...again(context, mode, thingIds).flatMap((placed) => moving(context, mode, placed, () => true)),
    ...removing(context, (kind) => kinds[kind].means.length === 0).filter(
      (repair) => repair.do === 'remove-item' && thingIds.includes(repair.itemId),
    ),
  ],
});

const overfull = rule({
  code: 'stow-overfull',
  reads: ['plan'],
  station: 'stow',
  placing: true,
  measure: 'share',
  slack: 0.02,
  find: ({ plan }) =>
    byZone(plan?.things.filter(({ spot }) => spot.in === 'zone') ?? []).flatMap(
      ({ zone, things }): Told<OverfullFacts>[] => {
        const stands = standsIn(zone);
        const standing = things.filter(({ one }) => isRod(one.item.kind) || one.item.kind === 'flag');
        const room = roomOf(zone);
        const litres = things.reduce(
          (sum, { one: { item, entry } }) => sum + litresOf(item) * entry.quantity * (standsFree(item.kind) ? 0 : 1),
          0,
        );
        const kg = plan
          ? plan.things
              .filter((one) => one.zone === zone)
              .reduce((sum, { one: { item, entry } }) => sum + item.massKg * entry.quantity, 0)
          : 0;
        const said = byHand(things);
        // Of usual places only the large ones say anything by being full.
        if (!said && zone.kind !== 'tank well' && zone.kind !== 'hatch') return [];
        const level = said ? ('mind' as const) : ('note' as const);
        const facts = { zone: zone.name, zoneId: zone.id, things: named(things), thingIds: idsOf(things) };
        const tell = (share: number, why: OverfullFacts['why']): Told<OverfullFacts> => ({
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
        if (room !== null && litres > room) return [tell(litres / room, { of: 'room', have: litres, want: room })];
        return [];
      },
    ),
  say: ({ zone, things, why }) => ({
    title: `${zone} holds more than it can`,
    text:
      why.of === 'holder'
        ? `${capital(count(why.have))} things stand where there is room for ${count(why.want)}: ${things}.`
        : why.of === 'mass'
          ? `${mass(why.have)} where it carries ${mass(why.want)}: ${things}.`
          : `${amount(why.have, 'L', 0)} of things where ${amount(why.want, 'L', 0)} can be packed, ${Math.round(USABLE * 100)} % of its room: ${things}.`,
  }),
  // Only what is large or heavy enough to settle it by itself is tried.
  repairs: ({ thingIds, zoneId, why }, context) =>
    again(context, 'fish', thingIds)
      .filter(({ one: { item, entry } }) => {
        const less = { holder: 1, mass: item.massKg * entry.quantity, room: litresOf(item) * entry.quantity }[why.of];
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
function wantsDry({ one: { item } }: Placed, mode: Mode, rough: boolean, salt: boolean): 'splash' | 'sealed' | null {
  const { wet } = kinds[item.kind];
  const own = item.qualities.includes('waterproof');
  if (wet === 'never') return own ? (mode === 'run' && rough ? 'splash' : null) : 'sealed';
  if (isFixed(item.kind)) return null;
  if (isBattery(item.kind) && salt) return own ? null : 'splash';
  return wet === 'splash' && rough && !own ? 'splash' : null;
}
const isDry = (have: (typeof dryness)[number], want: (typeof dryness)[number]) =>
  dryness.indexOf(have) >= dryness.indexOf(want);

const wet = rule({
  code: 'stow-wet',
  reads: ['plans', 'exposures', 'places'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plans, exposures, places }) => {
    const salt = places.water?.type !== 'fresh';
    const told = new Set<string>();
    return afloatPlans({ plans, exposures }).flatMap(({ mode, plan, rough }) => {
      const things = plan.things.filter((placed) => {
        const want = placed.lies.in === 'zone' ? wantsDry(placed, mode, rough, salt) : null;
        return want !== null && !isDry(placed.lies.dry, want) && !told.has(placed.one.item.id);
      });
      for (const { one } of things) told.add(one.item.id);
      return byZone(things).map(({ zone, things: list }) => {
        const spoiled = list.some(({ one }) => kinds[one.item.kind].wet === 'never' || isBattery(one.item.kind));
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
    drying(context, mode, again(context, mode, thingIds), (placed) => wantsDry(placed, mode, rough, true) ?? 'splash'),
});

interface RollLoss {
  need: JudgedNeed;
  mode: Mode;
  rough: boolean;
  lost: readonly Placed[];
}
/** Needs that a capsize would leave without any means, in the mode where it tells most. */
function rollLosses({ plans, exposures, needs }: Pick<Context, 'plans' | 'exposures' | 'needs'>): RollLoss[] {
  const unmet = (id: NeedId) => needs.some((need) => need.id === id && !need.met);
  const found = new Map<NeedId, RollLoss>();
  for (const { mode, plan, rough } of afloatPlans({ plans, exposures })) {
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

const rollLoses = rule({
  code: 'roll-loses',
  reads: ['plans', 'exposures', 'needs'],
  station: 'stow',
  placing: true,
  far: 'shore',
  measure: 'things',
  find: (context) =>
    rollLosses(context).map(({ need, mode, rough, lost }) => {
      const far = (context.exposures.maxDistanceFromShoreM ?? 0) > FAR_M;
      const level: FindingLevel = need.lifeCritical && (rough || far) ? 'stop' : 'mind';
      const floats = lost.every(({ one }) => one.item.qualities.includes('floats'));
      const facts = {
        needId: need.id,
        things: named(lost),
        many: lost.length,
        thingIds: idsOf(lost),
        mode,
        rough,
        floats,
        where: listed([...new Set(lost.map(({ lies }) => sayLies(lies)))]),
      };
      return { level, basis: 'judgement' as const, extent: lost.length, subject: need.id, facts };
    }),
  say: ({ needId, things, many, where, mode, rough, floats }) => ({
    title: `${things} ${floats ? (many === 1 ? 'drifts' : 'drift') + ' away' : many === 1 ? 'goes' : 'go'} with the first capsize`,
    text: `${many === 1 ? 'It lies' : 'They lie'} loose, ${where}${inMode(mode)}. Then nothing aboard serves to ${lower(catalogue[needId].title)}${rough ? ', and it is here that one capsizes' : ''}.`,
  }),
  repairs: ({ thingIds, mode }, context) => {
    const list = again(context, mode, thingIds);
    return [
      ...wearing(context, mode, list),
      ...tying(context, mode, list),
      ...list.flatMap((placed) => moving(context, mode, placed, (zone) => zone.cord, 2)),
    ];
  },
});
const lower = (title: string) => `${title.charAt(0).toLowerCase()}${title.slice(1)}`;

const loose = rule({
  code: 'stow-loose',
  reads: ['plans', 'exposures', 'needs'],
  station: 'stow',
  placing: true,
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
        const facts = { at: atZone(zone), things: named(list), many: list.length, thingIds: idsOf(list), mode, rough };
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
  repairs: ({ thingIds, mode }, context) => tying(context, mode, again(context, mode, thingIds)),
});

const leashes = rule({
  code: 'stow-leash',
  reads: ['plans', 'exposures'],
  station: 'stow',
  placing: true,
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
        ? [{ level: 'mind' as const, basis: 'physics' as const, extent: many - eye.leashes, subject: eye.id, facts }]
        : [];
    });
    const without = plan.things.filter(
      ({ spot, eye, zone }) => spot.held === 'leashed' && spot.in === 'zone' && zone && !isClosed(zone) && eye === null,
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
  repairs: ({ thingIds, mode }, context) => {
    const list = again(context, mode, thingIds);
    return [
      ...list.slice(-1).flatMap((placed) => tying(context, mode, [placed])),
      ...list.slice(-2).flatMap((placed) => moving(context, mode, placed, (zone) => zone.cord, 2)),
    ];
  },
});

/** Alone, or out of reach of shore, one way to call is on the body: the boat may go without one. */
const callNotWorn = rule({
  code: 'call-not-worn',
  reads: ['needs', 'plan', 'plans', 'exposures'],
  station: 'stow',
  placing: true,
  measure: 'whether',
  find: (context) => {
    const { needs, plan, exposures } = context;
    const need = needs.find(({ id }) => id === 'call-for-help');
    const counted =
      need?.means.flatMap((means) =>
        means.by === 'item' && means.shortfall === null ? (plan?.byId.get(means.itemId) ?? []) : [],
      ) ?? [];
    if (!need?.met || counted.length === 0 || counted.some(({ lies }) => lies.in === 'body')) return [];
    // Where a capsize takes every one of them, it is told as that.
    if (rollLosses(context).some((loss) => loss.need.id === need.id)) return [];
    const facts = {
      things: named(counted),
      many: counted.length,
      thingIds: idsOf(counted),
      where: listed([...new Set(counted.map(({ lies }) => sayLies(lies)))]),
      solo: exposures.solo,
    };
    return [
      {
        level: need.lifeCritical && exposures.solo ? ('stop' as const) : ('mind' as const),
        basis: 'judgement' as const,
        extent: 1,
        facts,
      },
    ];
  },
  say: ({ things, many, where, solo }) => ({
    title: 'No way to call is on you',
    text: `${things} ${where === '' ? '' : `(${where}) `}${many === 1 ? 'stays' : 'stay'} with the boat when you do not. ${solo ? 'Alone, one' : 'One'} of them hangs on you.`,
  }),
  repairs: ({ thingIds }, context) =>
    again(context, 'fish', thingIds).flatMap((placed) => wearing(context, 'fish', [placed])),
});

type ClearWhat = 're-entry' | 'fight' | 'cast' | 'sweep' | 'knees' | 'fly line';
const clear = rule({
  code: 'stow-in-the-way',
  reads: ['plan', 'angler', 'brief'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan, angler, brief }) => {
    if (!plan || !angler) return [];
    const { craft } = plan;
    const seat = seatOf(craft);
    const aboard = plan.things.filter(({ spot, zone }) => spot.in === 'zone' && zone !== null);
    const near = (placed: Placed, from: number, to: number) => {
      const { xM } = spotAt(placed, craft);
      return xM >= seat.xM + from && xM <= seat.xM + to;
    };
    const high = (placed: Placed) => standsUp(placed) && topOver(placed) > HIGH_M;
    const tell = (what: ClearWhat, list: readonly Placed[], level: FindingLevel) =>
      list.length === 0
        ? []
        : [
            {
              level,
              basis: 'judgement' as const,
              extent: list.length,
              subject: what,
              facts: {
                what,
                side: what === 'fight' ? angler.hand : angler.clearSide,
                things: named(list),
                many: list.length,
                thingIds: idsOf(list),
              },
            },
          ];
    const onClearSide = aboard.filter((placed) => {
      const { zone, one } = placed;
      const long = kinds[one.item.kind].sizeM[0] > LONG_M || standsUp(placed);
      return (
        placed.by !== 'kind' &&
        zone?.side === angler.clearSide &&
        long &&
        near(placed, REENTRY_M[0], REENTRY_M[1]) &&
        zone.kind !== 'side pocket'
      );
    });
    const fought = aboard.filter(
      (placed) => high(placed) && placed.zone?.side === angler.hand && near(placed, FIGHT_M[0], FIGHT_M[1]),
    );
    const fly = brief.techniques.includes('fly');
    const behind = fly ? aboard.filter((placed) => high(placed) && near(placed, -9, 0)) : [];
    const sweep =
      craft.drive === 'pedal'
        ? aboard.filter(
            (placed) =>
              placed.zone?.kind === 'cockpit floor' &&
              near(placed, SWEEP_M[0], SWEEP_M[1]) &&
              Math.abs(spotAt(placed, craft).yM) < SWEEP_M[2],
          )
        : [];
    const knees = aboard.filter(
      (placed) =>
        placed.zone?.kind === 'rod holder' &&
        near(placed, 0.15, 0.75) &&
        Math.abs(placed.zone.yM) < 0.22 &&
        standsUp(placed),
    );
    const line = fly
      ? aboard.filter(
          ({ zone, spot, one }) =>
            zone &&
            (zone.kind === 'cockpit floor' || (zone.kind === 'deck under cords' && zone.xM > seat.xM)) &&
            spot.cover === 'bare' &&
            one.item.kind !== 'line-tray' &&
            one.item.kind !== 'deck-pad' &&
            one.item.kind !== 'stand-strap' &&
            spot.held !== 'strapped',
        )
      : [];
    return [
      ...tell('re-entry', onClearSide, 'mind'),
      ...tell('fight', fought, 'note'),
      ...tell('cast', behind, behind.some(({ one }) => isRod(one.item.kind)) ? 'mind' : 'note'),
      ...tell('sweep', sweep, 'mind'),
      ...tell('knees', knees, 'note'),
      ...tell('fly line', line, 'note'),
    ];
  },
  say: ({ what, side, things, many }) => {
    const it = many === 1 ? 'it' : 'them';
    return {
      're-entry': {
        title: `${things} on the side you climb in by`,
        text: `You keep the ${side} side clear to get back in; ${it} would catch a knee or a strap. The other side, or behind the seat.`,
      },
      fight: {
        title: `${things} where a fish is fought`,
        text: `Ahead of you on the ${side}, the side of your rod hand: a rod swung there, or a lure worked close in, meets ${it}. Behind the seat, or flat.`,
      },
      cast: {
        title: `${things} in the way of the back-cast`,
        text: `Standing behind you, ${many === 1 ? 'it takes' : 'they take'} the line at every cast. Down, flat, or beside the seat.`,
      },
      sweep: {
        title: `${things} under the pedals`,
        text: `The feet sweep there. What slides under them stops the drive.`,
      },
      knees: {
        title: `${things} before the knees`,
        text: `Bending forward meets the butt of a rod. A holder farther out, or behind the seat.`,
      },
      'fly line': {
        title: `${things} where the fly line falls`,
        text: `A coil round ${it} stops the cast or the fish. Covered, strapped flat, or elsewhere.`,
      },
    }[what];
  },
  repairs: ({ what, thingIds, side }, context) => {
    const list = again(context, 'fish', thingIds);
    const flat = list.every(({ one }) => statesOf(one.item.kind)) ? layingFlat(context, 'fish', list) : [];
    const elsewhere = list
      .slice(0, 2)
      .flatMap((placed) =>
        moving(
          context,
          'fish',
          placed,
          (zone) => (what === 're-entry' ? zone.side !== side : zone.kind !== 'cockpit floor'),
          3,
        ),
      );
    return what === 'cast' ? [...flat, ...elsewhere] : [...elsewhere, ...flat];
  },
});
const LONG_M = 0.5;
/** How far behind and before the seat one climbs in, m; where the feet go on pedals, ahead of the seat and aside, m. */
const REENTRY_M = [-0.25, 0.6] as const;
/** Where a rod is swung when a fish runs under the boat: from beside the seat to its length ahead, m. */
const FIGHT_M = [-0.1, 1.4] as const;
const SWEEP_M = [0.35, 0.95, 0.2] as const;

/** A lid that has to open, with something lying on it. */
const onLid = rule({
  code: 'stow-on-lid',
  reads: ['plan', 'needs'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan, needs }) => {
    if (!plan) return [];
    if (!plan.things.some(({ lies }) => lies.compartment !== null)) return [];
    const wanted = new Set(
      needs.flatMap(({ means }) =>
        means.flatMap((one) => (one.by === 'item' && one.shortfall === null ? [one.itemId] : [])),
      ),
    );
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
        : [{ level: 'note' as const, basis: 'judgement' as const, extent: over.length, subject: zone.id, facts }];
    });
  },
  say: ({ lid, under, things }) => ({
    title: `${things} on the lid of ${inside(lid)}`,
    text: `It has to come off before ${under} is reached.`,
  }),
  repairs: ({ thingIds }, context) =>
    again(context, 'fish', thingIds)
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

const sharp = rule({
  code: 'stow-sharp',
  reads: ['plan'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan }) => {
    if (!plan) return [];
    const soft = plan.craft.hull === 'inflatable';
    const bare = plan.things.filter(
      ({ one, spot, lies }) =>
        isSharp(one.item.kind) &&
        spot.cover === 'bare' &&
        (lies.in === 'zone' || lies.in === 'body') &&
        !lies.boxes.some(({ id }) => isShut(plan, id)),
    );
    // A gaff has no place in a boat of air at all: it is told as that.
    const list = bare.filter(({ one }) => !(soft && one.item.kind === 'gaff'));
    if (list.length === 0) return [];
    const near = soft
      ? ('chamber' as const)
      : list.some(
            ({ zone, lies }) => lies.in === 'body' || zone?.kind === 'cockpit floor' || zone?.kind === 'side pocket',
          )
        ? ('body' as const)
        : ('lines' as const);
    const facts = { things: named(list), many: list.length, thingIds: idsOf(list), near };
    return [
      {
        level: near === 'lines' ? ('note' as const) : ('mind' as const),
        basis: soft ? ('physics' as const) : ('judgement' as const),
        extent: list.length,
        facts,
      },
    ];
  },
  say: ({ things, near }) => ({
    title: `${things}: a bare point`,
    text: {
      chamber: 'One touch opens an air chamber. Sheathed or capped, in a box, or ashore.',
      body: 'It lies where hands and feet go. Sheathed or capped, or in a box.',
      lines: 'It lies among lines and bags. Sheathed or capped, or in a box.',
    }[near],
  }),
  repairs: ({ thingIds }, context) => {
    const list = again(context, 'fish', thingIds);
    return [
      ...covering(context, 'fish', list),
      ...list.slice(0, 1).flatMap((placed) => bagging(context, 'fish', placed, () => true)),
    ];
  },
});
function isShut(plan: StowPlan, id: string): boolean {
  const box = plan.byId.get(id);
  return box !== undefined && box.one.item.kind !== 'crate';
}

const apart = rule({
  code: 'stow-apart',
  reads: ['plan'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan }) => {
    if (!plan) return [];
    // Only what lies in one container, or behind one lid by itself, lies together.
    const together = new Map<string, Placed[]>();
    for (const placed of plan.things) {
      const { one, lies } = placed;
      const room = lies.in === 'zone' && keepsApart(one.item.kind) ? (lies.boxes[0]?.id ?? lies.compartment) : null;
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
    again(context, 'fish', thingIds).flatMap((placed) =>
      moving(
        context,
        'fish',
        placed,
        (zone) => zone.kind === 'tank well' || zone.kind === 'hatch' || zone.kind === 'side pocket',
        2,
      ),
    ),
});

const highThings = rule({
  code: 'stow-high',
  reads: ['plan', 'exposures', 'brief'],
  station: 'stow',
  placing: true,
  measure: 'm²',
  slack: 0.05,
  find: ({ plan, exposures, brief }) => {
    const high = plan?.things.filter((placed) => standsUp(placed) && topOver(placed) > HIGH_M) ?? [];
    const area = high.reduce((sum, placed) => sum + topOver(placed) * kinds[placed.one.item.kind].sizeM[1], 0);
    const windy = (exposures.wind?.value ?? 0) >= WINDY_MPS || brief.standing;
    if (area < WINDAGE_M2 || !windy) return [];
    const facts = {
      things: named(high),
      many: high.length,
      area,
      thingIds: [] as string[],
      windMps: exposures.wind?.value ?? null,
    };
    return [{ level: 'note', basis: 'physics', extent: area, facts }];
  },
  say: ({ things, many, area }) => ({
    title: `${capital(count(many))} ${plural(many, 'thing')} standing high`,
    text: `${things}: ${amount(area, 'm²', 2)} for the wind, and weight up where it tips. What is not in use lies flat.`,
  }),
});

const quiet = rule({
  code: 'stow-hard',
  reads: ['plan', 'brief'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan, brief }) => {
    if (!plan || !brief.techniques.includes('sight fishing')) return [];
    const list = plan.things.filter(
      ({ one, zone, spot }) =>
        zone !== null &&
        !zone.padded &&
        !isClosed(zone) &&
        zone.kind !== 'rail' &&
        isHard(one.item.kind) &&
        spot.in === 'zone' &&
        spot.cover === 'bare',
    );
    if (list.length === 0) return [];
    return [
      {
        level: 'note',
        basis: 'judgement',
        extent: list.length,
        facts: { things: named(list), many: list.length, thingIds: idsOf(list) },
      },
    ];
  },
  say: ({ things, many }) => ({
    title: `${capital(count(many))} hard ${plural(many, 'thing')} on a bare deck`,
    text: `${things}. In shallow water one knock empties the flat. On a pad, or in a bag.`,
  }),
  repairs: ({ thingIds }, context) =>
    putting(
      context,
      'fish',
      'Bag what is hard',
      again(context, 'fish', thingIds).map((placed) => [placed, { cover: 'bag' }]),
    ),
});

const STANDS_UP: ReadonlySet<string> = new Set(['push-pole', 'stake-pole', 'short-pole', 'net', 'camera-pole']);
const rodsUp = rule({
  code: 'stow-rods-up',
  reads: ['plans', 'exposures', 'places'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plans, exposures, places }) => {
    const surf: Mode[] = [];
    const river: Mode[] = [];
    const up = new Map<Mode, Placed[]>();
    for (const { mode, plan } of plans) {
      const rough = isRough(mode, exposures);
      if (!rough && !(mode === 'run' && places.water?.branches === true)) continue;
      const list = plan.things.filter(
        (placed) => (isRod(placed.one.item.kind) || STANDS_UP.has(placed.one.item.kind)) && standsUp(placed),
      );
      if (list.length === 0) continue;
      up.set(mode, list);
      (mode === 'run' ? river : surf).push(mode);
    }
    const tell = (modes: readonly Mode[], why: 'surf' | 'rapids' | 'branches') => {
      const list = [
        ...new Map(modes.flatMap((mode) => up.get(mode) ?? []).map((placed) => [placed.one.item.id, placed])).values(),
      ];
      const facts = { things: named(list), many: list.length, thingIds: idsOf(list), modes, why };
      return list.length === 0
        ? []
        : [{ level: 'mind' as const, basis: 'judgement' as const, extent: list.length, subject: why, facts }];
    };
    return [...tell(surf, 'surf'), ...tell(river, exposures.rapids > 0 ? 'rapids' : 'branches')];
  },
  say: ({ things, many, modes, why }) => ({
    title: `${things} ${many === 1 ? 'stands' : 'stand'}, ${listed(modes.map((mode) => modeWords[mode]))}`,
    text: {
      surf: 'A boat that broaches in the surf drives what stands into the sand, or into you. Flat and tied for the surf.',
      rapids: 'What stands is lost in a capsize, or spears somebody. Flat and tied for the rapids.',
      branches: 'Branches take what stands. Flat and tied under them.',
    }[why],
  }),
  repairs: ({ thingIds, modes, why }, context) => {
    const each = modes.flatMap((mode) => layingFlat(context, mode, again(context, mode, thingIds)));
    const puts = each.flatMap((repair) => (repair.do === 'stow' ? repair.puts : []));
    const [first] = modes;
    const list = first ? again(context, first, thingIds) : [];
    return puts.length > 0
      ? [{ do: 'stow', puts, words: `Lay ${named(list)} flat for the ${why === 'surf' ? 'surf' : 'rapids'}` }]
      : [];
  },
});

const under = rule({
  code: 'stow-under',
  reads: ['plan', 'needs'],
  station: 'stow',
  placing: true,
  measure: 'things',
  find: ({ plan, needs }) => {
    if (!plan) return [];
    const serving = new Set(
      needs
        .filter(({ id }) => id === 'unhook' || id === 'land-fish' || id === 'take-water-out')
        .flatMap(({ means }) =>
          means.flatMap((one) => (one.by === 'item' && one.shortfall === null ? [one.itemId] : [])),
        ),
    );
    const list = plan.things.filter(
      ({ one, lies }) => serving.has(one.item.id) && lies.moves.some((move) => move.do !== 'open'),
    );
    if (list.length === 0) return [];
    return [
      {
        level: 'note',
        basis: 'judgement',
        extent: list.length,
        facts: { things: named(list), many: list.length, thingIds: idsOf(list) },
      },
    ];
  },
  say: ({ things, many }) => ({
    title: `${things} under the rest`,
    text: `${many === 1 ? 'It is' : 'They are'} wanted in a hurry. On top, and what is seldom used below.`,
  }),
  repairs: ({ thingIds }, context) => {
    const list = again(context, 'fish', thingIds);
    return putting(
      context,
      'fish',
      `Put ${named(list)} on top`,
      list.map((placed) => [placed, { layer: 'top' }]),
    );
  },
});

/** What may lie on the lid, in the way or beside is a matter of the plan; what is lost, wet or bare, of the boat and the water. */
export const stowRules = [
  unplaced,
  noFit,
  overfull,
  wet,
  rollLoses,
  loose,
  leashes,
  callNotWorn,
  clear,
  onLid,
  sharp,
  apart,
  highThings,
  quiet,
  rodsUp,
  under,
] as const;
