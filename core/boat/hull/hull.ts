import { type Body, bodyOf } from './body';
import { type HullForm, type Station, sliced, stationsOf } from './shape';

export type HullShape = { stations: readonly Station[] } | { form: HullForm };

/** A hull ready to float: its bodies, its length and the middle of it. */
export interface Hull {
  bodies: readonly Body[];
  lengthM: number;
  midM: number;
}

/** A hull from its sections or from a form. */
export function hullOf(shape: HullShape): Hull {
  const stations = 'form' in shape ? stationsOf(shape.form) : sliced(shape.stations);
  const first = stations[0]?.xM ?? 0;
  const last = stations[stations.length - 1]?.xM ?? 0;
  return { bodies: [bodyOf(stations)], lengthM: last - first, midM: (first + last) / 2 };
}
