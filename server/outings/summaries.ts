import { z } from 'zod';
import { learnt, type Learnt } from '#core/ashore/learnt';
import { clockText, dateText } from '#core/documents/field';
import { homeDate } from '#core/documents/hours';
import type { Outing } from '#core/documents/outing';
import { type References, lookUp } from '#core/documents/references';
import type { Summary } from '#core/judgement/summary';
import { assess } from '#core/judgement/assess';
import { changesSince } from '#core/signing/changes';
import { signedSnapshot } from '#core/signing/snapshot';
import {
  EVENING_STANDS_DAYS,
  type Earlier,
  lastAnswers,
  standingAnswers,
  withEarlier,
} from '#core/walkround/answers';
import { type OutingRow, changedOutings, newestChange, outingRows } from '../documents/changedRows';
import type { Library, LibraryState } from '../documents/library';
import type { SetAside, Versioned } from '#core/documents/kept';
import { isSetAside, readRow } from '../documents/store';
import type { Database } from '../storage/open';
import { isDatabaseAway } from '../storage/trouble';
import { perOwner, plainId } from '../people/scope';
import type { NewestRecords, WalkStore } from '../walkround/store';
import { DAY_MS } from '#core/units/time';

export interface SummaryPage {
  ahead: Summary[];
  gone: Summary[];
  /** How many there are in all. */
  of: { ahead: number; gone: number };
  setAside: SetAside[];
}

/** The list of outings, judged; and what all their logs say of things. */
export interface Summaries {
  page: (today: string, most: { ahead: number; gone: number }) => Promise<SummaryPage>;
  use: (without: string | null) => Promise<{ usedIds: string[]; learnt: Record<string, Learnt> }>;
}

/** An outing of the list by what its place in it goes by; the document itself is opened when it is shown. */
interface Listed extends OutingRow {
  /** The day one is home, and what its place in the list goes by. */
  home: string;
  place: string;
  /** As it was read; null: not opened yet, or it cannot be read. */
  kept: Versioned<Outing> | null;
  /** What the judgement was made from, and when; null: not judged yet. */
  judged: { from: string; at: number; summary: Summary } | null;
}
/** One that is opened. */
type Opened = Listed & { kept: Versioned<Outing> };

/**
 * So many are opened before the list is answered, so that those that cannot be read stand in it; more are
 * opened meanwhile.
 */
const OPENED_FIRST = 200;
/** So many are opened at a time, so that others are answered in between. */
const OPENED_AT_A_TIME = 5;
/** Where nobody waits for them, others go first: a pause between, ms. */
const PAUSE_MS = 500;

const NOTHING_YET: NewestRecords = { answers: 0, signatures: 0 };
/**
 * A judgement of the list is held so long, while nothing that it read has changed: some of what it says goes
 * by the clock.
 */
const STANDS_MS = 60_000;

export function summariesOf(db: Database, library: Library, walks: WalkStore, now: () => number): Summaries {
  const houses = perOwner(() => ownSummaries(db, library, walks, now));
  return { page: (today, most) => houses().page(today, most), use: (without) => houses().use(without) };
}

function ownSummaries(db: Database, library: Library, walks: WalkStore, now: () => number): Summaries {
  let listed = new Map<string, Listed>();
  let asides = new Map<string, SetAside>();
  let at = 0;
  let reading: Promise<void> | null = null;
  let opening: Promise<void> | null = null;
  /** All of them in their order; null: it changed since it was made. */
  let inOrder: readonly Listed[] | null = null;

  const bringUpToDate = async () => {
    const newest = await newestChange(db);
    if (newest === at) return;
    if (newest < at) {
      listed = new Map();
      asides = new Map();
      inOrder = null;
      at = 0;
    }
    for (const row of await changedOutings(db, at)) {
      at = Math.max(at, row.changeNo);
      inOrder = null;
      listed.delete(row.id);
      asides.delete(row.id);
      if (!row.deleted) listed.set(row.id, listedOf(row));
    }
  };
  const upToDate = () => {
    reading ??= bringUpToDate().finally(() => {
      reading = null;
    });
    return reading;
  };
  /** Opens these, as far as they are not: what cannot be read leaves the list and is set aside. */
  const open = async (list: readonly Listed[], pauseMs = 0): Promise<void> => {
    const closed = list.filter((one) => one.kept === null);
    for (let from = 0; from < closed.length; from += OPENED_AT_A_TIME) {
      const some = closed.slice(from, from + OPENED_AT_A_TIME);
      const rows = await outingRows(db, some);
      const there = new Set(rows.map(({ id }) => plainId(id)));
      // Deleted since the list was read.
      for (const { id } of some) if (!there.has(id)) listed.delete(id);
      if (rows.length < some.length) inOrder = null;
      for (const row of rows) {
        const one = listed.get(plainId(row.id));
        if (!one || one.kept !== null) continue;
        const read = readRow('outings', row);
        if (isSetAside(read)) {
          asides.set(one.id, read);
          listed.delete(one.id);
          inOrder = null;
        } else one.kept = read;
      }
      if (from + OPENED_AT_A_TIME < closed.length) await new Promise((done) => setTimeout(done, pauseMs));
    }
  };
  const openAll = () => open([...listed.values()]);
  const openMeanwhile = () => {
    // Where it fails, they are opened when they are asked for.
    opening ??= open([...listed.values()], PAUSE_MS)
      .catch(() => undefined)
      .finally(() => {
        opening = null;
      });
  };
  const summaryOf = async (
    one: Opened,
    state: LibraryState,
    grown: NewestRecords,
    earlierOf: () => Promise<(outingId: string) => Earlier[]>,
  ): Promise<Summary> => {
    const { doc } = one.kept;
    const from = `${readsOf(doc, state)} ${grown.answers}/${grown.signatures}`;
    const moment = now();
    if (one.judged && one.judged.from === from && Math.abs(moment - one.judged.at) < STANDS_MS)
      return one.judged.summary;
    // Others are answered between one judgement and the next.
    await new Promise((done) => setImmediate(done));
    const record = grown.answers === 0 ? [] : await walks.answers(doc.id);
    const signature = grown.signatures === 0 ? null : await walks.lastSignature(doc.id);
    const earlier = await earlierOf();
    const standing = withEarlier(standingAnswers(record, moment), earlier(doc.id), moment);
    const judged = assess(doc, state.references, standing, moment, { withRepairs: false });
    const open = (level: string) =>
      judged.findings.filter((finding) => finding.level === level && finding.accepted === null).length;
    const { water, craft } = lookUp(doc, state.references);
    const summary: Summary = {
      id: doc.id,
      version: one.kept.version,
      title: doc.title,
      date: doc.brief.date,
      nights: doc.brief.nights,
      launchAt: doc.brief.launchAt,
      homeAt: doc.brief.homeAt,
      party: doc.brief.party,
      water: water?.name ?? null,
      timeZone: water?.timeZone ?? null,
      craft: craft?.name ?? null,
      counts: { stop: open('stop'), mind: open('mind'), note: open('note') },
      tallies: judged.tallies,
      gateOpen: judged.gate.open,
      signed: signedOf(signature, doc, state.references, record),
      logged: doc.log && {
        fish: doc.log.catches.length,
        lostOrBroken: doc.log.items.filter(({ mark }) => mark === 'lost' || mark === 'broken').length,
      },
    };
    one.judged = { from, at: moment, summary };
    return summary;
  };
  return {
    page: async (today, most) => {
      await upToDate();
      const state = await library.read();
      const ordered = () => (inOrder ??= [...listed.values()].sort((a, b) => (a.place < b.place ? -1 : 1)));
      const isAhead = ({ home }: Listed) => home >= today;
      const onPage = () => {
        const ahead = ordered().filter(isAhead);
        const gone = ordered()
          .filter((one) => !isAhead(one))
          .reverse();
        return { ahead, gone, shown: [...ahead.slice(0, most.ahead), ...gone.slice(0, most.gone)] };
      };
      if (listed.size <= OPENED_FIRST) await openAll();
      // Those that cannot be read make room for the next.
      while (onPage().shown.some((one) => one.kept === null)) await open(onPage().shown);
      const failed: SetAside[] = [];
      // Read once, and only where something is judged.
      let earlier: Promise<(outingId: string) => Earlier[]> | null = null;
      const earlierOf = () => (earlier ??= walks.earlierOf(now() - EVENING_STANDS_DAYS * DAY_MS));
      const judgedOf = async (list: readonly Listed[]) => {
        const opened = list.filter((one): one is Opened => one.kept !== null);
        const growth = await walks.growth(opened.map(({ id }) => id));
        const summaries: Summary[] = [];
        for (const one of opened)
          try {
            summaries.push(await summaryOf(one, state, growth.get(one.id) ?? NOTHING_YET, earlierOf));
          } catch (error) {
            if (isDatabaseAway(error)) throw error;
            failed.push(notJudged(one));
          }
        return summaries;
      };
      const { ahead, gone } = onPage();
      const page = {
        ahead: await judgedOf(ahead.slice(0, most.ahead)),
        gone: await judgedOf(gone.slice(0, most.gone)),
      };
      openMeanwhile();
      return {
        ...page,
        of: { ahead: ahead.length, gone: gone.length },
        setAside: [...asides.values(), ...failed],
      };
    },
    use: async (without) => {
      await upToDate();
      const { waters } = (await library.read()).references;
      await openAll();
      const outings = [...listed.values()].flatMap(({ kept }) => kept?.doc ?? []);
      return {
        usedIds: [...new Set(outings.flatMap(({ loadout }) => loadout.map(({ itemId }) => itemId)))],
        learnt: Object.fromEntries(
          learnt(
            outings.filter(({ id }) => id !== without),
            ({ brief }) => waters.find(({ id }) => id === brief.waterId)?.timeZone ?? 'utc',
          ),
        ),
      };
    },
  };
}

/** When an outing was signed, and whether that still stands; null: it is not. */
export function signedOf(
  signature: Awaited<ReturnType<WalkStore['lastSignature']>>,
  outing: Outing,
  references: References,
  record: Parameters<typeof lastAnswers>[0],
): Summary['signed'] {
  if (!signature) return null;
  const snapshot = signedSnapshot(outing, references, lastAnswers(record));
  return { at: signature.signedAt, stale: changesSince(signature.snapshot, snapshot).length > 0 };
}

/** The documents that an outing's judgement reads, by their versions. */
function readsOf(outing: Outing, { references, versions }: LibraryState): string {
  const { angler, craft, water, rulePack, aboard, items } = lookUp(outing, references);
  const parts = outing.rigs.flatMap(({ rodId, reelId, mainId, leaderId, clipId, lureId }) => [
    rodId,
    reelId,
    mainId,
    leaderId,
    clipId,
    lureId,
  ]);
  const around = aboard.flatMap(({ item }) => [item.id, item.containerId, item.poweredById]);
  const read = [
    `anglers/${angler?.id ?? ''}`,
    `craft/${craft?.id ?? ''}`,
    `waters/${water?.id ?? ''}`,
    `rulePacks/${rulePack?.id ?? ''}`,
    ...outing.brief.targets.map((id) => `species/${id}`),
    ...[...parts, ...around].flatMap((id) => (id !== null && items.has(id) ? [`items/${id}`] : [])),
    // A container or a battery that came to be aboard is found by what names it.
    ...outing.loadout.map(({ itemId }) => `items/${itemId}`),
  ];
  return read.map((key) => `${key}:${versions.get(key) ?? 0}`).join(' ');
}

/** An outing on whose judgement the program failed. It is none that could be deleted as unreadable. */
function notJudged({ kept: { doc } }: Opened): SetAside {
  const why = 'The program failed when it judged this outing. It is left as it is; open it to see more.';
  return { kind: 'outings', id: doc.id, name: doc.title, why, newer: true };
}

/**
 * The place of an outing in the list; one whose day cannot be read stands first, and is opened and set aside
 * with the others.
 */
function listedOf(row: OutingRow): Listed {
  const [date, launchAt, homeAt, nights] = row.hours;
  const hours = hoursSchema.safeParse({ date, launchAt, homeAt, nights }).data;
  return {
    ...row,
    home: hours ? homeDate(hours) : '',
    place: hours ? `${hours.date} ${hours.launchAt} ${row.id}` : '',
    kept: null,
    judged: null,
  };
}
const hoursSchema = z.object({
  ...{ date: dateText, launchAt: clockText, homeAt: clockText },
  // Outings of an older form have no nights: null is 0.
  nights: z.coerce.number().pipe(z.int().min(0)),
});
