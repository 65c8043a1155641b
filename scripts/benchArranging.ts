import { arrange } from '#core/arranging/arrange';
import { totalOf } from '#core/arranging/problem';
import { stowInstance } from './stowInstance';

/** Of one instance: how long the first plan takes, and how far over the bound a longer search ends. */
export interface ArrangingFigure {
  firstMs: number;
  /** Steps of the search, how long they took, and how far over the bound the plan is, as a share of it. */
  searched: { steps: number; ms: number; over: number }[];
}

export function measureArranging(asked: number): ArrangingFigure[] {
  return Array.from({ length: asked }, (_, seed) => {
    const problem = stowInstance(seed + 1, 120, 24);
    const from = performance.now();
    arrange(problem, { seed: 1, steps: 0 });
    const firstMs = performance.now() - from;
    const searched = [80_000, 800_000].map((steps) => {
      const began = performance.now();
      const { cost } = arrange(problem, { seed: 1, steps });
      const ms = performance.now() - began;
      const bound = arrange(problem, { seed: 1, steps, prove: true }).bound ?? 0;
      return { steps, ms, over: bound > 0 ? totalOf(cost) / bound - 1 : Infinity };
    });
    return { firstMs, searched };
  });
}
