/** Sets the clock of a process or a page on by some milliseconds, once. */
export function shiftClockBy(ms: number): void;
/** How far the clock is set on, ms. */
export function shiftMs(): number;
