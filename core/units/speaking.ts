/**
 * The units one person reads and types in. Everything is kept, sent and judged in SI; only words and fields
 * follow these.
 */
export interface Speech {
  wind: 'm/s' | 'kn' | 'mph' | 'km/h';
  /** Of the boat, the stream and the drift. */
  speed: 'm/s' | 'kn' | 'mph' | 'km/h';
  distance: 'km' | 'mi' | 'nmi';
  /** Depths, heights, lines, and what is measured by the hand. */
  length: 'm' | 'ft';
  mass: 'kg' | 'lb';
  temperature: '°C' | '°F';
  volume: 'L' | 'US qt' | 'UK pt';
  clock: '24 h' | '12 h';
}

export const METRIC: Speech = {
  wind: 'm/s',
  speed: 'm/s',
  distance: 'km',
  length: 'm',
  mass: 'kg',
  temperature: '°C',
  volume: 'L',
  clock: '24 h',
};
const IMPERIAL: Speech = {
  wind: 'mph',
  speed: 'mph',
  distance: 'mi',
  length: 'ft',
  mass: 'lb',
  temperature: '°F',
  volume: 'US qt',
  clock: '12 h',
};
/** Sets that go together; a person may change any one of them. */
export const speeches = {
  metric: METRIC,
  'imperial, US': IMPERIAL,
  'imperial, UK': { ...IMPERIAL, temperature: '°C', volume: 'UK pt', clock: '24 h' },
  nautical: { ...METRIC, wind: 'kn', speed: 'kn', distance: 'nmi' },
} as const satisfies Record<string, Speech>;
export type SpeechName = keyof typeof speeches;
export const speechNames = Object.keys(speeches) as SpeechName[];

/** What each choice may be. */
export const speechChoices: {
  readonly [Field in keyof Speech]: readonly [Speech[Field], ...Speech[Field][]];
} = {
  wind: ['m/s', 'kn', 'mph', 'km/h'],
  speed: ['m/s', 'kn', 'mph', 'km/h'],
  distance: ['km', 'mi', 'nmi'],
  length: ['m', 'ft'],
  mass: ['kg', 'lb'],
  temperature: ['°C', '°F'],
  volume: ['L', 'US qt', 'UK pt'],
  clock: ['24 h', '12 h'],
};
export const speechFields = Object.keys(speechChoices) as (keyof Speech)[];

/** The set that these are, or null where they are mixed. */
export function speechNameOf(speech: Speech): SpeechName | null {
  return (
    speechNames.find((name) => speechFields.every((field) => speeches[name][field] === speech[field])) ?? null
  );
}

let speech: Speech = METRIC;

/**
 * Says in which units words are made from now on, in this window, worker or process: like a locale, and the
 * one thing in core that is not an argument. No sum and no judgement reads it, which the tests of each system
 * hold.
 */
export function speakIn(next: Speech): void {
  speech = next;
}
export function spoken(): Speech {
  return speech;
}
