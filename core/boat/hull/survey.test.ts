import { describe, expect, it } from 'vitest';
import { hullShapeSchema } from '../../documents/hullShape';
import { stationsOf } from './shape';
import { type Bottom, bottoms, surveyed } from './survey';

const tape = {
  lengthM: 3.8,
  beamM: [0.66, 0.84, 0.62],
  depthM: [0.33, 0.31, 0.34],
  bottom: 'flat',
  rockerM: 0.05,
} as const;

describe('a hull by the tape', () => {
  it.each(Object.keys(bottoms) as Bottom[])(
    'with a bottom that is %s is as broad and as deep as it was measured',
    (bottom) => {
      const form = surveyed({ ...tape, bottom });
      if (!form) throw new Error('It fits.');
      expect(hullShapeSchema.safeParse({ form }).success).toBe(true);
      const [quarter, middle] = [15, 30].map((i) => stationsOf(form)[i]?.outline ?? []);
      const breadth = (outline = quarter) => 2 * (outline?.[outline.length - 1]?.yM ?? 0);
      const depth = (outline = quarter) => (outline?.[outline.length - 1]?.zM ?? 0) - (outline?.[0]?.zM ?? 0);
      expect(breadth(middle)).toBeCloseTo(0.84, 9);
      expect(breadth()).toBeCloseTo(0.64, 9);
      expect(depth(middle)).toBeCloseTo(0.31, 9);
      expect(depth()).toBeCloseTo(0.335, 9);
    },
  );
  it('that is wider at the quarters than amidships fits no form, and says so', () => {
    expect(surveyed({ ...tape, beamM: [0.9, 0.84, 0.86] })).toBeNull();
    expect(surveyed({ ...tape, beamM: [0, 0.84, 0] })).toBeNull();
  });
});
