import './e2e/evening.mjs';
import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/browser.mjs';

/**
 * Journeys that kill, or that have accounts: the longest. They go first, so that neither worker waits long
 * for the other at the end.
 */
const ownHouses = ['offline.spec.ts', 'people.spec.ts'];

export default defineConfig({
  testDir: 'e2e',
  projects: [
    { name: 'houses of their own', testMatch: ownHouses },
    { name: 'one house', testMatch: '*.spec.ts', testIgnore: ownHouses },
  ],
  outputDir: 'test-results',
  globalSetup: './e2e/makeTemplate.ts',
  timeout: 180_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  forbidOnly: true,
  reporter: [['line'], ['json', { outputFile: 'test-results/journeys.json' }]],
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    // Nothing is asked of the fades: waiting for each to end took a tenth of the time.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: browserPath(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // Drawing in the round, without a graphics card.
        '--enable-unsafe-swiftshader',
      ],
    },
    trace: 'off',
  },
});
