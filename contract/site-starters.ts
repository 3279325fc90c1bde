import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { siteStarterKeys } from '#core/sites/site-starters.ts';
import { atSite } from './at-site.ts';
import { patchSchema } from './patch.ts';
import { route } from './route.ts';

/** Takes pages of a starter over into a site, as one step of undo. All of them are Private. */
export const takeStarter = route({
  method: 'POST',
  path: '/api/sites/:site/starter',
  params: atSite,
  body: z.object({
    starter: z.enum(siteStarterKeys),
    /** Keys of the pages that are wanted; what stands below one that is not comes to the top. */
    pages: z.array(z.string().max(40)).max(40),
    /** The menu and the front page are arranged as the starter has them, too. */
    arranged: z.boolean(),
  }),
  reply: patchSchema.extend({
    made: z.array(idSchema),
    /** Titles of those that there can be only one of, and that the site has already. */
    left: z.array(z.string()),
  }),
});
