import { expect, test } from 'vitest';
import { gearForms, kindsDrawnAs } from './forms';
import { kindIds } from './kinds';

test('every kind of gear is drawn as one form', () => {
  const drawn = gearForms.flatMap((form) => kindsDrawnAs(form));
  expect(drawn.toSorted()).toEqual(kindIds.toSorted());
});
