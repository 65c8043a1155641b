import { describe, expect, it } from 'vitest';
import { newItem } from '../editing/newItem';
import { itemState } from './itemState';

describe('the state of an item on a day', () => {
  const item = newItem('one', 'inflatable-jacket', { expiresOn: '2026-05-16' });
  it('is good to the end of its last day', () => {
    expect(itemState(item, '2026-05-16')).toEqual({ sound: true, words: 'good' });
    expect(itemState(item, '2026-05-17')).toEqual({ sound: false, words: 'out of date since 16 May 2026' });
  });
  it('is what its condition says, before any date', () => {
    expect(itemState({ ...item, condition: 'under repair' }, '2026-01-01')).toEqual({
      sound: false,
      words: 'under repair',
    });
  });
});
