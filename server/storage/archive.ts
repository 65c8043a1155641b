import { createHash } from 'node:crypto';
import { type Unzipped, type Zippable, unzip, zip } from 'fflate';
import { Refusal } from '../http/problem';

/** Files of an archive by their path. */
export type Files = Readonly<Record<string, Uint8Array>>;

/** How much an archive may hold once it is opened: one that swells to fill the machine is refused. */
const MOST_OPEN_BYTES = 512 * 1024 * 1024;
const MOST_FILES = 20_000;

/** A zip of the files, made beside what the server does. */
export function pack(files: Files): Promise<Uint8Array> {
  return new Promise((done, fail) => {
    zip(files as Zippable, { level: 6 }, (error, data) => (error ? fail(error) : done(data)));
  });
}

/**
 * The files of a zip.
 * @throws Refusal (400): it is no zip, or one too large to be opened
 */
export async function unpack(bytes: Uint8Array): Promise<Files> {
  let open = 0;
  let count = 0;
  try {
    const filter = ({ originalSize }: { originalSize: number }) => {
      open += originalSize;
      count += 1;
      if (open > MOST_OPEN_BYTES || count > MOST_FILES) throw new Error('too large');
      return true;
    };
    return await new Promise<Unzipped>((done, fail) => {
      unzip(bytes, { filter }, (error, data) => (error ? fail(error) : done(data)));
    });
  } catch {
    throw new Refusal(
      400,
      'Not an archive',
      open > MOST_OPEN_BYTES || count > MOST_FILES
        ? 'The file holds more than can be opened at once.'
        : 'The file is no whole zip archive.',
      [{ field: 'file', message: 'No whole zip archive.' }],
    );
  }
}

export const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
export const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
export const sumOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
