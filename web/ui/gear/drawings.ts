import type { GearForm } from '#core/catalog/gear/forms';

/** A wash of colour over the paper, or the ink itself. */
export type Wash = 'paper' | 'tide' | 'kelp' | 'clay' | 'ochre' | 'sand' | 'ink' | 'none';
/**
 * One stroke of a drawing, in shares of its length and width from its middle: -0.5 to 0.5 each way. What a
 * thing is used by (blade, tip, mouth, lid) is at the right.
 */
export type Stroke =
  | { d: string; fill: Wash; thin: boolean }
  /** A circle that stays one: its radius is a share of the shorter side. */
  | { at: readonly [number, number]; r: number; fill: Wash; thin: boolean };
export interface GearPicture {
  above: readonly Stroke[];
  /** As it lies, from the side; null: as from above. */
  side: readonly Stroke[] | null;
}

const shape = (d: string, fill: Wash = 'paper'): Stroke => ({ d, fill, thin: false });
const line = (d: string): Stroke => ({ d, fill: 'none', thin: true });
const ring = (x: number, y: number, r: number, fill: Wash = 'paper'): Stroke => ({
  ...{ at: [x, y] as const, r, fill, thin: false },
});
const dot = (x: number, y: number, r: number): Stroke => ({ at: [x, y], r, fill: 'ink', thin: true });
const block = (fill: Wash = 'paper', [l, r, t, b] = [-0.5, 0.5, -0.5, 0.5]) =>
  shape(`M${l},${t} L${r},${t} L${r},${b} L${l},${b} Z`, fill);
/** A body with rounded ends. */
const pill = (fill: Wash = 'paper', [l, r, t, b] = [-0.5, 0.5, -0.5, 0.5], end = 0.12) => {
  const m = (t + b) / 2;
  return shape(
    `M${l + end},${t} L${r - end},${t} Q${r},${t} ${r},${m} Q${r},${b} ${r - end},${b} L${l + end},${b} Q${l},${b} ${l},${m} Q${l},${t} ${l + end},${t} Z`,
    fill,
  );
};
const oval = (fill: Wash = 'paper') =>
  shape('M-0.5,0 Q-0.5,-0.5 0,-0.5 Q0.5,-0.5 0.5,0 Q0.5,0.5 0,0.5 Q-0.5,0.5 -0.5,0 Z', fill);
/** Lines side by side from left to right. */
const across = (...xs: readonly number[]) => line(xs.map((x) => `M${x},-0.5 L${x},0.5`).join(' '));
const along = (...ys: readonly number[]) => line(ys.map((y) => `M-0.5,${y} L0.5,${y}`).join(' '));
const only = (...above: readonly Stroke[]): GearPicture => ({ above, side: null });
const both = (above: readonly Stroke[], side: readonly Stroke[]): GearPicture => ({ above, side });

/** Each form of gear as it is drawn, from above and from the side. */
export const drawings: Readonly<Record<GearForm, GearPicture>> = {
  paddle: only(
    line('M-0.32,0 L0.32,0'),
    shape('M-0.3,0 Q-0.36,-0.5 -0.46,-0.4 Q-0.52,0 -0.46,0.4 Q-0.36,0.5 -0.3,0 Z', 'tide'),
    shape('M0.3,0 Q0.36,-0.5 0.46,-0.4 Q0.52,0 0.46,0.4 Q0.36,0.5 0.3,0 Z', 'tide'),
    dot(0, 0, 0.1),
  ),
  rod: only(
    line('M-0.2,0 L0.5,0'),
    shape('M-0.5,-0.12 L-0.2,-0.07 L-0.2,0.07 L-0.5,0.12 Z', 'sand'),
    ring(-0.27, 0.2, 0.28, 'paper'),
    ring(0.05, 0.06, 0.09),
    ring(0.26, 0.05, 0.07),
    ring(0.42, 0.04, 0.06),
  ),
  reel: only(
    oval('paper'),
    ring(0, 0, 0.28, 'sand'),
    line('M0,0 L0.42,-0.3'),
    dot(0.42, -0.3, 0.07),
    line('M-0.3,0.42 L0.3,0.42'),
  ),
  'hand line': only(
    shape('M-0.5,-0.5 L0.5,-0.5 L0.38,0 L0.5,0.5 L-0.5,0.5 L-0.38,0 Z', 'sand'),
    across(-0.2, -0.1, 0, 0.1, 0.2),
  ),
  net: only(
    line('M-0.5,0 L0.05,0'),
    shape('M0.05,0 Q0.02,-0.5 0.28,-0.5 Q0.5,-0.5 0.5,0 Q0.5,0.5 0.28,0.5 Q0.02,0.5 0.05,0 Z', 'paper'),
    line(
      'M0.1,-0.3 L0.4,0.42 M0.2,-0.46 L0.48,0.2 M0.32,-0.5 L0.5,-0.06 M0.1,0.3 L0.4,-0.42 M0.2,0.46 L0.48,-0.2',
    ),
  ),
  gaff: only(
    shape('M-0.5,-0.16 L-0.26,-0.16 L-0.26,0.16 L-0.5,0.16 Z', 'sand'),
    line('M-0.26,0 L0.36,0 Q0.5,0 0.5,0.26 Q0.5,0.5 0.38,0.5 Q0.28,0.48 0.3,0.24'),
  ),
  crate: both(
    [
      block('sand'),
      across(-0.3, -0.1, 0.1, 0.3),
      along(-0.3, -0.1, 0.1, 0.3),
      ring(-0.38, -0.36, 0.11),
      ring(-0.38, 0, 0.11),
      ring(-0.38, 0.36, 0.11),
    ],
    [
      block('sand'),
      across(-0.3, -0.1, 0.1, 0.3),
      along(-0.25, 0, 0.25),
      block('paper', [-0.12, 0.12, -0.42, -0.28]),
    ],
  ),
  box: both(
    [
      pill('ochre', undefined, 0.08),
      line('M-0.4,-0.36 L0.4,-0.36 L0.4,0.36 L-0.4,0.36 Z'),
      block('paper', [-0.1, 0.1, 0.34, 0.5]),
    ],
    [pill('ochre', undefined, 0.08), along(-0.2), block('paper', [-0.1, 0.1, -0.34, -0.04])],
  ),
  tray: both(
    [
      block('paper'),
      across(-0.25, 0, 0.25),
      along(0),
      shape('M-0.2,-0.25 Q-0.12,-0.4 -0.04,-0.25 Q-0.12,-0.1 -0.2,-0.25 Z', 'clay'),
      dot(0.12, 0.25, 0.06),
      shape('M0.3,0.25 Q0.38,0.1 0.46,0.25 Q0.38,0.4 0.3,0.25 Z', 'kelp'),
    ],
    [block('paper'), along(-0.2), across(-0.25, 0, 0.25)],
  ),
  packet: only(block('paper'), along(-0.28), line('M-0.3,0.1 L0.3,0.1 M-0.3,0.28 L0.1,0.28')),
  lure: only(
    shape('M-0.3,0 Q-0.05,-0.5 0.35,-0.1 L0.35,0.1 Q-0.05,0.5 -0.3,0 Z', 'clay'),
    dot(0.2, -0.06, 0.06),
    line('M-0.3,0 L-0.42,0 Q-0.5,0.4 -0.36,0.34 M0.36,0 L0.5,0'),
  ),
  sinker: only(
    shape('M-0.5,0 Q-0.4,-0.5 0.1,-0.32 L0.36,-0.08 L0.36,0.08 L0.1,0.32 Q-0.4,0.5 -0.5,0 Z', 'ink'),
    ring(0.43, 0, 0.1),
  ),
  bobber: only(
    shape('M-0.2,0 Q-0.2,-0.5 0.05,-0.5 Q0.3,-0.5 0.3,0 Z', 'clay'),
    shape('M-0.2,0 Q-0.2,0.5 0.05,0.5 Q0.3,0.5 0.3,0 Z', 'paper'),
    line('M-0.5,0 L-0.2,0 M0.3,0 L0.5,0'),
  ),
  spool: both(
    [oval('paper'), ring(0, 0, 0.32, 'sand'), ring(0, 0, 0.14), line('M0.3,-0.2 Q0.5,-0.3 0.46,-0.48')],
    [
      block('paper', [-0.5, 0.5, -0.5, -0.3]),
      block('sand', [-0.4, 0.4, -0.3, 0.3]),
      block('paper', [-0.5, 0.5, 0.3, 0.5]),
      line('M-0.4,-0.1 L0.4,-0.1 M-0.4,0.1 L0.4,0.1'),
    ],
  ),
  'roll-top bag': only(
    shape('M-0.5,-0.42 Q0,-0.52 0.28,-0.4 L0.28,0.4 Q0,0.52 -0.5,0.42 Q-0.44,0 -0.5,-0.42 Z', 'clay'),
    shape('M0.28,-0.4 L0.42,-0.3 L0.42,0.3 L0.28,0.4 Z', 'clay'),
    line('M0.34,-0.35 L0.34,0.35'),
    ring(0.45, 0, 0.1),
  ),
  'zipped bag': both(
    [
      pill('kelp', undefined, 0.1),
      line('M-0.42,-0.1 L0.42,-0.1 M-0.42,-0.02 L0.42,-0.02'),
      dot(0.42, -0.06, 0.06),
    ],
    [
      shape('M-0.5,0.5 L-0.44,-0.2 Q0,-0.34 0.44,-0.2 L0.5,0.5 Z', 'kelp'),
      line('M-0.2,-0.26 Q0,-0.6 0.2,-0.26 M-0.44,-0.08 L0.44,-0.08'),
    ],
  ),
  jacket: only(
    shape('M-0.5,-0.4 L0.2,-0.5 L0.5,-0.3 L0.34,-0.12 L0.34,0.12 L0.5,0.3 L0.2,0.5 L-0.5,0.4 Z', 'clay'),
    line('M-0.5,0 L0.34,0 M-0.24,-0.42 L-0.24,0.42 M0.06,-0.46 L0.06,0.46'),
    block('paper', [-0.28, -0.2, -0.1, 0.1]),
  ),
  garment: only(
    shape(
      'M-0.5,-0.26 L0.1,-0.26 L-0.06,-0.5 L0.2,-0.5 L0.46,-0.2 L0.4,-0.08 Q0.3,0 0.4,0.08 L0.46,0.2 L0.2,0.5 L-0.06,0.5 L0.1,0.26 L-0.5,0.26 Z',
      'sand',
    ),
    line('M-0.5,0 L0.34,0'),
  ),
  trousers: only(
    shape('M0.5,-0.36 L0.5,0.36 L-0.5,0.44 L-0.5,0.12 L0.2,0 L-0.5,-0.12 L-0.5,-0.44 Z', 'sand'),
    line('M0.4,-0.36 L0.4,0.36'),
  ),
  suit: only(
    shape(
      'M0.5,-0.12 L0.5,0.12 L0.4,0.16 L0.16,0.5 L0.08,0.42 L0.16,0.18 L-0.1,0.16 L-0.5,0.3 L-0.5,0.1 L-0.14,0 L-0.5,-0.1 L-0.5,-0.3 L-0.1,-0.16 L0.16,-0.18 L0.08,-0.42 L0.16,-0.5 L0.4,-0.16 Z',
      'tide',
    ),
    line('M0.42,0 L0.06,0'),
  ),
  hat: only(oval('sand'), ring(-0.06, 0, 0.28, 'paper'), line('M0.2,-0.3 Q0.34,0 0.2,0.3')),
  helmet: both(
    [
      oval('clay'),
      line('M-0.4,-0.16 L0.4,-0.16 M-0.4,0.16 L0.4,0.16'),
      dot(0, -0.3, 0.04),
      dot(0, 0.3, 0.04),
    ],
    [shape('M-0.5,0.3 Q-0.5,-0.5 0,-0.5 Q0.5,-0.5 0.5,0.3 Z', 'clay'), line('M-0.3,0.3 Q0,0.7 0.3,0.3')],
  ),
  gloves: only(
    shape(
      'M-0.5,-0.46 L-0.1,-0.46 L0.5,-0.4 L0.5,-0.3 L0.1,-0.3 L0.5,-0.2 L0.44,-0.06 L-0.5,-0.06 Z',
      'tide',
    ),
    shape('M-0.5,0.06 L0.44,0.06 L0.5,0.2 L0.1,0.3 L0.5,0.3 L0.5,0.4 L-0.1,0.46 L-0.5,0.46 Z', 'tide'),
  ),
  shoes: only(
    shape(
      'M-0.5,-0.28 Q-0.5,-0.48 -0.2,-0.44 Q0.5,-0.5 0.5,-0.26 Q0.5,-0.04 -0.2,-0.12 Q-0.5,-0.08 -0.5,-0.28 Z',
      'sand',
    ),
    shape(
      'M-0.5,0.28 Q-0.5,0.08 -0.2,0.12 Q0.5,0.04 0.5,0.26 Q0.5,0.5 -0.2,0.44 Q-0.5,0.48 -0.5,0.28 Z',
      'sand',
    ),
    line('M-0.3,-0.4 L-0.3,-0.14 M-0.3,0.14 L-0.3,0.4'),
  ),
  roll: both(
    [pill('sand', undefined, 0.06), across(-0.22, 0.22)],
    [pill('sand', undefined, 0.06), across(-0.22, 0.22), line('M0.42,-0.2 Q0.3,0 0.42,0.2')],
  ),
  mat: only(block('kelp'), across(-0.34, -0.17, 0, 0.17, 0.34)),
  cushion: only(
    pill('kelp', undefined, 0.2),
    dot(-0.2, -0.2, 0.04),
    dot(0.2, -0.2, 0.04),
    dot(-0.2, 0.2, 0.04),
    dot(0.2, 0.2, 0.04),
  ),
  'spray deck': only(oval('tide'), ring(0.05, 0, 0.26, 'paper'), line('M0.46,0 L0.5,0.3')),
  pump: only(
    block('ink', [-0.5, 0.2, -0.34, 0.34]),
    shape('M-0.42,-0.34 L-0.34,-0.5 L-0.24,-0.34 Z', 'paper'),
    line('M0.2,0 L0.44,0'),
    block('paper', [0.44, 0.5, -0.5, 0.5]),
  ),
  'electric pump': only(
    ring(-0.1, 0, 0.44, 'tide'),
    ring(-0.1, 0, 0.18),
    line('M0.2,0.2 Q0.5,0.2 0.5,-0.5'),
    line('M0.2,-0.1 Q0.36,-0.1 0.38,0.5'),
  ),
  bailer: only(
    shape(
      'M-0.5,-0.14 L-0.2,-0.14 L-0.1,-0.5 L0.36,-0.5 L0.5,0 L0.36,0.5 L-0.1,0.5 L-0.2,0.14 L-0.5,0.14 Z',
      'ochre',
    ),
    line('M-0.1,-0.4 L-0.1,0.4'),
  ),
  sponge: only(
    pill('ochre', undefined, 0.16),
    dot(-0.25, -0.15, 0.05),
    dot(0.1, 0.2, 0.06),
    dot(0.28, -0.2, 0.04),
    dot(-0.08, -0.28, 0.03),
  ),
  float: only(
    pill('clay', [-0.5, 0.38, -0.5, 0.5], 0.2),
    ring(0.44, 0, 0.12),
    line('M-0.2,-0.5 L-0.2,0.5 M0.14,-0.5 L0.14,0.5'),
  ),
  ladder: only(
    line('M-0.5,-0.4 L0.5,-0.4 M-0.5,0.4 L0.5,0.4'),
    block('sand', [-0.4, -0.28, -0.5, 0.5]),
    block('sand', [-0.06, 0.06, -0.5, 0.5]),
    block('sand', [0.28, 0.4, -0.5, 0.5]),
  ),
  'line coil': only(
    ring(-0.06, 0, 0.48, 'sand'),
    ring(-0.06, 0, 0.36, 'none'),
    ring(-0.06, 0, 0.24),
    line('M0.16,0.3 Q0.4,0.5 0.5,0.1'),
  ),
  strap: only(
    pill('tide', [-0.5, 0.5, -0.3, 0.3], 0.2),
    line('M-0.4,0 L0.4,0'),
    block('ink', [0.16, 0.3, -0.5, 0.5]),
  ),
  'throw bag': only(
    shape('M-0.5,-0.4 Q-0.1,-0.5 0.2,-0.36 L0.2,0.36 Q-0.1,0.5 -0.5,0.4 Z', 'clay'),
    line('M0.2,-0.1 Q0.34,-0.4 0.38,0 Q0.42,0.4 0.5,0.1'),
    line('M-0.3,-0.44 L-0.3,0.44'),
  ),
  leash: only(
    line(
      'M-0.42,0 Q-0.36,-0.5 -0.28,0 Q-0.2,0.5 -0.14,0 Q-0.06,-0.5 0,0 Q0.06,0.5 0.14,0 Q0.2,-0.5 0.28,0 Q0.36,0.5 0.42,0',
    ),
    ring(-0.46, 0, 0.16),
    ring(0.46, 0, 0.16),
  ),
  clip: only(
    shape(
      'M-0.46,0 Q-0.46,-0.5 -0.1,-0.5 L0.3,-0.38 Q0.5,-0.3 0.5,0 Q0.5,0.3 0.3,0.38 L-0.1,0.5 Q-0.46,0.5 -0.46,0 Z',
      'paper',
    ),
    shape(
      'M-0.3,0 Q-0.3,-0.3 -0.08,-0.32 L0.22,-0.22 Q0.34,-0.18 0.34,0 Q0.34,0.18 0.22,0.22 L-0.08,0.32 Q-0.3,0.3 -0.3,0 Z',
      'sand',
    ),
  ),
  whistle: only(
    shape(
      'M0.5,-0.4 L0.5,0.02 L0.1,0.06 Q0.06,0.5 -0.22,0.5 Q-0.5,0.46 -0.5,0.06 Q-0.5,-0.4 -0.2,-0.4 Z',
      'clay',
    ),
    line('M0.06,-0.4 L0.06,-0.1'),
    ring(-0.22, 0.06, 0.14),
  ),
  horn: only(
    block('clay', [-0.5, 0, -0.3, 0.3]),
    shape('M0,-0.16 L0.3,-0.24 L0.5,-0.5 L0.5,0.5 L0.3,0.24 L0,0.16 Z', 'paper'),
  ),
  bell: only(
    shape(
      'M-0.4,0.36 Q-0.3,0.2 -0.28,-0.1 Q-0.22,-0.46 0,-0.46 Q0.22,-0.46 0.28,-0.1 Q0.3,0.2 0.4,0.36 Z',
      'ochre',
    ),
    dot(0, 0.44, 0.08),
  ),
  phone: only(pill('paper', undefined, 0.06), block('tide', [-0.38, 0.36, -0.38, 0.38]), dot(0.43, 0, 0.06)),
  radio: only(
    pill('ink', [-0.5, 0.14, -0.44, 0.5], 0.06),
    line('M0.14,-0.3 L0.5,-0.3'),
    block('tide', [-0.16, 0.04, -0.26, 0.3]),
    dot(0.2, 0.24, 0.09),
    line('M-0.4,-0.2 L-0.26,-0.2 M-0.4,0.04 L-0.26,0.04 M-0.4,0.26 L-0.26,0.26'),
  ),
  beacon: only(
    pill('ochre', [-0.5, 0.26, -0.5, 0.5], 0.1),
    line('M0.26,-0.3 L0.5,-0.3'),
    ring(-0.1, 0, 0.2, 'clay'),
  ),
  handheld: only(pill('ink', undefined, 0.1), block('tide', [-0.14, 0.36, -0.34, 0.34]), dot(-0.3, 0, 0.09)),
  watch: only(
    line('M-0.5,0 L0.5,0'),
    block('ink', [-0.5, 0.5, -0.16, 0.16]),
    ring(0, 0, 0.46, 'paper'),
    line('M0,0 L0,-0.3 M0,0 L0.12,0.1'),
  ),
  compass: only(
    ring(0, 0, 0.5, 'paper'),
    ring(0, 0, 0.4, 'tide'),
    shape('M-0.3,0 L0,-0.12 L0.3,0 L0,0.12 Z', 'clay'),
    line('M0,-0.12 L0,0.12'),
  ),
  lamp: only(
    pill('ochre', [-0.16, 0.4, -0.5, 0.5], 0.1),
    block('ink', [-0.5, -0.16, -0.36, 0.36]),
    across(0, 0.14, 0.28),
  ),
  headlamp: only(
    ring(0, 0, 0.5, 'none'),
    pill('ochre', [0.14, 0.5, -0.26, 0.26], 0.1),
    line('M-0.4,-0.26 L-0.4,0.26'),
  ),
  'light on a mast': only(
    line('M-0.5,0 L0.4,0'),
    ring(0.44, 0, 0.5, 'ochre'),
    block('ink', [-0.5, -0.38, -0.4, 0.4]),
  ),
  flag: only(line('M-0.5,0.3 L0.5,0.3'), shape('M0.5,0.3 L0.5,-0.5 L0.36,-0.2 L0.2,-0.5 L0.2,0.3 Z', 'clay')),
  flare: only(
    block('clay', [-0.5, 0.34, -0.5, 0.5]),
    block('paper', [0.34, 0.5, -0.4, 0.4]),
    along(0),
    line('M-0.3,-0.5 L-0.3,0.5'),
  ),
  'spray can': only(
    pill('paper', [-0.5, 0.26, -0.5, 0.5], 0.08),
    block('ink', [0.26, 0.5, -0.26, 0.26]),
    line('M-0.3,-0.3 L-0.3,0.3 M-0.2,-0.3 L-0.2,0.3'),
  ),
  mirror: only(pill('tide', undefined, 0.1), line('M-0.3,0.2 L0,-0.3 M-0.06,0.3 L0.26,-0.26')),
  knife: only(
    pill('ink', [-0.5, -0.06, -0.3, 0.3], 0.06),
    shape('M-0.06,-0.3 L0.34,-0.3 Q0.5,-0.2 0.5,0.3 L-0.06,0.3 Z', 'paper'),
  ),
  cutters: only(
    ring(-0.34, -0.28, 0.2),
    ring(-0.34, 0.28, 0.2),
    shape('M-0.2,-0.2 L0.5,0.16 L0.44,0.28 L-0.16,0.02 Z', 'paper'),
    shape('M-0.2,0.2 L0.5,-0.16 L0.44,-0.28 L-0.16,-0.02 Z', 'paper'),
  ),
  pliers: only(
    shape('M0.5,-0.12 L0.1,-0.2 L-0.04,0 L0.1,0 L0.5,0 Z', 'paper'),
    shape('M0.5,0.12 L0.1,0.2 L-0.04,0 L0.1,0 L0.5,0 Z', 'paper'),
    line('M0,-0.1 Q-0.24,0.5 -0.5,0.44 M0,0.1 Q-0.24,-0.5 -0.5,-0.44'),
    dot(0.05, 0, 0.1),
  ),
  saw: only(
    shape('M-0.1,-0.4 L0.5,-0.2 L0.5,0.2 L0.4,0.4 L0.3,0.2 L0.2,0.4 L0.1,0.2 L0,0.4 L-0.1,0.3 Z', 'paper'),
    pill('sand', [-0.5, -0.1, -0.4, 0.4], 0.1),
  ),
  priest: only(
    pill('sand', [0.06, 0.5, -0.5, 0.5], 0.14),
    block('sand', [-0.46, 0.06, -0.22, 0.22]),
    line('M-0.5,-0.3 L-0.5,0.3'),
  ),
  scale: only(
    ring(-0.02, 0, 0.4),
    line('M-0.02,0 L0.08,-0.26 M0.24,0 L0.4,0 Q0.5,0.3 0.38,0.3 M-0.3,0 L-0.5,0'),
  ),
  stone: only(block('sand', [-0.5, 0.5, -0.3, 0.3]), line('M-0.5,0 L0.5,0')),
  'first aid': only(
    pill('paper', undefined, 0.08),
    shape(
      'M-0.06,-0.3 L0.06,-0.3 L0.06,-0.08 L0.18,-0.08 L0.18,0.08 L0.06,0.08 L0.06,0.3 L-0.06,0.3 L-0.06,0.08 L-0.18,0.08 L-0.18,-0.08 L-0.06,-0.08 Z',
      'kelp',
    ),
  ),
  tape: only(
    ring(-0.05, 0, 0.48, 'sand'),
    ring(-0.05, 0, 0.24),
    shape('M-0.05,0.48 L0.5,0.48 L0.5,0.36 L0.1,0.36 Z', 'sand'),
  ),
  battery: only(
    block('paper'),
    block('ink', [0.16, 0.3, -0.5, -0.36]),
    block('ink', [-0.3, -0.16, -0.5, -0.36]),
    line('M-0.34,0.1 L-0.14,0.1 M0.14,0.1 L0.34,0.1 M0.24,-0.04 L0.24,0.24'),
  ),
  panel: only(block('tide'), across(-0.25, 0, 0.25), along(0)),
  chart: only(
    block('paper'),
    across(-0.17, 0.17),
    line('M-0.5,0.2 Q-0.3,-0.1 -0.1,0.16 Q0.1,0.4 0.24,-0.1 Q0.34,-0.3 0.5,-0.2'),
    shape('M0.24,-0.1 Q0.34,-0.3 0.5,-0.2 L0.5,0.5 L0.1,0.5 Z', 'sand'),
  ),
  card: only(
    block('paper'),
    line('M-0.38,-0.24 L0.1,-0.24 M-0.38,0 L0.3,0 M-0.38,0.24 L0.2,0.24'),
    ring(0.34, -0.26, 0.12, 'sand'),
  ),
  binoculars: only(
    shape('M-0.5,-0.5 L0.3,-0.4 L0.3,-0.06 L-0.5,-0.06 Z', 'ink'),
    shape('M-0.5,0.5 L0.3,0.4 L0.3,0.06 L-0.5,0.06 Z', 'ink'),
    block('paper', [0.3, 0.5, -0.42, -0.08]),
    block('paper', [0.3, 0.5, 0.08, 0.42]),
  ),
  glasses: only(
    pill('ink', [-0.46, -0.06, -0.34, 0.34], 0.14),
    pill('ink', [0.06, 0.46, -0.34, 0.34], 0.14),
    line('M-0.06,-0.1 Q0,-0.3 0.06,-0.1 M-0.46,-0.2 L-0.5,0.5 M0.46,-0.2 L0.5,0.5'),
  ),
  sounder: both(
    [
      block('ink', [-0.12, 0.2, -0.5, 0.5]),
      block('tide', [-0.24, -0.12, -0.44, 0.44]),
      line('M0.2,0 L0.5,0'),
    ],
    [
      pill('ink', [-0.5, 0.5, -0.5, 0.24], 0.06),
      block('tide', [-0.4, 0.4, -0.38, 0.12]),
      line('M-0.4,0 Q-0.2,-0.2 -0.1,-0.04 Q0.1,0.14 0.4,-0.16 M0,0.24 L0,0.5 M-0.2,0.5 L0.2,0.5'),
    ],
  ),
  'rod holder': both(
    [ring(0.1, 0, 0.42), ring(0.1, 0, 0.26, 'ink'), block('paper', [-0.5, -0.2, -0.3, 0.3])],
    [shape('M-0.16,-0.5 L0.16,-0.5 L0.12,0.4 L-0.12,0.4 Z', 'paper'), block('ink', [-0.5, 0.5, 0.4, 0.5])],
  ),
  tube: only(pill('paper', undefined, 0.03), across(-0.4, 0.4), along(-0.2)),
  camera: only(
    pill('ink', [-0.5, 0.3, -0.5, 0.5], 0.06),
    block('paper', [0.3, 0.5, -0.26, 0.26]),
    ring(-0.1, 0, 0.26, 'tide'),
  ),
  cart: only(
    block('sand', [-0.2, 0.2, -0.34, 0.34]),
    pill('ink', [-0.36, 0.36, -0.5, -0.36], 0.1),
    pill('ink', [-0.36, 0.36, 0.36, 0.5], 0.1),
    line('M0,-0.4 L0,0.4 M0.2,-0.2 L0.5,-0.2 M0.2,0.2 L0.5,0.2'),
  ),
  bars: only(
    block('ink', [-0.5, 0.5, -0.5, -0.24]),
    block('ink', [-0.5, 0.5, 0.24, 0.5]),
    line('M-0.34,-0.24 L-0.34,0.24 M0.34,-0.24 L0.34,0.24'),
  ),
  tank: both(
    [
      pill('tide', undefined, 0.08),
      line('M-0.3,-0.1 Q-0.15,-0.2 0,-0.1 Q0.15,0 0.3,-0.1'),
      shape('M-0.16,0.2 Q0,0.04 0.14,0.2 L0.24,0.1 L0.24,0.32 L0.14,0.22 Q0,0.36 -0.16,0.2 Z', 'paper'),
    ],
    [
      block('tide', [-0.5, 0.5, -0.2, 0.5]),
      line('M-0.5,-0.2 L-0.5,-0.5 L0.5,-0.5 L0.5,-0.2'),
      line('M-0.4,-0.2 Q-0.2,-0.34 0,-0.2 Q0.2,-0.06 0.4,-0.2'),
    ],
  ),
  'ice box': both(
    [
      pill('paper', undefined, 0.06),
      line(
        'M-0.42,-0.38 L0.42,-0.38 L0.42,0.38 L-0.42,0.38 Z M0,-0.2 L0,0.2 M-0.12,-0.12 L0.12,0.12 M-0.12,0.12 L0.12,-0.12',
      ),
    ],
    [
      pill('paper', undefined, 0.04),
      along(-0.24),
      line('M-0.5,-0.1 L-0.42,-0.1 L-0.42,0.2 L-0.5,0.2 M0.5,-0.1 L0.42,-0.1 L0.42,0.2 L0.5,0.2'),
    ],
  ),
  'fish bag': only(
    shape('M-0.5,-0.44 L0.4,-0.5 Q0.5,-0.24 0.5,0 Q0.5,0.24 0.4,0.5 L-0.5,0.44 Z', 'tide'),
    line('M-0.5,0 L0.46,0 M-0.44,-0.08 L0.44,-0.08'),
    shape(
      'M-0.3,0.22 Q-0.05,0.06 0.18,0.22 L0.28,0.12 L0.28,0.34 L0.18,0.24 Q-0.05,0.4 -0.3,0.22 Z',
      'paper',
    ),
  ),
  ice: only(
    block('tide', [-0.5, -0.04, -0.46, 0.46]),
    block('tide', [0.04, 0.5, -0.46, 0.46]),
    line('M-0.4,0.2 L-0.2,-0.2 M0.16,0.2 L0.36,-0.2'),
  ),
  'measuring board': both(
    [
      block('paper'),
      line(
        'M-0.4,0.5 L-0.4,0.1 M-0.3,0.5 L-0.3,0.26 M-0.2,0.5 L-0.2,0.1 M-0.1,0.5 L-0.1,0.26 M0,0.5 L0,0.1 M0.1,0.5 L0.1,0.26 M0.2,0.5 L0.2,0.1 M0.3,0.5 L0.3,0.26 M0.4,0.5 L0.4,0.1',
      ),
      block('ink', [-0.5, -0.47, -0.5, 0.5]),
    ],
    [block('paper', [-0.5, 0.5, 0, 0.5]), block('ink', [-0.5, -0.46, -0.5, 0.5])],
  ),
  basket: only(
    oval('sand'),
    ring(0, 0, 0.34, 'paper'),
    line('M-0.3,-0.2 Q0,0.1 0.3,-0.1 M-0.26,0.16 Q0,-0.1 0.26,0.2'),
  ),
  bottle: only(
    pill('tide', [-0.5, 0.24, -0.5, 0.5], 0.1),
    shape('M0.24,-0.36 L0.36,-0.2 L0.36,0.2 L0.24,0.36 Z', 'tide'),
    block('ink', [0.36, 0.5, -0.24, 0.24]),
  ),
  flask: only(
    block('sand', [-0.5, 0.24, -0.5, 0.5]),
    block('ink', [0.24, 0.5, -0.38, 0.38]),
    across(-0.4, 0.12),
  ),
  bladder: only(
    pill('tide', [-0.5, 0.36, -0.5, 0.5], 0.24),
    ring(0.1, 0, 0.2, 'paper'),
    line('M0.36,0 Q0.44,0.3 0.5,-0.4'),
  ),
  stove: only(
    ring(0, 0, 0.48),
    ring(0, 0, 0.2, 'clay'),
    line('M-0.4,0 L-0.22,0 M0.22,0 L0.5,0 M0,-0.4 L0,-0.22 M0,0.22 L0,0.4'),
  ),
  chair: only(
    block('kelp', [-0.2, 0.5, -0.4, 0.4]),
    block('sand', [-0.5, -0.3, -0.46, 0.46]),
    line('M-0.5,-0.5 L0.5,-0.5 M-0.5,0.5 L0.5,0.5'),
  ),
  'folding anchor': only(
    line('M-0.4,0 L0.36,0'),
    ring(-0.45, 0, 0.1),
    line(
      'M0.34,0 Q0.3,-0.3 0.06,-0.5 M0.34,0 Q0.3,0.3 0.06,0.5 M0.36,0 Q0.5,-0.2 0.3,-0.36 M0.36,0 Q0.5,0.2 0.3,0.36',
    ),
    dot(0.36, 0, 0.08),
  ),
  'fluke anchor': only(
    line('M-0.5,0 L0.4,0'),
    shape('M0.4,-0.06 L-0.1,-0.4 L0.1,-0.06 Z', 'ink'),
    shape('M0.4,0.06 L-0.1,0.4 L0.1,0.06 Z', 'ink'),
    line('M0.3,-0.5 L0.3,0.5'),
  ),
  'mushroom anchor': only(
    line('M-0.4,0 L0.2,0'),
    ring(-0.45, 0, 0.1),
    shape('M0.5,0 Q0.5,0.5 0.1,0.5 Q0.24,0 0.1,-0.5 Q0.5,-0.5 0.5,0 Z', 'ink'),
  ),
  chain: only(
    ring(-0.4, 0, 0.22),
    ring(-0.2, 0.1, 0.22),
    ring(0, -0.06, 0.22),
    ring(0.2, 0.1, 0.22),
    ring(0.4, 0, 0.22),
  ),
  pole: only(
    pill('sand', [-0.5, 0.44, -0.28, 0.28], 0.01),
    shape('M0.44,-0.28 L0.5,0 L0.44,0.28 Z', 'ink'),
    line('M-0.5,-0.5 L-0.5,0.5'),
  ),
  drogue: only(
    shape('M-0.2,-0.5 L0.5,-0.2 L0.5,0.2 L-0.2,0.5 Q-0.28,0 -0.2,-0.5 Z', 'clay'),
    line('M-0.5,0 L-0.2,-0.5 M-0.5,0 L-0.22,0 M-0.5,0 L-0.2,0.5 M0,-0.42 L0,0.42 M0.24,-0.3 L0.24,0.3'),
  ),
};
