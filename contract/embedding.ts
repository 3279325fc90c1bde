import { z } from 'zod';
import { framingSchema } from '#core/embed/framing.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

const embeddingSchema = z.object({
  framing: framingSchema,
  /** Why nothing of it can be shown elsewhere now, in a sentence; null where something can. */
  closed: z.string().nullable(),
  /** What strangers can open: the path of its file below the site's address, and its title. */
  pages: z.array(z.object({ file: z.string(), title: z.string() })),
});
export type Embedding = z.infer<typeof embeddingSchema>;

export const getEmbedding = route({
  method: 'GET',
  path: '/api/sites/:site/embedding',
  params: atSite,
  body: nothing,
  reply: embeddingSchema,
});

/** Says where the open site may be shown inside other pages, from the next request on. */
export const setFraming = route({
  method: 'PUT',
  path: '/api/sites/:site/embedding',
  params: atSite,
  body: z.object({ framing: framingSchema }),
  reply: embeddingSchema,
});

/**
 * A page that strangers can open, as HTML to put into another page.
 *
 * @throws 404 where they cannot
 */
export const getEmbedCode = route({
  method: 'GET',
  path: '/api/sites/:site/embedding/:file',
  params: atSite.extend({ file: z.string().max(2000) }),
  body: nothing,
  reply: z.object({ card: z.string(), frame: z.string() }),
});
