import { forms } from '../documents/forms';
import type { Procedure } from '../documents/procedure';

const ships = { format: forms.procedures, inPlaceOf: null } as const;

/**
 * Procedures that ship with the product, in its own words: usual practice, learnt with an instructor in safe water and tried before it is
 * needed. The angler's or the club's own wording of one stands in its place.
 */
export const shippedProcedures: readonly Procedure[] = [
  {
    ...ships,
    id: 'capsize',
    name: 'Capsize drill',
    occasions: ['always'],
    kinds: [],
    steps: [
      'Let go of the rod. One hand on the boat, the other finds the paddle.',
      'In cold water breathe first: the gasping passes in a minute or two.',
      'Look for hooks and loose line; go round to the side you climb in from.',
      'Turn the boat up: reach across to the far edge and lean back.',
      'Amidships, legs up behind you, kick and pull until the belly lies across.',
      'Roll over and sit low; the feet come in last.',
      'Count: yourself, paddle, whistle, radio. Call early if one is missing.',
    ],
  },
  {
    ...ships,
    id: 'anchor-out',
    name: 'Letting go the anchor',
    occasions: [],
    kinds: ['anchor', 'fluke-anchor', 'grapnel-anchor', 'mushroom-anchor'],
    steps: [
      'Knife at hand, float on the rode, feet and rod leashes clear of it.',
      'Look astern and upstream: traffic, weed, wood, wave.',
      'Lower it hand under hand; it is never thrown.',
      'Let the boat fall back while the rode goes out to its scope.',
      'Bring it to bow or stern with the trolley; never from the side.',
      'Two marks ashore in line: when they part, it drags.',
    ],
  },
  {
    ...ships,
    id: 'anchor-left',
    name: 'Leaving the anchor behind',
    occasions: [],
    kinds: ['anchor', 'fluke-anchor', 'grapnel-anchor', 'mushroom-anchor'],
    steps: [
      'An end of the boat is pulled down, or something drives at it: go now.',
      'Weight low and to the middle; do not reach out for the rode.',
      'Open the release and throw the float clear of the boat.',
      'It does not open: cut at the cleat, away from yourself.',
      'Paddle clear, then look back. The float is fetched later, from below.',
    ],
  },
  {
    ...ships,
    id: 'drogue-in',
    name: 'Hauling the drogue',
    occasions: [],
    kinds: ['drogue', 'big-drogue'],
    steps: [
      'Lines in and rods flat on that side.',
      'Paddle or drift up to it until its line is slack.',
      'Haul by the trip line: it comes mouth last and empty.',
      'No trip line: lift one edge of the mouth first, never the whole of it.',
      'Both lines into the bag before the next stroke.',
    ],
  },
  {
    ...ships,
    id: 'pump-out',
    name: 'Pumping out',
    occasions: [],
    kinds: ['pump', 'bailer', 'electric-pump'],
    steps: [
      'Head to the waves, or raft up: water in the hull makes it tender.',
      'Stay low. What is loose and heavy goes to the middle.',
      'Find where it comes in before you pump: plug, hatch, crack.',
      'Plug or tape it; no hatch is opened in breaking water.',
      'Pump and count. If it comes in as fast, call, and make for the nearest ground.',
    ],
  },
  {
    ...ships,
    id: 'measured-photo',
    name: 'Photo of a measured fish',
    occasions: [],
    kinds: ['board'],
    steps: [
      'Lanyard of the phone over the wrist, before anything else.',
      'Board wet and level, across the lap; identifier in the picture.',
      'Fish facing the way the rules say, mouth shut against the stop.',
      'One hand on it, tail as the rules say, nothing over the marks.',
      'Two pictures; look at the first before the fish goes.',
      'Back in the water, held upright until it swims off.',
    ],
  },
  {
    ...ships,
    id: 'surf-in',
    name: 'Landing through breakers',
    occasions: ['in surf'],
    kinds: [],
    steps: [
      'Outside the break: rods flat, seat low, drive up, straps tight, jacket closed.',
      'Watch three sets; look for another place that is lower.',
      'Follow the back of a wave; hold water when the next one lifts you.',
      'Broached: lean into the wave, the paddle on its side.',
      'Out of the boat: stay on the sea’s side of it, never between it and the beach.',
      'Step off as it grounds and pull it up before the next one.',
    ],
  },
  {
    ...ships,
    id: 'radio-call',
    name: 'Calling for help by radio',
    occasions: [],
    kinds: ['vhf-radio'],
    steps: [
      'Calling channel of these waters, high power; press, wait a second, then speak.',
      'Danger to life: Mayday three times. Less than that: Pan-pan three times.',
      'This is: boat, what it is, its colour, three times the name.',
      'Where: position, or bearing and distance from a named place.',
      'What is wrong, how many you are, what help you ask for.',
      'Over. Listen. Say it again until somebody answers; stay with the boat.',
    ],
  },
];
