import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  type BrowserContext,
  type BrowserContextOptions,
  type Locator,
  type Page,
  test as base,
  expect,
} from '@playwright/test';
import { shiftClockBy, shiftMs } from './evening.mjs';
import { type Running, startServer } from '../server/testing/startServer';

export const templateFolder = 'node_modules/.cache/tally/template';

/** A running copy of the product on its own data. */
export interface House {
  url: () => string;
  /** Stops the server hard and starts it again on the same port and data. */
  restart: () => Promise<void>;
  /** Kills the server; and starts it again on the same port and data. */
  stop: () => Promise<void>;
  start: () => Promise<void>;
  /** All that the server has printed since it was started last. */
  said: () => string;
}

/**
 * A copy of the demo data, gone again afterwards. Nothing of it is needed then: no time is spent on closing
 * the database.
 */
async function onACopy(use: (folder: string) => Promise<Running>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-journey-'));
  cpSync(templateFolder, folder, { recursive: true });
  const last = await use(folder);
  await last.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
}

/** Gives the pages of a browser the hour of the journey. */
export async function onTheEvening(context: BrowserContext): Promise<BrowserContext> {
  await context.addInitScript(shiftClockBy, shiftMs());
  return context;
}

/** For journeys that kill the server: the product as people start it, on data of its own. */
export const ownHouseTest = base.extend<{ house: House; settings: Record<string, string> }>({
  settings: [{}, { option: true }],
  house: async ({ settings }, use) => {
    await onACopy(async (folder) => {
      const start = (port = '0') => startServer({ TALLY_DATA: folder, PORT: port, ...settings });
      let running = await start();
      await use({
        url: () => running.url,
        said: () => running.said(),
        restart: async () => {
          await running.kill('SIGKILL');
          running = await start(new URL(running.url).port);
        },
        stop: async () => void (await running.kill('SIGKILL')),
        start: async () => {
          running = await start(new URL(running.url).port);
        },
      });
      return running;
    });
  },
  baseURL: async ({ house }, use) => use(house.url()),
  context: async ({ context }, use) => use(await onTheEvening(context)),
});

/**
 * A page of the house that is none of the product's: here a tab waits, with no work of the last journey in
 * it.
 */
export const WAITING = '/mark.svg';
const isWaiting = (page: Page) => page.url() === 'about:blank' || new URL(page.url()).pathname === WAITING;

/** By so much of itself a screen may move while it comes: the browser's own measure. */
const MOST_SHIFT = 0.02;
/** Sums up in the page by how much it moves of itself: until somebody does something with it. */
function watchShifts(): void {
  let sum = 0;
  Object.defineProperty(window, 'shifted', { get: () => sum });
  const observer = new PerformanceObserver((list) => {
    for (const { value } of list.getEntries() as unknown as { value: number }[]) sum += value;
  });
  observer.observe({ type: 'layout-shift', buffered: true });
  for (const done of ['pointerdown', 'keydown', 'input', 'resize', 'popstate'])
    addEventListener(done, () => observer.disconnect(), { capture: true, once: true });
}

/** Waits there, with nothing kept on the device, as a browser that has never been here. */
async function leave(page: Page): Promise<void> {
  for (const other of page.context().pages()) if (other !== page) await other.close();
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.goto(WAITING);
  await page.evaluate(() => sessionStorage.clear());
  const device = await page.context().newCDPSession(page);
  await device.send('Storage.clearDataForOrigin', {
    origin: new URL(page.url()).origin,
    storageTypes: 'all',
  });
  await device.detach();
  await page.context().clearCookies();
  await page.emulateMedia({ media: null });
  await page.mouse.move(0, 0);
}

/**
 * Each other journey finds the demo data as it was at the first start, or nothing at all, in one house a
 * worker; and in one tab, which knows the program's code by then: a new one takes twice the time of a core
 * for each first load.
 */
export const test = base.extend<{ empty: boolean }, { shared: Running; tab: Page }>({
  empty: [false, { option: true }],
  shared: [
    // oxlint-disable-next-line no-empty-pattern -- as above
    async ({}, use) => {
      await onACopy(async (folder) => {
        const running = await startServer({}, ['--import', 'tsx', 'e2e/serve.ts', folder]);
        await use(running);
        return running;
      });
    },
    { scope: 'worker' },
  ],
  tab: [
    async ({ browser, shared }, use, { project }) => {
      const { contextOptions, viewport } = project.use;
      const options: BrowserContextOptions = { ...contextOptions, viewport, baseURL: shared.url };
      const context = await onTheEvening(await browser.newContext(options));
      await context.addInitScript(watchShifts);
      await use(await context.newPage());
      await context.close();
    },
    { scope: 'worker' },
  ],
  // A screen that is touched is another device.
  context: async ({ tab, browser, baseURL, viewport, hasTouch, contextOptions }, use) => {
    if (!hasTouch) return use(tab.context());
    const context = await onTheEvening(
      await browser.newContext({ ...contextOptions, viewport, hasTouch, baseURL }),
    );
    await use(context);
    await context.close();
  },
  page: async ({ tab, context, viewport }, use, { expectedStatus, title }) => {
    if (context !== tab.context()) return use(await context.newPage());
    if (viewport) await tab.setViewportSize(viewport);
    await use(tab);
    // What stood there when it failed is gone with the next journey.
    if (base.info().status !== expectedStatus)
      console.log(`${title}\n${await tab.locator('body').innerText()}`);
    const moved = await tab.evaluate(() => Reflect.get(window, 'shifted') as number);
    expect(moved, `${new URL(tab.url()).pathname} moves while it comes`).toBeLessThan(MOST_SHIFT);
    await leave(tab);
  },
  baseURL: async ({ shared, empty }, use) => {
    const done = once(shared.child, 'message');
    shared.child.send({ empty });
    await done;
    await use(shared.url);
  },
});

/** Goes to a screen as the back button would, without loading the app anew. */
export async function visit(page: Page, path: string): Promise<void> {
  if (isWaiting(page)) await page.goto(path);
  else
    await page.evaluate((to) => {
      document.querySelector('main')?.setAttribute('data-left', '');
      window.history.pushState(null, '', to);
      window.dispatchEvent(new PopStateEvent('popstate'));
    }, path);
  await expect(page).toHaveURL((url) => url.pathname === path);
  // Until the router has brought the new screen, or, where stations of one outing share their main, marks it
  // as the one shown.
  await page
    .locator('main:not([data-left])')
    .or(
      page.locator(
        `main[data-left] a[aria-current="page"][href="${path}"], nav a[aria-current="page"][href="${path}"]`,
      ),
    )
    .first()
    .waitFor({ state: 'attached' });
  await expect(page.getByText('Reading.', { exact: true }).filter({ visible: true })).toHaveCount(0);
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

/**
 * The first hour of the table, which begins with the launch: a new outing is launched at first light,
 * whenever that is.
 */
export async function firstHour(page: Page): Promise<string> {
  const hours = page.getByRole('table', { name: 'Conditions by the hour' }).getByRole('rowheader');
  return (await hours.first().innerText()).slice(0, 5);
}

/** Nothing is wider than the screen; asked again until it has been laid out anew for a narrower one. */
export async function notWide(page: Page, where?: string): Promise<void> {
  const wide = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  await expect.poll(wide, where).toBeLessThanOrEqual(0);
}

/** Types into a field and goes on from it: then its value is taken. */
export async function put(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.blur();
}

/** Waits until the newest change is kept. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^kept at/ })).toBeVisible();
}

/**
 * Takes what settles many in one press, then carries out the first repair in the margin again and again until
 * no Stop and no Mind offers one.
 */
export async function repairAll(page: Page): Promise<void> {
  const margin = page.getByRole('complementary', { name: 'Margin' });
  const folded = margin.locator('details:not([open]) > summary');
  const together = margin.getByRole('button', { name: /^Settle \d+: add these/ });
  if ((await together.count()) > 0) await together.click();
  for (let i = 0; i < 40; i += 1) {
    if ((await folded.count()) > 0) await folded.first().click();
    const open = margin.getByRole('listitem').filter({ hasText: /^(Stop|Mind)/ });
    const repair = open.getByRole('button').filter({ hasNotText: 'Accept, and say why' });
    if ((await repair.count()) === 0) return;
    const before = await margin.innerText();
    await repair.first().click();
    await expect(margin).not.toHaveText(before, { useInnerText: true });
  }
}

/** Says from the water that one is afloat: far from the planned hour it is asked whether that is meant. */
export async function sayAfloat(water: Locator): Promise<void> {
  await water.getByRole('button', { name: 'Afloat now' }).click();
  const sure = water.getByRole('button', { name: 'Yes, afloat now' });
  if (await sure.isVisible()) await sure.click();
}
