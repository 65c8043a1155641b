import { spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { newItem } from '#core/editing/newItem';
import { buildApp } from '../../app';
import { loadDemo } from '../../sample/demo';
import { openEmbedded } from '../../storage/open';
import { readDump } from '../makeDump';
import { startServer } from '../startServer';
import { MIGRATIONS, type Trial, good, inFolder, send, start, thingsOf } from './trial';

/** The user of Debian that owns nothing. */
const NOBODY = 65_534;

export const fullDisk: Trial = {
  name: 'the disk is full',
  run: (_, rounds) =>
    inFolder(async (folder) => {
      const mounted = join(folder, 'small');
      mkdirSync(mounted);
      if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=120m', 'tmpfs', mounted]).status !== 0)
        return { tried: 0, lost: [], leftOut: 'a small disk cannot be mounted here' };
      try {
        const lost: string[] = [];
        const data = join(mounted, 'data');
        let running = await start(data);
        let acknowledged = 0;
        for (let round = 0; round < rounds; round += 1) {
          const filler = join(mounted, 'filler');
          spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=64k'], { stdio: 'ignore' });
          let refused = false;
          for (let i = 0; i < 40 && !refused; i += 1) {
            const create = Array.from({ length: 200 }, (_, n) => newItem(`f${round}-${i}-${n}`, 'whistle'));
            const reply = await send(`${running.url}/api/batches/items`, 'POST', { create }).catch(
              () => null,
            );
            if (reply?.ok) acknowledged += create.length;
            else refused = true;
          }
          if (!refused) lost.push(`round ${round}: the disk was never full`);
          rmSync(filler);
          await running.kill('SIGKILL');
          running = await start(data);
          const there = (await thingsOf(running.url)).filter((id) => id.startsWith('f')).length;
          if (there < acknowledged) lost.push(`round ${round}: ${acknowledged} acknowledged, ${there} kept`);
          acknowledged = there;
        }
        await running.kill('SIGKILL');
        return good(rounds, lost);
      } finally {
        spawnSync('umount', ['-l', mounted]);
      }
    }),
};

export const unwritable: Trial = {
  name: 'folders that cannot be written to',
  run: () =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const file = join(folder, 'a-file');
      writeFileSync(file, '');
      const said = await startServer({ TALLY_DATA: join(file, 'data') }).then(
        () => 'it started',
        (error: unknown) => String(error),
      );
      if (!/cannot be written to \(ENOTDIR\)\.\n$/.test(said)) lost.push(said.slice(0, 200));
      // Really a folder, and one that may only be read: for the superuser a disk that is mounted so, for
      // others by its mode.
      const shut = join(folder, 'shut');
      mkdirSync(shut);
      const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'ro', 'tmpfs', shut]).status === 0;
      const other = process.getuid?.() === 0 && !mounted ? NOBODY : undefined;
      chmodSync(folder, 0o755);
      if (!mounted) chmodSync(shut, 0o555);
      const refused = await startServer({ TALLY_DATA: join(shut, 'data') }, undefined, other).then(
        () => 'it started',
        (error: unknown) => String(error),
      );
      if (mounted) spawnSync('umount', ['-l', shut]);
      if (!/cannot be written to \((EROFS|EACCES)\)\.\n$/.test(refused)) lost.push(refused.slice(0, 200));
      const running = await start(join(folder, 'data'), { TALLY_BACKUPS: file });
      const reply = await send(`${running.url}/api/backups`, 'POST', {});
      const { detail } = (await reply.json()) as { detail: string };
      if (reply.status !== 409 || !/No backup could be written/.test(detail))
        lost.push(`${reply.status}: ${detail}`);
      if (readdirSync(folder).some((name) => name.endsWith('.part'))) lost.push('half a backup lies there');
      await running.kill('SIGKILL');
      return good(3, lost);
    }),
};

export const clockBack: Trial = {
  name: 'the clock goes back a day',
  run: async () => {
    const lost: string[] = [];
    const opened = await openEmbedded({ dump: readDump() }, MIGRATIONS);
    let now = Date.parse('2026-05-15T19:00:00Z');
    await loadDemo(opened.db, now);
    const app = await buildApp({ db: opened.db, now: () => now, webRoot: null, log: false });
    const id = 'pollack-long-grey';
    const answer = (verdict: string) => {
      const at = new Date(now).toISOString();
      const answers = [{ key: crypto.randomUUID(), stepId: 'evening:radio', verdict, at, note: '' }];
      return app.inject({
        method: 'POST',
        url: `/api/outings/${id}/answers`,
        payload: { answers, sentAt: at },
      });
    };
    const before = (await answer('good')).json<{ answers: unknown[] }>().answers.length;
    now -= 86_400_000;
    const after = await answer('fault');
    if (after.statusCode !== 200 || after.json<{ answers: unknown[] }>().answers.length !== before + 1)
      lost.push(`answers: ${after.statusCode}`);
    for (const url of [
      '/api/summaries?today=2026-05-14',
      `/api/outings/${id}/word`,
      '/api/out',
      '/api/backups',
    ]) {
      const reply = await app.inject({ url });
      if (reply.statusCode !== 200) lost.push(`${url}: ${reply.statusCode}`);
    }
    await app.close();
    await opened.close();
    return good(6, lost);
  },
};
