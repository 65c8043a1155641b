import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import type { Waypoint } from '../documents/outing';
import { type Imported, MARKUP, reader, refused, told } from './imported';
import { type Ends, MOST_POINTS, type RoutePoints, routeFromLines } from './routePoints';

type Node = Record<string, unknown>;
const list = (value: unknown): Node[] =>
  (Array.isArray(value) ? value : value === undefined || value === '' ? [] : [value]).filter(
    (one): one is Node => typeof one === 'object' && one !== null,
  );

/** The attributes of a tag are compared with one another: a tag with thousands takes seconds. */
const LONG_TAG = /<[^<>]{4000}/;

/** What a GPX file holds; text: why it is none. Document types, entities and huge files are refused. */
function opened(text: string): Imported<Node> {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return refused('The file declares a document type or entities. Such files are not read.');
  if (LONG_TAG.test(text)) return refused('A tag of the file is longer than any of a GPX. It is not read.');
  const valid = XMLValidator.validate(text);
  if (valid !== true) return refused(`Line ${valid.err.line} is no sound XML: ${valid.err.msg}`);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '',
    parseAttributeValue: false,
    parseTagValue: false,
  });
  const root = (parser.parse(text) as Node).gpx as Node | undefined;
  if (typeof root !== 'object' || root === null) return refused('This is XML, but no GPX: it has no <gpx> in it.');
  return { taken: true, value: root, troubles: [] };
}

/** The named points of a GPX 1.1 (or 1.0) file: its waypoints, or else the points of its routes. */
export const readWaypoints = reader(MARKUP, inWaypoints);
function inWaypoints(text: string): Imported<Waypoint[]> {
  const file = opened(text);
  if (!file.taken) return file;
  const { wpt, rte } = file.value;
  const nodes = list(wpt).length > 0 ? list(wpt) : list(rte).flatMap((route) => list(route.rtept));
  if (nodes.length === 0) return refused('The file has no waypoint in it. A track alone names no places.');
  if (nodes.length > MOST_WAYPOINTS)
    return refused(`The file has ${nodes.length} waypoints; at most ${MOST_WAYPOINTS} are read.`);
  const troubles: string[] = [];
  const points = nodes.flatMap((node, i) => {
    const point = pointOf(node);
    if (!point) troubles.push(`Waypoint ${i + 1}: no position between 89° south and 89° north. Left out.`);
    return point ? [{ ...point, name: point.name.trim() || `Point ${i + 1}` }] : [];
  });
  return points.length === 0
    ? refused('No waypoint of the file has a position.')
    : { taken: true, value: points, troubles: told(troubles) };
}
const MOST_WAYPOINTS = 500;

/** A route from a GPX 1.1 (or 1.0) file: its routes, or else its tracks. */
export const readGpx = reader(MARKUP, inGpx);
function inGpx(text: string, ends: Ends): Imported<RoutePoints> {
  const file = opened(text);
  if (!file.taken) return file;
  const root = file.value;
  const routes = list(root.rte).map((route) => list(route.rtept));
  const tracks = list(root.trk).map((track) => list(track.trkseg).flatMap((segment) => list(segment.trkpt)));
  const lines = (routes.some((line) => line.length > 0) ? routes : tracks).filter((line) => line.length > 0);
  const count = lines.reduce((sum, line) => sum + line.length, 0);
  if (count === 0) return refused('The file has neither a route nor a track in it.');
  if (count > MOST_POINTS) return refused(`The file has ${count} points; at most ${MOST_POINTS} are read.`);
  const troubles: string[] = [];
  let number = 0;
  const sound = lines.map((line) =>
    line.flatMap((node): Waypoint[] => {
      number += 1;
      const point = pointOf(node);
      if (!point) troubles.push(`Point ${number}: no position between 89° south and 89° north. Left out.`);
      return point ? [point] : [];
    }),
  );
  if (sound.every((line) => line.length === 0)) return refused('No point of the file has a position.');
  return { taken: true, value: routeFromLines(sound.slice(0, 2), ends), troubles: told(troubles) };
}

function pointOf(node: Node): Waypoint | null {
  const [latDeg, lonDeg] = [Number(node.lat ?? NaN), Number(node.lon ?? NaN)];
  if (!(Math.abs(latDeg) <= 89) || !(Math.abs(lonDeg) <= 180)) return null;
  const name = typeof node.name === 'string' ? node.name.slice(0, 200) : '';
  return { latDeg, lonDeg, name };
}

/** GPX 1.1 with two routes: out and home, ends included. */
export function writeGpx(title: string, out: readonly Waypoint[], home: readonly Waypoint[]): string {
  const route = (name: string, points: readonly Waypoint[]) => ({
    name,
    rtept: points.map((point) => ({
      '@lat': point.latDeg.toFixed(6),
      '@lon': point.lonDeg.toFixed(6),
      name: point.name,
    })),
  });
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true });
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Unhurried Tally',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      metadata: { name: title },
      rte: [route('Out', out), route('Home', home)],
    },
  }) as string;
}
