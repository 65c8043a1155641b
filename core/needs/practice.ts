import type { Angler } from '../documents/angler';

type Schools = Angler['schools'];
export type SchoolId = keyof Schools;

/**
 * A question on which sound practice differs: what each school says for itself, and what its choice does
 * here.
 */
interface Question<Answer extends string> {
  question: string;
  answers: Record<Answer, string>;
  here: string;
}

/** Where practitioners differ. Every answer is sound; circumstances may decide between them. */
export const practice: { [S in SchoolId]: Question<Schools[S]> } = {
  tackle: {
    question: 'How much tackle',
    answers: {
      spare: 'Two rods, two boxes: nothing to untangle, and more time with a line in the water.',
      ample: 'Four rods, four boxes: ready for whatever turns up, where there is room for it.',
    },
    here: 'Your own measure of rods, boxes and mass. Surf and distance lower it; more than it is told, never forbidden.',
  },
  jacket: {
    question: 'Life jacket',
    answers: {
      foam: 'Floats worn or thrown, soaked or punctured, with nothing to fire.',
      'manual inflatable': 'Cool and slim, so that it stays on in the heat; it waits for your hand.',
      'automatic inflatable':
        'Turns up the face of one who can no longer help themselves; goes off when soaked.',
    },
    here: 'Any approved one that fits counts. An inflatable has its cylinder and date looked at; an automatic one in surf, rapids or spray is a Mind. Weak swimmers, cold water and surf speak for foam.',
  },
  connection: {
    question: 'Lure tied with',
    answers: {
      'direct knot': 'Nothing for a wary fish to see, and one weak point less.',
      clip: 'Another lure in seconds, with cold hands, in the dark.',
    },
    here: 'A rig is told where a swivel would run into the guides, or where the clip is what breaks first.',
  },
  landing: {
    question: 'Fish landed with',
    answers: {
      net: 'Holds any fish that fits it, and lets it go unhurt when it is coated and knotless.',
      grip: 'Quick and small, for mouths that bear it.',
      gaff: 'Firm, for a large fish that is kept, over a rigid side.',
    },
    here: 'What is allowed goes by the fish and its fate. Never a gaff in an inflatable, nor for a fish that goes back.',
  },
  phone: {
    question: 'Phone kept',
    answers: {
      'on a tether': 'It cannot fall farther than its cord.',
      'on a float': 'It can be handed over, and waits on the surface.',
    },
    here: 'One of the two is asked for; a phone that sinks untethered does not count as a call for help.',
  },
  sounder: {
    question: 'A sounder is',
    answers: {
      needed: 'Depth, bottom and bait decide where the line goes.',
      'a luxury': 'A chart, marks ashore and a weight on a line have always done.',
    },
    here: 'Asked for where it is your school, or where a technique rests on depth or speed.',
  },
  fishStore: {
    question: 'Fish kept in',
    answers: {
      bag: 'Lies flat in hull or well, and weighs little.',
      'hard box': 'Keeps ice longest, and is a seat ashore.',
      'wet sack': 'Needs no ice where the air is dry and moves.',
    },
    here: 'Each has its own sum of heat against ice, and its length against the fish.',
  },
  visibility: {
    question: 'Seen by',
    answers: {
      flag: 'A whip that bends under branches and over a shoulder.',
      'light mast': 'Stands still, and carries the light that the night asks for.',
    },
    here: 'Both count by their height; so does what the wind finds to push.',
  },
  skill: {
    question: 'A new boat: first',
    answers: {
      'paddle first': 'Learn what the boat does in wind and wave before there is a rod in the way.',
      'fish at once': 'Short, close and calm, with a line in: one learns by going.',
    },
    here: 'An outing that asks much of someone new to it says so. It never bars the way for that alone.',
  },
  riverAnchor: {
    question: 'Anchoring in a current',
    answers: {
      'never in current': 'Many have been drawn under by a line that would not come off.',
      'trolley, float and release': 'Led to bow or stern, let go in one movement, found again by its float.',
      'pole only': 'In shallow water: it lets go by itself before it holds too hard.',
    },
    here: 'Your school may be stricter than the limits here, never laxer. From {1 m/s} no anchor is set at all.',
  },
};
export const schoolIds = Object.keys(practice) as SchoolId[];

/** What a school's answer says for itself. */
export function reasonFor(id: SchoolId, answer: string): string {
  return (practice[id].answers as Record<string, string>)[answer] ?? '';
}
