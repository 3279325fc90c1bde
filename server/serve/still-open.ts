import { seenBy, type SiteView } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import type { Draft } from '#core/sites/site.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { pageInputs } from '#site/render/page-inputs.ts';

/** Paths that stand for files only in what they are made of: enough to tell whether two pages are made of the same. */
const stand = {
  picture: (shown: unknown, size: number) => JSON.stringify([shown, size]),
  file: (material: { id: string }, as: string) => `${material.id} ${as}`,
};

/** What each page of a view is made of, by its path, as text that is equal for equal pages. */
function madeOf(view: SiteView): Map<string, string> {
  const sources = draftSources(Object.values(view.materials), new Map(), stand, '');
  return new Map(
    pageInputs(view, sources).map(({ path, input }) => [
      `${path}index.html`,
      // A document's words are not at hand here; the document itself stands for them.
      JSON.stringify([input, input.page.parts.flatMap(materialsOf).map((id) => view.materials[id])]),
    ]),
  );
}

/**
 * Of one entrance's files, those that may be handed out while a release holds something above its ceiling and no narrower
 * one has been made yet: pages that would be the same in it, files of materials that would still be shown, and what
 * belongs to no page. Everything else is closed, and what a file belongs to has to be known for it to be open.
 *
 * @param released the live release's copy
 * @param lower the same without what is closed
 */
export function stillOpen(tree: FileTree, released: Draft, lower: Draft, viewer: Viewer): FileTree | null {
  const before = seenBy(released, viewer);
  const after = seenBy(lower, viewer);
  if (!before || !after) return null;
  const [was, is] = [madeOf(before), madeOf(after)];
  const open: FileTree = {};
  for (const [path, file] of Object.entries(tree)) {
    if (mayStay(path, file)) open[path] = file;
  }
  return open;

  function mayStay(path: string, { of, pages }: ManifestFile): boolean {
    if (path.endsWith('index.html')) return was.get(path) === is.get(path) && is.has(path);
    // Shared style sheets, fonts and scripts show nothing of anybody's.
    if (path.startsWith('assets/')) return true;
    const shown = of?.some((id) => Object.hasOwn(after?.materials ?? {}, id)) ?? false;
    // One that shows a page's title says what the page does.
    if (pages)
      return (!of || shown) && pages.some((page) => mayStay(page, { ...tree[page] } as ManifestFile));
    return shown;
  }
}
