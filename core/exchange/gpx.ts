import { XMLBuilder } from 'fast-xml-parser';
import type { Waypoint } from '../documents/outing';
import { type AnswersGiven, type Asking, type Imported, MARKUP, reader, refused, told } from './imported';
import { type FileLine, type FilePoint, type RouteFile, positionOf, routeOfLines } from './routeLines';
import type { Ends } from './routePoints';
import { type Node, listOf, textOf, xmlRoot } from './xml';

function opened(text: string): Imported<Node> {
  return xmlRoot(text, 'gpx', 'GPX');
}
const pointIn = (node: Node): FilePoint => ({ lat: node.lat, lon: node.lon, name: textOf(node.name) });

/** The named points of a GPX 1.1 (or 1.0) file: its waypoints, or else the points of its routes. */
export const readWaypoints = reader(MARKUP, inWaypoints);
function inWaypoints(text: string): Imported<Waypoint[]> {
  const file = opened(text);
  if (!file.taken) return file;
  const { wpt, rte } = file.value;
  const nodes = listOf(wpt).length > 0 ? listOf(wpt) : listOf(rte).flatMap((route) => listOf(route.rtept));
  if (nodes.length === 0) return refused('The file has no waypoint in it. A track alone names no places.');
  if (nodes.length > MOST_WAYPOINTS)
    return refused(`The file has ${nodes.length} waypoints; at most ${MOST_WAYPOINTS} are read.`);
  const troubles: string[] = [];
  const points = nodes.flatMap((node, i) => {
    const point = positionOf(pointIn(node));
    if (!point) troubles.push(`Waypoint ${i + 1}: no position between 89° south and 89° north. Left out.`);
    return point ? [{ ...point, name: point.name.trim() || `Point ${i + 1}` }] : [];
  });
  return points.length === 0
    ? refused('No waypoint of the file has a position.')
    : { taken: true, value: points, troubles: told(troubles) };
}
const MOST_WAYPOINTS = 500;

/** A route from a GPX 1.1 (or 1.0) file: its routes and its tracks; the segments of a track are one line. */
export const readGpx: (text: string, ends: Ends, answers?: AnswersGiven) => Asking<RouteFile> = reader(
  MARKUP,
  inGpx,
);
function inGpx(text: string, ends: Ends, answers: AnswersGiven = {}): Asking<RouteFile> {
  const file = opened(text);
  if (!file.taken) return file;
  const root = file.value;
  const routes = listOf(root.rte).map((route, i): FileLine => ({
    name: textOf(route.name) || `Route ${i + 1}`,
    points: listOf(route.rtept).map(pointIn),
  }));
  const tracks = listOf(root.trk).map((track, i): FileLine => ({
    name: textOf(track.name) || `Track ${i + 1}`,
    points: listOf(track.trkseg).flatMap((segment) => listOf(segment.trkpt).map(pointIn)),
  }));
  return routeOfLines(
    [...routes, ...tracks].filter(({ points }) => points.length > 0),
    ends,
    answers,
  );
}

/** GPX 1.1 with two routes, out and home, ends included; and the places of the water as waypoints. */
export function writeGpx(
  title: string,
  out: readonly Waypoint[],
  home: readonly Waypoint[],
  places: readonly Waypoint[] = [],
): string {
  const pointFor = (point: Waypoint) => ({
    '@lat': point.latDeg.toFixed(6),
    '@lon': point.lonDeg.toFixed(6),
    name: point.name,
  });
  const route = (name: string, points: readonly Waypoint[]) => ({
    name,
    rtept: points.map(pointFor),
  });
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true });
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Unhurried Tally',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      metadata: { name: title },
      wpt: places.map(pointFor),
      rte: [route('Out', out), route('Home', home)],
    },
  }) as string;
}
