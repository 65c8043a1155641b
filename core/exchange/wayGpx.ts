import { writeGpx } from './gpx';
import type { FloatPlan } from '../floatplan/floatPlan';

/** The way of a plan as GPX: out to the place, and home from it. */
export function wayGpx({ title, way }: Pick<FloatPlan, 'title' | 'way'>): string {
  const place = way.findIndex(({ kind }) => kind === 'place');
  const to = place < 0 ? way.length : place;
  return writeGpx(title, way.slice(0, to + 1), way.slice(Math.max(0, to)));
}
