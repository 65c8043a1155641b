import { type Remote, wrap } from 'comlink';
import { useEffect, useRef } from 'react';

/**
 * A job in a worker of its own; `stop` ends it at once, and the next call begins anew. Ended with its screen.
 */
export function useWorker<Work>(make: () => Worker): { call: () => Remote<Work>; stop: () => void } {
  const running = useRef<{ worker: Worker; remote: Remote<Work> } | null>(null);
  const stop = () => {
    running.current?.worker.terminate();
    running.current = null;
  };
  useEffect(() => stop, []);
  const call = () => {
    if (!running.current) {
      const worker = make();
      running.current = { worker, remote: wrap<Work>(worker) };
    }
    return running.current.remote;
  };
  return { call, stop };
}
