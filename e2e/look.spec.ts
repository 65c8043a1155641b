import type axe from 'axe-core';
import type { Page } from '@playwright/test';
import { expect, test, visit } from './house';

const themes = ['paper', 'dark', 'half-light'] as const;
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
];

// Of colours the palettes are checked by themselves, in units: contrast is asked of the screens that draw, in each theme.
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
// Of all its rules only contrast asks what theme it is: the others are asked in one theme. It takes most of the time.
async function clean(page: Page, where: string, theme: (typeof themes)[number], drawn = true): Promise<void> {
  const without = Object.fromEntries(ofColour.map((rule) => [rule, { enabled: false }]));
  const rules = theme === 'paper' ? (drawn ? {} : { rules: without }) : { runOnly: ofColour };
  const found = await page.evaluate(
    async (asked) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, asked);
      return violations.flatMap(({ id, nodes }) => nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`));
    },
    { ...rules, resultTypes: ['violations'] } satisfies axe.RunOptions,
  );
  expect(found, where).toEqual([]);
}

for (const theme of themes)
  test(`axe finds nothing on any screen in the ${theme} theme`, async ({ page }) => {
    await page.addInitScript({ path: 'node_modules/axe-core/axe.min.js' });
    await page.addInitScript((name) => localStorage.setItem('tally-theme', name), theme);
    for (const screen of screens.filter((one) => theme === 'paper' || themed.has(one))) {
      await visit(page, screen);
      await clean(page, screen, theme, themed.has(screen));
    }
    if (theme !== 'paper') return;
    await visit(page, '/outings/zander-dusk/brief');
    await page.getByRole('button', { name: 'Launch:' }).click();
    await expect(page.getByRole('dialog', { name: 'Launch' })).toBeVisible();
    await clean(page, 'a blank', theme);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Better hours' }).click();
    await expect(page.getByRole('button', { name: /^\d\d:\d\d: / }).first()).toBeVisible();
    await clean(page, 'better hours', theme);
    await visit(page, '/outings/zander-dusk/kit');
    await page.getByRole('button', { name: /^Be seen at night/ }).click();
    await page.getByRole('button', { name: 'Choose from the locker' }).click();
    await expect(page.getByRole('dialog', { name: 'From the locker' })).toBeVisible();
    await clean(page, 'the locker picker', theme);
    await visit(page, '/locker');
    await page.getByRole('button', { name: 'Add an item' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean(page, 'an item’s form', theme);
  });

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('nothing is wider than the screen, and the walk-round’s buttons are big', async ({ page }) => {
    for (const screen of screens) {
      await visit(page, screen);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide, screen).toBeLessThanOrEqual(0);
    }
    await visit(page, '/outings/zander-dusk/walk-round');
    for (const name of ['Good', 'Fault', 'Not here', '‹ Back', 'Leave for later ›'])
      expect(
        (await page.getByRole('button', { name, exact: true }).boundingBox())?.height,
        name,
      ).toBeGreaterThanOrEqual(56);
    await page.getByRole('button', { name: 'Half-light' }).click();
    await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(9, 1, 1)');
    await page.getByRole('button', { name: 'Full light' }).click();
    await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(247, 244, 236)');
  });
  test('the margin opens from its bar', async ({ page }) => {
    await visit(page, '/outings/zander-dusk/kit');
    await page.getByRole('button', { name: /^Margin: \d+ Stops/ }).click();
    const margin = page.getByRole('dialog', { name: 'Margin' });
    await margin.getByText(/settled by adding/).click();
    await margin.getByRole('button', { name: /^Add Foam jacket, high back/ }).click();
    await expect(margin).not.toContainText('Buoyancy, worn');
    await margin.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('button', { name: /^Buoyancy, worn/ })).toContainText('Foam jacket, high back');
  });
});
