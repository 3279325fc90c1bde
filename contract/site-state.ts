import { z } from 'zod';
import { heightSchema } from '#core/access/height.ts';
import { idSchema } from '#core/id.ts';
import { materialSchema } from '#core/materials/material.ts';
import { pageSchema } from '#core/pages/page.ts';
import { siteSchema } from '#core/sites/site.ts';
import { revision } from './change.ts';

export const siteSummarySchema = z.object({ id: idSchema, title: z.string() });
export type SiteSummary = z.infer<typeof siteSummarySchema>;

const accessChangeSchema = z.object({ before: heightSchema, after: heightSchema });

export const differenceSchema = z.object({
  kind: z.enum(['added', 'changed', 'removed']),
  page: idSchema.nullable(),
  title: z.string(),
  what: z.array(z.string()),
  opening: z.boolean(),
  parts: z.array(idSchema),
  access: accessChangeSchema.nullable(),
});

export const releaseSummarySchema = z.object({
  number: z.number().int(),
  name: z.string(),
  at: z.string(),
  live: z.boolean(),
});
export type ReleaseSummary = z.infer<typeof releaseSummarySchema>;

/** What readers see now and what waits: the truth behind the top strip. */
export const liveSchema = z.object({
  release: releaseSummarySchema.nullable(),
  /** How high the release readers could open flies now; Private when nothing is open to anybody. */
  readersReach: heightSchema,
  waiting: z.array(differenceSchema),
  /** Paths on this server that work now. */
  addressPath: z.string().nullable(),
  siteLinkPath: z.string().nullable(),
  pageLinkPaths: z.record(z.string(), z.string()),
});
export type Live = z.infer<typeof liveSchema>;

/** A step of undo: what it is called, and which it is. */
const stepSchema = z.object({ label: z.string(), step: revision });

export const historySchema = z.object({ undo: stepSchema.nullable(), redo: stepSchema.nullable() });
export type History = z.infer<typeof historySchema>;

/** Everything the studio holds of one site. */
export const siteStateSchema = z.object({
  revision,
  site: siteSchema,
  pages: z.array(pageSchema),
  materials: z.array(materialSchema),
  /** Ids of materials of whose words only the beginning is here; the rest comes when asked for. */
  begun: z.array(idSchema),
  history: historySchema,
  live: liveSchema,
  /** How much one maker may keep, and how large one file may be. */
  limits: z.object({ fileBytes: z.number(), totalBytes: z.number() }),
});
export type SiteState = z.infer<typeof siteStateSchema>;
