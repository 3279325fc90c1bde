import { z } from 'zod';
import { materialSchema } from '#core/materials/material.ts';
import { pageSchema } from '#core/pages/page.ts';
import { siteSchema } from '#core/sites/site.ts';
import { revision } from './change.ts';
import { liveSchema, historySchema } from './site-state.ts';

/** What changed after an edit, an undo or a redo; rows that went carry null. */
export const patchSchema = z.object({
  revision,
  site: siteSchema.nullable(),
  pages: z.record(z.string(), pageSchema.nullable()),
  materials: z.record(z.string(), materialSchema.nullable()),
  history: historySchema,
  live: liveSchema,
});
export type Patch = z.infer<typeof patchSchema>;

export const joinedPatchSchema = patchSchema.extend({
  /** Changes that somebody else made to the same row came in with it. */
  joined: z.boolean(),
});
