import { clearRules } from './stowClear';
import { heldRules } from './stowHeld';
import { placeRules } from './stowPlaces';

const { unplaced, noFit, overfull, wet, onceDry, onLid, apart, under, order } = placeRules;
const { rollLoses, loose, leashes, callNotWorn } = heldRules;
const { clear, sharp, highThings, quiet, rodsUp } = clearRules;

/**
 * What may lie on the lid, in the way or beside is a matter of the plan; what is lost, wet or bare, of the
 * boat and the water.
 */
export const stowRules = [
  unplaced,
  noFit,
  overfull,
  wet,
  onceDry,
  rollLoses,
  loose,
  leashes,
  callNotWorn,
  clear,
  onLid,
  sharp,
  apart,
  highThings,
  quiet,
  rodsUp,
  under,
  order,
] as const;
