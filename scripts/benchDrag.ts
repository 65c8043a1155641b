import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import type { Outing } from '#core/documents/outing';
import config from '../playwright.config';
import { startServer } from '../server/testing/startServer';

const FRAMES = 80;

/** Script per frame, ms, while the launch of an eight-hour outing with eight legs is dragged in a real browser. */
export async function measureDrag(outing: Outing): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-bench-'));
  const server = await startServer({ TALLY_DATA: folder }, ['dist/server/main.js']);
  const browser = await chromium.launch(config.use?.launchOptions ?? {});
  try {
    const path = `/api/outings/${outing.id}`;
    const { version } = (await (await fetch(server.url + path)).json()) as { version: number };
    await fetch(server.url + path, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version, doc: outing }),
    });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.url}/outings/${outing.id}/brief`);
    const knob = page.getByRole('slider', { name: 'Launch' }).locator('circle');
    await knob.waitFor();
    await page.waitForTimeout(800);
    const box = await knob.boundingBox();
    if (!box) throw new Error('There is no handle to drag.');
    const probe = await page.context().newCDPSession(page);
    await probe.send('Performance.enable');
    const script = async () =>
      (await probe.send('Performance.getMetrics')).metrics.find((metric) => metric.name === 'ScriptDuration')?.value ??
      NaN;
    await page.mouse.move(box.x + 8, box.y + 8);
    await page.mouse.down();
    const before = await script();
    for (let i = 1; i <= FRAMES; i += 1) {
      await page.mouse.move(box.x + 8 + i * 1.6, box.y + 8);
      await page.waitForTimeout(18);
    }
    const after = await script();
    await page.mouse.up();
    return ((after - before) / FRAMES) * 1000;
  } finally {
    await browser.close();
    await server.kill('SIGINT');
    rmSync(folder, { recursive: true, force: true });
  }
}
