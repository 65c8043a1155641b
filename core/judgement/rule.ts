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
export interface Told<Facts> {
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
  /** All that it looks at. After a repair it is asked again only when some of that changed. */
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
  find: (context: Pick<Context, Reads>) => readonly Told<Facts>[];
  say: (facts: Facts) => Sentence;
  /** What could settle it, the sensible one first; each is judged before it is offered. */
  repairs?: (facts: Facts, context: Context) => readonly Repair[];
  /** What would help where nothing owned and no repair does: to buy, to borrow, to make, another hour or place, or not today. */
  otherwise?: (facts: Facts, context: Context, comes: Comes | null) => string;
  /** A need that owned things could meet: they are tried before the repairs. */
  asks?: (facts: Facts) => { needId: NeedId; missing: number };
  /** Told of where a thing lies: whoever only adds the thing has not placed it yet, and is not kept from adding it. */
  placing?: true;
  /** It is put right after all else, and keeps no repair back. */
  later?: true;
  /** It only ever notes: whatever it told after a repair, it would not keep that back. */
  notes?: true;
  /** So much worse, in its measure, does not keep the repair of another finding from being offered. */
  slack?: number;
}
/** What would come with a thing of the locker, and so keeps it there. */
export interface Comes {
  title: string;
  /** Another thing is wanted then; else it is of the boat, or of where things lie, and room helps. */
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
  readonly placing: boolean;
  readonly later: boolean;
  readonly notes: boolean;
  readonly slack: number;
  readonly find: (context: Context) => readonly Told<Facts>[];
  readonly say: (facts: Facts) => Sentence;
  readonly sheetFor: (facts: Facts) => SheetId | null;
  readonly repairs: (facts: Facts, context: Context) => readonly Repair[];
  readonly otherwise: (facts: Facts, context: Context, comes: Comes | null) => string;
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
  placing,
  later,
  notes,
  ...record
}: RuleRecord<Code, Facts, Reads>): Rule<Code, Facts> {
  return {
    ...record,
    find: remembering(record.reads, USUALLY_KEPT, record.find),
    far: far ?? null,
    boatPart: boatPart ?? null,
    placing: placing ?? false,
    later: later ?? false,
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
