import { expect, test, visit } from './house';

// A sum's own factors stay in SI, and say so; jackets are named by their newtons everywhere.
const metric =
  /\d[\d.]*[ \u00a0](m|km|cm|mm|kg|g|L|N|°C|m\/s|kn|m²)(?![\w/²³·])|\b(1[3-9]|2[0-3]):[0-5]\d\b|, (m|m\/s|kg|cm|°C|N)(?![\w/²³])/g;

const screens = [
  '/outings',
  '/outings/zander-dusk/brief',
  '/outings/zander-dusk/kit',
  ...['rigs', 'jig', 'spares', 'spread', 'anchor', 'drift', 'supplies', 'ice', 'cold', 'power'].map(
    (sheet) => `/outings/ling-anchored/workings/${sheet}`,
  ),
  '/outings/pollack-long-grey/stow',
  '/outings/cod-wreck/stow',
  '/outings/pollack-long-grey/leave-word',
  '/outings/zander-dusk/walk-round',
  '/outings/pollack-logged/ashore',
  '/locker',
  '/boats',
  '/boats/little-stint',
  ...['shape', 'afloat', 'pace', 'incline', 'fitted', 'about'].map((part) => `/boats/little-stint/${part}`),
  '/waters/ostrey-sound',
  '/reference/species/pike',
  '/reference/needs',
  '/reference/limits',
  '/reference/practice',
  '/settings',
];

type Named = { changed: { doc: { name: string } }[] };
type References = Record<'anglers' | 'items' | 'waters' | 'craft', Named>;
interface Profile {
  heightM: number;
  massKg: number;
  limits: { breakerM: number };
}

test('units chosen in the settings are read on every screen, and typed ones are understood', async ({ page }) => {
  await visit(page, '/settings');
  await expect(page.getByLabel('Mass, dressed')).toHaveValue('84');
  await page.getByRole('combobox', { name: 'Units' }).click();
  await page.getByRole('option', { name: 'Imperial, US' }).click();
  await expect(page.getByLabel('Mass, dressed')).toHaveValue('185.2');
  await page.getByLabel('Height').fill("5'11");
  await page.getByLabel('Breakers at the launch').fill('20 m');
  await expect(page.getByText('Not kept: A number from 0 to 13.1 ft.')).toBeVisible();
  await page.getByLabel('Breakers at the launch').fill('2 ft');
  await expect(page.getByText(/kept at/)).toBeVisible();
  const references = (await (await page.request.get('/api/references?since=0')).json()) as References;
  const kept = references.anglers.changed[0]?.doc as unknown as Profile;
  expect([kept.heightM, kept.massKg, kept.limits.breakerM]).toEqual([1.8034, 84, 0.6096]);
  // What the angler named keeps its name: "Float 20 g" is not translated.
  const names = [references.items, references.waters, references.craft]
    .flatMap(({ changed }) => changed.map(({ doc }) => doc.name))
    .toSorted((one, other) => other.length - one.length);
  const read: string[] = [];
  for (const screen of screens) {
    await visit(page, screen);
    const text = await page.locator('#root').innerText();
    const own = names.reduce((rest, name) => rest.replaceAll(name, '…'), text);
    for (const line of own.split('\n'))
      if (line.match(metric) && !/½|×|√|÷|^\d+ N$/.test(line)) read.push(`${screen}: ${line.slice(0, 140)}`);
  }
  expect(read).toEqual([]);
});
