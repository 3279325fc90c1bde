import { z } from 'zod';
import { materialContentSchema } from '#core/materials/material.ts';
import { partialDateSchema } from '#core/dates/partial-date.ts';
import { nothing, atSite } from './at-site.ts';
import { atMaterial, importReplySchema } from './materials.ts';
import { patchSchema } from './patch.ts';
import { route } from './route.ts';
import { webAddressSchema } from './web-address.ts';

/** Gathers what a web address leads to. */
export const addLink = route({
  method: 'POST',
  path: '/api/sites/:site/links',
  params: atSite,
  body: z.object({ url: webAddressSchema }),
  reply: importReplySchema,
});

/** Gathers a picture that was copied from a web page, with where it came from. */
export const addPictureFromWeb = route({
  method: 'POST',
  path: '/api/sites/:site/pictures/from-web',
  params: atSite,
  body: z.object({ url: webAddressSchema, alt: materialContentSchema.shape.alt }),
  reply: importReplySchema,
});

/** Looks what the page says now. */
export const readLinkAgain = route({
  method: 'POST',
  path: '/api/sites/:site/links/:material/read',
  params: atMaterial,
  body: nothing,
  reply: patchSchema,
});

export const addNote = route({
  method: 'POST',
  path: '/api/sites/:site/notes',
  params: atSite,
  body: z.object({
    text: materialContentSchema.shape.transcript.refine(
      (text) => text.trim() !== '',
      'Write something first; an empty note is not kept.',
    ),
    /** Today, where its maker is. */
    writtenOn: partialDateSchema,
  }),
  reply: importReplySchema,
});
