/**
 * Share of the line's strength that a joint leaves. Rules of thumb for knots tied wet and drawn down; each
 * hand differs.
 */
export const knots = {
  none: { name: 'spliced, no knot', efficiency: 1, slim: true },
  'slim braid knot': { name: 'slim braid-to-leader knot', efficiency: 0.95, slim: true },
  'double uni': { name: 'double uni', efficiency: 0.85, slim: false },
  palomar: { name: 'palomar', efficiency: 0.93, slim: false },
  clinch: { name: 'improved clinch', efficiency: 0.85, slim: false },
  'loop knot': { name: 'loop knot', efficiency: 0.8, slim: false },
  'surgeon’s knot': { name: 'surgeon’s knot', efficiency: 0.8, slim: false },
  crimp: { name: 'crimped sleeve', efficiency: 0.9, slim: false },
} as const;
export type KnotId = keyof typeof knots;
export const knotIds = Object.keys(knots) as KnotId[];

/** How the lure hangs on, or what stands at the leader's top. */
export const connections = ['direct', 'snap at the lure', 'swivel at the top'] as const;

export const rigPurposes = [
  'cast',
  'jig',
  'troll high',
  'troll deep',
  'drift',
  'bait-catching',
  'hand line',
] as const;
