import { z } from 'zod';
import { capturedSchema } from '#core/capture/captured.ts';
import { idSchema } from '#core/id.ts';
import { pageKinds } from '#core/pages/page-kinds.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

export const capturePlacesSchema = z.object({
  account: z.object({ id: idSchema, name: z.string() }),
  /** Where what is captured can go: what was worked on last comes first. */
  pages: z.array(
    z.object({
      site: idSchema,
      siteTitle: z.string(),
      page: idSchema,
      kind: z.enum(pageKinds),
      title: z.string(),
    }),
  ),
});
export type CapturePlaces = z.infer<typeof capturePlacesSchema>;
export type CapturePlace = CapturePlaces['pages'][number];

/** The pages of all sites of a maker that can hold moments. */
export const capturePlaces = route({
  method: 'GET',
  path: '/api/capture',
  params: nothing,
  body: nothing,
  reply: capturePlacesSchema,
});

/** Puts one thing into its moment, once, however often it is sent. */
export const sendCaptured = route({
  method: 'POST',
  path: '/api/sites/:site/captured',
  params: atSite,
  body: capturedSchema.extend({ page: idSchema }),
  reply: z.object({ moment: idSchema, page: idSchema }),
});
