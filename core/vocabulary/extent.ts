/** The most that the extent of any finding comes to, in whatever measure its rule has. */
export const MOST_EXTENT = 1_000_000;
