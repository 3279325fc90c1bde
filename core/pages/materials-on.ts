import type { Id } from '../id.ts';
import type { Shown } from './page-contents.ts';
import type { Part, SeenPart } from '../parts/parts.ts';
import { materialsOf } from '../parts/materials-of.ts';

/**
 * The materials a page shows, in reading order, each as often as it stands there. A cover that stands nowhere on the page
 * itself comes last: it is shown wherever the page is.
 */
export function materialsOn({
  cover,
  opening,
  parts,
}: Pick<Shown, 'cover' | 'opening'> & { parts: readonly (Part | SeenPart)[] }): Id[] {
  const standing = [...opening.pictures, ...parts.flatMap(materialsOf)];
  return cover.picture === null || standing.includes(cover.picture) ? standing : [...standing, cover.picture];
}
