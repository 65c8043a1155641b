import { describe, expect, it } from 'vitest';
import type { Answer } from '#core/walkround/answerSchema';
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
      new ApiError(400, 'Bad input', [{ field: 'answers.0.at', message: 'A moment lies between 1900 and 2199.' }]),
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
  it('begin empty where what was kept cannot be read', () => {
    const d = desk();
    d.drawer.set('answers', '{half');
    expect(d.make().getState().unsent).toEqual([]);
  });
});
