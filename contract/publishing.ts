import { neededRules } from '#core/check/needed-rules.ts';
import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { setTimeTermsSchema } from '#core/release/set-time.ts';
import { differenceSchema, liveSchema, releaseSummarySchema } from './site-state.ts';
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

const stayingSchema = z.array(idSchema).max(5000).default([]);

export const startPublish = route({
  method: 'POST',
  path: '/api/sites/:site/publish',
  params: atSite,
  body: z.object({
    name: z.string().max(120).default(''),
    /** Pages that are to stay as readers have them, this time; such as no reader has stay away. */
    staying: stayingSchema,
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

const pageToMendSchema = z.object({
  page: idSchema,
  title: z.string(),
  needs: z.array(
    z.object({
      kind: z.enum(neededRules),
      count: z.number().int().positive(),
    }),
  ),
});
const readerChangeSchema = z.object({
  /** Whom it is about: strangers, whoever has the link, or holders of a pass, by its name. */
  reader: z.union([z.enum(['stranger', 'link']), z.object({ pass: z.string() })]),
  /** Titles of pages. */
  gains: z.array(z.string()),
  loses: z.array(z.string()),
});

/** What a publish would come to, for readers and for its maker. */
export const outlookSchema = z.object({
  /** Those for whom something changes. */
  readers: z.array(readerChangeSchema),
  needed: z.array(pageToMendSchema),
});
export type Outlook = z.infer<typeof outlookSchema>;

/** Looks ahead, and changes nothing. */
export const publishOutlook = route({
  method: 'POST',
  path: '/api/sites/:site/publish/outlook',
  params: atSite,
  body: z.object({ staying: stayingSchema }),
  reply: outlookSchema,
});

/** What readers would find otherwise if a release were brought back, told against what they have now. */
export const compareRelease = route({
  method: 'GET',
  path: '/api/sites/:site/releases/:number/differences',
  params: z.object({ site: idSchema, number: z.coerce.number().int().positive() }),
  body: nothing,
  reply: z.array(differenceSchema),
});

export const setTimeSchema = setTimeTermsSchema.extend({
  id: idSchema,
  /** The instant that its clocks mean. */
  at: z.iso.datetime(),
  /** When it was done or given up; null while it waits. */
  doneAt: z.iso.datetime().nullable(),
  /** What came of it, in a sentence; empty while it waits. */
  outcome: z.string(),
});
export type SetTime = z.infer<typeof setTimeSchema>;
const setTimesSchema = z.object({ times: z.array(setTimeSchema) });

/** Times that are waited for, and what came of those of the last 30 days. */
export const listSetTimes = route({
  method: 'GET',
  path: '/api/sites/:site/set-times',
  params: atSite,
  body: nothing,
  reply: setTimesSchema,
});
export const addSetTime = route({
  method: 'POST',
  path: '/api/sites/:site/set-times',
  params: atSite,
  body: setTimeTermsSchema,
  reply: setTimesSchema,
});
export const removeSetTime = route({
  method: 'DELETE',
  path: '/api/sites/:site/set-times/:time',
  params: z.object({ site: idSchema, time: idSchema }),
  body: nothing,
  reply: setTimesSchema,
});
