import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { lookAnswersSchema, mostDaysOpen, secondLookTermsSchema } from '#core/second-look/second-look.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

/** A second look as its maker has it. */
export const secondLookSchema = secondLookTermsSchema.extend({
  id: idSchema,
  answers: lookAnswersSchema,
  /** Where the draft is opened; null once that is over. */
  link: z.string().nullable(),
  endsAt: z.iso.datetime(),
  /** When something was last ticked or asked; null: never. */
  answeredAt: z.iso.datetime().nullable(),
});
export type SecondLook = z.infer<typeof secondLookSchema>;

const secondLooksSchema = z.object({
  /** The newest first. */
  looks: z.array(secondLookSchema),
});
export type SecondLooks = z.infer<typeof secondLooksSchema>;

export const listSecondLooks = route({
  method: 'GET',
  path: '/api/sites/:site/second-looks',
  params: atSite,
  body: nothing,
  reply: secondLooksSchema,
});

/** Opens the draft to somebody, for some days. */
export const askForSecondLook = route({
  method: 'POST',
  path: '/api/sites/:site/second-looks',
  params: atSite,
  body: secondLookTermsSchema.extend({ days: z.int().min(1).max(mostDaysOpen) }),
  reply: secondLooksSchema,
});

const oneLook = z.object({ site: idSchema, look: idSchema });

/** Closes the draft to them now; what they said stays. */
export const endSecondLook = route({
  method: 'POST',
  path: '/api/sites/:site/second-looks/:look/end',
  params: oneLook,
  body: nothing,
  reply: secondLooksSchema,
});

/** Closes it and forgets what they said. */
export const removeSecondLook = route({
  method: 'DELETE',
  path: '/api/sites/:site/second-looks/:look',
  params: oneLook,
  body: nothing,
  reply: secondLooksSchema,
});
