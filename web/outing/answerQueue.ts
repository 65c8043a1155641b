import { ApiError } from '../documents/api';
import type { Drawer } from '../offline/drawer';
import { retryAfterMs } from '../offline/reach';

/** What is queued has a key of its own, so that sending it twice is recorded once. */
interface Keyed {
  key: string;
}
export interface QueueState<One> {
  /** Given here, not yet acknowledged by the server, in the order given. */
  unsent: readonly One[];
  /**
   * Those the server would not take; they are kept here, and tried again when the page is opened anew or it
   * is asked for.
   */
  held: readonly One[];
  /** Why it would not; null: it took all. */
  refused: string | null;
  /** The device would not keep what was given: it is in this page alone. */
  unkept: boolean;
}

export interface QueuePorts<One> {
  send: (list: readonly One[]) => Promise<void>;
  storage: Drawer;
  later: (work: () => void, ms: number) => () => void;
}

/**
 * Answers of one walk-round, or words from the water, kept on this device until the server has them. One
 * sending at a time, so the order holds.
 */
export class AnswerQueue<One extends Keyed> {
  private state: QueueState<One>;
  private sending: Promise<void> | null = null;
  private cancel: (() => void) | null = null;
  private failures = 0;
  /** What the server has already, of this page. */
  private readonly sent: One[] = [];
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly key: string,
    private readonly ports: QueuePorts<One>,
  ) {
    this.state = { unsent: readKept(ports.storage.getItem(key)), held: [], refused: null, unkept: false };
    if (this.state.unsent.length > 0) this.cancel = ports.later(() => void this.flush(), 0);
    void ports.storage.late?.(key).then((text) => this.takeUp(readKept<One>(text)));
  }

  /** What a killed browser had put away and this one did not find at once goes before what came since. */
  private takeUp(late: readonly One[]): void {
    const known = new Set([...this.state.held, ...this.state.unsent, ...this.sent].map(({ key }) => key));
    const missed = late.filter(({ key }) => !known.has(key));
    if (missed.length === 0) return;
    this.hold({ ...this.state, unsent: [...missed, ...this.state.unsent] });
    void this.flush();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getState = (): QueueState<One> => this.state;

  readonly add = (answer: One): void => {
    this.hold({ ...this.state, unsent: [...this.state.unsent, answer] });
    void this.flush();
  };

  /** Sends all that is unsent. @returns whether the server has everything now */
  readonly flush = async (): Promise<boolean> => {
    this.cancel?.();
    this.cancel = null;
    this.sending ??= this.sendAll().finally(() => {
      this.sending = null;
    });
    await this.sending;
    return this.state.unsent.length === 0 && this.state.held.length === 0;
  };

  /** What was refused is sent once more. */
  readonly again = (): void => {
    const { held, unsent } = this.state;
    this.hold({ ...this.state, unsent: [...held, ...unsent], held: [], refused: null });
    void this.flush();
  };

  private async sendAll(): Promise<void> {
    let atOnce = Infinity;
    while (this.state.unsent.length > 0) {
      const batch = this.state.unsent.slice(0, atOnce);
      const sent = new Set(batch.map((answer) => answer.key));
      const rest = () => this.state.unsent.filter((answer) => !sent.has(answer.key));
      try {
        await this.ports.send(batch);
        this.failures = 0;
        this.sent.push(...batch);
        this.hold({ ...this.state, unsent: rest() });
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        if (error.status === 0 || error.status >= 500) {
          this.cancel = this.ports.later(() => void this.flush(), retryAfterMs((this.failures += 1)));
          return;
        }
        // One that is refused must not keep the others back: they go one by one, and it stays here.
        if (batch.length > 1) atOnce = 1;
        else {
          const refused = error.fields[0]?.message ?? error.message;
          this.hold({ ...this.state, unsent: rest(), held: [...this.state.held, ...batch], refused });
        }
      }
    }
  }

  private hold(state: QueueState<One>): void {
    this.state = { ...state, unkept: !this.keep([...state.held, ...state.unsent]) };
    for (const listener of this.listeners) listener();
  }

  /** @returns whether the device has it; a full one throws */
  private keep(list: readonly One[]): boolean {
    try {
      if (list.length === 0) this.ports.storage.removeItem(this.key);
      else this.ports.storage.setItem(this.key, JSON.stringify(list));
      return true;
    } catch {
      return false;
    }
  }
}

function readKept<One>(text: string | null): One[] {
  try {
    const kept: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(kept) ? (kept as One[]) : [];
  } catch {
    return [];
  }
}
