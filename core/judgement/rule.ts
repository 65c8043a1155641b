import { MOST_EXTENT } from '../vocabulary/extent';
import type { Repair } from '../editing/repair';
import type { Far } from '../needs/need';
import type { NeedId } from '../vocabulary/needs';
import type { FindingLevel } from '../vocabulary/levels';
import type { SheetId } from '../vocabulary/sheets';
import { type Station, stations } from '../vocabulary/stations';
import type { BoatPart } from '../vocabulary/boat';
import type { Context } from './context';
import { USUALLY_KEPT, remembering } from './derive';

/** What a finding rests on. Law and physics cannot be overridden. */
export type Basis = 'law' | 'physics' | 'judgement' | 'school';

export interface Sentence {
  title: string;
  text: string;
}
/** What one rule found once. */
export interface RuleFinding<Facts> {
  level: FindingLevel;
  basis: Basis;
  /** How bad, in the rule's measure; grows as it gets worse. */
  extent: number;
  facts: Facts;
  /** Distinguishes two findings of one rule. */
  subject?: string;
}

/** What a rule may say that it reads. */
export type Readable = Exclude<keyof Context, 'outing' | 'references'>;

/** A judgement, whole: what it needs to know, what it finds, how that is said, and what could settle it. */
export interface RuleRecord<Code extends string, Facts, Reads extends Readable> {
  code: Code;
  /**
   * All parts of the context that `find` reads. After a repair the rule runs again only when one of them
   * changed.
   */
  reads: readonly Reads[];
  /** Where it is told first, and the sheet on which its sum stands. */
  station: Station;
  sheet?: SheetId | ((facts: Facts) => SheetId | null);
  /** The part of the boat's own page where it is settled; left out: none. */
  boatPart?: BoatPart;
  /** Which distance it goes by; left out: none. */
  far?: Far;
  /** What its extent counts: 'm/s', 'minutes', 'kg' … */
  measure: string;
  find: (context: Pick<Context, Reads>) => readonly RuleFinding<Facts>[];
  say: (facts: Facts) => Sentence;
  /** What could settle it, the sensible one first; each is judged before it is offered. */
  repairs?: (facts: Facts, context: Context) => readonly Repair[];
  /**
   * What would help where nothing owned and no repair does: to buy, to borrow, to make, another hour or
   * place, or not today.
   */
  otherwise?: (facts: Facts, context: Context, sideEffect: SideEffect | null) => string;
  /** A need that owned things could meet: they are tried before the repairs. */
  asks?: (facts: Facts) => { needId: NeedId; missing: number };
  /** About where a thing lies; ignored while judging a repair that only adds the thing. */
  aboutPlacement?: true;
  /** Settled last: a repair of another finding is offered even where this one then appears. */
  neverBlocksRepairs?: true;
  /** Finds only Notes, which never block a repair. */
  notes?: true;
  /** So much worse, in its measure, does not keep the repair of another finding from being offered. */
  slack?: number;
}
/** A finding that adding a thing would cause, so that adding it is not offered. */
export interface SideEffect {
  title: string;
  /** Whether it is an unmet need; else it concerns the boat or where things lie, and making room helps. */
  isNeed: boolean;
}
/** A rule as the engine knows it, its facts closed up. */
export interface Rule<Code extends string = string, Facts = never> {
  readonly code: Code;
  readonly reads: readonly Readable[];
  readonly station: Station;
  readonly measure: string;
  readonly far: Far | null;
  readonly boatPart: BoatPart | null;
  readonly aboutPlacement: boolean;
  readonly neverBlocksRepairs: boolean;
  readonly notes: boolean;
  readonly slack: number;
  readonly find: (context: Context) => readonly RuleFinding<Facts>[];
  readonly say: (facts: Facts) => Sentence;
  readonly sheetFor: (facts: Facts) => SheetId | null;
  readonly repairs: (facts: Facts, context: Context) => readonly Repair[];
  readonly otherwise: (facts: Facts, context: Context, sideEffect: SideEffect | null) => string;
  readonly canAsk: boolean;
  readonly asks: (facts: Facts) => { needId: NeedId; missing: number } | null;
}
/** What one rule's facts are, with its code. */
export type FactsOf<R> = R extends Rule<infer Code, infer Facts> ? { code: Code } & Facts : never;

const NEXT_TO_NOTHING = 1e-9;

export function rule<const Code extends string, Facts, const Reads extends Readable>({
  sheet,
  repairs = () => [],
  asks,
  otherwise = () => stations[record.station].otherwise,
  slack = NEXT_TO_NOTHING,
  far,
  boatPart,
  aboutPlacement,
  neverBlocksRepairs,
  notes,
  ...record
}: RuleRecord<Code, Facts, Reads>): Rule<Code, Facts> {
  return {
    ...record,
    find: remembering(record.reads, USUALLY_KEPT, record.find),
    far: far ?? null,
    boatPart: boatPart ?? null,
    aboutPlacement: aboutPlacement ?? false,
    neverBlocksRepairs: neverBlocksRepairs ?? false,
    notes: notes ?? false,
    slack,
    sheetFor: (facts) => (typeof sheet === 'function' ? sheet(facts) : (sheet ?? null)),
    repairs,
    otherwise,
    canAsk: asks !== undefined,
    asks: (facts) => asks?.(facts) ?? null,
  };
}

/** An extent as it can be kept: from nought to the most there is. What cannot be counted is the most. */
export function keptExtent(extent: number): number {
  return Number.isNaN(extent) ? MOST_EXTENT : Math.min(MOST_EXTENT, Math.max(0, extent));
}
