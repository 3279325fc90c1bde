import { z } from 'zod';
import { linkStates } from '#core/materials/link.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';
import { webAddressSchema } from './web-address.ts';

/** Whether what is at an address answers, and when it was asked. */
export const linkAnswerSchema = z.object({
  to: z.string(),
  state: z.enum(linkStates),
  /** ISO 8601. */
  askedAt: z.iso.datetime(),
});
export type LinkAnswer = z.infer<typeof linkAnswerSchema>;

/** What is known of a site's quick links. */
export const listLinkAnswers = route({
  method: 'GET',
  path: '/api/sites/:site/quick-links',
  params: atSite,
  body: nothing,
  reply: z.object({ answers: z.array(linkAnswerSchema) }),
});

/** Asks an address whether it answers. */
export const askLink = route({
  method: 'POST',
  path: '/api/sites/:site/quick-links/ask',
  params: atSite,
  body: z.object({ to: webAddressSchema }),
  reply: linkAnswerSchema,
});
