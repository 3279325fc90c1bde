import { z } from 'zod';
import { idSchema } from '../id.ts';

export const openingLayouts = ['full', 'strip', 'words'] as const;
export type OpeningLayout = (typeof openingLayouts)[number];

/** What a page opens with, above its parts. */
export const openingSchema = z.object({
  layout: z.enum(openingLayouts),
  pictures: z.array(idSchema).max(3, 'An opening shows at most three pictures.'),
});
export type Opening = z.infer<typeof openingSchema>;
export const noOpening: Opening = { layout: 'words', pictures: [] };
