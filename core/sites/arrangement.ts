import { z } from 'zod';
import { idSchema } from '../id.ts';
import { menuMannerSchema } from '../menu/menu-manner.ts';

/** What a maker decides of a site's shape, besides where its pages stand. */
export const arrangementSchema = z.object({
  menu: menuMannerSchema,
  /** Work in the order in which it hangs on the front page. What is not among it hangs behind, in the order of the pages. */
  wallOrder: z.array(idSchema).max(5000),
  /** Work that does not hang on the front page. */
  offWall: z.array(idSchema).max(5000),
});
export type Arrangement = z.infer<typeof arrangementSchema>;

/** As a new site begins. */
export const firstArrangement: Arrangement = { menu: 'line', wallOrder: [], offWall: [] };
