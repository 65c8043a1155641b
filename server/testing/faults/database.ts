import { postgresPrograms, startPostgres } from '../startPostgres';
import { startServer } from '../startServer';
import { type KeptOuting, OUTING, type Trial, good, pause, read, send } from './trial';

export const databaseAway: Trial = {
  name: 'the database server is restarted',
  run: async (_, rounds) => {
    const bin = postgresPrograms();
    if (bin === null) return { tried: 0, lost: [], leftOut: 'Debian’s postgresql is not installed' };
    const lost: string[] = [];
    const postgres = await startPostgres(bin);
    const running = await startServer({ DATABASE_URL: postgres.url() });
    const { version, doc } = await read<KeptOuting>(`${running.url}/api/outings/${OUTING}`);
    let at = version;
    for (let round = 0; round < rounds; round += 1) {
      const title = `Before ${round}`;
      const saved = await send(`${running.url}/api/outings/${OUTING}`, 'PUT', {
        version: at,
        doc: { ...doc, title },
      });
      at = ((await saved.json()) as KeptOuting).version;
      await postgres.restart();
      let back: KeptOuting | null = null;
      const until = Date.now() + 15_000;
      while (!back && Date.now() < until) {
        const reply = await fetch(`${running.url}/api/outings/${OUTING}`);
        if (reply.ok) back = (await reply.json()) as KeptOuting;
        else if (reply.status !== 503) lost.push(`round ${round}: ${reply.status}`);
        if (!back) await pause(200);
      }
      if (back?.doc.title !== title)
        lost.push(`round ${round}: ${back?.doc.title ?? 'it did not come back'}`);
    }
    await running.kill('SIGKILL');
    await postgres.stop();
    return good(rounds, lost);
  },
};

export const racing: Trial = {
  name: 'two processes on one database change the same thing',
  run: async (_, rounds) => {
    const bin = postgresPrograms();
    if (bin === null) return { tried: 0, lost: [], leftOut: 'Debian’s postgresql is not installed' };
    const lost: string[] = [];
    const postgres = await startPostgres(bin);
    const env = { DATABASE_URL: postgres.url() };
    const both = await Promise.all([0, 1].map(() => startServer(env)));
    const url = (nth: number) => `${both[nth % 2]?.url ?? ''}/api/outings/${OUTING}`;
    for (let round = 0; round < rounds * 10; round += 1) {
      const { version, doc } = await read<KeptOuting>(url(0));
      const replies = await Promise.all(
        Array.from({ length: 6 }, (_, i) =>
          send(url(i), 'PUT', { version, doc: { ...doc, title: `${round}-${i}` } }),
        ),
      );
      const won = replies.flatMap((reply, i) => (reply.status === 200 ? [i] : []));
      const now = await read<KeptOuting>(url(1));
      if (won.length !== 1 || now.doc.title !== `${round}-${won[0] ?? ''}` || now.version !== version + 1)
        lost.push(`round ${round}: ${won.length} of six were told that theirs is kept`);
    }
    for (const one of both) await one.kill('SIGKILL');
    await postgres.stop();
    return good(rounds * 60, lost);
  },
};
