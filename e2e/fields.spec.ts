import { expect } from '@playwright/test';
import type { Locator, Page } from '@playwright/test';
import { openBlank, test, visit } from './house';

const ID = 'ling-anchored';
/** Neither a figure, nor a day, an hour or a name that any of the fields knows. */
const NONSENSE = '99999999x?';

/** All that is kept of the outing and of what it points at, without the number of its change. */
async function keptNow(page: Page): Promise<unknown> {
  const outing = (await (await page.request.get(`/api/outings/${ID}`)).json()) as { doc: object };
  const references = (await (await page.request.get('/api/references?since=0')).json()) as object;
  return { outing: outing.doc, references: { ...references, at: 0 } };
}
/** Types what is no value into every field of figures in a part of the screen, and goes on from each. */
async function nonsenseIn(part: Locator): Promise<number> {
  const fields = part.locator('input[inputmode="decimal"]:visible:enabled');
  const many = await fields.count();
  for (let i = 0; i < many; i += 1) {
    const field = fields.nth(i);
    await field.fill(NONSENSE);
    await field.press('Tab');
  }
  return many;
}

const screens = [
  ...['', '/limits', '/ashore'].map((part) => `/settings${part}`),
  ...['shape', 'afloat', 'pace', 'incline', 'fitted', 'about'].map((part) => `/boats/little-stint/${part}`),
  ...['anchor', 'drift', 'power', 'supplies', 'cold', 'spares', 'jig'].map(
    (sheet) => `/outings/${ID}/workings/${sheet}`,
  ),
];
const blanks = ['Day', 'Launch time', 'Time home', 'Hour to call for help'];

test('what is no value changes nothing that is kept, in any field of figures and any blank', async ({
  page,
}) => {
  const before = await keptNow(page);
  let tried = 0;
  for (const screen of screens) {
    await visit(page, screen);
    tried += await nonsenseIn(page.locator('main'));
  }
  await visit(page, '/waters/ostrey-sound');
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  tried += await nonsenseIn(page.locator('main'));

  await visit(page, `/outings/${ID}/brief`);
  for (const asks of blanks) {
    const blank = await openBlank(page, asks);
    const field = blank.getByRole('textbox').first();
    await field.fill(NONSENSE);
    await field.press('Enter');
    // Refused, and said so; the blank stays open with what was typed.
    await expect(blank).toBeVisible();
    await expect(field).toHaveValue(NONSENSE);
    await page.keyboard.press('Escape');
    await expect(blank).toBeHidden();
    tried += 1;
  }
  expect(tried).toBeGreaterThan(60);
  // What was taken would be kept within the second that a save waits.
  await page.waitForTimeout(2500);
  expect(await keptNow(page)).toEqual(before);
});
