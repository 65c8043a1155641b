import { expose } from 'comlink';
import { readGeoJson } from '#core/exchange/geojson';
import { readGpx } from '#core/exchange/gpx';
import type { Imported } from '#core/exchange/imported';
import type { Ends, RoutePoints } from '#core/exchange/routePoints';

const work = {
  /** What a route file holds: GeoJSON when it begins like JSON, else GPX. */
  readRoute: (text: string, ends: Ends): Imported<RoutePoints> =>
    /^\s*[{[]/.test(text) ? readGeoJson(text, ends) : readGpx(text, ends),
};
export type ReadRouteWork = typeof work;
expose(work);
