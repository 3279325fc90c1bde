import { seenBy } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import type { Id } from '#core/id.ts';
import { type MenuNode, readersMenu } from '#core/menu/readers-menu.ts';
import { standsInMenu } from '#core/menu/stands-in-menu.ts';
import type { Page } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { Draft } from '#core/sites/site.ts';

/** Kinds of readers whose menu can be looked at. */
export const readers = [
  { key: 'stranger', name: 'A stranger', viewer: { kind: 'stranger' } },
  { key: 'link', name: 'With the link', viewer: { kind: 'site-link' } },
] as const satisfies readonly { key: string; name: string; viewer: Viewer }[];
export type ReaderKey = (typeof readers)[number]['key'];

/** The site as it would be if it flew as high as can be: a menu is put in order before anybody is let in. */
export const asIfPublic = (draft: Draft): Draft => ({ ...draft, site: { ...draft.site, height: 'public' } });

/** The menu that a kind of reader gets with the next publish, by the function that makes it then. */
export function menuFor(draft: Draft, viewer: Viewer): MenuNode[] {
  const view = seenBy(draft, viewer);
  return view ? readersMenu(view) : [];
}

export const idsIn = (nodes: readonly MenuNode[]): Set<Id> =>
  new Set(nodes.flatMap(({ page, below }) => [page.id, ...idsIn(below)]));

/**
 * Whether a stranger's menu has a page, and where not, why.
 *
 * @param inIt ids of what stands in it
 * @param isPublic nothing keeps the page from strangers
 */
export function menuWords(page: Page, inIt: ReadonlySet<Id>, isPublic: boolean): string {
  const { inMenu, isFront, isWork } = rulesOfPage(page);
  if (inIt.has(page.id)) return isFront ? `as “${inMenu(page.title) ?? ''}”` : 'Yes';
  if (!standsInMenu(page)) return isWork && page.inMenu === null ? 'On the front page' : 'Left out';
  if (!isPublic) return 'Not for strangers';
  if (inMenu(page.title) === null) return 'No, it has no name';
  if (page.kind === 'heading' || page.kind === 'group') return 'No, nothing is in it';
  if (page.kind === 'link') return 'No, it leads nowhere';
  return 'No, what it is below is not';
}
