import { z } from 'zod';

/** Where the names of work stand: below its picture, over it, or outside the wall in a list of their own. */
export const wallLabels = ['below', 'over', 'outside'] as const;
export const wallLabelsSchema = z.enum(wallLabels);
export type WallLabels = z.infer<typeof wallLabelsSchema>;
