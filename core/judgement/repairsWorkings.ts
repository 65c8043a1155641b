import { anchorGear, anchorOf } from '../holding/anchorSheet';
import { batteryOf } from '../power/powerSheet';
import type { KindId } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import { newRig } from '../editing/rigs';
import type { Rig } from '../documents/workings';
import { knots } from '../vocabulary/knots';
import { figure } from '../units/words';
import type { Facts } from './finding';
import type { Repair } from '../editing/repair';
import type { Judging } from './context';

type Of<C extends Facts['code']> = Extract<Facts, { code: C }>;
type WorkingsFacts = Of<
  | 'anchor-shut'
  | 'anchor-scope'
  | 'anchor-drags'
  | 'anchor-no-release'
  | 'pole-no-hold'
  | 'rig-weak'
  | 'rig-over-rod'
  | 'rig-knot'
  | 'rig-spool'
  | 'rig-window'
  | 'rig-guides'
  | 'rig-bites'
  | 'jig-light'
  | 'battery-short'
>;

/** What could settle a finding of the sums, cheapest first; each is judged before it is offered. */
export function workingsRepairs(facts: WorkingsFacts, j: Judging, hours: () => Repair[]): Repair[] {
  switch (facts.code) {
    case 'anchor-shut':
      return [
        ...(facts.why === 'beam' ? [{ do: 'set-alignment', alignment: 'bow' } as const] : []),
        ...(facts.why === 'gear' ? missingGear(j) : []),
        withoutAnchor,
        ...hours(),
      ];
    case 'anchor-scope':
    case 'anchor-drags':
      return [...otherAnchors(j), withoutAnchor, ...hours()];
    case 'anchor-no-release':
      return [...missingGear(j), ...otherAnchors(j)];
    case 'pole-no-hold':
      return [withoutAnchor, ...hours()];
    case 'rig-weak':
      return facts.role === 'clip' ? [...strongerClips(facts, j), tiedDirect(facts)] : weakerLeaders(facts, j);
    case 'rig-over-rod':
      return otherLines(facts, j, (item) => (item.attributes.breakKg ?? Infinity) <= facts.rodKg);
    case 'rig-spool': {
      const now = partOf(facts.rigId, 'mainId', j)?.attributes.diameterMm ?? Infinity;
      return [
        ...otherLines(facts, j, (item) => (item.attributes.diameterMm ?? Infinity) < now),
        ...owned(j, ({ kind }) => kind === 'reel').map((reel) =>
          setRig(facts.rigId, { reelId: reel.id }, `wind it on ${reel.name}`),
        ),
      ];
    }
    case 'rig-knot':
      return [
        setRig(facts.rigId, { mainKnot: 'slim braid knot' }, `tie the ${knots['slim braid knot'].name}`),
        shorterLeader(facts),
      ];
    case 'rig-guides':
      return [shorterLeader(facts), tiedDirect(facts)];
    case 'rig-window':
      return [...otherLures(facts, j), ...otherRods(facts, j)];
    case 'rig-bites':
      return owned(j, ({ qualities }) => qualities.includes('bites')).map((item) =>
        setRig(
          facts.rigId,
          { leaderId: item.id, leaderKnot: 'crimp', leaderM: item.attributes.lengthM ?? 0.3 },
          `use ${item.name}`,
        ),
      );
    case 'jig-light':
      return adding(j, ['drogue', 'big-drogue']);
    case 'battery-short':
      return [...otherBatteries(facts, j), ...devicesAshore(j)];
  }
}

const withoutAnchor: Repair = { do: 'without-technique', technique: 'anchored bait' };

function owned({ looked, lastDay }: Judging, fits: (item: Item) => boolean): Item[] {
  return [...looked.items.values()]
    .filter((item) => item.condition === 'good' && (item.expiresOn === null || item.expiresOn >= lastDay) && fits(item))
    .sort((a, b) => a.massKg - b.massKg || a.id.localeCompare(b.id));
}
function aboard({ looked }: Judging, item: Item): boolean {
  return looked.aboard.some((one) => one.item.id === item.id);
}
function adding(j: Judging, kinds: readonly KindId[]): Repair[] {
  return owned(j, (item) => kinds.includes(item.kind) && !aboard(j, item)).map((item) => ({
    do: 'add-items',
    items: [{ itemId: item.id, quantity: 1, name: item.name, massKg: item.massKg }],
  }));
}

/** Trolley, release and float, as far as they are owned and not aboard, together. */
function missingGear(j: Judging): Repair[] {
  const anchor = j.looked.aboard.find(({ item }) => anchorOf(item) !== null)?.item;
  if (!anchor) return [];
  const gear = anchorGear(anchor, j.looked);
  const wanted: KindId[] = [];
  if (!gear.released || !gear.buoyed) wanted.push('release-float');
  if (!gear.trolley) wanted.push('anchor-trolley');
  const items = wanted.map((kind) => owned(j, (item) => item.kind === kind && !aboard(j, item))[0]);
  if (items.length === 0 || items.some((item) => item === undefined)) return [];
  return [
    {
      do: 'add-items',
      items: items.flatMap((item) =>
        item ? [{ itemId: item.id, quantity: 1, name: item.name, massKg: item.massKg }] : [],
      ),
    },
  ];
}

function otherAnchors(j: Judging): Repair[] {
  const off = j.looked.aboard.find(({ item }) => anchorOf(item) !== null)?.item;
  if (!off) return [];
  return owned(j, (item) => anchorOf(item) !== null && !aboard(j, item)).map((on) => swap(off, on));
}
function swap(off: Item, on: Item): Repair {
  return { do: 'swap-item', offId: off.id, off: off.name, onId: on.id, on: on.name };
}

function setRig(rigId: string, change: Partial<Rig>, words: string): Repair {
  return { do: 'set-rig', rigId, change, words };
}
function tiedDirect({ rigId }: { rigId: string }): Repair {
  return setRig(rigId, { connection: 'direct', clipId: null }, 'tie it on directly');
}
function shorterLeader({ rigId, rodM }: { rigId: string; rodM: number }): Repair {
  return setRig(rigId, { leaderM: shorter(rodM) }, `shorten the leader to ${figure(shorter(rodM))} m`);
}
function partOf(rigId: string, part: 'mainId' | 'leaderId', { outing, looked }: Judging): Item | null {
  const id = outing.rigs.find((one) => one.id === rigId)?.[part] ?? null;
  return id === null ? null : (looked.items.get(id) ?? null);
}

/** Another main line of the same kind, the strongest that fits first; then with a leader that breaks before it. */
function otherLines({ rigId }: { rigId: string }, j: Judging, fits: (item: Item) => boolean): Repair[] {
  const now = partOf(rigId, 'mainId', j);
  const strong = ({ attributes }: Item) => attributes.breakKg ?? 0;
  const lines = owned(j, (item) => item.kind === now?.kind && item.id !== now.id && fits(item)).sort(
    (a, b) => strong(b) - strong(a),
  );
  return [
    ...lines.map((line) => setRig(rigId, { mainId: line.id }, `spool ${line.name}`)),
    ...lines.flatMap((line) =>
      leaders(j, strong(line)).map((leader) =>
        setRig(rigId, { mainId: line.id, leaderId: leader.id }, `spool ${line.name}, with ${leader.name} before it`),
      ),
    ),
  ];
}
function otherLures({ rigId, fromG, toG }: Of<'rig-window'>, j: Judging): Repair[] {
  return owned(j, ({ attributes: { lureG } }) => lureG !== undefined && lureG >= fromG && lureG <= toG)
    .filter((item) => aboard(j, item))
    .map((item) => setRig(rigId, { lureId: item.id, lureG: null }, `tie on something from ${item.name}`));
}
/** A rod aboard that casts it: one that is not rigged yet first. */
function otherRods({ rigId, lureG }: Of<'rig-window'>, j: Judging): Repair[] {
  const rigged = new Set(j.outing.rigs.map((one) => one.rodId));
  return owned(j, (item) => {
    const { castMinG, castMaxG } = item.attributes;
    return castMinG !== undefined && castMaxG !== undefined && lureG >= castMinG && lureG <= castMaxG;
  })
    .filter((item) => aboard(j, item))
    .sort((a, b) => Number(rigged.has(a.id)) - Number(rigged.has(b.id)))
    .flatMap((item) => {
      const { rodId, mainId, mainKnot, leaderId, leaderM, leaderKnot } = newRig(rigId, item, j.looked);
      const line = mainId === null ? null : j.looked.items.get(mainId);
      return [
        setRig(rigId, { rodId }, `put it on ${item.name}`),
        setRig(
          rigId,
          { rodId, mainId, mainKnot, leaderId, leaderM, leaderKnot },
          `put it on ${item.name}, with ${line?.name ?? 'another line'}`,
        ),
      ];
    });
}
/** A hand less than what would run into the guides. */
function shorter(rodM: number): number {
  return Math.max(0.3, Math.floor((rodM - 0.35) * 10) / 10);
}
function strongerClips(facts: Of<'rig-weak'>, j: Judging): Repair[] {
  return owned(
    j,
    (item) => (item.kind === 'snaps' || item.kind === 'swivels') && (item.attributes.breakKg ?? 0) > facts.leaderKg,
  ).map((item) => setRig(facts.rigId, { clipId: item.id }, `use ${item.name}`));
}
function weakerLeaders(facts: Of<'rig-weak'>, j: Judging): Repair[] {
  return leaders(j, facts.leaderKg).map((item) => setRig(facts.rigId, { leaderId: item.id }, `use ${item.name}`));
}
/** Leaders that break before so much, kg. */
function leaders(j: Judging, belowKg: number): Item[] {
  return owned(
    j,
    (item) =>
      (item.kind === 'leader-spool' || item.kind === 'fluoro-leader' || item.kind === 'heavy-leader') &&
      (item.attributes.breakKg ?? Infinity) < belowKg,
  );
}

function otherBatteries(facts: Of<'battery-short'>, j: Judging): Repair[] {
  const off = j.looked.items.get(facts.itemId);
  if (!off) return [];
  return owned(j, (item) => batteryOf(item, 1) !== null && !aboard(j, item)).map((on) => swap(off, on));
}
function devicesAshore(j: Judging): Repair[] {
  return j.looked.aboard
    .filter(({ item }) => (item.attributes.watts ?? 0) > 0)
    .sort((a, b) => (b.item.attributes.watts ?? 0) - (a.item.attributes.watts ?? 0))
    .map(({ item }) => ({ do: 'remove-item', itemId: item.id, name: item.name }));
}
