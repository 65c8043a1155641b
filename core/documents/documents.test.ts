import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { anglerSchema } from './angler';
import { craftSchema } from './craft';
import { itemSchema } from './item';
import { outingSchema } from './outing';
import { lookUp, openBlanks } from './references';
import { rulePackSchema } from './rulePack';
import { baselinePack } from './baselinePack';
import { ownSpeciesSchema } from './ownSpecies';
import { waterSchema } from './water';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);

describe('the demo data', () => {
  it('fits every schema, whatever the day of the first start', () => {
    for (const day of ['2026-01-01', '2026-06-21', '2027-12-31', '2028-02-29']) {
      const data = demo(Date.parse(`${day}T22:30:00Z`));
      const check = (schema: { parse: (value: unknown) => unknown }, list: readonly unknown[]) =>
        list.forEach((one) => schema.parse(one));
      check(anglerSchema, [data.references.angler]);
      check(craftSchema, data.references.craft);
      check(itemSchema, data.references.items);
      check(waterSchema, data.references.waters);
      check(rulePackSchema, [...data.references.rulePacks, baselinePack]);
      check(ownSpeciesSchema, data.references.species);
      check(outingSchema, data.outings);
      for (const { brief, log } of data.outings) expect(brief.date > day).toBe(log === null);
      expect(data.outings.filter(({ log }) => log !== null)).toHaveLength(1);
    }
  });
  it('names only items, containers and batteries that are in the locker', () => {
    const ids = new Set(references.items.map((item) => item.id));
    const named = [
      ...outings.flatMap((outing) => outing.loadout.map((entry) => entry.itemId)),
      ...references.items.flatMap((item) => [item.containerId, item.poweredById]).filter((id) => id !== null),
    ];
    expect(named.filter((id) => !ids.has(id))).toEqual([]);
  });
});

describe('what an outing points at', () => {
  it('is looked up, and is null or left out when it is gone', () => {
    const [outing] = outings;
    if (!outing) throw new Error('no outing');
    const looked = lookUp(outing, references);
    expect([looked.water?.id, looked.area?.id, looked.craft?.id]).toEqual([
      'ostrey-sound',
      'long-grey',
      'grey-wagtail',
    ]);
    expect(openBlanks(outing.brief, looked)).toEqual([]);
    const bare = lookUp(outing, {
      angler: null,
      craft: [],
      items: [],
      waters: [],
      rulePacks: [],
      species: [],
    });
    expect(bare.aboard).toEqual([]);
    expect(openBlanks(outing.brief, bare)).toEqual(['water', 'launch', 'area', 'craft', 'angler']);
  });
});
