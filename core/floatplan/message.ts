/** What is written to whoever waits, and when. */
export const messageKinds = ['left', 'late', 'overdue', 'home'] as const;
export type MessageKind = (typeof messageKinds)[number];

/** A message as the outbox has it. */
export interface Message {
  kind: MessageKind;
  toName: string;
  /** Empty: nobody wrote an address for mail. */
  toAddress: string;
  subject: string;
  body: string;
  madeAt: string;
  /** null: not sent, or only shown. */
  sentAt: string | null;
  /** Why it could not be sent the last time; empty: nothing went wrong. */
  trouble: string;
}
