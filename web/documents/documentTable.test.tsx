import { cleanup, render, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { type Column, DocumentTable } from './DocumentTable';

afterEach(cleanup);
interface Thing {
  id: string;
  name: string;
  kg: number | null;
  kind: string;
}
const things: Thing[] = [
  { id: 'a', name: 'Box 10', kg: 2, kind: 'box' },
  { id: 'b', name: 'box 9', kg: null, kind: 'box' },
  { id: 'c', name: 'Anchor', kg: 0.5, kind: 'anchor' },
  { id: 'd', name: 'Éclair line', kg: 12, kind: 'line' },
];
const columns: Column<Thing>[] = [
  {
    name: 'Mass',
    cell: ({ kg }) => (kg === null ? 'unknown' : `${kg} kg`),
    by: ({ kg }) => kg,
    number: true,
  },
  { name: 'Kind', cell: ({ kind }) => kind },
];
const onOpen = vi.fn();
function Table({ rows = things, tick = false }: { rows?: readonly Thing[]; tick?: boolean }) {
  const [ids, set] = useState<ReadonlySet<string>>(new Set());
  return (
    <>
      <output>{[...ids].join(' ')}</output>
      <DocumentTable
        rows={rows}
        keyOf={({ id }) => id}
        nameOf={({ name }) => name}
        columns={columns}
        onOpen={onOpen}
        label="Things"
        {...(tick ? { ticked: { ids, set } } : {})}
      />
    </>
  );
}
const names = () => screen.getAllByRole('rowheader').map((one) => one.textContent);
const order = (name: string) => userEvent.click(screen.getByRole('button', { name }));

describe('a table of documents', () => {
  it('is put in order by a column up, then down, then as it was; what has none of it stands last either way', async () => {
    render(<Table />);
    const asTheyCame = names();
    await order('Mass');
    expect(names()).toEqual(['Anchor', 'Box 10', 'Éclair line', 'box 9']);
    expect(screen.getByRole('columnheader', { name: 'Mass' }).getAttribute('aria-sort')).toBe('ascending');
    await order('Mass');
    expect(names()).toEqual(['Éclair line', 'Box 10', 'Anchor', 'box 9']);
    await order('Mass');
    expect(names()).toEqual(asTheyCame);
    expect(screen.getByRole('columnheader', { name: 'Mass' }).hasAttribute('aria-sort')).toBe(false);
  });
  it('orders names as people do: letters of any case and accent, numbers by their size', async () => {
    render(<Table />);
    await order('Name');
    expect(names()).toEqual(['Anchor', 'box 9', 'Box 10', 'Éclair line']);
  });
  it('offers no order by what has none', () => {
    render(<Table />);
    expect(screen.queryByRole('button', { name: 'Kind' })).toBeNull();
  });
  it('opens a row by its name', async () => {
    render(<Table />);
    await userEvent.click(screen.getByRole('button', { name: 'Anchor' }));
    expect(onOpen).toHaveBeenLastCalledWith(things[2]);
  });
  it('ticks one, all, and none again', async () => {
    render(<Table tick />);
    const all = screen.getByRole('checkbox', { name: 'Tick all that are shown' });
    const chosen = () => screen.getByRole('status').textContent;
    await userEvent.click(screen.getByRole('checkbox', { name: 'Tick Anchor' }));
    expect(chosen()).toBe('c');
    expect(all.getAttribute('data-indeterminate')).toBe('true');
    await userEvent.click(all);
    expect(chosen()).toBe('a b c d');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Tick box 9' }));
    expect(chosen()).toBe('a c d');
    await userEvent.click(all);
    await userEvent.click(all);
    expect(chosen()).toBe('');
  });
  it('is paged when long, and stays on a page that is there when rows go', async () => {
    const many = Array.from({ length: 130 }, (_, i) => ({
      id: `${i}`,
      name: `Thing ${i}`,
      kg: i,
      kind: 'x',
    }));
    const { rerender } = render(<Table rows={many} />);
    expect(names()).toHaveLength(60);
    const next = () => userEvent.click(screen.getByRole('button', { name: 'Go to next page' }));
    await next();
    await next();
    expect(names()).toEqual(many.slice(120).map(({ name }) => name));
    rerender(<Table rows={many.slice(0, 61)} />);
    expect(names()).toEqual(['Thing 60']);
    rerender(<Table rows={[]} />);
    expect(within(screen.getByRole('table')).queryAllByRole('rowheader')).toEqual([]);
  });
});
