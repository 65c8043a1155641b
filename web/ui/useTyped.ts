import { useState } from 'react';
import { useToast } from './Toast';
import { useOnLeave } from './useOnLeave';

/**
 * What is typed in a field until it is a whole and valid value: the value itself stays as it was until then.
 */
export interface Typed {
  text: string;
  type: (text: string) => void;
  /**
   * Why what was typed cannot be taken, once one has gone on from it; null: it can, or one is still typing.
   */
  refusal: string | null;
  /** Takes what was typed. @returns false: it is none that can be taken, and stays in the field */
  commit: () => boolean;
  /** Lets go of what was typed. */
  drop: () => void;
  /** Whether something is typed that is not taken yet. */
  isTyped: boolean;
}

interface Options<Value> {
  /** What the field is called. */
  label: string;
  /** The value as it is shown. */
  shown: string;
  /** The value that a text is; undefined: it is none that can be taken. */
  read: (text: string) => Value | undefined;
  onTake: (value: Value) => void;
  onRefused?: ((text: string) => void) | undefined;
  /** What can be written, in a sentence. */
  allowed: string;
}

/**
 * A field that takes a value when one goes on from it (Enter, another field, a choice, the screen closed),
 * and never half of one. What was refused and is left behind is said, with what stands instead.
 */
export function useTyped<Value>({ label, shown, read, onTake, onRefused, allowed }: Options<Value>): Typed {
  const [typed, setTyped] = useState<string | null>(null);
  const [tried, setTried] = useState(false);
  const say = useToast();
  const text = typed ?? shown;
  const isGood = typed === null || read(typed) !== undefined;
  const callOff = useOnLeave(() => {
    if (typed === null) return;
    // A blank closed by Escape keeps what was typed in it, as it does by Done.
    const value = read(typed);
    if (value === undefined)
      say(`“${typed}” was not taken. ${label}: ${shown === '' ? 'nothing yet' : shown}.`);
    else if (typed !== shown) onTake(value);
  });
  const drop = () => {
    // What takes the value may close the field before it is drawn again: it is not taken a second time.
    callOff();
    setTyped(null);
    setTried(false);
  };
  return {
    text,
    type: (next) => {
      setTyped(next);
      if (read(next) !== undefined) setTried(false);
    },
    refusal: tried && !isGood ? allowed : null,
    commit: () => {
      if (typed === null) return true;
      const value = read(typed);
      if (value === undefined) {
        setTried(true);
        onRefused?.(typed);
        return false;
      }
      drop();
      if (typed !== shown) onTake(value);
      return true;
    },
    drop,
    isTyped: typed !== null,
  };
}
