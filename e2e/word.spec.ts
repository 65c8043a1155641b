import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, kept, openBlank, test, sayAfloat, visit } from './house';
import { tabTo } from './hands';

const WRECK = '/outings/cod-wreck/leave-word';
const leaving = (page: Page) => page.getByRole('region', { name: 'Leaving it' });
const water = (page: Page) => page.getByRole('region', { name: 'From the water' });
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });

test('a plan is left, changed, and left again; what changed is said', async ({ page }) => {
  await visit(page, WRECK);
  await expect(leaving(page).getByRole('heading')).toHaveText('Sample Contact does not have this plan yet');
  await expect(margin(page)).toContainText('Sample Contact does not have the plan yet');
  const sheet = page.getByRole('article', { name: 'The plan' });
  await expect(sheet).toContainText(
    'I am reporting a kayak angler overdue: Sample Angler, 47 years old, alone.',
  );
  await page.getByRole('button', { name: 'Leave it with Sample Contact' }).click();
  await expect(leaving(page).getByRole('heading')).toHaveText(/^Written for Sample Contact at/);
  await expect(margin(page)).not.toContainText('does not have the plan yet');
  await kept(page);

  const tops = await page.evaluateHandle(() => {
    const seen = new Set<number>();
    const look = () => {
      seen.add(document.querySelector('main')?.getBoundingClientRect().top ?? -1);
      requestAnimationFrame(look);
    };
    look();
    return seen;
  });
  await visit(page, '/outings/cod-wreck/brief');
  const alarm = await openBlank(page, 'Hour to call for help');
  await alarm.getByLabel('Call at').fill('19:45');
  await page.keyboard.press('Escape');
  await visit(page, WRECK);
  await expect(leaving(page).getByRole('heading')).toHaveText('Sample Contact has an older plan than this');
  await expect(margin(page)).toContainText(/The hour to call: \d\d:\d\d on .* then, now 19:45 on/);
  await page.getByRole('button', { name: 'Leave it again' }).click();
  await expect(leaving(page).getByRole('heading')).toHaveText(/^Written for Sample Contact at/);
  const messages = page.getByRole('region', { name: 'What they have' });
  await expect(messages).toContainText('A simulated outbox');
  await expect(messages.getByText(/Plan of Sample Angler/)).toHaveCount(2);
  await kept(page);
  // Nothing has moved while what was changed was being kept: a press would have missed its button.
  expect(await tops.evaluate((seen) => [...seen])).toHaveLength(1);
});

test('afloat, later, home: each by one press; whoever has the address sees it without an account, until it is switched off', async ({
  page,
  browser,
}) => {
  await visit(page, '/outings/pollack-long-grey/leave-word');
  const address = await page.getByRole('link', { name: /\/watch\// }).innerText();
  const elsewhere = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await elsewhere.goto(address);
  await expect(elsewhere.getByRole('status')).toContainText('Left, and not launched yet');
  await expect(elsewhere.getByText('Orange flag on a whip').first()).toBeVisible();
  await page.reload();
  await expect(leaving(page).getByText(/^Its page was opened at/)).toBeVisible();
  await leaving(page).getByRole('button', { name: 'Sample Contact has it' }).click();
  await expect(leaving(page).getByText(/^Sample Contact has it: you said so at/)).toBeVisible();

  await sayAfloat(water(page));
  await expect(water(page).getByRole('heading')).toHaveText('Afloat');
  await elsewhere.reload();
  await expect(elsewhere.getByRole('status')).toContainText(/Last heard at .*: launched/);

  await water(page).getByRole('button', { name: 'Still well' }).click();
  await water(page)
    .getByRole('button', { name: /2 h later/ })
    .click();
  await expect(water(page)).toContainText('said to be well');
  await water(page).getByRole('button', { name: 'Home', exact: true }).click();
  await expect(water(page).getByRole('heading')).toHaveText('Home');
  await elsewhere.reload();
  await expect(elsewhere.getByText('Thank you for keeping watch')).toBeVisible();
  // Pressed too early: taken back.
  await water(page).getByRole('button', { name: 'Take the last one back' }).click();
  await expect(water(page).getByRole('heading')).toHaveText('Afloat');

  await page.getByRole('button', { name: 'Switch it off' }).click();
  await expect(margin(page)).toContainText('The page they could watch is off');
  await elsewhere.reload();
  await expect(elsewhere.getByRole('heading')).toHaveText('No plan can be watched here');
  await elsewhere.context().close();
});

test('who is overdue stands above all outings, with what to do', async ({ page }) => {
  const path = '/api/outings/bonefish-flat/word';
  await page.goto('/outings');
  const { left } = (await (await page.request.get(path)).json()) as { left: { plan: { times: object } } };
  const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
  const times = { launchAt: ago(8), turnAt: null, homeAt: ago(2), callAt: ago(1) };
  const base = new URL(page.url()).origin;
  const data = { key: crypto.randomUUID(), plan: { ...left.plan, times }, base };
  expect((await page.request.post(path, { data })).status()).toBe(201);
  await page.reload();
  const alert = page.getByRole('region', { name: 'Out now' }).getByRole('alert');
  await expect(alert).toContainText('Overdue: the hour to call was');
  await expect(alert.getByRole('listitem').first()).toContainText('Ring Sample Angler: 000 555 0100');
  await alert.getByRole('link').click();
  await expect(water(page)).toContainText('Call Sample Cays Patrol, 000 555 0913 now.');
  await water(page).getByRole('button', { name: 'Home', exact: true }).click();
  await visit(page, '/outings');
  await expect(page.getByRole('region', { name: 'Out now' })).toBeHidden();
});

test('the plan is taken out as page, calendar, way and text', async ({ page }) => {
  await visit(page, '/outings/pollack-long-grey/leave-word');
  const saved = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name }).click(),
    ]);
    return { name: file.suggestedFilename(), path: await file.path() };
  };
  const pdf = await saved('PDF, A4');
  expect(pdf.name).toBe('Pollack-beyond-the-Long-Grey.pdf');
  const { totalPages, text } = await extractText(
    await getDocumentProxy(new Uint8Array(readFileSync(pdf.path))),
    {
      mergePages: true,
    },
  );
  expect(totalPages).toBe(1);
  expect(text).toContain('Sample Coast Watch, Ostrey');
  const calendar = new ICAL.Component(ICAL.parse(readFileSync((await saved('Calendar')).path, 'utf8')));
  expect(calendar.getAllSubcomponents('vevent').length).toBeGreaterThanOrEqual(3);
  const gpx = readFileSync((await saved('GPX of the way')).path, 'utf8');
  expect(gpx).toContain('<name>Gannet Slip</name>');
  await page.getByRole('button', { name: 'As text' }).click();
  const dialog = page.getByRole('dialog', { name: 'The plan as text' });
  await expect(dialog).toContainText(/text messages\./);
  await expect(dialog).toContainText('47 30.00N 18 30.00W');
  await expect(dialog.getByRole('img').locator('svg')).toBeVisible();
});

test('what only they need is asked once, by keyboard, and kept where it belongs', async ({ page }) => {
  await visit(page, WRECK);
  await tabTo(page, page.getByRole('button', { name: 'What they should know' }));
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'What they should know' });
  await dialog.getByLabel('Their address for mail').fill('nowhere');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByText('Write it as name@place.example')).toBeVisible();
  await dialog.getByLabel('Their address for mail').fill('');
  await dialog.getByLabel('Age').fill('4');
  await expect(dialog.getByText('A whole number from 5 to 110')).toBeVisible();
  await dialog.getByLabel('Age').fill('48');
  await dialog.getByLabel('Medical notes').fill('Allergic to wasps');
  await dialog.getByLabel('Where the vehicle stands').fill('Behind the chapel');
  await dialog.getByLabel('Number').last().fill('000 555 0999');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog).toBeHidden();
  const sheet = page.getByRole('article', { name: 'The plan' });
  await expect(sheet).toContainText('48 years');
  await expect(sheet).toContainText('Allergic to wasps');
  await expect(sheet).toContainText('Behind the chapel');
  await expect(sheet).toContainText('000 555 0999');
  await kept(page);
  // Another outing knows it too: what is yours, not what was this one's.
  await visit(page, '/outings/pollack-long-grey/leave-word');
  await expect(sheet).toContainText('48 years');
  await expect(sheet).not.toContainText('Behind the chapel');
});

test('help is called for in one press from any screen of an outing, with the words in order', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['geolocation']);
  await context.setGeolocation({ latitude: 47.4767, longitude: -18.4747 });
  for (const station of ['brief', 'stow', 'walk-round']) {
    await visit(page, `/outings/pollack-long-grey/${station}`);
    await page.getByRole('button', { name: 'Call for help', exact: true }).press('Enter');
    const card = page.getByRole('dialog', { name: 'Call for help' });
    await expect(card).toContainText('Mayday, mayday, mayday. This is kayak');
    await expect(card.getByRole('link', { name: '000 555 0911' })).toHaveAttribute('href', 'tel:0005550911');
    await expect(card.getByRole('listitem').last()).toContainText('Over.');
    await page.keyboard.press('Escape');
    await expect(card).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Call for help', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Where I am now' }).press('Enter');
  await expect(page.getByRole('dialog').getByRole('status')).toContainText(
    /47° 28\.602′ N 18° 28\.482′ W, [\d.]+ km .*south.* of Gannet Slip/,
  );
});
