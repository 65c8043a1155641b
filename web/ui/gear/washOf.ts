/** A thin wash of an ink over the paper. */
export function washOf(ink: string, paper: string): string {
  return `color-mix(in srgb, ${ink} 26%, ${paper})`;
}
