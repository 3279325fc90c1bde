import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { atSite } from './at-site.ts';
import { patchSchema } from './patch.ts';
import { route } from './route.ts';

/**
 * Takes things from readers at once, and leaves the draft as it is: what was deleted, and was to be gone with the next
 * publish. The next publish opens them again if they are in it.
 */
export const closeNow = route({
  method: 'POST',
  path: '/api/sites/:site/close',
  params: atSite,
  body: z.object({ things: z.array(idSchema).min(1).max(500) }),
  reply: patchSchema,
});

/** Which of some pages, parts and materials readers can see now, asked before something is deleted. */
export const shownNow = route({
  method: 'POST',
  path: '/api/sites/:site/shown',
  params: atSite,
  body: z.object({ things: z.array(idSchema).min(1).max(500) }),
  reply: z.object({ things: z.array(idSchema) }),
});
