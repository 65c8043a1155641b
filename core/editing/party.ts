import { briefWords } from '../documents/fieldWords';
import type { Brief, Companion, Conditions, Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { newOuting } from './newOuting';

/**
 * What of an outing is the whole party's: where, when, by which way, in what weather. The rest is each one's
 * own.
 */
const ofTheParty = [
  'date',
  'nights',
  'launchAt',
  'turnAt',
  'homeAt',
  'alarmAt',
  'waterId',
  'launchId',
  'areaId',
  'landingId',
  'route',
  'trip',
  'party',
] as const satisfies readonly (keyof Brief)[];
type PartyField = (typeof ofTheParty)[number];

export interface PartyPlan {
  title: string;
  brief: Pick<Brief, PartyField>;
  conditions: Conditions;
}
/** How whoever leads is named in the outings of those who come along. */
export const LEAD = 'lead';

export function partyPlan({ title, brief, conditions }: Outing): PartyPlan {
  const shared = Object.fromEntries(ofTheParty.map((field) => [field, brief[field]]));
  return { title, brief: shared as PartyPlan['brief'], conditions };
}

/**
 * What of the party's plan is otherwise than in one's own outing, in words. A forecast that one looked at
 * later oneself is none of it.
 */
export function planDiffers(own: Outing, plan: PartyPlan): string[] {
  const other = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b);
  const words = ofTheParty.flatMap((field) => {
    const said = briefWords[field];
    return other(own.brief[field], plan.brief[field]) ? [typeof said === 'string' ? said : said[0]] : [];
  });
  const later = (own.conditions.takenAt ?? '') < (plan.conditions.takenAt ?? '');
  return later && other(own.conditions.hours, plan.conditions.hours) ? [...words, 'the forecast'] : words;
}
/** One's own outing by the party's plan. */
export function withPartyPlan(own: Outing, plan: PartyPlan): Outing {
  const later = (own.conditions.takenAt ?? '') < (plan.conditions.takenAt ?? '');
  return {
    ...own,
    brief: { ...own.brief, ...plan.brief },
    conditions: later ? plan.conditions : own.conditions,
  };
}

/**
 * An outing of one's own in somebody's party: their plan, one's own boat and things, and the others as
 * companions.
 * @param company whoever leads, by the name LEAD, and the others
 */
export function joinedOuting(
  id: string,
  plan: PartyPlan,
  { targets, techniques }: Pick<Brief, 'targets' | 'techniques'>,
  own: { references: References; craftId: string | null },
  company: readonly Companion[],
): Outing {
  const fresh = newOuting(id, plan.brief.date, own.references);
  return {
    ...fresh,
    title: plan.title,
    brief: { ...fresh.brief, targets, techniques, ...plan.brief, craftId: own.craftId },
    conditions: plan.conditions,
    company: company.slice(0, 11),
  };
}
