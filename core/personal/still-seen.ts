import type { Fixes, Region } from '../materials/fixes.ts';
import type { InsideFound } from './inside.ts';

/** How much of a region has to be black before it is taken for gone, of its area. */
const enough = 0.5;

const overlap = (a: Region, b: Region): number =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));

const covered = (region: Region, by: readonly Region[]): boolean =>
  by.reduce((sum, one) => sum + overlap(region, one), 0) >= enough * region.width * region.height;

/**
 * What is left of something inside a file after its maker's fixes: without the regions that are black, and without those that are
 * cut off. What is turned by less than a quarter is not followed: there a region is taken to be seen.
 *
 * @returns null where nothing of it is seen any more
 */
export function stillSeen(
  found: InsideFound,
  { blackOut = [], crop, turn }: Pick<Fixes, 'blackOut' | 'crop' | 'turn'>,
): InsideFound | null {
  if (found.regions.length === 0) return found;
  const black = blackOut.filter(({ page }) => page === found.page);
  const regions = found.regions.filter(
    (region) => !covered(region, black) && !(crop && !turn && overlap(region, crop) === 0),
  );
  return regions.length === 0 ? null : { ...found, regions };
}
