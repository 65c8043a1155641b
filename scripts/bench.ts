import { withPut } from '../core/editing/stow';
import { planOf as stowPlanOf } from '../core/stow/plan';
import { spotOf } from '../core/documents/stow';
import { existsSync } from 'node:fs';
import { dayOf } from '#core/environment/day';
import { demo } from '#core/demo/demo';
import { assess } from '#core/judgement/assess';
import { betterHours } from '#core/judgement/betterHours';
import { readGpx } from '#core/exchange/gpx';
import { kindIds, kinds } from '#core/catalog/gear/kinds';
import { newItem } from '#core/editing/newItem';
import { exposures, hoursOf } from '#core/exposures/exposures';
import { anchorHours, anchorOf } from '#core/holding/anchorSheet';
import { powerSheet } from '#core/power/powerSheet';
import { supplies } from '#core/provisions/supplies';
import { buildRig } from '#core/tackle/builtRig';
import { drogueAboard, jigHours, spareLines, trollingSpread } from '#core/tackle/tackleSheet';
import { propose } from '#core/provisioning/propose';
import { withItem } from '#core/editing/edit';
import type { Outing } from '#core/documents/outing';
import { lookUp } from '#core/documents/references';
import { planOf } from '#core/passage/plan';
import { shiftClock } from '#core/units/time';
import { rehearsalInput } from '../core/simulation/rehearsal';
import { rehearse } from '../core/simulation/rehearse';
import { noAnswers } from '#core/walkround/answers';
import { measureDrag } from './benchDrag';
import { measureHouse } from './benchHouse';
import { browserPath } from './browser.mjs';
import { measureOffline } from './benchOffline';
import { measureArranging } from './benchArranging';
import { measurePacking } from './benchPacking';
import { measureServer } from './benchServer';
import { scriptSent } from './scriptBudgets';
import { type OpenDatabase, openEmbedded, openServer } from '../server/storage/open';
import { postgresPrograms, startPostgres } from '../server/testing/startPostgres';
import { floatAt } from '../core/boat/hull/float';
import { hullOf } from '../core/boat/hull/hull';
import { afloatWith, gzCurve, hydrostatics, restOf } from '../core/boat/hull/hydrostatics';
import { SALT_WATER } from '../core/units/constants';

/** Parts into which runs are divided; before each of them the speed of the machine is taken. */
const PARTS = 10;
/** The fixed piece of work takes so long on the machine that limits are named for, ms. */
const USUAL_MACHINE_MS = 1;
/** Nothing of the product's: by it the speed of the machine in this moment is told from that of the code. */
const fixedText = JSON.stringify(demo(Date.parse('2026-05-15T19:00:00Z')).references);
function fixedWork(): number {
  const { items } = JSON.parse(fixedText) as { items: { id: string }[] };
  return [...new Map(items.map((one) => [one.id, one])).keys()].toSorted().length;
}
function msOf(work: () => unknown): number {
  const from = performance.now();
  work();
  return performance.now() - from;
}
/** How much slower the machine is at this moment than the usual one. */
const machineNow = () => middleOf(Array.from({ length: 9 }, () => msOf(fixedWork))) / USUAL_MACHINE_MS;
/**
 * Of many runs, in milliseconds, after warming up: the median as it would be on the usual machine, as it was
 * measured, and the worst. Other programs share this machine, which makes it twice as slow at times.
 */
function timed(runs: number, work: () => unknown): { usual: number; median: number; worst: number } {
  for (let i = 0; i < Math.ceil(runs / 4); i += 1) work();
  const size = Math.max(5, Math.ceil(runs / PARTS));
  const usual: number[] = [];
  const all: number[] = [];
  for (let done = 0; done < runs; done += size) {
    const machine = machineNow();
    const times = Array.from({ length: Math.min(size, runs - done) }, () => msOf(work));
    usual.push(...times.map((ms) => ms / machine));
    all.push(...times);
  }
  return { usual: middleOf(usual), median: middleOf(all), worst: Math.max(...all) };
}
function middleOf(times: readonly number[]): number {
  return times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;
}

function line(name: string, figure: number, limit: number, unit: string, more = ''): void {
  const verdict = figure <= limit ? 'within' : 'OVER';
  console.log(
    `${name.padEnd(46)} ${figure.toFixed(2).padStart(9)} ${unit}   ${verdict} ${limit} ${unit}${more}`,
  );
}

function bench(name: string, limitMs: number, runs: number, work: () => unknown): void {
  const { usual, median, worst } = timed(runs, work);
  line(name, usual, limitMs, 'ms', `   measured ${median.toFixed(2)} ms, worst ${worst.toFixed(2)} ms`);
}

/** `npm run bench -- server`: a club's server alone, on each database that is here. */
async function benchServer(): Promise<void> {
  const size = { things: 10_000, outings: 2000, people: 200, clients: 100, forMs: 60_000, asked: 60 };
  const figures = async (name: string, opened: OpenDatabase) => {
    const { firstListMs, machine, wholeKb, changesKb, listMs, openMs, saveMs, signInMs, together } =
      await measureServer(opened, size, Date.parse('2026-05-15T19:00:00Z'), machineNow);
    const measured = `   measured ${firstListMs.toFixed(0)} ms`;
    line(`${name}: first list of 2,000 outings`, firstListMs / machine, 1000, 'ms', measured);
    line(`${name}: references since the last visit`, changesKb, 5, 'kB', `   whole ${wholeKb.toFixed(0)} kB`);
    line(`${name}: list, p95`, listMs, 60, 'ms');
    line(`${name}: open, p95`, openMs, 60, 'ms');
    line(`${name}: save, p95`, saveMs, 40, 'ms');
    line(`${name}: a hundred at once for a minute, failed`, together.failed, 0, `of ${together.asked}`);
    line(`${name}: a hundred at once for a minute, p95`, together.p95Ms, 2000, 'ms');
    console.log(
      `${'sign-in, what the password costs'.padEnd(46)} ${signInMs.toFixed(2).padStart(9)} ms   ${signInMs >= 50 ? 'as it should, at least' : 'UNDER'} 50 ms`,
    );
  };
  const migrations = 'server/storage/migrations';
  await figures('PGlite', await openEmbedded({ memory: true }, migrations));
  const bin = postgresPrograms();
  if (bin === null) return console.log('Debian’s postgresql is not installed: PostgreSQL is left out.');
  const postgres = await startPostgres(bin);
  await figures('PostgreSQL', await openServer(postgres.url(), migrations));
  await postgres.stop();
}
/** `npm run bench -- packing`: boxes into a container alone. */
function benchPacking(): void {
  for (const { name, solved, asked, longestMs, wanted } of measurePacking(200)) {
    const verdict =
      wanted === null ? '' : `   ${solved >= wanted * asked ? 'within' : 'UNDER'} ${wanted * 100} %`;
    console.log(`${name.padEnd(46)} ${solved} of ${asked}, longest ${longestMs.toFixed(0)} ms${verdict}`);
  }
}
/** `npm run bench -- packing` too: things into places of a boat. */
function benchArranging(): void {
  const figures = measureArranging(12);
  line(
    'arrange 120 things, 24 places: first plan',
    middleOf(figures.map(({ firstMs }) => firstMs)),
    50,
    'ms',
  );
  for (const [i, limit] of [6, 3].entries()) {
    const over = middleOf(figures.map(({ searched }) => 100 * (searched[i]?.over ?? Infinity)));
    const ms = middleOf(figures.map(({ searched }) => searched[i]?.ms ?? Infinity));
    line(`arrange: over the bound after ${ms.toFixed(0)} ms`, over, limit, '%');
  }
}
if (process.argv[2] === 'packing') {
  benchPacking();
  benchArranging();
  process.exit();
}

if (process.argv[2] === 'server') {
  await benchServer();
  process.exit();
}

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
/**
 * An outing judged, and the repairs of all its findings tried: they are otherwise tried when they are first
 * read.
 */
function withRepairs(outing: Outing, known: typeof references = everyRule): number {
  return assess(outing, known, noAnswers, now).findings.reduce((sum, { repairs }) => sum + repairs.length, 0);
}
const [ready, dusk, late] = outings;
if (!ready || !dusk || !late) throw new Error('The demo has three outings.');

/** The outing off the Long Grey for eight hours by four legs out and four home. */
function eightLegs(outing: Outing): Outing {
  const bend = (i: number, side: number) => ({
    latDeg: 47.5 - 0.0049 * i,
    lonDeg: -18.5 + 0.0063 * i + side,
    name: `mark ${i}`,
  });
  const route = { out: [1, 2, 3].map((i) => bend(i, 0.002)), home: [3, 2, 1].map((i) => bend(i, -0.002)) };
  const homeAt = shiftClock(outing.brief.launchAt, 480);
  return { ...outing, brief: { ...outing.brief, route, homeAt, alarmAt: shiftClock(homeAt, 60) } };
}
const eight = eightLegs(ready);
const looked = lookUp(eight, references);
const span = hoursOf(eight.brief, looked);
if (!span || !looked.water) throw new Error('The demo outing has hours and a water.');
const day = dayOf(eight.conditions, looked.water, span.from, span.to);

function sayMachine(): void {
  const ms = middleOf(Array.from({ length: 60 }, () => msOf(fixedWork)));
  console.log(
    `${'a fixed piece of work, on this machine now'.padEnd(46)} ${ms.toFixed(2).padStart(9)} ms   figures below are given for ${USUAL_MACHINE_MS} ms`,
  );
}
sayMachine();
bench('assess, the outing ready to sign', 5, 400, () => withRepairs(ready, references));
bench('assess, the outing with Stops', 16, 400, () => withRepairs(dusk, references));
// The wind that lets a boat make hardly any way home is the dearest to reckon with.
const wreck = outings.find((one) => one.id === 'cod-wreck') ?? ready;
const shut: Outing = {
  ...wreck,
  conditions: {
    ...wreck.conditions,
    hours: wreck.conditions.hours.map((hour) => ({ ...hour, windMps: 25, gustMps: 32, windFromDeg: 180 })),
  },
};
bench('assess, the way home all but shut', 60, 20, () =>
  withRepairs({ ...shut, conditions: { ...shut.conditions } }, references),
);
const hoard = Array.from({ length: 150 }, (_, i) =>
  newItem(`hoard-${i}`, kindIds[(i * 3) % kindIds.length] ?? 'whistle'),
);
const everyRule = {
  ...references,
  items: hoard,
  rulePacks: references.rulePacks.map((pack) => ({
    ...pack,
    rules: references.rulePacks.flatMap((other) => other.rules),
  })),
};
const laden = hoard.reduce<Outing>((next, { id }) => withItem(next, id, 1), { ...dusk, loadout: [] });
bench('assess, 150 things aboard and every rule', 4, 600, () => withRepairs(laden, everyRule));
// Everything placed, and every tenth thing elsewhere in each other mode.
const placedIn = lookUp(laden, everyRule);
const fourModes = (() => {
  const { craft, angler, aboard } = placedIn;
  if (!craft || !angler) throw new Error('The outing has a boat and somebody in it.');
  const plan = stowPlanOf({ aboard, craft, angler, stow: laden.stow });
  const puts = plan.things.flatMap(({ one, spot }, i) =>
    (['fish', ...(i % 10 === 0 ? (['carry', 'launch', 'land'] as const) : [])] as const).map((mode) => ({
      itemId: one.item.id,
      mode,
      fish: spot,
      spot: mode === 'fish' ? spot : { ...spot, layer: 'top' as const, held: 'strapped' as const },
    })),
  );
  return withPut(laden, puts);
})();
bench('assess, 150 things stowed in four modes', 6, 600, () => withRepairs(fourModes, everyRule));
// The same as somebody goes on writing: each time something is otherwise than ever before, and what it does
// not touch is known.
/** One change judged, what would settle each finding included. */
const ONE_CHANGE_MS = 16;
let nth = 0;
const others = placedIn.aboard.map(({ item }) => item.id);
const editing: Record<string, [number, (n: number) => Outing]> = {
  'another contact': [
    ONE_CHANGE_MS,
    (n) => ({ ...laden, brief: { ...laden.brief, contact: { ...laden.brief.contact, name: `N ${n}` } } }),
  ],
  'two things less': [
    ONE_CHANGE_MS,
    (n) => ({ ...laden, loadout: laden.loadout.filter((_, i) => i !== n % 149 && i !== (n * 7) % 150) }),
  ],
  'a thing elsewhere': [
    ONE_CHANGE_MS,
    (n) =>
      withPut(laden, [
        { itemId: others[n % 150] ?? '', mode: 'fish', spot: spotAside(n), fish: spotAside(n) },
      ]),
  ],
  'another launch': [
    ONE_CHANGE_MS,
    (n) => ({ ...laden, brief: { ...laden.brief, launchAt: shiftClock(laden.brief.launchAt, -(n % 600)) } }),
  ],
};
function spotAside(n: number) {
  return { ...spotOf('zone', 'well'), at: { xM: 0.5 + (n % 997) / 2000, yM: 0 }, held: 'strapped' as const };
}
// What a change costs while nobody looks at what would settle each finding.
bench('assess, 150 things, after another launch, findings closed', 10, 200, () =>
  assess(editing['another launch']?.[1]((nth += 1)) ?? laden, everyRule, noAnswers, now),
);
for (const [what, [limit, edit]] of Object.entries(editing))
  bench(`assess, 150 things, after ${what}`, limit, 200, () => withRepairs(edit((nth += 1))));
const rehearsedDays = 10_000;
bench('rehearse, 10,000 days of an outing', 300, 5, () => {
  const made = rehearsalInput(ready, references, now);
  if ('why' in made) throw new Error(made.why);
  return rehearse(made.input, rehearsedDays, (nth += 1));
});
sayMachine();
// `npm run bench -- assess`: the judgement alone.
if (process.argv[2] === 'assess') process.exit();
const anchored = outings.find((one) => one.id === 'ling-anchored') ?? ready;
const sheetsOf = (outing: Outing) => {
  const at = lookUp(outing, references);
  const e = exposures(outing, at);
  const { workings, brief } = outing;
  const { craft } = at;
  return [
    ...references.items.map((item) =>
      craft && anchorOf(item) ? anchorHours(item, e.spot, craft, at, workings) : [],
    ),
    jigHours(at, e, workings, drogueAboard(at)?.mouthM ?? null, null),
    spareLines(at, e, brief, workings),
    trollingSpread(at, workings),
    powerSheet(at, e, workings),
    supplies(at, e),
    outing.rigs.map((rig) => buildRig(rig, at.items)),
  ];
};
// A launch of its own each time, so that nothing is remembered from the time before.
let minute = 0;
bench('all sheets of an outing, after a change of hours', 10, 200, () =>
  sheetsOf({
    ...anchored,
    conditions: { ...anchored.conditions },
    brief: { ...anchored.brief, launchAt: shiftClock(anchored.brief.launchAt, (minute += 1) % 30) },
  }),
);
bench('passage, eight legs in eight hours', 5, 400, () => planOf(eight.brief, looked, day, span));
const hull = hullOf({
  form: {
    lengthM: 3.9,
    beamM: 0.86,
    depthM: 0.34,
    rockerM: 0.05,
    sheerM: 0.06,
    planExponent: 2.4,
    sectionExponent: 7,
  },
});
const outriggers = hullOf(
  {
    form: {
      lengthM: 4.6,
      beamM: 0.7,
      depthM: 0.36,
      rockerM: 0.05,
      sheerM: 0.06,
      planExponent: 2.2,
      sectionExponent: 4,
    },
  },
  {
    floats: {
      shape: {
        form: {
          lengthM: 1.6,
          beamM: 0.18,
          depthM: 0.2,
          rockerM: 0.03,
          sheerM: 0.02,
          planExponent: 2,
          sectionExponent: 2,
        },
      },
      outM: 1.1,
      overM: 0.06,
      alongM: 1.4,
    },
  },
);
const aboard = (y: number) => [
  { massKg: 42, xM: 1.95, yM: 0, zM: 0.2 },
  { massKg: 84, xM: 1.85, yM: y, zM: 0.45 },
  { massKg: 20, xM: 1, yM: 0.05, zM: 0.35 },
];
const level = afloatWith(hull, aboard(0), SALT_WATER);
const rested = restOf(level);
let lean = 0;
bench('hydrostatics, a warm equilibrium', 0.5, 400, () =>
  // As while something is dragged: a little moved, begun from where it lay.
  floatAt(
    { ...level, g: { ...level.g, x: level.g.x + ((lean += 1) % 7) * 0.002 } },
    0,
    rested?.attitude ?? null,
  ),
);
bench('hydrostatics, thirteen GZ points', 5, 60, () => gzCurve(level, 5, 60));
bench('hydrostatics, full curve with side floats', 25, 30, () =>
  hydrostatics(afloatWith(outriggers, aboard(0.02), SALT_WATER), { gz: true }),
);
bench('better hours, each launch of three days', 300, 8, () =>
  // A copy of the figures each time, so that nothing is remembered from the time before.
  betterHours({ ...late, conditions: { ...late.conditions } }, references, noAnswers, now),
);
const locker = Array.from({ length: 400 }, (_, i) => {
  const kind = kindIds[i % kindIds.length] ?? 'whistle';
  return newItem(`item-${i}`, kind, { massKg: kinds[kind].massKg * (0.7 + ((i * 37) % 60) / 100) });
});
bench('propose, four hundred things', 500, 5, () =>
  propose({ ...ready, loadout: [] }, { ...references, items: locker }, noAnswers, now),
);
const points = Array.from(
  { length: 20_000 },
  (_, i) => `<trkpt lat="${47.5 + i * 1e-6}" lon="${-18.5 + Math.sin(i / 90) * 1e-3}"/>`,
);
const gpx = `<gpx><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`;
bench('GPX track of 20,000 points read and thinned', 2000, 5, () =>
  readGpx(gpx, { launch: null, area: null, landing: null }),
);
const house = await measureHouse({ things: 10_000, outings: 2_000, asked: 7 }, now);
line('front page, 10,000 things and 2,000 outings', house.frontMs, 100, 'ms');
line('front page, gzip', house.frontKb, 60, 'kB');
line('references, whole', house.referencesMs, 150, 'ms');
line('references, since the last change', house.sinceMs, 150, 'ms');
line('another request, while all is judged anew', house.longestWaitMs, 1000, 'ms');
const sent = scriptSent();
if (!sent) console.log('First load: not built yet (npm start builds).');
else for (const { screen, kB, budget } of sent) line(`script sent to show ${screen}`, kB, budget, 'kB');
if (existsSync('dist/server/main.js') && existsSync(browserPath())) {
  const { handleMs, placeMs, thingMs, roundMs } = await measureDrag(eight);
  line('script per frame of a dragged handle', handleMs, 16, 'ms');
  line('script per frame of a place dragged on a boat', placeMs, 16, 'ms');
  line('script per frame of a thing dragged to its place', thingMs, 16, 'ms');
  line('the boat in the round, from the press to its first frame', roundMs, 1000, 'ms');
  const { reloadMs, sentMs } = await measureOffline();
  line('reload of a carried outing without a server, to the first step', reloadMs, 1500, 'ms');
  line('two hundred queued answers, from opening the page to the server', sentMs, 3000, 'ms');
} else console.log('Dragged handle: needs a build and Debian’s chromium.');
