import { type Conflict, mergeDocuments } from '#core/documents/merge';
import type { Outing } from '#core/documents/outing';
import { ApiError, type Kept } from '../app/api';

/** How far the newest change has come. */
export type Saving =
  | { is: 'kept'; at: number }
  | { is: 'pending' }
  | { is: 'waiting'; why: string }
  | { is: 'refused'; why: string }
  | { is: 'conflict'; conflicts: readonly Conflict[] };

export interface EditorState {
  doc: Outing;
  version: number;
  saving: Saving;
  canUndo: boolean;
  canRedo: boolean;
  /** Something the editor has to say about changes from elsewhere; null: nothing. */
  told: string | null;
}

export interface EditorPorts {
  put: (doc: Outing, version: number, leaving: boolean) => Promise<Kept<Outing>>;
  /** Where an unsent change outlives a reload. */
  drafts: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
  now: () => number;
  later: (work: () => void, ms: number) => () => void;
}

const SEND_AFTER_MS = 350;
const RETRY_AFTER_MS = 3000;
const GROUP_MS = 1500;
const MOST_UNDO = 200;
const MERGED = 'This outing was changed in another window too. Both changes are kept.';
const ADOPTED = 'This outing was changed in another window; here it is as it stands now.';

interface Draft {
  base: Kept<Outing>;
  doc: Outing;
}

/**
 * One outing being edited: every change can be undone, saves itself, and is merged with changes from other windows.
 * Only where both changed the same thing differently does it ask.
 */
export class OutingEditor {
  private base: Kept<Outing>;
  private state: EditorState;
  private past: Outing[] = [];
  private future: Outing[] = [];
  private lastGroup = { name: '', at: 0 };
  private sending = false;
  private cancel: (() => void) | null = null;
  /** What both windows started from, while a conflict waits for an answer. */
  private conflictBase: Outing | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(
    kept: Kept<Outing>,
    private readonly ports: EditorPorts,
  ) {
    this.base = kept;
    this.state = {
      doc: kept.doc,
      version: kept.version,
      saving: { is: 'kept', at: Date.parse(kept.updatedAt) },
      canUndo: false,
      canRedo: false,
      told: null,
    };
    this.takeUpDraft();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getState = (): EditorState => this.state;

  /** @param group changes of one group in quick succession are one step back, such as the letters of a word */
  readonly edit = (change: (doc: Outing) => Outing, group = ''): void => {
    const doc = change(this.state.doc);
    if (doc === this.state.doc) return;
    const at = this.ports.now();
    const same = group !== '' && group === this.lastGroup.name && at - this.lastGroup.at < GROUP_MS;
    this.lastGroup = { name: group, at };
    if (!same) this.past = [...this.past.slice(-MOST_UNDO), this.state.doc];
    this.future = [];
    this.changed(doc);
  };

  readonly undo = (): void => {
    const before = this.past.pop();
    if (!before) return;
    this.future.push(this.state.doc);
    this.lastGroup = { name: '', at: 0 };
    this.changed(before);
  };

  readonly redo = (): void => {
    const after = this.future.pop();
    if (!after) return;
    this.past.push(this.state.doc);
    this.changed(after);
  };

  /** Takes over a newer document that was read from the server, unless something here is still unsent. */
  readonly adopt = (kept: Kept<Outing>): void => {
    if (kept.version <= this.base.version || this.state.saving.is !== 'kept' || this.sending) return;
    this.rebaseSteps(kept.doc);
    this.base = kept;
    this.set({ doc: kept.doc, version: kept.version, saving: { is: 'kept', at: this.ports.now() }, told: ADOPTED });
  };

  /** Settles a conflict: whose version of the contested parts stands. */
  readonly settle = (whose: 'mine' | 'theirs'): void => {
    const before = this.conflictBase;
    if (this.state.saving.is !== 'conflict' || before === null) return;
    this.set({ saving: { is: 'pending' }, told: null });
    if (whose === 'theirs') this.edit((mine) => mergeDocuments(before, this.base.doc, mine).merged);
    this.schedule(0);
  };

  readonly hush = (): void => this.set({ told: null });

  /** Sends what is unsent at once. @param leaving the page is going away */
  readonly flush = async (leaving = false): Promise<void> => {
    this.cancel?.();
    while (this.state.saving.is === 'pending' || this.state.saving.is === 'waiting') {
      await this.send(leaving);
      if (leaving || this.state.saving.is === 'waiting') return;
      if (this.sending) await new Promise<void>((done) => this.ports.later(done, 50));
    }
  };

  private changed(doc: Outing): void {
    this.set({ doc, saving: { is: 'pending' } });
    this.keepDraft();
    this.schedule(SEND_AFTER_MS);
  }

  private schedule(ms: number): void {
    this.cancel?.();
    this.cancel = this.ports.later(() => void this.send(), ms);
  }

  private async send(leaving = false): Promise<void> {
    if (this.sending || this.state.saving.is === 'conflict' || this.state.saving.is === 'kept') return;
    this.sending = true;
    const sent = this.state.doc;
    try {
      this.base = await this.ports.put(sent, this.base.version, leaving);
      const done = this.state.doc === sent;
      this.set({ version: this.base.version, saving: done ? { is: 'kept', at: this.ports.now() } : { is: 'pending' } });
      if (done) this.ports.drafts.removeItem(this.draftKey());
      else this.schedule(0);
    } catch (error) {
      this.failed(error);
    } finally {
      this.sending = false;
    }
  }

  private failed(error: unknown): void {
    if (!(error instanceof ApiError)) throw error;
    if (error.status === 409 && error.current) {
      this.mergeWith(error.current as Kept<Outing>);
      return;
    }
    if (error.status === 0 || error.status >= 500) {
      this.set({ saving: { is: 'waiting', why: error.message } });
      this.schedule(RETRY_AFTER_MS);
      return;
    }
    const [first] = error.fields;
    this.set({ saving: { is: 'refused', why: first ? first.message : error.message } });
  }

  private mergeWith(theirs: Kept<Outing>): void {
    const before = this.base.doc;
    const { merged, conflicts } = mergeDocuments(before, this.state.doc, theirs.doc);
    this.rebaseSteps(theirs.doc);
    this.base = theirs;
    if (conflicts.length > 0) {
      this.conflictBase = before;
      this.set({ doc: merged, version: theirs.version, saving: { is: 'conflict', conflicts } });
      return;
    }
    this.set({ doc: merged, version: theirs.version, saving: { is: 'pending' }, told: MERGED });
    this.keepDraft();
    this.schedule(0);
  }

  /** Steps back and forward keep what came from elsewhere: undoing mine must not undo theirs. */
  private rebaseSteps(theirs: Outing): void {
    const rebase = (doc: Outing) => mergeDocuments(this.base.doc, doc, theirs).merged;
    this.past = this.past.map(rebase);
    this.future = this.future.map(rebase);
  }

  private takeUpDraft(): void {
    const text = this.ports.drafts.getItem(this.draftKey());
    if (text === null) return;
    const { base, doc } = JSON.parse(text) as Draft;
    const theirs = this.base;
    this.base = base;
    this.set({ doc, saving: { is: 'pending' } });
    if (theirs.version === base.version) this.schedule(0);
    else this.mergeWith(theirs);
  }

  private keepDraft(): void {
    const draft: Draft = { base: this.base, doc: this.state.doc };
    this.ports.drafts.setItem(this.draftKey(), JSON.stringify(draft));
  }

  private draftKey(): string {
    return `tally-draft:${this.base.doc.id}`;
  }

  private set(part: Partial<EditorState>): void {
    this.state = { ...this.state, ...part, canUndo: this.past.length > 0, canRedo: this.future.length > 0 };
    for (const listener of this.listeners) listener();
  }
}
