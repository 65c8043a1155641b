/** What a new outing is made of; the list itself can do without it. */
export { newOuting } from '#core/editing/newOuting';
export { readReferences } from '../../documents/queries';
import type { Versioned } from '#core/documents/kept';
import type { Outing } from '#core/documents/outing';
import { get } from '../../documents/api';

/** The outing before, for what it tells of the next; null: it cannot be read. */
export async function readOuting(id: string): Promise<Outing | null> {
  try {
    return (await get<Versioned<Outing>>(`/api/outings/${id}`)).doc;
  } catch {
    return null;
  }
}
