import type { Finding } from './finding';
import { sayFinding } from './allRules';

/** What another judgement says that one did not, and no longer says; notes are left out. */
export interface Difference {
  come: Finding[];
  gone: Finding[];
  /** Of the same cause, told otherwise: other hours, other figures in its title, another level. */
  turned: Finding[];
}

/** The Stops and Minds that come, go or read otherwise from one judgement to the next. */
export function differenceOf(before: readonly Finding[], after: readonly Finding[]): Difference {
  const loud = (list: readonly Finding[]) =>
    new Map(list.filter(({ level }) => level !== 'note').map((one) => [one.key, one]));
  const [was, is] = [loud(before), loud(after)];
  const told = (one: Finding) => `${one.level} ${sayFinding(one.facts).title}`;
  const come: Finding[] = [];
  const turned: Finding[] = [];
  for (const [key, one] of is) {
    const earlier = was.get(key);
    if (!earlier) come.push(one);
    else if (told(earlier) !== told(one)) turned.push(one);
  }
  return { come, gone: [...was].flatMap(([key, one]) => (is.has(key) ? [] : [one])), turned };
}
