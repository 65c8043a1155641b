/**
 * How one thing is worked out from others: which it is made from, and how. What it is made from is all it may read.
 * @param from names of what it reads @param keep how many answers to remember for inputs that were met before
 */
export interface Derivation<Whole extends object, Value> {
  from: readonly (keyof Whole)[];
  keep?: number;
  /** @param before the whole that this one follows, where only a little changed; null: none */
  make: (whole: Whole, before: Whole | null) => Value;
}
export type Derivations<Whole extends object, Names extends keyof Whole> = {
  readonly [Name in Names]: Derivation<Whole, Whole[Name]>;
};

interface Remembered {
  inputs: readonly unknown[];
  value: unknown;
}

/**
 * Works out named derivations in the order in which they stand, once for the same inputs: what follows another whole takes over from it
 * whatever reads nothing that changed, and each derivation remembers as many answers as it says. Records are never changed, so that the
 * same record is the same input.
 */
export function deriving<Whole extends object, Names extends keyof Whole & string>(
  derivations: Derivations<Whole, Names>,
): (inputs: Omit<Whole, Names>, before: Whole | null) => Whole {
  const memory = new Map<Names, Remembered[]>();
  const order = Object.keys(derivations) as Names[];
  return (inputs, before) => {
    const whole = { ...inputs } as Whole;
    for (const name of order) {
      const { from, keep = 0, make } = derivations[name];
      if (before && from.every((input) => whole[input] === before[input])) {
        whole[name] = before[name];
        continue;
      }
      const read = keep > 0 ? from.map((input) => whole[input]) : null;
      const known = memory.get(name) ?? [];
      const at = read ? known.findIndex(({ inputs: met }) => met.every((one, i) => one === read[i])) : -1;
      const found = known[at];
      if (found) {
        whole[name] = found.value as Whole[Names];
        if (at > 0) {
          known.splice(at, 1);
          known.unshift(found);
        }
        continue;
      }
      const value = make(whole, before);
      whole[name] = value;
      if (read) {
        known.unshift({ inputs: read, value });
        if (known.length > keep) known.pop();
        memory.set(name, known);
      }
    }
    return whole;
  };
}

/** The same record for the same content, so that it is the same input: the last so many. */
export function interning<Value>(most: number): (value: Value) => Value {
  const known = new Map<string, Value>();
  return (value) => {
    const key = JSON.stringify(value);
    const same = known.get(key);
    if (same !== undefined) return same;
    if (known.size >= most) known.clear();
    known.set(key, value);
    return value;
  };
}

/** A list whose members are all as they were is the list it was. */
export function steady<Member>(next: readonly Member[], before: readonly Member[] | undefined): readonly Member[] {
  const same = before?.length === next.length && next.every((one, i) => one === before[i]);
  return same ? before : next;
}
