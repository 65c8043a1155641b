import { type KindId, kinds } from '../catalog/gear/kinds';
import { homeDate } from '../documents/hours';
import { nobody } from '../documents/word';
import type { Item } from '../documents/item';
import type { Brief, Conditions, Outing } from '../documents/outing';
import {
  type Aboard,
  type Loaded,
  type Looked,
  type Places,
  type References,
  aboardOf,
  idsAboard,
  loadedBy,
  placesOf,
  putTogether,
} from '../documents/references';
import type { Workings } from '../documents/workings';
import {
  type Burden,
  type DayExposures,
  type Exposures,
  burdenOf,
  burdenOfOne,
  dayExposures,
  withBurden,
} from '../exposures/exposures';
import { type LadenBoat, ladenBoat } from '../boat/afloat';
import type { Craft } from '../documents/craft';
import { planLading } from '../stow/lading';
import { type StowPlan, planOf } from '../stow/plan';
import type { Mode } from '../vocabulary/stow';
import { type ModePlan, type OtherwiseAfloat, modesOf, otherwise, plansOf, withLies } from '../stow/modes';
import type { Lading } from '../boat/lading';
import { type Anchorage, anchorOf, anchorageOf } from '../holding/anchorSheet';
import { broughtBy } from '../needs/company';
import { firstPaddle } from '../needs/firstPaddle';
import { type JudgedNeed, type WalkTaken, candidatesByNeed, judgeNeed } from '../needs/match';
import type { NeedContext } from '../needs/need';
import { type RaisedNeed, raisedNeeds } from '../needs/raise';
import { batteryOf } from '../power/powerSheet';
import { type BuiltRig, buildRig } from '../tackle/builtRig';
import { type JigHour, drogueAboard, jigHours, jigLine } from '../tackle/tackleSheet';
import { isTackle } from '../tackle/tackleBudget';
import { type Instant, dateAt } from '../units/time';
import { interning, rememberFor, sameContent } from '../units/remember';
import { type NeedId, needIds } from '../vocabulary/needs';
import { catalogue } from '../needs/catalogue';
import { type Answers, craftFaults, takenByAnswers } from '../walkround/answers';
import type { HullPart } from '../walkround/hullParts';
import { deriving } from './derive';
import { withHabits } from '../documents/workings';

/** Everything a judgement may look at. A rule names what it reads, and is given that. */
export interface Context {
  // What is given.
  outing: Outing;
  references: References;
  brief: Brief;
  conditions: Conditions;
  company: Outing['company'];
  rigs: Outing['rigs'];
  workings: Workings;
  log: Outing['log'];
  answers: Answers;
  now: Instant;
  loadout: Outing['loadout'];
  stow: Outing['stow'];
  word: Outing['word'];
  angler: References['angler'];
  boats: References['craft'];
  items: References['items'];
  waters: References['waters'];
  packs: References['rulePacks'];
  ownSpecies: References['species'];
  // What is worked out from it, in this order.
  /** What the brief chooses, without its hours. */
  selection: Pick<Brief, 'waterId' | 'launchId' | 'areaId' | 'landingId' | 'craftId' | 'setUpId' | 'targets'>;
  places: Places;
  /** What rides in the boat, as pace and drag are reckoned with it. */
  loaded: Loaded | null;
  /** What is aboard by the loadout alone, and with where it lies while fishing. */
  carried: readonly Aboard[];
  aboard: readonly Aboard[];
  /** The boat as it is put together for this outing. */
  boat: Craft | null;
  /** The modes of such an outing; the fish that are to come aboard. */
  modes: readonly Mode[];
  keepKg: number;
  /** Where everything is while fishing; null: no boat, or nobody in it. */
  plan: StowPlan | null;
  /** The same for each mode of such an outing; a mode in which nothing differs is the same plan. */
  plans: readonly ModePlan[];
  /** What came aboard or went since the outing that this one follows; null: it follows none. */
  moved: readonly Aboard[] | null;
  /** Places, and all that is aboard. */
  looked: Looked;
  /** The same with only some of what is aboard: rods, lines, lures, drogues; what draws and what feeds it; what holds the boat. */
  tackle: Looked;
  electrics: Looked;
  ground: Looked;
  outward: Brief;
  day: DayExposures;
  burden: Burden;
  exposures: Exposures;
  /** The rigs of rods that are aboard, put together. */
  builtRigs: readonly BuiltRig[];
  /** Weight of all that is stowed in one's own boat, with the fish expected, where it usually lies. null: no boat, or nobody in it. */
  lading: Lading | null;
  /** The boat as it is laden, to be asked how it stands; null: boat, shape or angler are not known. */
  afloat: LadenBoat | null;
  /** The same where it is laden otherwise: before the catch, and in another mode. */
  otherwiseAfloat: readonly OtherwiseAfloat[];
  /** What the jig asks for at every half hour of the stay, by the drogue and the line that are aboard. */
  drogueM: number | null;
  jigLineMm: number | null;
  jigs: readonly JigHour[];
  /** The anchor one means to lie to, at every half hour of the stay; of several the one that holds best. null: nobody means to, or none is aboard. */
  anchorage: Anchorage | null;
  taken: WalkTaken;
  craftFaults: readonly { part: HullPart; nth: number; missing: boolean }[];
  /** Date at the water now, and on the last day of the outing. */
  today: string;
  lastDay: string;
  firstPaddleId: string | null;
  raised: readonly RaisedNeed[];
  needs: readonly JudgedNeed[];
}
type Derived =
  | 'selection'
  | 'places'
  | 'loaded'
  | 'carried'
  | 'aboard'
  | 'boat'
  | 'modes'
  | 'keepKg'
  | 'plan'
  | 'plans'
  | 'moved'
  | 'looked'
  | 'tackle'
  | 'electrics'
  | 'ground'
  | 'outward'
  | 'day'
  | 'burden'
  | 'exposures'
  | 'builtRigs'
  | 'lading'
  | 'afloat'
  | 'otherwiseAfloat'
  | 'drogueM'
  | 'jigLineMm'
  | 'jigs'
  | 'anchorage'
  | 'taken'
  | 'craftFaults'
  | 'today'
  | 'lastDay'
  | 'firstPaddleId'
  | 'raised'
  | 'needs';

const sameSelection = interning<Context['selection']>(200);
const sameBrief = interning<Brief>(2000);
const sameWorkings = interning<Workings>(200);
const sameBurden = interning<Burden>(200);
const sameLading = interning<Lading | null>(500);
/** Hours are tried again and again, by one judgement and by the next: so many days are remembered. */
const DAYS = 300;
/** What costs less, or is asked for with fewer inputs. */
const SOME = 30;

const holds: ReadonlySet<KindId> = new Set<KindId>([
  'stake-pole',
  'short-pole',
  'release-float',
  'anchor-trolley',
  'structure-hook',
]);
/** In which sums a thing has a part. */
const partsOf = rememberFor((item: Item) => ({
  tackle: isTackle(item),
  electrics: (item.attributes.watts ?? 0) > 0 || item.poweredById !== null || batteryOf(item, 1) !== null,
  ground: anchorOf(item) !== null || holds.has(item.kind),
  burden: burdenOfOne(item) !== null,
}));

/** Only some of what is aboard; the same record while none of that moved. */
function only(part: 'tackle' | 'electrics' | 'ground'): (context: Context, before: Context | null) => Looked {
  return (context, before) => {
    const { places, aboard, moved } = context;
    if (before?.places === places && !moved?.some(({ item }) => partsOf(item)[part])) return before[part];
    return { ...places, aboard: aboard.filter(({ item }) => partsOf(item)[part]) };
  };
}

function movedBetween(was: readonly Aboard[], is: readonly Aboard[]): readonly Aboard[] {
  // Most of it stands where it stood: only what lies between is compared.
  let from = 0;
  while (from < was.length && from < is.length && was[from] === is[from]) from += 1;
  let behind = 0;
  const most = Math.min(was.length, is.length) - from;
  while (behind < most && was[was.length - 1 - behind] === is[is.length - 1 - behind]) behind += 1;
  const before = new Set(was.slice(from, was.length - behind));
  const came = is.slice(from, is.length - behind).filter((one) => !before.delete(one));
  return [...came, ...before];
}

const derived = deriving<Context, Derived>({
  selection: {
    from: ['brief'],
    make: ({ brief: { waterId, launchId, areaId, landingId, craftId, setUpId, targets } }) =>
      sameSelection({ waterId, launchId, areaId, landingId, craftId, setUpId, targets }),
  },
  loaded: {
    from: ['selection', 'angler', 'boats', 'aboard'],
    leaf: true,
    make: ({ selection, references, aboard }) => loadedBy(selection, references, aboard),
  },
  places: {
    from: ['selection', 'loaded', 'angler', 'boats', 'items', 'waters', 'packs', 'ownSpecies'],
    keep: SOME,
    make: ({ selection, references, loaded }) => placesOf(selection, references, loaded),
  },
  carried: {
    from: ['loadout', 'items'],
    keep: SOME,
    make: ({ loadout, items }, before) => aboardOf(loadout, items, before?.carried),
  },
  boat: {
    from: ['selection', 'boats'],
    leaf: true,
    make: ({ selection: { craftId, setUpId }, boats }) =>
      putTogether(boats.find(({ id }) => id === craftId) ?? null, setUpId),
  },
  modes: { from: ['brief'], leaf: true, make: ({ brief }) => modesOf(brief) },
  keepKg: { from: ['exposures'], leaf: true, make: ({ exposures }) => exposures.keepKg },
  plan: {
    from: ['carried', 'boat', 'angler', 'stow'],
    keep: SOME,
    make: ({ carried, boat, angler, stow }, before) =>
      boat && angler && planOf({ aboard: carried, craft: boat, angler, stow }, 'fish', before?.plan),
  },
  plans: {
    from: ['carried', 'plan', 'stow', 'angler', 'modes'],
    keep: SOME,
    make: ({ plan, stow, angler, modes, carried }, before) =>
      plan && angler ? plansOf(plan, { aboard: carried, craft: plan.craft, angler, stow }, modes, before?.plans) : [],
  },
  aboard: {
    from: ['carried', 'plan'],
    keep: SOME,
    make: ({ carried, plan }, before) => (plan ? withLies(plan, before?.aboard) : carried),
  },
  moved: { from: ['aboard', 'loadout'], make: ({ aboard }, before) => before && movedBetween(before.aboard, aboard) },
  looked: { from: ['places', 'aboard'], make: ({ places, aboard }) => ({ ...places, aboard }) },
  tackle: { from: ['places', 'aboard'], make: only('tackle') },
  electrics: { from: ['places', 'aboard'], make: only('electrics') },
  ground: { from: ['places', 'aboard'], make: only('ground') },
  // Whoever waits ashore, and when they call, is no part of the day.
  outward: { from: ['brief'], make: ({ brief }) => sameBrief({ ...brief, contact: nobody, alarmAt: brief.homeAt }) },
  day: {
    from: ['outward', 'conditions', 'boats', 'waters', 'ownSpecies'],
    keep: DAYS,
    make: ({ outward, conditions, places }) => dayExposures(outward, conditions, places),
  },
  burden: {
    from: ['aboard'],
    make: ({ aboard, moved }, before) =>
      before && !moved?.some(({ item }) => partsOf(item).burden) ? before.burden : sameBurden(burdenOf(aboard)),
  },
  exposures: {
    from: ['day', 'burden', 'workings', 'angler'],
    keep: DAYS,
    make: ({ day, burden, workings, references }) =>
      withBurden(day, burden, withHabits(workings, references.angler?.habits)),
  },
  builtRigs: {
    from: ['rigs', 'tackle'],
    keep: SOME,
    make: ({ rigs, tackle }, before) => {
      const ids = idsAboard(tackle);
      const rigged = rigs.filter(({ rodId }) => rodId !== null && ids.has(rodId));
      // Of another thing of the tackle nothing of a rig changes.
      const was = before?.tackle.items === tackle.items ? before.builtRigs : [];
      return was.length === rigged.length && was.every(({ rig }, i) => rig === rigged[i])
        ? was
        : rigged.map((one) => buildRig(one, tackle.items));
    },
  },
  lading: {
    from: ['plan', 'angler', 'keepKg'],
    keep: SOME,
    leaf: true,
    make: ({ plan, angler, keepKg }) => sameLading(plan && angler && planLading(plan, angler.heightM, keepKg)),
  },
  afloat: {
    from: ['places', 'lading'],
    keep: SOME,
    make: ({ places, lading }) => ladenBoat(places, lading),
  },
  otherwiseAfloat: {
    from: ['plans', 'places', 'lading', 'keepKg', 'stow'],
    keep: SOME,
    make: ({ plans, places, lading, keepKg, stow }) => otherwise(plans, places, lading, keepKg, stow),
  },
  drogueM: {
    from: ['tackle', 'brief'],
    make: ({ tackle, brief }) =>
      brief.techniques.includes('drifting') ? (drogueAboard(tackle)?.mouthM ?? null) : null,
  },
  jigLineMm: {
    from: ['tackle', 'rigs'],
    make: ({ tackle, rigs }) => jigLine(rigs, tackle)?.attributes.diameterMm ?? null,
  },
  jigs: {
    from: ['places', 'day', 'workings', 'drogueM', 'jigLineMm'],
    keep: SOME,
    make: ({ places, day, workings, drogueM, jigLineMm }) => jigHours(places, day, workings, drogueM, jigLineMm),
  },
  anchorage: {
    keep: SOME,
    from: ['ground', 'exposures', 'workings', 'brief'],
    make: ({ ground, exposures, workings, brief }) =>
      brief.techniques.includes('anchored bait') ? anchorageOf(ground, exposures.spot, workings) : null,
  },
  taken: { from: ['answers'], keep: 5, make: ({ answers }) => takenByAnswers(answers) },
  craftFaults: { from: ['answers'], keep: 5, make: ({ answers }) => craftFaults(answers) },
  today: { from: ['now', 'places'], make: ({ now, places }) => dateAt(now, places.water?.timeZone ?? 'utc') },
  lastDay: { from: ['brief'], make: ({ brief }) => homeDate(brief) },
  firstPaddleId: {
    from: ['aboard', 'lastDay', 'taken'],
    make: ({ aboard, lastDay, taken }) => firstPaddle(aboard, lastDay, taken),
  },
  raised: {
    from: ['exposures', 'outward', 'places'],
    keep: DAYS,
    make: (context, before) =>
      context.places.water ? sameWhereEqual(raisedNeeds(context, context.places.rulePack), before?.raised ?? []) : [],
  },
  needs: {
    from: ['raised', 'aboard', 'company', 'day', 'workings', 'brief', 'places', 'firstPaddleId', 'lastDay', 'taken'],
    make: needsOf,
  },
});

/** @param before the context of an outing that this one follows: what the difference cannot have changed is taken over from it */
export function contextOf(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
  before: Context | null = null,
): Context {
  const { brief, conditions, company, rigs, workings, log, loadout, stow, word } = outing;
  const { angler, craft: boats, items, waters, rulePacks: packs, species: ownSpecies } = references;
  return derived.whole(
    {
      outing,
      references,
      brief: before?.outing.brief === brief ? before.brief : sameBrief(brief),
      conditions,
      company,
      rigs,
      workings: before?.outing.workings === workings ? before.workings : sameWorkings(workings),
      log,
      answers,
      now,
      loadout,
      stow,
      word,
      angler,
      boats,
      items,
      waters,
      packs,
      ownSpecies,
    },
    before,
  );
}

/** What an outing raises, matched with what is aboard; after a change of the loadout only what the change can speak to is matched anew. */
function needsOf(context: Context, before: Context | null): readonly JudgedNeed[] {
  const { raised, aboard, company, lastDay, taken } = context;
  // What a means is held against: by its type a need sees nothing else of the day but what these say.
  const sameDay =
    before?.day === context.day &&
    before.workings === context.workings &&
    before.outward === context.outward &&
    before.places === context.places &&
    before.lastDay === lastDay &&
    before.company === company &&
    before.taken === taken;
  const moved = sameDay ? needsTouched(context.moved ?? [], aboard) : null;
  // Whoever waits ashore speaks to one need alone.
  const touched = moved && before?.brief !== context.brief ? new Set([...moved, 'float-plan' as const]) : moved;
  const known = touched && before ? stillJudged(raised, before, touched) : [];
  const anew = new Set(raised.flatMap(({ id }, i) => (known[i] ? [] : [id])));
  const candidates = candidatesByNeed(aboard, lastDay, taken, anew, broughtBy(company));
  const needContext: NeedContext = context;
  const needs = raised.map((one, i) => {
    const still = known[i];
    if (still) return still;
    const made = judgeNeed(one.id, one.raise, needContext, candidates.get(one.id) ?? []);
    // A thing that was only moved is as good a means as it was.
    const was = touched ? before?.needs[i] : undefined;
    return was && was.id === made.id && sameContent(was, made) ? was : made;
  });
  const all = before?.needs;
  return all && all.length === needs.length && needs.every((need, i) => need === all[i]) ? all : needs;
}

/** Of what is raised, each need that was judged before and is not touched; undefined: it is judged anew. */
function stillJudged(
  raised: readonly RaisedNeed[],
  before: Pick<Context, 'raised' | 'needs'>,
  touched: ReadonlySet<NeedId>,
): readonly (JudgedNeed | undefined)[] {
  const stands = (need: JudgedNeed | undefined) => (need && !touched.has(need.id) ? need : undefined);
  if (before.raised === raised) return before.needs.map(stands);
  const judged = new Map(before.raised.map((one, i) => [one, before.needs[i]]));
  return raised.map((one) => stands(judged.get(one)));
}

/** What is raised as it was raised before is the same record. */
function sameWhereEqual(raised: readonly RaisedNeed[], before: readonly RaisedNeed[]): readonly RaisedNeed[] {
  const was = new Map(before.map((one) => [one.id, one]));
  return raised.map((one) => {
    const old = was.get(one.id);
    return old && sameContent(old, one) ? old : one;
  });
}

const dependent = needIds.flatMap((id) => {
  const by = catalogue[id].alsoBy;
  return by === undefined ? [] : [[id, by] as const];
});

/**
 * The needs that the difference between two loadouts can speak to: those that the kinds of the changed items are means of.
 * null: any need, because a container came, went, or was opened.
 */
function needsTouched(moved: readonly Aboard[], is: readonly Aboard[]): ReadonlySet<NeedId> | null {
  const touched = new Set<NeedId>();
  for (const { item } of moved) {
    if (is.some(({ item: other }) => other.containerId === item.id || other.poweredById === item.id)) return null;
    for (const id of kinds[item.kind].means) touched.add(id);
    // Which paddle is the first decides which may be the second.
    if (touched.has('second-propulsion')) touched.add('propulsion');
  }
  for (const [id, by] of dependent)
    if (by === 'anything' ? moved.length > 0 : moved.some(({ item }) => by.includes(item.kind))) touched.add(id);
  return touched;
}

/** As the need context of a thing that would come aboard: it is never the paddle one sets out with. */
export function asSpare({ exposures, brief, places, aboard }: Context): NeedContext {
  return { exposures, brief, places, aboard, firstPaddleId: null };
}

/** What some parts of a context are made from in the end: given things alone. */
export function givenFor(names: readonly (keyof Context)[]): ReadonlySet<keyof Context> {
  return derived.givenFor(names);
}
