import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoCraft } from '#core/demo/boats';
import type { Craft } from '#core/documents/craft';
import { ThemeChoice } from '../../app/themeChoice';
import { BoatDrawing } from './BoatDrawing';
import type { ZoneHandling } from './handling';
import { scaleFor } from './scale';

afterEach(cleanup);
const [wagtail] = demoCraft as [Craft];
const stint = demoCraft.find(({ id }) => id === 'little-stint') as Craft;
const lies = { draftM: 0.082, trimDeg: 0.6, heelDeg: 0 };
const drawn = (props: Partial<Parameters<typeof BoatDrawing>[0]>) =>
  render(
    <ThemeChoice>
      <BoatDrawing craft={wagtail} lies={lies} angler={{ heightM: 1.79 }} {...props} />
    </ThemeChoice>,
  );
const handling = (chosen: string | null): ZoneHandling => ({
  chosen,
  choose: vi.fn(),
  move: vi.fn(),
  stretch: vi.fn(),
});

describe('a boat drawn', () => {
  it('is told in words: its size, its places from bow to stern, how deep it floats and how it trims', () => {
    drawn({});
    const [above, side] = screen.getAllByRole('img').map((one) => one.getAttribute('aria-label') ?? '');
    expect(above).toMatch(
      /^Grey Wagtail from above, 3\.9 m by 0\.88 m.*Pad-eye at the bow, .*Tank well, Pad-eye at the stern\.$/,
    );
    expect(side).toBe(
      'Grey Wagtail from the side, 0.32 m deep amidships, floating 0.08 m deep, 0.6° bow up.',
    );
  });
  it('says how much steeper its trim is drawn, and from astern how far it heels', () => {
    drawn({ views: ['side', 'astern'], lies: { ...lies, heelDeg: 5.2 }, stance: 'leaning' });
    expect(screen.getByText('trim drawn 4 times as steep')).toBeDefined();
    expect(screen.getByRole('img', { name: 'Grey Wagtail from astern, heeled 5.2°.' })).toBeDefined();
    cleanup();
    drawn({ views: ['astern'], lies: { ...lies, heelDeg: null } });
    expect(screen.getByText('nothing holds it: it goes over')).toBeDefined();
  });
  it('has each place moved by arrow keys, a centimetre or five, and stretched by its corner', () => {
    const hands = handling('well');
    drawn({ handling: hands });
    const well = screen.getByRole('button', { name: /^Tank well, / });
    fireEvent.keyDown(well, { key: 'ArrowRight' });
    fireEvent.keyDown(well, { key: 'ArrowUp', shiftKey: true });
    fireEvent.keyDown(well, { key: 'a' });
    expect(vi.mocked(hands.move).mock.calls.map(([zone, x, y, done]) => [zone.id, x, y, done])).toEqual([
      ['well', 0.01, 0, true],
      ['well', 0, -0.05, true],
    ]);
    fireEvent.keyDown(screen.getByRole('button', { name: /^Stretch Tank well/ }), { key: 'ArrowDown' });
    expect(vi.mocked(hands.stretch).mock.calls[0]?.slice(1)).toEqual([0, 0.01, true]);
  });
  it('shows where to look, and no places to handle, on the walk-round', () => {
    drawn({ views: ['above'], plain: true, here: 0.25, angler: null });
    expect(
      screen.getByRole('img', { name: /with the place to look at, 25 % of the way from stern to bow/ }),
    ).toBeDefined();
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});

describe('the scale of a drawing', () => {
  it('is one for length and breadth, as large as the width allows, and has room for floats that are out', () => {
    for (const width of [340, 700, 1100]) {
      const { px, x, y, heightAbove } = scaleFor(stint, width, 'body');
      expect(x(0)).toBeGreaterThanOrEqual(0);
      expect(x(stint.lengthM)).toBeLessThanOrEqual(width);
      expect(x(1) - x(0)).toBeCloseTo(px(1), 9);
      expect(y(1.25)).toBeLessThanOrEqual(heightAbove);
      expect(scaleFor({ ...stint, setUpId: 'folded' }, width, 'body').heightAbove).toBeLessThan(heightAbove);
    }
  });
});
