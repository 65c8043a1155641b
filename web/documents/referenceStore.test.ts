import { describe, expect, it } from 'vitest';
import { ApiError } from './api';
import { ReferenceStore } from './ReferenceStore';

type Answer = Awaited<ReturnType<ConstructorParameters<typeof ReferenceStore>[0]>>;
const kept = (id: string, version = 1) =>
  ({ version, updatedAt: '2026-05-15T19:00:00Z', doc: { id, name: id } }) as never;
const news = (items: { changed?: never[]; gone?: string[] }, more: Partial<Answer> = {}): Answer => ({
  at: 1,
  whole: false,
  setAside: [],
  items: { changed: [], gone: [], ...items },
  ...more,
});
/** A store whose server gives these answers, one after another, and what it was asked. */
function storeOf(...answers: (Answer | Error)[]) {
  const asked: number[] = [];
  const store = new ReferenceStore((since) => {
    asked.push(since);
    const next = answers.shift();
    return next instanceof Error || next === undefined
      ? Promise.reject(next ?? new Error('nothing more'))
      : Promise.resolve(next);
  });
  return { store, asked };
}
const idsOf = (list: readonly { doc: { id: string } }[]) => list.map(({ doc }) => doc.id);

describe('what outings point at, read piece by piece', () => {
  it('is asked for from the last change on, and what changed stands in its place', async () => {
    const { store, asked } = storeOf(
      news({ changed: [kept('rod'), kept('reel'), kept('net')] }, { at: 7, whole: true }),
      news({ changed: [kept('reel', 2), kept('gaff')], gone: ['rod'] }, { at: 9 }),
    );
    await store.read();
    const { items } = await store.read();
    expect(asked).toEqual([0, 7]);
    expect(idsOf(items)).toEqual(['reel', 'net', 'gaff']);
    expect(items[0]?.version).toBe(2);
  });
  it('kept on the device is brought up to date by changes alone, of the series that they are of', async () => {
    const shelf: { held: unknown } = { held: undefined };
    const at = {
      read: () => Promise.resolve(shelf.held),
      write: (held: object) => void (shelf.held = { ...held, build: '' }),
    };
    const asked: unknown[] = [];
    const storeWith = (...answers: (Answer | Error)[]) =>
      new ReferenceStore(
        (since, series) => {
          asked.push([since, series]);
          const next = answers.shift();
          return next instanceof Error || !next
            ? Promise.reject(next ?? new Error('nothing more'))
            : Promise.resolve(next);
        },
        () => undefined,
        at,
      );
    await storeWith(news({ changed: [kept('rod')] }, { at: 7, series: 'a', whole: true })).read();
    const next = storeWith(news({ changed: [kept('net')] }, { at: 8, series: 'a' }));
    expect(idsOf((await next.read()).items)).toEqual(['rod', 'net']);
    // Another house, or another person: what was kept is let go.
    const other = storeWith(news({ changed: [kept('gaff')] }, { at: 9, series: 'b', whole: true }));
    expect(idsOf((await other.read()).items)).toEqual(['gaff']);
    expect(asked).toEqual([
      [0, null],
      [7, 'a'],
      [8, 'a'],
    ]);
    const away = new ApiError(0, 'The server does not answer.');
    expect(
      idsOf((await storeWith(away, away).read()).items),
      'without a network what was kept stands',
    ).toEqual(['gaff']);
    const carried = news({ changed: [kept('float')] }, { at: 10, series: 'b', whole: true });
    expect(idsOf((await storeWith(away, carried).read()).items), 'unless what is carried is newer').toEqual([
      'float',
    ]);
  });
  it('is told before anybody has it', async () => {
    const told: string[] = [];
    const store = new ReferenceStore(
      () => Promise.resolve(news({ changed: [kept('rod')] }, { whole: true })),
      ({ items }) => told.push(...idsOf(items)),
    );
    await store.read().then(() => told.push('had'));
    expect(told).toEqual(['rod', 'had']);
  });
  it('stays the same record while nothing changed, and each list while nothing of it did', async () => {
    const { store } = storeOf(
      news({ changed: [kept('rod')] }, { whole: true, waters: { changed: [kept('mere')], gone: [] } }),
      news({}, { at: 1 }),
      news({ changed: [kept('net')] }, { at: 2 }),
    );
    const first = await store.read();
    expect(await store.read()).toBe(first);
    const third = await store.read();
    expect(third).not.toBe(first);
    expect(third.waters).toBe(first.waters);
    expect(third.items).not.toBe(first.items);
  });
  it('begins anew where the server sends the whole: nothing of before is left', async () => {
    const { store } = storeOf(
      news({ changed: [kept('rod'), kept('net')] }, { whole: true }),
      news({ changed: [kept('gaff')] }, { at: 1, whole: true }),
    );
    await store.read();
    expect(idsOf((await store.read()).items)).toEqual(['gaff']);
  });
  it('is another record when something was set aside, or is no more', async () => {
    const aside = {
      kind: 'items',
      id: 'reel',
      name: 'Reel',
      why: 'It cannot be read.',
      newer: false,
    } as never;
    const { store } = storeOf(
      news({}, { whole: true }),
      news({}, { setAside: [aside] }),
      news({}, { setAside: [aside] }),
    );
    const first = await store.read();
    const second = await store.read();
    expect(second).not.toBe(first);
    expect(second.setAside).toEqual([aside]);
    expect(await store.read()).toBe(second);
  });
  it('of a kind that an answer does not know, as one that was carried long ago, has none', async () => {
    const { store } = storeOf(news({ changed: [kept('rod')] }, { whole: true }));
    const { procedures, waters, items } = await store.read();
    expect([procedures, waters]).toEqual([[], []]);
    expect(idsOf(items)).toEqual(['rod']);
  });
  it('is asked once for all who ask at the same time, and anew after a refusal, with nothing lost', async () => {
    const { store, asked } = storeOf(
      news({ changed: [kept('rod')] }, { at: 3, whole: true }),
      new Error('no network'),
      news({ changed: [kept('net')] }, { at: 4 }),
    );
    const [one, two] = await Promise.all([store.read(), store.read()]);
    expect(one).toBe(two);
    await expect(store.read()).rejects.toThrow('no network');
    expect(idsOf((await store.read()).items)).toEqual(['rod', 'net']);
    expect(asked).toEqual([0, 3, 3]);
  });
});
