import { expect, kept, test, visit } from './house';

test('Ctrl+Z takes a change back and Ctrl+Shift+Z brings it again; a dialog gives the focus back to what opened it', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/kit');
  const leave = page.getByRole('button', { name: 'Leave ashore: Hat with a cord' });
  await leave.click();
  await expect(leave).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(leave).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(leave).toBeHidden();
  await kept(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Stay alive' })).toBeVisible();
  await expect(leave).toBeHidden();

  await visit(page, '/outings/pollack-long-grey/brief');
  const blank = page.getByRole('button', { name: 'Fish kept:' });
  await blank.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(blank).toBeFocused();
});
