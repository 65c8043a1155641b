import { forms } from './forms';
import { describe, expect, it } from 'vitest';
import type { Outing } from './outing';
import sample from './samples/form-1.json';
import { openDocument, sayNotOpened, upgraded } from './open';
import { type KindName, documentKinds, kindNames } from './registry';
import type { Upgrade } from './upgrade';
import { nothingTold } from './word';
import { METRIC } from '../units/speaking';

const opened = (kind: KindName, kept: unknown) => {
  const result = openDocument<unknown>(documentKinds[kind] as never, kept);
  expect(result.is === 'opened' ? [] : sayNotOpened(result)).toEqual([]);
  return (result as { doc: Record<string, unknown> }).doc;
};

describe('a document of the first form', () => {
  it('as an outing has every figure of the sheets written out, its own kept, and names of its own for what rides where', () => {
    const doc = opened('outings', sample['outing/1']) as never as Outing;
    expect(doc.workings).toMatchObject({
      surgeHsM: 0.9,
      drogueCd: 1.2,
      jigCd: 0.8,
      kjPerHour: null,
      waterInHand: 1.25,
    });
    expect(doc.loadout[0]).toMatchObject({ outsideContainer: true, carriedBy: null });
    expect(doc.loadout[1]).toMatchObject({ outsideContainer: false, carriedBy: 'b' });
    expect(Object.keys(doc.loadout[0] ?? {}).sort()).toEqual([
      'carriedBy',
      'itemId',
      'outsideContainer',
      'quantity',
    ]);
    expect(doc.rigs.map(({ reelId }) => reelId)).toEqual(doc.rigs.map(() => null));
    expect(doc.log).toBeNull();
  });
  it('has extents of time in minutes, and others as they were', () => {
    const { accepted } = opened('outings', sample['outing/1']) as never as Outing;
    expect(accepted.map(({ key, extent }) => [key, extent])).toEqual([
      ['home-late', 10],
      ['thunder', 12],
    ]);
  });
  it('goes in its boat as that stands, until a set-up is chosen', () => {
    expect(opened('outings', sample['outing/1'])).toMatchObject({
      format: forms.outings,
      brief: { setUpId: null },
    });
  });
  it('has companions who bring nothing for all, until it is written', () => {
    const { company } = opened('outings', sample['outing/1']) as never as Outing;
    expect(company).toEqual([{ id: 'b', name: 'B', boat: '', says: [], brings: [] }]);
  });
  it('was left with nobody, tells nothing ashore that was not typed, and knows nobody to call at its water', () => {
    expect(opened('outings', sample['outing/1'])).toMatchObject({
      word: { vehicleAt: '', note: '', left: null, carriedAt: null },
    });
    expect(opened('waters', sample['water/1'])).toMatchObject({ rescue: { name: '', phone: '', radio: '' } });
  });
  it('as a boat, an item or a fish has what its form lacked', () => {
    expect(opened('craft', sample['craft/1'])).toMatchObject({
      format: forms.craft,
      wellKg: null,
      plugNames: '',
      shape: null,
      zones: null,
    });
    expect(opened('items', sample['item/1'])).toMatchObject({ format: forms.items, photo: null, stays: '' });
    const second = { ...sample['item/1'], format: 'item/2', photo: 'a'.repeat(64) };
    expect(opened('items', second)).toMatchObject({ format: forms.items, photo: 'a'.repeat(64), stays: '' });
    expect(opened('species', sample['species/1'])).toMatchObject({ format: forms.species, shape: 'round' });
  });
  it('as a water says where one can get out: by the land of its chart, else at its launches only', () => {
    const kept = sample['water/1'];
    expect(opened('waters', kept)).toMatchObject({
      format: forms.waters,
      getOut: 'by the chart',
      answered: [],
      areas: [{ id: 'bay', distanceM: 350, shoreM: null }],
    });
    const bare = { ...kept, chart: { type: 'FeatureCollection', features: [] } };
    expect(opened('waters', bare)).toMatchObject({ getOut: 'launches only' });
  });
  it('as a water or a boat has a position and figures that stand as they were kept', () => {
    expect(opened('waters', sample['water/1'])).toMatchObject({ positioned: true, assumed: [] });
    expect(opened('craft', sample['craft/1'])).toMatchObject({ assumed: [] });
  });
  it('as a water with a tide and a stream keeps their constituents, and has no table of its own yet', () => {
    const constituents = [{ name: 'M2', amplitude: 1, phaseDeg: 10 }];
    const moving = {
      ...sample['water/1'],
      tide: { meanM: 2, constituents },
      stream: { towardDeg: 90, steadyMps: 0.2, constituents },
    };
    expect(opened('waters', moving)).toMatchObject({
      tide: { meanM: 2, constituents, turns: [] },
      stream: {
        towardDeg: 90,
        steadyMps: 0.2,
        constituents,
        hours: [],
        springRangeM: null,
        neapRangeM: null,
      },
    });
  });
  it('as a profile has no limit of its own for waves, reads in metres, and has its others as they were', () => {
    expect(opened('anglers', sample['angler/1'])).toMatchObject({
      format: forms.anglers,
      limits: { ...sample['angler/1'].limits, waveM: null },
      units: METRIC,
      habits: { litresPerHour: null, kjPerHour: null },
      about: nothingTold,
      vehicle: { carries: 'not told', lengthM: null, ratedKg: null },
      times: { readyMin: null, driveMin: null, rigMin: null, carryMin: null },
    });
  });
  it('is brought up once: what is of today’s form stays as it is', () => {
    for (const [kind, kept] of [
      ['outings', sample['outing/1']],
      ['craft', sample['craft/1']],
      ['items', sample['item/1']],
      ['species', sample['species/1']],
      ['waters', sample['water/1']],
      ['anglers', sample['angler/1']],
    ] as const) {
      const doc = opened(kind, kept);
      expect(upgraded(documentKinds[kind], doc)).toBe(doc);
    }
  });
});

describe('every kind of document', () => {
  it('has a chain of steps without a gap that ends at today’s form, each with a name', () => {
    for (const name of kindNames) {
      const { format, upgrades } = documentKinds[name];
      const steps: readonly Upgrade[] = upgrades;
      steps.forEach((step, i) => {
        expect(step.to, step.name).toBe(steps[i + 1]?.from ?? format);
        expect(step.name.length).toBeGreaterThan(10);
      });
      const first = steps[0]?.from ?? format;
      expect(first, name).toMatch(/\/1$/);
    }
  });
});

describe('a document that cannot be opened', () => {
  it('of a newer form is told apart, in words', () => {
    const newer = openDocument(documentKinds.craft, { ...sample['craft/1'], format: 'craft/99' });
    expect(newer).toEqual({ is: 'newer', format: 'craft/99' });
    expect(sayNotOpened(newer as never)).toMatch(/newer version of this program/);
  });
  it.each([
    [null],
    ['text'],
    [{}],
    [[]],
    [{ format: 'craft/1', id: 7 }],
    [{ ...sample['craft/1'], lengthM: 'long' }],
  ])('is unreadable with the field and the reason: %j', (kept) => {
    const result = openDocument(documentKinds.craft, kept);
    expect(result.is).toBe('unreadable');
    expect(sayNotOpened(result as never)).toMatch(/^It cannot be read\. .{4,}/);
    if (kept === null || Array.isArray(kept))
      expect(sayNotOpened(result as never)).toBe('It cannot be read. It is no document.');
  });
  it('never loses what is no record in a list: the schema speaks of it', () => {
    const result = openDocument(documentKinds.outings, { ...sample['outing/1'], loadout: 'banana' });
    expect(result).toMatchObject({ is: 'unreadable', faults: [{ field: 'loadout' }] });
  });
});
