import { z } from 'zod';
import { idSchema } from '../../id.ts';
import { line } from '../../words/line.ts';

/** A line is ticked by its maker, or by a rule of Check that has nothing to say any more. */
export const checklistLineSchema = z.object({
  id: idSchema,
  /** Empty while it is being written: then it is not told. */
  text: line(200),
  /** Otherwise it is an extra: better, and nothing waits for it. */
  essential: z.boolean(),
  /** The rule that ticks it, by its name; null: only its maker does. One that this studio does not have ticks nothing. */
  rule: z.string().max(40).nullable(),
  done: z.boolean(),
});
export type ChecklistLine = z.infer<typeof checklistLineSchema>;

/** Pieces of evidence in each project. */
export const evidenceCountSchema = z.number().int().min(0).max(20);

export const mostLines = 60;
export const mostLists = 10;

/** The lines that say something. */
export const toldLines = ({ lines }: Pick<Checklist, 'lines'>): ChecklistLine[] =>
  lines.filter(({ text }) => text.trim() !== '');

/** What somebody wants to have looked at before a site is shown: its maker, or whoever gave them the list. */
export const checklistSchema = z.object({
  id: idSchema,
  name: line(80),
  /** Who gave it; empty: its maker. */
  by: line(80),
  /** How many pieces of evidence it asks for in each project; 0: it does not. */
  evidence: evidenceCountSchema.default(0),
  lines: z.array(checklistLineSchema).max(mostLines, `A list has at most ${mostLines} lines.`),
});
export type Checklist = z.infer<typeof checklistSchema>;
