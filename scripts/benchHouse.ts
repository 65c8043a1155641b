import { gzipSync } from 'node:zlib';
import type { Item } from '#core/documents/item';
import type { Outing } from '#core/documents/outing';
import { addDays } from '#core/units/time';
import { buildApp } from '../server/app';
import { openEmbedded } from '../server/storage/open';
import { loadDemo } from '../server/sample/demo';
import { documentTables } from '../server/storage/schema';

const ROWS_AT_ONCE = 500;

/**
 * What a big house takes: the front page, and the references whole and since the last change. Milliseconds
 * and kilobytes, gzip.
 */
export interface HouseFigures {
  frontMs: number;
  frontKb: number;
  referencesMs: number;
  sinceMs: number;
  /** The longest that another request waits while every outing is judged for the first time. */
  longestWaitMs: number;
}

/**
 * A house of many things and outings in a database in memory, asked as a browser asks; the median of `asked`
 * times.
 */
export async function measureHouse(
  { things, outings, asked }: { things: number; outings: number; asked: number },
  now: number,
): Promise<HouseFigures> {
  const { db, close } = await openEmbedded({ memory: true }, 'server/storage/migrations');
  await loadDemo(db, now);
  const [item] = await db.select().from(documentTables.items).limit(1);
  const likes = await db.select().from(documentTables.outings);
  const into = async (table: typeof documentTables.items, docs: { id: string }[]) => {
    for (let i = 0; i < docs.length; i += ROWS_AT_ONCE)
      await db
        .insert(table)
        .values(docs.slice(i, i + ROWS_AT_ONCE).map((doc) => ({ id: doc.id, version: 1, doc })));
  };
  await into(
    documentTables.items,
    Array.from({ length: things }, (_, i) => ({
      ...(item?.doc as Item),
      id: `thing-${i}`,
      name: `Thing ${i}`,
    })),
  );
  await into(
    documentTables.outings as unknown as typeof documentTables.items,
    Array.from({ length: outings }, (_, i) => {
      const like = likes[i % likes.length]?.doc as Outing;
      return {
        ...like,
        id: `outing-${i}`,
        brief: { ...like.brief, date: addDays(like.brief.date, (i % 700) - 600) },
      };
    }),
  );
  const app = await buildApp({ db, now: () => now, webRoot: null, log: false });
  const today = new Date(now).toISOString().slice(0, 10);
  const ask = async (url: string) => {
    const from = performance.now();
    const { body, statusCode } = await app.inject({ url });
    if (statusCode !== 200) throw new Error(`${url}: ${statusCode} ${body.slice(0, 200)}`);
    return { ms: performance.now() - from, body };
  };
  const front = `/api/summaries?today=${today}`;
  let isJudging = true;
  let longestWaitMs = 0;
  const meanwhile = (async () => {
    while (isJudging) {
      longestWaitMs = Math.max(longestWaitMs, (await ask('/api/outings/zander-dusk')).ms);
      await new Promise((done) => setTimeout(done, 5));
    }
  })();
  const { body } = await ask(front);
  isJudging = false;
  await meanwhile;
  const { body: references } = await ask('/api/references?since=0');
  const at = (JSON.parse(references) as { at: number }).at;
  const median = async (url: string) => {
    const times: number[] = [];
    for (let i = 0; i < asked; i += 1) times.push((await ask(url)).ms);
    return times.sort((a, b) => a - b)[Math.floor(asked / 2)] ?? NaN;
  };
  const figures = {
    frontMs: await median(front),
    frontKb: gzipSync(body).length / 1000,
    referencesMs: await median('/api/references?since=0'),
    sinceMs: await median(`/api/references?since=${at}`),
    longestWaitMs,
  };
  await app.close();
  await close();
  return figures;
}
