import { describe, expect, it } from 'vitest';
import { demo } from '../../demo/demo';
import { applyRepair } from '../../editing/repair';
import { outingSchema } from '../../documents/outing';
import { noAnswers } from '../../walkround/answers';
import { assess } from '../assess';
import { sayRepair } from '../../editing/repair';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const dates = ['2026-01-20', '2026-05-15', '2026-09-30', '2026-12-31'];

describe('every repair of every demo outing, in every season', () => {
  it.each(dates)('settles its finding, opens nothing worse, and leaves a sound document: %s', (date) => {
    const at = Date.parse(`${date}T19:00:00Z`);
    const data = demo(at);
    for (const outing of data.outings) {
      const before = assess(outing, data.references, noAnswers, at);
      const stops = before.findings.filter((one) => one.level === 'stop').length;
      for (const finding of before.findings)
        for (const repair of finding.repairs) {
          const repaired = applyRepair(outing, repair, at);
          const what = `${outing.id} ${finding.key}: ${sayRepair(repair)}`;
          expect(outingSchema.safeParse(repaired).success, what).toBe(true);
          const after = assess(repaired, data.references, noAnswers, at, { withRepairs: false });
          const same = after.findings.find((one) => one.key === finding.key);
          expect(same === undefined || same.level === 'note', what).toBe(true);
          expect(after.findings.filter((one) => one.level === 'stop').length, what).toBeLessThanOrEqual(
            stops,
          );
        }
    }
  });
  it('is said as an action, in words', () => {
    for (const outing of outings)
      for (const { repairs } of assess(outing, references, noAnswers, now).findings)
        for (const repair of repairs) expect(sayRepair(repair)).toMatch(/^[A-Z][^{}]+$/);
  });
});
