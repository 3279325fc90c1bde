import { entrancesOf } from '#core/access/entrances.ts';
import type { Draft } from '#core/sites/site.ts';
import { pathsOf } from '#site/render/page-inputs.ts';

/**
 * The way in by which most readers get a page: the address, the site's link, or the page's own link; null where none of
 * them leads to it.
 */
export function waysTo(draft: Draft, page: string): { viewer: string; path: string } | null {
  const entrances = entrancesOf(draft);
  for (const [viewer, view] of [
    ['stranger', entrances.public],
    ['link', entrances.siteLink],
    [`page-${page}`, entrances.pageLinks[page] ?? null],
  ] as const) {
    const path = view && pathsOf(view).get(page);
    if (typeof path === 'string') return { viewer, path };
  }
  return null;
}
