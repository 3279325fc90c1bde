import type { Id } from '../id.ts';
import { byRank } from './by-rank.ts';
import type { Page } from './page.ts';

/** Pages in reading order: brothers and sisters by rank, children right after their parent. */
export function inReadingOrder(pages: readonly Page[]): Page[] {
  const below = new Map<Id | null, Page[]>();
  const known = new Set(pages.map((page) => page.id));
  for (const page of pages) {
    const parent = page.parent !== null && known.has(page.parent) ? page.parent : null;
    const list = below.get(parent);
    if (list) list.push(page);
    else below.set(parent, [page]);
  }
  const walk = (parent: Id | null): Page[] =>
    (below.get(parent) ?? []).sort(byRank).flatMap((page) => [page, ...walk(page.id)]);
  return walk(null);
}
