import { sayLies, sayMoves } from '../stow/say';
import { onBody } from '../stow/at';
import { modeWords } from '../vocabulary/stow';
import { whereWords } from '../vocabulary/where';
import { type AttributeId, attributes } from '../catalog/gear/attributes';
import { WET_SACK_HOURS } from '../exposures/exposures';
import { POLE_STREAM_MPS } from '../holding/pole';
import { catalogue } from './catalogue';
import type { NeedId } from '../vocabulary/needs';
import { kinds } from '../catalog/gear/kinds';
import type { PurchaseOption } from './purchaseOptions';
import { THICKEST_MM, type Level, type Reason, type Shortfall } from './need';
import type { Means } from './match';
import { amount, distance, mass, amountOnly } from '../units/amount';
import { capital, count, dayWords, duration, energy, figure, listed, plural } from '../units/words';

type Say<T extends Record<Key, string>, Key extends string> = {
  [C in T[Key]]: (facts: Extract<T, Record<Key, C>>) => string;
};

const because: Say<Reason, 'because'> = {
  always: () => 'on every outing',
  solo: () => 'you are alone',
  remote: () => 'a phone may not reach anyone there',
  river: () => 'the water moves',
  branches: () => 'branches hang over it',
  busy: () => 'boats pass close',
  traffic: () => 'other boats pass',
  'cannot-swim': () => 'you do not swim',
  newtons: ({ newtons }) => `${amount(newtons, 'N', 0)} by the scale`,
  fog: ({ metres }) => `sight down to ${amount(metres, 'm', 0)}`,
  'drive-can-fail': () => 'a drive can fail',
  'closed-hull': () => 'the hull holds water',
  'anchor-line': () => 'an anchor line is out',
  'big-hooks': () => 'trebles or big hooks are aboard',
  toothy: () => 'the fish has teeth',
  competition: () => 'it is a competition',
  fishing: () => 'you are fishing',
  standing: () => 'you stand',
  inflatable: () => 'the boat is inflated',
  heavy: () => `more than ${amount(100, 'kg', 0)} to lift`,
  'sounder-school': () => 'you count a sounder as needed',
  tide: () => 'the tide turns',
  motor: () => 'a motor drives',
  current: () => `${amount(0.5, 'm/s')} of stream, or more`,
  'cold-air': ({ feelsC }) => `air that feels like ${amount(feelsC, '°C', 0)}`,
  deep: ({ metres }) => `${amount(metres, 'm')} deep there`,
  released: () => 'the fish goes back',
  distance: ({ from, metres }) =>
    `${distance(metres)} from the nearest ${from === 'shore' ? 'ground to get out on' : 'landing'}`,
  dark: ({ minutes, until }) => `${duration(minutes)} of darkness, until ${until}`,
  swell: ({ metres }) => `${amount(metres, 'm')} of swell hides a low hull`,
  surf: ({ breakerM }) => `breakers of about ${amount(breakerM, 'm')} at the launch`,
  rapids: ({ count: n }) => `${count(n)} ${plural(n, 'rapid')} on the way`,
  'cold-water': ({ waterC }) => `water at ${amount(waterC, '°C')}`,
  hours: ({ hours }) => `${figure(hours)} h afloat`,
  sun: ({ deg }) => `the sun comes ${amount(deg, '°', 0)} high`,
  rain: ({ mm }) => `rain to ${amount(mm, 'mm/h', 0)}`,
  wind: ({ mps }) => `wind to ${amount(mps, 'm/s')}`,
  heat: ({ feelsC }) => `air that feels like ${amount(feelsC, '°C', 0)}`,
  nights: ({ nights }) => `${count(nights)} ${plural(nights, 'night')} out`,
  species: ({ name, lengthM }) => `${name} to ${amount(lengthM * 100, 'cm', 0)}`,
  kept: ({ count: n, kg }) => `${count(n)} kept, about ${mass(kg)}`,
  plugs: ({ count: n }) => `${count(n)} in the hull`,
  carry: ({ metres }) => `${amount(metres, 'm', 0)} to the water`,
  rods: ({ count: n }) => `${count(n)} ${plural(n, 'rod')} aboard`,
  electrics: ({ watts, hours }) => `${figure(watts)} W aboard, for ${figure(hours)} h`,
  technique: ({ technique }) => `for ${technique}`,
  rule: ({ authority, text, citation }) => `${authority}: ${text}${citation ? ` (${citation})` : ''}`,
};

const lacks: Say<Shortfall, 'code'> = {
  several: ({ all }) => sayShortfalls(all),
  'battery-ashore': () => 'its battery is not aboard',
  'battery-in-other-boat': () => 'its battery rides in another boat',
  'battery-unsound': () => 'its battery does not count',
  'patchy-coverage': () => 'it may not reach anyone there',
  'not-on-body': () => 'packed away: alone, a call for help is on the body',
  'too-low': () => 'too low to be seen from all round',
  'night-only': () => 'seen by night only',
  'not-for-this-part': () => 'not a part of this set',
  'not-for-chambers': () => 'does not hold on an air chamber',
  'for-chambers': () => 'made for air chambers, not for a rigid hull',
  'does-not-reach': () => 'it does not reach into the hull',
  'one-piece': () => 'one piece of a set',
  'ties-nothing': () => 'does not hold the boat down by itself',
  'tyres-sink': () => 'narrow tyres sink in soft ground',
  'needs-tarp': () => 'no roof over it without a tarp',
  'salt-water': () => 'makes no drinking water there',
  'grip-teeth': () => 'brings the hand to the teeth of a large fish',
  'tool-small': () => 'not the tool for this mouth',
  'wire-unneeded': () => 'stands teeth that this fish has not, and is seen by it',
  sinks: () => 'sinks',
  'not-tied': () => 'is not tied on',
  'wrong-bottom': ({ bottom }) => `not made to hold in ${bottom}`,
  'failed-inspection': () => 'failed inspection',
  'under-repair': () => 'under repair',
  'fault-on-walk': () => 'a fault on the walk-round',
  'missing-on-walk': () => 'not there on the walk-round',
  'same-kind': () => 'another of the same kind already counts',
  'not-approved': () => 'not an approved type',
  'not-bright': () => 'not a bright colour',
  'not-hardened': () => 'not hardened',
  'not-coated': () => 'its mesh is not coated, and the fish goes back',
  'not-floating': () => 'it sinks',
  'needs-chart': () => 'a compass needs the chart beside it',
  'needs-compass': () => 'a chart needs the compass beside it',
  'daylight-only': () => 'works by daylight only',
  'no-coverage': () => 'no coverage there',
  'nobody-listens': () => 'no station is written to listen there: it calls companions, not help',
  'gaff-inflatable': () => 'never a gaff in an inflatable',
  'gaff-release': () => 'never a gaff for a fish that goes back',
  'grip-mouth': () => 'a grip hurts so small a mouth',
  'rope-small': () => `for fish longer than ${amount(1, 'm')}`,
  'dries-out': () => `cools by drying, and for ${count(WET_SACK_HOURS)} hours only`,
  'light-to-jig': () => 'too light to jig so deep',
  'deep-for-poles': () => 'too deep there for a pole',
  'pole-in-stream': () => `a pole is for less than ${amount(POLE_STREAM_MPS, 'm/s')} of stream`,
  'rope-release': () => 'a rope bruises a fish that goes back',
  'keeps-dead-bait': () => 'keeps dead bait only',
  'first-paddle': () => 'it is the paddle you set out with',
  'not-practised': () => 'not practised yet, by your profile',
  'no-contact': () => 'nobody is named',
  'alarm-early': () => 'the hour to call is before you are home',
  'wrong-technique': () => 'made for another technique',
  'bites-through': () => 'this fish bites through it',
  'too-thin': ({ mm, fromC, wantMm }) =>
    `${amount(mm, 'mm', 0)} is for water from ${amount(fromC, '°C', 0)} up; ${wantMm <= THICKEST_MM ? `${amount(wantMm, 'mm', 0)} wanted` : 'a drysuit is wanted'}`,
  'not-waterproof': () => 'not waterproof',
  'not-retained': () => 'neither floats nor is on a tether',
  'not-charged': () => 'does not hold its charge',
  'school-no-anchor': () => 'no anchor in a current, by your own rule',
  'no-release': () => 'no release to hand',
  'in-other-boat': () => 'in another boat of the party',
  'wrong-size': (size) =>
    size.of === 'jacket'
      ? `fits ${amountOnly(size.haveKg[0], 'kg', 0)} to ${size.haveKg[1] === Infinity ? 'any mass' : amount(size.haveKg[1], 'kg', 0)}; you are ${amount(size.bodyKg, 'kg', 0)}`
      : `${amount(size.haveM * 100, 'cm', 0)}; about ${amount(size.wantM * 100, 'cm', 0)} suits you and the beam`,
  'out-of-place': ({ want, on, mode, moves, state, ...lies }) => {
    const where = `${state === 'stowed' && want === 'up' ? 'is put away' : 'lies'} ${sayLies(lies)}${moves.length > 0 ? `: ${sayMoves(moves)} first` : ''}`;
    const wanted = on === null ? whereWords[want] : `worn ${onBody(on)}`;
    const out = on === null && (want === 'turn' || want === 'hand') ? 'out of reach: ' : '';
    return `${out}${where}${mode === 'fish' ? '' : `, ${modeWords[mode]}`}; it has to be ${wanted}`;
  },
  'out-of-date': ({ on }) => `out of date since ${dayWords(on)}`,
  'same-container': ({ withItem }) => `in the same container as ${withItem}`,
  'same-battery': ({ withItem }) => `on the same battery as ${withItem}`,
  'too-little': ({ attribute, have, want }) => {
    const { name, unit } = attributes[attribute];
    // A twentieth is granted, so that two figures of so many digits never read the same.
    const decimals = want >= 10 ? 0 : unit === 'm' ? 2 : 1;
    return `${name} ${amount(have, unit, decimals)}; ${amount(want, unit, decimals)} wanted`;
  },
};

/** One reason, as a clause. */
export function sayReason(reason: Reason): string {
  const say = because[reason.because] as (facts: Reason) => string;
  return say(reason);
}
/** All that is wrong with it, in one breath. */
function sayShortfalls(all: readonly Shortfall[]): string {
  const clauses = all.map(sayShortfall);
  const last = clauses[clauses.length - 1] ?? '';
  return clauses.length > 1 ? `${clauses.slice(0, -1).join(', ')}, and ${last}` : last;
}
/** Why something aboard does not count, as a clause. */
export function sayShortfall(shortfall: Shortfall): string {
  const say = lacks[shortfall.code] as (facts: Shortfall) => string;
  return say(shortfall);
}

const levelWords: Record<Level, string> = {
  law: 'The law asks for it',
  must: 'Must be aboard',
  should: 'Should be aboard',
  could: 'Could be aboard',
};

/** The whole why of a need: level, what raised it, what happens without. */
export function whyNeed(need: { id: NeedId; level: Level; reasons: readonly Reason[] }): string {
  const clauses = need.reasons.map(sayReason).join('; ');
  const confirm = need.level === 'law' ? ' Confirm with the authority.' : '';
  return `${levelWords[need.level]}: ${clauses}. ${catalogue[need.id].without}${confirm}`;
}

/** A figure with the unit of its measure: "3.8 L", "1 person". */
export function measured(attribute: AttributeId, value: number): string {
  const { unit } = attributes[attribute];
  if (unit === 'kJ') return energy(value);
  return amount(value, unit === 'persons' && value === 1 ? 'person' : unit);
}

/** "3 of 6 L", "one of two": what is counted of what is wanted. */
export function sayCounted(id: NeedId, have: number, want: number): string {
  const { amount: measure } = catalogue[id];
  if (!measure) return `${count(have)} of ${count(want)}`;
  if (measure === 'persons') return `for ${count(have)} of ${count(want)}`;
  // The unit is said once where both are in it.
  const [has, of] = [measured(measure, have), measured(measure, want)];
  const unit = of.slice(of.lastIndexOf(' '));
  return `${has.endsWith(unit) ? has.slice(0, -unit.length) : has} of ${of}`;
}

/** "two ways", "3.8 L", or nothing when one means is enough. */
export function wantedWords(need: { id: NeedId; want: number }): string {
  const { amount } = catalogue[need.id];
  if (amount) return measured(amount, need.want);
  return need.want > 1 ? `${count(need.want)} ${need.id === 'rod-retention' ? 'rods' : 'ways'}` : '';
}

/** "long pliers", or what to ask for beyond the usual one: "landing net (not the usual one: hoop …)". */
export function sayPurchase({
  kind,
  pieces,
  asked,
}: Pick<PurchaseOption, 'kind' | 'pieces' | 'asked'>): string {
  const name = kinds[kind].name.toLowerCase();
  const lacks = asked.length > 0 ? ` (not the usual one: ${listed(asked.map(sayShortfall))})` : '';
  return `${pieces > 1 ? `${count(pieces)} × ` : ''}${name}${lacks}`;
}

/** What a means is called in the list of what meets a need. */
export function sayMeans(means: Means): string {
  if (means.by === 'item') return means.quantity > 1 ? `${means.name} × ${means.quantity}` : means.name;
  const names = {
    drive: 'The drive',
    plugs: 'Looked at on the walk-round',
    practice: 'You have practised it',
    practising: 'This outing is made for practising it',
    contact: 'Told, with an hour to call',
  };
  return means.shortfall ? capital(sayShortfall(means.shortfall)) : names[means.part];
}
