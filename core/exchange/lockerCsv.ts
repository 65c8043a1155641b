import { sayIssue } from '../documents/sayIssue';
import Papa from 'papaparse';
import { attributeIds, attributes, qualityIds } from '../catalog/gear/attributes';
import { kindIds, kinds } from '../catalog/gear/kinds';
import { newItem } from '../editing/newItem';
import { type Item, itemSchema } from '../documents/item';
import { type Imported, TABLE, reader, refused, told } from './imported';

/** What a column may hold, and what it is called for people. */
const plain = {
  name: 'name',
  kind: 'kind',
  quantity: 'how many',
  massKg: 'mass of one, kg',
  condition: 'condition',
  expiresOn: 'in date until',
  always: 'goes on every outing',
  stays: 'stays aboard because',
  qualities: 'what it is',
  livesIn: 'lives in, by name',
  runsOn: 'runs on, by name',
  lengthCm: 'packed length, cm',
  widthCm: 'packed width, cm',
  heightCm: 'packed height, cm',
  cost: 'what was paid',
  boughtOn: 'bought on',
  servicedOn: 'looked over on',
  note: 'note',
} as const;
type Plain = keyof typeof plain;
const plainIds = Object.keys(plain) as Plain[];
export type LockerColumn = Plain | (typeof attributeIds)[number];
export const lockerColumns: readonly { id: LockerColumn; name: string }[] = [
  ...plainIds.map((id) => ({ id, name: plain[id] })),
  ...attributeIds.map((id) => ({
    id,
    name: attributes[id].unit === '' ? attributes[id].name : `${attributes[id].name}, ${attributes[id].unit}`,
  })),
];
const MOST_ROWS = 5000;
// A spreadsheet takes a cell that begins so for a formula: an apostrophe before it makes it text again, and is taken off when read.
const formula = /^[=+\-@\t\r]/;
const guarded = /^'[=+\-@\t\r]/;

/** The locker as CSV, a line an item; no cell can run in a spreadsheet. Pictures are left out. */
export function writeLockerCsv(items: readonly Item[]): string {
  const used = attributeIds.filter((id) =>
    items.some((item) => item.attributes[id] !== undefined || id in kinds[item.kind].attributes),
  );
  const names = new Map(items.map((item) => [item.id, item.name]));
  const cm = (item: Item, axis: 0 | 1 | 2) => (item.sizeM === null ? '' : Number((item.sizeM[axis] * 100).toFixed(3)));
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
  const cell = (value: string | number) => (typeof value === 'string' && formula.test(value) ? `'${value}` : value);
  return Papa.unparse({ fields: [...plainIds, ...used], data: rows.map((row) => row.map(cell)) });
}

/** Which column of a file is taken for what; null: left alone. One entry a column. */
export type Mapping = readonly (LockerColumn | null)[];

/** A file's header with a guess of what each column holds, and each column's first cell that is not empty, for a person to look over. */
export const lockerCsvHeader = reader(TABLE, inHeader);
function inHeader(text: string): Imported<{ header: string[]; guess: Mapping; samples: string[] }> {
  const parsed = rowsOf(text);
  if (!parsed.taken) return parsed;
  const [header = [], ...rows] = parsed.value;
  const taken = new Set<LockerColumn>();
  const guess = header.map((cell) => {
    const word = bare(cell);
    const found = lockerColumns.find(({ id, name }) => !taken.has(id) && (bare(id) === word || bare(name) === word));
    if (found) taken.add(found.id);
    return found?.id ?? null;
  });
  return {
    taken: true,
    value: { header, guess, samples: header.map((_, i) => rows.find((row) => (row[i] ?? '') !== '')?.[i] ?? '') },
    troubles: [],
  };
}
function bare(text: string): string {
  return text.toLowerCase().replace(/[^a-z0-9]/g, '');
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

/**
 * Items from CSV with a header; only name and kind are needed, the rest is usual for the kind. Bad lines are told and left out.
 * @param idFor gives each item its identifier, by its place among those taken
 * @param mapping what each column holds; left out: guessed from the header
 * @param owned what the locker holds already, for finding containers and batteries by name
 */
export const readLockerCsv = reader(TABLE, inLockerCsv);
function inLockerCsv(
  text: string,
  idFor: (index: number) => string,
  { mapping, owned = [] }: { mapping?: Mapping; owned?: readonly Item[] } = {},
): Imported<Item[]> {
  const rows = rowsOf(text);
  if (!rows.taken) return rows;
  const head = lockerCsvHeader(text);
  if (!head.taken) return head;
  const columns = mapping ?? head.value.guess;
  for (const needed of ['name', 'kind'] as const)
    if (!columns.includes(needed)) return refused(`No column is taken for the ${needed}.`);
  const troubles = head.value.header.flatMap((name, i) =>
    columns[i] == null ? [`The column "${name.slice(0, 40)}" was left alone.`] : [],
  );
  const items: Item[] = [];
  const links: { index: number; line: number; livesIn: string; runsOn: string }[] = [];
  rows.value.slice(1).forEach((row, i) => {
    const read = (name: LockerColumn) => {
      const at = columns.indexOf(name);
      const value = at < 0 ? '' : (row[at] ?? '').trim();
      return guarded.test(value) ? value.slice(1) : value;
    };
    const item = itemFrom(read, idFor(items.length));
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
  troubles.push(...linked(items, links, owned));
  return items.length === 0
    ? refused(`No line could be taken. ${troubles.find((one) => one.startsWith('Line')) ?? ''}`.trim())
    : { taken: true, value: items, troubles: told(troubles) };
}

/** The column that a refused field came from, by the name that people see. */
function columnNamed(path: readonly PropertyKey[]): string {
  const id = String(path[0] === 'attributes' ? path[1] : path[0]);
  return lockerColumns.find((column) => column.id === id)?.name ?? id;
}

/** Finds containers and batteries by name, in the file first, then in the locker; what is not found is told. */
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
      if (id === null || id === item.id) troubles.push(`Line ${line}: nothing is called "${name.slice(0, 40)}".`);
      return id === item.id ? null : id;
    };
    items[index] = { ...item, containerId: find(livesIn), poweredById: find(runsOn) };
  }
  return troubles;
}

/** One line as an item, or why it is none. */
function itemFrom(read: (name: LockerColumn) => string, id: string): Item | string {
  const wanted = read('kind').toLowerCase();
  const kind = kindIds.find((one) => one === wanted || kinds[one].name.toLowerCase() === wanted);
  if (!kind) return `"${read('kind').slice(0, 40)}" is no kind of gear.`;
  const usual = newItem(id, kind);
  const number = (text: string, otherwise: number) => (text === '' ? otherwise : Number(text.replace(',', '.')));
  const qualities = read('qualities')
    .split(/[;,]/)
    .map((word) => word.trim())
    .filter((word) => word !== '' && word !== 'none');
  const odd = qualities.find((word) => !qualityIds.some((one) => one === word));
  if (odd !== undefined) return `"${odd.slice(0, 40)}" is no known quality.`;
  const own = Object.fromEntries(
    attributeIds.flatMap((one) => {
      if (read(one) === 'none') return [];
      const value = read(one) === '' ? usual.attributes[one] : number(read(one), 0);
      return value === undefined ? [] : [[one, value]];
    }),
  );
  const size = (['lengthCm', 'widthCm', 'heightCm'] as const).map((one) => read(one));
  return {
    ...usual,
    name: read('name') || usual.name,
    quantity: number(read('quantity'), 1),
    massKg: number(read('massKg'), usual.massKg),
    attributes: own,
    qualities:
      read('qualities') === ''
        ? usual.qualities
        : qualities.flatMap((word) => qualityIds.find((one) => one === word) ?? []),
    condition: (read('condition') || 'good') as Item['condition'],
    expiresOn: read('expiresOn') || null,
    always: /^(yes|true|1)$/i.test(read('always')),
    stays: read('stays'),
    sizeM: size.every((text) => text === '') ? null : (size.map((text) => number(text, 0) / 100) as Item['sizeM']),
    cost: read('cost') === '' ? null : number(read('cost'), 0),
    boughtOn: read('boughtOn') || null,
    servicedOn: read('servicedOn') || null,
    note: read('note'),
  };
}
