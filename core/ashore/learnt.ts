import { outingHours } from '../documents/hours';
import { minutesBetween } from '../units/time';
import type { Outing } from '../documents/outing';

/** Carried so often and never used: it may stay ashore next time. Rule of thumb. */
export const IDLE_AFTER = 5;
/** Fewer hours than this say nothing about how fast a thing is lost. */
const LEAST_HOURS = 2;

export interface Learnt {
  carried: number;
  used: number;
  lost: number;
  /** Hours afloat with it in use. */
  hours: number;
}

/**
 * Hours afloat by the log; where a time was not written, by the brief.
 * @param zone of the water: a night may have an hour more or less
 */
export function hoursLogged({ brief, log }: Outing, zone: string): number {
  const logged = {
    ...brief,
    launchAt: log?.launchedAt ?? brief.launchAt,
    homeAt: log?.landedAt ?? brief.homeAt,
  };
  const hours = outingHours(logged, zone);
  return hours ? minutesBetween(hours.launchAt, hours.homeAt) / 60 : 0;
}

/** What the logs say of each thing that was aboard. @param before what other logs said already */
export function learnt(
  outings: readonly Outing[],
  zoneOf: (outing: Outing) => string,
  before: Readonly<Record<string, Learnt>> = {},
): ReadonlyMap<string, Learnt> {
  const known = new Map<string, Learnt>(Object.entries(before));
  for (const outing of outings)
    for (const { itemId, mark, lost } of outing.log?.items ?? []) {
      const last = known.get(itemId) ?? { carried: 0, used: 0, lost: 0, hours: 0 };
      const used = mark !== 'carried';
      known.set(itemId, {
        carried: last.carried + 1,
        used: last.used + (used ? 1 : 0),
        lost: last.lost + lost,
        hours: last.hours + (used ? hoursLogged(outing, zoneOf(outing)) : 0),
      });
    }
  return known;
}

/** One's own loss an hour; null while too few hours were logged, or nothing was lost. */
export function ownLossRate({ lost, hours }: Learnt): number | null {
  return hours >= LEAST_HOURS && lost > 0 ? Math.round((lost / hours) * 100) / 100 : null;
}

/** Whether it went along often enough, and was never used. */
export function neverUsed({ carried, used }: Learnt): boolean {
  return carried >= IDLE_AFTER && used === 0;
}
