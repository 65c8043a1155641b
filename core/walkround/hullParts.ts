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
    title: 'Drain plugs',
    place: 'stern',
    how: 'Turn each one until it stops. Count them aloud.',
    bad: 'One missing, cross-threaded, or turning for ever.',
    critical: true,
    on: (craft) => craft.drainPlugs > 0,
  },
} satisfies Record<string, HullPartLook>;

export type HullPart = keyof typeof rows;
export const hullParts: Record<HullPart, HullPartLook> = rows;
export const hullPartIds = Object.keys(rows) as HullPart[];
