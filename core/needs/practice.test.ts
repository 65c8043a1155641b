import { describe, expect, it } from 'vitest';
import { anglerSchema } from '../documents/angler';
import { practice, reasonFor, schoolIds } from './practice';

describe('where practice differs', () => {
  it.each(schoolIds)('every answer of the profile to “%s” has its reason, and no other', (id) => {
    const { options } = anglerSchema.shape.schools.shape[id];
    expect(Object.keys(practice[id].answers).toSorted()).toEqual([...options].toSorted());
    for (const answer of options) expect(reasonFor(id, answer)).toMatch(/^[A-Z].{15,}\.$/);
    expect(practice[id].here).toMatch(/\.$/);
  });
  it('asks every question of the profile, and promises nothing', () => {
    expect(schoolIds.toSorted()).toEqual(Object.keys(anglerSchema.shape.schools.shape).toSorted());
    expect(JSON.stringify(practice)).not.toMatch(/\bsafe\b|!/i);
  });
});
