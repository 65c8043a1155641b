import { arrange } from '../arranging/arrange';
import { totalOf } from '../arranging/problem';
import { seatedIn } from '../boat/build';
import { type Standing, standingIn } from '../boat/stability';
import { zonesOf } from '../boat/zones';
import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import { withPut } from '../editing/stow';
import { toArrange } from '../stow/arranging';
import { exactLading } from '../stow/lading';
import { leashesAboard, planOf } from '../stow/plan';
import { spotIn } from '../stow/usual';
import { densityOf } from '../environment/density';
import type { Instant } from '../units/time';
import type { Answers } from '../walkround/answers';
import { assess } from './assess';
import type { Finding } from './finding';

/** One thing that would lie elsewhere, by ids. */
export interface Move {
  itemId: string;
  fromZone: string;
  toZone: string;
}
export interface ArrangedOuting {
  /** In the order in which they are judged: the heaviest first. */
  moves: readonly Move[];
  /** Moves that the search found and the judgement did not let stand: what would be said of each. */
  refused: readonly { move: Move; finding: Finding['facts']['code'] }[];
  before: Standing;
  after: Standing;
  /**
   * How much better than with these moves any plan of the same things can be, of what the measure of the search
   * comes to, %; null: that is not known.
   */
  gapPercent: number | null;
}
/** How hard the search tries: about half a second for an ordinary boat. */
const STEPS = 60_000;
const NEAR_CM = 0.01;

/**
 * Where things would better lie while fishing: level, low and at hand, with few changes. Every move is judged
 * by itself after those before it; one after which a Stop or a Mind is said that was not, is left out.
 * @returns null: the boat has no shape or nobody in it, or comes to no rest
 */
export function arrangedOuting(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
  { seed, fishKg }: { seed: number; fishKg: number },
): ArrangedOuting | null {
  const { craft, angler, aboard, water } = lookUp(outing, references);
  if (!craft || !angler) return null;
  const density = densityOf(water);
  const planIn = ({ stow }: Outing) => planOf({ aboard, craft, angler, stow });
  const standing = (next: Outing) => {
    const plan = planIn(next);
    const held = standingIn(
      plan.craft,
      angler,
      seatedIn(plan.craft),
      exactLading(plan, angler.heightM, fishKg),
      density,
    );
    return held && held !== 'sinks' ? held : null;
  };
  const plan = planIn(outing);
  const what = toArrange(plan, angler, density, fishKg);
  const before = standing(outing);
  if (!what || !before) return null;
  const found = arrange(what.problem, { seed, steps: STEPS, prove: true });
  const stopsAndMindsOf = (next: Outing) =>
    assess(next, references, answers, now, { withRepairs: false }).findings.filter(
      ({ level }) => level !== 'note',
    );
  const kg = (itemId: string) => what.problem.items.find(({ id }) => id === itemId)?.massKg ?? 0;
  const wanted = [...found.places]
    .flatMap(([itemId, toZone]): Move[] => {
      const fromZone = what.movable.get(itemId)?.zone?.id;
      return fromZone === undefined || fromZone === toZone ? [] : [{ itemId, fromZone, toZone }];
    })
    .toSorted((a, b) => kg(b.itemId) - kg(a.itemId));
  let [arranged, said] = [outing, stopsAndMindsOf(outing)];
  const moves: Move[] = [];
  const refused: { move: Move; finding: Finding['facts']['code'] }[] = [];
  for (const move of wanted) {
    const next = withMoves(arranged, references, [move]);
    const saidNext = stopsAndMindsOf(next);
    const worse = saidNext.find(
      (one) => !said.some(({ key, level }) => key === one.key && (level === 'stop' || level === one.level)),
    );
    if (worse) refused.push({ move, finding: worse.facts.code });
    else {
      moves.push(move);
      [arranged, said] = [next, saidNext];
    }
  }
  const after = standing(arranged) ?? before;
  // What stands after the judgement, measured as the search measures.
  const left = new Map(moves.map(({ itemId, toZone }) => [itemId, toZone]));
  const items = what.problem.items.map((item) => ({ ...item, pinned: left.get(item.id) ?? item.now }));
  const final = arrange({ ...what.problem, items }, { seed, steps: 0 });
  const cost = totalOf(final.cost);
  const isProven = final.unplaced.length === 0 && found.bound !== null && cost > NEAR_CM;
  return {
    ...{ moves, refused, before, after },
    gapPercent: isProven ? Math.max(0, (100 * (cost - (found.bound ?? cost))) / cost) : null,
  };
}

/** The outing with such moves made, while fishing; each thing is held as it usually is in its new place. */
export function withMoves(outing: Outing, references: References, moves: readonly Move[]): Outing {
  const { craft, angler, aboard } = lookUp(outing, references);
  if (!craft || !angler) return outing;
  const plan = planOf({ aboard, craft, angler, stow: outing.stow });
  const habits = leashesAboard(aboard, angler);
  return withPut(
    outing,
    moves.flatMap(({ itemId, toZone }) => {
      const placed = plan.byId.get(itemId);
      const zone = zonesOf(craft).find(({ id }) => id === toZone);
      if (!placed || !zone) return [];
      const spot = { ...spotIn(placed.one.item, { in: 'zone', zone }, placed.spot, habits), at: null };
      return [{ itemId, mode: 'fish' as const, spot, fish: placed.spot }];
    }),
  );
}
