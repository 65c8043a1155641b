import { gzipSync } from 'node:zlib';
import { existsSync, readFileSync } from 'node:fs';
import { demo } from '#core/demo/demo';
import { assess } from '#core/findings/assess';
import { noAnswers } from '#core/walkround/answers';

/** Median and worst of many runs, in milliseconds, after warming up. */
function timed(runs: number, work: () => unknown): { median: number; worst: number } {
  for (let i = 0; i < Math.ceil(runs / 4); i += 1) work();
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return { median: times[Math.floor(runs / 2)] ?? NaN, worst: times[runs - 1] ?? NaN };
}

function line(name: string, figure: number, limit: number, unit: string, more = ''): void {
  const verdict = figure <= limit ? 'within' : 'OVER';
  console.log(`${name.padEnd(46)} ${figure.toFixed(2).padStart(9)} ${unit}   ${verdict} ${limit} ${unit}${more}`);
}

function bench(name: string, limitMs: number, runs: number, work: () => unknown): void {
  const { median, worst } = timed(runs, work);
  line(name, median, limitMs, 'ms', `   worst ${worst.toFixed(2)} ms of ${runs}`);
}

type Manifest = Record<string, { file: string; imports?: string[]; isEntry?: boolean }>;

/** Script needed to show a screen, gzip, in kB: the entry, the screen, and all that they import. */
function scriptFor(manifest: Manifest, screen: string): number {
  const wanted = new Set<string>();
  const take = (key: string) => {
    const chunk = manifest[key];
    if (!chunk || wanted.has(chunk.file)) return;
    wanted.add(chunk.file);
    for (const imported of chunk.imports ?? []) take(imported);
  };
  for (const key of Object.keys(manifest)) if (manifest[key]?.isEntry || key.endsWith(`/${screen}.tsx`)) take(key);
  const scripts = [...wanted].filter((file) => file.endsWith('.js'));
  return scripts.reduce((sum, file) => sum + gzipSync(readFileSync(`dist/web/${file}`)).length, 0) / 1000;
}

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready, dusk] = outings;
if (!ready || !dusk) throw new Error('The demo has two outings.');
bench('assess, the outing ready to sign', 5, 400, () =>
  assess(ready, references, noAnswers, Date.parse('2026-05-15T19:00:00Z')),
);
bench('assess, the outing with Stops', 5, 400, () =>
  assess(dusk, references, noAnswers, Date.parse('2026-05-15T19:00:00Z')),
);
const manifestPath = 'dist/web/.vite/manifest.json';
if (!existsSync(manifestPath)) console.log('First load: not built yet (npm start builds).');
else {
  const manifest = JSON.parse(readFileSync(manifestPath, 'utf8')) as Manifest;
  line('first load (outings), script, gzip', scriptFor(manifest, 'OutingsScreen'), 300, 'kB');
  line('first load at a brief, script, gzip', scriptFor(manifest, 'OutingScreen'), 300, 'kB');
}
