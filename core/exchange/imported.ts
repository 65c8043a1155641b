/**
 * What a file gave: the value, and what of it could not be taken, by line or point. Refused: one sentence,
 * nothing taken.
 */
export type Imported<T> = { taken: true; value: T; troubles: string[] } | { taken: false; why: string };

/** What only whoever has the file can say. */
export interface Question {
  id: string;
  text: string;
  choices: { id: string; text: string }[];
}
/** As `Imported`; what may be read in two ways is asked before anything is taken. */
export type Asking<T> =
  | Extract<Imported<T>, { taken: true }>
  | { taken: false; why: string; asks?: Question[] };
/** What was answered to questions, by their ids. */
export type AnswersGiven = Readonly<Record<string, string>>;

export const refused = (why: string): { taken: false; why: string } => ({ taken: false, why });

/** Files are read whole: larger ones are refused. */
export const MOST_BYTES = 8 * 1024 * 1024;
/** Troubles told one by one; the rest are counted. */
const MOST_TOLD = 12;

export function told(troubles: readonly string[]): string[] {
  if (troubles.length <= MOST_TOLD) return [...troubles];
  return [...troubles.slice(0, MOST_TOLD), `And ${troubles.length - MOST_TOLD} more like these.`];
}

/**
 * A line whose commas part its figures has gaps instead, so that "1,0.5" is two figures and "4,3 m" stays
 * one.
 */
export function withoutListCommas(line: string): string {
  return /[\s;]/.test(line.trim()) ? line : line.replaceAll(',', ' ');
}

/** How much text a reader takes: what is longer would hold the screen up for seconds. */
export interface TextLimits {
  characters: number;
  lines: number;
  /** Characters of one line. */
  line: number;
}
/** A table in a file: as many lines as any list of ours, and columns enough for any program. */
export const TABLE: TextLimits = { characters: MOST_BYTES, lines: 20_000, line: 20_000 };
/** What is pasted or typed. */
export const PASTED: TextLimits = { characters: 200_000, lines: 5000, line: 2000 };
/** XML and JSON often stand in one line. */
export const MARKUP: TextLimits = { characters: MOST_BYTES, lines: Infinity, line: Infinity };

/** Why a text is not read; null: it is. */
function tooLarge(text: string, most: TextLimits): string | null {
  if (text.length > most.characters)
    return `This is larger than ${most.characters >= 1024 * 1024 ? `${most.characters / 1024 / 1024} MB` : `${most.characters / 1000} thousand characters`}. Give a part of it.`;
  let lines = 0;
  for (let from = 0; from <= text.length; lines += 1) {
    const end = text.indexOf('\n', from);
    const to = end < 0 ? text.length : end;
    if (to - from > most.line)
      return `Line ${lines + 1} is longer than ${most.line} characters, and so no line of a table.`;
    from = to + 1;
  }
  return lines > most.lines ? `This has ${lines} lines; at most ${most.lines} are read.` : null;
}

/**
 * A reader that refuses what is too large before it begins, and tells in words what it, or a parser within
 * it, throws.
 * @param read may throw on a text that nobody foresaw
 */
export function reader<Args extends unknown[], Read>(
  most: TextLimits,
  read: (text: string, ...args: Args) => Read,
): (text: string, ...args: Args) => Read | { taken: false; why: string } {
  return (text, ...args) => {
    const why = tooLarge(text, most);
    if (why !== null) return refused(why);
    try {
      return read(text, ...args);
    } catch (error) {
      const said =
        error instanceof Error ? error.message.replace(/^\[\w+\] /, '').slice(0, 200) : 'no reason given';
      return refused(`This cannot be read: ${said.replace(/\.?$/, '.')}`);
    }
  };
}
