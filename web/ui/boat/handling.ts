import type { Zone } from '#core/documents/boatParts';

/** How a boat lies on the water, as it is drawn. */
export interface Lies {
  draftM: number;
  trimDeg: number;
  heelDeg: number | null;
}
/** What may be done with the places of a drawing. */
export interface ZoneHandling {
  chosen: string | null;
  choose: (id: string) => void;
  /** By how far, m; done: the finger is off. */
  move: (zone: Zone, byXM: number, byYM: number, done: boolean) => void;
  stretch: (zone: Zone, byXM: number, byYM: number, done: boolean) => void;
}
