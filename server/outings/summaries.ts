import { learnt, type Learnt } from '#core/ashore/learnt';
import { homeDate } from '#core/documents/hours';
import type { Outing } from '#core/documents/outing';
import { type References, lookUp } from '#core/documents/references';
import type { Summary } from '#core/judgement/summary';
import { assess } from '#core/judgement/assess';
import { changesSince } from '#core/signing/changes';
import { signedSnapshot } from '#core/signing/snapshot';
import { EVENING_STANDS_DAYS, lastAnswers, standingAnswers, withEarlier } from '#core/walkround/answers';
import { changedRows, newestChange } from '../documents/changedRows';
import type { Library, LibraryState } from '../documents/library';
import type { SetAside, Versioned } from '#core/documents/kept';
import { isSetAside, readRow } from '../documents/store';
import type { Database } from '../storage/open';
import { isDatabaseAway } from '../storage/trouble';
import { perOwner } from '../people/scope';
import type { WalkStore } from '../walkround/store';
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

interface Listed {
  kept: Versioned<Outing>;
  /** The day one is home, and what its place in the list goes by. */
  home: string;
  place: string;
  /** What the judgement was made from, and when; null: not judged yet. */
  judged: { from: string; at: number; summary: Summary } | null;
}

/** A judgement of the list is held so long, while nothing that it read has changed: some of what it says goes by the clock. */
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
  /** All of them in their order; null: it changed since it was made. */
  let inOrder: readonly Listed[] | null = null;

  const bringUpToDate = async () => {
    const newest = await newestChange(db);
    if (newest === at) return;
    if (newest < at) {
      listed = new Map();
      asides = new Map();
      at = 0;
      inOrder = null;
    }
    for await (const rows of changedRows(db, ['outings'], at))
      for (const row of rows) {
        at = Math.max(at, row.changeNo);
        inOrder = null;
        listed.delete(row.id);
        asides.delete(row.id);
        if (row.deleted) continue;
        const read = readRow('outings', row);
        if (isSetAside(read)) asides.set(row.id, read);
        else listed.set(row.id, listedOf(read));
      }
  };
  const upToDate = () => {
    reading ??= bringUpToDate().finally(() => {
      reading = null;
    });
    return reading;
  };
  const summaryOf = async (one: Listed, state: LibraryState, growth: string): Promise<Summary> => {
    const { doc } = one.kept;
    const from = `${readsOf(doc, state)} ${growth}`;
    const moment = now();
    if (one.judged && one.judged.from === from && Math.abs(moment - one.judged.at) < STANDS_MS)
      return one.judged.summary;
    // Others are answered between one judgement and the next.
    await new Promise((done) => setImmediate(done));
    const record = await walks.answers(doc.id);
    const signature = await walks.lastSignature(doc.id);
    const earlier = await walks.earlier(doc.id, moment - EVENING_STANDS_DAYS * DAY_MS);
    const standing = withEarlier(standingAnswers(record, moment), earlier, moment);
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
      inOrder ??= [...listed.values()].sort((a, b) => (a.place < b.place ? -1 : 1));
      const all = inOrder;
      const isAhead = ({ home }: Listed) => home >= today;
      const ahead = all.filter(isAhead);
      const gone = all.filter((one) => !isAhead(one)).reverse();
      const failed: SetAside[] = [];
      const judgedOf = async (list: readonly Listed[]) => {
        const growth = await walks.growth(list.map(({ kept }) => kept.doc.id));
        const summaries: Summary[] = [];
        for (const one of list)
          try {
            summaries.push(await summaryOf(one, state, growth.get(one.kept.doc.id) ?? ''));
          } catch (error) {
            if (isDatabaseAway(error)) throw error;
            failed.push(notJudged(one));
          }
        return summaries;
      };
      return {
        ahead: await judgedOf(ahead.slice(0, most.ahead)),
        gone: await judgedOf(gone.slice(0, most.gone)),
        of: { ahead: ahead.length, gone: gone.length },
        setAside: [...asides.values(), ...failed],
      };
    },
    use: async (without) => {
      await upToDate();
      const { waters } = (await library.read()).references;
      const outings = [...listed.values()].map(({ kept }) => kept.doc);
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
function notJudged({ kept: { doc } }: Listed): SetAside {
  const why = 'The program failed when it judged this outing. It is left as it is; open it to see more.';
  return { kind: 'outings', id: doc.id, name: doc.title, why, newer: true };
}

function listedOf(kept: Versioned<Outing>): Listed {
  const { id, brief } = kept.doc;
  return { kept, home: homeDate(brief), place: `${brief.date} ${brief.launchAt} ${id}`, judged: null };
}
