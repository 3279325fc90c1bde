import { seenBy } from '#core/access/seen-by.ts';
import { draftPaths } from '#contract/material-paths.ts';
import type { DocumentContent } from '#core/content/document.ts';
import type { Page } from '#core/content/page.ts';
import { isEmptyPart } from '#core/content/part.ts';
import type { Draft } from '#core/content/site.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { type PageInput, pageInputs } from '#site/render/page-input.ts';

/**
 * What the composed page is drawn from: the page as its maker sees it, with the studio's previews for pictures and
 * with the parts that are still empty, which no reader ever gets.
 *
 * @param contents what was read out of the page's documents, by the hash of their files
 */
export function composeInput(
  draft: Draft,
  page: Page,
  contents: ReadonlyMap<string, DocumentContent>,
): PageInput | null {
  const view = seenBy(draft, { kind: 'maker' });
  if (!view) return null;
  const withEmpty = {
    ...view,
    pages: view.pages.map((seen) =>
      seen.id === page.id && page.parts.some(isEmptyPart)
        ? { ...seen, parts: page.parts.map(({ height: _, ...part }) => part) as typeof seen.parts }
        : seen,
    ),
  };
  const sources = draftSources(Object.values(view.materials), contents, draftPaths, '/');
  const found = pageInputs(withEmpty, sources).find(({ input }) => input.page.id === page.id);
  return found ? { ...found.input, toRoot: '' } : null;
}
