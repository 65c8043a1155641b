import { speciesOf } from '../catalog/species/speciesOf';
import { capital, listed } from '../units/words';
import type { Brief } from '../documents/outing';
import type { References } from '../documents/references';

/** The name of an outing nobody has named yet. */
export const UNTITLED = 'New outing';

/** A name made from the brief: the fish and the place, as far as they are known. */
export function titleFrom(brief: Brief, references: Pick<References, 'waters' | 'species'>): string {
  const area = references.waters
    .find((water) => water.id === brief.waterId)
    ?.areas.find((one) => one.id === brief.areaId);
  const fish = listed(brief.targets.flatMap((id) => speciesOf(id, references.species)?.name ?? []));
  const place = area ? `at ${area.name}` : '';
  return capital([fish, place].filter((part) => part !== '').join(' ')) || UNTITLED;
}

/** The outing with a changed brief; its name follows as long as it is the one made from the brief. */
export function withBrief<T extends { brief: Brief; title: string }>(
  outing: T,
  change: Partial<Brief>,
  references: Pick<References, 'waters' | 'species'>,
): T {
  const brief = { ...outing.brief, ...change };
  const own = outing.title !== UNTITLED && outing.title !== titleFrom(outing.brief, references);
  return { ...outing, brief, title: own ? outing.title : titleFrom(brief, references).slice(0, 80) };
}
