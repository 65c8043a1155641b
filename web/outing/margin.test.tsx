import { cleanup, screen, waitForElementToBeRemoved, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { withItem } from '#core/editing/edit';
import { atDesk, demoOuting } from '../testing/atOutingWorkspace';
import { Margin, MarginBar } from './Margin';

afterEach(cleanup);
const ready = demoOuting('pollack-long-grey');
const dusk = demoOuting('zander-dusk');
const note = (title: string) => {
  const found = screen.getAllByRole('listitem').find((one) => one.textContent.includes(title));
  if (!found) throw new Error(`Nothing is said of ${title}.`);
  return found;
};
/** Loaded when it is first wanted. */
const reason = () => screen.findByLabelText('Why you accept it', {}, { timeout: 30_000 });
const settle = () => screen.queryByRole('button', { name: /^Settle/ });

describe('the margin', () => {
  it('leads with the proposal until a kit is begun, then with what adding settles in one press', async () => {
    const bare = atDesk({ ...ready, loadout: [] }, <Margin station="kit" />);
    expect(
      screen.getByRole('link', { name: /^Propose a loadout: \d+ of \d+ needs/ }).getAttribute('href'),
    ).toBe('/outings/pollack-long-grey/kit');
    expect(settle()).toBeNull();
    bare.unmount();
    const { doc } = atDesk(dusk, <Margin station="kit" />);
    const before = doc().loadout.length;
    const button = settle();
    expect(button?.textContent).toMatch(/^Settle \d+: add these \d+ things$/);
    if (button) await userEvent.click(button);
    expect(doc().loadout.length).toBeGreaterThan(before + 10);
    expect(screen.getByText(/^Done: Add /)).toBeDefined();
    expect(settle()).toBeNull();
  });
  it('puts the station that is open first, and the rest under a heading of their own', () => {
    atDesk(ready, <Margin station="brief" />);
    const heading = screen.getByRole('heading', { name: 'At other stations' });
    const after = (one: HTMLElement) =>
      (heading.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0;
    expect(after(note('blows off the shore'))).toBe(false);
    expect(after(note('from 42 cm only'))).toBe(true);
  });
  it('has nothing to say where nothing is found, and does not call that safe', () => {
    atDesk(ready, <Margin station="brief" />, {
      more: { assessment: { findings: [], tallies: { kit: { counted: 0, of: 0 } } } as never },
    });
    expect(screen.getByText(/^Nothing to say about what was counted\./)).toBeDefined();
  });
  it('on a phone is a bar with its count, opened and closed', async () => {
    atDesk(dusk, <MarginBar station="kit" />);
    await userEvent.click(screen.getByRole('button', { name: /^Margin: \d+ Stops/ }));
    expect(
      within(screen.getByRole('dialog', { name: 'Margin' })).getAllByRole('listitem').length,
    ).toBeGreaterThan(5);
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    await waitForElementToBeRemoved(() => screen.queryByRole('dialog', { name: 'Margin' }));
  });
});

describe('a finding', () => {
  const noFlag = withItem(ready, 'flag', 0);
  it('is accepted with a reason of some length, stands with it, and is taken back', async () => {
    const { doc } = atDesk(noFlag, <Margin station="kit" />);
    await userEvent.click(
      within(note('Be seen by day')).getByRole('button', { name: 'Accept, and say why' }),
    );
    const field = await reason();
    const accept = () => userEvent.click(screen.getByRole('button', { name: 'Accept' }));
    await accept();
    expect(screen.getByText('Say why, in a few words.')).toBeDefined();
    await userEvent.type(field, 'A bright hull');
    await accept();
    expect(doc().accepted).toMatchObject([{ key: 'need-unmet:be-seen-day', reason: 'A bright hull' }]);
    expect(screen.getByRole('heading', { name: 'Accepted, with your reason' })).toBeDefined();
    expect(note('Be seen by day').textContent).toContain('Accepted: A bright hull');
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    expect(doc().accepted).toEqual([]);
  });
  it('keeps nothing where one thinks better of it', async () => {
    const { doc } = atDesk(noFlag, <Margin station="kit" />);
    await userEvent.click(
      within(note('Be seen by day')).getByRole('button', { name: 'Accept, and say why' }),
    );
    await userEvent.type(await reason(), 'Because');
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByLabelText('Why you accept it')).toBeNull();
    expect(doc()).toBe(noFlag);
  });
  it('that the law makes is not answered, and says that no reason lifts it', () => {
    atDesk(withItem(ready, 'fly-rod', 1), <Margin station="kit" />);
    const rods = note('Three rods aboard, two allowed');
    expect(rods.textContent).toContain('no reason lifts it');
    expect(within(rods).queryByRole('button', { name: 'Accept, and say why' })).toBeNull();
  });
  it('is settled by its own repair, and undone', async () => {
    const { doc, editor } = atDesk(noFlag, <Margin station="kit" />);
    await userEvent.click(within(note('Be seen by day')).getByRole('button', { name: /^Add Orange flag/ }));
    expect(doc().loadout.some(({ itemId }) => itemId === 'flag')).toBe(true);
    expect(screen.queryByText('Be seen by day: not met')).toBeNull();
    editor.undo();
    expect(await screen.findByText(/Be seen by day: not met/)).toBeDefined();
  });
  it('leads to the boat where the boat is to be told better', () => {
    const heavy = demoOuting('bonefish-pole');
    atDesk({ ...heavy, brief: { ...heavy.brief, standing: true } }, <Margin station="brief" />);
    const links = screen.getAllByRole('link', { name: 'To the boat' }).map((one) => one.getAttribute('href'));
    expect(links).toContain('/boats/little-stint/afloat');
  });
});
