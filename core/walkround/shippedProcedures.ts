import { forms } from '../documents/forms';
import type { Craft } from '../documents/craft';
import type { Procedure } from '../documents/procedure';
import type { KindId } from '../catalog/gear/kinds';
import type { Exposures } from '../exposures/exposures';
import { COLD_SHOCK_BELOW_C, HANDS_SERVE_MIN } from '../environment/immersion';
import { amount } from '../units/amount';
import { capital, count, duration, listed, plural } from '../units/words';

/** What of an outing decides how a procedure reads. */
export interface ProcedureHere {
  exposures: Pick<Exposures, 'waterC' | 'party'>;
  craft: Pick<Craft, 'name' | 'colour' | 'deck' | 'drive' | 'hatches' | 'seat'> | null;
  /** Kinds of what rides along. */
  aboard: ReadonlySet<KindId>;
}
/** One thing to do: the same everywhere, or read by what is so on an outing; null there: not done on it. */
type Step = string | { anywhere: string; here: (outing: ProcedureHere) => string | null };
type Shipped = Omit<Procedure, 'steps'> & { steps: readonly Step[] };

const anyAboard = ({ aboard }: ProcedureHere, ...kinds: KindId[]): boolean =>
  kinds.some((kind) => aboard.has(kind));
/** Done only with one of these aboard. */
const withAny = (kinds: readonly KindId[], text: string): Step => ({
  anywhere: text,
  here: (outing) => (anyAboard(outing, ...kinds) ? text : null),
});
const floatOnRode: readonly KindId[] = ['release-float', 'anchor'];
const isCold = ({ exposures: { waterC } }: ProcedureHere) => waterC !== null && waterC < COLD_SHOCK_BELOW_C;

const ships = { format: forms.procedures, inPlaceOf: null } as const;

/**
 * Procedures that ship with the product, in its own words: usual practice, learnt with an instructor in safe
 * water and tried before it is needed. The angler's or the club's own wording of one stands in its place.
 */
const shipped: readonly Shipped[] = [
  {
    ...ships,
    id: 'capsize',
    name: 'Capsize drill',
    occasions: ['always'],
    kinds: [],
    steps: [
      {
        anywhere: 'Hold on to the boat before anything else, the paddle with the other hand.',
        here: (outing) =>
          anyAboard(outing, 'paddle', 'long-paddle')
            ? 'Hold on to the boat before anything else, the paddle with the other hand.'
            : 'Hold on to the boat before anything else: it drifts faster than you swim.',
      },
      {
        anywhere: 'In cold water breathe first: the gasping passes in a minute or two.',
        here: (outing) =>
          isCold(outing) && outing.exposures.waterC !== null
            ? `Breathe first: in water at ${amount(outing.exposures.waterC, '°C')} the gasping passes in a minute or two.`
            : null,
      },
      {
        anywhere: 'Cold hands soon stop serving: the boat first, then the call, the gear last.',
        here: (outing) =>
          isCold(outing)
            ? `Hands serve for some ${duration(HANDS_SERVE_MIN)}, less in the coldest: the boat first, then the call, the gear last.`
            : null,
      },
      'Look for hooks and loose line; go round to the side you climb in from.',
      {
        anywhere: 'Turn the boat up: reach across to the far edge and lean back.',
        here: ({ craft }) =>
          craft?.drive === 'pedal' || craft?.drive === 'motor'
            ? `Turn the boat up, clear of the ${craft.drive === 'pedal' ? 'fins' : 'propeller'}: reach across to the far edge and lean back.`
            : 'Turn the boat up: reach across to the far edge and lean back.',
      },
      {
        anywhere: 'A drive is put up, a propeller stopped, before you climb in over it.',
        here: ({ craft }) =>
          craft?.drive === 'pedal'
            ? 'Drive up or fins flat, so that nobody climbs in over a pedal.'
            : craft?.drive === 'motor'
              ? 'Motor off before you climb in.'
              : null,
      },
      {
        anywhere: 'Amidships, legs up behind you, kick and pull until the belly lies across.',
        here: (outing) =>
          anyAboard(outing, 'paddle-float')
            ? 'Float on the paddle, the paddle across behind the seat; kick and pull until the belly lies across.'
            : anyAboard(outing, 'stirrup', 'boarding-ladder')
              ? 'Amidships, a foot in the step, kick and pull until the belly lies across.'
              : 'Amidships, legs up behind you, kick and pull until the belly lies across.',
      },
      'Roll over and sit low; the feet come in last.',
      {
        anywhere: 'Count: yourself, paddle, and what calls for help. Call early if one is missing.',
        here: (outing) => `Count: ${listed(toCount(outing))}. Call early if one is missing.`,
      },
    ],
  },
  {
    ...ships,
    id: 'anchor-out',
    name: 'Letting go the anchor',
    occasions: [],
    kinds: ['anchor', 'fluke-anchor', 'grapnel-anchor', 'mushroom-anchor'],
    steps: [
      {
        anywhere: 'Knife at hand, float on the rode, feet and rod leashes clear of it.',
        here: (outing) =>
          `${capital(
            listed([
              ...(anyAboard(outing, 'knife', 'snips', 'shears', 'line-hook') ? ['a blade at hand'] : []),
              ...(anyAboard(outing, ...floatOnRode) ? ['float on the rode'] : []),
              'feet and rod leashes clear of it',
            ]),
          )}.`,
      },
      'Look astern and upstream: traffic, weed, wood, wave.',
      'Lower it hand under hand; it is never thrown.',
      'Let the boat fall back while the rode goes out to its scope.',
      {
        anywhere: 'Bring it to bow or stern with the trolley; never from the side.',
        here: (outing) =>
          anyAboard(outing, 'anchor-trolley')
            ? 'Bring it to bow or stern with the trolley; never from the side.'
            : 'Make it fast at the bow; never at the side.',
      },
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
      {
        anywhere: 'Open the release and throw the float clear of the boat.',
        here: (outing) =>
          anyAboard(outing, ...floatOnRode)
            ? 'Open the release and throw the float clear of the boat.'
            : null,
      },
      {
        anywhere: 'It does not open: cut at the cleat, away from yourself.',
        here: (outing) =>
          anyAboard(outing, ...floatOnRode)
            ? 'It does not open: cut at the cleat, away from yourself.'
            : 'Cut at the cleat, away from yourself. No release and no float: the anchor is lost, and so be it.',
      },
      {
        anywhere: 'Get clear, then look back. The float is fetched later, from below.',
        here: (outing) =>
          anyAboard(outing, ...floatOnRode)
            ? 'Get clear, then look back. The float is fetched later, from below.'
            : 'Get clear, then look back.',
      },
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
      withAny(['repair-tape', 'putty', 'spare-plugs'], 'Plug or tape it.'),
      {
        anywhere: 'No hatch is opened in breaking water.',
        here: ({ craft }) => (craft?.hatches === 0 ? null : 'No hatch is opened in breaking water.'),
      },
      {
        anywhere: 'Pump and count. If it comes in as fast, call, and make for the nearest ground.',
        here: (outing) =>
          `${anyAboard(outing, 'pump', 'electric-pump') ? 'Pump' : 'Bail'} and count. If it comes in as fast, call, and make for the nearest ground.`,
      },
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
      {
        anywhere: 'Outside the break: rods flat, seat low, drive up, straps tight, jacket closed.',
        here: ({ craft }) =>
          `Outside the break: ${[
            'rods flat',
            ...(craft?.seat ? ['seat low'] : []),
            ...(craft && craft.drive !== 'paddle' ? ['drive up'] : []),
            'straps tight',
            'jacket closed',
          ].join(', ')}.`,
      },
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
      {
        anywhere: 'This is: boat, what it is, its colour, three times the name.',
        here: ({ craft }) =>
          craft
            ? `This is ${craft.name}, ${craft.name}, ${craft.name}, ${[craft.colour.trim(), craft.deck === 'sit-inside' ? 'closed kayak' : 'open kayak'].filter(Boolean).join(', ')}.`
            : null,
      },
      'Where: position, or bearing and distance from a named place.',
      {
        anywhere: 'What is wrong, how many you are, what help you ask for.',
        here: ({ exposures: { party } }) =>
          `What is wrong; ${count(party)} ${plural(party, 'person')} in all; what help you ask for.`,
      },
      'Over. Listen. Say it again until somebody answers; stay with the boat.',
    ],
  },
];

/** What is counted after a capsize: oneself, and what is aboard to move and to call with. */
function toCount(outing: ProcedureHere): string[] {
  const callers: readonly (readonly [string, readonly KindId[]])[] = [
    ['paddle', ['paddle', 'long-paddle', 'half-paddle', 'spare-paddle']],
    ['whistle', ['whistle']],
    ['radio', ['vhf-radio']],
    ['phone', ['phone', 'second-phone']],
    ['beacon', ['beacon', 'satellite-messenger']],
  ];
  return ['yourself', ...callers.filter(([, kinds]) => anyAboard(outing, ...kinds)).map(([name]) => name)];
}

const sayAnywhere = (step: Step): string => (typeof step === 'string' ? step : step.anywhere);
/** As they are looked up: for any boat and water. */
export const shippedProcedures: readonly Procedure[] = shipped.map((one) => ({
  ...one,
  steps: one.steps.map(sayAnywhere),
}));
/**
 * The steps of one that ships as they are done on an outing: with what is aboard, in that water; undefined:
 * no such one ships.
 */
export function shippedSteps(id: string, outing: ProcedureHere): string[] | undefined {
  return shipped
    .find((one) => one.id === id)
    ?.steps.flatMap((step) => (typeof step === 'string' ? step : (step.here(outing) ?? [])));
}
