import { Feed } from 'feed';
import type { SiteView } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { pathsOf } from './page-inputs.ts';
import { feedPath } from './site-paths.ts';

/** When readers first had a page, and when it was last another one to them. */
export interface PageTimes {
  publishedAt: Date;
  changedAt: Date;
}

/** A feed is read often: what is far back is found on the site. */
const mostEntries = 50;

/** Work that a feed tells of: it has a name, and its reader can open it. */
export const toldOf = (view: SiteView) =>
  view.pages.filter((page) => rulesOfPage(page).isWork && page.title.trim() !== '');

/**
 * The work of a site as an Atom feed (RFC 4287), what was changed last first. Pure: equal inputs give equal bytes.
 *
 * @param base where the site stands on the web, ending in a slash
 * @param times of every page that `toldOf` names
 */
export function renderFeed(
  view: SiteView,
  site: Id,
  base: string,
  times: ReadonlyMap<Id, PageTimes>,
): string {
  const { title, by, language } = view.site;
  const paths = pathsOf(view);
  const author = { name: by || title };
  const entries = toldOf(view)
    .flatMap((page) => {
      const of = times.get(page.id);
      return of ? [{ page, ...of }] : [];
    })
    .sort((a, b) => b.changedAt.getTime() - a.changedAt.getTime())
    .slice(0, mostEntries);
  const updated = entries[0]?.changedAt ?? new Date(0);
  // Names that stay whatever the address becomes (RFC 4151): the day is when this scheme was chosen.
  const name = (thing: string) => `tag:${new URL(base).hostname},2026-11-27:${thing}`;
  const front = view.pages.find((page) => rulesOfPage(page).isFront);
  const feed = new Feed({
    id: name(site),
    title,
    ...(front?.summary ? { description: front.summary } : {}),
    language,
    link: base,
    feedLinks: { atom: base + feedPath },
    updated,
    author,
    generator: 'Kite Wall',
    copyright: '',
  });
  for (const { page, publishedAt, changedAt } of entries) {
    const link = base + (paths.get(page.id) ?? '');
    feed.addItem({
      ...{ title: page.title, id: name(`${site}/${page.id}`), link, date: changedAt, published: publishedAt },
      ...(page.summary ? { description: page.summary } : {}),
      category: page.facts.tags.map((tag) => ({ name: tag, term: tag })),
      author: [author],
    });
  }
  return feed.atom1();
}
