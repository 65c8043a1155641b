import { type KindId, kinds } from '../catalog/gear/kinds';
import { homeDate } from '../documents/hours';
import type { Item } from '../documents/item';
import type { Brief, Conditions, Outing, Outward } from '../documents/outing';
import {
  type Aboard,
  type Loaded,
  type OutingInView,
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
import { modesAfloat } from '../vocabulary/where';
import type { Mode } from '../vocabulary/stow';
import { withLies } from '../stow/lies';
import { type ModePlan, type OtherwiseAfloat, modesOf, otherwise, plansOf } from '../stow/modes';
import type { Lading } from '../boat/lading';
import { type Anchorage, anchorOf, anchorageOf } from '../holding/anchorSheet';
import { broughtBy } from '../needs/company';
import { firstPaddle } from '../needs/firstPaddle';
import { type JudgedNeed, type WalkTaken, candidatesByNeed, judgeNeed } from '../needs/match';
import type { NeedContext } from '../needs/need';
import { type RaisedNeed, raisedNeeds } from '../needs/raise';
import { unneeded } from '../needs/unneeded';
import { batteryOf } from '../power/powerSheet';
import { type BuiltRig, buildRig } from '../tackle/builtRig';
import { type JigHour, drogueAboard, jigHours, jigLine } from '../tackle/tackleSheet';
import { isTackle } from '../tackle/tackleBudget';
import { type Instant, dateAt } from '../units/time';
import { interning, rememberFor, sameContent } from '../units/remember';
import { type NeedId, needIds } from '../vocabulary/needs';
import { catalogue } from '../needs/catalogue';
import { type Answers, craftFaults, mendedSince, takenByAnswers } from '../walkround/answers';
import type { HullPart } from '../walkround/hullParts';
import { type Step, walkSteps } from '../walkround/steps';
import { type Ready, readyLists } from '../stow/ready';
import { namesFor } from '../stow/say';
import { derivation, deriving } from './derive';
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
  /** Places, and all that is aboard. */
  looked: OutingInView;
  /**
   * The same with only some of what is aboard: rods, lines, lures, drogues; what draws and what feeds it;
   * what holds the boat.
   */
  tackle: OutingInView;
  electrics: OutingInView;
  ground: OutingInView;
  /** The brief without whoever waits ashore, and when they call. */
  outward: Outward;
  day: DayExposures;
  burden: Burden;
  exposures: Exposures;
  /** The rigs of rods that are aboard, put together. */
  builtRigs: readonly BuiltRig[];
  /**
   * Weight of all that is stowed in one's own boat, with the fish expected, where it usually lies. null: no
   * boat, or nobody in it.
   */
  lading: Lading | null;
  /** The boat as it is laden, to be asked how it stands; null: boat, shape or angler are not known. */
  afloat: LadenBoat | null;
  /** The same where it is laden otherwise: before the catch, and in another mode. */
  otherwiseAfloat: readonly OtherwiseAfloat[];
  /** What the jig asks for at every half hour of the stay, by the drogue and the line that are aboard. */
  drogueM: number | null;
  jigLineMm: number | null;
  jigs: readonly JigHour[];
  /**
   * The anchor one means to lie to, at every half hour of the stay; of several the one that holds best. null:
   * nobody means to, or none is aboard.
   */
  anchorage: Anchorage | null;
  taken: WalkTaken;
  craftFaults: readonly { part: HullPart; nth: number; missing: boolean }[];
  /** Failed in the evening, good at the water. */
  mended: readonly { itemId: string; missing: boolean; note: string }[];
  /** Date at the water now, and on the last day of the outing. */
  today: string;
  lastDay: string;
  firstPaddleId: string | null;
  raised: readonly RaisedNeed[];
  needs: readonly JudgedNeed[];
  /** Items aboard that meet no need of this outing. */
  unneeded: readonly string[];
  /** What is made ready before each mode, in words. */
  ready: readonly Ready[];
  steps: readonly Step[];
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
  | 'mended'
  | 'today'
  | 'lastDay'
  | 'firstPaddleId'
  | 'raised'
  | 'needs'
  | 'unneeded'
  | 'ready'
  | 'steps';

const sameSelection = interning<Context['selection']>(200);
const sameBrief = rememberFor(interning<Brief>(2000));
const sameOutward = interning<Outward>(2000);
const sameWorkings = rememberFor(interning<Workings>(200));
const sameBurden = interning<Burden>(200);
const sameLading = interning<Lading | null>(500);
/** Hours are tried again and again, by one judgement and by the next: so many days are remembered. */
const DAYS = 300;

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
function only(part: 'tackle' | 'electrics' | 'ground') {
  return ({ places, aboard }: Pick<Context, 'places' | 'aboard'>, before: Context | null): OutingInView => {
    if (before?.places === places && !movedSince(before, aboard).some(({ item }) => partsOf(item)[part]))
      return before[part];
    return { ...places, aboard: aboard.filter(({ item }) => partsOf(item)[part]) };
  };
}

const lastMoved = rememberFor((_: readonly Aboard[]) => ({
  was: null as readonly Aboard[] | null,
  moved: [] as readonly Aboard[],
}));
/** What came aboard, went or was put elsewhere since the outing that this one follows. */
function movedSince({ aboard: was }: Context, is: readonly Aboard[]): readonly Aboard[] {
  const last = lastMoved(is);
  if (last.was !== was) Object.assign(last, { was, moved: movedBetween(was, is) });
  return last.moved;
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

const made = derivation<Context>();
const needsRead = [
  'raised',
  'aboard',
  'company',
  'day',
  'workings',
  'brief',
  'outward',
  'places',
  'firstPaddleId',
  'lastDay',
  'taken',
] as const;
const derived = deriving<Context, Derived>({
  selection: made({
    from: ['brief'],
    make: ({ brief: { waterId, launchId, areaId, landingId, craftId, setUpId, targets } }) =>
      sameSelection({ waterId, launchId, areaId, landingId, craftId, setUpId, targets }),
  }),
  loaded: made({
    from: ['selection', 'angler', 'boats', 'aboard'],
    leaf: true,
    make: ({ selection, angler, boats: craft, aboard }) => loadedBy(selection, { angler, craft }, aboard),
  }),
  places: made({
    from: ['selection', 'loaded', 'angler', 'boats', 'items', 'waters', 'packs', 'ownSpecies'],
    make: ({
      selection,
      loaded,
      angler,
      boats: craft,
      items,
      waters,
      packs: rulePacks,
      ownSpecies: species,
    }) => placesOf(selection, { angler, craft, items, waters, rulePacks, species }, loaded),
  }),
  carried: made({
    from: ['loadout', 'items'],
    make: ({ loadout, items }) => aboardOf(loadout, items),
  }),
  boat: made({
    from: ['selection', 'boats'],
    leaf: true,
    make: ({ selection: { craftId, setUpId }, boats }) =>
      putTogether(boats.find(({ id }) => id === craftId) ?? null, setUpId),
  }),
  modes: made({ from: ['outward'], leaf: true, make: ({ outward }) => modesOf(outward) }),
  keepKg: made({ from: ['exposures'], leaf: true, make: ({ exposures }) => exposures.keepKg }),
  plan: made({
    from: ['carried', 'boat', 'angler', 'stow'],
    make: ({ carried, boat, angler, stow }) =>
      boat && angler && planOf({ aboard: carried, craft: boat, angler, stow }),
  }),
  plans: made({
    from: ['carried', 'plan', 'stow', 'angler', 'modes'],
    make: ({ plan, stow, angler, modes, carried }) =>
      plan && angler ? plansOf(plan, { aboard: carried, craft: plan.craft, angler, stow }, modes) : [],
  }),
  aboard: made({
    from: ['carried', 'plan', 'plans'],
    make: ({ carried, plan, plans }, before) => {
      if (!plan) return carried;
      const others = plans.filter(
        ({ mode, plan: other }) => other !== plan && modesAfloat.some((afloat) => afloat === mode),
      );
      const wasAlike = others.length === 0 && before?.plans.every((one) => one.plan === before.plan);
      // What lies as it lay in the outing that this one follows is the same record.
      const laid = new Map(
        wasAlike ? before?.plan?.things.map((placed, i) => [placed, before.aboard[i]]) : [],
      );
      return plan.things.map((placed) => {
        const { one, lies } = placed;
        const liesIn = others.map(({ mode, plan: other }) => ({
          mode,
          lies: other.byId.get(one.item.id)?.lies,
        }));
        return laid.get(placed) ?? withLies(one, lies, liesIn);
      });
    },
  }),
  looked: made({ from: ['places', 'aboard'], make: ({ places, aboard }) => ({ ...places, aboard }) }),
  tackle: made({ from: ['places', 'aboard'], make: only('tackle') }),
  electrics: made({ from: ['places', 'aboard'], make: only('electrics') }),
  ground: made({ from: ['places', 'aboard'], make: only('ground') }),
  outward: made({
    from: ['brief'],
    make: ({ brief: { contact: _, alarmAt: __, ...outward } }) => sameOutward(outward),
  }),
  day: made({
    from: ['outward', 'conditions', 'places'],
    keep: DAYS,
    make: ({ outward, conditions, places }) => dayExposures(outward, conditions, places),
  }),
  burden: made({
    from: ['aboard'],
    make: ({ aboard }, before) =>
      before && !movedSince(before, aboard).some(({ item }) => partsOf(item).burden)
        ? before.burden
        : sameBurden(burdenOf(aboard)),
  }),
  exposures: made({
    from: ['day', 'burden', 'workings', 'angler'],
    keep: DAYS,
    make: ({ day, burden, workings, angler }) =>
      withBurden(day, burden, withHabits(workings, angler?.habits)),
  }),
  builtRigs: made({
    from: ['rigs', 'tackle'],
    make: ({ rigs, tackle }, before) => {
      const ids = idsAboard(tackle);
      const rigged = rigs.filter(({ rodId }) => rodId !== null && ids.has(rodId));
      // Of another thing of the tackle nothing of a rig changes.
      const was = before?.tackle.items === tackle.items ? before.builtRigs : [];
      return was.length === rigged.length && was.every(({ rig }, i) => rig === rigged[i])
        ? was
        : rigged.map((one) => buildRig(one, tackle.items));
    },
  }),
  lading: made({
    from: ['plan', 'angler', 'keepKg'],
    leaf: true,
    make: ({ plan, angler, keepKg }) =>
      sameLading(plan && angler && planLading(plan, angler.heightM, keepKg)),
  }),
  afloat: made({
    from: ['places', 'lading'],
    make: ({ places, lading }) => ladenBoat(places, lading),
  }),
  otherwiseAfloat: made({
    from: ['plans', 'places', 'lading', 'keepKg', 'stow'],
    make: ({ plans, places, lading, keepKg, stow }) => otherwise(plans, places, lading, keepKg, stow),
  }),
  drogueM: made({
    from: ['tackle', 'outward'],
    make: ({ tackle, outward }) =>
      outward.techniques.includes('drifting') ? (drogueAboard(tackle)?.mouthM ?? null) : null,
  }),
  jigLineMm: made({
    from: ['tackle', 'rigs'],
    make: ({ tackle, rigs }) => jigLine(rigs, tackle)?.attributes.diameterMm ?? null,
  }),
  jigs: made({
    from: ['places', 'day', 'workings', 'drogueM', 'jigLineMm'],
    make: ({ places, day, workings, drogueM, jigLineMm }) =>
      jigHours(places, day, workings, drogueM, jigLineMm),
  }),
  anchorage: made({
    from: ['ground', 'exposures', 'workings', 'outward'],
    make: ({ ground, exposures, workings, outward }) =>
      outward.techniques.includes('anchored bait') ? anchorageOf(ground, exposures.spot, workings) : null,
  }),
  taken: made({ from: ['answers'], make: ({ answers }) => takenByAnswers(answers) }),
  craftFaults: made({ from: ['answers'], make: ({ answers }) => craftFaults(answers) }),
  mended: made({ from: ['answers'], make: ({ answers }) => mendedSince(answers) }),
  today: made({
    from: ['now', 'places'],
    make: ({ now, places }) => dateAt(now, places.water?.timeZone ?? 'utc'),
  }),
  lastDay: made({ from: ['outward'], make: ({ outward }) => homeDate(outward) }),
  firstPaddleId: made({
    from: ['aboard', 'lastDay', 'taken'],
    make: ({ aboard, lastDay, taken }) => firstPaddle(aboard, lastDay, taken),
  }),
  raised: made({
    from: ['exposures', 'outward', 'places'],
    keep: DAYS,
    make: ({ exposures, outward, places }, before) =>
      places.water
        ? sameWhereEqual(
            raisedNeeds({ exposures, brief: outward, places }, places.rulePack),
            before?.raised ?? [],
          )
        : [],
  }),
  needs: made({ from: needsRead, make: needsOf }),
  unneeded: made({
    from: ['needs', 'looked', 'rigs'],
    make: ({ needs, looked, rigs }) => unneeded(needs, looked, { rigs }),
  }),
  ready: made({
    from: ['plans', 'boat', 'places'],
    make: ({ plans, boat, places }) => readyLists(plans, namesFor(boat, places.items)),
  }),
  steps: made({
    from: ['looked', 'needs', 'answers', 'plan', 'ready', 'company'],
    make: ({ looked, needs, answers, plan, ready, company }) =>
      walkSteps(looked, needs, answers, plan, ready, company),
  }),
});

/**
 * @param before the context of an outing that this one follows: what the difference cannot have changed is
 * taken over from it
 */
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
      brief: sameBrief(brief),
      conditions,
      company,
      rigs,
      workings: sameWorkings(workings),
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

/**
 * What an outing raises, matched with what is aboard; after a change of the loadout only what the change can
 * speak to is matched anew.
 */
function needsOf(
  context: Pick<Context, (typeof needsRead)[number]>,
  before: Context | null,
): readonly JudgedNeed[] {
  const { raised, aboard, company, lastDay, taken, day, workings, brief, places, firstPaddleId } = context;
  // What a means is held against: by its type a need sees nothing else of the day but what these say.
  const sameDay =
    before?.day === context.day &&
    before.workings === context.workings &&
    before.outward === context.outward &&
    before.places === context.places &&
    before.lastDay === lastDay &&
    before.company === company &&
    before.taken === taken;
  const moved = before && sameDay ? needsTouched(movedSince(before, aboard), aboard) : null;
  // Whoever waits ashore speaks to one need alone.
  const touched =
    moved && before?.brief !== context.brief ? new Set([...moved, 'float-plan' as const]) : moved;
  const known = touched && before ? stillJudged(raised, before, touched) : [];
  const anew = new Set(raised.flatMap(({ id }, i) => (known[i] ? [] : [id])));
  const candidates = candidatesByNeed(aboard, lastDay, taken, anew, broughtBy(company));
  const exposures = { ...day, workings: withHabits(workings, places.angler?.habits) };
  const needContext: NeedContext = { exposures, brief, places, aboard, firstPaddleId };
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
 * The needs that the difference between two loadouts can speak to: those that the kinds of the changed items
 * are means of. null: any need, because a container came, went, or was opened.
 */
function needsTouched(moved: readonly Aboard[], is: readonly Aboard[]): ReadonlySet<NeedId> | null {
  const touched = new Set<NeedId>();
  for (const { item } of moved) {
    if (is.some(({ item: other }) => other.containerId === item.id || other.poweredById === item.id))
      return null;
    for (const id of kinds[item.kind].means) touched.add(id);
    // Which paddle is the first decides which may be the second.
    if (touched.has('second-propulsion')) touched.add('propulsion');
  }
  for (const [id, by] of dependent)
    if (by === 'anything' ? moved.length > 0 : moved.some(({ item }) => by.includes(item.kind)))
      touched.add(id);
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

/** Whether a context differs, in one of some parts, from the one that it follows. */
export function differs(context: Context, names: readonly (keyof Context)[]): boolean {
  return derived.differs(context, names);
}
