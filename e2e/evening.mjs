/*
 * Journeys are walked on an evening, whatever the hour they run at: outings are planned for the morning
 * after, and the gate opens in the evening before. Each process of a journey loads this first; pages get it
 * as a script.
 */
const EVENING_HOUR = 20;

/** Sets the clock of a process or a page on by some milliseconds, once. */
export function shiftClockBy(ms) {
  if ('clockIsShifted' in globalThis) return;
  globalThis.clockIsShifted = true;
  const real = Date;
  const now = () => real.now() + ms;
  globalThis.Date = new Proxy(real, {
    construct: (target, parts, made) => Reflect.construct(target, parts.length === 0 ? [now()] : parts, made),
    get: (target, name) => (name === 'now' ? now : Reflect.get(target, name)),
  });
}

if (typeof process !== 'undefined') {
  const now = new Date();
  const evening = new Date(now.getFullYear(), now.getMonth(), now.getDate(), EVENING_HOUR);
  process.env.TALLY_SHIFT_MS ??= String(evening.getTime() - now.getTime());
  shiftClockBy(Number(process.env.TALLY_SHIFT_MS));
  const load = `--import=${import.meta.url}`;
  if (!process.env.NODE_OPTIONS?.includes(load))
    process.env.NODE_OPTIONS = [process.env.NODE_OPTIONS, load].filter(Boolean).join(' ');
}

/** How far the clock is set on, ms. */
export const shiftMs = () => Number(process.env.TALLY_SHIFT_MS);
