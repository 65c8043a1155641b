import { cleanup, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Answer } from '#core/documents/answer';
import { signedSnapshot } from '#core/signing/snapshot';
import { atDesk, demoOuting, world } from '../../../testing/atOutingWorkspace';
import { SignedCard } from './SignedCard';
import { Defects } from './Defects';

afterEach(cleanup);
const outing = demoOuting('pollack-long-grey');
const fault = (note: string): Answer => ({
  ...{ key: 'a', stepId: 'hull:bow', verdict: 'fault', note },
  at: '2026-05-15T19:00:00.000Z',
});
const answered = (note: string) => new Map([['hull:bow', fault(note)]]);

describe('what was found on the walk-round', () => {
  it('is listed with what is wrong, or asks for it, and leads to its step', async () => {
    const open = vi.fn();
    atDesk(outing, <Defects onOpen={open} />, { answers: answered('') });
    const found = within(screen.getByRole('region', { name: 'Found on the walk-round' }));
    expect(found.getByLabelText('Bow and its handle: what is wrong?')).toBeDefined();
    await userEvent.click(found.getByRole('button', { name: 'Bow and its handle: a fault' }));
    expect(open).toHaveBeenCalledOnce();
    cleanup();
    atDesk(outing, <Defects onOpen={open} />, { answers: answered('a new scar') });
    expect(screen.getByRole('button', { name: 'Bow and its handle: a fault, a new scar' })).toBeDefined();
    expect(screen.queryByLabelText(/what is wrong/)).toBeNull();
    cleanup();
    atDesk(outing, <Defects onOpen={open} />);
    expect(screen.queryByRole('region')).toBeNull();
  });
  it('stands on the card as it was signed', () => {
    const answers = answered('a new scar');
    const judged = signedSnapshot(outing, world.references, answers);
    const signature = { id: 1, signedAt: '2026-05-15T19:00:00.000Z', hash: 'a', atWater: false, judged };
    const card = <SignedCard signature={signature as never} changes={[]} onAgain={() => undefined} />;
    atDesk(outing, card, { answers });
    expect(screen.getByText('Bow and its handle: a fault, a new scar')).toBeDefined();
  });
});
