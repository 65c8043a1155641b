/** How hard one works under way. */
export const efforts = ['rest', 'easy', 'steady', 'hard'] as const;
export type Effort = (typeof efforts)[number];
