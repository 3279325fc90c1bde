import type { Id } from '../id.ts';

/**
 * How many of these pictures look like another one of them.
 *
 * @param groups look-alikes of all pictures, as `lookAlikes` gives them
 */
export function alikeAmong(pictures: readonly Id[], groups: readonly (readonly Id[])[]): number {
  const here = new Set(pictures);
  return groups
    .map((group) => group.filter((id) => here.has(id)).length)
    .filter((count) => count > 1)
    .reduce((sum, count) => sum + count, 0);
}
