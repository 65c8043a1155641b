import { z } from 'zod';
import { quantity } from './field';

const MOST_STATIONS = 121;
const MOST_POINTS = 100;
/** Narrower than this from end to end, or keel to sheer, is no hull, m. */
const LEAST_M = 0.01;

const point = z.strictObject({ yM: quantity(0, 3, 'm'), zM: quantity(-2, 5, 'm') });
/**
 * A section: the right half of its outline, from the keel (y = 0) to the sheer. Metres; x forward from the
 * stern, y to starboard, z up.
 */
const stationSchema = z.strictObject({
  xM: quantity(-1, 20, 'm'),
  outline: z
    .array(point, 'An outline is a list of points.')
    .min(2, 'A section has at least two points: keel and sheer.')
    .max(MOST_POINTS, `At most ${MOST_POINTS} points in a section.`)
    .refine(([keel]) => keel?.yM === 0, {
      path: [0, 'yM'],
      message: 'A section begins at the keel, where y is 0.',
    }),
});
export type Station = z.infer<typeof stationSchema>;

export const stationsSchema = z
  .array(stationSchema, 'Sections are a list.')
  .min(2, 'A hull has at least two sections.')
  .max(MOST_STATIONS, `At most ${MOST_STATIONS} sections.`)
  .superRefine((stations, context) => {
    stations.forEach(({ xM }, i) => {
      const before = stations[i - 1];
      if (before && xM <= before.xM)
        context.addIssue({
          code: 'custom',
          path: [i, 'xM'],
          message: 'Must lie forward of the section before.',
        });
    });
    const points = stations.flatMap(({ outline }) => outline);
    const high = points.map(({ zM }) => zM);
    const length = (stations[stations.length - 1]?.xM ?? 0) - (stations[0]?.xM ?? 0);
    if (
      Math.max(...points.map(({ yM }) => yM)) < LEAST_M ||
      Math.max(...high) - Math.min(...high) < LEAST_M ||
      length < LEAST_M
    )
      context.addIssue({
        code: 'custom',
        path: [],
        message: 'These sections hold nothing: they have no breadth, height or length.',
      });
  });

/**
 * A hull by a few numbers: beam and depth amidships, how keel and sheer rise toward the ends, how full it is
 * seen from above and in section.
 */
export const hullFormSchema = z
  .strictObject({
    lengthM: quantity(0.5, 12, 'm'),
    beamM: quantity(0.1, 3, 'm'),
    /** From keel to sheer amidships. */
    depthM: quantity(0.05, 2, 'm'),
    /** Rise of keel and of sheer at the ends. */
    rockerM: quantity(0, 1, 'm'),
    sheerM: quantity(0, 1, 'm'),
    /** Seen from above: 2 is a parabola, more is fuller at the ends. */
    planExponent: quantity(0.5, 20, ''),
    /** In section: 1 is a V, 2 a parabola, more a flat bottom with upright sides. */
    sectionExponent: quantity(0.5, 20, ''),
  })
  .refine(({ depthM, rockerM, sheerM }) => depthM + sheerM > rockerM, {
    path: ['rockerM'],
    message: 'At its ends the keel would rise past the sheer.',
  });
export type HullForm = z.infer<typeof hullFormSchema>;

/** A hull as it is known: by its sections, or by a form. */
export const hullShapeSchema = z.union([
  z.strictObject({ stations: stationsSchema }),
  z.strictObject({ form: hullFormSchema }),
]);
export type HullShape = z.infer<typeof hullShapeSchema>;
