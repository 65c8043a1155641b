import { getContrastRatio } from '@mui/material/styles';
import { describe, expect, it } from 'vitest';
import { inks, themeNames } from './palettes';

// WCAG 2.2, 1.4.3: 4.5 for words; 1.4.11: 3 for what must be seen to be used.
const WORDS = 4.5;

describe.each(themeNames)('the %s palette', (theme) => {
  const palette = inks[theme];
  it.each(['ink', 'slate', 'kelp', 'tide', 'clay', 'ochre'] as const)(
    'has words in %s that can be read on paper and on what is raised from it',
    (name) => {
      expect(getContrastRatio(palette[name], palette.paper)).toBeGreaterThanOrEqual(WORDS);
      expect(getContrastRatio(palette[name], palette.raised)).toBeGreaterThanOrEqual(WORDS);
    },
  );
  it.each(['ink', 'tide', 'kelp', 'clay'] as const)('has paper words that can be read on %s', (name) => {
    expect(getContrastRatio(palette.paper, palette[name])).toBeGreaterThanOrEqual(WORDS);
  });
});

describe('the half-light palette', () => {
  it('is red on nearly nothing: little enough light to keep eyes used to the dark', () => {
    for (const colour of Object.values(inks['half-light'])) {
      const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16));
      expect(red, colour).toBeGreaterThan(green);
      expect(green, colour).toBeGreaterThanOrEqual(blue);
    }
    expect(getContrastRatio(inks['half-light'].paper, '#000000')).toBeLessThan(1.1);
  });
});
