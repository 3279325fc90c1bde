import { z } from 'zod';
import { attachmentSchema } from '#core/comments/attachment.ts';
import { commentLimits, commentStateSchema, takenUpSchema } from '#core/comments/comment.ts';
import { markSchema } from '#core/comments/mark.ts';
import { idSchema } from '#core/id.ts';
import { nothing } from './at-site.ts';
import { route } from './route.ts';

/** What a reader wrote about a page, as its maker has it. */
export const receivedCommentSchema = z.object({
  id: idSchema,
  site: z.object({ id: idSchema, title: z.string() }),
  /** The page it was written on, by its name now; empty where it is gone. */
  page: z.object({ id: idSchema, title: z.string() }),
  part: idSchema.nullable(),
  /** What the part was called as its writer saw it; empty for a comment on the page. */
  about: z.string(),
  /** Label of the pass it was written with; empty where that is gone. */
  pass: z.string(),
  name: z.string(),
  words: z.string(),
  /** Words of the page that it is about; empty for none. */
  quote: z.string(),
  /** The picture that it is about, and where in it; null for none. */
  picture: z
    .object({
      /** Path of it as it is in the draft, without the slash at its start; null where it is there no more. */
      src: z.string().nullable(),
      /** Its alt text, else its title or the name of its file; empty where it is there no more. */
      name: z.string(),
      widthPx: z.number(),
      heightPx: z.number(),
      mark: markSchema.nullable(),
      /** It is cut as it was when the comment was written: the mark is where it was. */
      asItWas: z.boolean(),
    })
    .nullable(),
  /** Files that lie with it. Nobody but its maker gets them. */
  attachments: z.array(attachmentSchema),
  at: z.iso.datetime(),
  state: commentStateSchema,
  answer: z.string().nullable(),
  takenUp: takenUpSchema,
  thanked: z.boolean(),
  /** Its writer left an address, which nobody gets, and is told of an answer. */
  mails: z.boolean(),
  /** Nothing more is taken from the device it came from. */
  blocked: z.boolean(),
  deleted: z.boolean(),
});
export type ReceivedComment = z.infer<typeof receivedCommentSchema>;

const commentListSchema = z.object({
  /** The newest first. */
  comments: z.array(receivedCommentSchema),
});
export type CommentList = z.infer<typeof commentListSchema>;

export const listComments = route({
  method: 'GET',
  path: '/api/comments',
  params: nothing,
  body: nothing,
  reply: commentListSchema,
});

export const commentChangeSchema = z.object({
  state: commentStateSchema.optional(),
  answer: z
    .string()
    .trim()
    .min(1)
    .max(commentLimits.answer, `An answer can be at most ${commentLimits.answer} characters long.`)
    .nullable()
    .optional(),
  takenUp: takenUpSchema.optional(),
  thanked: z.boolean().optional(),
  blocked: z.boolean().optional(),
  deleted: z.boolean().optional(),
});
export type CommentChange = z.input<typeof commentChangeSchema>;

/** Changes who sees a comment, from the next request of any reader on; or what is said to it. */
export const changeComment = route({
  method: 'PATCH',
  path: '/api/comments/:comment',
  params: z.object({ comment: idSchema }),
  body: commentChangeSchema,
  reply: commentListSchema,
});

/** Path of a file that lies with a comment, without the slash at its start; for the maker it was written to. */
export const attachmentPath = (comment: string, attachment: string): string =>
  `api/comments/${comment}/attachments/${attachment}`;
