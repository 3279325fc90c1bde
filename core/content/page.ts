import { generateKeyBetween } from 'fractional-indexing';
import { z } from 'zod';
import { caseFactsSchema } from './case-facts.ts';
import { heightSchema } from './height.ts';
import { idSchema } from './id.ts';
import { line } from './line.ts';
import { pageKinds } from '../pages/page-kinds.ts';
import { partsSchema } from '../parts/parts.ts';

export const openingLayouts = ['full', 'strip', 'words'] as const;

export const openingSchema = z.object({
  layout: z.enum(openingLayouts),
  pictures: z.array(idSchema).max(3, 'An opening shows at most three pictures.'),
});
export type Opening = z.infer<typeof openingSchema>;

/** The picture that stands for a page elsewhere: on the wall, beside its neighbours, where a link to it is shown. */
export const coverSchema = z.object({
  /** Null: the first picture of the page. */
  picture: idSchema.nullable(),
  /** The point kept in view when this cover is cropped, as shares of width and height; null: the picture's own. */
  focus: z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) }).nullable(),
});
export type Cover = z.infer<typeof coverSchema>;
export const noCover: Cover = { picture: null, focus: null };

/** A place in an order, as the package that makes them takes it: another text would leave nothing between it and the next. */
export const rankSchema = z
  .string()
  .min(1)
  .max(200)
  .refine((rank) => {
    try {
      generateKeyBetween(rank, null);
      return true;
    } catch {
      return false;
    }
  }, 'This is no place in an order.');

/** What a maker can change on a page; every member is checked on its own. */
export const pageContentSchema = z.object({
  title: line(160),
  summary: line(400),
  slug: z
    .string()
    .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'Use small letters, digits and single hyphens.')
    .max(80),
  height: heightSchema,
  rank: z.string().min(1).max(200),
  parent: idSchema.nullable(),
  cover: coverSchema,
  opening: openingSchema,
  facts: caseFactsSchema,
  parts: partsSchema,
  /** Put away: it hangs nowhere, and its maker finds it again among what was put away. */
  archived: z.boolean(),
});

export const pageSchema = pageContentSchema.extend({
  id: idSchema,
  kind: z.enum(pageKinds),
});
export type Page = z.infer<typeof pageSchema>;

/** Reading order: by rank, then by id so that equal ranks still have one order. */
export function byRank(a: { rank: string; id: string }, b: { rank: string; id: string }): number {
  return a.rank < b.rank ? -1 : a.rank > b.rank ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}
