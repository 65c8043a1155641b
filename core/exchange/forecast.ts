import Papa from 'papaparse';
import { sayIssue } from '../documents/sayIssue';
import { NO_FIGURES } from '../editing/hours';
import { type Hour, hourSchema } from '../documents/outing';
import { forceToMps } from '../units/beaufort';
import { bearingOfPoint } from '../units/compass';
import { HOUR_MS, type Instant, clockAt, dateAt, isoAt } from '../units/time';
import { listed } from '../units/words';
import { type Decimal, decimalsOf, figureOf, isEmpty } from './cells';
import { type Figure, type Header, figures, parseHeader, unitIn } from './forecastColumns';
import {
  type AnswersGiven,
  type Asking,
  type Imported,
  MARKUP,
  type Question,
  TABLE,
  reader,
  refused,
  told,
} from './imported';
import {
  type DayOrder,
  type MomentParts,
  type Zone,
  dayOf,
  dayOrderOf,
  instantAt,
  momentParts,
  zoneIn,
} from './momentCells';
import { answeredOrder, askDayOrder, askDecimal, unanswered } from './questions';

export interface ForecastFile {
  hours: Hour[];
  /** Water temperature, when the file has one: the mean of its rows. */
  waterC: number | null;
  /**
   * How it was understood, for whoever reads it before anything is replaced: "wind in kn", "hours in UTC,
   * turned to the water's clock".
   */
  understood: string[];
  /** Columns that were not understood, by their heads. */
  unread: string[];
  /** Columns that were understood, and that nothing here goes by. */
  unused: string[];
  /** What was asked, and answered. */
  asked: Question[];
}
export type ReadForecast = Asking<ForecastFile>;
export interface ForecastOptions {
  /** The clock of the water, on which hours without a zone are. */
  timeZone: string;
  /** The day of the outing, yyyy-mm-dd: hours without a day are of it, days without a year lie near it. */
  near: string;
  /** What was answered to questions, by their ids. */
  answers?: AnswersGiven;
}

const MOST_ROWS = 24 * 22;
/** Lines over the head of a table: a title, a place, a zone. */
const MOST_PREAMBLE = 30;

/**
 * A table as it was taken apart: what stands over it, its head, its units where a line of their own gives
 * them, its rows.
 */
interface Table {
  preamble: string;
  head: string[];
  units: string[] | null;
  rows: { line: string; cells: string[] }[];
}

/**
 * A forecast from a table of text, as programs write it: any usual delimiter, heads in the common languages
 * with their units in brackets, behind a space or an underscore, in a line of their own or in the cells. What
 * may be read in two ways is asked, never guessed.
 */
export const readForecastCsv: (text: string, options: ForecastOptions) => ReadForecast = reader(
  TABLE,
  inTable,
);
function inTable(text: string, options: ForecastOptions): ReadForecast {
  const rows = linesOf(text);
  const headAt = rows.slice(0, MOST_PREAMBLE).findIndex(({ cells }) => isHead(cells));
  const head = rows[headAt];
  if (!head)
    return refused(
      'The file has no line of heads such as: time, wind (kn), gust (kn), from (°), air (°C). Without one nobody knows which figure is which.',
    );
  const [first] = rows.slice(headAt + 1);
  const units = first && isUnits(first.cells) ? first.cells : null;
  return read(
    {
      preamble: rows
        .slice(0, headAt)
        .map(({ cells }) => cells.join(' '))
        .join('\n'),
      head: head.cells,
      units,
      rows: rows.slice(headAt + (units ? 2 : 1)),
    },
    options,
  );
}

/**
 * The same from JSON: a list of records, or lists by their names, with the units beside them or in the names.
 */
export const readForecastJson: (text: string, options: ForecastOptions) => ReadForecast = reader(
  MARKUP,
  inJson,
);
function inJson(text: string, options: ForecastOptions): ReadForecast {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refused(`This is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
  const found = recordsIn(json);
  if (!found)
    return refused(
      'The file needs a list of hours, such as `hours`, and `units` that say which unit each figure is in.',
    );
  const names = [...new Set(found.records.flatMap((record) => Object.keys(record)))];
  const sayCell = (value: unknown) =>
    typeof value === 'string'
      ? value
      : typeof value === 'number'
        ? String(value)
        : value == null
          ? ''
          : JSON.stringify(value);
  return read(
    {
      preamble: found.zone,
      head: names.map((name) =>
        found.units[name] === undefined ? name : `${name} (${found.units[name] ?? ''})`,
      ),
      units: null,
      rows: found.records.map((record, i) => ({
        line: `Hour ${i + 1}`,
        cells: names.map((name) => sayCell(record[name])),
      })),
    },
    // Numbers of JSON have a point before their decimals, whatever stands beside them.
    { ...options, answers: { decimal: '.', ...options.answers } },
  );
}

type Fields = Record<string, unknown>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
interface Records {
  records: Fields[];
  units: Record<string, string>;
  zone: string;
}
/** Records with a moment in them, in whatever part of the JSON they are; null: there are none. */
function recordsIn(json: unknown): Records | null {
  const fields = isFields(json) ? json : {};
  const units = Object.entries(fields).find(([name, value]) => /unit/i.test(name) && isFields(value))?.[1];
  const texts = Object.entries(isFields(units) ? units : {}).flatMap(([name, unit]) =>
    typeof unit === 'string' ? [[name, unit]] : [],
  );
  const zone = Object.entries(fields)
    .flatMap(([name, value]) => (/zone/i.test(name) && typeof value === 'string' ? [value] : []))
    .join(' ');
  for (const value of [json, ...Object.values(fields)]) {
    if (Array.isArray(value) && value.length > 0 && value.every(isFields))
      return { records: value, units: Object.fromEntries(texts) as Record<string, string>, zone };
    if (!isFields(value)) continue;
    const lists = Object.entries(value).filter((entry): entry is [string, unknown[]] =>
      Array.isArray(entry[1]),
    );
    const [longest = 0] = lists.map(([, list]) => list.length).toSorted((a, b) => b - a);
    if (lists.length < 2 || longest === 0 || longest > 50_000) continue;
    const records = Array.from({ length: longest }, (_, i) =>
      Object.fromEntries(lists.map(([name, list]) => [name, list[i]])),
    );
    return { records, units: Object.fromEntries(texts) as Record<string, string>, zone };
  }
  return null;
}

/** Lines taken apart by the delimiter that parts them best; a table set with gaps by its gaps. */
function linesOf(text: string): Table['rows'] {
  const plain = text
    .replace(/^\uFEFF/, '')
    .replaceAll(/\r\n?/g, '\n')
    .trimEnd();
  const parsed = Papa.parse<string[]>(plain, {
    skipEmptyLines: false,
    delimitersToGuess: [',', ';', '\t', '|'],
  }).data;
  const wide = parsed.filter((cells) => cells.length > 1).length;
  const full = parsed.filter((cells) => cells.some((cell) => cell.trim() !== '')).length;
  const rows = wide * 2 >= full ? parsed : plain.split('\n').map((line) => line.trim().split(/\s{2,}|\t/));
  return rows
    .map((cells, i) => ({ line: `Line ${i + 1}`, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== '' && !/^[-=_+|]+$/.test(cell)));
}
function isHead(cells: readonly string[]): boolean {
  const heads = cells.map((cell) => parseHeader(cell));
  return (
    heads.some(({ is }) => is === 'date' || is === 'time' || is === 'moment') &&
    heads.some(({ is }) => is === 'figure') &&
    !cells.some((cell) => /^-?\d+([.,]\d+)?$/.test(cell))
  );
}
const withoutBrackets = (cell: string) => cell.replace(/^[([{]|[)\]}]$/g, '');
/** A line of units under the heads. */
function isUnits(cells: readonly string[]): boolean {
  const written = cells.map((cell) => withoutBrackets(cell)).filter((cell) => cell !== '');
  return (
    written.length > 0 &&
    cells.every((cell) => !/\d/.test(cell) || /^[([]?m\/s|^[([]?mm/.test(cell)) &&
    written.filter((cell) => Object.values(figures).some(({ units }) => unitIn(cell, units) !== null))
      .length *
      2 >=
      written.length - 1
  );
}

interface Column {
  at: number;
  head: string;
  figure: Figure;
  unit: string | null;
}

function read(table: Table, options: ForecastOptions): ReadForecast {
  if (table.rows.length === 0) return refused('The file has no header with rows under it.');
  if (table.rows.length > MOST_ROWS)
    return refused(`The file has ${table.rows.length} rows; at most ${MOST_ROWS} are read.`);
  const asks: Question[] = [];
  const answers = options.answers ?? {};
  const heads = table.head.map((cell) => parseHeader(cell));
  const columns = columnsOf(table, heads, answers, asks);
  if (!columns.some(({ figure }) => figure === 'windMps'))
    return refused(
      `No column says the wind, and hours without it are not taken. Heads here: ${listed(table.head.slice(0, 12))}.`,
    );
  const decimal = decimalIn(table, columns, answers, asks);
  const letterO = letterOIn(table, columns, answers, asks);
  const moments = momentsOf(table, heads, options, asks);
  for (const column of columns) if (column.unit === null) askUnit(table, column, answers, asks);
  const waiting = unanswered(asks, answers);
  if (waiting) return waiting;
  const said = rowsToHours(table, columns, decimal, letterO, moments, options);
  if (!said.taken) return said;
  const named = (is: Header['is']) =>
    heads.flatMap((head, i) => (head.is === is && table.head[i] !== '' ? [table.head[i] ?? ''] : []));
  return {
    ...said,
    value: {
      ...said.value,
      understood: [
        ...columns.map(
          ({ figure, unit }) =>
            `${figures[figure].name}${unit === null || figures[figure].alone === unit ? '' : ` in ${unit}`}`,
        ),
        moments.sayClock,
      ],
      asked: asks,
      unread: named('unknown'),
      unused: [
        ...named('unused'),
        ...heads.flatMap((head, i) =>
          head.is === 'figure' && !columns.some(({ at }) => at === i) ? [table.head[i] ?? ''] : [],
        ),
      ],
    },
  };
}

/** One column for each figure; two for one are asked about. */
function columnsOf(
  table: Table,
  heads: readonly Header[],
  answers: AnswersGiven,
  asks: Question[],
): Column[] {
  const all = heads.flatMap((head, at): Column[] => {
    if (head.is !== 'figure' || table.rows.every(({ cells }) => isEmpty(cells[at] ?? ''))) return [];
    const below = withoutBrackets(table.units?.[at] ?? '');
    const inCells = unitOfCells(table, at, head.figure);
    const { units, alone } = figures[head.figure];
    // A bracket that is no unit ("at 10 m") leaves the unit to the cells.
    return [
      {
        at,
        head: table.head[at] ?? '',
        figure: head.figure,
        unit:
          (head.unitText === '' || head.unit === alone ? null : head.unit) ??
          unitIn(below, units) ??
          inCells ??
          head.unit,
      },
    ];
  });
  return [...new Set(all.map(({ figure }) => figure))].flatMap((figure) => {
    const same = all.filter((one) => one.figure === figure);
    if (same.length === 1) return same;
    const id = `column ${figure}`;
    asks.push({
      id,
      text: `Which column is ${figures[figure].name}?`,
      choices: same.map(({ at, head }) => ({ id: String(at), text: head })),
    });
    const chosen = same.find(({ at }) => String(at) === answers[id]);
    return chosen ? [chosen] : same.slice(0, 1);
  });
}
/** The unit that the cells of a column write, where all that have one write the same. */
function unitOfCells(table: Table, at: number, figure: Figure): string | null {
  const written = new Set(
    table.rows.flatMap(({ cells }) => {
      const unit = figureOf(withoutPoint(cells[at] ?? '').speed, '.')?.unit ?? '';
      return unit === '' ? [] : [unitIn(unit, figures[figure].units) ?? ''];
    }),
  );
  const [only] = written;
  return written.size === 1 && only ? only : null;
}
function askUnit(table: Table, column: Column, answers: AnswersGiven, asks: Question[]): void {
  const { figure, head, at } = column;
  const id = `unit ${figure}`;
  const { units } = figures[figure];
  const [sample] = table.rows.map(({ cells }) => cells[at] ?? '').filter((cell) => !isEmpty(cell));
  asks.push({
    id,
    text: `Which unit is "${head}" in? It begins with ${sample ?? ''}.`,
    choices: Object.keys(units).map((unit) => ({ id: unit, text: unit === 'bft' ? 'Beaufort' : unit })),
  });
  if (answers[id] !== undefined && answers[id] in units) column.unit = answers[id];
}

function decimalIn(
  table: Table,
  columns: readonly Column[],
  answers: AnswersGiven,
  asks: Question[],
): Decimal {
  const cells = table.rows.flatMap((row) => columns.map(({ at }) => row.cells[at] ?? ''));
  const { decimal, unclear } = decimalsOf(cells);
  if (decimal !== null) return decimal;
  if (unclear !== null) asks.push(askDecimal(unclear));
  if (answers.decimal === '.' || answers.decimal === ',') return answers.decimal;
  return '.';
}

interface Moments {
  order: DayOrder;
  /** The zone that the table names for all its hours; null: each by itself, or the water's. */
  zone: Zone | null;
  parts: (MomentParts | null)[];
  sayClock: string;
}
/** The day and the hour of each row, from one column or from two. */
function momentsOf(
  table: Table,
  heads: readonly Header[],
  { timeZone, answers }: ForecastOptions,
  asks: Question[],
): Moments {
  const columns = momentColumns(table, heads);
  const parts = table.rows.map(({ cells }) => {
    const written = columns.map((at) => cells[at] ?? '').filter((cell) => !isEmpty(cell));
    return written.length === 0 ? null : written.map(momentParts).reduce(mergedMoments);
  });
  const order = dayOrderOf(parts.filter((one) => one !== null));
  const first = parts.find((one) => one?.date?.order === 'open')?.date;
  if (order === null && first) asks.push(askDayOrder(first));
  const zone =
    columns.map((at) => zoneIn(table.head[at] ?? '')).find((one) => one !== null) ?? zoneIn(table.preamble);
  const own = parts.find((one) => one?.zone && 'offsetMin' in one.zone)?.zone ?? null;
  const clock = own ?? zone;
  const sayClock =
    parts.some((one) => one?.instant != null) || (clock && 'offsetMin' in clock)
      ? `hours in ${clock && 'offsetMin' in clock ? sayOffset(clock.offsetMin) : 'UTC'}, turned to the clock of the water`
      : `hours on the clock of the water (${timeZone})`;
  return {
    order: order === 'known' || order === null ? answeredOrder(answers ?? {}) : order,
    zone,
    parts,
    sayClock,
  };
}
function sayOffset(minutes: number): string {
  if (minutes === 0) return 'UTC';
  const [sign, all] = [minutes < 0 ? '−' : '+', Math.abs(minutes)];
  return `UTC${sign}${Math.floor(all / 60)}${all % 60 === 0 ? '' : `:${String(all % 60).padStart(2, '0')}`}`;
}
/** The day of one cell with the hour of another. */
function mergedMoments(day: MomentParts, hour: MomentParts): MomentParts {
  return {
    date: day.date ?? hour.date,
    // A day alone may have a figure that looks like an hour.
    minutes: hour.minutes ?? day.minutes,
    zone: hour.zone ?? day.zone,
    instant: day.instant ?? hour.instant,
    left: [day.left, hour.left].filter((left) => left !== '').join(' '),
  };
}
/** The columns that together say when: one with day and hour, else one of each. */
function momentColumns(table: Table, heads: readonly Header[]): number[] {
  const of = (is: Header['is']) => heads.flatMap((head, at) => (head.is === is ? [at] : []));
  const whole = [...of('moment'), ...of('time'), ...of('date')].filter((at) => {
    const parts = table.rows.map(({ cells }) => momentParts(cells[at] ?? ''));
    return parts.some(
      ({ date, minutes, instant }) => instant !== null || (date !== null && minutes !== null),
    );
  });
  if (whole[0] !== undefined) return [whole[0]];
  return [...of('date').slice(0, 1), ...[...of('time'), ...of('moment')].slice(0, 1)];
}

function rowsToHours(
  table: Table,
  columns: readonly Column[],
  decimal: Decimal,
  letterO: LetterO,
  moments: Moments,
  { timeZone, near }: ForecastOptions,
): Imported<Pick<ForecastFile, 'hours' | 'waterC'>> {
  const troubles: string[] = [];
  const hours: Hour[] = [];
  const water: number[] = [];
  let before: Instant | null = null;
  let day = near;
  let lastMinutes = -1;
  for (const [i, { line, cells }] of table.rows.entries()) {
    const parts = moments.parts[i] ?? null;
    const written = parts && momentOf(parts, day, lastMinutes, moments, { timeZone, near });
    if (!parts || written === null) {
      // A line under the table that says something else has no figures; a row without an hour has.
      const shown = cells
        .filter((cell) => cell !== '')
        .join(' ')
        .slice(0, 40);
      troubles.push(`${line}: "${shown}" has no day and hour that can be read. Left out.`);
      continue;
    }
    [day, lastMinutes] = [written.day, parts.minutes ?? lastMinutes];
    const { at } = written;
    if (parts.zone && 'letters' in parts.zone)
      troubles.push(`${line}: "${parts.zone.letters}" is taken for the water’s own clock.`);
    if (before !== null && at <= before) {
      troubles.push(
        `${line}: ${dateAt(at, timeZone)} ${clockAt(at, timeZone)} does not come after the row before. Left out.`,
      );
      continue;
    }
    const { hour, waterC, bad, notes } = figuresOf(cells, columns, decimal, letterO);
    const parsed = hourSchema.safeParse({ ...NO_FIGURES, at: isoAt(at, timeZone), ...hour });
    const issue = parsed.success ? null : parsed.error.issues[0];
    const why =
      bad ??
      (issue
        ? `${figures[issue.path[0] as Figure]?.name ?? 'a figure'}: ${sayIssue(issue)}`
        : hour.windMps === undefined
          ? 'no wind in it.'
          : null);
    if (why !== null || !parsed.success) {
      troubles.push(`${line}: ${why ?? 'out of range.'} Left out.`);
      continue;
    }
    if (before !== null && at - before > HOUR_MS)
      troubles.push(`${line}: ${Math.round((at - before) / HOUR_MS) - 1} h are missing before it.`);
    troubles.push(...notes.map((note) => `${line}: ${note}`));
    before = at;
    hours.push(parsed.data);
    if (waterC !== null) water.push(waterC);
  }
  if (hours.length === 0) return refused(`No row could be taken. ${troubles[0] ?? ''}`.trim());
  const waterC =
    water.length > 0 ? Number((water.reduce((sum, one) => sum + one, 0) / water.length).toFixed(1)) : null;
  return { taken: true, value: { hours, waterC }, troubles: told(troubles) };
}

/** When a row is: its own day, else the day of the row before, the next one where the clock begins anew. */
function momentOf(
  parts: MomentParts,
  lastDay: string,
  lastMinutes: number,
  { order, zone }: Moments,
  { timeZone, near }: Pick<ForecastOptions, 'timeZone' | 'near'>,
): { at: Instant; day: string } | null {
  if (parts.instant !== null) return { at: parts.instant, day: dateAt(parts.instant, 'utc') };
  if (parts.minutes === null || parts.left !== '') return null;
  const next =
    parts.minutes < lastMinutes ? dateAt(Date.parse(`${lastDay}T12:00:00Z`) + 24 * HOUR_MS, 'utc') : lastDay;
  const day = parts.date ? dayOf(parts.date, order, near) : next;
  if (day === null) return null;
  const clock = parts.zone && 'offsetMin' in parts.zone ? parts.zone : zone;
  const at = instantAt(day, parts.minutes, clock, timeZone);
  return at === null ? null : { at, day };
}

/** "NNW 12": where it comes from, and what is left of the cell. */
function withoutPoint(cell: string, letterO: LetterO = null): { fromDeg: number | null; speed: string } {
  const [first = '', ...rest] = cell.trim().split(/\s+/);
  const fromDeg = rest.length > 0 && /^[a-z]{1,3}$/iu.test(first) ? bearingOf(first, letterO) : null;
  return fromDeg === null ? { fromDeg, speed: cell } : { fromDeg, speed: rest.join(' ') };
}

/**
 * What the letter O means in a table's points of the compass: Ost, or Ouest and Oeste. null: it does not say.
 */
type LetterO = 'E' | 'W' | null;
function letterOIn(
  table: Table,
  columns: readonly Column[],
  answers: AnswersGiven,
  asks: Question[],
): LetterO {
  const ats = columns.flatMap(({ figure, at }) =>
    figure === 'windFromDeg' || figure === 'windMps' ? [at] : [],
  );
  const points = table.rows.flatMap(({ cells }) =>
    ats.flatMap((at) => /^[NSEWOØÖVZ]{1,3}(?=\s|$)/iu.exec(cells[at] ?? '')?.[0].toUpperCase() ?? []),
  );
  const has = (letters: RegExp) => points.some((point) => letters.test(point));
  if (!has(/O/)) return null;
  if (has(/W|V|Z/)) return 'E';
  if (has(/E/)) return 'W';
  if (answers['letter O'] === 'E' || answers['letter O'] === 'W') return answers['letter O'];
  asks.push({
    id: 'letter O',
    text: `Which way is ${points.find((point) => point.includes('O')) ?? 'O'}: is O east, or west?`,
    choices: [
      { id: 'E', text: 'O is east (Ost, oost)' },
      { id: 'W', text: 'O is west (ouest, oeste, ovest)' },
    ],
  });
  return null;
}
/** The bearing of a point by its letters, in the common languages. */
function bearingOf(cell: string, letterO: LetterO): number | null {
  const letters = cell.trim().toUpperCase().replace(/[ØÖ]/g, 'E');
  const plain = /^[NSEWOVZ]{1,3}$/.test(letters)
    ? letters
        .replaceAll('V', 'W')
        .replaceAll('Z', 'S')
        .replaceAll('O', letterO ?? 'O')
    : cell.trim();
  return bearingOfPoint(plain);
}

function figuresOf(cells: readonly string[], columns: readonly Column[], decimal: Decimal, letterO: LetterO) {
  const hour: Partial<Record<Figure, number>> = {};
  const notes: string[] = [];
  let waterC: number | null = null;
  const nothing = { hour, waterC, notes };
  for (const { at, figure, unit } of columns) {
    const cell = cells[at] ?? '';
    if (isEmpty(cell)) continue;
    const { name, units } = figures[figure];
    if (figure === 'windFromDeg') {
      const degrees = figureOf(cell, decimal);
      const from = degrees && unitIn(degrees.unit || '°', units) ? degrees.value : bearingOf(cell, letterO);
      if (from === null && /^(?:variable|var|vrb|calm|stille|calme|calma)$/iu.test(cell)) continue;
      if (from === null || from > 360) return { ...nothing, bad: `"${cell.slice(0, 20)}" is no direction.` };
      hour.windFromDeg = from % 360;
      continue;
    }
    const { fromDeg, speed } =
      figure === 'windMps' ? withoutPoint(cell, letterO) : { fromDeg: null, speed: cell };
    if (fromDeg !== null) hour.windFromDeg ??= fromDeg;
    const read = figureOf(speed.replace(/^(?:f|force)\s*(?=\d)/iu, ''), decimal);
    const own = read && (read.unit === '' ? unit : unitIn(read.unit, units));
    if (!read || own === null) return { ...nothing, bad: `${name} "${cell.slice(0, 20)}" is no number.` };
    if (read.range) notes.push(`of ${cell} the higher is taken.`);
    const si = siOf(read.value, own, units);
    const rounded = Number(si.toFixed(figure === 'visibilityM' ? 0 : 2));
    if (figure === 'waterC') waterC = rounded;
    else hour[figure] = rounded;
  }
  return { hour, waterC, notes, bad: null };
}
function siOf(value: number, unit: string, units: Readonly<Record<string, number>>): number {
  if (unit === '°f') return (value - 32) / 1.8;
  if (unit === 'k') return value - 273.15;
  if (unit === 'bft') return forceToMps(value);
  return value * (units[unit] ?? 1);
}
