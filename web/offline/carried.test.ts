import 'fake-indexeddb/auto';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { carriedAnswer, dropCarried, listCarried, readCarried, writeCarried } from './carried';

const one = (outingId: string, date: string, answers: Record<string, unknown>) => ({
  outingId,
  title: `Outing ${outingId}`,
  date,
  answers,
});
const evening = '2026-05-15T19:40:00.000Z';
const later = '2026-05-15T21:10:00.000Z';

afterEach(async () => {
  vi.restoreAllMocks();
  for (const { outingId } of await listCarried()) await dropCarried(outingId);
});

describe('what is carried on a device', () => {
  it('is read back as it was put there, with its size and its hour', async () => {
    const written = await writeCarried(one('slip', '2026-05-16', { '/api/a': { name: 'Sorrel' } }), evening);
    expect(written.bytes).toBe(JSON.stringify({ '/api/a': { name: 'Sorrel' } }).length);
    expect(await readCarried('slip')).toEqual(written);
    expect(written.at).toBe(evening);
  });

  it('stays when it is written twice at once, as the later was', async () => {
    const twice = [1, 2, 3].map((n) => writeCarried(one('slip', '2026-05-16', { '/api/a': n }), evening));
    expect((await Promise.all(twice)).map(({ answers }) => answers['/api/a'])).toEqual([1, 2, 3]);
    expect((await readCarried('slip'))?.answers).toEqual({ '/api/a': 3 });
  });

  it('is listed by its day, and is gone once taken off', async () => {
    await writeCarried(one('second', '2026-05-18', {}), evening);
    await writeCarried(one('first', '2026-05-16', {}), later);
    expect((await listCarried()).map(({ outingId }) => outingId)).toEqual(['first', 'second']);
    await dropCarried('first');
    expect((await listCarried()).map(({ outingId }) => outingId)).toEqual(['second']);
    expect(await readCarried('first')).toBeNull();
  });

  it('answers with the newest of what several outings carry', async () => {
    await writeCarried(one('old', '2026-05-16', { '/api/references': 'of the evening' }), evening);
    await writeCarried(one('new', '2026-05-18', { '/api/references': 'of the night' }), later);
    expect(await carriedAnswer('/api/references')).toBe('of the night');
    expect(await carriedAnswer('/api/nothing')).toBeUndefined();
  });

  it('is said not to be there when the device is full, and what was there before stays', async () => {
    const before = await writeCarried(one('slip', '2026-05-16', { '/api/a': 1 }), evening);
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('No room', 'QuotaExceededError');
    });
    await expect(writeCarried(one('slip', '2026-05-16', { '/api/a': 2 }), later)).rejects.toThrow(
      'This device is full: nothing was put on it.',
    );
    expect(await readCarried('slip')).toEqual(before);
  });

  it('is said not to be kept where the browser has no database', async () => {
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('Denied', 'InvalidStateError');
    });
    await expect(writeCarried(one('slip', '2026-05-16', {}), evening)).rejects.toThrow(
      /keeps nothing on the device/,
    );
  });

  it('does not count when it comes back otherwise than it went', async () => {
    const put = Object.getOwnPropertyDescriptor(IDBObjectStore.prototype, 'put')
      ?.value as IDBObjectStore['put'];
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, value, key) {
      return put.call(this, { ...(value as object), answers: {} }, key);
    });
    await expect(writeCarried(one('slip', '2026-05-16', { '/api/a': 1 }), evening)).rejects.toThrow(
      /not come back whole/,
    );
    vi.restoreAllMocks();
    expect(await readCarried('slip')).toBeNull();
  });
});
