import { z } from 'zod';
import { heightSchema } from '../access/height.ts';
import { idSchema } from '../id.ts';
import { groundSchema } from './ground.ts';
import { line } from '../words/line.ts';

/** Stands beside another part instead of below it, as long as that one is right before it. */
export const besideSchema = z.object({
  with: idSchema,
  /** How much of the width the other part gets. */
  share: z.number().min(0.2).max(0.8),
});

/** What every part has, whatever its kind. */
export const partBase = z.object({
  id: idSchema,
  height: heightSchema.default('public'),
  beside: besideSchema.optional(),
  /** What it lies on, where that is not the page. */
  ground: groundSchema.optional(),
  /** What a starter asks its maker for here; shown to nobody else. */
  prompt: line(300).optional(),
});
export type PartBase = z.infer<typeof partBase>;
