import type { FastifyInstance } from 'fastify';
import { Refusal } from './problem';

/** How many values a body may hold: nearly twice what five thousand items do. */
const MOST_VALUES = 400_000;

/**
 * Whether the text could hold more values than that, by the brackets and commas in it, those within texts too. Reading it so is quick, and taking
 * apart ten megabytes of `{}` stops the server for seconds.
 */
export function holdsMoreThan(most: number, text: string): boolean {
  if (text.length <= most) return false;
  let marks = 0;
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    if (code === 44 || code === 91 || code === 123) marks += 1;
  }
  return marks > most;
}

/** Takes JSON apart as the server always does, unless it holds more than any body of ours. */
export function readJson(app: FastifyInstance): void {
  const parse = app.getDefaultJsonParser('error', 'error');
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (request, body: string, done) => {
    if (holdsMoreThan(MOST_VALUES, body)) {
      const message = 'Too much at once: send it in parts.';
      done(new Refusal(413, 'Too much', message, [{ field: 'body', message }]), undefined);
      return;
    }
    void parse(request, body, done);
  });
}
