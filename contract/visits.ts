import { z } from 'zod';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

const many = z.number().int();

export const visitsSchema = z.object({
  /** Whether it is counted at all. */
  on: z.boolean(),
  byDay: z.array(z.object({ day: z.string(), visits: many, visitors: many })),
  byPage: z.array(z.object({ link: z.string(), path: z.string(), title: z.string(), visits: many })),
  byLink: z.array(z.object({ link: z.string(), visits: many, lastDay: z.string() })),
});
export type SiteVisits = z.infer<typeof visitsSchema>;

/** How often a site's pages were opened, over the last 90 days. */
export const getVisits = route({
  method: 'GET',
  path: '/api/sites/:site/visits',
  params: atSite,
  body: nothing,
  reply: visitsSchema,
});
/** Counts from now on, or not any more. */
export const countVisits = route({
  method: 'PUT',
  path: '/api/sites/:site/visits',
  params: atSite,
  body: z.object({ on: z.boolean() }),
  reply: visitsSchema,
});
/** Forgets all that was counted so far. */
export const forgetVisits = route({
  method: 'DELETE',
  path: '/api/sites/:site/visits',
  params: atSite,
  body: nothing,
  reply: visitsSchema,
});
