/**
 * Remembers what a function made of an object, for as long as the object lives: records here are never
 * changed, so the same record always gives the same answer. The one place where answers are kept by identity.
 */
export function rememberFor<Input extends object, Output>(
  make: (input: Input) => Output,
): (input: Input) => Output {
  const known = new WeakMap<Input, { output: Output }>();
  return (input) => {
    const found = known.get(input);
    if (found) return found.output;
    const output = make(input);
    known.set(input, { output });
    return output;
  };
}

/**
 * Of each key the last few records: for one that is alike the record of then is given, so that it is the same
 * input.
 */
export function sameRecords<Key extends object, Value>(
  most: number,
  alike: (a: Value, b: Value) => boolean,
): (key: Key, value: Value) => Value {
  const recordsOf = rememberFor((_: Key) => [] as Value[]);
  return (key, value) => {
    const records = recordsOf(key);
    for (const was of records) if (alike(was, value)) return was;
    if (records.length >= most) records.shift();
    records.push(value);
    return value;
  };
}

/**
 * Remembers what a function made of arguments that are numbers and texts: the last so many answers, all
 * forgotten when there are more.
 */
export function rememberLast<Inputs extends readonly (string | number)[], Output>(
  most: number,
  make: (...inputs: Inputs) => Output,
): (...inputs: Inputs) => Output {
  const known = new Map<string, { output: Output }>();
  return (...inputs) => {
    const key = inputs.join('\u0000');
    const found = known.get(key);
    if (found) return found.output;
    const output = make(...inputs);
    if (known.size >= most) known.clear();
    known.set(key, { output });
    return output;
  };
}

/** Whether two plain records say the same, in every part. */
export function sameContent(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a))
    return Array.isArray(b) && a.length === b.length && a.every((part, i) => sameContent(part, b[i]));
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  return keys.every((key) =>
    sameContent((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  );
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
