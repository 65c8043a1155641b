import type { SetAside, Versioned } from '#core/documents/kept';
import { type Documents, type ReferenceName, referenceNames } from '#core/documents/registry';
import { get } from './api';
import { speakFor } from './speech';

export type KeptReferences = { readonly [K in ReferenceName]: readonly Versioned<Documents[K]>[] } & {
  readonly setAside: readonly SetAside[];
};
/** What was carried before there was such a kind says nothing of it. */
type Lists = { [K in ReferenceName]?: { changed: Versioned<Documents[K]>[]; gone: string[] } };
type Changed = Lists & { at: number; whole: boolean; setAside: SetAside[] };

/** What outings point at, as this page last read it: only what changed since is asked for, and a list without a change stays the same list. */
export class ReferenceStore {
  private at = 0;
  private held: KeptReferences | null = null;
  private reading: Promise<KeptReferences> | null = null;

  /** @param read what is done with what was read before anybody has it */
  constructor(
    private readonly ask: (since: number) => Promise<Changed>,
    private readonly first: (read: KeptReferences) => void = () => undefined,
  ) {}

  readonly read = (): Promise<KeptReferences> => {
    this.reading ??= this.take().finally(() => {
      this.reading = null;
    });
    return this.reading;
  };

  private async take(): Promise<KeptReferences> {
    const { at, whole, setAside, ...news } = await this.ask(this.held === null ? 0 : this.at);
    const before = whole ? null : this.held;
    const lists = Object.fromEntries(
      referenceNames.map((name) => [name, merged(before?.[name] ?? [], news[name] ?? NO_NEWS, before === null)]),
    ) as unknown as { [K in ReferenceName]: readonly Versioned<Documents[K]>[] };
    this.at = at;
    const same =
      before !== null &&
      referenceNames.every((name) => lists[name] === before[name]) &&
      JSON.stringify(before.setAside) === JSON.stringify(setAside);
    this.held = same ? before : { ...lists, setAside };
    this.first(this.held);
    return this.held;
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
/** Whoever reads it first, a screen or what is asked before there is one: the words are in the units of its profile from then on. */
export const referenceStore = new ReferenceStore(
  (since) => get(`${REFERENCES}?since=${since}`),
  ({ anglers }) => speakFor(anglers[0]?.doc),
);
