import { cleanup, render, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ToastProvider } from '../ui/Toast';
import { ConflictDialog } from './ConflictDialog';
import { SetAsideNotice } from './SetAsideNotice';
import type { SetAside } from '#core/documents/kept';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('what two windows changed differently', () => {
  it('is shown by its name, both ways, and one is chosen', async () => {
    const settle = vi.fn();
    render(
      <ConflictDialog
        kind="outings"
        saving={
          {
            is: 'conflict',
            conflicts: [{ path: ['brief', 'launchAt'], mine: '05:10', theirs: '06:00' }],
          } as never
        }
        settle={settle}
      />,
    );
    const row = screen.getAllByRole('row')[1];
    if (!row) throw new Error('The dialog has a row for each clash.');
    expect(within(row).getByRole('rowheader').textContent).not.toMatch(/launchAt|\./);
    expect(
      within(row)
        .getAllByRole('cell')
        .map((cell) => cell.textContent),
    ).toEqual(['05:10', '06:00']);
    await userEvent.click(screen.getByRole('button', { name: 'Take the other window’s' }));
    expect(settle).toHaveBeenCalledWith('theirs');
    await userEvent.click(screen.getByRole('button', { name: 'Keep mine' }));
    expect(settle).toHaveBeenLastCalledWith('mine');
  });
  it('is not asked while all is kept', () => {
    render(<ConflictDialog kind="craft" saving={{ is: 'kept', at: 0 }} settle={() => undefined} />);
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});

describe('what cannot be read', () => {
  const broken: SetAside = {
    kind: 'items',
    id: 'odd one',
    name: 'odd one',
    why: 'Its mass is missing.',
    newer: false,
  };
  const ofTomorrow: SetAside = {
    ...broken,
    id: 'later',
    name: 'Later lamp',
    why: 'It is of a newer form.',
    newer: true,
  };
  const shown = (list: readonly SetAside[], onGone = vi.fn()) => {
    render(
      <ToastProvider>
        <SetAsideNotice list={list} onGone={onGone} />
      </ToastProvider>,
    );
    return onGone;
  };
  it('is nothing to say when all can be', () => {
    shown([]);
    expect(screen.queryByRole('heading')).toBeNull();
  });
  it('is named with its reason and can be written out', () => {
    shown([broken]);
    expect(screen.getByText('Its mass is missing.')).toBeDefined();
    expect(screen.getByRole('link', { name: 'Write out odd one' }).getAttribute('href')).toBe(
      '/api/set-aside/items/odd%20one',
    );
  });
  it('is deleted only when asked twice', async () => {
    const asked = vi.fn(() => Promise.resolve(new Response(null, { status: 204 })));
    vi.stubGlobal('fetch', asked);
    const onGone = shown([broken]);
    await userEvent.click(screen.getByRole('button', { name: 'Delete odd one' }));
    expect(asked).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete odd one' }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete it for good' }));
    expect(asked).toHaveBeenCalledTimes(1);
    expect(onGone).toHaveBeenCalledTimes(1);
    expect(screen.getByText('Deleted: odd one.')).toBeDefined();
  });
  it('of a newer program can be written out but not deleted', () => {
    shown([ofTomorrow]);
    expect(screen.getByRole('link', { name: 'Write out Later lamp' })).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
