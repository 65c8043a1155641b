import { sayIssue } from '../documents/sayIssue';
import Papa from 'papaparse';
import { type HullShape, type Station, hullShapeSchema } from '../documents/hullShape';
import { parseAmount } from '../units/amount';
import { figure } from '../units/words';
import { type Imported, TABLE, reader, refused, told } from './imported';

/** What a column may be called, and what it holds. */
const COLUMNS = {
  station: /^(station|x|from stern|along)\b/i,
  halfBreadth: /^(half[- ]?breadth|half[- ]?beam|y|breadth)\b/i,
  height: /^(height|z|above base)\b/i,
} as const;
/** The unit at the end of a heading, in brackets or not. */
const UNIT = /(?:^|[\s([,_])(mm|cm|m|in|inch|inches|ft|feet)\s*[)\]]?\s*$/i;
/** Farther from the stern than this no station of a kayak lies, m: the figures are of another unit. */
const MOST_LENGTH_M = 20;
type Column = keyof typeof COLUMNS;
const names: Record<Column, string> = { station: 'station', halfBreadth: 'half-breadth', height: 'height' };

/** Points of a hull: two thousand are more than any table of offsets has. JSON stands in one line. */
const OFFSETS = { ...TABLE, lines: 2000, line: Infinity };

/**
 * Offsets of a hull from CSV: a line a point with station (from the stern), half-breadth and height, each
 * with its unit in the header ("station (m), half-breadth (mm), height (mm)"; metres where none stands), the
 * points of a station from keel to sheer. Or from JSON:
 * `{"stations": [{"xM": 0, "outline": [{"yM": 0, "zM": 0.1}, …]}, …]}`.
 */
export const readOffsets = reader(OFFSETS, inOffsets);
function inOffsets(text: string): Imported<Extract<HullShape, { stations: unknown }>> {
  return /^\s*[{[]/.test(text) ? fromJson(text) : fromCsv(text);
}

function fromJson(text: string): Imported<Extract<HullShape, { stations: unknown }>> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused('It begins like JSON and is none.');
  }
  return checked(json as { stations: Station[] }, []);
}

function fromCsv(text: string): Imported<Extract<HullShape, { stations: unknown }>> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [head = [], ...rows] = data;
  const places = {} as Record<Column, { at: number; unit: string | null }>;
  for (const column of Object.keys(COLUMNS) as Column[]) {
    const at = head.findIndex((name) => COLUMNS[column].test(name.trim()));
    if (at < 0)
      return refused(
        `The first line has no column for ${names[column]}. Name three: station, half-breadth, height.`,
      );
    places[column] = { at, unit: UNIT.exec(head[at] ?? '')?.[1] ?? null };
  }
  const troubles: string[] = [];
  const points: { xM: number; yM: number; zM: number }[] = [];
  rows.forEach((row, i) => {
    const value = (column: Column) => {
      const { at, unit } = places[column];
      const read = parseAmount(`${(row[at] ?? '').replace(',', '.')} ${unit ?? 'm'}`, 'm');
      return read.is === 'amount' ? read.value : null;
    };
    const [xM, yM, zM] = [value('station'), value('halfBreadth'), value('height')];
    if (xM === null || yM === null || zM === null)
      troubles.push(`Line ${i + 2} is not three lengths: ${row.slice(0, 4).join(', ').slice(0, 40)}.`);
    else points.push({ xM, yM, zM });
  });
  const isBare = Object.values(places).every(({ unit }) => unit === null);
  if (isBare && points.some(({ xM }) => xM > MOST_LENGTH_M))
    return refused(
      'So long is no boat in metres. Write the unit in the heading: station (mm), half-breadth (mm), height (mm).',
    );
  const sections = new Map<number, { yM: number; zM: number }[]>();
  for (const { xM, yM, zM } of oneSide(points, troubles))
    sections.set(xM, [...(sections.get(xM) ?? []), { yM, zM }]);
  const stations = [...sections]
    .sort(([a], [b]) => a - b)
    .map(([xM, outline]) => ({ xM, outline: onKeel(outline) }));
  return checked({ stations }, troubles);
}

/**
 * Half-breadths are of one side. Of a table of both sides one is read; the port side alone is read as the
 * starboard one.
 */
function oneSide<Point extends { yM: number }>(points: Point[], troubles: string[]): Point[] {
  const port = points.filter(({ yM }) => yM < 0);
  if (port.length === 0) return points;
  const mirrored = points.every(({ yM }) => yM <= 0);
  troubles.push(
    mirrored
      ? 'The port side was read: both are taken as alike.'
      : 'One side was read: both are taken as alike.',
  );
  return mirrored
    ? points.map((point) => ({ ...point, yM: Math.abs(point.yM) }))
    : points.filter(({ yM }) => yM >= 0);
}

/** A section that is given from its flat bottom outward has its keel put in. */
function onKeel(outline: { yM: number; zM: number }[]): { yM: number; zM: number }[] {
  const [first] = outline;
  return first && first.yM > 0 ? [{ yM: 0, zM: first.zM }, ...outline] : outline;
}

function checked(shape: unknown, troubles: string[]): Imported<Extract<HullShape, { stations: unknown }>> {
  const parsed = hullShapeSchema.safeParse(shape);
  if (parsed.success && 'stations' in parsed.data)
    return { taken: true, value: parsed.data, troubles: told(troubles) };
  return refused([whyNot(shape), ...troubles.slice(0, 1)].join(' '));
}

/** The first thing that is wrong with some stations, in a sentence that names the station. */
function whyNot(shape: unknown): string {
  const parsed = hullShapeSchema.def.options[0].safeParse(shape);
  const [issue] = parsed.error?.issues ?? [];
  if (!issue) return 'These are no offsets of a hull.';
  const [, nth] = issue.path;
  return typeof nth === 'number' ? `Station ${nth + 1}: ${sayIssue(issue)}` : sayIssue(issue);
}

/** The same as CSV, metres to the tenth of a millimetre. */
export function writeOffsets(stations: readonly Station[]): string {
  const tenths = (m: number) => figure(m, 4).replace('−', '-');
  return Papa.unparse({
    fields: ['station (m)', 'half-breadth (m)', 'height (m)'],
    data: stations.flatMap(({ xM, outline }) =>
      outline.map(({ yM, zM }) => [tenths(xM), tenths(yM), tenths(zM)]),
    ),
  });
}
