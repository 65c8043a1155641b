import type { Companion, Outing } from '../documents/outing';
import type { Item } from '../documents/item';
import type { OutingInView } from '../documents/references';
import type { PartyPlan } from '../editing/party';
import type { NeedId } from '../vocabulary/needs';
import { personalNeeds, sharedNeeds } from './company';
import { type JudgedNeed, itemsServing } from './match';

/** What one of a party tells the others, from an outing of their own. */
export interface Report extends Pick<Companion, 'boat' | 'says' | 'brings'> {
  /** What each has to carry for themselves, and they do not yet. */
  lacks: NeedId[];
}

/** Where somebody stands who may come along. */
export type Coming = 'not asked' | 'asked' | 'along' | 'not coming';
export interface Member extends Report {
  /** Its name among the companions of whoever looks. */
  companionId: string;
  name: string;
  personId: string | null;
  coming: Coming;
  /** When they signed for themselves, and whether it still stands. */
  signed: { at: string; stale: boolean } | null;
}
/** An outing that several of the house go on, as one of them sees it. */
export interface Party {
  leads: boolean;
  /** Name of whoever leads. */
  lead: string;
  plan: PartyPlan;
  where: { water: string | null; launch: string | null; area: string | null; landing: string | null };
  /** The others. */
  members: Member[];
  /** What all of them together still lack of what one in any boat does for all. */
  gaps: { needId: NeedId; want: number; have: number }[];
  /** What the lead put into the boat of whoever looks. */
  rides: { item: Item; quantity: number }[];
}

/** What of a companion's own outing is otherwise than it is written of them. */
export function reportDiffers(written: Companion, said: Omit<Report, 'lacks'>): boolean {
  const sorted = (list: readonly string[]) => [...list].sort().join(' ');
  const things = (list: Companion['brings']) =>
    sorted(list.map(({ id, kind, name, quantity }) => [id, kind, name, quantity].join(':')));
  return (
    written.boat !== said.boat ||
    sorted(written.says) !== sorted(said.says) ||
    things(written.brings) !== things(said.brings)
  );
}

/**
 * What an outing says to the others of its party: what its angler carries for themselves, and what they bring
 * that does for all.
 */
export function reportOf({ aboard, craft }: OutingInView, needs: readonly JudgedNeed[]): Report {
  const personal = personalNeeds(needs);
  const counted = itemsServing(sharedNeeds(needs));
  return {
    boat: craft?.name ?? '',
    says: personal.filter(({ met }) => met).map(({ id }) => id),
    lacks: personal.filter(({ met }) => !met).map(({ id }) => id),
    brings: aboard
      .filter(({ item }) => counted.has(item.id))
      .slice(0, MOST_BROUGHT)
      .map(({ item, entry }) => ({
        id: item.id,
        kind: item.kind,
        name: item.name,
        quantity: Math.min(entry.quantity, MOST_OF_ONE),
      })),
  };
}
const MOST_BROUGHT = 60;
const MOST_OF_ONE = 50;

/**
 * What each brings, each thing once: one that rides in another's boat is told by both.
 * @param own what is in one's own loadout
 */
export function eachOnce<One extends Pick<Report, 'brings'>>(
  reports: readonly One[],
  own: Outing | null,
): One[] {
  const told = new Set(own?.loadout.map(({ itemId }) => itemId));
  return reports.map((one) => {
    const brings = one.brings.filter(({ id }) => !told.has(id));
    for (const { id } of brings) told.add(id);
    return { ...one, brings };
  });
}

/** An outing with what its companions say of themselves now, in place of what is written of them. */
export function withReports(outing: Outing, reports: ReadonlyMap<string, Omit<Report, 'lacks'>>): Outing {
  return {
    ...outing,
    company: outing.company.map((one) => {
      const said = reports.get(one.id);
      return said ? { ...one, boat: said.boat, says: said.says, brings: said.brings } : one;
    }),
  };
}
