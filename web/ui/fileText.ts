const ENCODINGS = { 'FF,FE': 'utf-16le', 'FE,FF': 'utf-16be' } as const;

/**
 * The text of a file in the encoding it was written in: by its mark, else UTF-8 where it is sound, else what
 * an XML file says of itself, else that of Western Windows programs. (A browser reads every file as UTF-8.)
 */
export function textOf(bytes: Uint8Array<ArrayBuffer>): string {
  const mark = [...bytes.subarray(0, 2)].map((byte) => byte.toString(16).toUpperCase()).join(',');
  const marked = ENCODINGS[mark as keyof typeof ENCODINGS];
  if (marked) return new TextDecoder(marked).decode(bytes);
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 200));
  const declared = /^<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(head)?.[1] ?? 'windows-1252';
  for (const [encoding, fatal] of [
    ['utf-8', true],
    [declared, false],
  ] as const)
    try {
      return new TextDecoder(encoding, { fatal }).decode(bytes);
    } catch {
      // Not sound in it, or an encoding that nobody knows: the next is tried.
    }
  return new TextDecoder('windows-1252').decode(bytes);
}
export async function fileText(file: File): Promise<string> {
  return textOf(new Uint8Array(await file.arrayBuffer()));
}
