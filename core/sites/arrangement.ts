import { z } from 'zod';
import { idSchema } from '../id.ts';
import { wallArrangementSchema } from './wall-arrangement.ts';
import { menuMannerSchema } from '../menu/menu-manner.ts';

/** What a maker decides of a site's shape and name, besides where its pages stand. */
export const arrangementSchema = z.object({
  /** Whose work it is, as credit lines say it; empty: the name of the site. */
  by: z.string().trim().max(80, 'A name can be at most 80 characters long.'),
  menu: menuMannerSchema,
  wall: wallArrangementSchema,
  /** Work in the order in which it hangs on the front page. What is not among it hangs behind, in the order of the pages. */
  wallOrder: z.array(idSchema).max(5000),
  /** Work that does not hang on the front page. */
  offWall: z.array(idSchema).max(5000),
});
export type Arrangement = z.infer<typeof arrangementSchema>;

/** As a new site begins. */
export const firstArrangement: Arrangement = {
  by: '',
  menu: 'line',
  wall: 'rows',
  wallOrder: [],
  offWall: [],
};
