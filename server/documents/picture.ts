import { createHash } from 'node:crypto';

/** How many bytes a picture may have: what the browser makes of a photograph is smaller. */
export const MOST_PICTURE_BYTES = 60_000;

export interface Picture {
  /** SHA-256 of its bytes, hexadecimal. */
  id: string;
  mediaType: string;
  /** The bytes in base 64. */
  data: string;
}

/** A picture by its bytes; null: too large, or neither JPEG, PNG nor WebP by its first bytes. */
export function pictureOf(bytes: Uint8Array): Picture | null {
  const mediaType = mediaTypeOf(bytes);
  if (mediaType === null || bytes.length > MOST_PICTURE_BYTES) return null;
  return {
    id: createHash('sha256').update(bytes).digest('hex'),
    mediaType,
    data: Buffer.from(bytes).toString('base64'),
  };
}

/**
 * The signatures of the three formats: PNG (RFC 2083), JPEG (SOI marker), WebP (RIFF container, RFC 9649).
 */
function mediaTypeOf(bytes: Uint8Array): string | null {
  const head = Buffer.from(bytes.subarray(0, 12)).toString('latin1');
  if (head.startsWith('\x89PNG\r\n\x1a\n')) return 'image/png';
  if (head.startsWith('\xff\xd8\xff')) return 'image/jpeg';
  return /^RIFF[\s\S]{4}WEBP$/.test(head) ? 'image/webp' : null;
}
