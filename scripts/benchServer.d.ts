import type { OpenDatabase } from '../server/storage/open';
/** What a club's server takes; milliseconds at the 95th of a hundred. */
export interface ServerFigures {
  /** The list as it is asked for first after a start. */
  firstListMs: number;
  /** References whole, and after one change, as they travel: kB. */
  wholeKb: number;
  changesKb: number;
  listMs: number;
  openMs: number;
  saveMs: number;
  /** One sign-in, by what the password costs. */
  signInMs: number;
  /** Of clients that read and save at once: how often they asked, what failed, and their 95th of a hundred. */
  together: {
    asked: number;
    failed: number;
    p95Ms: number;
  };
}
/** One person with a great house among many with small ones, asked as browsers ask. */
export declare function measureServer(
  { db, close }: OpenDatabase,
  size: {
    things: number;
    outings: number;
    people: number;
    clients: number;
    forMs: number;
    asked: number;
  },
  now: number,
): Promise<ServerFigures>;
