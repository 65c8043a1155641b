import type { Browser, Page } from '@playwright/test';
import { type House, expect, kept, ownHouseTest, visit } from './house';

ownHouseTest.use({ settings: { TALLY_ACCOUNTS: '1' } });

const PASSWORD = 'herons stand very still';
const people = (page: Page) => page.getByRole('region', { name: /^Signed in as/ });
const browserOf = async (browser: Browser, house: House, width = 1280) =>
  (await browser.newContext({ baseURL: house.url(), viewport: { width, height: 844 } })).newPage();

async function comeIn(page: Page, address: string, name: string): Promise<string> {
  await page.goto(address);
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Come in' }).click();
  const codes = page.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem');
  await expect(codes).toHaveCount(8);
  // The secret of the address is not left in the bar.
  expect(new URL(page.url()).hash).toBe('');
  const [first = ''] = await codes.allInnerTexts();
  await page.getByRole('button', { name: 'They are written down' }).click();
  await expect(page.getByRole('heading', { name: 'Outings', level: 1 })).toBeVisible();
  return first;
}
async function firstAddress(house: House): Promise<string> {
  await expect(() => expect(house.said()).toMatch(/first keeper: \S+/)).toPass({ timeout: 10_000 });
  return /first keeper: (\S+)/.exec(house.said())?.[1] ?? '';
}

ownHouseTest(
  'a house is kept, somebody is asked in and has their own, a phone is paired, and a device is signed out',
  async ({ page, browser, house }) => {
    const nobody = await browserOf(browser, house);
    await nobody.goto('/outings');
    await expect(nobody.getByRole('heading', { name: 'Sign in' })).toBeVisible();

    await comeIn(page, await firstAddress(house), 'Ada');
    await expect(page.getByText('Pollack beyond the Long Grey')).toBeVisible();
    await visit(page, '/settings');
    await people(page).getByLabel('For whom, so that you know').fill('Ben');
    await people(page).getByRole('button', { name: 'Ask somebody in' }).click();
    const address = await people(page)
      .getByText(/\/join#/)
      .innerText();
    await expect(people(page).getByAltText('The address as a code')).toBeVisible();

    await comeIn(nobody, address, 'Ben');
    await expect(nobody.getByText('Pollack beyond the Long Grey')).toHaveCount(0);
    await visit(nobody, '/waters');
    await expect(nobody.getByText('Ostrey Sound').first()).toBeVisible();
    await visit(nobody, '/settings');
    await expect(people(nobody).getByText('Who may come in')).toHaveCount(0);

    await people(page).getByRole('button', { name: 'Pair a phone' }).click();
    const pairing = await people(page)
      .getByText(/\/pair#/)
      .innerText();
    const phone = await browserOf(browser, house, 390);
    await phone.goto(pairing);
    await phone.getByRole('button', { name: 'Sign it in' }).click();
    await expect(phone.getByText('Pollack beyond the Long Grey')).toBeVisible();
    await page.reload();
    await people(page).getByRole('button', { name: 'Sign it out' }).first().click();
    await expect(people(page).getByRole('button', { name: 'Sign it out' })).toHaveCount(0);
    await phone.reload();
    await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    const wide = await phone.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(wide).toBeLessThanOrEqual(0);
  },
);

ownHouseTest(
  'by keyboard: one signs out and in again, is told a wrong password, and makes a new one by a code',
  async ({ page, house }) => {
    const code = await comeIn(page, await firstAddress(house), 'Ada');
    await visit(page, '/settings');
    await people(page).getByRole('button', { name: 'Sign out' }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.getByLabel('Name').fill('ada');
    await page.getByLabel('Password').fill('not the password');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toHaveText('Name and password do not belong together.');
    await expect(page.getByLabel('Name')).toHaveValue('ada');
    await page.getByRole('button', { name: 'I have lost my password' }).press('Enter');
    await page.getByLabel('Code').fill(code);
    await page.getByLabel('New password').fill('short');
    await page.keyboard.press('Enter');
    await expect(page.getByText('At least ten characters.')).toBeVisible();
    await page.getByLabel('New password').fill('and then they fly away');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Outings', level: 1 })).toBeVisible();
  },
);

ownHouseTest(
  'whose sign-in is over at the water goes on with what is carried, and loses nothing when signing in again',
  async ({ page, house }) => {
    await comeIn(page, await firstAddress(house), 'Ada');
    const id = 'pollack-long-grey';
    await visit(page, `/outings/${id}/leave-word`);
    const device = page.getByRole('region', { name: 'On this device' });
    await device.getByRole('button', { name: 'Carry it' }).click();
    await expect(device.getByRole('status')).toContainText(/^Carried at/, { timeout: 60_000 });
    await kept(page);
    const answersOf = async () =>
      ((await (await page.request.get(`/api/outings/${id}/walk-round`)).json()) as { answers: unknown[] }).answers
        .length;
    const before = await answersOf();
    // As when ninety days are over, or a keeper signed this device out.
    await page.request.post('/api/sign-out', { data: {} });
    await page.goto(`/outings/${id}/walk-round`);
    await page.getByRole('button', { name: 'Go on with what is carried' }).click();
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('main').getByRole('listitem').getByRole('button').nth(1).click();
    await page.getByRole('button', { name: 'Fault', exact: true }).click();
    await expect(page.getByText(/1 answer kept on this device/)).toBeVisible();
    await page.reload();
    await page.getByLabel('Name').fill('Ada');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(async () => expect(await answersOf()).toBe(before + 1)).toPass({ timeout: 30_000 });
  },
);
