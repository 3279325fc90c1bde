import { z } from 'zod';
import { givenLinkNameSchema } from '#core/access/given-link.ts';
import { idSchema } from '#core/id.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

/** So many pages of a site go into one file. */
export const mostBookPages = 300;
export const bookPapers = ['a4', 'letter'] as const;

const bookJobSchema = z.object({
  id: idSchema,
  state: z.enum(['running', 'done', 'failed', 'cancelled']),
  /** What is being done, in words. */
  step: z.string(),
  done: z.number().int(),
  total: z.number().int(),
  /** Of the file, once it is there. */
  bytes: z.number().int(),
  /** Letters that no font of the look has; they are left out of the file. */
  missing: z.array(z.string()),
  /** Why it did not come to its end. */
  message: z.string().nullable(),
});
export type BookJob = z.infer<typeof bookJobSchema>;

const atLink = atSite.extend({ link: z.string().max(120) });
const atJob = atSite.extend({ job: idSchema });

/** What the PDF would hold that readers of a link get now. */
export const getBook = route({
  method: 'GET',
  path: '/api/sites/:site/book/:link',
  params: atLink,
  body: nothing,
  reply: z.object({
    pages: z.number().int(),
    /** What is being made for them or was lately, also where the studio was loaded anew meanwhile. */
    job: bookJobSchema.nullable(),
    /** Why there is none; null where it can be made. */
    problem: z.string().nullable(),
  }),
});

/** Begins to make it; one of a site is made at a time. @throws 409 where nothing is open, 413 where it is too much */
export const makeBook = route({
  method: 'POST',
  path: '/api/sites/:site/book/:link',
  params: atLink,
  body: z.object({ paper: z.enum(bookPapers) }),
  reply: bookJobSchema,
});

export const getBookJob = route({
  method: 'GET',
  path: '/api/sites/:site/book-jobs/:job',
  params: atJob,
  body: nothing,
  reply: bookJobSchema,
});

export const cancelBookJob = route({
  method: 'DELETE',
  path: '/api/sites/:site/book-jobs/:job',
  params: atJob,
  body: nothing,
  reply: bookJobSchema,
});

/** The file itself, for a browser to save. */
export const bookFileParams = z.object({ site: idSchema, job: idSchema });
export const bookFile = (site: string, job: string): string => `/api/sites/${site}/book-jobs/${job}/site.pdf`;
export const bookLinkSchema = givenLinkNameSchema;
