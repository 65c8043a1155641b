import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import { lookUp } from '../documents/references';
import { assess } from '../judgement/assess';
import { noAnswers } from '../walkround/answers';
import { HOUR_MS } from '../units/time';
import { planCalendar } from './calendar';
import { type FloatPlan, floatPlanSchema } from './floatPlan';
import { floatPlanOf } from './make';
import { messagesOf, plainText } from './plainText';
import { planChanges, planSays } from './says';
import { sketchOf } from './sketch';
import type { CheckIn } from '../documents/checkIn';
import { sayHours, sayStatus, statusOf, whatToDo } from './status';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings, left } = demo(now);
const [ready] = outings as [Outing, ...Outing[]];
const [first] = left as [{ plan: FloatPlan }, ...unknown[]];
const { plan } = first;
const planOf = (outing: Outing) => {
  const looked = lookUp(outing, references);
  const { needs, exposures } = assess(outing, references, noAnswers, now, { withRepairs: false });
  return floatPlanOf({ outing, looked, needs, exposures, decided: [], now });
};
const said = (one: FloatPlan | null) =>
  (one?.sections ?? []).flatMap(({ lines }) => lines.map((l) => `${l.label}: ${l.text}`)).join('\n');

describe('a plan for whoever waits ashore', () => {
  it('says who, in what, where, until when, and whom to call, each as it is written', () => {
    const text = said(plan);
    for (const part of [
      'Angler: Sample Angler, 47 years, swims well',
      'Wears: Grey drysuit, orange jacket, yellow cap',
      'Boat: Grey Wagtail, ',
      'Vehicle: Green van, plate SAMPLE 1, at Gannet Slip',
      'Launch: Gannet Slip, 47° 30.000′ N 18° 30.000′ W',
      'Call sign: Sample Wagtail',
    ])
      expect(text).toContain(part);
    expect(plan.rescue.phone).toBe('000 555 0911');
    expect(Date.parse(plan.times.callAt) - Date.parse(plan.times.homeAt)).toBe(HOUR_MS);
  });
  it('leaves out what nobody wrote, and is none without a water', () => {
    expect(said(plan)).not.toContain('To know');
    expect(planOf({ ...ready, brief: { ...ready.brief, waterId: null } })).toBeNull();
    const bare = planOf({ ...ready, conditions: { ...ready.conditions, hours: [] } });
    expect(said(bare)).toContain('Forecast: None was written.');
  });
  it('names no position of a water that was told without one, and draws no way', () => {
    const waters = references.waters.map((water) => ({ ...water, positioned: false }));
    const looked = lookUp(ready, { ...references, waters });
    const { needs, exposures } = assess(ready, references, noAnswers, now, { withRepairs: false });
    const bare = floatPlanOf({ outing: ready, looked, needs, exposures, decided: [], now });
    expect(bare).toMatchObject({ way: [], land: [] });
    expect(`${said(bare)}${bare?.script.join('')}${bare ? plainText(bare) : ''}`).not.toMatch(
      /\d+° ?\d|47 30\.00/,
    );
    expect(said(bare)).toContain('its position is not written');
    expect(bare && plainText(bare)).toContain('From Gannet Slip, ');
  });
  it('turns for home when it was said, else at the latest that is home by the hour', () => {
    const { exposures } = assess(ready, references, noAnswers, now, { withRepairs: false });
    const latest = exposures.plan?.latestTurn ?? 0;
    expect(Date.parse(planOf(ready)?.times.turnAt ?? '')).toBe(latest);
    expect(latest).toBeGreaterThan(Date.parse(plan.times.launchAt));
    expect(latest).toBeLessThan(Date.parse(plan.times.homeAt));
    const said = planOf({ ...ready, brief: { ...ready.brief, turnAt: '11:00' } });
    expect(said?.times.turnAt).toContain('T11:00');
  });
  it('of every demo outing can be kept as it is', () => {
    for (const outing of outings) {
      const made = planOf(outing);
      expect(made && floatPlanSchema.safeParse(made).error?.issues).toBeUndefined();
    }
  });
});

describe('what was left and what is now', () => {
  const says = (outing: Outing) => {
    const looked = lookUp(outing, references);
    return planSays(outing, looked, looked.aboard);
  };
  it('are the same while nothing of it changed', () => {
    expect(planChanges(ready.word.left?.says ?? {}, says(ready))).toEqual([]);
  });
  it.each<[string, (o: Outing) => Outing, string]>([
    ['home later', (o) => ({ ...o, brief: { ...o.brief, homeAt: '12:15' } }), 'homeAt'],
    ['another boat', (o) => ({ ...o, brief: { ...o.brief, craftId: 'dunlin' } }), 'boat'],
    ['another place', (o) => ({ ...o, brief: { ...o.brief, areaId: null } }), 'place'],
    ['no radio', (o) => ({ ...o, loadout: o.loadout.filter(({ itemId }) => itemId !== 'radio') }), 'calling'],
    [
      'the vehicle elsewhere',
      (o) => ({ ...o, word: { ...o.word, vehicleAt: 'Behind the chapel' } }),
      'vehicle',
    ],
  ])('differ by %s', (_, change, part) => {
    const changed = change(ready);
    expect(planChanges(says(ready), says(changed)).map((one) => one.part)).toContain(part);
  });
  it('is a Mind until it is left again, and says what', () => {
    const later = { ...ready, brief: { ...ready.brief, homeAt: '12:15' } };
    const told = assess(later, references, noAnswers, now, { withRepairs: false }).findings;
    expect(told.find(({ key }) => key === 'word-changed')?.level).toBe('mind');
    const again = {
      ...later,
      word: { ...later.word, left: { at: '2026-05-15T19:00:00Z', says: says(later), watched: true } },
    };
    const keys = assess(again, references, noAnswers, now, { withRepairs: false }).findings.map(
      ({ key }) => key,
    );
    expect(keys).not.toContain('word-changed');
  });
});

describe('how a plan stands', () => {
  const home = Date.parse(plan.times.homeAt);
  let n = 0;
  const check = (what: CheckIn['what'], at: number, homeBy: number | null = null): CheckIn => ({
    key: `00000000-0000-4000-8000-${String((n += 1)).padStart(12, '0')}`,
    what,
    at: new Date(at).toISOString(),
    homeBy: homeBy === null ? null : new Date(homeBy).toISOString(),
  });
  const out = check('afloat', home - 6 * HOUR_MS);
  it.each<[string, CheckIn[], number, string]>([
    ['before anything', [], home - 7 * HOUR_MS, 'left'],
    ['launched', [out], home - HOUR_MS, 'afloat'],
    ['a moment before home', [out], home - 1, 'afloat'],
    ['at home’s hour', [out], home, 'late'],
    ['a moment before the call', [out], home + HOUR_MS - 1, 'late'],
    ['at the call', [out], home + HOUR_MS, 'overdue'],
    ['with nothing heard at all', [], home + HOUR_MS, 'overdue'],
    ['later, by word', [out, check('well', home - HOUR_MS, home + 2 * HOUR_MS)], home + HOUR_MS, 'afloat'],
    [
      'later, and the call moved as far',
      [out, check('well', home - HOUR_MS, home + 2 * HOUR_MS)],
      home + 3 * HOUR_MS,
      'overdue',
    ],
    ['home', [out, check('home', home + HOUR_MS)], home + 5 * HOUR_MS, 'home'],
    [
      'home, taken back',
      [out, check('home', home - HOUR_MS), check('taken back', home - HOUR_MS + 60_000)],
      home + HOUR_MS,
      'overdue',
    ],
  ])('%s', (_, list, at, state) => {
    expect(statusOf(plan, list, at).state).toBe(state);
    expect(sayStatus(plan, statusOf(plan, list, at), at).title.length).toBeGreaterThan(3);
  });
  it('goes by a plan left anew: home and later hours said before it are of the one before', () => {
    const made = Date.parse(plan.madeAt);
    const before = [
      check('afloat', made - 3 * HOUR_MS),
      check('well', made - 2 * HOUR_MS, home + 9 * HOUR_MS),
    ];
    expect(statusOf(plan, before, home)).toMatchObject({ state: 'late', homeAt: home });
    expect(statusOf(plan, [...before, check('home', made - HOUR_MS)], home + HOUR_MS).state).toBe('overdue');
    expect(statusOf(plan, [...before, check('home', made + HOUR_MS)], home + HOUR_MS).state).toBe('home');
  });
  it('tells whoever waits to call, with the number, and never that somebody else does', () => {
    const at = home + 2 * HOUR_MS;
    const advice = whatToDo(plan, statusOf(plan, [out], at), at).join(' ');
    expect(advice).toMatch(
      /Ring Sample Angler: 000 555 0100\. .*Call Sample Coast Watch, Ostrey, 000 555 0911 now/,
    );
    const calm = whatToDo(plan, statusOf(plan, [out], home - HOUR_MS), home - HOUR_MS).join(' ');
    expect(calm).toContain('the clock is yours');
    expect(advice + calm).not.toMatch(/will be (alerted|rescued|called)|guarantee|safe/i);
  });
  it('is the same in whatever order word arrives, and never goes from home to overdue by waiting', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.constantFrom('afloat' as const, 'well' as const, 'home' as const), fc.nat(500)),
          {
            maxLength: 8,
          },
        ),
        (list) => {
          const checks = list.map(([what, minute], i) =>
            check(what, home + minute * 60_000 + i, what === 'well' ? home + (minute + 60) * 60_000 : null),
          );
          const at = home + 600 * 60_000;
          const one = statusOf(plan, checks, at);
          expect(statusOf(plan, checks.toReversed(), at)).toEqual(one);
          if (one.state === 'home') expect(statusOf(plan, checks, at + 100 * HOUR_MS).state).toBe('home');
          expect(one.callAt).toBeGreaterThanOrEqual(one.homeAt);
        },
      ),
      runs(200),
    );
  });
});

describe('the plan in other forms', () => {
  it('as text fits four messages, with the most needed first', () => {
    const text = plainText(plan, 'http://127.0.0.1:4180/watch/abc');
    expect(messagesOf(text)).toBeLessThanOrEqual(4);
    expect(text.split('\n')[1]).toMatch(/home 10:35 .*call Sample Coast Watch, Ostrey 000 555 0911/);
    expect(text).toContain('47 30.00N 18 30.00W');
    const long = plainText({ ...plan, vehicle: 'x'.repeat(490), title: 'y'.repeat(150) });
    expect(messagesOf(long)).toBeLessThanOrEqual(4);
    expect(long).toContain('Gannet Slip');
  });
  it.each([
    ['', 1],
    ['a'.repeat(160), 1],
    ['a'.repeat(161), 2],
    ['a'.repeat(306), 2],
    ['a'.repeat(307), 3],
    ['[', 1],
    ['['.repeat(81), 2],
    ['ж'.repeat(70), 1],
    ['ж'.repeat(71), 2],
  ])('counts messages by the alphabet they need: %#', (text, many) => {
    expect(messagesOf(text)).toBe(many);
  });
  it('as a calendar has launch, home and call with alarms, read by another’s parser', () => {
    const turned = { ...plan, times: { ...plan.times, turnAt: plan.times.homeAt } };
    const file = planCalendar(turned, {
      id: 'one',
      homeAt: Date.parse(plan.times.homeAt),
      callAt: Date.parse(plan.times.callAt),
      now,
    });
    const events = new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent');
    const read = events.map((one) => new ICAL.Event(one));
    expect(read.map(({ summary }) => summary.split(/[:?]/)[0])).toEqual([
      'Afloat',
      'Turn for home',
      'Home',
      'Nothing heard',
    ]);
    expect(read[0]?.startDate.toJSDate().toISOString()).toBe(new Date(plan.times.launchAt).toISOString());
    expect(read[3]?.startDate.toJSDate().toISOString()).toBe(new Date(plan.times.callAt).toISOString());
    for (const one of events) expect(one.getAllSubcomponents('valarm')).toHaveLength(1);
    expect(read[3]?.description).toContain('000 555 0911');
    expect(new Set(read.map(({ uid }) => uid)).size).toBe(4);
    for (const row of file.split('\r\n'))
      expect(new TextEncoder().encode(row).length).toBeLessThanOrEqual(75);
  });
  it('of a way to another landing speaks of going on, and of no turn', () => {
    const back = { ...plan, times: { ...plan.times, turnAt: plan.times.homeAt } };
    const on = {
      ...back,
      way: back.way.map((one) => (one.kind === 'landing' ? { ...one, name: 'Mill Meadow' } : one)),
    };
    const labels = (of: typeof back) => sayHours(of).map(({ label }) => label);
    expect(labels(back)).toContain('Turn for home');
    expect(labels(on)).toContain('On to Mill Meadow');
    expect(labels(on)).not.toContain('Turn for home');
    const at = { homeAt: Date.parse(plan.times.homeAt), callAt: Date.parse(plan.times.callAt), now };
    expect(planCalendar(on, { id: 'one', ...at })).toContain('On to Mill Meadow');
    // What is to be done before it, where it is asked for: an event each, with an alarm at its hour.
    const before = [{ at: at.now, what: 'Get up', why: 'Long road.' }];
    const file = planCalendar(on, { id: 'one', ...at, before });
    expect(file).toContain('SUMMARY:Get up');
    expect(file.match(/BEGIN:VALARM/g)).toHaveLength(
      (planCalendar(on, { id: 'one', ...at }).match(/BEGIN:VALARM/g)?.length ?? 0) + 1,
    );
  });
  it('lets no name begin a line or an event of its own, neither as text nor as a calendar', () => {
    const forged = 'Reef\r\nEND:VEVENT\nCall 000 555 0000 instead';
    const sections = [{ heading: 'Boat', lines: [{ label: 'Boat', text: forged }] }];
    const text = plainText({ ...plan, title: forged, who: forged, vehicle: forged, sections });
    expect(text.split('\n').filter((line) => line.startsWith('Call 000 555 0000'))).toEqual([]);
    const at = { homeAt: Date.parse(plan.times.homeAt), callAt: Date.parse(plan.times.callAt), now };
    const file = planCalendar({ ...plan, title: forged, who: forged }, { id: 'one', ...at });
    const calendar = new ICAL.Component(ICAL.parse(file));
    expect(calendar.getAllSubcomponents('vevent').length).toBeGreaterThan(2);
    expect(file.match(/^END:VEVENT/gm)?.length).toBe(calendar.getAllSubcomponents('vevent').length);
  });
  it('as a sketch lies within its frame, with every name escaped', () => {
    const marked = { way: plan.way.map((one) => ({ ...one, name: `<b>${one.name}&"` })), land: plan.land };
    const svg = sketchOf(marked, 'currentColor', 'white');
    expect(svg).not.toMatch(/<b>|NaN|Infinity/);
    expect(svg).toContain('&lt;b&gt;Gannet Slip&amp;&quot;');
    expect(sketchOf({ way: [], land: [] }, 'black', 'white')).toBe('');
    for (const [, x, y] of svg.matchAll(/c?x="([\d.-]+)" c?y="([\d.-]+)"/g)) {
      expect(Number(x)).toBeGreaterThanOrEqual(-20);
      expect(Number(x)).toBeLessThanOrEqual(340);
      expect(Number(y)).toBeLessThanOrEqual(220);
    }
  });
});
