import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { type ReactNode, lazy } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { SheetId } from '#core/vocabulary/sheets';
import { atDesk, demoOuting } from '../../../testing/atOutingWorkspace';
import { WorkingsScreen } from './WorkingsScreen';

afterEach(cleanup);
const at = (id: string, sheet: SheetId | '' = '', more: { elsewhere?: ReactNode } = {}) =>
  atDesk(demoOuting(id), <WorkingsScreen />, {
    ...more,
    route: '/outings/:outingId/workings/:sheetId?',
    path: `/outings/${id}/workings/${sheet}`,
  });
const sheet = (name: string | RegExp) => within(screen.getByRole('article', { name }));
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const tried = () => screen.queryByRole('region', { name: 'Tried, not kept' });

describe('the sheets', () => {
  it('open on the first that the outing asks for; those it does not ask for are there to be tried, and say so', async () => {
    at('cod-wreck');
    const open = screen.getByRole('navigation', { name: 'Sheets' }).querySelector('[aria-current="page"]');
    expect(open?.textContent).toMatch(/^Rigs/);
    await userEvent.click(screen.getByRole('link', { name: /^Spread/ }));
    expect(screen.getByText('This outing does not ask for this sum. It is here to be tried.')).toBeDefined();
  });
  it('mark those that are not within their limit', () => {
    at('mere-cup-day', 'power');
    const marked = screen
      .getAllByRole('link')
      .filter((one) => within(one).queryByLabelText('not within its limit') !== null)
      .map((one) => one.textContent);
    expect(marked.some((name) => name.startsWith('Power'))).toBe(true);
    expect(marked.some((name) => name.startsWith('Cold'))).toBe(false);
  });
  it('wait for the brief where it says nothing', () => {
    const none = demoOuting('cod-wreck');
    atDesk(
      {
        ...none,
        brief: {
          ...none.brief,
          waterId: null,
          launchId: null,
          areaId: null,
          craftId: null,
          techniques: [],
          keep: 0,
        },
        conditions: { ...none.conditions, waterC: null },
        loadout: [],
      },
      <WorkingsScreen />,
      {
        route: '/outings/:outingId/workings/:sheetId?',
        path: '/outings/cod-wreck/workings',
      },
    );
    expect(screen.getByText(/^Say in the brief where and when you go\./)).toBeDefined();
  });
  it('of a name that is none lead to the first', () => {
    const { router } = at('cod-wreck', 'nonsense' as SheetId);
    expect(router.state.location.pathname).toBe('/outings/cod-wreck/workings');
  });
  it('name the day of each half hour where nights are out, and each can be picked', async () => {
    at('venn-overnight', 'anchor');
    const hours = screen.getByLabelText('Hour');
    const names = within(hours)
      .getAllByRole('option')
      .map(({ textContent }) => textContent);
    expect(new Set(names).size).toBe(names.length);
    expect(names.filter((name) => name.endsWith(' 12:00')).map((name) => name.length)).toEqual([9, 9]);
    for (const name of names.filter((one) => one.endsWith(' 12:00'))) {
      await userEvent.selectOptions(hours, name);
      expect(within(hours).getByRole<HTMLOptionElement>('option', { name }).selected).toBe(true);
    }
    expect(screen.getAllByRole('listitem', { name: / 12:00: / })).toHaveLength(2);
  });
  it('have no figure that is none, on any outing, and no two things of one key', () => {
    const complaints = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    for (const id of ['cod-wreck', 'venn-overnight'])
      for (const one of [
        'rigs',
        'jig',
        'spares',
        'spread',
        'anchor',
        'drift',
        'power',
        'supplies',
        'ice',
        'cold',
      ] as const) {
        at(id, one);
        expect(document.body.textContent, `${id}, ${one}`).not.toMatch(/NaN|undefined|Infinity|\[object/);
        cleanup();
      }
    expect(complaints.mock.calls.map(([first]) => String(first))).toEqual([]);
    complaints.mockRestore();
  });
});

describe('a number tried', () => {
  it('is worked with, felt in words before it is kept, and put back', async () => {
    const { doc } = at('mere-cup-day', 'power');
    const before = doc();
    const battery = within(sheet('Power').getByRole('region', { name: 'Old lead battery, 7 Ah' }));
    expect(battery.getByText(/short by/)).toBeDefined();
    type('Capacity of Old lead battery, 7 Ah', '40');
    expect(battery.getByText(/kept well, with so much to spare/)).toBeDefined();
    expect(tried()?.textContent).toMatch(
      /would be settled: Mind Old lead battery, 7 Ah does not last the day/,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Put back' }));
    expect(battery.getByText(/short by/)).toBeDefined();
    expect(tried()).toBeNull();
    expect(doc()).toBe(before);
  });
  it('that cannot be stays where it was typed and says what is allowed', () => {
    at('mere-cup-day', 'power');
    type('Capacity of Old lead battery, 7 Ah', '-3');
    expect(screen.getByRole('alert').textContent).toMatch(/^A number from 0 to 100000/);
    expect(screen.getByLabelText<HTMLInputElement>('Capacity of Old lead battery, 7 Ah').value).toBe('-3');
    expect(tried()).toBeNull();
    type('Capacity of Old lead battery, 7 Ah', 'much');
    expect(screen.getByRole('alert')).toBeDefined();
  });
  it('of the outing is kept with the outing, and the judgement follows', async () => {
    const { doc } = at('cod-wreck', 'jig');
    type('Angle of the line', '60');
    await userEvent.click(screen.getByRole('button', { name: 'Keep for this outing' }));
    expect(doc().workings.jigAngleDeg).toBe(60);
    expect(tried()).toBeNull();
    expect(screen.getByText(/^Kept for this outing: angle of the line: 60/)).toBeDefined();
  });
  it('twice is one, and two are two', () => {
    at('mere-cup-day', 'spread');
    type('Rods out', '20');
    type('Rods out', '25');
    expect(within(tried() as HTMLElement).getAllByRole('button', { name: 'Put back' })).toHaveLength(1);
    expect(tried()?.textContent).toContain('rods out: 25°');
    type('Rods up', '30');
    expect(within(tried() as HTMLElement).getAllByRole('button', { name: 'Put back' })).toHaveLength(2);
  });
  it('of the body may be kept for every outing', () => {
    at('zander-dusk', 'supplies');
    type('Litres an hour', '0.4');
    expect(screen.getByRole('button', { name: 'Keep for every outing' })).toBeDefined();
  });
  it('is not left behind without a word: stay, let go or keep', async () => {
    const { router, doc } = at('cod-wreck', 'jig');
    type('Angle of the line', '60');
    await userEvent.click(screen.getByRole('link', { name: /^Ice/ }));
    expect(screen.queryByRole('dialog'), 'between sheets nothing is asked').toBeNull();
    const leave = async () => {
      void router.navigate('/outings/cod-wreck/kit');
      return within(await screen.findByRole('dialog', { name: 'Keep or let go?' }));
    };
    await userEvent.click((await leave()).getByRole('button', { name: 'Stay' }));
    expect(router.state.location.pathname).toBe('/outings/cod-wreck/workings/ice');
    await userEvent.click((await leave()).getByRole('button', { name: 'Keep' }));
    expect(await screen.findByText('Elsewhere')).toBeDefined();
    expect(doc().workings.jigAngleDeg).toBe(60);
  });
  it('and let go is gone, also where the next screen is slow to come and one turns back', async () => {
    const Slow = lazy(() => new Promise<never>(() => undefined));
    const { router, doc } = at('cod-wreck', 'jig', { elsewhere: <Slow /> });
    const angle = () => screen.getByLabelText<HTMLInputElement>('Angle of the line').value;
    const before = { angle: angle(), doc: doc() };
    type('Angle of the line', '60');
    void router.navigate('/outings/cod-wreck/kit');
    await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Let go' }));
    expect(router.state.location.pathname).toBe('/outings/cod-wreck/kit');
    expect(angle()).toBe(before.angle);
    expect(tried()).toBeNull();
    expect(doc()).toBe(before.doc);
  });
});

describe('a rig', () => {
  it('is copied, changed, and taken apart', async () => {
    const { doc } = at('cod-wreck', 'rigs');
    await userEvent.click(screen.getAllByRole('button', { name: 'Copy this rig' })[0] as HTMLElement);
    const copy = within(screen.getByRole('region', { name: 'Casting, plugs, again' }));
    await userEvent.selectOptions(copy.getByLabelText('Leader of Casting, plugs, again'), 'heavy-leader');
    expect(doc().rigs.find(({ name }) => name === 'Casting, plugs, again')?.leaderId).toBe('heavy-leader');
    await userEvent.click(copy.getByRole('button', { name: 'Take it apart' }));
    expect(doc().rigs.map(({ name }) => name)).toEqual(demoOuting('cod-wreck').rigs.map(({ name }) => name));
  });
});
