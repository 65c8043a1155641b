import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAILY_KEPT, MONTHLY_KEPT, backupName, madeAt, toDrop } from './keeping';

const DAY = 86_400_000;
const begin = Date.parse('2025-01-31T03:00:00Z');

describe('which backups are kept', () => {
  it('names say when they were made', () => {
    expect(backupName(begin)).toBe('tally-20250131T030000Z.zip');
    expect(madeAt('tally-20250131T030000Z.zip')).toBe(begin);
    for (const other of [
      'tally-20250131.zip',
      'notes.zip',
      'tally-20259931T030000Z.zip',
      'tally-20250131T030000Z.zip.part',
    ])
      expect(madeAt(other)).toBeNull();
  });
  it('all, while there are few', () => {
    expect(toDrop(Array.from({ length: DAILY_KEPT }, (_, i) => backupName(begin + i * DAY)))).toEqual([]);
  });
  it('of two years of days: the newest, and the last of each of twelve months before', () => {
    const names = Array.from({ length: 730 }, (_, i) => backupName(begin + i * DAY));
    const dropped = new Set(toDrop(names));
    const kept = names.filter((name) => !dropped.has(name));
    expect(kept).toHaveLength(DAILY_KEPT + MONTHLY_KEPT);
    expect(kept.slice(-DAILY_KEPT)).toEqual(names.slice(-DAILY_KEPT));
    expect(new Set(kept.slice(0, MONTHLY_KEPT).map((name) => name.slice(0, 12))).size).toBe(MONTHLY_KEPT);
  });
  it('never drops what is no backup, nor the newest, whatever lies in the folder', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.integer({ min: 0, max: 900 }).map((d) => backupName(begin + d * DAY)),
            fc.string(),
          ),
        ),
        (names) => {
          const dropped = toDrop(names);
          const newest = names
            .filter((name) => madeAt(name) !== null)
            .sort()
            .at(-1);
          expect(dropped.every((name) => madeAt(name) !== null && name !== newest)).toBe(true);
        },
      ),
    );
  });
});
