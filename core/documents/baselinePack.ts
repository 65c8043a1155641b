import { forms } from './forms';
import type { RulePack } from './rulePack';

/**
 * What this product asks for where no law is known: good practice, not law, and no stand-in for it. Ships
 * with the product.
 */
export const baselinePack: RulePack = {
  format: forms.rulePacks,
  id: 'prudent-baseline',
  name: 'Prudent baseline',
  authority: 'Good practice, no authority',
  standing: 'practice',
  lastCheckedOn: '2026-11-01',
  rules: (
    [
      ['buoyancy', 'always', 'a life jacket is worn, fastened, all the time afloat'],
      ['sound-signal', 'always', 'a whistle is on the jacket'],
      ['call-for-help', 'always', 'help can be called from the water'],
      ['be-seen-night', 'in the dark', 'a white light shows all round between sunset and sunrise'],
      ['float-plan', 'always', 'someone ashore knows where and until when'],
      ['cut-line', 'always', 'a line can be cut with either hand'],
      ['measure', 'keeping fish', 'what is kept is measured'],
    ] as const
  ).map(([needId, when, text], i) => ({
    id: `b${i + 1}`,
    rule: 'need' as const,
    needId,
    want: null,
    when,
    text,
    citation: 'baseline',
  })),
};
