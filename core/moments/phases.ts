import { z } from 'zod';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';

/** Phases that a site begins with, in this order; each has a word in every language of public pages. */
export const phaseWords = ['research', 'sketch', 'prototype', 'build', 'test', 'finished'] as const;
export type PhaseWord = (typeof phaseWords)[number];

const phaseSchema = z.object({
  id: idSchema,
  /** Empty: the word that the phase begins with, in the language of whoever reads it. */
  name: line(40),
});
export type Phase = z.infer<typeof phaseSchema>;

/** What work goes through, in the maker's order. */
export const phasesSchema = z
  .array(phaseSchema)
  .max(20, 'A site has at most 20 phases.')
  .refine((all) => new Set(all.map(({ id }) => id)).size === all.length, 'Two phases share one id.');

const idOf = (word: PhaseWord): string => `phase-${word}`;

export const firstPhases: Phase[] = phaseWords.map((word) => ({ id: idOf(word), name: '' }));

/**
 * What a phase is called.
 *
 * @param words of the language it is read in
 * @param unnamed what one of the maker's own is called that has no name
 */
export function phaseName({ id, name }: Phase, words: Record<PhaseWord, string>, unnamed: string): string {
  const word = phaseWords.find((one) => idOf(one) === id);
  return name.trim() || (word ? words[word] : unnamed);
}
