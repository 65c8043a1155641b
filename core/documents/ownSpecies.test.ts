import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { assess } from '../judgement/assess';
import type { Outing } from './outing';
import { noAnswers } from '../walkround/answers';
import { type OwnSpecies, ownSpeciesSchema } from './ownSpecies';
import { speciesIds } from '../catalog/species/species';
import { allSpecies, speciesOf } from '../catalog/species/speciesOf';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];
const [dace] = references.species as [OwnSpecies];

describe('a fish of one’s own', () => {
  it('is found beside the table, and the table wins its own names', () => {
    expect(speciesOf('venn-dace', references.species)?.name).toBe('Venn dace');
    expect(speciesOf('pollack', [{ ...dace, id: 'pollack' }])?.name).toBe('pollack');
    expect(speciesOf('unicorn', references.species)).toBeNull();
    expect(allSpecies(references.species)).toHaveLength(speciesIds.length + 1);
  });
  it('asks for what its figures ask for', () => {
    const needs = (own: OwnSpecies) =>
      assess(
        { ...ready, brief: { ...ready.brief, targets: ['venn-dace'], keep: 0 } },
        { ...references, species: [own] },
        noAnswers,
        now,
      ).needs;
    const small = needs(dace).find((need) => need.id === 'leader');
    const toothy = needs({ ...dace, teeth: 'sharp' }).find((need) => need.id === 'leader');
    expect([small?.level, toothy?.level]).toEqual(['should', 'must']);
    const largest = needs(dace).find((need) => need.id === 'land-fish')?.reasons[0];
    expect(largest).toMatchObject({ because: 'species', name: 'Venn dace', lengthM: 0.3 });
  });
  it('that is deleted leaves its blank open', () => {
    const gone = { ...ready, brief: { ...ready.brief, targets: ['venn-dace'] } };
    const { openBlanks } = assess(gone, { ...references, species: [] }, noAnswers, now);
    expect(openBlanks).toContain('targets');
  });
  it.each<[Partial<OwnSpecies>, string]>([
    [{ name: ' ' }, 'Give it a name.'],
    [{ habitats: [] }, 'Say where it lives.'],
    [{ depthM: [5, 2] }, 'The second must not be smaller than the first.'],
    [{ largest: { lengthM: 0.1, massKg: 0.1 } }, 'The largest is not shorter than the usual.'],
    [{ airS: -1 }, 'A number from 0 to 120 s.'],
  ])('is refused in words: %j', (change, why) => {
    const result = ownSpeciesSchema.safeParse({ ...dace, ...change });
    expect(result.success ? [] : result.error.issues.map((issue) => issue.message)).toContain(why);
  });
});
