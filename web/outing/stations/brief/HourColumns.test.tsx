import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LaunchChoice } from '#core/judgement/betterHours';
import { ThemeChoice } from '../../../app/themeChoice';
import { HourColumns, scaleOf } from './HourColumns';

afterEach(cleanup);
const hour = (launchAt: string, part: Partial<LaunchChoice> = {}): LaunchChoice => ({
  date: '2026-05-16',
  launchAt,
  homeAt: '14:00',
  stops: 0,
  minds: 0,
  first: null,
  same: { stops: 0, minds: 0 },
  windMps: 4,
  gustMps: 6,
  seaM: 0.3,
  tideM: null,
  inDark: false,
  darkMinutes: 0,
  spareMin: 30,
  unknownHours: 0,
  ...part,
});

describe('the hours as columns', () => {
  it('are measured by the worst of all days, and a calm day still looks calm', () => {
    expect(scaleOf([hour('08:00'), hour('09:00')])).toEqual({
      windMps: 10,
      seaM: 0.8,
      tideM: null,
      spareMin: 60,
    });
    const rough = scaleOf([
      hour('08:00', { gustMps: 17, seaM: 1.4, tideM: 0.2 }),
      hour('09:00', { gustMps: null, windMps: 12, tideM: 3.1, spareMin: -95 }),
    ]);
    expect(rough).toEqual({ windMps: 17, seaM: 1.4, tideM: [0.2, 3.1], spareMin: 95 });
  });
  it('each say what the hour brings, in words too, and are chosen by a press', async () => {
    const choices = [
      hour('07:30', { inDark: true, minds: 1 }),
      hour('08:00', { stops: 2 }),
      hour('08:30', { windMps: null, gustMps: null, unknownHours: 3 }),
    ];
    const chosen = vi.fn();
    render(
      <ThemeChoice>
        <HourColumns
          choices={choices}
          scale={scaleOf(choices)}
          fewest={0}
          chosen={choices[1] ?? null}
          onChoose={chosen}
        />
      </ThemeChoice>,
    );
    expect(screen.getAllByRole('button').map((one) => one.getAttribute('aria-label'))).toEqual([
      '07:30: 1 Mind, in the dark',
      '08:00: 2 Stops',
      '08:30: no Stop, no Mind, weather not known',
    ]);
    expect(screen.getByRole('button', { pressed: true }).getAttribute('aria-label')).toBe('08:00: 2 Stops');
    await userEvent.click(screen.getByRole('button', { name: /^08:30/ }));
    expect(chosen).toHaveBeenCalledWith(choices[2]);
    expect(screen.queryByText('tide')).toBeNull();
  });
});
