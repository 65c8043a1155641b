/**
 * The form of each kind of document that is written today: name and number. The next one is named here, and
 * its upgrade in upgrades.ts.
 */
export const forms = {
  anglers: 'angler/5',
  craft: 'craft/6',
  items: 'item/3',
  waters: 'water/5',
  rulePacks: 'rule-pack/1',
  species: 'species/2',
  procedures: 'procedure/1',
  outings: 'outing/6',
} as const;
