import type { Hour } from '../documents/outing';
import { forceToMps } from '../units/beaufort';
import { bearingOfPoint } from '../units/compass';
import { spoken } from '../units/speaking';
import { HOUR_MS, type Instant } from '../units/time';
import { countedWords } from '../units/words';

export type Figures = Partial<Omit<Hour, 'at'>>;

/** What a line says up to the word being read. */
export interface Reading {
  /** Figures go to the clause that is being read; of two of a kind the worse. */
  put: (figures: Figures) => void;
  /** A comma or a full stop: what was read before it goes to the spell that is open. */
  clause: () => void;
  /** From some moment on something else holds. */
  open: (moment: Instant) => void;
  /** A time behind what it is about moves that alone; one before it opens a new spell. */
  timed: (moment: Instant) => void;
  /** "At first": what follows, or what comes after the next "then", begins later. */
  first: (moment: Instant) => void;
  then: () => void;
  water: (waterC: number) => void;
  note: (words: string) => void;
  /** The last wind said, m/s; null: none yet. */
  wind: () => number | null;
  /**
   * The last wind said as a bare number, which may be a force or in the unit of its gusts; null: none in this
   * clause.
   */
  bare: () => number | null;
  /** A wind said as a bare number, and what it was first taken for. */
  putBare: (value: number, windMps: number) => void;
  /** The bare number was in this unit after all. */
  retake: (windMps: number) => void;
  /** A share of the outing, as a moment on the hour. */
  share: (part: number) => Instant;
  /** A clock time of the day of the outing; null: none. */
  clock: (hhmm: string) => Instant | null;
  /** What stands behind the word being read. */
  ahead: () => string;
  /** Passes over what stands next, where it fits. */
  skip: (pattern: RegExp) => void;
  /** The unit of speed that the line names last: gusts are in the unit of the wind. */
  unit: string | null;
}
/** A kind of word: how it looks, and what it does; text: why it is refused. */
export interface Token {
  is: RegExp;
  does: (groups: readonly (string | undefined)[], reading: Reading) => string | null;
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const RANGE = String.raw`(${NUMBER})(?:\s*(?:-|to|or|/)\s*(${NUMBER}))?`;
const SPEED = String.raw`(kn|kts?|knots?|mph|m/s|mps|km/h|kmh|kph)`;
const SECONDS = String.raw`(?:s|secs?|seconds)`;
const LENGTH = String.raw`(m|metres|ft|feet)`;
const COMPASS = String.raw`(?:(?:north|south|east|west)(?:[\s-]?(?:north|south|east|west)){0,2}(?:erl(?:y|ies)|ern)?|[ns](?:[ns]?[ew])?|[ew](?:[ns][ew])?)`;
const FORCE = String.raw`(?:f|force|bft|beaufort)?\s*`;
const MOST_FORCE = 12;

const perMps: Readonly<Record<string, number>> = { k: 1852 / 3600, mph: 0.44704, 'm/s': 1, mps: 1 };
const perKmh = ['km/h', 'kmh', 'kph'];
const BREEZES: Readonly<Record<string, number>> = {
  'light air': 1,
  'light airs': 1,
  light: 2,
  gentle: 3,
  'moderate breeze': 4,
  fresh: 5,
  strong: 6,
  'near gale': 7,
  'severe gale': 9,
  gale: 8,
  storm: 10,
  calm: 0,
  'flat calm': 0,
  'no wind': 0,
  nil: 0,
};
/** Heights of the seas by the words for them, m: the upper end of each (WMO code table 3700). */
const SEAS: Readonly<Record<string, number>> = {
  calm: 0.1,
  smooth: 0.5,
  slight: 1.25,
  moderate: 2.5,
  'very rough': 6,
  rough: 4,
};
/**
 * How far one sees by the words for it, m: the lower end of each, as sea forecasts define them (5 and 2
 * nautical miles, 1000 m).
 */
const SIGHTS: Readonly<Record<string, number>> = { good: 9260, moderate: 3704, 'very poor': 300, poor: 1000 };
const SIGHT_PER: Readonly<Record<string, number>> = {
  m: 1,
  km: 1000,
  nm: 1852,
  mi: 1609.344,
  miles: 1609.344,
};
const RAINS: Readonly<Record<string, number>> = {
  'no rain': 0,
  'heavy rain': 5,
  drizzle: 0.3,
  rain: 1.5,
  shower: 1,
  showers: 1,
};
/** Words for a time of day, and the clock they begin at. */
const PARTS: Readonly<Record<string, string>> = {
  dawn: '05:00',
  morning: '06:00',
  noon: '12:00',
  lunch: '13:00',
  lunchtime: '13:00',
  midday: '12:00',
  afternoon: '12:00',
  evening: '18:00',
  dusk: '20:00',
  night: '21:00',
  tonight: '21:00',
  overnight: '21:00',
};
/** Hours that "mid" and "late" add to the beginning of a part of the day. */
const INTO: Readonly<Record<string, number>> = { early: 0, mid: 2, late: 3 };
const WHILES: Readonly<Record<string, number>> = { soon: 1 / 4, later: 2 / 3 };
const FIRST_ENDS = 1 / 3;
/** A chance of thunder that is named without a figure, %. */
const THUNDER_PCT = 40;

const oneOf = (words: Readonly<Record<string, unknown>>) =>
  Object.keys(words)
    .toSorted((a, b) => b.length - a.length)
    .join('|');
const token = (is: string, does: Token['does']): Token => ({ is: new RegExp(`^(?:${is})`), does });
const num = (text = '') => Number(text.replace(',', '.'));
const tenth = (value: number) => Math.round(value * 10) / 10;
const higher = (a: string | undefined, b: string | undefined) => Math.max(num(a), num(b ?? a));
const metres = (value: number, unit = 'm') => tenth(unit.startsWith('m') ? value : value * 0.3048);
/** A bare figure is in the unit of whoever reads. */
const celsius = (value: number, unit: string | undefined) =>
  (unit ?? spoken().temperature.slice(1).toLowerCase()) === 'f' ? tenth(((value - 32) * 5) / 9) : value;
/** What was done is done: nothing is refused. */
const done = (_work: unknown): null => null;

/** A speed in m/s: in its unit, else as a force; null: a force past twelve, or more than can be written. */
function speedOf(value: number, unit: string | null | undefined): number | null {
  if (!unit) return value > MOST_FORCE || !Number.isInteger(value) ? null : tenth(forceToMps(value));
  const factor = perKmh.includes(unit) ? 1 / 3.6 : (perMps[unit] ?? perMps[unit.charAt(0)] ?? 1);
  return value * factor > 60 ? null : tenth(value * factor);
}
/** One force more than a wind. */
function grown(mps: number): number {
  const force = Math.round((mps / forceToMps(1)) ** (2 / 3) * 10) / 10;
  return tenth(forceToMps(force + 1));
}
/** The bearing half-way between two, the short way round. */
function between(a: number, b: number): number {
  return (a + (((b - a + 540) % 360) - 180) / 2 + 360) % 360;
}
const figureAhead = new RegExp(String.raw`^\s*(?:to\s+|by\s+)?(?:${COMPASS}\b\s*)?${FORCE}\d`);
/** What a time stands before: another wind, or where it comes from, with no comma between. */
const windAhead = new RegExp(
  String.raw`^\s*:?\s*(?:winds?\s*)?(?:variable|${COMPASS}(?![a-z])|${FORCE}\d|(?:${oneOf(BREEZES)})\b)`,
);
const whenAhead = new RegExp(
  String.raw`^\s*(?:later|soon|(?:in|by|this)\s+(?:the\s+)?(?:morning|afternoon|evening|night))\b`,
);

const CLOCK = String.raw`(\d{1,2})(?:[:.h](\d{2})|\s*([ap]m)\b|\s*h\b)|([012]\d)([0-5]\d)(?:\s*(?:h|hrs|hours)\b)?(?![\d.])`;
const SPAN = String.raw`(?:\s*(?:-|to|until)\s*\d{1,2}(?:[:.h]?\d{2}|\s*[ap]m)\b)?`;

const times: readonly Token[] = [
  token(String.raw`(later|soon)\b`, ([, word], r) => done(r.timed(r.share(WHILES[word ?? ''] ?? 0)))),
  token(String.raw`(?:at )?first\b|early(?! (?:${oneOf(PARTS)}))\b`, (_, r) =>
    done(r.first(r.share(FIRST_ENDS))),
  ),
  token(String.raw`(?:and )?then\b`, (_, r) => done(r.then())),
  token(
    String.raw`(?:(?:from|after|by|at|around|about|until|till)\s+)?(?:${CLOCK})${SPAN}`,
    ([whole, h, m, half, hh, mm], r) => {
      const hour = half === undefined ? Number(h ?? hh) : (Number(h) % 12) + (half === 'pm' ? 12 : 0);
      const moment = hour > 23 ? null : r.clock(`${String(hour).padStart(2, '0')}:${m ?? mm ?? '00'}`);
      return moment === null ? `"${whole ?? ''}" is no time.` : done(r.timed(moment));
    },
  ),
  token(
    String.raw`(until|till)\s+(?:the\s+)?(?:(early|mid|late)[\s-]?)?(${oneOf(PARTS)})\b`,
    ([, , into, part], r) => done(r.open(partOf(part, into, r))),
  ),
  token(
    String.raw`(?:(?:from|after|by|in|at|this|during|before)\s+)?(?:the\s+)?(?:(early|mid|late)[\s-]?)?(${oneOf(PARTS)})\b`,
    ([, into, part], r) => done(r.timed(partOf(part, into, r))),
  ),
];
function partOf(part = '', into = 'early', r: Reading): Instant {
  const begins = r.clock(PARTS[part] ?? '12:00') ?? r.share(0);
  return begins + (INTO[into] ?? 0) * HOUR_MS;
}

const trends: readonly Token[] = [
  token(
    String.raw`(?:gusting|gusts?|squalls?|g)\s*(?:of|to|up to|at)?\s*${FORCE}${RANGE}\s*${SPEED}?(?![\w:°%])`,
    ([, a, b, unit], r) => {
      const value = higher(a, b);
      const gustMps = speedOf(value, unit ?? (value > MOST_FORCE ? r.unit : null));
      if (gustMps === null)
        return `Gusts of ${a ?? ''}: of what? Write kn, mph, m/s or km/h; a force goes to 12.`;
      const [bare, wind] = [r.bare(), r.wind()];
      // "W 12 gusting 20 kn": as a force the wind would pass its own gusts, so it is in their unit.
      if (unit !== undefined && bare !== null && wind !== null && wind > gustMps) {
        r.retake(speedOf(bare, unit) ?? wind);
        r.note(`The wind of ${bare} is taken in ${unit}, as its gusts are.`);
      }
      return done(r.put({ gustMps }));
    },
  ),
  token(
    String.raw`(?:increasing|rising|freshening|strengthening|building|picking up)\b(?:\s+(?:to|by)\b)?`,
    (_, r) => {
      const [has, was] = [figureAhead.test(r.ahead()), r.wind()];
      r.open(r.share(WHILES.later ?? 1));
      if (has || was === null) return null;
      r.put({ windMps: grown(was) });
      return done(r.note('It rises, without a figure: one force more is taken.'));
    },
  ),
  token(
    String.raw`(?:decreasing|falling|easing|dropping|moderating|dying|abating)\b(?:\s+(?:to|away|off|down)\b)?`,
    (_, r) => {
      if (figureAhead.test(r.ahead())) return done(r.open(r.share(WHILES.later ?? 1)));
      r.skip(whenAhead);
      return done(r.note('It falls, without a figure: that is not counted on.'));
    },
  ),
  token(
    String.raw`(?:veering|backing|turning|going|becoming)\s+(?:to\s+)?(${COMPASS})(?![a-z])`,
    ([, point], r) => {
      const windFromDeg = bearingOfPoint(point ?? '');
      if (windFromDeg === null) return `"${point ?? ''}" is no direction.`;
      r.open(r.share(WHILES.later ?? 1));
      return done(r.put({ windFromDeg }));
    },
  ),
  token(String.raw`becoming\b`, (_, r) => done(r.open(r.share(WHILES.later ?? 1)))),
  token(String.raw`(gusty|squally|breezy|windy|blustery)\b`, ([, word], r) =>
    windAhead.test(r.ahead()) && word === 'breezy'
      ? null
      : `"${word ?? ''}": by how much? Write it as gusts 6, or gusts 25 kn.`,
  ),
];

const seas: readonly Token[] = [
  token(
    String.raw`(?:swells?|wave detail)\s*:?\s*(?:of|from)?\s*(?:${COMPASS}(?![a-z]))?\s*${RANGE}\s*${LENGTH}?(?:\s*(?:at|every|,|/|@)?\s*(${NUMBER})\s*${SECONDS}\b)?`,
    ([, a, b, unit, period], r) =>
      done(
        r.put({
          swellM: metres(higher(a, b), unit),
          ...(period === undefined ? {} : { swellPeriodS: num(period) }),
        }),
      ),
  ),
  token(String.raw`no swell\b`, (_, r) => done(r.put({ swellM: 0 }))),
  token(
    String.raw`swells?\s*(low|moderate|heavy|slight|long|short)\b|(low|heavy)\s+swells?\b`,
    ([, a, b]) => `Swell ${a ?? b ?? ''}: how high, and how far apart? Write it as swell 0.5 m 8 s.`,
  ),
  token(
    String.raw`(?:seas?(?: state)?|waves?(?: heights?)?)\s*:?\s*(?:of)?\s*${RANGE}\s*${LENGTH}?(?![\w°])(?:\s*(?:,|at|every|@|period)*\s*${NUMBER}\s*${SECONDS}\b)?`,
    ([, a, b, unit], r) => done(r.put({ waveM: metres(higher(a, b), unit) })),
  ),
  token(
    String.raw`(?:seas?(?: state)?|waves?)\s*:?\s*(${oneOf(SEAS)})\b(?:\s*(?:or|to)\s*(${oneOf(SEAS)})\b)?`,
    ([, a, b], r) => done(r.put({ waveM: Math.max(SEAS[a ?? ''] ?? 0, SEAS[b ?? ''] ?? 0) })),
  ),
  // As sea forecasts have them, without the word "sea": "Slight or moderate."
  token(
    String.raw`(smooth|slight|rough|very rough|moderate(?=\s+(?:or|to)\s+(?:slight|rough|very rough)\b))\b(?:\s*(?:or|to)\s*(${oneOf(SEAS)})\b)?`,
    ([, a, b], r) => done(r.put({ waveM: Math.max(SEAS[a ?? ''] ?? 0, SEAS[b ?? ''] ?? 0) })),
  ),
];

const weather: readonly Token[] = [
  token(
    String.raw`(?:visibility|vis|sight)\s*:?\s*(${oneOf(SIGHTS)})\b(?:\s*(?:or|to)\s*(${oneOf(SIGHTS)})\b)?`,
    ([, a, b], r) => done(r.put({ visibilityM: Math.min(SIGHTS[a ?? ''] ?? 1e5, SIGHTS[b ?? ''] ?? 1e5) })),
  ),
  token(
    String.raw`(good|poor|very poor|moderate(?=\s+(?:or|to)\s+(?:good|poor|very poor)\b))\b(?:\s*(?:or|to)\s*(${oneOf(SIGHTS)})\b)?(?:\s+(?:visibility|vis|sight)\b)?`,
    ([, a, b], r) => done(r.put({ visibilityM: Math.min(SIGHTS[a ?? ''] ?? 1e5, SIGHTS[b ?? ''] ?? 1e5) })),
  ),
  token(
    String.raw`moderate(?=\s*(?:[,.;]|$))`,
    () => '"moderate": the sea, or the sight? Write sea moderate, or visibility moderate.',
  ),
  token(String.raw`(?:visibility|vis|sight)\s*:?\s*(${NUMBER})\s*(${oneOf(SIGHT_PER)})\b`, ([, a, unit], r) =>
    done(r.put({ visibilityM: Math.round(num(a) * (SIGHT_PER[unit ?? 'm'] ?? 1)) })),
  ),
  token(String.raw`(?:thick )?fog(?: patches|gy)?\b`, (_, r) => done(r.put({ visibilityM: 300 }))),
  token(String.raw`mist(?:y)?\b|haz[ey]\b`, (_, r) => done(r.put({ visibilityM: 1500 }))),
  token(String.raw`no (?:thunder(?:storms?)?|lightning)\b`, (_, r) => done(r.put({ thunderPct: 0 }))),
  token(
    String.raw`(?:(\d{1,3})\s*%\s*(?:chance of\s*)?)?(?:thunder(?:y|storms?)?|lightning)(?:\s*showers?)?(?:\s*(\d{1,3})\s*%)?`,
    ([, before, behind], r) =>
      done(r.put({ thunderPct: Math.min(100, Number(before ?? behind ?? THUNDER_PCT)) })),
  ),
  // A chance of rain counts as rain: how likely it is is not kept.
  token(
    String.raw`(?:\d{1,3}\s*%\s*(?:chance of\s*)?)?(?:light\s+)?(${oneOf(RAINS)})\b(?:\s*(${NUMBER})\s*mm|\s*\d{1,3}\s*%)?`,
    ([, word, mm], r) => done(r.put({ rainMm: mm === undefined ? (RAINS[word ?? ''] ?? 1) : num(mm) })),
  ),
  token(String.raw`(?:humidity|damp)\s*(\d{1,3})\s*%|(\d{1,3})\s*%\s*(?:humidity|damp)`, ([, a, b], r) =>
    done(r.put({ humidityPct: Math.min(100, Number(a ?? b)) })),
  ),
  token(
    String.raw`(?:water\s*(?:temp(?:erature)?\s*)?|sea\s*temp(?:erature)?)\s*:?\s*(-?${NUMBER})\s*(?:°\s*)?([cf])?(?![\w%])`,
    ([, a, unit], r) => done(r.water(celsius(num(a), unit))),
  ),
  token(
    String.raw`(?:air\s*(?:temp(?:erature)?\s*)?)?(-?${NUMBER})\s*(?:°\s*([cf])?|([cf])\b|degrees\b)|(?:air|temp(?:erature)?)\s*:?\s*(-?${NUMBER})(?![\w%])`,
    ([, a, b, c, bare], r) => done(r.put({ airC: celsius(num(a ?? bare), b ?? c) })),
  ),
];

/** Where the wind comes from in degrees: three figures, so that it is no temperature. */
const bearings: readonly Token[] = [
  token(
    String.raw`(?:from\s+)?([0-3]\d\d)\s*(?:°|deg(?:rees)?\b)?\s*(?:true\b|t\b)?(?!\s*[\d%]|\s*${SPEED})`,
    ([, deg], r) =>
      Number(deg) > 360 ? `"${deg ?? ''}" is no direction.` : done(r.put({ windFromDeg: Number(deg) % 360 })),
  ),
];

/** Read before anything that is a bare number. */
const pressures: readonly Token[] = [
  token(
    String.raw`pressure\s*:?\s*\d{3,4}\s*(?:hpa|mb|mbar|millibars)?\b|\d{3,4}\s*(?:hpa|mb|mbar|millibars)\b`,
    () => null,
  ),
];

const winds: readonly Token[] = [
  token(String.raw`(?:variable|var|vrb)\b`, () => null),
  token(String.raw`${RANGE}\s*${SPEED}(?![\w/])`, ([whole, a, b, unit], r) => {
    const windMps = speedOf(higher(a, b), unit);
    if (windMps === null) return `A wind of ${(whole ?? '').trim()} is past what can be written.`;
    r.put({ windMps });
    return b === undefined ? null : done(r.note(`Of ${a ?? ''} to ${b} the higher is taken.`));
  }),
  token(String.raw`${FORCE}${RANGE}(?![\w:°%]|\.\d)`, ([whole, a, b], r) => {
    const windMps = speedOf(higher(a, b), null);
    if (windMps === null)
      return `"${(whole ?? '').trim()}": of what? A force goes to 12; write kn, mph, m/s or km/h behind a speed.`;
    if (/^\d/.test(whole ?? '')) r.putBare(higher(a, b), windMps);
    else r.put({ windMps });
    return b === undefined ? null : done(r.note(`Of force ${a ?? ''} to ${b} the higher is taken.`));
  }),
  token(String.raw`(${oneOf(BREEZES)})\b(?:\s+(?:breezes?|winds?))?`, ([, word], r) =>
    done(r.put({ windMps: tenth(forceToMps(BREEZES[word ?? ''] ?? 0)) })),
  ),
  token(String.raw`(${COMPASS})(?![a-z])(?:\s*(?:-|to|or|/)\s*(${COMPASS})(?![a-z]))?`, ([, a, b], r) => {
    const [first, second] = [bearingOfPoint(a ?? ''), bearingOfPoint(b ?? '')];
    if (first === null) return `"${a ?? ''}" is no direction.`;
    return done(r.put({ windFromDeg: second === null ? first : between(first, second) }));
  }),
];

const fillers: readonly Token[] = [
  token(String.raw`[,;.()]+`, (_, r) => done(r.clause())),
  token(String.raw`[\s:]+`, () => null),
  token(
    String.raw`(?:winds?|the|an?|of|about|around|mostly|mainly|generally|occasionally|at times|perhaps|possibly|possible|likely|isolated|scattered|patchy|patches|or less|and|with|from|at|in|on|but|after(?:wards)?|direction|some|chance|risk|breezes?|hot|warm|cold|cool|frosty?|settled|now|locally|slowly|quickly|gradually|sunny|cloudy|clouds?|overcast|clear|fair|bright|dry|spells?|intervals?|temperatures?|temp|today|steady|all day)\b`,
    () => null,
  ),
];

/** Every kind of word, the one that looks most like itself first. */
export const forecastTokens: readonly Token[] = [
  ...fillers.slice(0, 2),
  ...pressures,
  ...bearings,
  ...times,
  ...trends,
  ...seas,
  ...weather,
  ...winds,
  ...fillers.slice(2),
];

/** A number written as a word, behind a force or where the wind comes from: "southwest four". */
const written = new RegExp(String.raw`\b((?:force|gusting|${COMPASS})\s+)(${countedWords.join('|')})\b`, 'g');
export function withFigures(line: string): string {
  return line.replaceAll(
    written,
    (_, before: string, word: string) => before + String(countedWords.indexOf(word) + 1),
  );
}

/** Whether another wind stands next. */
export function isWindAhead(rest: string): boolean {
  return windAhead.test(rest);
}

/** The last unit of speed in a line. */
export function lastUnit(line: string): string | null {
  return [...line.matchAll(new RegExp(String.raw`\d\s*${SPEED}\b`, 'g'))].at(-1)?.[1] ?? null;
}
