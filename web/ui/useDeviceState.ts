import { useState } from 'react';

/** A value that this browser keeps under a name: shown again on the next visit, and not sent anywhere. */
export function useDeviceState<Value>(
  name: string,
  fresh: () => Value,
): [Value, (next: Value) => void, () => void] {
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
  const clear = () => {
    localStorage.removeItem(name);
    setValue(fresh());
  };
  return [value, set, clear];
}
