import type { Page } from '@playwright/test';
import { expect, notWide, test, visit } from './house';

const keeping = (page: Page) => page.getByRole('region', { name: 'Export and import' });
const comesIn = (page: Page) => page.getByRole('dialog', { name: 'What to import' });
const note = async (page: Page, id: string) =>
  ((await (await page.request.get(`/api/items/${id}`)).json()) as { doc?: { note: string } }).doc?.note;

async function written(page: Page): Promise<string> {
  const file = page.waitForEvent('download');
  await keeping(page).getByRole('link', { name: 'Export' }).click();
  return (await file).path();
}
async function change(page: Page, id: string, more: object): Promise<void> {
  const { version, doc } = (await (await page.request.get(`/api/items/${id}`)).json()) as {
    version: number;
    doc: object;
  };
  await page.request.put(`/api/items/${id}`, { data: { version, doc: { ...doc, ...more } } });
}

/** A file that is no bundle is said so and changes nothing; a backup is made and its hour shown. */
async function noBundle(page: Page): Promise<void> {
  await keeping(page)
    .getByLabel('A bundle to look at')
    .setInputFiles({ name: 'letter.zip', mimeType: 'application/zip', buffer: Buffer.from('a letter') });
  await expect(keeping(page).getByRole('alert')).toHaveText('The file is no whole zip archive.');
  const backups = page.getByRole('region', { name: 'Backups' });
  await expect(backups.getByRole('status')).toContainText('The first backup is made within a few minutes');
  await backups.getByRole('button', { name: 'Back up now' }).click();
  await expect(backups.getByRole('status')).toContainText(/^The last: .* kB\. One is kept/);
}

/** A file of chosen parts is written, looked at after changes, brought in, and taken back. */
async function chosenParts(page: Page): Promise<void> {
  for (const part of ['Your profile', 'Boats', 'Waters', 'Species of your own', 'Rule packs'])
    await keeping(page).getByRole('checkbox', { name: part }).uncheck();
  const file = await written(page);
  await change(page, 'radio', { note: 'written here since' });
  await page.request.delete('/api/items/compass?version=1');

  await keeping(page).getByLabel('A bundle to look at').setInputFiles(file);
  await expect(comesIn(page).getByRole('checkbox', { name: 'Deck compass, item' })).toBeChecked();
  const clash = comesIn(page).getByRole('region', { name: 'Changed here' });
  await expect(clash.getByRole('checkbox', { name: /^Handheld radio/ })).not.toBeChecked();
  expect(await note(page, 'compass')).toBeUndefined();
  await clash.getByRole('checkbox', { name: /^Handheld radio/ }).check();
  await comesIn(page).getByRole('button', { name: 'Import 2' }).click();
  await expect(page.getByText('Imported: 2 documents.')).toBeVisible();
  expect(await note(page, 'compass')).toBeDefined();
  expect(await note(page, 'radio')).not.toBe('written here since');

  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Taken back: it is as it was.')).toBeVisible();
  expect(await note(page, 'compass')).toBeUndefined();
  expect(await note(page, 'radio')).toBe('written here since');
}

test('a backup is made, and a file of chosen parts is written, brought in again after changes, and taken back', async ({
  page,
}) => {
  await visit(page, '/settings/data');
  await noBundle(page);
  await chosenParts(page);
});

test.describe('in an empty house', () => {
  test.use({ empty: true });
  test('on a phone, the file of an empty house brings nothing in, and nothing is wider than the screen', async ({
    page,
  }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await visit(page, '/settings/data');
    const file = await written(page);
    await keeping(page).getByLabel('A bundle to look at').setInputFiles(file);
    await expect(comesIn(page).getByRole('button', { name: 'Import the records' })).toBeDisabled();
    await comesIn(page).getByRole('button', { name: 'Leave it' }).click();
    await expect(comesIn(page)).toBeHidden();
    await notWide(page);
  });
});
