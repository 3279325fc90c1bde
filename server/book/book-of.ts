import { seenBy } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import type { BookChapter } from '#core/book/book-block.ts';
import { chapterOfPage } from '#core/book/chapter-of-page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import type { FontPairName } from '#core/look/font-pair-names.ts';
import type { Draft } from '#core/sites/site.ts';
import { pathsOf } from '#site/render/page-inputs.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { toChapter } from './book-pdf.ts';

/** Where pages are read as if they stood; nobody can be there (RFC 2606). */
const nowhere = 'http://book.invalid';

/** The pages of a way into a site that are chapters of its book, in the order of its menu; the entrance is the first. */
export interface BookPlan {
  pages: { path: string; depth: number }[];
  title: string;
  by: string;
  language: string;
  fonts: FontPairName;
}

/**
 * Which pages a book has. What a reader may open is told by the files of their way in alone; the release says in which order.
 *
 * @returns null where nothing is open
 */
export function bookPlan(source: Draft, viewer: Viewer, tree: FileTree): BookPlan | null {
  const view = seenBy(source, viewer);
  if (!view || !Object.hasOwn(tree, 'index.html')) return null;
  const paths = pathsOf(view);
  const below = view.pages.flatMap((page) => {
    const path = paths.get(page.id) ?? '';
    const opens = rulesOfPage(page).opens && path !== '' && Object.hasOwn(tree, `${path}index.html`);
    return opens ? [{ path, depth: path.split('/').length - 2 }] : [];
  });
  const { title, by, language, look } = view.site;
  return { pages: [{ path: '', depth: 0 }, ...below], title, by, language, fonts: fontsOf(look) };
}

/** Reads the pages of a book as its reader gets them. @param onRead told after each; throws to give up */
export async function chaptersOf(
  { pages, title }: BookPlan,
  tree: FileTree,
  blobs: BlobStore,
  online: string | null,
  onRead: (done: number) => void,
): Promise<BookChapter[]> {
  const known = new Set(pages.map(({ path }) => path));
  const chapters: BookChapter[] = [];
  for (const { path, depth } of pages) {
    const file = tree[`${path}index.html`];
    if (!file) continue;
    const linkTo = (href: string): string | null => {
      const here = `${nowhere}/${path}`;
      if (!URL.canParse(href, here)) return null;
      const at = new URL(href, here);
      if (at.origin !== nowhere)
        return ['http:', 'https:', 'mailto:', 'tel:'].includes(at.protocol) ? at.href : null;
      // Paths of pages are plain letters: what would have to be decoded names none of them.
      const to = at.pathname.slice(1);
      if (known.has(to)) return toChapter + to;
      return online === null ? null : online + to + at.hash;
    };
    const chapter = chapterOfPage((await blobs.read(file.hash)).toString('utf8'), path, linkTo);
    chapters.push({ ...chapter, title: chapter.title || title, depth });
    onRead(chapters.length);
  }
  return chapters;
}
