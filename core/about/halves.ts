/** The two halves of what a maker says of themselves. */
export const halves = ['biography', 'work'] as const;
export type Half = (typeof halves)[number];

/** What is asked for each half, in the order in which the answers are read. */
export const questionIds: Record<Half, readonly string[]> = {
  biography: ['began', 'works-in', 'week', 'next'],
  work: ['noticed', 'check', 'together', 'says-so'],
};
