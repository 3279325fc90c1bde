import type { Id } from '#core/id.ts';
import { drawsMoments } from '#core/moments/drawn-moments.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import type { SeenPart } from '#core/parts/parts.ts';
import { seenPart } from '#core/parts/seen-part.ts';
import { draftPaths } from '#contract/material-paths.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import { creditsOf } from '#core/credits/credits-of.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isWork, type ShownPage } from '#core/pages/page.ts';
import type { Proof } from '#core/resume/proof.ts';
import type { Draft } from '#core/sites/site.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import type { PageInput } from '#site/render/page-input.ts';
import { pageInputs } from '#site/render/page-inputs.ts';
import { viewAround } from '#site/render/view-around.ts';

/**
 * What the composed page is drawn from: the page as its maker sees it, with the studio's previews for pictures and
 * with the parts that are still empty, which no reader ever gets, named in `bare`.
 *
 * @param contents what was read out of the page's documents, by the hash of their files
 * @param lights how light pictures are that words may lie over, by their names
 */
export function composeInput(
  draft: Draft,
  page: ShownPage,
  contents: ReadonlyMap<string, DocumentContent>,
  lights: ReadonlyMap<string, string>,
): { input: PageInput; bare: Id[] } | null {
  const view = viewAround(draft, page.id);
  if (!view) return null;
  const credits = creditsOf(
    materialsOn(page),
    materialsById(draft.materials),
    page.language ?? draft.site.language,
  );
  const pages = new Set(draft.pages.map(({ id }) => id));
  const inView = view.pages.find(({ id }) => id === page.id)?.parts ?? [];
  const context = {
    credits,
    phases: draft.site.phases,
    // What draws moments is taken as the view has it.
    moments: () => [],
    opens: (id: Id) => pages.has(id),
    work: (id: Id) => {
      const of = draft.pages.find((one) => one.id === id);
      return of && isWork(of) ? { title: of.title, from: of.facts.from, to: of.facts.to } : null;
    },
    proves: (proof: Proof) => pages.has(proof.page),
    downloads: true,
  };
  const ofReaders = page.parts.map((part) => {
    if (drawsMoments(part)) return inView.find(({ id }) => id === part.id) ?? null;
    return isEmptyPart(part) ? null : seenPart(part, context);
  });
  const withEmpty = {
    ...view,
    pages: view.pages.map((seen) =>
      seen.id === page.id
        ? // Where readers get nothing, the part itself stands for it; only its place is drawn.
          { ...seen, parts: page.parts.map((part, at) => ofReaders[at] ?? (part as unknown as SeenPart)) }
        : seen,
    ),
  };
  const sources = draftSources(Object.values(view.materials), contents, draftPaths, '/', lights);
  const [found] = pageInputs(withEmpty, sources, null, page.id);
  const bare = page.parts.filter((_, at) => ofReaders[at] === null).map(({ id }) => id);
  return found ? { input: { ...found.input, toRoot: '' }, bare } : null;
}
