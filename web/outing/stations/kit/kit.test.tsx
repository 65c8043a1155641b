import { cleanup, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { withItem } from '#core/editing/edit';
import { atDesk, demoOuting, world } from '../../../testing/atOutingWorkspace';
import { Aboard } from './Aboard';
import { KitScreen } from './KitScreen';

afterEach(cleanup);
const ready = demoOuting('pollack-long-grey');
const need = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}`) });
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the kit', () => {
  it('counts each purpose, and each need by strokes and words', () => {
    atDesk(ready, <KitScreen />);
    const alive = within(screen.getByRole('region', { name: 'Stay alive' }));
    const [, met, of] =
      /^(\d+) of (\d+) counted$/.exec(alive.getByText(/^\d+ of \d+ counted$/).textContent) ?? [];
    expect(Number(met)).toBeLessThanOrEqual(Number(of));
    expect(need('Buoyancy, worn').textContent).toContain('Foam jacket, high back');
    expect(need('Call for help').textContent).toContain('Phone in its case · Handheld radio, floats');
    expect(need('Cells for the lamps').textContent).toContain('Nothing aboard');
  });
  it('waits for the water where none is said', () => {
    atDesk(
      { ...ready, brief: { ...ready.brief, waterId: null, launchId: null, areaId: null } },
      <KitScreen />,
    );
    expect(screen.getByText(/^Say in the brief where you launch\./)).toBeDefined();
  });
  it('a need opens, tells why and what would do, and takes another means aboard', async () => {
    const { doc } = atDesk(withItem(ready, 'mirror', 0), <KitScreen />);
    expect(need('Distress at a distance').textContent).toContain('Still wanted: a signal seen by day');
    await userEvent.click(need('Distress at a distance'));
    expect(need('Distress at a distance').getAttribute('aria-expanded')).toBe('true');
    expect(screen.getByText(/Those who look for you look past you\./)).toBeDefined();
    expect(screen.getByText(/^Would do: /).textContent).toContain('signal mirror');
    const owned = within(screen.getByRole('list', { name: 'Owned, for: Distress at a distance' }));
    await userEvent.click(owned.getByRole('button', { name: 'Put aboard: Signal mirror' }));
    expect(doc().loadout.some(({ itemId }) => itemId === 'mirror')).toBe(true);
    expect(need('Distress at a distance').textContent).not.toContain('Still wanted');
  });
  it('says of what is owned and would not count why it would not', async () => {
    atDesk(withItem(ready, 'radio', 0), <KitScreen />);
    await userEvent.click(need('Call for help'));
    const owned = within(screen.getByRole('list', { name: 'Owned, for: Call for help' }));
    expect(owned.getByText(/^Locator beacon/).textContent).toMatch(/would not count: out of date since/);
    const lines = owned.getAllByRole('listitem').map((one) => one.textContent);
    expect(lines.findIndex((line) => line.includes('would not count'))).toBeGreaterThan(0);
  });
  it('what one does oneself is told as that, and offers no thing', async () => {
    atDesk(ready, <KitScreen />);
    await userEvent.click(need('Get back in'));
    expect(screen.getByText('This is met by what you do, not by a thing from the locker.')).toBeDefined();
  });
});

describe('what is aboard', () => {
  it('is weighed, counted and left ashore, and comes back', async () => {
    const { doc, editor } = atDesk(ready, <Aboard />);
    expect(screen.getByText(/of gear; with you and the catch .* rated$/)).toBeDefined();
    await press('One more: Water bottle, 1 L');
    expect(doc().loadout.find(({ itemId }) => itemId === 'bottle')?.quantity).toBe(5);
    expect(screen.getByLabelText('5 of 6 owned')).toBeDefined();
    await press('Leave ashore: Signal mirror');
    expect(screen.getByText('Left ashore: Signal mirror.')).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Leave ashore: Signal mirror' })).toBeNull();
    editor.undo();
    expect(await screen.findByRole('button', { name: 'Leave ashore: Signal mirror' })).toBeDefined();
  });
  it('stops at what is owned and at one', () => {
    atDesk(withItem(withItem(ready, 'bottle', 6), 'rod-leash', 1), <Aboard />);
    const off = (name: string) => screen.getByRole('button', { name }).hasAttribute('disabled');
    expect(off('One more: Water bottle, 1 L')).toBe(true);
    expect(off('One fewer: Rod leash')).toBe(true);
  });
  it('names as passengers what meets no need of this outing', () => {
    atDesk(withItem(ready, 'crate', 1), <Aboard />);
    const heading = screen.getByRole('heading', { name: 'Passengers' });
    const crate = screen.getByRole('button', { name: 'Leave ashore: Crate' });
    expect(heading.compareDocumentPosition(crate) & Node.DOCUMENT_POSITION_FOLLOWING).toBeGreaterThan(0);
  });
  it('is chosen from the locker, found by name, kind or need, with what is open and what is wrong said beside it', async () => {
    const { doc } = atDesk(withItem(ready, 'flag', 0), <Aboard />);
    await press('Choose from the locker');
    const picker = within(screen.getByRole('dialog', { name: 'From the locker' }));
    const find = picker.getByLabelText('Find by name, kind or need');
    expect(picker.getByText(/^and \d+ more\. Write a word to find them\.$/)).toBeDefined();
    await userEvent.type(find, 'be seen by day');
    const flag = picker.getByRole('checkbox', { name: /^Orange flag on a whip/ });
    expect(flag.closest('li')?.textContent).toContain('open: Be seen by day');
    await userEvent.click(flag);
    expect(doc().loadout.some(({ itemId }) => itemId === 'flag')).toBe(true);
    await userEvent.clear(find);
    await userEvent.type(find, 'tow belt');
    expect(picker.getByText(/under repair/)).toBeDefined();
    await userEvent.clear(find);
    await userEvent.type(find, 'submarine');
    expect(picker.getByText('Nothing fits these words.')).toBeDefined();
    expect(picker.getByText(new RegExp(`^${doc().loadout.length} things aboard, `))).toBeDefined();
  });
  it('leads to the locker where nothing is owned', async () => {
    atDesk({ ...ready, loadout: [] }, <Aboard />, { references: { ...world.references, items: [] } });
    expect(screen.getByText('Nothing yet.')).toBeDefined();
    await press('Choose from the locker');
    expect(screen.getByRole('link', { name: /The locker is empty/ }).getAttribute('href')).toBe('/locker');
  });
});
