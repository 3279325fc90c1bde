import { type Height, lowest } from './height.ts';
import type { Id } from '../id.ts';
import type { PageBase } from '../pages/page.ts';
import type { Draft } from '../sites/site.ts';
import { heldIn } from '../parts/held-in.ts';
import type { Part } from '../parts/parts.ts';
import { ownHeight } from './own-height.ts';
import { partHeight } from './part-height.ts';
import { siteHeight } from './site-height.ts';

/** What of a page decides how high it and its parts fly. */
export type PageHeights = Pick<PageBase, 'id' | 'parent' | 'height' | 'archived'> & {
  /** Missing where a page of its kind has none. */
  parts?: readonly Part[];
};
/** What of a draft decides how high everything in it flies. */
export interface DraftHeights {
  site: Pick<Draft['site'], 'id' | 'height' | 'underAge'>;
  pages: readonly PageHeights[];
}

/** Heights of all pages, parts and what parts hold, worked out in one pass. */
export interface Heights {
  /** The site's own, as far as its maker's age lets it. */
  site: Height;
  /** Of each page, below the site: the lowest of its own and those of the pages it stands in. */
  pages: ReadonlyMap<Id, Height>;
  /** Of each part and of each thing inside one that has a height of its own, below the site, by its page and its own id. */
  parts: ReadonlyMap<Id, ReadonlyMap<Id, Height>>;
}

/**
 * Effective heights of everything below the site. Add the site's own to know what a reader gets: it is kept apart, since
 * a whole site is opened and closed in one place.
 *
 * A page whose parents are missing or form a circle has no place in the tree: it is private, and so is what stands on it.
 */
export function heightsOf({ site, pages }: DraftHeights): Heights {
  const byId = new Map(pages.map((page) => [page.id, page]));
  const known = new Map<Id, Height>();
  const heightOf = (page: PageHeights, below: ReadonlySet<Id>): Height => {
    const ready = known.get(page.id);
    if (ready !== undefined) return ready;
    let height = ownHeight(page);
    if (page.parent !== null) {
      const parent = byId.get(page.parent);
      const path = new Set(below).add(page.id);
      height = parent && !path.has(parent.id) ? lowest([height, heightOf(parent, path)]) : 'private';
    }
    known.set(page.id, height);
    return height;
  };
  const ofPages = new Map<Id, Height>();
  const ofParts = new Map<Id, Map<Id, Height>>();
  for (const page of pages) {
    const height = heightOf(page, new Set());
    ofPages.set(page.id, height);
    const inside = new Map<Id, Height>();
    for (const part of page.parts ?? []) {
      const ofPart = lowest([height, partHeight(part, site)]);
      inside.set(part.id, lowest([inside.get(part.id) ?? 'public', ofPart]));
      // Two things of one id, which no maker's doing brings about, are as low as the lower of them.
      for (const held of heldIn(part))
        inside.set(held.id, lowest([inside.get(held.id) ?? 'public', ofPart, held.height]));
    }
    ofParts.set(page.id, inside);
  }
  return { site: siteHeight(site), pages: ofPages, parts: ofParts };
}
