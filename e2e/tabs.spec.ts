import type { Page } from '@playwright/test';
import { expect, kept, openBlank, put, test, visit } from './house';

const brief = '/outings/pollack-long-grey/brief';

/** Both changes are kept, and the second window is told. */
async function differentThings(page: Page, other: Page): Promise<void> {
  for (const tab of [page, other]) await tab.goto(brief);
  await expect(other.getByLabel('Name of the outing')).toBeVisible();
  await page.getByRole('button', { name: 'Write by hand' }).click();
  await put(page.getByLabel('Water temperature'), '12.5');
  await kept(page);
  const party = await openBlank(other, 'Party');
  await party.getByRole('button', { name: 'People, you included: one more' }).click();
  await party.getByRole('button', { name: 'Done' }).click();
  await expect(other.getByText('changed in another window')).toBeVisible();
  await kept(other);
  await other.getByRole('button', { name: 'Write by hand' }).click();
  await expect(other.getByLabel('Water temperature')).toHaveValue('12.5');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Party: two together' })).toBeVisible();
  await page.getByRole('button', { name: 'Write by hand' }).click();
  await expect(page.getByLabel('Water temperature')).toHaveValue('12.5');
}

/** The second window is shown both, and chooses. */
async function sameThing(page: Page, other: Page): Promise<void> {
  await page.getByLabel('Name of the outing').fill('From the first window');
  await kept(page);
  await other.getByLabel('Name of the outing').fill('From the second window');
  const dialog = other.getByRole('dialog', { name: 'Changed in two windows' });
  await expect(dialog).toContainText('From the first window');
  await expect(dialog).toContainText('From the second window');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await kept(other);
  await page.reload();
  await expect(page.getByLabel('Name of the outing')).toHaveValue('From the second window');
}

/** A boat saves itself in each, and only where both changed one thing is anything asked. */
async function aBoat(page: Page, other: Page): Promise<void> {
  const status = (tab: Page) => tab.getByRole('status').filter({ hasText: /kept at/ });
  for (const tab of [page, other]) {
    await visit(tab, '/boats/dunlin/about');
    await expect(tab.getByLabel('Rated load, all told')).toHaveValue('160');
  }
  await put(page.getByLabel('Rated load, all told'), '150');
  await expect(status(page)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Rated load, all told')).toHaveValue('160');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(status(page)).toBeVisible();
  await page.getByRole('link', { name: 'All boats' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Dunlin' })).toContainText('150 kg');
  await other.getByLabel('Colour, as seen from afar').fill('orange');
  await put(other.getByLabel('Rated load, all told'), '140');
  const asked = other.getByRole('dialog', { name: 'Changed in two windows' });
  await expect(asked).toContainText('The rated load');
  await expect(asked).not.toContainText('olour');
  await asked.getByRole('button', { name: 'Keep mine' }).click();
  await expect(status(other)).toBeVisible();
  await other.getByRole('link', { name: 'All boats' }).click();
  await expect(other.getByRole('listitem').filter({ hasText: 'Dunlin' })).toContainText('140 kg');
}

test('two windows change an outing in different things and in the same, then a boat', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  await differentThings(page, other);
  await sameThing(page, other);
  await aBoat(page, other);
});

test('a page that was open through an update says so, opens what it has, and for what it lacks offers the newer version', async ({
  page,
}) => {
  await visit(page, '/outings/zander-dusk/kit');
  await expect(page.getByRole('heading', { name: 'Stay alive' })).toBeVisible();
  // The server is updated: it names another build, and has no file of this one any more.
  await page.route('**/api/**', async (route) => {
    const reply = await route.fetch();
    await route.fulfill({ response: reply, headers: { ...reply.headers(), 'x-tally-build': 'another' } });
  });
  await page.route('**/assets/**', (route) => route.fulfill({ status: 404, body: '' }));
  await page.getByRole('button', { name: 'Leave ashore: Whistle on the jacket' }).click();
  await expect(
    page.getByText('A newer version of the program is here. What you wrote is kept.'),
  ).toBeVisible();
  await kept(page);
  const stations = page.getByRole('navigation', { name: 'Stations' });
  await stations.getByRole('link', { name: /^Ashore/ }).click();
  await expect(page.getByRole('heading', { name: 'A newer version of the program is here' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Load the newer version' })).toBeVisible();
  await expect(page.getByText('failed')).toHaveCount(0);
  // What is around it stays, and the screen before it is there again.
  await expect(stations).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { name: 'Stay alive' })).toBeVisible();
});
