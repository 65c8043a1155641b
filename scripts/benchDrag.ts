import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Locator, type Page, chromium } from '@playwright/test';
import type { Outing } from '#core/documents/outing';
import { shiftClockBy, shiftMs } from '../e2e/evening.mjs';
import config from '../playwright.config';
import { startServer } from '../server/testing/startServer';

const FRAMES = 80;

/** What is dragged: the page it is on, and where it is taken hold of. */
interface Dragged {
  path: string;
  holdOf: (page: Page) => Locator;
}
const dragged = {
  handle: (outing: Outing): Dragged => ({
    path: `/outings/${outing.id}/brief`,
    holdOf: (page) => page.getByRole('slider', { name: 'Launch' }).locator('circle'),
  }),
  thing: (): Dragged => ({
    path: '/outings/ling-anchored/stow',
    holdOf: (page) => page.locator('[data-drawing] [data-thing="bottle"]'),
  }),
  place: (): Dragged => ({
    path: '/boats/grey-wagtail',
    holdOf: (page) => page.getByRole('button', { name: /^Tank well, / }),
  }),
};

/**
 * Script per frame, ms, in a real browser: while the launch of an eight-hour outing with eight legs is
 * dragged, a place on a boat, and a thing from place to place; and how long the view in the round takes to open.
 */
export async function measureDrag(
  outing: Outing,
): Promise<{ handleMs: number; placeMs: number; thingMs: number; roundMs: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-bench-'));
  const server = await startServer({ TALLY_DATA: folder });
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
    await page.addInitScript(shiftClockBy, shiftMs());
    return {
      handleMs: await drag(page, server.url, dragged.handle(outing)),
      placeMs: await drag(page, server.url, dragged.place()),
      thingMs: await drag(page, server.url, dragged.thing()),
      roundMs: await openRound(page),
    };
  } finally {
    await browser.close();
    await server.kill('SIGINT');
    rmSync(folder, { recursive: true, force: true });
  }
}

/** From the press to the first frame, on the page of where things lie that is open already. */
async function openRound(page: Page): Promise<number> {
  await page.keyboard.press('Escape');
  const begin = performance.now();
  await page.getByRole('button', { name: 'In the round' }).click();
  await page.locator('[data-drawn]').waitFor();
  return performance.now() - begin;
}

async function drag(page: Page, url: string, { path, holdOf }: Dragged): Promise<number> {
  await page.goto(url + path);
  const knob = holdOf(page);
  await knob.waitFor();
  await page.waitForTimeout(800);
  const box = await knob.boundingBox();
  if (!box) throw new Error('There is nothing to drag.');
  const [x, y] = [box.x + Math.min(8, box.width / 2), box.y + Math.min(8, box.height / 2)];
  const probe = await page.context().newCDPSession(page);
  await probe.send('Performance.enable');
  const script = async () =>
    (await probe.send('Performance.getMetrics')).metrics.find((metric) => metric.name === 'ScriptDuration')
      ?.value ?? NaN;
  await page.mouse.move(x, y);
  await page.mouse.down();
  const before = await script();
  for (let i = 1; i <= FRAMES; i += 1) {
    await page.mouse.move(x + i * 1.6, y);
    await page.waitForTimeout(18);
  }
  const after = await script();
  await page.mouse.up();
  return ((after - before) / FRAMES) * 1000;
}
