/**
 * The paddle length that suits a body and a beam, m. Rule of thumb fitted to usual sizing tables: 1.36 m, a
 * quarter of the height, eight tenths of the beam; half a hand either way is a matter of style.
 * @param heightM of the paddler @param beamM of the boat
 */
export function fittingPaddleM({ heightM, beamM }: { heightM: number; beamM: number }): number {
  return Math.round((1.36 + 0.25 * heightM + 0.8 * beamM) * 20) / 20;
}
