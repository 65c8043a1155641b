/** Set by `npm run test:long`, which also prints the seed: with it a fault found once is found again. */
const longSeed = process.env.TALLY_SEED === undefined ? null : Number(process.env.TALLY_SEED);
const TIMES = 40;

/** So many of something, and forty times as many in a long run. */
export const often = (many: number): number => (longSeed === null ? many : many * TIMES);

/** How chance is asked in a property: the same few each time, or many others in a long run. */
export const runs = (numRuns: number) => ({ numRuns: often(numRuns), seed: longSeed ?? 20_261_125 });
