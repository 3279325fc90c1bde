import { z } from 'zod';
import { type Id, idSchema } from '../id.ts';
import { wellFormed } from '../words/well-formed.ts';
import { commentLimits } from './comment.ts';
import { type Extent, extents, pointFrom } from './mark.ts';

/** What is wrong with one field; `links`: more of them than a comment has. */
export type CommentFault = 'missing' | 'long' | 'links';
/** What is wrong with quoted words; `elsewhere`: they do not stand on the page. */
export type QuoteFault = 'long' | 'elsewhere';
/** What is wrong with the address that is told of an answer. */
export type MailFault = 'no-address';

/** A comment as it was typed, and what is wrong with it; nothing is wrong where `faults` is empty. */
export interface TypedComment {
  typed: {
    name: string;
    words: string;
    quote: string;
    part: Id | null;
    /** The picture it is about, by the path of its file; empty for none. */
    picture: string;
    /** Where in it was pressed, in shares of `markScale`; null: nowhere. */
    point: { x: number; y: number } | null;
    extent: Extent;
    /** E-mail that is told of an answer; empty for none. */
    to: string;
  };
  faults: Partial<Record<'name' | 'words', CommentFault>> & {
    quote?: QuoteFault;
    to?: MailFault;
  };
}

export const nothingTyped: TypedComment['typed'] = {
  ...{ name: '', words: '', quote: '', part: null },
  ...{ picture: '', point: null, extent: 'all', to: '' },
};

const fieldsSchema = z.object({
  name: z.string().catch(''),
  words: z.string().catch(''),
  quote: z.string().catch(''),
  part: idSchema.nullable().catch(null),
  picture: z.string().max(200).catch(''),
  point: z.string().catch(''),
  extent: z.enum(extents).catch('all'),
  to: z.string().catch(''),
});

const addressSchema = z.email().max(254);

/** Addresses of web pages, and what mail programs and browsers make one of. */
const linksIn = (words: string): number => words.match(/https?:\/\/|\bwww\./gi)?.length ?? 0;

/**
 * What a form sent, as a comment. What was typed is given back whole, so that nobody has to type it twice.
 *
 * @param fields as they came: anything
 * @param onPage whether words stand on the page that it is about
 */
export function typedComment(fields: unknown, onPage: (quote: string) => boolean): TypedComment {
  const given = fieldsSchema.parse(typeof fields === 'object' && fields !== null ? fields : {});
  const typed = {
    name: wellFormed(given.name).replace(/\s+/g, ' ').trim(),
    words: wellFormed(given.words).replace(/\r\n?/g, '\n').trim(),
    quote: wellFormed(given.quote).replace(/\s+/g, ' ').trim(),
    part: given.part,
    picture: given.picture,
    point: pointFrom(given.point),
    extent: given.extent,
    to: wellFormed(given.to).trim(),
  };
  const faults: TypedComment['faults'] = {};
  if (typed.name === '') faults.name = 'missing';
  else if (typed.name.length > commentLimits.name) faults.name = 'long';
  if (typed.words === '') faults.words = 'missing';
  else if (typed.words.length > commentLimits.words) faults.words = 'long';
  else if (linksIn(typed.words) > commentLimits.links) faults.words = 'links';
  if (typed.quote.length > commentLimits.quote) faults.quote = 'long';
  else if (typed.quote !== '' && !onPage(typed.quote)) faults.quote = 'elsewhere';
  if (typed.to !== '' && !addressSchema.safeParse(typed.to).success) faults.to = 'no-address';
  return { typed, faults };
}
