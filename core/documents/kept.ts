import type { KindName } from './registry';

/** A document with its version, as kept and as sent. */
export interface Versioned<Doc> {
  version: number;
  updatedAt: string;
  doc: Doc;
  /** Of what the club may have: whether it is the club's. Left out: nobody asked. */
  club?: boolean;
}
/** A row that cannot be read as a document of its kind: it is set aside, and everything else goes on. */
export interface SetAside {
  kind: KindName;
  id: string;
  /** What it calls itself, if that can be read. */
  name: string;
  why: string;
  /** A newer version of the program made it: it is not to be touched. */
  newer: boolean;
}
