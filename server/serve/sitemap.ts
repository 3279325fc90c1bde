import type { ListedSite } from './site-list.ts';

/** A sitemap may name 50,000 addresses and take 50 MB (sitemaps.org, “Using Sitemap index files”); far below both. */
const mostAddresses = 10_000;

const start = '<?xml version="1.0" encoding="UTF-8"?>\n';
const namespace = 'xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"';

/**
 * What search engines may keep, by the sitemap protocol (sitemaps.org): one list of pages, or, where they are many, a list
 * of such lists.
 *
 * @param origin of this server as it was called, without a slash at the end
 * @param most addresses in one list
 * @returns the texts, by path below the server's root
 */
export function sitemaps(
  origin: string,
  sites: readonly ListedSite[],
  most = mostAddresses,
): Map<string, string> {
  const pages = sites
    .filter(({ indexable }) => indexable)
    .flatMap((site) => site.pages.map((page) => `<url><loc>${origin}${site.path}${page}</loc></url>`));
  const list = (some: readonly string[]) => `${start}<urlset ${namespace}>${some.join('')}</urlset>\n`;
  if (pages.length <= most) return new Map([['sitemap.xml', list(pages)]]);
  const texts = new Map<string, string>();
  for (let from = 0; from < pages.length; from += most)
    texts.set(`sitemap-${texts.size + 1}.xml`, list(pages.slice(from, from + most)));
  const named = [...texts.keys()].map((name) => `<sitemap><loc>${origin}/${name}</loc></sitemap>`);
  return texts.set('sitemap.xml', `${start}<sitemapindex ${namespace}>${named.join('')}</sitemapindex>\n`);
}
