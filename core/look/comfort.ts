import type { PairKind } from './theme-colours.ts';

/** How easily words are to be read: the two levels of WCAG. */
export const comforts = ['AA', 'AAA'] as const;
export type Comfort = (typeof comforts)[number];

/**
 * The ratio that is needed. Source: WCAG 2.2, success criteria 1.4.3 (AA) and 1.4.6 (AAA) for words, where large is from
 * 24 px, or 18.66 px bold; 1.4.11 for frames and signs, of which there is no AAA.
 */
export const needed: Record<Comfort, Record<PairKind, number>> = {
  AA: { text: 4.5, large: 3, interface: 3 },
  AAA: { text: 7, large: 4.5, interface: 3 },
};
