/**
 * How one thing is worked out from others: which it is made from, and how. What it is made from is all it may
 * read.
 * @param from names of what it reads @param keep how many answers to remember for inputs that were met before
 */
export interface Derivation<Whole extends object, Value> {
  from: readonly (keyof Whole)[];
  keep?: number;
  /** Rarely changes and is cheap: dependants compare this value instead of its inputs. */
  leaf?: true;
  /** @param before the whole that this one follows, where only a little changed; null: none */
  make: (whole: Whole, before: Whole | null) => Value;
}
/** Writes a derivation down so that it is given what it says that it reads, and nothing else. */
export function derivation<Whole extends object>() {
  return <const Read extends keyof Whole, Value>(
    record: Omit<Derivation<Whole, Value>, 'from' | 'make'> & {
      from: readonly Read[];
      make: (whole: Pick<Whole, Read>, before: Whole | null) => Value;
    },
  ): Derivation<Whole, Value> => record;
}
export type Derivations<Whole extends object, Names extends keyof Whole> = {
  readonly [Name in Names]: Derivation<Whole, Whole[Name]>;
};

const UNKNOWN = Symbol('not worked out yet');
/** Results kept per derivation by default: of the outing as it is, and of each repair that is tried. */
export const USUALLY_KEPT = 16;

/**
 * Memoizes a function of some parts of a whole, comparing the parts by identity: records are never mutated.
 * @param keep how many recent results to keep
 */
export function remembering<Whole, Value, Rest extends unknown[]>(
  from: readonly (keyof Whole)[],
  keep: number,
  make: (whole: Whole, ...rest: Rest) => Value,
): (whole: Whole, ...rest: Rest) => Value {
  const known: { inputs: readonly unknown[]; value: Value }[] = [];
  const find = (inputs: readonly unknown[]): number => {
    for (let at = 0; at < known.length; at += 1) if (isMet(known[at]?.inputs ?? [], inputs)) return at;
    return -1;
  };
  return (whole, ...rest) => {
    const inputs = from.map((name) => whole[name]);
    const at = find(inputs);
    const found = known[at] ?? { inputs, value: make(whole, ...rest) };
    if (at !== 0) {
      // The latest first; what was not asked for longest is forgotten.
      if (at > 0) known.splice(at, 1);
      known.unshift(found);
      if (known.length > keep) known.pop();
    }
    return found.value;
  };
}

/**
 * A whole whose derivations are computed lazily, and once for the same inputs. A whole that follows another
 * takes over every value whose inputs did not change; each derivation also memoizes as many recent results as
 * it says.
 */
export function deriving<Whole extends object, Names extends keyof Whole & string>(
  derivations: Derivations<Whole, Names>,
): Deriving<Whole, Names> {
  const names = Object.keys(derivations) as Names[];
  const makers = names.map((name) => {
    const { from, keep = USUALLY_KEPT, make } = derivations[name];
    return remembering(from, keep, make);
  });

  /** A whole, the one that it follows, its values computed so far, and which of them differ. */
  class Derived {
    readonly known: unknown[] = new Array<unknown>(names.length).fill(UNKNOWN);
    readonly differing = new Map<keyof Whole, boolean>();
    constructor(
      given: Omit<Whole, Names>,
      readonly before: (Whole & Derived) | null,
    ) {
      Object.assign(this, given);
    }
  }
  const differs = (whole: Whole & Derived, names: readonly (keyof Whole)[]): boolean => {
    const { before, differing } = whole;
    if (!before) return true;
    return names.some((name) => {
      const known = differing.get(name) ?? whole[name] !== before[name];
      differing.set(name, known);
      return known;
    });
  };
  const workOut = (i: number, name: Names, whole: Whole & Derived): unknown => {
    const { before } = whole;
    return before && !differs(whole, derivations[name].from) ? before[name] : makers[i]?.(whole, before);
  };
  names.forEach((name, i) =>
    Object.defineProperty(Derived.prototype, name, {
      get(this: Whole & Derived) {
        const known = this.known[i];
        if (known !== UNKNOWN) return known;
        const value = workOut(i, name, this);
        this.known[i] = value;
        return value;
      },
    }),
  );

  /** The given inputs on which some names depend, directly or through other derivations. */
  const givenFor = (names: readonly (keyof Whole)[]): ReadonlySet<keyof Whole> => {
    const given = new Set<keyof Whole>();
    for (const name of names) {
      const derivation = derivations[name as Names] as Derivation<Whole, unknown> | undefined;
      if (derivation && !derivation.leaf) for (const one of givenFor(derivation.from)) given.add(one);
      else given.add(name);
    }
    return given;
  };
  return {
    whole: (given, before) => new Derived(given, before as (Whole & Derived) | null) as unknown as Whole,
    givenFor,
    differs: (whole, of) => differs(whole as Whole & Derived, of),
  };
}

export interface Deriving<Whole extends object, Names extends keyof Whole> {
  /** @param before what it follows, where only a little changed; null: nothing */
  whole: (inputs: Omit<Whole, Names>, before: Whole | null) => Whole;
  givenFor: (names: readonly (keyof Whole)[]) => ReadonlySet<keyof Whole>;
  /** Whether one of some values differs from that of the whole that is followed; true where none is. */
  differs: (whole: Whole, names: readonly (keyof Whole)[]) => boolean;
}

function isMet(met: readonly unknown[], inputs: readonly unknown[]): boolean {
  for (let i = 0; i < inputs.length; i += 1) if (met[i] !== inputs[i]) return false;
  return true;
}
