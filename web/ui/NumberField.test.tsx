import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { NumberField } from './NumberField';
import { ToastProvider } from './Toast';
import { WhenField } from './WhenField';

afterEach(cleanup);

function Number_({ first, told }: { first: number | null; told: (value: number | null) => void }) {
  const [value, setValue] = useState(first);
  return (
    <>
      <NumberField
        label="Wind"
        unit="m/s"
        value={value}
        onChange={(next) => {
          setValue(next);
          told(next);
        }}
      />
      <button onClick={() => setValue(7)}>seven</button>
    </>
  );
}

describe('a number', () => {
  it('is taken with a comma or a point, whole, when one goes on from it', async () => {
    const told = vi.fn();
    render(<Number_ first={12} told={told} />);
    await userEvent.clear(screen.getByLabelText('Wind'));
    await userEvent.type(screen.getByLabelText('Wind'), '5,50');
    expect(told).not.toHaveBeenCalled();
    await userEvent.tab();
    expect(told).toHaveBeenCalledExactlyOnceWith(5.5);
    await userEvent.type(screen.getByLabelText('Wind'), '5{Enter}');
    expect(told).toHaveBeenLastCalledWith(5.55);
  });
  it('emptied is none; words are no number, and what was there stands', async () => {
    const told = vi.fn();
    render(<Number_ first={3} told={told} />);
    await userEvent.clear(screen.getByLabelText('Wind'));
    await userEvent.tab();
    expect(told).toHaveBeenCalledExactlyOnceWith(null);
    await userEvent.type(screen.getByLabelText('Wind'), 'calm{Enter}');
    expect(told).toHaveBeenCalledOnce();
    expect(screen.getByLabelText<HTMLInputElement>('Wind').value).toBe('calm');
    expect(screen.getByText(/calm/)).toBeDefined();
  });
  it('changed from outside shows what it is now', async () => {
    render(<Number_ first={3} told={() => undefined} />);
    await userEvent.type(screen.getByLabelText('Wind'), '0');
    await userEvent.click(screen.getByText('seven'));
    expect(screen.getByLabelText<HTMLInputElement>('Wind').value).toBe('7');
  });
});

function When({
  kind,
  first,
  told,
  nullable,
}: {
  kind: 'date' | 'time';
  first: string | null;
  told: (value: string | null) => void;
  nullable?: boolean;
}) {
  const [value, setValue] = useState(first);
  return (
    <WhenField
      kind={kind}
      label="When"
      value={value}
      nullable={nullable}
      onChange={(next) => {
        setValue(next);
        told(next);
      }}
    />
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>('When');

describe('a day or a time', () => {
  it('is shown by twenty-four hours and in words, whatever the browser’s habits are', () => {
    render(<When kind="time" first="19:05" told={() => undefined} />);
    expect(field().value).toBe('19:05');
    cleanup();
    render(<When kind="date" first="2026-05-16" told={() => undefined} />);
    expect(field().value).toBe('16 May 2026');
  });
  it('that is none stays where it was typed, with what is allowed, and changes nothing', async () => {
    const told = vi.fn();
    render(<When kind="time" first="07:25" told={told} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '25:99');
    await userEvent.tab();
    expect(field().value).toBe('25:99');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText('Write the time as hh:mm, 00:00 to 23:59.')).toBeDefined();
    expect(told).not.toHaveBeenCalled();
  });
  it('is put in order once it is left', async () => {
    const told = vi.fn();
    render(<When kind="date" first="2026-05-16" told={told} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '1.6.2026');
    expect(told, 'nothing before it is whole').not.toHaveBeenCalled();
    await userEvent.tab();
    expect(told.mock.calls).toEqual([['2026-06-01']]);
    expect(field().value).toBe('1 June 2026');
  });
  it('may be emptied only where none is an answer', async () => {
    const told = vi.fn();
    render(<When kind="date" first="2026-05-16" told={told} />);
    await userEvent.clear(field());
    await userEvent.tab();
    expect(told).not.toHaveBeenCalled();
    cleanup();
    render(<When kind="date" first="2026-05-16" told={told} nullable />);
    await userEvent.clear(field());
    await userEvent.tab();
    expect(told).toHaveBeenLastCalledWith(null);
  });
  it('that is left behind untaken is said, with what stands instead', async () => {
    render(
      <ToastProvider>
        <Leaving />
      </ToastProvider>,
    );
    await userEvent.clear(field());
    await userEvent.type(field(), '25:99');
    await userEvent.click(screen.getByText('leave'));
    expect(await screen.findByText('“25:99” was not taken. When: 07:25.')).toBeDefined();
  });
});

function Leaving() {
  const [there, setThere] = useState(true);
  return (
    <>
      {there && <When kind="time" first="07:25" told={() => undefined} />}
      <button onClick={() => setThere(false)}>leave</button>
    </>
  );
}
