import type { Tallies } from './assess';

/** One outing in the list: what it is called, and how far it is counted. */
export interface Summary {
  id: string;
  version: number;
  title: string;
  date: string;
  nights: number;
  launchAt: string;
  homeAt: string;
  party: number;
  water: string | null;
  timeZone: string | null;
  craft: string | null;
  counts: { stop: number; mind: number; note: number };
  tallies: Tallies;
  gateOpen: boolean;
  signed: { at: string; stale: boolean } | null;
  /** What it came to; null: not written ashore yet. */
  logged: { fish: number; lostOrBroken: number } | null;
}
