import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { passTermsSchema } from '#core/passes/pass.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

/** A password of a pass. Spaces around it are no part of it. */
const passPasswordSchema = z
  .string()
  .trim()
  .min(6, 'A password of a pass has at least 6 characters.')
  .max(100, 'A password of a pass has at most 100 characters.');

/** A pass as its maker has it. */
export const passSchema = passTermsSchema.extend({
  id: idSchema,
  on: z.boolean(),
  /** Instants between which it opens something. */
  opensAt: z.iso.datetime().nullable(),
  closesAt: z.iso.datetime().nullable(),
  hasPassword: z.boolean(),
  /** Path of its link; null where the server cannot tell it any more, and only a new link helps. */
  link: z.string().nullable(),
});
export type Pass = z.output<typeof passSchema>;

const passListSchema = z.object({
  passes: z.array(passSchema),
  /** Of those that were opened, how often, and on which day last. */
  visits: z.record(z.string(), z.object({ visits: z.number().int(), lastDay: z.string() })),
});
export type PassList = z.output<typeof passListSchema>;
const atPass = atSite.extend({ pass: idSchema });

export const listPasses = route({
  method: 'GET',
  path: '/api/sites/:site/passes',
  params: atSite,
  body: nothing,
  reply: passListSchema,
});

/** So many can be made at once. */
export const mostMadeAtOnce = 200;

/** @throws 409 where a site has as many as it can have */
export const makePasses = route({
  method: 'POST',
  path: '/api/sites/:site/passes',
  params: atSite,
  body: z.object({
    passes: z
      .array(passTermsSchema.extend({ password: passPasswordSchema.nullable().default(null) }))
      .min(1)
      .max(mostMadeAtOnce, `At most ${mostMadeAtOnce} passes can be made at once.`),
  }),
  reply: passListSchema,
});

/** Changes what is said of a pass, switches it on or off. What opens less does so from the next request on. */
export const changePass = route({
  method: 'PATCH',
  path: '/api/sites/:site/passes/:pass',
  params: atPass,
  body: z.object({
    terms: passTermsSchema.optional(),
    on: z.boolean().optional(),
    /** Null takes it away. */
    password: passPasswordSchema.nullable().optional(),
  }),
  reply: passSchema,
});

/** Gives a pass another link; the one before opens nothing from then on. */
export const renewPass = route({
  method: 'POST',
  path: '/api/sites/:site/passes/:pass/renew',
  params: atPass,
  body: nothing,
  reply: passSchema,
});

/** Takes a pass away. It opens nothing from then on. */
export const removePass = route({
  method: 'DELETE',
  path: '/api/sites/:site/passes/:pass',
  params: atPass,
  body: nothing,
  reply: passListSchema,
});

/** Brings back a pass that was taken away less than 30 days ago, switched off. */
export const restorePass = route({
  method: 'POST',
  path: '/api/sites/:site/passes/:pass/restore',
  params: atPass,
  body: nothing,
  reply: passSchema,
});

/** So many get one mail at once, and so many mails a maker sends in a day. */
export const mostSentAtOnce = 20;
export const mostSentInADay = 100;

const note = z.string().trim().max(2000, 'A note can be at most 2,000 characters long.').default('');

export const passLetterSchema = z.object({
  subject: z.string(),
  text: z.string(),
  /** When those who get it can be told that it closes; null where that is never, or too near. */
  reminds: z.iso.datetime().nullable(),
  /** Addresses that links were sent to of late. */
  known: z.array(z.string()),
});
export type PassLetter = z.output<typeof passLetterSchema>;

/** The mail as it would be sent. @throws 409 where none can be, with the reason */
export const writePassLetter = route({
  method: 'POST',
  path: '/api/sites/:site/passes/:pass/letter',
  params: atPass,
  body: z.object({ note }),
  reply: passLetterSchema,
});
/** Sends the link of a pass by mail, to each by itself. */
export const sendPass = route({
  method: 'POST',
  path: '/api/sites/:site/passes/:pass/send',
  params: atPass,
  body: z.object({
    to: z
      .array(z.email().max(254).toLowerCase())
      .min(1, 'Write at least one address.')
      .max(mostSentAtOnce, `At most ${mostSentAtOnce} get it at once.`),
    note,
    /** Tell them three days before it closes, too. */
    remind: z.boolean().default(false),
  }),
  reply: z.object({ sent: z.number().int() }),
});
