import type { Id } from '../id.ts';
import type { Shown } from '../pages/page-contents.ts';
import { materialsOf } from '../parts/materials-of.ts';
import type { Part, SeenPart } from '../parts/parts.ts';

/** As far as a page has pictures that could stand for it. */
export type Covered = Pick<Shown, 'cover' | 'opening'> & { parts: readonly (Part | SeenPart)[] };

/** Ids of what a page shows as pictures of its own, in reading order and once each; not what its documents hold. */
export function picturesOn({ opening, parts }: Covered, isPicture: (id: Id) => boolean): Id[] {
  return [...new Set([...opening.pictures, ...parts.flatMap(materialsOf)])].filter(isPicture);
}

/** The picture that stands for a page: the one its maker chose, else its opening's first, else the first of its parts. */
export function coverOf(page: Covered, isPicture: (id: Id) => boolean): Id | null {
  return page.cover.picture ?? picturesOn(page, isPicture)[0] ?? null;
}
