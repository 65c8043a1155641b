import { type Page } from '@playwright/test';
import {
  expect,
  firstHour,
  holdToSign,
  kept,
  openBlank,
  ownHouseTest,
  pick,
  repairAll,
  test,
  walkRound,
} from './house';

/** A new outing for zander on the mere, filled in by mouse. */
async function fillSentence(page: Page): Promise<void> {
  const fish = await openBlank(page, 'Which fish');
  await fish.getByRole('checkbox', { name: 'Zander' }).check();
  await fish.getByRole('button', { name: 'Done' }).click();
  await pick(page, 'Launch', /The boathouse Hallow Mere/);
  await pick(page, 'Place to fish', /The dam wall/);
  await pick(page, 'Boat', /Dunlin/);
}

async function writeTheDay(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Write by hand' }).click();
  await page.getByLabel('Water temperature').fill('16');
  const hour = await firstHour(page);
  const row = page.getByRole('row').filter({ hasText: hour });
  for (const [figure, value] of [
    ['Wind', '4'],
    ['Gusts', '6'],
    ['From', '220'],
    ['Air', '14'],
    ['Waves', '0,2'],
    ['Thunder', '0'],
  ] as const)
    await row.getByRole('textbox', { name: `${figure} at ${hour}` }).fill(value);
  await page.getByRole('button', { name: `Copy ${hour} to every later hour` }).click();
}

ownHouseTest(
  'a new outing is filled, settled, walked round, signed, and goes stale with its target',
  async ({ page, house }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New outing' }).click();
    await expect(page.getByRole('button', { name: 'Which fish:' })).toBeVisible();
    await fillSentence(page);
    await expect(page.getByLabel('Name of the outing')).toHaveValue('Zander at the dam wall');
    await writeTheDay(page);
    await expect(page.getByLabel(/^Waves at /).nth(2)).toHaveValue('0.2');
    await kept(page);

    // Half-way: the window is loaded again and the server is killed and restarted; nothing is lost.
    await page.reload();
    await page.getByRole('button', { name: 'Write by hand' }).click();
    await expect(page.getByLabel(/^Waves at /).nth(2)).toHaveValue('0.2');
    await house.restart();

    await page.getByRole('link', { name: /^Kit/ }).click();
    await expect(page.getByRole('heading', { name: 'Stay alive' })).toBeVisible();
    await repairAll(page);
    const margin = page.getByRole('complementary', { name: 'Margin' });
    // The one thing that no repair does: whoever was named has to have the plan.
    await expect(margin).toContainText('1 Mind');
    await page.getByRole('link', { name: /^Leave word/ }).click();
    await page.getByRole('button', { name: /^Leave it with/ }).click();
    await expect(margin).not.toContainText(/\d (Stop|Mind)/);
    await kept(page);
    await page.reload();
    await expect(margin).not.toContainText(/\d (Stop|Mind)/);

    await page.getByRole('link', { name: /^Walk-round/ }).click();
    await walkRound(page);
    await expect(page.getByRole('heading', { name: 'The gate is open' })).toBeVisible();
    await holdToSign(page);
    await expect(page.getByText('Be back by')).toBeVisible();

    await page.getByRole('link', { name: /^Brief/ }).click();
    const fish = await openBlank(page, 'Which fish');
    await fish.getByRole('checkbox', { name: 'Pike' }).check();
    await fish.getByRole('button', { name: 'Done' }).click();
    for (const station of [/^Kit/, /^Ashore/]) {
      await page.getByRole('link', { name: station }).click();
      await expect(page.getByText('No longer as signed.')).toBeVisible();
    }
    await page.getByRole('link', { name: /^Walk-round/ }).click();
    await expect(page.getByRole('heading', { name: 'Signed, then changed' })).toBeVisible();
    await expect(page.getByText('The target was zander; now zander and pike.')).toBeVisible();
    await expect(page).toHaveTitle(/^No longer as signed: /);
    await page.getByRole('link', { name: 'Outings' }).click();
    await expect(page.getByText('Signed, then changed')).toBeVisible();
  },
);

test('a fault on the walk-round takes its means away and shuts the gate until it is answered anew', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/walk-round');
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: /^Handheld radio, floats (good|must)/ }).click();
  await page.keyboard.press('2');
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin).toContainText('Call for help: one of two');
  await expect(margin).toContainText('a fault on the walk-round');
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'To the gate' }).click();
  await expect(page.getByRole('heading', { name: 'The gate is shut' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Hold to sign' })).toBeDisabled();
  await page.getByRole('button', { name: 'Handheld radio, floats', exact: true }).click();
  await page.keyboard.press('1');
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'To the gate' }).click();
  await expect(page.getByRole('heading', { name: 'The gate is open' })).toBeVisible();
});

test('a signature let go too early is none; one held by a key stands', async ({ page }) => {
  await page.goto('/outings/pollack-long-grey/walk-round');
  const button = page.getByRole('button', { name: 'Hold to sign' });
  await button.hover();
  await page.mouse.down();
  await expect(page.getByRole('button', { name: 'Keep holding' })).toBeVisible();
  await page.mouse.up();
  await expect(button).toBeVisible();
  await page.reload();
  await expect(button).toBeVisible();
  // Held long enough by a key, it is one.
  await button.focus();
  await page.keyboard.down('Space');
  await expect(page.getByRole('heading', { name: 'Signed', exact: true })).toBeVisible();
  await page.keyboard.up('Space');
});

test('answers given while the server is away are kept on the device and sent later', async ({ page, context }) => {
  await page.goto('/outings/zander-dusk/walk-round');
  await expect(page.getByText(/step 1 of/)).toBeVisible();
  await context.setOffline(true);
  await page.keyboard.press('1');
  await page.keyboard.press('1');
  // A step good, and the rest of the group by one press.
  const waiting = page.getByText(/^\d+ answers kept on this device, not yet on the server/);
  const given = Number.parseInt(await waiting.innerText(), 10);
  expect(given).toBeGreaterThanOrEqual(2);
  await context.setOffline(false);
  await expect(page.getByText(/kept on this device/)).toBeHidden({ timeout: 15_000 });
  const walk = await page.request.get('/api/outings/zander-dusk/walk-round');
  expect(((await walk.json()) as { answers: unknown[] }).answers).toHaveLength(given);
  await page.reload();
  await expect(page.getByText(/step 3 of/)).toBeVisible();
});

test('a mind is accepted with a reason that stands on the card, and can be taken back', async ({ page }) => {
  await page.goto('/outings/pollack-long-grey/kit');
  await page.getByRole('button', { name: 'Leave ashore: Bow line, 4 m' }).click();
  const margin = page.getByRole('complementary', { name: 'Margin' });
  const mind = margin.getByRole('listitem').filter({ hasText: 'Bow or tow line' });
  await mind.getByRole('button', { name: 'Accept, and say why' }).click();
  await mind.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(mind.getByText('Say why, in a few words.')).toBeVisible();
  await mind.getByLabel('Why you accept it').fill('A painter is spliced on');
  await mind.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(mind).toContainText('Accepted: A painter is spliced on');
  await kept(page);
  await page.getByRole('link', { name: /^Walk-round/ }).click();
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'To the gate' }).click();
  await holdToSign(page);
  await expect(page.getByText('Bow or tow line: A painter is spliced on')).toBeVisible();
});
