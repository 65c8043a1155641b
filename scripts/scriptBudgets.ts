import { existsSync, readFileSync, statSync } from 'node:fs';

const MANIFEST = 'dist/web/.vite/manifest.json';
type Manifest = Record<string, { file: string; imports?: string[]; isEntry?: boolean }>;

/**
 * Script that may be sent to show a screen, kB as it travels, with the files that it is made of. What is sent
 * today, and a little: so that it does not creep up. Aimed at: 300 for a brief, 200 for a step of the walk-round.
 */
const budgets: Readonly<Record<string, { screens: readonly string[]; kB: number }>> = {
  'the list of outings': { screens: ['OutingsScreen'], kB: 265 },
  'a brief': { screens: ['OutingScreen', 'BriefScreen'], kB: 425 },
  'a kit': { screens: ['OutingScreen', 'KitScreen'], kB: 420 },
  workings: { screens: ['OutingScreen', 'WorkingsScreen'], kB: 505 },
  'where things lie': { screens: ['OutingScreen', 'StowScreen'], kB: 435 },
  // What it has of its own is to stay within 160.
  'the boat in the round': { screens: ['OutingScreen', 'StowScreen', 'RoundView'], kB: 585 },
  'a plan to leave': { screens: ['OutingScreen', 'WordScreen'], kB: 410 },
  'a walk-round': { screens: ['OutingScreen', 'WalkScreen'], kB: 420 },
  'the locker': { screens: ['LockerScreen'], kB: 445 },
};

/** What is sent to show each screen, by the build as it lies there; null: nothing is built. */
export function scriptSent(): { screen: string; kB: number; budget: number }[] | null {
  if (!existsSync(MANIFEST)) return null;
  const manifest = JSON.parse(readFileSync(MANIFEST, 'utf8')) as Manifest;
  return Object.entries(budgets).map(([screen, { screens, kB }]) => ({
    screen,
    kB: scriptFor(manifest, screens),
    budget: kB,
  }));
}

/** The entry, the files named, and all that they import, in kB, pressed as they travel. */
function scriptFor(manifest: Manifest, screens: readonly string[]): number {
  const named = screens.map((screen) => {
    const key = Object.keys(manifest).find((one) => one.endsWith(`/${screen}.tsx`));
    if (key === undefined) throw new Error(`The build has no ${screen}.`);
    return key;
  });
  const wanted = new Set<string>();
  const take = (key: string) => {
    const chunk = manifest[key];
    if (!chunk || wanted.has(chunk.file)) return;
    wanted.add(chunk.file);
    for (const imported of chunk.imports ?? []) take(imported);
  };
  for (const key of Object.keys(manifest)) if (manifest[key]?.isEntry) take(key);
  for (const key of named) take(key);
  const scripts = [...wanted].filter((file) => file.endsWith('.js'));
  return scripts.reduce((sum, file) => sum + statSync(`dist/web/${file}.br`).size, 0) / 1000;
}
