import { SALT_WATER } from '../units/constants';
import { flowBetween, fromBearing, toward } from '../environment/flow';
import { type Hull, type Travel, travel } from './travel';

export interface PassageInput {
  /** ISO 8601 with offset. */
  departAt: string;
  craft: Hull;
  legs: readonly { bearingDeg: number; distanceM: number }[];
  wind: readonly { at: string; speedMps: number; fromDeg: number }[];
  stream: readonly { at: string; speedMps: number; towardDeg: number }[];
  waterDensity?: number;
}

/**
 * Time, heading and effort along legs through hourly wind and stream, straight between the hours in vector
 * parts.
 */
export function passage({
  departAt,
  craft,
  legs,
  wind,
  stream,
  waterDensity = SALT_WATER,
}: PassageInput): Travel {
  const windAt = flowBetween(
    wind.map(({ at, speedMps, fromDeg }) => ({ at: Date.parse(at), ...fromBearing(speedMps, fromDeg) })),
  );
  const streamAt = flowBetween(
    stream.map(({ at, speedMps, towardDeg }) => ({ at: Date.parse(at), ...toward(speedMps, towardDeg) })),
  );
  return travel(
    Date.parse(departAt),
    craft,
    legs.map((leg) => ({ ...leg, wind: windAt, stream: streamAt })),
    waterDensity,
  );
}
