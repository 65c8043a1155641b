import { type Page, expect } from '@playwright/test';

/**
 * Focuses everything on the screen that can be, and compares its style with the focus and without it: where
 * both are the same, the focus cannot be seen. Compared are outline, border, shadow and background of the
 * element, of its parents, and of the frame of a field.
 */
export async function focusIsSeen(page: Page, where: string): Promise<void> {
  // The focus is drawn for whoever came by keyboard, and stays so for what is focused after.
  await page.keyboard.press('Tab');
  const { asked, unseen } = await page.evaluate(() => {
    const LOOK = [
      ...[
        'outlineStyle',
        'outlineWidth',
        'outlineColor',
        'borderTopWidth',
        'borderTopColor',
        'borderBottomWidth',
      ],
      ...['boxShadow', 'backgroundColor', 'textDecorationLine', 'fill', 'stroke', 'strokeWidth'],
    ] as const;
    const around = (element: Element) => {
      const parts: Element[] = [element];
      for (let up = element.parentElement, n = 0; up && n < 3; up = up.parentElement, n += 1) parts.push(up);
      const field = element.closest('.MuiInputBase-root');
      if (field) parts.push(...field.querySelectorAll('fieldset'));
      parts.push(...element.querySelectorAll('rect, circle, path, line'));
      return parts;
    };
    const partOf = (part: Element) => {
      const own = getComputedStyle(part);
      const after = getComputedStyle(part, '::after');
      return [...LOOK.map((name) => own[name]), after.transform, after.borderBottomColor].join('|');
    };
    const lookOf = (element: Element) => around(element).map(partOf).join('|');
    const takes = [
      ...document.querySelectorAll<HTMLElement>(
        'a[href], button, input, select, textarea, summary, [tabindex]',
      ),
    ].filter(
      (one) =>
        one.tabIndex >= 0 &&
        !one.matches(':disabled, [type=hidden]') &&
        one.checkVisibility({ visibilityProperty: true }) &&
        one.closest('[aria-hidden=true]') === null,
    );
    const alike: string[] = [];
    let count = 0;
    for (const one of takes) {
      one.focus({ preventScroll: true });
      if (document.activeElement !== one) continue;
      count += 1;
      // Most show it themselves; what is around is looked at only for the others.
      const own = partOf(one);
      one.blur();
      if (partOf(one) !== own) continue;
      one.focus({ preventScroll: true });
      const focused = lookOf(one);
      one.blur();
      if (lookOf(one) === focused) alike.push(one.outerHTML.slice(0, 140));
    }
    return { asked: count, unseen: alike };
  });
  expect(unseen, `${where}: focus that is not seen`).toEqual([]);
  expect(asked, where).toBeGreaterThan(5);
}
