import { cleanup, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { atDesk, demoOuting } from '../../testing/atOutingWorkspace';
import { Again } from './Again';

afterEach(cleanup);
function opened() {
  const onDay = vi.fn();
  atDesk(demoOuting('pollack-long-grey'), <Again title="Pollack" onDay={onDay} />);
  return { onDay, open: () => userEvent.click(screen.getByRole('button', { name: 'Again: Pollack' })) };
}

describe('the same outing once more', () => {
  it('is one press and a likely day', async () => {
    const { onDay, open } = opened();
    await open();
    const [first] = screen.getAllByRole('menuitem');
    if (first) await userEvent.click(first);
    expect(onDay).toHaveBeenCalledExactlyOnceWith(expect.stringMatching(/^\d{4}-\d\d-\d\d$/));
  });
  it('asks for any other day, and goes when one is typed', async () => {
    const { onDay, open } = opened();
    await open();
    await userEvent.click(screen.getByRole('menuitem', { name: 'Another day …' }));
    const field = await screen.findByLabelText('Day', {}, { timeout: 30_000 });
    await userEvent.type(field, '24 December 2030{Enter}');
    expect(onDay).toHaveBeenCalledExactlyOnceWith('2030-12-24');
    expect(screen.queryByLabelText('Day')).toBeNull();
  });
});
