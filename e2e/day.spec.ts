import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, kept, test, visit } from './house';

const ready = '/outings/pollack-long-grey/brief';
const slider = (page: Page, name: string | RegExp) => page.getByRole('slider', { name });
const minutes = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
const clockOf = async (page: Page, name: string | RegExp) =>
  minutes((await slider(page, name).getAttribute('aria-valuetext')) ?? '');

test('the launch is dragged later: hours, turn, exposures and margin follow, and it can be taken back', async ({
  page,
}) => {
  await page.goto(ready);
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin).not.toContainText('The way out is shut');
  const before = await clockOf(page, 'Launch');
  const knob = slider(page, 'Launch').locator('circle');
  const box = await knob.boundingBox();
  if (!box) throw new Error('no knob');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 8, { steps: 8 });
  await page.mouse.move(box.x + 200, box.y + 8, { steps: 8 });
  await page.mouse.up();
  expect(await clockOf(page, 'Launch')).toBeGreaterThan(before + 60);
  await expect(margin).toContainText('The way out is shut');
  await expect(page.getByRole('table', { name: 'Passage, leg by leg' })).toContainText('no headway');
  await expect(margin.getByRole('button', { name: /^Fish the inner sound instead/ }).first()).toBeVisible();
  await kept(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(margin).not.toContainText('The way out is shut');
  expect(await clockOf(page, 'Launch')).toBe(before);
});

test('by keyboard: the handles step, the chart takes a point, a better hour is chosen', async ({ page }) => {
  await page.goto(ready);
  const launch = await clockOf(page, 'Launch');
  await slider(page, 'Launch').focus();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowLeft');
  expect(await clockOf(page, 'Launch')).toBe(launch + 25);
  await slider(page, 'Turn by').focus();
  await page.keyboard.press('PageDown');
  await expect(slider(page, 'Turn')).toBeVisible();
  await expect(page.getByText('You turn for home at')).toBeVisible();
  await page.getByRole('button', { name: 'Turn at the latest again' }).press('Enter');
  await expect(page.getByText('Turn for home by')).toBeVisible();

  await page.getByRole('button', { name: 'Draw home' }).press('Enter');
  const chart = page.getByRole('application');
  await chart.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('+');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of point 1' })).toHaveValue('point 1');
  await expect(page.getByRole('table', { name: 'Passage, leg by leg' })).toContainText(
    'The Long Grey to point 1',
  );

  await visit(page, '/outings/long-grey-late/brief');
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin).toContainText('The way out is shut');
  await page.getByRole('button', { name: 'Better hours' }).press('Enter');
  const kindest = page.getByRole('button', { name: /^\d\d:\d\d: no Stop, no Mind$/ }).first();
  await kindest.press('Enter');
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('no Stop and no Mind');
  await page.getByRole('button', { name: 'Take these hours' }).press('Enter');
  await expect(margin).not.toContainText(/\d Stop/);
});

test('an outing is rehearsed, and what helps most is taken in one press', async ({ page }) => {
  await visit(page, '/outings/zander-dusk/brief');
  await page.getByRole('button', { name: 'Rehearse' }).press('Enter');
  const panel = page.getByRole('region', { name: 'Rehearse' });
  await expect(panel.getByRole('status')).toContainText(
    /^Home between \d\d:\d\d and \d\d:\d\d in nine days of ten/,
  );
  await expect(panel).toContainText(/The wind first passes your limit of 8 m\/s .* \(\d+ of 10000\)/);
  await expect(panel).toContainText('no promise');
  await expect(panel).not.toContainText(/%|NaN/);
  const said = await panel.getByRole('status').innerText();
  await panel
    .getByRole('button', { name: /^Take it: / })
    .first()
    .press('Enter');
  await panel.getByRole('button', { name: 'Changed since: look again' }).press('Enter');
  await expect(panel.getByRole('status')).toContainText('Home between');
  await expect(panel.getByRole('status')).not.toHaveText(said);
  await panel.getByRole('button', { name: 'Close' }).press('Enter');
  await expect(panel).toHaveCount(0);

  await visit(page, '/outings/venn-overnight/brief');
  await page.getByRole('button', { name: 'Rehearse' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Rehearse' })).toContainText('nights out is not rehearsed');
});

test('at each hour the brief knows where one gets out, and when that shuts', async ({ page }) => {
  await visit(page, '/outings/pollack-long-grey/brief');
  await page.getByRole('button', { name: 'Ways out' }).press('Enter');
  const panel = page.getByRole('region', { name: 'Ways out' });
  await expect(panel.getByRole('status')).toContainText(/stays open|Shut while you are out/);
  await expect(panel.getByRole('listitem').first()).toContainText('Gannet Slip, here');
  await expect(panel.getByRole('listitem').nth(1)).toContainText(/Kelp Steps, \d+ min, 2\.4 km/);
  await panel.getByRole('button', { name: 'Close' }).press('Enter');
  await expect(panel).toHaveCount(0);
});

test('backwards from the launch: the alarm by one’s own times, told once in the settings', async ({
  page,
}) => {
  await visit(page, '/settings/limits');
  const road = page.getByRole('textbox', { name: 'On the road' });
  await road.fill('');
  await road.blur();
  await kept(page);
  await visit(page, '/outings/pollack-long-grey/brief');
  await page.getByRole('button', { name: 'Before the launch' }).press('Enter');
  const panel = page.getByRole('region', { name: 'Before the launch' });
  await expect(panel.getByRole('listitem').last()).toContainText('Launch');
  await expect(panel).not.toContainText('Get up');
  await panel.getByRole('link', { name: 'Say how long you drive' }).press('Enter');
  await road.fill('50 min');
  await road.blur();
  await kept(page);
  await visit(page, '/outings/pollack-long-grey/brief');
  await page.getByRole('button', { name: 'Before the launch' }).press('Enter');
  await expect(panel).toContainText('Get up');
  await expect(panel).toContainText('50 min on the road, by your own time.');
});

test('a route is drawn by pressing, written out, and read back the same', async ({ page }) => {
  await page.goto('/outings/cod-wreck/brief');
  await page.getByRole('button', { name: 'Draw out' }).click();
  const chart = page.getByRole('application');
  const box = await chart.boundingBox();
  if (!box) throw new Error('no chart');
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.6);
  await page.getByRole('textbox', { name: 'Name of point 1' }).fill('the yellow mark');
  await kept(page);
  const legs = page.getByRole('table', { name: 'Passage, leg by leg' });
  await expect(legs).toContainText('the yellow mark');
  const distances = await legs.innerText();
  for (const kind of ['GPX', 'GeoJSON']) {
    await page.getByRole('button', { name: 'Write it out' }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: `As ${kind}` }).click(),
    ]);
    const path = await file.path();
    await page.getByRole('button', { name: 'Take all out' }).click();
    await expect(legs).not.toContainText('the yellow mark');
    await page
      .getByLabel('Route file')
      .setInputFiles({ name: file.suggestedFilename(), mimeType: 'text/plain', buffer: readFileSync(path) });
    await expect(legs).toContainText('the yellow mark');
    expect(await legs.innerText()).toBe(distances);
  }
});

/** Hostile and broken files get a sentence and change nothing. */
async function badFiles(page: Page): Promise<void> {
  const legs = page.getByRole('table', { name: 'Passage, leg by leg' });
  const before = await legs.innerText();
  for (const [text, sentence] of [
    ['<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><gpx>&b;</gpx>', 'document type or entities'],
    ['<gpx><trk>', 'no sound XML'],
    ['{"type":"Polygon"', 'no JSON'],
    ['x'.repeat(9 * 1024 * 1024), 'larger than 8 MB'],
  ] as const) {
    await page
      .getByLabel('Route file')
      .setInputFiles({ name: 'bad.gpx', mimeType: 'text/plain', buffer: Buffer.from(text) });
    await expect(page.getByRole('alert')).toContainText(sentence);
  }
  expect(await legs.innerText()).toBe(before);
}

/** Of a route and a forecast with a bad line each the rest is taken, the bad told by line. */
async function badLines(page: Page): Promise<void> {
  await page.getByLabel('Route file').setInputFiles({
    name: 'route.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from(
      '<gpx><rte><rtept lat="47.11" lon="-19.3"><name>halfway</name></rtept><rtept lat="north" lon="-19.29"/></rte></gpx>',
    ),
  });
  await expect(page.getByText('Point 2: no position')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Passage, leg by leg' })).toContainText('halfway');

  await page.getByRole('button', { name: 'Read a forecast' }).click();
  const dialog = page.getByRole('dialog', { name: 'Read a forecast' });
  // The day the outing was made for, whatever the clock says by now.
  const cod = (await (await page.request.get('/api/outings/cod-wreck')).json()) as {
    doc: { brief: { date: string } };
  };
  const { date } = cod.doc.brief;
  await dialog.getByRole('textbox', { name: 'Forecast' }).fill(`time,wind,mood\n${date} 06:00,9,good`);
  await expect(dialog.getByRole('button', { name: 'Use these hours' })).toBeDisabled();
  await dialog
    .getByRole('radiogroup', { name: /Which unit is "wind" in\?/u })
    .getByLabel('kn', { exact: true })
    .check();
  await expect(dialog.getByRole('group', { name: 'As it is read' })).toContainText(
    'Not understood, and left: mood.',
  );
  const rows = Array.from(
    { length: 14 },
    (_, i) => `${date} ${String(i + 5).padStart(2, '0')}:00,${i === 3 ? 'calm' : 20},28,10`,
  );
  await dialog
    .getByRole('textbox', { name: 'Forecast' })
    .fill(['time,wind (kn),gust (kn),air (°C)', ...rows].join('\n'));
  await expect(dialog).toContainText('Line 5: wind "calm" is no number. Left out.');
  await dialog.getByRole('button', { name: 'Use 13 hours' }).click();
  await expect(page.getByText('Read from what was pasted')).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('Wind passes your limit');
}

/** A track of 20,000 points is read in a worker while the screen stays alive. */
async function longTrack(page: Page): Promise<void> {
  const points = Array.from({ length: 20_000 }, (_, i) => {
    const way = i < 10_000 ? i / 10_000 : 2 - i / 10_000;
    return `<trkpt lat="${(47.1 + way * 0.031 + 0.0002 * Math.sin(i / 50)).toFixed(6)}" lon="${(-19.3 + way * 0.0098).toFixed(6)}"/>`;
  });
  await page.getByLabel('Route file').setInputFiles({
    name: 'long.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from(`<gpx><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`),
  });
  await expect(page.getByText(/^Read long\.gpx: \d+ points out, \d+ home\./)).toBeVisible();
  await expect(page.getByRole('table', { name: 'Passage, leg by leg' })).toContainText(':');
}

test('files of routes and forecasts are read: hostile ones, some with bad lines, a very long one', async ({
  page,
}) => {
  await page.goto('/outings/cod-wreck/brief');
  await badFiles(page);
  await badLines(page);
  await longTrack(page);
});

test('the simulated station fills the day and says that it is simulated', async ({ page }) => {
  await page.goto('/outings/zander-dusk/brief');
  await page.getByRole('button', { name: 'Ask the simulated station' }).click();
  await expect(page.getByText('Hallow Mere, simulated station: invented weather')).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Refresh from the station' })).toBeVisible();
});

test('a water shows its chart, its tide and its fetch, and is edited', async ({ page }) => {
  await page.goto('/waters');
  await page.getByRole('button', { name: 'Ostrey Sound' }).click();
  await expect(page.getByRole('table', { name: 'Turns of tide and stream' })).toContainText('High water');
  await expect(page.getByText(/^Longest from/)).toBeVisible();
  await page.getByRole('button', { name: 'Edit' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Hazard 1: name').fill('the big race');
  await form.getByLabel(/^Constituents: name, amplitude in m,/).fill('M2 1.2 30\nnonsense');
  await expect(form.getByText('Line 2 is not a name, an amplitude and a phase')).toBeVisible();
  await form.getByLabel(/^Constituents: name, amplitude in m,/).fill('M2 1.2 30');
  await form.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(form).toBeHidden();
  await expect(page.getByRole('application')).toContainText('the big race');
});
