/** How sure one wants to be that the spares last. */
export const SPARES_CONFIDENCE = 0.95;

/**
 * How many of one kind to carry: the smallest number that a Poisson count of losses stays within, with the
 * confidence wanted. The loss rate is a rule of thumb until one's own log replaces it.
 * @param lossPerHour 0 or more @param confidence over 0 to under 1, default 0.95
 * @returns expected losses, the number to carry, and the share of days it covers
 */
export function spares({
  lossPerHour,
  hours,
  confidence = SPARES_CONFIDENCE,
}: {
  lossPerHour: number;
  hours: number;
  confidence?: number;
}): { expected: number; carry: number; covered: number } {
  const expected = lossPerHour * hours;
  if (expected === 0) return { expected, carry: 0, covered: 1 };
  // Terms by their logarithm: e to the minus a thousand is nothing to a floating number, and its sum would
  // never grow.
  let logTerm = -expected;
  let covered = Math.exp(logTerm);
  let carry = 0;
  while (covered < confidence && carry < 1e6) {
    carry += 1;
    logTerm += Math.log(expected / carry);
    covered += Math.exp(logTerm);
  }
  return { expected, carry, covered: Math.min(1, covered) };
}
