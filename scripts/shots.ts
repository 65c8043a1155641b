import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { shiftClockBy, shiftMs } from '../e2e/evening.mjs';
import config from '../playwright.config';
import { startServer } from '../server/testing/startServer';
import { ensureBuilt } from './prepare.mjs';

interface Shot {
  name: string;
  path: string;
  theme?: 'paper' | 'dark' | 'half-light';
  phone?: true;
  before?: (page: Page) => Promise<void>;
}

const forward = (steps: number) => async (page: Page) => {
  for (let i = 0; i < steps; i += 1) await page.keyboard.press('ArrowRight');
};

/** One picture for each main view, from the demo data. */
const shots: readonly Shot[] = [
  { name: 'outings', path: '/outings' },
  { name: 'brief', path: '/outings/pollack-long-grey/brief' },
  { name: 'brief-phone', path: '/outings/pollack-long-grey/brief', phone: true },
  {
    name: 'kit',
    path: '/outings/zander-dusk/kit',
    before: async (page) => {
      await page.getByRole('button', { name: 'Propose a loadout' }).click();
      await page.getByRole('button', { name: 'Take all' }).waitFor();
    },
  },
  { name: 'stow', path: '/outings/cod-wreck/stow' },
  {
    name: 'in-the-round',
    path: '/outings/ling-anchored/stow',
    before: async (page) => {
      await page.getByRole('button', { name: 'In the round' }).click();
      await page.locator('[data-drawn]').waitFor();
    },
  },
  {
    name: 'stow-phone-dark',
    path: '/outings/pollack-long-grey/stow',
    phone: true,
    theme: 'dark',
    before: async (page) => {
      await page.getByRole('button', { name: 'Launch' }).click();
      await page.getByRole('row').filter({ hasText: 'Sounder' }).getByRole('button').click();
    },
  },
  {
    name: 'walk-round',
    path: '/outings/zander-dusk/walk-round',
    phone: true,
    theme: 'half-light',
    before: forward(12),
  },
  { name: 'workings-anchor', path: '/outings/ling-anchored/workings/anchor' },
  { name: 'leave-word', path: '/outings/pollack-long-grey/leave-word' },
  { name: 'ashore', path: '/outings/pollack-logged/ashore' },
  { name: 'gate', path: '/outings/pollack-long-grey/walk-round' },
  { name: 'locker', path: '/locker' },
  {
    name: 'watch-page-phone',
    path: '/outings/pollack-long-grey/leave-word',
    phone: true,
    before: async (page) => {
      await page.getByRole('button', { name: 'Afloat now' }).click();
      const to = await page.getByRole('link', { name: /\/watch\// }).getAttribute('href');
      await page.goto(to ?? '');
    },
  },
  {
    name: 'boat',
    path: '/boats/grey-wagtail',
    theme: 'dark',
    before: (page) => page.getByRole('button', { name: /^Tank well, / }).focus(),
  },
  { name: 'water', path: '/waters/ostrey-sound' },
  { name: 'species', path: '/reference/species/pike' },
  { name: 'own', path: '/locker/own' },
  {
    name: 'first-water',
    path: '/first/water',
    before: async (page) => {
      await page.getByLabel('Name', { exact: true }).fill('Quiet Bay');
      await page.getByLabel('Its position').fill('47.5012, -18.5034');
      await page.getByRole('button', { name: 'Draw the shore' }).waitFor();
    },
  },
];

await ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), 'tally-shots-'));
const server = await startServer({ TALLY_DATA: folder });
const browser = await chromium.launch(config.use?.launchOptions ?? {});
for (const { name, path, theme = 'paper', phone, before } of shots) {
  const page = await browser.newPage({
    viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  });
  await page.addInitScript(shiftClockBy, shiftMs());
  await page.addInitScript((chosen) => localStorage.setItem('tally-theme', chosen), theme);
  await page.goto(server.url + path, { waitUntil: 'networkidle' });
  await page.getByRole('heading').first().waitFor();
  await before?.(page);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}
await browser.close();
await server.kill('SIGINT');
rmSync(folder, { recursive: true, force: true });
