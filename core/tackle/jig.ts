import { G, LEAD, SALT_WATER } from '../units/constants';

/**
 * Usual drag coefficients of the jig taken as a sphere, and of the line as a cylinder across the flow. Rules
 * of thumb.
 */
export const JIG_CD = 0.8;
export const LINE_CD = 1.2;

export interface JigInput {
  depthM: number;
  /** Water past the line: the boat's drift against the water at depth, m/s. */
  relativeSpeedMps: number;
  lineDiameterMm: number;
  /** Of the jig, kg/m³; default lead. Denser than the water. */
  densityKgM3?: number;
  /** From the vertical, over 0 to under 90°; default 30. */
  maxAngleDeg?: number;
  waterDensity?: number;
  /** Drag coefficients of jig and line; default 0.8 and 1.2. */
  jigCd?: number;
  lineCd?: number;
}

/**
 * The least mass that keeps the line within an angle of the vertical: the weight in water against the drag of
 * jig and of straight line, atan((F_jig + F_line) / W) = angle, solved for the mass; and how long it sinks,
 * the line left out. Closed balance of forces; the drag coefficients are usual values.
 * @returns massG; sinkMps and sinkS, null where nothing is wanted (no flow)
 */
export function jig({
  depthM,
  relativeSpeedMps: v,
  lineDiameterMm,
  densityKgM3 = LEAD,
  maxAngleDeg = 30,
  waterDensity = SALT_WATER,
  jigCd = JIG_CD,
  lineCd = LINE_CD,
}: JigInput): { massG: number; sinkMps: number | null; sinkS: number | null } {
  const pressure = 0.5 * waterDensity * v * v;
  const line = pressure * lineCd * (lineDiameterMm / 1000) * depthM;
  // Area of a sphere of the mass m: area·m^(2/3).
  const area = Math.PI * (3 / (4 * Math.PI * densityKgM3)) ** (2 / 3);
  const weightPerKg = G * (1 - waterDensity / densityKgM3);
  const hold = weightPerKg * Math.tan((maxAngleDeg * Math.PI) / 180);
  // hold·m − pressure·CD·area·m^(2/3) − line = 0 has one root above where the jig alone balances.
  const short = (m: number) => hold * m - pressure * jigCd * area * m ** (2 / 3) - line;
  let low = ((pressure * jigCd * area) / hold) ** 3;
  if (low === 0 && line === 0) return { massG: 0, sinkMps: null, sinkS: null };
  let high = Math.max(low * 2, 1e-6);
  while (short(high) < 0) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-13 * high; i += 1) {
    const mid = (low + high) / 2;
    if (short(mid) < 0) low = mid;
    else high = mid;
  }
  const m = (low + high) / 2;
  const sinkMps = sinkSpeed(m, densityKgM3, waterDensity, jigCd);
  return { massG: m * 1000, sinkMps, sinkS: sinkMps > 0 ? depthM / sinkMps : null };
}

/** How fast a sphere of the mass falls through water once it falls evenly, m/s. */
export function sinkSpeed(
  massKg: number,
  densityKgM3 = LEAD,
  waterDensity = SALT_WATER,
  jigCd = JIG_CD,
): number {
  const area = Math.PI * ((3 * massKg) / (4 * Math.PI * densityKgM3)) ** (2 / 3);
  const weight = massKg * G * (1 - waterDensity / densityKgM3);
  return area > 0 ? Math.sqrt((2 * weight) / (waterDensity * jigCd * area)) : 0;
}

/**
 * What a jig of that mass (kg) and its line stand in, N: drag of the ball, drag of the line, weight in water.
 */
export function jigForces(
  {
    depthM,
    relativeSpeedMps: v,
    lineDiameterMm,
    densityKgM3 = LEAD,
    waterDensity = SALT_WATER,
    jigCd = JIG_CD,
    lineCd = LINE_CD,
  }: JigInput,
  massKg: number,
): { ballN: number; lineN: number; weightN: number; ballM2: number } {
  const ballM2 = Math.PI * ((3 * massKg) / (4 * Math.PI * densityKgM3)) ** (2 / 3);
  const pressure = 0.5 * waterDensity * v * v;
  return {
    ballM2,
    ballN: pressure * jigCd * ballM2,
    lineN: pressure * lineCd * (lineDiameterMm / 1000) * depthM,
    weightN: massKg * G * (1 - waterDensity / densityKgM3),
  };
}
