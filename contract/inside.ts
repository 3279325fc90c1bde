import { z } from 'zod';
import { insideFoundSchema } from '#core/personal/inside.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

const reply = z.object({
  /** Pictures and pages that were not looked through yet. */
  unread: z.number().int().nonnegative(),
  /** That could not be. */
  unreadable: z.number().int().nonnegative(),
  /** By material; of those that stand on pages. */
  inside: z.record(z.string(), z.array(insideFoundSchema)),
  /** What looks like names of people in the words of pages and in what is said of pictures. */
  named: z.array(z.string()),
});

/** What somebody could be found by inside the documents and pictures on a site's pages, as far as it was looked for. */
export const getInside = route({
  method: 'GET',
  path: '/api/sites/:site/inside',
  params: atSite,
  body: nothing,
  reply,
});

/** Looks through pictures for some seconds, once each. A caller that goes away stops it; what was read by then is kept. */
export const readInside = route({
  method: 'POST',
  path: '/api/sites/:site/inside/read',
  params: atSite,
  body: nothing,
  reply,
});
export type KnownInside = z.infer<typeof reply>;
