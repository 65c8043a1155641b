import type { Waypoint } from '../documents/outing';
import { distanceBetween } from '../environment/geo';
import { amount } from '../units/amount';
import { type AnswersGiven, type Asking, type Question, refused, told } from './imported';
import { unanswered } from './questions';
import { type Ends, MOST_POINTS, type RoutePoints, routeFromLines } from './routePoints';

/**
 * A line of a file: its name there, and its points by latitude and longitude as they are written, whatever
 * they are.
 */
export interface FileLine {
  name: string;
  points: readonly FilePoint[];
}
export interface FilePoint {
  lat: unknown;
  lon: unknown;
  name: string;
}
export interface RouteFile extends RoutePoints {
  asked: Question[];
}

/** Beyond this from the launch a route is of another water, or its figures mean something else, km. */
const FAR_KM = 100;
const MOST_NAME = 200;

/** A position of figures that are degrees; null: they are none. Nothing written is no figure. */
export function positionOf({ lat, lon, name }: FilePoint): Waypoint | null {
  const [latDeg, lonDeg] = [degrees(lat), degrees(lon)];
  if (latDeg === null || lonDeg === null || Math.abs(latDeg) > 89 || Math.abs(lonDeg) > 180) return null;
  return { latDeg, lonDeg, name: name.trim().slice(0, MOST_NAME) };
}
function degrees(value: unknown): number | null {
  const text = typeof value === 'number' ? String(value) : typeof value === 'string' ? value.trim() : '';
  return /^[-+]?\d{1,3}(?:\.\d+)?(?:e[-+]?\d+)?$/i.test(text) ? Number(text) : null;
}

/**
 * Ways out and home from the lines of a file. Of more than two it is asked which lead out and home; what lies
 * far away is asked about.
 */
export function routeOfLines(
  lines: readonly FileLine[],
  ends: Ends,
  answers: AnswersGiven,
): Asking<RouteFile> {
  const count = lines.reduce((sum, { points }) => sum + points.length, 0);
  if (count === 0) return refused('The file has neither a route nor a track in it.');
  if (count > MOST_POINTS) return refused(`The file has ${count} points; at most ${MOST_POINTS} are read.`);
  const troubles: string[] = [];
  const sound = lines.map(({ name, points }) => ({
    name,
    points: points.flatMap((point, i): Waypoint[] => {
      const read = positionOf(point);
      const where = lines.length > 1 ? `${name}, point ${i + 1}` : `Point ${i + 1}`;
      if (!read) troubles.push(`${where}: no position between 89° south and 89° north. Left out.`);
      return read ? [read] : [];
    }),
  }));
  const all = sound.flatMap(({ points }) => points);
  const swapped = whyNoPositions(lines, all, ends);
  if (swapped !== null) return refused(swapped);
  if (all.length === 0) return refused('No point of the file has a position.');
  const asks: Question[] = [];
  const chosen = chosenOf(sound, asks, answers);
  askDistance(all, ends, asks);
  if (answers.far === 'no') return refused('Nothing of it was taken.');
  const waiting = unanswered(asks, answers);
  if (waiting) return waiting;
  return { taken: true, value: { ...routeFromLines(chosen, ends), asked: asks }, troubles: told(troubles) };
}

/** Which lines lead out and home: of two the first and the second, of more those that were chosen. */
function chosenOf(
  lines: readonly { name: string; points: readonly Waypoint[] }[],
  asks: Question[],
  answers: AnswersGiven,
) {
  const some = lines.filter(({ points }) => points.length > 0);
  if (some.length <= 2) return some.map(({ points }) => points);
  const choices = some.map(({ name, points }, i) => ({
    id: String(i),
    text: `${name}, ${points.length} points, ${amount(lengthM(points) / 1000, 'km')}`,
  }));
  asks.push({ id: 'out', text: `It has ${some.length} lines. Which leads out?`, choices });
  asks.push({
    id: 'home',
    text: 'Which leads home?',
    choices: [{ id: 'none', text: 'None: the one out comes back, or home is straight' }, ...choices],
  });
  return [answers.out, answers.home].flatMap((at) => {
    const line = at === undefined || at === 'none' ? undefined : some[Number(at)];
    return line ? [line.points] : [];
  });
}
function lengthM(points: readonly Waypoint[]): number {
  return points.slice(1).reduce((sum, point, i) => sum + distanceBetween(points[i] ?? point, point), 0);
}

/** Why the figures are no latitudes and longitudes as they stand; null: they can be. */
function whyNoPositions(
  lines: readonly FileLine[],
  read: readonly Waypoint[],
  { launch }: Ends,
): string | null {
  const points = lines.flatMap((line) => line.points).slice(0, 1000);
  const turned = points.flatMap(({ lat, lon, name }) => positionOf({ lat: lon, lon: lat, name }) ?? []);
  const metres = points.filter(({ lat, lon }) => [lat, lon].some((one) => Math.abs(Number(one)) > 360));
  if (read.length === 0 && metres.length > 0)
    return 'Its positions are no degrees: they are in the metres of a map projection. Export it in longitude and latitude (WGS 84).';
  if (read.length === 0 && turned.length > 0)
    return 'Latitude and longitude are swapped in this file: nothing of it lies on the earth as they stand.';
  const [here, there] = [read[0], turned[0]];
  if (!launch || !here || !there) return null;
  return distanceBetween(launch, here) > FAR_KM * 1000 && distanceBetween(launch, there) < FAR_KM * 1000
    ? 'Latitude and longitude seem to be swapped in this file: only so does it lie near the launch. Write it anew with latitude first.'
    : null;
}
function askDistance(points: readonly Waypoint[], { launch }: Ends, asks: Question[]): void {
  const [first] = points;
  const farM = launch && first ? distanceBetween(launch, first) : 0;
  if (farM <= FAR_KM * 1000) return;
  asks.push({
    id: 'far',
    text: `It begins ${amount(farM / 1000, 'km', 0)} from the launch. Is that the way meant?`,
    choices: [
      { id: 'yes', text: 'Yes, take it' },
      { id: 'no', text: 'No' },
    ],
  });
}
