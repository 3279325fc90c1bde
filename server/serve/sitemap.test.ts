import { describe, expect, test } from '@jest/globals';
import { parseDocument } from 'htmlparser2';
import { isTag, type Element } from 'domhandler';
import type { ListedSite } from './site-list.ts';
import { sitemaps } from './sitemap.ts';

const site = (n: number, pages: number, indexable = true): ListedSite => ({
  id: `site-${n}`,
  title: `Site ${n}`,
  path: `/site-${n}/`,
  indexable,
  listing: null,
  pages: ['', ...Array.from({ length: pages - 1 }, (_, at) => `page-${at}/`)],
});
const root = (text: string | undefined): Element => {
  const found = parseDocument(text ?? '', { xmlMode: true }).children.find(isTag);
  if (!found) throw new Error('No element.');
  return found;
};
const places = (text: string | undefined) =>
  root(text)
    .children.filter(isTag)
    .map(
      (one) =>
        one.children.filter(isTag).map(({ children }) => String((children[0] as { data?: string }).data))[0],
    );

// The form of both files and their limits: sitemaps.org, “Sitemaps XML format” and “Using Sitemap index files”.
describe('sitemaps', () => {
  test('a few pages stand in one list, with whole addresses, and only what may be found', () => {
    const texts = sitemaps('https://wall.example', [site(1, 2), site(2, 3, false)]);
    expect([...texts.keys()]).toEqual(['sitemap.xml']);
    expect(root(texts.get('sitemap.xml')).name).toBe('urlset');
    expect(places(texts.get('sitemap.xml'))).toEqual([
      'https://wall.example/site-1/',
      'https://wall.example/site-1/page-0/',
    ]);
  });

  test('many stand in lists of at most so many, which one list names', () => {
    const texts = sitemaps('https://wall.example', [site(1, 4), site(2, 3), site(3, 4)], 5);
    expect(root(texts.get('sitemap.xml')).name).toBe('sitemapindex');
    expect(places(texts.get('sitemap.xml'))).toEqual(
      [1, 2, 3].map((n) => `https://wall.example/sitemap-${n}.xml`),
    );
    const all = [1, 2, 3].map((n) => places(texts.get(`sitemap-${n}.xml`)));
    expect(all.map(({ length }) => length)).toEqual([5, 5, 1]);
    expect(new Set(all.flat()).size).toBe(11);
  });

  test('nothing to find is an empty list', () => {
    expect(places(sitemaps('https://wall.example', []).get('sitemap.xml'))).toEqual([]);
  });
});
