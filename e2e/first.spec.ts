import { expect } from '@playwright/test';
import { Hand, KeyHand, ThumbHand } from './hands';
import { notWide, put, test, visit } from './house';

test.use({ empty: true });

const GPX = `<?xml version="1.0"?><gpx version="1.0" creator="another program"><wpt lat="47.5008" lon="-18.5101"><name>Slipway</name></wpt><wpt lat="47.5098" lon="-18.5141"><name>Reef edge</name></wpt><wpt lat="47.5040" lon="-18.5040"><name>Car park</name></wpt></gpx>`;

/** Answers each step of the walk-round good, by hand or by key. */
async function walk(hand: Hand) {
  const { page } = hand;
  const status = page.getByRole('status').filter({ hasText: /step \d+ of \d+|answered/ });
  for (let i = 0; i < 80; i += 1) {
    const words = await status.textContent();
    if (!words?.includes('· step')) return i;
    await hand.key('1');
    await expect(status).not.toHaveText(words);
  }
  throw new Error('The walk-round has no end.');
}

/** Accepts each Mind that stands in the margin, with a reason. */
async function acceptAll(hand: Hand) {
  const { page } = hand;
  const accept = page.getByRole('button', { name: 'Accept, and say why' });
  const folded = page.locator('[aria-label="Margin"]:visible details:not([open]) > summary');
  for (let left = await folded.count(); left > 0; left -= 1) await hand.press(folded.first());
  for (let left = await accept.count(); left > 0; left -= 1) {
    await hand.press(accept.first());
    await hand.type('Why you accept it', 'Looked at, close in and calm');
    await hand.press(page.getByRole('button', { name: 'Accept', exact: true }));
    await expect(accept).toHaveCount(left - 1);
  }
}

/** Settles in: who, boat, water, kit. */
async function settleIn(hand: Hand) {
  const { page } = hand;
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The first evening' })).toBeVisible();
  await hand.link('You');
  await hand.type('Name', 'A beginner');
  await hand.type('Mass, dressed', '82');
  await hand.press(page.getByLabel('I have practised getting back in'));
  await hand.type('Their name', 'Neighbour');
  await hand.type('Their number', '000 555 0199');
  await hand.button('Keep');
  await hand.link('Your boat');
  await hand.type('What you call it', 'Wren');
  await hand.button('Keep this boat');
  await hand.link('Your water');
  await hand.type('Name', 'Quiet Mere');
  await hand.choose('Kind', 'Lake or pond');
  await hand.type('What it is called', 'the steps');
  await hand.type('Its position', '47° 30.072′ N 18° 30.204′ W');
  await hand.button('By distance and bearing');
  await hand.type('From the launch', '120');
  await hand.type('Bearing, true', '45');
  await hand.button('Add it');
  await hand.type('Across at its longest, about', '400');
  await hand.button('Keep this water');
  await hand.link('What you own');
  await hand.button(/^A common first kit/);
  for (const words of [
    'bilge sponge',
    'rod rest',
    'PLB',
    'warm hat',
    'gloves',
    'wetsuit',
    'bootees',
    'tide table',
  ]) {
    await hand.type('Find, and press Enter', words);
    await hand.key('Enter');
  }
  await expect(page.getByText(/Keeping …/)).toHaveCount(0);
}

/** Then to the signature: outing, forecast, loadout, walk-round. */
async function goOut(hand: Hand) {
  const { page } = hand;
  await hand.link('Outings');
  await expect(page.getByText('4 of 5')).toBeVisible();
  await hand.button('The outing');
  await hand.button(/^Which fish/);
  await hand.type('Find', 'perch');
  await hand.press(page.getByLabel('Perch', { exact: true }));
  await hand.button('Done');
  await hand.type(
    'Type it as you read it',
    'SW 2 gusting 3, 16 °C, water 15, no thunder, no rain, visibility good',
  );
  await expect(page.getByText(/from \d\d:\d\d wind SW/)).toBeVisible();
  await hand.button('Keep these hours');
  const judged = hand.presses;
  await hand.inMargin(() => hand.link(/^Propose a loadout/));
  await hand.button(/^Take all/);
  await hand.press(page.getByRole('link', { name: /^Walk-round/ }).first());
  const steps = await walk(hand);
  await hand.inMargin(() => acceptAll(hand));
  // On a phone the walk-round has the whole screen, and the gate is still before one.
  const walkRound = page.getByRole('link', { name: /^Walk-round/ }).first();
  if (await walkRound.isVisible()) await hand.press(walkRound);
  const signed = page.getByRole('heading', { name: 'Signed', exact: true });
  await hand.hold(page.getByRole('button', { name: 'Hold to sign' }), signed);
  return { judged, steps };
}

test('from an empty house, at the desk, to a signed outing of one’s own, on a phone, in two hundred presses; nothing is wider than the screen', async ({
  page,
}) => {
  const desk = new Hand(page);
  await settleIn(desk);
  await page.setViewportSize({ width: 390, height: 844 });
  const thumb = new ThumbHand(page);
  const { judged, steps } = await goOut(thumb);
  const all = desk.presses + thumb.presses;
  console.log(
    `From an empty house: judged after ${desk.presses + judged} presses, signed after ${all}; ${steps} steps.`,
  );
  expect(desk.presses + judged).toBeLessThanOrEqual(90);
  expect(steps).toBeLessThanOrEqual(40);
  expect(all).toBeLessThanOrEqual(200);
  await notWide(page);
});

test('who, boat, water and kit of an empty house are settled by keyboard alone', async ({ page }) => {
  const hand = new KeyHand(page);
  await settleIn(hand);
  await hand.link('Outings');
  await expect(page.getByText('4 of 5')).toBeVisible();
});

test('on a phone: a water by waypoints from another program, tides pasted, wrong input everywhere', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  // An outing that is begun first takes up the water once it is told.
  await page.goto('/');
  await page.getByRole('button', { name: 'The outing' }).click();
  await expect(page.getByRole('button', { name: /^Launch:/ })).toBeVisible();
  const begun = page.url();
  await visit(page, '/first/water');
  await page.getByRole('button', { name: 'Keep this water' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await expect(page.getByText('A position is wanted here.')).toBeVisible();
  await page.getByLabel('Its position').fill('97.1, 18');
  await expect(page.getByText(/past the pole/)).toBeVisible();
  await page.getByLabel('Its position').fill('');
  await page
    .getByLabel('GPX file of waypoints')
    .setInputFiles({ name: 'a.gpx', mimeType: 'text/xml', buffer: Buffer.from('no gpx') });
  await expect(page.getByText(/no sound XML|no GPX/)).toBeVisible();
  await page
    .getByLabel('GPX file of waypoints')
    .setInputFiles({ name: 'b.gpx', mimeType: 'text/xml', buffer: Buffer.from(GPX) });
  await expect(page.getByLabel('What it is called')).toHaveValue('Slipway');
  await expect(page.getByLabel('Mark 1', { exact: true })).toHaveValue('Reef edge');
  await page.getByRole('combobox', { name: 'It is' }).nth(1).click();
  await page.getByRole('option', { name: 'left out' }).click();
  // Left half filled and come back to: nothing typed is lost.
  await page.getByLabel('Name', { exact: true }).fill('Quiet Sound');
  await page.goto('/outings');
  await page.goto('/first/water');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Quiet Sound');
  const tide = page.getByLabel(/High and low waters/);
  await tide.fill('in the morning');
  await expect(page.getByText(/No two times with heights/)).toBeVisible();
  await tide.fill(
    '27 Nov 2026 HW 05:12 4.3 m LW 11:30 0.9 m HW 17:40 4.5 m\n28 Nov HW 06:02 4.4 LW 12:20 0.8',
  );
  await expect(page.getByText(/^Understood: 3 high and 2 low waters/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'W', exact: true }).click();
  await notWide(page);
  await page.getByRole('button', { name: 'Keep this water' }).click();
  await expect(page.getByText('Kept: your water.')).toBeVisible();
  await visit(page, '/waters');
  await page.getByText('Quiet Sound').first().click();
  await expect(page.getByText(/Reef edge/i).first()).toBeVisible();
  await visit(page, new URL(begun).pathname);
  await expect(page.getByRole('button', { name: 'Launch: Slipway' })).toBeVisible();
});

test('by keyboard: find, Enter, find, Enter; more, fewer, and by another word', async ({ page }) => {
  await page.goto('/locker/own');
  const find = page.getByLabel('Find, and press Enter');
  await expect(find).toBeFocused();
  for (const words of ['torch', 'fish finder', 'torch']) {
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('Headlamp: two.')).toBeVisible();
  await page.keyboard.type('xylophone');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing is called that here. Another word', { exact: false })).toBeVisible();
  await find.fill('');
  await page.getByRole('button', { name: 'One Headlamp fewer' }).click();
  await expect(page.getByRole('button', { name: 'Headlamp: one owned, add another' })).toBeVisible();
  await page.goto('/locker');
  await expect(page.getByRole('row', { name: /Sounder/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Headlamp/ })).toBeVisible();
});

test('a lake by words alone: drawn, corrected, fished, and given its position afterwards', async ({
  page,
}) => {
  await page.goto('/first/water');
  await page.getByLabel('Name', { exact: true }).fill('Long Pond');
  await page.getByRole('combobox', { name: 'Kind' }).click();
  await page.getByRole('option', { name: 'Lake or pond' }).click();
  await page.getByLabel('What it is called').fill('the ramp');
  await page.getByRole('button', { name: 'I cannot say where it lies' }).click();
  await page.getByRole('button', { name: 'By distance and bearing' }).click();
  await put(page.getByLabel('From the launch', { exact: true }), '400');
  await put(page.getByLabel('Bearing, true'), '90');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('400 m from the launch, E')).toBeVisible();
  await put(page.getByLabel('Across at its longest, about'), '700');
  await put(page.getByLabel('And at its widest'), '3000');
  await expect(page.getByText(/the other way round/)).toBeVisible();
  await put(page.getByLabel('Across at its longest, about'), '3000');
  await put(page.getByLabel('And at its widest'), '700');
  await page.getByRole('combobox', { name: 'Its length lies' }).click();
  await page.getByRole('option', { name: 'East and west' }).click();
  await page.getByRole('button', { name: 'Keep this water' }).click();
  await expect(page.getByText('Kept: your water.')).toBeVisible();
  await visit(page, '/waters');
  await page.getByText('Long Pond').first().click();
  await expect(page.getByText(/Where it lies is not written/)).toBeVisible();
  await page.getByRole('button', { name: 'Bottom: it is so' }).click();
  await expect(page.getByRole('button', { name: 'Bottom: it is so' })).toHaveCount(0);
  // Its shore is drawn afterwards, closes, and is undone, all in the same form.
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  await expect(page.getByLabel('Position of the water')).toHaveCount(0);
  await page.getByRole('button', { name: 'Draw the shore' }).click();
  const chart = page.getByRole('img', { name: /A grid about the launch/ });
  for (const position of [
    { x: 60, y: 60 },
    { x: 300, y: 60 },
    { x: 180, y: 300 },
  ])
    await chart.click({ position });
  await page.getByRole('button', { name: 'Close it all round' }).click();
  await expect(page.getByRole('img', { name: /3 corners of the shore/ })).toBeVisible();
  await page.getByRole('button', { name: 'Move its corners' }).click();
  await chart.click({ position: { x: 60, y: 60 } });
  await page.getByRole('button', { name: 'Take this corner out' }).click();
  await expect(page.getByRole('img', { name: /0 corners of the shore/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo the drawing' }).click();
  await expect(page.getByRole('img', { name: /3 corners of the shore/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  // An outing there names no position, and asks for it.
  await visit(page, '/outings');
  await page.getByRole('button', { name: 'The outing' }).click();
  await expect(page.getByText('Where Long Pond lies is not written').first()).toBeVisible();
  await visit(page, '/waters');
  await page.getByText('Long Pond').first().click();
  await page.getByLabel('Position of the ramp').fill('47.5012, −18.5034');
  await page.getByRole('button', { name: 'It lies there' }).click();
  await expect(page.getByText(/Where it lies is not written/)).toHaveCount(0);
});
