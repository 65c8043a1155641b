import { LEAD, partyPlan } from '#core/editing/party';
import type { Companion, Outing } from '#core/documents/outing';
import { type References, lookUp } from '#core/documents/references';
import { assess } from '#core/judgement/assess';
import type { Summary } from '#core/judgement/summary';
import { sharedNeeds } from '#core/needs/company';
import { type Member, type Party, type Report, eachOnce, reportOf, withReports } from '#core/needs/party';
import { noAnswers, standingAnswers } from '#core/walkround/answers';
import type { Library } from '../documents/library';
import { isSetAside } from '../documents/store';
import type { Stores } from '../documents/stores';
import { signedOf } from '../outings/summaries';
import { scopeOf } from '../people/authHook';
import { ownerIn, plainId, runInScope } from '../people/scope';
import type { Person } from '../people/store';
import type { WalkStore } from '../walkround/store';
import type { PartyStore, Share } from './store';

/** One person's outing, as they have it and as it is judged now. */
export interface MemberOuting {
  person: Person;
  outing: Outing;
  references: References;
  report: Report;
  signed: Summary['signed'];
}

export function partiesOf(from: {
  store: PartyStore;
  stores: Stores;
  library: Library;
  walks: WalkStore;
  now: () => number;
}) {
  const { store, stores, library, walks, now } = from;

  /** Read as whoever's it is. null: it is gone, or cannot be read. */
  const outingOf = (person: Person, key: string): Promise<MemberOuting | null> =>
    runInScope(scopeOf(person), async () => {
      const id = plainId(key);
      const kept = await stores.outings.get(id);
      if (!kept || isSetAside(kept)) return null;
      const { references } = await library.read();
      const record = await walks.answers(id);
      const judged = assess(kept.doc, references, standingAnswers(record, now()), now(), {
        withRepairs: false,
      });
      return {
        person,
        outing: kept.doc,
        references,
        report: reportOf(lookUp(kept.doc, references), judged.needs),
        signed: signedOf(await walks.lastSignature(id), kept.doc, references, record),
      };
    });
  const leadOf = async (key: string): Promise<MemberOuting | null> => {
    const person = await store.ownerOf(ownerIn(key));
    return person && outingOf(person, key);
  };

  /** @param viewer the companion that whoever looks is; null: they lead */
  const partyAround = async (key: string, viewer: string | null): Promise<Party | null> => {
    const lead = await leadOf(key);
    if (!lead) return null;
    const members: Member[] = [];
    let mine: Outing | null = null;
    const asked = new Map((await store.asked(key)).map((one) => [one.share.companionId, one]));
    for (const one of lead.outing.company) {
      const found = asked.get(one.id);
      const own = found?.share.ownOutingId ? await outingOf(found.person, found.share.ownOutingId) : null;
      if (one.id === viewer) mine = own?.outing ?? null;
      members.push(memberOf(one, found, own));
    }
    const once = eachOnce(members, lead.outing);
    const all = withReports(lead.outing, new Map(once.map((one) => [one.companionId, one])));
    const { needs } = assess(all, lead.references, noAnswers, now(), { withRepairs: false });
    const name = lead.references.angler?.name || lead.person.name;
    const { water, launch, area, landing, items } = lookUp(lead.outing, lead.references);
    const itself: Member = {
      ...lead.report,
      ...{ companionId: LEAD, name, personId: lead.person.id, coming: 'along', signed: lead.signed },
    };
    return {
      leads: viewer === null,
      lead: name,
      plan: partyPlan(lead.outing),
      where: {
        water: water?.name ?? null,
        launch: launch?.name ?? null,
        area: area?.name ?? null,
        landing: landing?.name ?? null,
      },
      members:
        viewer === null
          ? once
          : eachOnce([itself, ...members.filter(({ companionId }) => companionId !== viewer)], mine),
      gaps: sharedNeeds(needs)
        .filter(({ met }) => !met)
        .map(({ id, want, counted }) => ({ needId: id, want, have: counted })),
      rides: lead.outing.loadout.flatMap(({ itemId, carriedBy, quantity }) => {
        const item = items.get(itemId);
        return viewer !== null && carriedBy === viewer && item
          ? [{ item: { ...item, photo: null }, quantity }]
          : [];
      }),
    };
  };
  return { partyAround, leadOf };
}

function memberOf(
  one: Companion,
  found: { share: Share; person: Person } | undefined,
  own: MemberOuting | null,
): Member {
  const written: Report = { boat: one.boat, says: one.says, brings: one.brings, lacks: [] };
  return {
    ...(own?.report ?? written),
    companionId: one.id,
    name: one.name,
    personId: found?.person.id ?? null,
    coming: !found ? 'not asked' : own ? 'along' : found.share.declinedAt !== null ? 'not coming' : 'asked',
    signed: own?.signed ?? null,
  };
}
