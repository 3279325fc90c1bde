import { z } from 'zod';
import { documentContentSchema } from '#core/materials/document.ts';
import { idSchema } from '#core/id.ts';
import { materialContentSchema } from '#core/materials/material.ts';
import { tagsSchema } from '#core/materials/tags.ts';
import { nothing, atSite, whenGone } from './at-site.ts';
import { revision, labelSchema, changeOf } from './change.ts';
import { patchSchema, joinedPatchSchema } from './patch.ts';
import { route } from './route.ts';

export const atMaterial = z.object({ site: idSchema, material: idSchema });

export const changeMaterial = route({
  method: 'PATCH',
  path: '/api/sites/:site/materials/:material',
  params: atMaterial,
  body: changeOf(materialContentSchema),
  reply: joinedPatchSchema,
});

/** Several materials at once, as one step of undo. */
export const changeMaterials = route({
  method: 'POST',
  path: '/api/sites/:site/materials/change',
  params: atSite,
  body: z.object({
    materials: z
      .array(z.object({ id: idSchema, seen: revision }))
      .min(1)
      .max(500),
    label: labelSchema,
    change: materialContentSchema.pick({ takenOn: true, provenance: true, project: true }).partial(),
    /** Added to the tags each of them has. */
    addTags: tagsSchema.default([]),
  }),
  reply: patchSchema,
});

/** Materials in whose words, those of their documents included, every word of a query begins some word. */
export const findInWords = route({
  method: 'POST',
  path: '/api/sites/:site/materials/find',
  params: atSite,
  body: z.object({ query: z.string().max(400) }),
  reply: z.object({ materials: z.array(idSchema) }),
});

/** What is said in some materials, whole. */
export const getWords = route({
  method: 'POST',
  path: '/api/sites/:site/materials/words',
  params: atSite,
  body: z.object({ materials: z.array(idSchema).min(1).max(500) }),
  /** By the material's id; one that is not there any more is left out. */
  reply: z.object({ words: z.record(z.string(), z.string()) }),
});

/** What was read out of a document. */
export const getDocument = route({
  method: 'GET',
  path: '/api/sites/:site/materials/:material/document',
  params: atMaterial,
  body: nothing,
  reply: documentContentSchema,
});

/** Takes the pictures that stand in a document into Gather, as materials of their own. */
export const bringPictures = route({
  method: 'POST',
  path: '/api/sites/:site/materials/:material/pictures',
  params: atMaterial,
  body: nothing,
  reply: patchSchema.extend({
    /** Their materials, by the hash of the picture. */
    pictures: z.record(z.string(), idSchema),
  }),
});

export const deleteMaterials = route({
  method: 'POST',
  path: '/api/sites/:site/materials/delete',
  params: atSite,
  body: z.object({ materials: z.array(idSchema).min(1).max(500), readers: whenGone }),
  reply: patchSchema,
});

/** The reply to an upload; the request itself is the file's bytes. */
export const importReplySchema = patchSchema.extend({ material: idSchema, duplicate: z.boolean() });
export type ImportReply = z.infer<typeof importReplySchema>;

/**
 * Stops a file that is on its way or being read. Nothing of it is stored where it was in time; where it was not, it is told so.
 */
export const stopUpload = route({
  method: 'POST',
  path: '/api/sites/:site/uploads/:upload/stop',
  params: atSite.extend({ upload: idSchema }),
  body: nothing,
  reply: z.object({ was: z.enum(['stopped', 'stored', 'not-there']) }),
});
