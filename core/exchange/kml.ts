import { XMLBuilder } from 'fast-xml-parser';
import type { Waypoint } from '../documents/outing';
import { type AnswersGiven, type Asking, MARKUP, reader } from './imported';
import { type FileLine, type FilePoint, type RouteFile, routeOfLines } from './routeLines';
import type { Ends } from './routePoints';
import { type Node, listOf, textOf, xmlRoot } from './xml';

/**
 * A route from a KML file: the lines and tracks of its placemarks, in whatever folder; the parts of one
 * placemark are one line.
 */
export const readKml: (text: string, ends: Ends, answers?: AnswersGiven) => Asking<RouteFile> = reader(
  MARKUP,
  inKml,
);
function inKml(text: string, ends: Ends, answers: AnswersGiven = {}): Asking<RouteFile> {
  const file = xmlRoot(text, 'kml', 'KML');
  if (!file.taken) return file;
  const lines = placemarksIn(file.value).map((placemark, i): FileLine => ({
    name: textOf(placemark.name) || `Line ${i + 1}`,
    points: pointsIn(placemark),
  }));
  return routeOfLines(
    lines.filter(({ points }) => points.length > 0),
    ends,
    answers,
  );
}
function placemarksIn(node: Node): Node[] {
  const within = [...listOf(node.Document), ...listOf(node.Folder)];
  return [...listOf(node.Placemark), ...within.flatMap(placemarksIn)];
}
/** The points of a placemark's lines and tracks, one behind the other. */
function pointsIn(node: Node): FilePoint[] {
  const lines = listOf(node.LineString).flatMap((line) => tuples(textOf(line.coordinates), /\s+/));
  const tracks = listOf(node.Track).flatMap(({ coord }) =>
    (Array.isArray(coord) ? coord : [coord]).flatMap((one) => tuples(textOf(one).replace(/\s+/g, ','), /\n/)),
  );
  const within = [...listOf(node.MultiGeometry), ...listOf(node.MultiTrack)].flatMap(pointsIn);
  return [...lines, ...tracks, ...within];
}
/** "lon,lat,height lon,lat,height". */
function tuples(text: string, between: RegExp): FilePoint[] {
  return text
    .split(between)
    .filter((tuple) => tuple !== '')
    .map((tuple) => {
      const [lon, lat] = tuple.split(',');
      return { lat, lon, name: '' };
    });
}

/**
 * KML 2.2 with two lines, out and home, ends included; and the places of the water and the route as points.
 */
export function writeKml(
  title: string,
  out: readonly Waypoint[],
  home: readonly Waypoint[],
  places: readonly Waypoint[] = [],
): string {
  const tuple = ({ latDeg, lonDeg }: Waypoint) => `${lonDeg.toFixed(6)},${latDeg.toFixed(6)},0`;
  const line = (name: string, points: readonly Waypoint[]) => ({
    name,
    LineString: { tessellate: 1, coordinates: points.map(tuple).join(' ') },
  });
  const named = [...places, ...out.slice(1, -1), ...home.slice(1, -1)].filter(({ name }) => name !== '');
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true });
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    kml: {
      '@xmlns': 'http://www.opengis.net/kml/2.2',
      Document: {
        name: title,
        Placemark: [
          line('Out', out),
          line('Home', home),
          ...named.map((place) => ({ name: place.name, Point: { coordinates: tuple(place) } })),
        ],
      },
    },
  }) as string;
}
