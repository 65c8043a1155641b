import type { Answer } from '#core/walkround/answerSchema';
import { ApiError } from '../app/api';

export interface QueueState {
  /** Given here, not yet acknowledged by the server, in the order given. */
  unsent: readonly Answer[];
  /** Why the server refused the last ones; null: it did not. */
  refused: string | null;
}

export interface QueuePorts {
  send: (answers: readonly Answer[]) => Promise<void>;
  storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
  later: (work: () => void, ms: number) => () => void;
}

const RETRY_MS = 4000;

/** Answers of one walk-round, kept on this device until the server has them. One sending at a time, so the order holds. */
export class AnswerQueue {
  private state: QueueState;
  private sending: Promise<void> | null = null;
  private cancel: (() => void) | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly key: string,
    private readonly ports: QueuePorts,
  ) {
    this.state = { unsent: JSON.parse(ports.storage.getItem(key) ?? '[]') as Answer[], refused: null };
    if (this.state.unsent.length > 0) this.cancel = ports.later(() => void this.flush(), 0);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getState = (): QueueState => this.state;

  readonly add = (answer: Answer): void => {
    this.hold({ unsent: [...this.state.unsent, answer], refused: null });
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
    return this.state.unsent.length === 0;
  };

  private async sendAll(): Promise<void> {
    while (this.state.unsent.length > 0) {
      const batch = this.state.unsent;
      const sent = new Set(batch.map((answer) => answer.key));
      const rest = () => this.state.unsent.filter((answer) => !sent.has(answer.key));
      try {
        await this.ports.send(batch);
        this.hold({ unsent: rest(), refused: null });
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        if (error.status === 0 || error.status >= 500) {
          this.cancel = this.ports.later(() => void this.flush(), RETRY_MS);
          return;
        }
        this.hold({ unsent: rest(), refused: error.fields[0]?.message ?? error.message });
      }
    }
  }

  private hold(state: QueueState): void {
    this.state = state;
    if (state.unsent.length === 0) this.ports.storage.removeItem(this.key);
    else this.ports.storage.setItem(this.key, JSON.stringify(state.unsent));
    for (const listener of this.listeners) listener();
  }
}
