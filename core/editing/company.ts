import type { Companion, Outing } from '../documents/outing';

/** Adds someone to the party, or changes what is written of them; the party grows with its names. */
export function withCompanion(outing: Outing, one: Companion): Outing {
  const known = outing.company.some((other) => other.id === one.id);
  const company = known
    ? outing.company.map((other) => (other.id === one.id ? one : other))
    : [...outing.company, one].slice(0, 11);
  return {
    ...outing,
    company,
    brief: { ...outing.brief, party: Math.max(outing.brief.party, company.length + 1) },
  };
}

/** Takes someone out of the party; what rode in their boat comes back into one's own. */
export function withoutCompanion(outing: Outing, id: string): Outing {
  const company = outing.company.filter((one) => one.id !== id);
  if (company.length === outing.company.length) return outing;
  return {
    ...outing,
    company,
    loadout: outing.loadout.map((entry) => (entry.carriedBy === id ? { ...entry, carriedBy: null } : entry)),
    brief: { ...outing.brief, party: Math.max(1, outing.brief.party - 1) },
  };
}

/** Says in whose boat an item rides; null: one's own. */
export function withRide(outing: Outing, itemId: string, carriedBy: string | null): Outing {
  return {
    ...outing,
    loadout: outing.loadout.map((entry) => (entry.itemId === itemId ? { ...entry, carriedBy } : entry)),
  };
}
