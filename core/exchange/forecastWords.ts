import { type Hour, hourSchema } from '../documents/outing';
import { NO_FIGURES } from '../editing/hours';
import { amount } from '../units/amount';
import { forceToMps } from '../units/beaufort';
import { HOUR_MS, type Instant, dateAt, instantOf, isoAt } from '../units/time';
import {
  type Figures,
  type Reading,
  forecastTokens,
  isWindAhead,
  lastUnit,
  withFigures,
} from './forecastTokens';
import { listed } from '../units/words';
import { type Imported, PASTED, reader, refused } from './imported';

/** What holds from some moment on; what a later spell does not say goes on from the one before. */
interface Spell {
  from: Instant;
  figures: Figures;
}
export interface ForecastWords {
  hours: Hour[];
  waterC: number | null;
  /** What was taken otherwise than it may have been meant: to be read before it is kept. */
  notes: string[];
}

/** A bare number past this is hardly a force that anybody plans by, and may be a speed: it is asked. */
const MOST_BARE_FORCE = 8;

/**
 * A forecast as a line of words, understood into hours: "SW 4 gusting 7 falling later", "W 10-15 kn, gusts
 * 20, increasing 18 kn from 14:00, swell 1 m 8 s, 12 °C". Of two figures the higher is taken; a wind that
 * falls without a figure is not counted on, one that rises grows by one force. Refused in words: whatever is
 * not understood.
 * @param from @param to the hours the words are for @param zone clock of the water
 */
export const readForecastWords = reader(PASTED, inForecastWords);
function inForecastWords(text: string, from: Instant, to: Instant, zone: string): Imported<ForecastWords> {
  let rest = withFigures(text.toLowerCase().replaceAll(/[−–]/g, '-').trim());
  if (rest === '')
    return refused('Nothing is written. Write it as you read it: SW 4 gusting 7, rising 5 later.');
  const start = Math.floor(from / HOUR_MS) * HOUR_MS;
  const notes = new Set<string>();
  let now: Spell = { from: start, figures: {} };
  const spells = [now];
  /** What the clause being read says, and the wind in it that was a bare number. */
  let clause: Figures = {};
  let bare: number | null = null;
  /** Winds said as bare numbers, and taken as forces. */
  const bares = new Set<number>();
  let waterC: number | null = null;
  /** A spell is opened by a trend, and its own time may still be to come. */
  let untimed = false;
  /** "At first" was said before anything else: where what follows the next "then" begins. */
  let thenFrom: Instant | null = null;
  const keep = () => {
    const held = now.figures.windMps ?? null;
    if (held !== null && clause.windMps !== undefined && clause.windMps !== held)
      notes.add('Of two winds without a time the stronger is taken.');
    now.figures = worse(now.figures, clause);
    clause = {};
    bare = null;
  };
  const open = (moment: Instant) => {
    keep();
    now = { from: Math.max(start, moment), figures: {} };
    spells.push(now);
  };
  const reading: Reading = {
    put: (figures) => {
      clause = worse(clause, figures);
    },
    clause: keep,
    bare: () => bare,
    putBare: (value, windMps) => {
      clause = worse(clause, { windMps });
      bare = value;
      bares.add(value);
    },
    retake: (windMps) => {
      if (bare !== null) bares.delete(bare);
      clause.windMps = windMps;
      bare = null;
    },
    open: (moment) => {
      open(moment);
      untimed = true;
    },
    timed: (moment) => {
      const behind = Object.keys(clause).length > 0 && !isWindAhead(rest);
      if (untimed) now.from = Math.max(start, moment);
      else if (behind) {
        const said = clause;
        clause = {};
        open(moment);
        clause = said;
      } else open(moment);
      untimed = false;
    },
    first: (moment) => {
      const isSaid =
        Object.keys(clause).length > 0 || spells.some(({ figures }) => Object.keys(figures).length > 0);
      if (isSaid) open(moment);
      else thenFrom = moment;
    },
    // "Then" alone has no time: of what it divides the worse holds.
    then: () => {
      if (thenFrom === null) keep();
      else open(thenFrom);
      thenFrom = null;
    },
    water: (value) => {
      waterC = value;
    },
    note: (words) => void notes.add(words),
    wind: () =>
      clause.windMps ??
      spells.findLast(({ figures }) => figures.windMps !== undefined)?.figures.windMps ??
      null,
    share: (part) => start + Math.round(((to - start) * part) / HOUR_MS) * HOUR_MS,
    clock: (hhmm) => instantOf(dateAt(from, zone), hhmm, zone),
    ahead: () => rest,
    skip: (pattern) => {
      rest = rest.replace(pattern, '');
    },
    unit: lastUnit(rest),
  };
  while (rest !== '') {
    const met = firstMet(rest);
    if (!met) return refused(notUnderstood(rest));
    rest = rest.slice(met.match[0].length);
    const why = met.token.does(met.match, reading);
    if (why !== null) return refused(why);
  }
  keep();
  const doubtful = [...bares].find((value) => value > MOST_BARE_FORCE);
  if (doubtful !== undefined)
    return refused(
      `A wind of ${doubtful}: a force, or a speed? Write F${doubtful}, or ${doubtful} kn, mph, m/s or km/h.`,
    );
  if (bares.size > 0)
    notes.add(
      `A wind without a unit is taken as a force: ${listed([...bares].map((value) => `${value} is ${amount(forceToMps(value), 'wind')}`))}.`,
    );
  const told = spells
    .filter(({ figures }) => Object.keys(figures).length > 0)
    .toSorted((a, b) => a.from - b.from);
  if (told.length === 0 && waterC === null)
    return refused('No figure is in it. Write wind as SW 4, SW 15 kn or SW 8 m/s.');
  const hours: Hour[] = [];
  for (let at = start; at <= to; at += HOUR_MS) {
    // What begins in the middle of the outing is not known before it, but for what the first words say.
    const figures = told.filter((spell, i) => i === 0 || spell.from <= at).map((spell) => spell.figures);
    const hour: Hour = {
      at: isoAt(at, zone),
      ...NO_FIGURES,
      ...saidOnce(told),
      ...Object.assign({}, ...figures),
    };
    // A gust said before the wind rose is no gust of it: it is never less than the wind.
    if (hour.gustMps !== null && hour.windMps !== null) hour.gustMps = Math.max(hour.gustMps, hour.windMps);
    hours.push(hour);
  }
  const wrong = hours
    .map((hour) => hourSchema.safeParse(hour).error?.issues[0])
    .find((issue) => issue !== undefined);
  if (wrong) return refused(`${figureNames[String(wrong.path[0])] ?? 'A figure'}: ${wrong.message}`);
  return { taken: true, value: { hours, waterC, notes: [...notes] }, troubles: [] };
}

/**
 * Two sayings of the same hours together: the stronger wind with where it comes from, the higher sea, the
 * shorter sight.
 */
function worse(a: Figures, b: Figures): Figures {
  const both = { ...a, ...b };
  const most = (key: 'windMps' | 'gustMps' | 'waveM' | 'swellM' | 'rainMm' | 'thunderPct') => {
    const [one, other] = [a[key] ?? null, b[key] ?? null];
    if (one !== null && other !== null) both[key] = Math.max(one, other);
  };
  for (const key of ['windMps', 'gustMps', 'waveM', 'swellM', 'rainMm', 'thunderPct'] as const) most(key);
  if (a.windMps != null && b.windMps != null && a.windMps > b.windMps && a.windFromDeg !== undefined)
    both.windFromDeg = a.windFromDeg;
  if (a.visibilityM != null && b.visibilityM != null)
    both.visibilityM = Math.min(a.visibilityM, b.visibilityM);
  return both;
}

/**
 * What a line says once of sea, sight or weather holds all the while, wherever it stands in the line; wind
 * goes by its time.
 */
function saidOnce(told: readonly Spell[]): Figures {
  const first: Figures = {};
  for (const { figures } of told.toReversed()) Object.assign(first, figures);
  const { windMps: _wind, gustMps: _gust, windFromDeg: _from, ...rest } = first;
  return rest;
}

const figureNames: Readonly<Record<string, string>> = {
  windMps: 'Wind',
  gustMps: 'Gusts',
  airC: 'Air',
  waveM: 'Waves',
  swellM: 'Swell',
  swellPeriodS: 'Period of the swell',
  rainMm: 'Rain',
  visibilityM: 'Sight',
};

function firstMet(rest: string) {
  for (const token of forecastTokens) {
    const match = token.is.exec(rest);
    if (match && match[0] !== '') return { token, match };
  }
  return null;
}
function notUnderstood(rest: string): string {
  const word = /^\S+/.exec(rest)?.[0] ?? rest;
  return `"${word.slice(0, 40)}" is not understood. Write wind as SW 4, SW 15 kn or SW 8 m/s; then gusts, swell, sea, rain, air.`;
}
