import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import type { Outing } from '#core/documents/outing';
import { type SignedSnapshot, signedSnapshot } from '#core/signing/snapshot';
import { HOUR_MS } from '#core/units/time';
import { lastAnswers } from '#core/walkround/answers';
import { type TestApp, openApp } from '../testing/openApp';

let house: TestApp;
beforeAll(async () => {
  house = await openApp({ withDemo: true });
});
afterAll(() => house.close());

interface Walk {
  answers: { key: string }[];
  signature: { signedAt: string; hash: string; atWater: boolean; judged: SignedSnapshot } | null;
}
const frozen = (): SignedSnapshot => {
  const { references, outings, answers } = demo(house.now());
  return JSON.parse(
    JSON.stringify(signedSnapshot(outings[0] as Outing, references, lastAnswers(answers.answers))),
  ) as SignedSnapshot;
};
const send = async (judged: unknown, more: object = {}, id = 'pollack-long-grey') => {
  const at = new Date(house.now()).toISOString();
  const payload = { key: randomUUID(), signedAt: at, sentAt: at, judged, ...more };
  const reply = await house.app.inject({
    method: 'POST',
    url: `/api/outings/${id}/signatures-at-the-water`,
    payload,
  });
  return {
    status: reply.statusCode,
    body: reply.json<Walk & { errors: { field: string; message: string }[] }>(),
  };
};

describe('a signature made at the water', () => {
  it('is judged again from what it froze, sealed, and kept once however often it is sent', async () => {
    const key = randomUUID();
    const judged = frozen();
    const first = await send(judged, { key });
    expect(first.status).toBe(201);
    expect(first.body.signature).toMatchObject({
      atWater: true,
      hash: expect.stringMatching(/^[0-9a-f]{64}$/) as string,
    });
    house.wait(HOUR_MS / 2);
    const again = await send(judged, { key });
    expect(again.status).toBe(201);
    expect(again.body.signature?.signedAt).toBe(first.body.signature?.signedAt);
  });
  it('counts from when it was pressed, by the server’s clock, whatever the telephone’s says', async () => {
    const behind = house.now() - 5 * HOUR_MS;
    const { body } = await send(frozen(), {
      signedAt: new Date(behind - 20 * 60_000).toISOString(),
      sentAt: new Date(behind).toISOString(),
    });
    expect(house.now() - Date.parse(body.signature?.signedAt ?? '')).toBe(20 * 60_000);
  });
  it('is told apart from what stands at home now: both are kept', async () => {
    const judged = frozen();
    const changed = { ...judged, outing: { ...judged.outing, title: 'As it was at the water' } };
    const { status, body } = await send(changed);
    expect(status).toBe(201);
    expect(body.signature?.judged.outing.title).toBe('As it was at the water');
    const kept = await house.app.inject({ url: '/api/outings/pollack-long-grey' });
    expect(kept.json<{ doc: Outing }>().doc.title).toBe('Pollack beyond the Long Grey');
  });
  it('is refused with what bars it where the frozen content does not open the gate', async () => {
    const judged = frozen();
    const { status, body } = await send({
      ...judged,
      answers: judged.answers.filter(({ stepId }) => !stepId.startsWith('gate:')),
    });
    expect(status).toBe(422);
    expect(body.errors.map(({ field }) => field)).toContain('critical');
  });
  it.each([
    ['nothing', null],
    ['a text', 'signed'],
    ['half of one', { format: 'signed/2' }],
    ['one of another outing', { ...frozenOf('another') }],
  ])('is refused in words where it is %s', async (_, judged) => {
    const { status, body } = await send(judged);
    expect(status).toBe(400);
    expect(body.errors[0]?.message.length).toBeGreaterThan(5);
  });
});
function frozenOf(id: string): object {
  const { references, outings, answers } = demo(Date.parse('2026-05-15T19:00:00Z'));
  const [first] = outings as [Outing];
  return signedSnapshot({ ...first, id }, references, lastAnswers(answers.answers));
}
