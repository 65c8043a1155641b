import { forceToMps } from './beaufort';
import { bearingOfPoint } from './compass';
import { type Speech, spoken } from './speaking';
import { figure } from './words';

/**
 * What a figure measures, by the SI unit it is kept in. `wind` and `m/s` are both metres a second: people
 * read the wind in other units than a stream. A unit that is not here is said as it is.
 */
const measures = {
  wind: { choice: 'wind', dimension: 'speed' },
  'm/s': { choice: 'speed', dimension: 'speed' },
  km: { choice: 'distance', dimension: 'length', size: 1000 },
  m: { choice: 'length', dimension: 'length' },
  cm: { choice: 'length', dimension: 'length', size: 0.01, small: 'in' },
  mm: { choice: 'length', dimension: 'length', size: 0.001, small: 'in' },
  'm²': { choice: 'length', dimension: 'area', small: 'ft²' },
  kg: { choice: 'mass', dimension: 'mass' },
  g: { choice: 'mass', dimension: 'mass', size: 0.001, small: 'oz' },
  N: { choice: 'mass', dimension: 'force', small: 'lbf' },
  '°C': { choice: 'temperature', dimension: 'temperature' },
  L: { choice: 'volume', dimension: 'volume' },
} as const satisfies Record<string, Measure>;
interface Measure {
  choice: Exclude<keyof Speech, 'clock'>;
  dimension: Dimension;
  /** SI units in one of it; 1 where left out. */
  size?: number;
  /** The unit that goes with feet or pounds for so small a thing, or for another dimension. */
  small?: string;
}
type Dimension = 'speed' | 'length' | 'area' | 'mass' | 'force' | 'temperature' | 'volume';
export type Unit = keyof typeof measures;

/** Exact by definition: international foot, pound, statute and nautical mile, US quart and imperial pint. */
const FOOT = 0.3048;
const POUND = 0.45359237;
interface Scale {
  perSi: number;
  /** What it reads when the SI figure is nought. */
  zero?: number;
  words: readonly string[];
}
const scales: Readonly<Record<Dimension, Readonly<Record<string, Scale>>>> = {
  speed: {
    'm/s': { perSi: 1, words: ['m/s', 'mps', 'ms'] },
    kn: { perSi: 3600 / 1852, words: ['kn', 'kt', 'kts', 'knots', 'knot'] },
    mph: { perSi: 3600 / 1609.344, words: ['mph', 'mi/h'] },
    'km/h': { perSi: 3.6, words: ['km/h', 'kmh', 'kph'] },
  },
  length: {
    m: { perSi: 1, words: ['m', 'metre', 'metres', 'meter', 'meters'] },
    cm: { perSi: 100, words: ['cm', 'centimetres', 'centimeters'] },
    mm: { perSi: 1000, words: ['mm', 'millimetres', 'millimeters'] },
    km: { perSi: 0.001, words: ['km', 'kilometres', 'kilometers'] },
    ft: { perSi: 1 / FOOT, words: ['ft', 'foot', 'feet', "'"] },
    in: { perSi: 12 / FOOT, words: ['in', 'inch', 'inches', '"', "''"] },
    yd: { perSi: 1 / (3 * FOOT), words: ['yd', 'yds', 'yard', 'yards'] },
    fathom: { perSi: 1 / (6 * FOOT), words: ['fathom', 'fathoms', 'fm'] },
    mi: { perSi: 1 / 1609.344, words: ['mi', 'mile', 'miles'] },
    nmi: { perSi: 1 / 1852, words: ['nmi', 'nm', 'nautical miles', 'nautical mile'] },
  },
  area: {
    'm²': { perSi: 1, words: ['m²', 'm2', 'sq m'] },
    'ft²': { perSi: 1 / FOOT ** 2, words: ['ft²', 'ft2', 'sq ft'] },
  },
  mass: {
    kg: { perSi: 1, words: ['kg', 'kgs', 'kilos', 'kilo', 'kilogram', 'kilograms'] },
    g: { perSi: 1000, words: ['g', 'gr', 'grams', 'gram'] },
    lb: { perSi: 1 / POUND, words: ['lb', 'lbs', 'pound', 'pounds'] },
    oz: { perSi: 16 / POUND, words: ['oz', 'ounce', 'ounces'] },
    st: { perSi: 1 / (14 * POUND), words: ['st', 'stone', 'stones'] },
  },
  force: {
    N: { perSi: 1, words: ['n', 'newton', 'newtons'] },
    lbf: { perSi: 1 / (POUND * 9.80665), words: ['lbf', 'lb', 'lbs', 'pounds'] },
    kgf: { perSi: 1 / 9.80665, words: ['kgf', 'kg'] },
  },
  temperature: {
    '°C': { perSi: 1, words: ['°c', 'c', '°', 'celsius'] },
    '°F': { perSi: 1.8, zero: 32, words: ['°f', 'f', 'fahrenheit'] },
  },
  volume: {
    L: { perSi: 1, words: ['l', 'litre', 'litres', 'liter', 'liters'] },
    mL: { perSi: 1000, words: ['ml', 'millilitres'] },
    'US qt': { perSi: 1 / 0.946352946, words: ['us qt', 'qt', 'quart', 'quarts'] },
    'UK pt': { perSi: 1 / 0.56826125, words: ['uk pt', 'pt', 'pint', 'pints'] },
    'US gal': { perSi: 1 / 3.785411784, words: ['us gal', 'gal', 'gallon', 'gallons'] },
    'UK gal': { perSi: 1 / 4.54609, words: ['uk gal'] },
    'US fl oz': { perSi: 1 / 0.0295735295625, words: ['fl oz', 'us fl oz'] },
  },
};

export function isUnit(unit: string): unit is Unit {
  return unit in measures;
}

/**
 * A unit people have for small things and for areas and forces goes with feet or pounds; the SI one with
 * metres or kilograms.
 */
function unitOf(unit: Unit): string {
  const { choice, small }: Measure = measures[unit];
  const chosen = spoken()[choice];
  if (chosen === 'm' || chosen === 'kg' || (choice === 'distance' && chosen === 'km')) return unit;
  return small ?? chosen;
}

/**
 * What a unit is called for this person: "kn" for wind, "ft" for m. One that is not known here is its own
 * name.
 */
export function unitName(unit: string): string {
  return isUnit(unit) ? unitOf(unit) : unit;
}

function scaleOf(unit: Unit): { factor: number; zero: number } {
  const { dimension, size = 1 }: Measure = measures[unit];
  const scale = scales[dimension][unitOf(unit)];
  return scale === undefined ? { factor: 1, zero: 0 } : { factor: scale.perSi * size, zero: scale.zero ?? 0 };
}

/** The figure in this person's unit. @param value in the unit named, which is the kept one */
export function inSpoken(value: number, unit: string): number {
  if (!isUnit(unit)) return value;
  const { factor, zero } = scaleOf(unit);
  return value * factor + zero;
}
/** The other way: what is kept for a figure in this person's unit. */
export function fromSpoken(value: number, unit: string): number {
  if (!isUnit(unit)) return value;
  const { factor, zero } = scaleOf(unit);
  return (value - zero) / factor;
}

/**
 * As many decimals in the other unit as say about as much: 0.1 m is 0.3 ft, 10 g is 0.35 oz; °F and whole
 * pounds are not split finer.
 */
function decimalsFor(unit: Unit, decimals: number): number {
  const { factor, zero } = scaleOf(unit);
  if (zero !== 0) return Math.max(0, decimals - 1);
  return Math.max(0, decimals - Math.floor(Math.log10(factor) + 1e-9));
}

/**
 * The figure alone in this person's unit, for a column whose head has the unit.
 * @param decimals at most so many in the kept unit
 */
export function amountOnly(value: number, unit: string, decimals = 1): string {
  return isUnit(unit) ? figure(inSpoken(value, unit), decimalsFor(unit, decimals)) : figure(value, decimals);
}
/**
 * The figure with this person's unit: `amount(6, 'wind')` is "6 m/s" or "11.7 kn".
 * @param decimals at most so many in the kept unit
 */
export function amount(value: number, unit: string, decimals = 1): string {
  // Degrees of an angle stand close to their figure; those of warmth do not.
  const gap = unit === '°' ? '' : ' ';
  return `${amountOnly(value, unit, decimals)}${gap}${unitName(unit)}`.trimEnd();
}
/** One figure where that is as near as the rule itself, else two. */
function sensible(value: number): number {
  const one = Number(value.toPrecision(1));
  return Math.abs(one - value) <= 0.03 * Math.abs(value) ? one : Number(value.toPrecision(2));
}
/** A rule of thumb, which is no finer in one unit than in another: 3 m is "about 10 ft". */
export function thumb(value: number, unit: string): string {
  if (unitName(unit) === unit || (unit === 'wind' && spoken().wind === 'm/s')) return amount(value, unit, 2);
  return `about ${figure(sensible(inSpoken(value, unit)), 3)} ${unitName(unit)}`;
}
/**
 * A text with figures to be read in this person's units in braces: "a line {15 m} long". What is in none
 * stands as it is.
 */
export function inWords(text: string): string {
  if (!text.includes('{')) return text;
  return text.replaceAll(/\{(\d+(?:\.\d+)?) ([^}]+)\}/g, (_, digits: string, unit: string) =>
    unitName(unit) === unit
      ? `${digits} ${unit}`
      : `${figure(sensible(inSpoken(Number(digits), unit)), 2)} ${unitName(unit)}`,
  );
}
/** "0 to 4 m", "0 to 13.1 ft": what a field takes, exact where it is kept so. */
export function rangeInWords(min: number, max: number, unit: string): string {
  const said = (value: number) =>
    figure(
      isUnit(unit) && scaleOf(unit).factor !== 1 ? Number(inSpoken(value, unit).toPrecision(3)) : value,
      4,
    );
  return `${said(min)} to ${said(max)} ${unitName(unit)}`.trimEnd();
}
/** "Depth, m" or "Depth, ft": the head of a column or the name of an axis. */
export function headed(name: string, unit: string): string {
  return `${name}, ${unitName(unit)}`;
}

/**
 * Under a kilometre (or a tenth of a mile) to the nearest ten metres or feet, then kilometres or miles with
 * one decimal. Metres in.
 */
export function distance(metres: number): string {
  if (spoken().distance === 'km') {
    const tens = Math.round(metres / 10) * 10;
    return tens < 1000 ? `${figure(tens, 0)} m` : `${figure(metres / 1000)} km`;
  }
  const far = inSpoken(metres / 1000, 'km');
  if (far < 0.095) return `${figure(Math.round(inSpoken(metres, 'm') / 10) * 10, 0)} ${unitName('m')}`;
  return `${figure(far, far < 1 ? 2 : 1)} ${unitName('km')}`;
}

/** Kilograms with one decimal and grams under one; or pounds, and ounces under one. Kilograms in. */
export function mass(kg: number): string {
  if (spoken().mass === 'kg') return kg < 0.995 ? `${Math.round(kg * 1000)} g` : amount(kg, 'kg');
  const ounces = inSpoken(kg * 1000, 'g');
  return ounces < 15.95 ? `${figure(ounces, ounces < 3 ? 2 : 1)} ${unitName('g')}` : amount(kg, 'kg');
}

/** How much is kept or sent: kilobytes, from a million on megabytes, of a thousand each. */
export function sayBytes(bytes: number): string {
  return bytes < 1e6 ? amount(bytes / 1e3, 'kB', 0) : amount(bytes / 1e6, 'MB');
}

/**
 * The figure alone as a field shows it, to be typed over: as it is kept where the units are the same, else
 * finer than it was measured.
 */
export function amountTyped(value: number | null, unit: string): string {
  if (value === null || Number.isNaN(value)) return '';
  return String(
    isUnit(unit) && scaleOf(unit).factor !== 1 ? Number(inSpoken(value, unit).toPrecision(4)) : value,
  );
}

export type ParsedAmount = { is: 'amount'; value: number | null } | { is: 'trouble'; why: string };

const FRACTIONS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };

/**
 * A figure as it is typed: alone, in this person's unit; or with any unit of its kind, in parts too ("6'2\"",
 * "12 lb 4 oz", "5 st 3"). A bearing may be a point of the compass ("SE"), a wind a Beaufort force ("F4": the
 * middle of it). Empty is null.
 * @returns the value in the kept unit
 */
export function parseAmount(text: string, unit: string): ParsedAmount {
  const typed = text
    .trim()
    .toLowerCase()
    .replaceAll('−', '-')
    .replaceAll('′', "'")
    .replaceAll(/[″”]/g, '"')
    .replaceAll('’', "'")
    .replaceAll(/(\d)[\u00a0\u202f ](?=\d{3}(?!\d))/g, '$1')
    .replaceAll(/[½¼¾]/g, (part) => String(FRACTIONS[part] ?? '').slice(1));
  if (typed === '') return { is: 'amount', value: null };
  if (/^[-+]?[1-9]\d{0,2},\d{3}$/.test(typed.replace(/[^\d,+-].*$/, '').trim()))
    return {
      is: 'trouble',
      why: `“${text.trim()}” may be thousands or thousandths. Write it without the comma, or with a point.`,
    };
  const alone = numberOf(typed);
  if (alone !== null) return { is: 'amount', value: tidy(fromSpoken(alone, unit)) };
  const trouble = (why: string): ParsedAmount => ({ is: 'trouble', why });
  const span = unit === 'h' || unit === 'min' ? minutesTyped(typed) : null;
  if (span !== null) return { is: 'amount', value: tidy(unit === 'h' ? span / 60 : span) };
  const bearing = unit === '°' ? bearingOfPoint(typed) : null;
  if (bearing !== null) return { is: 'amount', value: bearing };
  if (!isUnit(unit)) {
    const [, size = '', word = ''] = /^(\S*?)\s*([^\d\s].*)$/.exec(typed) ?? [];
    const plain = numberOf(size);
    return plain !== null && word === unit.toLowerCase()
      ? { is: 'amount', value: plain }
      : trouble(`“${text.trim()}” is not a number.`);
  }
  const { dimension, size = 1 }: Measure = measures[unit];
  if (unit === 'wind') {
    const force = /^(?:f|force|bft|beaufort)\s*(\d{1,2})$/.exec(typed)?.[1];
    if (force !== undefined)
      return Number(force) <= 12
        ? { is: 'amount', value: forceToMps(Number(force)) }
        : trouble('Forces go from 0 to 12.');
  }
  const parts = [...typed.matchAll(/(-?\d*[.,]?\d+)\s*([^\d\s,.-][^\d,.-]*)?/g)];
  if (
    parts.length === 0 ||
    parts.map(([whole]) => whole.trim()).join('') !== typed.replaceAll(/\s+(?=-?[\d.,])|\s+$/g, '').trim()
  )
    return trouble(`“${text.trim()}” is not a number.`);
  let sum = 0;
  let last: string | null = null;
  for (const [, digits = '', word = ''] of parts) {
    const name: string | null = word.trim() === '' ? followOf(last) : unitCalled(dimension, word.trim());
    if (name === null)
      return trouble(`“${word.trim() || digits}” is not a unit for this. It is kept in ${unitName(unit)}.`);
    const scale = scales[dimension][name];
    if (scale === undefined || (last !== null && scale.perSi <= (scales[dimension][last]?.perSi ?? Infinity)))
      return trouble(`“${text.trim()}” is not a number.`);
    const value = numberOf(digits) ?? NaN;
    sum += (value - (scale.zero ?? 0)) / scale.perSi;
    last = name;
  }
  return { is: 'amount', value: tidy(sum / size) };
}

/** "1:30", "1h30", "2 hrs", "1 h 15 min", "90 min", in minutes; null: no span of time. */
function minutesTyped(typed: string): number | null {
  const clock = /^(\d+):([0-5]\d)$/.exec(typed);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const [whole, hours, minutes] =
    /^(?:(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?))?\s*(?:(\d+(?:[.,]\d+)?)\s*(?:mins?|minutes?)?)?$/.exec(
      typed,
    ) ?? [];
  if (whole === undefined || (hours === undefined && !/[a-z]$/.test(typed))) return null;
  return (numberOf(hours ?? '0') ?? 0) * 60 + (numberOf(minutes ?? '0') ?? 0);
}

/** "6'2" and "5 st 3" leave the smaller unit out. */
function followOf(before: string | null): string | null {
  return before === 'ft' ? 'in' : before === 'st' ? 'lb' : before === 'lb' ? 'oz' : null;
}
function unitCalled(dimension: Dimension, word: string): string | null {
  for (const [name, { words }] of Object.entries(scales[dimension])) if (words.includes(word)) return name;
  return null;
}
/** "1,5" and "1.5", no exponents. */
function numberOf(text: string): number | null {
  return /^[-+]?(\d+([.,]\d*)?|[.,]\d+)$/.test(text) ? Number(text.replace(',', '.')) : null;
}
/** Without the dust of a conversion, far below what any scale reads. */
function tidy(value: number): number {
  return Number(value.toPrecision(12));
}
