import { cleanup, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { CarriedState } from '../../../offline/useCarried';
import { atDesk, demoOuting, evening } from '../../../testing/atOutingWorkspace';
import { CarriedWords } from '../../CarriedWords';
import { Carry } from './Carry';

afterEach(cleanup);
const carried = {
  outingId: 'cod-wreck',
  title: '',
  date: '',
  at: new Date(evening).toISOString(),
  bytes: 1_800_000,
  answers: {},
};
const BY_HTTP = 'This browser opens no page without a network unless it came by https. Leave this page open.';

function shown(state: Partial<CarriedState>) {
  const device: CarriedState = {
    carried: null,
    busy: false,
    trouble: null,
    staysOpen: null,
    carry: vi.fn(() => Promise.resolve(true)),
    renew: () => Promise.resolve(),
    forget: vi.fn(),
    ...state,
  };
  const desk = atDesk(
    demoOuting('cod-wreck'),
    <>
      <header>
        <CarriedWords />
      </header>
      <Carry />
    </>,
    {
      more: {
        device,
        walk: { flush: () => Promise.resolve(), unsent: 0, held: 0 } as never,
      },
    },
  );
  const card = within(screen.getByRole('region', { name: 'On this device' }));
  return {
    ...desk,
    device,
    card,
    status: card.getByRole('status').textContent,
    always: within(screen.getByRole('banner')).getByRole('status').textContent,
  };
}

describe('an outing on this device', () => {
  it('opens without signal where the program is kept', () => {
    const { status, always, card } = shown({ carried });
    expect(status).toMatch(
      /^Carried at \d\d:\d\d, 1\.8 MB\. It opens, is walked round and is signed without signal/,
    );
    expect(always).toMatch(/^Carried \d\d:\d\d, 1\.8 MB$/);
    expect(card.queryByRole('alert')).toBeNull();
  });
  it('is never said to open where the page has to stay open: that is said on the card and beside its name', () => {
    const { status, always, card } = shown({ carried, staysOpen: BY_HTTP });
    expect(status).toContain('As long as this page stays open');
    expect(status).not.toContain('It opens');
    expect(always).toMatch(/; keep this page open$/);
    expect(card.getByRole('alert').textContent).toBe(BY_HTTP);
  });
  it('says what is amiss beside why the page stays open', () => {
    const { card } = shown({ carried, staysOpen: BY_HTTP, trouble: 'Not every screen came.' });
    expect(card.getAllByRole('alert').map(({ textContent }) => textContent)).toEqual([
      BY_HTTP,
      'Not every screen came.',
    ]);
  });
  it('is put there by a press, and the outing knows since when; a press that fails changes nothing', async () => {
    const { card, device, doc } = shown({});
    await userEvent.click(card.getByRole('button', { name: 'Carry it' }));
    expect(device.carry).toHaveBeenCalledOnce();
    expect(doc().word.carriedAt).not.toBeNull();
    cleanup();
    const failing = shown({ carry: () => Promise.resolve(false), trouble: 'This device is full.' });
    await userEvent.click(failing.card.getByRole('button', { name: 'Carry it' }));
    expect(failing.doc().word.carriedAt).toBeNull();
    expect(failing.always).toBe('Not carried');
  });
});
