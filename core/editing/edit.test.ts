import { describe, expect, it } from 'vitest';
import { tripFits, tripFor } from '../vocabulary/trips';
import { demo } from '../demo/demo';
import { alwaysAboard, withAcceptance, withItem } from './edit';
import { applyRepair } from './repair';
import { copyOuting, newOuting, withKnown } from './newOuting';
import { type Outing, outingSchema } from '../documents/outing';
import { UNTITLED, titleFrom, withBrief } from './title';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];

describe('the loadout', () => {
  it('keeps the place of an item whose number changes, and whether it is carried apart', () => {
    const apart = applyRepair(ready, { do: 'separate-item', itemId: 'radio', name: 'Radio' }, now);
    const two = withItem(apart, 'radio', 2);
    expect(two.loadout.findIndex((entry) => entry.itemId === 'radio')).toBe(
      ready.loadout.findIndex((entry) => entry.itemId === 'radio'),
    );
    expect(two.loadout.find((entry) => entry.itemId === 'radio')).toEqual({
      itemId: 'radio',
      quantity: 2,
      outsideContainer: true,
      carriedBy: null,
    });
    expect(withItem(two, 'radio', 0).loadout).toHaveLength(ready.loadout.length - 1);
  });
  it('of a new outing begins with what always goes and is in order', () => {
    const ids = alwaysAboard(references.items).map((entry) => entry.itemId);
    expect(ids).toEqual(expect.arrayContaining(['foam-jacket', 'whistle', 'knife']));
    expect(
      alwaysAboard(references.items.map((item) => ({ ...item, condition: 'under repair' as const }))),
    ).toEqual([]);
  });
});

describe('repairs', () => {
  it.each([
    [{ do: 'set-keep', keep: 0 } as const, (o: Outing) => o.brief.keep, 0],
    [
      { do: 'set-hours', launchAt: '06:00', homeAt: '10:00' } as const,
      (o: Outing) => o.brief.homeAt,
      '10:00',
    ],
    [{ do: 'set-date', date: '2026-07-01' } as const, (o: Outing) => o.brief.date, '2026-07-01'],
    [{ do: 'set-alarm', alarmAt: '15:00' } as const, (o: Outing) => o.brief.alarmAt, '15:00'],
    [
      { do: 'set-contact', name: 'A', phone: '1', email: '' } as const,
      (o: Outing) => o.brief.contact.name,
      'A',
    ],
    [{ do: 'looked-again' } as const, (o: Outing) => Date.parse(o.conditions.takenAt ?? ''), now],
  ])('$do changes what it says and nothing else', (repair, read, value) => {
    const after = applyRepair(ready, repair, now);
    expect(read(after)).toBe(value);
    expect(after.loadout).toBe(ready.loadout);
    expect(outingSchema.safeParse(after).success).toBe(true);
  });
});

describe('an acceptance', () => {
  it('is kept with its reason and moment, replaced by a later one, and taken back by an empty one', () => {
    const once = withAcceptance(ready, 'wind-over-limit', 9, ' Short and sheltered ', now);
    expect(once.accepted).toEqual([
      { key: 'wind-over-limit', extent: 9, reason: 'Short and sheltered', at: '2026-05-15T19:00:00+00:00' },
    ]);
    expect(withAcceptance(once, 'wind-over-limit', 10, 'Again', now).accepted).toHaveLength(1);
    expect(withAcceptance(once, 'wind-over-limit', 9, '  ', now).accepted).toEqual([]);
  });
});

describe('a new outing', () => {
  it('is a valid document with open blanks, filled where there is only one choice', () => {
    const fresh = newOuting('one', '2026-05-16', references);
    expect(outingSchema.safeParse(fresh).success).toBe(true);
    expect(fresh.brief).toMatchObject({ craftId: null, waterId: null });
    const single = {
      ...references,
      craft: references.craft.slice(0, 1),
      waters: references.waters.slice(0, 1),
    };
    expect(newOuting('one', '2026-05-16', single).brief).toMatchObject({
      craftId: 'grey-wagtail',
      waterId: 'ostrey-sound',
    });
  });
  it('begins at first light on the only water, with its only place, the trip it is for, and the person ashore', () => {
    const mere = references.waters
      .filter(({ id }) => id === 'hallow-mere')
      .map((one) => ({ ...one, areas: one.areas.slice(0, 1) }));
    const { brief: fresh } = newOuting('one', '2026-05-16', { ...references, waters: mere });
    expect(fresh).toMatchObject({
      waterId: 'hallow-mere',
      launchId: mere[0]?.launches[0]?.id,
      areaId: mere[0]?.areas[0]?.id,
      trip: 'still-water',
      contact: references.angler?.contact,
    });
    // Sunrise there is between four and six by the water's own clock; the launch is a quarter of an hour mark
    // behind it.
    expect(fresh.launchAt).toMatch(/^0[56]:(00|15|30|45)$/);
    const coast = references.waters.filter(({ id }) => id === 'ostrey-sound');
    const onCoast = newOuting('two', '2026-05-16', { ...references, waters: coast }).brief;
    expect(tripFits(onCoast.trip, coast[0]?.setting ?? 'still')).toBe(true);
  });
  it('takes water, place, boat and manner from the outing before, where they still are', () => {
    const { brief: next } = newOuting('two', '2026-05-17', references, ready);
    const { waterId, launchId, areaId, craftId, trip, techniques } = ready.brief;
    expect(next).toMatchObject({
      waterId,
      launchId,
      areaId,
      craftId,
      trip,
      techniques,
      targets: [],
      party: 1,
    });
    const gone = { ...references, craft: references.craft.filter(({ id }) => id !== craftId) };
    expect(newOuting('two', '2026-05-17', gone, ready).brief.craftId).toBeNull();
  });
  it('begun before anything was told takes up what is told since, and leaves what was filled', () => {
    const [water] = references.waters.filter(({ id }) => id === 'hallow-mere');
    const later = { ...references, waters: water ? [water] : [], craft: references.craft.slice(0, 1) };
    const nothing = { ...references, angler: null, waters: [], craft: [], items: [] };
    const begun = newOuting('two', '2026-05-17', nothing);
    expect(withKnown(begun, nothing)).toBe(begun);
    const known = withKnown(begun, later);
    const wanted = newOuting('two', '2026-05-17', later).brief;
    expect(known.brief).toMatchObject({
      waterId: 'hallow-mere',
      launchId: wanted.launchId,
      craftId: wanted.craftId,
      launchAt: wanted.launchAt,
      contact: wanted.contact,
    });
    expect(withKnown(known, later)).toBe(known);
    const moved = withBrief(begun, { launchAt: '10:00', homeAt: '12:00' }, nothing);
    expect(withKnown(moved, later).brief).toMatchObject({
      launchAt: '10:00',
      homeAt: '12:00',
      waterId: 'hallow-mere',
    });
    // Whom an outing leaves out that has water and boat, it leaves out.
    const alone = withBrief(known, { contact: { ...known.brief.contact, name: '', phone: '' } }, later);
    expect(withKnown(alone, later)).toBe(alone);
    // Of several waters none is taken by itself.
    expect(withKnown(begun, { ...references, craft: [] }).brief.waterId).toBeNull();
  });
  it('is given a trip that its water is for', () => {
    for (const setting of ['still', 'river', 'estuary', 'coast', 'open', 'flats'] as const)
      for (const surf of [false, true]) expect(tripFits(tripFor(setting, surf), setting)).toBe(true);
    expect([tripFor('coast', false), tripFor('coast', true), tripFor('still', true)]).toEqual([
      'estuary',
      'beyond-surf',
      'still-water',
    ]);
    expect([
      tripFits('still-water', 'coast'),
      tripFits('night', 'coast'),
      tripFits('river-day', 'still'),
    ]).toEqual([false, true, false]);
  });
  it('is named after fish and place until somebody names it', () => {
    const fresh = newOuting('one', '2026-05-16', references);
    const named = withBrief(
      fresh,
      { targets: ['cod', 'ling'], waterId: 'saltern-beach', areaId: 'wreck' },
      references,
    );
    expect(fresh.title).toBe(UNTITLED);
    expect(named.title).toBe('Cod and ling at the wreck');
    expect(withBrief(named, { targets: ['cod'] }, references).title).toBe('Cod at the wreck');
    expect(withBrief({ ...named, title: 'Mine' }, { targets: [] }, references).title).toBe('Mine');
  });
  it('copied leaves the day’s figures and answers behind', () => {
    const carried = { ...ready, word: { ...ready.word, carriedAt: '2026-05-15T18:00:00Z' } };
    const copy = copyOuting(withAcceptance(carried, 'x', 1, 'why not', now), 'two', '2026-06-01', references);
    expect(copy.word).toEqual({ ...ready.word, left: null, carriedAt: null });
    expect(copy).toMatchObject({
      id: 'two',
      title: titleFrom(ready.brief, references),
      accepted: [],
      conditions: { takenAt: null, hours: [], waterC: ready.conditions.waterC },
    });
    expect(outingSchema.safeParse(copy).success).toBe(true);
    const blank = { ...ready, title: 'Mine', brief: { ...ready.brief, targets: [], areaId: null } };
    expect(copyOuting(blank, 'two', '2026-06-01', references).title).toBe('Mine');
  });
});
