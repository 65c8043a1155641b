import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { useWorker } from './useWorker';

/** What became of a job: its result, or that it is not done. */
export type Job<Result> =
  | { is: 'working' }
  | { is: 'stopped' }
  | { is: 'failed' }
  | { is: 'done'; result: Result };

/**
 * A job that begins with its screen, in a worker of its own; it can be stopped, and done again with what the
 * screen knows then.
 */
export function useJob<Work, Result>(
  make: () => Worker,
  work: (remote: Remote<Work>) => Promise<Result>,
): { job: Job<Result>; again: () => void; stop: () => void } {
  const [job, setJob] = useState<Job<Result>>({ is: 'working' });
  const worker = useWorker<Work>(make);
  const again = () => {
    setJob({ is: 'working' });
    work(worker.call()).then(
      (result) => setJob({ is: 'done', result }),
      () => setJob({ is: 'failed' }),
    );
  };
  // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the screen opens
  useEffect(again, []);
  const stop = () => {
    worker.stop();
    setJob({ is: 'stopped' });
  };
  return { job, again, stop };
}
