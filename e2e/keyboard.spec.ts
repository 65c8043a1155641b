import type { Locator, Page } from '@playwright/test';
import { tabTo } from './hands';
import { expect, firstHour, kept, test, walkRound } from './house';

async function press(page: Page, target: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press(key);
}

test('the whole way from a new outing to the signature by keyboard alone', async ({ page }) => {
  await page.goto('/');
  await press(page, page.getByRole('button', { name: 'New outing' }));
  await expect(page.getByRole('button', { name: 'Which fish:' })).toBeVisible();

  await press(page, page.getByRole('button', { name: 'Which fish:' }));
  await press(page, page.getByRole('checkbox', { name: 'Perch', exact: true }), 'Space');
  await page.keyboard.press('Escape');
  for (const [asks, first] of [
    ['Launch', 'The boathouse'],
    ['Place to fish', 'The reed bays'],
    ['Boat', 'Dunlin'],
  ] as const) {
    await press(page, page.getByRole('button', { name: `${asks}:` }));
    // The blank itself may bear the same words: it is the item of the list that has to have the focus.
    const item = page.getByRole('dialog', { name: asks }).locator('[role=menuitem]:focus');
    await expect(item).toHaveCount(1);
    for (let i = 0; i < 20 && !(await item.innerText()).startsWith(first); i += 1)
      await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog', { name: asks })).toBeHidden();
  }
  await expect(page.getByLabel('Name of the outing')).toHaveValue('Perch at the reed bays');

  await press(page, page.getByRole('button', { name: 'Write by hand' }));
  const hour = await firstHour(page);
  await tabTo(page, page.getByLabel('Water temperature'));
  await page.keyboard.type('19');
  for (const [figure, value] of [
    ['Wind', '3'],
    ['Gusts', '5'],
    ['Air', '17'],
    ['Thunder', '0'],
  ] as const) {
    await tabTo(page, page.getByRole('textbox', { name: `${figure} at ${hour}` }));
    await page.keyboard.type(value);
  }
  await press(page, page.getByRole('button', { name: `Copy ${hour} to every later hour` }));
  await kept(page);

  await press(page, page.getByRole('link', { name: /^Kit/ }));
  const margin = page.getByRole('complementary', { name: 'Margin' });
  const folded = margin.locator('details:not([open]) > summary');
  for (let i = 0; i < 40; i += 1) {
    if ((await folded.count()) > 0) await press(page, folded.first());
    const open = margin.getByRole('listitem').filter({ hasText: /^(Stop|Mind)/ });
    const repair = open.getByRole('button').filter({ hasNotText: 'Accept, and say why' });
    if ((await repair.count()) === 0) break;
    const before = await margin.innerText();
    await press(page, repair.first());
    await expect(margin).not.toHaveText(before, { useInnerText: true });
  }
  await expect(margin).not.toContainText(/\d (Stop|Mind)/);
  await kept(page);

  await press(page, page.getByRole('link', { name: /^Walk-round/ }));
  await walkRound(page);
  await tabTo(page, page.getByRole('button', { name: 'Hold to sign' }));
  await page.keyboard.down('Space');
  await expect(page.getByRole('heading', { name: 'Signed', exact: true })).toBeVisible();
  await page.keyboard.up('Space');
});

test('Ctrl+Z takes a change back and Ctrl+Shift+Z brings it again', async ({ page }) => {
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
});

test('a dialog gives the focus back to what opened it', async ({ page }) => {
  await page.goto('/outings/pollack-long-grey/brief');
  const blank = page.getByRole('button', { name: 'Fish kept:' });
  await blank.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(blank).toBeFocused();
});
