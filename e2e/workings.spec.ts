import type { Page } from '@playwright/test';
import { expect, kept, notWide, put, test, visit } from './house';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const sheet = (page: Page, name: string | RegExp) => page.getByRole('article', { name });

test('the launch moves, and the anchoring hours, the jig and the battery move with it', async ({ page }) => {
  await page.goto('/outings/ling-anchored/workings/anchor');
  const anchor = sheet(page, /^Anchor at/);
  const hours = anchor.getByRole('listitem');
  const before = await hours.allTextContents();
  await expect(margin(page)).toContainText('No anchor from');
  await page.getByRole('link', { name: 'Jig mass' }).click();
  const jig = await sheet(page, 'Jig mass').innerText();
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  await expect(sheet(page, 'Power').getByText('Charge left in').first()).toBeVisible();

  await page.getByRole('link', { name: /^Brief/ }).click();
  await page.getByRole('slider', { name: /^Launch/ }).focus();
  for (let i = 0; i < 24; i += 1) await page.keyboard.press('ArrowRight');
  await kept(page);
  await page.getByRole('link', { name: /^Workings/ }).click();
  await page.getByRole('link', { name: 'Jig mass' }).click();
  await expect.poll(async () => await sheet(page, 'Jig mass').innerText()).not.toBe(jig);
  await page.getByRole('link', { name: 'Anchor' }).click();
  await expect.poll(async () => await hours.allTextContents()).not.toEqual(before);
});

/** The sheets are worked by keyboard alone. */
async function byKeyboard(page: Page): Promise<void> {
  const spread = page.getByRole('navigation', { name: 'Sheets' }).getByRole('link', { name: /^Spread/ });
  await spread.focus();
  await page.keyboard.press('Enter');
  await expect(sheet(page, 'Trolling spread')).toBeVisible();
  const out = page.getByLabel('Rods out');
  await out.focus();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('20');
  await expect(sheet(page, 'Trolling spread')).toContainText('2.29 m');
  const keep = page.getByRole('button', { name: 'Keep for this outing' });
  await keep.focus();
  await page.keyboard.press('Enter');
  await expect(margin(page)).not.toContainText('apart in a crowd');
}

/** A number is tried, felt, put back; tried again and kept where it belongs. */
async function tryNumber(page: Page): Promise<void> {
  await visit(page, '/outings/mere-cup-day/workings/power');
  const power = sheet(page, 'Power').getByRole('region', { name: 'Old lead battery, 7 Ah' });
  await expect(power).toContainText('short by');
  const capacity = power.getByLabel('Capacity of Old lead battery, 7 Ah');
  await put(capacity, '40');
  await expect(power).toContainText('kept well, with so much to spare');
  await expect(margin(page), 'only tried: the judgement stands').toContainText('does not last the day');
  const tried = page.getByRole('region', { name: 'Tried, not kept' });
  await expect(tried).toContainText(/would be settled: Mind Old lead battery, 7 Ah does not last the day/);
  await tried.getByRole('button', { name: 'Put back' }).click();
  await expect(power).toContainText('short by');
  await expect(tried).toBeHidden();

  await put(capacity, '-3');
  await expect(power.getByRole('alert')).toContainText('A number from 0 to 100000');
  await expect(capacity).toHaveValue('-3');
  await put(capacity, '40');
  await tried.getByRole('button', { name: 'Keep on the item' }).click();
  await expect(tried).toBeHidden();
  await expect(margin(page)).not.toContainText('does not last the day');
  await page.goto('/locker');
  await page.getByLabel('Find', { exact: true }).fill('lead battery');
  await page.getByRole('button', { name: 'Old lead battery, 7 Ah' }).click();
  await expect(page.getByRole('dialog').getByLabel('Capacity', { exact: true })).toHaveValue('40');
}

test('numbers of the sheets are changed by keyboard alone, and one is tried, put back, and kept on its item', async ({
  page,
}) => {
  await page.goto('/outings/mere-cup-day/workings');
  await byKeyboard(page);
  await tryNumber(page);
});

test('a number left behind is kept or let go, and a habit of the body is counted once for every outing', async ({
  page,
}) => {
  await page.goto('/outings/zander-dusk/workings/supplies');
  const litres = sheet(page, 'Water and food').getByLabel('Litres an hour');
  await put(litres, '0.4');
  await page.getByRole('link', { name: /^Kit/ }).click();
  const asked = page.getByRole('dialog', { name: 'Keep or let go?' });
  await expect(asked).toContainText('water an hour: 0.4 L');
  await asked.getByRole('button', { name: 'Stay' }).click();
  await page.getByRole('button', { name: 'Keep for every outing' }).click();
  await expect(page.getByRole('region', { name: 'Tried, not kept' })).toBeHidden();
  await kept(page);
  await page.goto('/outings/cod-wreck/workings/supplies');
  await expect(sheet(page, 'Water and food').getByLabel('Litres an hour')).toHaveValue('0.4');
  await put(sheet(page, 'Water and food').getByLabel('Litres an hour'), '0.7');
  await page.getByRole('link', { name: /^Kit/ }).click();
  await asked.getByRole('button', { name: 'Let go' }).click();
  await expect(page).toHaveURL(/cod-wreck\/kit/);
  await visit(page, '/outings/cod-wreck/workings/supplies');
  await expect(sheet(page, 'Water and food').getByLabel('Litres an hour')).toHaveValue('0.4');
});

test('every chart has a table that says the same, and a sheet prints on one page', async ({ page }) => {
  await page.goto('/outings/cod-wreck/workings/ice');
  const ice = sheet(page, 'Ice');
  await ice.getByText('Ice by the half hour, as a table').click();
  const rows = ice.getByRole('row');
  await expect(rows.nth(1)).toHaveText(/0\.5$/);
  expect(await rows.count()).toBeGreaterThan(10);
  for (const [outing, one] of [
    ['cod-wreck', 'anchor'],
    ['cod-wreck', 'rigs'],
    ['mere-cup-day', 'power'],
    ['venn-overnight', 'supplies'],
    ['cod-wreck', 'jig'],
  ] as const) {
    await visit(page, `/outings/${outing}/workings/${one}`);
    await expect(page.getByRole('article')).toBeVisible();
    for (const format of ['A4', 'Letter']) {
      const pdf = await page.pdf({
        format,
        margin: { top: '1cm', bottom: '1cm', left: '1cm', right: '1cm' },
      });
      const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length;
      expect(pages, `${one} on ${format}`).toBe(1);
    }
  }
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('no sheet is wider than the screen, a narrow one too', async ({ page }) => {
    await page.setViewportSize({ width: 360, height: 780 });
    const sheets = ['rigs', 'jig', 'spares', 'spread', 'anchor', 'drift', 'power', 'supplies', 'ice', 'cold'];
    for (const one of [...sheets, 'rigs of plugs']) {
      const outing = one === 'rigs of plugs' ? 'pollack-long-grey' : 'ling-anchored';
      await visit(page, `/outings/${outing}/workings/${one.split(' ')[0]}`);
      await expect(
        page
          .getByRole('article')
          .or(page.getByText(/^(Say|No|Every|Nothing)/).first())
          .first(),
      ).toBeVisible();
      await notWide(page, one);
    }
  });
});
