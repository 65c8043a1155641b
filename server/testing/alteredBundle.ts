import { bytesOf, pack, sumOf, textOf, unpack } from '../storage/archive';

export const base64 = (bytes: Uint8Array): string => Buffer.from(bytes).toString('base64');

/** The same bundle with a file of it changed, or added, and its sum in order. */
export async function alteredBundle(
  bytes: Uint8Array,
  path: string,
  change: (text: string) => string | Uint8Array,
): Promise<Uint8Array> {
  const files = await unpack(bytes);
  const changed = change(textOf(files[path] ?? new Uint8Array()));
  const file = typeof changed === 'string' ? bytesOf(changed) : changed;
  const list = JSON.parse(textOf(files['bundle.json'] ?? new Uint8Array())) as {
    files: Record<string, unknown>;
  };
  list.files[path] = { sha256: sumOf(file) };
  return pack({ ...files, [path]: file, 'bundle.json': bytesOf(JSON.stringify(list)) });
}
