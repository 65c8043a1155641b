import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { withItem } from '../editing/edit';
import { lookUp } from '../documents/references';
import { callCardOf, fromPlace } from './callCard';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const ready = outings.find(({ id }) => id === 'pollack-long-grey');
if (!ready) throw new Error('The demo data has no such outing.');
const card = callCardOf(ready, lookUp(ready, references));

describe('the card to call with', () => {
  it('says who, where, what, how many and what is needed, in that order', () => {
    expect(card.opening).toMatch(/^Mayday, mayday, mayday\. This is kayak (.+), \1, \1\.$/);
    expect(card.places[0]?.position).toMatch(/^\d+° \d\d\.\d{3}′ [NS] \d+° \d\d\.\d{3}′ [EW]$/);
    expect(card.rest[0]).toMatch(/^What has happened/);
    expect(card.rest).toContain('One person, alone.');
    expect(card.rest.at(-1)).toBe('I need help at once. Over.');
  });
  it('names each place once, by how far and where it lies from the landing', () => {
    expect(card.places.map(({ name }) => name)).toEqual(['Gannet Slip', 'the grey buoy', 'the Long Grey']);
    expect(card.places[0]?.from).toBeNull();
    expect(card.places[2]?.from).toMatch(/^[\d.]+ km south-east of Gannet Slip$/);
  });
  it('names what is aboard to call with, and not what stays ashore', () => {
    expect(card.with.length).toBeGreaterThan(0);
    const { aboard } = lookUp(ready, references);
    const bare = aboard
      .filter(({ item }) => card.with.includes(item.name))
      .reduce((next, { item }) => withItem(next, item.id, 0), ready);
    expect(callCardOf(bare, lookUp(bare, references)).with).toEqual([]);
  });
  it('counts the party and names the others with their boats', () => {
    const two = {
      ...ready,
      brief: { ...ready.brief, party: 2 },
      company: [{ id: 'a', name: 'Sample Friend', boat: 'red kayak', says: [], brings: [] }],
    };
    const { rest, others } = callCardOf(two, lookUp(two, references));
    expect(rest).toContain('Two persons in the party.');
    expect(others).toEqual(['Sample Friend in red kayak']);
  });
  it('of a water without positions gives none', () => {
    const waters = references.waters.map((water) => ({ ...water, positioned: false }));
    expect(callCardOf(ready, lookUp(ready, { ...references, waters })).places).toEqual([]);
  });
  it('says directions as they are said aloud', () => {
    const place = { name: 'the slip', latDeg: 50, lonDeg: 0 };
    expect(fromPlace(place, { latDeg: 50, lonDeg: -0.02 })).toBe('1.4 km west of the slip');
    expect(fromPlace(place, { latDeg: 50.0001, lonDeg: 0 })).toBeNull();
  });
});
