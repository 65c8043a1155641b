/**
 * Words of the field that a screen uses, each explained in a sentence or two; shown where they stand, and
 * listed in the reference.
 */
export const terms = {
  rode: { name: 'rode', means: 'The anchor’s line, with any chain in it, from the boat to the anchor.' },
  scope: {
    name: 'scope',
    means:
      'Length of rode for each metre from the bottom to where it leaves the boat. More of it pulls the anchor along the bottom rather than up.',
  },
  surge: {
    name: 'surge',
    means: 'How much harder waves make the boat pull at its anchor, as the load times so much.',
  },
  swing: {
    name: 'swing',
    means: 'The circle in which the boat may lie round its anchor as wind and stream turn.',
  },
  holdingFactor: {
    name: 'holding factor',
    means:
      'How many times its own weight in water an anchor holds in a bottom, at full scope. A rule of thumb: measure yours if you can.',
  },
  trolley: {
    name: 'trolley',
    means:
      'A line through two pulleys along the side that leads the rode to bow or stern without your leaving the seat.',
  },
  chartDatum: {
    name: 'chart datum',
    means: 'The level from which a chart counts depths, near the lowest tide. The tide stands on top of it.',
  },
  drogue: {
    name: 'drogue',
    means:
      'A cloth cone towed in the water that slows a drift. On a stream it goes with the water and holds nothing.',
  },
  dragCoefficient: {
    name: 'drag coefficient',
    means: 'How hard a shape is to pull through water for its width: about 1.2 for a drogue’s cone.',
  },
  leeway: { name: 'leeway', means: 'How far the wind sets a boat sideways from where it points.' },
  leader: {
    name: 'leader',
    means:
      'The length between main line and lure: for teeth, rock or wary fish. It should be the part that breaks.',
  },
  drag: {
    name: 'drag',
    means: 'The pull at which the reel lets line go. Set well under what breaks first.',
  },
  castingWindow: {
    name: 'what the rod casts',
    means: 'The lures, from lightest to heaviest, that the rod is made to throw.',
  },
  duty: { name: 'duty', means: 'The share of its hours that a device really runs.' },
  peukert: {
    name: 'Peukert exponent',
    means: 'How much less a battery gives when it is drawn hard: 1 is nothing less, lead is near 1.2.',
  },
  kept: {
    name: 'kept back',
    means: 'Charge that is not planned with: for the cold that was colder and the hour that was longer.',
  },
  heatLetIn: {
    name: 'heat let in (W/K)',
    means:
      'What walls and lid let through for each degree that it is warmer outside. A thick box lets in least.',
  },
  spareCover: {
    name: 'how sure',
    means:
      'Of a hundred such days, on how many the spares last. Losses come by chance, so no number is certain.',
  },
  fetch: {
    name: 'fetch',
    means: 'Open water over which a wind has blown before it reaches you: the more, the higher its waves.',
  },
  slack: { name: 'slack', means: 'The minutes in which a stream has stopped and not yet turned.' },
  swell: { name: 'swell', means: 'Waves that come from far off, not from the wind that blows here.' },
  race: { name: 'race', means: 'Where a stream is squeezed and runs faster, with steep water over it.' },
  secondPropulsion: {
    name: 'second propulsion',
    means:
      'What brings you home when the first fails: a spare paddle; with pedals or a motor, any full paddle.',
  },
  turnBy: {
    name: 'turn for home by',
    means:
      'The latest start for home that is in by the hour you said, through the wind and stream of those hours. An estimate.',
  },
  passenger: { name: 'passenger', means: 'Something aboard that meets no need of this outing.' },
} as const satisfies Record<string, { name: string; means: string }>;
export type TermId = keyof typeof terms;
export const termIds = Object.keys(terms) as TermId[];
