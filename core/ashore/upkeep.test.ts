import { describe, expect, it } from 'vitest';
import { kindIds, kinds } from '../catalog/gear/kinds';
import { newItem } from '../editing/newItem';
import { dueBy, inView, nextService } from './upkeep';

const none = new Set<string>();
const jacket = newItem('a', 'inflatable-jacket', { servicedOn: '2025-11-30', expiresOn: '2027-03-01' });

describe('upkeep', () => {
  it('counts the months of the kind from the last look-over, else from the purchase', () => {
    expect(nextService(jacket)).toBe('2026-11-30');
    expect(nextService({ ...jacket, servicedOn: null, boughtOn: '2026-02-28' })).toBe('2027-02-28');
    expect(nextService({ ...jacket, servicedOn: null })).toBeNull();
    expect(nextService(newItem('b', 'whistle', { servicedOn: '2020-01-01' }))).toBeNull();
  });
  it('ends a month on a day that the month has', () => {
    expect(nextService(newItem('c', 'knife', { servicedOn: '2026-08-31' }))).toBe('2027-02-28');
  });
  it('tells the first of two dates, from the day itself on', () => {
    expect(dueBy(jacket, '2026-11-29')).toBeNull();
    expect(dueBy(jacket, '2026-11-30')).toEqual({ what: 'service', on: '2026-11-30' });
    expect(dueBy({ ...jacket, expiresOn: '2026-05-01' }, '2026-11-30')).toEqual({
      what: 'expires',
      on: '2026-05-01',
    });
  });
});

describe('views of the locker', () => {
  const view = (name: Parameters<typeof inView>[1], item = jacket, used = none, holding = none) =>
    inView(item, name, '2026-10-31', used, holding);
  it('show what is due within thirty days and not before', () => {
    expect(view('due')).toBe(true);
    expect(inView(jacket, 'due', '2026-10-30', none, none)).toBe(false);
  });
  it('show what no outing carries, but not what holds other things', () => {
    expect(view('idle')).toBe(true);
    expect(view('idle', jacket, new Set(['a']))).toBe(false);
    expect(view('idle', jacket, none, new Set(['a']))).toBe(false);
    expect(view('containers', jacket, none, new Set(['a']))).toBe(true);
  });
  it('show what is broken', () => {
    expect(view('broken')).toBe(false);
    expect(view('broken', { ...jacket, condition: 'under repair' })).toBe(true);
  });
});

describe('the kinds of gear', () => {
  it('are at least 130, each meeting some need or saying why not', () => {
    expect(kindIds.length).toBeGreaterThanOrEqual(130);
    for (const id of kindIds) expect(kinds[id].means.length > 0 || kinds[id].aside !== null, id).toBe(true);
  });
  it('have a size in order, a mass, a look, and a price within reason', () => {
    for (const id of kindIds) {
      const { sizeM, massKg, look, usualEuro, service } = kinds[id];
      expect(sizeM[0], id).toBeGreaterThanOrEqual(sizeM[1]);
      expect(sizeM[2], id).toBeGreaterThan(0);
      expect(massKg, id).toBeGreaterThan(0);
      expect(massKg, id).toBeLessThan(30);
      // Nothing carried is denser than lead or lighter than air in a bag.
      const volumeL = sizeM[0] * sizeM[1] * sizeM[2] * 1000;
      expect(massKg / volumeL, id).toBeLessThan(11.3);
      expect(look.how, id).toMatch(/^[A-Z].*\.$/);
      expect(look.bad, id).toMatch(/^[A-Z].*\.$/);
      expect(usualEuro, id).toBeLessThan(1000);
      if (service) expect(service.what, id).toMatch(/^[A-Z].*\.$/);
    }
  });
  it('never promise anything', () => {
    for (const id of kindIds) expect(JSON.stringify(kinds[id]).toLowerCase(), id).not.toMatch(/\bsafe\b/);
  });
});
