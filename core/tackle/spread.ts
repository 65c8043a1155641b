const radians = (deg: number) => (deg * Math.PI) / 180;

/** Wider than this in a crowd is told, m. */
export const CROWD_M = 3;

/**
 * How far apart two rods held out to the sides put their tips, m: twice the half span of the holders and the
 * rod's reach outward.
 * @param holderHalfSpanM from the middle to a holder
 * @param outAngleDeg from straight ahead
 * @param elevationDeg above the level
 */
export function spread(input: {
  holderHalfSpanM: number;
  rodLengthM: number;
  outAngleDeg: number;
  elevationDeg: number;
}): { spreadM: number } {
  const reach =
    input.rodLengthM * Math.cos(radians(input.elevationDeg)) * Math.sin(radians(input.outAngleDeg));
  return { spreadM: 2 * (input.holderHalfSpanM + reach) };
}
