import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, type Page, chromium, test } from '@playwright/test';
import { expect, kept, onTheEvening, ownHouseTest, sayAfloat, visit } from './house';
import { Hand } from './hands';

const ID = 'pollack-long-grey';
const device = (page: Page) => page.getByRole('region', { name: 'On this device' });
const water = (page: Page) => page.getByRole('region', { name: 'From the water' });

async function carryOuting(page: Page): Promise<void> {
  await visit(page, `/outings/${ID}/leave-word`);
  await device(page).getByRole('button', { name: 'Carry it' }).click();
  await expect(device(page).getByRole('status')).toContainText(/^Carried at \d\d:\d\d, [\d.]+ [kM]B/, {
    timeout: 60_000,
  });
  await kept(page);
}
async function carry(page: Page): Promise<void> {
  await carryOuting(page);
  // Until the program itself is kept: the worker has all of it, and answers for this page.
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}
interface Walk {
  answers: { stepId: string; verdict: string; key: string }[];
  signature: { atWater: boolean; signedAt: string } | null;
}
const walkOf = async (page: Page) =>
  (await (await page.request.get(`/api/outings/${ID}/walk-round`)).json()) as Walk;

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
    await hand.hold(
      page.getByRole('button', { name: /Hold/ }),
      page.getByRole('heading', { name: 'Signed' }),
    );
    await expect(page.getByText(/Signed at the water, by this device/)).toBeVisible();
    await sayAfloat(water(page));
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

ownHouseTest(
  'two devices carry one outing, answer and change it apart, and both arrive',
  async ({ browser, house }) => {
    // Neither keeps the program itself, as where the house is not reached by https: their page stays open.
    const [one, two] = await Promise.all(
      [0, 1].map(async () => {
        const alone = await onTheEvening(
          await browser.newContext({ baseURL: house.url(), reducedMotion: 'reduce' }),
        );
        await alone.addInitScript(() => Reflect.deleteProperty(Navigator.prototype, 'serviceWorker'));
        return alone.newPage();
      }),
    );
    if (!one || !two) throw new Error('Two devices are wanted.');
    await Promise.all([carryOuting(one), carryOuting(two)]);
    await expect(device(two).getByRole('alert')).toContainText('Leave this page open');
    await expect(device(two).getByRole('status')).toContainText('As long as this page stays open');
    await house.stop();
    for (const [page, nth] of [
      [one, 1],
      [two, 2],
    ] as const) {
      await visit(page, `/outings/${ID}/walk-round`);
      await page.getByRole('button', { name: 'All steps' }).click();
      await page.getByRole('main').getByRole('listitem').getByRole('button').nth(nth).click();
      await page.getByRole('button', { name: 'Fault', exact: true }).click();
      await expect(page.getByText(/1 answer kept on this device/)).toBeVisible();
    }
    // What loads later than the screens is there too: a worker, and a calendar.
    await visit(one, `/outings/${ID}/kit`);
    await one.getByRole('button', { name: 'Propose a loadout' }).click();
    await expect(one.getByRole('heading', { name: 'Proposed changes' })).toBeVisible();
    await visit(one, `/outings/${ID}/brief`);
    await one.getByRole('button', { name: /^Day:/ }).click();
    await one.getByRole('button', { name: 'Day: calendar' }).click();
    await expect(one.getByRole('grid')).toBeVisible();
    await one.keyboard.press('Escape');
    await one.keyboard.press('Escape');
    await visit(one, `/outings/${ID}/walk-round`);
    await one.getByRole('textbox', { name: 'Name of the outing' }).fill('Named at the slip');
    await visit(two, `/outings/${ID}/leave-word`);
    await sayAfloat(water(two));
    await house.start();
    await Promise.all([one.reload(), two.reload()]);
    await expect(async () => {
      const { answers } = await walkOf(one);
      expect(answers.filter(({ verdict }) => verdict === 'fault')).toHaveLength(2);
      const outing = (await (await one.request.get(`/api/outings/${ID}`)).json()) as {
        doc: { title: string };
      };
      expect(outing.doc.title).toBe('Named at the slip');
      const word = (await (await one.request.get(`/api/outings/${ID}/word`)).json()) as { state: string };
      expect(word.state).toBe('afloat');
    }).toPass({ timeout: 60_000 });
    await Promise.all([one.context().close(), two.context().close()]);
  },
);

/**
 * The browser as a telephone has it, with its files in a folder; killed hard by the number of its process.
 */
async function phone(
  folder: string,
  onKey: (key: string) => void,
): Promise<{ context: BrowserContext; kill: () => Promise<void> }> {
  const { executablePath, args } = test.info().project.use.launchOptions ?? {};
  const context = await chromium.launchPersistentContext(folder, {
    ...(executablePath === undefined ? {} : { executablePath }),
    args: args ?? [],
    viewport: { width: 390, height: 844 },
    reducedMotion: 'reduce',
  });
  // Each answer takes a key of its own when it is given.
  await context.exposeFunction('noteKey', onKey);
  await context.addInitScript(() => {
    const make = crypto.randomUUID.bind(crypto);
    crypto.randomUUID = () => {
      const key = make();
      (window as unknown as { noteKey: (key: string) => void }).noteKey(key);
      return key;
    };
  });
  const main = readdirSync('/proc').find((pid) => {
    if (!/^\d+$/.test(pid)) return false;
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
      return command.includes(folder) && !command.includes('--type=');
    } catch {
      return false;
    }
  });
  return {
    context,
    kill: async () => {
      process.kill(Number(main), 'SIGKILL');
      await context.close().catch(() => undefined);
    },
  };
}

// The same chance for everyone who runs it; TALLY_CUTS and TALLY_SEED ask for more, or for another.
const SEED = Number(process.env.TALLY_SEED ?? 20_261_126);
const CUTS = Number(process.env.TALLY_CUTS ?? 3);
/**
 * Each kind once before chance takes over: the server killed, then gone, then the browser killed while it is.
 */
const FIRST_CUTS = [3, 0, 2, 1];

ownHouseTest(
  'no answer is lost and none comes twice, however often network, server and browser are killed',
  async ({ house }) => {
    test.setTimeout(CUTS * 30_000 + 120_000);
    const folder = mkdtempSync(join(tmpdir(), 'tally-phone-'));
    let seed = SEED;
    const given: string[] = [];
    const chance = (of: number) => {
      seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
      return Math.floor((seed / 2_147_483_648) * of);
    };
    const walk = `${house.url()}/outings/${ID}/walk-round`;
    let { context, kill } = await phone(folder, (key) => given.push(key));
    let page = context.pages()[0] ?? (await context.newPage());
    await page.goto(`${house.url()}/outings/${ID}/leave-word`);
    await device(page).getByRole('button', { name: 'Carry it' }).click();
    await expect(device(page).getByRole('status')).toContainText(/^Carried at/, { timeout: 60_000 });
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    let up = true;
    const open = async () => {
      await page.goto(walk);
      await page.getByRole('button', { name: 'All steps' }).click();
    };
    const answerOne = async () => {
      const rows = page.getByRole('main').getByRole('listitem').getByRole('button');
      const row = rows.nth(chance(20));
      await row.click();
      const fault = page.getByRole('button', { name: 'Fault', exact: true });
      const good = page.getByRole('button', { name: /^(Good|The rest is good)$/ });
      await ((await fault.count()) > 0 && chance(2) === 0 ? fault : good).click();
      await page.getByRole('button', { name: 'All steps' }).click();
    };
    await open();
    const before = (await (await fetch(`${house.url()}/api/outings/${ID}/walk-round`)).json()) as Walk;
    for (let i = 0; i < CUTS; i += 1) {
      for (let n = 0; n < 3; n += 1) await answerOne();
      const what = FIRST_CUTS[i] ?? chance(4);
      if (what === 0) await (up ? house.stop() : house.start());
      if (what === 0) up = !up;
      if (what === 1) await page.reload();
      if (what === 2) {
        await kill();
        ({ context, kill } = await phone(folder, (key) => given.push(key)));
        page = context.pages()[0] ?? (await context.newPage());
      }
      if (what === 3 && up) await house.restart();
      await open();
    }
    if (!up) await house.start();
    await page.reload();
    const had = new Set(before.answers.map(({ key }) => key));
    await expect(async () => {
      const { answers } = (await (await fetch(`${house.url()}/api/outings/${ID}/walk-round`)).json()) as Walk;
      const came = answers.map(({ key }) => key).filter((key) => !had.has(key));
      expect(given.filter((key) => !came.includes(key))).toEqual([]);
      expect(came).toHaveLength(new Set(given).size);
    }).toPass({ timeout: 90_000 });
    expect(given.length).toBeGreaterThanOrEqual(3 * CUTS);
    await context.close();
    rmSync(folder, { recursive: true, force: true });
  },
);
