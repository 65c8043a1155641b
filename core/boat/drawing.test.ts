import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { demoCraft } from '../demo/boats';
import type { Craft } from '../documents/craft';
import { stances } from '../vocabulary/boat';
import { figureOf, floatLines, linesOf, waterlineOf } from './drawing';

const boats = demoCraft.map((craft) => [craft.name, craft] as const);

describe('the lines of a boat', () => {
  it.each(boats)('%s is as long and as broad as it says, keel under sheer all along', (_, craft) => {
    const { deck, keel, sheer, section } = linesOf(craft);
    const xs = deck.map(({ xM }) => xM);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(craft.lengthM, 1);
    expect(2 * Math.max(...deck.map(({ halfM }) => halfM))).toBeCloseTo(craft.beamM, 1);
    keel.forEach(({ zM }, i) => expect(zM).toBeLessThanOrEqual((sheer[i]?.zM ?? 0) + 1e-9));
    expect(section.every(({ yM }) => yM >= 0)).toBe(true);
    expect(linesOf(craft)).toBe(linesOf(craft));
  });
  it('has a waterline within the deck, the longer the deeper it lies', () => {
    const [craft] = demoCraft as [Craft];
    fc.assert(
      fc.property(
        fc.double({ min: 0.03, max: 0.16, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (draft, trim) => {
          const line = waterlineOf(craft, draft, trim);
          const broadest = Math.max(...linesOf(craft).deck.map(({ halfM }) => halfM));
          expect(line.length).toBeGreaterThan(0);
          for (const { halfM } of line) expect(halfM).toBeLessThanOrEqual(broadest + 1e-9);
          expect(waterlineOf(craft, draft + 0.03, 0).length).toBeGreaterThanOrEqual(
            waterlineOf(craft, draft, 0).length,
          );
        },
      ),
      runs(60),
    );
  });
  it('trimmed bow up has its waterline farther aft', () => {
    const [craft] = demoCraft as [Craft];
    const middle = (trim: number) => {
      const line = waterlineOf(craft, 0.08, trim);
      const weight = line.reduce((sum, { halfM }) => sum + halfM, 0);
      return line.reduce((sum, { xM, halfM }) => sum + xM * halfM, 0) / weight;
    };
    expect(middle(2)).toBeLessThan(middle(0));
    expect(middle(-2)).toBeGreaterThan(middle(0));
  });
  it('has side floats only where it has them, outside its own beam', () => {
    for (const craft of demoCraft) {
      const lines = floatLines(craft);
      if (!craft.floats) expect(lines).toBeNull();
      else if (lines) expect(lines.outM).toBeGreaterThan(craft.beamM / 2 - 0.05);
    }
  });
});

describe('whoever sits or stands in it', () => {
  it.each(stances)('%s is a body from head to foot, in its order', (stance) => {
    const [craft] = demoCraft as [Craft];
    const { head, body } = figureOf(craft, { heightM: 1.8 }, stance);
    expect(body).toHaveLength(5);
    expect(head.zM).toBeGreaterThan(Math.max(...body.map(({ zM }) => zM)) - head.radiusM);
    expect([head.xM, head.zM, ...body.flatMap(({ xM, zM }) => [xM, zM])].every(Number.isFinite)).toBe(true);
  });
  it('stands higher than it sits, and a tall one higher than a small one', () => {
    const [craft] = demoCraft as [Craft];
    const headOf = (heightM: number, stance: (typeof stances)[number]) =>
      figureOf(craft, { heightM }, stance).head.zM;
    expect(headOf(1.8, 'standing')).toBeGreaterThan(headOf(1.8, 'seated high'));
    expect(headOf(1.8, 'seated high')).toBeGreaterThanOrEqual(headOf(1.8, 'seated low'));
    expect(headOf(2, 'seated low')).toBeGreaterThan(headOf(1.6, 'seated low'));
  });
});
