import { withoutAccents } from './calendarWords';

/** Words for high and for low water in the common languages, accents and full stops left out. */
const HIGH = new Set(
  'h hw hi high higher highest pleine haute haut pleamar plea alta preia preamar hochwasser thw hoog hoogwater hoyvann hojvande hogvatten flo flod flut max ▲ ↑'.split(
    ' ',
  ),
);
const LOW = new Set(
  'l lw lo low lower lowest nw basse bas bajamar baja bassa baixa baixamar niedrigwasser tnw laag laagwater lavvann lavvande lagvatten fjaere ebbe ebb min ▼ ↓'.split(
    ' ',
  ),
);
/** Words beside them that say nothing more. */
const FILLERS = new Set(
  'water waters tide tides mer marea mar mare vann at um a à uhr the kl o’clock am den'.split(' '),
);

export type TideWord = 'high' | 'low' | 'filler';
/**
 * What a word says of a turn; null: nothing that is known.
 * @param french "PM" and "BM" are pleine mer and basse mer, as a table has both
 */
export function tideWord(word: string, french: boolean): TideWord | null {
  const plain = withoutAccents(word)
    .replaceAll('.', '')
    .replace(/[:,]+$/, '');
  if (french && plain === 'pm') return 'high';
  if (french && plain === 'bm') return 'low';
  if (HIGH.has(plain)) return 'high';
  if (LOW.has(plain)) return 'low';
  return FILLERS.has(plain) ? 'filler' : null;
}
export function isFrenchTable(text: string): boolean {
  return /(?<!\p{L})BM(?!\p{L})/u.test(text);
}

const PER_M: Readonly<Record<string, number>> = {
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  mtr: 1,
  mtrs: 1,
  mts: 1,
  metros: 1,
  metri: 1,
  ft: 0.3048,
  feet: 0.3048,
  foot: 0.3048,
  "'": 0.3048,
  cm: 0.01,
};
/** How many metres one of a unit is; null: it is no unit of height. */
export function metresPer(unit: string): number | null {
  return PER_M[withoutAccents(unit).replace(/\.$/, '')] ?? null;
}
/** The unit that a table names for heights that have none of their own; null: none. */
export function unitOfTable(text: string): 'm' | 'ft' | 'cm' | null {
  const named = (unit: string) =>
    new RegExp(String.raw`(?<![\p{L}])(?:${unit})(?![\p{L}/])`, 'iu').test(text);
  const inMetres = /\d\s?m(?!\p{L})/iu.test(text) || /\(\s*m\s*\)|metres|meters|mètres/iu.test(text);
  if (inMetres) return 'm';
  if (named('cm')) return 'cm';
  if (named('ft|feet')) return 'ft';
  return named('m') ? 'm' : null;
}
