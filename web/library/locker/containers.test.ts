import { describe, expect, it } from 'vitest';
import { newItem } from '#core/editing/newItem';
import { containersAmong } from './containers';

const crate = newItem('crate', 'crate');
const tray = newItem('tray', 'tackle-tray', { containerId: 'crate' });
const bottle = newItem('bottle', 'water-bottle');
const tape = newItem('tape', 'repair-tape', { containerId: 'bottle' });
const items = [crate, tray, bottle, tape, newItem('whistle', 'whistle')];
const ids = (list: { id: string }[]) => list.map(({ id }) => id);

describe('what things can live in', () => {
  it('is storage, and whatever already holds something', () => {
    expect(ids(containersAmong(items, [], null))).toEqual(['crate', 'tray', 'bottle']);
  });
  it('is never the thing itself, and always what it lives in now', () => {
    expect(ids(containersAmong(items, ['crate'], null))).toEqual(['tray', 'bottle']);
    expect(ids(containersAmong(items, [], 'whistle'))).toContain('whistle');
  });
});
