import { lowest } from '../../access/height.ts';
import { ownHeight } from '../../access/own-height.ts';
import { pathOfPages } from '../../access/path-of-pages.ts';
import { pageName, rulesOfPage } from '../../pages/page-kinds.ts';
import { pathBelow } from '../../pages/path-below.ts';
import type { ShownPage } from '../../pages/page.ts';
import { linksIn } from '../../words/links-in.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';

/**
 * Links in words to pages of the same site that do not open there: by the address of a site only what is Public does. How high the site
 * itself flies is not asked: until it is Public nothing of it opens there, and then all that is.
 */
export const closedInside = ({ pages, address }: CheckedSite): NoticedOnSite[] => {
  if (address === null) return [];
  const closed = new Map<string, ShownPage>();
  for (const page of pages) {
    const path = pathOfPages(pages, page.id);
    if (path && rulesOfPage(page).opens && lowest(path.map(ownHeight)) !== 'public')
      closed.set(pathBelow(pages, page), page);
  }
  if (closed.size === 0) return [];
  const entrance = `/${address}/`;
  const leadsTo = (href: string): ShownPage | undefined => {
    if (!URL.canParse(href)) return undefined;
    const { pathname } = new URL(href);
    if (!pathname.startsWith(entrance)) return undefined;
    const below = pathname.slice(entrance.length);
    return closed.get(below === '' || below.endsWith('/') ? below : `${below}/`);
  };
  return pages.flatMap((page) =>
    page.parts.flatMap((part) => {
      if (part.kind !== 'words') return [];
      const found = linksIn(part.text).flatMap(({ href, text }) => {
        const to = leadsTo(href);
        return to ? [{ href, text, to }] : [];
      });
      const [first] = found;
      if (!first) return [];
      return {
        ...{ weight: 'nice' as const, page: page.id, part: part.id, material: null },
        of: found.map(({ href }) => href).join(' '),
        says: `“${first.text.trim()}” leads to ${pageName(first.to)}, which does not open there.`,
        why: 'By the address of your site only what is Public opens. Raise that page in Share, or take the link off.',
      };
    }),
  );
};
