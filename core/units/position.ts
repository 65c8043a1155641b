import { figure } from './words';

/** Latitude and longitude in degrees, north and east positive. */
export interface Position {
  latDeg: number;
  lonDeg: number;
}
/** Farther north or south the sums of light and charts are not made for. */
export const MOST_LATITUDE = 80;

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
/**
 * One angle in any usual writing: signed degrees, degrees and minutes, or degrees, minutes and seconds, a
 * letter before or behind.
 */
const ANGLE = new RegExp(
  String.raw`^([NSEWO])?\s*([+-])?\s*(${NUMBER})\s*(?:°|º|deg)?\s*(?:(${NUMBER})\s*(?:'|min)?\s*)?(?:(${NUMBER})\s*(?:"|''|sec)?\s*)?([NSEWO])?$`,
  'i',
);
/** What programs and people write around a position. */
const AROUND = /\b(lat(itude)?|lon(g(itude)?)?|lng|position|pos|geo)\b\.?\s*[:=]?/gi;
/** Two signed decimals in an address of a map or in what a program writes, before a zoom or whatever else. */
const IN_ADDRESS =
  /(?:https?:|@|&|\{).*?(-?\d{1,2}\.\d{2,})(?:\s*(?:,|%2C|;)\s*|[^\d-]*(?:lo?n|lo?ng|longitude)["']?\s*[:=]\s*)(-?\d{1,3}\.\d{2,})/i;
/** "500724N 0052556W" and "5007.404N 00525.926W": degrees, minutes and seconds with nothing between. */
const CLOSE = /\b(\d{2,3})(\d{2})(\d{2}(?:\.\d+)?|\.\d+)\s*([NSEWO])(?![a-z])/gi;
const spelt = (text: string) =>
  text
    .replaceAll(/\b(north|south|east|west)\b/gi, (word) => word.charAt(0).toUpperCase())
    .replaceAll(/(\d)\s*(?:degrees?|deg|d)(?![a-z])\.?/gi, '$1° ')
    .replaceAll(/(\d)\s*(?:minutes?|mins?|m)(?![a-z])\.?/gi, "$1' ")
    .replaceAll(/(\d)\s*(?:seconds?|secs?)(?![a-z])\.?/gi, '$1" ')
    .replaceAll(/(' \d+(?:\.\d+)?)s(?=\s*[NSEWO])/gi, '$1"')
    .replaceAll(/(\d):(?=\d)/g, '$1 ')
    // 50-07.404N: where letters say which half, what parts degrees from minutes is no minus.
    .replaceAll(/(?<![\d.])(\d{1,3})-(?=\d)/g, /[NSEWO]/i.test(text) ? '$1 ' : '$&')
    .replaceAll(CLOSE, (_, d: string, m: string, s: string, letter: string) =>
      s.startsWith('.') ? `${d} ${m}${s} ${letter} ` : `${d} ${m} ${s} ${letter} `,
    );

export type ParsedPosition =
  | { is: 'position'; position: Position }
  /** No letter and no sign says which half of the earth: these it may be. */
  | { is: 'open'; choices: readonly Position[] }
  | { is: 'trouble'; why: string };
const trouble = (why: string): ParsedPosition => ({ is: 'trouble', why });

/**
 * A position as people write it or paste it: "50.1234, -5.4321", "50° 7.4' N 5° 25.9' W", "50°07'24"N
 * 5°25'56"W", "N50 07.4 W005 25.9". Latitude first, unless letters say otherwise. Refused in words: what is
 * no position, out of range, or half of one. Where nothing says which half of the earth is meant, it is the
 * one in which a known place lies near, else it is asked.
 * @param known places of which one may be near
 */
export function parsePosition(text: string, known: readonly Position[] = []): ParsedPosition {
  const quoted = text
    .replaceAll(/[′’‘´`]/g, "'")
    .replaceAll(/[″“”]/g, '"')
    .replaceAll(/[−–]/g, '-');
  const address = IN_ADDRESS.exec(quoted);
  const plain = (address ? `${address[1] ?? ''}, ${address[2] ?? ''}` : spelt(quoted))
    .replaceAll(AROUND, ' ')
    .replaceAll(/[()[\]]/g, ' ')
    .trim();
  if (plain === '') return trouble('Write a position, such as 50° 7.4′ N 5° 25.9′ W.');
  const halves = halvesOf(plain);
  if (!halves) return trouble('Two angles are wanted, such as 50.1234, −5.4321 or 50° 7.4′ N 5° 25.9′ W.');
  const [a, b] = halves.map(angleOf);
  if (!a || typeof a === 'string') return trouble(a ?? 'The first angle is none.');
  if (!b || typeof b === 'string') return trouble(b ?? 'The second angle is none.');
  if (a.axis !== null && a.axis === b.axis)
    return trouble(`Both angles are ${a.axis === 'lat' ? 'latitudes' : 'longitudes'}.`);
  const swapped = a.axis === 'lon' || b.axis === 'lat';
  const [latDeg, lonDeg] = swapped ? [b.deg, a.deg] : [a.deg, b.deg];
  if (Math.abs(latDeg) > 90)
    return trouble(`A latitude of ${figure(latDeg, 4)}° is past the pole. Is it the longitude?`);
  if (Math.abs(latDeg) > MOST_LATITUDE)
    return trouble(`Past ${MOST_LATITUDE}° north or south nothing here is reckoned.`);
  if (Math.abs(lonDeg) > 180)
    return trouble(`A longitude of ${figure(lonDeg, 4)}° goes past half way round.`);
  // A program writes a minus for south and west, and nothing for the others.
  const bySign = address !== null || a.signed || b.signed;
  const [lat, lon] = swapped ? [b, a] : [a, b];
  const isOpen = (angle: typeof a) => angle.deg !== 0 && (angle.isO || (angle.axis === null && !bySign));
  const choices = [latDeg, ...(isOpen(lat) ? [-latDeg] : [])].flatMap((one) =>
    [lonDeg, ...(isOpen(lon) ? [-lonDeg] : [])].map((other) => ({ latDeg: one, lonDeg: other })),
  );
  const near = choices.filter((choice) => known.some((place) => isNear(choice, place)));
  const [only] = choices.length === 1 ? choices : near.length === 1 ? near : [];
  return only ? { is: 'position', position: only } : { is: 'open', choices };
}

/** A place so near to a known one is of the same waters, degrees. */
const NEAR_DEG = 3;
function isNear(a: Position, b: Position): boolean {
  return Math.abs(a.latDeg - b.latDeg) < NEAR_DEG && Math.abs(a.lonDeg - b.lonDeg) < NEAR_DEG;
}

/** The two angles of a position, split where letters, a comma, a semicolon or a wide gap part them. */
function halvesOf(text: string): [string, string] | null {
  const lettersBehind = /^(.*?\d[^A-Z]*?[NSEWO])[\s,;/]*(.*[NSEWO])$/i.exec(text);
  const lettersBefore =
    /^([NSEWO].*?)[\s,;/]+([NSEWO]\s*\d.*)$/i.exec(text) ?? /^([NSEWO][^NSEWO]*)([NSEWO].*)$/i.exec(text);
  const byLetters = (/^[NSEWO]/i.test(text) ? lettersBefore : lettersBehind) ?? null;
  const firstAlone = /^(.*?\d[^A-Z]*?[NSEWO])[\s,;/]+([-+]?\d.*)$/i.exec(text);
  if (byLetters ?? firstAlone) return pair(byLetters ?? firstAlone ?? []);
  const byMark = /^(.*?)\s*[;/\t]\s*(.*)$/.exec(text) ?? /^(.*?\S)\s*,\s+(.*)$/.exec(text);
  if (byMark) return pair(byMark);
  // A comma alone: between two angles with decimal points, else it is the decimal comma of two angles parted
  // by a space.
  const commas = text.split(',');
  if (commas.length === 2 && !/\s/.test(text.trim())) return [commas[0] ?? '', commas[1] ?? ''];
  const words = text.split(/\s+/);
  if (words.length % 2 !== 0 || words.length > 6) return null;
  const half = words.length / 2;
  return [words.slice(0, half).join(' '), words.slice(half).join(' ')];
}
function pair([, a = '', b = '']: readonly string[]): [string, string] {
  return [a.trim().replace(/[,;]$/, ''), b.trim().replace(/^[,;]/, '')];
}

interface Angle {
  deg: number;
  /** By its letter; null: it has none. */
  axis: 'lat' | 'lon' | null;
  signed: boolean;
  /** Its letter is O: Ost, or Ouest and Oeste. */
  isO: boolean;
}
function angleOf(text: string): Angle | string {
  const match = ANGLE.exec(text.trim());
  if (!match) return `"${text.trim().slice(0, 40)}" is no angle.`;
  const [, before, sign, d, m, s, behind] = match;
  const letter = (before ?? behind ?? '').toUpperCase();
  if (before && behind) return `"${text.trim()}" has two letters for one angle.`;
  const value = (part: string | undefined) => Number((part ?? '0').replace(',', '.'));
  const [minutes, seconds] = [value(m), value(s)];
  if (minutes >= 60 || seconds >= 60) return `Minutes and seconds go to 60: "${text.trim()}".`;
  if (m !== undefined && !Number.isInteger(value(d)))
    return `"${text.trim()}" has a fraction of a degree and minutes too.`;
  if (s !== undefined && !Number.isInteger(minutes))
    return `"${text.trim()}" has a fraction of a minute and seconds too.`;
  const deg = value(d) + minutes / 60 + seconds / 3600;
  const back = letter === 'S' || letter === 'W' || letter === 'O' ? -1 : 1;
  if (sign === '-' && letter !== '') return `"${text.trim()}" has a minus and a letter. Leave one out.`;
  const axis = letter === 'N' || letter === 'S' ? 'lat' : letter === '' ? null : 'lon';
  return { deg: back * (sign === '-' ? -deg : deg), axis, signed: sign !== undefined, isO: letter === 'O' };
}

/**
 * A position in degrees and decimal minutes, as it is read over a radio: "50° 07.404′ N 5° 25.926′ W"; to
 * about two metres.
 */
export function sayPosition({ latDeg, lonDeg }: Position): string {
  const say = (deg: number, letters: string) => {
    const thousandths = Math.round(Math.abs(deg) * 60_000);
    const [whole, minutes] = [Math.floor(thousandths / 60_000), (thousandths % 60_000) / 1000];
    return `${whole}° ${minutes.toFixed(3).padStart(6, '0')}′ ${deg < 0 ? (letters[1] ?? '') : (letters[0] ?? '')}`;
  };
  return `${say(latDeg, 'NS')} ${say(lonDeg, 'EW')}`;
}

/** To about a decimetre: what is beyond that is no longer a place. */
export function toSixPlaces({ latDeg, lonDeg }: Position): Position {
  const to = (deg: number) => Math.round(deg * 1e6) / 1e6;
  return { latDeg: to(latDeg), lonDeg: to(lonDeg) };
}
