import type { Craft } from '../documents/craft';
import type { HullForm } from '../documents/hullShape';
import { rememberFor } from '../units/remember';
import { figuresOf, floatsOutM, shapeOf } from './build';
import { type Hull, type Mesh, hullOf } from './hull/hull';
import { zonesOf } from './zones';

const FLOAT_FORM = { planExponent: 2, sectionExponent: 2, sheerM: 0 };
/** Rocker of a side float, as a share of its length. */
const FLOAT_ROCKER = 0.02;

function floatForm({ lengthM, beamM, depthM }: NonNullable<Craft['floats']>): HullForm {
  return { lengthM, beamM, depthM, rockerM: FLOAT_ROCKER * lengthM, ...FLOAT_FORM };
}

/**
 * A boat's hulls as it is put together now: side floats where they are, water standing in its wells where
 * scuppers are open.
 */
export function hullsOf(craft: Craft, mesh: Mesh = 'usual'): Hull {
  const outM = floatsOutM(craft);
  return hullOf(shapeOf(craft), {
    mesh,
    floats:
      craft.floats && outM !== null
        ? {
            shape: { form: floatForm(craft.floats) },
            outM,
            overM: craft.floats.overM,
            alongM: craft.floats.alongM,
          }
        : null,
    openWells: craft.scuppers === 'open' ? wellsOf(craft) : [],
  });
}
/** The same, quick enough to be judged by at every change. */
export const coarseHull = rememberFor((craft: Craft) => hullsOf(craft, 'coarse'));

/** Wells in the deck: where water would stand, were it let in. */
function wellsOf(craft: Craft) {
  const { depthM } = figuresOf(craft);
  return zonesOf(craft).flatMap(({ kind, xM, lengthM, widthM, floorM }) =>
    kind === 'tank well' || kind === 'cockpit floor'
      ? [
          {
            fromM: xM - lengthM / 2,
            toM: xM + lengthM / 2,
            halfBreadthM: widthM / 2,
            floorM,
            topM: Math.max(floorM + 0.01, depthM),
          },
        ]
      : [],
  );
}
