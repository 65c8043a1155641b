import { expect, kept, put, test } from './house';

test('what an outing came to is written, kept, and teaches the next', async ({ page }) => {
  await page.goto('/outings/cod-wreck/ashore');
  await page.getByRole('button', { name: 'Begin the log' }).click();
  await page.getByLabel('Launched at').fill('08:00');
  await page.getByLabel('Landed at').fill('12:00');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^4 h afloat/)).toBeVisible();

  const things = page.getByRole('region', { name: 'What was aboard' });
  const jigs = things.getByRole('group', { name: 'Jig box' });
  await jigs.getByRole('button', { name: 'lost' }).click();
  const pieces = things.getByLabel('Pieces of Jig box lost');
  await put(pieces, '3');
  await things.getByRole('group', { name: 'Orange flag' }).getByRole('button', { name: 'broken' }).click();
  await things.getByRole('button', { name: /^The other \d+: carried/ }).click();
  await expect(things.getByRole('button', { name: /^The other/ })).toBeHidden();
  await expect(
    page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Ashore/ }),
  ).toContainText(/(\d+) of \1/);

  const fish = page.getByRole('region', { name: 'Fish caught' });
  await put(fish.getByLabel('Length, if measured'), '900');
  await expect(fish.getByText('A number from 1 to 600 cm.')).toBeVisible();
  await fish.getByRole('button', { name: 'Add the fish' }).click();
  await expect(fish.getByRole('listitem')).toHaveCount(0);
  await put(fish.getByLabel('Length, if measured'), '72,5');
  await fish.getByLabel('kept').check();
  await fish.getByRole('button', { name: 'Add the fish' }).click();
  await expect(fish.getByRole('listitem')).toContainText('Cod, 72.5 cm, kept');
  const missed = page.getByRole('region', { name: 'Missed' });
  await missed.getByLabel('What would have helped').fill('A thicker glove');
  await page.keyboard.press('Enter');
  await expect(missed.getByRole('listitem')).toContainText('A thicker glove');
  await kept(page);

  // The same box lost three in last week’s log: seven hours and more together.
  const learnt = page.getByRole('region', { name: 'What the tally learnt' });
  const lost = learnt.getByRole('listitem').filter({ hasText: 'Jig box: six lost' });
  await lost.getByRole('button', { name: 'Keep as its loss rate' }).click();
  await expect(lost).toContainText('as kept on it');
  const broken = learnt.getByRole('listitem').filter({ hasText: 'broke' });
  await broken.getByRole('button', { name: 'Put it under repair' }).click();
  await expect(broken).toBeHidden();

  await page.reload();
  await expect(jigs.getByRole('button', { name: 'lost' })).toHaveAttribute('aria-pressed', 'true');
  await expect(pieces).toHaveValue('3');
  await page.getByRole('link', { name: /^Outings/ }).click();
  const row = page
    .getByRole('listitem')
    .filter({ hasText: 'Cod' })
    .filter({ hasText: 'Logged: 1 fish, 2 lost or broken' });
  await expect(row).toBeVisible();
});
