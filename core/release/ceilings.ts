import { type DraftHeights, heightsOf } from '../access/heights-of.ts';
import { type Height, heightLevel, lowest } from '../access/height.ts';
import type { Id } from '../id.ts';

/**
 * The most that readers may get of a site, its pages, parts and materials, by id, whatever a release holds. What is not
 * named has no ceiling. It is written down when something is lowered, in the same transaction, and raised again by
 * nothing but publishing.
 */
export type Ceilings = ReadonlyMap<Id, Height>;

/**
 * Stands for how the maker can be reached, at the end of every page: it is no thing with a height, but it is closed like one when
 * its maker says that they are under 18. No page or part can be called so: it is no id.
 */
export const contactCeiling = '@contact';

/** Heights of the site itself, and of pages and parts below it, by id; of an id that stands twice, the lowest. */
function byId(draft: DraftHeights): Map<Id, Height> {
  const { site, pages, parts } = heightsOf(draft);
  const all = new Map<Id, Height>([[draft.site.id, site], ...pages]);
  for (const ofPage of parts.values())
    for (const [id, height] of ofPage) all.set(id, lowest([all.get(id) ?? 'public', height]));
  return all;
}

/**
 * What an edit took from readers, whatever kind of edit it was: a height lowered, something moved below a lower one, put
 * away, moved to a lower page. What went away altogether keeps the height it had, so that an older release that is
 * brought back does not open what was closed when it was deleted.
 *
 * @returns the new ceiling of each thing that lies lower now
 */
export function loweredBy(before: DraftHeights, after: DraftHeights): Map<Id, Height> {
  const was = byId(before);
  const is = byId(after);
  const lowered = new Map<Id, Height>();
  for (const [id, height] of is)
    if (heightLevel(height) < heightLevel(was.get(id) ?? 'public')) lowered.set(id, height);
  for (const [id, height] of was) if (!is.has(id) && height !== 'public') lowered.set(id, height);
  return lowered;
}

/**
 * The ceilings that publishing leaves: everything as high as it was published, so that nothing but the next publish, not
 * even an older release that is brought back, takes readers higher.
 *
 * @param before those of what is still there and of what was deleted
 * @param published the draft that was published, whole
 */
export function ceilingsAfter(before: Ceilings, published: DraftHeights): Map<Id, Height> {
  const after = new Map(before);
  for (const [id, height] of byId(published))
    if (height === 'public') after.delete(id);
    else after.set(id, height);
  return after;
}
