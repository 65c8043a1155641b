import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What is of the web comes last: it has a document about it, the rest has none. */
class WebLast extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    const ofTheWeb = ({ moduleId }: TestSpecification) => moduleId.includes('/web/');
    return [...sorted.filter((one) => !ofTheWeb(one)), ...sorted.filter(ofTheWeb)];
  }
}

export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.{ts,tsx}'],
    globalSetup: ['server/testing/makeDump.ts'],
    // A limit for what hangs, far beyond what the slowest takes on a machine that is busy.
    testTimeout: 240_000,
    hookTimeout: 60_000,
    setupFiles: ['web/testing/dom.ts'],
    maxWorkers: 2,
    // As in the servers that are started: the database is WebAssembly, and optimising it costs more than is
    // won in minutes.
    execArgv: ['--liftoff-only'],
    // Modules without state of their own need not be read anew for each file: it halves the time.
    isolate: false,
    sequence: { sequencer: WebLast },
  },
});
