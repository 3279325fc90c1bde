import { picturesOf } from '#core/gallery/picture-source.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '#core/access/arbitrary-draft.ts';
import { entrancesOf } from '#core/access/entrances.ts';
import { noFacts } from '#core/pages/case-facts.ts';
import type { Draft } from '#core/sites/site.ts';
import { pageInputs, pictureOf } from './page-inputs.ts';
import type { Picture } from './picture.ts';
import { renderPage, type RenderedPage } from './render-page.tsx';

const assets = {
  css: 'assets/site.css',
  printCss: 'assets/print.css',
  icon: 'assets/icon.svg',
  enhance: 'assets/enhance.js',
  preloadFonts: ['assets/a.woff2'],
};

/** All pages of all entrances of a draft, as readers would get them. */
function pagesOf(draft: Draft): ({ path: string } & RenderedPage)[] {
  const { public: open, siteLink, pageLinks } = entrancesOf(draft);
  return [open, siteLink, ...Object.values(pageLinks)]
    .filter((view) => view !== null)
    .flatMap((view) => {
      const pictures: Record<string, Picture> = {};
      for (const shown of Object.values(view.materials).flatMap((one) => picturesOf(one, undefined)))
        pictures[shown.id] = {
          ...pictureOf(shown),
          moving: null,
          sources: [{ type: 'image/webp', files: [{ url: `files/${shown.id}.webp`, widthPx: 480 }] }],
          fallback: [{ url: `files/${shown.id}.jpg`, widthPx: 960 }],
        };
      const sources = { pictures, content: () => undefined, file: () => 'files/one' };
      return pageInputs(view, sources).map(({ path, input }) => ({ path, ...renderPage(input, assets) }));
    });
}

describe('renderPage', () => {
  test('publishes no style attribute, no inline script and no handler, and every link stays inside or is named', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        for (const { path, html, style } of pagesOf(draft)) {
          expect(html).not.toMatch(/<[^>]+\sstyle=/);
          // What machines read is data: nothing of it runs.
          const run = html.replace(/<script type="application\/ld\+json">[^<]*<\/script>/, '');
          expect(run).not.toMatch(/<script(?![^>]*\ssrc=)/);
          expect(html).not.toMatch(/<[^>]+\son[a-z]+=/);
          expect(style).not.toMatch(/[<>@]|url\(/);
          const depth = path.split('/').length - 1;
          // What a maker links to may be followed; nothing of it is fetched by itself.
          const own = html.replace(/<a [^>]*>/g, (link) =>
            link.replace(/ href="https:\/\/(kite|tides|elsewhere)\.example\/[^"]*"/, ''),
          );
          expect(own).not.toContain('<iframe');
          for (const [, address = ''] of own.matchAll(/(?:href|src|srcset)="([^"#][^"]*)"/gi)) {
            expect(address).not.toMatch(/^(\/|[a-z]+:)/);
            expect(address.split('../').length - 1).toBeLessThanOrEqual(depth);
          }
        }
      }),
      { numRuns: 200 },
    );
  });

  test('a link stands as card, button or still, and only what may be opened in place is named in the policy', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 4 });
    const link = draft?.materials.find(({ kind }) => kind === 'link');
    if (!draft || link?.kind !== 'link') throw new Error('no sample');
    const [page] = draft.pages;
    if (!page) throw new Error('no page');
    const shown = (form: 'in-place' | 'card' | 'button', framing: 'allowed' | 'refused') =>
      pagesOf({
        ...draft,
        site: { ...draft.site, height: 'public', language: 'en' },
        materials: [{ ...link, facts: { ...link.facts, framing } }],
        pages: [
          {
            ...page,
            parent: null,
            language: null,
            height: 'public',
            parts: [{ id: 'part-1', height: 'public', kind: 'link', material: link.id, form, align: 'left' }],
          },
        ],
      }).find(({ html }) => html.includes('kite.example'));
    expect(shown('in-place', 'allowed')).toMatchObject({
      frames: ['https://kite.example'],
      html: expect.stringMatching(/data-frame="[^"]+"[\s\S]*Show this page from kite\.example/),
    });
    const refused = shown('in-place', 'refused');
    expect(refused?.frames).toEqual([]);
    expect(refused?.html).toMatch(/class="link-card" href="https:\/\/kite\.example/);
    expect(shown('button', 'allowed')).toMatchObject({
      frames: [],
      html: expect.stringMatching('link-button'),
    });
  });

  test('the picture a reader sees first is fetched first, on the wall too where nothing stands above it', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 4 });
    const picture = draft?.materials.find(({ kind }) => kind === 'picture')?.id ?? '';
    const [sample] = draft?.pages ?? [];
    if (!draft || !sample) throw new Error('no sample');
    const open = { parent: null, height: 'public' as const, archived: false, parts: [] };
    const work = ['page-a', 'page-b', 'page-c'].map((id, at) => ({
      ...{ ...sample, ...open, id, slug: id, title: id, rank: `a${at}` },
      opening: { layout: 'full' as const, pictures: [picture] },
    }));
    const { facts: _, ...bare } = { ...sample, ...open, id: 'page-home', slug: 'home', rank: 'a' };
    const front = (pictures: string[]) =>
      pagesOf({
        ...draft,
        site: { ...draft.site, height: 'public', welcome: true, wallLabels: 'below' },
        pages: [{ ...bare, kind: 'home', opening: { layout: 'full', pictures } }, ...work],
      })
        .find(({ path }) => path === '')
        ?.html.match(/<img [^>]*>/g)
        ?.map((img) =>
          /fetchpriority="high"/i.test(img) ? 'first' : /loading="lazy"/.test(img) ? 'later' : '',
        );
    expect(front([])).toEqual(['first', 'later', 'later']);
    expect(front([picture])).toEqual(['first', 'later', 'later', 'later']);
  });

  test('a front page that opens with nothing but the name of the site does not say it twice', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 4 });
    const [sample] = draft?.pages ?? [];
    if (!draft || !sample) throw new Error('no sample');
    const { facts: _, ...bare } = { ...sample, parent: null, archived: false, parts: [], slug: 'home' };
    const front = (change: object) =>
      pagesOf({
        ...draft,
        site: { ...draft.site, title: 'Wren makes', height: 'public', welcome: true },
        pages: [
          {
            ...{ ...bare, kind: 'home', height: 'public', title: 'Wren makes', summary: '' },
            ...{ opening: { layout: 'words', pictures: [] }, ...change },
          },
        ],
      }).find(({ path }) => path === '')?.html ?? '';
    const opens = (html: string) => html.includes('<div class="opening');
    expect(front({}).includes('<h1 class="unseen">Wren makes</h1>')).toBe(true);
    expect(opens(front({}))).toBe(false);
    expect(opens(front({ summary: 'Things that last' }))).toBe(true);
    expect(opens(front({ title: 'Things that last' }))).toBe(true);
  });

  test('equal inputs give equal bytes', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => expect(pagesOf(draft)).toEqual(pagesOf(draft))),
      { numRuns: 30 },
    );
  });

  test('what a maker types is text, never markup', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 4 });
    if (!draft) throw new Error('no sample');
    const evil = '</title><script>alert(1)</script><img src=x onerror=alert(1)>"\'&';
    const open: Draft = {
      ...draft,
      site: { ...draft.site, height: 'public', title: evil },
      pages: draft.pages.map((page) => ({
        ...page,
        height: 'public',
        title: evil,
        summary: evil,
        facts: {
          ...noFacts,
          when: evil,
          role: evil,
          madeWith: evil,
          tags: [evil],
          withWhom: [{ name: evil, did: evil }],
        },
      })),
      materials: draft.materials.map((material) => ({ ...material, alt: evil, caption: evil })),
    };
    const pages = pagesOf(open);
    expect(pages.length).toBeGreaterThan(0);
    for (const { html } of pages) {
      expect(html).not.toContain('<script>alert');
      expect(html).not.toContain('<img src=x');
    }
  });
});
