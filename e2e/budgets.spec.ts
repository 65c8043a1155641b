import { expect, test } from '@playwright/test';
import { scriptSent } from '../scripts/scriptBudgets';

test('no screen is sent more script than its budget', () => {
  const sent = scriptSent();
  expect(sent?.length).toBeGreaterThan(5);
  for (const { screen, kB, budget } of sent ?? []) {
    expect(kB, screen).toBeGreaterThan(100);
    expect(kB, screen).toBeLessThanOrEqual(budget);
  }
});
