import { createContext, use } from 'react';
import type { Lading } from '#core/boat/lading';
import type { Angler } from '#core/documents/angler';
import type { Craft } from '#core/documents/craft';

/** What the parts of a boat's page share. */
export interface BoatDesk {
  craft: Craft;
  /**
   * Changes the boat; what does not fit is not kept, and said.
   * @param key changes of one key are undone together
   */
  change: (make: (craft: Craft) => Craft, key?: string) => string | null;
  angler: Pick<Angler, 'massKg' | 'heightM'>;
  /** Whether that is the profile's, or a usual one. */
  own: boolean;
  gear: Lading | null;
}
export const BoatDeskContext = createContext<BoatDesk | null>(null);

export function useBoat(): BoatDesk {
  const desk = use(BoatDeskContext);
  if (!desk) throw new Error('A part of the boat’s page is used outside of it.');
  return desk;
}

/** Salt water: a boat lies a fortieth deeper in fresh. */
export { SALT_WATER as DRAWN_IN } from '#core/units/constants';
