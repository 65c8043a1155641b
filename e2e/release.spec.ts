import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { startServer } from '../server/testing/startServer';

test('a release starts in an empty folder without an install, with its screens, its plan page and a backup', async ({
  page,
}) => {
  const place = mkdtempSync(join(tmpdir(), 'tally-release-'));
  const folder = join(place, 'app');
  const said = execFileSync(process.execPath, ['scripts/release.mjs', '--to', folder], { encoding: 'utf8' });
  expect(Number(/: (\d+) MB\./u.exec(said)?.[1])).toBeLessThanOrEqual(90);
  expect(readdirSync(join(folder, 'node_modules'))).not.toContain('react');
  const data = { TALLY_DATA: join(place, 'data'), TALLY_BACKUPS: join(place, 'backups') };
  const server = await startServer(data, [join(folder, 'server.js')]);
  try {
    const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
    const health = (await (await page.request.get(`${server.url}/api/health`)).json()) as { version: string };
    expect(health.version).toBe(version);
    await page.goto(server.url);
    await expect(page.getByRole('link', { name: /Pollack beyond the Long Grey/u }).first()).toBeVisible();
    expect((await page.request.get(`${server.url}/api/docs`)).ok()).toBe(true);
    await page.goto(`${server.url}/outings/pollack-long-grey/leave-word`);
    const [plan] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'PDF, A4' }).click(),
    ]);
    expect(readFileSync(await plan.path(), 'latin1').slice(0, 5)).toBe('%PDF-');
    const listed = execFileSync(process.execPath, ['docs/examples/api.mjs', server.url], {
      encoding: 'utf8',
    });
    expect(listed).toMatch(/^\d{4}-\d\d-\d\d Pollack beyond the Long Grey: \d+ Stops, \d+ Minds$/mu);
    execFileSync(process.execPath, [join(folder, 'backup.js'), 'backup'], {
      env: { ...process.env, ...data },
    });
    expect(readdirSync(data.TALLY_BACKUPS)).toHaveLength(1);
  } finally {
    await server.kill('SIGTERM');
    rmSync(place, { recursive: true, force: true });
  }
});
