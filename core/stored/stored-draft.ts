import type { Draft } from '../content/site.ts';
import { fromStored, stored } from './stored-json.ts';
import { pageFromStored, pageToStored, storedMaterial, storedSite } from './stored-kinds.ts';

/** As a draft is kept with a release: each thing in it with the version of its own shape. */
export const draftToStored = ({ site, pages, materials }: Draft): object => ({
  site: stored(storedSite, site),
  pages: pages.map(pageToStored),
  materials: materials.map((material) => stored(storedMaterial, material)),
});

/**
 * Reads a draft that some version kept with a release.
 *
 * @throws Unreadable see `fromStored`
 */
export function draftFromStored(kept: unknown): Draft {
  const { site, pages, materials } = kept as { site: unknown; pages: unknown[]; materials: unknown[] };
  return {
    site: fromStored(storedSite, site),
    pages: pages.map(pageFromStored),
    materials: materials.map((material) => fromStored(storedMaterial, material)),
  };
}
