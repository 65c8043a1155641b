import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { documentKinds } from '../documents/registry';
import { planDiffers, joinedOuting, partyPlan, withPartyPlan } from './party';

const { outings, references } = demo(Date.parse('2026-05-15T19:00:00Z'));
const lead = outings.find(({ id }) => id === 'venn-overnight');
if (!lead) throw new Error('The sample has an outing of three.');
const nobodyElse = {
  angler: null,
  craft: [],
  items: [],
  waters: references.waters,
  rulePacks: [],
  species: [],
};
const joined = () =>
  joinedOuting(
    'mine',
    partyPlan(lead),
    lead.brief,
    { references: nobodyElse, craftId: 'teal' },
    lead.company,
  );

describe('an outing in somebody’s party', () => {
  it('goes by their plan with one’s own boat, and takes over nothing that is theirs alone', () => {
    const own = joined();
    expect(documentKinds.outings.schema.parse(own)).toEqual(own);
    expect(planDiffers(own, partyPlan(lead))).toEqual([]);
    expect(own).toMatchObject({
      loadout: [],
      accepted: [],
      rigs: [],
      brief: { craftId: 'teal', contact: { name: '' } },
    });
    expect(own.conditions).toEqual(lead.conditions);
  });
  it('tells in words what of the plan was changed since, and goes by it when asked', () => {
    const own = joined();
    const changed = partyPlan({ ...lead, brief: { ...lead.brief, launchAt: '10:15', nights: 2, keep: 9 } });
    expect(planDiffers(own, changed)).toEqual(['nights out', 'the launch time']);
    const after = withPartyPlan(own, changed);
    expect(planDiffers(after, changed)).toEqual([]);
    // What one keeps is one's own to say.
    expect(after.brief).toMatchObject({
      launchAt: '10:15',
      nights: 2,
      keep: own.brief.keep,
      craftId: 'teal',
    });
  });
  it('takes over a forecast that was looked at later, never an older one', () => {
    const own = joined();
    const [hour] = lead.conditions.hours;
    if (!hour) throw new Error('The sample has a forecast.');
    const at = (takenAt: string, windMps: number) => ({
      ...partyPlan(lead),
      conditions: { ...lead.conditions, takenAt, hours: [{ ...hour, windMps }] },
    });
    const later = at('2026-06-01T08:00:00Z', 9);
    expect(planDiffers(own, later)).toEqual(['the forecast']);
    const mine = withPartyPlan(own, later);
    expect(mine.conditions.hours[0]?.windMps).toBe(9);
    const older = at('2026-05-01T08:00:00Z', 2);
    expect(planDiffers(mine, older)).toEqual([]);
    expect(withPartyPlan(mine, older).conditions).toBe(mine.conditions);
  });
});
