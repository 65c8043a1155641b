import { catalogue } from '../needs/catalogue';
import type { Rule } from '../outing/rulePack';
import { speciesTable } from '../species/species';
import { capital, count, dayWords, plural } from '../units/words';

/** A rule as a sentence, whatever its own words leave out. */
export function sayRule(rule: Rule): string {
  const own = rule.text === '' ? '' : ` (${rule.text})`;
  const day = (monthDay: string) => dayWords(`2001-${monthDay}`).replace(' 2001', '');
  switch (rule.rule) {
    case 'need': {
      const when =
        rule.when === 'always' ? 'always' : rule.when === 'in the dark' ? 'afloat in the dark' : `when ${rule.when}`;
      return `${catalogue[rule.needId].title}, ${when}${rule.want === null ? '' : `, at least ${rule.want}`}${own}.`;
    }
    case 'rods':
      return `At most ${count(rule.most)} ${plural(rule.most, 'rod')}${own}.`;
    case 'bag':
      return rule.most === 0
        ? `${capital(speciesTable[rule.speciesId].name)}: every one goes back${own}.`
        : `${capital(speciesTable[rule.speciesId].name)}: at most ${count(rule.most)} a day${own}.`;
    case 'closed':
      return `${capital(speciesTable[rule.speciesId].name)}: closed from ${day(rule.from)} to ${day(rule.to)}${own}.`;
  }
}
