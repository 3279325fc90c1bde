import { z } from 'zod';
import { heightSchema } from '#core/access/height.ts';
import { idSchema } from '#core/id.ts';
import { pageFieldsSchema } from '#core/pages/page.ts';
import { pageKinds } from '#core/pages/page-kinds.ts';
import { webAddress } from '#core/parts/web-address.ts';
import { partsChangeSchema } from '#core/parts/parts-change.ts';
import { pageStarterKeys, starterKeys } from '#core/parts/starter-names.ts';
import { atSite, whenGone } from './at-site.ts';
import { revision, changeOf } from './change.ts';
import { patchSchema, joinedPatchSchema } from './patch.ts';
import { route } from './route.ts';

const atPage = z.object({ site: idSchema, page: idSchema });

export const createPage = route({
  method: 'POST',
  path: '/api/sites/:site/pages',
  params: atSite,
  body: z.object({
    /** A site has one front page, which it begins with. */
    kind: z.enum(pageKinds).exclude(['home']).default('project'),
    title: z.string().max(160),
    /** The page it is to stand below; at the top when left out. It comes last there. */
    parent: idSchema.nullable().default(null),
    /** What the page starts from: the first picture becomes the opening, others a gallery. */
    materials: z.array(idSchema).max(200),
    /** Another page to start from; its kind, title, place and materials then come from that one. */
    copyOf: idSchema.optional(),
    /** With `copyOf`: what stands below it is copied too. */
    withBelow: z.boolean().default(false),
    /** An outline to start from; its parts are empty. */
    starter: z.enum([...starterKeys, ...pageStarterKeys]).optional(),
    /** Where a link leads. */
    leadsTo: webAddress.optional(),
  }),
  reply: patchSchema.extend({ page: idSchema }),
});

/** Changes a page: its fields, and its parts one by one. */
export const changePage = route({
  method: 'PATCH',
  path: '/api/sites/:site/pages/:page',
  params: atPage,
  body: changeOf(pageFieldsSchema).extend({
    /** What was done to the parts; instead of all of them in `change`. */
    parts: partsChangeSchema.optional(),
    was: pageFieldsSchema.omit({ parts: true }).partial().optional(),
  }),
  reply: joinedPatchSchema,
});

/** So many pages change their height at once: all that a site can have. */
const mostAtOnce = 2000;

/** Gives several pages a height, as one step of undo. What is lowered is closed to readers before the answer. */
export const changeHeights = route({
  method: 'POST',
  path: '/api/sites/:site/heights',
  params: atSite,
  body: z.object({
    pages: z
      /** With the height each was seen at: one that has been changed meanwhile is not changed unseen. */
      .array(z.object({ id: idSchema, was: heightSchema }))
      .min(1)
      .max(mostAtOnce),
    height: heightSchema,
  }),
  reply: patchSchema,
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
  body: z
    .object({
      readers: whenGone,
      /** What stands below it: is deleted with it, or takes its place and flies no higher than it did. */
      below: z.enum(['delete', 'keep']).default('delete'),
    })
    .optional(),
  reply: patchSchema,
});

/**
 * Takes a page with all that stands below it to another site of the same maker. There it is Private, at the end, and has new
 * addresses and links; each of the two sites has a step of undo for it.
 */
export const sendPage = route({
  method: 'POST',
  path: '/api/sites/:site/pages/:page/send',
  params: atPage,
  body: z.object({ to: idSchema, readers: whenGone }),
  reply: patchSchema,
});
