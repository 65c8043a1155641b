import type { Page } from '@playwright/test';

// A sum's own factors stay in SI, and say so; jackets are named by their newtons everywhere.
const metric =
  /\d[\d.]*[ \u00a0](m|km|cm|mm|kg|g|L|N|°C|m\/s|kn|m²)(?![\w/²³·])|\b(1[3-9]|2[0-3]):[0-5]\d\b|, (m|m\/s|kg|cm|°C|N)(?![\w/²³])/g;

type Named = { changed: { doc: { name: string } }[] };
export type References = Record<'anglers' | 'items' | 'waters' | 'craft', Named>;

export async function referencesOf(page: Page): Promise<References> {
  return (await (await page.request.get('/api/references?since=0')).json()) as References;
}

/** What the angler named, the longest first: a name keeps its units, as "Float 20 g" does. */
export async function givenNames(page: Page): Promise<string[]> {
  const { items, waters, craft } = await referencesOf(page);
  return [items, waters, craft]
    .flatMap(({ changed }) => changed.map(({ doc }) => doc.name))
    .toSorted((one, other) => other.length - one.length);
}

/** The lines of the screen that say something in metric units or by the clock of 24 hours. */
export async function metricIn(page: Page, names: readonly string[]): Promise<string[]> {
  const text = await page.locator('#root').innerText();
  const own = names.reduce((rest, name) => rest.replaceAll(name, '…'), text);
  return own
    .split('\n')
    .filter((line) => line.match(metric) && !/½|×|√|÷|^\d+ N$/.test(line))
    .map((line) => line.slice(0, 140));
}
