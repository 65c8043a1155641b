import { type Zone, zoneOf } from './momentCells';
import { type TideWord, metresPer, tideWord } from './tideWords';

/** A time and a height of a line, as they stand there. */
export interface WrittenTurn {
  /** Minutes after midnight. */
  minutes: number;
  /** In the unit of `perM`, or of the table where that is null. */
  height: number;
  perM: number | null;
  zone: Zone | null;
  word: 'high' | 'low' | null;
}
export interface LineTurns {
  turns: WrittenTurn[];
  /** What was wrong, each in a sentence. */
  troubles: string[];
  /** Figures that were neither a time nor a height. */
  left: string[];
}
export interface LineReading {
  french: boolean;
  /** The table's columns have the height before the time. */
  heightFirst: boolean;
  /** Heights may have four figures: they are in centimetres. */
  inCm: boolean;
}

/**
 * A word of a line that is a figure, with what stands right behind it taken along: half of the day, zone,
 * unit.
 */
interface Numeral {
  text: string;
  /** Minutes after midnight; null: it is no time. */
  minutes: number | null;
  /** It can be nothing but a time: it has a colon, an h, a half of the day or a zone. */
  isTime: boolean;
  isHour: boolean;
  height: number | null;
  perM: number | null;
  zone: Zone | null;
}
type Word =
  | { is: 'word'; word: TideWord }
  | { is: 'numeral'; numeral: Numeral }
  | { is: 'other'; text: string };

/**
 * Times and heights of a line, in the order they stand in, with the words for high and low before, between or
 * behind them.
 */
export function turnsOfLine(line: string, reading: LineReading): LineTurns {
  const words = wordsOf(line, reading);
  const first = words.findIndex((one) => one.is === 'numeral');
  const wordFirst = words.findIndex((one) => one.is === 'word' && one.word !== 'filler');
  const behind = wordFirst > first;
  const found: LineTurns = { turns: [], troubles: [], left: [] };
  let time: Numeral | null = null;
  let height: Numeral | null = null;
  let word: WrittenTurn['word'] = null;
  const close = (at: Numeral, of: Numeral) => {
    found.turns.push({
      minutes: at.minutes ?? 0,
      height: of.height ?? 0,
      perM: of.perM,
      zone: at.zone ?? of.zone,
      word,
    });
    [time, height, word] = [null, null, null];
  };
  for (const one of words) {
    if (one.is === 'word') {
      const last = found.turns.at(-1);
      if (one.word === 'filler') continue;
      if (behind && time === null && height === null && last?.word === null) last.word = one.word;
      else word = one.word;
    } else if (one.is === 'numeral') {
      const { numeral } = one;
      const asHeight = numeral.height !== null && !numeral.isTime;
      if (time !== null && asHeight && !numeral.isHour) close(time, numeral);
      else if (height !== null && numeral.minutes !== null) close(numeral, height);
      else if (time === null && asHeight && (numeral.perM !== null || reading.heightFirst)) height = numeral;
      else if (numeral.minutes !== null) {
        if (time !== null) found.troubles.push(`${time.text} has no height.`);
        time = numeral;
      } else if (numeral.isTime) found.troubles.push(`${numeral.text} is no time.`);
      else found.left.push(numeral.text);
    } else if (/\d/.test(one.text)) found.left.push(one.text);
  }
  // "HW 05:12 4.3 17:40 4.5": turns half a day apart are of the kind that the line names once.
  const [named, ...others] = found.turns;
  if (named?.word && others.every((turn) => turn.word === null))
    for (const [i, turn] of others.entries())
      if (turn.minutes - (found.turns[i]?.minutes ?? 0) > ALTERNATE_MOST_MIN) turn.word = named.word;
  const open = time as Numeral | null;
  if (open !== null) found.troubles.push(`${open.text} has no height.`);
  return found;
}

function wordsOf(line: string, { french, inCm }: LineReading): Word[] {
  const texts = line
    .replaceAll(/[()[\];|@]/g, ' ')
    .replaceAll(/,(?=\s|$)|(?<=\s),/g, ' ')
    .replaceAll(/(?<=\d)(?=(?:m|ft|cm)\b)/giu, ' ')
    .split(/\s+/)
    .filter((text) => text !== '' && !/^[-–:]+$/.test(text));
  const words: Word[] = [];
  for (let i = 0; i < texts.length; i += 1) {
    const text = texts[i] ?? '';
    const numeral = numeralOf(text, inCm);
    if (numeral) {
      for (
        let next = texts[i + 1];
        next !== undefined && takeAlong(numeral, next, french);
        next = texts[i + 1]
      )
        i += 1;
      words.push({ is: 'numeral', numeral });
      continue;
    }
    const word = tideWord(text, french);
    words.push(word ? { is: 'word', word } : { is: 'other', text });
  }
  return words;
}

/** High and low water that alternate lie nearer than this, minutes. */
const ALTERNATE_MOST_MIN = 9 * 60;
const CLOCK = /^(\d{1,2})[:h](\d{2})?(?::\d{2})?([ap]\.?m?\.?)?(z|utc|gmt)?$/i;
const HALF = /^(\d{1,2})(?:\.(\d{2}))?([ap])\.?m\.?$/i;
/**
 * A figure as it may stand in a tide table: "05:12", "5h12", "0512", "05.12", "4.3", "-0,2". null: it is
 * none.
 */
function numeralOf(text: string, inCm: boolean): Numeral | null {
  const none = { text, minutes: null, isTime: false, isHour: false, height: null, perM: null, zone: null };
  const clock = CLOCK.exec(text) ?? HALF.exec(text);
  if (clock) {
    const [, hour, minute, half, zone] = clock;
    return {
      ...none,
      minutes: minutesOf(Number(hour), Number(minute ?? 0), half),
      isTime: true,
      zone: zone === undefined ? null : zoneOf(zone),
    };
  }
  const plain = /^([-+]?)(\d{0,4})(?:([.,])(\d{1,3}))?$/.exec(text);
  if (!plain || /^[-+]?$/.test(text)) return null;
  const [, sign = '', whole = '', , decimals] = plain;
  const height = Number(`${sign === '-' ? '-' : ''}${whole || '0'}.${decimals ?? '0'}`);
  const four = decimals === undefined && whole.length === 4 && sign === '';
  const minutes = four
    ? minutesOf(Number(whole.slice(0, 2)), Number(whole.slice(2)), undefined)
    : decimals?.length === 2 && sign === '' && whole !== ''
      ? minutesOf(Number(whole), Number(decimals), undefined)
      : decimals === undefined && whole.length === 3
        ? minutesOf(Number(whole.slice(0, 1)), Number(whole.slice(1)), undefined)
        : null;
  return { ...none, minutes, isHour: four && minutes !== null && !inCm, height };
}
/** Takes what stands behind a figure along with it: AM, a zone, a unit. False: it stands by itself. */
function takeAlong(numeral: Numeral, next: string, french: boolean): boolean {
  const half = /^([ap])\.?m\.?$/i.exec(next)?.[1];
  if (
    half !== undefined &&
    !(french && /^pm$/i.test(next)) &&
    numeral.minutes !== null &&
    (numeral.height === null || numeral.isHour)
  ) {
    const hour = Math.floor(numeral.minutes / 60);
    numeral.minutes = hour < 1 || hour > 12 ? null : minutesOf(hour, numeral.minutes % 60, half);
    numeral.isTime = true;
    numeral.height = null;
    return true;
  }
  const perM = metresPer(next);
  if (perM !== null && numeral.height !== null && numeral.perM === null) {
    numeral.perM = perM;
    numeral.isHour = false;
    numeral.minutes = null;
    return true;
  }
  const known = zoneOf(next);
  const letters = /^[a-z]{1,5}$/iu.test(next) && tideWord(next, french) === null;
  if (numeral.zone === null && ((numeral.isTime && letters) || (numeral.isHour && known))) {
    numeral.zone = known ?? { letters: next };
    return true;
  }
  return false;
}
function minutesOf(hour: number, minute: number, half: string | undefined): number | null {
  const letter = half?.charAt(0).toLowerCase();
  if (
    minute > 59 ||
    hour > 24 ||
    (hour === 24 && minute > 0) ||
    (letter !== undefined && (hour < 1 || hour > 12))
  )
    return null;
  const of = letter === 'p' ? (hour % 12) + 12 : letter === 'a' ? hour % 12 : hour;
  return of * 60 + minute;
}
