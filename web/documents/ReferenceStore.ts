import type { SetAside, Versioned } from '#core/documents/kept';
import { type Documents, type ReferenceName, referenceNames } from '#core/documents/registry';
import { ApiError, get } from './api';
import { BUILD } from '../offline/build';
import { keptReferences } from '../offline/keptReferences';
import { speakFor } from './speech';

export type KeptReferences = { readonly [K in ReferenceName]: readonly Versioned<Documents[K]>[] } & {
  readonly setAside: readonly SetAside[];
};
/** What was carried before there was such a kind says nothing of it. */
type Lists = { [K in ReferenceName]?: { changed: Versioned<Documents[K]>[]; gone: string[] } };
type Changed = Lists & { at: number; series?: string; whole: boolean; setAside: SetAside[] };

/** What was read, as it lies on the device: up to which change, and of which series of changes. */
interface Held {
  at: number;
  series: string;
  held: KeptReferences;
}
/** Where it lies between visits. */
interface Shelf {
  read: () => Promise<unknown>;
  write: (held: Held) => void;
}
const NOWHERE: Shelf = { read: () => Promise.resolve(undefined), write: () => undefined };
/** Of another version of the program what was kept may have another form: it is read anew. */
const isHeld = (value: unknown): value is Held & { build: string } =>
  typeof value === 'object' && value !== null && 'build' in value && value.build === BUILD;

/**
 * What outings point at, as this page last read it: only what changed since is asked for, and a list without
 * a change stays the same list.
 */
export class ReferenceStore {
  private at = 0;
  private series: string | null = null;
  private held: KeptReferences | null = null;
  private reading: Promise<KeptReferences> | null = null;

  /** @param read what is done with what was read before anybody has it */
  constructor(
    private readonly ask: (since: number, series: string | null) => Promise<Changed>,
    private readonly first: (read: KeptReferences) => void = () => undefined,
    private readonly shelf: Shelf = NOWHERE,
  ) {}

  readonly read = (): Promise<KeptReferences> => {
    this.reading ??= this.take().finally(() => {
      this.reading = null;
    });
    return this.reading;
  };

  private async take(): Promise<KeptReferences> {
    if (this.held === null) await this.takeFromShelf();
    const { at, series, whole, setAside, ...news } = await this.askNow();
    const before = whole ? null : this.held;
    const lists = Object.fromEntries(
      referenceNames.map((name) => [
        name,
        merged(before?.[name] ?? [], news[name] ?? NO_NEWS, before === null),
      ]),
    ) as unknown as { [K in ReferenceName]: readonly Versioned<Documents[K]>[] };
    const moved = at !== this.at || series !== this.series;
    this.at = at;
    this.series = series ?? null;
    const same =
      before !== null &&
      referenceNames.every((name) => lists[name] === before[name]) &&
      JSON.stringify(before.setAside) === JSON.stringify(setAside);
    this.held = same ? before : { ...lists, setAside };
    if (moved && this.series !== null) this.shelf.write({ at, series: this.series, held: this.held });
    this.first(this.held);
    return this.held;
  }

  private async askNow(): Promise<Changed> {
    if (this.held === null) return this.ask(0, null);
    try {
      return await this.ask(this.at, this.series);
    } catch (error) {
      if (!(error instanceof ApiError) || error.status !== 0) throw error;
      // Without a network what is carried may be newer than what was read last; else that stands.
      const carried = await this.ask(0, null).catch(() => null);
      if (carried && carried.at > this.at) return carried;
      const { setAside } = this.held;
      return {
        at: this.at,
        whole: false,
        setAside: [...setAside],
        ...(this.series === null ? {} : { series: this.series }),
      };
    }
  }

  private async takeFromShelf(): Promise<void> {
    const kept = await this.shelf.read();
    if (!isHeld(kept)) return;
    this.at = kept.at;
    this.series = kept.series;
    this.held = kept.held;
  }
}

const NO_NEWS = { changed: [], gone: [] };
type Kept = Versioned<{ id: string }>;
/** Changed ones in their place, new ones at the end, those gone left out. */
function merged(
  list: readonly Kept[],
  { changed, gone }: { changed: readonly Kept[]; gone: readonly string[] },
  whole: boolean,
): readonly Kept[] {
  if (whole) return changed;
  if (changed.length === 0 && gone.length === 0) return list;
  const news = new Map(changed.map((one) => [one.doc.id, one]));
  const out = new Set(gone);
  const stay = list.flatMap((one) => {
    if (out.has(one.doc.id)) return [];
    const newer = news.get(one.doc.id);
    news.delete(one.doc.id);
    return [newer ?? one];
  });
  return [...stay, ...news.values()];
}

export const REFERENCES = '/api/references';
/**
 * Whoever reads it first, a screen or what is asked before there is one: the words are in the units of its
 * profile from then on.
 */
export const referenceStore = new ReferenceStore(
  (since, series) => get(`${REFERENCES}?since=${since}${series === null ? '' : `&series=${series}`}`),
  ({ anglers }) => speakFor(anglers[0]?.doc),
  { read: keptReferences.read, write: (held) => keptReferences.write({ ...held, build: BUILD }) },
);
