import { z } from 'zod';
import { linkAnswerSchema } from '#core/links/link-answer.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';
import { webAddressSchema } from './web-address.ts';

const known = z.object({
  answers: z.array(linkAnswerSchema),
  /** Addresses that pages lead to and that were not tried yet, or not for a month. */
  untried: z.number().int().nonnegative(),
});
export type KnownAnswers = z.infer<typeof known>;

/** What is known of the addresses elsewhere that a site's quick links and pages lead to. */
export const listLinkAnswers = route({
  method: 'GET',
  path: '/api/sites/:site/link-answers',
  params: atSite,
  body: nothing,
  reply: known,
});

/** Asks an address whether it answers. */
export const askLink = route({
  method: 'POST',
  path: '/api/sites/:site/link-answers/ask',
  params: atSite,
  body: z.object({ to: webAddressSchema }),
  reply: linkAnswerSchema,
});

/** Asks some of the addresses that pages lead to and that were not tried yet; what they answer is kept also where nobody waits for it. */
export const askSomeLinks = route({
  method: 'POST',
  path: '/api/sites/:site/link-answers/ask-some',
  params: atSite,
  body: nothing,
  reply: known,
});
