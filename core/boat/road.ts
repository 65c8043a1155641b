import type { Angler } from '../documents/angler';

/** From so far past the end of a vehicle many laws ask for a flag or a board, m. Look up those of the roads taken. */
export const FLAG_FROM_M = 1;

/**
 * How far a boat stands past the tail of what it travels on, m: on a roof laid with its middle over the
 * vehicle's, in a bed or on a trailer from the front of it. Plane measure, an estimate.
 * @returns 0 where it does not; null: it is not told on what it travels
 */
export function overhangM(boatM: number, { carries, lengthM }: Angler['vehicle']): number | null {
  if (carries === 'not told' || lengthM === null) return null;
  const past = boatM - lengthM;
  return Math.max(0, carries === 'roof' ? past / 2 : past);
}
