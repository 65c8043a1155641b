import { describe, expect, it } from 'vitest';
import { kinds } from '../catalog/gear/kinds';
import { demoProcedures } from '../demo/procedures';
import { forms } from '../documents/forms';
import { type Procedure, procedureOccasions, procedureSchema } from '../documents/procedure';
import { type ProcedureFacts, allProcedures, proceduresFor, sayWhen } from './procedures';
import { shippedProcedures } from './shippedProcedures';

const calm: ProcedureFacts = {
  exposures: { breakerM: null, rapids: 0, darkMinutes: 0, solo: false, waterC: 22, party: 1 },
  craft: null,
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
    expect(namesFor({ aboard: new Set(['drogue', 'pump', 'net']) })).toEqual([
      'capsize',
      'drogue-in',
      'pump-out',
    ]);
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
    expect(proceduresFor(list, { ...calm, ...facts }).map(({ occasions }) => occasions)).toEqual([
      [occasion],
    ]);
  });
  it('reads as things are there: only with what is aboard, in that water, in that boat', () => {
    const steps = (id: string, facts: Partial<ProcedureFacts>) =>
      (
        proceduresFor(allProcedures([]), { ...calm, ...facts }).find((each) => each.id === id) as Procedure
      ).steps.join(' ');
    const pedals = {
      name: 'Dipper',
      colour: 'red',
      deck: 'sit-on-top',
      drive: 'pedal',
      hatches: 0,
      seat: null,
    } as const;
    const warm = steps('capsize', { aboard: new Set(['paddle', 'whistle']) });
    expect(warm).toMatch(
      /Hold on to the boat .* the paddle with the other hand.*Count: yourself, paddle and whistle\./u,
    );
    expect(warm).not.toMatch(/gasping|Hands|fins|radio/u);
    const cold = steps('capsize', {
      exposures: { ...calm.exposures, waterC: 9 },
      craft: pedals,
      aboard: new Set(['vhf-radio', 'stirrup']),
    });
    expect(cold).toMatch(/water at 9 °C the gasping.*Hands serve for some 10 min\b.*clear of the fins/u);
    expect(cold).toMatch(/a foot in the step.*Count: yourself and radio\./u);
    expect(cold).not.toMatch(/the paddle with|whistle/u);
    expect(steps('pump-out', { aboard: new Set(['bailer']), craft: pedals })).toMatch(
      /^(?!.*(No hatch|tape)).*Bail and/u,
    );
    expect(steps('pump-out', { aboard: new Set(['pump', 'putty']) })).toMatch(
      /Plug or tape it\..*hatch.*Pump and/u,
    );
    expect(steps('anchor-left', { aboard: new Set(['grapnel-anchor']) })).not.toMatch(/Open the release/u);
    expect(steps('anchor-left', { aboard: new Set(['anchor']) })).toMatch(/Open the release/u);
    expect(steps('radio-call', { aboard: new Set(['vhf-radio']), craft: pedals })).toContain(
      'This is Dipper, Dipper, Dipper, red, open kayak.',
    );
  });
  it('written by the angler stands as written', () => {
    const mine = one({ inPlaceOf: 'capsize', occasions: ['always'], steps: ['Breathe.'] });
    expect(proceduresFor(allProcedures([mine]), calm)[0]?.steps).toEqual(['Breathe.']);
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
    expect(sayWhen(one({ occasions: ['always', 'alone'], kinds: ['drogue'] }), name)).toBe(
      'with every outing',
    );
    expect(sayWhen(one({ occasions: ['alone', 'in the dark'] }), name)).toBe(
      'with outings alone or in the dark',
    );
    expect(sayWhen(one({ kinds: ['drogue'] }), name)).toBe(`with ${name('drogue')} aboard`);
    expect(sayWhen(one({ occasions: ['in surf'], kinds: ['pump', 'bailer'] }), name)).toBe(
      `with outings in surf, and with one of these aboard: ${name('pump')}; ${name('bailer')}`,
    );
  });
});
