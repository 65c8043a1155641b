import { readGeoJson } from './geojson';
import { readGpx } from './gpx';
import type { AnswersGiven, Asking } from './imported';
import { readKml } from './kml';
import type { RouteFile } from './routeLines';
import type { Ends } from './routePoints';

/** What a route file holds, by how it begins: JSON, KML, else GPX. */
export function readRoute(text: string, ends: Ends, answers: AnswersGiven = {}): Asking<RouteFile> {
  if (/^\s*[{[]/.test(text)) return readGeoJson(text, ends, answers);
  return /<(?:\w+:)?kml[\s>]/.test(text.slice(0, 2000))
    ? readKml(text, ends, answers)
    : readGpx(text, ends, answers);
}
