import { forms } from '../documents/forms';
import type { Rule, RulePack } from '../documents/rulePack';
import { addDays } from '../units/time';

type NeedRule = Extract<Rule, { rule: 'need' }>;
function asks(
  id: string,
  needId: NeedRule['needId'],
  when: NeedRule['when'],
  text: string,
  citation: string,
): NeedRule {
  return { id, rule: 'need', needId, want: null, when, text, citation };
}

/** The invented rules of the demo waters, each of an invented authority. */
export function demoRulePacks(today: string): readonly RulePack[] {
  const pack = { format: forms.rulePacks, standing: 'law' } as const;
  return [
    {
      ...pack,
      id: 'ostrey-rules',
      name: 'Ostrey coast rules',
      authority: 'Ostrey Inshore Board',
      lastCheckedOn: addDays(today, -41),
      rules: [
        asks('o1', 'licence', 'fishing', 'a shore and boat licence is carried', 'Byelaw 3'),
        asks('o2', 'be-seen-night', 'in the dark', 'a white light between sunset and sunrise', 'Byelaw 11'),
        {
          id: 'o3',
          rule: 'rods',
          most: 2,
          withPermission: null,
          text: 'two rods to a boat',
          citation: 'Byelaw 5',
        },
        {
          id: 'o4',
          rule: 'bag',
          speciesId: 'sea-bass',
          most: 2,
          text: 'two sea bass a day',
          citation: 'Byelaw 7',
        },
        {
          id: 'o5',
          rule: 'bag',
          speciesId: 'pollack',
          most: 3,
          text: 'three pollack a day',
          citation: 'Byelaw 7',
        },
        {
          id: 'o6',
          rule: 'size',
          speciesId: 'sea-bass',
          leastM: 0.42,
          mostM: null,
          text: '',
          citation: 'Byelaw 8',
        },
        {
          id: 'o7',
          rule: 'size',
          speciesId: 'pollack',
          leastM: 0.3,
          mostM: null,
          text: '',
          citation: 'Byelaw 8',
        },
        {
          id: 'o8',
          rule: 'no-anchor',
          areaId: 'inner-sound',
          text: 'kelp and a cable on the bottom',
          citation: 'Byelaw 14',
        },
      ],
    },
    {
      ...pack,
      id: 'hallow-rules',
      name: 'Hallow Mere permit',
      authority: 'Hallow Water Company',
      lastCheckedOn: addDays(today, -120),
      rules: [
        asks('h1', 'licence', 'fishing', 'a day permit is carried', 'Permit, line 1'),
        asks('h2', 'measure', 'fishing', 'every predator is measured', 'Permit, line 6'),
        {
          id: 'h3',
          rule: 'rods',
          most: 1,
          withPermission: 2,
          text: 'a second rod with its own permission',
          citation: 'Permit, line 4',
        },
        {
          id: 'h4',
          rule: 'bag',
          speciesId: 'zander',
          most: 0,
          text: 'every zander goes back',
          citation: 'Permit, line 5',
        },
        {
          id: 'h5',
          rule: 'no-anchor',
          areaId: 'dam-wall',
          text: 'no anchor within reach of the dam',
          citation: 'Permit, line 9',
        },
      ],
    },
    {
      ...pack,
      id: 'venn-rules',
      name: 'Venn fishery rules',
      authority: 'Venn River Trust',
      lastCheckedOn: addDays(today, -402),
      rules: [
        asks('v1', 'throw-line', 'always', 'a buoyant line in every boat', 'Rule 9'),
        {
          id: 'v2',
          rule: 'closed',
          speciesId: 'barbel',
          from: '03-15',
          to: '06-15',
          text: 'closed for spawning',
          citation: 'Rule 2',
        },
        { id: 'v3', rule: 'rods', most: 2, withPermission: null, text: '', citation: 'Rule 4' },
      ],
    },
    {
      ...pack,
      id: 'lantern-rules',
      name: 'Lantern Cays flats rules',
      authority: 'Lantern Cays Wardens',
      lastCheckedOn: addDays(today, -64),
      rules: [
        asks('l1', 'licence', 'fishing', 'a flats permit is carried', 'Section 2'),
        {
          id: 'l2',
          rule: 'bag',
          speciesId: 'bonefish',
          most: 0,
          text: 'every bonefish goes back',
          citation: 'Section 4',
        },
        { id: 'l3', rule: 'no-anchor', areaId: null, text: 'grass beds: poles only', citation: 'Section 6' },
      ],
    },
    {
      ...pack,
      id: 'saltern-rules',
      name: 'Saltern shore rules',
      authority: 'Saltern Shore Council',
      lastCheckedOn: addDays(today, -12),
      rules: [
        asks('s1', 'licence', 'fishing', 'a boat licence is carried', 'Order 1'),
        asks('s2', 'distress-signal', 'always', 'a signal that is seen from the shore', 'Order 6'),
        { id: 's3', rule: 'bag', speciesId: 'cod', most: 3, text: '', citation: 'Order 3' },
        { id: 's4', rule: 'size', speciesId: 'cod', leastM: 0.5, mostM: null, text: '', citation: 'Order 3' },
      ],
    },
  ];
}
