import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { heatIndex, windChill } from '#core/environment/feels';
import { DRYSUIT_BELOW_C, WETSUIT_BELOW_C, immersion, immersionClasses } from '#core/environment/immersion';
import { darkness, lightOfDay, noonOf } from '#core/environment/light';
import { surf } from '#core/environment/surf';
import { harmonicSeries, turnsOfTide } from '#core/environment/tide';
import { waveOnStream } from '#core/environment/waveOnStream';
import { waves } from '#core/environment/waves';
import type { Arrangement } from '#core/arranging/arrange';
import { type ArrangeProblem, USUAL_WEIGHTS, forbiddenReasons, totalOf } from '#core/arranging/problem';
import type { PackResult } from '#core/packing/pack';
import { passage } from '#core/passage/passage';
import { anchor } from '#core/holding/anchor';
import { drift } from '#core/holding/drift';
import { pole } from '#core/holding/pole';
import { power } from '#core/power/power';
import { campMeals, foodEnergy } from '#core/provisions/food';
import { ice } from '#core/provisions/ice';
import { drinkingWater } from '#core/provisions/water';
import { jig } from '#core/tackle/jig';
import { rig } from '#core/tackle/rig';
import { spares } from '#core/tackle/spares';
import { spool } from '#core/tackle/spool';
import { spread } from '#core/tackle/spread';
import { DAY_MS } from '#core/units/time';
import { Refusal } from '../errors/refusal';
import { workerCode, workerPool } from '../workers/pool';
import { problemSchema } from '../http/problem';
import { calcInputs, withoutTraces } from './inputs';
import { afloatWith, hydrostatics } from '#core/boat/hull/hydrostatics';
import { hullOf } from '#core/boat/hull/hull';

/** Packing takes up to a second: beside the server's thread. */
const packers = workerPool<z.infer<(typeof calcInputs)['pack']>, PackResult>(
  workerCode('packWorker', import.meta.url),
  { atOnce: 2, waiting: 20, longestMs: 10_000, heapMb: 256 },
);

/** Steps of the search that are taken for each millisecond asked for. Measured on one core, rounded down. */
const STEPS_PER_MS = 800;
const arrangers = workerPool<{ problem: ArrangeProblem; seed: number; steps: number }, Arrangement>(
  workerCode('arrangeWorker', import.meta.url),
  { atOnce: 2, waiting: 20, longestMs: 20_000, heapMb: 256 },
);

const figure = z.number();
const maybe = figure.nullable();
const moment = z.string().nullable();
const iso = (at: number | null) => (at === null ? null : new Date(at).toISOString());
const MOST_TIDE_DAYS = 40;

const gzPoint = z.object({ heelDeg: figure, gzM: figure });
const outputs = {
  waves: z.object({
    hsM: figure,
    tpS: figure,
    lengthM: figure,
    steepness: figure,
    limitedBy: z.enum(['calm', 'fetch', 'duration', 'developed', 'depth']),
  }),
  surf: z.object({ breakerM: figure, breakDepthM: figure }),
  'wave-on-stream': z.object({ blocked: z.boolean(), factor: maybe, hsM: maybe, steepness: maybe }),
  passage: z.object({
    feasible: z.boolean(),
    legs: z.array(
      z.object({
        feasible: z.boolean(),
        why: z.enum(['cannot hold track', 'no headway', 'not reached']).nullable(),
        durationS: maybe,
        meanGroundMps: maybe,
        meanThroughWaterMps: maybe,
        maxCrabDeg: maybe,
      }),
    ),
    totalS: maybe,
    energyKj: maybe,
  }),
  light: z.object({ sunrise: moment, sunset: moment, dawn: moment, dusk: moment, darkMinutes: maybe }),
  tide: z.object({
    heights: z.array(z.object({ at: z.string(), value: figure })),
    turns: z.array(z.object({ at: z.string(), value: figure, high: z.boolean() })),
  }),
  cold: z.object({
    feelsC: figure,
    immersionClass: z.enum(immersionClasses),
    exhaustionMin: z.tuple([figure, figure]),
    survivalMin: z.tuple([figure, maybe]),
    clothing: z.enum(['none', 'wetsuit', 'drysuit']),
  }),
  heat: z.object({ feelsC: figure }),
  hydrostatics: z.object({
    afloat: z.boolean(),
    massKg: figure,
    lcgM: figure,
    tcgM: figure,
    vcgM: figure,
    draftM: maybe,
    trimDeg: maybe,
    heelDeg: maybe,
    freeboardMinM: maybe,
    gmTransverseM: maybe,
    gmLongitudinalM: maybe,
    gz: z.array(gzPoint).nullable(),
    gzMax: gzPoint.nullable(),
    vanishingDeg: maybe,
    deckEdgeDeg: maybe,
  }),
  anchor: z.object({
    loadN: figure,
    scopeTarget: figure,
    scope: figure,
    rodeNeededM: figure,
    holdingN: figure,
    margin: maybe,
    rodeAngleDeg: figure,
    downPullN: maybe,
    swingRadiusM: figure,
  }),
  drift: z.object({
    withoutDrogueMps: figure,
    driftMps: maybe,
    drogueForceN: maybe,
    diameterForTargetM: maybe,
  }),
  pole: z.object({
    neededM: figure,
    reaches: z.boolean(),
    bottomHolds: z.boolean(),
    streamAllows: z.boolean(),
    allowed: z.boolean(),
  }),
  rig: z.object({ weakest: z.string(), strengthKg: figure, dragKg: figure }),
  spool: z.object({ lengthM: figure }),
  jig: z.object({ massG: figure, sinkMps: maybe, sinkS: maybe }),
  arrange: z.object({
    places: z.record(z.string(), z.string()),
    unplaced: z.array(
      z.object({
        id: z.string(),
        why: z.array(z.object({ zone: z.string(), forbidden: z.enum(forbiddenReasons) })),
      }),
    ),
    cost: z.object({ lcg: figure, tcg: figure, kg: figure, reach: figure, change: figure, total: figure }),
    /** No plan of what is placed costs less, cm. */
    bound: maybe,
  }),
  pack: z.object({
    fits: z.boolean(),
    placed: z.array(
      z.object({
        ...{ id: z.string(), xM: figure, yM: figure, zM: figure },
        ...{ dxM: figure, dyM: figure, dzM: figure },
      }),
    ),
    unplaced: z.array(z.string()),
    fill: figure,
    /** What proves that they cannot go in; "not found": nothing does, and no packing was found. */
    why: z.enum(['mass', 'volume', 'dimension', 'search', 'not found']).nullable(),
  }),
  spread: z.object({ spreadM: figure }),
  spares: z.object({ expected: figure, carry: z.int(), covered: figure }),
  power: z.object({
    neededWh: figure,
    usableWh: figure,
    hoursToEmpty: maybe,
    enough: z.boolean(),
    spareWh: figure,
  }),
  water: z.object({ litresPerHour: figure, litres: figure }),
  food: z.object({ kj: figure, campMeals: z.int() }),
  ice: z.object({ heatKj: figure, iceKg: figure }),
} as const;

type Name = keyof typeof calcInputs;
type In<N extends Name> = z.output<(typeof calcInputs)[N]>;
type Out<N extends Name> = z.input<(typeof outputs)[N]>;

const calculators: { [N in Name]: (input: In<N>) => Out<N> | Promise<Out<N>> } = {
  waves,
  surf,
  'wave-on-stream': waveOnStream,
  passage: ({ waterDensity, ...input }) =>
    passage(waterDensity === undefined ? input : { ...input, waterDensity }),
  light: ({ date, latDeg, lonDeg, from, to }) => {
    const { sunrise, sunset, dawn, dusk } = lightOfDay(noonOf(date, lonDeg), latDeg, lonDeg);
    const span = from !== null && to !== null ? within(from, to) : null;
    return {
      sunrise: iso(sunrise),
      sunset: iso(sunset),
      dawn: iso(dawn),
      dusk: iso(dusk),
      darkMinutes: span && darkness(span.from, span.to, latDeg, lonDeg).minutes,
    };
  },
  tide: ({ constituents, mean, from, to }) => {
    const span = within(from, to);
    const series = harmonicSeries(constituents, span.from, span.to, mean);
    return {
      heights: series.values.flatMap((value, i) => {
        const at = series.from + i * series.stepMs;
        return at >= span.from && at <= span.to ? [{ at: new Date(at).toISOString(), value }] : [];
      }),
      turns: turnsOfTide(series, span.from, span.to).map((turn) => ({
        ...turn,
        at: new Date(turn.at).toISOString(),
      })),
    };
  },
  cold: ({ airC, windMps, waterC }) => {
    const { class: immersionClass, exhaustionMin, survivalMin } = immersion(waterC);
    return {
      ...windChill({ airC, windMps }),
      immersionClass,
      exhaustionMin: [...exhaustionMin],
      survivalMin: [...survivalMin],
      clothing: waterC < DRYSUIT_BELOW_C ? 'drysuit' : waterC < WETSUIT_BELOW_C ? 'wetsuit' : 'none',
    };
  },
  heat: heatIndex,
  anchor: (input) => anchor(given(input)),
  drift: (input) => drift({ ...given(input), drogue: input.drogue && given(input.drogue) }),
  // How it rests is asked to half a millimetre of any hull; its curve is drawn, and the usual cut is as near
  // as the eye.
  hydrostatics: ({ hull, waterDensity, loads, gz = false }) => {
    const rest = hydrostatics(afloatWith(hullOf(hull, { mesh: 'fine' }), loads, waterDensity));
    if (!gz) return rest;
    const curve = hydrostatics(afloatWith(hullOf(hull), loads, waterDensity), { gz });
    return {
      ...rest,
      gz: curve.gz,
      gzMax: curve.gzMax,
      vanishingDeg: curve.vanishingDeg,
      deckEdgeDeg: curve.deckEdgeDeg,
    };
  },
  pole,
  rig: (input) => rig(given({ ...input, parts: input.parts.map(given) })),
  spool,
  jig: (input) => jig(given(input)),
  arrange: async ({ seed, milliseconds, zones, items, base, levelAtM, weights }) => {
    const problem = { zones, items, base, levelAtM, weights: { ...USUAL_WEIGHTS, ...given(weights) } };
    const [plan] = await arrangers.run({ problem, seed, steps: milliseconds * STEPS_PER_MS });
    if (!plan) throw new Error('The arranger gave no answer.');
    return {
      places: Object.fromEntries(plan.places),
      unplaced: plan.unplaced,
      cost: { ...plan.cost, total: totalOf(plan.cost) },
      bound: plan.bound,
    };
  },
  pack: async (input) => {
    const [result] = await packers.run(input);
    if (!result) throw new Error('The packer gave no answer.');
    return result;
  },
  spread,
  spares: (input) => spares(given(input)),
  power: (input) => power(given({ ...input, battery: given(input.battery), loads: input.loads.map(given) })),
  water: drinkingWater,
  food: ({ persons, ...input }) => ({
    kj: persons * foodEnergy(input),
    campMeals: persons * campMeals(input.nights),
  }),
  ice: (input) => {
    const { heatKj, iceKg } = ice(given(input));
    return { heatKj, iceKg };
  },
};

/** Without the keys that were left out: the calculators' own defaults hold there. */
function given<T extends object>(input: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(input).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>;
  };
}

function within(from: string, to: string): { from: number; to: number } {
  const span = { from: Date.parse(from), to: Date.parse(to) };
  if (span.to <= span.from)
    throw new Refusal('bad input', 'Bad input', 'The span ends before it begins.', [
      { field: 'to', message: 'Must be later than `from`.' },
    ]);
  if (span.to - span.from > MOST_TIDE_DAYS * DAY_MS)
    throw new Refusal('bad input', 'Bad input', 'The span is too long.', [
      { field: 'to', message: `At most ${MOST_TIDE_DAYS} days after \`from\`.` },
    ]);
  return span;
}

/** Each calculator by its name: JSON in, JSON out, SI units. */
export function calcRoutes(parent: FastifyInstance): void {
  for (const name of Object.keys(calcInputs) as Name[]) serve(parent, name);
}

function serve<N extends Name>(parent: FastifyInstance, name: N): void {
  const run = calculators[name] as (input: unknown) => unknown;
  parent.withTypeProvider<ZodTypeProvider>().post(
    `/api/calc/${name}`,
    {
      schema: {
        tags: ['calculators'],
        body: calcInputs[name],
        response: { 200: outputs[name], 400: problemSchema },
      },
    },
    (request) => run(withoutTraces(request.body)) as never,
  );
}
