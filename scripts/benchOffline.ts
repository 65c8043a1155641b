import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { shiftClockBy, shiftMs } from '../e2e/evening.mjs';
import config from '../playwright.config';
import { startServer } from '../server/testing/startServer';

const ID = 'zander-dusk';
const ANSWERS = 200;
const RELOADS = 5;

/**
 * A carried outing in a real browser: from a reload without a server to the first step, the median of a few,
 * and from opening the page to two hundred answers on the server, ms.
 */
export async function measureOffline(): Promise<{ reloadMs: number; sentMs: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-bench-'));
  const start = (port = '0') => startServer({ TALLY_DATA: folder, PORT: port });
  let server = await start();
  const browser = await chromium.launch(config.use?.launchOptions ?? {});
  try {
    const { url } = server;
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    await context.addInitScript(shiftClockBy, shiftMs());
    const page = await context.newPage();
    await page.goto(`${url}/outings/${ID}/leave-word`);
    await page.getByRole('button', { name: 'Carry it' }).click();
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null, null, { timeout: 60_000 });
    await page.waitForTimeout(1500);
    await server.kill('SIGKILL');
    await page.goto(`${url}/outings/${ID}/walk-round`);
    const took: number[] = [];
    for (let i = 0; i < RELOADS; i += 1) {
      const from = Date.now();
      await page.reload({ waitUntil: 'commit' });
      await page.getByRole('button', { name: /^(Good|The rest is good)$/ }).waitFor();
      took.push(Date.now() - from);
    }
    await page.evaluate(
      ({ id, many }) => {
        const at = new Date().toISOString();
        const list = Array.from({ length: many }, (_, i) => ({
          key: crypto.randomUUID(),
          stepId: `evening:thing-${i}`,
          verdict: 'good',
          at,
          note: '',
        }));
        localStorage.setItem(`tally-answers:${id}`, JSON.stringify(list));
      },
      { id: ID, many: ANSWERS },
    );
    await page.goto('about:blank');
    server = await start(new URL(url).port);
    const from = Date.now();
    await page.goto(`${url}/outings/${ID}/walk-round`);
    let there = 0;
    while (there < ANSWERS && Date.now() - from < 60_000) {
      const walk = (await (await fetch(`${url}/api/outings/${ID}/walk-round`)).json()) as {
        answers: unknown[];
      };
      there = walk.answers.length;
    }
    const sentMs = there >= ANSWERS ? Date.now() - from : NaN;
    return { reloadMs: took.sort((a, b) => a - b)[Math.floor(RELOADS / 2)] ?? NaN, sentMs };
  } finally {
    await browser.close();
    await server.kill('SIGINT');
    rmSync(folder, { recursive: true, force: true });
  }
}
