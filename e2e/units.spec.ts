import { referencesOf } from './metric';
import { expect, test, visit } from './house';

interface Profile {
  heightM: number;
  massKg: number;
  limits: { breakerM: number };
}

test('typed units are understood, and kept as they were meant', async ({ page }) => {
  await visit(page, '/settings');
  await expect(page.getByLabel('Mass, dressed')).toHaveValue('84');
  await page.getByRole('combobox', { name: 'Units' }).click();
  await page.getByRole('option', { name: 'Imperial, US' }).click();
  await expect(page.getByLabel('Mass, dressed')).toHaveValue('185.2');
  await page.getByLabel('Height').fill("5'11");
  await page.getByLabel('Breakers at the launch').fill('20 m');
  await expect(page.getByText('Not kept: A number from 0 to 13.1 ft.')).toBeVisible();
  await page.getByLabel('Breakers at the launch').fill('2 ft');
  await expect(page.getByText(/kept at/)).toBeVisible();
  const references = await referencesOf(page);
  const kept = references.anglers.changed[0]?.doc as unknown as Profile;
  expect([kept.heightM, kept.massKg, kept.limits.breakerM]).toEqual([1.8034, 84, 0.6096]);
});
