import type { Hour } from '../documents/outing';
import type { Places } from '../documents/references';
import { streamIsSilent, tideIsSilent } from '../environment/waterTide';
import type { Instant } from '../units/time';

/** What a day can keep silent about. */
export type Unsaid = 'wind' | 'wind direction' | 'swell' | 'air' | 'water' | 'thunder' | 'tide' | 'stream';

/** Farther from ground than this, where the wind comes from matters, m. */
const DIRECTION_FROM_M = 150;
/** What nobody wrote of some hour and what would be judged if they had. */
export function unsaidOf(
  hours: readonly Hour[],
  near: readonly Hour[],
  waterC: number | null,
  looked: Places,
  outM: number | null,
  afloat: { from: Instant; to: Instant },
): Unsaid[] {
  const { water, launch, landing } = looked;
  const missing = (
    list: readonly Hour[],
    key: 'windMps' | 'windFromDeg' | 'swellM' | 'thunderPct' | 'airC',
  ) => list.some((hour) => hour[key] === null);
  const ofTide = [
    ...(water && tideIsSilent(water, afloat.from, afloat.to) ? (['tide'] as const) : []),
    ...(water && streamIsSilent(water, afloat.from, afloat.to) ? (['stream'] as const) : []),
  ];
  if (hours.length === 0) return ofTide;
  const openCoast = water?.setting === 'open' || water?.setting === 'coast' || launch?.surf || landing?.surf;
  return [
    ...(missing(hours, 'windMps')
      ? (['wind'] as const)
      : (outM ?? Infinity) > DIRECTION_FROM_M && missing(hours, 'windFromDeg')
        ? (['wind direction'] as const)
        : []),
    ...(openCoast && missing(hours, 'swellM') ? (['swell'] as const) : []),
    ...(missing(near, 'thunderPct') ? (['thunder'] as const) : []),
    ...(waterC === null ? (['water'] as const) : []),
    ...(missing(hours, 'airC') ? (['air'] as const) : []),
    ...ofTide,
  ];
}
