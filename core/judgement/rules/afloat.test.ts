import { describe, expect, it } from 'vitest';
import type { Held, LadenBoat } from '../../boat/afloat';
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
const alone: Standing = { massKg: 130, draftM: 0.08, trimDeg: 0, freeboardM: 0.25, gmM: 0.4, heelDeg: 0, areaM: 0.01 };

/** A laden boat that stands as it is told to, in any stance. */
const told = (
  now: Partial<Standing> | 'sinks',
  craft = wagtail,
  other: Partial<Record<Stance, Partial<Standing>>> = {},
): LadenBoat => ({
  seated: 'seated low',
  in: (stance): Held => ({
    craft,
    massKg: 200,
    now: now === 'sinks' ? now : { ...alone, ...now, ...other[stance] },
    alone,
  }),
});
type Code = (typeof all)[number]['code'];
const level = (
  code: Code,
  afloat: LadenBoat | null,
  standing = false,
  otherwiseAfloat: Context['otherwiseAfloat'] = [],
) => {
  const rule = afloatRules.find((one) => one.code === code);
  return rule?.find({ afloat, otherwiseAfloat, outward: { standing } } as unknown as Context)[0]?.level ?? null;
};

describe('a boat afloat', () => {
  it.each<[string, Code, Partial<Standing>, Partial<Standing>, string]>([
    ['bow up', 'trim', { trimDeg: 2.01 }, { trimDeg: 2 }, 'mind'],
    ['bow down', 'trim', { trimDeg: -2.01 }, { trimDeg: -2 }, 'mind'],
    ['over to one side', 'heel', { heelDeg: 1.51 }, { heelDeg: 1.5 }, 'mind'],
    ['far over', 'heel', { heelDeg: 4.01 }, { heelDeg: 1.5 }, 'stop'],
    ['low', 'freeboard', { freeboardM: 0.099 }, { freeboardM: 0.1 }, 'mind'],
    ['less steady by its first lean', 'unsteady', { gmM: 0.239 }, { gmM: 0.24 }, 'mind'],
    ['hardly steady', 'unsteady', { gmM: 0.119 }, { gmM: 0.24 }, 'stop'],
    ['less steady farther over', 'unsteady', { areaM: 0.0059 }, { areaM: 0.006 }, 'mind'],
    ['with no upright rest', 'unsteady', { gmM: -0.01 }, { gmM: 0.3 }, 'stop'],
  ])('is told of: %s', (_, code, over, under, wanted) => {
    expect(level(code, told(over))).toBe(wanted);
    expect(level(code, told(under))).toBeNull();
  });
  it('that is drawn and not inclined brings Minds at most, and nothing is said of how it leans; by its offsets a lean is a Mind', () => {
    expect(level('unsteady', told({ gmM: 0.05 }, dunlin))).toBe('mind');
    expect(level('heel', told({ heelDeg: 9 }, dunlin))).toBe('mind');
    const leaning = { leaning: { heelDeg: null } };
    expect(level('lean-capsizes', told({}, dunlin, leaning))).toBeNull();
    const measured = { ...dunlin, shape: dunlin.shape && { ...dunlin.shape, stations: [] } };
    expect(level('lean-capsizes', told({}, measured, leaning))).toBe('mind');
    expect(level('lean-capsizes', told({}, wagtail, leaning))).toBe('stop');
    expect(level('lean-capsizes', told({}, wagtail))).toBeNull();
    expect(level('lean-capsizes', told({}, wagtail, { 'reaching astern': { heelDeg: null } }))).toBe('mind');
  });
  it('is judged as it is laden in every mode, and the worst of them told', () => {
    const launching = (now: Partial<Standing>) => [{ mode: 'launch' as const, empty: true, boat: told(now) }];
    expect(level('trim', told({ trimDeg: 1 }), false, launching({ trimDeg: 2.5 }))).toBe('mind');
    expect(level('trim', told({ trimDeg: 1 }), false, launching({ trimDeg: 1.5 }))).toBeNull();
    expect(level('unsteady', told({}), false, launching({ gmM: 0.1 }))).toBe('stop');
    expect(level('freeboard', null, false, launching({ freeboardM: 0.09 }))).toBe('mind');
  });
  it('bears a lean in every mode, and one who stands to fish before the catch as after it', () => {
    const lain = (mode: Mode, stances: Partial<Record<Stance, Partial<Standing>>>) => [
      { mode, empty: true, boat: told({}, wagtail, stances) },
    ];
    expect(level('lean-capsizes', told({}), false, lain('land', { leaning: { heelDeg: null } }))).toBe('stop');
    const tippy = { standing: { gmM: 0.04 } };
    expect(level('standing-unsteady', told({}), true, lain('fish', tippy))).toBe('stop');
    expect(level('standing-unsteady', told({}), true, lain('launch', tippy))).toBeNull();
  });
  it('is asked to carry one standing only where one means to stand', () => {
    const upright = told({}, wagtail, { standing: { gmM: 0.05 } });
    expect([level('standing-unsteady', upright, true), level('standing-unsteady', upright)]).toEqual(['stop', null]);
    expect(level('standing-unsteady', told({}, wagtail, { standing: { gmM: 0.051 } }), true)).toBeNull();
  });
  it('that sinks is told as that, and as nothing else', () => {
    const ofALoad = afloatRules.filter(({ code }) => code !== 'hull-not-drawn');
    expect(ofALoad.filter(({ code }) => level(code, told('sinks'), true) !== null).map(({ code }) => code)).toEqual([
      'sinks',
    ]);
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
    expect(found.filter((code) => afloatRules.some((rule) => rule.code === code))).toEqual(['hull-not-drawn']);
  });
  it('sits to fish where standing is too much, and that settles it', () => {
    const narrow = changed({ beamM: 0.8 });
    const standing = { ...ready, brief: { ...ready.brief, standing: true } };
    const finding = assess(standing, narrow, noAnswers, now).findings.find(
      ({ facts }) => facts.code === 'standing-unsteady',
    );
    expect(finding?.repairs[0]).toEqual({ do: 'sit-to-fish' });
    expect(finding && sayFinding(finding.facts).text).toMatch(/metacentric height .* By its inclining test\.$/);
  });
  it('is less steady by what is fitted high; the seat lowered by another set-up settles it, for this outing alone', () => {
    const wide = { ...ready, brief: { ...ready.brief, setUpId: 'wide' } };
    const refs = changed({ seat: { xM: 1.72, lowM: 0.16, highM: 0.5 } });
    const unsteady = assess(wide, refs, noAnswers, now).findings.find(({ facts }) => facts.code === 'unsteady');
    expect(unsteady?.repairs[0]).toMatchObject({ do: 'set-set-up', setUp: { id: 'bare' } });
    expect(codes(ready, refs)).not.toContain('unsteady');
    expect(codes({ ...wide, brief: { ...wide.brief, setUpId: 'long-gone' } }, refs), 'as it stands').not.toContain(
      'unsteady',
    );
  });
});
