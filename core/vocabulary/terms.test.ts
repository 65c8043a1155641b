import { describe, expect, it } from 'vitest';
import { termIds, terms } from './terms';

describe('words explained', () => {
  it.each(termIds)('“%s” in whole sentences of its own words', (id) => {
    const { name, means } = terms[id];
    expect(means).toMatch(/^[A-Z].+\.$/);
    expect(means.length).toBeLessThan(180);
    expect(means).not.toMatch(/\bsafe\b|!/i);
    expect(means.toLowerCase().startsWith(name.toLowerCase()), 'not by itself').toBe(false);
  });
  it('each by one name', () => {
    expect(new Set(termIds.map((id) => terms[id].name)).size).toBe(termIds.length);
  });
});
