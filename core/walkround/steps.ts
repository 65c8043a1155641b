import { kinds } from '../catalog/gear/kinds';
import { type PlaceId, alongBoat, places, wornPlaces } from '../catalog/gear/places';
import { catalogue } from '../needs/catalogue';
import { broughtBy } from '../needs/company';
import type { JudgedNeed } from '../needs/match';
import type { Outing } from '../documents/outing';
import type { Aboard, OutingInView } from '../documents/references';
import { type Placed, type StowPlan, spotAt } from '../stow/plan';
import type { Ready } from '../stow/ready';
import { inside, onBody } from '../stow/at';
import { beforeMode } from '../stow/say';
import { isClosed } from '../stow/fits';
import { capital, count } from '../units/words';
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
  /** Share of the boat's length from the stern, where one stands to look; null: not along the boat. */
  along: number | null;
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
 * The walk-round in the order feet and hands go: evening, vehicle, bow to stern, head to foot, the gate. What
 * life or law hangs on stands by itself, and is looked at the evening before too where it can run down
 * overnight; the rest is looked at once, things that lie together as one list. What was looked over for an
 * outing of the last days and stands as it stood is not asked again.
 */
export function walkSteps(
  looked: OutingInView,
  needs: readonly JudgedNeed[],
  answers: Answers = noAnswers,
  plan: StowPlan | null = null,
  ready: readonly Ready[] = [],
  company: Outing['company'] = [],
): Step[] {
  const serving = servedBy(needs);
  const alone: Step[] = [];
  const together = new Map<string, Listed[]>();
  const nameOf = new Map(company.map(({ id, name }) => [id, name]));
  /** @param by whose it is, where another brings it for all: it is seen where the boats are made ready */
  const look = ({ item, entry }: Aboard, by: string | null) => {
    const kind = kinds[item.kind];
    const { serves = [], critical = false } = serving.get(item.id) ?? {};
    const placed = plan?.byId.get(item.id) ?? null;
    const { place, along } = by === null ? whereOf(kind.place, placed, plan) : atVehicle;
    const phase = phaseOf(place);
    const own: Step = {
      id: itemStep(item.id),
      phase,
      place,
      along,
      title: item.name,
      how: [by !== null && `Ask ${by}.`, inWords(kind.look.how), placed && lookAt(placed)]
        .filter(Boolean)
        .join(' '),
      bad: kind.look.bad,
      serves,
      critical,
      items: [],
    };
    const listed = (step: Step, key: string) => {
      const list = together.get(key);
      const one = { step, quantity: entry.quantity, placed };
      if (list) list.push(one);
      else together.set(key, [one]);
    };
    const evening: Step | null =
      by !== null || kind.evening === null || (kind.eveningStands && answers.has(carriedStep(item.id)))
        ? null
        : {
            ...own,
            id: eveningStep(item.id),
            phase: 'evening',
            place: null,
            along: null,
            how: inWords(kind.evening),
            critical: false,
          };
    if (critical) alone.push(...(evening ? [evening] : []), own);
    else {
      if (evening) listed(evening, 'evening');
      listed(
        own,
        phase === 'boat'
          ? `${placed?.zone?.id ?? place}`
          : phase === 'body'
            ? `body ${pocketOf(placed, place)}`
            : phase,
      );
    }
  };
  for (const one of looked.aboard) look(one, null);
  for (const one of broughtBy(company)) look(one, nameOf.get(one.entry.carriedBy ?? '') ?? '');
  return [
    ...alone,
    ...[...together.values()].map(listStep),
    ...hullSteps(looked),
    ...readySteps(ready),
    ...gateSteps(looked, needs),
  ].sort(
    (a, b) =>
      phases.indexOf(a.phase) - phases.indexOf(b.phase) ||
      (b.along ?? 0) - (a.along ?? 0) ||
      placeOrder(a) - placeOrder(b),
  );
}

interface Listed {
  step: Step;
  quantity: number;
  placed: Placed | null;
}
/**
 * Things that lie together as one step; one by itself stays as it is. Another thing among them makes another
 * step of it: it was not looked at.
 */
function listStep(list: Listed[]): Step {
  const [first] = list;
  if (!first || list.length === 1) return first?.step ?? emptyStep;
  const { phase, place, along } = first.step;
  const zone = phase === 'boat' ? (first.placed?.zone ?? null) : null;
  const lies = first.placed?.lies;
  const pocket = phase === 'body' && lies?.in === 'body' ? lies.id : null;
  // What goes in first is named first.
  const order = zone ? list.toSorted((a, b) => layerOf(a) - layerOf(b)) : list;
  return {
    id: `list:${zone?.id ?? pocket ?? (phase === 'boat' ? (place ?? phase) : phase)}:${contentsOf(list)}`,
    phase,
    place,
    along,
    title: `${zone?.name ?? (pocket && capital(onBody(pocket))) ?? listNames[phase] ?? (place ? places[place].name : '')}: ${count(list.length)} things`,
    ...(phase === 'evening' ? eveningLook : zone ? zoneLook(isClosed(zone), zone.cord, order) : listLook),
    serves: [],
    critical: false,
    items: order.map(({ step, quantity }) => ({
      stepId: step.id,
      name: quantity > 1 ? `${step.title} × ${quantity}` : step.title,
      how: step.how,
      bad: step.bad,
    })),
  };
}
/** Head to foot, by pocket: what hangs or lies together on the body. */
function pocketOf(placed: Placed | null, place: PlaceId): string {
  return placed?.lies.in === 'body' && placed.lies.id !== null ? placed.lies.id : place;
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
  along: null,
  title: '',
  how: '',
  bad: '',
  serves: [],
  critical: false,
  items: [],
};

/** What a list holds, as a short name: the same for the same things, whatever their order. */
function contentsOf(list: readonly Listed[]): string {
  return hashOf(
    list
      .map(({ step, quantity, placed }) => `${step.id} ${quantity}${placed ? ` ${mannerOf(placed)}` : ''}`)
      .toSorted(),
  );
}
/** A short name for some lines (FNV-1a). */
function hashOf(lines: readonly string[]): string {
  let hash = 0x811c9dc5;
  for (const text of lines)
    for (let i = 0; i <= text.length; i += 1) hash = Math.imul(hash ^ (text.charCodeAt(i) || 10), 0x01000193);
  return (hash >>> 0).toString(16);
}

const atVehicle: { place: PlaceId; along: null } = { place: 'vehicle', along: null };
/** Where along the boat a thing is met: at its place in the plan, else where its kind usually lies. */
function whereOf(
  usual: PlaceId,
  placed: Placed | null,
  plan: StowPlan | null,
): { place: PlaceId; along: number | null } {
  if (!placed || !plan || placed.lies.in === 'nowhere') return { place: usual, along: alongBoat[usual] };
  const { lies, zone } = placed;
  if (lies.in === 'vehicle' || lies.in === 'companion') return atVehicle;
  if (lies.in === 'body' || !zone)
    return { place: wornPlaces.includes(usual) ? usual : (bodyPlaces[lies.id ?? ''] ?? 'body'), along: null };
  const share =
    spotAt({ spot: placed.spot.in === 'zone' ? placed.spot : { ...placed.spot, at: null }, zone }, plan.craft)
      .xM / plan.craft.lengthM;
  return { place: nearestPlace(share), along: share };
}
const bodyPlaces: Readonly<Record<string, PlaceId>> = {
  head: 'head',
  'left-chest': 'chest',
  'right-chest': 'chest',
  legs: 'feet',
};
const placesAlong = (Object.entries(alongBoat) as [PlaceId, number | null][]).flatMap(([place, at]) =>
  at === null ? [] : [{ place, at }],
);
function nearestPlace(share: number): PlaceId {
  let [best, far]: [PlaceId, number] = ['centre', Infinity];
  for (const { place, at } of placesAlong)
    if (Math.abs(at - share) < far) [best, far] = [place, Math.abs(at - share)];
  return best;
}

const LAYERS = { bottom: 0, middle: 1, top: 2 } as const;
const layerOf = ({ placed }: Listed) => (placed ? LAYERS[placed.spot.layer] : 1);
const mannerOf = ({ spot }: Placed) =>
  `${spot.in} ${spot.id ?? ''} ${spot.held} ${spot.cover} ${spot.layer} ${spot.state ?? ''}`;

/** What to look at of how a thing lies: its container, its leash, its cover. */
function lookAt({ spot, lies, eye }: Placed): string {
  const [box] = lies.boxes;
  return [
    box && `In ${box.name}.`,
    spot.held === 'leashed' && eye && `On its leash to ${inside(eye.name)}: pull.`,
    spot.held === 'leashed' && !eye && spot.in !== 'zone' && 'On its leash: pull.',
    spot.held === 'clipped' && 'Clipped: pull.',
    spot.cover !== 'bare' &&
      { sheath: 'In its sheath.', bag: 'In its bag.', cap: 'Its cap is on.' }[spot.cover],
  ]
    .filter(Boolean)
    .join(' ');
}

function zoneLook(closed: boolean, cord: boolean, order: readonly Listed[]) {
  const last = closed
    ? 'Then close the lid and press all round.'
    : cord
      ? 'Then draw the cord over it and pull.'
      : 'Then see that nothing lies loose.';
  const inOrder =
    order.length > 1 && order.some((one) => one.placed?.spot.layer !== order[0]?.placed?.spot.layer);
  return {
    how: `${inOrder ? 'It goes in in this order. ' : ''}Touch each, and say below which is not there or not sound. ${last}`,
    bad: closed
      ? 'One that you cannot put your hand on; a lid that springs up.'
      : 'One that you cannot put your hand on; one that you can lift out.',
  };
}

/**
 * What is made ready before the water is met: what differs from how it is fished; nothing where nothing
 * differs.
 */
function readySteps(ready: readonly Ready[]): Step[] {
  return ready.flatMap(({ mode, lines }): Step[] =>
    mode !== 'launch'
      ? []
      : [
          {
            id: `ready:launch:${hashOf(lines)}`,
            phase: 'gate',
            place: null,
            along: null,
            title: 'Made ready to launch',
            how: `${beforeMode('launch')}: ${lines.join('; ')}.`,
            bad: 'One that is still as it will be while fishing.',
            serves: [],
            critical: true,
            items: [],
          },
        ],
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
  const serving = new Map<string, { serves: string[]; critical: boolean }>();
  for (const need of needs) {
    for (const means of need.means) {
      if (means.by !== 'item') continue;
      // A step answered with a fault must stay as weighty as it was, or answering would make it lighter.
      const walked = means.shortfall === null || means.shortfall.code.endsWith('on-walk');
      if (!walked) continue;
      const entry = serving.get(means.itemId) ?? { serves: [], critical: false };
      entry.serves.push(catalogue[need.id].title);
      entry.critical ||= need.unmet === 'stop' || need.level === 'law';
      serving.set(means.itemId, entry);
    }
  }
  return serving;
}

function hullSteps({ craft }: OutingInView): Step[] {
  if (!craft) return [];
  return hullLooks(craft).map((look) => {
    const { place, how, bad, critical } = hullParts[look.part];
    return {
      id: hullStep(look),
      phase: 'boat',
      place,
      along: alongBoat[place],
      title: look.title,
      how,
      bad,
      serves: [craft.name],
      critical,
      items: [],
    };
  });
}

function gateSteps({ water }: OutingInView, needs: readonly JudgedNeed[]): Step[] {
  const told = needs.find((need) => need.id === 'float-plan');
  const gate = { phase: 'gate', place: null, along: null, serves: [], items: [] } as const;
  return [
    ...(told
      ? [
          {
            ...gate,
            id: 'gate:told',
            title: 'The person ashore knows',
            how: 'See that they have the plan: boat, way and times, and when to call for help. Wait for an answer.',
            bad: 'No answer; no signal to send with.',
            serves: [catalogue['float-plan'].title],
            critical: told.unmet === 'stop',
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
