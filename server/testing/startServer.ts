import { type ChildProcess, spawn } from 'node:child_process';

export interface Running {
  url: string;
  child: ChildProcess;
  /** All it has printed. */
  said: () => string;
  kill: (signal: NodeJS.Signals) => Promise<number | null>;
}

/** Servers of this process that still run. */
const started = new Set<ChildProcess>();
/** Ends every server that was started here and still runs: a trial that broke off leaves none behind. */
export async function endStarted(): Promise<number> {
  const left = [...started];
  await Promise.all(
    left.map((child) => {
      const ended = new Promise((done) => child.once('exit', done));
      child.kill('SIGKILL');
      return ended;
    }),
  );
  return left.length;
}

const READY = /ready at (http:\/\/\S+)/;

/**
 * Starts the server as it was built, as a process of its own, on a free port. Fails with what it said when it
 * ends before it is ready.
 */
export async function startServer(
  env: Readonly<Record<string, string>>,
  command: readonly string[] = ['dist/server/main.js'],
  asUser?: number,
): Promise<Running> {
  // Without the optimising compiler of WebAssembly a start takes half the time of a core; the code run is the
  // same.
  const child = spawn(process.execPath, ['--liftoff-only', ...command], {
    env: { ...process.env, PORT: '0', DATABASE_URL: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
    ...(asUser === undefined ? {} : { uid: asUser, gid: asUser }),
  });
  started.add(child);
  child.once('exit', () => started.delete(child));
  let said = '';
  const ended = new Promise<number | null>((done) => child.on('exit', done));
  const url = await new Promise<string>((done, fail) => {
    const take = (chunk: Buffer) => {
      said += chunk.toString();
      const ready = READY.exec(said)?.[1];
      if (ready) done(ready);
    };
    child.stdout?.on('data', take);
    child.stderr?.on('data', take);
    void ended.then((code) => fail(new Error(`exit ${code ?? 'by signal'}: ${said}`)));
  });
  return {
    url,
    child,
    said: () => said,
    kill: (signal) => {
      child.kill(signal);
      return ended;
    },
  };
}
