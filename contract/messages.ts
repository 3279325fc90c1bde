import { z } from 'zod';
import { commentMailsSchema } from '#core/comments/comment.ts';
import { idSchema } from '#core/id.ts';
import { messageSchema } from '#core/messages/message.ts';
import { nothing } from './at-site.ts';
import { route } from './route.ts';

/** What somebody wrote to a maker, as it lies in their box. */
export const receivedSchema = messageSchema.extend({
  id: idSchema,
  site: z.object({ id: idSchema, title: z.string() }),
  /** What the page was called on which it was written; empty for the form that every page leads to. */
  page: z.string(),
  at: z.iso.datetime(),
  read: z.boolean(),
  deleted: z.boolean(),
  /** Whether a copy went by mail; 'not-yet' while it is being tried. */
  mailed: z.enum(['no', 'yes', 'not-yet', 'failed']),
});
export type Received = z.infer<typeof receivedSchema>;

export const boxSchema = z.object({
  /** The newest first. */
  messages: z.array(receivedSchema),
  /** Where copies go to, whether they are wanted, and whether somebody showed that the address is theirs: else none goes. */
  copies: z.object({
    to: z.string(),
    on: z.boolean(),
    confirmed: z.boolean(),
    /** How often a mail says that comments wait. */
    comments: commentMailsSchema,
  }),
  /** This server sends mail at all. */
  sendsMail: z.boolean(),
});
export type Box = z.infer<typeof boxSchema>;

export const openBox = route({
  method: 'GET',
  path: '/api/messages',
  params: nothing,
  body: nothing,
  reply: boxSchema,
});

/** How many messages nobody has read yet, and comments wait for a word: asked for often, so nothing else is told. */
export const countUnread = route({
  method: 'GET',
  path: '/api/messages/unread',
  params: nothing,
  body: nothing,
  reply: z.object({ unread: z.number().int() }),
});

export const changeMessage = route({
  method: 'PATCH',
  path: '/api/messages/:message',
  params: z.object({ message: idSchema }),
  body: z.object({ read: z.boolean().optional(), deleted: z.boolean().optional() }),
  reply: boxSchema,
});

export const sendCopies = route({
  method: 'PUT',
  path: '/api/messages/copies',
  params: nothing,
  body: z.object({ on: z.boolean().optional(), comments: commentMailsSchema.optional() }),
  reply: boxSchema,
});
