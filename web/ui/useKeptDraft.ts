import { useState } from 'react';

/** What is half typed, held by this browser until it is done with: leaving the page loses nothing. */
export function useKeptDraft<Value>(
  key: string,
  fresh: () => Value,
): [Value, (next: Value) => void, () => void] {
  const name = `tally-draft-${key}`;
  const [value, setValue] = useState<Value>(() => {
    try {
      return (JSON.parse(localStorage.getItem(name) ?? 'null') as Value | null) ?? fresh();
    } catch {
      return fresh();
    }
  });
  const set = (next: Value) => {
    localStorage.setItem(name, JSON.stringify(next));
    setValue(next);
  };
  const done = () => {
    localStorage.removeItem(name);
    setValue(fresh());
  };
  return [value, set, done];
}
