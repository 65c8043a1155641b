import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { byItself } from '../documents/references';
import { type AddedItem as Added, type Repair, applyRepair, sayRepair } from '../editing/repair';
import { catalogue } from '../needs/catalogue';
import { clashOf } from '../needs/clash';
import { isBySort, sortOf, worthOf } from '../needs/need';
import { rememberFor } from '../units/remember';
import type { NeedId } from '../vocabulary/needs';
import { serviceable } from './candidates';
import { type Context, contextOf, differs, givenFor } from './context';
import { type AnyRule, type Found, foundBy, foundFrom, keyOf, ruleOf, rules } from './allRules';
import { type SideEffect, keptExtent } from './rule';

/** At most so many repairs are offered for one finding, and so many candidates judged to find them. */
const MOST_OFFERED = 3;
/** A Note asks for nothing: one way to settle it is enough. */
const MOST_FOR_A_NOTE = 1;
const MOST_JUDGED = 12;
/** Fewer for places and loads, where the nearest and the heaviest come first. */
const MOST_PLACED = 5;
const MOST_ADDED = 6;
const MOST_MOVED = 3;
const MOST_TRIED = 3;
/** A thing added may need another, and that a third: a rod needs its leash. */
const MOST_ROUNDS = 3;

const rulesThatAsk = rules.filter(({ canAsk }) => canAsk);

/** A judged outing: its context, and what each rule found in it. */
export interface Judged {
  context: Context;
  all: readonly Found[];
  byKey: ReadonlyMap<string, Found>;
  /** By identity of the finding: a rule whose inputs a repair did not change returns the same records. */
  byFinding: ReadonlyMap<object, Found>;
}

export function judge(context: Context): Judged {
  const byFinding = new Map<object, Found>();
  for (const rule of rules) for (const told of rule.find(context)) byFinding.set(told, foundFrom(rule, told));
  const all = [...byFinding.values()];
  return { context, all, byKey: new Map(all.map((one) => [one.key, one])), byFinding };
}

/**
 * Stops and Minds of outings that differ a little from one: rules whose inputs do not differ are not run
 * again.
 */
export function stopsAndMindsAfter(before: Context): (next: Context) => Found[] {
  const asked = rules.filter(({ notes }) => !notes).map((rule) => ({ rule, was: rule.find(before) }));
  return (next) =>
    asked.flatMap(({ rule, was }) =>
      (differs(next, rule.reads) ? rule.find(next) : was)
        .filter(({ level }) => level !== 'note')
        .map((told) => foundFrom(rule, told)),
    );
}

/**
 * Repairs that settle a finding, the most fitting first; where none does, repairs that turn a Stop into a
 * Mind. Each is applied to a copy and judged: it is offered only when the finding is gone and no other Stop
 * or Mind appears or gets worse. Only rules that read something that the repair changed are run again.
 */
export function repairsFor(one: Found, judged: Judged): Settling {
  const rule = ruleOf(one.facts.code);
  const most = one.level === 'note' ? MOST_FOR_A_NOTE : MOST_OFFERED;
  const offered: Repair[] = [];
  const lowers: Repair[] = [];
  const asked = rule.asks(one.facts);
  let sideEffect: SideEffect | null = null;
  if (asked) {
    // Where the lightest opens another hole, the next lightest is tried.
    for (let skip = 0; skip < MOST_TRIED && offered.length === 0; skip += 1) {
      const added = addingItems(asked, one, judged, skip);
      if (added === 'none') break;
      if ('do' in added) offered.push(added);
      else sideEffect ??= added.sideEffect;
    }
  }
  let tried = 0;
  for (const repair of rule.repairs(one.facts, judged.context)) {
    if (offered.length >= most || tried >= mostJudged(rule, one.level)) break;
    // The nearest hours that do are enough: all others stand under Better hours.
    if (repair.do === 'set-hours' && offered.some((other) => other.do === 'set-hours')) continue;
    // Offered in the same words already: nobody could choose between the two.
    if (offered.some((other) => sayRepair(other) === sayRepair(repair))) continue;
    // What is added already need not also take another's place.
    if (repair.do === 'swap-item' && offered.some((other) => adds(other, repair.onId))) continue;
    tried += 1;
    const next = repaired(judged.context, repair);
    if (settles(one, next, judged, { adds: repair.do === 'swap-item' || repair.do === 'add-items' }))
      offered.push(repair);
    else if (
      one.level === 'stop' &&
      lowers.length === 0 &&
      lowered(one, next) &&
      settles(one, next, judged, { lowered: true })
    )
      lowers.push(repair);
  }
  return { repairs: offered, lowers: offered.length > 0 ? [] : lowers, sideEffect };
}

function mostJudged({ station }: AnyRule, level: Found['level']): number {
  if (level === 'note') return MOST_FOR_A_NOTE;
  return station === 'stow' ? MOST_PLACED : MOST_JUDGED;
}
function adds(repair: Repair, itemId: string): boolean {
  if (repair.do === 'together') return repair.parts.some((part) => adds(part, itemId));
  return repair.do === 'add-items' && repair.items.some((one) => one.itemId === itemId);
}

/** Whether a change turns a Stop into less: its own rule is run before all others. */
function lowered(one: Found, next: Context): boolean {
  const rule = ruleOf(one.facts.code);
  return rule.find(next).every(({ level, subject }) => keyOf(rule, subject) !== one.key || level !== 'stop');
}

/**
 * One repair may settle several findings: its result is cached by the outing, and by the context it was
 * judged in.
 */
const contextsTried = rememberFor((_: Context) => new Map<string, Context>());
const outingsTried = rememberFor((_: Outing) => ({ now: 0, byRepair: new Map<string, Outing>() }));
function repaired(context: Context, repair: Repair): Context {
  const { outing, references, answers, now } = context;
  const key = JSON.stringify(repair);
  const contexts = contextsTried(context);
  const known = contexts.get(key);
  if (known) return known;
  const tried = outingsTried(outing);
  // A repair may write the hour it was carried out.
  if (tried.now !== now) Object.assign(tried, { now, byRepair: new Map() });
  const after = tried.byRepair.get(key) ?? applyRepair(outing, repair, now);
  tried.byRepair.set(key, after);
  const next = contextOf(after, references, answers, now, context);
  contexts.set(key, next);
  return next;
}

/**
 * The given inputs on which each rule depends, as a bit set: after a change of the loadout alone most rules
 * are skipped at once.
 */
const givenNames = [...new Set(rules.flatMap(({ reads }) => [...givenFor(reads)]))];
const bitsOf = (has: (name: keyof Context) => boolean) =>
  givenNames.reduce((bits, name, i) => (has(name) ? bits | (1 << i) : bits), 0);
interface Keeper {
  rule: AnyRule;
  given: number;
}
/** Rules that can block a repair. */
const keepers: readonly Keeper[] = rules
  .filter(({ neverBlocksRepairs, notes }) => !neverBlocksRepairs && !notes)
  .map((rule) => {
    const given = givenFor(rule.reads);
    return { rule, given: bitsOf((name) => given.has(name)) };
  });
/**
 * The rule that last blocked a repair of a rule's findings; it is tried first, which saves time and changes
 * no result.
 */
const lastWorse = new Map<AnyRule, Keeper>();

/** Whether a change settles a finding and makes nothing else worse. */
function settles(
  one: Found,
  next: Context,
  judged: Judged,
  how: { lowered?: boolean; adds?: boolean } = {},
): boolean {
  return keptBackBy(one, next, judged, { ...how, whichever: true }) === null;
}
/**
 * What keeps a change back: the finding itself where it still stands, else one that has come or grown. Its
 * own rule is asked first: most that fail, fail there.
 * @param how.whichever where several do: any of them, and not the first
 */
function keptBackBy(
  one: Found,
  next: Context,
  { context, byKey, byFinding }: Judged,
  { lowered = false, adds = false, whichever = false } = {},
): AnyRule | null {
  const own = ruleOf(one.facts.code);
  const worse = (rule: AnyRule) =>
    rule.find(next).some((told) => {
      const { level, extent, subject } = told;
      const same = byFinding.get(told);
      if (same === one) return true;
      // A Note is settled when it is gone, a Stop or a Mind when no more than a Note is left of it.
      if (level === 'note') return rule === own && one.level === 'note' && keyOf(rule, subject) === one.key;
      if (same) return false;
      const key = keyOf(rule, subject);
      if (key === one.key) return !lowered || level === 'stop';
      const was = byKey.get(key);
      if (!was || was.level === 'note' || (level === 'stop' && was.level !== 'stop')) return true;
      return keptExtent(extent) > was.extent + rule.slack;
    });
  if (!differs(next, own.reads) || worse(own)) return own;
  // Worked out only now: most of what is tried does not get so far.
  const changed = bitsOf((name) => next[name] !== context[name]);
  const keepsBack = ({ rule, given }: Keeper) =>
    (given & changed) !== 0 &&
    rule !== own &&
    !(adds && rule.aboutPlacement) &&
    differs(next, rule.reads) &&
    worse(rule);
  const last = whichever ? lastWorse.get(own) : undefined;
  if (last && keepsBack(last)) return last.rule;
  const first = keepers.find((keeper) => keeper !== last && keepsBack(keeper));
  if (first) lastWorse.set(own, first);
  return first?.rule ?? null;
}

interface Settling {
  repairs: readonly Repair[];
  lowers: readonly Repair[];
  sideEffect: SideEffect | null;
}
interface Asked {
  needId: NeedId;
  missing: number;
}

/**
 * The lightest sound items of the locker that meet the need, added one to another until it is met; where they
 * raise a need of their own, that is met too, and where one of them takes the place of another, so is the
 * rest.
 * @returns 'none': the locker cannot; `sideEffect`: this way leads nowhere, for the side effect of it
 */
function addingItems(
  asked: Asked,
  one: Found,
  judged: Judged,
  skip: number,
): Repair | 'none' | { sideEffect: SideEffect | null } {
  const { context, byKey } = judged;
  let chosen: readonly Added[] = [];
  let open: readonly Asked[] = [asked];
  let sideEffect: SideEffect | null = null;
  for (let round = 0; round < MOST_ROUNDS && open.length > 0; round += 1) {
    for (const need of open) {
      const added = lightest(need, context, chosen, need === asked ? skip : 0);
      if (!added) return need === asked ? 'none' : { sideEffect };
      chosen = [...chosen.filter((item) => !added.some((more) => more.itemId === item.itemId)), ...added];
    }
    if (chosen.length > MOST_ADDED) return { sideEffect };
    const repair: Repair = { do: 'add-items', items: chosen };
    const next = repaired(context, repair);
    const by = keptBackBy(one, next, judged, { adds: true });
    if (by === null) return repair;
    const withRoom = by === ruleOf(one.facts.code) ? null : stowedToo(repair, by, next, one, judged);
    if (withRoom) return withRoom;
    sideEffect = sideEffectOf(by, next, judged) ?? sideEffect;
    open = rulesThatAsk.flatMap((rule) =>
      foundBy(rule, next).flatMap((now) => {
        const asks =
          now.level === 'note' || (byKey.has(now.key) && now.key !== one.key) ? null : rule.asks(now.facts);
        return asks ? [asks] : [];
      }),
    );
  }
  return { sideEffect };
}

/** A finding of a rule that a change would cause or make worse. */
function sideEffectOf(by: AnyRule, next: Context, { byKey }: Judged): SideEffect | null {
  const worse = foundBy(by, next).find(({ key, level, extent }) => {
    const was = byKey.get(key);
    return level !== 'note' && (!was || was.level === 'note' || extent > was.extent + by.slack);
  });
  return worse ? { title: by.say(worse.facts).title, isNeed: by.canAsk } : null;
}

/**
 * Where what comes aboard lies badly or makes the boat lie badly, something is put elsewhere along with it.
 */
function stowedToo(adds: Repair, by: AnyRule, next: Context, one: Found, judged: Judged): Repair | null {
  const moves = by
    .find(next)
    .flatMap((told) => by.repairs(told.facts, next))
    .filter((repair) => repair.do === 'stow')
    .slice(0, MOST_MOVED);
  const before = new Set(misplaced(next));
  for (const move of moves) {
    const both: Repair = { do: 'together', parts: [adds, move] };
    const after = repaired(judged.context, both);
    // What is moved is not put where it is in the way of something else.
    if (settles(one, after, judged, { adds: true }) && misplaced(after).every((key) => before.has(key)))
      return both;
  }
  return null;
}
/** Keys of Stops and Minds about where single things lie. */
function misplaced(context: Context): string[] {
  return keepers.flatMap(({ rule }) =>
    rule.aboutPlacement
      ? rule.find(context).flatMap(({ level, subject }) => (level === 'note' ? [] : [keyOf(rule, subject)]))
      : [],
  );
}

function lightest(
  { needId, missing: wanted }: Asked,
  context: Context,
  already: readonly Added[],
  skip: number,
): Added[] | null {
  const need = catalogue[needId];
  const bySort = isBySort(need);
  const sort = (item: Item) => sortOf(need, item.kind, context);
  const nothing: ReadonlySet<string> = new Set();
  const chosen: { item: Item; added: Added }[] = [];
  let missing = wanted;
  for (const { item, carried } of serviceable(needId, context).slice(skip)) {
    if (missing <= 1e-9) break;
    const each = worthOf(need, item, context);
    const before = already.find((one) => one.itemId === item.id)?.quantity ?? carried;
    const free = item.quantity - before;
    const clashes = chosen.some(
      (other) =>
        bySort &&
        clashOf(byItself(item), byItself(other.item), { sortOf: sort, aboardIds: nothing }) !== null,
    );
    if (each <= 0 || free < 1 || clashes) continue;
    const more = bySort && !need.amount ? 1 : Math.min(free, Math.max(1, Math.ceil(missing / each - 1e-9)));
    chosen.push({
      item,
      added: {
        itemId: item.id,
        quantity: before + more,
        more: before + more - carried,
        name: item.name,
        massKg: item.massKg * more,
      },
    });
    missing -= more * each;
  }
  return missing > 1e-9 ? null : chosen.map(({ added }) => added);
}
