import { arrange } from '#core/arranging/arrange';
import type { ArrangeProblem } from '#core/arranging/problem';
import { serveJobs } from '../workers/serve';

serveJobs(async function* ({
  problem,
  seed,
  steps,
}: {
  problem: ArrangeProblem;
  seed: number;
  steps: number;
}) {
  yield await Promise.resolve(arrange(problem, { seed, steps, prove: true }));
});
