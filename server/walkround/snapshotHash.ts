import { createHash } from 'node:crypto';
import { canonical } from '#core/documents/canonical';

/** SHA-256 of what was judged, over its canonical JSON; hexadecimal. */
export function hashOf(snapshot: unknown): string {
  return createHash('sha256').update(canonical(snapshot)).digest('hex');
}
