import { type Page, expect } from '@playwright/test';
import { kept, notWide, test, visit } from './house';

const figures = (page: Page) => page.getByLabel('How it floats');
const thing = (page: Page, id: string) => page.locator(`[data-drawing] [data-thing="${id}"]`);
const row = (page: Page, name: string) => page.getByRole('row').filter({ hasText: name });
const mode = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Mode' }).getByRole('button', { name }).click();
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
/** Beside the boat stand the things aboard, or the margin. */
const beside = (page: Page, what: 'Things' | 'Margin') =>
  page
    .getByRole('group', { name: 'Beside the boat' })
    .getByRole('button', { name: new RegExp(`^${what}`) })
    .click();

async function middle(page: Page, id: string) {
  const box = await thing(page, id).boundingBox();
  if (!box) throw new Error(`${id} is drawn.`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}
/** Chooses from one of the panel's lists. */
async function pick(page: Page, label: string, option: string | RegExp) {
  await page.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: option }).click();
}

test('the ice is dragged from the stern to the bow: figures follow it, the trim settles, and it can be taken back', async ({
  page,
}) => {
  await page.goto('/outings/ling-anchored/stow');
  await expect(thing(page, 'ice-bag')).toHaveAccessibleName(/in the tank well/);
  const before = await figures(page).innerText();
  const from = await middle(page, 'bottle');
  const bow = await middle(page, 'dry-set');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 4, { steps: 4 });
  await page.mouse.move(bow.x, bow.y, { steps: 8 });
  await expect(page.getByText(/goes in the bow hatch/)).toBeVisible();
  await expect(figures(page)).not.toHaveText(before, { useInnerText: true });
  await page.mouse.up();
  await expect(thing(page, 'bottle')).toHaveAccessibleName(/in the bow hatch/);
  await expect(figures(page).getByText(/bow (up|down)|level/)).toBeVisible();
  await kept(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(thing(page, 'bottle')).toHaveAccessibleName(/in the tank well/);
  expect(await figures(page).innerText()).toBe(before);
});

/** A place that does not take a thing says why, and nothing moves. */
async function refused(page: Page): Promise<void> {
  const from = await middle(page, 'four-piece');
  const to = await middle(page, 'dry-set');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await expect(page.getByText(/does not go there: \d+ cm where/)).toBeVisible();
  await page.mouse.up();
  await expect(thing(page, 'four-piece')).toHaveAccessibleName(/in the tank well/);
}

/** A thing is carried from place to place by keyboard alone, then tied by its list. */
async function byKeyboard(page: Page): Promise<void> {
  await thing(page, 'pump').focus();
  await page.keyboard.press('Space');
  await expect(thing(page, 'pump')).toHaveAttribute('opacity', '0.85');
  // The keys of what was picked up are heard a moment after it is drawn so: one pressed before that is lost.
  await expect(async () => {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText(/^Hand pump, long goes/)).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(thing(page, 'pump')).not.toHaveAccessibleName(/tank well/);
  const panel = page.getByRole('region', { name: 'Hand pump, long' });
  await expect(panel).toBeVisible();
  await panel.getByRole('combobox', { name: 'Where' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('option', { name: 'Tank well' }).focus();
  await page.keyboard.press('Enter');
  await expect(thing(page, 'pump')).toHaveAccessibleName(/in the tank well, under a cord or strap/);
}

/** Several things are found by their place, put together at once, and in the order of their mass. */
async function severalAtOnce(page: Page): Promise<void> {
  await page.getByLabel('Find a thing or a place').fill('bow hatch');
  const table = page.getByRole('table', { name: 'Things and their places' });
  await expect(table.getByRole('checkbox')).toHaveCount(6);
  await page.getByLabel('Mark Jig box').check();
  await page.getByLabel('Mark Food box').check();
  await page.getByRole('combobox', { name: 'Put these two …' }).click();
  await page.getByRole('option', { name: 'Tank well' }).click();
  await expect(table.getByRole('checkbox')).toHaveCount(4);
  await page.getByLabel('Find a thing or a place').fill('');
  await table.getByRole('button', { name: 'Mass' }).click();
  await expect(table.getByRole('row').nth(1)).toContainText('Water bottle');
}

/** On one page: both views, a list by place and what is made ready for the surf. */
async function onPaper(page: Page): Promise<void> {
  await expect(thing(page, 'pump')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const sheet = page.locator('[data-stow-sheet]');
  await expect(sheet).toBeVisible();
  await expect(sheet).toContainText('In the bow hatch');
  await expect(sheet).toContainText('Before launching');
  await expect(page.getByRole('group', { name: 'Mode' })).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length).toBe(1);
}

test('a plan is worked at by mouse where a place refuses, by keyboard alone, and with several things at once; then it is printed', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/stow');
  await refused(page);
  await byKeyboard(page);
  await severalAtOnce(page);
  await onPaper(page);
});

test('a set-up is looked at beside this plan, put on, changed in two things, and kept as another', async ({
  page,
}) => {
  await page.goto('/outings/long-grey-late/stow');
  await page.getByRole('button', { name: /^Set-up: / }).click();
  await page.getByRole('menuitem', { name: /^Keep this plan as another/ }).click();
  await page.getByLabel('What you call it').fill('Long Grey, dry');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Set-up: Long Grey, dry' })).toBeVisible();
  await page.getByRole('button', { name: /^Set-up: / }).click();
  await page.getByRole('menuitem', { name: /^Wide for drifting/ }).click();
  await expect(page.getByText('What would lie elsewhere:')).toBeVisible();
  await expect(page.getByText(/^Spinning rod, 2\.1 m: in the holder on the bar, left/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it so' }).click();
  await expect(page.getByRole('button', { name: 'Set-up: Wide for drifting' })).toBeVisible();
  await page.getByRole('button', { name: /^Set-up: / }).click();
  await page.getByRole('menuitem', { name: /^Long Grey, dry/ }).click();
  await page.getByRole('button', { name: 'Put it so' }).click();
  for (const name of ['Hand pump, long', 'Jig box']) {
    await row(page, name).getByRole('button', { name }).click();
    await pick(page, 'Where', name === 'Jig box' ? 'Tank well' : 'Fore deck, under cords');
  }
  await page.getByRole('button', { name: /^Set-up: / }).click();
  await page.getByRole('menuitem', { name: /^Keep this plan as another/ }).click();
  await page.getByLabel('What you call it').fill('Long Grey, pump forward');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Set-up: Long Grey, pump forward' })).toBeVisible();
  await page.goto('/boats/grey-wagtail/fitted');
  await expect(page.getByRole('button', { name: 'Long Grey, pump forward' })).toBeVisible();
});

test('for the surf what is loose and what stands is settled by repairs; a moved thing makes the signature stale and says so', async ({
  page,
}) => {
  await page.goto('/outings/cod-wreck/stow');
  await beside(page, 'Margin');
  await expect(margin(page)).toContainText('go with the first capsize');
  await mode(page, 'Launch');
  await expect(page.getByRole('region', { name: 'Before launching' })).toContainText(
    'Sounder: in the bow hatch',
  );
  await margin(page)
    .getByRole('button', { name: /^Clip Handheld radio/ })
    .click();
  await expect(margin(page)).not.toContainText('go with the first capsize');
  await margin(page)
    .getByRole('button', { name: /^Lay Spinning rod.*flat for the surf/ })
    .click();
  await expect(page.getByRole('region', { name: 'Before launching' })).toContainText(
    'Spinning rod, 2.1 m and Jigging rod, 1.9 m: flat',
  );
  await margin(page)
    .getByRole('button', { name: /^Leash Phone/ })
    .click();
  await expect(margin(page)).not.toContainText('Loose in the cup');

  await visit(page, '/outings/pollack-long-grey/walk-round');
  const sign = page.getByRole('button', { name: 'Hold to sign' });
  await sign.hover();
  await page.mouse.down();
  await expect(page.getByRole('heading', { name: 'Signed', exact: true })).toBeVisible();
  await page.mouse.up();
  await page.getByRole('link', { name: /^Stow/ }).click();
  await beside(page, 'Things');
  await row(page, 'Hand pump, long').getByRole('button', { name: 'Hand pump, long' }).click();
  await pick(page, 'Where', 'Fore deck, under cords');
  await page.getByRole('link', { name: /^Walk-round/ }).click();
  await expect(page.getByRole('heading', { name: 'Signed, then changed' })).toBeVisible();
  await expect(
    page.getByText(/^Hand pump, long: its place was in the tank well.*; now on the fore deck/),
  ).toBeVisible();
});

test('turned over, it says what sinks, what hangs, and what can no longer be done; tied down, nothing is lost', async ({
  page,
}) => {
  await page.goto('/outings/cod-wreck/stow');
  await beside(page, 'Margin');
  await page.getByRole('button', { name: 'Turn it over' }).click();
  const over = page.getByRole('region', { name: 'Turned over' });
  await expect(over).toContainText('Then nothing aboard is left for this: call for help');
  await expect(over.getByText('Floats away: one')).toBeVisible();
  await expect(over.getByText(/^Hangs on its leash: two/)).toBeVisible();
  await margin(page)
    .getByRole('button', { name: /^Clip Handheld radio/ })
    .click();
  await margin(page)
    .getByRole('button', { name: /^Leash Phone/ })
    .click();
  await expect(over).toContainText('Nothing is lost. What is left still meets: ');
  await over.getByRole('button', { name: 'Right it' }).click();
  await expect(over).toBeHidden();
});

test('the walk-round goes along the boat place by place, with what lies there in the order it goes in', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/walk-round');
  await page.getByRole('button', { name: 'All steps' }).click();
  await expect(page.getByRole('button', { name: /^Bow hatch: \w+ things/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Made ready to launch/ })).toBeVisible();
  await page.getByRole('button', { name: /^Bow hatch: / }).click();
  await expect(page.getByText(/Then close the lid and press all round/)).toBeVisible();
  await expect(page.getByRole('img', { name: /with the place to look at, 8\d %/ })).toBeVisible();
});

test('if one goes: what hangs on one thing alone, and a second means put aboard from there', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/stow');
  await page.getByRole('button', { name: 'If one goes' }).click();
  const panel = page.getByRole('region', { name: 'If one goes' });
  await expect(panel.getByRole('status')).toHaveText(/each of them would forbid this outing/);
  const paddle = panel.getByRole('listitem').filter({ hasText: 'Second propulsion: not met' });
  await expect(paddle).toContainText('Four-piece paddle');
  await paddle.getByRole('button', { name: /^Add Long paddle/ }).click();
  await panel.getByRole('button', { name: 'Changed since: look again' }).click();
  await expect(panel.getByRole('status')).toHaveText(/would forbid/);
  await expect(panel.getByText('Second propulsion: not met')).toHaveCount(0);
});

test('arranged: one move is made, then the rest, and all is taken back', async ({ page }) => {
  await page.goto('/outings/mere-cup-day/stow');
  const before = await figures(page).innerText();
  await page.getByRole('button', { name: 'Arrange', exact: true }).click();
  const panel = page.getByRole('region', { name: 'Arranged' });
  await expect(panel.getByRole('status')).toHaveText(/^\w+ things would lie better: with all of them, trim/);
  const moves = panel.getByRole('listitem');
  const many = await moves.count();
  await panel.getByRole('button', { name: /^Move Food box / }).click();
  await expect(moves).toHaveCount(many - 1);
  await expect(thing(page, 'food')).not.toHaveAccessibleName(/tank well/);
  await panel.getByRole('button', { name: /^Move all / }).click();
  await expect(panel.getByRole('status')).toHaveText(/^Done: trim/);
  await expect(figures(page)).not.toHaveText(before, { useInnerText: true });
  await panel.getByRole('button', { name: 'Look again' }).click();
  await expect(panel.getByRole('status')).toHaveText(/^Nothing would lie so much better|would lie better/);
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  await undo.click();
  await undo.click();
  await expect(thing(page, 'food')).toHaveAccessibleName(/tank well/);
  expect(await figures(page).innerText()).toBe(before);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('the table is there under the drawing, which goes to the thing that is touched; nothing is wider than the screen', async ({
    page,
  }) => {
    await page.goto('/outings/pollack-long-grey/stow');
    const table = page.getByRole('table', { name: 'Things and their places' });
    await expect(table).toBeVisible();
    await row(page, 'Jig box').getByRole('button', { name: 'Jig box' }).tap();
    await expect(page.getByRole('region', { name: 'Jig box' })).toBeVisible();
    await expect(thing(page, 'jig-box')).toBeInViewport();
    await pick(page, 'Where', 'Tank well');
    await expect(thing(page, 'jig-box')).toHaveAccessibleName(/in the tank well/);
    await notWide(page);
  });
});

test('what is meant for a crate is packed, step by step', async ({ page }) => {
  await page.goto('/outings/zander-dusk/stow');
  for (const name of ['Leader, 8 kg', 'Soft bait box', 'Long pliers']) {
    await row(page, name).getByText(name).click();
    await pick(page, 'Where', /Crate/);
  }
  await pick(page, 'Among the rest', 'on top');
  await row(page, 'Crate').getByText('Crate', { exact: true }).first().click();
  const panel = page.getByRole('region', { name: 'Crate' });
  await panel.getByRole('button', { name: 'Does it all go in?' }).click();
  const packed = panel.getByRole('region', { name: 'How it is packed' });
  await expect(packed.getByRole('status')).toHaveText(
    /^All (two|three|four|five) go in, \d+ % of the room\.$/,
  );
  const steps = packed.getByRole('listitem');
  const many = await steps.count();
  await expect(steps.filter({ hasText: 'Long pliers' })).toHaveCount(1);
  await packed.getByRole('slider', { name: 'So many put in' }).press('ArrowLeft');
  await expect(packed.getByRole('img')).toHaveAccessibleName(
    new RegExp(`^Seen from above.*${['', 'one', 'two', 'three', 'four'][many - 1]} in`),
  );
  await page.setViewportSize({ width: 390, height: 844 });
  await notWide(page);
});

test('in the round: turned by key, pressed from above, one selection with the list, and without WebGL it says so', async ({
  page,
}) => {
  await page.goto('/outings/pollack-long-grey/stow');
  await page.getByRole('button', { name: 'In the round' }).click();
  const round = page.getByRole('region', { name: 'In the round' });
  const canvas = round.getByRole('application', { name: /Grey Wagtail in the round, floating/ });
  await expect(canvas).toHaveAttribute('data-drawn', 'yes');
  const before = await canvas.screenshot();
  await canvas.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('+');
  await expect.poll(async () => (await canvas.screenshot()).equals(before)).toBe(false);
  await round.getByLabel('Casting').check();
  await expect(round.getByRole('status')).toContainText(/in the way of an overhead cast: .*flag/i);
  // The list and the boat are one selection.
  await row(page, 'First-aid kit').getByText('First-aid kit').click();
  await expect(round.getByRole('status')).toContainText('First-aid kit, in the bow hatch');
  const panel = page.getByRole('region', { name: 'First-aid kit' });
  await panel.getByRole('button', { name: 'Does it all go in the bow hatch?' }).click();
  await expect(panel.getByRole('region', { name: 'How it is packed' })).toContainText(/of the room/);
  await page.keyboard.press('Escape');
  await round.getByRole('button', { name: 'Seen from above' }).click();
  await round.getByLabel('Casting').uncheck();
  const box = await canvas.boundingBox();
  if (!box) throw new Error('The boat is drawn.');
  // From above the bow is at the right: its lid is pressed, then the sounder on the fore deck.
  const press = (px: number) => page.mouse.click(box.x + box.width / 2 + px, box.y + box.height / 2);
  const shut = await canvas.screenshot();
  await press(LID_PX);
  await expect.poll(async () => (await canvas.screenshot()).equals(shut)).toBe(false);
  await press(FORE_DECK_PX);
  await expect(round.getByRole('status')).toContainText('on the fore deck');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'In the round' }).click();
  await expect(thing(page, 'flag')).toBeVisible();
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null;
  });
  await page.reload();
  await page.getByRole('button', { name: 'In the round' }).click();
  await expect(page.getByText(/cannot draw in the round/)).toBeVisible();
});
/** From the middle of the canvas, px: the lid of the bow hatch, and the sounder on the fore deck. */
const LID_PX = 182;
const FORE_DECK_PX = 133;
