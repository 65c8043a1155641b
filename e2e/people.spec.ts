import type { Browser, Page } from '@playwright/test';
import { type House, expect, kept, notWide, onTheEvening, ownHouseTest, visit } from './house';

ownHouseTest.use({ settings: { TALLY_ACCOUNTS: '1' } });

const PASSWORD = 'herons stand very still';
const NEXT_PASSWORD = 'and then they fly away';
const people = (page: Page) => page.getByRole('region', { name: /^Signed in as/ });
const members = (page: Page) => page.getByRole('region', { name: 'Members' });
const browserOf = async (browser: Browser, house: House, width = 1280) =>
  (
    await onTheEvening(
      await browser.newContext({
        baseURL: house.url(),
        viewport: { width, height: 844 },
        reducedMotion: 'reduce',
      }),
    )
  ).newPage();

async function comeIn(page: Page, address: string, name: string): Promise<string> {
  await page.goto(address);
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Make the account' }).click();
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

/** Somebody is asked in, and has what is their own beside what is the club's. */
async function askIn(page: Page, ben: Page): Promise<void> {
  await expect(page.getByText('Pollack beyond the Long Grey')).toBeVisible();
  await visit(page, '/settings/members');
  await members(page).getByLabel('For whom, so that you know').fill('Ben');
  await members(page).getByRole('button', { name: 'Invite somebody' }).click();
  const address = await members(page)
    .getByText(/\/join#/)
    .innerText();
  await expect(members(page).getByAltText('The address as a code')).toBeVisible();

  await comeIn(ben, address, 'Ben');
  await expect(ben.getByText('Pollack beyond the Long Grey')).toHaveCount(0);
  await visit(ben, '/waters');
  await expect(ben.getByText('Ostrey Sound').first()).toBeVisible();
  await visit(ben, '/settings');
  await expect(ben.getByRole('link', { name: 'Light and devices' })).toBeVisible();
  await expect(ben.getByRole('link', { name: 'Members' })).toHaveCount(0);
}

/** A phone is paired, and signed out again. */
async function pairPhone(page: Page, phone: Page): Promise<void> {
  await visit(page, '/settings/device');
  await people(page).getByRole('button', { name: 'Pair a phone' }).click();
  const pairing = await people(page)
    .getByText(/\/pair#/)
    .innerText();
  await phone.goto(pairing);
  await phone.getByRole('button', { name: 'Sign it in' }).click();
  await expect(phone.getByText('Pollack beyond the Long Grey')).toBeVisible();
  await page.reload();
  await people(page).getByRole('button', { name: 'Sign it out' }).first().click();
  await expect(people(page).getByRole('button', { name: 'Sign it out' })).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await notWide(phone);
}

/**
 * Somebody is asked along, comes with an outing of their own, brings a stove for all, and follows a changed
 * plan.
 */
async function goAlong(page: Page, ben: Page): Promise<void> {
  const party = (of: Page) => of.getByRole('region', { name: 'The party' });

  await visit(page, '/outings/venn-overnight/kit');
  await party(page).getByText('Sample Friend').first().click();
  await party(page).getByLabel('Account of Sample Friend').click();
  await page.getByRole('option', { name: 'Ben' }).click();
  await expect(party(page).getByText('asked along', { exact: true })).toBeVisible();

  await visit(ben, '/outings');
  await ben.getByRole('region', { name: 'Asked along' }).getByRole('link').click();
  await expect(ben.getByText(/would ride in your boat/)).toBeVisible();
  await notWide(ben);
  await ben.getByRole('button', { name: 'Come along' }).click();
  await expect(party(ben).getByText(/leads; where and when you go is theirs to say/)).toBeVisible();
  // What the other has in his boat comes into his own plan.
  await party(ben).getByRole('button', { name: 'Take Hard food canister aboard' }).click();
  await expect(party(ben).getByText('aboard', { exact: true })).toBeVisible();
  await kept(ben);

  await visit(page, '/outings/venn-overnight/brief');
  await page.reload();
  await visit(page, '/outings/venn-overnight/kit');
  await expect(party(page).getByText('along, not signed yet')).toBeVisible();
  await party(page).getByText('Sample Friend').first().click();
  await expect(party(page).getByText(/carries 0 of \d+ for themselves/)).toBeVisible();
  await party(page).getByRole('button', { name: 'Write it here' }).first().click();
  await expect(
    party(page)
      .getByText(/0 of \d+/)
      .first(),
  ).toBeVisible();
  // Of somebody who is not of the house it is written by hand.
  await party(page).getByText('Sample Cousin').first().click();
  await party(page).getByLabel('What Sample Cousin brings for all').fill('tarp');
  await page.getByRole('option', { name: 'Tarp with lines and pegs' }).click();
  await expect(party(page).getByRole('list', { name: 'Sample Cousin brings for all' })).toContainText('Tarp');
  await kept(page);

  // The lead sets another hour; it is told, and followed by one press.
  const outing = async (of: Page, id: string) =>
    of.evaluate(async (at) => (await fetch(`/api/outings/${at}`)).json() as Promise<KeptOuting>, id);
  const { version, doc } = await outing(page, 'venn-overnight');
  await page.evaluate(
    async ([at, body]) =>
      fetch(`/api/outings/${at}`, { method: 'PUT', body, headers: { 'content-type': 'application/json' } }),
    [
      'venn-overnight',
      JSON.stringify({ version, doc: { ...doc, brief: { ...doc.brief, launchAt: '10:30' } } }),
    ] as const,
  );
  await ben.reload();
  await expect(party(ben).getByText(/Otherwise in .* plan: the launch time/)).toBeVisible();
  await party(ben).getByRole('button', { name: 'Go by it' }).press('Enter');
  await expect(party(ben).getByText(/Otherwise in/)).toHaveCount(0);
  await kept(ben);
  const own = new URL(ben.url()).pathname.split('/')[2] ?? '';
  expect((await outing(ben, own)).doc.brief.launchAt).toBe('10:30');
}
interface KeptOuting {
  version: number;
  doc: { brief: { launchAt: string } };
}

/** A water and a procedure are kept to oneself, and the water is given again. */
async function keepToOneself(page: Page, ben: Page): Promise<void> {
  // Who reads a water stands on it.
  await visit(page, '/waters/ostrey-sound');
  await page.getByRole('button', { name: 'Keep it to yourself' }).click();
  await expect(page.getByText('Yours: nobody else sees this water.')).toBeVisible();
  await ben.goto('/waters');
  await expect(ben.getByRole('table', { name: 'Waters' })).toBeVisible();
  await expect(ben.getByText('Ostrey Sound')).toHaveCount(0);
  await page.getByRole('button', { name: 'Give it to the club' }).click();
  await expect(page.getByText('The club’s: everyone here reads it, and keepers change it.')).toBeVisible();
  await visit(page, '/reference/procedures');
  const count = page.getByRole('region', { name: 'The half-hour count' });
  await count.getByRole('button', { name: 'Keep it to yourself' }).click();
  await expect(count.getByText('Yours: nobody else sees this procedure.')).toBeVisible();
  await ben.goto('/reference/procedures');
  const theClubs = ben.getByRole('region', { name: /by Ostrey match rules$/ });
  await expect(theClubs).toContainText('The club’s');
  await expect(theClubs.getByRole('button', { name: /in your own words$/ })).toBeVisible();
  await expect(theClubs.getByRole('button', { name: /^Edit/ })).toHaveCount(0);
  await expect(ben.getByRole('region', { name: 'The half-hour count' })).toHaveCount(0);
}

ownHouseTest(
  'a house is kept: somebody is asked in and goes along, a phone is paired and signed out, and a water is kept back and given again',
  async ({ page, browser, house }) => {
    const ben = await browserOf(browser, house, 390);
    await visit(ben, '/outings');
    await expect(ben.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await comeIn(page, await firstAddress(house), 'Ada');
    await askIn(page, ben);
    await pairPhone(page, await browserOf(browser, house, 390));
    await goAlong(page, ben);
    await keepToOneself(page, ben);
  },
);

/**
 * Whose sign-in is over at the water goes on with what is carried, and loses nothing when signing in again.
 */
async function signedOutAtTheWater(page: Page): Promise<void> {
  const at = (path: string) => new URL(path, page.url()).href;
  const id = 'pollack-long-grey';
  await visit(page, `/outings/${id}/leave-word`);
  const device = page.getByRole('region', { name: 'On this device' });
  await device.getByRole('button', { name: 'Carry it' }).click();
  await expect(device.getByRole('status')).toContainText(/^Carried at/, { timeout: 60_000 });
  await kept(page);
  const answersOf = async () =>
    ((await (await page.request.get(at(`/api/outings/${id}/walk-round`))).json()) as { answers: unknown[] })
      .answers.length;
  const before = await answersOf();
  // As when ninety days are over, or a keeper signed this device out.
  await page.request.post(at('/api/sign-out'), { data: {} });
  await page.goto(at(`/outings/${id}/walk-round`));
  await page.getByRole('button', { name: 'Go on with what is carried' }).click();
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('main').getByRole('listitem').getByRole('button').nth(1).click();
  await page.getByRole('button', { name: 'Fault', exact: true }).click();
  await expect(page.getByText(/1 answer kept on this device/)).toBeVisible();
  await page.reload();
  await page.getByLabel('Name').fill('Ada');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(async () => expect(await answersOf()).toBe(before + 1)).toPass({ timeout: 30_000 });
}

/** Out, and in again by keyboard: a wrong password, then a new one by a code. */
async function byKeyboard(page: Page, code: string): Promise<void> {
  await visit(page, '/settings/device');
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
  await page.getByLabel('New password').fill(NEXT_PASSWORD);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Outings', level: 1 })).toBeVisible();
}

/** By a passkey, until it is taken away. */
async function byPasskey(page: Page): Promise<void> {
  await visit(page, '/settings/device');
  await people(page).getByText('Passkeys', { exact: true }).click();
  await people(page).getByLabel('Name for this device').fill('The laptop');
  const password = people(page).getByLabel('Password now').first();
  await password.fill('not the password');
  await people(page).getByRole('button', { name: 'Make a passkey' }).click();
  await expect(people(page).getByText('This is not your password.').first()).toBeVisible();
  await password.fill(NEXT_PASSWORD);
  await people(page).getByRole('button', { name: 'Make a passkey' }).click();
  await expect(people(page).getByRole('list', { name: 'Passkeys' }).getByText('The laptop')).toBeVisible();

  await people(page).getByRole('button', { name: 'Sign out' }).click();
  const signIn = page.getByRole('button', { name: 'Sign in with a passkey' });
  for (let time = 0; time < 2; time += 1) {
    await signIn.click();
    await expect(page.getByRole('heading', { name: 'Outings', level: 1 })).toBeVisible();
    await visit(page, '/settings/device');
    await people(page).getByText('Passkeys: 1').click();
    await expect(people(page).getByText(/used /).first()).toBeVisible();
    if (time === 0) await people(page).getByRole('button', { name: 'Sign out' }).click();
  }
  await people(page).getByRole('button', { name: 'Take The laptop away' }).click();
  await expect(people(page).getByText('Passkeys', { exact: true })).toBeVisible();
  await people(page).getByRole('button', { name: 'Sign out' }).click();
  await signIn.click();
  await expect(page.getByText('This passkey lets nobody in here.')).toBeVisible();
}

ownHouseTest(
  'one comes in again: after the sign-in was over at the water, with a wrong password and by a code, and by a passkey until it is taken away',
  async ({ page, house }) => {
    const authenticator = await page.context().newCDPSession(page);
    await authenticator.send('WebAuthn.enable');
    await authenticator.send('WebAuthn.addVirtualAuthenticator', {
      options: {
        protocol: 'ctap2',
        transport: 'internal',
        hasResidentKey: true,
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
    // A page that has no name but numbers has no passkeys.
    const named = (address: string) => address.replace('127.0.0.1', 'localhost');
    const code = await comeIn(page, named(await firstAddress(house)), 'Ada');
    await signedOutAtTheWater(page);
    await byKeyboard(page, code);
    await byPasskey(page);
  },
);
