import type { Rule, RulePack } from '../outing/rulePack';
import { catalogue } from './catalogue';
import { type NeedId, needIds } from './ids';
import type { NeedContext, Raise } from './need';

/** Every need this outing raises, the rule pack's own word added: a rule makes it law and may ask for more. */
export function raisedNeeds(c: NeedContext, pack: RulePack | null): { id: NeedId; raise: Raise }[] {
  const rules = pack?.rules.filter((rule) => rule.rule === 'need') ?? [];
  const list: { id: NeedId; raise: Raise }[] = [];
  for (const id of needIds) {
    let raise = catalogue[id].raise(c);
    for (const rule of rules) if (rule.needId === id) raise = asLaw(raise, rule, pack?.authority ?? '');
    if (raise) list.push({ id, raise });
  }
  return list;
}

function asLaw(own: Raise | null, rule: Extract<Rule, { rule: 'need' }>, authority: string): Raise {
  const because = { because: 'rule', authority, text: rule.text, citation: rule.citation } as const;
  return {
    level: 'law',
    want: Math.max(own?.want ?? 1, rule.want ?? 1),
    grave: own?.grave ?? false,
    reasons: [...(own?.reasons ?? []), because],
  };
}
