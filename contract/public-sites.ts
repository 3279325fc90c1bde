import { z } from 'zod';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

const facet = z.array(z.object({ name: z.string(), sites: z.number().int() }));

/**
 * Sites whose makers show them in this server's list, a part of it at a time. The order is another one each day.
 */
export const listPublicSites = route({
  method: 'POST',
  path: '/api/public-sites',
  params: z.object({}),
  body: z.object({
    /** How many come before the first one wanted. */
    from: z.number().int().min(0).max(1e9).default(0),
    words: z.string().max(200).default(''),
    field: z.string().max(80).default(''),
    tag: z.string().max(80).default(''),
  }),
  reply: z.object({
    sites: z.array(
      z.object({
        title: z.string(),
        path: z.string(),
        by: z.string(),
        fields: z.array(z.string()),
        tags: z.array(z.string()),
      }),
    ),
    /** How many were found. */
    found: z.number().int(),
    /** Where to go on; null at the end of the list. */
    next: z.number().nullable(),
    /** What can be chosen from, of the whole list. */
    fields: facet,
    tags: facet,
  }),
});

const listedSchema = z.object({ listed: z.boolean() });

export const getListed = route({
  method: 'GET',
  path: '/api/sites/:site/listed',
  params: atSite,
  body: nothing,
  reply: listedSchema,
});

/** Shows a site in this server's list while it is Public, or not; from the next request on. */
export const setListed = route({
  method: 'PUT',
  path: '/api/sites/:site/listed',
  params: atSite,
  body: listedSchema,
  reply: listedSchema,
});
