import { parentPort } from 'node:worker_threads';
import { Refusal } from '../errors/refusal';
import type { WorkerAnswer } from './pool';

/** The worker's end of a pool: does each job that comes and answers with its parts. */
export function serveJobs<Job, Part>(work: (job: Job) => AsyncIterable<Part>): void {
  const port = parentPort;
  if (!port) throw new Error('This is the code of a worker.');
  const answer = (one: WorkerAnswer<Part>) => port.postMessage(one);
  port.on('message', (job: Job) => void doJob(job));
  const doJob = async (job: Job) => {
    try {
      for await (const part of work(job)) answer({ is: 'part', part });
      answer({ is: 'done' });
    } catch (error) {
      if (error instanceof Refusal) {
        const { kind, title, detail } = error;
        answer({ is: 'refused', kind, title, detail });
      } else
        answer({
          is: 'failed',
          message: error instanceof Error ? (error.stack ?? error.message) : String(error),
        });
    }
  };
}
