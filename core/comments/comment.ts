import { z } from 'zod';
import { idSchema, type Id } from '../id.ts';
import type { Attachment } from './attachment.ts';
import type { Mark } from './mark.ts';

/** What somebody writes about a page at most: characters, and links among them. */
export const commentLimits = { name: 60, words: 2000, quote: 300, to: 254, answer: 2000, links: 2 } as const;

/**
 * Who sees a comment beside its maker. `waiting`: nobody yet. `kept`: whoever wrote it, and nobody else, for good. `pass`: whoever holds
 * the pass it was written with. `page`: whoever can open the page. `refused`: nobody; whoever wrote it is told so.
 */
export const commentStates = ['waiting', 'kept', 'pass', 'page', 'refused'] as const;
export const commentStateSchema = z.enum(commentStates);
export type CommentState = z.infer<typeof commentStateSchema>;

/** How far its maker is with what a comment asks for; `next`: it is done with the next release. */
export const takenUpStates = ['no', 'next', 'yes'] as const;
export const takenUpSchema = z.enum(takenUpStates);
export type TakenUp = z.infer<typeof takenUpSchema>;

/** How often a mail says that comments wait: soon after one came, once a day at most, or never. */
export const commentMailsSchema = z.enum(['each', 'day', 'none']);
export type CommentMails = z.infer<typeof commentMailsSchema>;

/** A picture that something is said of. */
export interface CommentedPicture {
  material: Id;
  /** Path of its file below the entrance, as its writer had it: another one shows something else. */
  file: string;
  /** Its size as its writer had it, in pixels: of other proportions it was cut otherwise since. */
  widthPx: number;
  heightPx: number;
  /** Where in it; null: all of it. */
  mark: Mark | null;
}

/** A comment as its site has it. */
export interface Comment {
  id: Id;
  /** The page it was written on. */
  page: Id;
  /** The part of it that it is about; null: the page. */
  part: Id | null;
  /** The pass of whoever wrote it; null once that is gone for good. */
  pass: Id | null;
  /** The same for all that came from one device; tells nothing else about it. */
  writer: string;
  name: string;
  words: string;
  /** Words of the page that it is about, as its writer copied them from there; empty for none. */
  quote: string;
  /** A picture of the page that it is about; null for none. */
  picture: CommentedPicture | null;
  at: Date;
  state: CommentState;
  /** What the maker says to it; null: nothing. */
  answer: string | null;
  /** Files that lie with it, in the order in which they came. */
  attachments: readonly Pick<Attachment, 'id' | 'fileName'>[];
  /** The maker has done what it asks for. */
  resolved: boolean;
  /** The maker thanks for it. */
  thanked: boolean;
}

export const commentFieldSchemas = {
  name: z.string().min(1).max(commentLimits.name),
  words: z.string().min(1).max(commentLimits.words),
  part: idSchema.nullable(),
};
