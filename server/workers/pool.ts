import { Worker } from 'node:worker_threads';
import { Refusal, type RefusalKind } from '../errors/refusal';

export interface PoolLimits {
  /** Workers at once. */
  atOnce: number;
  /** Jobs that may wait for one; more are refused as busy. */
  waiting: number;
  /** How long one job may take, ms; then its worker is ended. */
  longestMs: number;
  /** Memory of one worker's heap, MB. */
  heapMb: number;
}

/** What a worker answers: parts of its result, then that it is done, or why it refuses. */
export type WorkerAnswer<Part> =
  | { is: 'part'; part: Part }
  | { is: 'done' }
  | { is: 'refused'; kind: RefusalKind; title: string; detail: string }
  | { is: 'failed'; message: string };

/**
 * Work beside the server's thread, in a few workers that are kept for the next job. Idle ones do not keep the
 * process alive.
 */
export interface WorkerPool<Job, Part> {
  /**
   * All parts of the answer, in their order.
   * @throws Refusal: busy (503), took too long or too much memory (413), or what the worker refuses
   */
  run: (job: Job) => Promise<Part[]>;
}

/**
 * The code of a worker: beside the bundled server where it was built, else its source beside the module that
 * asks.
 */
export function workerCode(name: string, askedFrom: string): URL {
  return askedFrom.endsWith('.js') ? new URL(`./${name}.js`, askedFrom) : new URL(`./${name}.ts`, askedFrom);
}

export function workerPool<Job, Part>(code: URL, limits: PoolLimits): WorkerPool<Job, Part> {
  const idle: Worker[] = [];
  const waiting: (() => void)[] = [];
  let busy = 0;
  const start = () =>
    // The source is TypeScript, which a worker cannot run by itself; what was built is not.
    new Worker(code.pathname.endsWith('.ts') ? new URL('./runSource.mjs', import.meta.url) : code, {
      workerData: { code: String(code) },
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: limits.heapMb },
    });
  const answerOf = (worker: Worker, job: Job): Promise<Part[]> =>
    new Promise((done, fail) => {
      const parts: Part[] = [];
      const settle = (keep: boolean, say: () => void) => {
        clearTimeout(timer);
        worker.off('message', onMessage).off('error', onError).off('exit', onExit);
        if (keep) {
          worker.unref();
          idle.push(worker);
        } else {
          // Ended on purpose: nobody is left to be told of an error.
          worker.on('error', () => undefined);
          void worker.terminate();
        }
        say();
      };
      const tooMuch = new Refusal(
        'too large',
        'Too much',
        'This takes longer, or more memory, than one request may have.',
      );
      const onMessage = (answer: WorkerAnswer<Part>) => {
        if (answer.is === 'part') parts.push(answer.part);
        else if (answer.is === 'done') settle(true, () => done(parts));
        else if (answer.is === 'failed') settle(true, () => fail(new Error(answer.message)));
        else settle(true, () => fail(refusalOf(answer)));
      };
      const onError = (error: Error & { code?: string }) =>
        settle(false, () => fail(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch : error));
      const onExit = () => settle(false, () => fail(new Error('The worker ended.')));
      const timer = setTimeout(() => settle(false, () => fail(tooMuch)), limits.longestMs);
      worker.on('message', onMessage).on('error', onError).on('exit', onExit);
      worker.ref();
      worker.postMessage(job);
    });
  return {
    run: async (job) => {
      if (busy >= limits.atOnce) {
        if (waiting.length >= limits.waiting)
          throw new Refusal('busy', 'Busy', 'Others are doing the same just now. Try again in a moment.');
        await new Promise<void>((go) => waiting.push(go));
      } else busy += 1;
      try {
        return await answerOf(idle.pop() ?? start(), job);
      } finally {
        // Whoever waits takes the place over.
        const next = waiting.shift();
        if (next) next();
        else busy -= 1;
      }
    },
  };
}

const refusalOf = ({ kind, title, detail }: Extract<WorkerAnswer<never>, { is: 'refused' }>) =>
  new Refusal(kind, title, detail, [{ field: 'file', message: detail }]);
