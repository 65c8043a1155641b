import type { KindId } from '../catalog/gear/kinds';
import { catalogue } from '../needs/catalogue';
import { personalNeeds } from '../needs/company';
import { tackleAboard, tackleBudget } from '../tackle/tackleBudget';
import { fittingPaddleM } from '../boat/paddle';
import { idsAboard } from '../documents/references';
import { type Found, found } from './finding';
import type { Judging } from './context';

/** A paddle may differ by this much from what suits, m. Rule of thumb. */
const PADDLE_SLACK_M = 0.12;
const inflatableJackets: readonly KindId[] = ['inflatable-jacket', 'hybrid-jacket'];

/** What is aboard, beside the needs it meets. */
export const kitJudgements: readonly ((j: Judging) => Found[])[] = [
  jackets,
  foamFavoured,
  gaffs,
  dates,
  paddles,
  baits,
  tackle,
  company,
];

function jackets({ looked, e }: Judging): Found[] {
  const where = e.rapids > 0 ? 'rapids' : looked.launch?.surf ? 'surf' : null;
  if (!where) return [];
  return looked.aboard
    .filter(({ item }) => item.kind === 'inflatable-jacket' && item.qualities.includes('automatic'))
    .map(({ item }) =>
      found('mind', 'school', 'kit', 1, { code: 'automatic-jacket', item: item.name, where }, item.id),
    );
}

function gaffs({ outing, looked, e }: Judging): Found[] {
  const why = e.inflatable
    ? 'inflatable'
    : outing.brief.keep === 0 && outing.brief.targets.length > 0
      ? 'released'
      : null;
  if (!why) return [];
  return looked.aboard
    .filter(({ item }) => item.kind === 'gaff')
    .map(({ item }) => found('mind', 'judgement', 'kit', 1, { code: 'gaff-aboard', item: item.name, why }, item.id));
}

// What is out of date and leaves a need unmet is told with that need; here only what would otherwise go unsaid.
function dates({ looked, needs, lastDay }: Judging): Found[] {
  const old = looked.aboard.filter(({ item }) => item.expiresOn !== null && item.expiresOn < lastDay);
  if (old.length === 0) return [];
  const told = (id: string) =>
    needs.some((need) => !need.met && need.means.some((one) => one.by === 'item' && one.itemId === id));
  const items = old.flatMap(({ item }) => (told(item.id) ? [] : [{ name: item.name, on: item.expiresOn ?? '' }]));
  return items.length > 0
    ? [found('note', 'judgement', 'kit', items.length, { code: 'out-of-date-aboard', items })]
    : [];
}

/** Cold water, surf and a poor swimmer speak for foam: a school, told once and softly. */
function foamFavoured({ looked, e }: Judging): Found[] {
  const why =
    looked.angler && looked.angler.swims !== 'well'
      ? 'swim'
      : e.immersion?.class !== undefined && e.waterC !== null && e.waterC < 10
        ? 'cold'
        : (e.breakerM ?? 0) > 0.5
          ? 'surf'
          : null;
  if (!why || looked.aboard.some(({ item }) => item.kind === 'foam-jacket')) return [];
  return looked.aboard
    .filter(({ item }) => inflatableJackets.includes(item.kind) && !item.qualities.includes('automatic'))
    .map(({ item }) => found('note', 'school', 'kit', 1, { code: 'foam-favoured', item: item.name, why }, item.id));
}

/** The paddle one sets out with, against body and beam. */
function paddles({ looked }: Judging): Found[] {
  const { angler, craft } = looked;
  if (!angler || !craft || craft.drive !== 'paddle') return [];
  const wantM = fittingPaddleM({ heightM: angler.heightM, beamM: craft.beamM });
  const whole = looked.aboard.filter(({ item }) => item.kind === 'paddle' || item.kind === 'long-paddle');
  const lengths = whole.flatMap(({ item }) => (item.attributes.lengthM === undefined ? [] : [item]));
  const off = (have: number) => Math.abs(have - wantM);
  const best = lengths.toSorted((a, b) => off(a.attributes.lengthM ?? 0) - off(b.attributes.lengthM ?? 0))[0];
  const haveM = best?.attributes.lengthM;
  if (!best || haveM === undefined || off(haveM) <= PADDLE_SLACK_M + 1e-9) return [];
  return [found('mind', 'judgement', 'kit', off(haveM), { code: 'paddle-size', item: best.name, haveM, wantM })];
}

/** Ordinary and elastic soft baits in one container melt together. */
function baits({ looked }: Judging): Found[] {
  const elastic = looked.aboard.filter(({ item }) => item.qualities.includes('elastic'));
  if (elastic.length === 0) return [];
  const aboardIds = idsAboard(looked);
  const boxOf = (item: { containerId: string | null }) =>
    item.containerId !== null && aboardIds.has(item.containerId) ? item.containerId : null;
  const soft = looked.aboard.filter(({ item }) => item.qualities.includes('softbait'));
  return elastic.flatMap(({ item, entry }) => {
    const beside = soft.find(
      (other) =>
        other.item.id === item.id ||
        (!entry.outsideContainer &&
          !other.entry.outsideContainer &&
          boxOf(item) !== null &&
          boxOf(item) === boxOf(other.item)),
    );
    if (!beside) return [];
    const facts = { code: 'baits-react' as const, item: item.name, beside: beside.item.name, itemId: item.id };
    return [found('mind', 'physics', 'kit', 1, facts, item.id)];
  });
}

/** More rods, boxes or mass than the angler's own school carries. */
function tackle({ looked, e }: Judging): Found[] {
  const budget = tackleBudget(looked, e);
  if (!budget) return [];
  const have = tackleAboard(looked);
  const over = Math.max(have.rods - budget.rods, have.boxes - budget.boxes, (have.massKg - budget.massKg) / 2);
  if (over <= 0) return [];
  return [found('note', 'school', 'kit', over, { code: 'tackle-over', have, budget })];
}

/** What each of the others has not yet said yes to. */
function company({ outing, needs }: Judging): Found[] {
  const personal = personalNeeds(needs);
  return outing.company.flatMap(({ id, name, says }) => {
    const open = personal.filter((need) => !says.includes(need.id));
    if (open.length === 0) return [];
    const titles = open.map((need) => catalogue[need.id].title);
    return [found('mind', 'judgement', 'kit', open.length, { code: 'companion-silent', name, titles }, id)];
  });
}
