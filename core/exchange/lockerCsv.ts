import Papa from 'papaparse';
import {
  type AttributeId,
  attributeIds,
  qualities as qualityNames,
  qualityIds,
} from '../catalog/gear/attributes';
import { findKinds } from '../catalog/gear/findKinds';
import { type KindId, kindIds, kinds } from '../catalog/gear/kinds';
import { otherWords } from '../catalog/gear/otherWords';
import { type Item, itemSchema } from '../documents/item';
import { sayIssue } from '../documents/sayIssue';
import { newItem } from '../editing/newItem';
import { type Decimal, decimalsOf, figureOf } from './cells';
import {
  type AnswersGiven,
  type Asking,
  type Imported,
  type Question,
  TABLE,
  reader,
  refused,
  told,
} from './imported';
import {
  type LockerColumn,
  type Plain,
  columnOf,
  lockerColumns,
  ownUnit,
  plainIds,
  unitNamed,
  unitsOf,
} from './lockerColumns';
import { type DayOrder, dayOf, dayOrderOf, momentParts } from './momentCells';
import { answeredOrder, askDayOrder, askDecimal, unanswered } from './questions';

const MOST_ROWS = 5000;
// A spreadsheet takes a cell that begins so for a formula: an apostrophe before it makes it text again, and
// is taken off when read.
const formula = /^[=+\-@\t\r]/;
/** By it a spreadsheet knows that the file is UTF-8. */
const MARK = '\uFEFF';
const guarded = /^'[=+\-@\t\r]/;

/** The locker as CSV, a line an item; no cell can run in a spreadsheet. Pictures are left out. */
export function writeLockerCsv(items: readonly Item[]): string {
  const used = attributeIds.filter((id) =>
    items.some((item) => item.attributes[id] !== undefined || id in kinds[item.kind].attributes),
  );
  const names = new Map(items.map((item) => [item.id, item.name]));
  const cm = (item: Item, axis: 0 | 1 | 2) =>
    item.sizeM === null ? '' : Number((item.sizeM[axis] * 100).toFixed(3));
  const rows = items.map((item) => {
    const cells: Record<Plain, string | number> = {
      name: item.name,
      kind: item.kind,
      quantity: item.quantity,
      massKg: item.massKg,
      condition: item.condition,
      expiresOn: item.expiresOn ?? '',
      always: item.always ? 'yes' : 'no',
      stays: item.stays,
      qualities: item.qualities.join('; ') || 'none',
      livesIn: names.get(item.containerId ?? '') ?? '',
      runsOn: names.get(item.poweredById ?? '') ?? '',
      lengthCm: cm(item, 0),
      widthCm: cm(item, 1),
      heightCm: cm(item, 2),
      cost: item.cost ?? '',
      boughtOn: item.boughtOn ?? '',
      servicedOn: item.servicedOn ?? '',
      note: item.note,
    };
    return [
      ...plainIds.map((id) => cells[id]),
      ...used.map((id) => item.attributes[id] ?? (id in kinds[item.kind].attributes ? 'none' : '')),
    ];
  });
  const cell = (value: string | number) =>
    typeof value === 'string' && formula.test(value) ? `'${value}` : value;
  return `${MARK}${Papa.unparse({ fields: [...plainIds, ...used], data: rows.map((row) => row.map(cell)) })}`;
}

/**
 * A file to fill in: every column, and a line for each kind, with its usual figures and none of it owned yet.
 */
export function lockerTemplate(): string {
  return writeLockerCsv(kindIds.map((kind) => newItem(kind, kind))).replaceAll(
    /^((?:"[^"]*"|[^,]*),[a-z0-9-]+),1,/gm,
    '$1,0,',
  );
}

/** Which column of a file is taken for what; null: left alone. One entry a column. */
export type Mapping = readonly (LockerColumn | null)[];

/**
 * A file's header with a guess of what each column holds, and each column's first cell that is not empty, for
 * a person to look over.
 */
export const lockerCsvHeader = reader(TABLE, inHeader);
function inHeader(text: string): Imported<{ header: string[]; guess: Mapping; samples: string[] }> {
  const parsed = rowsOf(text);
  if (!parsed.taken) return parsed;
  const [header = [], ...rows] = parsed.value;
  const taken = new Set<LockerColumn>();
  const guess = header.map((cell) => {
    const found = columnOf(cell, taken);
    if (found) taken.add(found.id);
    return found?.id ?? null;
  });
  return {
    taken: true,
    value: {
      header,
      guess,
      samples: header.map((_, i) => rows.find((row) => (row[i] ?? '') !== '')?.[i] ?? ''),
    },
    troubles: [],
  };
}

function rowsOf(text: string): Imported<string[][]> {
  const { data } = Papa.parse<string[]>(
    text
      .replace(/^\uFEFF/, '')
      .replace(/\r\n?/g, '\n')
      .trim(),
    { skipEmptyLines: 'greedy' },
  );
  if (data.length < 2) return refused('The file has no header with lines under it.');
  if (data.length > MOST_ROWS + 1)
    return refused(`The file has ${data.length - 1} lines; at most ${MOST_ROWS} are read.`);
  return { taken: true, value: data, troubles: [] };
}

/** How the figures and days of a file are written, and which unit each column is in. */
interface Writing {
  decimal: Decimal;
  order: DayOrder;
  units: ReadonlyMap<LockerColumn, string>;
}
const dateColumns: readonly LockerColumn[] = ['expiresOn', 'boughtOn', 'servicedOn'];
/** What a file leaves open of its units, decimals and days: asked before anything of it is taken. */
function writingOf(
  header: readonly string[],
  rows: readonly string[][],
  columns: Mapping,
  answers: AnswersGiven,
  asks: Question[],
): Writing {
  const cellsOf = (at: number) => rows.map((row) => (row[at] ?? '').trim()).filter((cell) => cell !== '');
  const units = new Map<LockerColumn, string>();
  const numbers: string[] = [];
  for (const [at, id] of columns.entries()) {
    if (id === null) continue;
    const choices = unitsOf(id);
    if (choices || id === 'quantity' || id === 'cost' || !plainIds.some((one) => one === id))
      numbers.push(...cellsOf(at));
    if (!choices) continue;
    const guessed = columnOf(header[at] ?? '', new Set());
    const named = guessed?.id === id ? guessed.unit : null;
    const bareCell = cellsOf(at).find((cell) => cell !== 'none' && (figureOf(cell, '.')?.unit ?? '') === '');
    const given = answers[`unit ${id}`];
    if (named !== null) units.set(id, named);
    else if (given !== undefined && given in choices) units.set(id, given);
    else if (bareCell === undefined) units.set(id, ownUnit(id) ?? '');
    if (named === null && bareCell !== undefined && Object.keys(choices).length > 1)
      asks.push({
        id: `unit ${id}`,
        text: `Which unit is "${header[at] ?? ''}" in? It begins with ${bareCell}.`,
        choices: Object.keys(choices).map((unit) => ({ id: unit, text: unit })),
      });
  }
  const { decimal, unclear } = decimalsOf(numbers);
  if (decimal === null && unclear !== null) asks.push(askDecimal(unclear));
  const days = columns.flatMap((id, at) =>
    id !== null && dateColumns.includes(id) ? cellsOf(at).map(momentParts) : [],
  );
  const order = dayOrderOf(days);
  const open = days.find(({ date }) => date?.order === 'open')?.date;
  if (order === null && open) asks.push(askDayOrder(open));
  return {
    decimal: decimal ?? (answers.decimal === ',' ? ',' : '.'),
    order: order === 'known' || order === null ? answeredOrder(answers) : order,
    units,
  };
}
/** The questions that a file leaves open with its columns taken so. */
export function lockerCsvAsks(text: string, mapping: Mapping, answers: AnswersGiven): Question[] {
  const rows = rowsOf(text);
  const asks: Question[] = [];
  if (rows.taken) writingOf(rows.value[0] ?? [], rows.value.slice(1), mapping, answers, asks);
  return asks;
}

interface ReadOptions {
  /** What each column holds; left out: guessed from the header. */
  mapping?: Mapping;
  /** What the locker holds already, for finding containers and batteries by name. */
  owned?: readonly Item[];
  answers?: AnswersGiven;
}
/**
 * Items from CSV with a header; a name or a kind is needed, the rest is usual for the kind. Bad lines are
 * told and left out; units, decimals and days that may be read in two ways are asked.
 * @param idFor gives each item its identifier, by its place among those taken
 */
export const readLockerCsv: (
  text: string,
  idFor: (index: number) => string,
  options?: ReadOptions,
) => Asking<Item[]> = reader(TABLE, inLockerCsv);
function inLockerCsv(
  text: string,
  idFor: (index: number) => string,
  { mapping, owned = [], answers = {} }: ReadOptions = {},
): Asking<Item[]> {
  const rows = rowsOf(text);
  if (!rows.taken) return rows;
  const head = lockerCsvHeader(text);
  if (!head.taken) return head;
  const { header, guess } = head.value;
  const columns = mapping ?? guess;
  if (!columns.includes('name') && !columns.includes('kind'))
    return refused('No column is taken for the name, and none for the kind.');
  const lines = rows.value.slice(1);
  const asks: Question[] = [];
  const writing = writingOf(header, lines, columns, answers, asks);
  const waiting = unanswered(asks, answers);
  if (waiting) return waiting;
  const troubles = header.flatMap((name, i) =>
    columns[i] == null ? [`The column "${name.slice(0, 40)}" was left alone.`] : [],
  );
  const items: Item[] = [];
  const links: { index: number; line: number; livesIn: string; runsOn: string }[] = [];
  const byOtherWord: string[] = [];
  let none = 0;
  lines.forEach((row, i) => {
    const read = (name: LockerColumn) => {
      const at = columns.indexOf(name);
      const value = at < 0 ? '' : (row[at] ?? '').trim();
      return guarded.test(value) ? value.slice(1) : value;
    };
    if (/^0+$/.test(read('quantity'))) {
      none += 1;
      return;
    }
    const item = itemFrom(read, idFor(items.length), writing, byOtherWord);
    const parsed = typeof item === 'string' ? null : itemSchema.safeParse(item);
    const issue = parsed && !parsed.success ? parsed.error.issues[0] : null;
    if (parsed?.success) {
      links.push({ index: items.length, line: i + 2, livesIn: read('livesIn'), runsOn: read('runsOn') });
      items.push(parsed.data);
    } else
      troubles.push(
        `Line ${i + 2}: ${typeof item === 'string' ? item : `${columnNamed(issue?.path ?? [])}: ${sayIssue(issue)}`} Left out.`,
      );
  });
  if (byOtherWord.length > 0)
    troubles.unshift(`Taken by what it is called: ${[...new Set(byOtherWord)].slice(0, 12).join('; ')}.`);
  if (none > 0)
    troubles.push(`${none} ${none === 1 ? 'line says' : 'lines say'} that there is none of it. Left out.`);
  troubles.push(...linked(items, links, owned));
  return items.length === 0
    ? refused(
        `${columns.includes('kind') ? '' : 'No column is taken for the kind. '}No line could be taken. ${troubles.find((one) => one.startsWith('Line')) ?? ''}`.trim(),
      )
    : { taken: true, value: items, troubles: told(troubles) };
}

/** The column that a refused field came from, by the name that people see. */
function columnNamed(path: readonly PropertyKey[]): string {
  const id = String(path[0] === 'attributes' ? path[1] : path[0]);
  return lockerColumns.find((column) => column.id === id)?.name ?? id;
}

/**
 * Finds containers and batteries by name, in the file first, then in the locker; what is not found is told.
 */
function linked(
  items: Item[],
  links: readonly { index: number; line: number; livesIn: string; runsOn: string }[],
  owned: readonly Item[],
): string[] {
  const byName = new Map([...owned, ...items].map((item) => [item.name.toLowerCase(), item.id]));
  const troubles: string[] = [];
  for (const { index, line, livesIn, runsOn } of links) {
    const item = items[index];
    if (!item) continue;
    const find = (name: string) => {
      if (name === '') return null;
      const id = byName.get(name.toLowerCase()) ?? null;
      if (id === null || id === item.id)
        troubles.push(`Line ${line}: nothing is called "${name.slice(0, 40)}".`);
      return id === item.id ? null : id;
    };
    items[index] = { ...item, containerId: find(livesIn), poweredById: find(runsOn) };
  }
  return troubles;
}

/** The kind that a word means: its identifier, its name, or another word for it; text: why none is. */
function kindOf(word: string): { kind: KindId; exact: boolean } | string {
  const wanted = word.trim().toLowerCase();
  const exact = kindIds.find((one) => one === wanted || kinds[one].name.toLowerCase() === wanted);
  if (exact) return { kind: exact, exact: true };
  const [first, ...others] = wanted === '' ? [] : findKinds(wanted);
  if (first && others.length === 0) return { kind: first, exact: false };
  if (first && isWordFor(wanted, first, others)) return { kind: first, exact: false };
  // "Safety whistle": its last word is what it is, where that is the whole of another word for it.
  const tail = wanted.split(/\s+/).at(-1) ?? '';
  const [last, ...besides] = first || tail === wanted || tail === '' ? [] : findKinds(tail);
  if (last && isWordFor(tail, last, besides)) return { kind: last, exact: false };
  const may = first ? [first, ...others].slice(0, 4).map((one) => kinds[one].name) : [];
  return may.length === 0
    ? `"${word.slice(0, 40)}" is no kind of gear.`
    : `"${word.slice(0, 40)}" may be ${may.join(', or ')}: write one of them.`;
}
/** Whether a word is one for the first kind found and for none of the others. */
function isWordFor(word: string, first: KindId, others: readonly KindId[]): boolean {
  const plainWord = (text: string) =>
    text
      .toLowerCase()
      .replace(/[^a-z0-9]/g, '')
      .replace(/s$/, '');
  const names = (kind: KindId) => [kinds[kind].name, ...otherWords[kind]].map(plainWord);
  return (
    names(first).includes(plainWord(word)) && !others.some((kind) => names(kind).includes(plainWord(word)))
  );
}

const CONDITIONS: readonly (readonly [Item['condition'], RegExp])[] = [
  ['good', /^(?:good|ok|okay|fine|new|used|sound|as new|gut|neu|bon|bueno|buono|bom|goed|god|bra)$/i],
  [
    'under repair',
    /^(?:under repair|repair|in repair|to repair|broken|defect|defekt|kaputt|casse|roto|rotto|stuk)$/i,
  ],
  ['failed inspection', /^(?:failed inspection|failed|unsafe|condemned)$/i],
];

/**
 * One line as an item, or why it is none.
 * @param byOtherWord gathers what was found by another word than its name
 */
function itemFrom(
  read: (name: LockerColumn) => string,
  id: string,
  { decimal, order, units }: Writing,
  byOtherWord: string[],
): Item | string {
  const word = read('kind') || read('name');
  const found = kindOf(word);
  if (typeof found === 'string') return found;
  const { kind, exact } = found;
  if (!exact) byOtherWord.push(`${word.slice(0, 40)} as ${kinds[kind].name}`);
  const usual = newItem(id, kind);
  /** A figure in the column's own unit; NaN where it is none, which the schema refuses by name. */
  const number = (column: LockerColumn, otherwise: number) => {
    const text = read(column);
    if (text === '') return otherwise;
    const figure = figureOf(text.replace(/^[€$£]\s*/, ''), decimal);
    const choices = unitsOf(column);
    if (!figure || figure.range) return NaN;
    if (!choices) return column === 'cost' || figure.unit === '' ? figure.value : NaN;
    const unit =
      figure.unit === '' ? (units.get(column) ?? ownUnit(column)) : unitNamed(figure.unit, choices);
    return unit === null ? NaN : Number((figure.value * (choices[unit] ?? NaN)).toPrecision(12));
  };
  const day = (column: LockerColumn) => {
    const text = read(column);
    if (text === '') return null;
    const { date } = momentParts(text);
    return (date?.year != null ? dayOf(date, order, '2000-01-01') : null) ?? text;
  };
  const qualities = read('qualities')
    .split(/[;,]/)
    .map((one) => one.trim().toLowerCase())
    .filter((one) => one !== '' && one !== 'none');
  const qualityOf = (one: string) =>
    qualityIds.find((each) => each === one || qualityNames[each].toLowerCase() === one);
  const odd = qualities.find((one) => qualityOf(one) === undefined);
  if (odd !== undefined) return `"${odd.slice(0, 40)}" is no known quality.`;
  const own = Object.fromEntries(
    attributeIds.flatMap((one: AttributeId) => {
      if (read(one) === 'none') return [];
      const value = read(one) === '' ? usual.attributes[one] : number(one, 0);
      return value === undefined ? [] : [[one, value]];
    }),
  );
  const size = (['lengthCm', 'widthCm', 'heightCm'] as const).map((one) =>
    read(one) === '' ? null : number(one, 0) / 100,
  );
  const condition = read('condition');
  return {
    ...usual,
    name: read('name') || usual.name,
    quantity: number('quantity', 1),
    massKg: number('massKg', usual.massKg),
    attributes: own,
    qualities: read('qualities') === '' ? usual.qualities : qualities.flatMap((one) => qualityOf(one) ?? []),
    condition:
      CONDITIONS.find(([, is]) => is.test(condition))?.[0] ?? ((condition || 'good') as Item['condition']),
    expiresOn: day('expiresOn'),
    always: /^(?:yes|y|true|1|x|✓|ja|j|oui|si|sí|sim|always)$/iu.test(read('always')),
    stays: read('stays'),
    sizeM: size.every((one) => one === null) ? null : (size.map((one) => one ?? 0) as Item['sizeM']),
    cost: read('cost') === '' ? null : number('cost', 0),
    boughtOn: day('boughtOn'),
    servicedOn: day('servicedOn'),
    note: read('note'),
  };
}
