import { z } from 'zod';
import { shortened } from '#core/words/shortened.ts';

export const revision = z.number().int().nonnegative();

/** Name of a step in Undo. It often holds a title, which may be long; that must never keep a change from being saved. */
export const labelSchema = z
  .string()
  .min(1)
  .max(2000)
  .transform((label) => shortened(label, 120));

/**
 * A change of some fields, with the revision the maker was looking at. With `was`, it is joined with whatever was changed
 * since, field by field; only where both changed the same to something else is it refused, but for a height that is lowered.
 */
export const changeOf = <T extends z.ZodObject>(content: T) =>
  z.object({
    seen: revision,
    /** The name of the step in Undo, for example "Words in Tide clock". */
    label: labelSchema,
    /** Quick successive changes with one key become one step. */
    mergeKey: z.string().max(120).optional(),
    change: content.partial(),
    /** How the changed fields were before: the change is joined with those of others then. */
    was: content.partial().optional(),
    /**
     * Its maker has been asked, since both changed the same: this one holds, or the newer one does. Then nothing is written, and
     * this one is kept as a step that undo brings back.
     */
    decided: z.enum(['mine', 'theirs']).optional(),
  });
