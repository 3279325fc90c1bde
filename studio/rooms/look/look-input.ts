import { draftPaths } from '#contract/material-paths.ts';
import type { Id } from '#core/id.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import type { Draft } from '#core/sites/site.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import type { PageInput } from '#site/render/page-input.ts';
import { pageInputs } from '#site/render/page-inputs.ts';
import { viewAround } from '#site/render/view-around.ts';

/** A page of the draft as its maker sees it, to be drawn in whatever look; null where it opens nothing. */
export function lookInput(
  draft: Draft,
  page: Id,
  contents: ReadonlyMap<string, DocumentContent>,
  lights: ReadonlyMap<string, string>,
): PageInput | null {
  const view = viewAround(draft, page);
  if (!view) return null;
  const sources = draftSources(Object.values(view.materials), contents, draftPaths, '/', lights);
  const [found] = pageInputs(view, sources, null, page);
  return found ? { ...found.input, toRoot: '' } : null;
}
