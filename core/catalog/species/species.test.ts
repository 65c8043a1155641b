import { describe, expect, it } from 'vitest';
import { handlingFor } from './handling';
import { isMetOn } from './speciesOf';
import { tackleFor } from './tackleFor';
import { techniques } from '../../vocabulary/trips';
import { heightOf, powerFor, speciesIds, speciesTable, techniquesFor } from './species';

const all = speciesIds.map((id) => speciesTable[id]);

describe('the species table', () => {
  it('has at least thirty-six, in fresh water, estuaries, coasts and open water, on every continent but the cold one', () => {
    expect(all.length).toBeGreaterThanOrEqual(36);
    for (const habitat of ['fresh', 'estuary', 'coast', 'open'] as const)
      expect(all.filter((one) => one.habitats.includes(habitat)).length).toBeGreaterThanOrEqual(5);
    for (const place of ['Europe', 'Asia', 'Africa', 'Australia', 'North America', 'South America'])
      expect(
        all.some((one) => one.continents.includes(place)),
        place,
      ).toBe(true);
  });
  it('has sizes, ranges and times in order and within reason', () => {
    for (const one of all) {
      expect(one.usual.lengthM, one.name).toBeLessThan(one.largest.lengthM);
      expect(one.usual.massKg, one.name).toBeLessThan(one.largest.massKg);
      for (const [low, high] of [one.depthM, one.forageCm, one.rodM, one.lineKg, one.leaderKg, one.lureG]) {
        expect(low, one.name).toBeGreaterThanOrEqual(0);
        expect(high, one.name).toBeGreaterThanOrEqual(low);
      }
      expect(one.airS, one.name).toBeGreaterThanOrEqual(10);
      expect(one.airS, one.name).toBeLessThanOrEqual(60);
      expect(one.runM, one.name).toBeGreaterThan(0);
    }
  });
  it('says of each where it is usual: sea bass on no lake, and every fish on some water', () => {
    const met = (
      id: 'sea-bass' | 'largemouth-bass',
      type: 'fresh' | 'salt' | 'brackish',
      setting: 'still' | 'coast',
    ) => isMetOn(speciesTable[id], { type, setting });
    expect([met('sea-bass', 'salt', 'coast'), met('sea-bass', 'fresh', 'still')]).toEqual([true, false]);
    expect([met('largemouth-bass', 'salt', 'coast'), met('largemouth-bass', 'brackish', 'still')]).toEqual([
      false,
      true,
    ]);
    for (const one of all)
      expect(
        (['still', 'river', 'estuary', 'coast', 'open', 'flats'] as const).some((setting) =>
          (['fresh', 'brackish', 'salt'] as const).some((type) => isMetOn(one, { type, setting })),
        ),
        one.name,
      ).toBe(true);
    expect(isMetOn(speciesTable['sea-bass'], null)).toBe(true);
  });
  it('keeps length and mass in one another’s reach: a fish is no plank and no balloon', () => {
    for (const one of all)
      for (const { lengthM, massKg } of [one.usual, one.largest]) {
        const condition = massKg / lengthM ** 3;
        expect(condition, `${one.name} ${lengthM} m`).toBeGreaterThan(4.5);
        expect(condition, `${one.name} ${lengthM} m`).toBeLessThan(26);
      }
  });
  it('asks a leader no weaker than its line for whatever has teeth that cut', () => {
    for (const one of all.filter(({ teeth }) => teeth === 'sharp'))
      expect(one.leaderKg[1], one.name).toBeGreaterThanOrEqual(one.lineKg[1]);
  });
  it('has a way to fish for each, and a jig where it is deep', () => {
    for (const one of all) expect(techniquesFor(one).length, one.name).toBeGreaterThan(0);
    expect(techniquesFor(speciesTable.ling)).toContain('jigging');
    expect(techniquesFor(speciesTable.bonefish)).toEqual(['casting', 'fly', 'sight fishing']);
  });
});

describe('handling', () => {
  it('never gaffs what goes back, and leaves the very large beside the boat', () => {
    for (const one of all) expect(handlingFor(one, false).land).not.toContain('gaff');
    expect(handlingFor(speciesTable.tarpon, false).land).toBe('beside the boat, in the water');
    expect(handlingFor(speciesTable.ling, true).land).toContain('gaff');
  });
  it('spreads the jaws of big teeth and is gentle with small mouths', () => {
    expect(handlingFor(speciesTable.pike, false).unhook).toContain('jaw spreader');
    expect(handlingFor(speciesTable.trout, false).unhook).toContain('forceps');
    expect(handlingFor(speciesTable.pike, false).air).toBe('15 s out of the water at the most');
  });
});

describe('what a fish asks for, by its figures', () => {
  it('is a rod as strong as its line', () => {
    const rank = ['ultra-light', 'light', 'medium', 'medium-heavy', 'heavy'];
    const byLine = all.toSorted((a, b) => a.lineKg[0] + a.lineKg[1] - b.lineKg[0] - b.lineKg[1]);
    const powers = byLine.map((one) => rank.indexOf(powerFor(one)));
    expect(powers).not.toContain(-1);
    expect(powers).toEqual(powers.toSorted((a, b) => a - b));
    expect([powerFor(speciesTable.perch), powerFor(speciesTable.tarpon)]).toEqual(['light', 'heavy']);
  });
  it('stands as tall as its mass makes it: the volume of the drawn body is that of the fish', () => {
    for (const one of all)
      for (const size of [one.usual, one.largest]) {
        const tall = heightOf(size);
        expect(0.38 * size.lengthM * tall * (0.55 * tall) * 1000, one.name).toBeCloseTo(size.massKg, 6);
        expect(tall / size.lengthM, one.name).toBeGreaterThan(0.1);
        expect(tall / size.lengthM, one.name).toBeLessThan(0.4);
      }
  });
});

describe('what a fish asks of tackle', () => {
  it('is complete and in order for every species in every technique', () => {
    for (const species of all)
      for (const technique of techniques) {
        const asked = tackleFor(species, technique);
        const what = `${species.name}, ${technique}`;
        for (const key of ['rodM', 'lineKg', 'leaderKg', 'leaderM', 'lureG', 'lureCm', 'dragKg'] as const) {
          const [low, high] = asked[key];
          expect(low, `${what}: ${key}`).toBeGreaterThan(0);
          expect(high, `${what}: ${key}`).toBeGreaterThanOrEqual(low);
          expect(Number.isFinite(high), `${what}: ${key}`).toBe(true);
        }
        // The drag never pulls as hard as the line holds, and the reel holds more than the longest run.
        expect(asked.dragKg[1], what).toBeLessThan(asked.lineKg[1] / 2);
        expect(asked.lineM, what).toBeGreaterThan(species.runM);
        expect(asked.hooks, what).toMatch(/single|treble|circle|assist/);
        expect(asked.power, what).not.toBe('');
        expect(asked.spareLeaders, what).toBeGreaterThanOrEqual(2);
      }
  });
  it('differs by technique: a short rod to jig, circle hooks for bait, more line strength to troll', () => {
    const { pollack, pike } = speciesTable;
    expect(tackleFor(pollack, 'jigging').rodM[1]).toBeLessThan(tackleFor(pollack, 'casting').rodM[1]);
    expect(tackleFor(pollack, 'live bait').hooks).toMatch(/circle/);
    expect(tackleFor(pollack, 'trolling').lineKg).toEqual(pollack.lineKg.map((kg) => kg * 1.2));
    expect(tackleFor(pike, 'casting').leader).toMatch(/teeth/);
  });
});
