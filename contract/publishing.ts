import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { releaseSummarySchema, liveSchema } from './site-state.ts';
import { route } from './route.ts';

const nothing = z.object({}).optional();
const atSite = z.object({ site: idSchema });
const atJob = z.object({ site: idSchema, job: idSchema });

/** How far a publish has come. */
export const publishJobSchema = z.object({
  id: idSchema,
  state: z.enum(['running', 'done', 'cancelled', 'failed']),
  /** What is being done, in words. */
  step: z.string(),
  done: z.number().int(),
  total: z.number().int(),
  message: z.string().nullable(),
  live: liveSchema.nullable(),
});
export type PublishJob = z.infer<typeof publishJobSchema>;

export const startPublish = route({
  method: 'POST',
  path: '/api/sites/:site/publish',
  params: atSite,
  body: z.object({
    name: z.string().max(120).default(''),
    /** Pages that would appear for the first time and are not to, this time. */
    notYet: z.array(idSchema).max(2000).default([]),
  }),
  reply: publishJobSchema,
});
export const getPublishJob = route({
  method: 'GET',
  path: '/api/sites/:site/publish/:job',
  params: atJob,
  body: nothing,
  reply: publishJobSchema,
});
export const cancelPublish = route({
  method: 'DELETE',
  path: '/api/sites/:site/publish/:job',
  params: atJob,
  body: nothing,
  reply: publishJobSchema,
});
export const listReleases = route({
  method: 'GET',
  path: '/api/sites/:site/releases',
  params: atSite,
  body: nothing,
  reply: z.array(releaseSummarySchema),
});
export const bringBackRelease = route({
  method: 'POST',
  path: '/api/sites/:site/releases/:number/live',
  params: z.object({ site: idSchema, number: z.coerce.number().int().positive() }),
  body: nothing,
  reply: liveSchema,
});
