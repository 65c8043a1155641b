/** One part of a line, end to end. */
export interface RigPart {
  name: string;
  /** Breaking strength as rated, kg. */
  ratedKg: number;
  /** Share of it left after its knot, over 0 to 1; default 1. */
  knotEfficiency?: number;
}
/** Drag set to this share of the weakest part. Rule of thumb. */
export const DRAG_FRACTION = 0.3;

/**
 * Which part of a line breaks first, at what load, and the drag to set below it.
 * @param dragFraction share of the weakest part, default 0.3 (rule of thumb)
 * @returns strengths in kg; of two equally weak the first counts
 */
export function rig({
  parts,
  dragFraction = DRAG_FRACTION,
}: {
  parts: readonly RigPart[];
  dragFraction?: number;
}): {
  weakest: string;
  strengthKg: number;
  dragKg: number;
} {
  let weakest = '';
  let strengthKg = Infinity;
  for (const part of parts) {
    const own = strengthOf(part);
    if (own < strengthKg) [weakest, strengthKg] = [part.name, own];
  }
  if (strengthKg === Infinity) strengthKg = 0;
  return { weakest, strengthKg, dragKg: strengthKg * dragFraction };
}

/** What a part holds after its knot, kg. */
export function strengthOf({ ratedKg, knotEfficiency = 1 }: RigPart): number {
  return ratedKg * knotEfficiency;
}
