import { useCallback, useEffect, useRef } from 'react';

/**
 * Does something when what it stands in leaves the screen, with what was so when it was drawn last.
 * @returns a function that calls it off until it is drawn again
 */
export function useOnLeave(work: () => void): () => void {
  const last = useRef(work);
  useEffect(() => {
    last.current = work;
  });
  useEffect(() => () => last.current(), []);
  return useCallback(() => {
    last.current = () => undefined;
  }, []);
}
