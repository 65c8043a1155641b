import 'fake-indexeddb/auto';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demo } from '#core/demo/demo';
import { dropCarried, writeCarried } from './carried';
import { type CarryPorts, useCarried } from './useCarried';

const [outing] = demo(Date.parse('2026-05-15T19:00:00Z')).outings;
if (!outing) throw new Error('The demo data has no outing.');
const { id } = outing;
const references = '/api/references';
/** A server that answers, or is silent. */
function ports(down: { is: boolean }): CarryPorts {
  return {
    references,
    loadScreens: () => Promise.resolve(),
    ask: (path) =>
      down.is
        ? Promise.reject(new Error('The server does not answer.'))
        : Promise.resolve(
            path === `/api/outings/${id}`
              ? { version: 1, updatedAt: '', doc: outing }
              : path.startsWith(references)
                ? { items: { changed: [] } }
                : { path },
          ),
  };
}

afterEach(async () => {
  cleanup();
  vi.restoreAllMocks();
  await dropCarried(id);
});

it('an outing that is not carried is put there by no renewal', async () => {
  const { result } = renderHook(() => useCarried(id, ports({ is: false })));
  await act(() => result.current.renew());
  expect(result.current.carried).toBeNull();
});

it('what is carried stays, older, when the server is silent while it is renewed, and is renewed when it answers', async () => {
  const before = await writeCarried(
    { outingId: id, title: 'As it was', date: '2026-05-16', answers: {} },
    '2026-05-15T19:40:00.000Z',
  );
  const down = { is: true };
  const its = ports(down);
  const { result } = renderHook(() => useCarried(id, its));
  await waitFor(() => expect(result.current.carried).toEqual(before));
  await act(() => result.current.renew());
  expect(result.current.carried).toEqual(before);
  down.is = false;
  await act(() => result.current.renew());
  expect(result.current.carried?.title).toBe(outing.title);
  expect(result.current.carried?.at).not.toBe(before.at);
});

it('a full device is said where it is carried', async () => {
  const its = ports({ is: false });
  const { result } = renderHook(() => useCarried(id, its));
  vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('No room', 'QuotaExceededError');
  });
  let done = true;
  await act(async () => {
    done = await result.current.carry(() => Promise.resolve());
  });
  expect(done).toBe(false);
  expect(result.current.trouble).toBe('This device is full: nothing was put on it.');
  expect(result.current.carried).toBeNull();
});

it('where the program itself is not kept, every screen is fetched for the page that stays open; one that does not come is said', async () => {
  const loadScreens = vi.fn(() => Promise.resolve());
  const its = { ...ports({ is: false }), loadScreens };
  const { result } = renderHook(() => useCarried(id, its));
  await act(async () => void (await result.current.carry(() => Promise.resolve())));
  expect(loadScreens).toHaveBeenCalledOnce();
  expect(result.current.staysOpen).toContain('Leave this page open');
  loadScreens.mockRejectedValueOnce(new Error('Failed to fetch'));
  let done = true;
  await act(async () => {
    done = await result.current.carry(() => Promise.resolve());
  });
  expect(done).toBe(false);
  expect(result.current.trouble).toBe(
    'Not every screen of the outing came: carry it again while there is a network.',
  );
});

/** The browser keeps the program itself, or is about to; put back by the test that asks. */
function keepsProgram(registration: { active: object | null } | undefined): () => void {
  Object.defineProperty(navigator, 'serviceWorker', {
    configurable: true,
    value: { getRegistration: () => Promise.resolve(registration) },
  });
  return () => void Reflect.deleteProperty(navigator, 'serviceWorker');
}

describe('opened again, what is carried', () => {
  const opened = async (loadScreens = vi.fn(() => Promise.resolve())) => {
    await writeCarried(
      { outingId: id, title: outing.title, date: '2026-05-16', answers: {} },
      '2026-05-15T19:40:00Z',
    );
    const its = { ...ports({ is: false }), loadScreens };
    const { result } = renderHook(() => useCarried(id, its));
    await waitFor(() => expect(result.current.carried).not.toBeNull());
    return { result, loadScreens };
  };
  it('by plain http has every screen fetched anew, and says still that the page stays open, until it is taken off', async () => {
    const { result, loadScreens } = await opened();
    await waitFor(() => expect(result.current.staysOpen).toContain('unless it came by https'));
    expect(loadScreens).toHaveBeenCalledOnce();
    act(() => result.current.forget());
    expect(result.current).toMatchObject({ carried: null, staysOpen: null, trouble: null });
  });
  it('says so where a screen does not come', async () => {
    const { result } = await opened(vi.fn(() => Promise.reject(new Error('Failed to fetch'))));
    await waitFor(() => expect(result.current.trouble).toMatch(/^Not every screen of the outing came/));
  });
  it('opens without a network where the program is kept, and fetches nothing more', async () => {
    const putBack = keepsProgram({ active: {} });
    const { result, loadScreens } = await opened();
    await act(() => Promise.resolve());
    expect(result.current.staysOpen).toBeNull();
    expect(loadScreens).not.toHaveBeenCalled();
    putBack();
  });
  it('stays open where the program was cleared away', async () => {
    for (const gone of [undefined, { active: null }]) {
      const putBack = keepsProgram(gone);
      const { result } = await opened();
      await waitFor(() => expect(result.current.staysOpen).toContain('the program itself is not kept'));
      putBack();
      cleanup();
    }
  });
});
