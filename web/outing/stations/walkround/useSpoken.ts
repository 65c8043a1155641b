import { useEffect, useState } from 'react';

const KEY = 'tally-spoken';

/**
 * Reads a text aloud in the browser's own voice, while that is asked for. null: this browser has no voice.
 */
export function useSpoken(text: string): { on: boolean; toggle: () => void } | null {
  const [on, setOn] = useState(() => localStorage.getItem(KEY) === '1');
  const has = 'speechSynthesis' in window;
  useEffect(() => {
    if (!on || !has || text === '') return;
    const words = new SpeechSynthesisUtterance(text);
    words.lang = 'en';
    window.speechSynthesis.speak(words);
    return () => window.speechSynthesis.cancel();
  }, [on, has, text]);
  if (!has) return null;
  return {
    on,
    toggle: () => {
      localStorage.setItem(KEY, on ? '0' : '1');
      setOn(!on);
    },
  };
}
