import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ToastProvider } from '../ui/Toast';
import { OwnershipPanel } from './OwnershipPanel';
import { useMayChange } from './queries';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

type Asked = { method: string; url: string; body: unknown };
/** A server that knows who asks, and answers what is handed on as told. */
function served(me: object, handed: (asked: Asked) => [number, object]) {
  const all: Asked[] = [];
  vi.stubGlobal('fetch', (url: string, { method = 'GET', body }: RequestInit = {}) => {
    const asked = { method, url, body: typeof body === 'string' ? (JSON.parse(body) as unknown) : null };
    if (url === '/api/me') return Promise.resolve(Response.json(me));
    if (url.startsWith('/api/references'))
      return Promise.resolve(Response.json({ at: 1, whole: true, setAside: [] }));
    all.push(asked);
    const [status, answer] = handed(asked);
    return Promise.resolve(Response.json(answer, { status }));
  });
  return all;
}
const keeper = { accounts: true, person: { id: 'a', name: 'Ada', keeper: true } };
const water = (club?: boolean) => ({
  version: 3,
  updatedAt: '2026-05-15T19:00:00Z',
  doc: { id: 'pool' },
  ...(club === undefined ? {} : { club }),
});
const within = (part: ReactNode) =>
  render(
    <SWRConfig
      value={{
        provider: () => new Map(),
        fetcher: async (url: string) => (await fetch(url)).json() as Promise<unknown>,
      }}
    >
      <ToastProvider>{part}</ToastProvider>
    </SWRConfig>,
  );
const shown = (kept: ReturnType<typeof water>) => within(<OwnershipPanel kind="waters" kept={kept} />);

describe('who reads a water', () => {
  it('is nothing to say in a house without accounts', async () => {
    served({ accounts: false, person: null }, () => [200, {}]);
    const { container } = shown(water(true));
    await new Promise((done) => setTimeout(done, 20));
    expect(container.textContent).toBe('');
  });
  it('is told to everyone, and changed by keepers alone', async () => {
    served({ accounts: true, person: { id: 'b', name: 'Ben', keeper: false } }, () => [200, {}]);
    shown(water(true));
    expect(
      await screen.findByText('The club’s: everyone here reads it, and keepers change it.'),
    ).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('is one’s own until it is given', async () => {
    const asked = served(keeper, () => [200, water(true)]);
    shown(water(false));
    expect(await screen.findByText('Yours: nobody else sees this water.')).toBeDefined();
    await userEvent.click(screen.getByRole('button', { name: 'Give it to the club' }));
    expect(asked).toEqual([{ method: 'POST', url: '/api/waters/pool/give', body: { over: null } }]);
    expect(await screen.findByText('It is the club’s now: everyone here reads it.')).toBeDefined();
  });
  it('takes the place of what stands there only when asked a second time, at the version that was told', async () => {
    const asked = served(keeper, ({ body }) =>
      (body as { over: number | null }).over === 7
        ? [200, water(true)]
        : [409, { detail: 'Changed elsewhere.', current: { version: 7 } }],
    );
    shown(water(false));
    await userEvent.click(await screen.findByRole('button', { name: 'Give it to the club' }));
    await userEvent.click(
      await screen.findByRole('button', { name: 'Put it in the place of the club’s that is there' }),
    );
    expect(asked.map(({ body }) => body)).toEqual([{ over: null }, { over: 7 }]);
    expect(await screen.findByText('It is the club’s now: everyone here reads it.')).toBeDefined();
  });
  it('stays as it was where the server refuses, and says why', async () => {
    served(keeper, () => [403, { detail: 'Only a keeper of this house may do that.' }]);
    shown(water(true));
    await userEvent.click(await screen.findByRole('button', { name: 'Keep it to yourself' }));
    expect(await screen.findByText('Only a keeper of this house may do that.')).toBeDefined();
    expect(screen.getByRole('button', { name: 'Keep it to yourself' })).toBeDefined();
  });
});

function MayChange({ kept }: { kept: ReturnType<typeof water> }) {
  return <output>{useMayChange()(kept) ? 'may be changed' : 'is read'}</output>;
}
describe('what one may change', () => {
  const ben = { accounts: true, person: { id: 'b', name: 'Ben', keeper: false } };
  it.each([
    ['the club’s', 'a keeper', keeper, true, 'may be changed'],
    ['the club’s', 'anyone else', ben, true, 'is read'],
    ['one’s own', 'anyone else', ben, false, 'may be changed'],
    ['everything', 'the one person of a house', { accounts: false, person: null }, true, 'may be changed'],
  ])('is said of %s for %s', async (_what, _who, me, club, said) => {
    served(me, () => [200, {}]);
    within(<MayChange kept={water(club)} />);
    expect((await screen.findByText(said)).textContent).toBe(said);
  });
  it('is nothing of the club’s before it is known who asks', () => {
    vi.stubGlobal('fetch', () => new Promise(() => undefined));
    within(<MayChange kept={water(true)} />);
    expect(screen.getByRole('status').textContent).toBe('is read');
  });
});
