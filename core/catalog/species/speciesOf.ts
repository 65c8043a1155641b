import type { Setting } from '../../vocabulary/trips';
import { type Species, speciesIds, speciesTable } from './species';
import type { Habitat } from './speciesRows';

const byId: ReadonlyMap<string, Species> = new Map(speciesIds.map((id) => [id, speciesTable[id]]));

/** A species of the reference table, or one of the angler's own; null: neither knows it. */
export function speciesOf(id: string, own: readonly Species[]): Species | null {
  return byId.get(id) ?? own.find((one) => one.id === id) ?? null;
}

/** Where fish of a salt water are met: what lies about it counts too. */
const metOn: Record<Setting, readonly Habitat[]> = {
  still: ['estuary', 'coast'],
  river: ['estuary'],
  estuary: ['estuary', 'coast'],
  flats: ['estuary', 'coast'],
  coast: ['coast', 'estuary'],
  open: ['open', 'coast'],
};
/** Whether a fish is usually met on such a water; of an unknown water all are. */
export function isMetOn(
  { habitats }: Species,
  water: { type: 'fresh' | 'brackish' | 'salt'; setting: Setting } | null,
): boolean {
  if (!water) return true;
  const isMet = (habitat: Habitat) =>
    habitat === 'fresh'
      ? water.type !== 'salt'
      : water.type !== 'fresh' && metOn[water.setting].includes(habitat);
  return habitats.some(isMet);
}

/** The reference table and the angler's own, by name. */
export function allSpecies(own: readonly Species[]): Species[] {
  return [...byId.values(), ...own].sort((a, b) => a.name.localeCompare(b.name));
}
