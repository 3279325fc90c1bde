import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { contactSheetSchema } from '#core/gallery/contact-sheet.ts';
import { warnings } from '#core/gallery/picture-quality.ts';
import { nothing, atSite } from './at-site.ts';
import { route } from './route.ts';

/** Look-alikes and quality of a site's pictures; asked again while some are still to be read. */
export const lookAtPictures = route({
  method: 'GET',
  path: '/api/sites/:site/pictures/looked-at',
  params: atSite,
  body: nothing,
  reply: z.object({
    /** Pictures that have not been read yet. */
    unread: z.number().int().nonnegative(),
    groups: z.array(z.array(idSchema)),
    warnings: z.record(z.string(), z.array(z.enum(warnings))),
  }),
});
export type PicturesLookedAt = z.infer<typeof lookAtPictures.reply>;

/** Candidates for a gallery: which look alike, which varied set is proposed, and why. */
export const makeContactSheet = route({
  method: 'POST',
  path: '/api/sites/:site/pictures/contact-sheet',
  params: atSite,
  body: z.object({
    candidates: z.array(idSchema).max(400, 'A contact sheet holds at most 400 pictures.'),
    size: z.number().int().min(1).max(60),
    /** Pictures at the top of the page the gallery is for. */
    opening: z.array(idSchema).max(60).default([]),
  }),
  reply: contactSheetSchema,
});

/** How light some pictures of a site are, part by part, for words that lie over them; what cannot be read is left out. */
export const readLights = route({
  method: 'POST',
  path: '/api/sites/:site/pictures/light',
  params: atSite,
  body: z.object({
    /** Names of pictures: of a material, or of a page or picture in it. */
    pictures: z.array(z.string().min(1).max(120)).max(1000),
  }),
  reply: z.object({ lights: z.record(z.string(), z.string()) }),
});
