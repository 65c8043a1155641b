import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { sayFinding } from '../judgement/allRules';
import { assess } from '../judgement/assess';
import { sayBar } from '../judgement/gate';
import { kindIds, kinds } from '../catalog/gear/kinds';
import { places } from '../catalog/gear/places';
import { withItem } from '../editing/edit';
import type { Craft } from '../documents/craft';
import type { Outing } from '../documents/outing';
import { DAY_MS, HOUR_MS } from '../units/time';
import {
  type Answers,
  craftFaults,
  lastAnswers,
  noAnswers,
  standingAnswers,
  takenByAnswers,
  withEarlier,
} from './answers';
import type { Answer } from '../documents/answer';
import { hullLooks } from './hullParts';
import { phases } from './steps';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings, answers: given } = demo(now);
const [ready, dusk] = outings as [Outing, Outing];
const good = lastAnswers(given.answers);
const grey = references.craft.find(({ id }) => id === ready.brief.craftId) as Craft;
const say = (stepId: string, verdict: Answer['verdict'], at = '2026-05-15T19:00:00Z'): Answer => ({
  key: crypto.randomUUID(),
  stepId,
  verdict,
  at,
  note: '',
});
const judge = (outing: Outing, answers: Answers = good, at = now) => assess(outing, references, answers, at);

describe('steps', () => {
  const { steps } = judge(ready);
  it('go evening, vehicle, bow to stern, head to foot, gate', () => {
    const order = steps.map(
      (step) => phases.indexOf(step.phase) * 100 + (step.place ? places[step.place].order : 0),
    );
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    expect(steps.at(-1)?.id).toBe('gate:weather');
    expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length);
  });
  it('each say what to look at, how, and what bad looks like', () => {
    for (const step of steps)
      expect([step.title, step.how, step.bad].every((text) => text.length > 2)).toBe(true);
    for (const kind of kindIds) expect(kinds[kind].look.how).toMatch(/\.$/);
  });
  it('are made from the boat that goes: drive well and chambers only where there are any', () => {
    const has = (outing: Outing, part: string) =>
      judge(outing).steps.some((step) => step.id === `hull:${part}`);
    expect([has(ready, 'drive-well'), has(ready, 'chambers')]).toEqual([true, false]);
    expect([has(dusk, 'drive-well'), has(dusk, 'chambers')]).toEqual([false, true]);
  });
  it('look at each drain plug by itself, by its name or by its number', () => {
    const looks = (change: Partial<Craft>) =>
      hullLooks({ ...grey, ...change }).flatMap(({ part, title }) => (part === 'plugs' ? [title] : []));
    expect(looks({ drainPlugs: 2, plugNames: 'bow, stern' })).toEqual([
      'Drain plug, bow',
      'Drain plug, stern',
    ]);
    expect(looks({ drainPlugs: 2, plugNames: 'stern' })).toEqual(['Drain plug, stern', 'Drain plug 2 of 2']);
    expect(looks({ drainPlugs: 1, plugNames: '' })).toEqual(['Drain plug']);
    expect(looks({ drainPlugs: 0, plugNames: 'stern' })).toEqual([]);
    const answers = lastAnswers([...given.answers, say('hull:plugs-2', 'not here')]);
    const found = judge(ready, answers).findings.find(({ facts }) => facts.code === 'craft-fault');
    expect(found && sayFinding(found.facts).title).toBe('Drain plug, stern: not there');
  });
  it('are critical where life or law hangs on the thing, and stay so after a fault', () => {
    const step = (answers: Answers) =>
      judge(ready, answers).steps.find((one) => one.id === 'item:foam-jacket');
    expect(step(good)?.critical).toBe(true);
    expect(step(lastAnswers([...given.answers, say('item:foam-jacket', 'fault')]))?.critical).toBe(true);
  });
  it('look at a thing once: what no life hangs on lies with others in one list, by place', () => {
    const { steps: all } = judge(ready);
    const listedIds = all.flatMap(({ items }) => items.map(({ stepId }) => stepId));
    const alone = all.map(({ id }) => id);
    for (const { itemId } of ready.loadout) {
      const at = [...listedIds, ...alone].filter((id) => id === `item:${itemId}`);
      expect(at, itemId).toHaveLength(1);
    }
    expect(listedIds).toContain('item:hat');
    for (const { critical, items } of all) expect(critical && items.length > 0).toBe(false);
    expect(all.length).toBeLessThanOrEqual(47);
  });
  it('of a list are asked again when something else lies in it, and not when its order changes', () => {
    const lists = (outing: Outing) =>
      judge(outing).steps.flatMap(({ id }) => (id.startsWith('list:') ? [id] : []));
    const before = lists(ready);
    expect(lists({ ...ready, loadout: ready.loadout.toReversed() }).toSorted()).toEqual(before.toSorted());
    const more = lists(
      withItem(ready, 'sponge', ready.loadout.some(({ itemId }) => itemId === 'sponge') ? 0 : 1),
    );
    expect(more).not.toEqual(before);
    expect(more.filter((id) => before.includes(id)).length).toBeGreaterThan(0);
    for (const id of before) expect(id).toMatch(/^[a-z0-9:-]{1,100}$/);
  });
});

describe('answers', () => {
  it('count by the last word, the word at the water before the evening’s', () => {
    const taken = takenByAnswers(
      lastAnswers([
        say('evening:radio', 'fault'),
        say('item:radio', 'good'),
        say('item:flag', 'good'),
        say('item:flag', 'not here'),
      ]),
    );
    expect([...taken.fault, ...taken.missing]).toEqual(['flag']);
    const faults = craftFaults(
      lastAnswers([say('hull:plugs', 'not here'), say('hull:plugs-2', 'fault'), say('hull:keel', 'good')]),
    );
    expect(faults).toEqual([
      { part: 'plugs', nth: 1, missing: true },
      { part: 'plugs', nth: 2, missing: false },
    ]);
  });
  it('of the evening before another outing stand for three days where use changes nothing, and are not asked again', () => {
    const cart = references.items.find(({ kind }) => kind === 'cart');
    if (!cart) throw new Error('There is a cart in the demo locker.');
    const outing = withItem(ready, cart.id, 1);
    const evenings = (answers: Answers, at = now) =>
      judge(outing, answers, at).steps.flatMap(({ id, items }) => [id, ...items.map(({ stepId }) => stepId)]);
    const asked = `evening:${cart.id}`;
    expect(evenings(noAnswers)).toContain(asked);
    const earlier = [
      { itemId: cart.id, at: new Date(now - 2 * DAY_MS).toISOString() },
      { itemId: 'headlamp', at: new Date(now - 2 * DAY_MS).toISOString() },
    ];
    const carried = withEarlier(noAnswers, earlier, now);
    expect(evenings(carried)).not.toContain(asked);
    expect(evenings(carried), 'at the water it is looked at all the same').toContain(`item:${cart.id}`);
    expect(evenings(carried), 'what runs down is asked again').toContain('evening:headlamp');
    expect(withEarlier(noAnswers, earlier, now + 2 * DAY_MS), 'after three days it no longer stands').toBe(
      noAnswers,
    );
  });
  it('of good stand for eighteen hours; a fault stands until it is answered anew', () => {
    const record = [say('item:radio', 'good'), say('item:flag', 'fault')];
    expect([...standingAnswers(record, now + 18 * HOUR_MS).keys()]).toEqual(['item:radio', 'item:flag']);
    expect([...standingAnswers(record, now + 18 * HOUR_MS + 1000).keys()]).toEqual(['item:flag']);
  });
  it('the answer given last counts, also where an older one arrives after it or is sent again', () => {
    const at = (clock: string, verdict: Answer['verdict']) => ({
      ...say('item:radio', verdict),
      at: `2026-05-16T${clock}:00.000Z`,
    });
    const [five, six] = [at('05:00', 'good'), at('06:00', 'fault')];
    for (const record of [
      [five, six],
      [six, five],
      [six, five, five],
    ])
      expect(lastAnswers(record).get('item:radio')?.verdict).toBe('fault');
    // Of one moment the later in the record.
    expect(lastAnswers([six, at('06:00', 'good')]).get('item:radio')?.verdict).toBe('good');
  });
});

describe('the gate', () => {
  const bars = (outing: Outing, answers: Answers = good, at = now) =>
    judge(outing, answers, at).gate.bars.map((bar) => bar.bar);
  it('opens when nothing stands against it', () => expect(judge(ready).gate.open).toBe(true));
  it('stays shut for a Stop, an unanswered Mind, a critical step that is not good, an old forecast', () => {
    expect(bars(withItem(ready, 'radio', 0))).toContain('stops');
    expect(bars(withItem(ready, 'drive-leash', 0))).toEqual(['minds']);
    expect(bars(ready, noAnswers)).toEqual(['critical']);
    const dated = (takenAt: string) => ({ ...ready, conditions: { ...ready.conditions, takenAt } });
    const unseen = lastAnswers(given.answers.filter((one) => one.stepId !== 'gate:weather'));
    // One that is dated in the future, beyond what clocks differ by, was not looked at.
    const barred = (takenAt: string) =>
      assess(dated(takenAt), references, unseen, now).gate.bars.some(({ bar }) => bar === 'forecast');
    expect(barred('2026-05-15T19:29:00Z')).toBe(false);
    expect(barred('2026-05-15T19:31:00Z')).toBe(true);
    expect(
      bars(ready, lastAnswers(given.answers.filter((one) => one.stepId !== 'gate:weather')), now),
    ).toEqual(['critical']);
    const older = {
      ...ready,
      conditions: { ...ready.conditions, takenAt: new Date(now - 3 * HOUR_MS).toISOString() },
    };
    const unlooked = lastAnswers(
      given.answers.map((one) =>
        one.stepId === 'gate:weather' ? { ...one, at: new Date(now - 3 * HOUR_MS).toISOString() } : one,
      ),
    );
    expect(bars(older, unlooked)).toEqual(['forecast']);
    expect(bars(older, good), 'looked at again on the walk-round').toEqual([]);
  });
  it('says each bar in a sentence', () => {
    for (const bar of judge(dusk, noAnswers, now + 5 * HOUR_MS).gate.bars)
      expect(sayBar(bar)).toMatch(/^[A-Z0-9].*\.$/);
  });
});

describe('a thing that failed in the evening and is good at the water', () => {
  const told = (evening: Answer['verdict'], water: Answer['verdict'] | null, note = '') => {
    const answers = lastAnswers([
      ...given.answers.filter(({ stepId }) => !stepId.endsWith(':radio')),
      { ...say('evening:radio', evening, '2026-05-15T18:00:00Z'), note },
      ...(water === null ? [] : [say('item:radio', water, '2026-05-15T18:50:00Z')]),
    ]);
    const found = judge(ready, answers).findings.find(({ facts }) => facts.code === 'good-again');
    return found && { level: found.level, answerable: found.answerable, ...sayFinding(found.facts) };
  };
  it('is asked what was done about it', () => {
    expect(told('fault', 'good', 'It does not charge.')).toMatchObject({ level: 'mind', answerable: true });
    expect(told('fault', 'good', 'It does not charge.')?.text).toMatch(
      /^You wrote “It does not charge”\. Say what was done/u,
    );
    expect(told('not here', 'good')?.text).toBe('Say where it was.');
  });
  it('is not, where it was good in the evening, or is at fault still', () => {
    expect([told('good', 'good'), told('fault', 'fault'), told('fault', null)]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
});
