import type { Angler } from './angler';
import type { Craft } from './craft';
import type { Item } from './item';
import type { Brief, Companion, Conditions, LoadoutEntry, Outing } from './outing';
import type { OwnSpecies } from './ownSpecies';
import type { Procedure } from './procedure';
import type { KindName } from './registry';
import type { RulePack } from './rulePack';
import type { Water } from './water';
import type { Rig, Workings } from './workings';

/** What people call a field, and the unit of its figure where it has one. */
export type AnyWords = Readonly<Record<string, string | readonly [words: string, unit: string] | undefined>>;
/** The compiler asks for every field of a document. */
type Words<Doc> = { readonly [Field in keyof Doc]-?: string | readonly [words: string, unit: string] };

export const briefWords: Words<Brief> = {
  targets: 'the target',
  keep: 'fish kept',
  waterId: 'the water',
  launchId: 'the launch',
  areaId: 'the place to fish',
  landingId: 'the landing',
  route: 'the way',
  date: 'the date',
  launchAt: 'the launch time',
  turnAt: 'the turn for home',
  homeAt: 'the time home',
  nights: 'nights out',
  party: 'the party',
  craftId: 'the boat',
  setUpId: 'the set-up of the boat',
  trip: 'the kind of trip',
  techniques: 'the techniques',
  standing: 'standing or seated',
  contact: 'the person ashore',
  alarmAt: 'the hour to call for help',
};
export const conditionsWords: Words<Conditions> = {
  source: 'where the conditions come from',
  from: 'the station or file of the conditions',
  takenAt: 'when the forecast was looked at',
  waterC: ['the water temperature', '°C'],
  hours: 'the written hours',
};
export const loadoutWords: Words<Omit<LoadoutEntry, 'itemId' | 'quantity'>> = {
  outsideContainer: 'whether it lies in its container',
  carriedBy: 'whose boat it rides in',
};
export const companionWords: Words<Omit<Companion, 'id'>> = {
  name: 'the name',
  boat: 'the boat',
  says: 'what they said they carry',
  brings: 'what they bring for all',
};
export const rigWords: Words<Omit<Rig, 'id'>> = {
  name: 'the name',
  purpose: 'what it is for',
  rodId: 'the rod',
  reelId: 'the reel',
  mainId: 'the main line',
  mainKnot: 'the knot to the leader',
  leaderId: 'the leader',
  leaderM: ['the length of the leader', 'm'],
  leaderKnot: 'the knot at the lure',
  connection: 'how the lure hangs on',
  clipId: 'the clip',
  lureId: 'the lure',
  lureG: ['the mass of the lure', 'g'],
  dragFraction: 'the share at which the drag slips',
};
export const workingsWords: Words<Workings> = {
  alignment: 'where the anchor is led to',
  attachHeightM: ['the height at which the anchor is made fast', 'm'],
  targetDriftMps: ['the drift wanted', 'm/s'],
  jigAngleDeg: ['the angle of the line', '°'],
  holderHalfSpanM: ['the distance of the rod holders from the middle', 'm'],
  outAngleDeg: ['the angle of the rods outward', '°'],
  elevationDeg: ['the angle of the rods above the level', '°'],
  sparesConfidence: 'how sure the spares are to last',
  powerReserve: 'the share of charge kept back',
  deviceHours: 'the hours that devices run',
  effort: 'the effort under way',
  litresPerHour: ['what you drink an hour', 'L'],
  litresPerDegree: ['what heat adds to it', 'L'],
  waterInHand: 'the water in hand',
  kjPerHour: ['what an hour costs', 'kJ'],
  shareEaten: 'the share of it eaten',
  kjPerCampDay: ['a day’s food in camp', 'kJ'],
  storeUaWK: ['the heat let in by the fish store', 'W/K'],
  surgeHsM: ['the wave at which an anchor’s pull has doubled', 'm'],
  drogueCd: 'the drag coefficient of the drogue',
  jigCd: 'the drag coefficient of the jig',
  lineCd: 'the drag coefficient of the line',
  targetC: ['the temperature the fish are kept at', '°C'],
  iceStartC: ['the temperature of the ice', '°C'],
};
/** The parts of an outing that are told by their own words above. */
type Told =
  | 'brief'
  | 'conditions'
  | 'loadout'
  | 'company'
  | 'rigs'
  | 'workings'
  | 'accepted'
  | 'stow'
  | 'word'
  | 'id'
  | 'format'
  | 'log';
export const outingWords: Words<Omit<Outing, Told>> = { title: 'the title' };

export const anglerWords: Words<Omit<Angler, 'id' | 'format'>> = {
  name: 'the name',
  massKg: ['body mass', 'kg'],
  heightM: ['height', 'm'],
  hand: 'the hand',
  swims: 'how well you swim',
  experience: 'experience',
  reentryPractised: 'whether getting back in is practised',
  clearSide: 'the side kept clear',
  limits: 'your own limits',
  schools: 'your schools of practice',
  contact: 'the person ashore',
  about: 'what the person ashore is told of you',
  habits: 'what you drink and spend an hour',
  vehicle: 'what the boat travels on',
  times: 'your times before a launch',
  units: 'the units',
};
export const craftWords: Words<Omit<Craft, 'id' | 'format'>> = {
  name: 'the name',
  deck: 'the deck',
  hull: 'the hull',
  drive: 'the drive',
  lengthM: ['the length', 'm'],
  beamM: ['the beam', 'm'],
  massKg: ['the mass', 'kg'],
  ratedLoadKg: ['the rated load', 'kg'],
  wellKg: ['the rating of the well', 'kg'],
  colour: 'the colour',
  marked: 'whether it carries a name',
  drainPlugs: 'the drain plugs',
  plugNames: 'where the drain plugs are',
  hatches: 'the hatches',
  assumed: 'what is only assumed',
  shape: 'the shape of the hull',
  ownVcgM: ['the height of its own centre of gravity', 'm'],
  inclined: 'the inclining test',
  floats: 'the side floats',
  scuppers: 'the scuppers',
  bulkheadsM: 'the bulkheads',
  seat: 'the seat',
  standing: 'whether one stands in it',
  zones: 'the places aboard',
  fittings: 'the fittings',
  setUps: 'the set-ups',
  setUpId: 'the set-up it is in',
  cruiseMps: ['the pace', 'm/s'],
  spareMps: ['the pace with the second propulsion', 'm/s'],
  powerW: ['the power at that pace', 'W'],
  sparePowerW: ['the power with the second propulsion', 'W'],
  windageM2: ['the area to wind from ahead', 'm²'],
  lateralAirM2: ['the area to wind from the side', 'm²'],
  lateralWaterM2: ['the area to water from the side', 'm²'],
  outingsLogged: 'the outings logged',
  condition: 'the condition',
  note: 'the note',
};
export const itemWords: Words<Omit<Item, 'id' | 'format' | 'photo'>> = {
  name: 'the name',
  kind: 'the kind',
  quantity: 'how many are owned',
  massKg: ['the mass', 'kg'],
  attributes: 'its measures',
  qualities: 'its qualities',
  condition: 'the condition',
  sizeM: 'the packed size',
  cost: 'the cost',
  boughtOn: 'when it was bought',
  servicedOn: 'when it was last looked over',
  expiresOn: 'when it goes out of date',
  containerId: 'what it lives in',
  poweredById: 'what it runs on',
  always: 'whether it always goes along',
  stays: 'why it stays aboard',
  note: 'the note',
};
export const waterWords: Words<Omit<Water, 'id' | 'format'>> = {
  name: 'the name',
  type: 'fresh or salt',
  setting: 'what kind of water it is',
  timeZone: 'the time zone',
  latDeg: ['the latitude', '°'],
  lonDeg: ['the longitude', '°'],
  launches: 'the launches',
  areas: 'the places to fish',
  traffic: 'the traffic',
  coverage: 'the coverage',
  getOut: 'where one can get out',
  answered: 'what is answered for every outing there',
  hazards: 'the hazards',
  fetchM: 'the fetch',
  tide: 'the tide',
  stream: 'the stream',
  chart: 'the chart',
  rapids: 'the rapids',
  branches: 'the branches',
  rescue: 'whom to call there',
  positioned: 'whether its position is known',
  assumed: 'what is only assumed',
  rulePackId: 'the rules that hold there',
  note: 'the note',
  noteOn: 'when the note was true',
  invented: 'whether it is invented',
  authorityNote: 'the word on the authority',
};
export const rulePackWords: Words<Omit<RulePack, 'id' | 'format'>> = {
  name: 'the name',
  authority: 'the authority',
  standing: 'whether it is law',
  lastCheckedOn: 'when it was last checked',
  rules: 'the rules',
};
export const speciesWords: Words<Omit<OwnSpecies, 'id' | 'format'>> = {
  name: 'the name',
  habitats: 'where it lives',
  continents: 'its continents',
  usual: 'the usual size',
  largest: 'the largest likely',
  teeth: 'the teeth',
  mouth: 'the mouth',
  shape: 'the shape',
  hazard: 'what to mind',
  airS: ['time out of water', 's'],
  stands: 'where it stands',
  depthM: 'the depth',
  forage: 'what it feeds on',
  forageCm: 'the size of what it feeds on',
  rodM: 'the rod',
  lineKg: 'the line',
  leaderKg: 'the leader',
  lureG: 'the lure',
  hooks: 'the hooks',
  runM: ['the longest run', 'm'],
  note: 'the note',
};
const procedureWords: Words<Omit<Procedure, 'id' | 'format'>> = {
  name: 'the name',
  inPlaceOf: 'in whose place it stands',
  occasions: 'when it is gone through',
  kinds: 'the things that it is about',
  steps: 'the steps',
};
/** The words of a field and its unit, if it has one. */
export function wordsOf(words: AnyWords, field: string): { name: string; unit: string } {
  const found = words[field];
  if (found === undefined) return { name: 'something newer than this program', unit: '' };
  return typeof found === 'string' ? { name: found, unit: '' } : { name: found[0], unit: found[1] };
}

const wordsByKind = {
  anglers: anglerWords,
  craft: craftWords,
  items: itemWords,
  waters: waterWords,
  rulePacks: rulePackWords,
  species: speciesWords,
  procedures: procedureWords,
  outings: outingWords,
} as const;
/** The parts of an outing whose fields are told one by one. */
const partsOfOuting = { brief: briefWords, conditions: conditionsWords, workings: workingsWords } as const;
const wholeParts: Readonly<Record<string, string>> = {
  loadout: 'what is aboard',
  company: 'the company',
  rigs: 'the rigs',
  stow: 'where things go',
  accepted: 'the answered Minds',
  word: 'what is told ashore',
  log: 'what was written ashore',
};

/** A place in a document, as people call it. */
export function sayPlace(kind: KindName, path: readonly string[]): string {
  const [first = '', second = ''] = path;
  if (kind === 'outings' && first in partsOfOuting)
    return wordsOf(partsOfOuting[first as keyof typeof partsOfOuting], second).name;
  if (kind === 'outings' && first in wholeParts) return wholeParts[first] ?? first;
  return wordsOf(wordsByKind[kind], first).name;
}
