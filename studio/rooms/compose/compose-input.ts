import { previewPath } from '#contract/preview-path.ts';
import { seenBy } from '#core/access/seen-by.ts';
import type { Page } from '#core/content/page.ts';
import { isEmptyPart } from '#core/content/part.ts';
import type { Draft } from '#core/content/site.ts';
import { type PageInput, pageInputs, type Picture, pictureOf } from '#site/render/page-input.ts';

/**
 * What the composed page is drawn from: the page as its maker sees it, with the studio's previews for pictures and
 * with the parts that are still empty, which no reader ever gets.
 */
export function composeInput(draft: Draft, page: Page): PageInput | null {
  const view = seenBy(draft, { kind: 'maker' });
  if (!view) return null;
  const pictures: Record<string, Picture> = {};
  for (const material of draft.materials)
    pictures[material.id] = {
      ...pictureOf(material),
      sources: [],
      fallback: [
        { url: `/${previewPath(material, 480)}`, widthPx: 480 },
        { url: `/${previewPath(material, 1400)}`, widthPx: 1400 },
      ],
    };
  const withEmpty = {
    ...view,
    pages: view.pages.map((seen) =>
      seen.id === page.id && page.parts.some(isEmptyPart)
        ? { ...seen, parts: page.parts.map(({ height: _, ...part }) => part) as typeof seen.parts }
        : seen,
    ),
  };
  const found = pageInputs(withEmpty, pictures).find(({ input }) => input.page.id === page.id);
  return found ? { ...found.input, toRoot: '' } : null;
}
