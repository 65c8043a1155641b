import type { Outing } from '../documents/outing';
import type { Looked } from '../documents/references';
import type { Rule } from '../documents/rulePack';
import { daysBetween } from '../units/time';
import { type Found, found } from './finding';
import type { Judging } from './context';

/** A rule pack unchecked for longer says so. */
export const PACK_STALE_DAYS = 365;

/** What the water's rule pack says, and that it is held, fresh and a law at all. */
export function rules({ outing, looked, e, today, lastDay }: Judging): Found[] {
  const { rulePack: pack, water } = looked;
  if (!water) return [];
  const list: Found[] = [];
  if (pack?.standing !== 'law')
    list.push(found('mind', 'law', 'brief', 1, { code: 'no-rule-pack', water: water.name }));
  if (!pack) return list;
  const { authority } = pack;
  const days = daysBetween(pack.lastCheckedOn, today);
  if (days > PACK_STALE_DAYS)
    list.push(found('mind', 'law', 'brief', days, { code: 'rule-pack-stale', pack: pack.name, authority, days }));
  for (const rule of pack.rules) {
    const { citation } = rule;
    const most = rule.rule === 'rods' ? rodsAllowed(rule, looked, lastDay) : Infinity;
    if (rule.rule === 'rods' && e.rods > most)
      list.push(
        found('stop', 'law', 'kit', e.rods, {
          code: 'rods-over-rule',
          rods: e.rods,
          most,
          withPermission: most < (rule.withPermission ?? 0) ? rule.withPermission : null,
          authority,
          citation,
        }),
      );
    if (rule.rule === 'no-anchor' && anchorsThere(outing, rule, looked))
      list.push(
        found('stop', 'law', 'brief', 1, {
          code: 'anchor-forbidden',
          area: looked.area?.name ?? water.name,
          authority,
          citation,
        }),
      );
    if (!('speciesId' in rule)) continue;
    const species = looked.targets.find((one) => one.id === rule.speciesId)?.name;
    if (species === undefined) continue;
    if (rule.rule === 'size' && e.keep > 0)
      list.push(
        found(
          'note',
          'law',
          'kit',
          1,
          { code: 'size-limit', species, leastM: rule.leastM, mostM: rule.mostM, authority, citation },
          rule.speciesId,
        ),
      );
    if (rule.rule === 'bag' && e.keep > rule.most)
      list.push(
        found(
          'stop',
          'law',
          'brief',
          e.keep,
          { code: 'keep-over-rule', species, keep: e.keep, most: rule.most, authority, citation },
          rule.speciesId,
        ),
      );
    if (rule.rule === 'closed' && inSeason(outing.brief.date.slice(5), rule.from, rule.to))
      list.push(
        found(
          'stop',
          'law',
          'brief',
          1,
          { code: 'closed-season', species, from: rule.from, to: rule.to, authority, citation },
          rule.speciesId,
        ),
      );
  }
  return list;
}

/** More rods with a permission that is carried and in date. */
function rodsAllowed(rule: Extract<Rule, { rule: 'rods' }>, looked: Looked, lastDay: string): number {
  const carried = looked.aboard.some(
    ({ item }) =>
      item.kind === 'second-rod-permit' &&
      item.condition === 'good' &&
      (item.expiresOn === null || item.expiresOn >= lastDay),
  );
  return carried ? Math.max(rule.most, rule.withPermission ?? 0) : rule.most;
}

function anchorsThere(outing: Outing, rule: Extract<Rule, { rule: 'no-anchor' }>, looked: Looked): boolean {
  const there = rule.areaId === null || rule.areaId === looked.area?.id;
  return there && outing.brief.techniques.includes('anchored bait');
}

/** Whether mm-dd lies within a season that may run over the new year, ends included. */
export function inSeason(day: string, from: string, to: string): boolean {
  return from <= to ? day >= from && day <= to : day >= from || day <= to;
}
