import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What is tested in a DOM comes last: a worker that goes from one surroundings to another begins anew, and reads everything again. */
class OneAfterAnother extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    const inDom = ({ moduleId }: TestSpecification) => moduleId.endsWith('.tsx');
    return [...sorted.filter((one) => !inDom(one)), ...sorted.filter(inDom)];
  }
}

export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.{ts,tsx}'],
    globalSetup: ['server/testing/makeDump.ts'],
    // A limit for what hangs, far beyond what the slowest takes on a machine that is busy.
    testTimeout: 240_000,
    hookTimeout: 60_000,
    maxWorkers: 2,
    // Modules without state of their own need not be read anew for each file: it halves the time.
    isolate: false,
    sequence: { sequencer: OneAfterAnother },
  },
});
