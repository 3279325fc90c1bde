import { z } from 'zod';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

/** The address at which calendars follow the plan of a site; null where there is none. */
const feedSchema = z.object({ address: z.string().nullable() });

export const getPlanFeed = route({
  method: 'GET',
  path: '/api/sites/:site/plan-feed',
  params: atSite,
  body: nothing,
  reply: feedSchema,
});

/** Makes the address, or another one in place of the one there is, which opens nothing any more. */
export const renewPlanFeed = route({
  method: 'POST',
  path: '/api/sites/:site/plan-feed',
  params: atSite,
  body: nothing,
  reply: feedSchema,
});

export const dropPlanFeed = route({
  method: 'DELETE',
  path: '/api/sites/:site/plan-feed',
  params: atSite,
  body: nothing,
  reply: feedSchema,
});

/** Where a maker saves their plan as a calendar file. */
export const planFile = (site: string): string => `/api/sites/${site}/plan.ics`;
