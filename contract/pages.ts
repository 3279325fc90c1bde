import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { pageFieldsSchema } from '#core/pages/page.ts';
import { rankSchema } from '#core/pages/by-rank.ts';
import { partsChangeSchema } from '#core/parts/parts-change.ts';
import { starterKeys } from '#core/parts/starter-names.ts';
import { atSite, whenGone } from './at-site.ts';
import { revision, changeOf } from './change.ts';
import { patchSchema, joinedPatchSchema } from './patch.ts';
import { route } from './route.ts';

const atPage = z.object({ site: idSchema, page: idSchema });

export const createProject = route({
  method: 'POST',
  path: '/api/sites/:site/pages',
  params: atSite,
  body: z.object({
    title: z.string().max(160),
    /** Pictures the project starts from: the first becomes the opening, the rest a gallery. */
    materials: z.array(idSchema).max(200),
    /** Another project to start from; title and materials then come from it. */
    copyOf: idSchema.optional(),
    /** An outline to start from; its parts are empty. */
    starter: z.enum(starterKeys).optional(),
  }),
  reply: patchSchema.extend({ page: idSchema }),
});

/** Changes a page: its fields, and its parts one by one. */
export const changePage = route({
  method: 'PATCH',
  path: '/api/sites/:site/pages/:page',
  params: atPage,
  body: changeOf(pageFieldsSchema.extend({ rank: rankSchema })).extend({
    /** What was done to the parts; instead of all of them in `change`. */
    parts: partsChangeSchema.optional(),
    was: pageFieldsSchema.omit({ parts: true }).partial().optional(),
  }),
  reply: joinedPatchSchema,
});

/** Takes a part from one page and puts it at the end of another, as one step of undo. */
export const movePart = route({
  method: 'POST',
  path: '/api/sites/:site/pages/:page/parts/:part/move',
  params: atPage.extend({ part: idSchema }),
  body: z.object({
    to: idSchema,
    seen: revision,
    /** The revision seen of the page it goes to. */
    seenThere: revision,
  }),
  reply: patchSchema,
});

export const deletePage = route({
  method: 'DELETE',
  path: '/api/sites/:site/pages/:page',
  params: atPage,
  body: z.object({ readers: whenGone }).optional(),
  reply: patchSchema,
});
