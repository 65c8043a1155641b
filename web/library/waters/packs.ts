import { baselinePack } from '#core/documents/baselinePack';
import type { RulePack } from '#core/documents/rulePack';
import type { Versioned } from '#core/documents/kept';

/** The packs that a water can follow: those that are held, and the baseline that ships. */
export function packOptions(held: readonly Versioned<RulePack>[]): { value: string; name: string }[] {
  return [...held.map(({ doc }) => doc), baselinePack].map(({ id, name }) => ({ value: id, name }));
}
