import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/browser.mjs';

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
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
      ],
    },
    trace: 'off',
  },
});
