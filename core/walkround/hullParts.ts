import type { PlaceId } from '../catalog/gear/places';
import type { Craft } from '../documents/craft';

interface HullPartLook {
  title: string;
  place: PlaceId;
  how: string;
  bad: string;
  /** A fault here shuts the gate. */
  critical: boolean;
  on: (craft: Craft) => boolean;
}

const always = () => true;
const driven = (craft: Craft) => craft.drive !== 'paddle';
const rigid = (craft: Craft) => craft.hull === 'rigid';

const rows = {
  bow: {
    title: 'Bow and its handle',
    place: 'bow',
    how: 'Lift the bow by the handle. Look along the hull from the front.',
    bad: 'A loose handle, a soft or flat place, a new scar that reaches the core.',
    critical: false,
    on: always,
  },
  hatches: {
    title: 'Hatches',
    place: 'foredeck',
    how: 'Run a finger round each seal. Close it and press all round.',
    bad: 'Sand on the seal, a lid that springs up, a cord that hangs slack.',
    critical: true,
    on: (craft) => craft.hatches > 0,
  },
  chambers: {
    title: 'Chambers and valves',
    place: 'centre',
    how: 'Press each chamber with the heel of the hand. Listen at every valve.',
    bad: 'One softer than the others; a hiss; a cap missing.',
    critical: true,
    on: (craft) => craft.hull === 'inflatable',
  },
  'drive-well': {
    title: 'Round the drive well',
    place: 'centre',
    how: 'Feel the rim with a thumb, the whole way round.',
    bad: 'A crack as fine as a hair, a place that gives, a bead of water.',
    critical: true,
    on: (craft) => driven(craft) && rigid(craft),
  },
  drive: {
    title: 'The drive, seated and turning',
    place: 'centre',
    how: 'Lock it in. Turn it by hand, forward and back.',
    bad: 'It lifts out, it grinds, a bent blade or fin.',
    critical: true,
    on: driven,
  },
  seat: {
    title: 'Seat and foot braces',
    place: 'seat',
    how: 'Set the seat for this water. Push hard on both braces.',
    bad: 'High seat for waves; a brace that slides.',
    critical: false,
    on: always,
  },
  inside: {
    title: 'Inside the hull',
    place: 'tankwell',
    how: 'Rock the boat from side to side and listen.',
    bad: 'Water running inside before it has been afloat.',
    critical: true,
    on: rigid,
  },
  deck: {
    title: 'Nothing loose on deck',
    place: 'tankwell',
    how: 'Look from one end to the other. Touch each thing that is not shut away.',
    bad: 'Anything that moves under your hand and has no leash.',
    critical: false,
    on: always,
  },
  keel: {
    title: 'Keel at the stern',
    place: 'stern',
    how: 'Lift the stern. Feel where it is dragged.',
    bad: 'Worn thin, a crack, daylight.',
    critical: true,
    on: rigid,
  },
  plugs: {
    title: 'Drain plug',
    place: 'stern',
    how: 'Turn it until it stops.',
    bad: 'Missing, cross-threaded, or turning for ever.',
    critical: true,
    on: (craft) => craft.drainPlugs > 0,
  },
} satisfies Record<string, HullPartLook>;

export type HullPart = keyof typeof rows;
export const hullParts: Record<HullPart, HullPartLook> = rows;
export const hullPartIds = Object.keys(rows) as HullPart[];

/** One place on the boat that is looked at: a part, and which of several. */
export interface HullLook {
  part: HullPart;
  /** 1 for the first of its kind, or the only one. */
  nth: number;
  title: string;
}
const several = /^([a-z-]+?)(?:-(\d+))?$/;
const fullId = ({ part, nth }: Pick<HullLook, 'part' | 'nth'>) => (nth === 1 ? part : `${part}-${nth}`);
/** Name of the step that looks at it. */
export function hullStep(look: Pick<HullLook, 'part' | 'nth'>): string {
  return `hull:${fullId(look)}`;
}

/**
 * All that is looked at on a boat, from bow to stern: each drain plug by itself, by its name where it has
 * one.
 */
export function hullLooks(craft: Craft): HullLook[] {
  return hullPartIds
    .filter((part) => hullParts[part].on(craft))
    .flatMap((part): HullLook[] =>
      part === 'plugs'
        ? plugTitles(craft).map((title, i) => ({ part, nth: i + 1, title }))
        : [{ part, nth: 1, title: hullParts[part].title }],
    );
}
function plugTitles({ drainPlugs, plugNames }: Craft): string[] {
  const names = plugNames.split(',').map((name) => name.trim());
  const { title } = hullParts.plugs;
  return Array.from({ length: drainPlugs }, (_, i) =>
    names[i] ? `${title}, ${names[i]}` : drainPlugs > 1 ? `${title} ${i + 1} of ${drainPlugs}` : title,
  );
}

/** Which place on the boat a step looks at; null: none. */
export function hullLookOf(stepId: string): Pick<HullLook, 'part' | 'nth'> | null {
  const [of, id = ''] = stepId.split(':');
  const [, part, nth = '1'] = several.exec(id) ?? [];
  const known = hullPartIds.find((one) => one === part);
  return of === 'hull' && known ? { part: known, nth: Number(nth) } : null;
}
