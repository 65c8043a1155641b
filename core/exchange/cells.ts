/**
 * How the figures of one table are written: what stands before their decimals, and what parts their
 * thousands.
 */
export type Decimal =
  | '.'
  | ','
  /** Both ways in one table, and each figure says for itself. */
  | 'either';

const EMPTY = new Set([
  '',
  '-',
  '–',
  '—',
  '--',
  '---',
  'n/a',
  'na',
  'n.a.',
  'nan',
  'null',
  'none',
  'nil',
  '.',
  '..',
  '...',
  '*',
  '?',
  'x',
  '/',
  '//',
]);
/** Whether a cell says nothing, in one of the ways in which tables say so. */
export function isEmpty(cell: string): boolean {
  return EMPTY.has(cell.trim().toLowerCase());
}

/**
 * A figure with groups of three, or with a few decimals: what says how decimals are written, and what says
 * nothing.
 */
const SAYS_COMMA = /\d,\d{1,2}(?!\d)|\d,\d{4,}|\d\.\d{3},\d|^-?0,\d|\d[\s']\d{3},\d/;
const SAYS_POINT = /\d\.\d{1,2}(?!\d)|\d\.\d{4,}|\d,\d{3}\.\d|^-?0\.\d|\d[\s']\d{3}\.\d/;
const SAYS_NEITHER = /^-?[1-9]\d{0,2}[.,]\d{3}$/;

export interface Decimals {
  /** null: nothing in the table says. */
  decimal: Decimal | null;
  /** A figure that may be read in two ways, where nothing says which; null: none. */
  unclear: string | null;
}
/** What a whole table says of its decimals: one figure alone may be read in two ways ("1,500"). */
export function decimalsOf(cells: readonly string[]): Decimals {
  const figures = cells.map((cell) =>
    cell
      .trim()
      .replace(/[^\d.,\s'-]+$/u, '')
      .trim(),
  );
  // A time with points (08.30) and a date (1.12.2026) are no figures.
  const plain = figures.filter(
    (cell) => /^-?[\d\s']+([.,][\d.,]*)?$/.test(cell) && !/\d[.]\d+[.]\d+[.]|\d\.\d{1,2}\.\d/.test(cell),
  );
  const comma = plain.some((cell) => SAYS_COMMA.test(cell));
  const point = plain.some((cell) => SAYS_POINT.test(cell));
  const open = plain.find((cell) => SAYS_NEITHER.test(cell)) ?? null;
  if (comma && point && open === null) return { decimal: 'either', unclear: null };
  if (comma !== point) return { decimal: comma ? ',' : '.', unclear: null };
  return { decimal: null, unclear: open };
}

export interface Figure {
  value: number;
  /** Letters behind it, in small letters: "kn", "°c"; '' where there are none. */
  unit: string;
  /** Of a range the higher end was taken. */
  range: boolean;
}
const ONE = String.raw`[-+−]?\d[\d.,\s']*|[-+−]?[.,]\d+`;
const FIGURE = new RegExp(
  String.raw`^[<>≤≥~≈]?\s*(${ONE})(?:\s*(?:-|–|to|bis|à|a|\.\.)\s*(${ONE}))?\s*([\p{L}°º%"'℃℉/].*)?$`,
  'iu',
);
/**
 * The figure of a cell, with its unit where it has one: "12", "12,5 km/h", "10-15 kt", "<1". null: it is
 * none.
 */
export function figureOf(cell: string, decimal: Decimal): Figure | null {
  const match = FIGURE.exec(cell.trim());
  if (!match) return null;
  const [, first = '', second, unit = ''] = match;
  const values = [first, ...(second === undefined ? [] : [second])].map((one) => numberOf(one, decimal));
  if (values.some((value) => value === null)) return null;
  return {
    value: Math.max(...values.map((value) => value ?? 0)),
    unit: unit.trim().toLowerCase(),
    range: second !== undefined,
  };
}

/** A number in the table's own writing; null: it is none, or is parted where no thousands are. */
export function numberOf(text: string, written: Decimal): number | null {
  const decimal = written === 'either' ? (SAYS_COMMA.test(text.trim()) ? ',' : '.') : written;
  const thousands = decimal === '.' ? ',' : '.';
  const bare = text.trim().replace('−', '-');
  const [whole = '', ...rest] = bare.split(decimal);
  if (rest.length > 1) return null;
  const groups = whole.replace(/^[-+]/, '').split(new RegExp(String.raw`[\s'${thousands}]`));
  if (groups.length > 1 && !groups.slice(1).every((group) => /^\d{3}$/.test(group))) return null;
  if (![...groups, ...rest].every((part) => /^\d*$/.test(part))) return null;
  if (groups.join('') === '' && (rest[0] ?? '') === '') return null;
  const value = Number(`${bare.startsWith('-') ? '-' : ''}${groups.join('') || '0'}.${rest[0] || '0'}`);
  return Number.isFinite(value) ? value : null;
}
