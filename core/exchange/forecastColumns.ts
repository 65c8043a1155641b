import type { Hour } from '../documents/outing';
import { withoutAccents } from './calendarWords';
import { headerParts } from './headers';

const KNOT = 1852 / 3600;
/**
 * The units that each kind of figure may be in: how they are written, and how many of the product's own one
 * of them is.
 */
const speed = { 'm/s': 1, 'km/h': 1 / 3.6, kn: KNOT, mph: 0.44704, 'ft/s': 0.3048, bft: 0 } as const;
const height = { m: 1, ft: 0.3048, cm: 0.01 } as const;
const sight = { m: 1, km: 1000, nm: 1852, mi: 1609.344 } as const;
const rain = { mm: 1, in: 25.4, cm: 10 } as const;
const temperature = { '°c': 1, '°f': 1, k: 1 } as const;
const percent = { '%': 1 } as const;
const bearing = { '°': 1 } as const;
const seconds = { s: 1 } as const;
type Units = Readonly<Record<string, number>>;

/** Other ways to write a unit. */
const WRITTEN: Readonly<Record<string, readonly string[]>> = {
  'm/s': [
    'm/s',
    'mps',
    'ms',
    'ms-1',
    'm s-1',
    'm.s-1',
    'm/sec',
    'm/sek',
    'meter/sec',
    'metres per second',
    'meters per second',
  ],
  'km/h': ['km/h', 'kmh', 'kph', 'kmph', 'km/u', 'km/t', 'km/hr', 'km/std', 'kilometres per hour'],
  kn: [
    'kn',
    'kt',
    'kts',
    'kns',
    'knot',
    'knots',
    'knoten',
    'noeud',
    'noeuds',
    'nd',
    'nudos',
    'nodi',
    'knop',
    'knopen',
    'nos',
  ],
  mph: ['mph', 'mi/h', 'miles per hour'],
  'ft/s': ['ft/s', 'fps'],
  bft: ['bft', 'bf', 'beaufort', 'force', 'f'],
  m: ['m', 'metre', 'metres', 'meter', 'meters', 'mtr', 'metros', 'metri'],
  ft: ['ft', 'feet', 'foot', "'"],
  cm: ['cm'],
  km: ['km', 'kilometres', 'kilometers'],
  nm: ['nm', 'nmi', 'nautical miles', 'sm nautical'],
  mi: ['mi', 'sm', 'mile', 'miles', 'statute miles'],
  mm: ['mm', 'mm/h', 'mm/hr', 'mm/1h', 'l/m2', 'l/m²', 'kg/m2'],
  in: ['in', 'inch', 'inches', '"', 'in/h'],
  '°c': ['°c', 'c', 'degc', 'deg c', 'celsius', 'ºc', '℃', 'grad', 'grad c', 'degrees c'],
  '°f': ['°f', 'f', 'degf', 'deg f', 'fahrenheit', 'ºf', '℉', 'degrees f'],
  k: ['k', 'kelvin'],
  '%': ['%', 'pct', 'percent', 'prozent'],
  '°': ['°', 'deg', 'degrees', 'degree', 'grad', 'º', '°t', 'deg true', '°true', 'degt', 'compass', 'true'],
  s: ['s', 'sec', 'secs', 'second', 'seconds', 'sek'],
};
/** The unit that a text writes, of those that a figure may be in; null: none of them. */
export function unitIn(text: string, units: Units): string | null {
  const plain = withoutAccents(text.trim()).replace(/\.$/, '');
  return Object.keys(units).find((unit) => (WRITTEN[unit] ?? [unit]).includes(plain)) ?? null;
}

export type Figure = keyof Omit<Hour, 'at'> | 'waterC';
/**
 * What each figure of an hour is called where one is asked about it, its units, and the one it has where it
 * can have no other.
 */
export const figures: Readonly<Record<Figure, { name: string; units: Units; alone: string | null }>> = {
  windMps: { name: 'wind', units: speed, alone: null },
  gustMps: { name: 'gust', units: speed, alone: null },
  windFromDeg: { name: 'where the wind comes from', units: bearing, alone: '°' },
  airC: { name: 'air', units: temperature, alone: null },
  waveM: { name: 'waves', units: height, alone: null },
  swellM: { name: 'swell', units: height, alone: null },
  swellPeriodS: { name: 'swell period', units: seconds, alone: 's' },
  thunderPct: { name: 'thunder', units: percent, alone: '%' },
  rainMm: { name: 'rain', units: rain, alone: null },
  visibilityM: { name: 'sight', units: sight, alone: null },
  humidityPct: { name: 'humidity', units: percent, alone: '%' },
  waterC: { name: 'water', units: temperature, alone: null },
};

/** Beginnings of words, accents left out, in the common languages. */
const words = {
  wind: ['wind', 'vent', 'vient', 'vind', 'wnd'],
  windAlone: ['ws', 'wspd', 'ff', 'wsp', 'spd', 'speed', 'vitesse', 'velocid', 'geschw'],
  gust: [
    'gust',
    'gst',
    'boe',
    'boen',
    'bo',
    'rafale',
    'racha',
    'raffic',
    'vindby',
    'vindkast',
    'vindsto',
    'byer',
    'kastevind',
    'windstot',
    'windsto',
    'rajada',
    'wg',
    'fx',
    'spitze',
    'spitzen',
    'peak',
  ],
  direction: [
    'dir',
    'direc',
    'direz',
    'richt',
    'retning',
    'riktning',
    'from',
    'bearing',
    'azimut',
    'wd',
    'dd',
    'wdir',
    'aus',
    'heading',
  ],
  temperature: ['temp', 'tmp', 't2m', 'celsius', 'degc', 'fahrenheit', 'luft', 'air'],
  water: [
    'water',
    'sst',
    'wassertemp',
    'wasser',
    'eau',
    'agua',
    'acqua',
    'watertemp',
    'vann',
    'vand',
    'vatten',
    'havtemp',
    'havstemp',
    'zeewater',
    'wtmp',
    'seasurface',
  ],
  sea: ['sea', 'mer', 'mar', 'mare', 'meer', 'hav', 'zee'],
  wave: [
    'wave',
    'wellen',
    'welle',
    'vague',
    'onda',
    'ondas',
    'ola',
    'olas',
    'oleaj',
    'bolge',
    'vag',
    'golf',
    'golven',
    'hs',
    'swh',
    'wvht',
    'hsig',
    'seegang',
  ],
  swell: [
    'swell',
    'dunung',
    'houle',
    'fondo',
    'deining',
    'donning',
    'dyning',
    'swel',
    'wellung',
    'ondulac',
    'swht',
  ],
  period: ['period', 'tp', 'dpd', 'swper', 'interval', 'per'],
  thunder: [
    'thunder',
    'lightning',
    'gewitter',
    'orage',
    'torment',
    'tempor',
    'torden',
    'aska',
    'onweer',
    'tstorm',
    'blitz',
    'trovoad',
  ],
  rain: [
    'rain',
    'precip',
    'prcp',
    'regen',
    'niederschl',
    'pluie',
    'lluvia',
    'piogg',
    'nedbor',
    'nederbor',
    'neerslag',
    'qpf',
    'chuva',
    'tp1h',
    'rr',
  ],
  visibility: ['visib', 'vis', 'sicht', 'visual', 'sikt', 'zicht', 'sigt'],
  humidity: [
    'humid',
    'rh',
    'hum',
    'luftfeucht',
    'feucht',
    'humed',
    'umid',
    'luftfukt',
    'fukt',
    'fugt',
    'vochtig',
    'luchtvocht',
    'relhum',
  ],
  chance: ['prob', 'chance', 'wahrsch', 'risk', 'pop', 'risiko', 'risque', 'sannsyn', 'kans', 'likel'],
  /** What programs write too, and nothing here is judged by. */
  unused: [
    'press',
    'druck',
    'luftdruck',
    'mslp',
    'slp',
    'baro',
    'hpa',
    'qnh',
    'cloud',
    'bewolk',
    'wolken',
    'nuage',
    'nubes',
    'nuvol',
    'skydek',
    'skyer',
    'moln',
    'bewolking',
    'tcdc',
    'dew',
    'taupunkt',
    'rosee',
    'rocio',
    'rugiada',
    'dugg',
    'feel',
    'apparent',
    'chill',
    'gefuhlt',
    'ressent',
    'sensac',
    'percepi',
    'heatindex',
    'uv',
    'icon',
    'symbol',
    'weather',
    'wetter',
    'summary',
    'condition',
    'descr',
    'snow',
    'schnee',
    'neige',
    'nieve',
    'sunrise',
    'sunset',
    'sonnen',
    'moon',
    'cape',
    'lat',
    'latit',
    'lon',
    'longit',
    'current',
    'stream',
    'courant',
    'stromung',
    'corriente',
    'station',
    'model',
    'note',
    'remark',
    'sun',
    'solar',
    'radiation',
    'ozone',
    'comment',
    'code',
    'rating',
    'energy',
    'power',
  ],
  date: ['date', 'datum', 'day', 'tag', 'jour', 'fecha', 'dia', 'data', 'dag', 'giorno', 'dato'],
  time: [
    'time',
    'hour',
    'zeit',
    'uhrzeit',
    'heure',
    'hora',
    'ora',
    'tid',
    'tijd',
    'klokke',
    'hh',
    'uhr',
    'hr',
    'uur',
    'clock',
    'ore',
    'stunde',
    'timme',
  ],
  moment: [
    'datetime',
    'timestamp',
    'valid',
    'when',
    'at',
    'dt',
    'zeitpunkt',
    'epoch',
    'validtime',
    'localtime',
    'tidspunkt',
    'utc',
    'datumzeit',
    'datehour',
  ],
} as const satisfies Record<string, readonly string[]>;
type Word = keyof typeof words;

/** What a column's head says it is. */
export type Header =
  | { is: 'date' | 'time' | 'moment' }
  /** One of the hour's figures; unit null: the head names none. */
  | { is: 'figure'; figure: Figure; unit: string | null; unitText: string }
  /** Understood, and nothing here goes by it. */
  | { is: 'unused' }
  | { is: 'unknown' };

/** Reads the head of a column. */
export function parseHeader(head: string): Header {
  const { tokens, unitText } = headerParts(head);
  if (tokens.length === 0) return { is: 'unknown' };
  const found = (word: Word) => tokens.some((token) => startsAs(token, words[word]));
  const figure = figureOf(tokens, found, unitText);
  if (figure === 'unused') return { is: 'unused' };
  if (figure !== null) return withUnit(figure, tokens, unitText);
  if (found('moment') || (found('date') && found('time'))) return { is: 'moment' };
  if (found('time')) return { is: 'time' };
  if (found('date')) return { is: 'date' };
  return found('unused') ? { is: 'unused' } : { is: 'unknown' };
}
/** Short beginnings are whole words: "ws" is no beginning of "wspeed". */
function startsAs(token: string, starts: readonly string[]): boolean {
  return starts.some((start) => (start.length <= 3 ? token === start : token.startsWith(start)));
}

/** Which figure a head names: the more particular before the wider. */
function figureOf(
  tokens: readonly string[],
  found: (word: Word) => boolean,
  unitText: string,
): Figure | 'unused' | null {
  const joined = tokens.join('');
  const has = (word: Word) =>
    found(word) || words[word].some((start) => start.length > 3 && joined.includes(start));
  const isTemperature = found('temperature') || unitIn(unitText, temperature) !== null || /temp/.test(joined);
  const direction =
    found('direction') || /richt|riktn|retn|direc|direz|winddir|wavedir|swelldir/.test(joined);
  if (has('water') || (found('sea') && isTemperature) || /seatemp|seesurf|meerestemp/.test(joined))
    return isTemperature || has('water') ? 'waterC' : null;
  if (has('unused')) return 'unused';
  if (has('thunder')) return 'thunderPct';
  if (has('rain'))
    return found('chance') || /prob|wahrsch|chance/.test(joined) || unitIn(unitText, percent)
      ? 'unused'
      : 'rainMm';
  if (has('swell'))
    return direction ? 'unused' : found('period') || /period/.test(joined) ? 'swellPeriodS' : 'swellM';
  if (has('wave') || (found('sea') && unitIn(unitText, height) !== null))
    return direction || found('period') || /period/.test(joined) ? 'unused' : 'waveM';
  if (found('period')) return 'swellPeriodS';
  if (has('gust')) return direction ? 'unused' : 'gustMps';
  const wind = has('wind') || found('windAlone');
  if (direction && (wind || tokens.length === 1 || found('direction'))) return 'windFromDeg';
  if (wind) return isTemperature && !/speed|spd|geschw/.test(joined) ? 'unused' : 'windMps';
  if (has('visibility')) return 'visibilityM';
  if (has('humidity')) return 'humidityPct';
  if (found('chance')) return 'unused';
  if (isTemperature || joined === 't') return 'airC';
  return null;
}

/**
 * A figure with the unit of its head: in brackets, behind a comma, or as its last words ("wind kts",
 * "wind_kmh", "WindSpd_kt").
 */
function withUnit(figure: Figure, tokens: readonly string[], unitText: string): Header {
  const { units, alone } = figures[figure];
  if (unitText !== '') return { is: 'figure', figure, unit: unitIn(unitText, units) ?? alone, unitText };
  for (const many of [3, 2, 1]) {
    if (tokens.length <= many) continue;
    const written = [tokens.slice(-many).join(' '), tokens.slice(-many).join('/')];
    const unit = written.map((text) => unitIn(text, units)).find((one) => one !== null);
    if (unit) return { is: 'figure', figure, unit, unitText: written[0] ?? '' };
  }
  const attached = Object.keys(units).find((unit) =>
    (WRITTEN[unit] ?? []).some(
      (text) =>
        text.length > 1 &&
        tokens.some(
          (token) =>
            token.endsWith(text) &&
            /^(?:wind|gust)/.test(token) &&
            /^(?:kmh|kph|mph|kts|knots|mps)$/.test(text),
        ),
    ),
  );
  return { is: 'figure', figure, unit: attached ?? alone, unitText: '' };
}
