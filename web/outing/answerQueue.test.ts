import { describe, expect, it } from 'vitest';
import type { Answer } from '#core/documents/answer';
import { ApiError } from '../documents/api';
import { AnswerQueue } from './answerQueue';

let count = 0;
const answer = (stepId: string): Answer => ({
  key: `key-${(count += 1)}`,
  stepId,
  verdict: 'good',
  at: '2026-05-15T19:00:00Z',
  note: '',
});

function desk() {
  let trouble: ApiError | null = null;
  let refused = '';
  const arrived: string[] = [];
  const drawer = new Map<string, string>();
  let retry: (() => void) | null = null;
  const make = () =>
    new AnswerQueue<Answer>('answers', {
      send: async (answers) => {
        await Promise.resolve();
        if (trouble) throw trouble;
        if (answers.some((one) => one.stepId === refused)) throw new ApiError(400, 'Bad input', []);
        arrived.push(...answers.map((one) => one.stepId));
      },
      storage: {
        getItem: (key) => drawer.get(key) ?? null,
        setItem: (key, value) => void drawer.set(key, value),
        removeItem: (key) => void drawer.delete(key),
      },
      later: (work) => {
        retry = work;
        return () => (retry = null);
      },
    });
  return {
    make,
    arrived,
    drawer,
    fail: (error: ApiError | null) => (trouble = error),
    refuse: (stepId: string) => (refused = stepId),
    retry: () => retry?.(),
  };
}

describe('answers on their way', () => {
  it('arrive once each and in order, however fast they are given', async () => {
    const d = desk();
    const queue = d.make();
    for (const step of ['a', 'b', 'c', 'd']) queue.add(answer(step));
    expect(await queue.flush()).toBe(true);
    expect(d.arrived).toEqual(['a', 'b', 'c', 'd']);
    expect(d.drawer.size).toBe(0);
  });
  it('outlive a silent server and a closed window', async () => {
    const d = desk();
    d.fail(new ApiError(0, 'silent'));
    const first = d.make();
    first.add(answer('a'));
    expect(await first.flush()).toBe(false);
    d.fail(null);
    const second = d.make();
    d.retry();
    expect(await second.flush()).toBe(true);
    expect(d.arrived).toEqual(['a']);
  });
  it('that are refused stay on the device with the reason, and are sent again when asked', async () => {
    const d = desk();
    d.fail(
      new ApiError(400, 'Bad input', [
        { field: 'answers.0.at', message: 'A moment lies between 1900 and 2199.' },
      ]),
    );
    const queue = d.make();
    const refused = answer('a');
    queue.add(refused);
    expect(await queue.flush()).toBe(false);
    expect(queue.getState()).toEqual({
      unsent: [],
      held: [refused],
      refused: 'A moment lies between 1900 and 2199.',
      unkept: false,
    });
    expect(d.drawer.get('answers')).toContain(refused.key);
    d.fail(null);
    queue.again();
    expect(await queue.flush()).toBe(true);
    expect(d.arrived).toEqual(['a']);
    expect(d.drawer.size).toBe(0);
  });
  it('do not wait behind one that is refused', async () => {
    const d = desk();
    d.refuse('b');
    const queue = d.make();
    for (const step of ['a', 'b', 'c']) queue.add(answer(step));
    expect(await queue.flush()).toBe(false);
    expect(d.arrived).toEqual(['a', 'c']);
    expect(queue.getState().held.map(({ stepId }) => stepId)).toEqual(['b']);
  });
  it('on a full device are said to be in this page alone, and sent all the same', async () => {
    const arrived: string[] = [];
    const queue = new AnswerQueue<Answer>('answers', {
      send: async (answers) => {
        await Promise.resolve();
        if (arrived.length === 0) {
          arrived.push('silent');
          throw new ApiError(0, 'silent');
        }
        arrived.push(...answers.map((one) => one.stepId));
      },
      storage: {
        getItem: () => null,
        setItem: () => {
          throw new DOMException('full', 'QuotaExceededError');
        },
        removeItem: () => undefined,
      },
      later: () => () => undefined,
    });
    queue.add(answer('a'));
    await queue.flush();
    expect(queue.getState()).toMatchObject({ unkept: true, unsent: [{ stepId: 'a' }] });
    await queue.flush();
    expect(arrived).toEqual(['silent', 'a']);
    expect(queue.getState().unkept).toBe(false);
  });
  it('that a killed browser had put away are taken up once, before what came since', async () => {
    const arrived: string[] = [];
    const [first, second, since] = [answer('first'), answer('second'), answer('since')];
    const queue = new AnswerQueue<Answer>('answers', {
      send: async (answers) => {
        await Promise.resolve();
        arrived.push(...answers.map((one) => one.stepId));
      },
      storage: {
        getItem: () => JSON.stringify([first]),
        setItem: () => undefined,
        removeItem: () => undefined,
        late: () => Promise.resolve(JSON.stringify([first, second])),
      },
      later: () => () => undefined,
    });
    queue.add(since);
    await new Promise((done) => setTimeout(done, 5));
    expect(await queue.flush()).toBe(true);
    expect(arrived.toSorted()).toEqual(['first', 'second', 'since']);
  });
  it('wait longer each time the server is silent, to a minute', async () => {
    const waits: number[] = [];
    const queue = new AnswerQueue<Answer>('answers', {
      send: () => Promise.reject(new ApiError(0, 'silent')),
      storage: { getItem: () => null, setItem: () => undefined, removeItem: () => undefined },
      later: (_, ms) => {
        waits.push(ms);
        return () => undefined;
      },
    });
    queue.add(answer('a'));
    for (let i = 0; i < 8; i += 1) await queue.flush();
    expect(waits[0]).toBeLessThanOrEqual(10_000);
    expect(waits).toEqual(waits.toSorted((a, b) => a - b));
    expect(waits.at(-1)).toBe(60_000);
  });
  it('begin empty where what was kept cannot be read', () => {
    const d = desk();
    d.drawer.set('answers', '{half');
    expect(d.make().getState().unsent).toEqual([]);
  });
});
