import { readFileSync } from 'node:fs';
import type axe from 'axe-core';
import type { Page } from '@playwright/test';
import { focusIsSeen } from './focus';
import { givenNames, metricIn, referencesOf } from './metric';
import { WAITING, expect, notWide, put, test, visit } from './house';

const screens = [
  '/outings',
  '/outings/zander-dusk/brief',
  '/outings/zander-dusk/kit',
  '/outings/ling-anchored/workings/anchor',
  '/outings/ling-anchored/workings/rigs',
  '/outings/mere-cup-day/workings/power',
  '/outings/venn-overnight/kit',
  '/outings/pollack-long-grey/stow',
  '/outings/cod-wreck/stow',
  '/outings/pollack-long-grey/leave-word',
  '/outings/zander-dusk/walk-round',
  '/outings/pollack-long-grey/walk-round',
  '/outings/pollack-logged/ashore',
  '/locker',
  '/boats',
  '/boats/little-stint',
  ...['shape', 'afloat', 'pace', 'incline', 'fitted', 'about'].map((part) => `/boats/little-stint/${part}`),
  '/waters',
  '/waters/ostrey-sound',
  '/reference/species/pike',
  '/reference/needs',
  '/reference/practice',
  '/reference/words',
  '/reference/rules',
  '/reference/procedures',
  '/settings',
  ...['limits', 'ashore', 'device', 'data'].map((part) => `/settings/${part}`),
];
/** Sheets are looked at by the journeys of Workings; here their figures are read. */
const sheets = [
  ...['jig', 'spares', 'spread', 'drift', 'supplies', 'ice', 'cold', 'power'].map(
    (sheet) => `/outings/ling-anchored/workings/${sheet}`,
  ),
  '/reference/limits',
];

// Of colours the palettes are checked by themselves, in units: contrast is asked of the screens that draw, in
// each theme.
const themed = new Set([
  '/outings/pollack-long-grey/leave-word',
  '/outings/cod-wreck/stow',
  '/boats/little-stint',
  '/boats/little-stint/afloat',
  '/outings/zander-dusk/brief',
  '/outings/mere-cup-day/workings/power',
  '/outings/zander-dusk/walk-round',
  '/waters/ostrey-sound',
]);

const ofColour = ['color-contrast', 'link-in-text-block'];
const source = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

const PAPER = 'rgb(247, 244, 236)';

/** A tab that has been nowhere, with a theme chosen on it, and with what looks at it. */
async function inTheme(page: Page, theme: string): Promise<void> {
  await page.goto(WAITING);
  await page.evaluate((name) => localStorage.setItem('tally-theme', name), theme);
  await visit(page, '/settings');
  const paper = expect(page.locator('body'));
  await (theme === 'paper' ? paper : paper.not).toHaveCSS('background-color', PAPER);
  await page.evaluate(`${source}; 0`);
}
/** @param within what of the page is asked, as a selector */
async function clean(page: Page, where: string, asked: axe.RunOptions, within = 'html'): Promise<void> {
  const found = await page.evaluate(
    async ({ part, options }) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(part, options);
      return violations.flatMap(({ id, nodes }) => nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`));
    },
    {
      part: within,
      options: { ...asked, resultTypes: ['violations'], preload: false } satisfies axe.RunOptions,
    },
  );
  expect(found, where).toEqual([]);
}
const withoutColour = { rules: Object.fromEntries(ofColour.map((rule) => [rule, { enabled: false }])) };

/**
 * Whether letters stand out, the dearest of its questions: asked of two of each kind of letter on each paper,
 * and of each that lies on something drawn. A table asks it of a hundred cells that are all alike.
 */
async function legible(page: Page, where: string): Promise<void> {
  const asked = await page.evaluate(() => {
    const alike = new Map<string, number>();
    const paperOf = (element: Element): string => {
      const { backgroundColor, backgroundImage } = getComputedStyle(element);
      const own = backgroundImage !== 'none' || !/^rgba\(.*, 0\)$/.test(backgroundColor);
      return own || !element.parentElement
        ? backgroundColor + backgroundImage
        : paperOf(element.parentElement);
    };
    const isDrawn = (element: Element) =>
      element.closest('svg') !== null || getComputedStyle(element).position === 'absolute';
    const isAsked = (element: Element) => {
      if (![...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim()))
        return false;
      const { color, fontSize, fontWeight, opacity } = getComputedStyle(element);
      const kind = [color, fontSize, fontWeight, opacity, paperOf(element)].join();
      const before = alike.get(kind) ?? 0;
      alike.set(kind, before + 1);
      return before < 2 || isDrawn(element);
    };
    const all = [...document.body.querySelectorAll('*')];
    for (const element of all) element.toggleAttribute('data-asked', isAsked(element));
    return document.querySelectorAll('[data-asked]').length;
  });
  expect(asked, where).toBeGreaterThan(5);
  await clean(page, where, { runOnly: ofColour }, '[data-asked]');
}

/** What is typed in the units chosen is understood, and kept as it was meant. */
async function typedUnits(page: Page): Promise<void> {
  await put(page.getByLabel('Breakers at the launch'), '20 m');
  await expect(page.getByText('Not kept: A number from 0 to 13.1 ft.')).toBeVisible();
  await put(page.getByLabel('Breakers at the launch'), '2 ft');
  await expect(page.getByText(/kept at/)).toBeVisible();
  await visit(page, '/settings');
  await expect(page.getByLabel('Mass, dressed')).toHaveValue('185.2');
  await put(page.getByLabel('Height'), "5'11");
  await expect(page.getByText(/kept at/)).toBeVisible();
  const references = await referencesOf(page);
  const profile = references.anglers.changed[0]?.doc as unknown as Profile;
  expect([profile.heightM, profile.massKg, profile.limits.breakerM]).toEqual([1.8034, 84, 0.6096]);
}
/**
 * A device that has never been here reads in the units chosen on another, from whatever page it opens first.
 */
async function readElsewhere(page: Page): Promise<void> {
  for (const [path, words] of [
    ['/outings', /\d:\d\d am to/],
    ['/outings/zander-dusk/brief', /your limit [\d.]+ mph/],
  ] as const) {
    await page.evaluate(() => localStorage.removeItem('units'));
    await page.goto(path);
    await expect(page.getByText(words).first()).toBeVisible();
  }
}
/** Signs an outing that is ready, as another window would. */
async function sign(page: Page, id: string): Promise<void> {
  const path = `/api/outings/${id}`;
  const { version } = (await (await page.request.get(path)).json()) as { version: number };
  expect((await page.request.post(`${path}/signatures`, { data: { version } })).status()).toBe(201);
}
interface Profile {
  heightM: number;
  massKg: number;
  limits: { breakerM: number };
}

test('units chosen in the settings are understood there and read on every screen; axe finds nothing on any, the focus is seen, and none is wider than a phone', async ({
  page,
}) => {
  await inTheme(page, 'paper');
  await expect(page.getByLabel('Mass, dressed')).toHaveValue('84');
  await visit(page, '/settings/limits');
  await page.getByRole('combobox', { name: 'Units' }).click();
  await page.getByRole('option', { name: 'Imperial, US' }).click();
  await typedUnits(page);
  await readElsewhere(page);
  await page.evaluate(`${source}; 0`);
  const names = await givenNames(page);
  const desk = { width: 1280, height: 800 };
  const phone = { width: 390, height: 844 };
  const looks = {
    desk: async (screen: string) => {
      await page.setViewportSize(desk);
      await clean(page, screen, withoutColour);
      if (themed.has(screen)) await legible(page, screen);
      await focusIsSeen(page, screen);
    },
    phone: async (screen: string) => {
      await page.setViewportSize(phone);
      await notWide(page, screen);
    },
  };
  // By turns, so that the screen is made wide or narrow once for each.
  let order = [looks.desk, looks.phone];
  const read: string[] = [];
  for (const screen of [...screens, ...sheets]) {
    await visit(page, screen);
    read.push(...(await metricIn(page, names)).map((line) => `${screen}: ${line}`));
    if (sheets.includes(screen)) continue;
    for (const look of order) await look(screen);
    order = order.toReversed();
  }
  await visit(page, '/outings');
  await sign(page, 'pollack-long-grey');
  await visit(page, '/outings/pollack-long-grey/walk-round');
  await expect(page.getByText('Be back by')).toBeVisible();
  read.push(...(await metricIn(page, names)).map((line) => `signed: ${line}`));
  expect(read).toEqual([]);
});

test('axe finds nothing on what opens over a screen', async ({ page }) => {
  await inTheme(page, 'paper');
  await visit(page, '/outings/zander-dusk/brief');
  await page.getByRole('button', { name: 'Launch:' }).click();
  await expect(page.getByRole('dialog', { name: 'Launch' })).toBeVisible();
  await clean(page, 'a blank', withoutColour);
  await legible(page, 'a blank');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Better hours' }).click();
  await expect(page.getByRole('button', { name: /^\d\d:\d\d: / }).first()).toBeVisible();
  await clean(page, 'better hours', withoutColour);
  await legible(page, 'better hours');
  await visit(page, '/outings/zander-dusk/kit');
  await page.getByRole('button', { name: /^Be seen at night/ }).click();
  await page.getByRole('button', { name: 'Choose from the locker' }).click();
  await expect(page.getByRole('dialog', { name: 'From the locker' })).toBeVisible();
  await clean(page, 'the locker picker', withoutColour);
  await visit(page, '/locker');
  await page.getByRole('button', { name: 'Add an item' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await clean(page, 'an item’s form', withoutColour);
});

// Of all its rules only these ask what theme it is.
for (const theme of ['dark', 'half-light'])
  test(`letters stand out on what is drawn, in the ${theme} theme`, async ({ page }) => {
    await inTheme(page, theme);
    for (const screen of themed) {
      await visit(page, screen);
      await legible(page, screen);
      await focusIsSeen(page, screen);
    }
  });

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the strip is not cut, the walk-round’s buttons are big, and the margin opens from its bar', async ({
    page,
  }) => {
    await visit(page, '/outings/pollack-long-grey/brief');
    await expect(page.getByRole('slider', { name: 'Home by' })).toBeVisible();
    const strip = await page.getByRole('region', { name: 'The day on one line' }).boundingBox();
    expect((strip?.x ?? 0) + (strip?.width ?? 999)).toBeLessThanOrEqual(390);
    await expect(page.getByRole('table', { name: 'Passage, leg by leg' })).toBeVisible();
    await visit(page, '/outings/zander-dusk/walk-round');
    for (const name of ['Good', 'Fault', 'Not here', '‹ Back', 'Leave for later ›'])
      expect(
        (await page.getByRole('button', { name, exact: true }).boundingBox())?.height,
        name,
      ).toBeGreaterThanOrEqual(56);
    await page.getByRole('button', { name: 'Half-light' }).click();
    await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(9, 1, 1)');
    await page.getByRole('button', { name: 'Full light' }).click();
    await expect(page.locator('body')).toHaveCSS('background-color', PAPER);

    // The margin opens from its bar.
    await visit(page, '/outings/zander-dusk/kit');
    await page.getByRole('button', { name: /^Margin: \d+ Stops/ }).click();
    const margin = page.getByRole('dialog', { name: 'Margin' });
    await margin.getByText(/settled by adding/).click();
    await margin.getByRole('button', { name: /^Add Foam jacket, high back/ }).click();
    // What was done is said at the head, away from what is pressed, and what lies under it can be pressed.
    const words = page.locator('[role=alert]').filter({ hasText: 'Foam jacket' });
    // In one step, since it goes by itself.
    const said = await words.evaluate((one) => ({
      events: getComputedStyle(one).pointerEvents,
      bottom: one.getBoundingClientRect().bottom,
    }));
    expect(said.events).toBe('none');
    expect(said.bottom).toBeLessThan(120);
    await expect(margin).not.toContainText('Buoyancy, worn');
    await margin.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('button', { name: /^Buoyancy, worn/ })).toContainText(
      'Foam jacket, high back',
    );
  });
  test('a calendar opens within the screen, and what leads on from the margin closes it', async ({
    page,
  }) => {
    await visit(page, '/outings/zander-dusk/brief');
    await page.getByRole('button', { name: /^Day:/ }).click();
    await page.getByRole('button', { name: 'Day: calendar' }).click();
    const calendar = page.getByRole('grid');
    await expect(calendar).toBeVisible();
    const box = await calendar.boundingBox();
    expect(box?.x ?? -1).toBeGreaterThanOrEqual(0);
    expect((box?.x ?? 999) + (box?.width ?? 999)).toBeLessThanOrEqual(390);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    // Before a kit is begun the proposal leads.
    const path = '/api/outings/zander-dusk';
    const { version, doc } = (await (await page.request.get(path)).json()) as {
      version: number;
      doc: object;
    };
    expect((await page.request.put(path, { data: { version, doc: { ...doc, loadout: [] } } })).status()).toBe(
      200,
    );
    await page.goto('/outings/zander-dusk/kit');
    await page.getByRole('button', { name: /^Margin: / }).click();
    const margin = page.getByRole('dialog', { name: 'Margin' });
    await margin.getByRole('link', { name: /^Propose a loadout/ }).click();
    await expect(margin).toBeHidden();
    await expect(page.getByRole('heading', { name: 'Proposed changes' })).toBeVisible();
  });
});
