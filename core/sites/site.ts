import { z } from 'zod';
import { addressSchema } from './address.ts';
import { arrangementSchema } from './arrangement.ts';
import { heightSchema } from '../access/height.ts';
import { idSchema } from '../id.ts';
import { lookSchema } from '../look/look.ts';
import type { Material } from '../materials/material.ts';
import type { Page } from '../pages/page.ts';

export const siteContentSchema = z.object({
  ...arrangementSchema.shape,
  title: z
    .string()
    .trim()
    .min(1, 'A site needs a name.')
    .max(80, 'A site name can be at most 80 characters long.'),
  height: heightSchema,
  address: addressSchema.nullable(),
  searchEngines: z.boolean(),
  look: lookSchema,
  /** How many pieces of evidence its maker wishes for in each project; 0 where they wish for none. */
  evidenceWanted: z.number().int().min(0).max(20),
});

export const siteSchema = siteContentSchema.extend({ id: idSchema });
export type Site = z.infer<typeof siteSchema>;

/** Everything of one site as its maker has it now: the only input of `seenBy`. */
export interface Draft {
  site: Site;
  pages: Page[];
  materials: Material[];
}
