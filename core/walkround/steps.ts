import { usualPlace } from '../boat/load';
import { kinds } from '../catalog/gear/kinds';
import { type PlaceId, places, wornPlaces } from '../catalog/gear/places';
import { catalogue } from '../needs/catalogue';
import type { JudgedNeed } from '../needs/match';
import type { Looked } from '../documents/references';
import { count } from '../units/words';
import { type Answers, carriedStep, eveningStep, itemStep, noAnswers } from './answers';
import { hullLooks, hullParts, hullStep } from './hullParts';
import { inWords } from '../units/amount';

export const phases = ['evening', 'vehicle', 'boat', 'body', 'gate'] as const;
export type Phase = (typeof phases)[number];

/** One thing to look at, how, and what bad looks like. */
export interface Step {
  id: string;
  phase: Phase;
  place: PlaceId | null;
  title: string;
  how: string;
  bad: string;
  /** What hangs on it, by title; empty: it is simply aboard. */
  serves: readonly string[];
  /** Must be answered good before the gate opens. */
  critical: boolean;
  /** Things that are looked at together in this step; empty: it is one thing. */
  items: readonly { stepId: string; name: string; how: string; bad: string }[];
}

/**
 * The walk-round in the order feet and hands go: evening, vehicle, bow to stern, head to foot, the gate. What life or law hangs on stands
 * by itself, and is looked at the evening before too where it can run down overnight; the rest is looked at once, things that lie together
 * as one list. What was looked over for an outing of the last days and stands as it stood is not asked again.
 */
export function walkSteps(looked: Looked, needs: readonly JudgedNeed[], answers: Answers = noAnswers): Step[] {
  const serving = servedBy(needs);
  const alone: Step[] = [];
  const together = new Map<string, Listed[]>();
  for (const one of looked.aboard) {
    const { item, entry } = one;
    const kind = kinds[item.kind];
    const { serves = [], lifeCritical: critical = false } = serving.get(item.id) ?? {};
    const place = usualPlace(one, looked);
    const phase = phaseOf(place);
    const own: Step = {
      id: itemStep(item.id),
      phase,
      place,
      title: item.name,
      how: inWords(kind.look.how),
      bad: kind.look.bad,
      serves,
      critical,
      items: [],
    };
    const listed = (step: Step, key: string) =>
      together.set(key, [...(together.get(key) ?? []), { step, quantity: entry.quantity }]);
    const evening: Step | null =
      kind.evening === null || (kind.eveningStands && answers.has(carriedStep(item.id)))
        ? null
        : {
            ...own,
            id: eveningStep(item.id),
            phase: 'evening',
            place: null,
            how: inWords(kind.evening),
            critical: false,
          };
    if (critical) alone.push(...(evening ? [evening] : []), own);
    else {
      if (evening) listed(evening, 'evening');
      listed(own, phase === 'boat' ? place : phase);
    }
  }
  return [...alone, ...[...together.values()].map(listStep), ...hullSteps(looked), ...gateSteps(looked, needs)].sort(
    (a, b) => phases.indexOf(a.phase) - phases.indexOf(b.phase) || placeOrder(a) - placeOrder(b),
  );
}

interface Listed {
  step: Step;
  quantity: number;
}
/** Things that lie together as one step; one by itself stays as it is. Another thing among them makes another step of it: it was not looked at. */
function listStep(list: Listed[]): Step {
  const [first] = list;
  if (!first || list.length === 1) return first?.step ?? emptyStep;
  const { phase, place } = first.step;
  return {
    id: `list:${phase === 'boat' ? (place ?? phase) : phase}:${contentsOf(list)}`,
    phase,
    place,
    title: `${listNames[phase] ?? (place ? places[place].name : '')}: ${count(list.length)} things`,
    ...(phase === 'evening' ? eveningLook : listLook),
    serves: [],
    critical: false,
    items: list.map(({ step, quantity }) => ({
      stepId: step.id,
      name: quantity > 1 ? `${step.title} × ${quantity}` : step.title,
      how: step.how,
      bad: step.bad,
    })),
  };
}
const listNames: Partial<Record<Phase, string>> = {
  evening: 'The evening before',
  vehicle: 'At the vehicle',
  body: 'Worn and on the body',
};
const listLook = {
  how: 'Look for each; touch each. Say below which is not there or not sound.',
  bad: 'One that you cannot put your hand on.',
};
const eveningLook = {
  how: 'Go through them at the table. Say below which is not there or not sound.',
  bad: 'One that is left for the morning.',
};
const emptyStep: Step = {
  id: '',
  phase: 'boat',
  place: null,
  title: '',
  how: '',
  bad: '',
  serves: [],
  critical: false,
  items: [],
};

/** What a list holds, as a short name: the same for the same things, whatever their order (FNV-1a). */
function contentsOf(list: readonly Listed[]): string {
  let hash = 0x811c9dc5;
  for (const text of list.map(({ step, quantity }) => `${step.id} ${quantity}`).toSorted())
    for (let i = 0; i <= text.length; i += 1) hash = Math.imul(hash ^ (text.charCodeAt(i) || 10), 0x01000193);
  return (hash >>> 0).toString(16);
}

function phaseOf(place: PlaceId): Phase {
  if (place === 'vehicle') return 'vehicle';
  return wornPlaces.includes(place) ? 'body' : 'boat';
}
function placeOrder({ place }: Step): number {
  return place === null ? 0 : places[place].order;
}

function servedBy(needs: readonly JudgedNeed[]) {
  const serving = new Map<string, { serves: string[]; lifeCritical: boolean }>();
  for (const need of needs) {
    for (const means of need.means) {
      if (means.by !== 'item') continue;
      // A step answered with a fault must stay as weighty as it was, or answering would make it lighter.
      const walked = means.shortfall === null || means.shortfall.code.endsWith('on-walk');
      if (!walked) continue;
      const entry = serving.get(means.itemId) ?? { serves: [], lifeCritical: false };
      entry.serves.push(catalogue[need.id].title);
      entry.lifeCritical ||= need.lifeCritical || need.level === 'law';
      serving.set(means.itemId, entry);
    }
  }
  return serving;
}

function hullSteps({ craft }: Looked): Step[] {
  if (!craft) return [];
  return hullLooks(craft).map((look) => {
    const { place, how, bad, critical } = hullParts[look.part];
    return {
      id: hullStep(look),
      phase: 'boat',
      place,
      title: look.title,
      how,
      bad,
      serves: [craft.name],
      critical,
      items: [],
    };
  });
}

function gateSteps({ water }: Looked, needs: readonly JudgedNeed[]): Step[] {
  const told = needs.find((need) => need.id === 'float-plan');
  const gate = { phase: 'gate', place: null, serves: [], items: [] } as const;
  return [
    ...(told
      ? [
          {
            ...gate,
            id: 'gate:told',
            title: 'The person ashore knows',
            how: 'Send route, boat and times, and when to call for help. Wait for an answer.',
            bad: 'No answer; no signal to send with.',
            serves: [catalogue['float-plan'].title],
            critical: told.lifeCritical,
          },
        ]
      : []),
    {
      ...gate,
      id: 'gate:self',
      title: 'Yourself',
      how: 'Stand still for a breath. Slept, fed, warm, nobody hurrying you.',
      bad: 'You would not launch if the fish were not there.',
      critical: false,
    },
    {
      ...gate,
      id: 'gate:weather',
      title: 'The weather, once more',
      how: `Look at the forecast again, then at ${water?.name ?? 'the water'} itself. Is it as you wrote it?`,
      bad: 'More wind, another direction, cloud that builds. Write the new figures in the Brief.',
      critical: true,
    },
  ];
}
