import type { Places } from '../../documents/references';
import type { Rule as LawRule } from '../../documents/rulePack';
import type { Aboard } from '../../documents/references';
import { addDays, daysBetween } from '../../units/time';
import { amount } from '../../units/amount';
import { capital, count, dayWords } from '../../units/words';
import { adding, fewerRods, rodsAshore } from '../candidates';
import { rule } from '../rule';

/** A rule pack unchecked for longer says so, and what people call a month of days. */
export const PACK_STALE_DAYS = 365;
const DAYS_A_MONTH = 30;
const confirm = 'Confirm with the authority.';

type OfKind<Kind extends LawRule['rule']> = Extract<LawRule, { rule: Kind }>;
/** The rules of one kind that hold there, with their authority. */
function held<Kind extends LawRule['rule']>({ rulePack, water }: Places, kind: Kind) {
  if (!rulePack || !water) return [];
  const { authority } = rulePack;
  return rulePack.rules
    .filter((one): one is OfKind<Kind> => one.rule === kind)
    .map((one) => ({ law: one, authority, citation: one.citation }));
}
function nameOf({ targets }: Places, speciesId: string): string | null {
  return targets.find((one) => one.id === speciesId)?.name ?? null;
}

const noRulePack = rule({
  code: 'no-rule-pack',
  reads: ['places'],
  station: 'brief',
  measure: 'whether',
  find: ({ places: { water, rulePack } }) =>
    water && rulePack?.standing !== 'law'
      ? [{ level: 'mind', basis: 'law', extent: 1, facts: { water: water.name } }]
      : [],
  say: ({ water }) => ({
    title: `No rules are held for ${water}`,
    text: 'Licence, sizes, seasons and gear rules were not looked at. Read them at the authority and say that you have.',
  }),
  otherwise: () => 'Read the rules of the day at the authority, and accept this saying that you have.',
});

const rulePackStale = rule({
  code: 'rule-pack-stale',
  reads: ['places', 'today'],
  station: 'brief',
  measure: 'days',
  find: ({ places: { water, rulePack }, today }) => {
    if (!water || !rulePack) return [];
    const days = daysBetween(rulePack.lastCheckedOn, today);
    const { name: pack, authority } = rulePack;
    return days > PACK_STALE_DAYS
      ? [{ level: 'mind', basis: 'law', extent: days, facts: { pack, authority, days } }]
      : [];
  },
  say: ({ pack, authority, days }) => ({
    title: `${pack}: last checked ${Math.floor(days / DAYS_A_MONTH)} months ago`,
    text: `Rules change every year. Ask ${authority} what holds now.`,
  }),
  otherwise: () => 'Read the rules at the authority, and write the day on the pack.',
});

/** More rods with a permission that is carried and in date. */
function rodsAllowed(law: OfKind<'rods'>, aboard: readonly Aboard[], lastDay: string): number {
  const carried = aboard.some(
    ({ item }) =>
      item.kind === 'second-rod-permit' &&
      item.condition === 'good' &&
      (item.expiresOn === null || item.expiresOn >= lastDay),
  );
  return carried ? Math.max(law.most, law.withPermission ?? 0) : law.most;
}

const rodsOverRule = rule({
  code: 'rods-over-rule',
  reads: ['places', 'carried', 'exposures', 'lastDay'],
  station: 'kit',
  measure: 'rods',
  find: ({ places, carried, exposures: { rods }, lastDay }) =>
    held(places, 'rods').flatMap(({ law, authority, citation }) => {
      const most = rodsAllowed(law, carried, lastDay);
      if (rods <= most) return [];
      const withPermission = most < (law.withPermission ?? 0) ? law.withPermission : null;
      const facts = { rods, most, withPermission, authority, citation };
      return [{ level: 'stop' as const, basis: 'law' as const, extent: rods, facts }];
    }),
  say: ({ rods, most, withPermission, authority, citation }) => ({
    title: `${capital(count(rods))} rods aboard, ${count(most)} allowed`,
    text: `${authority}, ${citation}.${withPermission === null ? '' : ` With the permission carried and in date, ${count(withPermission)}.`} ${confirm}`,
  }),
  repairs: ({ rods, most, withPermission }, context) => [
    ...(withPermission === null ? [] : adding(context, ['second-rod-permit'])),
    ...fewerRods(context, rods - most),
    ...rodsAshore(context, rods - most),
  ],
  otherwise: () => 'Fewer rods, or the permission for more.',
});

const anchorForbidden = rule({
  code: 'anchor-forbidden',
  reads: ['places', 'outward'],
  station: 'brief',
  measure: 'whether',
  find: ({ places, outward: brief }) =>
    held(places, 'no-anchor').flatMap(({ law, authority, citation }) => {
      const there = law.areaId === null || law.areaId === places.area?.id;
      if (!there || !brief.techniques.includes('anchored bait')) return [];
      const facts = { area: places.area?.name ?? places.water?.name ?? '', authority, citation };
      return [{ level: 'stop' as const, basis: 'law' as const, extent: 1, facts }];
    }),
  say: ({ area, authority, citation }) => ({
    title: `No anchoring at ${area}`,
    text: `You mean to fish bait at anchor there. ${authority}, ${citation}. ${confirm}`,
  }),
  otherwise: () => 'Fish there without an anchor, or at another place.',
});

const sizeLimit = rule({
  code: 'size-limit',
  notes: true,
  reads: ['places', 'day'],
  station: 'kit',
  measure: 'whether',
  find: ({ places, day: { keep } }) =>
    held(places, 'size').flatMap(({ law: { speciesId, leastM, mostM }, authority, citation }) => {
      const species = nameOf(places, speciesId);
      if (species === null || keep === 0) return [];
      const facts = { species, leastM, mostM, authority, citation };
      return [{ level: 'note' as const, basis: 'law' as const, extent: 1, subject: speciesId, facts }];
    }),
  say: ({ species, leastM, mostM, authority, citation }) => ({
    title: `${capital(species)} from ${amount(leastM * 100, 'cm', 0)}${mostM === null ? '' : ` to ${amount(mostM * 100, 'cm', 0)}`} only`,
    text: `Measure before you keep: ${authority}, ${citation}. ${confirm}`,
  }),
});

const keepOverRule = rule({
  code: 'keep-over-rule',
  reads: ['places', 'day'],
  station: 'brief',
  measure: 'fish',
  find: ({ places, day: { keep } }) =>
    held(places, 'bag').flatMap(({ law: { speciesId, most }, authority, citation }) => {
      const species = nameOf(places, speciesId);
      if (species === null || keep <= most) return [];
      const facts = { species, keep, most, authority, citation };
      return [{ level: 'stop' as const, basis: 'law' as const, extent: keep, subject: speciesId, facts }];
    }),
  say: ({ species, keep, most, authority, citation }) => ({
    title: `Keeping ${count(keep)} ${species}, ${count(most)} allowed`,
    text: `${authority}, ${citation}. ${confirm}`,
  }),
  repairs: ({ most }) => [{ do: 'set-keep', keep: most }],
  otherwise: () => 'Keep fewer.',
});

/** Whether mm-dd lies within a season that may run over the new year, ends included. */
export function inSeason(day: string, from: string, to: string): boolean {
  return from <= to ? day >= from && day <= to : day >= from || day <= to;
}
function seasonDay(monthDay: string): string {
  return dayWords(`2001-${monthDay}`).replace(' 2001', '');
}

const closedSeason = rule({
  code: 'closed-season',
  reads: ['places', 'outward', 'lastDay'],
  station: 'brief',
  measure: 'whether',
  find: ({ places, outward: { date }, lastDay }) =>
    held(places, 'closed').flatMap(({ law: { speciesId, from, to }, authority, citation }) => {
      const species = nameOf(places, speciesId);
      const days = Array.from({ length: daysBetween(date, lastDay) + 1 }, (_, i) => addDays(date, i));
      const on = days.find((day) => inSeason(day.slice(5), from, to));
      if (species === null || on === undefined) return [];
      const facts = { species, from, to, authority, citation, since: on === date ? null : on };
      return [{ level: 'stop' as const, basis: 'law' as const, extent: 1, subject: speciesId, facts }];
    }),
  say: ({ species, from, to, authority, citation, since }) => ({
    title: `${capital(species)} is closed ${since === null ? 'on that day' : `from ${dayWords(since)}, while you are out`}`,
    text: `Closed from ${seasonDay(from)} to ${seasonDay(to)}: ${authority}, ${citation}. ${confirm}`,
  }),
  otherwise: () => 'Another fish, another date, or another water.',
});

export const lawRules = [
  noRulePack,
  rulePackStale,
  rodsOverRule,
  anchorForbidden,
  sizeLimit,
  keepOverRule,
  closedSeason,
] as const;
