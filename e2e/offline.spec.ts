import type { Page } from '@playwright/test';
import { expect, kept, ownHouseTest, visit } from './house';
import { Hand } from './hands';

const ID = 'pollack-long-grey';
const device = (page: Page) => page.getByRole('region', { name: 'On this device' });
const water = (page: Page) => page.getByRole('region', { name: 'From the water' });

async function carry(page: Page): Promise<void> {
  await visit(page, `/outings/${ID}/leave-word`);
  await device(page).getByRole('button', { name: 'Carry it' }).click();
  await expect(device(page).getByRole('status')).toContainText(/^Carried at \d\d:\d\d, [\d.]+ MB/, { timeout: 60_000 });
  await kept(page);
  // Until the program itself is kept: the worker has all of it, and answers for this page.
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}
interface Walk {
  answers: { stepId: string; verdict: string; key: string }[];
  signature: { atWater: boolean; signedAt: string } | null;
}
const walkOf = async (page: Page) => (await (await page.request.get(`/api/outings/${ID}/walk-round`)).json()) as Walk;

ownHouseTest(
  'an outing is carried, opened without a network, walked, changed, signed and launched; then all of it is there',
  async ({ page, house }) => {
    await carry(page);
    const before = await walkOf(page);
    await house.stop();
    await page.goto(`/outings/${ID}/walk-round`);
    await expect(page.getByText('No network.').first()).toBeVisible();
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.getByRole('listitem').getByRole('button').first().click();
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('1');
    await expect(
      page
        .getByText('3 answers kept on this device, not yet on the server')
        .or(page.getByText(/[34] answers kept on this device/)),
    ).toBeVisible();

    // Every screen of it can be read, and hours can be changed.
    for (const [station, text] of [
      ['brief', /pollack/i],
      ['kit', /Stay alive/],
      ['workings', /Anchor|Rigs|Power|Drift/],
      ['stow', /Grey Wagtail/],
      ['leave-word', /reporting a kayak angler overdue/],
    ] as const) {
      await visit(page, `/outings/${ID}/${station}`);
      await expect(page.locator('main')).toContainText(text);
    }

    await visit(page, `/outings/${ID}/walk-round`);
    const hand = new Hand(page);
    await page
      .getByRole('button', { name: 'All steps' })
      .click()
      .catch(() => undefined);
    await page
      .getByRole('button', { name: 'To the gate' })
      .click()
      .catch(() => undefined);
    await expect(page.getByRole('heading', { name: 'The gate is open' })).toBeVisible();
    await hand.hold(page.getByRole('button', { name: /Hold/ }), page.getByRole('heading', { name: 'Signed' }));
    await expect(page.getByText(/Signed at the water, by this device/)).toBeVisible();
    await water(page).getByRole('button', { name: 'Afloat now' }).click();
    await expect(water(page).getByRole('heading')).toHaveText('Afloat');

    // Opened anew, still without a network: nothing is lost.
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Signed' })).toBeVisible();
    await expect(water(page).getByRole('heading')).toHaveText('Afloat');

    await house.start();
    await expect(async () => {
      const after = await walkOf(page);
      expect(after.signature?.atWater).toBe(true);
      expect(after.answers.length).toBeGreaterThanOrEqual(before.answers.length + 3);
      expect(new Set(after.answers.map(({ key }) => key)).size).toBe(after.answers.length);
    }).toPass({ timeout: 30_000 });
    await expect(page.getByText(/Signed at the water, on a device without signal/)).toBeVisible();
    const word = (await (await page.request.get(`/api/outings/${ID}/word`)).json()) as { state: string };
    expect(word.state).toBe('afloat');
  },
);
