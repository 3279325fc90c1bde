import { z } from 'zod';
import { handInTermsSchema } from '#core/hand-ins/hand-in.ts';
import { idSchema } from '#core/id.ts';
import { findingSchema } from '#core/outsider/outsider-test.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

/** A hand-in as its maker has it. */
export const handInSchema = handInTermsSchema.extend({
  id: idSchema,
  dueAt: z.iso.datetime().nullable(),
  handedAt: z.iso.datetime().nullable(),
  /** Number of the release that was live when it was handed in. */
  release: z.number().int().nullable(),
  /** Path of the link that its readers have; null where it leads nowhere any more. */
  link: z.string().nullable(),
  /** What is wrong with it now, each in a sentence. */
  warnings: z.array(z.string()),
});
export type HandIn = z.output<typeof handInSchema>;

const handInsSchema = z.object({ handIns: z.array(handInSchema) });
const atHandIn = atSite.extend({ handIn: idSchema });

export const listHandIns = route({
  method: 'GET',
  path: '/api/sites/:site/hand-ins',
  params: atSite,
  body: nothing,
  reply: handInsSchema,
});

export const makeHandIn = route({
  method: 'POST',
  path: '/api/sites/:site/hand-ins',
  params: atSite,
  body: handInTermsSchema,
  reply: handInsSchema,
});

export const changeHandIn = route({
  method: 'PATCH',
  path: '/api/sites/:site/hand-ins/:handIn',
  params: atHandIn,
  body: handInTermsSchema,
  reply: handInsSchema,
});

export const removeHandIn = route({
  method: 'DELETE',
  path: '/api/sites/:site/hand-ins/:handIn',
  params: atHandIn,
  body: nothing,
  reply: handInsSchema,
});

/**
 * Hands it in: tries its link as an outsider first, and does it only where that opens, or where its maker wants it all the same. From
 * then on it is known what was live, and a pass that is to keep that does.
 */
export const doHandIn = route({
  method: 'POST',
  path: '/api/sites/:site/hand-ins/:handIn/done',
  params: atHandIn,
  body: z.object({ anyway: z.boolean().default(false) }),
  reply: handInsSchema.extend({ done: z.boolean(), findings: z.array(findingSchema) }),
});

/** As if it had not been handed in; a pass that kept a release for it opens whatever is live again. */
export const undoHandIn = route({
  method: 'DELETE',
  path: '/api/sites/:site/hand-ins/:handIn/done',
  params: atHandIn,
  body: nothing,
  reply: handInsSchema,
});
