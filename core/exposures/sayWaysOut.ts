import { amount, distance } from '../units/amount';
import { roughly } from '../units/words';
import type { Shut, WayOut } from './waysOut';

/** Why a way out is shut, in words. */
export function sayShut(shut: Shut): string {
  switch (shut.why) {
    case 'surf':
      return `breakers of ${amount(shut.breakerM, 'm')}`;
    case 'bar':
      return shut.depthM < 0 ? 'dry' : `${amount(shut.depthM, 'm')} of water over it`;
    case 'over land':
      return 'land between';
    case 'cannot hold track':
      return 'wind or stream sets you off it';
    default:
      return 'no way made against wind and stream';
  }
}
/** "Kelp Steps, 18 min, 1.2 km"; shut: why. */
export function sayWayOut({ launch, distanceM, minutes, shut }: WayOut): string {
  if (shut) return `${launch.name}: ${sayShut(shut)}`;
  return (minutes ?? 0) < 1
    ? `${launch.name}, here`
    : `${launch.name}, ${roughly(minutes ?? 0)}, ${distance(distanceM)}`;
}
