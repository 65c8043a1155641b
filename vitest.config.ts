import { defineConfig } from 'vitest/config';

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
  },
});
