import { kinds } from '../catalog/gear/kinds';
import { type PlaceId, places, wornPlaces } from '../catalog/gear/places';
import { catalogue } from '../needs/catalogue';
import type { JudgedNeed } from '../needs/match';
import type { Looked } from '../documents/references';
import { eveningStep, itemStep } from './answers';
import { hullLooks, hullParts, hullStep } from './hullParts';

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
}

/** The walk-round in the order feet and hands go: evening, vehicle, bow to stern, head to foot, the gate. */
export function walkSteps(looked: Looked, needs: readonly JudgedNeed[]): Step[] {
  const serving = servedBy(needs);
  const steps = looked.aboard.flatMap(({ item }): Step[] => {
    const kind = kinds[item.kind];
    const { serves = [], lifeCritical = false } = serving.get(item.id) ?? {};
    const critical = lifeCritical;
    const own: Step = {
      id: itemStep(item.id),
      phase: phaseOf(kind.place),
      place: kind.place,
      title: item.name,
      ...kind.look,
      serves,
      critical,
    };
    if (kind.evening === null) return [own];
    const evening: Step = {
      ...own,
      id: eveningStep(item.id),
      phase: 'evening',
      place: null,
      how: kind.evening,
      critical: false,
    };
    return [evening, own];
  });
  return [...steps, ...hullSteps(looked), ...gateSteps(looked, needs)].sort(
    (a, b) => phases.indexOf(a.phase) - phases.indexOf(b.phase) || placeOrder(a) - placeOrder(b),
  );
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
    return { id: hullStep(look), phase: 'boat', place, title: look.title, how, bad, serves: [craft.name], critical };
  });
}

function gateSteps({ water }: Looked, needs: readonly JudgedNeed[]): Step[] {
  const told = needs.find((need) => need.id === 'float-plan');
  const gate = { phase: 'gate', place: null, serves: [] } as const;
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
