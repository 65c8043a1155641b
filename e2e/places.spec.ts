import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test, visit } from './house';

test('an outing is copied to another day, deleted, and brought back; an address that leads nowhere says so', async ({
  page,
}) => {
  await page.goto('/outings');
  await page.getByRole('button', { name: 'Again: Zander at dusk' }).click();
  await page
    .getByRole('menuitem', { name: /^Saturday/u })
    .first()
    .click();
  const name = page.getByLabel('Name of the outing');
  await expect(name).toHaveValue(/^Zander.* at /u);
  await expect(page.getByText(/^As it was: the brief/u)).toBeVisible();
  const made = await name.inputValue();
  expect(made).not.toBe('Zander at dusk');
  await page.getByRole('link', { name: 'Outings' }).click();
  const row = page.getByRole('listitem').filter({ hasText: made });
  await row.getByRole('button', { name: 'Delete' }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();

  await visit(page, '/outings/not-there/brief');
  await expect(page.getByRole('heading', { name: 'Nothing is kept here' })).toBeVisible();
  await page.getByRole('link', { name: 'To the outings' }).click();
  await expect(page.getByRole('heading', { name: 'Outings' })).toBeVisible();
});

/** An item comes with the usual figures of its kind; bad figures say why and lose nothing. */
async function addItem(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add an item' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Kind', { exact: true }).fill('Throw');
  await page.getByRole('option', { name: 'Throw line' }).click();
  await expect(form.getByLabel('Length', { exact: true })).toHaveValue('15');
  await form.getByLabel('Your name for it').fill('');
  await form.getByLabel('Mass of one').fill('heavy');
  // A stray press beside it takes nothing away that was typed.
  await page.mouse.click(5, 400);
  await expect(form.getByText('Something is typed here: keep it, or cancel.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(form.getByLabel('Mass of one')).toHaveValue('heavy');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByText('Give it a name.')).toBeVisible();
  await expect(form.getByText('A number from 0 to 120 kg.')).toBeVisible();
  await expect(form.getByLabel('Mass of one')).toHaveValue('heavy');
  await form.getByLabel('Your name for it').fill('Second throw line');
  await form.getByLabel('Mass of one').fill('0,7');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form).toBeHidden();
  await page.getByLabel('Find').fill('second throw');
  await expect(page.getByRole('row', { name: /Second throw line/ })).toContainText('700 g');
}

/** A file is shown before it is kept, its bad line told; written out and read back it is nothing new. */
async function readFile(page: Page): Promise<void> {
  await page.getByLabel('Find').fill('');
  await page.getByLabel('Locker file').setInputFiles({
    name: 'mine.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'name,kind,quantity,massKg\n=1+1,whistle,2,0.03\nBoat,submarine,1,1\nLong pump,Hand pump,1,"0,8"',
    ),
  });
  const dialog = page.getByRole('dialog', { name: 'mine.csv' });
  await expect(dialog).toContainText('2 things can be taken. Nothing is kept yet.');
  await expect(dialog).toContainText('Line 3: "submarine" is no kind of gear. Left out.');
  await dialog.getByRole('button', { name: 'Keep them' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('row', { name: /Long pump/ })).toContainText('800 g');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Write CSV' }).click(),
  ]);
  const written = readFileSync(await file.path(), 'utf8');
  expect(written).toContain("'=1+1,whistle,2");
  // The same file read back is nothing new; a figure changed in it changes that thing alone, and can be taken
  // back.
  const readBack = async (text: string) => {
    await page
      .getByLabel('Locker file')
      .setInputFiles({ name: 'back.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    return page.getByRole('dialog', { name: 'back.csv' });
  };
  const again = await readBack(written);
  await expect(again).toContainText(
    '146 of them are in the locker already, by kind and name; 146 are the same',
  );
  await expect(again).toContainText('Nothing would be new.');
  await again.getByRole('button', { name: 'Cancel' }).click();
  const heavier = await readBack(written.replace(/^(Long pump,[a-z-]+,1),0\.8/m, '$1,0.95'));
  await expect(heavier).toContainText('1 changed:');
  await heavier.getByRole('button', { name: 'Keep them' }).click();
  await expect(page.getByRole('row', { name: /Long pump/ })).toContainText('950 g');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /Long pump/ })).toContainText('800 g');
}

test('an item is added by its form, and more by a CSV file', async ({ page }) => {
  await page.goto('/locker');
  await addItem(page);
  await readFile(page);
});
