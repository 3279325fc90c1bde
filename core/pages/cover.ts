import { z } from 'zod';
import { idSchema } from '../id.ts';

/** The picture that stands for a page elsewhere: on the wall, beside its neighbours, where a link to it is shown. */
export const coverSchema = z.object({
  /** Null: the first picture of the page. */
  picture: idSchema.nullable(),
  /** The point kept in view when this cover is cropped, as shares of width and height; null: the picture's own. */
  focus: z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) }).nullable(),
});
export type Cover = z.infer<typeof coverSchema>;
export const noCover: Cover = { picture: null, focus: null };
