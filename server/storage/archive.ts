import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { type Entry, type ZipFile, fromBuffer } from 'yauzl';
import { ZipFile as ZipWriter } from 'yazl';
import { Refusal } from '../errors/refusal';

/** Files of an archive by their path. */
export type Files = Readonly<Record<string, Uint8Array>>;

/** How much an archive may hold once it is opened: one that swells to fill the machine is refused. */
const MOST_OPEN_BYTES = 512 * 1024 * 1024;
const MOST_FILES = 20_000;

/** A zip of the files, compressed beside what the server does, one file after another. */
export async function pack(files: Files): Promise<Uint8Array> {
  const zip = new ZipWriter();
  for (const [path, bytes] of Object.entries(files)) zip.addBuffer(Buffer.from(bytes), path);
  zip.end();
  return buffer(zip.outputStream);
}

/**
 * The files of a zip, opened one after another.
 * @throws Refusal (400): it is no zip, or one too large to be opened
 */
export async function unpack(bytes: Uint8Array): Promise<Files> {
  const zip = await open(bytes);
  try {
    const files: Record<string, Uint8Array> = Object.create(null) as Record<string, Uint8Array>;
    let room = MOST_OPEN_BYTES;
    let count = 0;
    for await (const entry of entriesOf(zip)) {
      count += 1;
      // The size that an entry states is held against what comes out of it while it is read.
      room -= entry.uncompressedSize;
      if (room < 0 || count > MOST_FILES) throw notOpened('The file holds more than can be opened at once.');
      if (!entry.fileName.endsWith('/')) files[entry.fileName] = await read(zip, entry);
    }
    return files;
  } catch (error) {
    throw error instanceof Refusal ? error : notOpened('The file is no whole zip archive.');
  } finally {
    zip.close();
  }
}

function open(bytes: Uint8Array): Promise<ZipFile> {
  return new Promise((done, fail) => {
    fromBuffer(
      Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
      { lazyEntries: true },
      (error, zip) => (error ? fail(notOpened('The file is no whole zip archive.')) : done(zip)),
    );
  });
}

async function* entriesOf(zip: ZipFile): AsyncGenerator<Entry> {
  for (;;) {
    const entry = await new Promise<Entry | null>((done, fail) => {
      zip.once('entry', done);
      zip.once('end', () => done(null));
      zip.once('error', fail);
      zip.readEntry();
    });
    zip.removeAllListeners();
    if (!entry) return;
    yield entry;
  }
}

function read(zip: ZipFile, entry: Entry): Promise<Uint8Array> {
  return new Promise((done, fail) => {
    zip.openReadStream(entry, (error, stream) => (error ? fail(error) : buffer(stream).then(done, fail)));
  });
}

function notOpened(detail: string): Refusal {
  return new Refusal('bad input', 'Not an archive', detail, [{ field: 'file', message: detail }]);
}

export const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
export const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
export const sumOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
