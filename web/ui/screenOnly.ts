/** Marks what is for the screen alone: the theme leaves it out of print. */
export const screenOnly = { 'data-screen-only': true } as const;
