import { type Species, speciesIds, speciesTable } from './species';

const byId: ReadonlyMap<string, Species> = new Map(speciesIds.map((id) => [id, speciesTable[id]]));

/** A species of the reference table, or one of the angler's own; null: neither knows it. */
export function speciesOf(id: string, own: readonly Species[]): Species | null {
  return byId.get(id) ?? own.find((one) => one.id === id) ?? null;
}

/** The reference table and the angler's own, by name. */
export function allSpecies(own: readonly Species[]): Species[] {
  return [...byId.values(), ...own].sort((a, b) => a.name.localeCompare(b.name));
}
