import { describe, expect, it } from 'vitest';
import type { Answer } from '#core/walkround/answerSchema';
import { ApiError } from '../app/api';
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
  const arrived: string[] = [];
  const drawer = new Map<string, string>();
  let retry: (() => void) | null = null;
  const make = () =>
    new AnswerQueue('answers', {
      send: async (answers) => {
        await Promise.resolve();
        if (trouble) throw trouble;
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
  return { make, arrived, drawer, fail: (error: ApiError | null) => (trouble = error), retry: () => retry?.() };
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
  it('that are refused are let go, with the reason', async () => {
    const d = desk();
    d.fail(new ApiError(400, 'Bad input', [{ field: 'answers.0.at', message: 'This moment has not come yet.' }]));
    const queue = d.make();
    queue.add(answer('a'));
    expect(await queue.flush()).toBe(true);
    expect(queue.getState()).toEqual({ unsent: [], refused: 'This moment has not come yet.' });
  });
});
