import type { FastifyInstance } from 'fastify';
import { Refusal } from '../errors/refusal';

/** How many values a body may hold: nearly twice what five thousand items do. */
const MOST_VALUES = 400_000;
/** How deep lists and records may lie in one another: three times what the deepest document does. */
export const MOST_DEPTH = 64;

const [QUOTE, COMMA, BACKSLASH] = [34, 44, 92];
const OPENS: ReadonlySet<number> = new Set([91, 123]);
const CLOSES: ReadonlySet<number> = new Set([93, 125]);

/**
 * Whether JSON text could hold more values, or nests deeper, than that: counted by its brackets and commas
 * outside of strings. Counting is quick; taking apart ten megabytes of `{}` stops the server for seconds, and
 * walking a value twenty thousand deep ends in a stack overflow.
 */
export function isTooMuch(text: string, most: { values: number; depth: number }): boolean {
  let values = 0;
  let depth = 0;
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    if (code === QUOTE) at = endOfString(text, at);
    else if (code === COMMA) values += 1;
    else if (OPENS.has(code)) {
      values += 1;
      depth += 1;
      if (depth > most.depth) return true;
    } else if (CLOSES.has(code)) depth -= 1;
  }
  return values > most.values;
}

/** Where the string that begins with the quote at `from` ends; the end of the text where it does not. */
function endOfString(text: string, from: number): number {
  for (let at = text.indexOf('"', from + 1); at >= 0; at = text.indexOf('"', at + 1)) {
    let backslashes = 0;
    while (text.charCodeAt(at - 1 - backslashes) === BACKSLASH) backslashes += 1;
    if (backslashes % 2 === 0) return at;
  }
  return text.length;
}

// JSON can write NUL and halves of surrogate pairs only as escapes, so text without these needs no second
// look.
const MAY_BE_UNKEEPABLE = /\\u(?:0000|[dD][89a-fA-F])/;
const UNKEEPABLE = /\0|\p{Surrogate}/u;

/** Whether a text has a character that PostgreSQL does not keep: NUL, or half of a surrogate pair. */
export const isUnkeepable = (text: string): boolean => UNKEEPABLE.test(text);

/**
 * The paths of all texts within a value that cannot be kept; of a field whose name cannot be, the path of its
 * record.
 */
export function unkeepableIn(value: unknown, path = ''): string[] {
  if (typeof value === 'string') return isUnkeepable(value) ? [path] : [];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, part]) =>
    isUnkeepable(key) ? [path] : unkeepableIn(part, path === '' ? key : `${path}.${key}`),
  );
}

/** Whether a parsed text could hold something that cannot be kept. */
export const needsSecondLook = (text: string): boolean => MAY_BE_UNKEEPABLE.test(text);

const MOST_FIELDS = 100;
function unkeepable(fields: readonly string[]): Refusal {
  const message = 'Has a character that cannot be kept.';
  const errors = fields
    .slice(0, MOST_FIELDS)
    .map((field) => ({ field: field === '' ? 'body' : field, message }));
  return new Refusal('bad input', 'Bad input', 'Some of what was sent cannot be taken.', errors);
}
function tooMuch(): Refusal {
  const message = 'Too much at once: send it in parts.';
  return new Refusal('too large', 'Too much', message, [{ field: 'body', message }]);
}

/**
 * Takes JSON apart as Fastify does, unless it holds or nests more than any body of ours, or text that cannot
 * be kept.
 */
export function readJson(app: FastifyInstance): void {
  const parse = app.getDefaultJsonParser('error', 'error');
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (request, body: string, done) => {
    if (isTooMuch(body, { values: MOST_VALUES, depth: MOST_DEPTH })) {
      done(tooMuch(), undefined);
      return;
    }
    void parse(request, body, (error: Error | null, value?: unknown) => {
      const fields = error === null && needsSecondLook(body) ? unkeepableIn(value) : [];
      if (fields.length === 0) done(error, value);
      else done(unkeepable(fields), undefined);
    });
  });
  app.addHook('preValidation', (request, _reply, done) => {
    const fields = [request.params, request.query].flatMap((part) => unkeepableIn(part));
    if (fields.length > 0) return done(unkeepable(fields));
    done();
  });
}
