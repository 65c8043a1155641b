import { readFileSync } from 'node:fs';
import { expect, test } from './house';

test('a fish is found by its continent, read, and linked by its address', async ({ page }) => {
  await page.goto('/reference');
  await page.getByLabel('Find a fish or a continent').fill('africa');
  await page.getByRole('link', { name: 'Tigerfish' }).click();
  await expect(page).toHaveURL(/\/reference\/species\/tigerfish$/);
  await expect(page.getByRole('heading', { name: 'Tigerfish' })).toBeVisible();
  await expect(page.getByText('Mind the hand:')).toBeVisible();
  await expect(page.getByText('no record and no rule')).toBeVisible();
  await page.getByLabel('Find a fish or a continent').fill('unicorn');
  await expect(page.getByRole('status')).toHaveText('None fits these words. Shorten them.');
});

test('a rule is written, bites in the outing, is written out, and read back beside the other', async ({ page }) => {
  await page.goto('/reference/rules');
  const pack = page.getByRole('region', { name: 'Ostrey coast rules' });
  await pack.getByRole('button', { name: 'Edit Ostrey coast rules' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Another rule').click();
  await page.getByRole('option', { name: 'How many rods' }).click();
  await form.getByRole('button', { name: 'Add', exact: true }).click();
  await form.getByLabel('At most').last().fill('0');
  await form.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(form.getByText('A whole number from 1 to 20.')).toBeVisible();
  await form.getByLabel('At most').last().fill('1');
  await form.getByLabel('Where it stands').last().fill('Byelaw 99');
  await form.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(form).toBeHidden();
  await expect(pack).toContainText('At most one rod. Byelaw 99');

  await page.goto('/outings/pollack-long-grey/kit');
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('Two rods aboard, one allowed');
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('Confirm with the authority.');

  await page.goto('/reference/rules');
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
});
