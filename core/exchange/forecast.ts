import { sayIssue } from '../documents/sayIssue';
import Papa from 'papaparse';
import { NO_FIGURES } from '../editing/hours';
import { type Hour, hourSchema } from '../documents/outing';
import { HOUR_MS, instantOf, isoAt } from '../units/time';
import { type Imported, MARKUP, TABLE, reader, refused, told } from './imported';

export interface ForecastFile {
  hours: Hour[];
  /** Water temperature, when the file has one: the mean of its rows. */
  waterC: number | null;
}

const KNOT = 1852 / 3600;
const speed = { 'm/s': 1, 'km/h': 1 / 3.6, kn: KNOT, mph: 0.44704 } as const;
const height = { m: 1, ft: 0.3048 } as const;
const percent = { '%': 1 } as const;
const temperature = { '°c': 1, c: 1, '°f': 1, f: 1 } as const;

/** The columns a forecast may have, with the units each may be in. */
const columns = {
  wind: { figure: 'windMps', units: speed },
  gust: { figure: 'gustMps', units: speed },
  from: { figure: 'windFromDeg', units: { '°': 1, deg: 1 } },
  air: { figure: 'airC', units: temperature },
  wave: { figure: 'waveM', units: height },
  swell: { figure: 'swellM', units: height },
  period: { figure: 'swellPeriodS', units: { s: 1 } },
  thunder: { figure: 'thunderPct', units: percent },
  rain: { figure: 'rainMm', units: { mm: 1, in: 25.4 } },
  visibility: { figure: 'visibilityM', units: { m: 1, km: 1000, nm: 1852, mi: 1609.344 } },
  humidity: { figure: 'humidityPct', units: percent },
  water: { figure: 'waterC', units: temperature },
} as const satisfies Record<string, { figure: string; units: Readonly<Record<string, number>> }>;
type ColumnName = keyof typeof columns;

interface Column {
  name: ColumnName;
  unit: string;
}
const MOST_ROWS = 24 * 22;

/** A forecast from CSV with a header that names units, such as `time, wind (kn), air (°C)`. Times with offset, or on the water's own clock. */
export const readForecastCsv = reader(TABLE, inForecastCsv);
function inForecastCsv(text: string, timeZone: string): Imported<ForecastFile> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [header, ...rows] = data;
  if (!header || rows.length === 0) return refused('The file has no header with rows under it.');
  const cells = header.map((cell) => cell.trim().toLowerCase());
  const timeAt = cells.findIndex((cell) => cell === 'time' || cell === 'at');
  if (timeAt < 0) return refused('The header has no column called time.');
  const read = cells.map((cell, i) => (i === timeAt ? null : columnOf(cell)));
  const bad = read.find((column) => typeof column === 'string');
  if (typeof bad === 'string') return refused(bad);
  return rowsToHours(
    rows.map((row, i) => ({
      line: `Line ${i + 2}`,
      time: (row[timeAt] ?? '').trim(),
      values: read.flatMap((column, c) =>
        column && typeof column !== 'string' ? [[column, (row[c] ?? '').trim()] as const] : [],
      ),
    })),
    timeZone,
  );
}

/** The same from JSON: `{"units": {"wind": "kn"}, "hours": [{"time": "...", "wind": 12}]}`. */
export const readForecastJson = reader(MARKUP, inForecastJson);
function inForecastJson(text: string, timeZone: string): Imported<ForecastFile> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refused(`This is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
  const { units, hours } = (json ?? {}) as { units?: unknown; hours?: unknown };
  if (typeof units !== 'object' || units === null || !Array.isArray(hours))
    return refused('The file needs `units` (which unit each column is in) and `hours` (a list).');
  const read = Object.entries(units as Record<string, unknown>).map(([name, unit]) =>
    columnOf(`${name} (${String(unit)})`.toLowerCase()),
  );
  const bad = read.find((column) => typeof column === 'string');
  if (typeof bad === 'string') return refused(bad);
  const known = read.filter((column): column is Column => column !== null && typeof column !== 'string');
  return rowsToHours(
    hours.map((row: unknown, i) => {
      const record = (typeof row === 'object' && row !== null ? row : {}) as Record<string, unknown>;
      const cell = (value: unknown) => (value === null || value === undefined ? '' : String(value));
      return {
        line: `Hour ${i + 1}`,
        time: cell(record.time),
        values: known.map((column) => [column, cell(record[column.name])] as const),
      };
    }),
    timeZone,
  );
}

/** A header cell as a column; null: one that is not known, left alone; text: why it cannot be taken. */
function columnOf(cell: string): Column | string | null {
  const match = /^([a-z ]+?)\s*(?:[([]\s*(.+?)\s*[)\]])?$/.exec(cell);
  const name = (match?.[1] ?? '').trim();
  if (!(name in columns)) return null;
  const column = name as ColumnName;
  const units = Object.keys(columns[column].units);
  const unit = match?.[2] ?? '';
  if (!units.includes(unit))
    return `Say the unit of ${name} in the header: ${units.map((one) => `${name} (${one})`).join(', ')}.`;
  return { name: column, unit };
}

interface Row {
  line: string;
  time: string;
  values: readonly (readonly [Column, string])[];
}

function rowsToHours(rows: readonly Row[], timeZone: string): Imported<ForecastFile> {
  if (rows.length > MOST_ROWS) return refused(`The file has ${rows.length} rows; at most ${MOST_ROWS} are read.`);
  const troubles: string[] = [];
  const hours: Hour[] = [];
  const water: number[] = [];
  let before: number | null = null;
  for (const { line, time, values } of rows) {
    const at = moment(time, timeZone);
    if (at === null) {
      troubles.push(`${line}: "${time.slice(0, 40)}" is no time. Left out.`);
      continue;
    }
    if (before !== null && at <= before) {
      troubles.push(`${line}: ${time} does not come after the row before. Left out.`);
      continue;
    }
    const figures = figuresOf(values);
    const hour = hourSchema.safeParse({ ...NO_FIGURES, at: isoAt(at, timeZone), ...figures.hour });
    if (figures.bad !== null || !hour.success) {
      const issue = hour.success ? null : hour.error.issues[0];
      troubles.push(
        `${line}: ${figures.bad ?? `${String(issue?.path[0] ?? '')}: ${issue ? sayIssue(issue) : 'out of range'}`} Left out.`,
      );
      continue;
    }
    if (before !== null && at - before > HOUR_MS)
      troubles.push(`${line}: ${Math.round((at - before) / HOUR_MS) - 1} h are missing before it.`);
    before = at;
    hours.push(hour.data);
    if (figures.waterC !== null) water.push(figures.waterC);
  }
  if (hours.length === 0) return refused(`No row could be taken. ${troubles[0] ?? ''}`.trim());
  const waterC = water.length > 0 ? Number((water.reduce((sum, one) => sum + one, 0) / water.length).toFixed(1)) : null;
  return { taken: true, value: { hours, waterC }, troubles: told(troubles) };
}

function figuresOf(values: Row['values']) {
  const hour: Partial<Record<string, number>> = {};
  let waterC: number | null = null;
  for (const [{ name, unit }, text] of values) {
    if (text === '') continue;
    const number = Number(text.replace(',', '.'));
    if (!Number.isFinite(number)) return { hour, waterC, bad: `${name} "${text.slice(0, 20)}" is no number.` };
    const { figure, units } = columns[name];
    const inFahrenheit = unit === '°f' || unit === 'f';
    const si = inFahrenheit ? (number - 32) / 1.8 : number * ((units as Record<string, number>)[unit] ?? 1);
    const rounded = Number(si.toFixed(figure === 'visibilityM' ? 0 : 2));
    if (figure === 'waterC') waterC = rounded;
    else hour[figure] = rounded;
  }
  return { hour, waterC, bad: null };
}

function moment(text: string, timeZone: string): number | null {
  if (/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/.test(text)) {
    const at = Date.parse(text.replace(' ', 'T'));
    return Number.isFinite(at) ? at : null;
  }
  const local = /^(\d{4}-\d\d-\d\d)[T ](\d\d:\d\d)/.exec(text);
  return local ? instantOf(local[1] ?? '', local[2] ?? '', timeZone) : null;
}
