import { cleanup, fireEvent, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { atDesk, demoOuting } from '../../../testing/atOutingWorkspace';
import { ConditionsTable } from './ConditionsTable';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const ready = demoOuting('pollack-long-grey');
const day = { ...ready, brief: { ...ready.brief, launchAt: '08:00', homeAt: '12:00' } };
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const type = (label: string, text: string) => {
  fireEvent.change(field(label), { target: { value: text } });
  fireEvent.blur(field(label));
};
const hourOf = (doc: typeof ready, clock: string) =>
  doc.conditions.hours.find(({ at }) => at.startsWith(`${doc.brief.date}T${clock}`));

describe('the day by the hour', () => {
  it('has a row for each hour afloat and none else, and what is typed there is typed, and when', () => {
    const { doc } = atDesk(
      { ...day, conditions: { ...day.conditions, source: 'station', from: 'Sample' } },
      <ConditionsTable />,
    );
    expect(screen.getAllByRole('rowheader').map((one) => one.textContent)).toEqual([
      '08:00',
      '09:00',
      '10:00',
      '11:00',
    ]);
    type('Wind at 09:00, m/s', '7.5');
    expect(hourOf(doc(), '09:00')?.windMps).toBe(7.5);
    expect(doc().conditions).toMatchObject({ source: 'typed', from: '' });
    expect(Date.parse(doc().conditions.takenAt ?? '')).toBeGreaterThan(Date.parse('2026-01-01'));
  });
  it('keeps what cannot be where it was typed, says what is allowed, and does not take it', () => {
    const { doc } = atDesk(day, <ConditionsTable />);
    const before = hourOf(day, '09:00')?.windMps;
    type('Wind at 09:00, m/s', '90');
    expect(field('Wind at 09:00, m/s').value).toBe('90');
    expect(field('Wind at 09:00, m/s').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(/^From 0 to 60|0 to 60/)).toBeDefined();
    expect(hourOf(doc(), '09:00')?.windMps).toBe(before);
    type('Wind at 09:00, m/s', '9');
    expect(hourOf(doc(), '09:00')?.windMps).toBe(9);
    expect(field('Wind at 09:00, m/s').getAttribute('aria-invalid')).toBe('false');
  });
  it('emptied, a figure is not known, and not nought', () => {
    const { doc } = atDesk(day, <ConditionsTable />);
    type('Swell at 08:00, m', '');
    expect(hourOf(doc(), '08:00')?.swellM).toBeNull();
    type('Water temperature', '');
    expect(doc().conditions.waterC).toBeNull();
  });
  it('an hour is copied to every later one, and only those', async () => {
    const { doc } = atDesk(day, <ConditionsTable />);
    type('Wind at 09:00, m/s', '6.5');
    await userEvent.click(screen.getByRole('button', { name: 'Copy 09:00 to every later hour' }));
    expect(['09:00', '10:00', '11:00'].map((clock) => hourOf(doc(), clock)?.windMps)).toEqual([
      6.5, 6.5, 6.5,
    ]);
    expect(hourOf(doc(), '08:00')).toEqual(hourOf(day, '08:00'));
    expect(hourOf(doc(), '12:00')).toEqual(hourOf(day, '12:00'));
    expect(screen.queryByRole('button', { name: 'Copy 11:00 to every later hour' })).toBeNull();
  });
  it('hours that nobody wrote come as they are typed, in order', () => {
    const { doc } = atDesk({ ...day, conditions: { ...day.conditions, hours: [] } }, <ConditionsTable />);
    expect(
      screen.getByRole('button', { name: 'Copy 08:00 to every later hour' }).hasAttribute('disabled'),
    ).toBe(true);
    type('Wind at 10:00, m/s', '3');
    type('Air at 08:00, °C', '11');
    expect(doc().conditions.hours.map(({ at }) => at.slice(11, 16))).toEqual(['08:00', '10:00']);
    expect(hourOf(doc(), '10:00')).toMatchObject({ windMps: 3, airC: null, thunderPct: null });
  });
  it('is a list on a phone, an hour opened at a time, each line saying what is written', () => {
    vi.stubGlobal('matchMedia', (query: string) => ({
      matches: query.includes('max-width'),
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }));
    atDesk(
      { ...day, conditions: { ...day.conditions, hours: day.conditions.hours.slice(0, 10) } },
      <ConditionsTable />,
    );
    const lines = [...document.querySelectorAll('summary')].map((one) => one.textContent);
    expect(lines).toHaveLength(4);
    expect(lines[0]).toMatch(/^08:00 .*m\/s/);
    expect(lines[3]).toBe('11:00 not written');
  });
  it('waits for the hours where the sentence does not say them', () => {
    atDesk({ ...day, brief: { ...day.brief, waterId: null } }, <ConditionsTable />);
    expect(screen.getByText(/^Say the launch and the hours in the sentence/)).toBeDefined();
  });
});
