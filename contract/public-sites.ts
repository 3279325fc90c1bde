import { z } from 'zod';
import { nothing } from './at-site.ts';
import { route } from './route.ts';

/** Sites that are open to everyone, a part of the list at a time. */
export const listPublicSites = route({
  method: 'GET',
  path: '/api/public-sites/:from',
  /** How many come before the first one wanted. */
  params: z.object({ from: z.coerce.number().int().min(0).max(1e9) }),
  body: nothing,
  reply: z.object({
    sites: z.array(z.object({ title: z.string(), path: z.string() })),
    /** Where to go on; null at the end of the list. */
    next: z.number().nullable(),
  }),
});
