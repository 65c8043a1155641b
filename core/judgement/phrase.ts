import type { Blank } from '../documents/references';
import { catalogue } from '../needs/catalogue';
import { hullParts } from '../walkround/hullParts';
import { capital, count, dayWords, distance, duration, figure, listed, mass, plural } from '../units/words';
import type { Basis, Facts, Finding, FindingCode } from './finding';
import type { Repair } from '../editing/repair';
import { daySentences } from './phraseDay';
import { workingsSentences } from './phraseWorkings';
import { measured, sayMeans, sayReason, sayShortfall } from '../needs/sayNeeds';

export interface Sentence {
  title: string;
  text: string;
}
/** What each code says, by its facts. */
export type Sentences<Codes extends FindingCode> = { [C in Codes]: (facts: Extract<Facts, { code: C }>) => Sentence };

const blankWords: Record<Blank, string> = {
  targets: 'the fish',
  water: 'the water',
  launch: 'the launch',
  area: 'the place to fish',
  craft: 'the boat',
  angler: 'your own profile',
};

const confirm = 'Confirm with the authority.';

const sentences: Sentences<FindingCode> = {
  ...daySentences,
  ...workingsSentences,
  'brief-incomplete': ({ blanks }) => ({
    title: 'The sentence has open blanks',
    text: `Still to say: ${listed(blanks.map((blank) => blankWords[blank]))}. Nothing can be signed before.`,
  }),
  'hours-reversed': ({ launchAt, homeAt }) => ({
    title: 'Home is at the hour of the launch',
    text: `Afloat ${launchAt} to ${homeAt} is no time at all. An hour before the launch means the next morning; for nights in camp, say how many.`,
  }),
  'hours-gone': ({ launchAt, date }) => ({
    title: 'These hours have gone by',
    text: `The launch was ${dayWords(date)} at ${launchAt}. An outing is signed before it, not after.`,
  }),
  'need-unmet': (facts) => ({
    title: unmetTitle(facts),
    text: [
      `${capital(facts.reasons.map(sayReason).join('; '))}.`,
      ...facts.notCounted.map((means) =>
        means.by === 'item' && means.shortfall
          ? `${means.name} does not count: ${sayShortfall(means.shortfall)}.`
          : `${sayMeans(means)}.`,
      ),
      catalogue[facts.needId].without,
      ...(facts.need === 'law' ? [confirm] : []),
    ].join(' '),
  }),
  'no-rule-pack': ({ water }) => ({
    title: `No rules are held for ${water}`,
    text: 'Licence, sizes, seasons and gear rules were not looked at. Read them at the authority and say that you have.',
  }),
  'rule-pack-stale': ({ pack, authority, days }) => ({
    title: `${pack}: last checked ${Math.floor(days / 30)} months ago`,
    text: `Rules change every year. Ask ${authority} what holds now.`,
  }),
  'rods-over-rule': ({ rods, most, withPermission, authority, citation }) => ({
    title: `${capital(count(rods))} rods aboard, ${count(most)} allowed`,
    text: `${authority}, ${citation}.${withPermission === null ? '' : ` With the permission carried and in date, ${count(withPermission)}.`} ${confirm}`,
  }),
  'keep-over-rule': ({ species, keep, most, authority, citation }) => ({
    title: `Keeping ${count(keep)} ${species}, ${count(most)} allowed`,
    text: `${authority}, ${citation}. ${confirm}`,
  }),
  'closed-season': ({ species, from, to, authority, citation }) => ({
    title: `${capital(species)} is closed on that day`,
    text: `Closed from ${seasonDay(from)} to ${seasonDay(to)}: ${authority}, ${citation}. ${confirm}`,
  }),
  overload: ({ massKg, ratedKg, craft }) => ({
    title: massKg > ratedKg ? `${craft} is overloaded` : `${craft} is heavily laden`,
    text: `You, the gear and the catch come to ${figure(massKg, 0)} kg of the ${figure(ratedKg, 0)} kg it is rated for, ${figure((massKg / ratedKg) * 100, 0)} %. It sits lower and answers slower.`,
  }),
  'stern-load': ({ massKg, ratedKg, craft, heaviest }) => ({
    title: `The stern of ${craft} is overloaded`,
    text: `By where each thing usually goes, ${figure(massKg)} kg ride behind the seat; the well is rated for ${figure(ratedKg)} kg. The stern sits deep, and a sea from behind climbs in. Heaviest: ${heaviest
      .map((one) => `${one.name} (${mass(one.massKg)})`)
      .join('; ')}. Where each really goes is yours to say.`,
  }),
  'anchor-forbidden': ({ area, authority, citation }) => ({
    title: `No anchoring at ${area}`,
    text: `You mean to fish bait at anchor there. ${authority}, ${citation}. ${confirm}`,
  }),
  'size-limit': ({ species, leastM, mostM, authority, citation }) => ({
    title: `${capital(species)} from ${figure(leastM * 100, 0)} cm${mostM === null ? '' : ` to ${figure(mostM * 100, 0)} cm`} only`,
    text: `Measure before you keep: ${authority}, ${citation}. ${confirm}`,
  }),
  'foam-favoured': ({ item, why }) => ({
    title: `${item}, where many choose foam`,
    text: `${{ swim: 'You do not swim well', cold: 'Cold water takes the strength of the hands that must pull it', surf: 'Surf leaves no moment to pull it' }[why]}. Foam needs no doing. Both are approved.`,
  }),
  'paddle-size': ({ item, haveM, wantM }) => ({
    title: `${item}: ${figure(haveM * 100, 0)} cm`,
    text: `About ${figure(wantM * 100, 0)} cm suits your height and this beam, a rule of thumb. ${haveM < wantM ? 'A short one strikes the side and the knuckles.' : 'A long one turns the boat at every stroke.'}`,
  }),
  'baits-react': ({ item, beside }) => ({
    title: `${item} beside ${beside}`,
    text: 'Elastic and ordinary soft plastics melt into each other. Each in a box of its own.',
  }),
  'tackle-over': ({ have, budget }) => ({
    title: 'More tackle than you mean to carry',
    text: `${capital(count(have.rods))} ${plural(have.rods, 'rod')}, ${count(have.boxes)} ${plural(have.boxes, 'box', 'boxes')}, ${mass(have.massKg)}; your own measure for this outing is ${count(budget.rods)}, ${count(budget.boxes)} and ${mass(budget.massKg)}.`,
  }),
  'companion-silent': ({ name, titles }) => ({
    title: `${name} has not said: ${titles.length > 3 ? `${count(titles.length)} things` : listed(titles.map((title) => title.toLowerCase()))}`,
    text: `Each person carries their own: ${listed(titles.map((title) => title.toLowerCase()))}. Ask, and tick it under the party.`,
  }),
  'craft-under-repair': ({ craft }) => ({
    title: `${craft} is under repair`,
    text: 'Its record says so. Choose another boat, or mark it good when it is.',
  }),
  'craft-fault': ({ craft, part, missing }) => ({
    title: `${hullParts[part].title}: ${missing ? 'not there' : 'a fault'}`,
    text: `You found it on ${craft}'s walk-round. ${hullParts[part].bad} Mend it, look again, and answer again.`,
  }),
  'conditions-missing': ({ figures, hours }) => ({
    title: 'The day has not been written down',
    text: `No figure for ${listed(figures)} in the ${hours === 1 ? 'hour' : `${hours} hours`} afloat. What is not written was not judged.`,
  }),
  'conditions-stale': ({ hoursOld }) => ({
    title: `The forecast was looked at ${duration(hoursOld * 60)} ago`,
    text: 'Look again within three hours of signing.',
  }),
  thunder: ({ percent, at }) => ({
    title: `Thunder: ${figure(percent, 0)} % at ${at}`,
    text: 'You and your rods are the highest things on the water. There is nowhere to go.',
  }),
  'wind-over-limit': ({ mps, at, limitMps }) => ({
    title: `Wind passes your limit at ${at}`,
    text: `${figure(mps)} m/s; you set ${figure(limitMps)} m/s.`,
  }),
  'gust-over-limit': ({ mps, at, limitMps }) => ({
    title: `Gusts pass your limit at ${at}`,
    text: `${figure(mps)} m/s; you set ${figure(limitMps)} m/s.`,
  }),
  'surf-over-limit': ({ breakerM, limitM, launch }) => ({
    title: `Surf above your limit at ${launch}`,
    text: `Breakers of about ${figure(breakerM)} m, an estimate from the swell; you set ${figure(limitM)} m. It is met twice, going out tired and coming in more so.`,
  }),
  'automatic-jacket': ({ item, where }) => ({
    title: `${item} fires by itself when soaked`,
    text: `In ${where} it may go off at the first wave and hinder you. Some accept that for its help when unconscious; foam always works.`,
  }),
  'gaff-aboard': ({ item, why }) => ({
    title: `${item} is aboard`,
    text:
      why === 'inflatable'
        ? 'A point beside an air chamber. Land the fish another way.'
        : 'Every fish goes back today, and a gaffed fish does not live. Land it another way.',
  }),
  'out-of-date-aboard': ({ items }) => ({
    title: `${capital(count(items.length))} ${plural(items.length, 'thing is', 'things are')} out of date`,
    text: `${items.map((item) => `${item.name}: ${dayWords(item.on)}`).join('; ')}. Other means count in their place.`,
  }),
  'first-outings': ({ craft, logged }) => ({
    title:
      logged === 0
        ? `${craft} is new to you`
        : `${capital(count(logged))} ${plural(logged, 'outing')} with ${craft} so far`,
    text: 'A short shakedown without tackle shows what this boat does: loading, launching, getting back in, pumping out.',
  }),
  darkness: ({ minutes, spans, lit }) => ({
    title: `${duration(minutes)} of darkness`,
    text: `${spans.map(({ from, to }) => `${from} to ${to}`).join(' and ')}, by the sun. ${lit ? 'A white light is carried; it must burn until then.' : 'A white light is needed.'}`,
  }),
  'cold-water': ({ waterC, class: name, exhaustionMin, minutesToLanding, dressed }) => ({
    title: `Water at ${figure(waterC)} °C: ${name}`,
    text: `Published ranges put exhaustion at ${duration(exhaustionMin[0])} to ${duration(exhaustionMin[1])} in such water; people differ widely.${minutesToLanding === null ? '' : ` The nearest landing is ${duration(minutesToLanding)} away at your own pace, an estimate.`}${dressed ? '' : ' Dress for the water, not the air.'}`,
  }),
  party: ({ people }) => ({
    title: `${capital(count(people))} people, and this counts your own boat`,
    text: 'Buoyancy, warmth and signals are each person’s own. Agree who carries what is shared.',
  }),
};

function unmetTitle({ needId, want, have }: Extract<Facts, { code: 'need-unmet' }>): string {
  const { title, amount } = catalogue[needId];
  if (amount) return `${title}: ${figure(have)} of ${measured(amount, want)}`;
  return have > 0
    ? `${title}: ${count(have)} of ${count(want)}`
    : `${title}: ${want > 1 ? `none of ${count(want)}` : 'not met'}`;
}

function seasonDay(monthDay: string): string {
  return dayWords(`2001-${monthDay}`).replace(' 2001', '');
}

/** Every code there is, by the sentences that the compiler asks for. */
export const findingCodes = Object.keys(sentences) as FindingCode[];

/** A finding in words. */
export function sayFinding(facts: Facts): Sentence {
  const say = sentences[facts.code] as (facts: Facts) => Sentence;
  return say(facts);
}

export const levelNames = { stop: 'Stop', mind: 'Mind', note: 'Note' } as const;
const basisWords: Record<Basis, string> = {
  law: 'rests on the law',
  physics: 'rests on physics',
  judgement: 'rests on judgement',
  school: 'here schools differ',
};
export function sayBasis(basis: Basis): string {
  return basisWords[basis];
}

/** A repair as the words on its button. */
export function sayRepair(repair: Repair): string {
  switch (repair.do) {
    case 'add-items':
      return `Add ${listed(repair.items.map((item) => (item.quantity > 1 ? `${item.name} × ${item.quantity}` : item.name)))} (${mass(repair.items.reduce((sum, item) => sum + item.massKg, 0))})`;
    case 'remove-item':
      return `Leave ${repair.name} ashore`;
    case 'fewer':
      return `Carry ${count(repair.quantity)} of ${repair.name}`;
    case 'separate-item':
      return `Carry ${repair.name} by itself`;
    case 'set-hours':
      return `Afloat ${repair.launchAt} to ${repair.homeAt}`;
    case 'set-turn':
      return `Turn for home at ${repair.turnAt}`;
    case 'set-area':
      return `Fish ${repair.name} instead, ${distance(repair.distanceM)} out`;
    case 'set-landing':
      return `Land at ${repair.name}`;
    case 'straight-route':
      return 'Go straight there and back';
    case 'set-date':
      return `Make it ${dayWords(repair.date)}`;
    case 'set-keep':
      return repair.keep === 0 ? 'Keep none' : `Keep ${count(repair.keep)}`;
    case 'set-alarm':
      return `Ask for a call at ${repair.alarmAt}`;
    case 'set-contact':
      return `Name ${repair.name}`;
    case 'set-rig':
      return capital(repair.words);
    case 'without-technique':
      return `Leave out ${repair.technique}`;
    case 'set-alignment':
      return `Lead the anchor to the ${repair.alignment}`;
    case 'swap-item':
      return `Carry ${repair.on} instead of ${repair.off}`;
    case 'looked-again':
      return 'I have looked again: as written';
  }
}

/** "1 Stop · 3 Minds · 2 Notes" of what stands unanswered. */
export function countFindings(findings: readonly Finding[]): string {
  const parts = (['stop', 'mind', 'note'] as const).flatMap((level) => {
    const n = findings.filter((one) => one.level === level && one.accepted === null).length;
    return n > 0 ? [`${n} ${plural(n, levelNames[level])}`] : [];
  });
  return parts.join(' · ');
}
