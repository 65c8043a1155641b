import { attributes } from '../catalog/gear/attributes';
import { catalogue } from './catalogue';
import type { NeedId } from '../vocabulary/needs';
import type { Need } from './need';
import type { Rule } from '../documents/rulePack';
import type { Species } from '../catalog/species/species';
import { speciesOf } from '../catalog/species/speciesOf';
import { amount } from '../units/amount';
import { capital, count, dayWords, plural } from '../units/words';
import { measured } from './sayNeeds';

function wanted(needId: NeedId, want: number): string {
  const { amount }: Need = catalogue[needId];
  return amount === undefined ? `${count(want)} of them` : measured(amount, want);
}

/** The unit in which a need is measured; null: its means are counted. */
export function unitOf(needId: NeedId): string | null {
  const { amount }: Need = catalogue[needId];
  return amount === undefined ? null : attributes[amount].unit;
}

/** A rule as a sentence, whatever its own words leave out. */
export function sayRule(
  rule: Rule,
  ownSpecies: readonly Species[],
  areaName?: (id: string) => string | null,
): string {
  const fish = (id: string) => capital(speciesOf(id, ownSpecies)?.name ?? 'a fish that is not known here');
  const own = rule.text === '' ? '' : ` (${rule.text})`;
  const day = (monthDay: string) => dayWords(`2001-${monthDay}`).replace(' 2001', '');
  switch (rule.rule) {
    case 'need': {
      const when =
        rule.when === 'always'
          ? 'always'
          : rule.when === 'in the dark'
            ? 'afloat in the dark'
            : `when ${rule.when}`;
      return `${catalogue[rule.needId].title}, ${when}${rule.want === null ? '' : `, at least ${wanted(rule.needId, rule.want)}`}${own}.`;
    }
    case 'rods':
      return `At most ${count(rule.most)} ${plural(rule.most, 'rod')}${rule.withPermission === null ? '' : `, ${count(rule.withPermission)} with the permission carried`}${own}.`;
    case 'size':
      return `${fish(rule.speciesId)}: kept only from ${amount(rule.leastM * 100, 'cm', 0)}${rule.mostM === null ? '' : ` to ${amount(rule.mostM * 100, 'cm', 0)}`}${own}.`;
    case 'no-anchor':
      return `No anchoring ${rule.areaId === null ? 'anywhere on this water' : `at ${areaName?.(rule.areaId) ?? 'one of its places'}`}${own}.`;
    case 'bag':
      return rule.most === 0
        ? `${fish(rule.speciesId)}: every one goes back${own}.`
        : `${fish(rule.speciesId)}: at most ${count(rule.most)} a day${own}.`;
    case 'closed':
      return `${fish(rule.speciesId)}: closed from ${day(rule.from)} to ${day(rule.to)}${own}.`;
  }
}
