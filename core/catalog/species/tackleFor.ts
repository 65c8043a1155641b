import type { Technique } from '../../vocabulary/trips';
import { type Range, type Species, powerFor } from './species';

/** What a fish asks of the rod that is to catch it in one way. All of it usual practice, rounded. */
export interface TackleAsked {
  rodM: Range;
  /** Power of the rod by its line; makers do not agree on the words. */
  power: string;
  lineKg: Range;
  leaderKg: Range;
  leaderM: Range;
  leader: string;
  /** What is cast, jigged, towed or drifted, g. */
  lureG: Range;
  /** Length of what it eats, so of what it takes, cm. */
  lureCm: Range;
  hooks: string;
  /** Drag at the reel: below a third of the line, so that a knot that slips still holds. */
  dragKg: Range;
  /** Line on the reel: the longest run, and half as much again. */
  lineM: number;
  /** Leaders beside the one that is tied on. */
  spareLeaders: number;
}

/** How a way of fishing differs from casting a lure. Factors of the species' own figures, or figures of its own. */
interface Way {
  rodM?: Range;
  line?: number;
  lure?: Range;
  lureG?: Range;
  leaderM: Range;
  hook: string;
}
const ways: Record<Technique, Way> = {
  casting: { leaderM: [0.6, 1.5], hook: 'single or treble' },
  // A short rod works a jig up and down; how heavy it must be is worked out by depth and drift.
  jigging: { rodM: [1.6, 2.1], lure: [1, 2], leaderM: [1.5, 3], hook: 'assist or single' },
  // The boat pulls as well as the fish.
  trolling: { line: 1.2, lure: [0.8, 1.5], leaderM: [1.5, 4], hook: 'single or treble' },
  drifting: { lure: [1, 2.5], leaderM: [0.8, 2.5], hook: 'single' },
  'anchored bait': { lure: [1, 3], leaderM: [0.6, 2], hook: 'circle' },
  'live bait': { lure: [0.5, 2], leaderM: [0.6, 2], hook: 'circle' },
  fly: { rodM: [2.6, 2.9], lureG: [0.1, 5], leaderM: [2.1, 3.6], hook: 'single' },
  'sight fishing': { lure: [0.5, 1], leaderM: [1, 3], hook: 'single' },
};

/** Share of its line at which a reel is set to slip, from and to. Rule of thumb. */
const DRAG_SHARES: Range = [0.2, 0.33];
const RUN_TIMES = 1.5;
/** A leader that stands teeth is no longer than keeps them off the line. */
const TOOTHY_LEADER_M: Range = [0.3, 1];

const times = ([low, high]: Range, [a, b]: Range): Range => [low * a, high * b];

/** What a species asks of tackle in one technique: complete for every pair of them. */
export function tackleFor(species: Species, technique: Technique): TackleAsked {
  const way = ways[technique];
  const line = way.line ?? 1;
  const lineKg = times(species.lineKg, [line, line]);
  const toothy = species.teeth === 'sharp';
  return {
    rodM: way.rodM ?? species.rodM,
    power: powerFor({ lineKg }),
    lineKg,
    leaderKg: times(species.leaderKg, [line, line]),
    leaderM: toothy ? TOOTHY_LEADER_M : way.leaderM,
    leader: toothy
      ? 'one that stands teeth'
      : technique === 'fly'
        ? 'tapered, with a tippet'
        : 'fluorocarbon or mono',
    lureG: way.lureG ?? times(species.lureG, way.lure ?? [1, 1]),
    lureCm: species.forageCm,
    hooks: `${species.hooks}, ${way.hook}`,
    dragKg: [lineKg[0] * DRAG_SHARES[0], lineKg[1] * DRAG_SHARES[1]],
    lineM: species.runM * RUN_TIMES,
    spareLeaders: toothy ? 3 : 2,
  };
}
