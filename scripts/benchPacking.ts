import type { Box, Container } from '#core/packing/box';
import { pack } from '#core/packing/pack';
import { cutInstance, thinnedInstance } from './guillotine';

/** So many of some instances that are known to go in, or may, are packed within a second. */
export interface PackingFigure {
  name: string;
  solved: number;
  asked: number;
  longestMs: number;
  /** Share that is wanted, 0 to 1; null: nothing is known of them. */
  wanted: number | null;
}

export function measurePacking(asked: number): PackingFigure[] {
  const tried = (
    name: string,
    wanted: number | null,
    instance: (seed: number) => { container: Container; boxes: Box[] },
  ): PackingFigure => {
    let solved = 0;
    let longestMs = 0;
    for (let seed = 1; seed <= asked; seed += 1) {
      const { container, boxes } = instance(seed);
      const from = performance.now();
      if (pack(container, boxes, { seed }).fits) solved += 1;
      longestMs = Math.max(longestMs, performance.now() - from);
    }
    return { name, solved, asked, longestMs, wanted };
  };
  return [
    tried('pack: 14 boxes cut out, fill 0.80', 1, (seed) => cutInstance(seed, 14, 0.8)),
    tried('pack: 11 boxes cut out, fill 0.90', 0.95, (seed) => cutInstance(seed, 11, 0.9)),
    tried('pack: 14 of more boxes, some left out', null, (seed) => thinnedInstance(seed, 14, 0.8)),
  ];
}
