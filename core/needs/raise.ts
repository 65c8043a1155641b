import type { Rule, RulePack } from '../documents/rulePack';
import { catalogue } from './catalogue';
import { type NeedId, needIds } from '../vocabulary/needs';
import { type Raise, type RaiseContext, louder } from './need';

export interface RaisedNeed {
  id: NeedId;
  raise: Raise;
}
type NeedRule = Extract<Rule, { rule: 'need' }>;

/**
 * Every need this outing raises, the rule pack's own word added: a rule makes it law and may ask for more.
 */
export function raisedNeeds(c: RaiseContext, pack: RulePack | null): RaisedNeed[] {
  const law = pack?.standing !== 'practice';
  const rules = pack?.rules.filter((rule) => rule.rule === 'need') ?? [];
  const list: RaisedNeed[] = [];
  for (const id of needIds) {
    let raise = catalogue[id].raise(c);
    for (const rule of rules)
      if (rule.needId === id && applies(rule.when, c))
        raise = asRule(raise, rule, pack?.authority ?? '', law);
    if (raise) list.push({ id, raise });
  }
  return list;
}

function applies(when: NeedRule['when'], { exposures }: RaiseContext): boolean {
  switch (when) {
    case 'always':
      return true;
    case 'in the dark':
      return exposures.darkMinutes >= 1;
    case 'fishing':
      return exposures.largest !== null;
    case 'keeping fish':
      return exposures.keep > 0;
  }
}

function asRule(own: Raise | null, rule: NeedRule, authority: string, law: boolean): Raise {
  const because = { because: 'rule', authority, text: rule.text, citation: rule.citation } as const;
  return {
    level: law || own?.level === 'law' ? 'law' : 'must',
    want: Math.max(own?.want ?? 1, rule.want ?? 1),
    unmet: louder(own?.unmet ?? null, 'mind'),
    // What is wanted beyond the rule's own number is practice, and is not told as law.
    ...(law
      ? {
          law: {
            want: Math.max(rule.want ?? 1, own?.law?.want ?? 0),
            beyond: own?.law?.beyond ?? own?.level ?? 'must',
          },
        }
      : own?.law
        ? { law: own.law }
        : {}),
    // Two rules of one text are one reason.
    reasons: [
      ...(own?.reasons ?? []).filter((one) => one.because !== 'rule' || one.text !== rule.text),
      because,
    ],
  };
}
