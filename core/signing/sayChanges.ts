import { capital } from '../units/words';
import type { Change } from './change';

/** One change since the signature, as a sentence. */
export function sayChange({ of, what, from, to, whole }: Change): string {
  if (whole) return `${capital(of ?? 'It')} ${what}.`;
  const said =
    from !== null && to !== null && from !== to ? `${what} was ${from}; now ${to}.` : `${what} was changed.`;
  return of === null ? capital(said) : `${capital(of)}: ${said}`;
}

/** All changes in a few sentences, the rest counted. */
export function sayChanges(changes: readonly Change[], most = 6): string[] {
  const said = [...new Set(changes.map(sayChange))];
  return said.length <= most
    ? said
    : [...said.slice(0, most - 1), `And ${said.length - most + 1} more changes.`];
}
