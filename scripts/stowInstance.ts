import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import {
  type ArrangeItem,
  type ArrangeProblem,
  type ArrangeZone,
  USUAL_WEIGHTS,
} from '#core/arranging/problem';
import { dryness, reaches } from '#core/vocabulary/boat';

const STEPS = 1_000_000;

/** Places along a boat and things of usual sizes, drawn from a seed: for tests and for measuring. */
export function stowInstance(seed: number, many: number, places: number): ArrangeProblem {
  const random = xoroshiro128plus(seed);
  const share = () => uniformInt(random, 0, STEPS) / STEPS;
  const of = <T>(list: readonly T[]): T => list[uniformInt(random, 0, list.length - 1)] as T;
  const between = (low: number, high: number) => low + share() * (high - low);
  const zones = Array.from({ length: places }, (_, i): ArrangeZone => {
    const insideM = [between(0.3, 1), between(0.25, 0.6), between(0.15, 0.45)] as const;
    const closed = share() < 0.4;
    return {
      id: `place-${i}`,
      xM: between(0.3, 3.6),
      yM: between(-0.25, 0.25),
      zM: between(0.05, 0.45),
      litres: insideM[0] * insideM[1] * insideM[2] * 1000,
      maxKg: share() < 0.6 ? between(4, 25) : null,
      insideM: closed ? insideM : null,
      openingM: closed ? [insideM[0] * 0.7, insideM[1] * 0.8] : null,
      dry: closed ? of(dryness) : 'open',
      reach: of(reaches.slice(0, 3)),
      leashes: uniformInt(random, 0, 4),
    };
  });
  const items = Array.from({ length: many }, (_, i): ArrangeItem => ({
    id: `thing-${i}`,
    massKg: between(0.05, 2.2),
    sizeM: [between(0.08, 0.5), between(0.05, 0.2), between(0.02, 0.12)],
    soft: share() < 0.2,
    dry: share() < 0.15 ? 'splash' : undefined,
    reach: share() < 0.15 ? 'turn' : undefined,
    leash: share() < 0.1,
    use: share() < 0.4 ? share() : 0,
    apart: share() < 0.08 && i > 0 ? [`thing-${uniformInt(random, 0, i - 1)}`] : [],
    now: share() < 0.8 ? `place-${uniformInt(random, 0, places - 1)}` : undefined,
  }));
  return {
    zones,
    items,
    base: { massKg: 120, xM: 1.9, yM: 0, zM: 0.25 },
    levelAtM: 1.95,
    weights: USUAL_WEIGHTS,
  };
}
