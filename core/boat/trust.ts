import type { Craft } from '../documents/craft';
import { dayWords, figure } from '../units/words';

/** How far the figures of a hull may be trusted, beside all of them. */
export function trustOf({ inclined, shape }: Pick<Craft, 'inclined' | 'shape'>): string {
  if (inclined)
    return `Inclined on ${dayWords(inclined.on)}: ${inclined.readings} readings, heels within ${figure(inclined.offDeg)}° of it.`;
  return shape?.stations
    ? 'By its offsets, not inclined: where its own weight lies is an estimate.'
    : 'Drawn by a few figures and not inclined: estimates. Hull form matters more than all else; an inclining test would measure it.';
}
