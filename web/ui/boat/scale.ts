import { floatsOutM } from '#core/boat/build';
import type { Craft } from '#core/documents/craft';

/** From metres on the boat to a drawing's own units. */
export interface Scale {
  width: number;
  heightAbove: number;
  /** From its middle line to its side as seen from above, floats included. */
  halfPx: number;
  heightSide: number;
  px: (metres: number) => number;
  x: (xM: number) => number;
  /** From above: starboard is down. */
  y: (yM: number) => number;
  /** From the side. */
  z: (zM: number) => number;
}
const MARGIN = 14;
/** Over the base line, m: a seated head; a hull alone; what lies on it; and under it. */
const SEATED_M = 1.12;
const HULL_M = 0.55;
const THINGS_M = 0.7;
const UNDER_M = 0.1;
const MOST_PX_PER_M = 240;

/**
 * One scale for both views, as large as the width allows.
 * @param namesPx room for names over and under the boat from above, each
 */
export function scaleFor(craft: Craft, width: number, shows: 'body' | 'things' | 'hull', namesPx = 0): Scale {
  // What is not seen, as while something else is printed, has no width.
  const perM = Math.max(1, Math.min(MOST_PX_PER_M, (width - 2 * MARGIN) / (craft.lengthM + 0.1)));
  const px = (metres: number) => metres * perM;
  const left = (width - px(craft.lengthM)) / 2;
  const outM = floatsOutM(craft);
  const half = Math.max(craft.beamM / 2, outM === null || !craft.floats ? 0 : outM + craft.floats.beamM / 2);
  const heightAbove = Math.round(px(2 * half) + 2 * MARGIN + 8 + 2 * namesPx);
  const overM = { body: SEATED_M, things: THINGS_M, hull: HULL_M }[shows];
  return {
    width,
    heightAbove,
    halfPx: px(half),
    heightSide: Math.round(px(overM + UNDER_M) + 22),
    px,
    x: (xM) => left + px(xM),
    y: (yM) => heightAbove / 2 + 4 + px(yM),
    z: (zM) => px(overM - zM),
  };
}

export function pathThrough(points: readonly (readonly [number, number])[], closed: boolean): string {
  return `M${points.map(([a, b]) => `${a.toFixed(1)} ${b.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;
}
