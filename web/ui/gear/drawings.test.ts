import { expect, test } from 'vitest';
import { gearForms } from '#core/catalog/gear/forms';
import { type Stroke, drawings } from './drawings';

const pairs = (stroke: Stroke): (readonly [number, number])[] =>
  'd' in stroke
    ? [...stroke.d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)
    : [stroke.at];

test('every form is drawn within its own measures, and fills them', () => {
  for (const form of gearForms) {
    const { above, side } = drawings[form];
    for (const strokes of side ? [above, side] : [above]) {
      const points = strokes.flatMap(pairs);
      for (const [x, y] of points) {
        expect(Math.abs(x), form).toBeLessThanOrEqual(0.55);
        expect(Math.abs(y), form).toBeLessThanOrEqual(0.7);
      }
      const xs = points.map(([x]) => x);
      expect(Math.max(...xs) - Math.min(...xs), `${form} is as long as it is`).toBeGreaterThan(0.5);
    }
  }
});

test('no two forms are drawn alike', () => {
  const drawn = gearForms.map((form) => JSON.stringify(drawings[form].above));
  expect(new Set(drawn).size).toBe(gearForms.length);
});
