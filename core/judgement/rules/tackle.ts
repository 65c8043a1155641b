import { type Found, found } from '../finding';
import type { Judging } from '../context';
import type { Item } from '../../documents/item';
import { type BuiltRig, buildRig } from '../../tackle/builtRig';
import { knots } from '../../vocabulary/knots';
import { drogueAboard, jigHours, jigLine, spareLines, trollingSpread } from '../../tackle/tackleSheet';

/** A leader is run through the guides from this length short of the rod on, m; a spool holds the longest run so many times. */
const GUIDES_M = 0.3;
const SPOOL_TIMES = 1.5;
/** Wider than this in a crowd is told, m. */
export const CROWD_M = 3;
/** Three times what is likely lost, and a few, is needlessly many. */
const MANY_TIMES = 3;
const MANY_MORE = 6;

/** Rods and tackle: what breaks first, what does not fit, and how many of each. */
export const tackleJudgements: readonly ((j: Judging) => Found[])[] = [rigs, counts, jigs, wide];

/** The rigs of rods that are aboard, put together. */
export function rigsAboard({ outing, looked }: Judging, items: ReadonlyMap<string, Item>): BuiltRig[] {
  const aboard = new Set(looked.aboard.map(({ item }) => item.id));
  return outing.rigs.filter((one) => one.rodId !== null && aboard.has(one.rodId)).map((one) => buildRig(one, items));
}

function rigs(j: Judging): Found[] {
  if (j.outing.rigs.length === 0) return [];
  return rigsAboard(j, j.looked.items).flatMap((built) => judgeRig(built, j));
}

function judgeRig(built: BuiltRig, { looked, e }: Judging): Found[] {
  const { rig, rod, main, leader, clip, lureG, weakest, parts } = built;
  const list: Found[] = [];
  const tell = (level: 'mind' | 'note', extent: number, facts: Parameters<typeof found>[4]) =>
    list.push(found(level, 'judgement', 'workings', extent, facts, rig.id));
  const strength = (role: string) => parts.find((part) => part.role === role)?.strengthKg;
  const leaderKg = strength('leader');
  if (weakest && leaderKg !== undefined && weakest.role !== 'leader' && parts.length > 1)
    tell('mind', leaderKg - weakest.strengthKg + 1e-6, {
      code: 'rig-weak',
      rig: rig.name,
      rigId: rig.id,
      role: weakest.role,
      part: weakest.name,
      strengthKg: weakest.strengthKg,
      leaderKg,
    });
  const rodKg = rod?.attributes.breakKg;
  const mainKg = main?.attributes.breakKg;
  if (rodKg !== undefined && mainKg !== undefined && mainKg > rodKg)
    tell('mind', mainKg - rodKg, {
      code: 'rig-over-rod',
      rig: rig.name,
      rigId: rig.id,
      rod: rod?.name ?? '',
      mainKg,
      rodKg,
    });
  const { castMinG, castMaxG, lengthM } = rod?.attributes ?? {};
  const casts = rig.purpose === 'cast' || rig.purpose === 'jig';
  if (casts && lureG !== null && castMinG !== undefined && castMaxG !== undefined)
    if (lureG < castMinG || lureG > castMaxG)
      tell('mind', lureG > castMaxG ? lureG / castMaxG : castMinG / Math.max(lureG, 0.1), {
        code: 'rig-window',
        rig: rig.name,
        rigId: rig.id,
        lureG,
        fromG: castMinG,
        toG: castMaxG,
      });
  if (
    leader &&
    lengthM !== undefined &&
    rig.leaderM > lengthM - GUIDES_M + 1e-9 &&
    rig.connection === 'swivel at the top' &&
    clip
  )
    tell('mind', rig.leaderM - lengthM, {
      code: 'rig-guides',
      rig: rig.name,
      rigId: rig.id,
      clip: clip.name,
      leaderM: rig.leaderM,
      rodM: lengthM,
    });
  else if (leader && lengthM !== undefined && rig.leaderM > lengthM - GUIDES_M + 1e-9 && !knots[rig.mainKnot].slim)
    tell('note', rig.leaderM - lengthM, {
      code: 'rig-knot',
      rig: rig.name,
      rigId: rig.id,
      rodM: lengthM,
      knot: knots[rig.mainKnot].name,
    });
  const runM = Math.max(0, ...looked.targets.map((one) => one.runM));
  if (built.spoolM !== null && built.spoolM < runM * SPOOL_TIMES)
    tell('mind', runM * SPOOL_TIMES - built.spoolM, {
      code: 'rig-spool',
      rig: rig.name,
      rigId: rig.id,
      spoolM: built.spoolM,
      runM,
    });
  if (e.toothy && leader && !leader.qualities.includes('bites') && rig.purpose !== 'bait-catching')
    tell('mind', 1, { code: 'rig-bites', rig: rig.name, rigId: rig.id, leader: leader.name });
  return list;
}

function counts({ looked, e, outing }: Judging): Found[] {
  return spareLines(looked, e, outing.brief, outing.workings).flatMap((line): Found[] => {
    const { item, have, carry, expected } = line;
    if (have === null) return [];
    const facts = { item: item.name, have, carry, expected, hours: line.hours };
    if (have < carry)
      return [found('mind', 'judgement', 'workings', carry - have, { code: 'spares-few', ...facts }, item.id)];
    const many = have > carry * MANY_TIMES + MANY_MORE;
    return many ? [found('note', 'judgement', 'workings', have, { code: 'spares-many', ...facts }, item.id)] : [];
  });
}

function jigs({ looked, e, outing }: Judging): Found[] {
  const { techniques } = outing.brief;
  if (!techniques.includes('jigging')) return [];
  const heaviest = Math.max(0, ...looked.aboard.map(({ item }) => item.attributes.lureG ?? 0));
  if (heaviest === 0) return [];
  const drogue = techniques.includes('drifting') ? (drogueAboard(looked)?.mouthM ?? null) : null;
  const lineMm = jigLine(outing.rigs, looked)?.attributes.diameterMm ?? null;
  const most = jigHours(looked, e, outing.workings, drogue, lineMm).toSorted((a, b) => b.massG - a.massG)[0];
  if (!most || most.massG <= heaviest) return [];
  return [
    found('note', 'judgement', 'workings', most.massG - heaviest, {
      code: 'jig-light',
      massG: most.massG,
      haveG: heaviest,
      at: most.hour.clock,
      depthM: most.hour.depthM,
      driftMps: most.driftMps,
      angleDeg: outing.workings.jigAngleDeg,
    }),
  ];
}

function wide({ looked, e, outing }: Judging): Found[] {
  if (!outing.brief.techniques.includes('trolling') || e.traffic !== 'busy' || e.rods < 2) return [];
  const sum = trollingSpread(looked, outing.workings);
  if (!sum || sum.spreadM <= CROWD_M) return [];
  return [
    found('mind', 'judgement', 'workings', sum.spreadM, { code: 'spread-wide', spreadM: sum.spreadM, mostM: CROWD_M }),
  ];
}
