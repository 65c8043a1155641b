import { mkdtempSync, readFileSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getTableName, is } from 'drizzle-orm';
import { PgTable } from 'drizzle-orm/pg-core';
import { afterEach, beforeAll, afterAll, beforeEach, describe, expect, it } from 'vitest';
import { ensureBuilt } from '../../scripts/prepare.mjs';
import { documentStore } from '../documents/store';
import { openEmbedded } from '../storage/open';
import * as schema from '../storage/schema';
import { walkStore } from '../walkround/store';
import { PASSWORD, Visitor, openClub } from '../testing/club';
import { type TestApp, openApp, snapshotOf } from '../testing/openApp';
import { emptyHouse } from '../testing/makeDump';
import { startServer } from '../testing/startServer';
import { bytesOf, pack, textOf, unpack } from '../storage/archive';
import { makeBackup, migrationsOf, readBackup, restoreBackup } from './backup';
import { backUp, restore } from './command';
import { backupsOf } from './daily';
import { backUpTo, listBackups } from './folder';
import { backupName } from './keeping';
import { readTable, tableNames, tables } from './tables';

const DAY = 86_400_000;
const MIGRATIONS = 'server/storage/migrations';
const OUTING = 'pollack-long-grey';

let house: TestApp;
let empty: TestApp;
let folder: string;
beforeAll(async () => {
  [house, empty] = await Promise.all([openApp({ withDemo: true }), openApp({ withDemo: false })]);
  // Of everything there is something, a deleted document and a signature too.
  await walkStore(house.db).sign(
    OUTING,
    { outing: 'as it was' } as never,
    new Date(house.now()).toISOString(),
  );
  await house.app.inject({ method: 'DELETE', url: '/api/outings/zander-dusk?version=1' });
  await house.app.inject({
    method: 'POST',
    url: `/api/outings/${OUTING}/check-ins`,
    payload: {
      checkIns: [
        { key: crypto.randomUUID(), what: 'afloat', at: new Date(house.now()).toISOString(), homeBy: null },
      ],
      sentAt: new Date(house.now()).toISOString(),
    },
  });
});
afterAll(() => Promise.all([house.close(), empty.close()]));
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tally-backup-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Everything in a house but the numbers of changes, which each database counts for itself. */
async function whole({ db }: TestApp): Promise<Record<string, unknown[]>> {
  const all: Record<string, unknown[]> = {};
  for (const table of tables)
    all[getTableName(table)] = (await readTable(db, table)).map((row) => ({
      ...(JSON.parse(row) as object),
      change_no: 0,
    }));
  return all;
}

describe('a backup', () => {
  it('knows every table of the house', () => {
    const all = Object.values(schema).filter((one) => is(one, PgTable));
    expect([...tableNames].sort()).toEqual(all.map((table) => getTableName(table)).sort());
  });

  it('brings every row back into another house, whatever stood there, and goes on counting from it', async () => {
    const bytes = await makeBackup(house.db, house.now());
    const backup = await readBackup(bytes, await migrationsOf(empty.db));
    expect(backup.manifest.madeAt).toBe(new Date(house.now()).toISOString());
    await restoreBackup(empty.db, backup, house.now());
    const back = await whole(empty);
    expect(back).toEqual(await whole(house));
    expect(back.outings).toContainEqual(
      expect.objectContaining({ id: 'zander-dusk', deleted_at: expect.any(String) }),
    );
    for (const name of ['signatures', 'check_ins', 'plans_left', 'watch_pages'])
      expect(back[name]).not.toEqual([]);
    const later = await snapshotOf(empty, OUTING);
    await walkStore(empty.db).sign(OUTING, later, new Date(house.now() + 1000).toISOString());
    expect((await walkStore(empty.db).lastSignature(OUTING))?.judged).toEqual(later);
    // A server that runs on it reads all of it.
    const page = await empty.app.inject({ url: '/api/references' });
    expect(page.json<{ items: { changed: unknown[] } }>().items.changed.length).toBeGreaterThan(100);
    await restoreBackup(empty.db, backup, house.now());
    expect(await whole(empty)).toEqual(await whole(house));
  });

  it('lets nobody in by what let them in then, nor twice by a code that was used since', async () => {
    const club = await openClub();
    const ada = await club.keeper();
    const { codes } = (await ada.post('/api/recovery-codes', { password: PASSWORD })).json<{
      codes: string[];
    }>();
    const { token } = (await ada.post('/api/invitations', { note: '' })).json<{ token: string }>();
    const backup = await readBackup(await makeBackup(club.db, club.now()), await migrationsOf(club.db));
    const recover = () =>
      new Visitor(club.app).post('/api/recover', { name: 'Ada', code: codes[0], password: PASSWORD });
    expect((await recover()).statusCode).toBe(200);
    await restoreBackup(club.db, backup, club.now());
    expect((await ada.get('/api/references')).statusCode).toBe(401);
    expect((await recover()).statusCode).toBe(401);
    const join = { token, name: 'Ben', password: PASSWORD };
    expect((await new Visitor(club.app).post('/api/join', join)).statusCode).toBe(404);
    expect(
      (await new Visitor(club.app).post('/api/sign-in', { name: 'Ada', password: PASSWORD })).statusCode,
    ).toBe(200);
    await club.close();
  });

  it('changes nothing when one row of it cannot come back', async () => {
    const before = await whole(house);
    const files = await unpack(await makeBackup(house.db, house.now()));
    const backup = await readBackup(await pack(files), await migrationsOf(house.db));
    const outbox = 'tables/walk_answers.jsonl';
    const broken = {
      ...backup,
      files: { ...backup.files, [outbox]: bytesOf('{"id":1,"outing_id":"nowhere"}') },
    };
    await expect(restoreBackup(house.db, broken, house.now())).rejects.toThrow();
    expect(await whole(house)).toEqual(before);
  });

  it('is refused in words when it is no zip, damaged, of another kind, or of a newer program', async () => {
    const ours = await migrationsOf(house.db);
    const bytes = await makeBackup(house.db, house.now());
    const files = await unpack(bytes);
    const refused = async (bad: Uint8Array, why: RegExp, known = ours) =>
      expect(
        (await readBackup(bad, known).catch((error: { detail: string }) => error)) as { detail: string },
      ).toEqual(expect.objectContaining({ detail: expect.stringMatching(why) as string }));
    await refused(bytesOf('no zip at all'), /no whole zip/);
    await refused(bytes.slice(0, bytes.length / 2), /no whole zip/);
    await refused(await pack({ 'a.txt': bytesOf('a') }), /no backup of a house/);
    await refused(await pack({ ...files, 'house.json': bytesOf('{"format":"house/1"') }), /cannot be read/);
    const name = 'tables/items.jsonl';
    const changed = bytesOf(
      textOf(files[name] ?? new Uint8Array()).replace('Handheld radio', 'Handheld  radio'),
    );
    await refused(await pack({ ...files, [name]: changed }), /damaged: items/);
    await refused(bytes, /newer version/, ours - 1);
  });
});

describe('backups in a folder', () => {
  it('are written whole, listed newest first, and the oldest of many are taken away', async () => {
    const old = Array.from({ length: 20 }, (_, i) => backupName(house.now() - (i + 1) * DAY));
    for (const name of old) writeFileSync(join(folder, name), 'old');
    writeFileSync(join(folder, 'notes.txt'), 'mine');
    const made = await backUpTo(folder, house.db, house.now());
    const listed = await listBackups(folder);
    expect(listed[0]).toEqual(made);
    expect(listed.length).toBeLessThan(21);
    expect(listed.length).toBeGreaterThanOrEqual(14);
    expect(readdirSync(folder)).toContain('notes.txt');
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
  it('what a killed run left half written goes, what another is at stays', async () => {
    const left = `${backupName(house.now() - DAY)}.1.part`;
    const busy = `${backupName(house.now() - 1000)}.1.part`;
    for (const name of [left, busy]) writeFileSync(join(folder, name), 'half');
    utimesSync(join(folder, left), 1, 1);
    await backUpTo(folder, house.db, house.now());
    expect(readdirSync(folder)).toContain(busy);
    expect(readdirSync(folder)).not.toContain(left);
    expect((await listBackups(folder)).map(({ name }) => name)).toEqual([backupName(house.now())]);
  });
  it('is said in words when the folder cannot be one', async () => {
    const file = join(folder, 'a-file');
    writeFileSync(file, '');
    await expect(backUpTo(file, house.db, house.now())).rejects.toThrow(/No backup could be written/);
  });
});

describe('the daily backup', () => {
  it('is made when the last is a day old, and a week without one is minded', async () => {
    let now = house.now();
    const backups = backupsOf(house.db, folder, () => now);
    expect(await backups.state()).toMatchObject({ on: true, last: null, minded: false });
    await backups.tick();
    const first = (await backups.state()).last;
    expect(first?.at).toBe(new Date(now).toISOString());
    now += DAY - 1000;
    await backups.tick();
    expect((await backups.state()).count).toBe(1);
    now += 1000;
    await Promise.all([backups.tick(), backups.tick()]);
    expect((await backups.state()).count).toBe(2);
    now += 7 * DAY + 1;
    expect((await backups.state()).minded).toBe(true);
  });
  it('says why the last came to nothing, until one is made', async () => {
    const file = join(folder, 'file');
    writeFileSync(file, '');
    const backups = backupsOf(house.db, file, house.now);
    await expect(backups.tick()).rejects.toThrow();
    expect((await backups.state()).trouble).toMatch(/No backup could be written/);
    rmSync(file);
    await backups.make();
    expect((await backups.state()).trouble).toBe('');
  });
  it('is none where no folder is set, and that is said to whoever asks for one', async () => {
    const state = await house.app.inject({ url: '/api/backups' });
    expect(state.json()).toMatchObject({ on: false, last: null, minded: false });
    const made = await house.app.inject({ method: 'POST', url: '/api/backups', payload: {} });
    expect(made.statusCode).toBe(409);
    expect(made.json<{ detail: string }>().detail).toBe('No folder for backups is set.');
  });
});

it('a running server is asked for one, a stopped house is looked at and restored, what was there before is kept', async () => {
  const data = join(folder, 'data');
  const said: string[] = [];
  const say = (line: string) => said.push(line);
  const where = { data, databaseUrl: null, backups: join(data, 'backups') };
  const clock = () => Date.now();
  await ensureBuilt();
  await emptyHouse(data);
  const server = await startServer({ TALLY_DATA: data });
  await fetch(`${server.url}/api/outings/zander-dusk?version=1`, { method: 'DELETE' });
  await backUp(where, MIGRATIONS, clock, say);
  const name = said.at(-1)?.split(',')[0] ?? '';
  await expect(
    restore(where, MIGRATIONS, { file: join(where.backups, name), goOn: true }, clock, say),
  ).rejects.toThrow(/in use by another running copy/);
  expect(await server.kill('SIGKILL')).toBeNull();

  const other = { ...where, data: join(folder, 'other'), backups: join(folder, 'kept') };
  const file = join(where.backups, name);
  await emptyHouse(other.data);
  await restore(other, MIGRATIONS, { file, goOn: false }, clock, say);
  expect(said.at(-1)).toContain('Nothing was changed');
  expect(await listBackups(other.backups)).toEqual([]);
  await restore(other, MIGRATIONS, { file, goOn: true }, clock, say);
  expect(said.join('\n')).toMatch(/item: 1\d\d in the backup, 0 here/);
  expect(said.at(-1)).toContain('Restored, all of it.');
  expect(await listBackups(other.backups)).toHaveLength(1);

  const again = await openEmbedded({ folder: join(other.data, 'db') }, MIGRATIONS);
  const outings = (await documentStore(again.db, 'outings').list()).map(({ doc }) => doc.id);
  await again.close();
  expect(outings).toContain(OUTING);
  expect(outings).not.toContain('zander-dusk');
  writeFileSync(file, readFileSync(file).subarray(0, 500));
  await expect(restore(other, MIGRATIONS, { file, goOn: true }, clock, say)).rejects.toThrow(/no whole zip/);
}, 240_000);
