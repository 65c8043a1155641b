import { describe, expect, it } from 'vitest';
import { sayOwnHours } from './ownHours';

const zone = 'Atlantic/Azores';
const day = {
  date: '2026-05-16',
  launchAt: '07:00',
  turnAt: null,
  homeAt: '16:00',
  nights: 0,
  alarmAt: '17:00',
};

describe('the hours of an outing for whoever is on it', () => {
  it('are clocks alone on the day of the launch', () => {
    expect(sayOwnHours({ ...day, turnAt: '14:30' }, zone)).toEqual({
      turn: '14:30',
      home: '16:00',
      call: '17:00',
    });
  });
  it('name their day after a night out, the turn with them', () => {
    expect(sayOwnHours({ ...day, turnAt: '14:30', nights: 2 }, zone)).toEqual({
      turn: '14:30 on Monday 18 May',
      home: '16:00 on Monday 18 May',
      call: '17:00 on Monday 18 May',
    });
  });
  it('name the next morning of a night afloat, and a turn before midnight by its clock', () => {
    expect(
      sayOwnHours({ ...day, launchAt: '21:00', turnAt: '23:30', homeAt: '03:00', alarmAt: '04:00' }, zone),
    ).toEqual({ turn: '23:30', home: '03:00 on Sunday 17 May', call: '04:00 on Sunday 17 May' });
  });
  it('take the turn that is reckoned where none is written, and none where neither is', () => {
    const noon = Date.parse('2026-05-16T12:10:00Z');
    expect(sayOwnHours(day, zone, noon).turn).toBe('12:10');
    expect(sayOwnHours(day, zone).turn).toBeNull();
    expect(sayOwnHours({ ...day, turnAt: '11:00' }, zone, noon).turn).toBe('11:00');
  });
  it('are as they were typed where the day is none', () => {
    expect(sayOwnHours({ ...day, date: '2026-02-31' }, zone)).toEqual({
      turn: null,
      home: '16:00',
      call: '17:00',
    });
  });
});
