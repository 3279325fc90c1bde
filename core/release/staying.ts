import { heightsOf } from '../access/heights-of.ts';
import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { isShown, type Page, shownOn } from '../pages/page.ts';
import { withHeld } from '../parts/held-in.ts';
import type { Draft } from '../sites/site.ts';

/** A page as readers have it, and as high as they have it: what holds it down may be published without it. */
function asReadersHaveIt(had: Draft): (page: Page) => Page {
  const heights = heightsOf(had);
  return (page) => {
    const height = heights.pages.get(page.id) ?? 'private';
    if (!isShown(page)) return { ...page, height };
    const ofParts = heights.parts.get(page.id);
    const heightIn = (id: Id) => ofParts?.get(id) ?? 'private';
    const parts = page.parts.map((part) =>
      withHeld({ ...part, height: heightIn(part.id) }, (held) => ({ ...held, height: heightIn(held.id) })),
    );
    return { ...page, height, parts };
  };
}

/** Of pages that stay, those whose place does not fit among the others: below nothing, below themselves, or at a taken address. */
function misplaced(pages: readonly Page[], staying: ReadonlySet<Id>): Set<Id> {
  const byId = new Map(pages.map((page) => [page.id, page]));
  const at = new Map<string, Id[]>();
  for (const { id, parent, slug } of pages) {
    const name = `${parent} ${slug}`;
    at.set(name, [...(at.get(name) ?? []), id]);
  }
  const found = new Set<Id>();
  for (const page of pages) {
    const above = new Set<Id>([page.id]);
    for (let up = page.parent; up !== null; up = byId.get(up)?.parent ?? null) {
      if (above.has(up) || !byId.has(up)) {
        for (const id of above) if (staying.has(id)) found.add(id);
        break;
      }
      above.add(up);
    }
    const there = at.get(`${page.parent} ${page.slug}`) ?? [];
    if (there.length > 1) for (const id of there) if (staying.has(id)) found.add(id);
  }
  return found;
}

/**
 * The draft to publish where some of its pages are to stay as readers have them: the others go as they are in the draft, with what
 * the site itself says. A page that no reader has stays away; one that was deleted stays, as long as there is a place for it. A page
 * keeps its place where that fits among the others; else it goes to where the draft has it. A material that a page that goes shows as
 * well is shown as the draft has it: it is one material.
 *
 * @param had what readers have now, without what was closed since (`narrowed`); null: nothing
 * @param staying ids of pages; of others nothing is taken
 */
export function withStaying(had: Draft | null, draft: Draft, staying: ReadonlySet<Id>): Draft {
  if (staying.size === 0) return draft;
  const asWas = had ? asReadersHaveIt(had) : (page: Page) => page;
  const hadPages = new Map(had?.pages.map((page) => [page.id, asWas(page)]));
  const inDraft = new Map(draft.pages.map((page) => [page.id, page]));
  const deleted = [...hadPages.values()].filter(({ id }) => staying.has(id) && !inDraft.has(id));

  const moved = new Set<Id>();
  const gone = new Set<Id>();
  let pages: Page[] = [];
  for (;;) {
    pages = draft.pages.map((page): Page => {
      if (!staying.has(page.id)) return page;
      const was = hadPages.get(page.id);
      if (!was) return { ...page, height: 'private' };
      const { parent, slug, rank } = page;
      return moved.has(page.id) ? { ...was, parent, slug, rank } : was;
    });
    pages.push(...deleted.filter(({ id }) => !gone.has(id)));
    const wrong = [...misplaced(pages, staying)].filter((id) => !moved.has(id) && !gone.has(id));
    if (wrong.length === 0) break;
    for (const id of wrong) (inDraft.has(id) ? moved : gone).add(id);
  }

  const hadMaterials = new Map(had?.materials.map((one) => [one.id, one]));
  const [shownByGoing, shownByStaying] = [new Set<Id>(), new Set<Id>()];
  for (const page of pages) {
    const shown = staying.has(page.id) && hadPages.has(page.id) ? shownByStaying : shownByGoing;
    for (const id of materialsOn(shownOn(page))) shown.add(id);
  }
  for (const [shown, known] of [
    [shownByGoing, new Map(draft.materials.map((one) => [one.id, one]))],
    [shownByStaying, hadMaterials],
  ] as const)
    for (const id of [...shown]) {
      const by = known.get(id)?.shownBy;
      if (by) shown.add(by);
    }
  if (draft.site.look.ground.picture !== null) shownByGoing.add(draft.site.look.ground.picture);
  const kept = (id: Id): Material | undefined =>
    shownByStaying.has(id) && !shownByGoing.has(id) ? hadMaterials.get(id) : undefined;
  const ids = new Set(draft.materials.map(({ id }) => id));
  const materials = [
    ...draft.materials.map((one) => kept(one.id) ?? one),
    ...[...hadMaterials.values()].filter(({ id }) => !ids.has(id) && kept(id)),
  ];
  return { ...draft, pages, materials };
}
