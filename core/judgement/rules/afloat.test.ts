import { describe, expect, it } from 'vitest';
import type { Held, LadenBoat } from '../../boat/afloat';
import type { DrawnRange } from '../../boat/steadiness';
import type { Standing } from '../../boat/stability';
import { demo } from '../../demo/demo';
import { demoCraft } from '../../demo/boats';
import type { Craft } from '../../documents/craft';
import type { Outing } from '../../documents/outing';
import type { References } from '../../documents/references';
import type { Stance } from '../../vocabulary/boat';
import type { Mode } from '../../vocabulary/stow';
import { noAnswers } from '../../walkround/answers';
import { sayFinding } from '../allRules';
import { assess } from '../assess';
import type { Context } from '../context';
import { type afloatRules as all, afloatRules } from './afloat';

const [wagtail, dunlin] = demoCraft as [Craft, Craft];
const steady: Standing = {
  ...{ massKg: 130, draftM: 0.08, trimDeg: 0, freeboardM: 0.25, gmM: 0.4, heelDeg: 0, offM: 0 },
  leversM: [0, 8, 16, 24, 32, 38, 44, 52, 53, 51, 38, 12, -23].map((mm) => mm / 1000),
};
/** Levers like those, so much smaller. */
const weaker = (share: number) => ({
  leversM: steady.leversM.map((lever) => lever - 0.02 * share),
  gmM: 0.4 - share,
});

/** A laden boat that stands as it is told to, in any stance. */
const told = (
  now: Partial<Standing> | 'sinks',
  craft = wagtail,
  other: Partial<Record<Stance, Partial<Standing>>> = {},
  range: Record<keyof DrawnRange, Partial<Standing>> | null = null,
): LadenBoat => ({
  seated: 'seated low',
  in: (stance): Held => ({
    craft,
    massKg: 200,
    now: now === 'sinks' ? now : { ...steady, ...now, ...other[stance] },
  }),
  asDrawn: range && ((which): Held => ({ craft, massKg: 200, now: { ...steady, ...range[which] } })),
});
const angler = { massKg: 85, experience: 'experienced' };
type Code = (typeof all)[number]['code'];
const level = (
  code: Code,
  afloat: LadenBoat | null,
  standing = false,
  otherwiseAfloat: Context['otherwiseAfloat'] = [],
  day: Partial<Context['day']> = {},
) => {
  const rule = afloatRules.find((one) => one.code === code);
  const context = {
    afloat,
    otherwiseAfloat,
    outward: { standing },
    angler,
    day: { seas: [], waveM: null, breakerM: null, ...day },
  };
  return rule?.find(context as unknown as Context)[0]?.level ?? null;
};
const over = {
  leversM: [0, -2, -3, -4, -5, -6, -7, -8, -9, -10, -11, -12, -13].map((mm) => mm / 1000),
  gmM: -0.05,
};

describe('a boat afloat', () => {
  it.each<[string, Code, Partial<Standing>, Partial<Standing>, string]>([
    ['bow up', 'trim', { trimDeg: 2.01 }, { trimDeg: 2 }, 'mind'],
    ['bow down', 'trim', { trimDeg: -2.01 }, { trimDeg: -2 }, 'mind'],
    ['a little over to one side', 'heel', { heelDeg: 1.51 }, { heelDeg: 1.49 }, 'note'],
    ['over to one side', 'heel', { heelDeg: 3.01 }, { heelDeg: 1.4 }, 'mind'],
    ['far over', 'heel', { heelDeg: 6.01 }, { heelDeg: 1.4 }, 'stop'],
    ['low', 'freeboard', { freeboardM: 0.094 }, { freeboardM: 0.096 }, 'note'],
    ['very low', 'freeboard', { freeboardM: 0.069 }, { freeboardM: 0.1 }, 'mind'],
    ['awash', 'freeboard', { freeboardM: 0.039 }, { freeboardM: 0.1 }, 'stop'],
    ['with nothing that rights it', 'unsteady', over, {}, 'stop'],
  ])('is told of: %s', (_, code, above, under, wanted) => {
    expect(level(code, told(above))).toBe(wanted);
    expect(level(code, told(under))).toBeNull();
  });
  it('wants more side over the water in waves', () => {
    expect(level('freeboard', told({ freeboardM: 0.15 }), false, [], { waveM: 0.4 })).toBe('note');
    expect(level('freeboard', told({ freeboardM: 0.15 }))).toBeNull();
  });
  it('that is only drawn brings a Stop only where the steadiest it may be fails as well, and a Mind where the middle does', () => {
    const drawn = (middle: Partial<Standing>, steadiest: Partial<Standing>) =>
      level('unsteady', told(over, dunlin, {}, { middle, steadiest }));
    expect([drawn({}, {}), drawn(over, {}), drawn(over, over)]).toEqual(['note', 'mind', 'stop']);
  });
  it('is judged as it is laden in every mode, and the worst of them told once', () => {
    const launching = (now: Partial<Standing>) => [{ mode: 'launch' as const, empty: true, boat: told(now) }];
    expect(level('trim', told({ trimDeg: 1 }), false, launching({ trimDeg: 2.5 }))).toBe('mind');
    expect(level('trim', told({ trimDeg: 1 }), false, launching({ trimDeg: 1.5 }))).toBeNull();
    expect(level('unsteady', told({}), false, launching(over))).toBe('stop');
    expect(level('freeboard', null, false, launching({ freeboardM: 0.06 }))).toBe('mind');
  });
  it('is asked to bear the breakers where they are crossed, and not while fishing', () => {
    const high = weaker(0.8);
    const surf = { breakerM: 0.5 };
    const launching = [{ mode: 'launch' as const, empty: true, boat: told(high) }];
    expect(level('unsteady', told(high), false, [], surf)).toBeNull();
    expect(level('unsteady', told(high), false, launching, surf)).toBe('mind');
  });
  it('is asked to carry one standing only where one means to stand, before the catch as after it', () => {
    const tippy = told({}, wagtail, { standing: over });
    expect([level('standing-unsteady', tippy, true), level('standing-unsteady', tippy)]).toEqual([
      'stop',
      null,
    ]);
    const lain = (mode: Mode) => [{ mode, empty: true, boat: tippy }];
    expect(level('standing-unsteady', told({}), true, lain('fish'))).toBe('stop');
    expect(level('standing-unsteady', told({}), true, lain('launch'))).toBeNull();
    expect(level('standing-unsteady', told(over, wagtail), true), 'told of it seated already').toBeNull();
  });
  it('that sinks is told as that, and as nothing else', () => {
    const ofALoad = afloatRules.filter(({ code }) => code !== 'hull-not-drawn');
    expect(
      ofALoad.filter(({ code }) => level(code, told('sinks'), true) !== null).map(({ code }) => code),
    ).toEqual(['sinks']);
  });
});

describe('an outing in a boat', () => {
  const now = Date.parse('2026-05-15T19:00:00Z');
  const { references, outings } = demo(now);
  const ready = outings.find(({ id }) => id === 'pollack-long-grey') as Outing;
  const codes = (outing: Outing, refs: References = references) =>
    assess(outing, refs, noAnswers, now).findings.map(({ facts }) => facts.code as string);
  const changed = (change: Partial<Craft>): References => ({
    ...references,
    craft: references.craft.map((one) => (one.id === ready.brief.craftId ? { ...one, ...change } : one)),
  });
  it('is told that nobody has drawn it, and nothing is made up of how it lies', () => {
    const found = codes(ready, changed({ shape: null }));
    expect(found).toContain('hull-not-drawn');
    expect(found.filter((code) => afloatRules.some((rule) => rule.code === code))).toEqual([
      'hull-not-drawn',
    ]);
  });
  it('sits to fish where standing is too much, and that settles it', () => {
    const narrow = changed({ beamM: 0.8 });
    const standing = { ...ready, brief: { ...ready.brief, standing: true } };
    const finding = assess(standing, narrow, noAnswers, now).findings.find(
      ({ facts }) => facts.code === 'standing-unsteady',
    );
    expect(finding?.repairs[0]).toEqual({ do: 'sit-to-fish' });
    expect(finding && sayFinding(finding.facts).text).toMatch(/By its inclining test\.$/);
  });
  it('is less steady by what is fitted high; the seat lowered by another set-up settles it, for this outing alone', () => {
    const wide = { ...ready, brief: { ...ready.brief, setUpId: 'wide' } };
    const refs = changed({ seat: { xM: 1.72, lowM: 0.16, highM: 0.5 } });
    const unsteady = assess(wide, refs, noAnswers, now).findings.find(
      ({ facts }) => facts.code === 'unsteady',
    );
    expect(unsteady?.repairs[0]).toMatchObject({ do: 'set-set-up', setUp: { id: 'bare' } });
    expect(codes(ready, refs)).not.toContain('unsteady');
    expect(
      codes({ ...wide, brief: { ...wide.brief, setUpId: 'long-gone' } }, refs),
      'as it stands',
    ).not.toContain('unsteady');
  });
});
