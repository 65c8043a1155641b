import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import type { Item } from '#core/documents/item';
import { demo } from '#core/demo/demo';
import { NOW, type TestApp, openApp } from '../testing/openApp';
import { SERVER_SCOPE, runInScope } from '../people/scope';
import { isSetAside } from '../documents/store';
import { libraryOf } from '../documents/library';
import { stores } from '../documents/stores';
import { walkStore } from '../walkround/store';
import { type Summaries, summariesOf } from './summaries';

/**
 * An outing is judged with what was looked over for others: for which that was asked since was judged since.
 */
const read: string[] = [];
const judgedNow = () => read.splice(0);
function watched(db: TestApp['db']) {
  const walks = walkStore(db);
  const earlierOf: typeof walks.earlierOf = async (since) => {
    const earlier = await walks.earlierOf(since);
    return (id) => {
      read.push(id);
      return earlier(id);
    };
  };
  return { ...walks, earlierOf };
}

const ALL = { ahead: 50, gone: 50 };
const today = '2026-05-15';
const { outings } = demo(NOW);
const carrying = (itemId: string) =>
  outings.filter(({ loadout }) => loadout.some((one) => one.itemId === itemId)).map(({ id }) => id);

let house: TestApp;
let summaries: Summaries;
let clock = NOW;
beforeAll(async () => {
  house = await openApp({ withDemo: true });
  summaries = summariesOf(house.db, libraryOf(house.db), watched(house.db), () => clock);
});
afterAll(() => house.close());
beforeEach(async () => {
  await summaries.page(today, ALL);
  judgedNow();
});
const into = () => stores(house.db);
async function item(id: string): Promise<{ version: number; doc: Item }> {
  const read = await into().items.get(id);
  if (!read || isSetAside(read)) throw new Error(`${id} is not there.`);
  return read;
}

describe('the list of outings', () => {
  it('has those ahead by their day and hour, those gone the newest first, and says how many there are', async () => {
    const { ahead, gone, of } = await summaries.page(today, ALL);
    const places = ahead.map(({ date, launchAt, id }) => `${date} ${launchAt} ${id}`);
    expect(places).toEqual([...places].sort());
    const days = gone.map(({ date }) => date);
    expect(days).toEqual([...days].sort().reverse());
    expect(of).toEqual({ ahead: ahead.length, gone: gone.length });
    expect(ahead.length + gone.length).toBe(outings.length);
    const few = await summaries.page(today, { ahead: 2, gone: 0 });
    expect(few.ahead).toEqual(ahead.slice(0, 2));
    expect(few.gone).toEqual([]);
    expect(few.of).toEqual(of);
  });
  it('is judged once while nothing that it reads changes, and only as much of it as is shown', async () => {
    await summaries.page(today, ALL);
    expect(judgedNow()).toEqual([]);
    const fresh = summariesOf(house.db, libraryOf(house.db), watched(house.db), () => clock);
    await fresh.page(today, { ahead: 3, gone: 0 });
    expect(judgedNow()).toHaveLength(3);
  });
  it('is judged anew where a thing changed, of the outings that carry it alone', async () => {
    const { version, doc } = await item('radio');
    await into().items.put('radio', version, { ...doc, note: 'Looked over.' });
    await summaries.page(today, ALL);
    expect(judgedNow().sort()).toEqual(carrying('radio').sort());
    expect(carrying('radio').length).toBeLessThan(outings.length);
  });
  it('is judged anew where an outing or its answers changed, that one alone', async () => {
    const kept = await into().outings.get('zander-dusk');
    if (!kept || isSetAside(kept)) throw new Error('It is there.');
    await into().outings.put('zander-dusk', kept.version, { ...kept.doc, title: 'Zander, later' });
    const { ahead, gone } = await summaries.page(today, ALL);
    expect(judgedNow()).toEqual(['zander-dusk']);
    expect([...ahead, ...gone].find(({ id }) => id === 'zander-dusk')?.title).toBe('Zander, later');
    const key = '00000000-0000-4000-8000-00000000abcd';
    const answer = {
      key,
      stepId: 'hull:bow',
      verdict: 'good',
      at: new Date(NOW).toISOString(),
      note: '',
    } as const;
    await walkStore(house.db).record('zander-dusk', [answer], new Date(NOW).toISOString(), null);
    await summaries.page(today, ALL);
    expect(judgedNow()).toContain('zander-dusk');
  });
  it('is judged anew after a while, because some of what it says goes by the clock', async () => {
    clock += 30_000;
    await summaries.page(today, ALL);
    expect(judgedNow()).toEqual([]);
    clock += 31_000;
    await summaries.page(today, ALL);
    expect(judgedNow()).toHaveLength(outings.length);
    clock = NOW;
  });
  it('leaves out what was deleted, and sets aside what cannot be read, with the reason', async () => {
    const kept = await into().outings.get('cod-wreck');
    if (!kept || isSetAside(kept)) throw new Error('It is there.');
    await into().outings.remove('cod-wreck', kept.version);
    await house.db.execute(
      sql`update outings set doc = jsonb_set(doc, '{loadout}', '"banana"') where id = 'mere-cup-day'`,
    );
    const { ahead, gone, setAside } = await summaries.page(today, ALL);
    const ids = [...ahead, ...gone].map(({ id }) => id);
    expect(ids).not.toContain('cod-wreck');
    expect(ids).not.toContain('mere-cup-day');
    expect(setAside).toEqual([
      expect.objectContaining({ id: 'mere-cup-day', why: expect.stringMatching(/cannot be read/) as string }),
    ]);
    await into().outings.restore('cod-wreck');
    await house.db.execute(
      sql`update outings set doc = jsonb_set(doc, '{loadout}', '[]') where id = 'mere-cup-day'`,
    );
    const again = await summaries.page(today, ALL);
    expect([...again.ahead, ...again.gone].map(({ id }) => id)).toEqual(
      expect.arrayContaining(['cod-wreck', 'mere-cup-day']),
    );
    expect(again.setAside).toEqual([]);
  });
  it('begins anew where the database was put back to an earlier state', async () => {
    await house.db.execute(sql`select setval('document_changes', 1, false)`);
    await house.db.execute(sql`update outings set version = version where id = 'perch-cold'`);
    const { of } = await summaries.page(today, ALL);
    expect(of.ahead + of.gone).toBe(outings.length);
  });
  it('is each person’s own', async () => {
    const other = { ...SERVER_SCOPE, owner: 'somebody', keeper: false, personId: 'somebody' };
    const { of, ahead } = await runInScope(other, () => summaries.page(today, ALL));
    expect(of).toEqual({ ahead: 0, gone: 0 });
    expect(ahead).toEqual([]);
  });
});

describe('a database that was put back to before all of it', () => {
  it('has a list with nothing in it', async () => {
    await house.db.execute(sql`truncate outings cascade`);
    await house.db.execute(sql`select setval('document_changes', 1, false)`);
    expect(await summaries.page(today, ALL)).toMatchObject({
      ahead: [],
      gone: [],
      of: { ahead: 0, gone: 0 },
    });
  });
});
