import { describe, expect, it } from 'vitest';
import { often } from '../../scripts/testRuns';
import { demo } from '../demo/demo';
import { kinds } from '../catalog/gear/kinds';
import { withAcceptance, withAnswerKept, withItem } from '../editing/edit';
import { applyRepair } from '../editing/repair';
import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { type References } from '../documents/references';
import { behindSeat } from '../stow/lading';
import { withBrief } from '../editing/title';
import type { Answers } from '../walkround/answers';
import type { Answer } from '../documents/answer';
import { lastAnswers, noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { contextOf } from './context';
import { judge as judgeAll } from './repairEngine';
import { type FindingCode } from './allRules';
import { inSeason } from './rules/law';
import { sayFinding } from './allRules';
import { sayRepair } from '../editing/repair';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings, answers: demoAnswers } = demo(now);
const [ready, dusk] = outings as [Outing, Outing];
const judge = (outing: Outing, refs: References = references, answers: Answers = noAnswers, at = now) =>
  assess(outing, refs, answers, at);
const find = (code: FindingCode, outing: Outing, refs?: References, answers?: Answers) =>
  judge(outing, refs, answers).findings.find((one) => one.facts.code === code) ?? null;
/** The same where nothing is asked of repairs. */
const found = (code: FindingCode, outing: Outing, refs: References = references) =>
  assess(outing, refs, noAnswers, now, { withRepairs: false }).findings.find(
    (one) => one.facts.code === code,
  ) ?? null;
const brief = (outing: Outing, change: Partial<Outing['brief']>): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});
const weather = (outing: Outing, change: Partial<Outing['conditions']['hours'][number]>): Outing => ({
  ...outing,
  conditions: {
    ...outing.conditions,
    hours: outing.conditions.hours.map((hour) => ({ ...hour, ...change })),
  },
});
const craft = (change: Partial<References['craft'][number]>): References => ({
  ...references,
  craft: references.craft.map((one) => ({ ...one, ...change })),
});
const angler = (change: Partial<NonNullable<References['angler']>>): References => ({
  ...references,
  angler: references.angler && { ...references.angler, ...change },
});
const item = (id: string, change: Partial<Item>): References => ({
  ...references,
  items: references.items.map((one) => (one.id === id ? { ...one, ...change } : one)),
});
const answer = (stepId: string, verdict: Answer['verdict']): Answer => ({
  key: crypto.randomUUID(),
  stepId,
  verdict,
  at: '2026-05-15T19:00:00Z',
  note: '',
});

describe('what is remembered of one judgement for the next', () => {
  // A boat of which nobody measured pace or drag.
  const unmeasured = brief(ready, { craftId: 'little-stint' });
  const homeAt = (outing: Outing, refs = references) => judge(outing, refs).exposures.plan?.homeAt ?? null;
  const anew = (outing: Outing, refs = references) => homeAt(structuredClone(outing), structuredClone(refs));
  it('does not keep the pace of a lighter boat', () => {
    const heavy = item('ice-bag', { massKg: 90 });
    const without = {
      ...unmeasured,
      loadout: unmeasured.loadout.filter(({ itemId }) => itemId !== 'ice-bag'),
    };
    const light = homeAt(without, heavy);
    expect(light).not.toBeNull();
    expect(homeAt(withItem(without, 'ice-bag', 1), heavy)).not.toBe(light);
  });
  it('does not keep the pace of somebody lighter', () => {
    const big = angler({ massKg: 130 });
    expect(homeAt(unmeasured, big)).toBeCloseTo(anew(unmeasured, big) ?? NaN, -3);
    expect(homeAt(unmeasured, big)).not.toBe(homeAt(unmeasured));
  });
});

const carried = judge(ready).carriedKg ?? NaN;
const laid = contextOf(ready, references, noAnswers, now);
const behind = laid.plan ? behindSeat(laid.plan, laid.exposures.keepKg).massKg : NaN;

describe('the demo outings', () => {
  it('are one ready to sign and one with Stops', () => {
    const answers = lastAnswers(demoAnswers.answers);
    expect(judge(ready, references, answers)).toMatchObject({
      gate: { open: true, bars: [] },
      openBlanks: [],
      unneeded: [],
    });
    expect(judge(dusk).findings.filter((one) => one.level === 'stop').length).toBeGreaterThan(3);
  });
  it('are judged the same twice, and not changed by it', () => {
    const before = JSON.stringify([dusk, references]);
    expect(JSON.stringify(judge(dusk))).toBe(JSON.stringify(judge(dusk)));
    expect(JSON.stringify([dusk, references])).toBe(before);
  });
  it('offer what is missing however laden the stern is, and lighten it', () => {
    const laden = craft({ wellKg: 3 });
    const { findings } = judge(withItem(ready, 'flag', 0), laden);
    const repairs = (code: FindingCode) => findings.find((one) => one.facts.code === code)?.repairs ?? [];
    expect(findings.map((one) => one.facts.code)).toContain('stern-load');
    expect(repairs('need-unmet')[0]).toMatchObject({ do: 'add-items', items: [{ itemId: 'flag' }] });
  });
  it('come to no Stop and no Mind when every first repair is carried out', () => {
    // Nothing in the locker sends a fish back down: the one Mind that no repair settles, and that is left to
    // say. A calmer evening: of more wind than the water within reach no repair makes less.
    let outing = weather(withBrief(dusk, { areaId: 'reed-bays' }, references), { windMps: 4, gustMps: 5 });
    for (let i = 0; i < 40; i += 1) {
      const open = judge(outing).findings.find((one) => one.level !== 'note' && one.repairs.length > 0);
      const [repair] = open?.repairs ?? [];
      if (!repair) break;
      outing = applyRepair(outing, repair, now);
    }
    // Then it is left with whoever was named: the one thing that nobody but the angler can do.
    const { findings } = judge(outing);
    expect(findings.filter(({ level }) => level !== 'note').map(({ key }) => key)).toEqual(['word-not-left']);
  });
});

describe('findings, on both sides of their limits', () => {
  it.each<[string, FindingCode, Outing, Outing, 'stop' | 'mind' | 'note', References?, References?]>([
    [
      'wind',
      'wind-over-limit',
      weather(ready, { windMps: 8.5, windFromDeg: 180, waveM: 0.2 }),
      weather(ready, { windMps: 8.3, windFromDeg: 180, waveM: 0.2 }),
      'mind',
    ],
    [
      'gusts',
      'gust-over-limit',
      weather(ready, { gustMps: 11.58 }),
      weather(ready, { gustMps: 11.4 }),
      'mind',
    ],
    [
      'thunder, little',
      'thunder',
      weather(ready, { thunderPct: 15 }),
      weather(ready, { thunderPct: 14 }),
      'note',
    ],
    [
      'thunder, some',
      'thunder',
      weather(ready, { thunderPct: 30 }),
      weather(ready, { thunderPct: 0 }),
      'mind',
    ],
    [
      'thunder, much',
      'thunder',
      weather(ready, { thunderPct: 40 }),
      weather(ready, { thunderPct: 0 }),
      'stop',
    ],
    [
      'surf over one’s own limit',
      'surf-over-limit',
      weather(ready, { swellM: 0.9 }),
      weather(ready, { swellM: 0.3 }),
      'mind',
    ],
    [
      'surf over the ceiling',
      'surf-over-limit',
      weather(ready, { swellM: 1.6 }),
      weather(ready, { swellM: 0.3 }),
      'stop',
    ],
    [
      'waves over the ceiling',
      'waves-over-limit',
      weather(ready, { waveM: 1.4 }),
      weather(ready, { waveM: 0.2 }),
      'stop',
    ],
    [
      'wind over the ceiling',
      'wind-over-limit',
      weather(ready, { windMps: 11.3, windFromDeg: 180, waveM: 0.2 }),
      weather(ready, { windMps: 7, windFromDeg: 180 }),
      'stop',
    ],
    [
      'wind off the shore, a step lower',
      'wind-over-limit',
      weather(ready, { windMps: 8.4, windFromDeg: 340 }),
      weather(ready, { windMps: 7.8, windFromDeg: 340 }),
      'stop',
    ],
    [
      'surf by night, a step lower',
      'surf-over-limit',
      weather(brief(ready, { launchAt: '03:00' }), { swellM: 0.8, swellPeriodS: 9 }),
      weather(ready, { swellM: 0.8, swellPeriodS: 9 }),
      'stop',
      angler({ limits: { windMps: 8, gustMps: 11, breakerM: 2, waveM: null } }),
      angler({ limits: { windMps: 8, gustMps: 11, breakerM: 2, waveM: null } }),
    ],
    [
      'standing in waves',
      'standing-in-waves',
      weather(brief(ready, { standing: true }), { waveM: 0.5 }),
      weather(ready, { waveM: 0.5 }),
      'mind',
    ],
    ['fog', 'fog', weather(ready, { visibilityM: 199 }), weather(ready, { visibilityM: 1000 }), 'stop'],
    ['fog, thin', 'fog', weather(ready, { visibilityM: 499 }), ready, 'mind'],
    [
      'fog where boats pass close',
      'fog',
      weather(ready, { visibilityM: 499 }),
      ready,
      'stop',
      { ...references, waters: references.waters.map((one) => ({ ...one, traffic: 'busy' as const })) },
    ],
    ['keeping over the rule', 'keep-over-rule', brief(ready, { keep: 3 }), ready, 'stop'],
    ['a third rod', 'rods-over-rule', withItem(ready, 'fly-rod', 1), ready, 'stop'],
    ['no time afloat', 'hours-reversed', brief(ready, { homeAt: ready.brief.launchAt }), ready, 'stop'],
    ['hours gone by', 'hours-gone', brief(ready, { date: '2026-05-01' }), ready, 'stop'],
    ['an open blank', 'brief-incomplete', brief(ready, { targets: [] }), ready, 'stop'],
    ['no figures', 'conditions-missing', weather(ready, { gustMps: null }), ready, 'mind'],
    ['a boat under repair', 'craft-under-repair', ready, ready, 'stop', craft({ condition: 'under repair' })],
    ['a gaff in an inflatable', 'gaff-aboard', withItem(dusk, 'wide-net', 1), dusk, 'mind'],
    ['an automatic jacket in surf', 'automatic-jacket', withItem(ready, 'auto-jacket', 1), ready, 'mind'],
    ['company', 'party', brief(ready, { party: 2 }), ready, 'note'],
    ['something out of date', 'out-of-date-aboard', withItem(ready, 'beacon', 1), ready, 'note'],
    ['darkness', 'darkness', brief(ready, { launchAt: '02:00' }), ready, 'note'],
  ])('%s', (_, code, over, under, level, overRefs, underRefs) => {
    expect(found(code, over, overRefs)?.level).toBe(level);
    expect(found(code, under, underRefs)).toBeNull();
  });
  it.each<
    [
      string,
      FindingCode,
      Outing,
      'stop' | 'mind' | 'note',
      Parameters<typeof craft>[0],
      Parameters<typeof craft>[0],
    ]
  >([
    [
      'a load over nine tenths',
      'overload',
      ready,
      'mind',
      { ratedLoadKg: carried / 0.91 },
      { ratedLoadKg: carried / 0.74 },
    ],
    [
      'a load over the rating',
      'overload',
      ready,
      'stop',
      { ratedLoadKg: carried / 1.01 },
      { ratedLoadKg: carried / 0.74 },
    ],
    [
      'a stern over its rating',
      'stern-load',
      ready,
      'mind',
      { wellKg: behind / 1.01 },
      { wellKg: behind / 0.99 },
    ],
    [
      'a stern a quarter over its rating',
      'stern-load',
      ready,
      'stop',
      { wellKg: behind / 1.26 },
      { wellKg: null },
    ],
    ['a boat that is new', 'first-outings', dusk, 'note', { outingsLogged: 2 }, { outingsLogged: 3 }],
  ])('%s', (_, code, outing, level, over, under) => {
    expect(find(code, outing, craft(over))?.level).toBe(level);
    expect(find(code, outing, craft(under))).toBeNull();
  });
  it('tell of water without rules, and of rules unchecked for over a year', () => {
    const held = (rulePackId: string | null): References => ({
      ...references,
      waters: references.waters.map((water) => ({ ...water, rulePackId })),
    });
    expect(find('no-rule-pack', ready, held(null))?.level).toBe('mind');
    expect(find('no-rule-pack', ready, held('prudent-baseline'))?.level, 'good practice is no law').toBe(
      'mind',
    );
    expect(find('no-rule-pack', ready)).toBeNull();
    const checked = (lastCheckedOn: string): References => ({
      ...references,
      rulePacks: references.rulePacks.map((pack) => ({ ...pack, lastCheckedOn })),
    });
    expect(find('rule-pack-stale', ready, checked('2025-05-14'))?.level).toBe('mind');
    expect(find('rule-pack-stale', ready, checked('2025-05-15'))).toBeNull();
  });
  it('close a season over the new year, ends included', () => {
    expect([
      inSeason('12-31', '11-01', '02-15'),
      inSeason('02-15', '11-01', '02-15'),
      inSeason('02-16', '11-01', '02-15'),
    ]).toEqual([true, true, false]);
    const barbel = brief(ready, {
      targets: ['barbel'],
      waterId: 'river-venn',
      launchId: 'upper-bridge',
      areaId: 'two-rapids',
    });
    expect(find('closed-season', brief(barbel, { date: '2026-06-15' }))?.level).toBe('stop');
    expect(find('closed-season', brief(barbel, { date: '2026-06-16' }))).toBeNull();
    // One that begins on a later day of the trip closes it too, and is told with its day.
    expect(find('closed-season', brief(barbel, { date: '2026-03-14', nights: 0 }))).toBeNull();
    const into = find('closed-season', brief(barbel, { date: '2026-03-14', nights: 1 }));
    expect(into?.level).toBe('stop');
    expect(into?.facts).toMatchObject({ since: '2026-03-15' });
  });
  it('never read the same where one figure passes the other', () => {
    for (const by of [0.301, 0.31, 0.34, 0.6]) {
      const limits = { ...references.angler?.limits, windMps: 6 } as NonNullable<
        References['angler']
      >['limits'];
      const own = { ...references, angler: references.angler && { ...references.angler, limits } };
      const finding = find('wind-over-limit', weather(ready, { windMps: 6 + by, gustMps: 7 }), own);
      const [, is, set] =
        /^([\d.]+) m\/s; you set ([\d.]+) m\/s\./.exec(finding ? sayFinding(finding.facts).text : '') ?? [];
      expect(Number(is), `${by}`).toBeGreaterThan(Number(set));
    }
  });
  it('tell wind and its gusts once', () => {
    const both = weather(ready, { windMps: 12, gustMps: 16 });
    expect(find('wind-over-limit', both)).not.toBeNull();
    expect(find('gust-over-limit', both)).toBeNull();
  });
  it('tell what a step of the walk-round took away', () => {
    const faults = lastAnswers([answer('hull:plugs', 'not here'), answer('item:radio', 'fault')]);
    expect(find('craft-fault', ready, references, faults)).toMatchObject({ level: 'stop', basis: 'physics' });
    const unmet = judge(ready, references, faults).findings.find(
      (one) => one.key === 'need-unmet:call-for-help',
    );
    expect(unmet?.level, 'one of two ways, more than a kilometre out').toBe('stop');
    expect(unmet && sayFinding(unmet.facts).text).toContain('a fault on the walk-round');
  });
});

describe('a water told without a position', () => {
  const of = (change: Partial<References['waters'][number]>): References => ({
    ...references,
    waters: references.waters.map((one) => ({ ...one, positioned: false, ...change })),
  });
  const at = (launchAt: string, homeAt: string) => brief(ready, { launchAt, homeAt });
  it('is minded near the guessed sunrise and sunset and at sea, else noted; and told where it is known', () => {
    const still = of({ setting: 'still' });
    const level = (launchAt: string, homeAt: string, refs = still) =>
      found('position-unknown', at(launchAt, homeAt), refs)?.level ?? null;
    expect(level('11:00', '15:00')).toBe('note');
    expect(level('05:00', '15:00')).toBe('mind');
    expect(level('11:00', '20:30')).toBe('mind');
    expect(level('11:00', '15:00', of({}))).toBe('mind');
    expect(level('05:00', '20:30', references)).toBeNull();
    const told = found('position-unknown', at('05:00', '15:00'), still);
    expect(told && sayFinding(told.facts).text).toMatch(
      /^Sunrise at \d\d:\d\d and sunset at \d\d:\d\d are guessed/,
    );
  });
});

describe('a tide that nobody wrote', () => {
  const of = (change: Partial<References['waters'][number]>): References => ({
    ...references,
    waters: references.waters.map((one) => ({ ...one, ...change })),
  });
  it('is told on salt water, and a stream that goes by it is asked for', () => {
    expect(found('tide-not-held', ready)).toBeNull();
    expect(found('tide-not-held', ready, of({ tide: null, stream: null }))?.level).toBe('note');
    expect(found('tide-not-held', ready, of({ tide: null, stream: null, type: 'fresh' }))).toBeNull();
    const hours = [-2, 2].map((hour) => ({ hour, towardDeg: 90, springMps: 1, neapMps: 0.5 }));
    const stream = {
      towardDeg: 90,
      steadyMps: 0,
      constituents: [],
      hours,
      springRangeM: null,
      neapRangeM: null,
    };
    expect(found('conditions-missing', ready, of({ tide: null, stream }))?.facts).toMatchObject({
      figures: ['the stream of that day'],
    });
  });
});

describe('a finding', () => {
  it('is said in whole sentences with figures, promises nothing and shouts at nobody', () => {
    const odd = [
      ready,
      dusk,
      brief(dusk, { keep: 4 }),
      weather(ready, { windMps: 30, thunderPct: 80, swellM: 3 }),
      brief(ready, { targets: [], waterId: null }),
    ];
    for (const finding of odd.flatMap((outing) => judge(outing).findings)) {
      const { title, text } = sayFinding(finding.facts);
      expect(text).toMatch(/[.!?]$/);
      expect(`${title} ${text}`).not.toMatch(/\b(un)?safe(ly|ty)?\b|!|NaN|undefined|null|Infinity/i);
      for (const repair of finding.repairs) expect(sayRepair(repair).length).toBeGreaterThan(3);
    }
  });
  it('of an estimate is told when it is over by more than practice would grant, and never by a digit that nobody sees', () => {
    const limit = references.angler?.limits.breakerM ?? NaN;
    let granted = 0;
    for (let swellM = 0.3; swellM < 1; swellM += 0.01) {
      const outing = weather(ready, { swellM });
      const { exposures, findings } = assess(outing, references, noAnswers, now, { withRepairs: false });
      const told = findings.some(({ key }) => key === 'surf-over-limit');
      expect(told, `${exposures.breakerM}`).toBe((exposures.breakerM ?? 0) > limit * 1.05);
      if (!told && (exposures.breakerM ?? 0) > limit) granted += 1;
    }
    expect(granted).toBeGreaterThan(0);
  });
  it('of law or physics cannot be overridden; of judgement only by the experienced; a Mind by anyone', () => {
    const surf = weather(ready, { swellM: 2 });
    expect(find('surf-over-limit', surf, angler({ experience: 'some' }))?.answerable).toBe(false);
    expect(find('surf-over-limit', surf)).toMatchObject({ level: 'stop', answerable: true });
    expect(
      find('keep-over-rule', brief(ready, { keep: 9 }), angler({ experience: 'experienced' }))?.answerable,
    ).toBe(false);
    expect(find('wind-over-limit', weather(ready, { windMps: 9 }))?.answerable).toBe(true);
  });
  it('accepted stays accepted until it grows worse', () => {
    const onshore = { windFromDeg: 180, waveM: 0.2, swellM: 0.1 };
    const windy = weather(ready, { windMps: 9, ...onshore });
    const accepted = withAcceptance(windy, 'wind-over-limit', 9, 'Sheltered shore', now);
    expect(find('wind-over-limit', accepted)?.accepted).toBe('Sheltered shore');
    expect(find('wind-over-limit', weather(accepted, { windMps: 10, ...onshore }))?.accepted).toBeNull();
    expect(judge(accepted).gate.bars.map((bar) => bar.bar)).not.toContain('minds');
  });
});

describe('an answer kept with a water', () => {
  // Nobody stands there: a Mind of judgement with a reason of its own.
  const bare = withItem(ready, 'drive-leash', 0);
  const key = 'need-unmet:paddle-retained';
  const kept = (extent: number): References => ({
    ...references,
    waters: references.waters.map((water) =>
      water.id === ready.brief.waterId
        ? withAnswerKept(water, key, extent, 'Tied to its well instead', now)
        : water,
    ),
  });
  const told = (refs: References, outing = bare) =>
    judge(outing, refs).findings.find((one) => one.key === key) ?? null;
  it('answers the same Mind on every outing there, and no worse one', () => {
    expect(told(references)).toMatchObject({ level: 'mind', accepted: null, keepable: true });
    expect(told(kept(1))).toMatchObject({ accepted: 'Tied to its well instead', acceptedForWater: true });
    expect(
      told(kept(1), withItem(bare, 'paddle-leash', 0))?.accepted,
      'both missing are worse than one',
    ).toBeNull();
    expect(
      told(kept(1), brief(bare, { waterId: 'hallow-mere', launchId: 'boathouse', areaId: 'reed-bays' }))
        ?.accepted,
    ).toBeNull();
  });
  it('is taken back by an empty reason, and stands behind one of the outing’s own', () => {
    const water = kept(1).waters.find(({ id }) => id === ready.brief.waterId);
    expect(water && withAnswerKept(water, key, 1, ' ', now).answered).toEqual([]);
    const own = withAcceptance(bare, key, 1, 'A cord on it this time', now);
    expect(told(kept(1), own)).toMatchObject({ accepted: 'A cord on it this time', acceptedForWater: false });
  });
  it('is no way past a Stop, nor past what rests on physics or law', () => {
    for (const { level, basis, keepable } of judge(dusk).findings)
      if (level !== 'mind' || basis === 'law' || basis === 'physics') expect(keepable).toBe(false);
  });
});

describe('repairs offered', () => {
  it('each settle their finding and open no other Stop or Mind', () => {
    for (const outing of [
      dusk,
      brief(dusk, { nights: 1 }),
      weather(ready, { windMps: 9 }),
      withItem(ready, 'four-piece', 0),
    ]) {
      const before = judge(outing).findings;
      for (const finding of before.filter((one) => one.level !== 'note'))
        for (const repair of finding.repairs) {
          const after = judge(applyRepair(outing, repair, now)).findings.filter(
            (one) => one.level !== 'note',
          );
          expect(after.map((one) => one.key)).not.toContain(finding.key);
          // What is told ashore is put right last.
          const came = after.filter((one) => !before.some((was) => was.key === one.key));
          expect(came.filter(({ station }) => station !== 'leave-word')).toEqual([]);
        }
    }
  });
  it('put something else elsewhere where what comes aboard would weigh the stern down, and say so', () => {
    const night = outings.find(({ id }) => id === 'venn-overnight') as Outing;
    const laden = ['filter', 'big-aid', 'dry-set'].reduce((next, id) => withItem(next, id, 0), night);
    const found = (outing: Outing) =>
      judge(outing).findings.find(({ key }) => key === 'need-unmet:spare-clothes');
    const [repair] = found(laden)?.repairs ?? [];
    expect(repair).toMatchObject({ do: 'together', parts: [{ do: 'add-items' }, { do: 'stow' }] });
    if (!repair) return;
    expect(sayRepair(repair)).toMatch(/^Add Dry set in a bag \(1\.6 kg\) and put .+/);
    const after = applyRepair(laden, repair, now);
    expect(found(after)).toBeUndefined();
    const stern = (outing: Outing) => judge(outing).findings.find(({ key }) => key === 'stern-load');
    expect(stern(withItem(laden, 'dry-set', 1))?.level).toBe('stop');
    expect(stern(after)?.level).not.toBe('stop');
  });
  it('bring the lightest sound item first', () => {
    const second = judge(withItem(ready, 'four-piece', 0)).findings.find(
      (one) => one.key === 'need-unmet:second-propulsion',
    );
    expect(second?.repairs[0]).toMatchObject({ do: 'add-items', items: [{ itemId: 'four-piece' }] });
    const noSpare = item('four-piece', { condition: 'under repair' });
    const next = judge(withItem(ready, 'four-piece', 0), noSpare).findings.find(
      (one) => one.key === 'need-unmet:second-propulsion',
    );
    expect(next?.repairs[0]).toMatchObject({ do: 'add-items', items: [{ itemId: 'paddle' }] });
  });
  it('bring a second paddle where none is aboard: the first that comes is no spare', () => {
    const without = brief(withItem(withItem(ready, 'paddle', 0), 'four-piece', 0), { craftId: 'dunlin' });
    const second = judge(without).findings.find((one) => one.key === 'need-unmet:second-propulsion');
    const [repair] = second?.repairs ?? [];
    expect(repair?.do === 'add-items' && repair.items.length).toBe(2);
  });
  it('that the locker could bring, and do not, say what would come with them', () => {
    const bare = {
      ...references,
      items: references.items.filter(
        ({ kind }) => !['hook-cutter', 'line-hook', 'multi-tool'].includes(kind),
      ),
    };
    const onlyTrebles = {
      ...bare,
      items: bare.items.filter(
        (one) => !kinds[one.kind].means.includes('lures') || one.qualities.includes('treble'),
      ),
    };
    const aboard = ready.loadout.filter(({ itemId }) => onlyTrebles.items.some(({ id }) => id === itemId));
    const lureless = aboard.filter(({ itemId }) => {
      const kind = onlyTrebles.items.find(({ id }) => id === itemId)?.kind;
      return kind !== undefined && !kinds[kind].means.includes('lures');
    });
    const lures = judge({ ...ready, loadout: lureless }, onlyTrebles).findings.find(
      ({ key }) => key === 'need-unmet:lures',
    );
    expect(lures?.otherwise).toMatch(
      /^In the locker: .+; but with it comes “.+: not met”\. See to that as well\./,
    );
  });
  it('are none where the locker has nothing and nothing else settles it', () => {
    const bare = {
      ...references,
      items: references.items.filter(
        (one) => !['vhf-radio', 'beacon', 'satellite-messenger'].includes(one.kind),
      ),
    };
    const call = judge(withItem(ready, 'radio', 0), bare).findings.find(
      (one) => one.key === 'need-unmet:call-for-help',
    );
    expect(call?.repairs).toEqual([]);
  });
});

describe('unneeded', () => {
  it('are what no need asks for; a container at work is none', () => {
    const outing = withItem(withItem(ready, 'sponge', 1), 'crate', 1);
    expect(judge(outing).unneeded.toSorted()).toEqual(['crate', 'sponge']);
    expect(judge(outing, item('tape', { containerId: 'crate' })).unneeded).toEqual(['sponge']);
    const kept = references.items.map((one) =>
      one.id === 'sponge' ? { ...one, stays: 'It dries the seat' } : one,
    );
    expect(
      judge(withItem(ready, 'sponge', 1), { ...references, items: kept }).unneeded,
      'a reason was given',
    ).toEqual([]);
    expect(judge(withItem(ready, 'warm-hat', 1)).unneeded, 'what is worn is not spoken of').toEqual([]);
  });
});

describe('judging again after a repair', () => {
  it('comes to what judging from nothing comes to, whatever is added, taken off or opened', () => {
    // Each thing on one outing; on each of them in a long run.
    const among = Math.max(1, Math.round(outings.length / often(1)));
    for (const [turn, outing] of outings.entries()) {
      const before = contextOf(outing, references, noAnswers, now);
      for (const { id } of references.items.filter((_, i) => i % among === turn % among)) {
        const has = outing.loadout.some((entry) => entry.itemId === id);
        const changed = withItem(outing, id, has ? 0 : 1);
        const again = contextOf(changed, references, noAnswers, now, before);
        const afresh = contextOf(changed, references, noAnswers, now);
        expect(judgeAll(again).all, `${outing.id} ${id}`).toEqual(judgeAll(afresh).all);
        expect(again.needs).toEqual(afresh.needs);
      }
    }
  });
});
