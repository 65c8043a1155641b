import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bundlePartNames } from '#core/documents/bundle';
import { type Club, type Visitor, openClub } from '../testing/club';

const OUTING = 'pollack-long-grey';
interface Look {
  documents: { kind: string; id: string; is: string; here: number | null }[];
}

let there: Club;
let here: Club;
beforeAll(async () => {
  [there, here] = await Promise.all([openClub(), openClub()]);
});
afterAll(() => Promise.all([there.close(), here.close()]));

const walkOf = async (who: Visitor) =>
  (await who.get(`/api/outings/${OUTING}/walk-round`)).json<{
    answers: { key: string }[];
    signature: { hash: string } | null;
  }>();

describe('a bundle from one club to another', () => {
  it('comes in for each who brings it, answers and signature with it; what the club has the same is not doubled', async () => {
    const ada = await there.keeper();
    const { version } = (await ada.get(`/api/outings/${OUTING}`)).json<{ version: number }>();
    expect((await ada.post(`/api/outings/${OUTING}/signatures`, { version })).statusCode).toBeLessThan(300);
    const signed = await walkOf(ada);
    expect(signed.answers.length).toBeGreaterThan(20);
    const bundle = (await ada.get(`/api/bundle?parts=${bundlePartNames.join(',')}`)).rawPayload.toString(
      'base64',
    );

    const bea = await here.keeper('Bea');
    const kept = (await bea.get('/api/waters/hallow-mere')).json<{ version: number; doc: object }>();
    await bea.ask('PUT', '/api/waters/hallow-mere', {
      version: kept.version,
      doc: { ...kept.doc, note: 'Otherwise.' },
    });
    for (const name of ['Cy', 'Dee']) {
      const member = await here.member(bea, name);
      const { documents } = (await member.post('/api/bundle/look', { file: bundle })).json<Look>();
      const stands = (kind: string, id: string) =>
        documents.find((one) => one.kind === kind && one.id === id)?.is;
      expect(stands('waters', 'ostrey-sound')).toBe('same');
      expect(stands('procedures', 'night-count')).toBe('same');
      // The club changed it since: theirs comes in as one's own, beside it.
      expect(stands('waters', 'hallow-mere')).toBe('new');
      expect(stands('outings', OUTING)).toBe('new');
      const take = documents
        .filter(({ is }) => is === 'new')
        .map(({ kind, id, here: seen }) => ({ choice: `${kind}/${id}`, here: seen }));
      const done = await member.post('/api/bundle/bring-in', { file: bundle, key: randomUUID(), take });
      expect(done.json()).toEqual({ written: take.length });
      const walk = await walkOf(member);
      expect(walk.answers.map(({ key }) => key)).toEqual(signed.answers.map(({ key }) => key));
      expect(walk.signature?.hash).toBe(signed.signature?.hash);
      expect((await member.get('/api/waters/hallow-mere')).body).not.toContain('Otherwise.');
      expect(
        (await member.post('/api/bundle/look', { file: bundle })).json<Look>().documents,
      ).not.toContainEqual(expect.objectContaining({ is: 'new' }));
    }
    expect((await bea.get('/api/waters/hallow-mere')).body).toContain('Otherwise.');
  });
});
