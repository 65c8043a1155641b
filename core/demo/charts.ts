import { type Chart, chartSchema } from '../documents/chart';
import { type Place, fromPlane } from '../environment/geo';
import { toSixPlaces } from '../units/position';
import hallow from './charts/hallow.json';
import lantern from './charts/lantern.json';
import ostrey from './charts/ostrey.json';
import saltern from './charts/saltern.json';
import venn from './charts/venn.json';

/** A position so many metres east and north of an origin, to about a decimetre. */
export function placeAt(origin: Place, east: number, north: number): Place {
  return toSixPlaces(fromPlane(origin, { x: east, y: north }));
}

/** Shores, depths and bottoms of the demo waters, as GeoJSON. All of it invented. */
export function demoCharts(): Record<'hallow' | 'lantern' | 'ostrey' | 'saltern' | 'venn', Chart> {
  const read = (file: unknown) => chartSchema.parse(file);
  return {
    hallow: read(hallow),
    lantern: read(lantern),
    ostrey: read(ostrey),
    saltern: read(saltern),
    venn: read(venn),
  };
}
