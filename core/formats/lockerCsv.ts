import Papa from 'papaparse';
import { attributeIds, qualityIds } from '../gear/attributes';
import { kindIds, kinds } from '../gear/kinds';
import { newItem } from '../gear/newItem';
import { type Item, itemSchema } from '../outing/item';
import { type Imported, MOST_BYTES, refused, told } from './imported';

const plain = ['name', 'kind', 'quantity', 'massKg', 'condition', 'expiresOn', 'always', 'qualities', 'note'] as const;
const MOST_ROWS = 5000;
// A spreadsheet takes a cell that begins so for a formula: an apostrophe before it makes it text again, and is taken off when read.
const formula = /^[=+\-@\t\r]/;
const guarded = /^'[=+\-@\t\r]/;

/** The locker as CSV, a line an item; no cell can run in a spreadsheet. Where things live and what they run on is left out. */
export function writeLockerCsv(items: readonly Item[]): string {
  const used = attributeIds.filter((id) => items.some((item) => item.attributes[id] !== undefined));
  const rows = items.map((item) => [
    item.name,
    item.kind,
    item.quantity,
    item.massKg,
    item.condition,
    item.expiresOn ?? '',
    item.always ? 'yes' : 'no',
    item.qualities.join('; ') || 'none',
    item.note,
    ...used.map((id) => item.attributes[id] ?? ''),
  ]);
  const cell = (value: string | number) => (typeof value === 'string' && formula.test(value) ? `'${value}` : value);
  return Papa.unparse({ fields: [...plain, ...used], data: rows.map((row) => row.map(cell)) });
}

/**
 * Items from CSV with a header; only name and kind are needed, the rest is usual for the kind. Bad lines are told and left out.
 * @param idFor gives each item its identifier, by its place among those taken
 */
export function readLockerCsv(text: string, idFor: (index: number) => string): Imported<Item[]> {
  if (text.length > MOST_BYTES) return refused(`The file is larger than ${MOST_BYTES / 1024 / 1024} MB.`);
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [header, ...rows] = data;
  if (!header || rows.length === 0) return refused('The file has no header with lines under it.');
  if (rows.length > MOST_ROWS) return refused(`The file has ${rows.length} lines; at most ${MOST_ROWS} are read.`);
  const names = header.map((cell) => cell.trim().toLowerCase());
  const known = [...plain, ...attributeIds];
  const columns = new Map(
    known.flatMap((name) =>
      names.includes(name.toLowerCase()) ? [[name, names.indexOf(name.toLowerCase())] as const] : [],
    ),
  );
  for (const needed of ['name', 'kind'] as const)
    if (!columns.has(needed)) return refused(`The header has no column called ${needed}.`);
  const troubles = names
    .filter((name) => !known.some((one) => one.toLowerCase() === name))
    .map((name) => `The column "${name}" is not known and was left alone.`);
  const items: Item[] = [];
  rows.forEach((row, i) => {
    const read = (name: (typeof known)[number]) => {
      const at = columns.get(name);
      const value = at === undefined ? '' : (row[at] ?? '').trim();
      return guarded.test(value) ? value.slice(1) : value;
    };
    const item = itemFrom(read, idFor(items.length));
    const parsed = typeof item === 'string' ? null : itemSchema.safeParse(item);
    const issue = parsed && !parsed.success ? parsed.error.issues[0] : null;
    if (parsed?.success) items.push(parsed.data);
    else
      troubles.push(
        `Line ${i + 2}: ${typeof item === 'string' ? item : `${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`} Left out.`,
      );
  });
  return items.length === 0
    ? refused(`No line could be taken. ${troubles[0] ?? ''}`.trim())
    : { taken: true, value: items, troubles: told(troubles) };
}

/** One line as an item, or why it is none. */
function itemFrom(
  read: (name: (typeof plain)[number] | (typeof attributeIds)[number]) => string,
  id: string,
): Item | string {
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
  const attributes = Object.fromEntries(
    attributeIds.flatMap((one) => {
      const text = read(one);
      return text === ''
        ? usual.attributes[one] === undefined
          ? []
          : [[one, usual.attributes[one]]]
        : [[one, number(text, 0)]];
    }),
  );
  return {
    ...usual,
    name: read('name') || usual.name,
    quantity: number(read('quantity'), 1),
    massKg: number(read('massKg'), usual.massKg),
    attributes,
    qualities:
      read('qualities') === ''
        ? usual.qualities
        : qualities.flatMap((word) => qualityIds.find((one) => one === word) ?? []),
    condition: (read('condition') || 'good') as Item['condition'],
    expiresOn: read('expiresOn') || null,
    always: /^(yes|true|1)$/i.test(read('always')),
    note: read('note'),
  };
}
