import { z } from 'zod';
import { regionSchema } from '../materials/fixes.ts';
import { personalKinds } from './found.ts';

/** What somebody can be found by in a file: as in words, and what is there only where something is seen. */
export const insideKinds = [...personalKinds, 'plate', 'name', 'face'] as const;
export type InsideKind = (typeof insideKinds)[number];

/** Something inside a document or picture that may be about a person. */
export const insideFoundSchema = z.object({
  kind: z.enum(insideKinds),
  /** As it stands there; empty of a face, which says nothing. */
  text: z.string(),
  /** Of which page, from 0; 0 for a picture, null in a document that has no pages. */
  page: z.number().int().nonnegative().nullable(),
  /** Where on the page, a region a line or face, as black-outs are drawn; none where there are no pages. */
  regions: z.array(regionSchema),
});
export type InsideFound = z.infer<typeof insideFoundSchema>;

/** What is known to be inside a site's materials, by their ids; one that was not looked into is not there. */
export type Inside = Readonly<Record<string, readonly InsideFound[]>>;

/** Of one file at most so much is told: a list of a thousand addresses is a list. */
export const mostInside = 100;
