import type { Zone } from '../../documents/boatParts';
import { isHard, isRod, isSharp, statesOf, storageOf } from '../../catalog/gear/stowing';
import { kinds } from '../../catalog/gear/kinds';
import { seatOf } from '../../boat/build';
import { isClosed } from '../../stow/fits';
import { type Placed, type StowPlan, spotAt, standsUp, topOver } from '../../stow/plan';
import { amount } from '../../units/amount';
import { capital, count, listed, plural } from '../../units/words';
import { type Mode, modeWords } from '../../vocabulary/stow';
import type { FindingLevel } from '../../vocabulary/levels';
import { rule } from '../rule';
import { bagging, covering, layingFlat, moving, movingAll, putting } from '../stowRepairs';
import { isRough } from '../../exposures/rough';
import { idsOf, byHand, HIGH_M, named, placedAgain, noteOf, toldOf } from './stowTold';

/** So much standing area is worth a word, m², in this much wind. */
const WINDAGE_M2 = 0.45;
const WINDY_MPS = 6;

type ClearWhat = 're-entry' | 'net' | 'fight' | 'cast' | 'sweep' | 'knees' | 'outboard' | 'fly line';
const clear = rule({
  code: 'stow-in-the-way',
  reads: ['plan', 'angler', 'outward'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan, angler, outward: brief }) => {
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
                ...toldOf(list),
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
    // A hoop is swung out over the side: what stands beside its handle catches it.
    const hoops = aboard.filter(({ one }) => (one.item.attributes.hoopM ?? 0) > 0);
    const besideNet = aboard.filter(
      (placed) =>
        high(placed) &&
        hoops.some((net) => {
          const [a, b] = [spotAt(net, craft), spotAt(placed, craft)];
          return net !== placed && net.by !== 'kind' && Math.hypot(a.xM - b.xM, a.yM - b.yM) < SWING_M;
        }),
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
    const outboard = aboard.filter(
      ({ zone }) => zone?.kind === 'rod holder' && Math.abs(zone.yM) > craft.beamM / 2 + OUTBOARD_M,
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
      ...tell('net', besideNet, 'note'),
      ...tell('cast', behind, behind.some(({ one }) => isRod(one.item.kind)) ? 'mind' : 'note'),
      ...tell('sweep', sweep, 'mind'),
      ...tell('knees', knees, byHand(knees) ? 'mind' : 'note'),
      ...tell('outboard', outboard, 'mind'),
      ...tell('fly line', line, 'note'),
    ];
  },
  say: ({ what, side, things, many }) => {
    const it = many === 1 ? 'it' : 'them';
    const they = many === 1 ? 'it' : 'they';
    return {
      're-entry': {
        title: `${things} on the side you climb in by`,
        text: `You keep the ${side} side clear to get back in; ${they} would catch a knee or a strap. The other side, or behind the seat.`,
      },
      fight: {
        title: `${things} where a fish is fought`,
        text: `Ahead of you on the ${side}, the side of your rod hand: a rod swung there, or a lure worked close in, meets ${it}. Behind the seat, or flat.`,
      },
      net: {
        title: `${things} beside the net`,
        text: `The hoop is swung out over the side, one-handed and at once; ${they} would catch it. Flat, or the net in another place.`,
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
      outboard: {
        title: `${things} held outside the boat`,
        text: `Whoever takes ${it} from there has his weight over the side, just as a fish pulls. A holder farther in, or one that lies across the bow.`,
      },
      'fly line': {
        title: `${things} where the fly line falls`,
        text: `A coil round ${it} stops the cast or the fish. Covered, strapped flat, or elsewhere.`,
      },
    }[what];
  },
  repairs: ({ what, thingIds, side }, context) => {
    const list = placedAgain(context, 'fish', thingIds);
    const flat = list.every(({ one }) => statesOf(one.item.kind)) ? layingFlat(context, 'fish', list) : [];
    const inboard = (context.plan?.craft.beamM ?? 0) / 2;
    const away = (zone: Zone) =>
      what === 'outboard'
        ? Math.abs(zone.yM) <= inboard
        : what === 're-entry'
          ? zone.side !== side
          : zone.kind !== 'cockpit floor';
    const elsewhere = list.slice(0, 2).flatMap((placed) => moving(context, 'fish', placed, away, 3));
    const all = movingAll(
      context,
      'fish',
      list,
      away,
      what === 're-entry' ? 'on the other side' : 'out of the way',
    );
    // Several are settled only together.
    if (list.length > 1) return [...all, ...flat, ...elsewhere];
    return what === 'cast' || what === 'net' ? [...flat, ...elsewhere] : [...elsewhere, ...flat];
  },
});
const LONG_M = 0.5;
/** A holder this far beyond the side is reached with the body outside the boat, m. */
const OUTBOARD_M = 0.15;
/**
 * How far behind and before the seat one climbs in, m; where the feet go on pedals, ahead of the seat and
 * aside, m.
 */
const REENTRY_M = [-0.25, 0.6] as const;
/** Where a rod is swung when a fish runs under the boat: from beside the seat to its length ahead, m. */
const FIGHT_M = [-0.1, 1.4] as const;
/** A hoop swung from where its net lies takes so much room, m. */
const SWING_M = 0.3;
const SWEEP_M = [0.35, 0.95, 0.2] as const;

const sharp = rule({
  code: 'stow-sharp',
  reads: ['plan'],
  station: 'stow',
  aboutPlacement: true,
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
            ({ zone, lies }) =>
              lies.in === 'body' || zone?.kind === 'cockpit floor' || zone?.kind === 'side pocket',
          )
        ? ('body' as const)
        : ('lines' as const);
    const facts = { ...toldOf(list), near };
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
    const list = placedAgain(context, 'fish', thingIds);
    return [
      ...covering(context, 'fish', list),
      ...list.slice(0, 1).flatMap((placed) => bagging(context, 'fish', placed, () => true)),
    ];
  },
});
function isShut(plan: StowPlan, id: string): boolean {
  const box = plan.byId.get(id);
  return box !== undefined && storageOf(box.one.item).shut;
}

const TALL_M = 1.2;
const highThings = rule({
  code: 'stow-high',
  reads: ['plan', 'day', 'outward'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'm²',
  slack: 0.05,
  find: ({ plan, day, outward: brief }) => {
    const high = plan?.things.filter((placed) => standsUp(placed) && topOver(placed) > HIGH_M) ?? [];
    const area = high.reduce(
      (sum, placed) => sum + topOver(placed) * kinds[placed.one.item.kind].sizeM[1],
      0,
    );
    const windy = (day.wind?.value ?? 0) >= WINDY_MPS || brief.standing;
    if (area < WINDAGE_M2 || !windy) return [];
    const facts = {
      things: named(high),
      many: high.length,
      area,
      thingIds: idsOf(high.filter((placed) => !isRod(placed.one.item.kind))),
      windMps: day.wind?.value ?? null,
    };
    // Who stands under a mast is tipped by it.
    const tips = brief.standing && high.some((placed) => topOver(placed) > TALL_M);
    return [{ level: tips ? 'mind' : 'note', basis: 'physics', extent: area, facts }];
  },
  say: ({ things, many, area }) => ({
    title: `${capital(count(many))} ${plural(many, 'thing')} standing high`,
    text: `${things}: ${amount(area, 'm²', 2)} for the wind, and weight up where it tips. What is not in use lies flat.`,
  }),
  repairs: ({ thingIds }, context) => layingFlat(context, 'fish', placedAgain(context, 'fish', thingIds)),
});

const quiet = rule({
  code: 'stow-hard',
  reads: ['plan', 'outward'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plan, outward: brief }) => {
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
    return noteOf(list);
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
      placedAgain(context, 'fish', thingIds).map((placed) => [placed, { cover: 'bag' }]),
    ),
});

const STANDS_UP: ReadonlySet<string> = new Set([
  'push-pole',
  'stake-pole',
  'short-pole',
  'net',
  'camera-pole',
]);
const rodsUp = rule({
  code: 'stow-rods-up',
  reads: ['plans', 'day', 'places'],
  station: 'stow',
  aboutPlacement: true,
  measure: 'things',
  find: ({ plans, day, places }) => {
    const surf: Mode[] = [];
    const river: Mode[] = [];
    const up = new Map<Mode, Placed[]>();
    for (const { mode, plan } of plans) {
      const rough = isRough(mode, day);
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
        ...new Map(
          modes.flatMap((mode) => up.get(mode) ?? []).map((placed) => [placed.one.item.id, placed]),
        ).values(),
      ];
      const facts = { ...toldOf(list), modes, why };
      return list.length === 0
        ? []
        : [
            {
              // What nobody put there is only called to mind.
              level: byHand(list) ? ('mind' as const) : ('note' as const),
              ...{ basis: 'judgement' as const, extent: list.length, subject: why, facts },
            },
          ];
    };
    return [...tell(surf, 'surf'), ...tell(river, day.rapids > 0 ? 'rapids' : 'branches')];
  },
  say: ({ things, modes, why }) => ({
    title: `Upright ${why === 'branches' ? 'under branches' : listed(modes.map((mode) => modeWords[mode]))}: ${things}`,
    text: {
      surf: 'A boat that broaches in the surf drives what stands into the sand, or into you. Flat and tied for the surf.',
      rapids: 'What stands is lost in a capsize, or spears somebody. Flat and tied for the rapids.',
      branches: 'Branches take what stands. Flat and tied under them.',
    }[why],
  }),
  repairs: ({ thingIds, modes, why }, context) => {
    const each = modes.flatMap((mode) => layingFlat(context, mode, placedAgain(context, mode, thingIds)));
    const puts = each.flatMap((repair) => (repair.do === 'stow' ? repair.puts : []));
    const [first] = modes;
    const list = first ? placedAgain(context, first, thingIds) : [];
    return puts.length > 0 ? [{ do: 'stow', puts, words: `Lay ${named(list)} flat for the ${why}` }] : [];
  },
});

export const clearRules = { clear, sharp, highThings, quiet, rodsUp } as const;
