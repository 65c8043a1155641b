/**
 * Line of another diameter on the same spool: length scales with the inverse square of the diameter. m, mm.
 */
export function spool(input: { refLengthM: number; refDiameterMm: number; diameterMm: number }): {
  lengthM: number;
} {
  return { lengthM: input.refLengthM * (input.refDiameterMm / input.diameterMm) ** 2 };
}
