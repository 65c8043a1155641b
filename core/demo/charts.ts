import { type Chart, chartSchema } from '../documents/chart';
import { type Place, fromPlane } from '../environment/geo';
import hallow from './charts/hallow.json';
import lantern from './charts/lantern.json';
import ostrey from './charts/ostrey.json';
import saltern from './charts/saltern.json';
import venn from './charts/venn.json';

/** A position so many metres east and north of an origin, to about a decimetre. */
export function placeAt(origin: Place, east: number, north: number): Place {
  const { latDeg, lonDeg } = fromPlane(origin, { x: east, y: north });
  return { latDeg: Number(latDeg.toFixed(6)), lonDeg: Number(lonDeg.toFixed(6)) };
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
