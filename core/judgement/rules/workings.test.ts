import { noStreamTable } from '../../environment/waterTide';
import { describe, expect, it } from 'vitest';
import { demo } from '../../demo/demo';
import { anchorHours, leaveStretches } from '../../holding/anchorSheet';
import { newItem } from '../../editing/newItem';
import { withItem } from '../../editing/edit';
import { applyRepair } from '../../editing/repair';
import { copiedRig, newRig, withRig, withoutRig } from '../../editing/rigs';
import type { Item } from '../../documents/item';
import type { Outing } from '../../documents/outing';
import { type References, lookUp } from '../../documents/references';
import type { Water } from '../../documents/water';
import { type Rig, rigSchema } from '../../documents/workings';
import { chargeLeft, powerSheet } from '../../power/powerSheet';
import { supplies } from '../../provisions/supplies';
import { lossRate } from '../../tackle/losses';
import { noAnswers } from '../../walkround/answers';
import { assess } from '../assess';

import { type FindingCode, sayFinding } from '../allRules';
import { knots } from '../../vocabulary/knots';
import { sheetIds } from '../../vocabulary/sheets';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const named = (id: string) => outings.find((one) => one.id === id) as Outing;
const [ready, ling, cup, cod] = ['pollack-long-grey', 'ling-anchored', 'mere-cup-day', 'cod-wreck'].map(
  named,
) as [Outing, Outing, Outing, Outing];
const judge = (outing: Outing, refs = references) => assess(outing, refs, noAnswers, now);
const find = (code: FindingCode, outing: Outing, refs = references) =>
  judge(outing, refs).findings.find((one) => one.facts.code === code) ?? null;
const brief = (outing: Outing, change: Partial<Outing['brief']>): Outing => ({
  ...outing,
  brief: { ...outing.brief, ...change },
});
const item = (id: string, change: Partial<Item>, refs = references): References => ({
  ...refs,
  items: refs.items.map((one) => (one.id === id ? { ...one, ...change } : one)),
});
const attribute = (id: string, change: Item['attributes'], refs = references) =>
  item(id, { attributes: { ...refs.items.find((one) => one.id === id)?.attributes, ...change } }, refs);

/** Still water of a depth with a steady stream, an even bottom, and two hours at the place. */
function mere(streamMps: number, depthM = 4, bottom: Water['areas'][number]['bottom'] = 'sand'): References {
  return {
    ...references,
    waters: references.waters.map((water) =>
      water.id === 'hallow-mere'
        ? {
            ...water,
            stream: { ...noStreamTable, towardDeg: 90, steadyMps: streamMps, constituents: [] },
            areas: water.areas.map((area) => ({ ...area, depthM, bottom })),
          }
        : water,
    ),
  };
}
const still = brief(
  {
    ...ready,
    conditions: {
      ...ready.conditions,
      hours: ready.conditions.hours.map((hour) => ({ ...hour, windMps: 1, gustMps: 2, swellM: null })),
    },
  },
  {
    waterId: 'hallow-mere',
    launchId: 'boathouse',
    areaId: 'reed-bays',
    techniques: ['anchored bait'],
    route: { out: [], home: [] },
  },
);
const anchored = ['anchor', 'trolley'].reduce((next, id) => withItem(next, id, 1), still);

describe('an anchor by the hour', () => {
  it('is shut from one metre a second, wants its gear from half and is minded with it, and is free below', () => {
    expect(find('anchor-shut', anchored, mere(1))?.level).toBe('stop');
    expect(find('anchor-shut', anchored, mere(0.99))).toMatchObject({
      level: 'mind',
      facts: { why: 'care' },
    });
    expect(find('anchor-shut', anchored, mere(0.49))).toBeNull();
    const bare = withItem(anchored, 'trolley', 0);
    expect(find('anchor-shut', bare, mere(0.5))?.facts).toMatchObject({ why: 'gear' });
    expect(find('anchor-shut', bare, mere(0.49))).toBeNull();
  });
  it('of a stricter school is shut earlier, and of a laxer one never later', () => {
    const school = (
      riverAnchor: 'never in current' | 'trolley, float and release',
      refs: References,
    ): References => ({
      ...refs,
      angler: refs.angler && { ...refs.angler, schools: { ...refs.angler.schools, riverAnchor } },
    });
    expect(find('anchor-shut', anchored, school('never in current', mere(0.6)))?.basis).toBe('school');
    expect(find('anchor-shut', anchored, school('trolley, float and release', mere(1.2)))?.basis).toBe(
      'physics',
    );
  });
  it('is shut by the side from 0.3 m/s, mended by leading it to the bow', () => {
    const beam: Outing = { ...anchored, workings: { ...anchored.workings, alignment: 'beam' } };
    expect(find('anchor-shut', beam, mere(0.29))).toBeNull();
    const shut = find('anchor-shut', beam, mere(0.3));
    expect(shut?.facts).toMatchObject({ why: 'beam' });
    const [repair] = shut?.repairs ?? [];
    expect(repair).toEqual({ do: 'set-alignment', alignment: 'bow' });
  });
  it('over a depth that nobody told asks for it, over a bottom alone it is noted', () => {
    const assumed = (list: Water['assumed']): References => ({
      ...mere(0),
      waters: mere(0).waters.map((water) => ({ ...water, assumed: list })),
    });
    expect(find('depth-assumed', anchored, assumed([]))).toBeNull();
    expect(find('depth-assumed', anchored, assumed(['carry']))).toBeNull();
    expect(find('depth-assumed', anchored, assumed(['bottom']))?.level).toBe('note');
    const both = find('depth-assumed', anchored, assumed(['depth', 'bottom']));
    expect(both?.level).toBe('mind');
    expect(both && sayFinding(both.facts).title).toMatch(/^Depth and bottom at /);
  });
  it('by the side is minded in waves without any stream, and mended by leading it to the bow', () => {
    const windy = (windMps: number): Outing => ({
      ...anchored,
      workings: { ...anchored.workings, alignment: 'beam' },
      conditions: {
        ...anchored.conditions,
        hours: anchored.conditions.hours.map((hour) => ({
          ...hour,
          windMps,
          gustMps: windMps,
          waveM: windMps / 20,
        })),
      },
    });
    expect(find('anchor-beam-waves', windy(4), mere(0))).toBeNull();
    const rolled = find('anchor-beam-waves', windy(9), mere(0));
    expect(rolled?.level).toBe('mind');
    expect(rolled?.repairs[0]).toEqual({ do: 'set-alignment', alignment: 'bow' });
    const led = { ...windy(9), workings: { ...anchored.workings, alignment: 'bow' as const } };
    expect(find('anchor-beam-waves', led, mere(0))).toBeNull();
  });
  it('is minded where the rode cannot give three to one', () => {
    expect(find('anchor-scope', anchored, mere(0.1, 9.6))).toBeNull();
    expect(find('anchor-scope', anchored, mere(0.1, 9.8))?.level).toBe('mind');
  });
  it('is minded where it holds less than twice the load, and swapped for one that holds', () => {
    const weak = attribute('anchor', { groundKg: 0.05 }, mere(0.4, 4, 'rock'));
    const drags = find('anchor-drags', anchored, weak);
    expect(drags?.level).toBe('mind');
    const swap = drags?.repairs.find((one) => one.do === 'swap-item');
    expect(swap && find('anchor-drags', applyRepair(anchored, swap, now), weak)).toBeNull();
    expect(find('anchor-drags', anchored, mere(0.2))).toBeNull();
  });
  it('without a release to hand is minded', () => {
    const refs = item('anchor', { qualities: [] }, mere(0.1));
    expect(find('anchor-no-release', anchored, refs)?.level).toBe('mind');
    expect(find('anchor-no-release', withItem(anchored, 'release-float', 1), refs)).toBeNull();
  });
  it('is silent where nobody means to anchor', () => {
    for (const code of ['anchor-shut', 'anchor-scope', 'anchor-drags', 'anchor-no-release'] as const)
      expect(find(code, brief(anchored, { techniques: ['casting'] }), mere(1.5, 60))).toBeNull();
  });
  it('in the demo must not be set at half past nine, and may at noon', () => {
    const looked = lookUp(ling, references);
    const long = references.items.find((one) => one.id === 'long-anchor');
    const { spot } = judge(ling).exposures;
    if (!looked.craft || !long) throw new Error('The demo has a boat and an anchor.');
    const hours = anchorHours(long, spot, looked.craft, looked, ling.workings);
    const at = (clock: string) => hours.find(({ hour }) => hour.clock === clock)?.leave;
    expect(at('09:30')).toEqual({ may: 'no', why: 'stream' });
    expect(at('12:00')).toEqual({ may: 'yes' });
    const spans = leaveStretches(hours);
    expect(spans[0]?.may).toBe('no');
  });
});

describe('a pole', () => {
  const poled = withItem(still, 'stake', 1);
  const withPole = (lengthM: number, refs: References): References => ({
    ...refs,
    items: [...refs.items, newItem('stake', 'stake-pole', { attributes: { lengthM } })],
  });
  it('reaches the bottom, half a metre of it and a hand above, in mud or sand, in slow water', () => {
    expect(find('pole-no-hold', poled, withPole(2.4, mere(0.1, 1.5)))).toBeNull();
    expect(find('pole-no-hold', poled, withPole(2.2, mere(0.1, 1.5)))?.facts).toMatchObject({ why: 'short' });
    expect(find('pole-no-hold', poled, withPole(2.4, mere(0.1, 1.5, 'rock')))?.facts).toMatchObject({
      why: 'bottom',
    });
    expect(find('pole-no-hold', poled, withPole(2.4, mere(0.5, 1.5)))?.facts).toMatchObject({
      why: 'stream',
    });
  });
});

describe('rigs', () => {
  const rig = (change: Partial<Rig>, outing = ready): Outing => {
    const jig = outing.rigs.find((one) => one.id === 'jig');
    return jig ? withRig(outing, { ...jig, ...change }) : outing;
  };
  it('break at the leader, else are minded and mended', () => {
    expect(find('rig-weak', ready)).toBeNull();
    const weak = find('rig-weak', cod);
    expect(weak?.facts).toMatchObject({ role: 'clip', strengthKg: 6 });
    for (const repair of weak?.repairs ?? [])
      expect(find('rig-weak', applyRepair(cod, repair, now))).toBeNull();
    expect(weak?.repairs.length).toBeGreaterThanOrEqual(2);
  });
  it('of a main line weaker than the leader are told as such', () => {
    const thin = attribute('braid', { breakKg: 7 });
    expect(find('rig-weak', ready, thin)?.facts).toMatchObject({ role: 'main' });
  });
  it('carry no line stronger than the rod', () => {
    // The part that breaks first decides: a leader weaker than the rod spares it, however strong the line.
    expect(find('rig-over-rod', ready, attribute('braid', { breakKg: 40 }))).toBeNull();
    const leaderId = ready.rigs.find(({ id }) => id === 'jig')?.leaderId ?? '';
    const strong = attribute(leaderId, { breakKg: 40 }, attribute('braid', { breakKg: 40 }));
    const over = find('rig-over-rod', ready, strong);
    expect(over?.level).toBe('mind');
    expect(over?.repairs.length).toBeGreaterThan(0);
    for (const repair of over?.repairs ?? [])
      expect(find('rig-over-rod', applyRepair(ready, repair, now), strong)).toBeNull();
  });
  it('throw a lure inside the rod’s window, ends included', () => {
    for (const lureG of [60, 200]) expect(find('rig-window', rig({ lureG }))).toBeNull();
    for (const lureG of [59, 201]) expect(find('rig-window', rig({ lureG }))?.level).toBe('mind');
    expect(find('rig-window', rig({ lureG: 5, purpose: 'troll deep' })), 'nothing is cast').toBeNull();
    const light = find('rig-window', rig({ lureG: 20 }));
    expect(light?.repairs.map((repair) => repair.do === 'set-rig' && repair.words)).toContain(
      'put it on Spinning rod, 2.1 m, with Thin braid, 0.13 mm',
    );
  });
  const forPollack = (change: Partial<Rig>) => rig(change, brief(ready, { targets: ['pollack'] }));
  it('are strong enough for the fish they are for: noted under seven tenths of its line, minded under half', () => {
    // Pollack: a line of 6 to 10 kg. Uni to uni keeps more than 7 tenths of what is rated: by strength, not by rating.
    const held = (kg: number) => {
      const at = forPollack({
        leaderId: 'fluoro-9',
        connection: 'direct',
        clipId: null,
        leaderKnot: 'palomar',
      });
      const refs = attribute('braid', { breakKg: 60 }, leaderOf(kg));
      return find('rig-light', at, refs);
    };
    const leaderOf = (kg: number): References => ({
      ...references,
      items: [
        ...references.items.filter(({ id }) => id !== 'fluoro-9'),
        { ...newItem('fluoro-9', 'fluoro-leader'), attributes: { breakKg: kg / knots.palomar.efficiency } },
      ],
    });
    expect(held(6 * 0.7 + 0.01)).toBeNull();
    expect(held(6 * 0.7 - 0.01)?.level).toBe('note');
    expect(held(6 * 0.45 - 0.01)?.level).toBe('mind');
    expect(held(6 * 0.45 - 0.01)?.facts).toMatchObject({ fish: 'pollack', wantKg: 6 });
  });
  it('do not frighten it: a leader far above what is usual, a lure far from what it eats', () => {
    const refs = (kg: number) => ({
      ...references,
      items: [...references.items, { ...newItem('rope', 'fluoro-leader'), attributes: { breakKg: kg } }],
    });
    const stout = forPollack({ leaderId: 'rope' });
    expect(find('rig-stout', stout, refs(12 * 1.6))).toBeNull();
    expect(find('rig-stout', stout, refs(12 * 1.6 + 0.1))?.level).toBe('note');
    // Jigged: 20 to 240 g, and twice that to either side.
    expect(find('rig-lure', forPollack({ lureG: 480 }))).toBeNull();
    expect(find('rig-lure', forPollack({ lureG: 481 }))?.facts).toMatchObject({ fish: 'pollack' });
    expect(find('rig-lure', forPollack({ lureG: 9 }))?.level).toBe('note');
    expect(find('rig-lure', forPollack({ lureG: 9, purpose: 'bait-catching' }))).toBeNull();
  });
  it('keep a swivel out of the guides', () => {
    const swivel = (leaderM: number) =>
      rig({ connection: 'swivel at the top', clipId: 'strong-snaps', leaderM });
    expect(find('rig-guides', swivel(1.6))).toBeNull();
    const caught = find('rig-guides', swivel(1.61));
    expect(caught?.level).toBe('mind');
    expect(caught?.repairs[0]).toMatchObject({ do: 'set-rig', change: { leaderM: 1.5 } });
    const thick = find('rig-knot', rig({ connection: 'direct', leaderM: 2, mainKnot: 'double uni' }));
    expect(thick?.level).toBe('note');
    expect(thick?.repairs[0]).toMatchObject({ change: { mainKnot: 'slim braid knot' } });
    expect(find('rig-knot', rig({ connection: 'direct', leaderM: 2 }))).toBeNull();
  });
  it('hold half as much again as the longest run', () => {
    // 40 m is the longest run of pollack, 50 m of sea bass; half as much again is 75 m.
    const spool = (spoolM: number) => attribute('jig-rod', { spoolM, spoolMm: 0.18 });
    expect(find('rig-spool', ready, spool(75))).toBeNull();
    const short = find('rig-spool', ready, spool(74.9));
    expect(short?.level).toBe('mind');
    // Another reel is wound instead: what it holds counts, not what came with the rod.
    const wound = short?.repairs.find(
      (repair) => repair.do === 'set-rig' && repair.change.reelId === 'spare-reel',
    );
    expect(wound && find('rig-spool', applyRepair(ready, wound, now), spool(74.9))).toBeNull();
    expect(judge(rig({ reelId: 'spare-reel' }, withItem(ready, 'spare-reel', 1))).unneeded).not.toContain(
      'spare-reel',
    );
    expect(judge(withItem(ready, 'spare-reel', 1)).unneeded).toContain('spare-reel');
  });
  it('stand teeth where the fish has them', () => {
    // With none aboard that stands teeth the need says it; with one, the rig that does not use it.
    const pike = withItem(brief(ready, { targets: ['pike'] }), 'bite-leader', 1);
    expect(find('rig-bites', brief(ready, { targets: ['pike'] }))).toBeNull();
    expect(find('rig-bites', pike)?.level).toBe('mind');
    expect(
      find('rig-bites', rig({ purpose: 'bait-catching' }, { ...pike, rigs: pike.rigs.slice(1) })),
    ).toBeNull();
  });
  it('are put together from what is aboard, copied, and taken apart', () => {
    const rod = references.items.find((one) => one.id === 'spin-rod');
    const made = rod && newRig('new', rod, lookUp(ready, references));
    expect(rigSchema.safeParse(made).success).toBe(true);
    // The braid of 9 kg is above the rod's 7 kg: the thin one is spooled, with a leader that breaks before
    // it.
    expect(made).toMatchObject({ rodId: 'spin-rod', connection: 'direct', mainId: 'thin-braid' });
    if (made) expect(find('rig-over-rod', { ...ready, rigs: [made] })).toBeNull();
    if (made) expect(find('rig-weak', { ...ready, rigs: [made] })).toBeNull();
    const more = made ? withRig(ready, copiedRig(made, 'again')) : ready;
    expect(more.rigs).toHaveLength(3);
    expect(withoutRig(more, 'again').rigs).toEqual(ready.rigs);
  });
});

describe('spares, jigs and spreads', () => {
  it('are too few under what is likely lost, and needlessly many far over it', () => {
    const pieces = (n: number) => attribute('jig-box', { pieces: n });
    const carry = 6;
    expect(find('spares-few', ready, pieces(carry - 1))?.facts).toMatchObject({ have: carry - 1, carry });
    expect(find('spares-few', ready, pieces(carry))).toBeNull();
    expect(find('spares-many', ready, pieces(carry * 3 + 6))).toBeNull();
    expect(find('spares-many', ready, pieces(carry * 3 + 7))?.level).toBe('note');
  });
  it('are lost more over rock and by teeth, and by one’s own count where there is one', () => {
    const box = newItem('box', 'jig-box');
    const rate = (bottom: 'sand' | 'rock', toothy = false) =>
      lossRate(box, ['jigging'], bottom, toothy).perHour;
    expect(rate('rock')).toBe(3 * rate('sand'));
    expect(rate('sand', true)).toBeGreaterThan(rate('sand'));
    const own = lossRate({ ...box, attributes: { lossPerHour: 0.7 } }, ['jigging'], 'rock', true);
    expect(own).toEqual({ perHour: 0.7, own: true });
  });
  it('note a jig lighter than an hour asks for', () => {
    const windy: Outing = {
      ...brief(ready, { techniques: ['jigging'] }),
      conditions: {
        ...ready.conditions,
        hours: ready.conditions.hours.map((hour) => ({ ...hour, windMps: 11, gustMps: 13 })),
      },
    };
    const light = find('jig-light', windy);
    expect(light?.level).toBe('note');
    const wanted = light?.facts.code === 'jig-light' ? light.facts.massG : 0;
    expect(find('jig-light', windy, attribute('jig-box', { lureG: wanted }))).toBeNull();
    // Sinkers as heavy as that are no jigs.
    const lead = { ...newItem('lead', 'sinkers'), attributes: { lureG: wanted } };
    expect(
      find('jig-light', withItem(windy, 'lead', 1), { ...references, items: [...references.items, lead] })
        ?.level,
    ).toBe('note');
    // By the line that is on the jigging rod: a thicker one is dragged harder.
    const thick = find('jig-light', windy, attribute('braid', { diameterMm: 0.4 }))?.facts;
    expect(thick?.code === 'jig-light' ? thick.massG : 0).toBeGreaterThan(wanted);
    expect(find('jig-light', windy, attribute('jig-box', { lureG: wanted - 1 }))?.level).toBe('note');
  });
  it('mind rods held wide in a crowd, and not in open water', () => {
    expect(find('spread-wide', cup)?.level).toBe('mind');
    const [leave] = find('spread-wide', cup)?.repairs ?? [];
    expect(leave).toMatchObject({ do: 'remove-item' });
    const one = leave && applyRepair(cup, leave, now);
    expect(one && judge(one).exposures.rods).toBe(1);
    const narrow: Outing = { ...cup, workings: { ...cup.workings, outAngleDeg: 25 } };
    expect(find('spread-wide', narrow)).toBeNull();
    expect(find('spread-wide', brief(cup, { waterId: 'hallow-mere' }))).toBeNull();
  });
});

describe('a battery on the day', () => {
  it('that dies in the cold is told with its hours, and swapped for one that lasts', () => {
    const short = find('battery-short', cup);
    expect(short?.facts).toMatchObject({ itemId: 'lead-battery', tempC: 3 });
    const [repair] = short?.repairs ?? [];
    expect(repair).toMatchObject({ do: 'swap-item', onId: 'battery' });
    expect(repair && find('battery-short', applyRepair(cup, repair, now))).toBeNull();
  });
  it('that stays lit but is drawn deeper than spares it is a Note, and a Mind once it goes dark', () => {
    const drawn = (watts: number) => {
      const items = references.items.map((item) =>
        item.id === 'sounder' ? { ...item, attributes: { ...item.attributes, watts } } : item,
      );
      const { findings } = assess(cup, { ...references, items }, noAnswers, now);
      return findings.find(({ facts }) => facts.code === 'battery-short' && facts.itemId === 'lead-battery');
    };
    const levels = [1, 4, 6, 8, 12, 20].map((watts) => drawn(watts)?.level ?? 'none');
    expect(levels).toContain('note');
    expect(levels.at(-1)).toBe('mind');
    expect(levels).toEqual(
      levels.toSorted((a, b) => ['none', 'note', 'mind'].indexOf(a) - ['none', 'note', 'mind'].indexOf(b)),
    );
  });
  it('feeds what names it, else what names nothing, and ends where the sum says', () => {
    const sheet = powerSheet(lookUp(cup, references), judge(cup).exposures, cup.workings);
    const of = (id: string) => sheet.supplies.find((one) => one.item.id === id);
    expect(of('power-bank')?.devices.map((one) => one.item.id)).toEqual(['action-cam']);
    const lead = of('lead-battery');
    expect(lead?.devices.map((one) => one.item.id).toSorted()).toEqual(['deck-lights', 'sounder']);
    const left = lead ? chargeLeft(lead, judge(cup).exposures) : [];
    expect(left[0]?.wh).toBeCloseTo(lead?.sum.usableWh ?? 0, 9);
    expect(left.every(({ wh }, i) => i === 0 || wh <= (left[i - 1]?.wh ?? 0))).toBe(true);
    // 9 W for as long as it lasts.
    expect((lead?.emptyAt ?? 0) * 9).toBeCloseTo(lead?.sum.usableWh ?? 0, 6);
  });
  it('that goes along and is unsound, out of date or in another boat feeds nothing, and what names it runs on no other', () => {
    const withBattery = withItem(cup, 'battery', 1);
    const fed = (outing: Outing, change: Partial<Item> = {}) => {
      const items = references.items.map((one) => (one.id === 'battery' ? { ...one, ...change } : one));
      return powerSheet(lookUp(outing, { ...references, items }), judge(cup).exposures, cup.workings);
    };
    const names = ({ without }: ReturnType<typeof powerSheet>) => without.map(({ item }) => item.id);
    expect(names(fed(withBattery))).toEqual([]);
    const loadout = withBattery.loadout.map((one) =>
      one.itemId === 'battery' ? { ...one, carriedBy: 'friend' } : one,
    );
    for (const sheet of [
      fed(withBattery, { condition: 'under repair' }),
      fed(withBattery, { condition: 'failed inspection' }),
      fed(withBattery, { expiresOn: '2020-01-01' }),
      fed({ ...withBattery, loadout }),
    ]) {
      expect(sheet.supplies.some(({ item }) => item.id === 'battery')).toBe(false);
      expect(names(sheet)).toContain('sounder');
    }
  });
  it('keeps to the hours written for a device', () => {
    const hour: Outing = { ...cup, workings: { ...cup.workings, deviceHours: { sounder: 1 } } };
    expect(find('battery-short', hour)).toBeNull();
  });
});

describe('water, food and ice on the sheet', () => {
  it('count a frozen bottle half as each', () => {
    const at = (outing: Outing) => supplies(lookUp(outing, references), judge(outing).exposures);
    const bare = at(withItem(ready, 'frozen', 0));
    const cold = at(withItem(ready, 'frozen', 2));
    expect(cold.water.carriedL - bare.water.carriedL).toBeCloseTo(1, 9);
    expect((cold.ice?.carriedKg ?? 0) - (bare.ice?.carriedKg ?? 0)).toBeCloseTo(1, 9);
  });
  it('have ice that only grows less, from what is carried', () => {
    const { ice } = supplies(lookUp(ready, references), judge(ready).exposures);
    const kgs = ice?.left.map((one) => one.kg) ?? [];
    expect(kgs[0]).toBe(ice?.carriedKg);
    expect(kgs.every((kg, i) => i === 0 || kg <= (kgs[i - 1] ?? 0))).toBe(true);
  });
  it('are what the needs are counted by, one’s own count of water and the store aboard with them', () => {
    const wanted = (id: string, outing: Outing, refs = references) =>
      judge(outing, refs).needs.find((need) => need.id === id)?.want ?? 0;
    const own: Outing = { ...ready, workings: { ...ready.workings, litresPerHour: 1 } };
    const hours = judge(ready).exposures.hoursAfloat ?? 0;
    expect(wanted('water', own)).toBeCloseTo(hours * 1.25, 1);
    const { ice } = supplies(lookUp(ready, references), judge(ready).exposures);
    expect(wanted('ice', ready)).toBeGreaterThanOrEqual(ice?.iceKg ?? 99);
    expect(wanted('ice', ready)).toBeLessThan((ice?.iceKg ?? 0) + 0.1);
    expect(wanted('ice', ready, attribute('ice-bag', { uaWK: 2 }))).toBeGreaterThan(wanted('ice', ready));
    const warm: Outing = { ...ready, workings: { ...ready.workings, targetC: 8 } };
    expect(wanted('ice', warm)).toBeLessThan(wanted('ice', ready));
  });
  it('have none where every fish goes back', () => {
    const back = brief(ready, { keep: 0 });
    expect(supplies(lookUp(back, references), judge(back).exposures).ice).toBeNull();
  });
});

describe('the sheets', () => {
  it('in use are those that the outing asks for', () => {
    expect(judge(ready).sheets).toEqual(['rigs', 'jig', 'spares', 'power', 'supplies', 'ice', 'cold']);
    expect(judge(cup).sheets).toContain('spread');
    expect(judge(ling).sheets).toContain('anchor');
    expect(judge(brief(ready, { techniques: ['drifting'] })).sheets).toContain('drift');
  });
  it('are tallied: within their limits of those in use', () => {
    const { workings } = judge(cod).tallies;
    expect(workings.of).toBe(judge(cod).sheets.length);
    // Its rig’s weak part, and too little ice for two cod.
    expect(workings.counted).toBe(workings.of - 2);
    expect(find('need-unmet', cod)).not.toBeNull();
    expect(
      judge(cod)
        .findings.map(({ key }) => key)
        .filter((key) => key.includes('ice')),
    ).toHaveLength(1);
    expect(sheetIds.length).toBe(10);
  });
  it('speak plainly and promise nothing', () => {
    for (const outing of outings)
      for (const { facts } of judge(outing).findings) {
        const { title, text } = sayFinding(facts);
        expect(`${title} ${text}`.toLowerCase()).not.toMatch(/\bsafe\b|undefined|nan|infinity/);
      }
  });
});

describe('a boat made fast to something that does not move', () => {
  const withHook = (refs: References, change: Partial<Item> = {}): References => ({
    ...refs,
    items: [...refs.items, newItem('hook', 'structure-hook', change)],
  });
  const hooked = withItem({ ...still, loadout: [] }, 'hook', 1);
  it('is told by stream and gear, and always asks whose it is', () => {
    const level = (streamMps: number, change: Partial<Item> = {}) =>
      find('made-fast', hooked, withHook(mere(streamMps), change))?.level ?? null;
    expect([0.2, 0.6, 0.99].map((mps) => level(mps))).toEqual([null, null, null]);
    expect(level(0.6, { qualities: [] })).toBe('stop');
    expect(level(1)).toBe('stop');
    expect(find('made-fast-leave', hooked, withHook(mere(0.2)))?.level).toBe('mind');
  });
  it('is led to bow or stern where the stream would roll it', () => {
    const beam = { ...hooked, workings: { ...hooked.workings, alignment: 'beam' as const } };
    expect(find('made-fast', beam, withHook(mere(0.3)))?.level).toBe('stop');
    expect(find('made-fast', beam, withHook(mere(0.29)))).toBeNull();
    expect(find('made-fast', beam, withHook(mere(0.3)))?.repairs[0]).toEqual({
      do: 'set-alignment',
      alignment: 'bow',
    });
  });
  it('is minded in waves that jerk it, and is no matter with an anchor out', () => {
    const rough = {
      ...hooked,
      conditions: {
        ...hooked.conditions,
        hours: hooked.conditions.hours.map((hour) => ({ ...hour, waveM: 0.5 })),
      },
    };
    const rigid = withHook(mere(0), { attributes: { rodeM: 0.6 } });
    expect(find('made-fast', rough, rigid)?.level).toBe('mind');
    expect(find('made-fast', rough, withHook(mere(0))), 'a long line gives').toBeNull();
    expect(find('made-fast', withItem(hooked, 'anchor', 1), rigid)).toBeNull();
    expect(find('made-fast-leave', withItem(hooked, 'anchor', 1), rigid)).toBeNull();
  });
});

describe('a drift', () => {
  it('is told when its sum is well over what is wanted, and minded when far over', () => {
    const drifting = (windMps: number) => ({
      ...brief(withItem(still, 'drogue', 1), { techniques: ['drifting'] }),
      conditions: {
        ...still.conditions,
        hours: still.conditions.hours.map((hour) => ({ ...hour, windMps, windFromDeg: 200 })),
      },
    });
    const refs = { ...references, items: [...references.items, newItem('drogue', 'drogue')] };
    const at = (windMps: number, targetDriftMps: number) => {
      const outing = drifting(windMps);
      return (
        find('drift-fast', { ...outing, workings: { ...outing.workings, targetDriftMps } }, refs)?.level ??
        null
      );
    };
    expect(at(1, 0.25)).toBeNull();
    const levels = [0.5, 0.2, 0.15, 0.1, 0.05, 0.02].map((wanted) => at(4, wanted));
    expect(levels[0]).toBeNull();
    expect(levels).toContain('note');
    expect(levels.at(-1)).toBe('mind');
  });
});

describe('a stream against the way home', () => {
  it('is told by its share of one’s pace, and shuts the way where it is all of it', () => {
    const plan = judge(still, mere(0)).exposures.plan;
    const home = plan?.legs.find(({ way }) => way === 'home');
    if (!home) throw new Error('There is a way home.');
    // Straight against it, whatever its direction.
    const against = (streamMps: number): References => ({
      ...mere(streamMps),
      waters: mere(streamMps).waters.map((water) =>
        water.stream
          ? { ...water, stream: { ...water.stream, towardDeg: (home.leg.bearingDeg + 180) % 360 } }
          : water,
      ),
    });
    const paceMps = references.craft.find(({ id }) => id === still.brief.craftId)?.cruiseMps ?? 0;
    expect(paceMps).toBeGreaterThan(0);
    const at = (share: number) => find('stream-against-home', still, against(share * paceMps))?.level ?? null;
    expect([0.3, 0.6, 0.9].map(at)).toEqual([null, 'note', 'mind']);
    expect(find('cannot-hold', still, against(1.1 * paceMps))?.level).toBe('stop');
    expect(at(1.1), 'told by the way that is shut').toBeNull();
  });
});

describe('hours without a forecast', () => {
  it('are told one, minded more, and stop one far from ground where there are none at all', () => {
    const blind = (from: number) => {
      const { launchAt } = judge(ready).exposures;
      const hours = ready.conditions.hours.map((hour) =>
        Date.parse(hour.at) >= (launchAt ?? 0) + from * 3_600_000 ? { ...hour, windMps: null } : hour,
      );
      return (
        find('conditions-missing', { ...ready, conditions: { ...ready.conditions, hours } })?.level ?? null
      );
    };
    const afloatH = Math.ceil(judge(ready).exposures.hoursAfloat ?? 0);
    expect(blind(afloatH + 2)).toBeNull();
    expect(blind(afloatH - 3)).toBe('mind');
    expect(blind(-3)).toBe('stop');
  });
});
