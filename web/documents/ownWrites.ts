import type { Versioned } from '#core/documents/kept';
import { ApiError, request } from './api';

/**
 * Versions that this page itself wrote, by the address of the document: what they hold is no news from
 * another window.
 */
const written = new Map<string, Set<number>>();

export function noteWritten(path: string, version: number): void {
  const versions = written.get(path) ?? new Set();
  written.set(path, versions.add(version));
}
export function isOwnWrite(path: string, version: number): boolean {
  return written.get(path)?.has(version) ?? false;
}

/**
 * Deletes a document at a version; where only this page changed it since, as an autosave does, at the version
 * that came of that.
 */
export async function removeDocument<Doc>(path: string, version: number): Promise<Versioned<Doc>> {
  const remove = (at: number) => request<Versioned<Doc>>('DELETE', `${path}?version=${at}`);
  try {
    return await remove(version);
  } catch (error) {
    const current =
      error instanceof ApiError && error.status === 409 ? (error.current as Versioned<Doc> | null) : null;
    if (!current || !isOwnWrite(path, current.version)) throw error;
    return remove(current.version);
  }
}
