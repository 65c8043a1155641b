import { describe, expect, it } from 'vitest';
import { kinds } from '../catalog/gear/kinds';
import { demoProcedures } from '../demo/procedures';
import { forms } from '../documents/forms';
import { type Procedure, procedureOccasions, procedureSchema } from '../documents/procedure';
import { type ProcedureFacts, allProcedures, proceduresFor, sayWhen } from './procedures';
import { shippedProcedures } from './shippedProcedures';

const calm: ProcedureFacts = {
  exposures: { breakerM: null, rapids: 0, darkMinutes: 0, solo: false },
  setting: 'still',
  aboard: new Set(),
};
const one = (more: Partial<Procedure>): Procedure => ({
  format: forms.procedures,
  id: 'one',
  name: 'One',
  inPlaceOf: null,
  occasions: [],
  kinds: [],
  steps: ['Do it.'],
  ...more,
});
const namesFor = (facts: Partial<ProcedureFacts>) =>
  proceduresFor(allProcedures([]), { ...calm, ...facts }).map(({ id }) => id);

describe('a procedure', () => {
  it('that ships or comes with the sample is a document like any other, under a name of its own', () => {
    const all = [...shippedProcedures, ...demoProcedures];
    for (const procedure of all) expect(procedureSchema.parse(procedure)).toEqual(procedure);
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    for (const { inPlaceOf } of demoProcedures)
      if (inPlaceOf !== null) expect(shippedProcedures.map(({ id }) => id)).toContain(inPlaceOf);
  });
  it.each([
    [{ steps: [] }, 'Write its steps, one to a line.'],
    [{ steps: ['  '] }, 'A step says what is done.'],
    [{ steps: Array.from({ length: 13 }, () => 'Again.') }, 'At most 12 steps: more are not remembered.'],
    [{ name: ' ' }, 'Give it a name.'],
    [{ kinds: ['cannon'] }, 'Choose a kind.'],
  ])('is refused with a reason: %j', (wrong, message) => {
    const result = procedureSchema.safeParse({ ...one({}), ...wrong });
    expect(result.error?.issues.map((issue) => issue.message)).toEqual([message]);
  });
});

describe('which are gone through with an outing', () => {
  it('a capsize always, the rest by what is aboard and what one meets', () => {
    expect(namesFor({})).toEqual(['capsize']);
    expect(namesFor({ aboard: new Set(['fluke-anchor']) })).toEqual(['capsize', 'anchor-out', 'anchor-left']);
    expect(namesFor({ aboard: new Set(['drogue', 'pump', 'net']) })).toEqual(['capsize', 'drogue-in', 'pump-out']);
    expect(namesFor({ exposures: { ...calm.exposures, breakerM: 0.4 } })).toEqual(['capsize', 'surf-in']);
  });
  it.each([
    ['at sea', { setting: 'coast' }],
    ['in surf', { exposures: { ...calm.exposures, breakerM: 0.3 } }],
    ['in rapids', { exposures: { ...calm.exposures, rapids: 2 } }],
    ['in the dark', { exposures: { ...calm.exposures, darkMinutes: 10 } }],
    ['alone', { exposures: { ...calm.exposures, solo: true } }],
  ] as const)('one for outings %s by that alone', (occasion, facts) => {
    const list = procedureOccasions
      .filter((each) => each !== 'always')
      .map((each) => one({ id: each.replaceAll(' ', '-'), occasions: [each] }));
    expect(proceduresFor(list, calm)).toEqual([]);
    expect(proceduresFor(list, { ...calm, ...facts }).map(({ occasions }) => occasions)).toEqual([[occasion]]);
  });
  it('one for nothing is looked up only', () => {
    expect(proceduresFor([one({})], { ...calm, aboard: new Set(['anchor']) })).toEqual([]);
    expect(sayWhen(one({}), (kind) => kinds[kind].name)).toBeNull();
  });
});

describe('those kept', () => {
  it('stand where the one that ships stood, and beside the rest', () => {
    const mine = one({ id: 'mine', inPlaceOf: 'capsize' });
    const also = one({ id: 'also', inPlaceOf: 'capsize' });
    const lost = one({ id: 'lost', inPlaceOf: 'of-a-newer-program' });
    const ids = allProcedures([lost, mine, also]).map(({ id }) => id);
    expect(ids.slice(0, 3)).toEqual(['mine', 'also', 'anchor-out']);
    expect(ids.at(-1)).toBe('lost');
    expect(ids).not.toContain('capsize');
  });
  it('say in words with which outings they are gone through', () => {
    const name = (kind: keyof typeof kinds) => kinds[kind].name.toLowerCase();
    expect(sayWhen(one({ occasions: ['always', 'alone'], kinds: ['drogue'] }), name)).toBe('with every outing');
    expect(sayWhen(one({ occasions: ['alone', 'in the dark'] }), name)).toBe('with outings alone or in the dark');
    expect(sayWhen(one({ kinds: ['drogue'] }), name)).toBe(`with ${name('drogue')} aboard`);
    expect(sayWhen(one({ occasions: ['in surf'], kinds: ['pump', 'bailer'] }), name)).toBe(
      `with outings in surf, and with one of these aboard: ${name('pump')}; ${name('bailer')}`,
    );
  });
});
