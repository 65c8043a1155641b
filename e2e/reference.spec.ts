import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test, visit } from './house';

/** A fish is found by its continent, read, and linked by its address. */
async function findFish(page: Page): Promise<void> {
  await page.getByLabel('Find a fish or a continent').fill('africa');
  await page.getByRole('link', { name: 'Tigerfish' }).click();
  await expect(page).toHaveURL(/\/reference\/species\/tigerfish$/);
  await expect(page.getByRole('heading', { name: 'Tigerfish' })).toBeVisible();
  await expect(page.getByText('Mind the hand:')).toBeVisible();
  await expect(page.getByText('no record and no rule')).toBeVisible();
  await page.getByLabel('Find a fish or a continent').fill('unicorn');
  await expect(page.getByRole('status')).toHaveText('None fits these words. Shorten them.');
}

/** A reversed range is said at its field; the kept fish is the one then open. */
async function ownFish(page: Page): Promise<void> {
  await page.getByLabel('Find a fish or a continent').fill('bonefish');
  await page.getByRole('link', { name: 'Bonefish' }).click();
  await page.getByRole('button', { name: /^A fish of your own/ }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Its name').fill('Cay bonefish');
  await form.getByLabel('Line, from').fill('12');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByText('The second must not be smaller than the first.')).toBeVisible();
  await expect(form.getByLabel('Line, to')).toBeFocused();
  await expect(form.getByLabel('Line, from')).toHaveValue('12');
  await form.getByLabel('Line, from').fill('5');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('heading', { name: 'Cay bonefish' })).toBeVisible();
}

test('a fish is found and read, and one of one’s own is made like another', async ({ page }) => {
  await page.goto('/reference');
  await findFish(page);
  await ownFish(page);
});

/** A rule bites in the outing; written out, it is read back beside the other. */
async function writeRule(page: Page): Promise<void> {
  const pack = page.getByRole('region', { name: 'Ostrey coast rules' });
  await pack.getByRole('button', { name: 'Edit Ostrey coast rules' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Another rule').click();
  await page.getByRole('option', { name: 'How many rods' }).click();
  await form.getByRole('button', { name: 'Add', exact: true }).click();
  await form.getByLabel('At most').last().fill('0');
  await form.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(form.getByText('A whole number from 1 to 20.', { exact: true })).toBeVisible();
  await form.getByLabel('At most').last().fill('1');
  await form.getByLabel('Where it stands').last().fill('Byelaw 99');
  await form.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(form).toBeHidden();
  await expect(pack).toContainText('At most one rod. Byelaw 99');

  await visit(page, '/outings/pollack-long-grey/kit');
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText(
    'Two rods aboard, one allowed',
  );
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText(
    'Confirm with the authority.',
  );

  await visit(page, '/reference/rules');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Write out Ostrey coast rules' }).click(),
  ]);
  const text = readFileSync(await file.path(), 'utf8');
  const send = (buffer: string, name = 'pack.json') =>
    page
      .getByLabel('Rule pack file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(buffer) });
  await send('{"format": "rule-pack/1"');
  await expect(page.getByRole('alert')).toContainText('is no JSON');
  await send('{"format": "rule-pack/1", "rules": 3}');
  await expect(page.getByRole('alert')).toContainText('is no rule pack');
  await send(text.replace('Ostrey coast rules', 'Ostrey rules, read'));
  await expect(page.getByRole('region', { name: 'Ostrey rules, read' })).toContainText('Byelaw 99');
  await expect(page.getByRole('region', { name: 'Ostrey coast rules' })).toBeVisible();
}

/** A rule of how much is asked in its own unit, and a size window that is none is refused. */
async function ruleOfHowMuch(page: Page): Promise<void> {
  await visit(page, '/reference/rules');
  await page.getByRole('button', { name: 'New pack' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Name of the pack').fill('Trial byelaws');
  await form.getByLabel('Authority').fill('Trial Board');
  await form.getByRole('button', { name: 'Add' }).click();
  await form.getByLabel('What', { exact: true }).click();
  await page.getByRole('option', { name: 'Drinking water' }).click();
  await form.getByLabel('How much, if it says so').fill('3');
  await form.getByLabel('Another rule').click();
  await page.getByRole('option', { name: 'From what size a fish may be kept' }).click();
  await form.getByRole('button', { name: 'Add' }).click();
  await form.getByLabel('To, if it says so').fill('0.3');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByText('Longer than the length it begins at, or leave it empty.')).toBeVisible();
  await form.getByLabel('To, if it says so').fill('0.6');
  await form.getByRole('button', { name: 'Keep' }).click();
  const pack = page.getByRole('region', { name: 'Trial byelaws' });
  await expect(pack).toContainText('Drinking water, always, at least 3 L.');
  await expect(pack).toContainText('kept only from 40 cm to 60 cm');
}

test('rules are written, bite in the outing, and are read back', async ({ page }) => {
  await page.goto('/reference/rules');
  await writeRule(page);
  await ruleOfHowMuch(page);
});

/** A need with what would meet it, and the schools with their reasons. */
async function lookUpNeed(page: Page): Promise<void> {
  await page.getByLabel('Find a need or a thing').fill('drysuit');
  await expect(page.getByRole('status')).toHaveText('3 needs');
  await page.getByText('Dressed for the water').click();
  await expect(page.getByText('Without it: In water this cold, hands stop working')).toBeVisible();
  await expect(
    page.getByText(/^What counts: a drysuit, or a wetsuit of the thickness: 3 mm from 15 °C/),
  ).toBeVisible();
  await expect(page.getByText(/^In the locker: .*Drysuit/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Limits' }).click();
  await expect(page.getByRole('row', { name: /^Advanced water · yours/ })).toContainText('10.7 m/s');
  await page.getByRole('link', { name: 'Practice' }).click();
  const jacket = page.getByRole('region', { name: 'Life jacket' });
  await expect(jacket.getByRole('listitem').filter({ hasText: 'Foam' })).toContainText('yours');
}

/** A word of the field explains itself on focus, where it stands and in a list. */
async function lookUpWord(page: Page): Promise<void> {
  await visit(page, '/outings/ling-anchored/workings/anchor');
  // Whoever goes by keyboard: a press before says so.
  await page.keyboard.press('Tab');
  await page.getByText('scope', { exact: true }).first().focus();
  await expect(page.getByRole('tooltip')).toContainText('Length of rode for each metre');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('tooltip')).toBeHidden();
  await visit(page, '/reference/words');
  await expect(
    page.getByRole('definition').filter({ hasText: 'Length of rode for each metre' }),
  ).toBeVisible();
}

test('a need, a limit, a practice and a word are looked up', async ({ page }) => {
  await page.goto('/reference/needs');
  await lookUpNeed(page);
  await lookUpWord(page);
});

test('a procedure is written in one’s own words, read before signing, and put back as it ships', async ({
  page,
}) => {
  await page.goto('/reference/procedures');
  await page.getByRole('button', { name: 'Write Capsize drill in your own words' }).press('Enter');
  const form = page.getByRole('dialog');
  await form.getByLabel('Name of the procedure').fill('Over, and back in');
  const steps = form.getByLabel('Steps, one to a line');
  await steps.fill('');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByText('Write its steps, one to a line.')).toBeVisible();
  await steps.pressSequentially('Breathe first.\n\nRoll her up from the left.\n');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form).toBeHidden();
  const own = page.getByRole('region', { name: 'Over, and back in' });
  await expect(own.getByRole('listitem')).toHaveText(['Breathe first.', 'Roll her up from the left.']);
  await expect(page.getByRole('region', { name: 'Capsize drill' })).toHaveCount(0);

  await visit(page, '/outings/pollack-long-grey/walk-round');
  const head = page.getByRole('group', { name: 'To have in the head' });
  await head.getByText(/^To have in the head/).click();
  await head.getByText('Over, and back in').click();
  await expect(head.getByText('Roll her up from the left.')).toBeVisible();
  await expect(head.getByText('Landing through breakers')).toBeVisible();
  await expect(head.getByText('Hauling the drogue')).toHaveCount(0);

  await visit(page, '/reference/procedures');
  await page.getByRole('button', { name: 'Edit Over, and back in' }).click();
  await steps.press('End');
  await steps.pressSequentially(' Once more.');
  await expect(form.getByText('Kept')).toBeVisible();
  await form.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(steps).toHaveValue('Breathe first.\nRoll her up from the left.');
  await form.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('region', { name: 'Capsize drill' })).toBeVisible();
});
