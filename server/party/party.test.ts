import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { newItem } from '#core/editing/newItem';
import { newOuting } from '#core/editing/newOuting';
import type { Angler } from '#core/documents/angler';
import type { Craft } from '#core/documents/craft';
import type { Outing } from '#core/documents/outing';
import type { Party } from '#core/needs/party';
import type { Water } from '#core/documents/water';
import { type Club, type Visitor, openClub } from '../testing/club';

let club: Club;
beforeAll(async () => {
  club = await openClub();
});
afterAll(() => club.close());
beforeEach(() => club.empty());

type Kept<Doc> = { version: number; doc: Doc };
const named = async (who: Visitor, name: string) =>
  (await who.get('/api/companions')).json<{ id: string; name: string }[]>().find((one) => one.name === name)
    ?.id ?? '';
const partyOf = async (who: Visitor, outingId: string) =>
  (await who.get(`/api/outings/${outingId}/party`)).json<Party>();
const along = async (who: Visitor) =>
  (await who.get('/api/along')).json<
    { id: number; title: string; coming: string; outingId: string | null }[]
  >();

/** Ada leads three over two nights on the river of the sample; Ben has a boat and a stove. */
async function riverTrip() {
  const ada = await club.keeper();
  const ben = await club.member(ada, 'Ben');
  const cy = await club.member(ada, 'Cy');
  const { doc } = (await ada.get('/api/outings/venn-overnight')).json<Kept<Outing>>();
  const lead = { ...doc, id: crypto.randomUUID() };
  expect((await ada.post('/api/outings', { doc: lead })).statusCode).toBe(201);
  const [craft, angler] = [
    (await ada.get(`/api/craft/${doc.brief.craftId ?? ''}`)).json<Kept<Craft>>().doc,
    (await ada.get('/api/anglers/me')).json<Kept<Angler>>().doc,
  ];
  const bens = { ...craft, id: crypto.randomUUID(), name: 'Dabchick' };
  await ben.post('/api/craft', { doc: bens });
  await ben.post('/api/anglers', {
    doc: { ...angler, id: crypto.randomUUID(), contact: { name: 'Ben’s Contact', phone: '', email: '' } },
  });
  const [first, second] = lead.company;
  if (!first || !second) throw new Error('The sample trip has two companions.');
  return { ada, ben, cy, lead, first, second, craftId: bens.id };
}
const ask = async (who: Visitor, outingId: string, companionId: string, personId: string) =>
  who.ask('PUT', `/api/outings/${outingId}/party/${companionId}`, { personId });

describe('a party', () => {
  it('is asked along, sees the plan before it says yes, and comes with an outing of its own by that plan', async () => {
    const { ada, ben, cy, lead, first, second, craftId } = await riverTrip();
    expect(await along(ben)).toEqual([]);
    expect((await partyOf(ada, lead.id)).members.map(({ coming }) => coming)).toEqual([
      'not asked',
      'not asked',
    ]);
    expect((await ask(ada, lead.id, first.id, await named(ada, 'Ben'))).statusCode).toBe(200);
    const [asked] = await along(ben);
    expect(asked).toMatchObject({ title: lead.title, coming: 'asked', outingId: null });
    expect(await along(cy)).toEqual([]);
    const id = asked?.id ?? 0;
    const seen = (await ben.get(`/api/along/${id}`)).json<Party>();
    expect(seen.plan.brief).toMatchObject({ date: lead.brief.date, launchAt: lead.brief.launchAt });
    expect(seen.members.map(({ name }) => name)).toEqual(['Sample Angler', second.name]);
    // What is Ada's alone is not told: whom she names ashore, and what she carries for herself.
    expect(JSON.stringify(seen)).not.toContain(lead.brief.contact.phone);

    const outingId = crypto.randomUUID();
    const joined = await ben.post(`/api/along/${id}/join`, { id: outingId, craftId });
    expect(joined.statusCode).toBe(201);
    const { doc } = joined.json<Kept<Outing>>();
    expect(doc.brief).toMatchObject({ ...seen.plan.brief, craftId });
    expect(doc.company.map(({ name }) => name)).toEqual(['Sample Angler', second.name]);
    // Whoever waits for Ben is Ben's to name.
    expect(doc.brief.contact.name).toBe('Ben’s Contact');
    expect((await ben.post(`/api/along/${id}/join`, { id: crypto.randomUUID(), craftId })).statusCode).toBe(
      409,
    );
    expect(await along(ben)).toMatchObject([{ coming: 'along', outingId }]);
    expect((await partyOf(ada, lead.id)).members[0]).toMatchObject({
      coming: 'along',
      boat: 'Dabchick',
      signed: null,
    });
    // Deleted again, the outing is still to be answered.
    await ben.ask('DELETE', `/api/outings/${outingId}?version=1`);
    expect(await along(ben)).toMatchObject([{ coming: 'asked', outingId: null }]);
  });
  it('counts what one brings for all once, whoever brings it, and tells what all of it still lack', async () => {
    const { ada, ben, lead, first, craftId } = await riverTrip();
    // Nobody of the party has a stove now.
    const kept = (await ada.get(`/api/outings/${lead.id}`)).json<Kept<Outing>>();
    const bare = { ...kept.doc, loadout: kept.doc.loadout.filter(({ itemId }) => itemId !== 'stove') };
    expect(
      (await ada.ask('PUT', `/api/outings/${lead.id}`, { version: kept.version, doc: bare })).statusCode,
    ).toBe(200);
    await ask(ada, lead.id, first.id, await named(ada, 'Ben'));
    const [asked] = await along(ben);
    const outingId = crypto.randomUUID();
    await ben.post(`/api/along/${asked?.id ?? 0}/join`, { id: outingId, craftId });
    const gaps = async (who: Visitor, id: string) =>
      (await partyOf(who, id)).gaps.map(({ needId }) => needId);
    expect(await gaps(ada, lead.id)).toContain('cook');
    expect(await gaps(ben, outingId)).toEqual(await gaps(ada, lead.id));

    await ben.post('/api/items', { doc: newItem('bens-stove', 'stove', { name: 'Ben’s stove' }) });
    const own = (await ben.get(`/api/outings/${outingId}`)).json<Kept<Outing>>();
    const loadout = [
      ...own.doc.loadout,
      { itemId: 'bens-stove', quantity: 1, outsideContainer: false, carriedBy: null },
    ];
    await ben.ask('PUT', `/api/outings/${outingId}`, { version: own.version, doc: { ...own.doc, loadout } });
    expect(await gaps(ada, lead.id)).not.toContain('cook');
    expect(await gaps(ben, outingId)).not.toContain('cook');
    const [bens] = (await partyOf(ada, lead.id)).members;
    expect(bens?.brings).toMatchObject([{ kind: 'stove', name: 'Ben’s stove' }]);
    expect(bens?.lacks).toContain('buoyancy');
    // What Ada puts into Ben's boat is told him; it stays hers, and is not counted a second time.
    const again = (await ada.get(`/api/outings/${lead.id}`)).json<Kept<Outing>>();
    const rides = again.doc.loadout.map((one) =>
      one.itemId === 'filter' ? { ...one, carriedBy: first.id } : one,
    );
    await ada.ask('PUT', `/api/outings/${lead.id}`, {
      version: again.version,
      doc: { ...again.doc, loadout: rides },
    });
    expect((await partyOf(ben, outingId)).rides.map(({ item }) => item.id)).toEqual([
      'filter',
      'tent',
      'canister',
    ]);
    expect((await partyOf(ada, lead.id)).rides).toEqual([]);
  });
  it('takes along what its plan points at and the other cannot read; what they have stays theirs', async () => {
    const { ada, ben, cy, lead, first } = await riverTrip();
    const { doc: water } = (await ada.get(`/api/waters/${lead.brief.waterId ?? ''}`)).json<Kept<Water>>();
    // Ben leads on a water of his own; Cy cannot read it.
    const own = { ...water, id: crypto.randomUUID(), name: 'Ben’s secret water' };
    await ben.post('/api/waters', { doc: own });
    const fresh = newOuting(crypto.randomUUID(), '2026-06-01', {
      ...{ angler: null, craft: [], items: [], waters: [own], rulePacks: [], species: [] },
    });
    const doc = { ...fresh, company: [{ ...first, id: 'cy' }], brief: { ...fresh.brief, party: 2 } };
    expect((await ben.post('/api/outings', { doc })).statusCode).toBe(201);
    expect((await cy.get(`/api/waters/${own.id}`)).statusCode).toBe(404);
    await ask(ben, doc.id, 'cy', await named(ben, 'Cy'));
    const [asked] = await along(cy);
    expect((await cy.get(`/api/along/${asked?.id ?? 0}`)).json<Party>().where.water).toBe(
      'Ben’s secret water',
    );
    await cy.post(`/api/along/${asked?.id ?? 0}/join`, { id: crypto.randomUUID(), craftId: null });
    expect((await cy.get(`/api/waters/${own.id}`)).json()).toMatchObject({
      doc: { name: 'Ben’s secret water' },
    });
    expect((await ada.get(`/api/waters/${own.id}`)).statusCode).toBe(404);
  });
  it('is nobody else’s to see: a stranger, one who was asked no more, and one who was removed find nothing', async () => {
    const { ada, ben, cy, lead, first, second, craftId } = await riverTrip();
    const benId = await named(ada, 'Ben');
    await ask(ada, lead.id, first.id, benId);
    const [{ id } = { id: 0 }] = await along(ben);
    for (const [method, url, body] of [
      ['GET', `/api/along/${id}`],
      ['POST', `/api/along/${id}/join`, { id: crypto.randomUUID(), craftId: null }],
      ['POST', `/api/along/${id}/decline`, {}],
      ['GET', `/api/outings/${lead.id}/party`],
      ['PUT', `/api/outings/${lead.id}/party/${first.id}`, { personId: benId }],
      ['DELETE', `/api/outings/${lead.id}/party/${first.id}`],
      ['GET', `/api/outings/${lead.id}`],
    ] as const)
      expect((await cy.ask(method, url, body)).statusCode, `${method} ${url}`).toBe(404);
    // Asked along is not let in: the outing itself stays Ada's.
    expect((await ben.get(`/api/outings/${lead.id}`)).statusCode).toBe(404);
    expect((await ask(ada, lead.id, 'nobody', benId)).statusCode).toBe(404);
    expect((await ask(ada, lead.id, second.id, crypto.randomUUID())).statusCode).toBe(404);

    await ben.post(`/api/along/${id}/decline`);
    expect((await partyOf(ada, lead.id)).members[0]).toMatchObject({ coming: 'not coming' });
    const outingId = crypto.randomUUID();
    expect((await ben.post(`/api/along/${id}/join`, { id: outingId, craftId })).statusCode).toBe(201);
    await ada.ask('DELETE', `/api/outings/${lead.id}/party/${first.id}`);
    expect(await along(ben)).toEqual([]);
    expect((await ben.get(`/api/along/${id}`)).statusCode).toBe(404);
    // His own outing is his, and the party is what is written in it.
    expect((await partyOf(ben, outingId)).leads).toBe(true);

    await ask(ada, lead.id, first.id, benId);
    await ada.ask('DELETE', `/api/people/${benId}`);
    expect((await partyOf(ada, lead.id)).members[0]).toMatchObject({ coming: 'not asked', personId: null });
  });
});
