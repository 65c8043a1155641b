import { type Conflict, mergeDocuments } from '#core/documents/merge';
import { openDocument } from '#core/documents/open';
import type { DocumentKind } from '#core/documents/registry';
import type { Versioned } from '#core/documents/kept';
import type { Drawer } from '../offline/drawer';
import { retryAfterMs } from '../offline/reach';
import { ApiError } from './api';

/** How far the newest change has come. */
export type Saving =
  | { is: 'kept'; at: number }
  | { is: 'pending' }
  | { is: 'waiting'; why: string }
  | { is: 'refused'; why: string }
  | { is: 'conflict'; conflicts: readonly Conflict[] };

export interface EditorState<Doc> {
  doc: Doc;
  version: number;
  saving: Saving;
  canUndo: boolean;
  canRedo: boolean;
  /** Something the editor has to say about changes from elsewhere; null: nothing. */
  told: string | null;
}

export interface EditorPorts<Doc> {
  put: (doc: Doc, version: number, leaving: boolean) => Promise<Versioned<Doc>>;
  /** Where an unsent change outlives a reload. */
  drafts: Drawer;
  /** Whether this page itself wrote a version, through another screen or an editor that was left. */
  isOwn?: (version: number) => boolean;
  now: () => number;
  later: (work: () => void, ms: number) => () => void;
}

const SEND_AFTER_MS = 350;
const GROUP_MS = 1500;
const MOST_UNDO = 200;
const FULL =
  'This device is full: the change is in this page alone until the server has it. Do not close it.';
const MERGED = 'This was changed in another window too. Both changes are kept.';
const DRAFT_UNREAD =
  'A change of an earlier time was held on this device and cannot be read any more. It is left where it is; what the server has is shown.';
const ADOPTED = 'This was changed in another window; here it is as it stands now.';

interface Draft<Doc> {
  base: Versioned<Doc>;
  doc: Doc;
}

/**
 * One document being edited: every change can be undone, saves itself, and is merged with changes from other
 * windows. Only where both changed the same thing differently does it ask.
 */
export class DocumentEditor<Doc extends { id: string }> {
  private base: Versioned<Doc>;
  private state: EditorState<Doc>;
  private past: Doc[] = [];
  private future: Doc[] = [];
  private lastGroup = { name: '', at: 0 };
  private sending = false;
  private failures = 0;
  private cancel: (() => void) | null = null;
  /**
   * What both windows started from, while a conflict waits for an answer; what the other one made of it is
   * `base`.
   */
  private conflictBase: Versioned<Doc> | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly kind: DocumentKind<Doc>,
    kept: Versioned<Doc>,
    private readonly ports: EditorPorts<Doc>,
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
    this.takeUpDraft(ports.drafts.getItem(this.draftKey()));
    // What a killed browser had put away and is not found at once.
    void ports.drafts.late?.(this.draftKey()).then((text) => {
      if (this.state.saving.is === 'kept' && !this.sending && this.base === kept) this.takeUpDraft(text);
    });
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getState = (): EditorState<Doc> => this.state;

  /**
   * @param group changes of one group in quick succession are one step back, such as the letters of a word
   */
  readonly edit = (change: (doc: Doc) => Doc, group = ''): void => {
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
  readonly adopt = (kept: Versioned<Doc>): void => {
    if (kept.version <= this.base.version || this.state.saving.is !== 'kept' || this.sending) return;
    this.rebaseSteps(kept.doc);
    this.base = kept;
    this.set({ doc: kept.doc, version: kept.version, saving: { is: 'kept', at: this.ports.now() } });
    if (!this.isOwn(kept.version)) this.set({ told: ADOPTED });
  };

  /** Settles a conflict: whose version of the contested parts stands. */
  readonly settle = (whose: 'mine' | 'theirs'): void => {
    const before = this.conflictBase;
    if (this.state.saving.is !== 'conflict' || before === null) return;
    this.conflictBase = null;
    this.set({ saving: { is: 'pending' }, told: null });
    if (whose === 'theirs') this.edit((mine) => this.merged(before.doc, this.base.doc, mine).merged);
    this.keepDraft();
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

  private changed(doc: Doc): void {
    const before = this.conflictBase;
    // While a conflict waits nothing is sent: it would write over the other side unasked.
    const conflicts = before ? this.merged(before.doc, doc, this.base.doc).conflicts : [];
    if (conflicts.length > 0) {
      this.set({ doc, saving: { is: 'conflict', conflicts } });
      this.keepDraft();
      return;
    }
    this.conflictBase = null;
    this.set({ doc, saving: { is: 'pending' } });
    this.keepDraft();
    this.schedule(SEND_AFTER_MS);
  }

  private isOwn(version: number): boolean {
    return this.ports.isOwn?.(version) ?? false;
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
      this.failures = 0;
      const done = this.state.doc === sent;
      this.set({
        version: this.base.version,
        saving: done ? { is: 'kept', at: this.ports.now() } : { is: 'pending' },
      });
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
      this.mergeWith(error.current as Versioned<Doc>);
      return;
    }
    if (error.status === 0 || error.status >= 500) {
      this.set({ saving: { is: 'waiting', why: error.message } });
      this.keepDraft();
      this.schedule(retryAfterMs((this.failures += 1)));
      return;
    }
    const [first] = error.fields;
    this.set({ saving: { is: 'refused', why: first ? first.message : error.message } });
  }

  private mergeWith(theirs: Versioned<Doc>): void {
    const before = this.base;
    const { merged, conflicts } = this.merged(before.doc, this.state.doc, theirs.doc);
    const own = this.isOwn(theirs.version);
    this.rebaseSteps(theirs.doc);
    this.base = theirs;
    // Of what this page wrote twice the later stands: nobody need be asked.
    if (conflicts.length > 0 && !own) {
      this.conflictBase = before;
      this.set({ doc: merged, version: theirs.version, saving: { is: 'conflict', conflicts } });
      this.keepDraft();
      return;
    }
    this.set({ doc: merged, version: theirs.version, saving: { is: 'pending' } });
    if (!own) this.set({ told: MERGED });
    this.keepDraft();
    this.schedule(0);
  }

  /** Steps back and forward keep what came from elsewhere: undoing mine must not undo theirs. */
  private rebaseSteps(theirs: Doc): void {
    const rebase = (doc: Doc) => this.merged(this.base.doc, doc, theirs).merged;
    this.past = this.past.map(rebase);
    this.future = this.future.map(rebase);
  }

  private merged(base: Doc, mine: Doc, theirs: Doc) {
    return mergeDocuments(this.kind, base, mine, theirs);
  }

  /** A change that was held here when the page went away. It may be of an older form than today's. */
  private takeUpDraft(text: string | null): void {
    if (text === null) return;
    const draft = this.readDraft(text);
    if (draft === null) {
      this.ports.drafts.setItem(`${this.draftKey()}:unread`, text);
      this.ports.drafts.removeItem(this.draftKey());
      this.set({ told: DRAFT_UNREAD });
      return;
    }
    const theirs = this.base;
    this.base = draft.base;
    this.set({ doc: draft.doc, saving: { is: 'pending' } });
    if (theirs.version === draft.base.version) this.schedule(0);
    else this.mergeWith(theirs);
  }

  private readDraft(text: string): Draft<Doc> | null {
    try {
      const { base, doc } = JSON.parse(text) as Draft<unknown>;
      const was = openDocument(this.kind, base.doc);
      const is = openDocument(this.kind, doc);
      if (was.is !== 'opened' || is.is !== 'opened') return null;
      return { base: { ...base, doc: was.doc }, doc: is.doc };
    } catch {
      return null;
    }
  }

  private keepDraft(): void {
    // Taken up again from what both sides started from, so that a reload does not settle a conflict.
    const draft: Draft<Doc> = { base: this.conflictBase ?? this.base, doc: this.state.doc };
    try {
      this.ports.drafts.setItem(this.draftKey(), JSON.stringify(draft));
    } catch {
      this.set({ told: FULL });
    }
  }

  private draftKey(): string {
    const { path } = this.kind;
    // Outings had drafts before other kinds had.
    return path === 'outings' ? `tally-draft:${this.base.doc.id}` : `tally-draft:${path}:${this.base.doc.id}`;
  }

  private set(part: Partial<EditorState<Doc>>): void {
    this.state = { ...this.state, ...part, canUndo: this.past.length > 0, canRedo: this.future.length > 0 };
    for (const listener of this.listeners) listener();
  }
}
