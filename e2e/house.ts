import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Locator, type Page, test as base, expect } from '@playwright/test';
import { type Running, startServer } from '../server/testing/startServer';

export const templateFolder = 'node_modules/.cache/tally/template';
const BUNDLE = ['dist/server/main.js'];

/** A running copy of the product on its own data. */
export interface House {
  url: () => string;
  /** Stops the server hard and starts it again on the same port and data. */
  restart: () => Promise<void>;
}

interface Furnished extends House {
  close: () => Promise<void>;
}

/** Starts the product on a folder of its own: a copy of the demo data, or nothing. */
async function furnish(empty: boolean): Promise<Furnished> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-journey-'));
  if (!empty) cpSync(templateFolder, folder, { recursive: true });
  const env = { TALLY_DATA: folder, TALLY_DEMO: empty ? '0' : '1' };
  let running: Running = await startServer(env, BUNDLE);
  const port = new URL(running.url).port;
  return {
    url: () => running.url,
    restart: async () => {
      await running.kill('SIGKILL');
      running = await startServer({ ...env, PORT: port }, BUNDLE);
    },
    // Nothing of it is needed any more: no time is spent on closing the database.
    close: async () => {
      await running.kill('SIGKILL');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Each journey has a house of its own, furnished with the demo data unless it asks for an empty one. */
export const test = base.extend<{ empty: boolean; house: House }>({
  empty: [false, { option: true }],
  house: async ({ empty }, use) => {
    const house = await furnish(empty);
    await use(house);
    await house.close();
  },
  baseURL: async ({ house }, use) => use(house.url()),
});

/** For journeys that only look: one house a worker, with the demo data. */
export const lookingTest = base.extend<object, { shown: Furnished }>({
  shown: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures wanted from this pattern
    async ({}, use) => {
      const house = await furnish(false);
      await use(house);
      await house.close();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ shown }, use) => use(shown.url()),
});

/** Goes to a screen as the back button would, without loading the app anew. */
export async function visit(page: Page, path: string): Promise<void> {
  if (page.url() === 'about:blank') await page.goto(path);
  else
    await page.evaluate((to) => {
      document.querySelector('main')?.setAttribute('data-left', '');
      window.history.pushState(null, '', to);
      window.dispatchEvent(new PopStateEvent('popstate'));
    }, path);
  await expect(page).toHaveURL((url) => url.pathname === path);
  // Until the router has brought the new screen; stations of one outing share their main, so this may end by itself.
  await page
    .locator('main:not([data-left])')
    .waitFor({ timeout: 1500 })
    .catch(() => undefined);
  await expect(page.getByText('Reading.', { exact: true })).toBeHidden();
  await expect(page.locator('main')).toBeVisible();
  await page.getByRole('heading').first().waitFor();
}
export { expect };

/** Opens a blank of the sentence by what it asks for. */
export async function openBlank(page: Page, asks: string): Promise<Locator> {
  await page.getByRole('button', { name: `${asks}:` }).click();
  const blank = page.getByRole('dialog', { name: asks });
  await expect(blank).toBeVisible();
  return blank;
}

export async function pick(page: Page, asks: string, choice: RegExp | string): Promise<void> {
  const blank = await openBlank(page, asks);
  await blank.getByRole('menuitem', { name: choice }).click();
  await expect(blank).toBeHidden();
}

/** Waits until the newest change is kept. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^kept at/ })).toBeVisible();
}

/** Carries out the first repair in the margin again and again until no Stop and no Mind offers one. */
export async function repairAll(page: Page): Promise<void> {
  const margin = page.getByRole('complementary', { name: 'Margin' });
  for (let i = 0; i < 40; i += 1) {
    const open = margin.getByRole('listitem').filter({ hasText: /^(Stop|Mind)/ });
    const repair = open.getByRole('button').filter({ hasNotText: 'Accept, and say why' });
    if ((await repair.count()) === 0) return;
    const before = await margin.innerText();
    await repair.first().click();
    await expect(margin).not.toHaveText(before, { useInnerText: true });
  }
}

/** Answers every step good with the key 1, until the gate is reached. */
export async function walkRound(page: Page): Promise<void> {
  const gate = page.getByRole('heading', { name: /^The gate is/ });
  const step = page.getByText(/step \d+ of \d+/);
  // The keys answer from the moment the step's heading has the focus.
  await expect(page.locator('h2:focus')).toBeVisible();
  for (let i = 0; i < 120 && !(await gate.isVisible()); i += 1) {
    const before = await step.innerText();
    await page.keyboard.press('1');
    await expect(gate.or(step.filter({ hasNotText: before }))).toBeVisible();
  }
  await expect(gate).toBeVisible();
}

export async function holdToSign(page: Page): Promise<void> {
  const button = page.getByRole('button', { name: 'Hold to sign' });
  await button.hover();
  await page.mouse.down();
  await expect(page.getByRole('heading', { name: 'Signed', exact: true })).toBeVisible();
  await page.mouse.up();
}
