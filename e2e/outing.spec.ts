import { type Page } from '@playwright/test';
import { expect, firstHour, kept, openBlank, pick, put, repairAll, test } from './house';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });

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
  await put(page.getByLabel('Water temperature'), '16');
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
    await put(row.getByRole('textbox', { name: `${figure} at ${hour}` }), value);
  await page.getByRole('button', { name: `Copy ${hour} to every later hour` }).click();
}

test('a new outing is filled by mouse, settled, and left with somebody; loaded anew it is as it was', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New outing' }).click();
  await expect(page.getByRole('button', { name: 'Which fish:' })).toBeVisible();
  await fillSentence(page);
  await expect(page.getByLabel('Name of the outing')).toHaveValue('Zander at the dam wall');
  await writeTheDay(page);
  await expect(page.getByLabel(/^Waves at /).nth(2)).toHaveValue('0.2');
  await kept(page);
  await page.reload();
  await page.getByRole('button', { name: 'Write by hand' }).click();
  await expect(page.getByLabel(/^Waves at /).nth(2)).toHaveValue('0.2');

  await page.getByRole('link', { name: /^Kit/ }).click();
  await expect(page.getByRole('heading', { name: 'Stay alive' })).toBeVisible();
  await repairAll(page);
  // The one thing that no repair does: whoever was named has to have the plan.
  await expect(margin(page)).toContainText('1 Mind');
  await page.getByRole('link', { name: /^Leave word/ }).click();
  await page.getByRole('button', { name: /^Leave it with/ }).click();
  await expect(margin(page)).not.toContainText(/\d (Stop|Mind)/);
  await kept(page);
  await page.reload();
  await expect(margin(page)).not.toContainText(/\d (Stop|Mind)/);
});

async function toTheGate(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'To the gate' }).click();
}

test('a fault shuts the gate until it is answered anew; what is signed says what was accepted, and no longer stands when the target is another', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/kit');
  await page.getByRole('button', { name: 'Leave ashore: Drive leash' }).click();
  const mind = margin(page).getByRole('listitem').filter({ hasText: 'Paddle and drive leashed' });
  await mind.getByRole('button', { name: 'Accept, and say why' }).click();
  await mind.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(mind.getByText('Say why, in a few words.')).toBeVisible();
  await mind.getByLabel('Why you accept it').fill('A cord holds it to its well');
  await mind.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(mind).toContainText('Accepted: A cord holds it to its well');
  await kept(page);

  await page.getByRole('link', { name: /^Walk-round/ }).click();
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: /^Handheld radio, floats (good|must)/ }).click();
  await page.keyboard.press('2');
  // What it is is asked, and nothing waits for it.
  await page.getByLabel('Handheld radio, floats: what is wrong?').fill('Water behind the glass');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/what is wrong/)).toHaveCount(0);
  await expect(margin(page)).toContainText('Call for help: one of two');
  await expect(margin(page)).toContainText('a fault on the walk-round');
  await toTheGate(page);
  await expect(page.getByRole('heading', { name: 'The gate is shut' })).toBeVisible();
  const found = page.getByRole('region', { name: 'Found on the walk-round' });
  await expect(found).toContainText('Handheld radio, floats: a fault, Water behind the glass');
  const button = page.getByRole('button', { name: 'Hold to sign' });
  await expect(button).toBeDisabled();
  await page.getByRole('button', { name: 'Handheld radio, floats', exact: true }).click();
  await page.keyboard.press('1');
  await toTheGate(page);
  await expect(page.getByRole('heading', { name: 'The gate is open' })).toBeVisible();
  await expect(found).toHaveCount(0);

  // Let go too early it is none.
  await button.hover();
  await page.mouse.down();
  await expect(page.getByRole('button', { name: 'Keep holding' })).toBeVisible();
  await page.mouse.up();
  await expect(button).toBeVisible();
  await page.reload();
  // What lies under the cords is another lot now, and asked anew; the gate does not wait for it.
  await toTheGate(page);
  await expect(button).toBeVisible();
  // Held long enough by a key, it is one.
  await button.focus();
  await page.keyboard.down('Space');
  await expect(page.getByRole('heading', { name: 'Signed', exact: true })).toBeVisible();
  await page.keyboard.up('Space');
  await expect(page.getByText('Be back by')).toBeVisible();
  await expect(page.getByText('Paddle and drive leashed: A cord holds it to its well')).toBeVisible();

  await page.getByRole('link', { name: /^Brief/ }).click();
  const fish = await openBlank(page, 'Which fish');
  await fish.getByRole('checkbox', { name: 'Cod', exact: true }).check();
  await fish.getByRole('button', { name: 'Done' }).click();
  for (const station of [/^Kit/, /^Ashore/]) {
    await page.getByRole('link', { name: station }).click();
    await expect(page.getByText('No longer as signed.')).toBeVisible();
  }
  await page.getByRole('link', { name: /^Walk-round/ }).click();
  await expect(page.getByRole('heading', { name: 'Signed, then changed' })).toBeVisible();
  await expect(
    page.getByText('The target was pollack and sea bass; now pollack, sea bass and cod.'),
  ).toBeVisible();
  await expect(page.getByText('reckoned anew when it is signed again')).toBeVisible();
  await expect(page).toHaveTitle(/^No longer as signed: /);
  await page.getByRole('link', { name: 'Outings' }).click();
  await expect(page.getByText('Signed, then changed')).toBeVisible();
});

test('answers given while the server is away are kept on the device and sent later', async ({
  page,
  context,
}) => {
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
